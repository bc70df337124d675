// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/trace/sheet_check.h"

#include "core/pull/robust.h"
#include "core/trace/traced_curve.h"
#include "core/units/units.h"

#include <array>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kAgree = 0.02;
constexpr size_t kFew = 20;
constexpr std::array kPowerUnits{"kW", "hp", "PS"};
constexpr std::array kTorqueUnits{"N.m", "lbf.ft", "kgf.m"};

double scaleOf(const std::string& unit) { return parseUnit(unit)->scale; }

/// The one other unit that brings the ratio to 1.
Statement offerFor(double ratio, const std::string& powerUnit, const std::string& torqueUnit) {
    for (const char* unit : kPowerUnits)
        if (unit != powerUnit && std::abs(ratio * scaleOf(powerUnit) / scaleOf(unit) - 1.0) < 0.5 * kAgree)
            return {"sheet_check.power_in", {std::string(unit)}};
    for (const char* unit : kTorqueUnits)
        if (unit != torqueUnit && std::abs(ratio * scaleOf(unit) / scaleOf(torqueUnit) - 1.0) < 0.5 * kAgree)
            return {"sheet_check.torque_in", {std::string(unit)}};
    return {};
}

} // namespace

std::optional<SheetDoubt> checkSheet(const ChannelTable& table, const std::string& powerUnit,
                                     const std::string& torqueUnit) {
    const Column* speed = table.find("engine_speed");
    const Column* power = table.find("power");
    const Column* torque = table.find("torque");
    if (!speed || !power || !torque)
        return std::nullopt;
    std::vector<double> ratios;
    std::vector<double> off;
    SheetDoubt out;
    double before = std::nan("");
    double before_rpm = 0.0;
    for (size_t i = 0; i < table.rows(); ++i) {
        const double rpm = speed->values[i];
        const double ratio = torque->values[i] * angularSpeed(rpm) / 1000.0 / power->values[i];
        if (!std::isfinite(ratio))
            continue;
        ratios.push_back(ratio);
        off.push_back(std::abs(ratio - 1.0));
        const double apart = power->values[i] / scaleOf(powerUnit) - torque->values[i] / scaleOf(torqueUnit);
        if (before * apart <= 0.0 && !out.seenCrossing_rpm)
            out.seenCrossing_rpm = before_rpm + (rpm - before_rpm) * before / (before - apart);
        before = apart;
        before_rpm = rpm;
    }
    if (ratios.empty())
        return std::nullopt;
    out.ratio = median(ratios);
    out.worst = quantileOf(off, off.size() < kFew ? 1.0 : 0.9); // of few each was meant
    out.crossing_rpm = 1000.0 * scaleOf(powerUnit) / scaleOf(torqueUnit) / angularSpeed(1.0);
    const double reading = usualReading_pct(table).value_or(0.0) / 100.0;
    if (out.worst <= kAgree + 1.5 * reading) // both are read: 1.5 stands for the root of two
        return std::nullopt;
    out.offer = offerFor(out.ratio, powerUnit, torqueUnit);
    return out;
}

std::vector<Statement> sheetDoubtStatements(const SheetDoubt& doubt, const std::string& powerUnit,
                                            const std::string& torqueUnit) {
    std::vector<Statement> out;
    const Number times = decimals(doubt.ratio, 2);
    if (std::abs(doubt.ratio - 1.0) < kAgree)
        out.push_back({"sheet_check.off_at_some", {times, decimals(100.0 * doubt.worst, 0, "%")}});
    else
        out.push_back({"sheet_check.times", {times}});
    const Rpm meant{doubt.crossing_rpm};
    if (doubt.seenCrossing_rpm)
        out.push_back({"sheet_check.crosses_at", {powerUnit, torqueUnit, meant, Rpm{*doubt.seenCrossing_rpm}}});
    else
        out.push_back({"sheet_check.crosses_nowhere", {powerUnit, torqueUnit, meant}});
    out.push_back(doubt.offer.empty() ? Statement{"sheet_check.look"}
                                      : Statement{"sheet_check.agree_if", {doubt.offer}});
    return out;
}

} // namespace hillrun
