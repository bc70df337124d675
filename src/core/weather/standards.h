// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>

namespace hillrun {

enum class Standard { Uncorrected, SaeJ1349, SaeJ607, Iso1585, EceR85, Din70020, JisD1001, Iso15550 };
enum class Ignition { Spark, Compression };
enum class Aspiration { Natural, Turbocharged, Supercharged };

/// What a factor needs to know of the engine.
struct EngineForAir {
    Ignition ignition = Ignition::Spark;
    Aspiration aspiration = Aspiration::Natural;
    double mechanicalEfficiency = 0.85;
    std::optional<double> fuel_mg_per_litre_cycle; ///< compression ignition only
    std::optional<double> boostPressureRatio;      ///< absolute, after/before the compressor; 1 when natural
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
    std::string validityNote; ///< empty when there is nothing to say
    bool operator==(const AirFactor&) const = default;
};

/// All standards, in the order they are offered.
std::span<const StandardInfo> standards();
const StandardInfo& standardInfo(Standard standard);
/// Throws DataError (UnknownStandard).
Standard standardNamed(std::string_view name);

/// The correction factor. Formulas and their sources: docs/method.md.
/// Throws DataError (ImpossibleAir, NoFuelFigure).
AirFactor airFactor(Standard standard, const HumidAir& air, const EngineForAir& engine);

} // namespace hillrun
