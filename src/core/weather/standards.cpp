// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/weather/standards.h"

#include "core/errors/data_error.h"
#include "core/units/units.h"

#include <algorithm>
#include <array>
#include <cassert>
#include <cmath>
#include <fmt/format.h>
#include <limits>

// Every clause, coefficient and limit here is from memory; docs/method.md says how sure each one is.

namespace hillrun {
namespace {

constexpr double kJ607Pressure_inhg = 29.92;

constexpr std::array<StandardInfo, 8> kStandards{{
    {Standard::Uncorrected, "uncorrected", "Uncorrected", 0.0, 0.0, false},
    {Standard::SaeJ1349, "sae-j1349", "SAE J1349", 25.0, 99000.0, true},
    {Standard::SaeJ607, "sae-j607", "SAE J607", (60.0 - 32.0) * 5.0 / 9.0, kJ607Pressure_inhg* unit::kInchMercury_pa,
     true},
    {Standard::Iso1585, "iso-1585", "ISO 1585", 25.0, 99000.0, true},
    {Standard::EceR85, "ece-r85", "ECE R85", 25.0, 99000.0, true},
    {Standard::Din70020, "din-70020", "DIN 70020", 20.0, 101300.0, false},
    {Standard::JisD1001, "jis-d1001", "JIS D 1001", 25.0, 99000.0, true},
    {Standard::Iso15550, "iso-15550", "ISO 15550", 25.0, 99000.0, true},
}};

const StandardInfo& infoOf(Standard standard) { return kStandards.at(static_cast<size_t>(standard)); }

/// The ratios every formula is made of, with kelvin as the standards print it (t + 273 over 298).
struct Ratios {
    double dry; ///< 99 kPa over the dry pressure
    double temperature;
};

Ratios ratiosOf(const HumidAir& air) { return {99000.0 / air.dryPressure_pa, (air.temperature_c + 273.0) / 298.0}; }

bool isBoosted(const EngineForAir& engine) { return engine.aspiration != Aspiration::Natural; }

/// ECE R85 sets the factor to 1 for a turbocharged engine whose system makes up for temperature and altitude.
bool ruleHoldsBoost(Standard standard, const EngineForAir& engine) {
    return standard == Standard::EceR85 && engine.boostHeldAbsolute && engine.aspiration == Aspiration::Turbocharged;
}

bool correctsNothing(Standard standard, const EngineForAir& engine) {
    return isBoosted(engine) &&
           (engine.boostSchool == BoostSchool::BoostHeld ||
            (engine.boostSchool == BoostSchool::StandardsRule && ruleHoldsBoost(standard, engine)));
}

/// The air with its pressure put to the reference, so that only the temperature acts.
HumidAir atReferencePressure(Standard standard, HumidAir air) {
    const StandardInfo& info = infoOf(standard);
    (info.referenceIsDry ? air.dryPressure_pa : air.pressure_pa) = info.referencePressure_pa;
    return air;
}

struct Range {
    double low = -std::numeric_limits<double>::infinity();
    double high = std::numeric_limits<double>::infinity();
    [[nodiscard]] bool holds(double value) const {
        constexpr double slack = 1e-9; // a limit value itself is in range
        return value >= low - slack && value <= high + slack;
    }
};

struct Validity {
    Range temperature_c;
    Range dryPressure_kpa;
    Range factor;
};

bool isIsoFamily(Standard standard) {
    return standard == Standard::Iso1585 || standard == Standard::EceR85 || standard == Standard::JisD1001 ||
           standard == Standard::Iso15550;
}

Validity validityOf(Standard standard, Ignition ignition) {
    if (standard == Standard::SaeJ1349)
        return {{15.0, 35.0}, {90.0, 105.0}, {}};
    if (isIsoFamily(standard))
        return ignition == Ignition::Spark ? Validity{{15.0, 35.0}, {80.0, 110.0}, {0.93, 1.07}}
                                           : Validity{{10.0, 40.0}, {80.0, 110.0}, {0.9, 1.1}};
    return {}; // no range recalled
}

double saeJ1349Spark(const Ratios& r, double mechanicalEfficiency) {
    const double atmospheric = r.dry * std::sqrt(r.temperature);
    if (std::abs(mechanicalEfficiency - 0.85) < 1e-12)
        return 1.18 * atmospheric - 0.18;
    return (atmospheric - (1.0 - mechanicalEfficiency)) / mechanicalEfficiency;
}

double isoSpark(const Ratios& r) { return std::pow(r.dry, 1.2) * std::pow(r.temperature, 0.6); }

double saeJ607(const HumidAir& air) {
    const double dry_inhg = air.dryPressure_pa / unit::kInchMercury_pa;
    const double temperature_f = air.temperature_c * 9.0 / 5.0 + 32.0;
    return kJ607Pressure_inhg / dry_inhg * std::sqrt((temperature_f + 460.0) / 520.0);
}

double din70020(const HumidAir& air) {
    return 1013.0 / (air.pressure_pa / 100.0) * std::sqrt((air.temperature_c + 273.0) / 293.0);
}

/// Exponent fm from the corrected fuel delivery qc in mg/(L cycle): a line between two limits.
double fuelExponent(Standard standard, double qc) {
    const bool r85Family =
        standard == Standard::EceR85 || standard == Standard::Iso1585 || standard == Standard::JisD1001;
    const double lowerLimit = r85Family ? 40.0 : 37.2;
    if (qc < lowerLimit)
        return r85Family ? 0.3 : 0.2;
    if (qc > 65.0)
        return 1.2;
    return 0.036 * qc - 1.14;
}

double compressionFactor(Standard standard, const Ratios& r, const EngineForAir& engine) {
    const bool turbo = engine.aspiration == Aspiration::Turbocharged;
    const bool boosted = engine.aspiration != Aspiration::Natural;
    if (!engine.fuel_mg_per_litre_cycle || (boosted && !engine.boostPressureRatio))
        throw DataError(Problem::NoFuelFigure, {});
    const double ratio = boosted ? *engine.boostPressureRatio : 1.0;
    if (!(*engine.fuel_mg_per_litre_cycle > 0.0) || !(ratio > 0.0))
        throw DataError(Problem::BadValue,
                        {significant(*engine.fuel_mg_per_litre_cycle, 6), Statement{"air.fuel_above_zero"}});
    const double qc = *engine.fuel_mg_per_litre_cycle / ratio;
    double atmospheric = r.dry * std::pow(r.temperature, 0.7);
    if (turbo) {
        const bool r85Family = standard != Standard::Iso15550 && standard != Standard::SaeJ1349;
        const double withoutLiquid = r85Family ? 1.5 : 1.2;
        const bool liquid = !r85Family && engine.chargeCooling == ChargeCooling::Liquid;
        atmospheric = std::pow(r.dry, 0.7) * std::pow(r.temperature, liquid ? 0.7 : withoutLiquid);
    }
    return std::pow(atmospheric, fuelExponent(standard, qc));
}

double factorOf(Standard standard, const HumidAir& air, const EngineForAir& engine) {
    switch (standard) {
    case Standard::Uncorrected:
        return 1.0;
    case Standard::SaeJ607:
        return saeJ607(air);
    case Standard::Din70020:
        return din70020(air); // the same for compression ignition
    case Standard::SaeJ1349:
        if (engine.ignition == Ignition::Spark)
            return saeJ1349Spark(ratiosOf(air), engine.mechanicalEfficiency);
        break;
    case Standard::Iso1585:
    case Standard::EceR85:
    case Standard::JisD1001:
    case Standard::Iso15550:
        if (engine.ignition == Ignition::Spark)
            return isoSpark(ratiosOf(air));
        break;
    }
    return compressionFactor(standard, ratiosOf(air), engine);
}

void checkRange(AirFactor& out, const Range& range, double value, const char* what, const char* unitText) {
    if (range.holds(value))
        return;
    out.withinValidity = false;
    out.validityNotes.push_back(
        {what, {significant(value, 4, unitText), significant(range.low, 6), significant(range.high, 6, unitText)}});
}

AirFactor plausibility(AirFactor out, const HumidAir& air) {
    if (air.pressure_pa < 60000.0 || air.pressure_pa > 110000.0)
        out.validityNotes.push_back({"air.station_hardly", {decimals(air.pressure_pa / 1000.0, 2, "kPa")}});
    if (air.vapourPressure_pa > 1.005 * saturationPressure_pa(air.temperature_c))
        out.validityNotes.push_back({"air.vapour_hardly", {decimals(air.vapourPressure_pa / 1000.0, 2, "kPa")}});
    if (air.temperature_c < -40.0 || air.temperature_c > 60.0)
        out.validityNotes.push_back({"air.intake_hardly", {decimals(air.temperature_c, 1, "C")}});
    return out;
}

} // namespace

std::span<const StandardInfo> standards() { return kStandards; }

const StandardInfo& standardInfo(Standard standard) { return infoOf(standard); }

Standard standardNamed(std::string_view name) {
    const auto it = std::find_if(kStandards.begin(), kStandards.end(), [&](const auto& s) { return name == s.name; });
    if (it == kStandards.end())
        throw DataError(Problem::UnknownStandard, {std::string(name)});
    return it->id;
}

Statement validityRange(Standard standard, Ignition ignition) {
    const Validity range = validityOf(standard, ignition);
    if (!std::isfinite(range.temperature_c.low))
        return {};
    std::vector<Argument> holes{significant(range.temperature_c.low, 6), significant(range.temperature_c.high, 6, "C"),
                                significant(range.dryPressure_kpa.low, 6),
                                significant(range.dryPressure_kpa.high, 6, "kPa")};
    if (!std::isfinite(range.factor.low))
        return {"standard.range", holes};
    holes.insert(holes.end(), {significant(range.factor.low, 6), significant(range.factor.high, 6)});
    return {"standard.range_and_factor", holes};
}

AirFactor airFactor(Standard standard, const HumidAir& air, const EngineForAir& engine) {
    const double efficiency = engine.mechanicalEfficiency;
    if (!(efficiency > 0.0 && efficiency <= 1.0))
        throw DataError(Problem::BadValue, {significant(efficiency, 6), Statement{"air.efficiency"}});
    AirFactor out;
    out.school = schoolPhrase(standard, engine);
    if (correctsNothing(standard, engine))
        return plausibility(std::move(out), air);
    const bool temperatureOnly = isBoosted(engine) && engine.boostSchool == BoostSchool::TemperatureOnly;
    out.factor = factorOf(standard, temperatureOnly ? atReferencePressure(standard, air) : air, engine);
    if (!(out.factor > 0.0))
        throw DataError(Problem::ImpossibleAir, {Statement{"air.factor", {decimals(out.factor, 4)}}});

    const Validity validity = validityOf(standard, engine.ignition);
    checkRange(out, validity.temperature_c, air.temperature_c, "standard.temperature_outside", "C");
    checkRange(out, validity.dryPressure_kpa, air.dryPressure_pa / 1000.0, "standard.dry_pressure_outside", "kPa");
    checkRange(out, validity.factor, out.factor, "standard.factor_outside", "");
    return plausibility(std::move(out), air);
}

Statement schoolPhrase(Standard standard, const EngineForAir& engine) {
    if (!isBoosted(engine) || standard == Standard::Uncorrected)
        return {};
    switch (engine.boostSchool) {
    case BoostSchool::StandardsRule:
        return {ruleHoldsBoost(standard, engine) ? "boosted.held_by_rule" : "boosted.full_by_rule"};
    case BoostSchool::FullFactor:
        return {"boosted.full"};
    case BoostSchool::BoostHeld:
        return {"boosted.held"};
    case BoostSchool::TemperatureOnly:
        return {"boosted.temperature_only"};
    }
    return {};
}

Statement boostSchoolPhrase(BoostSchool school) {
    constexpr const char* ids[] = {"school.rule", "school.full", "school.held", "school.temperature_only"};
    return {ids[static_cast<size_t>(school)]};
}

bool usesFriction(Standard standard, const EngineForAir& engine) {
    return standard == Standard::SaeJ1349 && engine.ignition == Ignition::Spark && !engine.friction.empty() &&
           !correctsNothing(standard, engine) &&
           !(isBoosted(engine) && engine.boostSchool == BoostSchool::TemperatureOnly);
}

double frictionPowerAt(std::span<const FrictionPoint> friction, double rpm) {
    assert(!friction.empty());
    if (rpm <= friction.front().rpm)
        return friction.front().power_w;
    for (size_t i = 1; i < friction.size(); ++i)
        if (rpm <= friction[i].rpm) {
            const double share = (rpm - friction[i - 1].rpm) / (friction[i].rpm - friction[i - 1].rpm);
            return friction[i - 1].power_w + share * (friction[i].power_w - friction[i - 1].power_w);
        }
    return friction.back().power_w;
}

double frictionFactor(const HumidAir& air, double power_w, double frictionPower_w) {
    const Ratios r = ratiosOf(air);
    return ((power_w + frictionPower_w) * r.dry * std::sqrt(r.temperature) - frictionPower_w) / power_w;
}

} // namespace hillrun
