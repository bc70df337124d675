// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/look/fields.h"
#include "app/workbench/air_table.h"

#include <QCheckBox>
#include <QComboBox>
#include <QPushButton>
#include <QScrollArea>
#include <QTableView>

namespace hillrun {

/// The air calculator: one condition, all standards side by side, and how the factor moves with each reading. A sheet
/// of scratch paper: nothing of it reaches the day before it is given to a pull.
class AirPanel : public QWidget {
    Q_OBJECT
public:
    AirPanel(DayDocument& document, Selection& selection, Look& look, QWidget* parent = nullptr);
    /// Fills the fields from a pull's weather and the day's article.
    void takeFrom(const std::string& pull);
    [[nodiscard]] AirInputs inputs() const;
    [[nodiscard]] Standard chosen() const { return m_chosen; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeCondition();
    QWidget* makeEngine();
    QWidget* makeAnswer();
    NumberField* number(const QString& name, const QString& label, double low, double high, int decimals,
                        const QString& unit);
    QComboBox* choice(const QString& name, const QString& label, const QStringList& items);
    void takeEngine();
    void takeDay();
    void refreshPulls();
    void refreshHumidity();
    void refresh();
    void giveToPull(bool all);

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    QScrollArea* m_side = nullptr; ///< condition and engine
    Standard m_chosen = Standard::SaeJ1349;
    std::filesystem::path m_shownDay;
    std::optional<EngineForAir> m_dayEngine; ///< as last taken from the day
    QComboBox *m_pull = nullptr, *m_pressureKind = nullptr, *m_humidityKind = nullptr, *m_ignition = nullptr,
              *m_aspiration = nullptr, *m_school = nullptr, *m_cooling = nullptr;
    NumberField *m_temperature = nullptr, *m_pressure = nullptr, *m_altitude = nullptr, *m_humidity = nullptr,
                *m_efficiency = nullptr, *m_fuel = nullptr, *m_boostRatio = nullptr, *m_friction = nullptr,
                *m_power = nullptr;
    QCheckBox* m_boostHeld = nullptr;
    QPushButton *m_give = nullptr, *m_giveAll = nullptr;
    QLabel *m_facts = nullptr, *m_warning = nullptr, *m_words = nullptr, *m_sensitivity = nullptr;
    AirTable* m_table = nullptr;
    QTableView* m_view = nullptr;
    std::array<Board*, 3> m_boards{};
};

} // namespace hillrun
