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
std::string offerFor(double ratio, const std::string& powerUnit, const std::string& torqueUnit) {
    for (const char* unit : kPowerUnits)
        if (unit != powerUnit && std::abs(ratio * scaleOf(powerUnit) / scaleOf(unit) - 1.0) < 0.5 * kAgree)
            return fmt::format("the power is in {}", unit);
    for (const char* unit : kTorqueUnits)
        if (unit != torqueUnit && std::abs(ratio * scaleOf(unit) / scaleOf(torqueUnit) - 1.0) < 0.5 * kAgree)
            return fmt::format("the torque is in {}", unit);
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

std::string sheetDoubtText(const SheetDoubt& doubt, const std::string& powerUnit, const std::string& torqueUnit) {
    std::string out = fmt::format("Power and torque do not belong together: torque times speed is {:.2f} times the "
                                  "power",
                                  doubt.ratio);
    out += std::abs(doubt.ratio - 1.0) < kAgree
               ? fmt::format(", but {:.0f} % off at some speeds. ", 100.0 * doubt.worst)
               : ". ";
    out += fmt::format("In {} and {} both show the same figure at {:.0f} rpm, and only there", powerUnit, torqueUnit,
                       doubt.crossing_rpm);
    out += doubt.seenCrossing_rpm ? fmt::format("; here they do so at {:.0f} rpm. ", *doubt.seenCrossing_rpm)
                                  : std::string(". ");
    out += doubt.offer.empty() ? "Look at the units, at the marks on the axes, and at which line belongs to which axis."
                               : "They would agree if " + doubt.offer + ".";
    return out;
}

} // namespace hillrun
