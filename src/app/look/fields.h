// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/wrap_layout.h"

#include <optional>
#include <QFrame>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>

namespace hillrun {

/// A number that may be unknown: the empty field is a dash. Written with a decimal point; typed or pasted with a point
/// or a comma. What cannot be read, or lies outside the range, stays as it was typed and is marked. `edited` comes
/// once, when the user is done with a number. Up and Down step by one, Escape takes the typing back.
class NumberField : public QLineEdit {
    Q_OBJECT
public:
    NumberField(const QString& name, const QString& label, double low, double high, int decimals, const QString& unit,
                QWidget* parent);
    /// Without a signal. The value that is shown already leaves what is being typed alone.
    void show(std::optional<double> value);
    [[nodiscard]] std::optional<double> number() const { return m_shown; } ///< the last one that could be read
    [[nodiscard]] bool readable() const { return m_readable; }
    void finish(); ///< what is typed counts before the field is left
    void setUnit(const QString& unit);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }
    using QWidget::show;

Q_SIGNALS:
    void edited(std::optional<double> value);

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void step(double by);
    void setReadable(bool readable);
    [[nodiscard]] QString textOf(std::optional<double> value) const;
    /// The number that stands there; the outer optional is empty when it cannot be read.
    [[nodiscard]] std::optional<std::optional<double>> read() const;

    std::optional<double> m_shown;
    QString m_label, m_unit;
    double m_low, m_high;
    int m_decimals;
    bool m_readable = true;
};

/// Finishes every number field of a dialog; the first that cannot be read gets the focus, and the answer is false.
bool numbersReadable(QWidget& dialog);

/// Marks a line of text that cannot be read and says why in its tooltip; an empty reason takes the mark away.
void setWrong(QLineEdit* line, const QString& why);

/// A white panel with a quiet title and a column for what it holds.
struct Panel {
    QFrame* frame = nullptr;
    QVBoxLayout* column = nullptr;
    WrapLayout* head = nullptr; ///< the title's line; widgets may be added at its right
};
Panel makePanel(const QString& title, QWidget* parent);

/// A label above which a field stands, small and quiet.
QWidget* labelled(const QString& label, QWidget* field, QWidget* parent);

QLabel* quietLabel(const QString& name, QWidget* parent);
/// Turns the warning colour of a label on or off.
void setWarning(QLabel* label, bool warning);

} // namespace hillrun
