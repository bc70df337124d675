// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/part_words.h"
#include "core/plan/named_use.h"
#include "core/units/log_percent.h"
#include "report/figures.h"
#include "report/sections.h"

#include <algorithm>
#include <cmath>

namespace hillrun::report {
namespace {

std::string overBase(const Telling& t, const Field& field, const FieldBuild& build) {
    if (build.id == field.base)
        return t.said("sheet.base");
    if (!std::isfinite(build.gain))
        return "\xE2\x80\x93";
    return t.voice.interval(percentOfLog(build.gain), halfPercent(build.low, build.high), "%", true);
}

std::string givesAway(const Telling& t, const FieldBuild& build) {
    if (!std::isfinite(build.costsAtMost))
        return "\xE2\x80\x93";
    return t.said("sheet.at_most", {decimals(std::max(0.0, percentOfLog(build.costsAtMost)), 1, "%")});
}

} // namespace

Section fieldSection(const Telling& t) {
    const Field& field = *t.analysis.field;
    Section out;
    out.blocks.emplace_back(Sentence{t.voice.say(fieldSummary(field))});
    out.blocks.emplace_back(Paragraph{t.said("sheet.use", {usePhrase(t.day, field.use)}), Tone::Quiet});
    out.blocks.emplace_back(Gap{4.0});
    std::vector<LadderRow> rows;
    Table table{{t.said("sheet.build"), t.said("sheet.over_base", {field.base}), t.said("sheet.verdict"),
                 t.said("sheet.gives_away")},
                {},
                {0.0, 210.0, 300.0, 410.0}};
    for (const FieldBuild& build : byGain(field)) {
        const size_t number = buildNumber(t.day, build.id);
        LadderRow row{build.id, buildColour(number), {}, overBase(t, field, build)};
        if (const Comparison* c = build.id == field.base ? nullptr : t.analysis.find(field.base, build.id))
            row.regions = c->regions;
        rows.push_back(std::move(row));
        const std::string& name = t.day.builds[number].name;
        table.rows.push_back({name.empty() ? build.id : build.id + "  " + name, overBase(t, field, build),
                              t.voice.say(fieldVerdict(field, build)), givesAway(t, build)});
    }
    out.blocks.emplace_back(fieldFigure(t, rows));
    out.blocks.emplace_back(Gap{12.0});
    out.blocks.emplace_back(std::move(table));
    out.blocks.emplace_back(Gap{3.0});
    const Build* base = findBuild(t.day, field.base);
    for (const FieldBuild& build : byGain(field))
        if (const Build* other = findBuild(t.day, build.id); base && other)
            if (const Statement specific = specificPhrase(t.analysis, *base, *other); !specific.empty())
                out.blocks.emplace_back(Paragraph{t.voice.say(specific)});
    out.blocks.emplace_back(Paragraph{t.said("sheet.field_method"), Tone::Quiet, true});
    return out;
}

} // namespace hillrun::report
