// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/look/fields.h"

#include <QComboBox>
#include <vector>

namespace hillrun {

/// The article's vehicle as the road needs it: every number an edit of the day, open ones are taken as usual.
class VehiclePanel : public QWidget {
    Q_OBJECT
public:
    explicit VehiclePanel(DayDocument& document, QWidget* parent = nullptr);

private:
    struct Entry {
        NumberField* field = nullptr;
        std::optional<double> Vehicle::*value = nullptr;
    };
    void refresh();
    void bind(const Entry& entry, const QString& what);

    DayDocument& m_document;
    std::vector<Entry> m_entries;
    QComboBox* m_axle = nullptr;
};

} // namespace hillrun
