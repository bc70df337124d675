// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"
#include "formats/json_reader.h"

namespace hillrun {

/// What is to be said, in no language: [{id, holes: [{is, value ...}]}]. A statement's place is not kept.
Json statementsJson(const std::vector<Statement>& statements);

/// Reads it back from an object's key; none when the key is missing, or holds what only a newer program could say.
std::vector<Statement> readStatements(ObjectReader& in, const char* key);

} // namespace hillrun
