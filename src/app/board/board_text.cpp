// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board_text.h"

#include "app/look/words.h"
#include "core/compare/sentence.h"

#include <cmath>
#include <QObject>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString valueText(double value, double span) {
    if (std::abs(value) >= 1000.0)
        return qs(rpmText(value));
    return numberText(value, span < 1.0 ? 3 : (span < 10.0 ? 2 : 1));
}

QString seriesText(const BoardSeries& series) {
    size_t first = series.y.size(), last = 0, high = 0, low = 0;
    for (size_t i = 0; i < series.y.size(); ++i) {
        if (!std::isfinite(series.y[i]))
            continue;
        if (first == series.y.size())
            first = high = low = i;
        last = i;
        high = series.y[i] > series.y[high] ? i : high;
        low = series.y[i] < series.y[low] ? i : low;
    }
    if (first == series.y.size())
        return QObject::tr("%1: nothing").arg(series.label);
    const double spanX = series.x[last] - series.x[first];
    const double spanY = series.y[high] - series.y[low];
    const auto at = [&](size_t i) {
        return QObject::tr("%1 at %2").arg(valueText(series.y[i], spanY), valueText(series.x[i], spanX));
    };
    return QObject::tr("%1: begins %2, highest %3, lowest %4, ends %5")
        .arg(series.label, at(first), at(high), at(low), at(last));
}

} // namespace

QString boardText(const BoardContent& content, const QString& cursor) {
    QStringList out;
    for (const BoardSeries& series : content.series)
        if (!series.label.isEmpty() && !series.x.empty())
            out << seriesText(series);
    if (out.isEmpty() && !content.series.empty() && !content.series.front().x.empty()) {
        BoardSeries unnamed = content.series.front();
        unnamed.label = QObject::tr("the curve");
        out << seriesText(unnamed);
    }
    for (const BoardShade& shade : content.shades)
        if (!shade.word.isEmpty())
            out << QObject::tr("%1 from %2 to %3")
                       .arg(shade.word, valueText(shade.from, 1e3), valueText(shade.to, 1e3));
    for (const BoardMark& mark : content.marks)
        out << QObject::tr("%1 at %2").arg(mark.word, valueText(mark.x, 1e3));
    if (!cursor.isEmpty())
        out << QObject::tr("cursor: %1").arg(QString(cursor).replace(u'\n', u' '));
    return out.isEmpty() ? QObject::tr("nothing to show") : out.join(u"; "_s);
}

} // namespace hillrun
