// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/day_record.h"

#include "core/compare/sentence.h"
#include "core/plan/cell_checks.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

std::optional<double> largest(const std::vector<double>& values) {
    std::optional<double> out;
    for (const double value : values)
        if (std::isfinite(value) && (!out || value > *out))
            out = value;
    return out;
}

std::optional<double> meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    for (const double value : values)
        sum += value;
    return values.empty() ? std::nullopt : std::optional(sum / static_cast<double>(values.size()));
}

PullRecord recordOfPull(const PullResult& pull) {
    PullRecord out{pull.build, pull.time_h, pull.set, pull.curve->rpm.front(), {}};
    for (const double power : pull.curve->power_w)
        out.power_w.push_back(static_cast<float>(power));
    return out;
}

BuildRecord recordOfBuild(const Build& build, const BuildResult* result) {
    BuildRecord out{build.id,        build.name, build.parts, build.settings, build.note, build.sameAs,
                    build.reference, {},         {}};
    if (result) {
        out.peakPower_w = largest(result->power_w);
        out.peakTorque_nm = largest(result->torque_nm);
    }
    return out;
}

/// A build that only has curves without rows has no value where one of them ends.
PaperCurve paperOf(const BuildResult& build, const DayAnalysis& analysis) {
    PaperCurve out{{build.id, 0.0, 0, 0.0, {}}, build.given};
    for (size_t p = 0; p < build.power_w.size(); ++p) {
        if (!std::isfinite(build.power_w[p]))
            continue;
        if (out.curve.power_w.empty())
            out.curve.low_rpm = analysis.rpm[p];
        out.curve.power_w.push_back(static_cast<float>(build.power_w[p]));
    }
    return out;
}

void addCurves(const DayAnalysis& analysis, DayRecord& out) {
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && pull.curve && !pull.curve->rpm.empty()) {
            out.pulls.push_back(recordOfPull(pull));
            out.outsideAir = out.outsideAir || !pull.curve->air.withinValidity;
        }
    std::stable_sort(out.pulls.begin(), out.pulls.end(),
                     [](const PullRecord& a, const PullRecord& b) { return a.time_h < b.time_h; });
    for (const BuildResult& build : analysis.builds)
        if (!build.given.empty())
            if (PaperCurve paper = paperOf(build, analysis); !paper.curve.power_w.empty())
                out.papers.push_back(std::move(paper));
}

/// The answer of the day's first comparison; else why there is none, and of curves off paper alone what they are.
std::vector<Statement> summaryOf(const DayAnalysis& analysis, const DayRecord& record) {
    if (!analysis.comparisons.empty())
        return summary(analysis.comparisons.front(), {});
    if (record.papers.empty() || !record.pulls.empty())
        return analysis.whyNoComparison.empty()
                   ? std::vector<Statement>{}
                   : std::vector<Statement>{{"sheet.nothing_yet", {analysis.whyNoComparison}}};
    Several papers;
    for (const PaperCurve& paper : record.papers)
        papers.items.push_back({"given.build", {paper.curve.build, paper.what}});
    return {{"logbook.on_paper", {std::move(papers)}}};
}

void addWeather(const TestDay& day, DayRecord& out) {
    std::vector<double> temperatures;
    std::vector<double> pressures;
    for (const Pull& pull : day.pulls)
        if (pull.use && pull.weather) {
            temperatures.push_back(pull.weather->temperature_c);
            if (const auto pressure = stationPressure_kpa(pull))
                pressures.push_back(*pressure);
        }
    out.temperature_c = meanOf(temperatures);
    out.pressure_kpa = meanOf(pressures);
}

void addChecks(const TestDay& day, Standard standard, DayRecord& out) {
    if (const auto& check = day.cell.loadCellCheck)
        if (const auto result = loadCellResult(*check))
            out.loadCell = {check->date, result->off_pct()};
    if (const auto& check = day.cell.stationCheck)
        if (const auto power_pct = stationResult(*check, standard, engineForAir(day)).power_pct)
            out.station = {check->date, *power_pct};
}

void addNoise(const DayModel& model, DayRecord& out) {
    out.protectedFromDrift = model.drift.identified;
    out.correlation = model.correlation;
    out.freedom = std::max(0, model.measuredFreedom); // its own: what it was told by others is no news to them
    if (model.measuredFreedom <= 0)
        return;
    out.levelSd = model.measuredLevelSd;
    for (Eigen::Index p = 0; p < model.measuredShapeVariance.size(); ++p) {
        if (!std::isfinite(model.measuredShapeVariance(p)))
            continue;
        if (out.shapeVariance.empty())
            out.varianceLow_rpm = model.input.rpm[static_cast<size_t>(p)];
        out.shapeVariance.push_back(static_cast<float>(model.measuredShapeVariance(p)));
    }
}

} // namespace

std::optional<double> DayRecord::peakPower_w() const {
    std::optional<double> out;
    for (const BuildRecord& build : builds)
        if (build.peakPower_w && (!out || *build.peakPower_w > *out))
            out = build.peakPower_w;
    return out;
}

std::string dayId(const TestDay& day) {
    if (!day.id.empty())
        return day.id;
    const auto first = std::min_element(day.pulls.begin(), day.pulls.end(), [](const Pull& a, const Pull& b) {
        return std::pair(secondsOf(a.started).value_or(INFINITY), a.id) <
               std::pair(secondsOf(b.started).value_or(INFINITY), b.id);
    });
    if (first == day.pulls.end() || first->sha256.size() < 10)
        return {};
    return (day.date.empty() ? std::string("undated") : day.date) + "-" + first->sha256.substr(0, 10);
}

DayRecord recordOf(const TestDay& day, const DayAnalysis& analysis) {
    DayRecord out;
    out.id = dayId(day);
    out.name = day.name;
    out.date = day.date;
    out.article = day.article.name;
    out.displacement_cc = day.article.engine.displacement_cc;
    out.strokes = day.article.engine.strokes;
    out.cell = day.cell.name;
    out.cellKind = cellKindName(day.cell.kind);
    out.measuredAt = measuredAtName(analysis.place.at);
    out.standard = standardInfo(analysis.settings.reduce.standard).name;
    out.operatorName = day.operatorName;
    out.note = day.note;
    out.step_rpm = analysis.settings.reduce.grid_rpm;
    for (const Build& build : day.builds)
        out.builds.push_back(recordOfBuild(build, analysis.findBuild(build.id)));
    addCurves(analysis, out);
    if (analysis.model)
        addNoise(*analysis.model, out);
    addWeather(day, out);
    addChecks(day, analysis.settings.reduce.standard, out);
    out.summary = summaryOf(analysis, out);
    if (analysis.model && analysis.model->historyFreedom > 0)
        out.summary.push_back(widthStatements(analysis).front()); // an answer that assumes so much never stands alone
    return out;
}

} // namespace hillrun
