// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "report/document.h"
#include "words/voice.h"

namespace hillrun::report {

/// What a section is told from, and to whom.
struct Telling {
    const TestDay& day;
    const DayAnalysis& analysis;
    const Voice& voice;
    FigureStyle style;

    [[nodiscard]] std::string said(const char* id, std::vector<Argument> holes = {}) const {
        return voice.say(Statement{id, std::move(holes)});
    }
    [[nodiscard]] DisplayUnits units() const { return voice.manner().units; }
    /// Watts as the reader counts them.
    [[nodiscard]] std::vector<double> powers(const std::vector<double>& values_w) const;
    [[nodiscard]] std::string powerUnit() const { return powerUnitText(units().power); }
};

} // namespace hillrun::report
