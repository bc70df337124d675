// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/day_store.h"
#include "simcell/simulate.h"
#include "support.h"

namespace hillrun::test {

/// Four pulls of the base of a demo cell, nothing wrong with them; a test adds what is.
inline sim::CellSpec fourPulls(const char* file) {
    sim::CellSpec spec = sim::readCellSpec(readFileText(dataFolder() / "demo" / file), file);
    spec.order = {{"A", 4, 0.0, 4.0}};
    spec.faults.clear();
    spec.setAside.clear();
    return spec;
}

} // namespace hillrun::test
