// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/dyno_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/workbench/dyno_content.h"

#include <QGridLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kFirst_rpm = 6000.0;
constexpr double kFirst_kmh = 100.0;

/// Fields in two columns.
QGridLayout* addGrid(const Panel& panel) {
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(10));
    grid->setVerticalSpacing(px(4));
    panel.column->addLayout(grid);
    return grid;
}

} // namespace

DynoPanel::DynoPanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    setObjectName(u"dynoPanel"_s);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    for (QWidget* part : {makeGears(), makeRollers(), makeUnits()}) {
        auto* column = new QVBoxLayout;
        column->addWidget(part);
        column->addStretch(1);
        row->addLayout(column, 1);
    }
    connect(&m_document, &DayDocument::dayChanged, this, &DynoPanel::refreshGears);
    connect(&m_document, &DayDocument::dayChanged, this, &DynoPanel::refreshRollers);
    refreshGears();
    refreshRollers();
    refreshUnits();
}

QWidget* DynoPanel::makeGears() {
    const Panel panel = makePanel(tr("Gear and speed"), this);
    QGridLayout* grid = addGrid(panel);
    m_rpm = new NumberField(u"gearRpm"_s, tr("engine speed"), 100, 30000, 0, u"rpm"_s, panel.frame);
    m_speed = new NumberField(u"gearSpeed"_s, tr("road speed"), 1, 600, 0, u"km/h"_s, panel.frame);
    m_rpm->show(kFirst_rpm);
    m_speed->show(kFirst_kmh);
    grid->addWidget(labelled(tr("engine speed"), m_rpm, panel.frame), 0, 0);
    grid->addWidget(labelled(tr("road speed"), m_speed, panel.frame), 0, 1);
    auto* table = new QHBoxLayout;
    table->setContentsMargins(0, px(6), 0, 0);
    table->setSpacing(px(16));
    for (size_t i = 0; i < m_gearColumns.size(); ++i) {
        m_gearColumns[i] = selectableLabel(u"gearColumn%1"_s.arg(i), panel.frame);
        m_gearColumns[i]->setWordWrap(false);
        m_gearColumns[i]->setAlignment((i == 0 ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignTop);
        table->addWidget(m_gearColumns[i]);
    }
    table->addStretch(1);
    panel.column->addLayout(table);
    m_gearWords = quietLabel(u"gearWords"_s, panel.frame);
    panel.column->addWidget(m_gearWords);
    for (NumberField* field : {m_rpm, m_speed})
        connect(field, &NumberField::edited, this, &DynoPanel::refreshGears);
    return panel.frame;
}

QWidget* DynoPanel::makeRollers() {
    const Panel panel = makePanel(tr("Inertia of rollers"), this);
    QGridLayout* grid = addGrid(panel);
    int place = 0;
    const auto field = [&](const char* name, const QString& label, double low, double high, int decimals,
                           const QString& unit, std::optional<double> first) {
        auto* out = new NumberField(QString::fromLatin1(name), label, low, high, decimals, unit, panel.frame);
        out->show(first);
        grid->addWidget(labelled(label, out, panel.frame), place / 2, place % 2);
        ++place;
        connect(out, &NumberField::edited, this, &DynoPanel::refreshRollers);
        return out;
    };
    m_count = field("rollerCount", tr("rollers"), 1, 16, 0, {}, 1.0);
    m_diameter = field("rollerDiameter", tr("diameter"), 10, 5000, 0, u"mm"_s, std::nullopt);
    m_length = field("rollerLength", tr("length"), 10, 5000, 0, u"mm"_s, std::nullopt);
    m_wall = field("rollerWall", tr("wall"), 0, 2500, 1, u"mm"_s, std::nullopt);
    m_density = field("rollerDensity", tr("density"), 500, 20000, 0, u"kg/m\u00B3"_s, RollerDimensions{}.density_kg_m3);
    m_besides = field("rollerBesides", tr("besides"), 0, 10000, 2, u"kg\u00B7m\u00B2"_s, 0.0);
    m_wall->setToolTip(tr("Left open: solid"));
    m_besides->setToolTip(tr("Shafts, couplings and the brake's rotor, at roller speed"));
    m_inertia = selectableLabel(u"rollerInertia"_s, panel.frame);
    panel.column->addWidget(m_inertia);
    m_give = new QPushButton(tr("Give to the cell"), panel.frame);
    m_give->setObjectName(u"giveInertia"_s);
    panel.column->addWidget(m_give);
    auto* words = quietLabel(u"rollerWords"_s, panel.frame);
    words->setText(tr("End plates are left out. A measured inertia goes before a calculated one."));
    panel.column->addWidget(words);
    connect(m_give, &QPushButton::clicked, this, &DynoPanel::giveToCell);
    return panel.frame;
}

QWidget* DynoPanel::makeUnits() {
    const Panel panel = makePanel(tr("Units"), this);
    QGridLayout* grid = addGrid(panel);
    m_value = new NumberField(u"unitValue"_s, tr("value"), -1e6, 1e6, 3, {}, panel.frame);
    m_value->show(100.0);
    m_unit = new QComboBox(panel.frame);
    m_unit->setObjectName(u"benchUnit"_s);
    m_unit->setAccessibleName(tr("unit"));
    for (const QStringList& kind : unitKinds()) {
        if (m_unit->count() > 0)
            m_unit->insertSeparator(m_unit->count());
        m_unit->addItems(kind);
    }
    grid->addWidget(labelled(tr("value"), m_value, panel.frame), 0, 0);
    grid->addWidget(labelled(tr("unit"), m_unit, panel.frame), 0, 1);
    m_others = selectableLabel(u"unitOthers"_s, panel.frame);
    panel.column->addWidget(m_others);
    connect(m_value, &NumberField::edited, this, &DynoPanel::refreshUnits);
    connect(m_unit, &QComboBox::currentIndexChanged, this, &DynoPanel::refreshUnits);
    return panel.frame;
}

RollerDimensions DynoPanel::rollers() const {
    constexpr double kMillimetre = 0.001;
    return {static_cast<int>(m_count->number().value_or(1.0)),
            m_diameter->number().value_or(0.0) * kMillimetre,
            m_length->number().value_or(0.0) * kMillimetre,
            m_wall->number().value_or(0.0) * kMillimetre,
            m_density->number().value_or(RollerDimensions{}.density_kg_m3),
            m_besides->number().value_or(0.0)};
}

void DynoPanel::refreshGears() {
    const std::vector<GearSpeed> gears = gearSpeeds(
        m_document.day().article.vehicle, m_rpm->number().value_or(kFirst_rpm), m_speed->number().value_or(kFirst_kmh));
    std::array<QStringList, 4> columns{QStringList{tr("gear")}, {tr("ratio")}, {u"km/h"_s}, {u"rpm"_s}};
    for (const GearSpeed& one : gears) {
        columns[0] << QString::number(one.gear);
        columns[1] << numberText(one.ratio, 2);
        columns[2] << numberText(one.speed_kmh, 1);
        columns[3] << qs(rpmText(std::round(one.rpm)));
    }
    for (size_t i = 0; i < columns.size(); ++i) {
        m_gearColumns[i]->setText(columns[i].join(u'\n'));
        m_gearColumns[i]->setVisible(!gears.empty());
    }
    m_gearWords->setText(gears.empty()
                             ? tr("Gears, final drive and the tyres' radius are on the article's card of Prepare.")
                             : tr("Without slip: the tyre as it rolls, not as it stands."));
}

void DynoPanel::refreshRollers() {
    const RollerDimensions r = rollers();
    const bool known = r.diameter_m > 0.0 && r.length_m > 0.0;
    m_give->setEnabled(known && m_document.isOpen() && m_document.mayEdit());
    if (!known) {
        m_inertia->setText(tr("Diameter and length give the inertia."));
        return;
    }
    const double inertia = rollerInertia_kgm2(r);
    const double radius = 0.5 * r.diameter_m;
    m_inertia->setText(tr("%1\u00A0kg\u00B7m\u00B2: as heavy to speed up as %2\u00A0kg on the road")
                           .arg(numberText(inertia, 2), numberText(inertia / (radius * radius), 0)));
}

void DynoPanel::refreshUnits() {
    const auto value = m_value->number();
    m_others->setText(value ? inOtherUnits(*value, m_unit->currentText()).join(u'\n') : QString());
}

void DynoPanel::giveToCell() {
    const RollerDimensions r = rollers();
    m_document.edit(tr("Give the cell its rollers' inertia"), [&](TestDay& day) {
        day.cell.rollerInertia_kgm2 = rollerInertia_kgm2(r);
        day.cell.rollerRadius_m = 0.5 * r.diameter_m;
    });
}

} // namespace hillrun
