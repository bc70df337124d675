// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/credit/credit_content.h"
#include "app/look/accessible.h"

#include <QWidget>

namespace hillrun {

/// The parts below each other: the gain of each, where along rpm, its share, price and mass, what was expected.
class PartTable : public QWidget, public SpokenItems {
    Q_OBJECT
public:
    explicit PartTable(Look& look, QWidget* parent = nullptr);
    void setRows(std::vector<PartRow> rows, size_t chosen, const RpmRange& axis, double step_rpm);
    [[nodiscard]] const std::vector<PartRow>& rows() const { return m_rows; }

    [[nodiscard]] int spokenCount() const override { return static_cast<int>(m_rows.size()); }
    [[nodiscard]] QString spokenItem(int index) const override;
    [[nodiscard]] QRect spokenRect(int index) const override;
    [[nodiscard]] bool spokenChosen(int index) const override { return index == static_cast<int>(m_chosen); }
    void chooseSpoken(int index) override;

Q_SIGNALS:
    void chosen(size_t part);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

private:
    [[nodiscard]] int rowHeight() const;
    void paintRow(QPainter& painter, int row) const;

    Look& m_look;
    std::vector<PartRow> m_rows;
    size_t m_chosen = 0;
    RpmRange m_axis;
    double m_step_rpm = 50.0;
};

} // namespace hillrun
