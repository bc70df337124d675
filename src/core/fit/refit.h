// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <vector>

namespace hillrun {

/// What fitting a build again adds to its level, on the log scale.
struct RefitSpread {
    std::vector<double> sd; ///< equally likely ones; one: it is known; none: not known, and nothing is allowed for it
    double freedom = 0.0;   ///< degrees of freedom that taught it; 0: entered
    [[nodiscard]] bool known() const { return !sd.empty(); }
    [[nodiscard]] double meanSquare() const; ///< 0 when not known
    bool operator==(const RefitSpread&) const = default;
};

/// The error of a difference of levels: a Student t of so many degrees of freedom, `scale` wide, and what fitting the
/// builds again adds. `squaredSums`: the variance of that in units of one refitting's.
class LevelError {
public:
    LevelError(double scale, double freedom, const RefitSpread& refit, double squaredSums);
    /// The chance that it is larger than `size`, either way.
    [[nodiscard]] double beyond(double size) const;
    /// What holds it with this probability.
    [[nodiscard]] double half(double probability) const;

private:
    struct Shift {
        double size = 0.0;
        double chance = 0.0;
    };
    double m_scale;
    double m_freedom;
    double m_refitVariance;
    std::vector<Shift> m_shifts; ///< by refitting; none: it adds nothing
};

} // namespace hillrun
