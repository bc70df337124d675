// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <string>
#include <vector>

namespace hillrun::cli {

/// Logs of another device to be laid onto pulls of a day.
struct OntoOptions {
    std::vector<std::string> files;
    std::string day;
    std::vector<std::string> pulls; ///< ids, or "all"
    std::string mapping;
    std::optional<double> lag_s; ///< by hand: what the log's clock shows when the pull's shows 0
    bool strict = false;
    bool json = false;
};

/// Finds where each log lies, lays it on and saves the day. Throws DataError and WrongUse; then nothing is written.
void layOnto(const OntoOptions& options);

} // namespace hillrun::cli
