// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/road_run.h"

#include "core/road/braking.h"

#include <algorithm>
#include <array>
#include <boost/numeric/odeint.hpp>
#include <cmath>
#include <functional>

namespace hillrun {
namespace {

namespace odeint = boost::numeric::odeint;

/// The integrated state: x[kSpeed] ...
enum : size_t { kDistance, kSpeed, kEngineWork, kResistanceWork, kTime, kStates };
using State = std::array<double, kStates>;
using Motion = std::function<void(const State&, State&, double)>;

constexpr double kTolerance = 1e-8;
constexpr double kLongestRun_s = 86400.0;
constexpr double kStalled_ms = 0.05;
constexpr double kGainsNoMore_ms2 = 1e-6;
constexpr int kMostSteps = 100000; ///< of a stretch: nothing that moves takes so many
constexpr int kMostIdle = 50;
/// After shifting up a gear is not left downwards again before its engine speed lies so far below that of the shift.
constexpr double kHysteresis_rpm = 400.0;

/// What ends a stretch of motion: becomes positive.
using Ending = std::function<double(const State&)>;

/// Drives one course; a phase after the other.
class Driver {
public:
    Driver(const RoadVehicle& vehicle, const EngineCurve& engine, const Course& course, double airDensity)
        : m_v(vehicle), m_engine(engine), m_course(course), m_density(airDensity),
          m_ceiling(vehicle, course, airDensity) {
        m_out.shift_rpm = vehicle.shift_rpm.size() + 1 == vehicle.gears.size()
                              ? vehicle.shift_rpm
                              : bestShifts_rpm(vehicle, engine, {0.0, airDensity});
        for (double& shift : m_out.shift_rpm)
            shift = std::min(shift, engine.end_rpm());
    }

    RoadRun standing() {
        note(true);
        for (m_piece = 0; m_piece < m_course.pieces.size() && m_out.finished(); ++m_piece) {
            m_pieceEnd += m_course.pieces[m_piece].length_m;
            drivePiece();
        }
        return finish();
    }

    /// On the flat, in the gear that pulls hardest at each speed, without the time of shifting. A gear after the other:
    /// at the end of one the next may not even hold the speed.
    RoadRun rolling() {
        const RoadState flat{0.0, m_density};
        m_state[kSpeed] = m_course.from_ms;
        m_gear = bestGear(m_v, m_engine, m_state[kSpeed], flat);
        note(true);
        const auto gain = [&](double speed_ms, size_t gear) {
            return acceleration_ms2(m_v, m_engine, gear, speed_ms, flat);
        };
        const auto ahead = [](double speed_ms) { return speed_ms * (1.0 + 1e-9); }; // past the end of a gear
        while (m_state[kSpeed] < m_course.to_ms * (1.0 - 1e-12) && m_out.finished()) {
            m_gear = bestGear(m_v, m_engine, ahead(m_state[kSpeed]), flat);
            const double end = std::min(m_course.to_ms, m_v.speedAt(m_engine.end_rpm(), m_gear));
            if (end <= m_state[kSpeed] || gain(m_state[kSpeed], m_gear) <= kGainsNoMore_ms2) {
                m_out.whyNot = {"road.speed_beyond_reach"};
                break;
            }
            integrate([&](const State& x, State& dx, double) { derivative(x, dx, m_gear, flat); }, true,
                      {[end](const State& x) { return x[kSpeed] - end; },
                       [&](const State& x) { return kGainsNoMore_ms2 - gain(x[kSpeed], m_gear); },
                       [&](const State& x) {
                           const double speed = ahead(x[kSpeed]);
                           return gain(speed, bestGear(m_v, m_engine, speed, flat)) - gain(speed, m_gear) - 1e-9;
                       }});
        }
        return finish();
    }

private:
    [[nodiscard]] RoadState road() const { return {m_course.pieces[m_piece].gradient, m_density}; }
    [[nodiscard]] double beforeEnd() const { return std::max(0.0, m_pieceEnd - m_state[kDistance]); }
    /// Square of the speed over what the place allows.
    [[nodiscard]] double overCeiling(const State& x) const {
        return x[kSpeed] * x[kSpeed] - m_ceiling.squared(m_piece, std::max(0.0, m_pieceEnd - x[kDistance]));
    }
    [[nodiscard]] bool pieceDone() const { return beforeEnd() < 1e-7; }

    void note(bool full) {
        m_out.moments.push_back({m_state[kTime], m_state[kDistance], m_state[kSpeed], m_gear, engineSpeed(), full});
    }
    [[nodiscard]] double engineSpeed() const { return std::max(m_v.rpmAt(m_state[kSpeed], m_gear), m_v.launch_rpm); }

    void derivative(const State& x, State& dx, size_t gear, const RoadState& on) const {
        const double force = tractiveForce_n(m_v, m_engine, gear, x[kSpeed], on);
        const double against = resistance_n(m_v, x[kSpeed], on);
        dx = {x[kSpeed], (force - against) / movedMass_kg(m_v, gear, x[kSpeed]), force * x[kSpeed], against * x[kSpeed],
              1.0};
    }

    /// Integrates until one of the endings comes, and says which; -1 when the run takes too long.
    int integrate(const Motion& motion, bool full, const std::vector<Ending>& endings) {
        auto stepper = odeint::make_dense_output(kTolerance, kTolerance, odeint::runge_kutta_dopri5<State>());
        stepper.initialize(m_state, 0.0, 1e-3);
        for (size_t e = 0; e < endings.size(); ++e) // one that has come already
            if (endings[e](m_state) >= 0.0)
                return static_cast<int>(e);
        for (int step = 0; step < kMostSteps && m_state[kTime] < kLongestRun_s; ++step) {
            const auto [before, after] = stepper.do_step(motion);
            double end = after;
            int which = -1;
            for (size_t e = 0; e < endings.size(); ++e) {
                const auto at = [&](double t) {
                    State x;
                    stepper.calc_state(t, x);
                    return endings[e](x);
                };
                if (at(end) < 0.0)
                    continue;
                double low = before;
                for (int i = 0; i < 60 && end - low > 1e-13 * std::max(1.0, end); ++i) {
                    const double middle = 0.5 * (low + end);
                    (at(middle) < 0.0 ? low : end) = middle;
                }
                which = static_cast<int>(e);
            }
            stepper.calc_state(end, m_state);
            note(full);
            if (which >= 0)
                return which;
        }
        m_out.whyNot = {"road.too_slow"};
        return -1;
    }

    void drivePiece() {
        while (!pieceDone() && m_out.finished() && m_state[kTime] < kLongestRun_s) {
            const double ceiling = m_ceiling.squared(m_piece, beforeEnd());
            const double squared = m_state[kSpeed] * m_state[kSpeed];
            const bool atCeiling = squared >= ceiling * (1.0 - 1e-9);
            if (!atCeiling && m_state[kTime] < m_shiftUntil_s - 1e-12)
                coast();
            else if (atCeiling && m_ceiling.brakes(m_piece, beforeEnd()))
                brake();
            else if (atCeiling && canHold())
                hold();
            else
                driveFrom(atCeiling);
        }
        if (m_state[kTime] >= kLongestRun_s && m_out.finished())
            m_out.whyNot = {"road.too_slow"};
    }

    [[nodiscard]] bool canHold() const {
        return acceleration_ms2(m_v, m_engine, bestGear(m_v, m_engine, m_state[kSpeed], road()), m_state[kSpeed],
                                road()) >= 0.0;
    }

    /// `leaving`: it stands at the ceiling, cannot hold that speed up the hill and falls below it.
    void driveFrom(bool leaving) {
        if (leaving)
            m_gear = bestGear(m_v, m_engine, m_state[kSpeed], road());
        const double before = m_state[kTime];
        drive(leaving);
        m_idle = m_state[kTime] > before ? 0 : m_idle + 1;
        if (m_idle > kMostIdle)
            m_out.whyNot = {"road.too_slow"};
    }

    /// Acceleration that the next lower gear would add, as far as it may be taken again.
    [[nodiscard]] double gainOfLowerGear(const State& x, const RoadState& on) const {
        if (m_gear == 0 || m_v.rpmAt(x[kSpeed], m_gear - 1) > m_out.shift_rpm[m_gear - 1] - kHysteresis_rpm)
            return -1.0;
        return acceleration_ms2(m_v, m_engine, m_gear - 1, x[kSpeed], on) -
               acceleration_ms2(m_v, m_engine, m_gear, x[kSpeed], on) - 1e-9;
    }

    /// At full throttle.
    void drive(bool leaving) {
        const size_t top = m_v.gears.size() - 1;
        const RoadState on = road();
        if (m_state[kSpeed] < kStalled_ms && acceleration_ms2(m_v, m_engine, m_gear, m_state[kSpeed], on) <= 0.0) {
            m_out.whyNot = {"road.too_steep"};
            return;
        }
        const double shiftAt = m_v.speedAt(m_gear < top ? m_out.shift_rpm[m_gear] : m_engine.end_rpm(), m_gear);
        enum { PieceEnd, UpperEnd, Ceiling, Lower, Stalled };
        const std::vector<Ending> endings{
            [this](const State& x) { return x[kDistance] - m_pieceEnd; },
            [shiftAt, leaving](const State& x) { return leaving ? -1.0 : x[kSpeed] - shiftAt; },
            [this, leaving](const State& x) { return leaving ? -1.0 : overCeiling(x); },
            [this, on](const State& x) { return gainOfLowerGear(x, on); },
            [this](const State& x) { return x[kDistance] > 1e-3 && x[kSpeed] < kStalled_ms ? 1.0 : -1.0; },
        };
        const Motion motion = [this, on](const State& x, State& dx, double) { derivative(x, dx, m_gear, on); };
        const int ended = integrate(motion, true, endings);
        if (ended == UpperEnd && m_gear < top)
            shift(m_gear + 1);
        else if (ended == UpperEnd)
            hold(); // the engine's end in the last gear
        else if (ended == Lower)
            shift(m_gear - 1);
        else if (ended == Stalled)
            m_out.whyNot = {"road.too_steep"};
    }

    /// Rolls without drive while the gear is changed; a corner that comes meanwhile is braked for. What is left of it
    /// at the end of a piece goes on along the next.
    void shift(size_t gear) {
        m_gear = gear;
        m_shiftUntil_s = m_state[kTime] + m_v.shiftTime_s;
        coast();
    }

    void coast() {
        const RoadState on = road();
        const double until = m_shiftUntil_s;
        const Motion motion = [this, on](const State& x, State& dx, double) {
            dx = {x[kSpeed], -resistance_n(m_v, x[kSpeed], on) / movedMass_kg(m_v, m_gear, x[kSpeed]), 0.0, 0.0, 1.0};
        };
        integrate(motion, false,
                  {[until](const State& x) { return x[kTime] - until; },
                   [this](const State& x) { return x[kDistance] - m_pieceEnd; },
                   [this](const State& x) { return overCeiling(x); },
                   [](const State& x) { return kStalled_ms - x[kSpeed]; }});
    }

    /// At a constant speed, by a corner or at the end of the engine, until braking must begin or the piece ends.
    void hold() {
        double distance = beforeEnd() - m_ceiling.brakeFrom_m(m_piece);
        if (!(distance > 1e-9))
            distance = beforeEnd();
        if (std::isfinite(m_ceiling.squared(m_piece, 0.0))) { // braking for what comes may begin before its end
            const double exit = m_ceiling.squared(m_piece, 0.0);
            distance = std::min(distance, beforeEnd() - m_ceiling.braking(m_piece).distanceBefore(
                                                            exit, m_state[kSpeed] * m_state[kSpeed]));
        }
        distance = std::max(distance, std::min(beforeEnd(), 1e-6));
        m_gear = bestGear(m_v, m_engine, m_state[kSpeed], road());
        m_state[kTime] += distance / m_state[kSpeed];
        m_state[kDistance] += distance;
        note(false);
    }

    /// Down to what the end of the piece allows.
    void brake() {
        const double exit = std::sqrt(m_ceiling.squared(m_piece, 0.0));
        m_state[kTime] += m_ceiling.braking(m_piece).seconds(m_state[kSpeed], exit);
        m_state[kDistance] = m_pieceEnd;
        m_state[kSpeed] = std::min(m_state[kSpeed], exit);
        m_gear = bestGear(m_v, m_engine, m_state[kSpeed], road());
        note(false);
    }

    RoadRun finish() {
        m_out.time_s = m_state[kTime];
        m_out.endSpeed_ms = m_state[kSpeed];
        m_out.work = {m_state[kEngineWork], m_state[kResistanceWork]};
        return std::move(m_out);
    }

    const RoadVehicle& m_v;
    const EngineCurve& m_engine;
    const Course& m_course;
    double m_density;
    SpeedCeiling m_ceiling;
    RoadRun m_out;
    State m_state{};
    size_t m_gear = 0;
    size_t m_piece = 0;
    double m_pieceEnd = 0.0;
    int m_idle = 0;              ///< turns in a row in which nothing moved
    double m_shiftUntil_s = 0.0; ///< a gear is being changed until then
};

/// Between two moments on the cubic through both with their speeds; `share` of the time.
double hermite(double from, double to, double fromSlope, double toSlope, double span, double share) {
    const double t2 = share * share;
    const double t3 = t2 * share;
    return (2.0 * t3 - 3.0 * t2 + 1.0) * from + (t3 - 2.0 * t2 + share) * span * fromSlope +
           (-2.0 * t3 + 3.0 * t2) * to + (t3 - t2) * span * toSlope;
}

/// When a speed is passed between two moments, on a straight line.
double crossing_s(const RoadMoment& a, const RoadMoment& b, double speed_ms) {
    return a.time_s + (b.time_s - a.time_s) * (speed_ms - a.speed_ms) / (b.speed_ms - a.speed_ms);
}

} // namespace

std::optional<double> RoadRun::reached_s(double speed_ms) const {
    for (size_t i = 0; i < moments.size(); ++i)
        if (moments[i].speed_ms >= speed_ms)
            return i == 0 ? moments[0].time_s : crossing_s(moments[i - 1], moments[i], speed_ms);
    return std::nullopt;
}

std::optional<double> RoadRun::between_s(double from_ms, double to_ms) const {
    const auto end = reached_s(to_ms);
    if (!end)
        return std::nullopt;
    for (size_t i = moments.size(); i-- > 1;)
        if (moments[i - 1].time_s < *end && moments[i - 1].speed_ms <= from_ms && moments[i].speed_ms > from_ms)
            return *end - crossing_s(moments[i - 1], moments[i], from_ms);
    return std::nullopt;
}

double RoadRun::passed_s(double distance_m) const {
    const auto after = std::lower_bound(moments.begin(), moments.end(), distance_m,
                                        [](const RoadMoment& one, double at) { return one.distance_m < at; });
    if (after == moments.end())
        return time_s;
    if (after == moments.begin())
        return after->time_s;
    const RoadMoment& a = *(after - 1);
    const RoadMoment& b = *after;
    const double span = b.time_s - a.time_s;
    double low = 0.0;
    double high = 1.0;
    for (int i = 0; i < 50; ++i) {
        const double middle = 0.5 * (low + high);
        const double at = hermite(a.distance_m, b.distance_m, a.speed_ms, b.speed_ms, span, middle);
        (at < distance_m ? low : high) = middle;
    }
    return a.time_s + span * low;
}

double RoadRun::speedAt_ms(double distance_m) const {
    for (size_t i = 1; i < moments.size(); ++i) {
        const RoadMoment& a = moments[i - 1];
        const RoadMoment& b = moments[i];
        if (distance_m > b.distance_m || !(b.distance_m > a.distance_m))
            continue;
        const double share = (distance_m - a.distance_m) / (b.distance_m - a.distance_m);
        return a.speed_ms + share * (b.speed_ms - a.speed_ms);
    }
    return endSpeed_ms;
}

RoadRun driveCourse(const RoadVehicle& vehicle, const EngineCurve& engine, const Course& course,
                    double airDensity_kg_m3) {
    Driver driver(vehicle, engine, course, airDensity_kg_m3);
    return course.isRolling() ? driver.rolling() : driver.standing();
}

std::vector<SpeedShare> timeAtSpeeds(const RoadRun& run, double bin_rpm) {
    std::vector<double> bins;
    double all = 0.0;
    const auto add = [&](double low, double high, double seconds) { // spread evenly over the bins between
        const double first = std::floor(low / bin_rpm);
        const double last = std::max(first, std::ceil(high / bin_rpm) - 1.0);
        bins.resize(std::max(bins.size(), static_cast<size_t>(last) + 1), 0.0);
        for (double bin = first; bin <= last; bin += 1.0) {
            const double inside = std::min(high, (bin + 1.0) * bin_rpm) - std::max(low, bin * bin_rpm);
            bins[static_cast<size_t>(bin)] += high > low ? seconds * inside / (high - low) : seconds;
        }
        all += seconds;
    };
    for (size_t i = 1; i < run.moments.size(); ++i) {
        const RoadMoment& a = run.moments[i - 1];
        const RoadMoment& b = run.moments[i];
        if (b.full && a.gear == b.gear)
            add(std::min(a.rpm, b.rpm), std::max(a.rpm, b.rpm), b.time_s - a.time_s);
    }
    std::vector<SpeedShare> out;
    for (size_t bin = 0; bin < bins.size(); ++bin)
        if (bins[bin] > 0.0)
            out.push_back({(static_cast<double>(bin) + 0.5) * bin_rpm, bins[bin] / all});
    return out;
}

} // namespace hillrun
