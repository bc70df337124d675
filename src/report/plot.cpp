// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/plot.h"

#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "report/render.h"
#include "words/voice.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace hillrun::report {

std::vector<double> ticks(double low, double high, int wanted) {
    std::vector<double> out;
    if (!(high > low) || wanted < 1)
        return out;
    const double raw = (high - low) / wanted;
    const double power = std::pow(10.0, std::floor(std::log10(raw)));
    double step = power;
    for (const double nice : {2.0, 5.0, 10.0})
        if (nice * power <= 1.3 * raw)
            step = nice * power;
    for (double tick = std::ceil(low / step) * step; tick <= high + 1e-9 * step; tick += step)
        out.push_back(std::abs(tick) < 1e-9 * step ? 0.0 : tick);
    return out;
}

Plot::Plot(Page& page, Point topLeft, double width, double height, RpmRange x, double low, double high, double text)
    : m_page(page), m_topLeft(topLeft), m_width(width), m_height(height), m_x(x), m_low(low), m_high(high),
      m_text(text) {}

Point Plot::at(double x, double y) const {
    return {m_topLeft.x + (x - m_x.low) / (m_x.high - m_x.low) * m_width,
            m_topLeft.y + (m_high - y) / (m_high - m_low) * m_height};
}

void Plot::axes(const std::string& yTitle, bool xLabels, const std::string& xUnit) {
    for (const double tick : ticks(m_low, m_high, std::max(3, static_cast<int>(m_height / 32)))) {
        const Point p = at(m_x.low, tick);
        m_page.add(Line{{p, {p.x + m_width, p.y}}, kRule, 0.4, {}});
        m_page.add(Text{{p.x - 4, p.y + 2.5}, fmt::format("{:g}", tick), m_text, kQuietInk, false, true, Align::Right});
    }
    for (const double tick :
         ticks(m_x.low, m_x.high, static_cast<int>(std::clamp(m_width / (7.0 * m_text), 3.0, 8.0)))) {
        const Point p = at(tick, m_low);
        m_page.add(Line{{{p.x, m_topLeft.y}, {p.x, m_topLeft.y + m_height}}, kRule, 0.4, {}});
        if (xLabels)
            m_page.add(Text{{p.x, m_topLeft.y + m_height + m_text + 2.5},
                            rpmText(tick),
                            m_text,
                            kQuietInk,
                            false,
                            true,
                            Align::Centre});
    }
    const double room = m_page.width - m_topLeft.x;
    const double size = std::clamp(m_text * room / std::max(textWidth(yTitle, m_text), 1.0), 0.75 * m_text, m_text);
    m_page.add(Text{{m_topLeft.x, m_topLeft.y - 4}, shortened(yTitle, room, size), size, kQuietInk});
    if (xLabels)
        m_page.add(Text{{m_topLeft.x + m_width, m_topLeft.y + m_height + 2.0 * m_text + 4.0},
                        xUnit,
                        m_text,
                        kQuietInk,
                        false,
                        false,
                        Align::Right});
}

void Plot::curve(const std::vector<double>& x, const std::vector<double>& y, Colour colour, double width,
                 const std::vector<double>& dash) {
    Line line{{}, colour, width, dash};
    for (size_t i = 0; i < x.size(); ++i) {
        if (std::isfinite(y[i]) && m_x.holds(x[i])) {
            line.points.push_back(at(x[i], std::clamp(y[i], m_low, m_high)));
        } else if (!line.points.empty()) {
            m_page.add(line);
            line.points.clear();
        }
    }
    if (!line.points.empty())
        m_page.add(line);
}

void Plot::band(const std::vector<double>& x, const std::vector<double>& low, const std::vector<double>& high,
                Colour colour, double opacity) {
    Area area{{}, colour, opacity, false};
    std::vector<Point> back;
    for (size_t i = 0; i < x.size(); ++i) {
        if (!std::isfinite(low[i]) || !m_x.holds(x[i]))
            continue;
        area.points.push_back(at(x[i], std::clamp(high[i], m_low, m_high)));
        back.push_back(at(x[i], std::clamp(low[i], m_low, m_high)));
    }
    area.points.insert(area.points.end(), back.rbegin(), back.rend());
    m_page.add(area);
}

void Plot::dot(double x, double y, double radius, Colour colour) {
    constexpr int kCorners = 16;
    const Point middle = at(x, y);
    Area area{{}, colour, 1.0, false};
    for (int i = 0; i < kCorners; ++i) {
        const double angle = 2.0 * std::numbers::pi * i / kCorners;
        area.points.push_back({middle.x + radius * std::cos(angle), middle.y + radius * std::sin(angle)});
    }
    m_page.add(area);
}

void Plot::zeroLine() { m_page.add(Line{{at(m_x.low, 0.0), at(m_x.high, 0.0)}, kInk, 0.7, {}}); }

void Plot::endLabel(const std::vector<double>& x, const std::vector<double>& y, const std::string& text,
                    Colour colour) {
    for (size_t i = x.size(); i-- > 0;) {
        if (!std::isfinite(y[i]) || !m_x.holds(x[i]))
            continue;
        const Point p = at(x[i], y[i]);
        m_labels.push_back(Text{{p.x + 4, p.y + 3}, text, m_text + 2.0, colour, true});
        return;
    }
}

void Plot::drawLabels() {
    std::stable_sort(m_labels.begin(), m_labels.end(), [](const Text& a, const Text& b) { return a.at.y < b.at.y; });
    for (size_t i = 1; i < m_labels.size(); ++i)
        m_labels[i].at.y = std::max(m_labels[i].at.y, m_labels[i - 1].at.y + m_text + 3.5);
    for (const Text& label : m_labels)
        m_page.add(label);
    m_labels.clear();
}

} // namespace hillrun::report
