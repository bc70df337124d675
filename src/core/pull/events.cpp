// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/events.h"

#include "core/pull/channels.h"
#include "core/pull/event_signals.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

// All thresholds: common practice, then set on simulated pulls (docs/method.md gives the rates they lead to).
constexpr double kDip = 0.025;     ///< of the torque: a stumble, with clean samples beside it
constexpr double kDipNoises = 5.0; ///< and this many times the sample noise
constexpr double kCollapse = 0.06; ///< of the torque, at once and for good
constexpr double kAbsorberFull_pct = 99.0;
constexpr double kNoiseTimesSet = 4.0; ///< noise of a channel against the other pulls
constexpr double kBoostLow_kpa = 3.0;
constexpr double kSlip = 0.03; ///< of the ratio of engine to roller speed
constexpr double kShortOfEnd_rpm = 300.0;

/// Largest scatter of a channel that still passes when there is nothing to hold it against.
struct NoiseLimit {
    const char* channel;
    double sd;
};
constexpr NoiseLimit kNoiseLimits[] = {
    {"lambda", 0.025},
    {"air_fuel_ratio", 0.35},
    {"manifold_pressure", 2.0},
    {"airbox_pressure", 0.5},
    {"exhaust_back_pressure", 5.0},
    {"intake_air_temperature", 1.5},
    {"coolant_temperature", 1.5},
    {"oil_temperature", 1.5},
    {"exhaust_gas_temperature", 12.0},
    {"oil_pressure", 15.0},
    {"fuel_pressure", 10.0},
    {"ignition_advance", 1.5},
    {"throttle", 1.5},
    {"spark_current", 3.0},
    {"road_speed", 1.0},
};
/// Channels that cannot stand still through a sweep of any engine.
constexpr const char* kAlwaysMoving[] = {"exhaust_gas_temperature", "oil_pressure", "fuel_flow",   "air_flow",
                                         "airbox_pressure",         "road_speed",   "roller_speed"};
/// Positions and commands that may rightly stand still.
constexpr const char* kMayStandStill[] = {"time",          "throttle",     "wastegate_duty",   "bypass_valve",
                                          "absorber_load", "knock_retard", "ignition_advance", "engine_speed"};

template <size_t N> bool isIn(const char* const (&names)[N], const std::string& name) {
    return std::any_of(std::begin(names), std::end(names), [&](const char* n) { return name == n; });
}

std::string rpmWords(double from, double to) { return fmt::format("{:.0f} to {:.0f} rpm", from, to); }

/// Looks for every kind of event on one pull.
class EventFinder {
public:
    EventFinder(const ChannelTable& raw, const Curve& curve, const EventContext& context)
        : m_raw(raw), m_curve(curve), m_context(context), m_s(sweepOf(raw, curve.sweep)) {}

    std::vector<Event> find() {
        startSpike();
        stumbles();
        collapse();
        limiter();
        absorber();
        for (const Column& column : m_raw.columns) {
            dropout(column);
            noise(column);
            frozen(column);
        }
        boost();
        slip();
        gap();
        cutOff();
        std::sort(m_events.begin(), m_events.end(), [](const Event& a, const Event& b) { return a.from_s < b.from_s; });
        return std::move(m_events);
    }

private:
    /// Rows are counted within the sweep.
    void add(const char* kind, size_t from, size_t to, double size, std::string why) {
        const double a = m_s.speed_rpm[from];
        const double b = m_s.speed_rpm[to];
        m_events.push_back(
            {kind, {std::min(a, b), std::max(a, b)}, m_s.time_s[from], m_s.time_s[to], size, std::move(why)});
    }

    void startSpike() {
        for (const Trim& trim : m_curve.sweep.trims) {
            if (trim.reason != TrimReason::UnsettledStart)
                continue;
            const double size = startDeviation(m_raw, m_curve.sweep, trim);
            const size_t at = 0;
            m_events.push_back({"start_spike",
                                {m_curve.sweep.whole_rpm.low, m_s.speed_rpm[at]},
                                trim.from_s,
                                trim.to_s,
                                size,
                                fmt::format("torque {:+.0f} % while the load was taken up, until {:.0f} rpm",
                                            100.0 * size, m_s.speed_rpm[at])});
        }
    }

    /// Dips and spikes of the torque against its running median.
    void stumbles() {
        const std::vector<double> middle = runningMedian(m_s.torque_nm, m_s.rowsIn(0.5));
        std::vector<double> off(middle.size());
        for (size_t i = 0; i < off.size(); ++i)
            off[i] = m_s.torque_nm[i] / middle[i] - 1.0;
        m_torqueNoise = std::max(robustSd(std::span(off).first(off.size() / 2)), 1e-4);
        const double limit = std::max(kDip, kDipNoises * m_torqueNoise);
        std::vector<std::pair<size_t, size_t>> dips;
        double deepest = 0.0;
        size_t up = off.size();
        for (size_t i = m_s.rowsIn(0.1); i + m_s.rowsIn(0.1) < off.size(); ++i) {
            if (off[i] > 2.0 * limit)
                up = i;
            if (!(off[i] < -limit))
                continue;
            deepest = std::min(deepest, off[i]);
            if (!dips.empty() && i - dips.back().second <= m_s.rowsIn(0.03))
                dips.back().second = i;
            else
                dips.emplace_back(i, i);
        }
        if (dips.size() >= 3) {
            const size_t from = dips.front().first;
            const size_t to = dips.back().second;
            add("breakup", from, to, -deepest,
                fmt::format("torque stumbles {} times by up to {:.0f} %, {}: ignition, trigger, plug or fuel",
                            dips.size(), -100.0 * deepest, rpmWords(m_s.speed_rpm[from], m_s.speed_rpm[to])));
            m_brokenUp = true;
        } else if (!dips.empty() && -deepest > 2.0 * limit) {
            add("spike", dips.front().first, dips.back().second, -deepest,
                fmt::format("torque drops by {:.0f} % for a moment near {:.0f} rpm", -100.0 * deepest,
                            m_s.speed_rpm[dips.front().first]));
        }
        if (up < off.size() && !m_brokenUp) // between stumbles the running median itself is low
            add("spike", up, up, off[up],
                fmt::format("torque jumps by {:.0f} % for a moment near {:.0f} rpm", 100.0 * off[up],
                            m_s.speed_rpm[up]));
    }

    /// A sudden loss of torque that stays: lines through what lies before and after meet with a step.
    void collapse() {
        const std::vector<double> calm = runningMedian(m_s.torque_nm, m_s.rowsIn(0.3));
        const size_t reach = m_s.rowsIn(0.8);
        const size_t leave = m_s.rowsIn(0.25);
        double worst = 0.0;
        size_t at = 0;
        for (size_t i = reach + leave; i + reach + leave < m_s.rows(); ++i) {
            const double before = lineAt(m_s.time_s, calm, i - reach - leave, i - leave, m_s.time_s[i]);
            const double after = lineAt(m_s.time_s, calm, i + leave, i + leave + reach, m_s.time_s[i]);
            const double step = after / before - 1.0;
            if (step < worst) {
                worst = step;
                at = i;
            }
        }
        if (-worst < std::max(kCollapse, 8.0 * m_torqueNoise) || m_brokenUp)
            return;
        add("collapse", at, m_s.rows() - 1, -worst,
            fmt::format("torque falls by {:.0f} % at once near {:.0f} rpm and stays down", -100.0 * worst,
                        m_s.speed_rpm[at]));
    }

    void limiter() {
        for (const Trim& trim : m_curve.sweep.trims)
            if (trim.reason == TrimReason::Limiter)
                m_events.push_back(
                    {"limiter",
                     {m_s.speed_rpm.back(), m_s.speed_rpm.back()},
                     trim.from_s,
                     trim.to_s,
                     0.0,
                     fmt::format("the engine hangs at {:.0f} rpm with open throttle", m_s.speed_rpm.back())});
    }

    void absorber() {
        const Column* load = m_raw.find("absorber_load");
        if (!load)
            return;
        const auto values = m_s.part(*load);
        const Run run = longestRun(values, [](double v) { return v >= kAbsorberFull_pct; });
        if (run.rows < m_s.rowsIn(0.2))
            return;
        const size_t to = run.first + run.rows - 1;
        add("absorber_full", run.first, to, 1.0,
            fmt::format("the absorber is fully loaded, {}: the engine is stronger than the brake there",
                        rpmWords(m_s.speed_rpm[run.first], m_s.speed_rpm[to])));
    }

    void dropout(const Column& column) {
        if (column.name == "time")
            return;
        const auto values = m_s.part(column);
        const Run run = longestRun(values, [](double v) { return !std::isfinite(v); });
        if (run.rows < std::max<size_t>(3, m_s.rowsIn(0.05)) || run.rows == values.size())
            return; // a channel without any value was never there
        const size_t to = run.first + run.rows - 1;
        add("dropout", run.first, to, m_s.time_s[to] - m_s.time_s[run.first],
            fmt::format("no signal from {}, {}", channelLabel(column.name),
                        rpmWords(m_s.speed_rpm[run.first], m_s.speed_rpm[to])));
    }

    [[nodiscard]] std::optional<double> usualNoise(const std::string& channel) const {
        std::vector<double> sds;
        for (const EventReference& other : m_context.references)
            if (const Column* column = other.raw->find(channel))
                sds.push_back(sampleNoise(sweepOf(*other.raw, other.curve->sweep).part(*column)));
        if (sds.empty())
            return std::nullopt;
        return median(sds);
    }

    [[nodiscard]] static std::optional<double> noiseLimit(const std::string& channel) {
        for (const NoiseLimit& limit : kNoiseLimits)
            if (channel == limit.channel)
                return limit.sd;
        return std::nullopt;
    }

    void noise(const Column& column) {
        if (column.name == "time" || column.name == "engine_speed" || column.name == "torque" || column.name == "power")
            return;
        const double sd = sampleNoise(m_s.part(column));
        const auto limit = noiseLimit(column.name);
        const auto usual = usualNoise(column.name);
        const bool abovePulls = usual && *usual > 0.0 && sd > kNoiseTimesSet * *usual && (!limit || sd > 0.3 * *limit);
        const bool aboveLimit = limit && sd > *limit && (!usual || sd > 2.0 * *usual);
        if (!(abovePulls || aboveLimit) || (m_brokenUp && !aboveLimit))
            return;
        add("noise", 0, m_s.rows() - 1, sd,
            fmt::format("{} scatters by {:.3g} {}{}: look at its plug, ground and screen", channelLabel(column.name),
                        sd, column.unit,
                        usual && *usual > 0.0 ? fmt::format(", {:.0f} times as much as in the other pulls", sd / *usual)
                                              : std::string()));
    }

    /// It stands still although it moved before, or in the other pulls, or must move in any engine.
    void frozen(const Column& column) {
        if (isIn(kMayStandStill, column.name))
            return;
        const auto values = m_s.part(column);
        const Run run = longestStill(values);
        const double seconds = static_cast<double>(run.rows) * m_s.step_s;
        if (seconds < 1.5 || run.rows < values.size() / 4)
            return;
        size_t usual = 0;
        for (const EventReference& other : m_context.references)
            if (const Column* same = other.raw->find(column.name))
                usual = std::max(usual, longestStill(sweepOf(*other.raw, other.curve->sweep).part(*same)).rows);
        const bool movesElsewhere = usual > 0 && 4 * usual < run.rows;
        const bool movedBefore =
            run.first > m_s.rowsIn(0.5) && 8 * longestStill(values.first(run.first)).rows < run.rows;
        const bool mustMove = isIn(kAlwaysMoving, column.name) && run.rows > values.size() / 2 && usual == 0;
        if (!movesElsewhere && !movedBefore && !mustMove)
            return;
        const size_t to = run.first + run.rows - 1;
        add("frozen", run.first, to, seconds,
            fmt::format("{} stands at {:.4g} {} for {:.1f} s, {}", channelLabel(column.name), values[run.first],
                        column.unit, seconds, rpmWords(m_s.speed_rpm[run.first], m_s.speed_rpm[to])));
    }

    /// Boost (above the air outside) against the other pulls of the build.
    void boost() {
        const auto it = m_curve.channels.find("manifold_pressure");
        if (!m_context.boosted || it == m_curve.channels.end())
            return;
        size_t from = m_curve.rpm.size();
        size_t to = 0;
        double worst = 0.0;
        for (size_t i = 0; i < m_curve.rpm.size(); ++i) {
            const auto usual = usualBoost(m_curve.rpm[i]);
            if (!usual)
                continue;
            const double low = *usual - (it->second[i] - m_context.ambient_kpa);
            if (low < std::max(kBoostLow_kpa, 0.03 * *usual))
                continue;
            from = std::min(from, i);
            to = i;
            worst = std::max(worst, low);
        }
        if (from >= to || m_curve.rpm[to] - m_curve.rpm[from] < 300.0)
            return;
        const auto timeAt = [this](double rpm) {
            size_t nearest = 0;
            for (size_t i = 0; i < m_s.rows(); ++i)
                if (std::abs(m_s.speed_rpm[i] - rpm) < std::abs(m_s.speed_rpm[nearest] - rpm))
                    nearest = i;
            return m_s.time_s[nearest];
        };
        m_events.push_back(
            {"boost_low",
             {m_curve.rpm[from], m_curve.rpm[to]},
             timeAt(m_curve.rpm[from]),
             timeAt(m_curve.rpm[to]),
             worst,
             fmt::format("boost up to {:.1f} kPa below the other pulls of this build, {}: look for a leak", worst,
                         rpmWords(m_curve.rpm[from], m_curve.rpm[to]))});
    }

    [[nodiscard]] std::optional<double> usualBoost(double rpm) const {
        std::vector<double> out;
        for (const EventReference& other : m_context.references) {
            const auto it = other.curve->channels.find("manifold_pressure");
            if (it == other.curve->channels.end() || other.curve->rpm.empty() || !(other.ambient_kpa > 0.0))
                continue;
            const auto& grid = other.curve->rpm;
            const auto at = std::lower_bound(grid.begin(), grid.end(), rpm - 1e-6) - grid.begin();
            if (at < static_cast<long>(grid.size()) && std::abs(grid[static_cast<size_t>(at)] - rpm) < 1e-6 &&
                std::isfinite(it->second[static_cast<size_t>(at)]))
                out.push_back(it->second[static_cast<size_t>(at)] - other.ambient_kpa);
        }
        if (out.empty() || !(m_context.ambient_kpa > 0.0))
            return std::nullopt;
        return median(out);
    }

    /// The engine runs ahead of the rollers: their ratio climbs above its own usual value.
    void slip() {
        const Column* roller = m_raw.find("roller_speed");
        const Column* road = roller ? roller : m_raw.find("road_speed");
        if (!road)
            return;
        const auto driven = m_s.part(*road);
        std::vector<double> ratio(driven.size());
        for (size_t i = 0; i < driven.size(); ++i)
            ratio[i] = m_s.speed_rpm[i] / driven[i];
        ratio = runningMedian(ratio, m_s.rowsIn(0.2));
        std::vector<double> known;
        std::copy_if(ratio.begin(), ratio.end(), std::back_inserter(known), [](double v) { return std::isfinite(v); });
        if (known.size() < ratio.size() / 2)
            return;
        const double usual = quantileOf(known, 0.2);
        const Run run = longestRun(ratio, [usual](double v) { return v > usual * (1.0 + kSlip); });
        if (run.rows < m_s.rowsIn(0.3) || longestStill(driven).rows > driven.size() / 4)
            return;
        const size_t to = run.first + run.rows - 1;
        const double most =
            *std::max_element(ratio.begin() + static_cast<long>(run.first), ratio.begin() + static_cast<long>(to)) /
                usual -
            1.0;
        add("slip", run.first, to, most,
            fmt::format("the engine runs up to {:.0f} % ahead of the rollers, {}: tyre, strap, clutch or converter",
                        100.0 * most, rpmWords(m_s.speed_rpm[run.first], m_s.speed_rpm[to])));
    }

    void gap() {
        for (size_t i = 1; i < m_s.rows(); ++i) {
            const double missing = m_s.time_s[i] - m_s.time_s[i - 1];
            if (missing > std::max(0.1, 5.0 * m_s.step_s))
                add("gap", i - 1, i, missing,
                    fmt::format("{:.1f} s are missing near {:.0f} rpm: the connection was lost", missing,
                                m_s.speed_rpm[i]));
        }
    }

    void cutOff() {
        const Column* time = m_raw.find("time");
        const bool toTheEnd = time->values.back() - m_s.time_s.back() < std::max(0.15, 3.0 * m_s.step_s);
        double usual = m_context.plannedEnd_rpm.value_or(0.0);
        for (const EventReference& other : m_context.references)
            usual = std::max(usual, other.curve->sweep.window_rpm.high);
        const double reached = m_curve.sweep.whole_rpm.high;
        if (toTheEnd && reached < usual - kShortOfEnd_rpm)
            add("cut_off", m_s.rows() - 1, m_s.rows() - 1, usual - reached,
                fmt::format("the recording stops at {:.0f} rpm, {:.0f} rpm short, with the throttle open", reached,
                            usual - reached));
    }

    const ChannelTable& m_raw;
    const Curve& m_curve;
    const EventContext& m_context;
    SweepRows m_s;
    double m_torqueNoise = 0.0;
    bool m_brokenUp = false;
    std::vector<Event> m_events;
};

} // namespace

std::vector<Event> findEvents(const ChannelTable& raw, const Curve& curve, const EventContext& context) {
    return EventFinder(raw, curve, context).find();
}

std::string eventTitle(const std::string& kind) {
    std::string out = kind == "absorber_full" ? "absorber full" : (kind == "boost_low" ? "boost low" : kind);
    std::replace(out.begin(), out.end(), '_', ' ');
    return out;
}

} // namespace hillrun
