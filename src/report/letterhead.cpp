// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/letterhead.h"

#include <algorithm>

namespace hillrun::report {
namespace {

// Points.
constexpr double kMargin = 36.0;
constexpr double kWorkshopSize = 12.0;
constexpr double kAddressSize = 8.5;
constexpr double kLine = 11.0;
constexpr double kPictureHeight = 40.0;
constexpr double kPictureWidth = 140.0;
constexpr double kBelow = 12.0; ///< between the letterhead and the sheet

Page emptyPage(Paper paper) {
    Page out;
    if (paper == Paper::Letter) { // 8.5 by 11 inches
        out.width = 612.0;
        out.height = 792.0;
    }
    return out;
}

struct Box {
    double left = 1e9, right = -1e9, top = 1e9, bottom = -1e9;
    void take(const Point& p) {
        left = std::min(left, p.x);
        right = std::max(right, p.x);
        top = std::min(top, p.y);
        bottom = std::max(bottom, p.y);
    }
};

/// The room that the marks take; texts count by their base line and size.
Box boxOf(const Page& page) {
    Box out;
    for (const Mark& mark : page.marks) {
        if (const auto* text = std::get_if<Text>(&mark)) {
            out.take({text->at.x, text->at.y - text->size});
            out.take({text->at.x, text->at.y + 0.3 * text->size});
        } else if (const auto* line = std::get_if<Line>(&mark)) {
            for (const Point& p : line->points)
                out.take(p);
        } else if (const auto* area = std::get_if<Area>(&mark)) {
            for (const Point& p : area->points)
                out.take(p);
        }
    }
    return out;
}

struct Fit {
    double scale, dx, dy;
    [[nodiscard]] Point operator()(const Point& p) const { return {scale * p.x + dx, scale * p.y + dy}; }
};

Mark moved(Mark mark, const Fit& fit) {
    std::visit(
        [&fit]<class M>(M& m) {
            if constexpr (std::is_same_v<M, Text>) {
                m.at = fit(m.at);
                m.size *= fit.scale;
            } else if constexpr (std::is_same_v<M, Image>) {
                m.at = fit(m.at);
                m.width *= fit.scale;
                m.height *= fit.scale;
            } else {
                for (Point& p : m.points)
                    p = fit(p);
                if constexpr (std::is_same_v<M, Line>)
                    m.width *= fit.scale;
            }
        },
        mark);
    return mark;
}

/// Puts the letterhead at the top and returns where it ends.
double addHead(Page& page, const Letterhead& head) {
    if (head.empty())
        return kMargin;
    double y = kMargin;
    if (!head.workshop.empty()) {
        y += kWorkshopSize;
        page.add(Text{{kMargin + 6.0, y}, head.workshop, kWorkshopSize, kInk, true});
    }
    for (const std::string& line : head.address) {
        y += kLine;
        page.add(Text{{kMargin + 6.0, y}, line, kAddressSize, kQuietInk});
    }
    if (!head.png.empty()) {
        page.add(Image{{page.width - kMargin - kPictureWidth, kMargin}, kPictureWidth, kPictureHeight, head.png});
        y = std::max(y, kMargin + kPictureHeight);
    }
    return y + kBelow;
}

} // namespace

Page laidOut(const Page& sheet, Paper paper, const Letterhead& head) {
    constexpr double kWhite = 15.0; // that printers leave at the edge
    const Box box = boxOf(sheet);
    if (paper == Paper::A4 && head.empty() && box.bottom <= sheet.height - kWhite)
        return sheet; // it is drawn for that
    Page out = emptyPage(paper);
    if (sheet.marks.empty())
        return out;
    const double top = addHead(out, head);
    const double scale = std::min({1.0, (out.width - 2.0 * kMargin) / (box.right - box.left),
                                   (out.height - kMargin - top) / (box.bottom - box.top)});
    const Fit fit{scale, 0.5 * (out.width - scale * (box.left + box.right)), top - scale * box.top};
    for (const Mark& mark : sheet.marks)
        out.marks.push_back(moved(mark, fit));
    return out;
}

} // namespace hillrun::report
