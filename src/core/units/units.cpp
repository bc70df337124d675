// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/units/units.h"

#include <algorithm>
#include <cctype>
#include <map>

namespace hillrun {
namespace {

/// Lower case without blanks, dots, dashes, carets and the degree sign, so that "lbf.ft", "LBF-FT" and "lbf ft" agree.
std::string normalised(std::string_view text) {
    std::string out;
    for (size_t i = 0; i < text.size(); ++i) {
        const auto c = static_cast<unsigned char>(text[i]);
        const bool twoByteSign = c == 0xC2 && i + 1 < text.size();
        if (twoByteSign && static_cast<unsigned char>(text[i + 1]) == 0xB0) { // degree sign
            out += "deg";
            ++i;
            continue;
        }
        if (twoByteSign && static_cast<unsigned char>(text[i + 1]) == 0xB7) { // middle dot
            ++i;
            continue;
        }
        if (std::isspace(c) || c == '.' || c == '-' || c == '*' || c == '^' || c == '_')
            continue;
        out += static_cast<char>(std::tolower(c));
    }
    return out;
}

using Table = std::map<std::string, Unit, std::less<>>;

void add(Table& table, Dimension dimension, double scale, std::initializer_list<const char*> names, double offset = 0.0,
         bool gauge = false) {
    for (const char* name : names)
        table.emplace(name, Unit{dimension, scale, offset, gauge});
}

Table makeTable() {
    using D = Dimension;
    Table t;
    add(t, D::EngineSpeed, 1.0, {"rpm", "1/min", "min1", "r/min", "u/min", "rev/min", "revs/min"});
    add(t, D::EngineSpeed, 1000.0, {"krpm", "rpmx1000"});
    add(t, D::AngularSpeed, 1.0, {"rad/s", "rads1"});
    add(t, D::Torque, 1.0, {"nm"});
    add(t, D::Torque, 1000.0, {"knm"});
    add(t, D::Torque, unit::kPoundFoot_nm,
        {"lbft", "ftlb", "lbfft", "ftlbf", "ftlbs", "lbsft", "poundfeet", "footpounds"});
    add(t, D::Torque, unit::kPoundFoot_nm / 12.0, {"inlb", "lbin", "inlbf", "lbfin"});
    add(t, D::Torque, unit::kStandardGravity, {"kgm", "kgfm", "mkg", "kpm"});
    add(t, D::Power, 1.0, {"kw"});
    add(t, D::Power, 0.001, {"w"});
    add(t, D::Power, unit::kHorsepower_w / 1000.0, {"hp", "bhp", "whp", "horsepower"});
    add(t, D::Power, unit::kMetricHorsepower_w / 1000.0, {"ps", "cv", "ch", "pk"});
    add(t, D::Pressure, 1.0, {"kpa", "kpaa", "kpaabs", "kpa(abs)"});
    add(t, D::Pressure, 0.1, {"hpa", "mbar", "mb"});
    add(t, D::Pressure, 0.001, {"pa"});
    add(t, D::Pressure, 1000.0, {"mpa"});
    add(t, D::Pressure, 100.0, {"bar", "bara", "barabs"});
    add(t, D::Pressure, unit::kPsi_pa / 1000.0, {"psi", "psia", "lbf/in2", "lb/in2"});
    add(t, D::Pressure, unit::kInchMercury_pa / 1000.0, {"inhg", "in hg", "\"hg", "inchhg"});
    add(t, D::Pressure, unit::kMillimetreMercury_pa / 1000.0, {"mmhg", "torr"});
    add(t, D::Pressure, unit::kPsi_pa / 1000.0, {"psig"}, 0.0, true);
    add(t, D::Pressure, 1.0, {"kpag", "kpagauge"}, 0.0, true);
    add(t, D::Pressure, 100.0, {"barg"}, 0.0, true);
    add(t, D::Temperature, 1.0, {"c", "degc", "celsius"});
    add(t, D::Temperature, 1.0, {"k", "degk", "kelvin"}, -unit::kZeroCelsius_k);
    add(t, D::Temperature, 5.0 / 9.0, {"f", "degf", "fahrenheit"}, -32.0 * 5.0 / 9.0);
    add(t, D::Time, 1.0, {"s", "sec", "secs", "second", "seconds"});
    add(t, D::Time, 0.001, {"ms", "msec"});
    add(t, D::Time, 60.0, {"min", "minutes"});
    add(t, D::RoadSpeed, 1.0, {"km/h", "kmh", "kph", "kmh1"});
    add(t, D::RoadSpeed, 3.6, {"m/s", "ms1"});
    add(t, D::RoadSpeed, unit::kMile_m / 1000.0, {"mph", "mi/h"});
    add(t, D::MassFlow, 1.0, {"kg/h", "kgh", "kg/hr"});
    add(t, D::MassFlow, 3.6, {"g/s"});
    add(t, D::MassFlow, unit::kPound_kg, {"lb/h", "lb/hr", "lbs/h", "lbs/hr", "pph"});
    add(t, D::MassFlow, unit::kPound_kg * 60.0, {"lb/min", "lbs/min"});
    add(t, D::Angle, 1.0, {"deg", "degbtdc", "degca", "degcrank", "degrees"});
    add(t, D::Percent, 1.0, {"%", "pct", "percent"});
    add(t, D::Current, 1.0, {"ma"});
    add(t, D::Current, 1000.0, {"a"});
    add(t, D::None, 1.0, {"1", "", "lambda", "afr", "ratio", "counts", "v", "mv", "hz", "g"});
    return t;
}

} // namespace

std::optional<Unit> parseUnit(std::string_view text) {
    static const Table table = makeTable();
    // "min-1" loses its dash and reads "min1", which the table holds.
    const auto it = table.find(normalised(text));
    if (it == table.end())
        return std::nullopt;
    return it->second;
}

std::string canonicalUnitText(Dimension dimension) {
    switch (dimension) {
    case Dimension::None:
        return "1";
    case Dimension::EngineSpeed:
        return "rpm";
    case Dimension::AngularSpeed:
        return "rad/s";
    case Dimension::Torque:
        return "N.m";
    case Dimension::Power:
        return "kW";
    case Dimension::Pressure:
        return "kPa";
    case Dimension::Temperature:
        return "C";
    case Dimension::Time:
        return "s";
    case Dimension::RoadSpeed:
        return "km/h";
    case Dimension::MassFlow:
        return "kg/h";
    case Dimension::Angle:
        return "deg";
    case Dimension::Percent:
        return "%";
    case Dimension::Current:
        return "mA";
    }
    return "1";
}

namespace {
double wattsPer(PowerUnit unit) {
    switch (unit) {
    case PowerUnit::Horsepower:
        return unit::kHorsepower_w;
    case PowerUnit::MetricHorsepower:
        return unit::kMetricHorsepower_w;
    case PowerUnit::Kilowatt:
        break;
    }
    return 1000.0;
}
double newtonMetresPer(TorqueUnit unit) { return unit == TorqueUnit::PoundFoot ? unit::kPoundFoot_nm : 1.0; }
} // namespace

double powerIn(PowerUnit unit, double power_w) { return power_w / wattsPer(unit); }
double powerFrom(PowerUnit unit, double value) { return value * wattsPer(unit); }
double torqueIn(TorqueUnit unit, double torque_nm) { return torque_nm / newtonMetresPer(unit); }
double torqueFrom(TorqueUnit unit, double value) { return value * newtonMetresPer(unit); }

const char* powerUnitText(PowerUnit unit) {
    switch (unit) {
    case PowerUnit::Horsepower:
        return "hp";
    case PowerUnit::MetricHorsepower:
        return "PS";
    case PowerUnit::Kilowatt:
        break;
    }
    return "kW";
}

const char* torqueUnitText(TorqueUnit unit) {
    return unit == TorqueUnit::PoundFoot ? "lbf\xC2\xB7"
                                           "ft"
                                         : "N\xC2\xB7m";
}

} // namespace hillrun
