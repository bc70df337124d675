// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/road_vehicle.h"

#include "core/units/road_speed.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kBeyond = 1.001;
constexpr double kCouplingSpeed = 0.9; ///< of a converter, over its stall speed

/// What the grip of the driven tyres allows. Load moves between the axles by the tractive force itself: air and
/// gradient are taken to act at the height of the centre of mass.
double gripForce_n(const RoadVehicle& v, const RoadState& road) {
    const double weight = v.mass_kg * unit::kStandardGravity / std::hypot(1.0, road.gradient);
    const double lever = v.wheelbase_m > 0.0 ? v.centreOfMassHeight_m / v.wheelbase_m : 0.0;
    switch (v.driven) {
    case DrivenAxle::Front:
        return v.tyreGrip * weight * v.frontShare / (1.0 + v.tyreGrip * lever);
    case DrivenAxle::Rear:
        if (v.tyreGrip * lever >= 1.0) // the front wheels lift: the whole weight lies behind
            return v.tyreGrip * weight;
        return std::min(v.tyreGrip * weight, v.tyreGrip * weight * (1.0 - v.frontShare) / (1.0 - v.tyreGrip * lever));
    case DrivenAxle::All:
        break;
    }
    return v.tyreGrip * weight;
}

/// What a converter makes of the torque.
double multiplied(const RoadVehicle& v, double input_rpm) {
    if (!(v.converterTorqueRatio > 1.0) || !(v.launch_rpm > 0.0))
        return 1.0;
    const double slip = std::max(0.0, 1.0 - input_rpm / v.launch_rpm / kCouplingSpeed);
    return 1.0 + (v.converterTorqueRatio - 1.0) * slip;
}

bool clutchSlips(const RoadVehicle& v, size_t gear, double speed_ms) { return v.rpmAt(speed_ms, gear) < v.launch_rpm; }

} // namespace

double EngineCurve::at(double speed_rpm) const {
    if (speed_rpm >= rpm.back()) // a hair beyond it still pulls: else rounding would hold a vehicle just below
        return speed_rpm > kBeyond * rpm.back() ? 0.0 : torque_nm.back();
    if (speed_rpm <= rpm.front())
        return torque_nm.front();
    const auto above = static_cast<size_t>(std::lower_bound(rpm.begin(), rpm.end(), speed_rpm) - rpm.begin());
    const double share = (speed_rpm - rpm[above - 1]) / (rpm[above] - rpm[above - 1]);
    return torque_nm[above - 1] + share * (torque_nm[above] - torque_nm[above - 1]);
}

EngineCurve EngineCurve::times(double factor) const {
    EngineCurve out = *this;
    for (double& torque : out.torque_nm)
        torque *= factor;
    return out;
}

double RoadVehicle::rpmAt(double speed_ms, size_t gear) const {
    return engineSpeed_rpm(speed_ms, ratio(gear), tyreRadius_m);
}

double RoadVehicle::speedAt(double rpm, size_t gear) const { return roadSpeed_ms(rpm, ratio(gear), tyreRadius_m); }

double tractiveForce_n(const RoadVehicle& v, const EngineCurve& engine, size_t gear, double speed_ms,
                       const RoadState& road) {
    const double input_rpm = v.rpmAt(speed_ms, gear);
    const double torque_nm = engine.at(std::max(input_rpm, v.launch_rpm)) * multiplied(v, input_rpm);
    const double force = torque_nm * v.ratio(gear) * v.efficiency / v.tyreRadius_m;
    return std::min(force, gripForce_n(v, road));
}

double resistance_n(const RoadVehicle& v, double speed_ms, const RoadState& road) {
    const double slope = std::hypot(1.0, road.gradient); // 1 / cos
    const double rolling = v.rollingResistance * v.mass_kg * unit::kStandardGravity / slope;
    return rolling + 0.5 * road.airDensity_kg_m3 * v.dragArea_m2 * speed_ms * speed_ms +
           v.mass_kg * unit::kStandardGravity * road.gradient / slope;
}

double movedMass_kg(const RoadVehicle& v, size_t gear, double speed_ms) {
    const double turns = v.ratio(gear) / v.tyreRadius_m;
    const double engine = clutchSlips(v, gear, speed_ms) ? 0.0 : v.engineInertia_kgm2 * turns * turns;
    return v.mass_kg + engine + v.drivelineInertia_kgm2 / (v.tyreRadius_m * v.tyreRadius_m);
}

double acceleration_ms2(const RoadVehicle& v, const EngineCurve& engine, size_t gear, double speed_ms,
                        const RoadState& road) {
    return (tractiveForce_n(v, engine, gear, speed_ms, road) - resistance_n(v, speed_ms, road)) /
           movedMass_kg(v, gear, speed_ms);
}

size_t bestGear(const RoadVehicle& v, const EngineCurve& engine, double speed_ms, const RoadState& road) {
    size_t best = v.gears.size() - 1;
    double most = -1e300;
    for (size_t gear = 0; gear < v.gears.size(); ++gear) {
        if (v.rpmAt(speed_ms, gear) > engine.end_rpm())
            continue;
        const double own = acceleration_ms2(v, engine, gear, speed_ms, road);
        if (own > most + 1e-12) {
            most = own;
            best = gear;
        }
    }
    return best;
}

std::vector<double> bestShifts_rpm(const RoadVehicle& v, const EngineCurve& engine, const RoadState& road) {
    constexpr double kStep_rpm = 5.0;
    std::vector<double> out;
    for (size_t gear = 0; gear + 1 < v.gears.size(); ++gear) {
        const auto nextPullsHarder = [&](double rpm) {
            const double speed = v.speedAt(rpm, gear);
            return acceleration_ms2(v, engine, gear + 1, speed, road) > acceleration_ms2(v, engine, gear, speed, road);
        };
        double shift = engine.end_rpm(); // from above: the last speed at which this gear still pulls as hard
        while (shift - kStep_rpm > engine.rpm.front() && nextPullsHarder(shift - kStep_rpm))
            shift -= kStep_rpm;
        out.push_back(shift);
    }
    return out;
}

std::optional<TopSpeed> topSpeed(const RoadVehicle& v, const EngineCurve& engine, const RoadState& road) {
    std::optional<TopSpeed> out;
    for (size_t gear = 0; gear < v.gears.size(); ++gear) {
        // The highest speed of the gear at which it still gains: there is none above where resistance only grows.
        const double end = v.speedAt(engine.end_rpm(), gear);
        const auto gains = [&](double speed) { return acceleration_ms2(v, engine, gear, speed, road) >= 0.0; };
        double high = end;
        constexpr int kSteps = 400;
        int step = kSteps;
        while (step > 0 && !gains(end * step / kSteps))
            --step;
        if (step == 0)
            continue;
        if (step < kSteps) {
            double low = end * step / kSteps;
            high = end * (step + 1) / kSteps;
            for (int i = 0; i < 60; ++i) {
                const double middle = 0.5 * (low + high);
                (gains(middle) ? low : high) = middle;
            }
        }
        if (!out || high > out->speed_ms)
            out = TopSpeed{high, gear};
    }
    return out;
}

} // namespace hillrun
