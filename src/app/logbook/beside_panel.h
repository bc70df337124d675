// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/logbook_link.h"
#include "app/look/theme.h"
#include "core/history/cell_history.h"

#include <QComboBox>
#include <QLabel>

namespace hillrun {

/// Two builds of different days beside each other; further chosen days join them.
class BesidePanel : public QWidget {
    Q_OBJECT
public:
    BesidePanel(LogbookLink& link, QWidget* parent);
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
    quint64 m_question = 0;
};

} // namespace hillrun
