// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"

#include <QGridLayout>

namespace hillrun {

/// The windows that temperatures must be in when a pull starts.
class WindowsPanel : public QWidget {
    Q_OBJECT
public:
    explicit WindowsPanel(DayDocument& document, QWidget* parent = nullptr);

private:
    void refresh();
    void addWindow();
    void addRow(size_t number, const ControlWindow& window);
    DayDocument& m_document;
    QWidget* m_windows = nullptr;
    QGridLayout* m_grid = nullptr;
    std::vector<std::string> m_shown; ///< channels of the rows
    std::vector<std::pair<NumberField*, NumberField*>> m_fields;
};

} // namespace hillrun
