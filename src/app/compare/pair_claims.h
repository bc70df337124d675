// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/look/fields.h"

#include <QCheckBox>

namespace hillrun {

/// What is claimed of the pair that is looked at: whether it was named beforehand, and what difference matters. Both
/// belong to the day.
class PairClaims : public QWidget {
    Q_OBJECT
public:
    PairClaims(DayDocument& document, Selection& selection, QWidget* parent);
    void refresh(bool compared); ///< the pair has an answer

private:
    void name(bool on);

    DayDocument& m_document;
    Selection& m_selection;
    QCheckBox* m_named = nullptr;
    NumberField* m_matters = nullptr;
};

} // namespace hillrun
