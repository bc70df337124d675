// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"
#include "app/workbench/keep_row.h"
#include "core/plan/cell_checks.h"

#include <filesystem>
#include <QGridLayout>

namespace hillrun {

/// The weather station beside a better instrument: how far it is off and what that does to corrected figures; kept with
/// the day's cell when asked.
class StationPanel : public QWidget {
    Q_OBJECT
public:
    StationPanel(DayDocument& document, QWidget* parent);
    /// Nothing while a value is missing.
    [[nodiscard]] std::optional<StationCheck> check() const;

private:
    struct Air {
        NumberField *pressure = nullptr, *temperature = nullptr, *humidity = nullptr;
        [[nodiscard]] std::optional<Atmosphere> air(HumidityKind kind) const;
        void show(const std::optional<Atmosphere>& air);
    };
    Air makeAir(const QString& name, const QString& label, QWidget* parent, QGridLayout& grid, int row);
    void takeDay();
    void refresh();
    void keep();
    void clear();

    DayDocument& m_document;
    std::optional<StationCheck> m_ofDay; ///< as it was shown last
    std::filesystem::path m_shownDay;
    Air m_station, m_reference;
    QLabel *m_answer = nullptr, *m_means = nullptr;
    KeepRow* m_kept = nullptr;
};

} // namespace hillrun
