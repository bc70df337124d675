// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "report/page.h"

#include <string>

namespace hillrun::report {

/// Text as it may stand in HTML and SVG.
std::string escaped(const std::string& text);

/// The marks as SVG elements whose words stay words, without the element around them. `prefix` keeps the names of
/// patterns apart from those of other drawings of the same document. Pictures are left out.
std::string svgMarks(const Page& drawing, const std::string& prefix);

} // namespace hillrun::report
