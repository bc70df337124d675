// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"

#include <QComboBox>

namespace hillrun {

/// The list of curves that can be compared: power, torque, and whatever else two builds of the day have.
class CurveChoice : public QComboBox {
    Q_OBJECT
public:
    CurveChoice(DayDocument& document, Selection& selection, const QString& name, QWidget* parent);
    /// What the day has, made once for each answer; the one that is looked at is chosen.
    void refresh();

private:
    void choose(const QString& id);

    DayDocument& m_document;
    Selection& m_selection;
    std::weak_ptr<const DayAnalysis> m_offeredOf; ///< that the list was made from
};

} // namespace hillrun
