// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstdint>
#include <QString>
#include <QStringList>
#include <vector>

namespace hillrun {

/// What is heard when a limit is passed.
enum class Tone { Alternating, Steady, Beeps, None };

QStringList toneChoices();       ///< a word each, in their order
const char* toneName(Tone tone); ///< as it is kept: "alternating"
/// The first for a name that is not known.
Tone toneNamed(const QString& name);

inline constexpr int kToneRate_hz = 48000;
/// `count` samples of it from sample `from` on, one channel, without a click where it begins.
std::vector<std::int16_t> toneSamples(Tone tone, size_t from, size_t count);

} // namespace hillrun
