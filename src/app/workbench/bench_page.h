// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/page.h"
#include "app/workbench/air_panel.h"

#include <QStackedWidget>

namespace hillrun {

/// The weather of the day against its pulls.
class WeatherPanel : public QWidget {
    Q_OBJECT
public:
    WeatherPanel(DayDocument& document, Look& look, QWidget* parent = nullptr);

private:
    void refresh();
    DayDocument& m_document;
    Look& m_look;
    QLabel* m_words = nullptr;
    std::array<Board*, 5> m_boards{};
};

/// Calculators beside the day: the air, gears, rollers and units; and what the air did through the day.
class BenchPage : public PageView {
    Q_OBJECT
public:
    BenchPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions,
              QWidget* parent = nullptr);
    void showAir() { showPart(0); }
    void showWeather() { showPart(1); }
    void showDyno() { showPart(2); }
    void showChecks() { showPart(3); }

private:
    void showPart(int part);
    ActionRegistry& m_actions;
    QStackedWidget* m_parts = nullptr;
};

/// Bench, as the window knows it.
PageSpec benchSpec();

} // namespace hillrun
