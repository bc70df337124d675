// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/pull_flow.h"
#include "app/document/selection.h"
#include "app/frame/page.h"
#include "app/look/fields.h"
#include "app/pull/gate_list.h"
#include "app/pull/live_trail.h"
#include "app/pull/slip_panel.h"

#include <QElapsedTimer>
#include <QToolButton>

namespace hillrun {

/// The day as it is run: gates, the live trace over the ghost of the last good pull, what is next, and after each pull
/// its slip. Few words, large; every step has a key.
class PullPage : public PageView {
    Q_OBJECT
public:
    PullPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, CellService& cell,
             PullFlow& flow, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeLeft(ActionRegistry& actions);
    QWidget* makeWeather();
    QWidget* makeMiddle();
    QWidget* makeRight(ActionRegistry& actions);
    QToolButton* largeButton(ActionRegistry& actions, const char* id, QWidget* parent);
    void refresh();     ///< 30 times a second while a link is set
    void refreshPlan(); ///< when the day, the slip or the state changes
    void refreshLinks(const LiveSnapshot& live);
    void refreshWatched(const LiveSnapshot& live);
    void refreshWeather(const LiveSnapshot& live);
    void refreshNumbers(const LiveSnapshot& live);
    void refreshBoard(const LiveSnapshot& live);
    [[nodiscard]] BoardContent curves(const LiveSnapshot& live) const;
    [[nodiscard]] bool wantsTrail(const LiveSnapshot& live) const;
    void typeWeather();
    [[nodiscard]] LiveView view() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    CellService& m_cell;
    PullFlow& m_flow;
    bool m_wasPulling = false;

    QLabel* m_links = nullptr;
    QLabel* m_watched = nullptr;
    QLabel* m_verdict = nullptr;
    GateList* m_gates = nullptr;
    RecorderState m_spokenState = RecorderState::Off;
    NumberField *m_temperature = nullptr, *m_pressure = nullptr, *m_humidity = nullptr;
    QCheckBox* m_weatherByHand = nullptr;
    QLabel* m_weatherFrom = nullptr;
    QLabel *m_speed = nullptr, *m_value = nullptr, *m_valueUnit = nullptr, *m_state = nullptr;
    Board* m_board = nullptr;
    Board* m_speedBoard = nullptr; ///< over time, until there is a curve to show
    LiveTrail m_trail;
    QElapsedTimer m_trailClock;
    QToolButton* m_begin = nullptr;
    QLabel *m_next = nullptr, *m_advice = nullptr, *m_settling = nullptr;
    SlipPanel* m_slip = nullptr;
};

} // namespace hillrun
