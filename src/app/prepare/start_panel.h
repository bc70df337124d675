// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/files/start_days.h"
#include "app/frame/action_registry.h"

#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace hillrun {

/// What a window without a day offers: the last day again, days opened before, the demo days, a new day, a tour.
class StartPanel : public QWidget {
    Q_OBJECT
public:
    explicit StartPanel(ActionRegistry& actions, QWidget* parent = nullptr);
    void setRecent(const QStringList& paths); ///< newest first; those that are gone are left out

Q_SIGNALS:
    void dayChosen(const QString& path, bool demo);

private:
    QWidget* makeList(const QString& title, const std::vector<StartDay>& days, const QString& name);
    QPushButton* dayButton(const StartDay& day, const QString& name, QWidget* parent);

    QVBoxLayout* m_recent = nullptr;
    QWidget* m_recentPanel = nullptr;
};

} // namespace hillrun
