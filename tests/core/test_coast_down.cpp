// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/coast_down.h"
#include "core/pull/reduce.h"
#include "core/units/units.h"
#include "english.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

constexpr double kInertia = 30.0;
constexpr double kRatio = 4.0;

/// A pull on rollers drawn by hand: up with a constant surplus, then down with a loss of 20 + 0.1 w + 0.001 w^2 N.m.
struct Rollers {
    ChannelTable table;
    Dyno dyno;
    explicit Rollers(double coast_s = 40.0, bool clutchOpen = true) {
        for (const char* name : {"time", "engine_speed", "roller_speed", "throttle"})
            table.columns.push_back({name, "1", {}});
        dyno.cell.kind = CellKind::ChassisInertia;
        dyno.cell.measuredAt = MeasuredAt::Wheel;
        dyno.cell.rollerInertia_kgm2 = kInertia;
        double w = 60.0;
        double t = 0.0;
        auto row = [&](double rpm, double throttle) {
            const double values[] = {t, rpm, w, throttle};
            for (size_t c = 0; c < 4; ++c)
                table.columns[c].values.push_back(values[c]);
            t += 0.01;
        };
        for (; w < 170.0; w += 0.1)
            row(w * kRatio * 60.0 / (2.0 * M_PI), 100.0);
        for (int i = 0; i < static_cast<int>(100.0 * coast_s); ++i) {
            w -= loss_nm(w) / kInertia * 0.01;
            row(clutchOpen ? 1200.0 : w * kRatio * 60.0 / (2.0 * M_PI), 0.0);
        }
    }
    static double loss_nm(double w) { return 20.0 + 0.1 * w + 0.001 * w * w; }
    [[nodiscard]] CoastDown coast() const {
        Pull pull;
        pull.raw = std::make_shared<const ChannelTable>(table);
        const PullSignals signals = pullSignals(pull, dyno);
        return findCoastDown(table, signals,
                             findSweep({signals.time_s, signals.speed_rpm, signals.torque_nm, signals.throttle_pct},
                                       dyno.cell.sweep, std::nullopt),
                             dyno);
    }
};

} // namespace

TEST_CASE("a coast-down gives the torque that was put in, along its speeds") {
    const CoastDown coast = Rollers().coast();
    REQUIRE(coast.usable());
    for (size_t i = 50; i + 50 < coast.torque_nm.size(); i += 100)
        CHECK(coast.torque_nm[i] == Approx(Rollers::loss_nm(coast.driven_rad_s[i])).epsilon(0.005));
    const std::vector<CoastDown> both{coast, coast};
    const auto loss = fitLoss(both);
    REQUIRE(loss);
    CHECK(loss->pulls == 2);
    CHECK(loss->constant_nm == Approx(20.0).epsilon(0.05));
    CHECK(loss->quadratic_nm_s2 == Approx(0.001).epsilon(0.05));
    CHECK(loss->power_w(150.0) == Approx(150.0 * Rollers::loss_nm(150.0)).epsilon(0.003));
    CHECK(loss->rms_nm < 0.2);
    CHECK(loss->fastest_rad_s < 171.0);
    CHECK(loss->slowest_rad_s > 50.0);
}

TEST_CASE("wheels and driveline that turn with the rollers belong to what runs down") {
    Rollers heavy;
    heavy.dyno.vehicle.drivelineInertia_kgm2 = 2.0;
    heavy.dyno.vehicle.tyreRadius_m = 0.3;
    heavy.dyno.cell.rollerRadius_m = 0.15; // the wheel turns half as fast: a quarter of its inertia is felt
    CHECK(heavy.coast().torque_nm[500] == Approx(Rollers().coast().torque_nm[500] * (kInertia + 0.5) / kInertia));
}

TEST_CASE("a coast-down that is none says why") {
    CHECK(inEnglish(Rollers(0.5).coast().whyNot).find("no coast-down was recorded") != std::string::npos);
    CHECK(inEnglish(Rollers(20.0, false).coast().whyNot).find("stayed coupled") != std::string::npos);
    Rollers unknown;
    unknown.dyno.cell.kind = CellKind::ChassisBrake;
    unknown.dyno.cell.rollerInertia_kgm2.reset();
    unknown.table.columns.push_back({"torque", "N.m", std::vector<double>(unknown.table.rows(), 80.0)});
    CHECK(inEnglish(unknown.coast().whyNot).find("inertia of the rollers is not known") != std::string::npos);
    CHECK_FALSE(fitLoss({}));
    const std::vector<CoastDown> none{Rollers(0.5).coast()};
    CHECK_FALSE(fitLoss(none));
}
