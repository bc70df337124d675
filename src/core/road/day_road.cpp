// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/day_road.h"

#include "core/answer/figure.h"
#include "core/errors/data_error.h"
#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <functional>

namespace hillrun {
namespace {

constexpr double kKmh = 3.6;
/// What is taken for what nobody noted (common practice).
constexpr double kRolling = 0.013;
constexpr double kGrip = 1.0;
constexpr double kEfficiency = 0.90;
constexpr double kShift_s = 0.4;
constexpr double kDriver_kg = 75.0;
constexpr double kSpeeds_kmh[][2] = {{0, 60}, {0, 100}, {0, 160}, {60, 100}, {80, 120}, {100, 160}};
constexpr double kGasConstant = 287.05; ///< of dry air, J/(kg K)

double takenOr(const std::optional<double>& known, double usual, const char* what, VehicleTaken& out) {
    if (known)
        return *known;
    out.taken.push_back({what, {significant(usual, 3)}});
    return usual;
}

/// The part of a curve that all pulls share.
EngineCurve engineCurve(const std::vector<double>& rpm, const std::vector<double>& torque_nm, const RpmRange& range,
                        double factor) {
    EngineCurve out;
    for (size_t i = 0; i < rpm.size(); ++i)
        if (rpm[i] >= range.low - 1e-6 && rpm[i] <= range.high + 1e-6 && std::isfinite(torque_nm[i])) {
            out.rpm.push_back(rpm[i]);
            out.torque_nm.push_back(factor * torque_nm[i]);
        }
    return out;
}

/// Density of the course's air, and what its oxygen does to the torque against the standard's.
void setAir(const TestDay& day, const DayAnalysis& analysis, DayRoad& out) {
    const Standard standard = analysis.settings.reduce.standard;
    const StandardInfo& info = standardInfo(standard);
    if (out.course.air) {
        const HumidAir air = humidAir(*out.course.air);
        out.airDensity_kg_m3 = air.density_kg_m3;
        if (standard != Standard::Uncorrected)
            out.torqueFactor = 1.0 / airFactor(standard, air, engineForAir(day)).factor;
        return;
    }
    const double pressure_pa = info.referencePressure_pa > 0.0 ? info.referencePressure_pa : 101325.0;
    const double temperature_k =
        unit::kZeroCelsius_k + (info.referencePressure_pa > 0.0 ? info.referenceTemperature_c : 15.0);
    out.airDensity_kg_m3 = pressure_pa / (kGasConstant * temperature_k);
}

RoadBuild driven(const std::string& id, const VehicleTaken& taken, const EngineCurve& engine, const DayRoad& road) {
    RoadBuild out{id, driveCourse(taken.vehicle, engine, road.course, road.airDensity_kg_m3), {}, {}};
    if (!road.course.isRolling() && out.run.finished())
        for (const auto& [from, to] : kSpeeds_kmh)
            if (const auto seconds = out.run.between_s(from / kKmh, to / kKmh))
                out.times.push_back({from, to, *seconds});
    out.use = timeAtSpeeds(out.run);
    return out;
}

std::optional<BuildColumn> columnOf(const DayAnalysis& analysis, const std::string& id) {
    for (int b = 0; b < analysis.model->input.builds; ++b)
        if (analysis.builds[static_cast<size_t>(b)].id == id)
            return b;
    return std::nullopt;
}

std::vector<double> differenceByPiece(const DayRoad& road, const RoadRun& from, const RoadRun& to) {
    std::vector<double> out;
    double at = 0.0;
    double before = 0.0;
    for (const CoursePiece& piece : road.course.pieces) {
        at += piece.length_m;
        const double now = to.passed_s(at) - from.passed_s(at);
        out.push_back(now - before);
        before = now;
    }
    return out;
}

std::optional<RoadDifference> differenceOf(const DayAnalysis& analysis, const Comparison& c, const CourseFigure& times,
                                           const DayRoad& road) {
    const RoadBuild* from = road.build(c.from);
    const RoadBuild* to = road.build(c.to);
    const auto first = columnOf(analysis, c.from);
    const auto second = columnOf(analysis, c.to);
    if (!from || !to || !first || !second)
        return std::nullopt;
    const auto found = estimateNumber(*analysis.model, pairContrast(*analysis.model, *first, *second), times.ofPull,
                                      analysis.settings.drift);
    if (!found)
        return std::nullopt;
    const auto seconds = [&](double log) { return times.seconds(log, from->run.time_s); };
    return RoadDifference{c.from,
                          c.to,
                          seconds(found->estimate),
                          seconds(found->estimate + found->half),
                          seconds(found->estimate - found->half),
                          from->run.time_s,
                          found->degreesOfFreedom > 0 && (found->protectedFromDrift || found->bound > 0.0),
                          differenceByPiece(road, from->run, to->run)};
}

/// The pieces that hold most of a difference, as few as give four fifths of it, in the order of the road.
std::vector<size_t> piecesThatCount(const RoadDifference& difference) {
    std::vector<size_t> order(difference.byPiece_s.size());
    for (size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    const double sign = difference.delta_s < 0.0 ? -1.0 : 1.0;
    std::sort(order.begin(), order.end(),
              [&](size_t a, size_t b) { return sign * difference.byPiece_s[a] > sign * difference.byPiece_s[b]; });
    double sum = 0.0;
    double all = 0.0;
    for (const double one : difference.byPiece_s)
        all += one;
    std::vector<size_t> out;
    for (const size_t piece : order) {
        if (sign * sum >= 0.8 * sign * all)
            break;
        sum += difference.byPiece_s[piece];
        out.push_back(piece);
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace

VehicleTaken takeVehicle(const TestDay& day, const PowerPlace& place) {
    const Vehicle& known = day.article.vehicle;
    VehicleTaken out;
    std::vector<std::string> missing;
    const auto need = [&](const std::optional<double>& value, const char* key) {
        if (!value || !(*value > 0.0))
            missing.emplace_back(key);
        return value.value_or(0.0);
    };
    RoadVehicle& v = out.vehicle;
    v.mass_kg = need(known.mass_kg, "mass_kg");
    v.tyreRadius_m = need(known.tyreRadius_m, "tyre_radius_m");
    v.finalDrive = need(known.finalDrive, "final_drive");
    v.dragArea_m2 = need(known.dragArea_m2, "drag_area_m2");
    v.gears = known.gears;
    if (v.gears.empty())
        missing.emplace_back("gears");
    if (!missing.empty())
        out.whyNot = {"road.missing", {namesOf(missing)}};
    else if (!std::is_sorted(v.gears.begin(), v.gears.end(), std::greater<>()) || !(v.gears.back() > 0.0))
        out.whyNot = {"road.gears"};
    v.mass_kg += takenOr(known.driverMass_kg, kDriver_kg, "road.taken_driver", out);
    v.rollingResistance = takenOr(known.rollingResistance, kRolling, "road.taken_rolling", out);
    v.tyreGrip = takenOr(known.tyreGrip, kGrip, "road.taken_grip", out);
    v.shiftTime_s = takenOr(known.shiftTime_s, kShift_s, "road.taken_shift", out);
    if (place.at != MeasuredAt::Wheel)
        v.efficiency = takenOr(known.drivelineEfficiency, kEfficiency, "road.taken_efficiency", out);
    v.driven = known.drivenAxle.value_or(DrivenAxle::Rear);
    v.wheelbase_m = known.wheelbase_m.value_or(0.0);
    v.centreOfMassHeight_m = known.centreOfMassHeight_m.value_or(0.0);
    v.frontShare = known.frontShare.value_or(0.5);
    v.engineInertia_kgm2 = day.article.engine.inertia_kgm2.value_or(0.0);
    v.drivelineInertia_kgm2 = known.drivelineInertia_kgm2.value_or(0.0);
    v.launch_rpm = known.launch_rpm.value_or(0.0);
    v.shift_rpm = known.shift_rpm;
    return out;
}

double CourseFigure::seconds(double difference, double base_s) const {
    return base_s * std::expm1(-answer * difference);
}

std::optional<CourseFigure> courseFigure(const DayModel& model, const RpmRange& range, double torqueFactor,
                                         const RoadVehicle& vehicle, const Course& course, double airDensity_kg_m3,
                                         const EngineCurve& base) {
    constexpr double kSmall = 0.01;
    const auto time = [&](const EngineCurve& engine) {
        if (engine.rpm.size() < 2)
            return kNaN;
        const RoadRun run = driveCourse(vehicle, engine, course, airDensity_kg_m3);
        return run.finished() ? run.time_s : kNaN;
    };
    CourseFigure out;
    out.answer = -std::log(time(base.times(1.0 + kSmall)) / time(base.times(1.0 - kSmall))) /
                 std::log((1.0 + kSmall) / (1.0 - kSmall));
    const double baseTime = time(base);
    if (!(out.answer > 1e-6) || !std::isfinite(baseTime))
        return std::nullopt;
    const FitInput& fit = model.input;
    out.ofPull.resize(fit.logPower.rows());
    for (Eigen::Index i = 0; i < out.ofPull.size(); ++i) {
        std::vector<double> torque_nm;
        for (size_t p = 0; p < fit.rpm.size(); ++p)
            torque_nm.push_back(std::exp(fit.logPower(i, static_cast<Eigen::Index>(p))) / angularSpeed(fit.rpm[p]));
        out.ofPull(i) = -std::log(time(engineCurve(fit.rpm, torque_nm, range, torqueFactor)) / baseTime) / out.answer;
    }
    return out;
}

DayRoad dayRoad(const TestDay& day, const DayAnalysis& analysis, const Course& course) {
    DayRoad out;
    out.course = course;
    VehicleTaken taken = takeVehicle(day, analysis.place);
    if (!taken.whyNot.empty()) {
        out.whyNot = std::move(taken.whyNot);
        return out;
    }
    if (!analysis.model || !(analysis.common_rpm.high > analysis.common_rpm.low)) {
        out.whyNot = {"why.no_pull"};
        return out;
    }
    out.curve_rpm = analysis.common_rpm;
    if (!(taken.vehicle.launch_rpm > 0.0)) { // nobody noted it: where the curve begins
        taken.vehicle.launch_rpm = out.curve_rpm.low;
        taken.taken.push_back({"road.taken_launch", {Rpm{out.curve_rpm.low}}});
    }
    taken.vehicle.launch_rpm = std::min(taken.vehicle.launch_rpm, out.curve_rpm.high);
    setAir(day, analysis, out);
    out.taken = std::move(taken.taken);
    for (const BuildResult& build : analysis.builds) {
        const EngineCurve engine = engineCurve(analysis.rpm, build.torque_nm, out.curve_rpm, out.torqueFactor);
        if (engine.rpm.size() > 1)
            out.builds.push_back(driven(build.id, taken, engine, out));
    }
    const auto base =
        std::find_if(out.builds.begin(), out.builds.end(), [](const RoadBuild& build) { return build.run.finished(); });
    if (base == out.builds.end())
        return out;
    const EngineCurve ofBase =
        engineCurve(analysis.rpm, analysis.findBuild(base->id)->torque_nm, out.curve_rpm, out.torqueFactor);
    if (const auto times = courseFigure(*analysis.model, out.curve_rpm, out.torqueFactor, taken.vehicle, course,
                                        out.airDensity_kg_m3, ofBase))
        for (const auto& [comparisons, into] :
             {std::pair(&analysis.comparisons, &out.differences), std::pair(&analysis.otherPairs, &out.others)})
            for (const Comparison& c : *comparisons)
                if (const auto difference = differenceOf(analysis, c, *times, out))
                    into->push_back(*difference);
    if (out.differences.empty() && out.builds.size() > 1)
        out.whyNoDifference = {"road.no_answer"};
    return out;
}

const RoadBuild* DayRoad::build(const std::string& id) const {
    for (const RoadBuild& one : builds)
        if (one.id == id && one.run.finished())
            return &one;
    return nullptr;
}

const RoadDifference* DayRoad::find(const std::string& from, const std::string& to) const {
    for (const std::vector<RoadDifference>* list : {&differences, &others})
        for (const RoadDifference& one : *list)
            if (one.from == from && one.to == to)
                return &one;
    return nullptr;
}

Statement courseName(const Course& course) {
    if (builtInCourse(course.name))
        return {"course." + course.name};
    return {"course.own", {course.name}};
}

std::vector<Statement> roadSummary(const DayRoad& road, const RoadDifference& d) {
    const Statement course = courseName(road.course);
    if (!std::isfinite(d.low_s))
        return {{"road.no_interval", {course, d.to, d.from, signedDecimals(d.delta_s, 2, "s")}}};
    const double half = 0.5 * (d.high_s - d.low_s);
    const int digits = half < 0.095 ? 2 : 1;
    if (!d.proven())
        return {{d.mayClaim ? "road.cannot_tell" : "road.open_to_drift",
                 {course, d.to, d.from, signedDecimals(d.delta_s, digits, "s"), decimals(half, digits, "s")}}};
    std::vector<Statement> out{{d.delta_s < 0.0 ? "road.quicker" : "road.slower",
                                {course, d.to, decimals(std::abs(d.delta_s), digits), decimals(half, digits, "s"),
                                 d.from, decimals(d.base_s, 1, "s")}}};
    const std::vector<size_t> pieces = piecesThatCount(d);
    if (d.byPiece_s.size() > 3 && pieces.size() <= 3) {
        std::vector<std::string> where;
        for (const size_t piece : pieces) {
            double from = 0.0;
            for (size_t i = 0; i < piece; ++i)
                from += road.course.pieces[i].length_m;
            where.push_back(std::to_string(std::lround(from)) + "\xE2\x80\x93" +
                            std::to_string(std::lround(from + road.course.pieces[piece].length_m)) + "\xC2\xA0m");
        }
        out.push_back({"road.won_at", {namesOf(where)}});
    }
    return out;
}

} // namespace hillrun
