// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "report/page.h"

#include <string>
#include <vector>

namespace hillrun::report {

/// Round values from low to high, about `wanted` of them or more.
std::vector<double> ticks(double low, double high, int wanted);

/// A plot area on a page: axes in user values, marks clipped to nothing (callers stay inside).
class Plot {
public:
    /// `text`: size of what is written along the axes, points.
    Plot(Page& page, Point topLeft, double width, double height, RpmRange x, double low, double high,
         double text = 7.5);

    /// `xUnit` is written below its end.
    void axes(const std::string& yTitle, bool xLabels, const std::string& xUnit = "rpm");
    void curve(const std::vector<double>& x, const std::vector<double>& y, Colour colour, double width,
               const std::vector<double>& dash);
    void band(const std::vector<double>& x, const std::vector<double>& low, const std::vector<double>& high,
              Colour colour, double opacity);
    void zeroLine();
    /// A letter at the last point of a curve; `drawLabels` writes them all without overlap.
    void endLabel(const std::vector<double>& x, const std::vector<double>& y, const std::string& text, Colour colour);
    void drawLabels();
    void dot(double x, double y, double radius, Colour colour);
    [[nodiscard]] Point at(double x, double y) const;

private:
    Page& m_page;
    Point m_topLeft;
    double m_width;
    double m_height;
    RpmRange m_x;
    double m_low;
    double m_high;
    double m_text;
    std::vector<Text> m_labels;
};

} // namespace hillrun::report
