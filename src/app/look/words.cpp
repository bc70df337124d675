// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/words.h"

#include "core/compare/judge.h"
#include "core/compare/sentence.h"

#include <cmath>
#include <QObject>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {
const QString kDash = u"\u2013"_s;
const QString kGap = u"\u00A0"_s;
} // namespace

QString numberText(double value, int digits) { return qs(currentVoice().number(decimals(value, digits))); }

QString powerDifference(double delta_w, double half_w, const DisplayUnits& units) {
    return qs(currentVoice().in(units).power({delta_w, half_w, true}));
}

QString torqueDifference(double delta_nm, double half_nm, const DisplayUnits& units) {
    return qs(currentVoice().in(units).torque({delta_nm, half_nm, true}));
}

QString powerFigure(double power_w, const DisplayUnits& units) {
    if (!std::isfinite(power_w))
        return kDash;
    return numberText(powerIn(units.power, power_w), 1) + kGap + QString::fromUtf8(powerUnitText(units.power));
}

QString torqueFigure(double torque_nm, const DisplayUnits& units) {
    if (!std::isfinite(torque_nm))
        return kDash;
    return numberText(torqueIn(units.torque, torque_nm), 1) + kGap + QString::fromUtf8(torqueUnitText(units.torque));
}

QString rangeText(const RpmRange& range) {
    auto rounded = [](double rpm) { return qs(rpmText(std::round(rpm / 10.0) * 10.0)); };
    return rounded(range.low) + kDash + rounded(range.high);
}

QString unbroken(QString text) {
    return text.replace(QChar(0x2013), QStringLiteral("\u2060\u2013\u2060")); // word joiners around the dash
}

QString flagText(const PullFlag& flag) {
    const QString size = numberText(100.0 * flag.size, 1) + kGap + u"%"_s;
    const QString place = qs(rpmText(flag.rpm)) + kGap + u"rpm"_s;
    switch (flag.kind) {
    case FlagKind::Rough:
        return QObject::tr("rough near %1: kinks of %2 that the others do not have").arg(place, size);
    case FlagKind::Level:
        return QObject::tr("lies %1 off its set as a whole").arg(size);
    case FlagKind::Shape:
        return QObject::tr("bends away near %1 by %2").arg(place, size);
    case FlagKind::Disagree:
        return QObject::tr("the two pulls disagree: take another, then look again");
    }
    return {};
}

QString counted(const char* id, qsizetype count) { return qs(Statement{id, {Count{static_cast<long>(count)}}}); }

QString percentText(double percent, int decimals) {
    if (!std::isfinite(percent))
        return kDash;
    QString text = numberText(std::abs(percent), decimals) + kGap + u"%"_s;
    const bool zero = QString::number(std::abs(percent), 'f', decimals).toDouble() == 0.0;
    return zero ? text : (percent < 0 ? u"\u2212"_s : u"+"_s) + text;
}

} // namespace hillrun
