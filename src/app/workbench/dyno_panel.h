// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"
#include "core/pull/roller_inertia.h"

#include <array>
#include <QComboBox>
#include <QPushButton>

namespace hillrun {

/// Calculators for what turns: road speed in each gear, the inertia of rollers from their dimensions, and units. A
/// sheet of scratch paper: only "Give to the cell" reaches the day.
class DynoPanel : public QWidget {
    Q_OBJECT
public:
    explicit DynoPanel(DayDocument& document, QWidget* parent = nullptr);
    [[nodiscard]] RollerDimensions rollers() const;

private:
    QWidget* makeGears();
    QWidget* makeRollers();
    QWidget* makeUnits();
    void refreshGears();
    void refreshRollers();
    void refreshUnits();
    void giveToCell();

    DayDocument& m_document;
    NumberField *m_rpm = nullptr, *m_speed = nullptr;
    std::array<QLabel*, 4> m_gearColumns{};
    QLabel* m_gearWords = nullptr;
    NumberField *m_count = nullptr, *m_diameter = nullptr, *m_length = nullptr, *m_wall = nullptr, *m_density = nullptr,
                *m_besides = nullptr;
    QLabel* m_inertia = nullptr;
    QPushButton* m_give = nullptr;
    NumberField* m_value = nullptr;
    QComboBox* m_unit = nullptr;
    QLabel* m_others = nullptr;
};

} // namespace hillrun
