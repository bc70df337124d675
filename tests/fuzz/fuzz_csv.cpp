// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a logger file: they are read or refused with a DataError, what was read is written and read back the
// same, and no table of numbers upsets the reduction.

#include "core/pull/events.h"
#include "core/slip/day_events.h"
#include "formats/pull_file.h"

#include <cmath>
#include <cstdint>
#include <cstdlib>

using namespace hillrun;

namespace {

void mustHold(bool condition) {
    if (!condition)
        std::abort();
}

/// The table as the only pull of a day on this dyno: a curve with its events, or a reason.
void reduceAs(const ChannelTable& table, CellKind kind, SweepDirection sweep) {
    TestDay day;
    day.cell.kind = kind;
    day.cell.sweep = sweep;
    day.cell.rollerInertia_kgm2 = 12.0;
    day.cell.rollerRadius_m = 0.25;
    day.article.vehicle.tyreRadius_m = 0.3;
    day.article.engine.displacement_cc = 999;
    day.loss.method = LossMethod::CoastDown;
    Pull pull;
    pull.id = "p01";
    pull.raw = std::make_shared<const ChannelTable>(table);
    day.pulls.push_back(pull);
    ReduceSettings settings;
    settings.standard = Standard::Uncorrected;
    ReducedDay reduced = reduceDay(day, settings);
    addEvents(day, reduced.pulls);
    for (const PullResult& result : reduced.pulls)
        mustHold((result.curve != nullptr) == result.whyLeftOut.empty());
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    if (size > 20000)
        return 0;
    try {
        const std::string_view text(reinterpret_cast<const char*>(data), size);
        const ChannelTable table = readPullText(text, "fuzz.csv", 98.0);
        const ChannelTable again = readPullText(writePullText(table), "again.csv", 98.0);
        mustHold(again.rows() == table.rows() && again.columns.size() == table.columns.size());
        reduceAs(table, CellKind::EngineBrake, SweepDirection::Up);
        reduceAs(table, CellKind::EngineBrake, SweepDirection::Steps);
        reduceAs(table, CellKind::ChassisInertia, SweepDirection::Up);
    } catch (const DataError&) { // refused in words
    }
    return 0;
}
