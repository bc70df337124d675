// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fields.h"

#include "app/look/plain_text.h"

#include <cmath>
#include <QRegularExpression>
#include <QStyle>

using namespace Qt::StringLiterals;

namespace hillrun {

NumberField::NumberField(const QString& name, const QString& label, double low, double high, int decimals,
                         const QString& unit, QWidget* parent)
    : QDoubleSpinBox(parent) {
    setObjectName(name);
    setAccessibleName(label);
    setToolTip(unit.isEmpty() ? label : u"%1, %2"_s.arg(label, unit));
    setLocale(QLocale::c()); // numbers are written alike in the whole window
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

/// The digits without unit and blanks, the decimal mark as a point. Whole numbers may have thousands marks.
QString NumberField::plainNumber(const QString& text) const {
    QString out = text.trimmed();
    const QString unit = suffix().trimmed();
    while (!unit.isEmpty() && out.endsWith(unit)) { // twice when it was pasted too
        out.chop(unit.size());
        out = out.trimmed();
    }
    out.remove(QRegularExpression(u"[\\s'\u2019]"_s));
    out.replace(u'\u2212', u'-');
    const QChar mark = out.lastIndexOf(u',') > out.lastIndexOf(u'.') ? u',' : u'.';
    out.remove(mark == u',' ? u'.' : u',');
    static const QRegularExpression thousands(u"^[+-]?\\d{1,3}([.,]\\d{3})+$"_s);
    const bool whole = decimals() == 0 || out.count(mark) > 1;
    if (whole && thousands.match(out).hasMatch())
        return out.remove(mark);
    return out.replace(mark, u'.');
}

/// Both decimal marks are taken, whatever the desktop's language is.
QValidator::State NumberField::validate(QString& text, int& position) const {
    if (text.isEmpty() || text == suffix() || text == specialValueText())
        return QValidator::Acceptable;
    const QString plain = plainNumber(text);
    if (decimals() == 0 && plain.contains(u'.')) { // a thousands mark may come of it
        static const QRegularExpression begun(u"^[+-]?\\d{1,3}\\.\\d{0,2}$"_s);
        return begun.match(plain).hasMatch() ? QValidator::Intermediate : QValidator::Invalid;
    }
    QString read = plain + suffix();
    int end = static_cast<int>(plain.size());
    const QValidator::State state = QDoubleSpinBox::validate(read, end);
    (void)position;
    return state;
}

double NumberField::valueFromText(const QString& text) const {
    if (text.isEmpty() || text == suffix() || text == specialValueText())
        return minimum();
    return QDoubleSpinBox::valueFromText(plainNumber(text) + suffix());
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
