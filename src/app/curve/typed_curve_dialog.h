// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/import/given_row.h"
#include "core/units/units.h"
#include "formats/import_curves.h"
#include "formats/typed_curve.h"

#include <QCheckBox>
#include <QDialog>
#include <QPushButton>
#include <QTableWidget>

namespace hillrun {

/// A curve, or only its peaks, typed or pasted as a small table.
class TypedCurveDialog : public QDialog {
    Q_OBJECT
public:
    TypedCurveDialog(const TestDay& day, const DisplayUnits& units, Look& look, QWidget* parent = nullptr);
    [[nodiscard]] NewCurve curve() const;

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QLayout* makeHead(const TestDay& day, const DisplayUnits& units);
    QLayout* makeButtons();
    void paste();
    void clearCells();
    void refresh();
    void showCurve(const ChannelTable& table);
    [[nodiscard]] std::vector<TypedRow> rows() const;
    [[nodiscard]] std::string powerUnit() const { return m_power->currentText().toStdString(); }
    [[nodiscard]] std::string torqueUnit() const { return m_torque->currentText().toStdString(); }

    Theme m_theme;
    QComboBox* m_build = nullptr;
    QComboBox* m_power = nullptr;
    QComboBox* m_torque = nullptr;
    QTableWidget* m_table = nullptr;
    Board* m_board = nullptr;
    QLabel* m_doubt = nullptr;
    QCheckBox* m_allTheSame = nullptr;
    GivenRow* m_given = nullptr;
    QLabel* m_problem = nullptr;
    QPushButton* m_take = nullptr;
};

} // namespace hillrun
