// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_kind.h"

#include <algorithm>
#include <iterator>

namespace hillrun {
namespace {

// In the order of the enumeration.
constexpr EventKindInfo kKinds[] = {
    {EventKind::StartSpike, "start_spike", "start spike", EventScope::Trimmed, ""},
    {EventKind::Breakup, "breakup", "breakup", EventScope::Stretch, "breakup"},
    {EventKind::Spike, "spike", "spike", EventScope::Stretch, "torque spike"},
    {EventKind::Collapse, "collapse", "collapse", EventScope::Stretch, "power collapsed"},
    {EventKind::Limiter, "limiter", "limiter", EventScope::Trimmed, ""},
    {EventKind::Gap, "gap", "gap", EventScope::WholePull, "rows missing"},
    {EventKind::CutOff, "cut_off", "cut off", EventScope::WholePull, "recording stopped"},
    {EventKind::Lift, "lift", "lift", EventScope::WholePull, "throttle lifted"},
    {EventKind::ThrottleShort, "throttle_short", "throttle short", EventScope::WholePull, "throttle not fully open"},
    {EventKind::AbsorberFull, "absorber_full", "absorber full", EventScope::Stretch, "absorber full"},
    {EventKind::Dropout, "dropout", "dropout", EventScope::WholePull, "signal lost"},
    {EventKind::Noise, "noise", "noise", EventScope::WholePull, "wiring noise"},
    {EventKind::Frozen, "frozen", "frozen", EventScope::WholePull, "frozen channel"},
    {EventKind::Mixture, "mixture", "mixture off", EventScope::Stretch, "mixture off target"},
    {EventKind::Knock, "knock", "knock", EventScope::Stretch, "knock retard"},
    {EventKind::TimingPulled, "timing_pulled", "timing pulled", EventScope::Stretch, "timing pulled"},
    {EventKind::BypassOpen, "bypass_open", "bypass open", EventScope::Stretch, "bypass open"},
    {EventKind::BoostDip, "boost_dip", "boost dip", EventScope::Stretch, "boost dip"},
    {EventKind::BoostLow, "boost_low", "boost low", EventScope::Stretch, "boost low"},
    {EventKind::Slip, "slip", "slip", EventScope::Stretch, "slip"},
    {EventKind::TyreSlip, "tyre_slip", "tyre slip", EventScope::Stretch, "tyre slip"},
    {EventKind::ClutchSlip, "clutch_slip", "clutch slip", EventScope::Stretch, "clutch slip"},
    {EventKind::ConverterSlip, "converter_slip", "converter slip", EventScope::Stretch, "converter slip"},
    {EventKind::WrongGear, "wrong_gear", "wrong gear", EventScope::WholePull, "wrong gear"},
    {EventKind::WrongUnit, "wrong_unit", "wrong unit", EventScope::WholePull, "wrong unit"},
    {EventKind::Dip, "dip", "dip", EventScope::Remark, ""},
    {EventKind::Hump, "hump", "hump", EventScope::Remark, ""},
};

constexpr bool inOrder() {
    for (size_t i = 0; i < std::size(kKinds); ++i)
        if (kKinds[i].kind != static_cast<EventKind>(i))
            return false;
    return std::size(kKinds) == static_cast<size_t>(EventKind::Hump) + 1;
}
static_assert(inOrder());

} // namespace

const EventKindInfo& eventKindInfo(EventKind kind) { return kKinds[static_cast<size_t>(kind)]; }

bool isSlip(EventKind kind) {
    return kind == EventKind::Slip || kind == EventKind::TyreSlip || kind == EventKind::ClutchSlip ||
           kind == EventKind::ConverterSlip;
}

} // namespace hillrun
