// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <functional>
#include <QAction>
#include <QKeySequence>
#include <QObject>
#include <vector>

namespace hillrun {

/// An action as it is declared: everything a menu, a tooltip and the command search need.
struct ActionSpec {
    const char* id; ///< "compare.swap"
    QString text;
    QKeySequence shortcut;
    QString tip;
    QList<QKeySequence> also = {}; ///< more keys for the same
};

/// All actions of the window. Refuses a second action of the same id and a shortcut that is taken.
class ActionRegistry : public QObject {
    Q_OBJECT
public:
    explicit ActionRegistry(QWidget* window);
    QAction* add(const ActionSpec& spec, QObject* context, const std::function<void()>& run);
    /// The action of that id; it must be there.
    [[nodiscard]] QAction* get(const char* id) const;
    [[nodiscard]] const std::vector<QAction*>& all() const { return m_actions; }

private:
    QWidget* m_window;
    std::vector<QAction*> m_actions;
};

} // namespace hillrun
