// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstdint>
#include <string>
#include <variant>
#include <vector>

// A printed page as a list of marks, in points from the top left corner. The same list is shown, printed and exported.

namespace hillrun::report {

/// 0xRRGGBB
using Colour = std::uint32_t;

struct Point {
    double x = 0.0;
    double y = 0.0;
};

enum class Align { Left, Centre, Right };

struct Text {
    Point at; ///< on the base line
    std::string text;
    double size = 9.0;
    Colour colour = 0x1D2A30;
    bool bold = false;
    bool mono = false;
    Align align = Align::Left;
    bool upwards = false; ///< turned by 90 degrees
};

struct Line {
    std::vector<Point> points;
    Colour colour = 0x1D2A30;
    double width = 0.6;
    std::vector<double> dash;
};

struct Area {
    std::vector<Point> points;
    Colour colour = 0xD8D3C7;
    double opacity = 1.0;
    bool hatched = false; ///< slanted lines instead of a fill
};

/// A picture, as large as fits into the box, at its right upper corner.
struct Image {
    Point at; ///< left upper corner of the box
    double width = 0.0;
    double height = 0.0;
    std::string png; ///< the file's bytes; what is none is left out
};

using Mark = std::variant<Text, Line, Area, Image>;

struct Page {
    double width = 595.28; ///< A4
    double height = 841.89;
    std::vector<Mark> marks;

    void add(Text text);
    void add(Line line);
    void add(Area area);
    void add(Image image);
};

/// The words of a page from the top down, one line each, as somebody hears them: without the figures along the axes
/// (text smaller than `smallest`, points).
std::string pageText(const Page& page, double smallest = 7.5);

// Colours of the printed page and of builds A..H; the window in light uses the same.
inline constexpr Colour kInk = 0x1D2A30;
inline constexpr Colour kQuietInk = 0x5B6B72;
inline constexpr Colour kRule = 0xD8D3C7;
inline constexpr Colour kGain = 0x0E7C6B;
inline constexpr Colour kLoss = 0xC2481B;
inline constexpr Colour kUnresolved = 0x8A8F8C;
inline constexpr Colour kWarning = 0x9A5B00;
inline constexpr Colour kBuilds[8] = {0x1B6CA8, 0xC8501E, 0x2E8B57, 0x8E4585, 0xB8860B, 0x3AA0B5, 0x6B6B6B, 0xA03050};

/// Dash pattern of the nth build, in line widths; the first is solid.
std::vector<double> buildDash(size_t build);
inline Colour buildColour(size_t build) { return kBuilds[build % 8]; }

} // namespace hillrun::report
