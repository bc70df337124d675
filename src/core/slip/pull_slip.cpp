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

std::string signedPercent(double percent) {
    std::string out = fmt::format("{:+.1f} %", percent);
    if (out == "-0.0 %" || out == "+0.0 %")
        return "0.0 %";
    if (out.front() == '-')
        out.replace(0, 1, "\xE2\x88\x92");
    return out;
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
            const std::string why = m_result ? m_result->whyLeftOut : std::string("it was not worked out");
            add(SlipWeight::Warning, fmt::format("No curve can be made of it: {}.", why), "no_curve");
            return finish();
        }
        if (m_pull.grade != PullGrade::Recorded) {
            add(SlipWeight::Note, fmt::format("This is {}: it has no rows to look through.", givenText(m_pull)));
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
    void add(SlipWeight weight, std::string text, std::string kind = {}) {
        m_slip.lines.push_back({weight, std::move(text), std::move(kind)});
    }

    PullSlip finish() {
        std::stable_sort(m_slip.lines.begin(), m_slip.lines.end(),
                         [](const SlipLine& a, const SlipLine& b) { return a.weight > b.weight; });
        m_slip.suspicious = !m_slip.lines.empty() && m_slip.lines.front().weight == SlipWeight::Warning;
        const auto first = std::find_if_not(m_slip.events.begin(), m_slip.events.end(), isRemark);
        if (first != m_slip.events.end())
            m_slip.headline = eventKindInfo(first->kind).title;
        else if (m_slip.suspicious)
            m_slip.headline = "look at this";
        else
            m_slip.headline = m_companions.empty() ? "first of its build" : "lies on its set";
        m_slip.headline.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(m_slip.headline.front())));
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
            std::string text = fmt::format("{}: {}", eventKindInfo(event.kind).title, event.why);
            text.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(text.front())));
            add(isRemark(event) ? SlipWeight::Note : SlipWeight::Warning, text, eventKindInfo(event.kind).name);
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
            add(SlipWeight::Note, "First pull of its build: nothing to hold it against yet.");
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
        const char* against = m_ofSet ? "its set" : "the earlier pulls of its build";
        if (std::abs(off) > limit)
            add(SlipWeight::Warning,
                fmt::format("{} against {}: more than this engine moves by itself.", signedPercent(off), against),
                "level");
        else
            add(SlipWeight::Fine, fmt::format("{} against {}.", signedPercent(off), against));
    }

    [[nodiscard]] double startOf(const PullResult& result, const std::string& channel) const {
        const Pull* pull = findPull(m_day, result.id);
        const Column* column = pull && pull->raw ? pull->raw->find(channel) : nullptr;
        return column ? column->values[result.curve->sweep().first] : std::nan("");
    }

    /// Against the control windows, and against the other pulls of the set.
    void startTemperatures() {
        std::vector<std::string> fine;
        for (const char* channel : {"coolant_temperature", "oil_temperature", "intake_air_temperature"}) {
            const double own = startOf(*m_result, channel);
            if (!std::isfinite(own))
                continue;
            const std::string label = channelLabel(channel);
            bool said = false;
            for (const ControlWindow& window : m_day.controlWindows) {
                if (window.channel != channel || window.at != "start")
                    continue;
                if (own < window.low.value_or(-1e9) || own > window.high.value_or(1e9)) {
                    add(SlipWeight::Warning,
                        fmt::format("{} {:.0f} \xC2\xB0"
                                    "C at the start, outside its window of {:.0f}\xE2\x80\x93{:.0f}.",
                                    label, own, window.low.value_or(-999), window.high.value_or(999)),
                        "window");
                    said = true;
                }
            }
            std::vector<double> others;
            for (const PullResult* other : m_companions)
                others.push_back(startOf(*other, channel));
            const double off = own - meanOf(others);
            if (!said && m_ofSet && std::abs(off) > 1.5 * channelInfo(channel)->tolerance) {
                add(SlipWeight::Note,
                    fmt::format("{} {:+.0f} \xC2\xB0"
                                "C against its set at the start.",
                                label, off),
                    "temperature");
                said = true;
            }
            if (!said)
                fine.push_back(fmt::format("{} {:.0f}", label, own));
        }
        if (!fine.empty())
            add(SlipWeight::Fine, fmt::format("Start: {} \xC2\xB0"
                                              "C.",
                                              fmt::join(fine, ", ")));
    }

    void sameAsSet(const char* channel, int decimals) {
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
        std::string figure = fmt::format("{:+.{}f}", off, decimals);
        const bool same = figure.find_first_of("123456789") == std::string::npos;
        if (figure.front() == '-')
            figure.replace(0, 1, "\xE2\x88\x92");
        const std::string label = channelLabel(channel);
        const char* against = m_ofSet ? "set" : "build";
        const std::string text = same ? fmt::format("{} as in its {}.", label, against)
                                      : fmt::format("{} {} against its {}.", label, figure, against);
        const bool far = std::abs(off) > channelInfo(channel)->tolerance;
        add(far ? SlipWeight::Warning : SlipWeight::Fine, text, far ? channel : "");
    }

    void weather() {
        if (!m_pull.weather) {
            add(SlipWeight::Warning, "No weather: the pull cannot be corrected.", "weather");
            return;
        }
        const double pressure = stationPressure_kpa(m_pull).value_or(0.0);
        if (const std::string sea = seaLevelWarning(pressure, m_day.cell.altitude_m); !sea.empty())
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
            add(SlipWeight::Warning,
                fmt::format("Air pressure {:+.2f} kPa since {}: read the barometer again.", jump, last->id), "weather");
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

std::string settlingNotice(const TestDay& day, const DayAnalysis& analysis) {
    const PullResult* newest = nullptr;
    for (const PullResult& result : analysis.pulls)
        if (result.used && std::isfinite(result.bandMean_w) && (!newest || result.time_h > newest->time_h))
            newest = &result;
    const double slope_pct = newest ? settlingSlope_pct(day, analysis, newest->set) : 0.0;
    if (slope_pct == 0.0)
        return {};
    return fmt::format("Still {} {:.1f} % a pull: take more before you change anything.",
                       slope_pct > 0.0 ? "climbing" : "falling", std::abs(slope_pct));
}

} // namespace hillrun
