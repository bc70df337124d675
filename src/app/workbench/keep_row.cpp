// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/keep_row.h"

#include "app/look/fields.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QDate>
#include <QHBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

KeepRow::KeepRow(const QString& part, QWidget* parent) : QWidget(parent) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    m_date = new QLineEdit(this);
    m_date->setObjectName(part + u"Date"_s);
    m_date->setAccessibleName(tr("Date of the check"));
    m_date->setPlaceholderText(tr("today"));
    m_date->setFixedWidth(px(112));
    row->addWidget(m_date);
    const auto button = [&](const QString& name, const QString& text) {
        auto* out = new QPushButton(text, this);
        out->setObjectName(name + part);
        row->addWidget(out);
        return out;
    };
    m_keep = button(u"keep"_s, tr("Keep"));
    m_keep->setToolTip(tr("Keep the check with the day's cell, dated"));
    connect(m_keep, &QPushButton::clicked, this, &KeepRow::keep);
    connect(button(u"clear"_s, tr("Clear")), &QPushButton::clicked, this, &KeepRow::clear);
    row->addStretch(1);
    connect(m_date, &QLineEdit::editingFinished, this, [this] {
        setWrong(m_date, date() ? QString() : tr("A date such as 2026-05-16"));
        Q_EMIT changed();
    });
}

void KeepRow::show(const std::string& date) {
    m_date->setText(qs(date));
    setWrong(m_date, {});
}

std::optional<std::string> KeepRow::date() const {
    const QString text = m_date->text().trimmed();
    const QDate date = text.isEmpty() ? QDate::currentDate() : QDate::fromString(text, Qt::ISODate);
    return date.isValid() ? std::optional(date.toString(Qt::ISODate).toStdString()) : std::nullopt;
}

void KeepRow::mayKeep(bool may) { m_keep->setEnabled(may && date()); }

} // namespace hillrun
