// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/other_days.h"
#include "app/frame/dialogs.h"
#include "app/prepare/order_strip.h"

#include <QComboBox>
#include <QPushButton>
#include <QSpinBox>

namespace hillrun {

/// The order of the pulls from a design, what is weak in it, and what it can see.
class OrderPanel : public QWidget {
    Q_OBJECT
public:
    OrderPanel(DayDocument& document, Look& look, Dialogs& dialogs, OtherDays& otherDays, QAction* use,
               QAction* earlier, QWidget* parent = nullptr);
    [[nodiscard]] OrderStrip& strip() { return *m_strip; }

private:
    QWidget* makeOrder(Look& look, OtherDays& otherDays, QAction* use);
    void chooseDesign(int index);
    void setPullsPerSet(int pulls);
    void refresh();
    void refreshDesigns();

    DayDocument& m_document;
    Dialogs& m_dialogs;
    QComboBox* m_design = nullptr;
    QSpinBox* m_pullsPerSet = nullptr;
    OrderStrip* m_strip = nullptr;
    QLabel* m_weakness = nullptr;
};

} // namespace hillrun
