// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fields.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/typed_number.h"
#include "app/look/words.h"

#include <algorithm>
#include <QKeyEvent>
#include <QStyle>
#include <utility>

using namespace Qt::StringLiterals;

namespace hillrun {

NumberField::NumberField(const QString& name, const QString& label, double low, double high, int decimals,
                         const QString& unit, QWidget* parent)
    : QLineEdit(parent), m_label(unit.isEmpty() ? label : u"%1, %2"_s.arg(label, unit)), m_unit(unit), m_low(low),
      m_high(high), m_decimals(decimals) {
    setObjectName(name);
    setAccessibleName(label);
    setToolTip(m_label);
    setMinimumHeight(px(30)); // never squeezed below what a glove hits
    setText(textOf(std::nullopt));
    connect(this, &QLineEdit::editingFinished, this, &NumberField::finish);
    connect(this, &QLineEdit::textEdited, this, [this] {
        if (!m_readable && read())
            setReadable(true);
    });
}

void NumberField::show(std::optional<double> value) {
    if (const auto shown = std::exchange(m_shown, value); shown == value && (isModified() || !m_readable))
        return;
    setText(textOf(value));
    setReadable(true);
}

void NumberField::setUnit(const QString& unit) {
    const bool shown = m_readable && !isModified();
    m_unit = unit;
    if (shown)
        setText(textOf(m_shown));
}

QString NumberField::textOf(std::optional<double> value) const {
    if (!value)
        return u"\u2013"_s;
    const QString digits = numberText(*value, m_decimals);
    return m_unit.isEmpty() ? digits : digits + u'\u00A0' + m_unit;
}

std::optional<std::optional<double>> NumberField::read() const {
    QString text = this->text().trimmed();
    while (!m_unit.isEmpty() && text.endsWith(m_unit)) { // twice when it was pasted too
        text.chop(m_unit.size());
        text = text.trimmed();
    }
    if (text.isEmpty() || text == textOf(std::nullopt))
        return std::optional<double>();
    const auto number = typedNumber(text, m_decimals == 0);
    if (!number || *number < m_low || *number > m_high)
        return std::nullopt;
    return number;
}

void NumberField::finish() {
    const auto value = read();
    setReadable(value.has_value());
    if (!value)
        return;
    const bool same = textOf(*value) == textOf(m_shown);
    setText(textOf(*value));
    if (same)
        return;
    m_shown = *value;
    Q_EMIT edited(m_shown);
}

void NumberField::setReadable(bool readable) {
    if (readable == m_readable)
        return;
    m_readable = readable;
    const QString why =
        readable
            ? QString()
            : tr("not taken: a number from %1 to %2 is wanted here").arg(numberText(m_low, m_decimals), textOf(m_high));
    setWrong(this, why);
    setToolTip(readable ? m_label : m_label + u": "_s + why);
}

void NumberField::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
        step(event->key() == Qt::Key_Up ? 1.0 : -1.0);
    } else if (event->key() == Qt::Key_Escape && (isModified() || !m_readable)) {
        setText(textOf(m_shown));
        setReadable(true);
        selectAll();
    } else {
        QLineEdit::keyPressEvent(event);
    }
}

void NumberField::step(double by) {
    const auto value = read();
    if (!value || !*value)
        return;
    setText(textOf(std::clamp(**value + by, m_low, m_high)));
    setModified(true);
    selectAll();
}

QSize NumberField::sizeHint() const {
    const QFontMetrics metrics = fontMetrics();
    const int text = std::max(metrics.horizontalAdvance(textOf(m_low)), metrics.horizontalAdvance(textOf(m_high)));
    return {std::max(text, metrics.horizontalAdvance(u"00000"_s)) + 2 * metrics.horizontalAdvance(u'0'),
            QLineEdit::sizeHint().height()};
}

bool numbersReadable(QWidget& dialog) {
    for (NumberField* field : dialog.findChildren<NumberField*>()) {
        field->finish();
        if (!field->readable()) {
            field->setFocus();
            return false;
        }
    }
    return true;
}

void setWrong(QLineEdit* line, const QString& why) {
    line->setToolTip(why);
    line->setAccessibleDescription(why);
    if (line->property("wrong").toBool() == !why.isEmpty())
        return;
    line->setProperty("wrong", !why.isEmpty());
    line->style()->unpolish(line);
    line->style()->polish(line);
}

Panel makePanel(const QString& title, QWidget* parent) {
    Panel out;
    out.frame = new QFrame(parent);
    out.frame->setProperty("panel", true);
    out.column = new QVBoxLayout(out.frame);
    out.column->setContentsMargins(px(12), px(8), px(12), px(10));
    out.column->setSpacing(px(6));
    out.head = new WrapLayout(true);
    auto* label = new PlainLabel(title, out.frame);
    label->setProperty("title", true);
    out.head->addWidget(label);
    out.column->addLayout(out.head);
    return out;
}

QWidget* labelled(const QString& label, QWidget* field, QWidget* parent) {
    auto* out = new QWidget(parent);
    auto* column = new QVBoxLayout(out);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(1);
    auto* text = new PlainLabel(label, out);
    text->setProperty("quiet", true);
    text->setProperty("small", true);
    text->setBuddy(field);
    column->addWidget(text);
    column->addWidget(field);
    return out;
}

QLabel* quietLabel(const QString& name, QWidget* parent) {
    auto* label = new PlainLabel(parent);
    label->setObjectName(name);
    label->setWordWrap(true);
    label->setProperty("quiet", true);
    return label;
}

void setWarning(QLabel* label, bool warning) {
    if (label->property("warning").toBool() == warning)
        return;
    label->setProperty("warning", warning);
    label->setProperty("quiet", !warning);
    label->style()->unpolish(label);
    label->style()->polish(label);
}

} // namespace hillrun
