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
    ChannelInfo{"time", D::Time, "t|elapsedtime|logtime|timestamp|zeit", 0, 0, M::MayStandStill, 99},
    ChannelInfo{"engine_speed", D::EngineSpeed, "rpm|enginerpm|revs|speed|n|enginespeed|drehzahl", 0, 0,
                M::MayStandStill, 99},
    ChannelInfo{"torque", D::Torque, "tq|trq|enginetorque|braketorque|drehmoment", 0, 0, M::Usual, 99},
    ChannelInfo{"power", D::Power, "hp|kw|ps|enginepower|brakepower|leistung|bhp", 0, 0, M::Usual, 99},
    ChannelInfo{"roller_speed", D::AngularSpeed, "drumspeed|rollspeed", 0, 0, M::MustMove, 99},
    ChannelInfo{"retarder_torque", D::Torque, "retarder|brakeatroller", 0, 0, M::Usual, 99},
    ChannelInfo{"road_speed", D::RoadSpeed, "vehiclespeed|speed|mph|kmh|wheelspeed|gpsspeed", 0, 1, M::MustMove, 99},
    ChannelInfo{"manifold_pressure", D::Pressure, "map|boost|boostpressure|manifold|manifoldabs", 1.5, 2, M::Usual, 5},
    ChannelInfo{"exhaust_back_pressure", D::Pressure, "backpressure|emap|ebp|turbineinletpressure", 3.0, 5, M::Usual,
                9},
    ChannelInfo{"airbox_pressure", D::Pressure, "airbox|intakepressure", 0.5, 0.5, M::MustMove, 10},
    ChannelInfo{"lambda", D::None, "lam|lam1|lambda1|mixture", 0.015, 0.025, M::Usual, 1},
    ChannelInfo{"air_fuel_ratio", D::None, "afr|airfuel|wideband", 0.2, 0.35, M::Usual, 2},
    ChannelInfo{"intake_air_temperature", D::Temperature, "iat|intakeair|intaketemp|inlettemp|airtemp|intakeairtemp",
                4.0, 1.5, M::Usual, 99},
    ChannelInfo{"coolant_temperature", D::Temperature, "ect|clt|watertemp|coolant|coolanttemp|water", 4.0, 1.5,
                M::Usual, 99},
    ChannelInfo{"oil_temperature", D::Temperature, "oil|oiltemp|oilt", 6.0, 1.5, M::Usual, 99},
    ChannelInfo{"exhaust_gas_temperature", D::Temperature, "egt|exhaustgas|exhausttemp|egt1", 25.0, 12, M::MustMove,
                99},
    ChannelInfo{"oil_pressure", D::Pressure, "oilpress|oilp", 40.0, 15, M::MustMove, 99},
    ChannelInfo{"fuel_pressure", D::Pressure, "fuelpress|fuelp", 10.0, 10, M::Usual, 11},
    ChannelInfo{"fuel_flow", D::MassFlow, "fuel|fuelrate", 0, 0, M::MustMove, 99},
    ChannelInfo{"air_flow", D::MassFlow, "maf|airmass", 0, 0, M::MustMove, 99},
    ChannelInfo{"ignition_advance", D::Angle, "timing|ignition|advance|ignadvance|sparkadvance|ignitiontiming", 0.5,
                1.5, M::MayStandStill, 3},
    ChannelInfo{"knock_retard", D::Angle, "knock|kr|retard", 0.5, 0, M::MayStandStill, 4},
    ChannelInfo{"throttle", D::Percent, "tps|throttleposition|pedal", 2.0, 1.5, M::MayStandStill, 6},
    ChannelInfo{"wastegate_duty", D::Percent, "wgdc|wastegate|boostduty", 0, 0, M::MayStandStill, 7},
    ChannelInfo{"bypass_valve", D::Percent, "bypass|bov|dumpvalve", 3.0, 0, M::MayStandStill, 8},
    ChannelInfo{"absorber_load", D::Percent, "load|brakeload|absorber", 0, 0, M::MayStandStill, 12},
    ChannelInfo{"spark_current", D::Current, "ionisation|sparkcurrent|coilcurrent", 3.0, 3, M::Usual, 13},
};

} // namespace

std::span<const ChannelInfo> standardChannels() { return kChannels; }

const ChannelInfo* channelInfo(std::string_view name) {
    const auto it = std::find_if(kChannels.begin(), kChannels.end(), [&](const auto& c) { return name == c.name; });
    return it == kChannels.end() ? nullptr : &*it;
}

} // namespace hillrun
