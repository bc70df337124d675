// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <cstddef>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

enum class ChannelState { Good, Frozen, Noisy, Missing };

/// Watches live channels, frame by frame: one that used to change and stands still, one that scatters far more than it
/// used to, one that gives no numbers. It learns what is usual from the stream itself. Constant memory.
class ChannelWatch {
public:
    explicit ChannelWatch(std::vector<std::string> channels);
    /// One frame, values in the order of the channels; NaN for none.
    void take(double time_s, std::span<const double> values);
    [[nodiscard]] ChannelState state(size_t channel) const { return m_watched[channel].state; }
    [[nodiscard]] size_t channels() const { return m_watched.size(); }
    [[nodiscard]] const std::string& name(size_t channel) const { return m_watched[channel].name; }

private:
    struct Watched {
        std::string name;
        bool mayStandStill = false;
        bool mayScatter = false;
        ChannelState state = ChannelState::Good;
        double last = 0.0;
        double beforeLast = 0.0;
        double changedAt_s = 0.0;
        std::optional<double> missingSince_s{};
        double longestStill_s = 0.0; ///< usual: longest wait between two changes so far, slowly forgotten
        long changes = 0;
        double usualScatter = 0.0; ///< slow mean of |second difference|
        double scatter = 0.0;      ///< quick mean of the same
        long frames = 0;
    };
    void watch(Watched& channel, double time_s, double value);
    std::vector<Watched> m_watched;
};

/// "frozen", "noisy", "no signal"; empty for good.
Statement channelStatePhrase(ChannelState state);

} // namespace hillrun
