// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "report/page.h"

#include <filesystem>
#include <string>
#include <vector>

namespace hillrun::report {

/// Width of a text in points, in the page's type.
double textWidth(const std::string& text, double size, bool bold = false, bool mono = false);
/// The text broken at blanks into lines no wider than `width`.
std::vector<std::string> wrapped(const std::string& text, double width, double size, bool bold = false);

/// The text, with dots for its end where it is wider.
std::string shortened(const std::string& text, double width, double size, bool bold = false);

/// The pages as PDF or, one page, SVG. Written beside the target and renamed. Throws DataError (CannotWrite).
void writePdf(const std::vector<Page>& pages, const std::filesystem::path& target, const std::string& title);
void writeSvg(const Page& page, const std::filesystem::path& target);

/// A page as 32-bit premultiplied ARGB pixels on white, rows of width*4 bytes.
struct Picture {
    int width = 0;
    int height = 0;
    std::vector<unsigned char> pixels;
};
Picture renderPicture(const Page& page, double pixelsPerPoint);

} // namespace hillrun::report
