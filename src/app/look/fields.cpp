// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fields.h"

#include "app/look/plain_text.h"

#include <cmath>
#include <QStyle>

using namespace Qt::StringLiterals;

namespace hillrun {

NumberField::NumberField(const QString& name, const QString& label, double low, double high, int decimals,
                         const QString& unit, QWidget* parent)
    : QDoubleSpinBox(parent) {
    setObjectName(name);
    setAccessibleName(label);
    setToolTip(unit.isEmpty() ? label : u"%1, %2"_s.arg(label, unit));
    setDecimals(decimals);
    const double below = low - std::pow(10.0, -decimals); // stands for "not known"
    setRange(below, high);
    setSpecialValueText(u"\u2013"_s);
    setGroupSeparatorShown(false);
    setButtonSymbols(QAbstractSpinBox::NoButtons);
    setKeyboardTracking(false);
    setMinimumWidth(64);
    setMinimumHeight(30); // never squeezed below what a glove hits
    if (!unit.isEmpty())
        setSuffix(u"\u00A0"_s + unit);
    QDoubleSpinBox::setValue(below);
    connect(this, &QDoubleSpinBox::editingFinished, this, [this] {
        if (number() == m_shown)
            return;
        m_shown = number();
        Q_EMIT edited(m_shown);
    });
}

void NumberField::show(std::optional<double> value) {
    m_shown = value;
    const QSignalBlocker quiet(this);
    setValue(value.value_or(minimum()));
    m_shown = number(); // as the field can hold it
}

std::optional<double> NumberField::number() const {
    return value() <= minimum() ? std::nullopt : std::optional(value());
}

QValidator::State NumberField::validate(QString& text, int& position) const {
    return text.isEmpty() || text == suffix() ? QValidator::Acceptable : QDoubleSpinBox::validate(text, position);
}

double NumberField::valueFromText(const QString& text) const {
    return text.isEmpty() || text == suffix() ? minimum() : QDoubleSpinBox::valueFromText(text);
}

Panel makePanel(const QString& title, QWidget* parent) {
    Panel out;
    out.frame = new QFrame(parent);
    out.frame->setProperty("panel", true);
    out.column = new QVBoxLayout(out.frame);
    out.column->setContentsMargins(12, 8, 12, 10);
    out.column->setSpacing(6);
    out.head = new QHBoxLayout;
    out.head->setSpacing(6);
    auto* label = new PlainLabel(title, out.frame);
    label->setProperty("title", true);
    out.head->addWidget(label);
    out.head->addStretch(1);
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
