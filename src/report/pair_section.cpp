// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/plan/cell_checks.h"
#include "core/plan/named_use.h"
#include "report/figures.h"
#include "report/sections.h"

#include <cmath>

namespace hillrun::report {
namespace {

void addParagraph(Section& out, std::string text, Tone tone, bool small = false) {
    out.blocks.emplace_back(Paragraph{std::move(text), tone, small});
}

BuildLine lineOf(const Telling& t, const std::string& id, const char* fitted, const char* given) {
    BuildLine out{buildNumber(t.day, id), id, {}, {}};
    const BuildResult* result = t.analysis.findBuild(id);
    out.words = t.day.builds[out.number].name;
    if (!result)
        return out;
    out.words += "  " + (result->given.empty() ? t.said(fitted, {Count{static_cast<long>(result->pullsUsed.size())}})
                                               : t.said(given, {result->given}));
    if (std::isfinite(result->peakPower_w.value))
        out.figure = t.said("sheet.peak",
                            {decimals(powerIn(t.units().power, result->peakPower_w.value), 1, t.powerUnit()),
                             placePhrase(t.analysis.place), Rpm{std::round(result->peakPower_w.rpm / 10.0) * 10.0}});
    return out;
}

void addChanged(Section& out, const Telling& t, const Comparison& c) {
    out.blocks.emplace_back(lineOf(t, c.from, "sheet.build_from", "sheet.given_from"));
    out.blocks.emplace_back(lineOf(t, c.to, "sheet.build_to", "sheet.given_to"));
    Several changes;
    for (const Change& change : c.changed)
        changes.items.push_back({"sheet.change", {change.part, valuePhrase(change.from), valuePhrase(change.to)}});
    addParagraph(out,
                 c.changed.empty() ? t.said("sheet.nothing_changed")
                                   : t.said("sheet.changed", {Count{static_cast<long>(c.changed.size())}, changes}),
                 Tone::Quiet);
    if (!c.samePlace())
        addParagraph(out, t.said("sheet.other_place"), Tone::Warning);
    for (const LikeForLike& row : c.likeForLike)
        if (row.verdict == LikeVerdict::Differs)
            addParagraph(out,
                         t.said("sheet.not_like_for_like",
                                {ChannelName{row.channel, true}, signedSignificant(row.difference, 3, row.unit),
                                 significant(row.tolerance, 6, row.unit)}),
                         Tone::Warning);
    out.blocks.emplace_back(Gap{4.0});
}

std::string bandName(const Telling& t, const Comparison& c, size_t band) {
    const BandResult& one = c.bands[band];
    const bool isUse = t.analysis.settings.use && one.asked == 0;
    return t.said(band == 0 ? "sheet.common_range" : (isUse ? "sheet.use_range" : "sheet.range"),
                  {countedSpeeds(one.range_rpm, one.weighted)});
}

void addBands(Section& out, const Telling& t, const Comparison& c) {
    Table table{{t.said("sheet.average"), t.said("sheet.power", {placePhrase(c.place)}), t.said("sheet.percent"),
                 t.said("sheet.torque")},
                {},
                {0.0, 190.0, 305.0, 395.0}};
    for (size_t i = 0; i < c.bands.size(); ++i) {
        const BandResult& band = c.bands[i];
        table.rows.push_back({bandName(t, c, i), t.voice.power({band.delta_w, 0.5 * (band.high_w - band.low_w), true}),
                              t.voice.number(signedDecimals(band.percent, 1, "%")),
                              t.voice.number(signedDecimals(torqueIn(t.units().torque, band.deltaTorque_nm), 1,
                                                            torqueUnitText(t.units().torque)))});
    }
    out.blocks.emplace_back(std::move(table));
    const PeakDifference& peak = c.peakPower_w;
    const PeakDifference& torque = c.peakTorque_nm;
    std::vector<Statement> words{{"sheet.peaks",
                                  {Power{peak.delta, 0.5 * (peak.high - peak.low), true},
                                   Torque{torque.delta, 0.5 * (torque.high - torque.low), true}}}};
    if (peak.atEnd)
        words.push_back({"sheet.still_rises"});
    Several crossings;
    for (const double crossover : c.crossovers_rpm)
        crossings.items.push_back({"rpm", {Rpm{std::round(crossover / 10.0) * 10.0}}});
    if (!crossings.items.empty())
        words.push_back({"sheet.lines_cross", {crossings}});
    out.blocks.emplace_back(Gap{3.0});
    addParagraph(out, t.voice.say(words), Tone::Plain);
    if (const Statement settle = settleStatement(c); !settle.empty())
        addParagraph(out, t.voice.say(settle), Tone::Plain);
    if (c.judgedBy == JudgedBy::AllPairs)
        addParagraph(out, t.said("sheet.not_planned"), Tone::Quiet);
    out.blocks.emplace_back(Gap{4.0});
}

void addLeftOut(Section& out, const Telling& t) {
    Several left;
    for (const PullResult& pull : t.analysis.pulls)
        if (!pull.used)
            left.items.push_back({"sheet.left_out_pull", {pull.id, pull.build, pull.whyLeftOut}});
    addParagraph(out, left.items.empty() ? t.said("sheet.none_left_out") : t.said("sheet.left_out", {left}),
                 left.items.empty() ? Tone::Quiet : Tone::Plain);
    for (const PullResult& pull : t.analysis.pulls)
        if (pull.used && !pull.flags.empty())
            addParagraph(out, t.said("sheet.odd_in_use", {pull.id, pull.build}), Tone::Warning);
}

Statement allowancePhrase(DriftAllowance allowance) {
    constexpr const char* ids[] = {"allowance.steady", "allowance.cautious", "allowance.jumps"};
    return {ids[static_cast<size_t>(allowance)]};
}

void addMethod(Section& out, const Telling& t) {
    const AnalysisSettings& s = t.analysis.settings;
    std::vector<Statement> words{
        {"sheet.basis", {basisPhrase(t.analysis), decimals(s.reduce.smoothing_rpm, 0, "rpm")}}};
    const auto& model = t.analysis.model;
    if (model && model->degreesOfFreedom > 0)
        words.push_back({"sheet.repeatability",
                         {decimals(100.0 * model->levelSd, 2, "%"), std::to_string(model->degreesOfFreedom)}});
    if (model && model->drift.identified)
        words.push_back(
            {"sheet.drift",
             {signedDecimals(100.0 * std::expm1(model->drift.perHour), 2, "%"), allowancePhrase(s.drift.allowance)}});
    if (s.drift.declaredBound_pct)
        words.push_back({"sheet.drift_bound", {significant(*s.drift.declaredBound_pct, 6, "%")}});
    if (s.use)
        words.push_back({"sheet.use", {usePhrase(t.day, *s.use)}});
    for (const DayDoubt& doubt : t.analysis.doubts)
        words.push_back(doubt.text);
    words.insert(words.end(), t.analysis.notes.begin(), t.analysis.notes.end());
    words.push_back({"sheet.intervals"});
    addParagraph(out, t.voice.say(words), Tone::Quiet, true);
    addParagraph(out, t.said("sheet.safety"), Tone::Quiet, true);
}

void addChecks(Section& out, const Telling& t) {
    for (const Statement& line : cellCheckLines(t.day.cell, t.analysis.settings.reduce.standard, engineForAir(t.day)))
        addParagraph(out, t.voice.say(line), Tone::Quiet, true);
}

} // namespace

Section pairSection(const Telling& t, const Comparison& comparison, const SheetSections& sections) {
    Section out;
    out.blocks.emplace_back(Sentence{t.voice.say(summary(comparison, t.units()))});
    if (const Statement refit = refitStatement(comparison, t.analysis); !refit.empty())
        addParagraph(out, t.said("sheet.refit", {refit}), Tone::Quiet);
    if (sections.changed)
        addChanged(out, t, comparison);
    if (sections.curves)
        if (auto curves = curvesFigure(t, {comparison.from, comparison.to}))
            out.blocks.emplace_back(std::move(*curves));
    if (sections.difference)
        out.blocks.emplace_back(differenceFigure(t, comparison));
    if (sections.bands)
        addBands(out, t, comparison);
    if (sections.leftOut)
        addLeftOut(out, t);
    if (sections.checks)
        addChecks(out, t);
    if (sections.method)
        addMethod(out, t);
    return out;
}

Section daySection(const Telling& t) {
    Section out;
    out.blocks.emplace_back(Sentence{t.said("sheet.nothing_yet", {t.analysis.whyNoComparison})});
    std::vector<std::string> ids;
    for (const BuildResult& build : t.analysis.builds)
        ids.push_back(build.id);
    if (!ids.empty())
        if (auto curves = curvesFigure(t, ids, true))
            out.blocks.emplace_back(std::move(*curves));
    addLeftOut(out, t);
    addMethod(out, t);
    return out;
}

Section quantitySection(const Telling& t, const QuantityAnswer& answer, const QuantityPair& pair) {
    Section out;
    out.blocks.emplace_back(Sentence{t.voice.say(quantitySummary(answer.kind, pair))});
    out.blocks.emplace_back(quantityFigure(t, answer, pair));
    const std::string unit = answer.kind.unit == "1" ? std::string() : answer.kind.unit;
    Table table{{t.said("sheet.average"), t.said("sheet.mean_difference")}, {}, {0.0, 190.0}};
    for (size_t i = 0; i < pair.bands.size(); ++i) {
        const QuantityBand& band = pair.bands[i];
        table.rows.push_back({t.said(i == 0 ? "sheet.common_range" : "sheet.range", {band.range_rpm}),
                              t.voice.interval(band.delta, 0.5 * (band.high - band.low), unit, true)});
    }
    out.blocks.emplace_back(std::move(table));
    out.blocks.emplace_back(Gap{3.0});
    addParagraph(out, t.said("sheet.sensor"), Tone::Quiet, true);
    return out;
}

} // namespace hillrun::report
