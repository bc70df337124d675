// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_content.h"
#include "app/check/findings.h"
#include "app/compare/compare_content.h"
#include "app/shell/day_strip.h"
#include "app_support.h"

#include <cmath>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {
struct ContentDemo {
    TestDay day = readDay(test::demoDay());
    DrawCache cache;
    DayAnalysis analysis = analyse(day, {}, cache);
    Theme theme = Theme::paper();
    CompareView view{"A", "B", Quantity::Power, CurveSchool::Mean, {}};
};
} // namespace

TEST_CASE("the curves board shows both builds with their letters, in the reader's units") {
    ContentDemo demo;
    const BoardContent power = curvesContent(demo.day, demo.analysis, demo.view, demo.theme);
    REQUIRE(power.series.size() == 2);
    CHECK(power.series[0].label == u"A"_s);
    CHECK(power.series[1].pen.style() == Qt::CustomDashLine);
    CHECK(power.title.contains(u"kW"_s));
    demo.view.units = {PowerUnit::Horsepower, TorqueUnit::PoundFoot};
    const BoardContent horses = curvesContent(demo.day, demo.analysis, demo.view, demo.theme);
    CHECK(power.series[0].y[40] / horses.series[0].y[40] == Approx(0.745699872));
    demo.view.quantity = Quantity::Torque;
    const BoardContent torque = curvesContent(demo.day, demo.analysis, demo.view, demo.theme);
    CHECK(torque.series[0].y[40] ==
          Approx(torqueIn(TorqueUnit::PoundFoot, demo.analysis.findBuild("A")->torque_nm[40])));
    demo.view.school = CurveSchool::Best;
    CHECK(curvesContent(demo.day, demo.analysis, demo.view, demo.theme).title.contains(u"without an interval"_s));
}

TEST_CASE("the difference board carries its band and the same axis") {
    ContentDemo demo;
    const BoardContent c = differenceContent(demo.analysis, demo.view, demo.theme);
    CHECK(c.bands.size() == 1);
    CHECK(c.symmetric);
    CHECK(c.xRange == curvesContent(demo.day, demo.analysis, demo.view, demo.theme).xRange);
    CHECK(differenceContent(demo.analysis, {"A", "Z", Quantity::Power, CurveSchool::Mean, {}}, demo.theme)
              .series.empty());
    CHECK(cursorText(demo.analysis, demo.view, 5400.0).contains(u"\u0394"_s));
}

TEST_CASE("words of the compare page") {
    ContentDemo demo;
    const Comparison& c = *demo.analysis.find("A", "B");
    const auto rows = bandRows(c, demo.view);
    REQUIRE(rows.size() == 4);
    CHECK(rows[0].claim == Claim::Gain);
    CHECK(rows[1].claim == Claim::Unresolved);
    CHECK(changedText(c) == u"collector: 450 mm \u2192 600 mm"_s);
    CHECK(likeText(c).contains(u"matched"_s));
    bool warns = true;
    CHECK(leftOutText(demo.analysis, &warns).contains(u"p03 (A), breakup above 6900 rpm"_s));
    CHECK_FALSE(warns);
}

TEST_CASE("taking the broken pull back flags it") {
    ContentDemo demo;
    demo.day.pulls[2].use = true;
    const DayAnalysis again = analyse(demo.day, {}, demo.cache);
    REQUIRE(again.pulls[2].flags.size() == 1);
    CHECK(again.pulls[2].flags[0].kind == FlagKind::Rough);
    CHECK(again.pulls[2].flags[0].rpm > 6800.0);
    bool said = false;
    for (const Finding& finding : findingsOf(demo.day, again, "p03"))
        said |= finding.text.contains(u"Does not look like the others"_s);
    CHECK(said);
    bool warns = false;
    CHECK(leftOutText(again, &warns).contains(u"Look at p03"_s));
    CHECK(warns);
}

TEST_CASE("the check boards show the pull among its companions, trims shaded") {
    ContentDemo demo;
    const CheckView view{"p06", Quantity::Power, {}};
    const BoardContent overlay = overlayContent(demo.day, demo.analysis, view, demo.theme);
    CHECK(overlay.series.size() == 4);
    CHECK(overlay.series.back().label == u"p06"_s);
    REQUIRE_FALSE(overlay.shades.empty());
    CHECK(overlay.shades.front().word == u"unsettled start"_s);
    CHECK(deviationContent(demo.day, demo.analysis, view, demo.theme).bands.size() == 1);
    CHECK(torqueInTime(demo.day, demo.analysis, view, demo.theme).series.front().x.size() ==
          demo.day.pulls[5].raw->rows());
    CHECK(overlayContent(demo.day, demo.analysis, {"p99", Quantity::Power, {}}, demo.theme).series.empty());
}

TEST_CASE("the strip keeps time order, room for each flag and the minutes of a change") {
    ContentDemo demo;
    const StripLayout layout = layoutStrip(demo.day, &demo.analysis, 1280.0, 46.0);
    REQUIRE(layout.flags.size() == 11);
    REQUIRE(layout.gaps.size() == 2);
    CHECK(layout.gaps[0].minutes == 23);
    for (size_t i = 1; i < layout.flags.size(); ++i)
        CHECK(layout.flags[i].x >= layout.flags[i - 1].x + layout.flagWidth);
    CHECK_FALSE(layout.flags[2].used);
    CHECK(layout.flags[5].height > layout.flags[9].height);
    TestDay many = demo.day;
    for (int i = 0; i < 60; ++i)
        many.pulls.push_back(many.pulls.back());
    const StripLayout crowded = layoutStrip(many, nullptr, 1000.0, 46.0);
    CHECK(crowded.flags.back().x + crowded.flagWidth <= 1000.0);
    CHECK(layoutStrip({}, nullptr, 1000.0, 46.0).flags.empty());
}

TEST_CASE("what can be used is a table") {
    test::beginAnew();
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    const auto can = [&](const char* id, const WindowState& s) { return window.registry().enabled(id, s); };
    WindowState nothing;
    WindowState open;
    open.dayOpen = open.daySaved = open.analysed = open.pullSelected = open.pairShown = true;
    const struct {
        const char* action;
        bool closed, compare, check;
    } rows[] = {{"day.open", true, true, true},      {"day.save", false, false, false},
                {"day.save_as", false, true, true},  {"compare.swap", false, true, false},
                {"check.use", false, false, true},   {"check.reset_trim", false, false, false},
                {"report.pdf", false, true, true},   {"edit.undo", false, false, false},
                {"view.quantity", false, true, true}};
    for (const auto& row : rows) {
        INFO(row.action);
        CHECK(can(row.action, nothing) == row.closed);
        open.page = "compare";
        CHECK(can(row.action, open) == row.compare);
        open.page = "check";
        CHECK(can(row.action, open) == row.check);
    }
    open.dayModified = true;
    CHECK(can("day.save", open));
}
