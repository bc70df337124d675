// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/lay_logs.h"
#include "formats/import_files.h"

#include <memory>
#include <string>

// A log of another device (a control unit's) on its way onto pulls.

namespace hillrun {

/// The rows of a file that was read for the purpose of a log; its gauge pressures count from `ambient_kpa`. Throws
/// DataError.
std::shared_ptr<const ChannelTable> logRows(const ImportFile& file, double ambient_kpa);
/// When the log's clock showed zero, in seconds since 1970; nothing where its file tells no time of day.
std::optional<double> logZero_s(const ImportFile& file);
/// What the log is called: the name of its file without path and ending.
std::string logNameOf(const ImportFile& file);
/// The log as it is laid onto a pull with rows: of a long log only the stretch beside the pull is kept; its gauge
/// pressures count from the pull's own air. Throws DataError.
LaidLog logFor(const Pull& pull, const ImportFile& file, const LogClock& clock);
/// Lays it on; a log of the same name that lies there gives way.
void layOn(Pull& pull, LaidLog log);

} // namespace hillrun
