// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/action_registry.h"

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>

namespace hillrun {

/// Type a few letters of what you want to do, press Enter.
class CommandSearch : public QDialog {
    Q_OBJECT
public:
    CommandSearch(const ActionRegistry& actions, QWidget* parent);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void refill(const QString& words);
    void runCurrent();

    const ActionRegistry& m_actions;
    QLineEdit* m_words = nullptr;
    QListWidget* m_list = nullptr;
};

} // namespace hillrun
