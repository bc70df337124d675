// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/scale.h"

#include <algorithm>
#include <cmath>
#include <QFontInfo>
#include <QGuiApplication>
#include <QRegularExpression>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kUsualType_px = 13.4; ///< 10 points at 96 dots an inch: what the design was drawn for
constexpr double kLargest = 2.5;
constexpr int kThickestRule_px = 2;

} // namespace

double lookScale() {
    static QFont asked; // every length asks: the font is measured once, until it is another
    static double scale = 0.0;
    const QFont now = QGuiApplication::font();
    if (scale == 0.0 || !now.isCopyOf(asked)) {
        asked = now;
        scale = std::clamp(QFontInfo(now).pixelSize() / kUsualType_px, 1.0, kLargest);
    }
    return scale;
}

int px(double drawn) { return static_cast<int>(std::lround(drawn * lookScale())); }

QString scaledSheet(const QString& sheet) {
    static const QRegularExpression length(u"(\\d+)px"_s);
    QString out;
    qsizetype from = 0;
    for (const auto& match : length.globalMatch(sheet)) {
        const int drawn = match.captured(1).toInt();
        out +=
            sheet.mid(from, match.capturedStart() - from) + u"%1px"_s.arg(drawn > kThickestRule_px ? px(drawn) : drawn);
        from = match.capturedEnd();
    }
    return out + sheet.mid(from);
}

} // namespace hillrun
