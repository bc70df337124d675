// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/cell_checks.h"

#include "core/errors/data_error.h"
#include "core/pull/robust.h"
#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

/// Half widths of a fitted line's slope and of its height at zero, 95 %; NaN without spare readings.
struct LineHalves {
    double slope = kNaN;
    double atZero = kNaN;
};

LineHalves halvesOf(const Line& line, const std::vector<double>& x, const std::vector<double>& y) {
    const double spare = line.rows - 2.0;
    if (spare < 1.0)
        return {};
    double squares = 0.0;
    double sxx = 0.0;
    for (size_t i = 0; i < x.size(); ++i) {
        squares += std::pow(y[i] - line.at(x[i]), 2);
        sxx += std::pow(x[i] - line.meanX, 2);
    }
    const double sd = std::sqrt(squares / spare);
    const double t = boost::math::quantile(boost::math::students_t(spare), 0.975);
    return {t * sd / std::sqrt(sxx), t * sd * std::sqrt(1.0 / line.rows + line.meanX * line.meanX / sxx)};
}

/// Readings at one mass, those going up apart from those coming down.
struct AtMass {
    std::vector<double> up, down;
    [[nodiscard]] static double mean(const std::vector<double>& values) {
        double sum = 0.0;
        for (const double value : values)
            sum += value;
        return sum / static_cast<double>(values.size());
    }
};

/// The heaviest, and what came before it, was hung; what came after it was taken off.
std::map<double, AtMass> byMass(const std::vector<CheckedLoad>& loads) {
    const auto heaviest = std::max_element(loads.begin(), loads.end(), [](const CheckedLoad& a, const CheckedLoad& b) {
        return a.torque_nm < b.torque_nm;
    });
    std::map<double, AtMass> out;
    for (auto one = loads.begin(); one != loads.end(); ++one) {
        AtMass& here = out[one->torque_nm];
        if (one <= heaviest)
            here.up.push_back(one->read_nm);
        if (one >= heaviest)
            here.down.push_back(one->read_nm);
    }
    return out;
}

void addLinearity(const Line& line, LoadCellResult& out) {
    double farthest = 0.0;
    for (const auto& [torque_nm, here] : byMass(out.loads)) {
        std::vector<double> all = here.up;
        all.insert(all.end(), here.down.begin(), here.down.end());
        farthest = std::max(farthest, std::abs(AtMass::mean(all) - line.at(torque_nm)));
        if (torque_nm == 0.0 || torque_nm == out.highest_nm || here.up.empty() || here.down.empty())
            continue;
        const double gap_pct = 100.0 * (AtMass::mean(here.down) - AtMass::mean(here.up)) / out.highest_nm;
        if (!out.hysteresis_pct || std::abs(gap_pct) > std::abs(*out.hysteresis_pct))
            out.hysteresis_pct = gap_pct;
    }
    out.linearity_pct = 100.0 * farthest / out.highest_nm;
}

void addZeroDrift(LoadCellResult& out) {
    std::vector<double> empty;
    for (const CheckedLoad& load : out.loads)
        if (load.torque_nm == 0.0)
            empty.push_back(load.read_nm);
    if (empty.size() > 1)
        out.zeroDrift_nm = empty.back() - empty.front();
}

Statement offPhrase(const char* much, const char* little, const char* unknown, const LoadCellResult& r) {
    if (!std::isfinite(r.slopeHalf))
        return {unknown, {signedDecimals(r.off_pct(), 2, "%")}};
    const Number off = decimals(std::abs(r.off_pct()), 2);
    const Number half = decimals(r.offHalf_pct(), 2, "%");
    return {r.slope > 1.0 ? much : little, {off, half}};
}

std::optional<double> powerTooHigh_pct(const HumidAir& station, const HumidAir& reference, Standard standard,
                                       const EngineForAir& engine) {
    if (standard == Standard::Uncorrected)
        return std::nullopt;
    try {
        return 100.0 *
               (airFactor(standard, station, engine).factor / airFactor(standard, reference, engine).factor - 1.0);
    } catch (const DataError&) {
        return std::nullopt; // the day's own pulls say why
    }
}

} // namespace

std::optional<LoadCellResult> loadCellResult(const LoadCellCheck& check) {
    const double perKilogram_nm = check.arm_m * check.gravity_ms2.value_or(unit::kStandardGravity);
    LoadCellResult out;
    std::vector<double> torque_nm, read_nm;
    for (const HungMass& one : check.hung) {
        torque_nm.push_back(one.mass_kg * perKilogram_nm);
        read_nm.push_back(one.read_nm);
        out.highest_nm = std::max(out.highest_nm, torque_nm.back());
    }
    if (torque_nm.size() < 2 || !(out.highest_nm > 0.0) ||
        *std::min_element(torque_nm.begin(), torque_nm.end()) >= out.highest_nm)
        return std::nullopt;
    const Line line = fitLine(torque_nm, read_nm, 0, torque_nm.size() - 1);
    for (size_t i = 0; i < torque_nm.size(); ++i)
        out.loads.push_back({torque_nm[i], read_nm[i], read_nm[i] - line.at(torque_nm[i])});
    const LineHalves halves = halvesOf(line, torque_nm, read_nm);
    const double arm = check.armWithin_mm.value_or(0.0) / 1000.0 / check.arm_m;
    const double mass = check.massWithin_pct.value_or(0.0) / 100.0;
    out.slope = line.slope;
    out.slopeHalf = std::hypot(halves.slope, line.slope * arm, line.slope * mass);
    out.zero_nm = line.at(0.0);
    out.zeroHalf_nm = halves.atZero;
    addLinearity(line, out);
    addZeroDrift(out);
    return out;
}

StationResult stationResult(const StationCheck& check, Standard standard, const EngineForAir& engine) {
    const HumidAir station = humidAir(check.station);
    const HumidAir reference = humidAir(check.reference);
    return {(station.pressure_pa - reference.pressure_pa) / 1000.0, station.temperature_c - reference.temperature_c,
            (station.vapourPressure_pa - reference.vapourPressure_pa) / 1000.0,
            powerTooHigh_pct(station, reference, standard, engine)};
}

std::vector<Statement> loadCellSummary(const LoadCellResult& r, std::optional<double> highest_nm) {
    std::vector<Statement> out;
    if (std::isfinite(r.slopeHalf) && std::abs(r.slope - 1.0) <= r.slopeHalf)
        out.push_back({"check.cell_right", {signedDecimals(r.off_pct(), 2), decimals(r.offHalf_pct(), 2, "%")}});
    else
        out.push_back(offPhrase("check.cell_much", "check.cell_little", "check.cell_no_interval", r));
    out.push_back({"check.cell_means"});
    if (highest_nm && *highest_nm > 1.1 * r.highest_nm)
        out.push_back({"check.cell_range", {Torque{r.highest_nm}, Torque{*highest_nm}}});
    return out;
}

std::vector<Statement> stationSummary(const StationResult& r, Standard standard) {
    std::vector<Statement> out{{"check.station_off",
                                {signedDecimals(r.pressure_kpa, 2, "kPa"),
                                 signedDecimals(r.temperature_c, 1,
                                                "\xC2\xB0"
                                                "C"),
                                 signedDecimals(r.vapour_kpa, 2, "kPa")}}};
    if (standard != Standard::Uncorrected)
        out.push_back(
            {"check.station_means", {std::string(standardInfo(standard).title), signedDecimals(*r.power_pct, 2, "%")}});
    return out;
}

std::vector<Statement> cellCheckLines(const Cell& cell, Standard standard, const EngineForAir& engine) {
    std::vector<Statement> out;
    if (cell.loadCellCheck)
        if (const auto result = loadCellResult(*cell.loadCellCheck))
            out.push_back({"check.cell_line",
                           {cell.loadCellCheck->date,
                            offPhrase("check.line_much", "check.line_little", "check.line_no_interval", *result),
                            Torque{result->highest_nm}}});
    if (cell.stationCheck)
        if (const auto power_pct = stationResult(*cell.stationCheck, standard, engine).power_pct)
            out.push_back({"check.station_line",
                           {cell.stationCheck->date, std::string(standardInfo(standard).title),
                            signedDecimals(*power_pct, 2, "%")}});
    return out;
}

} // namespace hillrun
