// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/doubt_answers.h"

#include <QWidget>

namespace hillrun {

/// What can be done about what weakens a comparison: the pull that shortens its range, weather that cannot be, a base
/// that was still settling, too few repeats. One button each.
class PairOffers : public QWidget {
    Q_OBJECT
public:
    PairOffers(DayDocument& document, QWidget* parent = nullptr);
    /// `earlier`: what the cell's earlier days repeat within.
    void show(const DayAnalysis* analysis, const Comparison* comparison, const EarlierRepeats& earlier);
    using QWidget::show;

private:
    void add(const QString& name, const DoubtAnswer& answer);

    DayDocument& m_document;
};

} // namespace hillrun
