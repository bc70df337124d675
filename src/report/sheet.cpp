// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/sheet.h"

#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "report/plot.h"
#include "report/render.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun::report {
namespace {

constexpr double kLeft = 42.0;
constexpr double kRight = 553.0;
constexpr double kPlotLeft = 74.0;
constexpr double kPlotRight = 530.0;
constexpr const char* kDot = " \xC2\xB7 ";

/// Writes down the page from top to bottom.
class Sheet {
public:
    Sheet(const TestDay& day, const DayAnalysis& analysis, const Voice& voice)
        : m_day(day), m_analysis(analysis), m_voice(voice), m_units(voice.manner().units) {}

    Page page;

    void header() {
        page.add(Area{{{kLeft, 40}, {kLeft + 5, 40}, {kLeft + 5, 78}, {kLeft, 78}}, 0x0E6A6A, 1.0, false});
        text(kLeft + 14, 52, m_day.name.empty() ? said("sheet.untitled") : m_day.name, 14, kInk, true);
        text(kLeft + 14, 65, joined({m_day.date, m_day.article.name, m_day.cell.name, m_day.operatorName}), 8.5,
             kQuietInk);
        text(kRight, 52, "Hill Run", 9, kQuietInk, true, Align::Right);
        text(kLeft + 14, 77, m_voice.say(basisPhrase(m_analysis)) + airText(), 8.5, kQuietInk);
        rule(86);
        m_y = 106;
    }

    void sentence(const std::string& words) {
        for (const std::string& line : wrapped(words, kRight - kLeft, 14, true)) {
            text(kLeft, m_y, line, 14, kInk, true);
            m_y += 19;
        }
        m_y += 2;
    }

    void changed(const Comparison& c) {
        buildLine(c.from, "sheet.build_from", "sheet.given_from");
        buildLine(c.to, "sheet.build_to", "sheet.given_to");
        Several changes;
        for (const Change& change : c.changed)
            changes.items.push_back({"sheet.change", {change.part, valuePhrase(change.from), valuePhrase(change.to)}});
        paragraph(c.changed.empty() ? said("sheet.nothing_changed")
                                    : said("sheet.changed", {Count{static_cast<long>(c.changed.size())}, changes}),
                  8.5, kQuietInk);
        if (!c.samePlace())
            paragraph(said("sheet.other_place"), 8.5, kWarning);
        for (const LikeForLike& row : c.likeForLike)
            if (row.verdict == LikeVerdict::Differs)
                paragraph(said("sheet.not_like_for_like",
                               {ChannelName{row.channel, true}, signedSignificant(row.difference, 3, row.unit),
                                significant(row.tolerance, 6, row.unit)}),
                          8.5, kWarning);
        m_y += 4;
    }

    void curves(const std::vector<std::string>& ids) {
        const RpmRange x{m_analysis.rpm.front(), m_analysis.rpm.back()};
        double high = 0.0;
        double low = 1e300;
        std::vector<std::pair<size_t, std::vector<double>>> lines;
        for (const std::string& id : ids) {
            const BuildResult* build = m_analysis.findBuild(id);
            if (!build)
                continue;
            lines.emplace_back(buildNumber(m_day, id), inUnits(build->power_w));
            for (const double value : lines.back().second) {
                if (!std::isfinite(value))
                    continue;
                high = std::max(high, value);
                low = std::min(low, value);
            }
        }
        if (!(high > low))
            return;
        const double height = 226;
        Plot plot(page, {kPlotLeft, m_y + 8}, kPlotRight - kPlotLeft, height, x,
                  std::max(0.0, low - 0.08 * (high - low)), high + 0.06 * (high - low));
        plot.axes(said("sheet.power_axis", {placePhrase(m_analysis.place), std::string(powerUnitText(m_units.power))}),
                  false);
        for (const auto& [number, values] : lines) {
            plot.curve(m_analysis.rpm, values, buildColour(number), 1.5, buildDash(number));
            plot.endLabel(m_analysis.rpm, values, m_day.builds[number].id, buildColour(number));
        }
        plot.drawLabels();
        m_y += height + 14;
    }

    void difference(const Comparison& c) {
        const RpmRange x{c.rpm.front(), c.rpm.back()};
        ribbon(c, x);
        const std::vector<double> delta = inUnits(c.delta_w);
        const Edges& band = c.judgedBand();
        const std::vector<double> low = inUnits(band.low);
        const std::vector<double> highs = inUnits(band.high);
        double reach = 0.0;
        for (size_t i = 0; i < delta.size(); ++i)
            for (const double v : {delta[i], low[i], highs[i]})
                if (std::isfinite(v))
                    reach = std::max(reach, std::abs(v));
        reach = reach > 0.0 ? 1.1 * reach : 1.0;
        const double height = 158;
        Plot plot(page, {kPlotLeft, m_y + 14}, kPlotRight - kPlotLeft, height, x, -reach, reach);
        plot.axes(said(c.hasInterval ? "sheet.difference_axis_band" : "sheet.difference_axis",
                       {c.to, c.from, std::string(powerUnitText(m_units.power)), placePhrase(c.place)}),
                  true);
        if (c.hasInterval)
            plot.band(c.rpm, low, highs, 0x9FB0B4, 0.45);
        plot.zeroLine();
        plot.curve(c.rpm, delta, kInk, 1.4, {});
        m_y += height + 44;
    }

    void bands(const Comparison& c) {
        const double columns[] = {kLeft, 200, 330, 420};
        heading(said("sheet.average"), columns,
                {"", said("sheet.power", {placePhrase(c.place)}), said("sheet.percent"), said("sheet.torque")});
        for (size_t i = 0; i < c.bands.size(); ++i) {
            const BandResult& band = c.bands[i];
            const double half = 0.5 * (band.high_w - band.low_w);
            row(columns,
                {said(i == 0 ? "sheet.common_range" : "sheet.range", {band.range_rpm}),
                 m_voice.power({band.delta_w, half, true}), m_voice.number(signedDecimals(band.percent, 1, "%")),
                 m_voice.number(signedDecimals(torqueIn(m_units.torque, band.deltaTorque_nm), 1,
                                               torqueUnitText(m_units.torque)))});
        }
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
        m_y += 3;
        paragraph(m_voice.say(words), 8.5, kInk);
        if (const Statement settle = settleStatement(c); !settle.empty())
            paragraph(m_voice.say(settle), 8.5, kInk);
        if (c.judgedBy == JudgedBy::AllPairs)
            paragraph(said("sheet.not_planned"), 8.5, kQuietInk);
        m_y += 4;
    }

    void leftOut() {
        Several out;
        for (const PullResult& pull : m_analysis.pulls)
            if (!pull.used)
                out.items.push_back({"sheet.left_out_pull", {pull.id, pull.build, pull.whyLeftOut}});
        paragraph(out.items.empty() ? said("sheet.none_left_out") : said("sheet.left_out", {out}), 8.5,
                  out.items.empty() ? kQuietInk : kInk);
        for (const PullResult& pull : m_analysis.pulls)
            if (pull.used && !pull.flags.empty())
                paragraph(said("sheet.odd_in_use", {pull.id, pull.build}), 8.5, kWarning);
    }

    void method() {
        const AnalysisSettings& s = m_analysis.settings;
        std::vector<Statement> words{
            {"sheet.basis", {basisPhrase(m_analysis), decimals(s.reduce.smoothing_rpm, 0, "rpm")}}};
        if (m_analysis.model && m_analysis.model->degreesOfFreedom > 0)
            words.push_back({"sheet.repeatability",
                             {decimals(100.0 * m_analysis.model->levelSd, 2, "%"),
                              std::to_string(m_analysis.model->degreesOfFreedom)}});
        if (m_analysis.model && m_analysis.model->drift.identified)
            words.push_back({"sheet.drift",
                             {signedDecimals(100.0 * std::expm1(m_analysis.model->drift.perHour), 2, "%"),
                              allowancePhrase(s.drift.allowance)}});
        if (s.drift.declaredBound_pct)
            words.push_back({"sheet.drift_bound", {significant(*s.drift.declaredBound_pct, 6, "%")}});
        for (const DayDoubt& doubt : m_analysis.doubts)
            words.push_back(doubt.text);
        words.insert(words.end(), m_analysis.notes.begin(), m_analysis.notes.end());
        words.push_back({"sheet.intervals"});
        paragraph(m_voice.say(words), 7.5, kQuietInk);
        paragraph(said("sheet.safety"), 7.5, kQuietInk);
    }

private:
    [[nodiscard]] std::string said(const char* id, std::vector<Argument> holes = {}) const {
        return m_voice.say(Statement{id, std::move(holes)});
    }

    static Statement allowancePhrase(DriftAllowance allowance) {
        constexpr const char* ids[] = {"allowance.steady", "allowance.cautious", "allowance.jumps"};
        return {ids[static_cast<size_t>(allowance)]};
    }

    static std::string joined(const std::vector<std::string>& parts) {
        std::string out;
        for (const std::string& part : parts)
            if (!part.empty())
                out += (out.empty() ? "" : kDot) + part;
        return out;
    }

    [[nodiscard]] std::string airText() const {
        double low = 1e9;
        double high = 0.0;
        for (const PullResult& pull : m_analysis.pulls) {
            if (!pull.used)
                continue;
            low = std::min(low, pull.curve->air.factor);
            high = std::max(high, pull.curve->air.factor);
        }
        return high > 0.0 ? kDot + said("sheet.factor", {decimals(low, 4), decimals(high, 4)}) : std::string();
    }

    [[nodiscard]] std::vector<double> inUnits(const std::vector<double>& values_w) const {
        std::vector<double> out;
        for (const double value : values_w)
            out.push_back(powerIn(m_units.power, value));
        return out;
    }

    void text(double x, double y, const std::string& words, double size, Colour colour, bool bold = false,
              Align align = Align::Left, bool mono = false) {
        page.add(Text{{x, y}, words, size, colour, bold, mono, align});
    }

    void rule(double y) { page.add(Line{{{kLeft, y}, {kRight, y}}, kRule, 0.8, {}}); }

    void paragraph(const std::string& words, double size, Colour colour) {
        for (const std::string& line : wrapped(words, kRight - kLeft, size)) {
            text(kLeft, m_y, line, size, colour);
            m_y += size + 4.0;
        }
    }

    void buildLine(const std::string& id, const char* fitted, const char* given) {
        const size_t number = buildNumber(m_day, id);
        const BuildResult* result = m_analysis.findBuild(id);
        page.add(Line{{{kLeft, m_y - 3}, {kLeft + 24, m_y - 3}}, buildColour(number), 1.6, buildDash(number)});
        text(kLeft + 30, m_y, id, 10, buildColour(number), true);
        std::string words = m_day.builds[number].name;
        if (result)
            words += "  " + (result->given.empty() ? said(fitted, {Count{static_cast<long>(result->pullsUsed.size())}})
                                                   : said(given, {result->given}));
        text(kLeft + 46, m_y, words, 9, kInk);
        if (result && std::isfinite(result->peakPower_w.value))
            text(kRight, m_y,
                 said("sheet.peak",
                      {decimals(powerIn(m_units.power, result->peakPower_w.value), 1, powerUnitText(m_units.power)),
                       placePhrase(m_analysis.place), Rpm{std::round(result->peakPower_w.rpm / 10.0) * 10.0}}),
                 9, kQuietInk, false, Align::Right);
        m_y += 14;
    }

    void ribbon(const Comparison& c, const RpmRange& x) {
        const double top = m_y + 1;
        const double bottom = top + 8;
        auto xOf = [&](double rpm) {
            return kPlotLeft + (std::clamp(rpm, x.low, x.high) - x.low) / (x.high - x.low) * (kPlotRight - kPlotLeft);
        };
        const double half = c.rpm.size() > 1 ? 0.5 * (c.rpm[1] - c.rpm[0]) : 0.0;
        for (const Region& region : c.regions) {
            const double from = xOf(region.range_rpm.low - half);
            const double to = xOf(region.range_rpm.high + half);
            const bool unresolved = region.kind == RegionKind::Unresolved;
            const Colour colour = region.kind == RegionKind::Gain ? kGain : (unresolved ? kUnresolved : kLoss);
            page.add(Area{{{from, top}, {to, top}, {to, bottom}, {from, bottom}}, colour, 1.0, unresolved});
            if (!unresolved && to - from > 40)
                text((from + to) / 2, bottom - 1.5, said(region.kind == RegionKind::Gain ? "sheet.gain" : "sheet.loss"),
                     7, 0xFFFFFF, true, Align::Centre);
        }
        m_y = bottom + 2;
    }

    void heading(const std::string& title, const double (&columns)[4], const std::vector<std::string>& names) {
        text(kLeft, m_y, title, 9.5, kInk, true);
        for (size_t i = 1; i < names.size(); ++i)
            text(columns[i], m_y, names[i], 7.5, kQuietInk);
        m_y += 4;
        rule(m_y);
        m_y += 12;
    }

    void row(const double (&columns)[4], const std::vector<std::string>& cells) {
        for (size_t i = 0; i < cells.size(); ++i)
            text(columns[i], m_y, cells[i], 9, kInk);
        m_y += 13;
    }

    const TestDay& m_day;
    const DayAnalysis& m_analysis;
    const Voice& m_voice;
    DisplayUnits m_units;
    double m_y = 40;
};

} // namespace

Page comparisonSheet(const TestDay& day, const DayAnalysis& analysis, const Comparison& comparison, const Voice& voice,
                     const SheetSections& sections) {
    Sheet sheet(day, analysis, voice);
    sheet.header();
    sheet.sentence(voice.say(summary(comparison, voice.manner().units)));
    if (sections.changed)
        sheet.changed(comparison);
    if (sections.curves)
        sheet.curves({comparison.from, comparison.to});
    if (sections.difference)
        sheet.difference(comparison);
    if (sections.bands)
        sheet.bands(comparison);
    if (sections.leftOut)
        sheet.leftOut();
    if (sections.method)
        sheet.method();
    return sheet.page;
}

Page daySheet(const TestDay& day, const DayAnalysis& analysis, const Voice& voice) {
    Sheet sheet(day, analysis, voice);
    sheet.header();
    sheet.sentence(voice.say(Statement{"sheet.nothing_yet", {analysis.whyNoComparison}}));
    std::vector<std::string> ids;
    for (const BuildResult& build : analysis.builds)
        ids.push_back(build.id);
    if (!ids.empty())
        sheet.curves(ids);
    sheet.leftOut();
    sheet.method();
    return sheet.page;
}

std::vector<Page> allSheets(const TestDay& day, const DayAnalysis& analysis, const Voice& voice) {
    std::vector<Page> out;
    for (const Comparison& comparison : analysis.comparisons)
        out.push_back(comparisonSheet(day, analysis, comparison, voice));
    if (out.empty())
        out.push_back(daySheet(day, analysis, voice));
    return out;
}

} // namespace hillrun::report
