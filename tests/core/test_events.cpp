// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_signals.h"
#include "english.h"
#include "event_sketch.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <functional>
#include <limits>
#include <rapidcheck/catch.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

using test::Sketch;

const double kNone = std::numeric_limits<double>::quiet_NaN();

} // namespace

TEST_CASE("a clean sweep has no events") { CHECK(Sketch().events().empty()); }

TEST_CASE("each event is found where it is, and by its name alone") {
    const auto times = [](double by) { return [by](double v, size_t) { return v * by; }; };
    const auto fixed = [](double to) { return [to](double, size_t) { return to; }; };
    CHECK(Sketch().spoil("torque", 7.0, 11.0, times(0.85)).events() == "collapse");
    CHECK(Sketch().spoil("torque", 7.0, 7.05, times(0.85)).events() == "spike");
    CHECK(Sketch().spoil("torque", 7.0, 7.02, times(1.2)).events() == "spike");
    CHECK(Sketch().spoil("torque", 8.0, 10.5, [](double v, size_t i) { return i % 20 < 5 ? 0.8 * v : v; }).events() ==
          "breakup");
    CHECK(Sketch().spoil("lambda", 6.0, 6.2, fixed(kNone)).events() == "dropout");
    CHECK(Sketch().spoil("lambda", 6.0, 6.02, fixed(kNone)).events().empty()); // two rows are nothing
    CHECK(Sketch().spoil("absorber_load", 9.0, 11.0, fixed(100.0)).events() == "absorber_full");
    CHECK(Sketch().spoil("lambda", 4.0, 11.0, fixed(0.9)).events() == "frozen");
    CHECK(Sketch().spoil("oil_pressure", 0.0, 12.0, fixed(400.0)).events() == "frozen"); // from the very start
    CHECK(Sketch()
              .spoil("lambda", 1.0, 11.0, [](double v, size_t i) { return v + (i % 3 == 0 ? 0.15 : -0.1); })
              .events() == "noise");
    CHECK(Sketch().spoil("road_speed", 7.0, 11.0, times(0.92)).events() == "clutch_slip");
    Sketch gap;
    for (Column& c : gap.table.columns)
        c.values.erase(c.values.begin() + 600, c.values.begin() + 640);
    CHECK(gap.events() == "gap");
    Sketch cut;
    for (Column& c : cut.table.columns)
        c.values.resize(700);
    EventContext planned;
    planned.plannedEnd_rpm = 7500.0;
    CHECK(cut.events(planned) == "cut_off");
    CHECK(cut.events().empty()); // nobody said how far it should have gone
}

TEST_CASE("an event carries its place, its size and its reason") {
    const Sketch sketch = Sketch().spoil("torque", 7.0, 11.0, [](double v, size_t) { return 0.85 * v; });
    const auto events = findEvents(sketch.table, sketch.curve(), {});
    REQUIRE(events.size() == 1);
    CHECK(events[0].from_s == Approx(7.0).margin(0.25)); // the lines leave out a quarter of a second on each side
    CHECK(events[0].range_rpm.low == Approx(2500.0 + 500.0 * 6.0).margin(125.0)); // six seconds into the sweep
    CHECK(events[0].to_s == Approx(11.0).margin(0.2)); // it stays down to the end of the sweep
    CHECK(events[0].size == Approx(0.15).margin(0.01));
    CHECK(inEnglish(events[0].why).find("falls by 15 %") != std::string::npos);
}

TEST_CASE("boost is held against the other pulls of the build, whatever the weather") {
    const Sketch good;
    const Curve curve = good.curve();
    EventContext context;
    context.boosted = true;
    context.ambient_kpa = 98.0;
    context.references = {{&curve, 98.0}};
    const auto lower = [](double by) {
        return Sketch().spoil("manifold_pressure", 4.0, 11.0, [by](double v, size_t) { return v - by; });
    };
    CHECK(lower(0.0).events(context).empty());
    CHECK(lower(2.0).events(context).empty()); // within what boost does by itself
    CHECK(lower(8.0).events(context) == "boost_low");
    context.ambient_kpa = 90.0; // up the hill: 8 kPa less outside, the same boost
    CHECK(lower(8.0).events(context).empty());
    context.boosted = false;
    CHECK(lower(30.0).events(context).empty());
}

TEST_CASE("what the other pulls do too is no event of this one") {
    const auto noisy = [] {
        return Sketch().spoil("lambda", 1.0, 11.0, [](double v, size_t i) { return v + (i % 3 == 0 ? 0.15 : -0.1); });
    };
    const Sketch other = noisy();
    const Curve curve = other.curve();
    EventContext context;
    context.references = {{&curve, 98.0}};
    CHECK(noisy().events(context).empty());
}

TEST_CASE("the running median is the median of every window") {
    rc::check("against sorting each window", [](const std::vector<double>& raw, unsigned width) {
        std::vector<double> values;
        for (const double v : raw)
            values.push_back(std::isfinite(v) ? v : 0.0);
        const size_t w = 2 + width % 9;
        const auto got = runningMedian(values, w);
        const size_t reach = std::max<size_t>(1, w / 2);
        for (size_t i = 0; i < values.size(); ++i) {
            const size_t from = i > reach ? i - reach : 0;
            std::vector<double> window(values.begin() + static_cast<long>(from),
                                       values.begin() + static_cast<long>(std::min(values.size(), i + reach + 1)));
            std::sort(window.begin(), window.end());
            RC_ASSERT(got[i] == window[window.size() / 2]);
        }
    });
    CHECK(runningMedian(std::vector{1.0, kNone, 3.0, 100.0, 5.0}, 2)[1] == 3.0);
}

TEST_CASE("sample noise sees the scatter and not the slope") {
    boost::random::mt19937_64 generator(8);
    boost::random::normal_distribution<double> normal;
    std::vector<double> values;
    for (int i = 0; i < 4000; ++i)
        values.push_back(0.05 * i + 10.0 * std::sin(i / 300.0) + 2.5 * normal(generator));
    CHECK(sampleNoise(values) == Approx(2.5).epsilon(0.05));
    CHECK(robustSd(std::span(values).first(20)) > 0.0);
    CHECK(sampleNoise(std::vector<double>(10, 1.0)) == 0.0); // too few to say
}

TEST_CASE("runs and lines") {
    const std::vector<double> values{1, 2, 2, 2, 3, kNone, 3, 3};
    CHECK(longestStill(values).first == 1);
    CHECK(longestStill(values).rows == 3);
    CHECK(longestRun(values, [](double v) { return v > 1.5; }).rows == 4);
    const std::vector<double> x{0, 1, 2, 3};
    const std::vector<double> y{1, 3, 5, 7};
    CHECK(fitLine(x, y, 0, 3).at(10.0) == Approx(21.0));
    const LineFitter lines(x, y);
    CHECK(lines.fit(1, 3).at(10.0) == Approx(21.0));
    CHECK(median({5, 1, 3}) == 3.0);
    CHECK(std::isnan(median({})));
}

TEST_CASE("lines from running sums are the lines through the rows") {
    rc::prop("- against fitting each stretch", [] {
        const auto size = *rc::gen::inRange<size_t>(4, 80);
        std::vector<double> x;
        std::vector<double> y;
        for (size_t i = 0; i < size; ++i) {
            x.push_back(100.0 + 0.01 * static_cast<double>(i));
            const int value = *rc::gen::inRange(-1000, 1000);
            y.push_back(value > 900 ? kNone : 0.1 * value); // some rows were not received
        }
        const size_t from = *rc::gen::inRange<size_t>(0, size - 2);
        const size_t to = *rc::gen::inRange<size_t>(from + 1, size);
        const Line one = LineFitter(x, y).fit(from, to);
        const Line other = fitLine(x, y, from, to);
        RC_ASSERT(one.rows == other.rows);
        for (const double at : {100.0, 100.5})
            RC_ASSERT(std::abs(one.at(at) - other.at(at)) < 1e-5 * (1.0 + std::abs(other.at(at))));
    });
}

TEST_CASE("a channel scatters too much against the other pulls, or against what any engine has") {
    // The limit of the oil temperature's scatter is 1.5 C; against other pulls four times is too much, twice when it is
    // above the limit as well.
    const struct {
        double others; ///< 0: there are none
        double own;
        bool told;
    } rows[] = {{0.0, 1.2, false}, {0.0, 1.8, true}, {1.0, 1.4, false}, {1.0, 1.8, false},
                {1.0, 2.3, true},  {0.1, 0.6, true}, {0.1, 0.4, false}, {0.3, 1.0, false}};
    for (const auto& row : rows) {
        INFO(row.own << " C beside " << row.others << " C");
        const Curve other = test::Sketch().with("oil_temperature", 90.0, row.others).curve();
        EventContext context;
        if (row.others > 0.0)
            context.references = {{&other, 98.0}};
        CHECK(test::Sketch().with("oil_temperature", 90.0, row.own).events(context) == (row.told ? "noise" : ""));
    }
}
