// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/action_registry.h"

#include <QFrame>
#include <QLabel>
#include <QPointer>
#include <QPushButton>

namespace hillrun {

/// Leads through the window in a few stops: one frame of words beside the thing it is about. Escape leaves it.
class Tour : public QFrame {
    Q_OBJECT
public:
    Tour(ActionRegistry& actions, const QColor& mark, QWidget* window);
    void begin();
    [[nodiscard]] int stop() const { return m_stop; }
    [[nodiscard]] static int stops();

protected:
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void show(int stop);
    void place();
    void follow(QWidget* what);

    ActionRegistry& m_actions;
    QFrame* m_ring; ///< around what is spoken of
    QLabel* m_words;
    QLabel* m_count;
    QPushButton *m_back, *m_next;
    int m_stop = 0;
    QPointer<QWidget> m_about;
};

} // namespace hillrun
