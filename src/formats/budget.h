// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <cstddef>

// What is taken from outside, at the most. Generous: an hour of 24 channels at 100 rows a second is 60 MB. Whatever
// goes beyond is refused with a message; docs/formats.md lists these figures.

namespace hillrun::budget {

constexpr size_t kMiB = size_t{1} << 20;
constexpr size_t kFile = 256 * kMiB;        ///< one file, unpacked
constexpr size_t kForeign = 512 * kMiB;     ///< a stranger's file, unpacked
constexpr size_t kDay = 2048 * kMiB;        ///< all files of a day that are read at once
constexpr size_t kJson = 64 * kMiB;         ///< day.json and other JSON
constexpr size_t kColumns = 4096;           ///< of a table
constexpr size_t kLine = kMiB;              ///< one line of a text file
constexpr size_t kNesting = 64;             ///< of JSON
constexpr size_t kEntries = 20000;          ///< of a zip
constexpr size_t kZipRatio = 400;           ///< unpacked to packed, beyond `kZipRatioFrom`
constexpr size_t kZipRatioFrom = 64 * kMiB; ///< so much may any zip unpack to
constexpr size_t kPath = 1000;              ///< bytes of a file's name inside a day
constexpr size_t kName = 255;               ///< bytes of one part of it (what Linux file systems take)
constexpr double kNumber = 1e30; ///< no measured or typed number is larger; JSON and sums of squares can hold it
constexpr size_t kPulls = 10000; ///< of a day

} // namespace hillrun::budget

namespace hillrun {

/// "256 MiB"
inline Number mebibytes(size_t bytes) { return decimals(static_cast<double>(bytes / budget::kMiB), 0, "MiB"); }

} // namespace hillrun
