// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/set_aside.h"

#include <algorithm>
#include <array>

namespace hillrun {
namespace {

constexpr std::array kAll{"absorber_full",
                          "base_not_settled",
                          "boost_dip",
                          "boost_low",
                          "breakup",
                          "bypass_open",
                          "clutch_slip",
                          "collapse",
                          "connection_lost",
                          "converter_slip",
                          "cut_off",
                          "cut_short",
                          "dropout",
                          "frozen",
                          "gap",
                          "knock",
                          "lift",
                          "limiter",
                          "load_too_early",
                          "misfire",
                          "mixture",
                          "mixture_off",
                          "noise",
                          "not_warm",
                          "pressure_impossible",
                          "slip",
                          "spike",
                          "throttle_short",
                          "timing_pulled",
                          "too_short",
                          "tyre_slip",
                          "wiring_or_sensor",
                          "wrong_gear",
                          "wrong_unit"};
constexpr std::array kUsual{"misfire",     "load_too_early",   "not_warm",   "limiter",
                            "mixture_off", "wiring_or_sensor", "wrong_gear", "slip"};

} // namespace

std::span<const char* const> setAsideReasons() { return kAll; }

bool isSetAsideReason(std::string_view code) {
    return std::any_of(kAll.begin(), kAll.end(), [&](const char* known) { return code == known; });
}

std::span<const char* const> usualReasons() { return kUsual; }

} // namespace hillrun
