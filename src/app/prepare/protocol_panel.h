// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"

namespace hillrun {

/// How each pull is made, and in which gear.
class ProtocolPanel : public QWidget {
    Q_OBJECT
public:
    ProtocolPanel(DayDocument& document, QWidget* parent = nullptr);

private:
    QWidget* makeProtocol();
    void refresh();
    template <class Change> void bind(NumberField* field, const QString& what, Change change);

    DayDocument& m_document;
    NumberField *m_start = nullptr, *m_end = nullptr, *m_rate = nullptr, *m_gear = nullptr, *m_coolDown = nullptr,
                *m_change = nullptr;
    QLabel* m_gears = nullptr;
    QLabel* m_gearAdvice = nullptr;
};

} // namespace hillrun
