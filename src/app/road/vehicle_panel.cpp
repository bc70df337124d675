// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/road/vehicle_panel.h"

#include "app/look/scale.h"

#include <QGridLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// A number of the vehicle as it is asked for.
struct Asked {
    const char* name;
    const char* label;
    std::optional<double> Vehicle::*value;
    double low, high;
    int decimals;
    const char* unit;
};

const Asked kAsked[] = {
    {"roadMass", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "mass"), &Vehicle::mass_kg, 20, 60000, 0, "kg"},
    {"roadDriver", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "driver"), &Vehicle::driverMass_kg, 0, 1000, 0, "kg"},
    {"roadRadius", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "tyre radius"), &Vehicle::tyreRadius_m, 0.05, 3, 3, "m"},
    {"roadFinal", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "final drive"), &Vehicle::finalDrive, 0.1, 60, 2, ""},
    {"roadDrag", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "drag area"), &Vehicle::dragArea_m2, 0.01, 20, 2,
     "m\xC2\xB2"},
    {"roadRolling", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "rolling"), &Vehicle::rollingResistance, 0, 0.5, 3, ""},
    {"roadGrip", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "tyre grip"), &Vehicle::tyreGrip, 0.05, 3, 2, ""},
    {"roadEfficiency", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "driveline"), &Vehicle::drivelineEfficiency, 0.3, 1,
     2, ""},
    {"roadShift", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "a shift"), &Vehicle::shiftTime_s, 0, 10, 2, "s"},
    {"roadLaunch", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "launch"), &Vehicle::launch_rpm, 0, 30000, 0, "rpm"},
    {"roadStall", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "converter stall"), &Vehicle::converterStall_rpm, 0, 30000,
     0, "rpm"},
    {"roadTorqueRatio", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "its torque ratio"), &Vehicle::converterTorqueRatio,
     1, 5, 2, ""},
    {"roadFront", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "front share"), &Vehicle::frontShare, 0, 1, 2, ""},
    {"roadWheelbase", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "wheelbase"), &Vehicle::wheelbase_m, 0.1, 20, 2, "m"},
    {"roadHeight", QT_TRANSLATE_NOOP("hillrun::VehiclePanel", "height of mass"), &Vehicle::centreOfMassHeight_m, 0, 5,
     2, "m"},
};

} // namespace

VehiclePanel::VehiclePanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Vehicle"), this);
    column->addWidget(panel.frame);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(10));
    grid->setVerticalSpacing(px(4));
    int place = 0;
    const auto put = [&](QWidget* widget) {
        grid->addWidget(widget, place / 2, place % 2);
        ++place;
    };
    for (const Asked& one : kAsked) {
        const QString label = tr(one.label);
        auto* field = new NumberField(QString::fromLatin1(one.name), label, one.low, one.high, one.decimals,
                                      QString::fromUtf8(one.unit), panel.frame);
        m_entries.push_back({field, one.value});
        bind(m_entries.back(), label);
        put(labelled(label, field, panel.frame));
    }
    m_axle = new QComboBox(panel.frame);
    m_axle->setObjectName(u"roadAxle"_s);
    m_axle->setAccessibleName(tr("Driven axle"));
    m_axle->addItems({tr("front"), tr("rear"), tr("all")});
    put(labelled(tr("driven"), m_axle, panel.frame));
    panel.column->addLayout(grid);
    connect(m_axle, &QComboBox::activated, this, [this](int axle) {
        m_document.edit(tr("Change the driven axle"),
                        [axle](TestDay& day) { day.article.vehicle.drivenAxle = static_cast<DrivenAxle>(axle); });
    });
    connect(&m_document, &DayDocument::dayChanged, this, &VehiclePanel::refresh);
    refresh();
}

void VehiclePanel::bind(const Entry& entry, const QString& what) {
    connect(entry.field, &NumberField::edited, this, [this, member = entry.value, what](std::optional<double> value) {
        m_document.edit(
            tr("Change the vehicle: %1").arg(what), [&](TestDay& day) { day.article.vehicle.*member = value; },
            u"vehicle "_s + what);
    });
}

void VehiclePanel::refresh() {
    const Vehicle& vehicle = m_document.day().article.vehicle;
    for (const Entry& entry : m_entries)
        entry.field->show(vehicle.*entry.value);
    m_axle->setCurrentIndex(static_cast<int>(vehicle.drivenAxle.value_or(DrivenAxle::Rear)));
}

} // namespace hillrun
