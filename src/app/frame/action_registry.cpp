// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/action_registry.h"

#include <algorithm>
#include <QWidget>
#include <stdexcept>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

bool overlap(std::string_view a, std::string_view b) { return a.empty() || b.empty() || a == b; }

bool clash(const QList<QKeySequence>& keys, const ActionScope& scope, const QList<QKeySequence>& others,
           const ActionScope& otherScope) {
    return overlap(scope.page, otherScope.page) && overlap(scope.focus, otherScope.focus) &&
           std::any_of(keys.begin(), keys.end(), [&](const QKeySequence& one) { return others.contains(one); });
}

bool holds(const ActionSpec& spec, const WindowState& state) {
    const bool here = (spec.scope.page.empty() || spec.scope.page == state.page) &&
                      (spec.scope.focus.empty() || spec.scope.focus == state.focus);
    return here && (!spec.edits || state.mayEdit) && (!spec.rule || spec.rule(state));
}

} // namespace

ActionRegistry::ActionRegistry(QWidget* window) : QObject(window), m_window(window) {}

void ActionRegistry::refuseClash(const QList<QKeySequence>& keys, const ActionScope& scope,
                                 const std::string& whose) const {
    for (const Entry& known : m_entries)
        if (clash(keys, scope, known.spec.keys, known.spec.scope))
            throw std::logic_error(whose + " takes a key of " + known.spec.id);
    for (const WidgetKeys& known : m_widgetKeys)
        if (clash(keys, scope, known.keys, known.scope))
            throw std::logic_error(whose + " takes a key of a widget: " + known.what.toStdString());
}

QAction* ActionRegistry::add(const ActionSpec& spec, QObject* context, const std::function<void()>& run) {
    for (const Entry& known : m_entries)
        if (known.spec.id == spec.id)
            throw std::logic_error("two actions are named " + spec.id);
    refuseClash(spec.keys, spec.scope, spec.id);
    auto* action = new QAction(spec.text, this);
    action->setObjectName(QString::fromStdString(spec.id));
    action->setShortcuts(spec.keys);
    const QString keys = action->shortcut().toString(QKeySequence::NativeText);
    const QString tip = spec.tip.isEmpty() ? spec.text : spec.tip;
    action->setToolTip(keys.isEmpty() ? tip : u"%1 (%2)"_s.arg(tip, keys));
    connect(action, &QAction::triggered, context, run);
    m_window->addAction(action);
    m_entries.push_back({spec, action});
    return action;
}

void ActionRegistry::note(const WidgetKeys& keys) {
    refuseClash(keys.keys, keys.scope, keys.what.toStdString());
    m_widgetKeys.push_back(keys);
}

QAction* ActionRegistry::find(std::string_view id) const {
    const auto at =
        std::find_if(m_entries.begin(), m_entries.end(), [&](const Entry& one) { return one.spec.id == id; });
    return at == m_entries.end() ? nullptr : at->action;
}

const ActionRegistry::Entry& ActionRegistry::entry(std::string_view id) const {
    for (const Entry& one : m_entries)
        if (one.spec.id == id)
            return one;
    throw std::logic_error("no action is named " + std::string(id));
}

QAction* ActionRegistry::get(std::string_view id) const { return entry(id).action; }

std::vector<QAction*> ActionRegistry::all() const {
    std::vector<QAction*> out;
    for (const Entry& one : m_entries)
        out.push_back(one.action);
    return out;
}

bool ActionRegistry::enabled(std::string_view id, const WindowState& state) const {
    return holds(entry(id).spec, state);
}

void ActionRegistry::refresh(const WindowState& state) {
    for (const Entry& one : m_entries) {
        one.action->setEnabled(holds(one.spec, state));
        if (one.spec.textNow)
            one.action->setText(one.spec.textNow());
    }
}

} // namespace hillrun
