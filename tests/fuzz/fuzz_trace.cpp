// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any picture, wherever somebody points at it and however the axes are marked: a line from left to right inside of the
// picture, and a table of rising speeds.

#include "core/trace/sheet_trace.h"

#include <cmath>
#include <cstdint>
#include <cstdlib>

using namespace hillrun;

namespace {

/// The bytes one after the other, then zeros.
class Bytes {
public:
    Bytes(const uint8_t* data, size_t size) : m_data(data), m_size(size) {}
    uint8_t next() { return m_at < m_size ? m_data[m_at++] : uint8_t{0}; }
    PicturePoint place() {
        const double x = next();
        return {x / 2.0 - 20.0, next() / 2.0 - 20.0};
    }

private:
    const uint8_t* m_data;
    size_t m_size;
    size_t m_at = 0;
};

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    Bytes bytes(data, size);
    Picture picture;
    picture.width = bytes.next() % 64;
    picture.height = bytes.next() % 48;
    SheetTrace trace;
    for (MarkedPlace& mark : trace.marks)
        mark = {bytes.place(), 50.0 * bytes.next()};
    trace.rightAxis = bytes.next() % 2 == 1;
    const PicturePoint start = bytes.place();
    for (int i = 0; i < picture.width * picture.height; ++i) {
        const uint8_t shade = bytes.next(); // a few colours go further than many
        picture.pixels.push_back({shade, static_cast<uint8_t>(shade % 7 * 36), static_cast<uint8_t>(255 - shade)});
    }
    TracedLine line{"A", "kW", bytes.next() % 2 == 1, false, followLine(picture, start)};
    for (size_t i = 0; i < line.points.size(); ++i) {
        const LinePoint& point = line.points[i];
        if (!(point.at.y >= 0.0 && point.at.y <= picture.height && point.halfWidth_px > 0.0) ||
            (i > 0 && point.at.x <= line.points[i - 1].at.x))
            std::abort();
    }
    togglePoint(line, start, 2.0);
    cutOff(line, start.x);
    const auto axes = axesOf(trace, line.onRightAxis && trace.rightAxis);
    if (axes->problem() != AxesProblem::None)
        return 0;
    trace.lines = {line};
    for (const TracedBuild& one : tracedBuilds(trace))
        for (size_t i = 1; i < one.table.rows(); ++i)
            if (!(one.table.columns[0].values[i] > one.table.columns[0].values[i - 1]))
                std::abort();
    return 0;
}
