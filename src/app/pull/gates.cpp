// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/gates.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/channels/channels.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kOldWeather_s = 15.0 * 60.0;
constexpr double kOldValue_s = 3.0;

QString windowText(const ControlWindow& window) {
    if (window.low && window.high)
        return u"%1\u2013%2"_s.arg(*window.low).arg(*window.high);
    if (window.low)
        return QObject::tr("from %1").arg(*window.low);
    return window.high ? QObject::tr("up to %1").arg(*window.high) : QString();
}

Gate temperatureGate(const ControlWindow& window, const LiveSnapshot& live) {
    Gate gate;
    gate.label = channelText(window.channel);
    gate.window = windowText(window);
    const LiveValue* value = live.find(window.channel);
    if (!value || !std::isfinite(value->value) || value->age_s > kOldValue_s) {
        gate.value = u"\u2013"_s;
        return gate;
    }
    gate.value = u"%1\u00A0°C"_s.arg(numberText(value->value, 0));
    if (value->state != ChannelState::Good)
        gate.value += u" "_s + qs(channelStatePhrase(value->state));
    const bool inside = value->value >= window.low.value_or(-1e9) && value->value <= window.high.value_or(1e9);
    gate.state = inside ? GateState::Good : GateState::Wait;
    if (inside && window.low && window.high && *window.high > *window.low)
        gate.share = (value->value - *window.low) / (*window.high - *window.low);
    return gate;
}

std::optional<Gate> coolDownGate(const TestDay& day, const GateClock& clock) {
    if (!day.plan.coolDown_min || *day.plan.coolDown_min <= 0.0)
        return std::nullopt;
    Gate gate;
    gate.label = QObject::tr("Cool-down");
    gate.window = QObject::tr("%1 min").arg(*day.plan.coolDown_min);
    const double whole_s = 60.0 * *day.plan.coolDown_min;
    const double left_s = clock.lastPullEnded_s ? whole_s - (clock.now_s - *clock.lastPullEnded_s) : 0.0;
    gate.state = left_s > 0.0 ? GateState::Wait : GateState::Good;
    const int whole = static_cast<int>(std::ceil(std::max(0.0, left_s)));
    gate.value = left_s > 0.0 ? u"%1:%2"_s.arg(whole / 60).arg(whole % 60, 2, 10, QChar(u'0')) : QObject::tr("over");
    gate.share = std::clamp(1.0 - left_s / whole_s, 0.0, 1.0);
    return gate;
}

Gate weatherGate(const GateClock& clock) {
    Gate gate;
    gate.label = QObject::tr("Weather");
    gate.window = QObject::tr("15 min at most");
    if (!clock.weatherAge_s) {
        gate.value = QObject::tr("none");
        gate.state = GateState::Wait;
        return gate;
    }
    gate.value = QObject::tr("%1 old").arg(ageText(*clock.weatherAge_s));
    gate.state = *clock.weatherAge_s > kOldWeather_s ? GateState::Wait : GateState::Good;
    return gate;
}

} // namespace

QString ageText(double seconds) {
    if (seconds < 90.0)
        return QObject::tr("%1 s").arg(std::lround(seconds));
    if (seconds < 5400.0)
        return QObject::tr("%1 min").arg(std::lround(seconds / 60.0));
    return QObject::tr("%1 h").arg(std::lround(seconds / 3600.0));
}

std::vector<Gate> gatesOf(const TestDay& day, const LiveSnapshot& live, const GateClock& clock) {
    std::vector<Gate> out;
    for (const ControlWindow& window : day.controlWindows)
        if (window.at == "start")
            out.push_back(temperatureGate(window, live));
    if (const auto gate = coolDownGate(day, clock))
        out.push_back(*gate);
    out.push_back(weatherGate(clock));
    return out;
}

bool gatesOpen(const std::vector<Gate>& gates) {
    return std::all_of(gates.begin(), gates.end(), [](const Gate& gate) { return gate.state == GateState::Good; });
}

QString gateVerdict(const std::vector<Gate>& gates) {
    for (const Gate& gate : gates) {
        if (gate.state == GateState::Wait)
            return QObject::tr("Wait: %1 %2").arg(insideSentence(gate.label), gate.value);
        if (gate.state == GateState::Unknown)
            return QObject::tr("%1 not known").arg(gate.label);
    }
    return QObject::tr("Ready");
}

} // namespace hillrun
