// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/day_road.h"

#include "core/answer/figure.h"
#include "core/errors/data_error.h"
#include "core/road/course_air.h"
#include "core/units/nan.h"
#include "core/units/road_speed.h"

#include <algorithm>
#include <cmath>
#include <functional>

namespace hillrun {
namespace {

/// What is taken for what nobody noted (common practice).
constexpr double kRolling = 0.013;
constexpr double kGrip = 1.0;
constexpr double kEfficiency = 0.90;
constexpr double kShift_s = 0.4;
constexpr double kDriver_kg = 75.0;
constexpr double kConverter = 2.0;
constexpr double kPlaces_m[] = {100.0, 400.0, 1000.0};
constexpr double kSpeeds_kmh[][2] = {{0, 60}, {0, 100}, {0, 160}, {60, 100}, {80, 120}, {100, 160}};

double takenOr(const std::optional<double>& known, double usual, const char* what, VehicleTaken& out) {
    if (known)
        return *known;
    out.taken.push_back({what, {significant(usual, 3)}});
    return usual;
}

/// What the day's coast-downs took off on the way to the wheels, of the first pull in use.
EngineCurve measuredLoss(const DayAnalysis& analysis) {
    EngineCurve out;
    if (!analysis.loss || !analysis.place.estimate)
        return out;
    for (const PullResult& pull : analysis.pulls) {
        if (!pull.used || !pull.curve || pull.curve->loss_w.empty())
            continue;
        out.rpm = pull.curve->rpm;
        for (size_t i = 0; i < out.rpm.size(); ++i)
            out.torque_nm.push_back(pull.curve->loss_w[i] / angularSpeed(out.rpm[i]));
        break;
    }
    return out;
}

/// From a standstill along a level road without corners.
bool isStandingRun(const Course& course) {
    return !course.isRolling() && std::all_of(course.pieces.begin(), course.pieces.end(), [](const CoursePiece& piece) {
        return piece.gradient == 0.0 && !piece.limit_ms;
    });
}

RoadBuild driven(const std::string& id, const EngineCurve& engine, const DayRoad& road) {
    RoadBuild out{id, driveCourse(road.vehicle, engine, road.course, road.airDensity_kg_m3), {}, {}, {}, {}};
    if (!road.course.isRolling() && out.run.finished())
        for (const auto& [from, to] : kSpeeds_kmh)
            if (const auto seconds = out.run.between_s(from / kKmhPerMs, to / kKmhPerMs))
                out.times.push_back({from, to, *seconds});
    if (isStandingRun(road.course) && out.run.finished())
        for (const double at : kPlaces_m)
            if (at < road.course.length_m())
                out.passings.push_back({at, out.run.passed_s(at), out.run.speedAt_ms(at)});
    out.top = topSpeed(road.vehicle, engine, {0.0, road.airDensity_kg_m3});
    out.use = timeAtSpeeds(out.run);
    return out;
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
    const auto first = analysis.column(c.from);
    const auto second = analysis.column(c.to);
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

/// Nobody noted it: where the curve begins. Nothing is known above the curve.
void takeLaunch(const RpmRange& range, VehicleTaken& taken) {
    double& launch = taken.vehicle.launch_rpm;
    if (!(launch > 0.0)) {
        launch = range.low;
        taken.taken.push_back({"road.taken_launch", {Rpm{range.low}}});
    }
    launch = std::min(launch, range.high);
}

/// All pairs of builds that arrive, by one figure of each pull.
void compareBuilds(const DayAnalysis& analysis, DayRoad& out) {
    const auto base =
        std::find_if(out.builds.begin(), out.builds.end(), [](const RoadBuild& build) { return build.run.finished(); });
    if (base == out.builds.end())
        return;
    const EngineCurve ofBase = out.torque.of(analysis.rpm, analysis.findBuild(base->id)->torque_nm);
    out.times = courseTimes(*analysis.model, out.torque, out.vehicle, out.course, out.airDensity_kg_m3, ofBase);
    if (out.times)
        for (const auto& [comparisons, into] :
             {std::pair(&analysis.comparisons, &out.differences), std::pair(&analysis.otherPairs, &out.others)})
            for (const Comparison& c : *comparisons)
                if (const auto difference = differenceOf(analysis, c, out.times->whole, out))
                    into->push_back(*difference);
    if (out.differences.empty() && out.builds.size() > 1)
        out.whyNoDifference = {"road.no_answer"};
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

/// "388-548 m (out of the lower hairpin)"
Statement stretchPhrase(const Course& course, size_t piece) {
    double from_m = 0.0;
    for (size_t i = 0; i < piece; ++i)
        from_m += course.pieces[i].length_m;
    const Number from = decimals(from_m, 0);
    const Number to = decimals(from_m + course.pieces[piece].length_m, 0);
    if (const auto here = cornerName(course, piece))
        return {"road.stretch_in", {from, to, *here}};
    if (const auto before = piece > 0 ? cornerName(course, piece - 1) : std::nullopt)
        return {"road.stretch_out_of", {from, to, *before}};
    return {"road.stretch", {from, to}};
}

constexpr double kSmall = 0.01; ///< of power, by which it is told how the time answers
constexpr int kPlaces = 24;     ///< along the way

RoadRun notDriven() {
    RoadRun out;
    out.whyNot = {"why.no_pull"};
    return out;
}

/// What a figure of the pulls is made of.
struct RunsForFigure {
    RoadRun base, more, less; ///< of the curve about which the time answers, and with a little more and less power
    std::vector<RoadRun> ofPull;
};

template <class Drive>
std::vector<RoadRun> runsOfPulls(const DayModel& model, const CourseTorque& torque, const Drive& drive) {
    const FitInput& fit = model.input;
    std::vector<RoadRun> out;
    for (Eigen::Index i = 0; i < fit.logPower.rows(); ++i) {
        std::vector<double> torque_nm;
        for (size_t p = 0; p < fit.rpm.size(); ++p)
            torque_nm.push_back(std::exp(fit.logPower(i, static_cast<Eigen::Index>(p))) / angularSpeed(fit.rpm[p]));
        out.push_back(drive(torque.of(fit.rpm, torque_nm)));
    }
    return out;
}

/// `timeOf`: of a run that arrived.
template <class TimeOf> CourseFigure figureOfTimes(const RunsForFigure& runs, const TimeOf& timeOf) {
    const auto time = [&](const RoadRun& run) { return run.finished() ? timeOf(run) : kNaN; };
    CourseFigure out;
    const double base = time(runs.base);
    const double answer = -std::log(time(runs.more) / time(runs.less)) / std::log((1.0 + kSmall) / (1.0 - kSmall));
    if (!(answer > 1e-6) || !std::isfinite(base))
        return out;
    out.answer = answer;
    out.ofPull.resize(static_cast<Eigen::Index>(runs.ofPull.size()));
    for (Eigen::Index i = 0; i < out.ofPull.size(); ++i)
        out.ofPull(i) = -std::log(time(runs.ofPull[static_cast<size_t>(i)]) / base) / answer;
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
    if (place.estimate) { // what the day added on the way is taken off again
        v.efficiency = day.loss.method == LossMethod::Percent ? 1.0 - day.loss.percent / 100.0 : 1.0;
        out.taken.push_back({"road.loss_of_day"});
    } else if (place.at == MeasuredAt::Crank) // at hub and wheel the driveline lies before it
        v.efficiency = takenOr(known.drivelineEfficiency, kEfficiency, "road.taken_efficiency", out);
    v.driven = known.drivenAxle.value_or(DrivenAxle::Rear);
    v.wheelbase_m = known.wheelbase_m.value_or(0.0);
    v.centreOfMassHeight_m = known.centreOfMassHeight_m.value_or(0.0);
    v.frontShare = known.frontShare.value_or(0.5);
    v.engineInertia_kgm2 = day.article.engine.inertia_kgm2.value_or(0.0);
    v.drivelineInertia_kgm2 = known.drivelineInertia_kgm2.value_or(0.0);
    v.launch_rpm = known.launch_rpm.value_or(0.0);
    if (known.converterStall_rpm) {
        v.launch_rpm = *known.converterStall_rpm;
        v.converterTorqueRatio = takenOr(known.converterTorqueRatio, kConverter, "road.taken_converter", out);
    }
    v.shift_rpm = known.shift_rpm;
    return out;
}

double CourseFigure::seconds(double difference, double base_s) const {
    return base_s * std::expm1(-answer * difference);
}

EngineCurve CourseTorque::of(const std::vector<double>& rpm, const std::vector<double>& torque_nm) const {
    EngineCurve out;
    for (size_t i = 0; i < rpm.size(); ++i)
        if (rpm[i] >= range_rpm.low - 1e-6 && rpm[i] <= range_rpm.high + 1e-6 && std::isfinite(torque_nm[i])) {
            out.rpm.push_back(rpm[i]);
            out.torque_nm.push_back(airFactor * torque_nm[i] - (loss_nm.rpm.empty() ? 0.0 : loss_nm.at(rpm[i])));
        }
    return out;
}

std::optional<CourseTimes> courseTimes(const DayModel& model, const CourseTorque& torque, const RoadVehicle& vehicle,
                                       const Course& course, double airDensity_kg_m3, const EngineCurve& base) {
    const auto drive = [&](const EngineCurve& engine) {
        return engine.rpm.size() < 2 ? notDriven() : driveCourse(vehicle, engine, course, airDensity_kg_m3);
    };
    const RunsForFigure runs{drive(base), drive(base.times(1.0 + kSmall)), drive(base.times(1.0 - kSmall)),
                             runsOfPulls(model, torque, drive)};
    CourseTimes out;
    out.whole = figureOfTimes(runs, [](const RoadRun& run) { return run.time_s; });
    if (!(out.whole.answer > 0.0))
        return std::nullopt;
    for (int i = 1; i <= kPlaces && !course.isRolling(); ++i) {
        const double at = course.length_m() * i / kPlaces;
        out.until_m.push_back(at);
        out.until.push_back(i == kPlaces ? out.whole
                                         : figureOfTimes(runs, [at](const RoadRun& run) { return run.passed_s(at); }));
    }
    return out;
}

Course withCornerSpeeds(Course course, double tyreGrip) {
    for (CoursePiece& piece : course.pieces)
        if (piece.radius_m) {
            const double byRadius_ms = std::sqrt(tyreGrip * unit::kStandardGravity * *piece.radius_m);
            piece.limit_ms = std::min(piece.limit_ms.value_or(byRadius_ms), byRadius_ms);
        }
    return course;
}

DayRoad dayRoad(const TestDay& day, const DayAnalysis& analysis, const Course& course) {
    DayRoad out;
    out.course = course;
    if (course.held) {
        out.whyNot = {"road.held_not_driven"};
        return out;
    }
    VehicleTaken taken = takeVehicle(day, analysis.place);
    if (!taken.whyNot.empty()) {
        out.whyNot = std::move(taken.whyNot);
        return out;
    }
    if (!analysis.model || !(analysis.common_rpm.high > analysis.common_rpm.low)) {
        out.whyNot = {"why.no_pull"};
        return out;
    }
    out.torque.range_rpm = analysis.common_rpm;
    out.torque.loss_nm = measuredLoss(analysis);
    takeLaunch(out.torque.range_rpm, taken);
    out.vehicle = std::move(taken.vehicle);
    out.course = withCornerSpeeds(course, out.vehicle.tyreGrip);
    const CourseAir air = courseAir(day, analysis, course);
    out.airDensity_kg_m3 = air.density_kg_m3;
    out.torque.airFactor = air.torqueFactor;
    out.taken = std::move(taken.taken);
    for (const BuildResult& build : analysis.builds)
        if (const EngineCurve engine = out.torque.of(analysis.rpm, build.torque_nm); engine.rpm.size() > 1)
            out.builds.push_back(driven(build.id, engine, out));
    compareBuilds(analysis, out);
    return out;
}

SpeedWeights useOnCourse(const DayRoad& road, const std::string& build) {
    SpeedWeights out;
    for (const RoadBuild& one : road.builds) {
        if (!one.run.finished() || one.use.size() < 2 || !(build.empty() || one.id == build))
            continue;
        for (const SpeedShare& share : one.use)
            out.push_back({share.rpm, share.share});
        break;
    }
    return out;
}

Statement DayRoad::whyNothing() const {
    if (!whyNot.empty())
        return whyNot;
    for (const RoadBuild& one : builds)
        if (!one.run.finished())
            return one.run.whyNot;
    return whyNoDifference;
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

double wayOf(const DayRoad& road, const RoadRun& run) {
    return road.course.isRolling() ? run.moments.back().distance_m : road.course.length_m();
}

std::optional<Statement> cornerName(const Course& course, size_t piece) {
    const std::string& name = course.pieces[piece].name;
    if (name.empty())
        return std::nullopt;
    return builtInCourse(course.name) ? Statement{"place." + name} : Statement{"place.own", {name}};
}

Statement courseName(const Course& course) {
    if (course.held)
        return {"course.held", {Rpm{course.held->rpm}, decimals(course.held->halfWidth_rpm, 0, "rpm")}};
    if (builtInCourse(course.name))
        return {"course." + course.name};
    return {"course.own", {course.name}};
}

std::optional<Course> courseOfDay(const TestDay& day) {
    if (!day.plan.course)
        return std::nullopt;
    const auto known = builtInCourse(day.plan.course->name);
    return known ? known : day.plan.course;
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
        Several where;
        for (const size_t piece : pieces)
            where.items.push_back(stretchPhrase(road.course, piece));
        out.push_back({"road.won_at", {where}});
    }
    return out;
}

} // namespace hillrun
