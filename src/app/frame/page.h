// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/logbook_link.h"
#include "app/document/other_days.h"
#include "app/document/pull_flow.h"
#include "app/document/selection.h"
#include "app/frame/action_registry.h"
#include "app/frame/dialogs.h"
#include "app/frame/settings.h"
#include "app/frame/tone_player.h"
#include "app/look/theme.h"
#include "cell/cell_service.h"

#include <QWidget>

namespace hillrun {

class DayFiles;

/// A page as the window knows it. It reads the document and sends edits; what it can besides, it says here.
class PageView : public QWidget {
    Q_OBJECT
public:
    using QWidget::QWidget;
    /// Takes from the settings what concerns it: when it is made, and when they were changed.
    virtual void recall(const SettingsStore&) {}
    /// Keeps what it wants to find again.
    virtual void remember(SettingsStore&) const {}
    /// Whether its picture and its table can be copied now.
    [[nodiscard]] virtual bool canCopy() const { return false; }
    virtual void copyPicture() const {}
    virtual void copyTable() const {}
};

/// The window as a page may use it.
class PageHost {
public:
    virtual ~PageHost() = default;
    /// The page of that id, made when it is first asked for.
    virtual PageView& page(PageId id) = 0;
    virtual void showPage(PageId id) = 0;
};

/// The page as what it is; the id and the class belong together in the page's spec.
template <class Page> Page& pageOf(PageHost& host, PageId id) { return static_cast<Page&>(host.page(id)); }

/// What pages and their actions work with.
struct Workplace {
    DayDocument& document;
    Selection& selection;
    Look& look;
    ActionRegistry& actions;
    Dialogs& dialogs;
    SettingsStore& settings;
    DayFiles& files;
    CellService& cell;
    TonePlayer& tones;
    PullFlow& flow;
    OtherDays& otherDays;
    LogbookLink& logbook;
    PageHost& host;
};

/// Everything the window needs to know of a page. All of them stand in `everyPage()`: a new page is a row there.
struct PageSpec {
    PageId id;     ///< also the name of its drawing and of its topic in the guide
    QString title; ///< a verb, on the rail
    QString tip;
    QList<QKeySequence> keys;
    bool besideTheDay = false; ///< no step of a day: stands apart on the rail
    PageView* (*make)(const Workplace&, QWidget* parent) = nullptr;
    /// Declares what can be done on it; the page itself need not be made yet.
    void (*declare)(const Workplace&) = nullptr;
};

} // namespace hillrun
