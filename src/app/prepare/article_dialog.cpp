// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/article_dialog.h"

#include "app/look/fit_scroll.h"
#include "app/look/main_button.h"
#include "app/look/scale.h"
#include "app/look/typed_number.h"
#include "app/look/words.h"

#include <algorithm>
#include <cmath>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QPushButton>
#include <QRegularExpression>
#include <QStyle>

using namespace Qt::StringLiterals;

namespace hillrun {

const QStringList& cellKindTitles() {
    static const QStringList names{QObject::tr("engine brake"), QObject::tr("hub brake"),
                                   QObject::tr("chassis rollers"), QObject::tr("inertia rollers")};
    return names;
}
const QStringList& placeTitles() {
    static const QStringList names{QObject::tr("crank"), QObject::tr("hub"), QObject::tr("wheel")};
    return names;
}
const QStringList& fuelTitles() {
    static const QStringList names{QObject::tr("petrol"), QObject::tr("diesel"), QObject::tr("alcohol"),
                                   QObject::tr("gas"), QObject::tr("other fuel")};
    return names;
}
const QStringList& aspirationTitles() {
    static const QStringList names{QObject::tr("naturally aspirated"), QObject::tr("turbocharged"),
                                   QObject::tr("supercharged")};
    return names;
}

namespace {

std::optional<int> wholeNumber(const std::optional<double>& value) {
    return value ? std::optional(static_cast<int>(std::lround(*value))) : std::nullopt;
}

} // namespace

bool readFriction(const QString& text, std::vector<FrictionPoint>& out) {
    static const QRegularExpression between(u"[,;]\\s+|\\s+"_s);
    out.clear();
    for (const QString& word : text.split(between, Qt::SkipEmptyParts)) {
        const QStringList pair = word.split(u':');
        const auto rpm = typedNumber(pair.value(0));
        const auto power_kw = typedNumber(pair.value(1));
        if (pair.size() != 2 || !rpm || !power_kw || !(*rpm > 0.0 && *rpm < 1e6) ||
            !(*power_kw >= 0.0 && *power_kw < 1e6))
            return false;
        out.push_back({*rpm, 1000.0 * *power_kw});
    }
    std::sort(out.begin(), out.end(), [](const FrictionPoint& a, const FrictionPoint& b) { return a.rpm < b.rpm; });
    return std::adjacent_find(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.rpm == b.rpm; }) ==
           out.end();
}

bool readGears(const QString& text, std::vector<double>& out) {
    static const QRegularExpression between(u"[,;]\\s+|[\\s;]+"_s);
    out.clear();
    for (const QString& word : text.split(between, Qt::SkipEmptyParts)) {
        const auto ratio = typedNumber(word);
        if (!ratio || !(*ratio > 0.0 && *ratio < 1e6))
            return false;
        out.push_back(*ratio);
    }
    return true;
}

ArticleDialog::ArticleDialog(const TestDay& day, QWidget* parent) : QDialog(parent), m_day(day) {
    setObjectName(u"articleDialog"_s);
    setWindowTitle(tr("Day, cell and article"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    auto* form = new QWidget(this);
    auto* row = new QHBoxLayout(form);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(24));
    for (QWidget* part : {makeDay(), makeEngine(), makeVehicle(), makeAir()})
        row->addWidget(part, 1, Qt::AlignTop);
    auto* scroll = new FitScroll(form, this);
    column->addWidget(scroll, 1);
    auto* buttons = new QDialogButtonBox(this);
    QPushButton* accept = buttons->addButton(tr("Take over"), QDialogButtonBox::AcceptRole);
    makeMain(accept);
    const auto judge = [this, accept] {
        std::vector<FrictionPoint> points;
        std::vector<double> gears;
        const bool frictionGood = readFriction(m_friction->text(), points);
        const bool gearsGood = readGears(m_gears->text(), gears);
        setWrong(m_friction,
                 frictionGood ? QString() : tr("Write rpm:kW, each speed once, such as 2500:3.1, 4500:7.0"));
        setWrong(m_gears, gearsGood ? QString() : tr("Write the ratios with blanks between, such as 3.4 2.05 1.36"));
        accept->setEnabled(frictionGood && gearsGood);
    };
    connect(m_friction, &QLineEdit::textChanged, accept, judge);
    connect(m_gears, &QLineEdit::textChanged, accept, judge);
    buttons->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    connect(buttons, &QDialogButtonBox::accepted, this, [this] {
        if (numbersReadable(*this))
            QDialog::accept();
    });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    fill(day);
    for (QLineEdit* edit : findChildren<QLineEdit*>())
        edit->setCursorPosition(0); // a long text is read from its beginning
    const QSize wanted = row->sizeHint() + QSize(px(48), px(96));
    resize(parent ? wanted.boundedTo(parent->window()->size() - QSize(16, 16)) : wanted);
}

QLineEdit* ArticleDialog::line(const QString& name, const QString& label) {
    auto* out = new QLineEdit(this);
    out->setObjectName(name);
    out->setAccessibleName(label);
    return out;
}

QComboBox* ArticleDialog::choice(const QString& name, const QString& label, const QStringList& items) {
    auto* out = new QComboBox(this);
    out->setObjectName(name);
    out->setAccessibleName(label);
    out->addItems(items);
    return out;
}

NumberField* ArticleDialog::number(const QString& name, const QString& label, double low, double high, int decimals,
                                   const QString& unit) {
    return new NumberField(name, label, low, high, decimals, unit, this);
}

QWidget* ArticleDialog::makeDay() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(px(4));
    form->addRow(tr("Day: the question"), m_name = line(u"dayName"_s, tr("Name of the day")));
    form->addRow(tr("Operator"), m_operator = line(u"dayOperator"_s, tr("Operator")));
    form->addRow(tr("Note"), m_note = line(u"dayNote"_s, tr("Note")));
    form->addRow(tr("Cell"), m_cellName = line(u"cellName"_s, tr("Name of the cell")));
    form->addRow(tr("Kind"), m_kind = choice(u"cellKind"_s, tr("Kind of dyno"), cellKindTitles()));
    form->addRow(tr("Power is measured at the"),
                 m_measuredAt = choice(u"measuredAt"_s, tr("Measured at"), placeTitles()));
    form->addRow(tr("Sweep"),
                 m_sweep = choice(u"sweepDirection"_s, tr("Sweep"), {tr("up"), tr("down"), tr("held steps")}));
    form->addRow(tr("Altitude of the cell"), m_altitude = number(u"altitude"_s, tr("Altitude"), -400, 5000, 0, u"m"_s));
    form->addRow(tr("Speed limit of the rollers"),
                 m_rollerLimit = number(u"rollerLimit"_s, tr("Roller limit"), 20, 500, 0, u"km/h"_s));
    form->addRow(tr("Inertia of the rollers"), m_rollerInertia = number(u"rollerInertia"_s, tr("Roller inertia"), 0.1,
                                                                        5000, 2, u"kg\u00B7m\u00B2"_s));
    form->addRow(tr("Radius of the rollers"),
                 m_rollerRadius = number(u"rollerRadius"_s, tr("Roller radius"), 0.02, 3, 3, u"m"_s));
    return out;
}

QWidget* ArticleDialog::makeEngine() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(px(4));
    form->addRow(tr("Article"), m_article = line(u"articleName"_s, tr("Name of the article")));
    form->addRow(tr("Displacement"),
                 m_displacement = number(u"displacement"_s, tr("Displacement"), 10, 100000, 0, u"cc"_s));
    form->addRow(tr("Cylinders"), m_cylinders = number(u"cylinders"_s, tr("Cylinders"), 1, 24, 0, {}));
    form->addRow(tr("Piston stroke"),
                 m_strokeLength = number(u"strokeLength"_s, tr("Piston stroke"), 10, 500, 1, u"mm"_s));
    form->addRow(tr("Working cycle"),
                 m_strokes = choice(u"strokes"_s, tr("Strokes"), {tr("four-stroke"), tr("two-stroke")}));
    form->addRow(tr("Ignition"),
                 m_ignition = choice(u"ignitionKind"_s, tr("Ignition"), {tr("spark"), tr("compression")}));
    form->addRow(tr("Charging"), m_aspiration = choice(u"aspiration"_s, tr("Charging"), aspirationTitles()));
    form->addRow(tr("Stated power"), m_power = number(u"statedPower"_s, tr("Stated power"), 0.1, 5000, 1, u"kW"_s));
    form->addRow(tr("Red line"), m_redLine = number(u"redLine"_s, tr("Red line"), 300, 30000, 0, u"rpm"_s));
    form->addRow(tr("Limiter"), m_limiter = number(u"limiter"_s, tr("Limiter"), 300, 30000, 0, u"rpm"_s));
    form->addRow(tr("Inertia of engine, flywheel, clutch"),
                 m_engineInertia =
                     number(u"engineInertia"_s, tr("Engine inertia"), 0.0001, 500, 4, u"kg\u00B7m\u00B2"_s));
    return out;
}

QWidget* ArticleDialog::makeVehicle() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(px(4));
    form->addRow(tr("Fuel"), m_fuel = choice(u"fuelKind"_s, tr("Fuel"), fuelTitles()));
    form->addRow(tr("Its name"), m_fuelName = line(u"fuelName"_s, tr("Name of the fuel")));
    form->addRow(tr("Octane"), m_octane = number(u"octane"_s, tr("Octane"), 40, 130, 0, {}));
    form->addRow(tr("Batch"), m_fuelBatch = line(u"fuelBatch"_s, tr("Batch of the fuel")));
    m_nitrous = new QCheckBox(tr("Nitrous fitted"), this);
    m_nitrous->setObjectName(u"nitrous"_s);
    form->addRow(m_nitrous);
    form->addRow(tr("Mass of the vehicle"), m_mass = number(u"vehicleMass"_s, tr("Mass"), 10, 60000, 0, u"kg"_s));
    form->addRow(tr("Tyre radius"), m_tyre = number(u"tyreRadius"_s, tr("Tyre radius"), 0.05, 1.5, 3, u"m"_s));
    form->addRow(tr("Final drive"), m_finalDrive = number(u"finalDrive"_s, tr("Final drive"), 0.2, 40, 3, {}));
    form->addRow(tr("Gear ratios, first gear first"), m_gears = line(u"gearRatios"_s, tr("Gear ratios")));
    form->addRow(tr("Speed limiter"),
                 m_speedLimit = number(u"speedLimit"_s, tr("Speed limiter"), 5, 500, 0, u"km/h"_s));
    form->addRow(tr("Tyre speed limit"), m_tyreLimit = number(u"tyreLimit"_s, tr("Tyre limit"), 5, 500, 0, u"km/h"_s));
    form->addRow(tr("Inertia of wheels and driveline"),
                 m_drivelineInertia = number(u"drivelineInertia"_s, tr("Driveline inertia, at wheel speed"), 0.001,
                                             5000, 3, u"kg\u00B7m\u00B2"_s));
    return out;
}

QWidget* ArticleDialog::makeAir() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(px(4));
    QStringList schools;
    for (int i = 0; i < 4; ++i)
        schools << qs(boostSchoolPhrase(static_cast<BoostSchool>(i)));
    form->addRow(tr("Boosted: air factor"), m_school = choice(u"boostSchool"_s, tr("Boosted engines"), schools));
    m_boostHeld = new QCheckBox(tr("Boost is held absolute"), this);
    m_boostHeld->setObjectName(u"boostHeld"_s);
    m_boostHeld->setToolTip(tr("The controller holds the manifold pressure whatever the air outside"));
    form->addRow(m_boostHeld);
    form->addRow(tr("Mechanical efficiency"),
                 m_efficiency = number(u"mechanicalEfficiency"_s, tr("Mechanical efficiency"), 0.3, 1, 3, {}));
    form->addRow(tr("Friction power, rpm:kW"), m_friction = line(u"frictionPower"_s, tr("Friction power")));
    m_friction->setPlaceholderText(tr("2500:3.1, 4500:7.0"));
    form->addRow(tr("Diesel: fuel a litre and cycle"),
                 m_fuelFigure = number(u"fuelFigure"_s, tr("Fuel a litre and cycle"), 1, 300, 1, u"mg"_s));
    form->addRow(tr("Boost pressure ratio"),
                 m_boostRatio = number(u"boostRatio"_s, tr("Boost pressure ratio"), 1, 10, 2, {}));
    form->addRow(tr("Charge is cooled by"), m_cooling = choice(u"chargeCooling"_s, tr("Charge cooling"),
                                                               {tr("nothing"), tr("air"), tr("liquid")}));
    form->addRow(tr("Carry power towards the engine"),
                 m_loss =
                     choice(u"lossMethod"_s, tr("Losses on the way"),
                            {tr("no, as measured"), tr("by coast-down (estimate)"), tr("by a percentage (crude)")}));
    form->addRow(tr("Lost on the way"),
                 m_lossPercent = number(u"lossPercent"_s, tr("Lost on the way"), 0, 59, 1, u"%"_s));
    form->addRow(tr("Up to the"), m_lossTo = choice(u"lossTo"_s, tr("Up to the"), {tr("crank"), tr("hub")}));
    return out;
}

void ArticleDialog::fill(const TestDay& day) {
    m_name->setText(qs(day.name));
    m_operator->setText(qs(day.operatorName));
    m_note->setText(qs(day.note));
    m_cellName->setText(qs(day.cell.name));
    m_kind->setCurrentIndex(static_cast<int>(day.cell.kind));
    m_measuredAt->setCurrentIndex(static_cast<int>(day.cell.measuredAt));
    m_sweep->setCurrentIndex(static_cast<int>(day.cell.sweep));
    m_altitude->show(day.cell.altitude_m);
    m_rollerLimit->show(day.cell.rollerLimit_kmh);
    m_rollerInertia->show(day.cell.rollerInertia_kgm2);
    m_rollerRadius->show(day.cell.rollerRadius_m);
    m_article->setText(qs(day.article.name));
    m_power->show(day.article.statedPower_kw);
    m_fuel->setCurrentIndex(static_cast<int>(day.article.fuel.kind));
    m_fuelName->setText(qs(day.article.fuel.name));
    m_octane->show(day.article.fuel.octane);
    m_fuelBatch->setText(qs(day.article.fuel.batch));
    m_nitrous->setChecked(day.article.nitrous);
    m_school->setCurrentIndex(static_cast<int>(day.boostSchool));
    m_loss->setCurrentIndex(static_cast<int>(day.loss.method));
    m_lossPercent->show(day.loss.percent);
    m_lossTo->setCurrentIndex(day.loss.to == MeasuredAt::Hub ? 1 : 0);
    fillEngine(day.article.engine);
    fillVehicle(day.article.vehicle);
}

void ArticleDialog::fillEngine(const EngineCard& e) {
    m_displacement->show(e.displacement_cc);
    m_cylinders->show(e.cylinders);
    m_strokeLength->show(e.stroke_mm);
    m_strokes->setCurrentIndex(e.strokes.value_or(4) == 2 ? 1 : 0);
    m_ignition->setCurrentIndex(static_cast<int>(e.ignition));
    m_aspiration->setCurrentIndex(static_cast<int>(e.aspiration));
    m_redLine->show(e.redLine_rpm);
    m_limiter->show(e.limiter_rpm);
    m_engineInertia->show(e.inertia_kgm2);
    m_boostHeld->setChecked(e.boostHeldAbsolute);
    m_efficiency->show(e.mechanicalEfficiency);
    m_fuelFigure->show(e.fuel_mg_per_litre_cycle);
    m_boostRatio->show(e.boostPressureRatio);
    m_cooling->setCurrentIndex(static_cast<int>(e.chargeCooling));
    QStringList friction;
    for (const FrictionPoint& point : e.friction)
        friction << u"%1:%2"_s.arg(point.rpm).arg(point.power_w / 1000.0);
    m_friction->setText(friction.join(u", "_s));
}

void ArticleDialog::fillVehicle(const Vehicle& v) {
    m_mass->show(v.mass_kg);
    m_tyre->show(v.tyreRadius_m);
    m_finalDrive->show(v.finalDrive);
    QStringList gears;
    for (const double ratio : v.gears)
        gears << QString::number(ratio);
    m_gears->setText(gears.join(u" "_s));
    m_speedLimit->show(v.speedLimit_kmh);
    m_tyreLimit->show(v.tyreLimit_kmh);
    m_drivelineInertia->show(v.drivelineInertia_kgm2);
}

TestDay ArticleDialog::edited() const {
    TestDay day = m_day;
    day.name = m_name->text().trimmed().toStdString();
    day.operatorName = m_operator->text().trimmed().toStdString();
    day.note = m_note->text().trimmed().toStdString();
    day.cell.name = m_cellName->text().trimmed().toStdString();
    day.cell.kind = static_cast<CellKind>(m_kind->currentIndex());
    day.cell.measuredAt = static_cast<MeasuredAt>(m_measuredAt->currentIndex());
    day.cell.sweep = static_cast<SweepDirection>(m_sweep->currentIndex());
    day.cell.altitude_m = m_altitude->number();
    day.cell.rollerLimit_kmh = m_rollerLimit->number();
    day.cell.rollerInertia_kgm2 = m_rollerInertia->number();
    day.cell.rollerRadius_m = m_rollerRadius->number();
    day.article.name = m_article->text().trimmed().toStdString();
    day.article.statedPower_kw = m_power->number();
    day.article.fuel.kind = static_cast<FuelKind>(m_fuel->currentIndex());
    day.article.fuel.name = m_fuelName->text().trimmed().toStdString();
    day.article.fuel.octane = m_octane->number();
    day.article.fuel.batch = m_fuelBatch->text().trimmed().toStdString();
    day.article.nitrous = m_nitrous->isChecked();
    day.boostSchool = static_cast<BoostSchool>(m_school->currentIndex());
    day.loss.method = static_cast<LossMethod>(m_loss->currentIndex());
    day.loss.percent = m_lossPercent->number().value_or(day.loss.percent);
    day.loss.to = m_lossTo->currentIndex() == 1 ? MeasuredAt::Hub : MeasuredAt::Crank;
    takeEngine(day.article.engine);
    takeVehicle(day.article.vehicle);
    return day;
}

void ArticleDialog::takeEngine(EngineCard& e) const {
    e.displacement_cc = m_displacement->number();
    e.cylinders = wholeNumber(m_cylinders->number());
    e.stroke_mm = m_strokeLength->number();
    if (e.strokes || m_strokes->currentIndex() == 1)
        e.strokes = m_strokes->currentIndex() == 1 ? 2 : 4;
    e.ignition = static_cast<Ignition>(m_ignition->currentIndex());
    e.aspiration = static_cast<Aspiration>(m_aspiration->currentIndex());
    e.redLine_rpm = m_redLine->number();
    e.limiter_rpm = m_limiter->number();
    e.inertia_kgm2 = m_engineInertia->number();
    e.boostHeldAbsolute = m_boostHeld->isChecked();
    e.mechanicalEfficiency = m_efficiency->number();
    e.fuel_mg_per_litre_cycle = m_fuelFigure->number();
    e.boostPressureRatio = m_boostRatio->number();
    e.chargeCooling = static_cast<ChargeCooling>(m_cooling->currentIndex());
    std::vector<FrictionPoint> friction;
    if (readFriction(m_friction->text(), friction))
        e.friction = std::move(friction);
}

void ArticleDialog::takeVehicle(Vehicle& v) const {
    v.mass_kg = m_mass->number();
    v.tyreRadius_m = m_tyre->number();
    v.finalDrive = m_finalDrive->number();
    if (std::vector<double> gears; readGears(m_gears->text(), gears))
        v.gears = std::move(gears);
    v.speedLimit_kmh = m_speedLimit->number();
    v.tyreLimit_kmh = m_tyreLimit->number();
    v.drivelineInertia_kgm2 = m_drivelineInertia->number();
}

} // namespace hillrun
