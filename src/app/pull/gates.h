// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/live_state.h"
#include "core/day/test_day.h"

#include <optional>
#include <QString>

namespace hillrun {

enum class GateState { Good, Wait, Unknown };

/// One condition that is to be met before a pull, in the words that are shown.
struct Gate {
    QString label;  ///< "Oil"
    QString value;  ///< "88 °C"
    QString window; ///< "86–96"
    GateState state = GateState::Unknown;
    double share = -1.0; ///< where the value stands in its window, 0 to 1; below 0: outside or not known
    bool operator==(const Gate&) const = default;
};

/// What else the gates need to know.
struct GateClock {
    double now_s = 0.0;                    ///< of the cell's clock, or of this machine's
    std::optional<double> lastPullEnded_s; ///< by the same clock
    std::optional<double> weatherAge_s;    ///< nothing: no weather yet
};

/// The gates of a day: each control window against the live value, the cool-down, the age of the weather.
std::vector<Gate> gatesOf(const TestDay& day, const LiveSnapshot& live, const GateClock& clock);

/// "Ready", or what is waited for: "Wait: oil 78 °C".
QString gateVerdict(const std::vector<Gate>& gates);
bool gatesOpen(const std::vector<Gate>& gates);

/// "45 s", "12 min", "2 h"
QString ageText(double seconds);

} // namespace hillrun
