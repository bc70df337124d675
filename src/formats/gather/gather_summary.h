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

/// What was understood of a file, line by line: how it is written, each column, each pull.
std::vector<Statement> explained(const GatheredFile& file);
/// A note with its place, and what to do about it: "v.csv, line 7, column Torque: ... ."
std::vector<Statement> noteStatements(const GatherNote& note);

} // namespace hillrun
