// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/frame/dialogs.h"
#include "app/look/fields.h"

#include <QCheckBox>

namespace hillrun {

/// Cautions to tick before the first pull. Who ticked and when is kept with the day.
class CautionsPanel : public QWidget {
    Q_OBJECT
public:
    CautionsPanel(DayDocument& document, Dialogs& dialogs, QWidget* parent = nullptr);

private:
    void tick(const std::string& id, bool on);
    void refresh();
    DayDocument& m_document;
    Dialogs& m_dialogs;
    QVBoxLayout* m_list = nullptr;
    QLabel* m_state = nullptr;
    std::vector<std::pair<std::string, QCheckBox*>> m_boxes;
};

} // namespace hillrun
