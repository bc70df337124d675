// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/comparison.h"
#include "core/fit/flags.h"
#include "core/units/units.h"
#include "words/current_voice.h"

#include <QString>

namespace hillrun {

/// The text with its ranges kept whole: no line ends at "2 650\u2013".
QString unbroken(QString text);

inline QString qs(const std::string& text) { return QString::fromStdString(text); }
/// Said in the reader's language.
inline QString qs(const Statement& statement) { return unbroken(qs(said(statement))); }
inline QString qs(const std::vector<Statement>& statements) { return unbroken(qs(said(statements))); }
/// A phrase of the catalogue by its id.
inline QString phrase(const std::string& id) { return qs(Statement{id}); }
/// What went wrong and what to do about it.
inline QString errorText(const std::exception& error) { return qs(said(error)); }
/// "Manifold pressure"
inline QString channelText(const std::string& channel) { return qs(currentVoice().channel(channel)); }

/// A number with fixed decimals and the reader's decimal mark.
QString numberText(double value, int decimals);
/// "+1.6 ± 0.5 kW"
QString powerDifference(double delta_w, double half_w, const DisplayUnits& units);
QString torqueDifference(double delta_nm, double half_nm, const DisplayUnits& units);
/// "71.9 kW"
QString powerFigure(double power_w, const DisplayUnits& units);
QString torqueFigure(double torque_nm, const DisplayUnits& units);
/// "1 pull", "3 pulls": a phrase of the catalogue with its number.
QString counted(const char* id, qsizetype count);
/// "2 800–4 450"
QString rangeText(const RpmRange& range);
/// "rough near 7 150 rpm, 4.2 %"
QString flagText(const PullFlag& flag);
/// "+0.42 %"; a dash where there is none.
QString percentText(double percent, int decimals = 2);

} // namespace hillrun
