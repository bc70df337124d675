// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/protocol_panel.h"

#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/gear_check.h"

#include <cmath>
#include <QGridLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// One gear with its speed; the best one has a mark, one that is too fast says so.
QString gearLine(const GearRow& row, bool best) {
    const QString text = QObject::tr("%1: %2\u00A0km/h").arg(row.gear).arg(std::lround(row.speedAtEnd_kmh));
    if (!row.over.empty())
        return QObject::tr("%1\u00A0(too\u00A0"
                           "fast)")
            .arg(text);
    return best ? u"\u25B8\u00A0"_s + text : text;
}

} // namespace

ProtocolPanel::ProtocolPanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(makeProtocol());
    connect(&m_document, &DayDocument::dayChanged, this, &ProtocolPanel::refresh);
    refresh();
}

template <class Change> void ProtocolPanel::bind(NumberField* field, const QString& what, Change change) {
    connect(field, &NumberField::edited, this, [this, what, change](std::optional<double> value) {
        m_document.edit(
            what, [&](TestDay& day) { change(day.plan, value); }, u"protocol "_s + what);
    });
}

QWidget* ProtocolPanel::makeProtocol() {
    const Panel panel = makePanel(tr("Each pull"), this);
    QWidget* f = panel.frame;
    m_start = new NumberField(u"startField"_s, tr("Start speed"), 100, 30000, 0, u"rpm"_s, f);
    m_end = new NumberField(u"endField"_s, tr("End speed"), 200, 30000, 0, u"rpm"_s, f);
    m_rate = new NumberField(u"rateField"_s, tr("Ramp"), 5, 5000, 0, u"rpm/s"_s, f);
    m_gear = new NumberField(u"gearField"_s, tr("Gear"), 1, 20, 0, {}, f);
    m_coolDown = new NumberField(u"coolDownField"_s, tr("Cool-down"), 0, 120, 1, u"min"_s, f);
    m_change = new NumberField(u"changeField"_s, tr("Time to change a build"), 0, 600, 0, u"min"_s, f);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(10));
    grid->setVerticalSpacing(px(4));
    grid->addWidget(labelled(tr("from"), m_start, f), 0, 0);
    grid->addWidget(labelled(tr("to"), m_end, f), 0, 1);
    grid->addWidget(labelled(tr("ramp"), m_rate, f), 0, 2);
    grid->addWidget(labelled(tr("gear"), m_gear, f), 1, 0);
    grid->addWidget(labelled(tr("cool-down"), m_coolDown, f), 1, 1);
    grid->addWidget(labelled(tr("change a build"), m_change, f), 1, 2);
    panel.column->addLayout(grid);
    m_gears = quietLabel(u"gearTable"_s, f);
    m_gearAdvice = quietLabel(u"gearAdvice"_s, f);
    panel.column->addWidget(m_gears);
    panel.column->addWidget(m_gearAdvice);
    bind(m_start, tr("Change the start speed"), [](Plan& plan, auto value) { plan.protocol.start_rpm = value; });
    bind(m_end, tr("Change the end speed"), [](Plan& plan, auto value) { plan.protocol.end_rpm = value; });
    bind(m_rate, tr("Change the ramp"), [](Plan& plan, auto value) { plan.protocol.rate_rpm_per_s = value; });
    bind(m_gear, tr("Change the gear"), [](Plan& plan, std::optional<double> value) {
        plan.protocol.gear = value ? std::optional(static_cast<int>(std::lround(*value))) : std::nullopt;
    });
    bind(m_coolDown, tr("Change the cool-down"), [](Plan& plan, auto value) { plan.coolDown_min = value; });
    bind(m_change, tr("Change the time for a change"), [](Plan& plan, auto value) { plan.change_min = value; });
    return panel.frame;
}

void ProtocolPanel::refresh() {
    const TestDay& day = m_document.day();
    const PullProtocol& p = day.plan.protocol;
    m_start->show(p.start_rpm);
    m_end->show(p.end_rpm);
    m_rate->show(p.rate_rpm_per_s);
    m_gear->show(p.gear);
    m_coolDown->show(day.plan.coolDown_min);
    m_change->show(day.plan.change_min);
    const GearCheck check = checkGears(day);
    QStringList gears;
    for (const GearRow& row : check.rows)
        gears << gearLine(row, row.gear == check.best);
    m_gears->setVisible(!gears.isEmpty());
    m_gears->setText(tr("At %1 rpm: ").arg(std::lround(check.end_rpm)) + gears.join(u" \u00B7 "_s));
    setWarning(m_gearAdvice, !check.warning.empty());
    m_gearAdvice->setText(qs(check.warning.empty() ? check.why : check.warning));
}

} // namespace hillrun
