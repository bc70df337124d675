// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/letterhead.h"

#include <catch2/catch.hpp>

using namespace hillrun::report;

namespace {

Page someSheet(double bottom) {
    Page page;
    page.add(Text{{42, 52}, "title", 14.0});
    page.add(Line{{{42, 60}, {553, 60}}, kRule, 0.8, {}});
    page.add(Area{{{42, 70}, {553, 70}, {553, bottom}}, kGain, 1.0, false});
    return page;
}

/// Right and lower ends of the areas and lines.
Point farEnd(const Page& page) {
    Point out{0.0, 0.0};
    for (const Mark& mark : page.marks)
        if (const auto* area = std::get_if<Area>(&mark))
            for (const Point& p : area->points)
                out = {std::max(out.x, p.x), std::max(out.y, p.y)};
    return out;
}

} // namespace

TEST_CASE("a sheet on A4 without a letterhead is left as it was drawn") {
    const Page page = laidOut(someSheet(800), Paper::A4, {});
    CHECK(page.width == Approx(595.28));
    CHECK(farEnd(page).y == 800.0);
    CHECK(page.marks.size() == 3);
}

TEST_CASE("below a letterhead the sheet is moved, and made smaller only where it would be cut") {
    const Letterhead head{"Tarn Hill Climb Club", {"The Old Quarry"}, {}};
    const Page low = laidOut(someSheet(500), Paper::A4, head); // there is room
    CHECK(std::get<Text>(low.marks[0]).text == "Tarn Hill Climb Club");
    CHECK(std::get<Text>(low.marks[2]).size == 14.0);
    CHECK(farEnd(low).y > 500.0);
    const Page full = laidOut(someSheet(810), Paper::A4, head);
    CHECK(std::get<Text>(full.marks[2]).size < 14.0);
    CHECK(farEnd(full).y == Approx(841.89 - 36.0));
    CHECK(std::get<Text>(full.marks[2]).at.y > std::get<Text>(full.marks[1]).at.y);
}

TEST_CASE("Letter is 8.5 by 11 inches, and nothing leaves its margins") { // ANSI/ASME Y14.1: 612 by 792 points
    const Page page = laidOut(someSheet(810), Paper::Letter, {"W", {}, "no picture at all"});
    CHECK(page.width == 612.0);
    CHECK(page.height == 792.0);
    CHECK(farEnd(page).x <= 612.0 - 36.0 + 1e-9);
    CHECK(farEnd(page).y <= 792.0 - 36.0 + 1e-9);
    CHECK(std::get<Image>(page.marks[1]).width > 0.0); // its bytes are looked at when it is drawn
    CHECK(laidOut(Page{}, Paper::Letter, {}).marks.empty());
}

TEST_CASE("a sheet that is longer than its paper is made smaller, also without a letterhead") {
    const Page page = laidOut(someSheet(1000), Paper::A4, {});
    CHECK(farEnd(page).y == Approx(841.89 - 36.0));
}
