// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/local_regression.h"
#include "core/pull/reduce.h"
#include "core/units/units.h"
#include "day_support.h"
#include "fit_support.h"

#include <catch2/catch.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

#include "core/fit/contrast.h"

using namespace hillrun;

namespace {
double between(double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 100001) / 100000.0; }
} // namespace

TEST_CASE("units come back from a round trip") {
    rc::prop("any unit, any value", [] {
        const auto name = *rc::gen::element<std::string>("psi", "inHg", "hp", "PS", "lb-ft", "degF", "K", "mph", "g/s",
                                                         "bar", "mmHg");
        const double value = between(-500.0, 500.0);
        const Unit unit = *parseUnit(name);
        RC_ASSERT(std::abs(unit.fromCanonical(unit.toCanonical(value)) - value) < 1e-9);
    });
    rc::prop("display units", [] {
        const double value = between(-1e6, 1e6);
        const auto unit = *rc::gen::element(PowerUnit::Kilowatt, PowerUnit::Horsepower, PowerUnit::MetricHorsepower);
        RC_ASSERT(std::abs(powerFrom(unit, powerIn(unit, value)) - value) < 1e-6);
        RC_ASSERT(std::abs(torqueFrom(TorqueUnit::PoundFoot, torqueIn(TorqueUnit::PoundFoot, value)) - value) < 1e-6);
    });
}

TEST_CASE("air that gives the same vapour pressure gives the same factor") {
    rc::prop("relative humidity, dew point and vapour pressure agree", [] {
        const double t = between(0.0, 40.0);
        const double p = between(70000.0, 105000.0);
        const double rh = between(5.0, 100.0);
        const HumidAir air = humidAir({t, p, {HumidityKind::RelativeHumidity_pct, rh}});
        const HumidAir same = humidAir({t, p, {HumidityKind::VapourPressure_kpa, air.vapourPressure_pa / 1000.0}});
        for (const StandardInfo& standard : standards())
            RC_ASSERT(std::abs(airFactor(standard.id, air, {}).factor - airFactor(standard.id, same, {}).factor) <
                      1e-12);
    });
    rc::prop("thinner or warmer air is corrected upwards", [] {
        const double t = between(5.0, 35.0);
        const double p = between(80000.0, 103000.0);
        const Humidity dry{HumidityKind::RelativeHumidity_pct, 0.0};
        for (const StandardInfo& standard : standards()) {
            if (standard.id == Standard::Uncorrected)
                continue;
            const double here = airFactor(standard.id, humidAir({t, p, dry}), {}).factor;
            RC_ASSERT(airFactor(standard.id, humidAir({t + 1.0, p, dry}), {}).factor > here);
            RC_ASSERT(airFactor(standard.id, humidAir({t, p - 100.0, dry}), {}).factor > here);
        }
    });
}

TEST_CASE("putting on a grid keeps a straight line straight") {
    rc::prop("whatever the spacing, noise in speed and width", [] {
        std::vector<double> x, y;
        const double slope = between(-0.05, 0.05);
        double speed = 2000.0;
        while (speed < 4000.0) {
            speed += between(1.0, 12.0);
            x.push_back(speed + between(-2.0, 2.0));
            y.push_back(100.0 + slope * x.back());
        }
        std::vector<double> at;
        for (double rpm = 2050.0; rpm < 3950.0; rpm += 50.0)
            at.push_back(rpm);
        const auto out = LocalRegression(x, at, between(20.0, 300.0)).apply(y);
        for (size_t i = 0; i < at.size(); ++i)
            RC_ASSERT(std::abs(out[i] - (100.0 + slope * at[i])) < 1e-6);
    });
}

TEST_CASE("the order of columns changes nothing") {
    const TestDay day = test::smallDay("A1");
    const Curve before = reduce(day.pulls[0], {day.cell}, {});
    rc::prop("any order", [&] {
        ChannelTable table = *day.pulls[0].raw;
        for (size_t i = table.columns.size() - 1; i > 0; --i)
            std::swap(table.columns[i], table.columns[*rc::gen::inRange<size_t>(0, i + 1)]);
        Pull pull = day.pulls[0];
        pull.raw = std::make_shared<const ChannelTable>(table);
        const Curve after = reduce(pull, {day.cell}, {});
        RC_ASSERT(after.torque_nm == before.torque_nm);
        RC_ASSERT(after.channels() == before.channels());
    });
}

TEST_CASE("differences in per cent do not depend on scale, clock or the builds' order") {
    const FitInput input = test::sketchDay({"AAABBBAAA", 1.5, -1.0});
    const auto before = evaluate(fitDay(input), test::minus(2, 0, 1), {});
    rc::prop("scaled powers, a clock that starts elsewhere, builds renamed", [&] {
        FitInput other = input;
        other.logPower.array() += std::log(between(0.5, 2.0));
        const double start = between(-5.0, 5.0);
        for (FitPull& pull : other.pulls) {
            pull.time_h += start;
            pull.build = 1 - pull.build;
        }
        const auto after = evaluate(fitDay(other), test::minus(2, 1, 0), {});
        RC_ASSERT((after->delta - before->delta).cwiseAbs().maxCoeff() < 1e-9);
        RC_ASSERT((after->standardError - before->standardError).cwiseAbs().maxCoeff() < 1e-9);
    });
}
