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
    Sheet(const TestDay& day, const DayAnalysis& analysis, const DisplayUnits& units)
        : m_day(day), m_analysis(analysis), m_units(units) {}

    Page page;

    void header() {
        page.add(Area{{{kLeft, 40}, {kLeft + 5, 40}, {kLeft + 5, 78}, {kLeft, 78}}, 0x0E6A6A, 1.0, false});
        text(kLeft + 14, 52, m_day.name.empty() ? "Untitled day" : m_day.name, 14, kInk, true);
        text(kLeft + 14, 65, joined({m_day.date, m_day.article.name, m_day.cell.name, m_day.operatorName}), 8.5,
             kQuietInk);
        text(kRight, 52, "Hill Run", 9, kQuietInk, true, Align::Right);
        text(kLeft + 14, 77, basisText(m_analysis) + airText(), 8.5, kQuietInk);
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
        buildLine(c.from, "from");
        buildLine(c.to, "to");
        std::string what;
        for (const Change& change : c.changed)
            what +=
                fmt::format("{}{}: {} \xE2\x86\x92 {}", what.empty() ? "" : ";  ", change.part, change.from, change.to);
        paragraph(c.changed.empty()
                      ? "No difference between the builds is noted."
                      : fmt::format("{} changed: {}",
                                    c.changed.size() == 1 ? "One thing" : std::to_string(c.changed.size()) + " things",
                                    what),
                  8.5, kQuietInk);
        if (!c.samePlace())
            paragraph("Power was measured at different places: the difference holds the losses between.", 8.5,
                      kWarning);
        for (const LikeForLike& row : c.likeForLike)
            if (row.verdict == LikeVerdict::Differs)
                paragraph(fmt::format("Not like for like: {} differs by {:+.3g} {} (tolerance {:g}).", row.channel,
                                      row.difference, row.unit == "1" ? "" : row.unit, row.tolerance),
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
        plot.axes(
            fmt::format("Power {}, {} (mean of the pulls)", placeText(m_analysis.place), powerUnitText(m_units.power)),
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
        plot.axes(fmt::format("Difference {} \xE2\x88\x92 {}, {} {}{}", c.to, c.from, powerUnitText(m_units.power),
                              placeText(c.place), c.hasInterval ? ", with its 95 % band for the whole curve" : ""),
                  true);
        if (c.hasInterval)
            plot.band(c.rpm, low, highs, 0x9FB0B4, 0.45);
        plot.zeroLine();
        plot.curve(c.rpm, delta, kInk, 1.4, {});
        m_y += height + 44;
    }

    void bands(const Comparison& c) {
        const double columns[] = {kLeft, 200, 330, 420};
        heading("Average difference", columns, {"from-to rpm", "power " + placeText(c.place), "percent", "torque"});
        for (size_t i = 0; i < c.bands.size(); ++i) {
            const BandResult& band = c.bands[i];
            const double half = 0.5 * (band.high_w - band.low_w);
            row(columns,
                {fmt::format("{}\xE2\x80\x93{}{}", rpmText(band.range_rpm.low), rpmText(band.range_rpm.high),
                             i == 0 ? "  (common range)" : ""),
                 withInterval(powerIn(m_units.power, band.delta_w), powerIn(m_units.power, half),
                              powerUnitText(m_units.power), true),
                 signedText(band.percent, 1) + " %",
                 signedText(torqueIn(m_units.torque, band.deltaTorque_nm), 1) + " " + torqueUnitText(m_units.torque)});
        }
        const PeakDifference& peak = c.peakPower_w;
        std::string words = "Peak power " + withInterval(powerIn(m_units.power, peak.delta),
                                                         powerIn(m_units.power, 0.5 * (peak.high - peak.low)),
                                                         powerUnitText(m_units.power), true);
        words += fmt::format("; peak torque {}",
                             withInterval(torqueIn(m_units.torque, c.peakTorque_nm.delta),
                                          torqueIn(m_units.torque, 0.5 * (c.peakTorque_nm.high - c.peakTorque_nm.low)),
                                          torqueUnitText(m_units.torque), true));
        if (peak.atEnd)
            words += "; some pull still rises at the end of its range";
        for (const double crossover : c.crossovers_rpm)
            words += fmt::format("; the lines cross at {} rpm", rpmText(std::round(crossover / 10.0) * 10.0));
        m_y += 3;
        paragraph(words + ".", 8.5, kInk);
        if (const std::string settle = settleText(c, m_units); !settle.empty())
            paragraph(settle, 8.5, kInk);
        if (c.judgedBy == JudgedBy::AllPairs)
            paragraph("Not one of the day's planned comparisons: judged by the wider band over all pairs.", 8.5,
                      kQuietInk);
        m_y += 4;
    }

    void leftOut() {
        std::string words;
        for (const PullResult& pull : m_analysis.pulls)
            if (!pull.used)
                words += fmt::format("{}{} ({}): {}", words.empty() ? "" : ";  ", pull.id, pull.build, pull.whyLeftOut);
        paragraph(words.empty() ? "No pull was left out." : "Left out: " + words + ".", 8.5,
                  words.empty() ? kQuietInk : kInk);
        for (const PullResult& pull : m_analysis.pulls)
            if (pull.used && !pull.flags.empty())
                paragraph(
                    fmt::format("In use although it does not look like the others: {} ({}).", pull.id, pull.build), 8.5,
                    kWarning);
    }

    void method() {
        const AnalysisSettings& s = m_analysis.settings;
        std::string words =
            fmt::format("Air and place: {}. Smoothing {:g} rpm. ", basisText(m_analysis), s.reduce.smoothing_rpm);
        if (m_analysis.model && m_analysis.model->degreesOfFreedom > 0)
            words += fmt::format("Repeatability of one pull {:.2f} % from {} degrees of freedom. ",
                                 100.0 * m_analysis.model->levelSd, m_analysis.model->degreesOfFreedom);
        if (m_analysis.model && m_analysis.model->drift.identified)
            words += fmt::format("Drift {:+.2f} % per hour taken out, with the {} allowance. ",
                                 100.0 * std::expm1(m_analysis.model->drift.perHour), allowanceText(s.drift.allowance));
        if (s.drift.declaredBound_pct)
            words += fmt::format("Drift bound declared: {:g} %. ", *s.drift.declaredBound_pct);
        for (const DayDoubt& doubt : m_analysis.doubts)
            words += doubt.text + " ";
        for (const std::string& note : m_analysis.notes)
            words += note + " ";
        words +=
            "Intervals are 95 %; a refitting error common to a whole set shows only when the build is fitted again.";
        paragraph(words, 7.5, kQuietInk);
        paragraph("Hill Run records and advises. It does not make a pull safe; the cell's own rules and local codes go "
                  "first.",
                  7.5, kQuietInk);
    }

private:
    static const char* allowanceText(DriftAllowance allowance) {
        constexpr const char* names[] = {"steady", "cautious", "jumps"};
        return names[static_cast<size_t>(allowance)];
    }

    /// "+1.5", with a true minus sign.
    static std::string signedText(double value, int decimals) {
        std::string out = fmt::format("{:+.{}f}", value, decimals);
        if (out.front() == '-')
            out.replace(0, 1, "\xE2\x88\x92");
        return out;
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
        return high > 0.0 ? fmt::format("{}factor {:.4f}\xE2\x80\x93{:.4f}", kDot, low, high) : std::string();
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

    void buildLine(const std::string& id, const char* role) {
        const size_t number = buildNumber(m_day, id);
        const BuildResult* result = m_analysis.findBuild(id);
        page.add(Line{{{kLeft, m_y - 3}, {kLeft + 24, m_y - 3}}, buildColour(number), 1.6, buildDash(number)});
        text(kLeft + 30, m_y, id, 10, buildColour(number), true);
        std::string words = m_day.builds[number].name;
        if (result)
            words += result->given.empty() ? fmt::format("  ({}, {} pulls)", role, result->pullsUsed.size())
                                           : fmt::format("  ({}, {})", role, result->given);
        text(kLeft + 46, m_y, words, 9, kInk);
        if (result && std::isfinite(result->peakPower_w.value))
            text(kRight, m_y,
                 fmt::format("peak {:.1f} {} {}, {} rpm", powerIn(m_units.power, result->peakPower_w.value),
                             powerUnitText(m_units.power), placeText(m_analysis.place),
                             rpmText(std::round(result->peakPower_w.rpm / 10.0) * 10.0)),
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
                text((from + to) / 2, bottom - 1.5, regionName(region.kind), 7, 0xFFFFFF, true, Align::Centre);
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
    DisplayUnits m_units;
    double m_y = 40;
};

} // namespace

Page comparisonSheet(const TestDay& day, const DayAnalysis& analysis, const Comparison& comparison,
                     const DisplayUnits& units, const SheetSections& sections) {
    Sheet sheet(day, analysis, units);
    sheet.header();
    sheet.sentence(summary(comparison, units));
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

Page daySheet(const TestDay& day, const DayAnalysis& analysis, const DisplayUnits& units) {
    Sheet sheet(day, analysis, units);
    sheet.header();
    sheet.sentence("Nothing to compare yet: " + analysis.whyNoComparison + ".");
    std::vector<std::string> ids;
    for (const BuildResult& build : analysis.builds)
        ids.push_back(build.id);
    if (!ids.empty())
        sheet.curves(ids);
    sheet.leftOut();
    sheet.method();
    return sheet.page;
}

std::vector<Page> allSheets(const TestDay& day, const DayAnalysis& analysis, const DisplayUnits& units) {
    std::vector<Page> out;
    for (const Comparison& comparison : analysis.comparisons)
        out.push_back(comparisonSheet(day, analysis, comparison, units));
    if (out.empty())
        out.push_back(daySheet(day, analysis, units));
    return out;
}

} // namespace hillrun::report
