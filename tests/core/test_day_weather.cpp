// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_weather.h"
#include "core/pull/curve_rows.h"
#include "core/pull/derived.h"
#include "core/units/units.h"
#include "day_support.h"
#include "english.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

DayAnalysis analysed(const TestDay& day) {
    DrawCache cache;
    return analyse(day, {}, cache);
}

} // namespace

TEST_CASE("where the weather moves, the factor makes the pulls of a build agree") {
    sim::CellSpec spec = test::cellSpec("A3 B3 A3", 0.0);
    spec.noise = {0.1, 0.0, 250.0, 0.1};
    spec.weather = {{0.0, 14.0, 99.5, 60.0}, {2.0, 29.0, 96.0, 60.0}};
    TestDay day = sim::simulateDay(spec, 9);
    const DayWeather weather = weatherThroughDay(day, analysed(day));
    REQUIRE(weather.points.size() == 9);
    for (size_t i = 1; i < 9; ++i)
        CHECK(weather.points[i].time_h >= weather.points[i - 1].time_h);
    CHECK(weather.correctedScatter_pct < 0.4);
    CHECK(weather.observedScatter_pct > 1.0);
    // Scatter as it is defined: rms around the builds' means over the degrees of freedom, 9 - 2.
    double squares = 0.0;
    for (const WeatherPoint& point : weather.points)
        squares += point.corrected_pct * point.corrected_pct;
    CHECK(weather.correctedScatter_pct == Approx(std::sqrt(squares / 7.0)));
    // A pull that gave no curve stands among them with its air and no factor.
    TestDay broken = day;
    auto still = std::make_shared<ChannelTable>(*broken.pulls[4].raw);
    for (Column& column : still->columns)
        if (column.name == "engine_speed")
            std::fill(column.values.begin(), column.values.end(), 3000.0);
    setOwnRows(broken.pulls[4], still);
    const DayWeather without = weatherThroughDay(broken, analysed(broken));
    REQUIRE(without.points.size() == 9);
    CHECK(without.points[4].factor == 1.0);
    CHECK(std::isnan(without.points[4].corrected_pct));
    day.pulls[2].weather.reset();
    CHECK(weatherThroughDay(day, analysed(day)).withoutWeather == 1);
    day.pulls[3].weather->humidity = {HumidityKind::DewPoint_c, 60.0}; // cannot be
    CHECK(weatherThroughDay(day, analysed(day)).withoutWeather == 2);
    CHECK(weatherThroughDay({}, {}).points.empty());
}

TEST_CASE("rows behind a curve carry its factor and lie where it lies") {
    sim::CellSpec spec = test::cellSpec("A1", 0.0);
    spec.noise = {0.0, 0.0, 250.0, 0.0};
    const TestDay day = sim::simulateDay(spec, 9);
    const Curve curve = reduce(day.pulls[0], dynoOf(day), {});
    const CurveRows rows = correctedRows(curve);
    REQUIRE(rows.rpm.size() > 200);
    for (size_t i = 30; i + 30 < rows.rpm.size(); i += 20)
        CHECK(rows.power_w[i] == Approx(valueAt(curve, curve.power_w, rows.rpm[i])).epsilon(0.003));
    CHECK(rows.rpm.front() == Approx(curve.sweep().whole_rpm.low).margin(20.0));
    for (const double rpm : {3000.0, 4512.0, 6000.0})
        CHECK(speedAtTime(curve, timeAtSpeed(curve, rpm)) == Approx(rpm).margin(15.0));
    CHECK(std::isnan(timeAtSpeed(curve, 20000.0)));
    // A row counts within one per cent of the speed, and within 30 rpm at least.
    const double top = *std::max_element(rows.rpm.begin(), rows.rpm.end());
    CHECK(std::isfinite(timeAtSpeed(curve, 1.0095 * top)));
    CHECK(std::isnan(timeAtSpeed(curve, 1.0105 * top)));
    const double low = *std::min_element(rows.rpm.begin(), rows.rpm.end());
    CHECK(std::isfinite(timeAtSpeed(curve, low - 29.0)));
    CHECK(std::isnan(timeAtSpeed(curve, low - 31.0)));
    CHECK(std::isnan(speedAtTime(curve, -1.0)));
    CHECK(std::isnan(valueAt(curve, curve.power_w, 100.0)));
    CHECK(valueAt(curve, curve.power_w, curve.rpm[3]) == curve.power_w[3]);
    CHECK(valueAt(curve, curve.power_w, 0.5 * (curve.rpm[3] + curve.rpm[4])) ==
          Approx(0.5 * (curve.power_w[3] + curve.power_w[4])));
}

TEST_CASE("rows behind a curve carry the losses that were added to it") {
    sim::CellSpec spec = test::cellSpec("A1", 0.0);
    spec.noise = {0.0, 0.0, 250.0, 0.0};
    TestDay day = sim::simulateDay(spec, 9);
    day.cell.kind = CellKind::ChassisBrake;
    day.cell.measuredAt = MeasuredAt::Wheel;
    day.loss.method = LossMethod::Percent;
    day.loss.percent = 15.0;
    const Curve curve = reduce(day.pulls[0], dynoOf(day), {});
    REQUIRE(curve.loss_w.size() == curve.rpm.size());
    const CurveRows rows = correctedRows(curve);
    for (size_t i = 30; i + 30 < rows.rpm.size(); i += 7)
        CHECK(rows.power_w[i] == Approx(valueAt(curve, curve.power_w, rows.rpm[i])).epsilon(0.004));
}

TEST_CASE("derived figures are the textbook's") {
    // Four-stroke, 2 litres, 200 N.m: 4 pi T / V = 1256.6 kPa; two-stroke half of it.
    CHECK(meanEffectivePressure_pa(200.0, 2000.0, 4) / 1000.0 == Approx(1256.637).margin(0.001));
    CHECK(meanEffectivePressure_pa(200.0, 2000.0, 2) / 1000.0 == Approx(628.319).margin(0.001));
    CHECK(meanPistonSpeed_m_s(6000.0, 86.0) == Approx(17.2));
    CHECK(lambdaFromRatio(14.7, FuelKind::Petrol) == Approx(1.0));
    CHECK(ratioFromLambda(0.85, FuelKind::Diesel) == Approx(0.85 * 14.5));
    CHECK(lambdaFromRatio(ratioFromLambda(0.91, FuelKind::Alcohol), FuelKind::Alcohol) == Approx(0.91));

    Article article;
    article.engine.displacement_cc = 999;
    article.engine.stroke_mm = 130;
    article.engine.aspiration = Aspiration::Turbocharged;
    Pull pull;
    pull.weather = Atmosphere{20.0, 98000.0, {HumidityKind::RelativeHumidity_pct, 50.0}};
    Curve curve;
    curve.rpm = {6000.0};
    curve.power_w = {80000.0};
    curve.torque_nm = {80000.0 / angularSpeed(6000.0)};
    curve.air.factor = 1.25;
    Observed seen;
    seen.channels = {{"manifold_pressure", {158.0}},
                     {"exhaust_back_pressure", {188.0}},
                     {"airbox_pressure", {96.5}},
                     {"air_fuel_ratio", {12.5}},
                     {"fuel_flow", {16.0}}};
    curve.seen = std::make_shared<const Observed>(seen);
    std::map<std::string, DerivedChannel> found;
    for (const DerivedChannel& channel : derivedChannels(article, pull, curve))
        found[channel.name] = channel;
    CHECK(found.at("specific_output").values[0] == Approx(80.0 / 0.999));
    CHECK(found.at("power_per_pressure").values[0] == Approx(80.0 / 1.58));
    CHECK(found.at("back_pressure_over_boost").values[0] == Approx(90.0 / 60.0));
    CHECK(found.at("intake_pressure_drop").values[0] == Approx(1.5));
    CHECK(found.at("lambda").values[0] == Approx(12.5 / 14.7));
    CHECK(found.at("specific_fuel_consumption").values[0] == Approx(16000.0 / 64.0)); // on the power that was there
    CHECK(found.at("mean_piston_speed").values[0] == Approx(26.0));
    CHECK(inEnglish(found.at("mean_piston_speed").note).find("beyond") != std::string::npos);
    CHECK_FALSE(found.contains("air_fuel_ratio"));
}
