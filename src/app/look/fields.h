// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QDoubleSpinBox>
#include <QFrame>
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace hillrun {

/// A number that may be unknown: the empty field is a dash. Written with a decimal point; typed or pasted with a point
/// or a comma. `edited` comes once, when the user is done with it.
class NumberField : public QDoubleSpinBox {
    Q_OBJECT
public:
    NumberField(const QString& name, const QString& label, double low, double high, int decimals, const QString& unit,
                QWidget* parent);
    void show(std::optional<double> value); ///< without a signal
    [[nodiscard]] std::optional<double> number() const;
    using QWidget::show;

Q_SIGNALS:
    void edited(std::optional<double> value);

protected:
    QValidator::State validate(QString& text, int& position) const override;
    [[nodiscard]] double valueFromText(const QString& text) const override;

private:
    [[nodiscard]] QString plainNumber(const QString& text) const;
    std::optional<double> m_shown;
};

/// A white panel with a quiet title and a column for what it holds.
struct Panel {
    QFrame* frame = nullptr;
    QVBoxLayout* column = nullptr;
    QHBoxLayout* head = nullptr; ///< the title's line; widgets may be added at its right
};
Panel makePanel(const QString& title, QWidget* parent);

/// A label above which a field stands, small and quiet.
QWidget* labelled(const QString& label, QWidget* field, QWidget* parent);

QLabel* quietLabel(const QString& name, QWidget* parent);
/// Turns the warning colour of a label on or off.
void setWarning(QLabel* label, bool warning);

} // namespace hillrun
