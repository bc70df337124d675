// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/start_panel.h"

#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QFileInfo>
#include <QPushButton>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kMostRecent = 5;

} // namespace

StartPanel::StartPanel(ActionRegistry& actions, QWidget* parent) : QWidget(parent) {
    setObjectName(u"startPanel"_s);
    auto* column = new QVBoxLayout(this);
    column->setSpacing(px(10));
    column->addStretch(2);
    auto* words = new PlainLabel(tr("What do you want to find out today?"), this);
    words->setAlignment(Qt::AlignCenter);
    words->setStyleSheet(scaledSheet(u"font-size: 22px; font-weight: bold;"_s));
    auto* more = new PlainLabel(tr("Begin a day with its builds and the order of its pulls, or open one."), this);
    more->setAlignment(Qt::AlignCenter);
    more->setProperty("quiet", true);
    column->addWidget(words);
    column->addWidget(more);
    auto* row = new QHBoxLayout;
    row->addStretch(1);
    for (const char* id : {"day.new", "day.open", "day.import", "help.tour"}) {
        auto* button = new QToolButton(this);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_start"_s);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        row->addWidget(button);
    }
    row->addStretch(1);
    column->addLayout(row);
    auto* lists = new QHBoxLayout;
    lists->setSpacing(px(8));
    lists->addStretch(1);
    m_recentPanel = makeList(tr("Days opened before"), {}, u"recentDay"_s);
    lists->addWidget(m_recentPanel, 0, Qt::AlignTop);
    const auto demos = demoDays();
    QWidget* demoPanel = makeList(tr("Demo days, invented"), demos, u"demoDay"_s);
    demoPanel->setVisible(!demos.empty());
    lists->addWidget(demoPanel, 0, Qt::AlignTop);
    lists->addStretch(1);
    column->addLayout(lists);
    column->addStretch(3);
    setRecent({});
}

QWidget* StartPanel::makeList(const QString& title, const std::vector<StartDay>& days, const QString& name) {
    const Panel panel = makePanel(title, this);
    panel.frame->setMinimumWidth(px(320));
    for (size_t i = 0; i < days.size(); ++i)
        panel.column->addWidget(dayButton(days[i], name + QString::number(i), panel.frame));
    if (days.empty())
        m_recent = panel.column;
    return panel.frame;
}

QPushButton* StartPanel::dayButton(const StartDay& day, const QString& name, QWidget* parent) {
    auto* out = new QPushButton(day.title, parent);
    out->setObjectName(name);
    out->setToolTip(day.path);
    connect(out, &QPushButton::clicked, this, [this, day] { Q_EMIT dayChosen(day.path, day.demo); });
    return out;
}

void StartPanel::setRecent(const QStringList& paths) {
    while (m_recent->count() > 1) { // the title stays
        delete m_recent->itemAt(1)->widget();
    }
    int shown = 0;
    for (const QString& path : paths) {
        if (shown == kMostRecent || !QFileInfo::exists(path))
            continue;
        QPushButton* button = dayButton({nameOfDay(path), path, false}, u"recentDay%1"_s.arg(shown), m_recentPanel);
        if (shown == 0) {
            button->setText(tr("Go on with %1").arg(button->text()));
            button->setProperty("main", true);
        }
        m_recent->addWidget(button);
        ++shown;
    }
    m_recentPanel->setVisible(shown > 0);
}

} // namespace hillrun
