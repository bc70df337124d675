// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "report/page.h"

namespace hillrun::report {

enum class Paper { A4, Letter };

/// Who prints: stands above the sheet.
struct Letterhead {
    std::string workshop;
    std::vector<std::string> address; ///< a line each
    std::string png;                  ///< a picture's bytes; empty for none
    [[nodiscard]] bool empty() const { return workshop.empty() && address.empty() && png.empty(); }
};

/// A sheet on this paper below a letterhead: as it was drawn where it fits, else smaller, never cut.
Page laidOut(const Page& sheet, Paper paper, const Letterhead& head);

} // namespace hillrun::report
