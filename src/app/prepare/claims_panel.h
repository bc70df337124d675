// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/other_days.h"
#include "app/look/fields.h"

#include <QGridLayout>
#include <QPushButton>
#include <QToolButton>
#include <QWidget>

namespace hillrun {

/// What will be claimed, said before the pulls: pairs named beforehand, the speeds that count, a bound on drift,
/// what fitting a build again adds, and whether earlier days count in where today has too few repeats.
class ClaimsPanel : public QWidget {
    Q_OBJECT
public:
    /// `use`: the action that asks for the use, and says it.
    ClaimsPanel(DayDocument& document, OtherDays& otherDays, QAction* use, QWidget* parent = nullptr);

private:
    void refresh();
    void refreshPairs();
    QWidget* makeRefit();
    QToolButton* makeEarlier();
    void togglePair(const std::pair<std::string, std::string>& pair, bool on);

    DayDocument& m_document;
    OtherDays& m_otherDays;
    QWidget* m_pairs = nullptr;
    QGridLayout* m_grid = nullptr;
    std::vector<std::pair<std::string, std::string>> m_shown; ///< the pairs that have a button
    NumberField* m_bound = nullptr;
    NumberField* m_refit = nullptr;
    QPushButton* m_learned = nullptr;
    QToolButton* m_earlier = nullptr;
};

} // namespace hillrun
