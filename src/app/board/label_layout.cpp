// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/label_layout.h"

#include <algorithm>

namespace hillrun {

std::vector<int> rowsOfWords(const std::vector<std::pair<double, double>>& spans, double apart) {
    std::vector<double> ends; // of each row
    std::vector<int> out;
    for (const auto& [left, right] : spans) {
        size_t row = 0;
        while (row < ends.size() && left < ends[row] + apart)
            ++row;
        if (row == ends.size())
            ends.push_back(0.0);
        ends[row] = right;
        out.push_back(static_cast<int>(row));
    }
    return out;
}

void spreadLabels(std::vector<double>& pixels, double apart, double top, double bottom) {
    for (size_t i = 1; i < pixels.size(); ++i)
        pixels[i] = std::max(pixels[i], pixels[i - 1] + apart);
    if (pixels.empty())
        return;
    double limit = bottom;
    for (size_t i = pixels.size(); i-- > 0;) {
        pixels[i] = std::min(pixels[i], limit);
        limit = pixels[i] - apart;
    }
    for (double& pixel : pixels)
        pixel = std::max(pixel, top);
}

} // namespace hillrun
