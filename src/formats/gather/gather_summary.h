// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/gather.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

struct RawPeak {
    double power_kw = 0.0;
    double rpm = 0.0;
};

/// The highest power of a pull as recorded, from its power column, else torque times speed; a mean over a few rows, so
/// that a spike does not speak. Nothing when there is neither. Uncorrected.
std::optional<RawPeak> rawPeak(const ChannelTable& table);

/// What was understood of a file, line by line in words: how it is written, each column, each pull.
std::vector<std::string> explained(const GatheredFile& file);
/// The notes in words, with their place and what to do: "v.csv, line 7, column Torque: ...".
std::string noteLine(const GatherNote& note);

} // namespace hillrun
