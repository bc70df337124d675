// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channels.h"

#include <algorithm>
#include <array>

namespace hillrun {
namespace {

using D = Dimension;
using M = ChannelMotion;

// Tolerances and scatter: common practice; smaller differences are within what one engine does by itself. The channels
// that steer an engine stand first on the screen.
constexpr std::array kChannels{
    ChannelInfo{"time", "Time", D::Time, "t|elapsedtime|logtime|timestamp|zeit", 0, 0, M::MayStandStill, 99},
    ChannelInfo{"engine_speed", "Engine speed", D::EngineSpeed, "rpm|enginerpm|revs|speed|n|enginespeed|drehzahl", 0, 0,
                M::MayStandStill, 99},
    ChannelInfo{"torque", "Torque", D::Torque, "tq|trq|enginetorque|braketorque|drehmoment", 0, 0, M::Usual, 99},
    ChannelInfo{"power", "Power", D::Power, "hp|kw|ps|enginepower|brakepower|leistung|bhp", 0, 0, M::Usual, 99},
    ChannelInfo{"roller_speed", "Roller speed", D::AngularSpeed, "drumspeed|rollspeed", 0, 0, M::MustMove, 99},
    ChannelInfo{"retarder_torque", "Retarder torque", D::Torque, "retarder|brakeatroller", 0, 0, M::Usual, 99},
    ChannelInfo{"road_speed", "Road speed", D::RoadSpeed, "vehiclespeed|speed|mph|kmh|wheelspeed|gpsspeed", 0, 1,
                M::MustMove, 99},
    ChannelInfo{"manifold_pressure", "Manifold pressure", D::Pressure, "map|boost|boostpressure|manifold|manifoldabs",
                1.5, 2, M::Usual, 5},
    ChannelInfo{"exhaust_back_pressure", "Exhaust back pressure", D::Pressure,
                "backpressure|emap|ebp|turbineinletpressure", 3.0, 5, M::Usual, 9},
    ChannelInfo{"airbox_pressure", "Airbox pressure", D::Pressure, "airbox|intakepressure", 0.5, 0.5, M::MustMove, 10},
    ChannelInfo{"lambda", "Lambda", D::None, "lam|lam1|lambda1|mixture", 0.015, 0.025, M::Usual, 1},
    ChannelInfo{"air_fuel_ratio", "Air-fuel ratio", D::None, "afr|airfuel|wideband", 0.2, 0.35, M::Usual, 2},
    ChannelInfo{"intake_air_temperature", "Intake air", D::Temperature,
                "iat|intaketemp|inlettemp|airtemp|intakeairtemp", 4.0, 1.5, M::Usual, 99},
    ChannelInfo{"coolant_temperature", "Coolant", D::Temperature, "ect|clt|watertemp|coolant|coolanttemp|water", 4.0,
                1.5, M::Usual, 99},
    ChannelInfo{"oil_temperature", "Oil", D::Temperature, "oiltemp|oilt", 6.0, 1.5, M::Usual, 99},
    ChannelInfo{"exhaust_gas_temperature", "Exhaust gas", D::Temperature, "egt|exhausttemp|egt1", 25.0, 12, M::MustMove,
                99},
    ChannelInfo{"oil_pressure", "Oil pressure", D::Pressure, "oilpress|oilp", 40.0, 15, M::MustMove, 99},
    ChannelInfo{"fuel_pressure", "Fuel pressure", D::Pressure, "fuelpress|fuelp", 10.0, 10, M::Usual, 11},
    ChannelInfo{"fuel_flow", "Fuel flow", D::MassFlow, "fuel|fuelrate", 0, 0, M::MustMove, 99},
    ChannelInfo{"air_flow", "Air flow", D::MassFlow, "maf|airmass", 0, 0, M::MustMove, 99},
    ChannelInfo{"ignition_advance", "Ignition advance", D::Angle,
                "timing|ignition|advance|ignadvance|sparkadvance|ignitiontiming", 0.5, 1.5, M::MayStandStill, 3},
    ChannelInfo{"knock_retard", "Knock retard", D::Angle, "knock|kr|retard", 0.5, 0, M::MayStandStill, 4},
    ChannelInfo{"throttle", "Throttle", D::Percent, "tps|throttleposition|pedal", 2.0, 1.5, M::MayStandStill, 6},
    ChannelInfo{"wastegate_duty", "Wastegate duty", D::Percent, "wgdc|wastegate|boostduty", 0, 0, M::MayStandStill, 7},
    ChannelInfo{"bypass_valve", "Bypass valve", D::Percent, "bypass|bov|dumpvalve", 3.0, 0, M::MayStandStill, 8},
    ChannelInfo{"absorber_load", "Absorber load", D::Percent, "load|brakeload|absorber", 0, 0, M::MayStandStill, 12},
    ChannelInfo{"spark_current", "Spark current", D::Current, "ionisation|sparkcurrent|coilcurrent", 3.0, 3, M::Usual,
                13},
};

} // namespace

std::span<const ChannelInfo> standardChannels() { return kChannels; }

const ChannelInfo* channelInfo(std::string_view name) {
    const auto it = std::find_if(kChannels.begin(), kChannels.end(), [&](const auto& c) { return name == c.name; });
    return it == kChannels.end() ? nullptr : &*it;
}

std::string channelLabel(std::string_view name) {
    const ChannelInfo* info = channelInfo(name);
    return info ? info->label : std::string(name);
}

} // namespace hillrun
