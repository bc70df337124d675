// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/shell/action_registry.h"

#include <filesystem>
#include <QVBoxLayout>
#include <QWidget>

namespace hillrun {

/// A day that can be opened from the start panel.
struct StartDay {
    QString title; ///< its name, or its folder's
    QString path;
    bool demo = false;
};

/// The invented days that ship with the program, by name; empty where they are not installed.
std::vector<StartDay> demoDays();

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
