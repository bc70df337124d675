// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/page.h"
#include "app/look/theme.h"

#include <QToolButton>
#include <QWidget>

namespace hillrun {

/// The steps of the work as verbs, top to bottom.
class StepRail : public QWidget {
    Q_OBJECT
public:
    StepRail(Look& look, const std::vector<PageSpec>& pages, const ActionRegistry& actions, QWidget* parent = nullptr);
    void setCurrent(int step);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void refreshIcons();
    Look& m_look;
    std::vector<std::pair<QToolButton*, QString>> m_steps; ///< with the icon's name
    int m_current = -1;
};

} // namespace hillrun
