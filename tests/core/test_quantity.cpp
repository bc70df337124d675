// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any curve through the day's model: boost, back pressure, what a litre gives, every channel.

#include "core/answer/use.h"
#include "core/compare/quantity.h"
#include "core/plan/named_use.h"
#include "english.h"
#include "formats/day_store.h"
#include "support.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

const TestDay& boostDay() {
    static const TestDay day = readDay(test::boostDay().string());
    return day;
}

DayAnalysis analysed(const TestDay& day, const std::string& quantity) {
    AnalysisSettings settings = settingsFor(day, {});
    settings.quantity = quantity;
    DrawCache cache;
    return analyse(day, settings, cache);
}

double at(const DayAnalysis& analysis, const std::vector<double>& values, double rpm) {
    const auto place = std::find(analysis.rpm.begin(), analysis.rpm.end(), rpm);
    REQUIRE(place != analysis.rpm.end());
    return values[static_cast<size_t>(place - analysis.rpm.begin())];
}

/// Adds to a channel of every pull of one build above a speed.
void shift(TestDay& day, const std::string& build, const std::string& channel, double above_rpm, double by) {
    for (Pull& pull : day.pulls) {
        if (pull.build != build)
            continue;
        ChannelTable rows = *pull.raw;
        const auto speed = std::find_if(rows.columns.begin(), rows.columns.end(),
                                        [](const Column& c) { return c.name == "engine_speed"; });
        const auto column =
            std::find_if(rows.columns.begin(), rows.columns.end(), [&](const Column& c) { return c.name == channel; });
        for (size_t i = 0; i < column->values.size(); ++i)
            if (speed->values[i] > above_rpm)
                column->values[i] += by;
        setOwnRows(pull, std::make_shared<const ChannelTable>(std::move(rows)));
    }
}

} // namespace

TEST_CASE("power and torque by this way are power and torque by the other") {
    for (const char* const quantity : {"power", "torque"}) {
        const DayAnalysis analysis = analysed(boostDay(), quantity);
        REQUIRE(analysis.quantity);
        const bool power = analysis.quantity->kind.id == "power";
        const double unit = power ? 1000.0 : 1.0;
        REQUIRE(analysis.quantity->family == analysis.comparisons.size());
        for (size_t i = 0; i < analysis.comparisons.size(); ++i) {
            const Comparison& c = analysis.comparisons[i];
            const QuantityPair& pair = analysis.quantity->pairs[i];
            CHECK(pair.from == c.from);
            CHECK(pair.to == c.to);
            CHECK(pair.mayClaim == c.mayClaim());
            for (size_t p = 0; p < c.rpm.size(); ++p) {
                const double turn = power ? 1.0 : angularSpeed(c.rpm[p]);
                CHECK(pair.delta[p] * unit * turn == Approx(c.delta_w[p]).margin(1e-6));
                CHECK(pair.family95.low[p] * unit * turn == Approx(c.family95_w.low[p]).margin(1e-6));
                CHECK(pair.simultaneous95.high[p] * unit * turn == Approx(c.simultaneous95_w.high[p]).margin(1e-6));
            }
            REQUIRE(pair.regions.size() == c.regions.size());
            for (size_t r = 0; r < c.regions.size(); ++r) {
                CHECK(pair.regions[r].kind == c.regions[r].kind);
                CHECK(pair.regions[r].range_rpm == c.regions[r].range_rpm);
            }
            if (!power)
                continue;
            CHECK(pair.bands.front().delta * unit == Approx(c.bands.front().delta_w));
            CHECK(pair.bands.front().low * unit == Approx(c.bands.front().low_w));
            CHECK(pair.bands.front().p == Approx(c.bands.front().p));
        }
    }
}

TEST_CASE("boost stands above outside air, and steps as the wastegate was set") {
    const DayAnalysis analysis = analysed(boostDay(), "boost"); // 60, 75 and 90 kPa
    REQUIRE(analysis.quantity);
    const QuantityAnswer& boost = *analysis.quantity;
    CHECK(boost.kind.unit == "kPa");
    REQUIRE(boost.builds.size() == 3);
    CHECK(at(analysis, boost.builds[0].second, 4500.0) == Approx(60.0).margin(1.0));
    CHECK(at(analysis, boost.find("A", "B")->delta, 4500.0) == Approx(15.0).margin(0.5));
    const QuantityPair& there = *boost.find("A", "C");
    const QuantityPair& back = *boost.find("C", "A");
    for (size_t p = 0; p < boost.rpm.size(); ++p) {
        CHECK(back.delta[p] == -there.delta[p]);
        CHECK(back.family95.low[p] == -there.family95.high[p]);
    }
    CHECK(there.regions.back().kind == RegionKind::Gain);
    CHECK(back.regions.back().kind == RegionKind::Loss);
    CHECK(back.bands.front().high == -there.bands.front().low);
    REQUIRE(there.notes.size() == 1);
    CHECK(there.notes[0].id == "boost.power_per_step"); // both rise: no side limits
    CHECK(test::inEnglish(quantitySummary(boost.kind, there)).find("Boost: ") == 0);
    CHECK(test::inEnglish(quantitySummary(boost.kind, back)).find(" less on average over ") != std::string::npos);
}

TEST_CASE("boost that falls while back pressure rises says which side limits") {
    TestDay day = boostDay();
    shift(day, "B", "manifold_pressure", 5000.0, -30.0);
    const DayAnalysis falling = analysed(day, "boost");
    const std::vector<Statement> notes = falling.quantity->find("A", "B")->notes;
    REQUIRE_FALSE(notes.empty());
    const Statement note = notes.back();
    // 30 less than it was there
    const DayAnalysis before = analysed(boostDay(), "boost");
    double sum = 0.0;
    for (double rpm = 5050.0; rpm <= 6400.0; rpm += 50.0)
        sum += at(before, before.quantity->find("A", "B")->delta, rpm);
    const long fall = std::lround(30.0 - sum / 28.0);
    CHECK(test::inEnglish(note) ==
          "Boost falls by " + std::to_string(fall) +
              " kPa over 5 050\u20136 400 rpm while back pressure rises: the turbine side limits.");
    CHECK(analysed(day, "back_pressure").quantity->find("A", "B")->notes == std::vector<Statement>{note});
    for (const Statement& one : falling.quantity->find("B", "A")->notes)
        CHECK(one.id != note.id);
    shift(day, "B", "exhaust_back_pressure", 5000.0, -60.0); // both fall
    const DayAnalysis bothFall = analysed(day, "boost");
    for (const Statement& one : bothFall.quantity->find("A", "B")->notes)
        CHECK(one.id != note.id);
}

TEST_CASE("what is offered is what two builds have; what is not there is said") {
    const DayAnalysis analysis = analysed(boostDay(), "nonsense");
    CHECK_FALSE(analysis.quantity);
    CHECK(analysis.whyNoQuantity.id == "why.no_quantity");
    const auto kinds = quantitiesOf(boostDay(), analysis);
    const auto has = [&](const char* id) {
        return std::any_of(kinds.begin(), kinds.end(), [&](const QuantityKind& kind) { return kind.id == id; });
    };
    CHECK(kinds.front().id == "power");
    for (const char* const id : {"boost", "back_over_boost", "lambda", "ignition_advance", "specific_power"})
        CHECK(has(id));
    for (const char* const id : {"time", "engine_speed"})
        CHECK_FALSE(has(id));
    CHECK(std::count_if(kinds.begin(), kinds.end(), [](const QuantityKind& kind) { return kind.id == "torque"; }) == 1);
    CHECK(test::inEnglish(analysis.whyNoQuantity).find("boost, back_pressure") != std::string::npos);
    TestDay natural = boostDay();
    natural.article.engine.aspiration = Aspiration::Natural;
    CHECK_FALSE(analysed(natural, "boost").quantity);
    CHECK(analysed(natural, "manifold_pressure").quantity);
    TestDay one = boostDay();
    for (Pull& pull : one.pulls) // recorded with one build only
        if (pull.build != "A") {
            ChannelTable rows = *pull.raw;
            std::erase_if(rows.columns, [](const Column& c) { return c.name == "lambda"; });
            setOwnRows(pull, std::make_shared<const ChannelTable>(std::move(rows)));
        }
    CHECK_FALSE(analysed(one, "lambda").quantity);
    CHECK(analysed(one, "boost").quantity);
}

TEST_CASE("sizes of the engine scale power and nothing else") {
    TestDay day = boostDay();
    day.article.engine.displacement_cc = 500.0;
    day.article.engine.cylinders = 2;
    day.article.vehicle.mass_kg = 400.0;
    const DayAnalysis power = analysed(day, "power");
    const auto ratioTo = [&](const char* id) {
        const DayAnalysis other = analysed(day, id);
        REQUIRE(other.quantity);
        const double ratio = at(other, other.quantity->find("A", "B")->delta, 5000.0) /
                             at(power, power.quantity->find("A", "B")->delta, 5000.0);
        return ratio;
    };
    CHECK(ratioTo("specific_power") == Approx(1.0 / 0.5));
    CHECK(ratioTo("power_per_cylinder") == Approx(0.5));
    CHECK(ratioTo("power_per_kilogram") == Approx(1.0 / 400.0));
    // 2 pi T turns / V: of 1 kW at 5 000 rpm 1.90986 N.m, of 0.5 l and four strokes 48 kPa
    CHECK(ratioTo("mean_effective_pressure") == Approx(48.0).epsilon(1e-4));
}

TEST_CASE("power with each step of boost is the one difference over the other, with the interval of both") {
    const DayAnalysis analysis = analysed(boostDay(), "boost");
    for (const auto& [from, to] : {std::pair{"A", "B"}, {"A", "C"}, {"C", "A"}}) {
        const QuantityPair& pair = *analysis.quantity->find(from, to);
        REQUIRE(pair.notes.size() == 1);
        REQUIRE(pair.notes[0].id == "boost.power_per_step");
        const double low = std::get<Number>(pair.notes[0].args[1]).value;
        const double high = std::get<Number>(pair.notes[0].args[2]).value;
        // boost is known far better than power here, so that power's own interval over it is nearly all
        const BandResult& power = analysis.find(from, to)->bands[0];
        const double steps = pair.bands[0].delta / 10.0;
        const double one = 100.0 * std::expm1(std::log1p(power.low_w / power.base_w) / steps);
        const double other = 100.0 * std::expm1(std::log1p(power.high_w / power.base_w) / steps);
        CHECK(low == Approx(std::min(one, other)).epsilon(0.02));
        CHECK(high == Approx(std::max(one, other)).epsilon(0.02));
    }
    TestDay level = boostDay(); // as much boost in both: nothing goes with it
    shift(level, "B", "manifold_pressure", 0.0, -analysis.quantity->find("A", "B")->bands[0].delta);
    const DayAnalysis same = analysed(level, "boost");
    for (const Statement& one : same.quantity->find("A", "B")->notes)
        CHECK(one.id != "boost.power_per_step");
}

TEST_CASE("the mean of another curve over a weighted use is weighted") {
    TestDay day = boostDay();
    day.plan.use = SpeedWeights{{3000.0, 0.0}, {5000.0, 1.0}, {6000.0, 0.0}};
    const DayAnalysis analysis = analysed(day, "boost");
    const QuantityPair& pair = *analysis.quantity->find("A", "C");
    const auto band = std::find_if(pair.bands.begin(), pair.bands.end(), [](const auto& b) { return b.weighted; });
    REQUIRE(band != pair.bands.end());
    double sum = 0.0;
    double weights = 0.0;
    for (size_t p = 0; p < analysis.rpm.size(); ++p)
        if (const double weight = weightAt(*usedSpeeds(day), analysis.rpm[p]); weight > 0.0) {
            sum += weight * pair.delta[p];
            weights += weight;
        }
    CHECK(band->delta == Approx(sum / weights).epsilon(1e-9));
}
