// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/road/timed_run_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "core/units/road_speed.h"

#include <QGridLayout>
#include <QPushButton>

using namespace Qt::StringLiterals;

namespace hillrun {

TimedRunPanel::TimedRunPanel(QWidget* parent) : QWidget(parent) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("A run that was timed"), this);
    column->addWidget(panel.frame);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(10));
    grid->setVerticalSpacing(px(4));
    m_time = new NumberField(u"timedTime"_s, tr("time"), 0.1, 86400, 2, u"s"_s, panel.frame);
    m_endSpeed = new NumberField(u"timedEndSpeed"_s, tr("speed at its end"), 1, 600, 1, u"km/h"_s, panel.frame);
    m_what = new QComboBox(panel.frame);
    m_what->setObjectName(u"timedWhat"_s);
    m_what->setAccessibleName(tr("What is fitted to it"));
    m_what->addItems({tr("drag area"), tr("launch")});
    auto* button = new QPushButton(tr("Fit"), panel.frame);
    button->setObjectName(u"timedFit"_s);
    grid->addWidget(labelled(tr("time"), m_time, panel.frame), 0, 0);
    grid->addWidget(labelled(tr("speed at its end"), m_endSpeed, panel.frame), 0, 1);
    grid->addWidget(labelled(tr("what is fitted"), m_what, panel.frame), 1, 0);
    grid->addWidget(button, 1, 1, Qt::AlignBottom);
    panel.column->addLayout(grid);
    m_said = quietLabel(u"timedSaid"_s, panel.frame);
    m_said->hide();
    panel.column->addWidget(m_said);
    connect(button, &QPushButton::clicked, this, [this] {
        const auto speed_kmh = m_endSpeed->number();
        Q_EMIT wanted(static_cast<FittedNumber>(m_what->currentIndex()),
                      {m_time->number(), speed_kmh ? std::optional(*speed_kmh / kKmhPerMs) : std::nullopt});
    });
}

void TimedRunPanel::say(const QString& words) {
    m_said->setText(words);
    m_said->setVisible(!words.isEmpty());
}

} // namespace hillrun
