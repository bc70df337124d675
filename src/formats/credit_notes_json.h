// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/credit_notes.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The key "credit" of a day.json. Throws DataError.
CreditNotes readCreditNotes(ObjectReader in);
Json creditNotesJson(const CreditNotes& notes);

} // namespace hillrun
