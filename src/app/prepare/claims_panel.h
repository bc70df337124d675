// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"

#include <QGridLayout>
#include <QToolButton>
#include <QWidget>

namespace hillrun {

/// What will be claimed, said before the pulls: pairs named beforehand, the speeds that count, a bound on drift.
class ClaimsPanel : public QWidget {
    Q_OBJECT
public:
    explicit ClaimsPanel(DayDocument& document, QWidget* parent = nullptr);

private:
    void refresh();
    void refreshPairs();
    void togglePair(const std::pair<std::string, std::string>& pair, bool on);
    void setUse();
    void showUse();

    DayDocument& m_document;
    QWidget* m_pairs = nullptr;
    QGridLayout* m_grid = nullptr;
    std::vector<std::pair<std::string, std::string>> m_shown; ///< the pairs that have a button
    std::optional<RpmRange> m_shownUse;                       ///< what the two fields were filled from last
    NumberField* m_useLow = nullptr;
    NumberField* m_useHigh = nullptr;
    NumberField* m_bound = nullptr;
};

} // namespace hillrun
