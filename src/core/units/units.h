// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <numbers>
#include <optional>
#include <string>
#include <string_view>

namespace hillrun {

namespace unit {
// Exact by definition: the 1959 pound and foot, standard gravity 9.80665 m/s2; PS after DIN 66036.
inline constexpr double kStandardGravity = 9.80665;
inline constexpr double kPound_kg = 0.45359237;
inline constexpr double kFoot_m = 0.3048;
inline constexpr double kPoundForce_n = kPound_kg * kStandardGravity;
inline constexpr double kPoundFoot_nm = kPoundForce_n * kFoot_m;
inline constexpr double kHorsepower_w = 550.0 * kPoundFoot_nm;
inline constexpr double kMetricHorsepower_w = 75.0 * kStandardGravity;
inline constexpr double kPsi_pa = kPoundForce_n / (0.0254 * 0.0254);
/// Conventional millimetre of mercury at 0 C, 13.5951 g/cm3 (NIST SP 811).
inline constexpr double kMillimetreMercury_pa = 13.5951 * kStandardGravity;
inline constexpr double kInchMercury_pa = 25.4 * kMillimetreMercury_pa;
inline constexpr double kMile_m = 1609.344;
inline constexpr double kZeroCelsius_k = 273.15;
} // namespace unit

/// Angular speed in rad/s of an engine speed in rpm.
constexpr double angularSpeed(double engineSpeed_rpm) { return engineSpeed_rpm * 2.0 * std::numbers::pi / 60.0; }

enum class Dimension {
    None,
    EngineSpeed,   ///< canonical rpm
    AngularSpeed,  ///< rad/s
    Torque,        ///< N.m
    Power,         ///< kW
    Pressure,      ///< kPa
    Temperature,   ///< C
    Time,          ///< s
    RoadSpeed,     ///< km/h
    MassFlow,      ///< kg/h
    Angle,         ///< deg
    Percent,       ///< %
    Current,       ///< mA
    Voltage,       ///< V
    Frequency,     ///< Hz
    VolumeFlow,    ///< l/h
    MassPerStroke, ///< mg
};

/// A unit as met in a file: value_canonical = value * scale + offset, in the canonical unit of the pull file.
struct Unit {
    Dimension dimension = Dimension::None;
    double scale = 1.0;
    double offset = 0.0;
    bool gauge = false; ///< a pressure above the surrounding air

    [[nodiscard]] double toCanonical(double value) const { return value * scale + offset; }
    [[nodiscard]] double fromCanonical(double value) const { return (value - offset) / scale; }
    bool operator==(const Unit&) const = default;
};

/// Reads a unit as loggers spell them ("psi", "lb-ft", "degF", "1/min"); nothing when it is not known.
std::optional<Unit> parseUnit(std::string_view text);
/// The same unit as one of another dimension: rotation stands in rpm, rad/s or Hz. Nothing when it is of another kind.
std::optional<Unit> asUnitOf(const Unit& unit, Dimension dimension);
/// The unit of the pull file for a dimension ("kPa", "N.m"); "1" for None.
std::string canonicalUnitText(Dimension dimension);

enum class PowerUnit { Kilowatt, Horsepower, MetricHorsepower };
enum class TorqueUnit { NewtonMetre, PoundFoot };

/// What the reader of a figure wants to see; power and torque go together.
struct DisplayUnits {
    PowerUnit power = PowerUnit::Kilowatt;
    TorqueUnit torque = TorqueUnit::NewtonMetre;
    bool operator==(const DisplayUnits&) const = default;
};

double powerIn(PowerUnit unit, double power_w);
double powerFrom(PowerUnit unit, double value); ///< back to W
double torqueIn(TorqueUnit unit, double torque_nm);
double torqueFrom(TorqueUnit unit, double value); ///< back to N.m
const char* powerUnitText(PowerUnit unit);
const char* torqueUnitText(TorqueUnit unit);

} // namespace hillrun
