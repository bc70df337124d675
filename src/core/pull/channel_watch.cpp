// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/channel_watch.h"

#include <algorithm>
#include <array>
#include <cassert>
#include <cmath>

namespace hillrun {
namespace {

// Thresholds: common practice, set on the simulated cell.
constexpr long kLearnChanges = 30;   ///< before that nobody knows how often it changes
constexpr double kStillTimes = 12.0; ///< the longest wait so far
constexpr double kStillAtLeast_s = 2.0;
constexpr double kMissing_s = 0.5;
constexpr long kLearnFrames = 300;
constexpr double kScatterTimes = 6.0;
constexpr double kQuick = 0.04; ///< weight of a new value in the quick mean
constexpr double kSlow = 0.002; ///< and in the slow one

constexpr std::array kMayStandStill{"time",          "throttle",     "wastegate_duty",  "bypass_valve",
                                    "absorber_load", "knock_retard", "ignition_advance"};

/// Their scatter follows the load, and a pull begins at once.
constexpr std::array kScatterFollowsLoad{"torque", "power", "absorber_load", "spark_current"};

template <size_t N> bool isIn(const std::array<const char*, N>& names, const std::string& name) {
    return std::any_of(names.begin(), names.end(), [&](const char* one) { return name == one; });
}

} // namespace

ChannelWatch::ChannelWatch(std::vector<std::string> channels) {
    for (std::string& name : channels) {
        Watched watched;
        watched.mayStandStill = isIn(kMayStandStill, name);
        watched.mayScatter = watched.mayStandStill || isIn(kScatterFollowsLoad, name);
        watched.name = std::move(name);
        m_watched.push_back(std::move(watched));
    }
}

void ChannelWatch::take(double time_s, std::span<const double> values) {
    assert(values.size() == m_watched.size());
    for (size_t i = 0; i < values.size(); ++i)
        watch(m_watched[i], time_s, values[i]);
}

void ChannelWatch::watch(Watched& c, double time_s, double value) {
    if (!std::isfinite(value)) {
        if (!c.missingSince_s)
            c.missingSince_s = time_s;
        if (time_s - *c.missingSince_s >= kMissing_s)
            c.state = ChannelState::Missing;
        return;
    }
    c.missingSince_s.reset();
    if (++c.frames <= 2 || value != c.last) {
        if (c.frames > 2) {
            ++c.changes;
            c.longestStill_s = std::max(0.999 * c.longestStill_s, time_s - c.changedAt_s);
        }
        c.changedAt_s = time_s;
    }
    const double second = std::abs(value - 2.0 * c.last + c.beforeLast);
    c.beforeLast = c.last;
    c.last = value;
    if (c.frames <= 3)
        return;
    c.scatter += kQuick * (second - c.scatter);
    const bool noisy =
        c.frames > kLearnFrames && !c.mayScatter && c.usualScatter > 0.0 && c.scatter > kScatterTimes * c.usualScatter;
    if (!noisy) // what is wrong must not become usual; the start counts in full
        c.usualScatter += std::max(kSlow, 1.0 / static_cast<double>(c.frames)) * (second - c.usualScatter);
    const double still_s = time_s - c.changedAt_s;
    const bool frozen = !c.mayStandStill && c.changes >= kLearnChanges &&
                        still_s > std::max(kStillAtLeast_s, kStillTimes * c.longestStill_s);
    c.state = frozen ? ChannelState::Frozen : (noisy ? ChannelState::Noisy : ChannelState::Good);
}

Statement channelStatePhrase(ChannelState state) {
    switch (state) {
    case ChannelState::Good:
        return {};
    case ChannelState::Frozen:
        return {"channel_state.frozen"};
    case ChannelState::Noisy:
        return {"channel_state.noisy"};
    case ChannelState::Missing:
        return {"channel_state.missing"};
    }
    return {};
}

} // namespace hillrun
