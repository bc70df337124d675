// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/query.h"

#include <QRegularExpression>

namespace hillrun {

QString searchText(const QString& text) {
    QString out;
    const QString plain = text.normalized(QString::NormalizationForm_KD).toLower();
    const auto letters = plain.toUcs4();
    for (const char32_t letter : letters) {
        if (QChar::category(letter) == QChar::Mark_NonSpacing)
            continue;
        if (QChar::isLetterOrNumber(letter) || QChar::isMark(letter))
            out += QString::fromUcs4(&letter, 1);
        else if (!out.isEmpty() && !out.endsWith(QLatin1Char(' ')))
            out += QLatin1Char(' ');
    }
    return out.trimmed();
}

QStringList searchWords(const QString& text) {
    constexpr int kLongest = 64; // a server takes no word of thousands of letters
    QStringList out = searchText(text).split(QLatin1Char(' '), Qt::SkipEmptyParts);
    for (QString& word : out)
        word.truncate(kLongest);
    return out;
}

DayQuery queryFrom(const QString& typed) {
    static const QRegularExpression power(
        QStringLiteral("(?<!\\w)(?<over>over|above|über|ueber|mehr als|plus de|au[- ]dessus de|>)?"
                       "(?<under>under|below|unter|weniger als|moins de|(?:en|au)[- ]dessous de|<)?"
                       "\\s*(?<number>\\d+(?:[.,]\\d+)?)\\s*(?<unit>kw|hp|ps|ch)?(?!\\S)"),
        QRegularExpression::CaseInsensitiveOption | QRegularExpression::UseUnicodePropertiesOption);
    DayQuery out;
    QString rest = typed;
    for (qsizetype from = 0;;) {
        const QRegularExpressionMatch match = power.match(rest, from);
        if (!match.hasMatch())
            break;
        const bool over = !match.captured(QStringLiteral("over")).isEmpty();
        const bool under = !match.captured(QStringLiteral("under")).isEmpty();
        if (over == under) { // a number by itself is a word
            from = match.capturedEnd();
            continue;
        }
        double value = match.captured(QStringLiteral("number")).replace(QLatin1Char(','), QLatin1Char('.')).toDouble();
        const QString unit = match.captured(QStringLiteral("unit")).toLower();
        if (unit == QLatin1String("hp"))
            value *= 0.745699872; // mechanical horsepower
        else if (unit == QLatin1String("ps") || unit == QLatin1String("ch"))
            value *= 0.73549875; // metric horsepower
        (over ? out.over_kw : out.under_kw) = value;
        rest.remove(match.capturedStart(), match.capturedLength());
        from = match.capturedStart();
    }
    out.words = searchWords(rest);
    return out;
}

} // namespace hillrun
