// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/trace/follow_line.h"

#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <optional>

namespace hillrun {
namespace {

constexpr size_t kPaperSample = 200000; ///< pixels of a large picture that tell what its paper is
constexpr int kStartReach_px = 4;
constexpr int kLongestGap_px = 30;
constexpr double kLeastContrast = 72.0; ///< of 441, against the paper: less is a grid
constexpr double kOtherColour = 60.0;   ///< so far off the mixtures of line and paper
constexpr double kCore = 0.5;           ///< share of the line's colour in a pixel that is the line for sure
constexpr double kRim = 0.12;
constexpr size_t kRecent = 24; ///< columns that tell where it goes
constexpr double kReach_px = 3.0;
constexpr double kDashed = 0.85;        ///< seen in fewer columns than that
constexpr double kDashedReach_px = 1.2; ///< a line in dashes is found again only where it goes, not where it touches
constexpr double kReachInGap = 0.2;     ///< pixels a column
constexpr double kLongRun = 1.3;        ///< times the usual: a frame, or another line of its colour that it meets
constexpr double kLongJoinedRun = 12.0; ///< pixels over the usual: so steep a ragged line may be from column to column
constexpr size_t kKnown = 8;            ///< columns from which on it is known where it goes
constexpr double kSteepest = 1.5;       ///< until then
constexpr double kStray = 0.5;          ///< of the gap before it: a shorter piece at an end is a tick or a letter

using Colour = std::array<double, 3>;

Colour colourOf(const Rgb& rgb) { return {double(rgb[0]), double(rgb[1]), double(rgb[2])}; }

double distance(const Colour& a, const Colour& b) { return std::hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]); }

/// The colour that most of the picture has.
Colour paperOf(const Picture& picture) {
    std::map<int, std::pair<int, Colour>> shades; // of 16 steps each
    const size_t stride = picture.pixels.size() / kPaperSample + 1;
    for (size_t i = 0; i < picture.pixels.size(); i += stride) {
        const Rgb& rgb = picture.pixels[i];
        auto& [count, sum] = shades[rgb[0] / 16 * 256 + rgb[1] / 16 * 16 + rgb[2] / 16];
        ++count;
        for (size_t part = 0; part < 3; ++part)
            sum[part] += rgb[part];
    }
    const auto most = std::max_element(shades.begin(), shades.end(),
                                       [](const auto& a, const auto& b) { return a.second.first < b.second.first; });
    Colour out = most->second.second;
    for (double& part : out)
        part /= most->second.first;
    return out;
}

/// Pixels of a column that belong together.
struct InkRun {
    double middle = 0.0;
    double height = 0.0; ///< pixels, the rim by its share
    int top = 0;
    int bottom = 0;
};

class Ink {
public:
    Ink(const Picture& picture, const Colour& paper, const Colour& line)
        : m_picture(picture), m_paper(paper), m_line(line), m_contrast(distance(paper, line)) {}

    /// How much of the line's colour a pixel has: 0 paper or another colour, 1 the line.
    [[nodiscard]] double share(int x, int y) const {
        const Colour pixel = colourOf(m_picture.at(x, y));
        double along = 0.0;
        for (size_t i = 0; i < 3; ++i)
            along += (pixel[i] - m_paper[i]) * (m_line[i] - m_paper[i]);
        along /= m_contrast * m_contrast;
        Colour mixed{};
        for (size_t i = 0; i < 3; ++i)
            mixed[i] = m_paper[i] + along * (m_line[i] - m_paper[i]);
        return distance(pixel, mixed) > kOtherColour ? 0.0 : std::clamp(along, 0.0, 1.0);
    }

    /// The run of that colour nearest to y that has a pixel within `reach` of there.
    [[nodiscard]] std::optional<InkRun> nearest(int x, double y, double reach) const {
        std::optional<InkRun> best;
        const int low = std::max(0, static_cast<int>(std::floor(y - reach)));
        const int high = std::min(m_picture.height - 1, static_cast<int>(std::floor(y + reach)));
        for (int row = low; row <= high; ++row) {
            if (share(x, row) < kCore)
                continue;
            const InkRun run = runAround(x, row);
            if (!best || std::abs(run.middle - y) < std::abs(best->middle - y))
                best = run;
            while (row < high && share(x, row + 1) >= kCore)
                ++row;
        }
        return best;
    }

private:
    [[nodiscard]] InkRun runAround(int x, int row) const {
        int top = row;
        int bottom = row;
        while (top > 0 && share(x, top - 1) >= kCore)
            --top;
        while (bottom + 1 < m_picture.height && share(x, bottom + 1) >= kCore)
            ++bottom;
        top -= top > 0 && share(x, top - 1) >= kRim ? 1 : 0;
        bottom += bottom + 1 < m_picture.height && share(x, bottom + 1) >= kRim ? 1 : 0;
        InkRun out;
        for (int y = top; y <= bottom; ++y) {
            out.middle += share(x, y) * (y + 0.5);
            out.height += share(x, y);
        }
        out.middle /= out.height;
        out.top = top;
        out.bottom = bottom;
        return out;
    }

    const Picture& m_picture;
    Colour m_paper;
    Colour m_line;
    double m_contrast;
};

/// Where a line goes, by a straight one through what was seen last.
class Course {
public:
    void add(const LinePoint& point) {
        m_seen.push_back(point);
        if (m_seen.size() > kRecent)
            m_seen.erase(m_seen.begin());
    }
    [[nodiscard]] double slope() const { return m_seen.size() < kKnown ? 0.0 : fit().slope; }
    /// Of a whole line on from its last point; of dashes from the line through them, which one wrong point hardly
    /// turns.
    [[nodiscard]] double at(double x) const {
        return isDashed() ? fit().at(x) : m_seen.back().at.y + slope() * (x - m_seen.back().at.x);
    }
    /// How far from where it is expected the line is still taken for itself, after so many columns without it.
    [[nodiscard]] double reach(int gap) const {
        if (m_seen.size() < kKnown)
            return kReach_px + usualHeight() + kSteepest * gap;
        return kReachInGap * gap + (isDashed() ? kDashedReach_px : kReach_px + usualHeight() + std::abs(slope()));
    }
    [[nodiscard]] bool isDashed() const {
        const double columns = std::abs(m_seen.back().at.x - m_seen.front().at.x) + 1.0;
        return m_seen.size() >= kKnown && static_cast<double>(m_seen.size()) < kDashed * columns;
    }
    [[nodiscard]] double usualHeight() const {
        std::vector<double> heights;
        for (const LinePoint& point : m_seen)
            heights.push_back(2.0 * point.halfWidth_px);
        std::nth_element(heights.begin(), heights.begin() + static_cast<std::ptrdiff_t>(heights.size() / 2),
                         heights.end());
        return heights[heights.size() / 2];
    }

private:
    [[nodiscard]] Line fit() const {
        std::vector<double> x;
        std::vector<double> y;
        for (const LinePoint& point : m_seen) {
            x.push_back(point.at.x);
            y.push_back(point.at.y);
        }
        return fitLine(x, y, 0, x.size() - 1);
    }
    std::vector<LinePoint> m_seen;
};

/// The pixel near the start that differs most from the paper.
std::optional<std::pair<int, int>> inkNear(const Picture& picture, const Colour& paper, PicturePoint start) {
    std::optional<std::pair<int, int>> best;
    double most = kLeastContrast;
    const int x0 = static_cast<int>(std::floor(start.x));
    const int y0 = static_cast<int>(std::floor(start.y));
    for (int reach = 0; reach <= kStartReach_px && !best; ++reach) // what was pointed at comes first
        for (int y = y0 - reach; y <= y0 + reach; ++y)
            for (int x = x0 - reach; x <= x0 + reach; ++x)
                if (picture.holds(x, y) && distance(colourOf(picture.at(x, y)), paper) > most) {
                    most = distance(colourOf(picture.at(x, y)), paper);
                    best = {x, y};
                }
    return best;
}

/// Pieces at the end that are short against the gap before them.
void dropStray(std::vector<LinePoint>& line) {
    for (size_t i = line.size(); i-- > 1;) {
        const double gap = std::abs(line[i].at.x - line[i - 1].at.x) - 1.0;
        if (gap > 0.0 && static_cast<double>(line.size() - i) < kStray * gap)
            line.resize(i);
        else if (gap > 0.0)
            return;
    }
}

std::vector<LinePoint> followOneWay(const Picture& picture, const Ink& ink, const std::vector<LinePoint>& begun,
                                    int step) {
    Course course;
    for (const LinePoint& point : begun)
        course.add(point);
    std::vector<LinePoint> out;
    int gap = 0;
    std::optional<InkRun> last;
    for (int x = static_cast<int>(begun.back().at.x) + step; picture.holds(x, 0) && gap <= kLongestGap_px; x += step) {
        const double expected = course.at(x + 0.5);
        const double usual = std::max(course.usualHeight(), 1.0);
        const double reach = course.reach(gap);
        const auto run = ink.nearest(x, expected, reach + usual + kLongJoinedRun);
        // What goes on without a gap is the line however ragged it is; of dashes the next may be another's.
        const bool joined =
            run && last && !course.isDashed() && run->top <= last->bottom + 1 && run->bottom + 1 >= last->top;
        const double most = joined ? usual + kLongJoinedRun : kLongRun * usual + 1.0;
        if (!run || run->height > most || (!joined && std::abs(run->middle - expected) > reach)) {
            ++gap;
            last.reset();
            continue;
        }
        gap = 0;
        last = run;
        out.push_back({.at = {x + 0.5, run->middle}, .halfWidth_px = 0.5 * run->height});
        course.add(out.back());
    }
    dropStray(out);
    return out;
}

} // namespace

std::vector<LinePoint> followLine(const Picture& picture, PicturePoint start) {
    if (picture.pixels.empty())
        return {};
    const Colour paper = paperOf(picture);
    const auto seed = inkNear(picture, paper, start);
    if (!seed)
        return {};
    const Ink ink(picture, paper, colourOf(picture.at(seed->first, seed->second)));
    const auto run = ink.nearest(seed->first, seed->second + 0.5, 0.5);
    if (!run)
        return {};
    const LinePoint first{{seed->first + 0.5, run->middle}, 0.5 * run->height};
    const std::vector<LinePoint> right = followOneWay(picture, ink, {first}, 1);
    std::vector<LinePoint> begun(right.begin(),
                                 right.begin() + static_cast<std::ptrdiff_t>(std::min(right.size(), kRecent)));
    std::reverse(begun.begin(), begun.end()); // the way back goes on as the way there began
    begun.push_back(first);
    std::vector<LinePoint> out = followOneWay(picture, ink, begun, -1);
    std::reverse(out.begin(), out.end());
    out.push_back(first);
    out.insert(out.end(), right.begin(), right.end());
    return out;
}

} // namespace hillrun
