// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"
#include "core/weather/humid_air.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

enum class Standard { Uncorrected, SaeJ1349, SaeJ607, Iso1585, EceR85, Din70020, JisD1001, Iso15550 };
enum class Ignition { Spark, Compression };
enum class Aspiration { Natural, Turbocharged, Supercharged };
/// What cools the charge of a turbocharged engine.
enum class ChargeCooling { None, Air, Liquid };
/// How a boosted engine is corrected. TemperatureOnly is no standard's rule and is labelled so.
enum class BoostSchool { StandardsRule, FullFactor, BoostHeld, TemperatureOnly };
/// Measured friction power at one engine speed.
struct FrictionPoint {
    double rpm = 0.0;
    double power_w = 0.0;
    bool operator==(const FrictionPoint&) const = default;
};

/// What a factor needs to know of the engine.
struct EngineForAir {
    Ignition ignition = Ignition::Spark;
    Aspiration aspiration = Aspiration::Natural;
    double mechanicalEfficiency = 0.85;
    std::optional<double> fuel_mg_per_litre_cycle;     ///< compression ignition only
    std::optional<double> boostPressureRatio;          ///< absolute, after/before the compressor; 1 when natural
    ChargeCooling chargeCooling = ChargeCooling::None; ///< compression ignition only
    BoostSchool boostSchool = BoostSchool::StandardsRule;
    bool boostHeldAbsolute = false;        ///< the controller holds the absolute manifold pressure
    std::vector<FrictionPoint> friction{}; ///< rising rpm; empty: not measured
    bool operator==(const EngineForAir&) const = default;
};

/// A standard in the table of standards.
struct StandardInfo {
    Standard id;
    const char* name;  ///< as on the command line: "sae-j1349"
    const char* title; ///< as people say it: "SAE J1349"
    double referenceTemperature_c;
    double referencePressure_pa; ///< 0 for none
    bool referenceIsDry;         ///< else the reference pressure is the total
};

/// A factor, to be multiplied onto full-load power and torque, and what its standard says about these conditions.
struct AirFactor {
    double factor = 1.0;
    bool withinValidity = true;
    std::vector<Statement> validityNotes; ///< empty when there is nothing to say
    Statement school;                     ///< "boosted: full factor"; empty for naturally aspirated engines
    bool operator==(const AirFactor&) const = default;
};

/// All standards, in the order they are offered.
std::span<const StandardInfo> standards();
const StandardInfo& standardInfo(Standard standard);
/// Throws DataError (UnknownStandard).
Standard standardNamed(std::string_view name);

/// The conditions a standard names: "15 to 35 C, 90 to 105 kPa dry"; empty where no range is recalled.
Statement validityRange(Standard standard, Ignition ignition);

/// The correction factor. Formulas and their sources: docs/method.md.
/// Throws DataError (ImpossibleAir, NoFuelFigure).
AirFactor airFactor(Standard standard, const HumidAir& air, const EngineForAir& engine);

/// What the school does to a boosted engine under this standard, in words ("boosted: full factor"). Empty when the
/// engine is naturally aspirated or nothing is corrected.
Statement schoolPhrase(Standard standard, const EngineForAir& engine);
/// "by the standard's rule", as it is chosen.
Statement boostSchoolPhrase(BoostSchool school);

/// Whether the full form of SAE J1349 with measured friction applies, instead of the fixed mechanical efficiency.
bool usesFriction(Standard standard, const EngineForAir& engine);
/// Friction power in W between its measured points; held beyond them. Needs at least one point.
double frictionPowerAt(std::span<const FrictionPoint> friction, double rpm);
/// SAE J1349 with measured friction: (P + Pf) CA - Pf over P, with CA = (99 kPa / pd) sqrt((t + 273)/298).
double frictionFactor(const HumidAir& air, double power_w, double frictionPower_w);

} // namespace hillrun
