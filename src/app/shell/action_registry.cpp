// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/action_registry.h"

#include <QWidget>
#include <stdexcept>

using namespace Qt::StringLiterals;

namespace hillrun {

ActionRegistry::ActionRegistry(QWidget* window) : QObject(window), m_window(window) {}

QAction* ActionRegistry::add(const ActionSpec& spec, QObject* context, const std::function<void()>& run) {
    for (const QAction* known : m_actions) {
        if (known->objectName() == QLatin1StringView(spec.id))
            throw std::logic_error(std::string("two actions are named ") + spec.id);
        for (const QKeySequence& keys : spec.also + QList<QKeySequence>{spec.shortcut})
            if (!keys.isEmpty() && known->shortcuts().contains(keys))
                throw std::logic_error(std::string("two actions share a shortcut of ") + spec.id);
    }
    auto* action = new QAction(spec.text, m_window);
    action->setObjectName(QLatin1StringView(spec.id));
    action->setShortcuts((spec.shortcut.isEmpty() ? QList<QKeySequence>() : QList{spec.shortcut}) + spec.also);
    const QString keys = spec.shortcut.toString(QKeySequence::NativeText);
    const QString tip = spec.tip.isEmpty() ? spec.text : spec.tip;
    action->setToolTip(keys.isEmpty() ? tip : u"%1 (%2)"_s.arg(tip, keys));
    connect(action, &QAction::triggered, context, run);
    m_window->addAction(action);
    m_actions.push_back(action);
    return action;
}

QAction* ActionRegistry::get(const char* id) const {
    for (QAction* action : m_actions)
        if (action->objectName() == QLatin1StringView(id))
            return action;
    throw std::logic_error(std::string("no action is named ") + id);
}

} // namespace hillrun
