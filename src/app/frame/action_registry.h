// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/window_state.h"

#include <functional>
#include <QAction>
#include <QKeySequence>
#include <QObject>
#include <string>
#include <vector>

namespace hillrun {

/// Where a key or an action counts. What is left empty is meant everywhere.
struct ActionScope {
    PageId page{};
    std::string_view focus{}; ///< name of the widget that must have the focus
};

/// An action as it is declared: everything that a menu, a tooltip, the command search and the sheet of keys need, and
/// when it makes sense.
struct ActionSpec {
    std::string id; ///< "compare.swap"
    QString text;
    QList<QKeySequence> keys{}; ///< the first is the one that is shown
    QString tip{};
    ActionScope scope{};
    bool edits = false;                         ///< needs a day that may be written here
    bool (*rule)(const WindowState&) = nullptr; ///< what it needs besides; none: nothing
    std::function<QString()> textNow{};         ///< its text when that changes
};

/// Keys that a widget with the focus takes for itself, such as the arrows of a board; no commands.
struct WidgetKeys {
    QList<QKeySequence> keys;
    QString what;
    ActionScope scope; ///< a page, or a window of its own such as "import"
};

/// All actions of the window and all other keys. Refuses a second action of the same id, and a key that would mean two
/// things at one place (std::logic_error).
class ActionRegistry : public QObject {
    Q_OBJECT
public:
    explicit ActionRegistry(QWidget* window);
    QAction* add(const ActionSpec& spec, QObject* context, const std::function<void()>& run);
    void note(const WidgetKeys& keys);
    /// The action of that id; it must be there.
    [[nodiscard]] QAction* get(std::string_view id) const;
    [[nodiscard]] std::vector<QAction*> all() const;
    [[nodiscard]] const std::vector<WidgetKeys>& widgetKeys() const { return m_widgetKeys; }
    /// The same; null when there is none.
    [[nodiscard]] QAction* find(std::string_view id) const;
    [[nodiscard]] ActionScope scope(std::string_view id) const { return entry(id).spec.scope; }
    /// What dialogs are put over.
    [[nodiscard]] QWidget* window() const { return m_window; }
    [[nodiscard]] bool enabled(std::string_view id, const WindowState& state) const;
    /// Which actions can be used now, and how they are called.
    void refresh(const WindowState& state);

private:
    struct Entry {
        ActionSpec spec;
        QAction* action;
    };
    [[nodiscard]] const Entry& entry(std::string_view id) const;
    void refuseClash(const QList<QKeySequence>& keys, const ActionScope& scope, const std::string& whose) const;

    QWidget* m_window;
    std::vector<Entry> m_entries;
    std::vector<WidgetKeys> m_widgetKeys;
};

} // namespace hillrun
