// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/trace/sheet_trace.h"

#include <QString>

namespace hillrun {

/// What a click on the sheet does to the current line.
enum class TraceWay { Follow, ByHand, CutOff };

bool isOfRightAxis(SheetMark mark);
QString axisName(SheetMark mark);
QString markText(double value);
/// What to do next, in one sentence.
QString nextStep(const SheetTrace& trace, std::optional<SheetMark> now, size_t line, TraceWay way);
/// Why no curve can be taken yet; empty when one can.
QString traceProblem(const SheetTrace& trace);
/// What is to be asked about curves that can be taken; only without a problem.
QString traceDoubts(const SheetTrace& trace);

} // namespace hillrun
