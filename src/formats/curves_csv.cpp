// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/curves_csv.h"

#include "core/compare/judge.h"
#include "core/compare/quantity.h"
#include "words/voice.h"

#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

struct Series {
    std::string title;
    const std::vector<double>* values_si;
    double scale;
};

void addEdges(std::vector<Series>& out, const std::string& pair, const char* band, const Edges& edges, double scale,
              const char* unit) {
    out.push_back({fmt::format("{}_{}_low [{}]", pair, band, unit), &edges.low, scale});
    out.push_back({fmt::format("{}_{}_high [{}]", pair, band, unit), &edges.high, scale});
}

std::string header(const TestDay& day, const DayAnalysis& analysis) {
    const Voice english = Voice::forFiles();
    std::string out = fmt::format("# {}, {}\n# {}; smoothing {:g} rpm\n", day.name, day.date,
                                  english.say(basisPhrase(analysis)), analysis.settings.reduce.smoothing_rpm);
    for (const PullResult& pull : analysis.pulls)
        if (!pull.used)
            out += fmt::format("# left out: {} ({}): {}\n", pull.id, pull.build, english.say(pull.whyLeftOut));
    return out;
}

/// The other curve in its own unit, by the family's pairs.
void addQuantity(std::vector<Series>& out, const QuantityAnswer& answer) {
    const std::string& name = answer.kind.id;
    const char* unit = answer.kind.unit.c_str();
    for (const auto& [build, values] : answer.builds)
        out.push_back({fmt::format("{}_{} [{}]", build, name, unit), &values, 1.0});
    for (size_t i = 0; i < answer.family; ++i) {
        const QuantityPair& pair = answer.pairs[i];
        const std::string title = pair.from + "_to_" + pair.to + "_" + name;
        out.push_back({fmt::format("{}_difference [{}]", title, unit), &pair.delta, 1.0});
        addEdges(out, title, "pointwise95", pair.pointwise95, 1.0, unit);
        addEdges(out, title, "simultaneous95", pair.simultaneous95, 1.0, unit);
    }
}

} // namespace

std::string curvesCsv(const TestDay& day, const DayAnalysis& analysis, const DisplayUnits& units) {
    const char* powerUnit = powerUnitText(units.power);
    const char* torqueUnit = units.torque == TorqueUnit::PoundFoot ? "lbf.ft" : "N.m";
    const double power = powerIn(units.power, 1.0);
    const double torque = torqueIn(units.torque, 1.0);
    std::vector<Series> series;
    for (const BuildResult& build : analysis.builds) {
        series.push_back({fmt::format("{}_torque [{}]", build.id, torqueUnit), &build.torque_nm, torque});
        series.push_back({fmt::format("{}_power [{}]", build.id, powerUnit), &build.power_w, power});
    }
    for (const Comparison& c : analysis.comparisons) {
        const std::string pair = c.from + "_to_" + c.to;
        series.push_back({fmt::format("{}_difference [{}]", pair, powerUnit), &c.delta_w, power});
        addEdges(series, pair, "pointwise95", c.pointwise95_w, power, powerUnit);
        addEdges(series, pair, "simultaneous95", c.simultaneous95_w, power, powerUnit);
    }
    if (analysis.quantity)
        addQuantity(series, *analysis.quantity);
    std::string out = header(day, analysis) + "engine_speed [rpm]";
    for (const Series& s : series)
        out += "," + s.title;
    out += '\n';
    for (size_t p = 0; p < analysis.rpm.size(); ++p) {
        out += fmt::format("{:g}", analysis.rpm[p]);
        for (const Series& s : series) {
            const double value = (*s.values_si)[p] * s.scale;
            out += std::isfinite(value) ? fmt::format(",{:.4f}", value) : ",";
        }
        out += '\n';
    }
    return out;
}

} // namespace hillrun
