// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any text as a curve that is pasted: refused with a reason, or a table that a pull file holds and gives back.

#include "core/errors/data_error.h"
#include "core/trace/sheet_check.h"
#include "formats/pull_file.h"
#include "formats/typed_curve.h"

#include <cmath>
#include <cstdint>
#include <cstdlib>

using namespace hillrun;

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    ChannelTable table;
    try {
        table = readTypedCurve(rowsOfText({reinterpret_cast<const char*>(data), size}), "hp", "lbf.ft");
    } catch (const DataError&) {
        return 0;
    }
    (void)checkSheet(table, "hp", "lbf.ft");
    double before = 0.0;
    for (const double rpm : table.find("engine_speed")->values) {
        if (!(rpm > before))
            std::abort();
        before = rpm;
    }
    if (!sameRows(readCurveText(writePullText(table), "again.csv", 101.0), table))
        std::abort();
    return 0;
}
