// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a day.json: refused with a DataError, or read; what was read is written and read back the same.

#include "core/errors/data_error.h"
#include "formats/day_json.h"

#include <cstdint>
#include <cstdlib>

using namespace hillrun;

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    TestDay day;
    try {
        day = dayFromJson({reinterpret_cast<const char*>(data), size}, "day.json");
    } catch (const DataError&) {
        return 0;
    }
    try {
        if (!(dayFromJson(dayToJson(day), "again.json") == day))
            std::abort();
    } catch (const DataError&) { // what we wrote ourselves must be read
        std::abort();
    }
    return 0;
}
