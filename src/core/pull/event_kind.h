// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

namespace hillrun {

/// What can be seen on a curve.
enum class EventKind {
    StartSpike,
    Breakup,
    Spike,
    Collapse,
    Limiter,
    Gap,
    CutOff,
    Lift,
    ThrottleShort,
    AbsorberFull,
    Dropout,
    Noise,
    Frozen,
    Mixture,
    Knock,
    TimingPulled,
    BypassOpen,
    BoostDip,
    BoostLow,
    Slip,
    TyreSlip,
    ClutchSlip,
    ConverterSlip,
    WrongGear,
    WrongUnit,
    LimitPassed,
    Dip,
    Hump,
};

/// What an event spoils, which decides what is offered.
enum class EventScope {
    Remark,    ///< nothing: the engine's own curve may look so
    Engine,    ///< not the curve: the engine wants looking at
    Trimmed,   ///< nothing that counts: the trim leaves it out already
    Stretch,   ///< a stretch of engine speed; the rest may stay
    WholePull, ///< the pull
};

struct EventKindInfo {
    EventKind kind;
    const char* name; ///< in JSON: "boost_low"; its words: "event_title." and "reason." with the name
    EventScope scope;
};
const EventKindInfo& eventKindInfo(EventKind kind);

bool isSlip(EventKind kind);

} // namespace hillrun
