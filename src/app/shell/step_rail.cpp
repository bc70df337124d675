// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/step_rail.h"

#include "app/look/scale.h"

#include <QVBoxLayout>
#include <utility>

using namespace Qt::StringLiterals;

namespace hillrun {

StepRail::StepRail(Look& look, const std::vector<PageSpec>& pages, const ActionRegistry& actions, QWidget* parent)
    : QWidget(parent), m_look(look) {
    setObjectName(u"stepRail"_s);
    setAttribute(Qt::WA_StyledBackground);
    setFixedWidth(px(92));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, px(8), 1, px(8));
    column->setSpacing(px(2));
    bool apart = false;
    for (const PageSpec& page : pages) {
        const QString step = QString::fromStdString(std::string(page.id));
        const QAction* action = actions.get("page." + std::string(page.id));
        auto* button = new QToolButton(this);
        button->setObjectName(u"step_"_s + step);
        button->setProperty("step", true);
        button->setText(action->text());
        button->setToolTip(action->toolTip());
        button->setAccessibleName(action->text());
        button->setCheckable(true);
        button->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
        button->setIconSize({px(22), px(22)});
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        connect(button, &QToolButton::clicked, action, &QAction::trigger);
        if (page.besideTheDay && !std::exchange(apart, true))
            column->addStretch(1);
        column->addWidget(button);
        m_steps.emplace_back(button, step);
    }
    connect(&m_look, &Look::changed, this, &StepRail::refreshIcons);
    refreshIcons();
}

void StepRail::setCurrent(int step) {
    m_current = step;
    for (size_t i = 0; i < m_steps.size(); ++i)
        m_steps[i].first->setChecked(static_cast<int>(i) == step);
    refreshIcons();
}

/// Where the window is low the steps stand without their drawings.
void StepRail::resizeEvent(QResizeEvent* event) {
    const auto needed = [this] {
        int out = 2 * px(8);
        for (const auto& [button, name] : m_steps)
            out += button->sizeHint().height() + layout()->spacing();
        return out;
    };
    for (const auto& [button, name] : m_steps)
        button->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
    if (needed() > event->size().height())
        for (const auto& [button, name] : m_steps)
            button->setToolButtonStyle(Qt::ToolButtonTextOnly);
    layout()->activate(); // it was laid out for the style before
    QWidget::resizeEvent(event);
}

void StepRail::refreshIcons() {
    const Theme& t = m_look.theme();
    for (size_t i = 0; i < m_steps.size(); ++i)
        m_steps[i].first->setIcon(
            m_look.icon(m_steps[i].second, static_cast<int>(i) == m_current ? t.mark : t.quietInk));
}

} // namespace hillrun
