// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/comparison.h"
#include "core/fit/flags.h"
#include "core/units/units.h"

#include <QString>

namespace hillrun {

inline QString qs(const std::string& text) { return QString::fromStdString(text); }

/// "+1.6 ± 0.5 kW"
QString powerDifference(double delta_w, double half_w, const DisplayUnits& units);
QString torqueDifference(double delta_nm, double half_nm, const DisplayUnits& units);
/// "71.9 kW"
QString powerFigure(double power_w, const DisplayUnits& units);
QString torqueFigure(double torque_nm, const DisplayUnits& units);
/// "1 pull", "3 pulls"
QString counted(qsizetype count, const QString& one, const QString& many);
/// "2 800–4 450"
QString rangeText(const RpmRange& range);
/// The text with its ranges kept whole: no line ends at "2 650\u2013".
QString unbroken(QString text);
/// "rough near 7 150 rpm, 4.2 %"
QString flagText(const PullFlag& flag);
/// "+0.42 %"; a dash where there is none.
QString percentText(double percent, int decimals = 2);

} // namespace hillrun
