// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/plausible.h"

#include "core/channels/channels.h"
#include "core/units/units.h"
#include "formats/gather/column_words.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <optional>

namespace hillrun {
namespace {

constexpr double kStandardAir_kpa = 101.325;

/// What a quantity of any engine stays within during a pull, in the units of the pull file (common practice, wide).
struct Possible {
    std::string_view channel;
    double low;
    double high;
    std::array<const char*, 4> units; ///< tried in this order where none was given
};
constexpr std::array kPossible{
    Possible{"engine_speed", -50.0, 25000.0, {"rpm", "krpm", "rad/s", "Hz"}},
    Possible{"roller_speed", -5.0, 1000.0, {"rad/s", "rpm", "", ""}},
    Possible{"road_speed", -5.0, 500.0, {"km/h", "", "", ""}},
    Possible{"manifold_pressure", 8.0, 700.0, {"kPa", "bar", "psi", "mbar"}},
    Possible{"exhaust_back_pressure", 70.0, 1000.0, {"kPa", "bar", "mbar", ""}},
    Possible{"airbox_pressure", 50.0, 700.0, {"kPa", "bar", "mbar", ""}},
    Possible{"lambda", 0.4, 3.0, {"1", "", "", ""}},
    Possible{"air_fuel_ratio", 4.0, 45.0, {"1", "", "", ""}},
    Possible{"intake_air_temperature", -40.0, 200.0, {"C", "F", "K", ""}},
    Possible{"coolant_temperature", -40.0, 140.0, {"C", "F", "K", ""}},
    Possible{"oil_temperature", -40.0, 180.0, {"C", "F", "K", ""}},
    Possible{"exhaust_gas_temperature", -40.0, 1250.0, {"C", "F", "K", ""}},
    Possible{"oil_pressure", -20.0, 1500.0, {"kPa", "bar", "psi", "mbar"}},
    Possible{"fuel_pressure", -20.0, 300000.0, {"kPa", "bar", "psi", ""}},
    Possible{"throttle", -10.0, 115.0, {"%", "", "", ""}},
    Possible{"ignition_advance", -40.0, 80.0, {"deg", "", "", ""}},
    Possible{"torque", -3000.0, 10000.0, {"N.m", "", "", ""}},
    Possible{"power", -500.0, 4000.0, {"kW", "", "", ""}},
};

struct Range {
    double low = std::numeric_limits<double>::infinity();
    double high = -std::numeric_limits<double>::infinity();
    [[nodiscard]] bool known() const { return low <= high; }
};

/// From the 2nd to the 98th percentile, so that a spike does not speak.
Range rangeOf(std::vector<double> values) {
    std::erase_if(values, [](double v) { return !std::isfinite(v); });
    if (values.empty())
        return {};
    std::sort(values.begin(), values.end());
    const size_t cut = values.size() / 50;
    return {values[cut], values[values.size() - 1 - cut]};
}

bool within(const Range& range, const Possible& possible) {
    return range.known() && range.low >= possible.low && range.high <= possible.high;
}

/// A pair of units that torque and power may be in.
struct UnitPair {
    const char* torque;
    const char* power;
};
// The usual ones first; the others only beside a unit that was given.
constexpr std::array<UnitPair, 16> kPairs{{{"N.m", "kW"},
                                           {"lb-ft", "hp"},
                                           {"N.m", "PS"},
                                           {"N.m", "hp"},
                                           {"kgf.m", "PS"},
                                           {"N.m", "W"},
                                           {"daN.m", "kW"},
                                           {"kgf.m", "kW"},
                                           {"lb-ft", "PS"},
                                           {"lb-ft", "kW"},
                                           {"kgf.m", "hp"},
                                           {"daN.m", "PS"},
                                           {"daN.m", "hp"},
                                           {"lb-ft", "W"},
                                           {"kgf.m", "W"},
                                           {"daN.m", "W"}}};
constexpr size_t kUsualPairs = 10;
constexpr double kAgree = 0.015;   ///< filters and rounding of a logger move the two apart by less
constexpr double kSameOff = 0.004; ///< two pairs that lie nearer to each other cannot be told apart
constexpr double kDisagree = 0.03; ///< common practice: losses between the two are larger

double scaleOf(std::string_view unit, Dimension dimension) {
    const auto parsed = parseUnit(unit);
    const auto fitting = parsed ? asUnitOf(*parsed, dimension) : std::nullopt;
    return fitting ? fitting->scale : 1.0;
}

class UnitSettler {
public:
    UnitSettler(const RawPull& pull, std::vector<GatheredColumn>& columns, const std::string& file, GatherNotes& notes)
        : m_pull(pull), m_columns(columns), m_file(file), m_notes(notes) {}

    void settle() {
        for (const Possible& possible : kPossible)
            if (const auto i = find(possible.channel))
                settleRange(*i, possible);
        settleTorqueSign();
        settlePower();
        for (const size_t i : m_pull.columns)
            assumeRest(i);
    }

private:
    [[nodiscard]] std::optional<size_t> find(std::string_view channel) const {
        for (const size_t i : m_pull.columns)
            if (m_columns[i].channel == channel)
                return i;
        return std::nullopt;
    }
    [[nodiscard]] GatherNote noteOn(GatherCode code, size_t column, std::vector<Argument> details) const {
        return {code,
                {.file = m_file, .line = m_pull.table.headerLine, .column = m_columns[column].header},
                std::move(details),
                {}};
    }
    void tell(GatherCode code, size_t column, std::vector<Argument> details = {}) {
        m_notes.push_back(noteOn(code, column, std::move(details)));
    }
    [[nodiscard]] std::vector<double> values(size_t i) const {
        return valuesOf(m_pull, m_columns[i], i, kStandardAir_kpa);
    }
    [[nodiscard]] Range rangeIn(size_t i, const char* unit) const {
        GatheredColumn column = m_columns[i];
        column.unit = unit;
        column.gauge = column.gauge || parseUnit(unit).value_or(Unit{}).gauge;
        return rangeOf(valuesOf(m_pull, column, i, kStandardAir_kpa));
    }

    void settleRange(size_t i, const Possible& possible) {
        GatheredColumn& column = m_columns[i];
        if (column.unitGiven) {
            doubtRange(i, possible);
            return;
        }
        const bool byPower = possible.channel == "torque" || possible.channel == "power";
        if (byPower)
            return; // settlePower
        column.unit = possible.units[0];
        for (const char* unit : possible.units) {
            if (!*unit || !within(rangeIn(i, unit), possible) || !likely(i, possible, unit))
                continue;
            column.unit = unit;
            column.unitGiven = true;
            if (unit != possible.units[0])
                tell(GatherCode::UnitByRange, i, {std::string(unit), std::string(possible.units[0])});
            else if (channelInfo(possible.channel)->dimension == Dimension::Pressure)
                tell(GatherCode::UnitAssumed, i, {std::string(unit)});
            return;
        }
        doubtRange(i, possible);
        column.unitGiven = true;
    }

    /// An engine at full throttle turns at more than 500 rpm somewhere in the pull, and no pressure is a vacuum.
    [[nodiscard]] bool likely(size_t i, const Possible& possible, const char* unit) const {
        const Range range = rangeIn(i, unit);
        if (possible.channel == "engine_speed")
            return range.high > 700.0;
        if (possible.channel == "oil_pressure" || possible.channel == "fuel_pressure")
            return range.high > 40.0;
        if (possible.channel == "manifold_pressure" && m_columns[i].gauge)
            return range.high - kStandardAir_kpa > 4.0 || range.low < kStandardAir_kpa;
        return true;
    }

    void doubtRange(size_t i, const Possible& possible) {
        const GatheredColumn& column = m_columns[i];
        const Range range = rangeOf(values(i));
        if (!range.known())
            return;
        const Dimension dimension = channelInfo(possible.channel)->dimension;
        if (!within(range, possible) || (possible.channel == "engine_speed" && range.high < 300.0)) {
            const std::string unit = canonicalUnitText(dimension);
            GatherNote note =
                noteOn(GatherCode::OutOfRange, i, {significant(range.low, 4), significant(range.high, 4, unit)});
            for (const char* other : possible.units)
                if (*other && other != column.unit && within(rangeIn(i, other), possible) &&
                    likely(i, possible, other)) {
                    note.details.resize(2, std::string());
                    note.details.emplace_back(std::string(other));
                    note.variant = "_fits_in";
                }
            if (note.details.size() == 2 && dimension == Dimension::Pressure && !column.gauge &&
                range.low + kStandardAir_kpa >= possible.low && range.high + kStandardAir_kpa <= possible.high)
                note.variant = "_fits_gauge";
            m_notes.push_back(std::move(note));
        } else if (possible.channel == "manifold_pressure" && column.gauge &&
                   !parseUnit(column.unit).value_or(Unit{}).gauge && range.low - kStandardAir_kpa > 60.0 &&
                   range.low - kStandardAir_kpa < 120.0) {
            tell(GatherCode::GaugeOrAbsolute, i, {significant(range.low - kStandardAir_kpa, 3, "kPa")});
        }
    }

    void settleTorqueSign() {
        const auto torque = find("torque");
        if (!torque || m_columns[*torque].said)
            return;
        const Range range = rangeOf(values(*torque));
        if (!range.known())
            return;
        if (range.low == 0.0 && range.high == 0.0) {
            if (find("power"))
                m_columns[*torque].channel.clear();
            tell(GatherCode::TorqueZero, *torque);
        } else if (range.high <= 0.0 && range.low < 0.0) {
            m_columns[*torque].factor *= -1.0;
            tell(GatherCode::TorqueNegative, *torque);
        }
    }

    /// Median of torque times speed over power, with torque and power as bare numbers in the pull file's units.
    [[nodiscard]] std::optional<double> bareRatio(size_t torque, size_t power, size_t speed) const {
        const auto bare = [&](size_t i) {
            GatheredColumn column = m_columns[i];
            column.unit = canonicalUnitText(channelInfo(column.channel)->dimension);
            return valuesOf(m_pull, column, i, 0.0);
        };
        const auto t = bare(torque);
        const auto p = bare(power);
        const auto n = values(speed);
        const double strong = rangeOf(p).high * 0.3;
        std::vector<double> ratios;
        for (size_t row = 0; row < t.size(); ++row)
            if (const double ratio = t[row] * angularSpeed(n[row]) / 1000.0 / p[row];
                std::isfinite(ratio) && p[row] > strong && p[row] > 0.0)
                ratios.push_back(ratio);
        if (ratios.size() < 5)
            return std::nullopt;
        const auto middle = ratios.begin() + static_cast<std::ptrdiff_t>(ratios.size() / 2);
        std::nth_element(ratios.begin(), middle, ratios.end());
        return *middle;
    }

    void settlePower() {
        const auto torque = find("torque");
        const auto power = find("power");
        const auto speed = find("engine_speed");
        if (!torque || !power || !speed)
            return;
        const auto ratio = bareRatio(*torque, *power, *speed);
        if (!ratio)
            return;
        GatheredColumn& t = m_columns[*torque];
        GatheredColumn& p = m_columns[*power];
        if (t.unitGiven && p.unitGiven) {
            const double given = *ratio * scaleOf(t.unit, Dimension::Torque) / scaleOf(p.unit, Dimension::Power);
            if (std::abs(given - 1.0) < kDisagree)
                return;
            GatherNote note = noteOn(GatherCode::PowerDisagrees, *torque, {decimals(100.0 * given, 1, "%")});
            for (const UnitPair& pair : kPairs)
                if (note.details.size() == 1 && offBy(*ratio, pair) < kAgree) {
                    note.details.insert(note.details.end(), {std::string(pair.torque), std::string(pair.power)});
                    note.variant = "_units";
                }
            m_notes.push_back(std::move(note));
            return;
        }
        // The nearest one; the more usual one where two are as near.
        const UnitPair* best = nullptr;
        double bestOff = kAgree;
        long near = 0;
        const bool oneGiven = t.unitGiven || p.unitGiven;
        for (const UnitPair& pair : std::span(kPairs).first(oneGiven ? kPairs.size() : kUsualPairs)) {
            const bool possible =
                (!t.unitGiven || sameUnit(t.unit, pair.torque)) && (!p.unitGiven || sameUnit(p.unit, pair.power));
            const double off = possible ? offBy(*ratio, pair) : kAgree;
            near += off < kSameOff ? 1 : 0;
            if (off < bestOff - kSameOff || (!best && off < bestOff)) {
                best = &pair;
                bestOff = off;
            }
        }
        if (!best)
            return;
        const bool ambiguous = near > 1;
        if (!t.unitGiven)
            giveByPower(*torque, best->torque, ambiguous);
        if (!p.unitGiven)
            giveByPower(*power, best->power, ambiguous);
    }

    static double offBy(double ratio, const UnitPair& pair) {
        return std::abs(ratio * scaleOf(pair.torque, Dimension::Torque) / scaleOf(pair.power, Dimension::Power) - 1.0);
    }
    static bool sameUnit(const std::string& a, const char* b) {
        return parseUnit(a) && parseUnit(b) && *parseUnit(a) == *parseUnit(b);
    }
    void giveByPower(size_t i, const char* unit, bool ambiguous) {
        m_columns[i].unit = unit;
        m_columns[i].unitGiven = true;
        m_columns[i].guessed = m_columns[i].guessed || ambiguous;
        tell(GatherCode::UnitByPower, i, {std::string(unit)});
    }

    void assumeRest(size_t i) {
        GatheredColumn& column = m_columns[i];
        const ChannelInfo* info = channelInfo(column.channel);
        if (!info || column.unitGiven || info->dimension == Dimension::Time)
            return;
        if (column.unit.empty())
            column.unit = canonicalUnitText(info->dimension);
        column.unitGiven = true;
        if (info->dimension != Dimension::None) {
            column.guessed = true;
            tell(GatherCode::UnitAssumed, i, {column.unit});
        }
    }

    const RawPull& m_pull;
    std::vector<GatheredColumn>& m_columns;
    const std::string& m_file;
    GatherNotes& m_notes;
};

} // namespace

std::vector<double> valuesOf(const RawPull& pull, const GatheredColumn& column, size_t index, double ambient_kpa) {
    const std::vector<double>& all = pull.table.columns[index].values;
    const auto from = all.begin() + static_cast<std::ptrdiff_t>(pull.rows.first);
    std::vector<double> out(from, from + static_cast<std::ptrdiff_t>(pull.rows.rows()));
    const auto dimension = dimensionOf(column.channel);
    const auto parsed = parseUnit(column.unit);
    const auto unit = dimension && parsed ? asUnitOf(*parsed, *dimension) : std::nullopt;
    const double scale = unit ? unit->scale : 1.0;
    const double offset =
        (unit ? unit->offset : 0.0) + (column.gauge && dimension == Dimension::Pressure ? ambient_kpa : 0.0);
    if (scale * column.factor != 1.0 || offset != 0.0)
        for (double& value : out)
            value = value * column.factor * scale + offset;
    return out;
}

void settleUnits(const RawPull& pull, std::vector<GatheredColumn>& columns, const std::string& file,
                 GatherNotes& notes) {
    UnitSettler(pull, columns, file, notes).settle();
}

} // namespace hillrun
