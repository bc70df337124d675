// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/theme.h"
#include "core/compare/analyse.h"
#include "core/units/units.h"

#include <QComboBox>
#include <QFrame>
#include <QLabel>

namespace hillrun {

/// One of the two builds of a comparison: letter, name, pulls, peak; another build can be chosen.
class BuildCard : public QFrame {
    Q_OBJECT
public:
    BuildCard(Look& look, const QString& role, const QString& name, QWidget* parent = nullptr);
    void show(const TestDay& day, const DayAnalysis* analysis, const std::string& build, const DisplayUnits& units);
    using QFrame::show;

Q_SIGNALS:
    void buildChosen(const QString& build);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    Look& m_look;
    size_t m_number = 0;
    QComboBox* m_choice = nullptr;
    QLabel* m_facts = nullptr;
};

} // namespace hillrun
