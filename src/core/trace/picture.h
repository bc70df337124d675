// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <array>
#include <cstddef>
#include <cstdint>
#include <vector>

// A picture of a sheet, as it is traced. A place is counted from the top left corner; the middle of the first pixel is
// 0.5, 0.5.

namespace hillrun {

using Rgb = std::array<std::uint8_t, 3>;

struct Picture {
    int width = 0;
    int height = 0;
    std::vector<Rgb> pixels; ///< row by row, from the top
    [[nodiscard]] bool holds(int x, int y) const { return x >= 0 && y >= 0 && x < width && y < height; }
    [[nodiscard]] const Rgb& at(int x, int y) const {
        return pixels[static_cast<size_t>(y) * static_cast<size_t>(width) + static_cast<size_t>(x)];
    }
};

struct PicturePoint {
    double x = 0.0;
    double y = 0.0;
    bool operator==(const PicturePoint&) const = default;
};

} // namespace hillrun
