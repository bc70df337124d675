// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/frame/answer_head.h"
#include "app/frame/page.h"
#include "app/look/fields.h"
#include "app/road/road_content.h"
#include "app/road/timed_run_panel.h"
#include "core/road/day_road.h"
#include "core/road/held_speed.h"

#include <array>
#include <QComboBox>

namespace hillrun {

/// What a curve is worth where it is driven: vehicle and course at the left, at the right both builds along the way,
/// where time is won, and the best shift speeds.
class RoadPage : public PageView {
    Q_OBJECT
public:
    RoadPage(const Workplace& at, QWidget* parent = nullptr);
    /// A course out of a file.
    void chooseFile();
    /// The time at full throttle becomes what the builds are wanted for.
    void takeAsUse();
    [[nodiscard]] const DayRoad& road() const { return m_road; }
    [[nodiscard]] const std::optional<HeldAnswer>& held() const { return m_held; }
    [[nodiscard]] bool canCopy() const override;
    void copyPicture() const override;
    void copyTable() const override;

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeLeft();
    QWidget* makeRight();
    QWidget* makeHeld(QWidget* parent);
    void takeCourse(const QString& nameOrFile);
    void takeHeld();
    void drive(const Course& course);
    void fit(FittedNumber what, const TimedRun& timed);
    void refresh();
    void refreshCourses();
    void refreshBoards();
    void refreshHeldBoards();
    void refreshAnswer();
    void showRows(const std::vector<RoadRow>& rows);
    [[nodiscard]] QString answerWords() const;
    void refreshCursor(double distance_m);
    /// The pair looked at, else the first of the day; null when no two builds arrive.
    [[nodiscard]] const RoadDifference* shown() const;
    [[nodiscard]] const HeldDifference* shownHeld() const;
    [[nodiscard]] std::string from() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    ActionRegistry& m_actions;
    Dialogs& m_dialogs;
    DayRoad m_road;
    std::optional<HeldAnswer> m_held; ///< of one speed held; then nothing is driven
    AnswerHead* m_head = nullptr;
    QComboBox* m_courses = nullptr;
    QWidget* m_heldRow = nullptr;
    NumberField *m_heldRpm = nullptr, *m_heldHalf = nullptr;
    QWidget* m_vehicle = nullptr;
    TimedRunPanel* m_timed = nullptr;
    QLabel* m_taken = nullptr;
    QFrame* m_boards = nullptr;
    Board* m_speed = nullptr;
    Board* m_lead = nullptr;
    std::array<QLabel*, 3> m_columns{}; ///< of the table below the boards
    QLabel* m_shifts = nullptr;
};

/// Road, as the window knows it.
PageSpec roadSpec();

} // namespace hillrun
