// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Events of the engine's control, of the driveline and of the curve's shape, drawn by hand: each with and without other
// pulls to hold it against.

#include "core/channels/channels.h"
#include "core/units/units.h"
#include "english.h"
#include "event_sketch.h"

#include <catch2/catch.hpp>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
using test::placesOf;
using test::Sketch;

namespace {

/// Holds a sketch against a good one.
struct Against {
    Sketch good;
    Curve curve = good.curve();
    EventContext context;
    explicit Against(const Sketch& sketch) : good(sketch) { context.references = {{&curve, 98.0}}; }
    [[nodiscard]] std::string places(const Sketch& sketch) const {
        return placesOf(findEvents(sketch.table, sketch.curve(), context));
    }
};

std::string alone(const Sketch& sketch, const EventContext& context = {}) {
    return placesOf(findEvents(sketch.table, sketch.curve(), context));
}

EventContext boosted() {
    EventContext out;
    out.boosted = true;
    out.ambient_kpa = 98.0;
    return out;
}

} // namespace

TEST_CASE("a mixture off the others, or off what full load ever is") {
    const Against against{Sketch()};
    // Of a bend of 0.08 over 2000 rpm the middle 1160 rpm lie beyond 0.03: 4420 to 5580.
    CHECK(against.places(Sketch().bend("lambda", 5000, 2000, 0.08)) == "mixture 4500-5600");
    CHECK(against.places(Sketch().bend("lambda", 5000, 2000, -0.08)) == "mixture 4500-5600");
    CHECK(against.places(Sketch().bend("lambda", 5000, 2000, 0.02)).empty());
    CHECK(alone(Sketch().bend("lambda", 5000, 2000, 0.08)).empty()); // 0.96 may be meant
    CHECK(alone(Sketch().bend("lambda", 5000, 2000, 0.26)).starts_with("mixture "));
    EventContext diesel;
    diesel.ignition = Ignition::Compression;
    CHECK(alone(Sketch().bend("lambda", 5000, 2000, 0.26), diesel).empty()); // a diesel runs lean
}

TEST_CASE("knock retard, and timing that is pulled") {
    const Sketch calm = Sketch().with("knock_retard", 0.0).with("ignition_advance", 28.0, 0.02);
    const Against against{calm};
    Sketch knocking = calm;
    knocking.bend("knock_retard", 5500, 800, 3.0);
    CHECK(against.places(knocking).starts_with("knock 53"));
    CHECK(alone(knocking).starts_with("knock 53"));
    Sketch pulled = calm;
    pulled.bend("ignition_advance", 4500, 700, -5.0);
    CHECK(against.places(pulled).starts_with("timing_pulled 43"));
    // Alone it is held against 400 rpm before and after; at 4300 rpm the one after lies in the hole itself.
    CHECK(alone(pulled) == "timing_pulled 4400-4700");
    const Against knocksToo{knocking};
    CHECK(knocksToo.places(knocking).empty()); // what the others do as well is no event of this pull
}

TEST_CASE("a bypass that opens and a hole in the boost") {
    Sketch open = Sketch().with("bypass_valve", 0.0);
    open.bend("bypass_valve", 4000, 500, 60.0).bend("manifold_pressure", 4000, 500, -9.0);
    const std::string found = alone(open, boosted());
    CHECK(found.find("bypass_open 3800-4200") != std::string::npos); // above 10 % from 3817 to 4183 rpm
    CHECK(found.find("boost_dip 39") != std::string::npos);
    CHECK(alone(Sketch().bend("manifold_pressure", 4000, 500, -9.0)).empty()); // no boost in a naturally aspirated one
    CHECK(alone(Sketch().bend("manifold_pressure", 4000, 500, -2.0), boosted()).empty());
}

TEST_CASE("a throttle that never opens wide, and one that lifts") {
    const auto times = [](double by) { return [by](double v, size_t) { return v * by; }; };
    Sketch halfOpen;
    halfOpen.spoil("throttle", 0.0, 12.0, times(0.85));
    const auto events = findEvents(halfOpen.table, halfOpen.curve(), {});
    REQUIRE(events.size() == 1);
    CHECK(events[0].kind == EventKind::ThrottleShort);
    CHECK(events[0].range_rpm.low == Approx(2500.0).margin(100.0)); // the whole sweep, as it was drawn
    CHECK(events[0].range_rpm.high == Approx(7500.0).margin(100.0));
    CHECK(events[0].size == Approx(15.0).margin(0.5));
    CHECK(alone(Sketch().spoil("throttle", 0.0, 12.0, times(0.95))).empty());
    const Against against{Sketch()};
    CHECK(against.places(Sketch().spoil("throttle", 0.0, 12.0, times(0.95))).starts_with("throttle_short "));
    Sketch lifted;
    lifted.spoil("throttle", 7.0, 12.0, times(0.1)).spoil("torque", 7.0, 12.0, times(0.1));
    EventContext planned;
    planned.plannedEnd_rpm = 7500.0;
    CHECK(alone(lifted, planned) == "lift 5500-5500"); // six seconds into the sweep, a small step back
    CHECK(alone(lifted).empty());                      // nobody said how far it should have gone
}

TEST_CASE("which part slips shows in where the ratio climbs") {
    const auto behind = [](double from_rpm, double over_rpm, double by) {
        Sketch out;
        const std::vector<double> speed = out.column("engine_speed");
        auto& road = out.column("road_speed");
        for (size_t i = 0; i < road.size(); ++i)
            road[i] *= 1.0 - by * std::clamp((speed[i] - from_rpm) / over_rpm, 0.0, 1.0);
        return out;
    };
    CHECK(alone(behind(4500, 2500, 0.12)).starts_with("tyre_slip "));
    CHECK(alone(behind(4500, 20, 0.12)).starts_with("clutch_slip 45"));
    Sketch converter;
    const std::vector<double> speed = converter.column("engine_speed");
    auto& road = converter.column("road_speed");
    for (size_t i = 0; i < road.size(); ++i)
        road[i] *= 1.0 - 0.2 * std::clamp((4300.0 - speed[i]) / 1800.0, 0.0, 1.0);
    CHECK(alone(converter).starts_with("converter_slip 25"));
    CHECK(alone(behind(4500, 2500, 0.01)).empty());
}

TEST_CASE("another gear than the others', or than the one noted") {
    const Against against{Sketch()};
    const auto shifted = [](double by) {
        return Sketch().spoil("road_speed", 0.0, 12.0, [by](double v, size_t) { return by * v; });
    };
    CHECK(against.places(shifted(0.8)).starts_with("wrong_gear"));
    CHECK(against.places(shifted(1.25)).starts_with("wrong_gear"));
    CHECK(against.places(shifted(1.01)).empty());
    // Alone: what gear and tyre say. At rpm/40 km/h and 0.3 m the engine turns 0.3 x 3.6 x 40 x 2 pi/60 times the
    // wheel.
    const double overall = angularSpeed(1.0) * 40.0 * 3.6 * 0.3;
    Dyno dyno;
    dyno.vehicle.tyreRadius_m = 0.3;
    Pull pull;
    pull.raw = std::make_shared<const ChannelTable>(Sketch().table);
    ReduceSettings settings;
    settings.standard = Standard::Uncorrected;
    const Curve curve = reduce(pull, dyno, settings);
    CHECK(*curve.source().ratio == Approx(overall).epsilon(0.001));
    EventContext context;
    context.gearRatios = {1.6 * overall, overall, 0.7 * overall};
    context.gear = 2;
    CHECK(findEvents(*pull.raw, curve, context).empty());
    context.gear = 3;
    const auto events = findEvents(*pull.raw, curve, context);
    REQUIRE(events.size() == 1);
    CHECK(inEnglish(events[0].why).find("like gear 2, not gear 3") != std::string::npos);
}

TEST_CASE("a figure that is off by the factor of a unit asks which") {
    const Against against{Sketch()};
    const auto scaled = [](double by) {
        return Sketch().spoil("torque", 0.0, 12.0, [by](double v, size_t) { return by * v; });
    };
    for (const double factor : {1.0 / 0.73549875, 0.73549875, 1.0 / 0.7457, 1.3558, 9.80665}) {
        INFO(factor);
        CHECK(against.places(scaled(factor)).find("wrong_unit") != std::string::npos);
    }
    // Gaps in the other pull's curve do not hide it.
    Against holed{Sketch()};
    for (size_t i = 20; i < 30; ++i)
        holed.curve.torque_nm[i] = std::nan("");
    CHECK(holed.places(scaled(1.3558)).find("wrong_unit") != std::string::npos);
    for (const double factor : {1.1, 0.9, 1.25, 0.8}) { // an engine may do that
        INFO(factor);
        CHECK(against.places(scaled(factor)).find("wrong_unit") == std::string::npos);
    }
}

TEST_CASE("whether the other pulls have a dip or hump too is told") {
    Sketch hump;
    hump.bend("torque", 5000, 600, 5.0);
    Sketch dip;
    dip.bend("torque", 5000, 600, -5.0);
    const auto why = [](const Against& others, const Sketch& sketch) {
        const auto events = findEvents(sketch.table, sketch.curve(), others.context);
        return events.empty() ? std::string() : inEnglish(events.front().why);
    };
    const Against level{Sketch()};
    CHECK(why(level, hump).find("in this pull only") != std::string::npos);
    CHECK(why(level, dip).find("in this pull only") != std::string::npos);
    CHECK(why(Against(hump), hump).find("in the other pulls too") != std::string::npos);
    CHECK(why(Against(dip), dip).find("in the other pulls too") != std::string::npos);
    CHECK(why(Against(dip), hump).find("in this pull only") != std::string::npos);
}

TEST_CASE("a dip or hump is told with the channels that moved there and why they may be its cause") {
    Sketch dip = Sketch().with("ignition_advance", 28.0, 0.02).with("bypass_valve", 0.0);
    dip.bend("torque", 5000, 600, -5.0);
    auto events = findEvents(dip.table, dip.curve(), {});
    REQUIRE(events.size() == 1);
    CHECK(events[0].kind == EventKind::Dip);
    CHECK(isRemark(events[0]));
    CHECK(events[0].size == Approx(-0.05).margin(0.025));
    CHECK(inEnglish(events[0].why).find("near 5 0") != std::string::npos);
    CHECK(inEnglish(events[0].why).find("No recorded channel moved with it") != std::string::npos);
    CHECK_FALSE(remedyFor(events[0], dip.curve()).setAside); // a remark asks for nothing
    dip.bend("lambda", 5000, 600, 0.05);
    events = findEvents(dip.table, dip.curve(), {});
    CHECK(inEnglish(events.back().why).find("lambda +0.0") != std::string::npos);
    CHECK(inEnglish(events.back().why).find("a mixture off its best makes less torque") != std::string::npos);
    const Against against{dip};
    events = findEvents(dip.table, dip.curve(), against.context);
    CHECK(inEnglish(events.back().why).find("in the other pulls too") != std::string::npos);
    Sketch hump;
    hump.bend("torque", 5000, 600, 5.0);
    CHECK(findEvents(hump.table, hump.curve(), {}).front().kind == EventKind::Hump);
}

TEST_CASE("from where on boost is too low, and how much a channel may scatter") {
    const auto still = [](double boost_kpa) { // without scatter, so that the limit shows
        return Sketch().spoil("manifold_pressure", 0.0, 12.0, [=](double, size_t) { return 98.0 + boost_kpa; });
    };
    Against others{still(60.0)};
    others.context = boosted();
    others.context.references = {{&others.curve, 98.0}};
    CHECK(others.places(still(57.1)).empty()); // 3 kPa is what boost does by itself (common practice)
    CHECK(others.places(still(56.9)).starts_with("boost_low"));

    // Twice the others' scatter is not enough, however much it is.
    boost::random::mt19937_64 generator(9);
    boost::random::normal_distribution<double> normal;
    const auto scattering = [&](double sd) {
        return Sketch().spoil("lambda", 0.0, 12.0, [&, sd](double, size_t) { return 0.88 + sd * normal(generator); });
    };
    const double much = 3.0 * channelInfo("lambda")->noise;
    const Against alike{scattering(much)};
    CHECK(alone(scattering(much)).find("noise") != std::string::npos);
    CHECK(alike.places(scattering(much)).find("noise") == std::string::npos);
    CHECK(alike.places(scattering(1.5 * much)).find("noise") == std::string::npos);
    CHECK(alike.places(scattering(2.6 * much)).find("noise") != std::string::npos);
}

TEST_CASE("a reading that stands still for a quarter of the sweep is frozen, for less it is not") {
    const auto still = [](double for_s) {
        return Sketch().spoil("oil_pressure", 4.0, 4.0 + for_s, [](double, size_t) { return 345.0; });
    };
    CHECK(alone(still(2.3)).find("frozen") == std::string::npos); // of ten seconds
    CHECK(alone(still(2.8)).find("frozen") != std::string::npos);
}

TEST_CASE("a lost signal tells how long, a stumble how deep") {
    const Sketch lost = Sketch().spoil("lambda", 5.0, 5.8, [](double, size_t) { return std::nan(""); });
    const auto gaps = findEvents(lost.table, lost.curve(), {});
    REQUIRE(gaps.size() == 1);
    CHECK(gaps[0].kind == EventKind::Dropout);
    CHECK(gaps[0].size == Approx(0.79)); // from the first blank row to the last
    CHECK(gaps[0].from_s == Approx(5.0));
    const Sketch stumbling =
        Sketch().spoil("torque", 4.0, 9.0, [](double v, size_t i) { return i % 100 < 4 ? 0.75 * v : v; });
    const auto stumbles = findEvents(stumbling.table, stumbling.curve(), {});
    const auto breakup = std::find_if(stumbles.begin(), stumbles.end(),
                                      [](const Event& event) { return event.kind == EventKind::Breakup; });
    REQUIRE(breakup != stumbles.end());
    CHECK(breakup->size == Approx(0.25).margin(0.012));
    CHECK(inEnglish(breakup->why).find("stumbles 5 times by up to 2") != std::string::npos);
}

TEST_CASE("torque that scatters more than the others' is wiring") {
    const Against against{Sketch()};
    boost::random::mt19937_64 generator(3);
    boost::random::normal_distribution<double> normal;
    const Sketch loose =
        Sketch().spoil("torque", 1.0, 11.0, [&](double v, size_t) { return v * (1.0 + 0.02 * normal(generator)); });
    CHECK(against.places(loose).find("noise") != std::string::npos);
}

TEST_CASE("what is offered: the larger part that is left, or to set aside; nothing for a remark") {
    const Curve curve = Sketch().curve();
    const auto at = [](EventKind kind, double low, double high) {
        return Event{kind, {low, high}, 0.0, 0.0, 0.1, "why"};
    };
    const EventRemedy top = remedyFor(at(EventKind::Breakup, 6500, 7400), curve);
    REQUIRE(top.trimTo);
    CHECK(top.trimTo->high == 6450.0);
    // The trim is written in whole tens.
    CHECK(remedyFor(at(EventKind::Breakup, 6503, 7400), curve).trimTo->high == 6450.0);
    CHECK(remedyFor(at(EventKind::Breakup, 6507, 7400), curve).trimTo->high == 6460.0);
    CHECK(remedyFor(at(EventKind::Mixture, 2600, 3204), curve).trimTo->low == 3250.0);
    CHECK(remedyFor(at(EventKind::Mixture, 2600, 3207), curve).trimTo->low == 3260.0);
    CHECK(top.trimTo->low < 2600.0);
    CHECK(top.setAside);
    CHECK(top.reason == "breakup");
    const EventRemedy bottom = remedyFor(at(EventKind::Mixture, 2600, 3200), curve);
    REQUIRE(bottom.trimTo);
    CHECK(bottom.trimTo->low == Approx(3250.0).margin(10.0));
    CHECK_FALSE(
        remedyFor(at(EventKind::Knock, 4500, 5600), curve).trimTo); // less than half would be left on either side
    CHECK(remedyFor(at(EventKind::Knock, 4500, 5600), curve).setAside);
    CHECK_FALSE(remedyFor(at(EventKind::Frozen, 2600, 3000), curve).trimTo); // a trim does not mend a channel
    CHECK_FALSE(remedyFor(at(EventKind::Limiter, 7500, 7500), curve).setAside);
    CHECK(remedyFor({EventKind::WrongUnit, {2500, 7500}, 0, 0, 1.36, ""}, curve).units.size() >= 1);
}

TEST_CASE("an air-fuel ratio that scatters is judged on its own scale") {
    // 0.2 of the ratio is 0.014 of lambda on petrol: well below what hides a mixture.
    const auto ratio = [] { return Sketch().with("air_fuel_ratio", 12.9, 0.2); };
    const auto withoutLambda = [](Sketch sketch) {
        std::erase_if(sketch.table.columns, [](const Column& column) { return column.name == "lambda"; });
        return sketch;
    };
    const Against against{withoutLambda(ratio())};
    CHECK(against.places(withoutLambda(ratio().bend("air_fuel_ratio", 5000, 2000, 1.4))).find("mixture") !=
          std::string::npos);
}

TEST_CASE("the absorber is full when its load stands at the limit for a fifth of a second") {
    const auto full = [](double seconds) {
        return alone(Sketch().spoil("absorber_load", 6.0, 6.0 + seconds, [](double, size_t) { return 100.0; }));
    };
    CHECK(full(0.15).empty());
    CHECK(full(0.205).find("absorber_full") != std::string::npos);
}
