// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/database.h"

namespace hillrun {

/// What this program knows; every version before it can be brought here, none back.
inline constexpr int kSchemaVersion = 3;

/// The version that the database has; 0 when it holds no logbook.
int schemaVersion(Database& database);

/// Brings the database to `version` step by step, each in a transaction of its own, so that a kill leaves a version
/// that exists. Throws DataError (LogbookNewer) for a database that is newer than this program.
void migrate(Database& database, int version = kSchemaVersion);

} // namespace hillrun
