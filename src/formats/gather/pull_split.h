// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// A table shorter than this is no pull.
inline constexpr size_t kFewestPullRows = 5;

/// Rows first..last of a table.
struct RowSpan {
    size_t first = 0;
    size_t last = 0;
    [[nodiscard]] size_t rows() const { return last - first + 1; }
    bool operator==(const RowSpan&) const = default;
};

/// Why a table was cut before a row.
enum class CutReason { None, RunColumn, TimeBack, TimeGap, AnotherSweep };

/// One pull among the rows of a table.
struct RowPull {
    RowSpan rows;
    CutReason cut = CutReason::None; ///< why it does not hang together with the one before
    double gap_s = 0.0;              ///< of a cut at a gap
    std::string run;                 ///< what the run column says of it
};

/// What tells pulls apart; equal lengths, `run` and `speed` may be empty.
struct SplitSignals {
    std::span<const double> time_s;
    std::span<const double> speed_rpm;
    std::span<const std::string> run;
    std::span<const size_t> breaks; ///< rows before which the file makes a break
};

/// Cuts where the run column changes, where time runs back, at gaps, and between sweeps of one long record (idle, pull,
/// idle, pull). A break of the file cuts only where time does not go on as before. Pieces of less than kFewestPullRows
/// rows are left out.
std::vector<RowPull> splitPulls(const SplitSignals& given);

/// Where the speed of a long record climbs from near its lowest to near its highest more than once: the rows before
/// which to cut, none for a single sweep.
std::vector<size_t> sweepCuts(std::span<const double> time_s, std::span<const double> speed_rpm);

} // namespace hillrun
