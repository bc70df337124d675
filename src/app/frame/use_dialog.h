// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/dialogs.h"
#include "app/frame/weight_bars.h"
#include "core/day/test_day.h"

#include <array>
#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <QRadioButton>

namespace hillrun {

class NumberField;

/// Asks what the builds are wanted for: it weights every average, the field and the credit.
class UseDialog : public QDialog {
    Q_OBJECT
public:
    /// `range_rpm`: the speeds that the day's pulls share, or will. `onCourse`: see `Dialogs::askUse`.
    UseDialog(const TestDay& day, const RpmRange& range_rpm, const SpeedsOnCourse& onCourse, Look& look,
              QWidget* parent);
    [[nodiscard]] WantedUse use() const;
    void accept() override; ///< not while what is typed cannot be meant

private:
    void addRange(QVBoxLayout& column);
    void addHeld(QVBoxLayout& column);
    void addGears(QVBoxLayout& column);
    void addCourses(QVBoxLayout& column);
    void addWeights(QVBoxLayout& column, Look& look);
    QRadioButton* addChoice(QVBoxLayout& column, const char* name, const QString& text,
                            std::initializer_list<QWidget*> beside);
    void showDay();
    void driveCourse();
    void refresh();
    [[nodiscard]] bool canBeMeant() const;

    const TestDay& m_day;
    RpmRange m_range;
    SpeedsOnCourse m_onCourse;
    std::array<QRadioButton*, 6> m_choices{}; ///< in the order of the alternatives of `WantedUse`; the last a course
    size_t m_made = 0;
    NumberField *m_low = nullptr, *m_high = nullptr, *m_held = nullptr, *m_half = nullptr;
    QComboBox* m_gear = nullptr;
    QLabel* m_gearRange = nullptr;
    std::vector<Course> m_courses; ///< as they are offered
    QComboBox* m_course = nullptr;
    QLabel* m_courseWords = nullptr;
    WantedUse m_ofCourse; ///< nothing until it is driven, and where it cannot be
    WeightBars* m_bars = nullptr;
    SpeedWeights m_given; ///< the day's own, finer than bars may be; until one is drawn
    QPushButton* m_ok = nullptr;
};

} // namespace hillrun
