// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// How often the slip names a fault that is there, and one that is not: 200 simulated pulls of each kind.

#include "core/pull/events.h"
#include "core/slip/day_events.h"
#include "core/slip/pull_slip.h"
#include "four_pulls.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <set>

using namespace hillrun;
using test::fourPulls;

namespace {

constexpr int kPulls = 200;

PullSlip slipOfLast(const sim::CellSpec& spec, unsigned seed) {
    const TestDay day = sim::simulateDay(spec, seed);
    DrawCache cache;
    DayAnalysis analysis = analyse(day, {}, cache);
    addEvents(day, analysis.pulls);
    return pullSlip(day, analysis, "p04");
}

struct FaultCase {
    const char* kind;
    const char* event; ///< how the slip names it
    const char* file;
    double low_rpm, high_rpm; ///< where it begins
    double low_pct, high_pct; ///< how large it is
    const char* channel;
};

constexpr FaultCase kCases[] = {
    {"start_spike", "start_spike", "flat-twin.json", 0, 0, 13, 28, ""},
    {"breakup", "breakup", "flat-twin.json", 5500, 7000, 8, 20, ""},
    {"collapse", "collapse", "flat-twin.json", 4000, 6500, 10, 30, ""},
    {"limiter", "limiter", "flat-twin.json", 6500, 7500, 0, 0, ""},
    {"absorber_full", "absorber_full", "flat-twin.json", 5000, 7500, 0, 0, ""},
    {"dropout", "dropout", "flat-twin.json", 4000, 7000, 0, 0, "lambda"},
    {"noise", "noise", "flat-twin.json", 0, 0, 5, 15, "lambda"},
    {"noise", "noise", "flat-twin.json", 0, 0, 5, 15, "oil_pressure"},
    {"noise", "noise", "flat-twin.json", 0, 0, 4, 10, "torque"},
    {"spike", "spike", "flat-twin.json", 3500, 7000, 8, 25, ""},
    {"spike", "spike", "flat-twin.json", 3500, 7000, -8, -25, ""},
    {"gap", "gap", "flat-twin.json", 3500, 7000, 0, 0, ""},
    {"frozen", "frozen", "flat-twin.json", 3000, 5500, 0, 0, "exhaust_gas_temperature"},
    {"frozen", "frozen", "flat-twin.json", 0, 0, 0, 0, "oil_pressure"},
    {"lost_connection", "cut_off", "flat-twin.json", 4500, 7000, 0, 0, ""},
    {"slip", "tyre_slip", "boost-buggy.json", 3500, 5500, 5, 12, ""},
    {"clutch_slip", "clutch_slip", "boost-buggy.json", 3500, 5500, 8, 15, ""},
    {"converter_slip", "converter_slip", "boost-buggy.json", 3600, 4200, 10, 20, ""},
    {"wrong_gear", "wrong_gear", "boost-buggy.json", 0, 0, 15, 25, ""},
    {"wrong_unit", "wrong_unit", "flat-twin.json", 0, 0, 0, 0, ""},
    {"throttle_short", "throttle_short", "flat-twin.json", 0, 0, 5, 15, ""},
    {"lift", "lift", "flat-twin.json", 4500, 6800, 0, 0, ""},
    {"mixture", "mixture", "flat-twin.json", 4000, 6500, 5, 12, ""},
    {"knock", "knock", "flat-twin.json", 4000, 6500, 2, 5, ""},
    {"timing_pulled", "timing_pulled", "flat-twin.json", 4000, 6500, 3, 6, ""},
    {"bypass", "bypass_open", "boost-buggy.json", 3500, 5500, 8, 20, ""},
    {"bypass", "boost_dip", "boost-buggy.json", 3500, 5500, 8, 20, ""},
    {"resonance", "hump", "flat-twin.json", 4000, 6500, 4, 7, ""},
    {"resonance", "dip", "flat-twin.json", 4000, 6500, -4, -7, ""},
    {"slip", "tyre_slip", "buggy-rollers.json", 3500, 5500, 5, 12, ""},
    {"throttle_short", "throttle_short", "hill-tractor.json", 0, 0, 5, 15, ""},
    {"boost_leak", "boost_low", "boost-buggy.json", 2800, 4500, 12, 30, ""},
};

} // namespace

TEST_CASE("every fault of the simulated cell is named on the slip") {
    for (const FaultCase& one : kCases) {
        int named = 0;
        std::set<std::string> others;
        for (int i = 0; i < kPulls; ++i) {
            sim::CellSpec spec = fourPulls(one.file);
            const double share = (i % 20) / 19.0;
            const double size = (i / 20) / 9.0;
            spec.faults = {{"p04", one.kind, one.low_rpm + share * (one.high_rpm - one.low_rpm),
                            one.low_pct + size * (one.high_pct - one.low_pct), one.channel}};
            const PullSlip slip = slipOfLast(spec, 5000 + static_cast<unsigned>(i));
            bool found = false;
            for (const Event& event : slip.events) {
                const std::string kind = eventKindInfo(event.kind).name;
                found = found || kind == one.event;
                if (kind != one.event)
                    others.insert(kind);
            }
            named += found && (slip.suspicious || one.event == std::string_view("hump") ||
                               one.event == std::string_view("dip"))
                         ? 1
                         : 0;
        }
        std::string also;
        for (const std::string& kind : others)
            also += " " + kind;
        fmt::print("{:15} {:15} {:24} named on {:5.1f} % of {} pulls; also named:{}\n", one.kind, one.event,
                   one.channel, 100.0 * named / kPulls, kPulls, also.empty() ? " nothing" : also);
        INFO(one.kind << " " << one.channel);
        const bool remark = std::string_view(one.kind) == "resonance"; // told, not warned of; the smallest are missed
        CHECK(named >= (remark ? 0.85 : 0.97) * kPulls);
    }
}

TEST_CASE("clean pulls are let pass") {
    for (const char* file : {"flat-twin.json", "boost-buggy.json", "hill-tractor.json", "buggy-rollers.json"}) {
        int events = 0;
        int warned = 0;
        std::multiset<std::string> named;
        for (int i = 0; i < kPulls; ++i) {
            const PullSlip slip = slipOfLast(fourPulls(file), 9000 + static_cast<unsigned>(i));
            events += slip.events.empty() ? 0 : 1;
            warned += slip.suspicious ? 1 : 0;
            for (const SlipLine& line : slip.lines)
                if (line.weight == SlipWeight::Warning)
                    named.insert(line.kind);
        }
        std::string kinds;
        for (const std::string& kind : named)
            kinds += " " + kind;
        fmt::print("clean, {}: an event on {:.1f} %, any warning on {:.1f} % of {} pulls:{}\n", file,
                   100.0 * events / kPulls, 100.0 * warned / kPulls, kPulls, kinds);
        CHECK(events <= 0.01 * kPulls);
        CHECK(warned <= 0.03 * kPulls);
    }
}
