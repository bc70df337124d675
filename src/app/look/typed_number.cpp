// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/typed_number.h"

#include <QRegularExpression>

using namespace Qt::StringLiterals;

namespace hillrun {

std::optional<double> typedNumber(const QString& text, bool whole) {
    static const QRegularExpression blanks(u"(?<=\\d)['\u2019\\s](?=\\d{3}(\\D|$))"_s,
                                           QRegularExpression::UseUnicodePropertiesOption);
    static const QRegularExpression grouped(u"^[+-]?\\d{1,3}([.,]\\d{3})+$"_s);
    QString out = text.trimmed();
    out.remove(blanks);
    out.replace(u'\u2212', u'-');
    const QChar mark = out.lastIndexOf(u',') > out.lastIndexOf(u'.') ? u',' : u'.';
    const QChar other = mark == u',' ? u'.' : u',';
    if (out.contains(other)) { // the last one is the decimal mark, the other stands between thousands
        const qsizetype end = out.lastIndexOf(mark);
        if (out.count(mark) > 1 || !grouped.match(out.left(end)).hasMatch())
            return std::nullopt;
        out.remove(other);
    } else if ((whole || out.count(mark) > 1) && grouped.match(out).hasMatch()) {
        out.remove(mark);
    }
    out.replace(mark, u'.');
    bool good = false;
    const double value = out.toDouble(&good);
    if (!good || (whole && out.contains(u'.')))
        return std::nullopt;
    return value;
}

NumberAndWord typedNumberAndWord(const QString& text) {
    static const QRegularExpression split(u"^\\s*([+\u2212-]?[\\d.,'\u2019\\s]*\\d)\\s*(.*)$"_s,
                                          QRegularExpression::UseUnicodePropertiesOption);
    const auto match = split.match(text);
    if (!match.hasMatch())
        return {std::nullopt, text.trimmed()};
    return {typedNumber(match.captured(1)), match.captured(2).trimmed()};
}

} // namespace hillrun
