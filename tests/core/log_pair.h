// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/pull/log_fit.h"

#include <algorithm>
#include <cmath>
#include <random>
#include <string>
#include <vector>

// One pull of an inertia dyno as two recorders see it: the bench at 100 rows a second, a control unit at 20, each with
// a clock, scatter and steps of its own.

namespace hillrun::test {

/// What the engine did: speed every millisecond.
struct TrueSpeed {
    std::vector<double> rpm;
    double sweepFrom_s = 0.0;
    double sweepTo_s = 0.0;
    [[nodiscard]] double at(double t) const {
        const double place = std::clamp(t * 1000.0, 0.0, static_cast<double>(rpm.size() - 2));
        const auto i = static_cast<size_t>(place);
        return rpm[i] + (place - static_cast<double>(i)) * (rpm[i + 1] - rpm[i]);
    }
    [[nodiscard]] double length_s() const { return static_cast<double>(rpm.size()) / 1000.0; }
};

/// Held, let go at full throttle, shut. Pulls of one engine differ by a per cent or so, and each has its own ripple.
/// `rest_s`: how long it then idles.
inline TrueSpeed trueSpeed(std::mt19937& random, double rest_s = 0.0) {
    std::normal_distribution<double> normal;
    std::uniform_real_distribution<double> even;
    TrueSpeed out;
    const double held_s = 0.6 + 1.5 * even(random);
    const double strength = 620.0 * (1.0 + 0.01 * normal(random));
    const double tilt = 0.015 * normal(random);
    double speed = 1900.0 + 60.0 * normal(random);
    double ripple = 0.0;
    bool sweeping = false;
    for (double t = 0.0, after = 0.0; after < 1.5 + rest_s; t += 0.001) {
        const double place = (speed - 2000.0) / 5000.0;
        if (t > held_s && !sweeping && after == 0.0) {
            sweeping = true;
            out.sweepFrom_s = t;
        }
        if (sweeping) {
            speed += 0.001 * strength * (1.0 + 0.35 * std::sin(2.6 * place + 0.2) + tilt * (place - 0.5));
            if (speed > 7000.0) {
                sweeping = false;
                out.sweepTo_s = t;
            }
        }
        if (!sweeping && out.sweepTo_s > 0.0) {
            after += 0.001;
            speed -= after < 1.5 ? 0.001 * 900.0 : 0.0;
        }
        ripple += -ripple * 0.001 / 0.3 + 4.0 * std::sqrt(2.0 * 0.001 / 0.3) * normal(random);
        out.rpm.push_back(speed + ripple);
    }
    return out;
}

struct Recorder {
    double rate_hz = 100.0;
    double noise_rpm = 4.0;
    double step_rpm = 0.0; ///< of the reading
    double jitter_s = 0.0; ///< of the time stamps
    double from_s = 0.0;   ///< of the truth
    double to_s = 1e9;
};

/// A record on its own clock, with a mixture that tells where it was: speed / 10 000.
inline ChannelTable record(const TrueSpeed& truth, const Recorder& by, const LogClock& clock, std::mt19937& random) {
    std::normal_distribution<double> normal;
    ChannelTable out{{{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"lambda", "1", {}}}};
    for (double t = by.from_s; t < std::min(by.to_s, truth.length_s()); t += 1.0 / by.rate_hz) {
        const double seen = truth.at(t) + by.noise_rpm * normal(random);
        out.columns[0].values.push_back(clock.logTime(t) + by.jitter_s * normal(random));
        out.columns[1].values.push_back(by.step_rpm > 0.0 ? by.step_rpm * std::round(seen / by.step_rpm) : seen);
        out.columns[2].values.push_back(truth.at(t) / 10000.0);
    }
    return out;
}

} // namespace hillrun::test
