// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/pull_slip.h"

#include "core/pull/given_curve.h"

#include "core/channels/channels.h"
#include "core/slip/day_doubts.h"
#include "core/slip/day_events.h"
#include "core/weather/altitude.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kUsualRepeatability_pct = 0.5;
constexpr double kSmallestOff_pct = 0.8;
/// Pressure of the air may move this much at once and by the hour before it is questioned, kPa (common practice).

double meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    double count = 0.0;
    for (const double v : values) {
        if (!std::isfinite(v))
            continue;
        sum += v;
        count += 1.0;
    }
    return count > 0.0 ? sum / count : std::nan("");
}

/// Mean of values of a curve over a range of speed.
double meanIn(const Curve& curve, const std::vector<double>& values, const RpmRange& range) {
    std::vector<double> in;
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        if (range.holds(curve.rpm[i]))
            in.push_back(values[i]);
    return meanOf(in);
}

/// One pull against its companions.
class SlipWriter {
public:
    SlipWriter(const TestDay& day, const DayAnalysis& analysis, const Pull& pull)
        : m_day(day), m_analysis(analysis), m_pull(pull) {
        for (const PullResult& result : analysis.pulls)
            if (result.id == pull.id)
                m_result = &result;
    }

    PullSlip write() {
        m_slip.pull = m_pull.id;
        m_slip.build = m_pull.build;
        if (!m_result || !m_result->curve) {
            const Statement why = m_result ? m_result->whyLeftOut : Statement{"why.not_worked_out"};
            add(SlipWeight::Warning, {"slip.no_curve", {why}}, "no_curve");
            return finish();
        }
        if (m_pull.grade != PullGrade::Recorded) {
            add(SlipWeight::Note, {"slip.given", {givenPhrase(m_pull)}});
            return finish();
        }
        findCompanions();
        events();
        level();
        startTemperatures();
        sameAsSet("lambda", 3);
        sameAsSet("air_fuel_ratio", 1);
        sameAsSet("ignition_advance", 1);
        weather();
        return finish();
    }

private:
    void add(SlipWeight weight, Statement text, std::string kind = {}) {
        m_slip.lines.push_back({weight, std::move(text), std::move(kind)});
    }

    PullSlip finish() {
        std::stable_sort(m_slip.lines.begin(), m_slip.lines.end(),
                         [](const SlipLine& a, const SlipLine& b) { return a.weight > b.weight; });
        m_slip.suspicious = !m_slip.lines.empty() && m_slip.lines.front().weight == SlipWeight::Warning;
        const auto first = std::find_if_not(m_slip.events.begin(), m_slip.events.end(), isRemark);
        if (first != m_slip.events.end())
            m_slip.headline = {std::string("headline.") + eventKindInfo(first->kind).name};
        else if (m_slip.suspicious)
            m_slip.headline = {"headline.look"};
        else
            m_slip.headline = {m_companions.empty() ? "headline.first" : "headline.on_its_set"};
        return std::move(m_slip);
    }

    void findCompanions() {
        for (const PullResult& other : m_analysis.pulls)
            if (&other != m_result && other.build == m_result->build && other.curve && other.set == m_result->set &&
                other.time_h <= m_result->time_h)
                ++m_slip.numberInSet;
        m_companions = companionsOf(m_analysis.pulls, *m_result, &m_ofSet);
        m_range = m_result->curve->sweep().window_rpm;
        for (const PullResult* other : m_companions) {
            m_range.low = std::max(m_range.low, other->curve->sweep().window_rpm.low);
            m_range.high = std::min(m_range.high, other->curve->sweep().window_rpm.high);
        }
    }

    void events() {
        m_slip.events = m_result->events;
        for (size_t i = 0; i < m_slip.events.size(); ++i) {
            const Event& event = m_slip.events[i];
            add(isRemark(event) ? SlipWeight::Note : SlipWeight::Warning, event.why, eventKindInfo(event.kind).name);
            m_slip.lines.back().event = i;
        }
    }

    [[nodiscard]] double repeatability_pct() const {
        const double planned = m_day.plan.repeatability_pct.value_or(kUsualRepeatability_pct);
        const bool measured = m_analysis.model && m_analysis.model->degreesOfFreedom >= 4;
        return measured ? std::max(0.2, 100.0 * m_analysis.model->levelSd) : planned;
    }

    void level() {
        if (m_companions.empty() || !(m_range.high > m_range.low)) {
            add(SlipWeight::Note, {"slip.first"});
            return;
        }
        std::vector<double> means;
        for (const PullResult* other : m_companions)
            means.push_back(meanIn(*other->curve, other->curve->power_w, m_range));
        const double own = meanIn(*m_result->curve, m_result->curve->power_w, m_range);
        const double off = 100.0 * (own / meanOf(means) - 1.0);
        m_slip.differenceFromSet_pct = off;
        const double n = static_cast<double>(means.size());
        const double limit = std::max(kSmallestOff_pct, 3.0 * repeatability_pct() * std::sqrt(1.0 + 1.0 / n));
        const Number percent = signedDecimals(off, 1, "%");
        if (std::abs(off) > limit)
            add(SlipWeight::Warning, {m_ofSet ? "slip.off_set" : "slip.off_build", {percent}}, "level");
        else
            add(SlipWeight::Fine, {m_ofSet ? "slip.on_set" : "slip.on_build", {percent}});
    }

    [[nodiscard]] double startOf(const PullResult& result, const std::string& channel) const {
        const Pull* pull = findPull(m_day, result.id);
        const Column* column = pull && pull->raw ? pull->raw->find(channel) : nullptr;
        return column ? column->values[result.curve->sweep().first] : std::nan("");
    }

    /// Against the control windows, and against the other pulls of the set.
    void startTemperatures() {
        Several fine;
        for (const char* channel : {"coolant_temperature", "oil_temperature", "intake_air_temperature"}) {
            const double own = startOf(*m_result, channel);
            if (!std::isfinite(own))
                continue;
            bool said = false;
            for (const ControlWindow& window : m_day.controlWindows) {
                if (window.channel != channel || window.at != "start")
                    continue;
                if (own < window.low.value_or(-1e9) || own > window.high.value_or(1e9)) {
                    add(SlipWeight::Warning,
                        {"slip.outside_window",
                         {ChannelName{channel}, decimals(own, 0, "C"), decimals(window.low.value_or(-999), 0),
                          decimals(window.high.value_or(999), 0)}},
                        "window");
                    said = true;
                }
            }
            std::vector<double> others;
            for (const PullResult* other : m_companions)
                others.push_back(startOf(*other, channel));
            const double off = own - meanOf(others);
            if (!said && m_ofSet && std::abs(off) > 1.5 * channelInfo(channel)->tolerance) {
                add(SlipWeight::Note, {"slip.temperature_off", {ChannelName{channel}, signedDecimals(off, 0, "C")}},
                    "temperature");
                said = true;
            }
            if (!said)
                fine.items.push_back({"slip.start_of", {ChannelName{channel, true}, decimals(own, 0, "C")}});
        }
        if (!fine.items.empty())
            add(SlipWeight::Fine, {"slip.start", {fine}});
    }

    void sameAsSet(const char* channel, int digits) {
        const auto own = m_result->curve->channels().find(channel);
        if (own == m_result->curve->channels().end() || m_companions.empty())
            return;
        std::vector<double> others;
        for (const PullResult* other : m_companions)
            if (const auto it = other->curve->channels().find(channel); it != other->curve->channels().end())
                others.push_back(meanIn(*other->curve, it->second, m_range));
        const double off = meanIn(*m_result->curve, own->second, m_range) - meanOf(others);
        if (!std::isfinite(off))
            return;
        const bool same = std::abs(off) < 0.5 * std::pow(10.0, -digits); // as it is printed
        Statement text{m_ofSet ? "slip.off_its_set" : "slip.off_its_build",
                       {ChannelName{channel}, signedDecimals(off, digits)}};
        if (same)
            text = {m_ofSet ? "slip.as_in_set" : "slip.as_in_build", {ChannelName{channel}}};
        const bool far = std::abs(off) > channelInfo(channel)->tolerance;
        add(far ? SlipWeight::Warning : SlipWeight::Fine, text, far ? channel : "");
    }

    void weather() {
        if (!m_pull.weather) {
            add(SlipWeight::Warning, {"slip.no_weather"}, "weather");
            return;
        }
        const double pressure = stationPressure_kpa(m_pull).value_or(0.0);
        if (const Statement sea = seaLevelWarning(pressure, m_day.cell.altitude_m); !sea.empty())
            add(SlipWeight::Warning, sea, "weather");
        const PullResult* before = nullptr;
        for (const PullResult& other : m_analysis.pulls)
            if (other.time_h < m_result->time_h && (!before || other.time_h > before->time_h))
                before = &other;
        const Pull* last = before ? findPull(m_day, before->id) : nullptr;
        if (!last || !last->weather)
            return;
        const double jump = pressure - stationPressure_kpa(*last).value_or(0.0);
        if (std::abs(jump) > likelyPressureChange_kpa(m_result->time_h - before->time_h))
            add(SlipWeight::Warning, {"slip.pressure_jump", {signedDecimals(jump, 2, "kPa"), last->id}}, "weather");
    }

    const TestDay& m_day;
    const DayAnalysis& m_analysis;
    const Pull& m_pull;
    const PullResult* m_result = nullptr;
    std::vector<const PullResult*> m_companions;
    bool m_ofSet = false; ///< companions of the same set, not only of the build
    RpmRange m_range;
    PullSlip m_slip;
};

} // namespace

PullSlip pullSlip(const TestDay& day, const DayAnalysis& analysis, const std::string& pull) {
    return SlipWriter(day, analysis, *findPull(day, pull)).write();
}

Statement settlingNotice(const TestDay& day, const DayAnalysis& analysis) {
    const PullResult* newest = nullptr;
    for (const PullResult& result : analysis.pulls)
        if (result.used && std::isfinite(result.bandMean_w) && (!newest || result.time_h > newest->time_h))
            newest = &result;
    const double slope_pct = newest ? settlingSlope_pct(day, analysis, newest->set) : 0.0;
    if (slope_pct == 0.0)
        return {};
    return {slope_pct > 0.0 ? "slip.still_climbing" : "slip.still_falling", {decimals(std::abs(slope_pct), 1, "%")}};
}

} // namespace hillrun
