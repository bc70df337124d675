// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/logbook_link.h"
#include "app/look/theme.h"
#include "core/day/build_of_day.h"

#include <optional>
#include <QAction>
#include <QComboBox>
#include <QLabel>

namespace hillrun {

/// Two builds of different days beside each other; further chosen days join them.
class BesidePanel : public QWidget {
    Q_OBJECT
public:
    /// `besideToday`: the action that puts the chosen build beside today's.
    BesidePanel(LogbookLink& link, QAction* besideToday, QWidget* parent);
    /// The build that would be put beside today's; nothing while no day is chosen.
    [[nodiscard]] std::optional<BuildOfDay> chosen() const;
    /// The days that are chosen in the list; two and more are put beside each other.
    void setDays(const std::vector<FoundDay>& days);

Q_SIGNALS:
    /// What can be said; empty words while fewer than two days are chosen.
    void answered(const QString& words, const QString& notes, bool proven);

private:
    void fill();
    void ask();
    LogbookLink& m_link;
    std::vector<FoundDay> m_days;
    QComboBox* m_from = nullptr;
    QComboBox* m_to = nullptr;
    QLabel* m_hint = nullptr;
    QWidget* m_besideToday = nullptr;
    quint64 m_question = 0;
};

} // namespace hillrun
