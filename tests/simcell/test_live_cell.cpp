// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_store.h"
#include "formats/telemetry.h"
#include "simcell/live_cell.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using sim::LiveCell;

namespace {

sim::CellSpec spec(const char* file = "flat-twin.json") {
    return sim::readCellSpec(readFileText(test::dataFolder() / "demo" / file), file);
}

void run(LiveCell& cell, double seconds) {
    const double until = cell.time_s() + seconds;
    while (cell.time_s() < until)
        cell.step();
}

double now(const LiveCell& cell, const char* channel) {
    for (size_t i = 0; i < cell.channels().size(); ++i)
        if (std::string(cell.channels()[i].channel) == channel)
            return cell.row()[i];
    FAIL("no channel " << channel);
    return 0.0;
}

/// Works a pull and gives the highest torque in it.
double pullTorque(LiveCell& cell) {
    cell.command("pull");
    double most = 0.0;
    for (int i = 0; i < 2500 && (i < 800 || cell.isPulling()); ++i) {
        cell.step();
        most = std::max(most, now(cell, "torque"));
    }
    return most;
}

} // namespace

TEST_CASE("a live cell warms, pulls, heats and cools") {
    LiveCell cell(spec(), 1);
    run(cell, 2.0);
    CHECK(now(cell, "engine_speed") == Approx(0.0).margin(5.0));
    CHECK(cell.command("pull") == "start the motor first");
    cell.command("start");
    run(cell, 240.0);
    CHECK(now(cell, "engine_speed") == Approx(1150.0).margin(20.0));
    CHECK(now(cell, "coolant_temperature") == Approx(84.5).margin(1.0));
    CHECK(now(cell, "oil_temperature") > 86.0);
    const double before = cell.slowReading("coolant_temperature");
    CHECK(pullTorque(cell) == Approx(105.0).epsilon(0.06));
    const double after = cell.slowReading("coolant_temperature");
    CHECK(after > before + 2.0);
    run(cell, 180.0);
    CHECK(cell.slowReading("coolant_temperature") < after - 2.0);
    cell.command("stop");
    run(cell, 10.0);
    CHECK(now(cell, "engine_speed") == Approx(0.0).margin(5.0));
}

TEST_CASE("the stream is telemetry: a head, rows, events and the cell's clock") {
    LiveCell cell(spec("boost-buggy.json"), 1);
    std::vector<std::string> comments;
    size_t columns = 0;
    long frames = 0;
    TelemetryParser parser({.header = [&](const std::vector<Column>& c) { columns = c.size(); },
                            .frame = [&](double, std::span<const double>) { ++frames; },
                            .comment = [&](const std::string& text) { comments.push_back(text); },
                            .problem = [](const Statement& why) { FAIL(Voice().say(why)); }});
    parser.feed(cell.head());
    CHECK(columns == cell.channels().size());
    CHECK(now(cell, "tyre_temperature") == 0.0); // nothing read yet
    cell.command("start");
    cell.command("build B");
    for (int i = 0; i < 600; ++i) {
        cell.step();
        for (const std::string& event : cell.takeEvents())
            parser.feed("#" + event + "\n");
        parser.feed(cell.rowText());
    }
    CHECK(frames == 600);
    CHECK(std::count(comments.begin(), comments.end(), "event build B") == 1);
    CHECK(std::count(comments.begin(), comments.end(), "event motor started") == 1);
    CHECK(comments.end() != std::find_if(comments.begin(), comments.end(), [](const std::string& c) {
              return c.starts_with("clock 2026-06-20T13:40:0");
          }));
}

TEST_CASE("the console answers in words") {
    LiveCell cell(spec(), 1);
    CHECK(cell.command("help").find("build ID") != std::string::npos);
    CHECK(cell.command("build Q") == "no build Q");
    CHECK(cell.command("build B") == "build B is fitted");
    CHECK(cell.build() == "B");
    CHECK(cell.command("fault nothing").find("breakup") != std::string::npos);
    CHECK(cell.command("fault breakup 6900 14").find("next pull") != std::string::npos);
    CHECK(cell.command("clear") == "no faults");
    CHECK(cell.command("weather a b c").find("three numbers") == 0);
    CHECK(cell.command("weather 30 95.5 20") == "weather set");
    CHECK(cell.weather().pressure_kpa == Approx(95.5));
    CHECK(cell.command("status").find("stopped build B") == 0);
    CHECK(cell.command("").empty());
}

TEST_CASE("after a changed map the first pulls lack what the control unit has yet to learn") {
    sim::CellSpec changed = spec();
    changed.noise = {0.0, 0.0, 250.0, 0.0};
    changed.drift = {};
    changed.effects.clear();
    changed.day.builds[1].settings = {{"ignition_map", "m13"}};
    changed.adaptation_pct = 2.0;
    LiveCell cell(changed, 1);
    cell.command("start");
    const double base = pullTorque(cell);
    cell.command("build B");
    const double first = pullTorque(cell);
    const double second = pullTorque(cell);
    const double third = pullTorque(cell);
    CHECK(first == Approx(0.98 * base).epsilon(0.002));
    CHECK(second > first);
    CHECK(third > second);
}

TEST_CASE("a lost connection comes back after three seconds") {
    LiveCell cell(spec(), 1);
    cell.command("start");
    run(cell, 5.0);
    cell.command("fault lost_connection 5000");
    cell.command("pull");
    double lost_s = 0.0;
    for (int i = 0; i < 2500; ++i) {
        cell.step();
        lost_s += cell.connected() ? 0.0 : 0.01;
    }
    CHECK(lost_s == Approx(3.0).margin(0.05));
    CHECK(cell.connected());
}

TEST_CASE("left alone it follows the order of its description, inside its windows") {
    sim::CellSpec plan = spec();
    plan.order = {{"A", 2, 0.0, 1.0}, {"B", 1, 2.0, 1.0}, {"A", 1, 2.0, 1.0}};
    LiveCell cell(plan, 1);
    cell.followPlan();
    std::string made;
    double oilAtStart = 1e9;
    int seen = 0;
    for (int i = 0; i < 200000 && !cell.planDone(); ++i) {
        const bool before = cell.isPulling();
        cell.step();
        if (!before && cell.isPulling())
            oilAtStart = std::min(oilAtStart, cell.slowReading("oil_temperature"));
        if (cell.pullsMade() > seen) {
            ++seen;
            made += cell.build();
        }
    }
    CHECK(made == "AABA");
    CHECK(oilAtStart >= 85.5); // the gate's own window, less what approaching the start costs
}
