// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_kind.h"

#include <algorithm>
#include <iterator>

namespace hillrun {
namespace {

// In the order of the enumeration.
constexpr EventKindInfo kKinds[] = {
    {EventKind::StartSpike, "start_spike", EventScope::Trimmed},
    {EventKind::Breakup, "breakup", EventScope::Stretch},
    {EventKind::Spike, "spike", EventScope::Stretch},
    {EventKind::Collapse, "collapse", EventScope::Stretch},
    {EventKind::Limiter, "limiter", EventScope::Trimmed},
    {EventKind::Gap, "gap", EventScope::WholePull},
    {EventKind::CutOff, "cut_off", EventScope::WholePull},
    {EventKind::Lift, "lift", EventScope::WholePull},
    {EventKind::ThrottleShort, "throttle_short", EventScope::WholePull},
    {EventKind::AbsorberFull, "absorber_full", EventScope::Stretch},
    {EventKind::Dropout, "dropout", EventScope::WholePull},
    {EventKind::Noise, "noise", EventScope::WholePull},
    {EventKind::Frozen, "frozen", EventScope::WholePull},
    {EventKind::Mixture, "mixture", EventScope::Stretch},
    {EventKind::Knock, "knock", EventScope::Stretch},
    {EventKind::TimingPulled, "timing_pulled", EventScope::Stretch},
    {EventKind::BypassOpen, "bypass_open", EventScope::Stretch},
    {EventKind::BoostDip, "boost_dip", EventScope::Stretch},
    {EventKind::BoostLow, "boost_low", EventScope::Stretch},
    {EventKind::Slip, "slip", EventScope::Stretch},
    {EventKind::TyreSlip, "tyre_slip", EventScope::Stretch},
    {EventKind::ClutchSlip, "clutch_slip", EventScope::Stretch},
    {EventKind::ConverterSlip, "converter_slip", EventScope::Stretch},
    {EventKind::WrongGear, "wrong_gear", EventScope::WholePull},
    {EventKind::WrongUnit, "wrong_unit", EventScope::WholePull},
    {EventKind::LimitPassed, "limit_passed", EventScope::Engine},
    {EventKind::Dip, "dip", EventScope::Remark},
    {EventKind::Hump, "hump", EventScope::Remark},
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
