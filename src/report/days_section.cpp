// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/units/log_percent.h"
#include "report/sections.h"

#include <algorithm>

namespace hillrun::report {
namespace {

std::string gainText(const Telling& t, const AcrossAnswer& answer) {
    if (!answer.interval)
        return t.said("sheet.no_interval", {signedDecimals(percentOfLog(answer.estimate), 1, "%")});
    return t.voice.interval(percentOfLog(answer.estimate), halfPercent(answer.interval->low, answer.interval->high),
                            "%", true);
}

/// What is said of every pair is said once, below them.
std::vector<Statement> commonNotes(const OverDays& over) {
    std::vector<Statement> out;
    for (const EarlierPair& pair : over.pairs)
        for (Statement& note : acrossNotes(pair.answer))
            if (std::find(out.begin(), out.end(), note) == out.end())
                out.push_back(std::move(note));
    return out;
}

Table ladderTable(const Telling& t, const AcrossLadder& ladder) {
    Table out{{t.said("sheet.ladder_step"), t.said("sheet.over_the_one_before"), t.said("sheet.over_the_first")},
              {},
              {0.0, 230.0, 370.0}};
    for (size_t i = 0; i < ladder.steps.size(); ++i)
        out.rows.push_back({t.voice.say(buildPhrase(ladder.steps[i].to)), gainText(t, ladder.steps[i]),
                            gainText(t, ladder.fromBase[i])});
    return out;
}

} // namespace

Section daysSection(const Telling& t, const OverDays& over) {
    Section out;
    if (over.pairs.empty())
        out.blocks.emplace_back(Sentence{t.said("sheet.no_other_days")});
    for (size_t i = 0; i < over.pairs.size(); ++i) {
        const std::string words = t.voice.say(acrossSummary(over.pairs[i].answer));
        if (i == 0)
            out.blocks.emplace_back(Sentence{words});
        else
            out.blocks.emplace_back(Paragraph{words});
    }
    std::vector<Statement> notes = commonNotes(over);
    notes.insert(notes.end(), over.remarks.begin(), over.remarks.end());
    if (!notes.empty())
        out.blocks.emplace_back(Paragraph{t.voice.say(notes), Tone::Quiet});
    if (!over.whyNot.empty())
        out.blocks.emplace_back(Paragraph{t.voice.say(over.whyNot), Tone::Warning});
    if (!over.ladder.steps.empty()) {
        out.blocks.emplace_back(Gap{8.0});
        out.blocks.emplace_back(Paragraph{t.voice.say(ladderSummary(over.ladder))});
        out.blocks.emplace_back(ladderTable(t, over.ladder));
        out.blocks.emplace_back(Paragraph{t.voice.say(ladderNotes(over.ladder)), Tone::Quiet});
    }
    out.blocks.emplace_back(Gap{6.0});
    out.blocks.emplace_back(Paragraph{t.said("sheet.days_behind", {namesOf(over.days)}), Tone::Quiet, true});
    return out;
}

} // namespace hillrun::report
