// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/tone.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <QObject>

namespace hillrun {
namespace {

constexpr const char* kNames[] = {"alternating", "steady", "beeps", "none"};
constexpr double kLoudness = 0.8;
constexpr double kRise_s = 0.005; ///< shorter clicks

struct Moment {
    double pitch_hz;
    double into_s; ///< its stretch of one pitch
    double left_s;
};

/// Pitches that are heard above an engine, and differ from it by their rhythm (common practice).
Moment momentOf(Tone tone, double time_s) {
    if (tone == Tone::Steady)
        return {1000.0, time_s, 1e9};
    const double length_s = tone == Tone::Beeps ? 0.12 : 0.25;
    const double number = std::floor(time_s / length_s);
    const bool odd = std::fmod(number, 2.0) > 0.5;
    const double pitch = tone == Tone::Beeps ? (odd ? 0.0 : 2000.0) : (odd ? 1000.0 : 700.0);
    const double into = time_s - number * length_s;
    return {pitch, into, length_s - into};
}

} // namespace

QStringList toneChoices() {
    return {QObject::tr("two pitches in turn"), QObject::tr("one steady pitch"), QObject::tr("quick beeps"),
            QObject::tr("none")};
}

const char* toneName(Tone tone) { return kNames[static_cast<size_t>(tone)]; }

Tone toneNamed(const QString& name) {
    for (size_t i = 0; i < std::size(kNames); ++i)
        if (name == QLatin1StringView(kNames[i]))
            return static_cast<Tone>(i);
    return Tone::Alternating;
}

std::vector<std::int16_t> toneSamples(Tone tone, size_t from, size_t count) {
    std::vector<std::int16_t> out(count, 0);
    if (tone == Tone::None)
        return out;
    for (size_t i = 0; i < count; ++i) {
        const Moment now = momentOf(tone, static_cast<double>(from + i) / kToneRate_hz);
        const double rise = std::min({1.0, now.into_s / kRise_s, now.left_s / kRise_s});
        const double wave = std::sin(2.0 * std::numbers::pi * now.pitch_hz * now.into_s);
        out[i] = static_cast<std::int16_t>(std::lround(32767.0 * kLoudness * rise * wave));
    }
    return out;
}

} // namespace hillrun
