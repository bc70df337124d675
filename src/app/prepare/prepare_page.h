// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/other_days.h"
#include "app/frame/page.h"
#include "app/look/theme.h"
#include "app/prepare/article_panel.h"
#include "app/prepare/order_panel.h"
#include "app/prepare/start_panel.h"

#include <QBoxLayout>
#include <QStackedLayout>
#include <QWidget>

namespace hillrun {

/// What is to be found out, with what, in which order, and how: the day before its first pull.
class PreparePage : public PageView {
    Q_OBJECT
public:
    PreparePage(DayDocument& document, Look& look, ActionRegistry& actions, Dialogs& dialogs, OtherDays& otherDays,
                QWidget* parent = nullptr);
    void editArticle() { m_article->editArticle(); }
    [[nodiscard]] StartPanel& start() { return *m_start; }
    [[nodiscard]] OrderStrip& order() { return m_order->strip(); }

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    QWidget* makeWhole();
    QWidget* makeChanges();
    void foldBelow();
    DayDocument& m_document;
    Look& m_look;
    Dialogs& m_dialogs;
    OtherDays& m_otherDays;
    QAction* m_use;
    QAction* m_earlier;                ///< looks for a build of another day
    ArticlePanel* m_article = nullptr; ///< and what follows: null until a day is open
    OrderPanel* m_order = nullptr;
    QBoxLayout* m_below = nullptr;
    StartPanel* m_start = nullptr;
    QStackedLayout* m_stack = nullptr;
};

} // namespace hillrun
