// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/stretches.h"
#include "core/compare/day_credit.h"
#include "core/compare/part_words.h"
#include "core/plan/named_use.h"
#include "core/units/log_percent.h"
#include "report/figures.h"
#include "report/sections.h"

#include <cmath>

namespace hillrun::report {
namespace {

const std::string kNone = "\xE2\x80\x93";

std::string gainOf(const Telling& t, const CreditAmount& amount) {
    if (!std::isfinite(amount.log))
        return kNone;
    return t.voice.power({amount.watts(), 0.5 * amount.scale_w * (amount.high - amount.low), true});
}

std::string percentOf(const Telling& t, const CreditAmount* amount) {
    return amount && std::isfinite(amount->log) ? t.voice.number(signedDecimals(percentOfLog(amount->log), 1, "%"))
                                                : kNone;
}

void addStairs(Section& out, const Telling& t, const Credit& credit, CreditView view) {
    std::vector<DrawnStair> drawn;
    for (const Stair& stair : stairsOf(credit, view)) {
        std::string name = stair.part ? credit.sets.parts[*stair.part].name : t.said("sheet.together");
        if (stair.build)
            name = credit.builds[*stair.build].id + "  " + name;
        drawn.push_back({std::move(name), gainOf(t, stair.amount), stair});
    }
    if (drawn.empty())
        return;
    const std::string base = credit.builds.front().id + "  " + t.voice.power({credit.base_w, 0.0, false, 3});
    out.blocks.emplace_back(stairsFigure(t, base, drawn));
    out.blocks.emplace_back(Gap{6.0});
}

/// Where along the speed each part gives and costs, as fair shares.
void addPartLadder(Section& out, const Telling& t, const Credit& credit) {
    std::vector<LadderRow> rows;
    for (const CreditShare& share : credit.shares) {
        if (share.curve.curve.delta.size() == 0)
            continue;
        const ShareBand band = bandOf(share.curve);
        rows.push_back({credit.sets.parts[share.part].name, kInk,
                        stretchesOf(t.analysis.rpm, band.value_w, band.edges_w, share.amount.mayClaim),
                        gainOf(t, share.amount)});
    }
    if (rows.empty())
        return;
    out.blocks.emplace_back(partLadder(t, rows));
    out.blocks.emplace_back(Gap{14.0});
}

std::string viewName(const Telling& t, CreditView view) {
    constexpr const char* ids[] = {"sheet.as_run", "sheet.alone", "sheet.on_top", "sheet.fair_share"};
    return t.said(ids[static_cast<size_t>(view)]);
}

void addParts(Section& out, const Telling& t, const Credit& credit, CreditView view) {
    Table table{{t.said("sheet.part"), viewName(t, view), t.said("sheet.percent"), t.said("sheet.price")},
                {},
                {0.0, 180.0, 290.0, 370.0}};
    std::vector<std::string> expected;
    for (size_t part = 0; part < credit.sets.parts.size(); ++part) {
        const CreditAmount* amount = amountOf(credit, view, part);
        const PartFacts facts = factsOf(credit, t.day.credit, part, amount ? *amount : CreditAmount{});
        std::string price = t.voice.say(pricePhrase(facts, currencyOf(credit.builds), t.units()));
        table.rows.push_back({credit.sets.parts[part].name, amount ? gainOf(t, *amount) : kNone, percentOf(t, amount),
                              price.empty() ? kNone : std::move(price)});
        if (const Statement words = expectedPhrase(facts, t.units()); !words.empty())
            expected.push_back(t.said("sheet.part_expected", {credit.sets.parts[part].name, words}));
    }
    out.blocks.emplace_back(std::move(table));
    out.blocks.emplace_back(Gap{3.0});
    for (std::string& line : expected)
        out.blocks.emplace_back(Paragraph{std::move(line)});
}

/// Steps between builds, where no single figure speaks for a part.
void addSteps(Section& out, const Telling& t, const Credit& credit) {
    Table table{{t.said("sheet.step"), t.said("sheet.gain_of_step"), t.said("sheet.percent")}, {}, {0.0, 210.0, 330.0}};
    for (const CreditStep& step : credit.steps)
        table.rows.push_back({t.said("sheet.step_of", {credit.builds[step.from].id, credit.builds[step.to].id,
                                                       credit.sets.parts[step.part].name}),
                              gainOf(t, step.amount), percentOf(t, &step.amount)});
    if (table.rows.empty())
        return;
    out.blocks.emplace_back(Gap{10.0});
    out.blocks.emplace_back(std::move(table));
    out.blocks.emplace_back(Gap{3.0});
}

void addSweep(Section& out, const Telling& t, const SettingSweep& sweep) {
    out.blocks.emplace_back(sweepFigure(t, sweep));
    if (auto best = bestFigure(t, sweep)) {
        out.blocks.emplace_back(Gap{10.0});
        out.blocks.emplace_back(std::move(*best));
    }
    out.blocks.emplace_back(Gap{10.0});
    Table table{
        {sweep.setting.name, t.said("sheet.gain_of_step"), t.said("sheet.gives_away")}, {}, {0.0, 180.0, 320.0}};
    for (const SweepLevel& level : sweep.levels) {
        const double half = halfPercent(level.fitted - level.half, level.fitted + level.half);
        const bool lowest = &level == &sweep.levels.front();
        table.rows.push_back(
            {t.voice.number(significant(level.value, 6)) + sweep.setting.unit,
             lowest ? kNone : t.voice.interval(percentOfLog(level.fitted), half, "%", true),
             sweep.driftTaken
                 ? t.said("sheet.at_most", {decimals(std::max(0.0, percentOfLog(level.costsAtMost)), 1, "%")})
                 : kNone});
    }
    out.blocks.emplace_back(std::move(table));
    out.blocks.emplace_back(Gap{3.0});
}

} // namespace

Section creditSection(const Telling& t) {
    const Credit& credit = *t.analysis.credit;
    Section out;
    out.blocks.emplace_back(Sentence{t.voice.say(creditSummary(credit))});
    out.blocks.emplace_back(Paragraph{t.said("sheet.use", {usePhrase(t.day, credit.use)}), Tone::Quiet});
    out.blocks.emplace_back(Gap{4.0});
    if (credit.sweep) {
        addSweep(out, t, *credit.sweep);
    } else {
        const CreditView view = usualView(credit);
        addStairs(out, t, credit, view);
        addPartLadder(out, t, credit);
        if (!credit.sets.parts.empty())
            addParts(out, t, credit, view);
        if (credit.sets.kind != CreditKind::Ladder)
            addSteps(out, t, credit);
    }
    if (const auto advice = creditAdvice(credit); !advice.empty())
        out.blocks.emplace_back(Paragraph{t.voice.say(advice)});
    out.blocks.emplace_back(
        Paragraph{t.said(credit.sweep ? "sheet.sweep_method" : "sheet.credit_method"), Tone::Quiet, true});
    return out;
}

} // namespace hillrun::report
