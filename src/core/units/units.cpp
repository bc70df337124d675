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
        // Signs of two and three bytes in UTF-8.
        if (const std::string_view rest = text.substr(i);
            rest.starts_with("\xC2\xB0") || rest.starts_with("\xC2\xBA")) {
            out += "deg"; // the degree sign, and the ordinal sign that stands in for it
            ++i;
            continue;
        } else if (rest.starts_with("\xC2\xB7") || rest.starts_with("\xE2\x8B\x85")) { // a dot in the middle
            i += rest[0] == '\xC2' ? 1 : 2;
            continue;
        } else if (rest.starts_with("\xC2\xB5") || rest.starts_with("\xCE\xBC")) { // micro
            out += 'u';
            ++i;
            continue;
        } else if (rest.starts_with("\xE2\x81\xBB\xC2\xB9")) { // a raised -1
            out += "1";
            i += 4;
            continue;
        } else if (rest.starts_with("\xCE\xBB")) {
            out += "lambda";
            ++i;
            continue;
        }
        if (c == '(' || c == ')' || c == '[' || c == ']' || std::isspace(c) || c == '.' || c == '-' || c == '*' ||
            c == '^' || c == '_')
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
    add(t, D::EngineSpeed, 1.0,
        {"rpm", "1/min", "min1", "r/min", "u/min", "rev/min", "revs/min", "tr/min", "trs/min", "t/min", "giri/min",
         "upm", "umin", "umin1", "umdr/min", "umdrehungen/min", "tpm"});
    add(t, D::EngineSpeed, 1000.0, {"krpm", "rpmx1000", "1000rpm", "x1000rpm", "rpm/1000", "1000/min"});
    add(t, D::AngularSpeed, 1.0, {"rad/s", "rads1"});
    add(t, D::Torque, 1.0, {"nm"});
    add(t, D::Torque, 1000.0, {"knm"});
    add(t, D::Torque, 10.0, {"danm", "mdan"});
    add(t, D::Torque, unit::kPoundFoot_nm,
        {"lbft", "ftlb", "lbfft", "ftlbf", "ftlbs", "lbsft", "lb/ft", "ft/lb", "ft/lbs", "lbs/ft", "poundfeet",
         "footpounds"});
    add(t, D::Torque, unit::kPoundFoot_nm / 12.0, {"inlb", "lbin", "inlbf", "lbfin"});
    add(t, D::Torque, unit::kStandardGravity, {"kgm", "kgfm", "mkg", "kpm", "mkp", "mkgf"});
    add(t, D::Power, 1.0, {"kw"});
    add(t, D::Power, 0.001, {"w"});
    add(t, D::Power, unit::kHorsepower_w / 1000.0, {"hp", "bhp", "whp", "horsepower", "rwhp", "hpuk"});
    add(t, D::Power, unit::kMetricHorsepower_w / 1000.0, {"ps", "cv", "ch", "pk", "hpmetric", "metrichp", "cavalli"});
    add(t, D::Pressure, 1.0, {"kpa", "kpaa", "kpaabs", "kpaabsolute"});
    add(t, D::Pressure, 0.1, {"hpa", "mbar", "mb", "mbara", "mbarabs", "hpaabs"});
    add(t, D::Pressure, 0.1, {"mbarg", "hpag", "mbargauge"}, 0.0, true);
    add(t, D::Pressure, 0.001, {"pa"});
    add(t, D::Pressure, 1000.0, {"mpa"});
    add(t, D::Pressure, 100.0, {"bar", "bara", "barabs", "barabsolute"});
    add(t, D::Pressure, unit::kPsi_pa / 1000.0, {"psi", "psia", "psiabs", "psiabsolute", "lbf/in2", "lb/in2"});
    add(t, D::Pressure, unit::kInchMercury_pa / 1000.0, {"inhg", "in hg", "\"hg", "inchhg"});
    add(t, D::Pressure, unit::kMillimetreMercury_pa / 1000.0, {"mmhg", "torr"});
    add(t, D::Pressure, unit::kPsi_pa / 1000.0, {"psig", "psigauge"}, 0.0, true);
    add(t, D::Pressure, 1.0, {"kpag", "kpagauge"}, 0.0, true);
    add(t, D::Pressure, 100.0, {"barg", "bargauge"}, 0.0, true);
    add(t, D::Temperature, 1.0, {"c", "degc", "celsius"});
    add(t, D::Temperature, 1.0, {"k", "degk", "kelvin"}, -unit::kZeroCelsius_k);
    add(t, D::Temperature, 5.0 / 9.0, {"f", "degf", "fahrenheit"}, -32.0 * 5.0 / 9.0);
    add(t, D::Time, 1.0,
        {"s", "sec", "secs", "second", "seconds", "sek", "sekunden", "seconde", "secondes", "segundos", "secondi"});
    add(t, D::Time, 0.001, {"ms", "msec", "msecs", "millis", "milliseconds", "millisekunden"});
    add(t, D::Time, 1e-6, {"us", "usec", "microseconds"});
    add(t, D::Time, 1e-9, {"ns", "nanoseconds"});
    add(t, D::Time, 60.0, {"min", "minutes"});
    add(t, D::Time, 3600.0, {"h", "hours"});
    add(t, D::Time, 86400.0, {"day", "days"}); // of a spreadsheet
    add(t, D::RoadSpeed, 1.0, {"km/h", "kmh", "kph", "kmh1"});
    add(t, D::RoadSpeed, 3.6, {"m/s", "ms1"});
    add(t, D::RoadSpeed, unit::kMile_m / 1000.0, {"mph", "mi/h"});
    add(t, D::MassFlow, 1.0, {"kg/h", "kgh", "kg/hr", "kg/std"});
    add(t, D::MassFlow, 3.6, {"g/s"});
    add(t, D::MassFlow, unit::kPound_kg, {"lb/h", "lb/hr", "lbs/h", "lbs/hr", "pph"});
    add(t, D::MassFlow, unit::kPound_kg * 60.0, {"lb/min", "lbs/min"});
    add(t, D::Angle, 1.0,
        {"deg", "degbtdc", "btdc", "degca", "degcrank", "degkw", "degvot", "degrees", "grad", "degvilebrequin"});
    add(t, D::Percent, 1.0, {"%", "pct", "percent", "prozent", "%rh", "%rf"});
    add(t, D::Current, 1.0, {"ma"});
    add(t, D::Current, 1000.0, {"a"});
    add(t, D::None, 1.0, {"1", "", "lambda", "afr", "ratio", "counts", "g"});
    add(t, D::Voltage, 1.0, {"v", "volt", "volts", "vdc"});
    add(t, D::Voltage, 0.001, {"mv", "millivolt"});
    add(t, D::Frequency, 1.0, {"hz", "1/s", "s1"});
    add(t, D::Frequency, 1000.0, {"khz"});
    add(t, D::VolumeFlow, 1.0, {"l/h", "lph", "l/hr", "litres/h"});
    add(t, D::VolumeFlow, 60.0, {"l/min", "lpm"});
    add(t, D::VolumeFlow, 0.06, {"cc/min", "ml/min", "ccm"});
    add(t, D::VolumeFlow, 3.785411784, {"gal/h", "gph"}); // US gallon of 231 cubic inches, exact
    add(t, D::MassPerStroke, 1.0, {"mg/stroke", "mg/str", "mg/st", "mg/hub", "mg/coup", "mg/cyl", "mg", "mg/stk"});
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

std::optional<Unit> asUnitOf(const Unit& unit, Dimension dimension) {
    if (unit.dimension == dimension)
        return unit;
    // Turns a second, the one scale that all three share.
    const auto turnsPer = [](Dimension d) {
        switch (d) {
        case Dimension::EngineSpeed:
            return 1.0 / 60.0;
        case Dimension::AngularSpeed:
            return 0.5 / std::numbers::pi;
        case Dimension::Frequency:
            return 1.0;
        default:
            return 0.0;
        }
    };
    const double from = turnsPer(unit.dimension);
    const double to = turnsPer(dimension);
    if (from == 0.0 || to == 0.0)
        return std::nullopt;
    return Unit{dimension, unit.scale * from / to, unit.offset * from / to, false};
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
    case Dimension::Voltage:
        return "V";
    case Dimension::Frequency:
        return "Hz";
    case Dimension::VolumeFlow:
        return "l/h";
    case Dimension::MassPerStroke:
        return "mg/stroke";
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
