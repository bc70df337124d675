// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/copied_table.h"

#include <algorithm>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString tabbed(const QStringList& cells) {
    QStringList out = cells;
    for (QString& cell : out)
        cell.replace(u'\t', u' ').replace(u'\n', u' ');
    return out.join(u'\t');
}

/// RFC 4180: quoted where it must be.
QString commaSeparated(const QStringList& cells) {
    QStringList out = cells;
    for (QString& cell : out)
        if (cell.contains(u',') || cell.contains(u'"') || cell.contains(u'\n'))
            cell = u'"' + cell.replace(u"\""_s, u"\"\""_s) + u'"';
    return out.join(u',');
}

QString htmlRow(const QStringList& cells, const QString& tag) {
    QString out = u"<tr>"_s;
    for (const QString& cell : cells)
        out += u"<%1>%2</%1>"_s.arg(tag, cell.toHtmlEscaped());
    return out + u"</tr>"_s;
}

} // namespace

std::unique_ptr<QMimeData> asMime(const CopiedTable& table) {
    QString text = table.title.isEmpty() ? QString() : table.title + u'\n';
    QString csv;
    QString html = table.title.isEmpty() ? QString() : u"<p>%1</p>"_s.arg(table.title.toHtmlEscaped());
    html += u"<table>"_s + htmlRow(table.head, u"th"_s);
    text += tabbed(table.head) + u'\n';
    csv += commaSeparated(table.head) + u"\r\n"_s;
    for (const QStringList& row : table.rows) {
        text += tabbed(row) + u'\n';
        csv += commaSeparated(row) + u"\r\n"_s;
        html += htmlRow(row, u"td"_s);
    }
    auto out = std::make_unique<QMimeData>();
    out->setText(text);
    out->setData(u"text/csv"_s, csv.toUtf8());
    out->setHtml(html + u"</table>"_s);
    return out;
}

} // namespace hillrun
