// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/article_panel.h"

#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/article_json.h"
#include "formats/day_store.h"

#include <algorithm>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QRegularExpression>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString known(const std::optional<double>& value, const QString& pattern) {
    return value ? pattern.arg(QString::number(*value, 'g', 6)) : QString();
}

QString joined(QStringList parts) {
    parts.removeAll(QString());
    return parts.join(u", "_s);
}

const QStringList& kindNames() {
    static const QStringList names{QObject::tr("engine brake"), QObject::tr("hub brake"),
                                   QObject::tr("chassis rollers"), QObject::tr("inertia rollers")};
    return names;
}
const QStringList& placeNames() {
    static const QStringList names{QObject::tr("crank"), QObject::tr("hub"), QObject::tr("wheel")};
    return names;
}
const QStringList& fuelNames() {
    static const QStringList names{QObject::tr("petrol"), QObject::tr("diesel"), QObject::tr("alcohol"),
                                   QObject::tr("gas"), QObject::tr("other fuel")};
    return names;
}
const QStringList& aspirationNames() {
    static const QStringList names{QObject::tr("naturally aspirated"), QObject::tr("turbocharged"),
                                   QObject::tr("supercharged")};
    return names;
}

std::optional<int> wholeNumber(const std::optional<double>& value) {
    return value ? std::optional(static_cast<int>(std::lround(*value))) : std::nullopt;
}

} // namespace

QString articleWords(const TestDay& day) {
    const EngineCard& e = day.article.engine;
    const Vehicle& v = day.article.vehicle;
    const Fuel& f = day.article.fuel;
    QStringList gears;
    for (const double ratio : v.gears)
        gears << QString::number(ratio);
    const QStringList lines{
        joined({known(e.displacement_cc, QObject::tr("%1 cc")),
                e.cylinders ? counted(*e.cylinders, QObject::tr("cylinder"), QObject::tr("cylinders")) : QString(),
                aspirationNames()[static_cast<int>(e.aspiration)],
                known(day.article.statedPower_kw, QObject::tr("stated %1 kW"))}),
        joined({fuelNames()[static_cast<int>(f.kind)], qs(f.name), known(f.octane, QObject::tr("octane %1")),
                f.batch.empty() ? QString() : QObject::tr("batch %1").arg(qs(f.batch)),
                day.article.nitrous ? QObject::tr("nitrous") : QString()}),
        joined({known(v.mass_kg, QObject::tr("%1 kg")),
                gears.isEmpty() ? QString() : QObject::tr("gears %1").arg(gears.join(u" "_s)),
                known(v.finalDrive, QObject::tr("final drive %1")),
                known(e.redLine_rpm, QObject::tr("red line %1 rpm"))}),
        joined({qs(day.cell.name), kindNames()[static_cast<int>(day.cell.kind)],
                QObject::tr("measured at the %1").arg(placeNames()[static_cast<int>(day.cell.measuredAt)])}),
    };
    QStringList out = lines;
    out.removeAll(QString());
    return out.join(u"\n"_s);
}

fs::path ArticleCards::fileOf(const QString& name) const {
    QString safe = name;
    safe.replace(QRegularExpression(u"[^\\w\\- ]"_s), u"_"_s);
    return m_folder / (safe.trimmed().toStdString() + ".json");
}

QStringList ArticleCards::names() const {
    QStringList out;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(m_folder, error))
        if (entry.path().extension() == ".json")
            out << qs(entry.path().stem().string());
    out.sort();
    return out;
}

void ArticleCards::keep(const Article& article) const {
    std::error_code error;
    fs::create_directories(m_folder, error);
    writeFileSafely(fileOf(qs(article.name)), articleCardText(article));
}

Article ArticleCards::read(const QString& name) const {
    const fs::path file = fileOf(name);
    return articleCardFrom(readFileText(file), file.string());
}

ArticleDialog::ArticleDialog(const TestDay& day, QWidget* parent) : QDialog(parent), m_day(day) {
    setObjectName(u"articleDialog"_s);
    setWindowTitle(tr("Day, cell and article"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 16, 16, 16);
    auto* row = new QHBoxLayout;
    row->setSpacing(24);
    for (QWidget* part : {makeDay(), makeEngine(), makeVehicle()})
        row->addWidget(part, 1, Qt::AlignTop);
    column->addLayout(row);
    auto* buttons = new QDialogButtonBox(this);
    buttons->addButton(tr("Take over"), QDialogButtonBox::AcceptRole)->setProperty("main", true);
    buttons->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    column->addWidget(buttons);
    fill(day);
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
    form->setVerticalSpacing(4);
    form->addRow(tr("Day: the question"), m_name = line(u"dayName"_s, tr("Name of the day")));
    form->addRow(tr("Operator"), m_operator = line(u"dayOperator"_s, tr("Operator")));
    form->addRow(tr("Note"), m_note = line(u"dayNote"_s, tr("Note")));
    form->addRow(tr("Cell"), m_cellName = line(u"cellName"_s, tr("Name of the cell")));
    form->addRow(tr("Kind"), m_kind = choice(u"cellKind"_s, tr("Kind of dyno"), kindNames()));
    form->addRow(tr("Power is measured at the"),
                 m_measuredAt = choice(u"measuredAt"_s, tr("Measured at"), placeNames()));
    form->addRow(tr("Sweep"),
                 m_sweep = choice(u"sweepDirection"_s, tr("Sweep"), {tr("up"), tr("down"), tr("held steps")}));
    form->addRow(tr("Altitude of the cell"), m_altitude = number(u"altitude"_s, tr("Altitude"), -400, 5000, 0, u"m"_s));
    form->addRow(tr("Speed limit of the rollers"),
                 m_rollerLimit = number(u"rollerLimit"_s, tr("Roller limit"), 20, 500, 0, u"km/h"_s));
    form->addRow(tr("Inertia of the rollers"), m_rollerInertia = number(u"rollerInertia"_s, tr("Roller inertia"), 0.1,
                                                                        5000, 2, u"kg\u00B7m\u00B2"_s));
    return out;
}

QWidget* ArticleDialog::makeEngine() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(4);
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
    form->addRow(tr("Charging"), m_aspiration = choice(u"aspiration"_s, tr("Charging"), aspirationNames()));
    form->addRow(tr("Stated power"), m_power = number(u"statedPower"_s, tr("Stated power"), 0.1, 5000, 1, u"kW"_s));
    form->addRow(tr("Red line"), m_redLine = number(u"redLine"_s, tr("Red line"), 300, 30000, 0, u"rpm"_s));
    form->addRow(tr("Limiter"), m_limiter = number(u"limiter"_s, tr("Limiter"), 300, 30000, 0, u"rpm"_s));
    return out;
}

QWidget* ArticleDialog::makeVehicle() {
    auto* out = new QWidget(this);
    auto* form = new QFormLayout(out);
    form->setRowWrapPolicy(QFormLayout::WrapAllRows);
    form->setVerticalSpacing(4);
    form->addRow(tr("Fuel"), m_fuel = choice(u"fuelKind"_s, tr("Fuel"), fuelNames()));
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
    const EngineCard& e = day.article.engine;
    m_article->setText(qs(day.article.name));
    m_displacement->show(e.displacement_cc);
    m_cylinders->show(e.cylinders);
    m_strokeLength->show(e.stroke_mm);
    m_strokes->setCurrentIndex(e.strokes.value_or(4) == 2 ? 1 : 0);
    m_ignition->setCurrentIndex(static_cast<int>(e.ignition));
    m_aspiration->setCurrentIndex(static_cast<int>(e.aspiration));
    m_power->show(day.article.statedPower_kw);
    m_redLine->show(e.redLine_rpm);
    m_limiter->show(e.limiter_rpm);
    m_fuel->setCurrentIndex(static_cast<int>(day.article.fuel.kind));
    m_fuelName->setText(qs(day.article.fuel.name));
    m_octane->show(day.article.fuel.octane);
    m_fuelBatch->setText(qs(day.article.fuel.batch));
    m_nitrous->setChecked(day.article.nitrous);
    const Vehicle& v = day.article.vehicle;
    m_mass->show(v.mass_kg);
    m_tyre->show(v.tyreRadius_m);
    m_finalDrive->show(v.finalDrive);
    QStringList gears;
    for (const double ratio : v.gears)
        gears << QString::number(ratio);
    m_gears->setText(gears.join(u" "_s));
    m_speedLimit->show(v.speedLimit_kmh);
    m_tyreLimit->show(v.tyreLimit_kmh);
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
    EngineCard& e = day.article.engine;
    day.article.name = m_article->text().trimmed().toStdString();
    e.displacement_cc = m_displacement->number();
    e.cylinders = wholeNumber(m_cylinders->number());
    e.stroke_mm = m_strokeLength->number();
    if (e.strokes || m_strokes->currentIndex() == 1)
        e.strokes = m_strokes->currentIndex() == 1 ? 2 : 4;
    e.ignition = static_cast<Ignition>(m_ignition->currentIndex());
    e.aspiration = static_cast<Aspiration>(m_aspiration->currentIndex());
    day.article.statedPower_kw = m_power->number();
    e.redLine_rpm = m_redLine->number();
    e.limiter_rpm = m_limiter->number();
    day.article.fuel.kind = static_cast<FuelKind>(m_fuel->currentIndex());
    day.article.fuel.name = m_fuelName->text().trimmed().toStdString();
    day.article.fuel.octane = m_octane->number();
    day.article.fuel.batch = m_fuelBatch->text().trimmed().toStdString();
    day.article.nitrous = m_nitrous->isChecked();
    Vehicle& v = day.article.vehicle;
    v.mass_kg = m_mass->number();
    v.tyreRadius_m = m_tyre->number();
    v.finalDrive = m_finalDrive->number();
    v.gears.clear();
    static const QRegularExpression blanks(u"[\\s;]+"_s);
    for (const QString& word : m_gears->text().split(blanks, Qt::SkipEmptyParts)) {
        bool good = false;
        const double ratio = QString(word).replace(u',', u'.').toDouble(&good);
        if (good && ratio > 0.0)
            v.gears.push_back(ratio);
    }
    v.speedLimit_kmh = m_speedLimit->number();
    v.tyreLimit_kmh = m_tyreLimit->number();
    return day;
}

ArticlePanel::ArticlePanel(DayDocument& document, Dialogs& dialogs, ArticleCards cards, QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs), m_cards(std::move(cards)) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Article and cell"), this);
    whole->addWidget(panel.frame);
    auto* cardsButton = new QPushButton(tr("Cards"), panel.frame);
    cardsButton->setObjectName(u"cardsButton"_s);
    cardsButton->setToolTip(tr("Articles kept for other days"));
    m_menu = new QMenu(cardsButton);
    m_menu->setObjectName(u"cardsMenu"_s);
    cardsButton->setMenu(m_menu);
    connect(m_menu, &QMenu::aboutToShow, this, &ArticlePanel::fillCards);
    auto* edit = new QPushButton(tr("Edit \u2026"), panel.frame);
    edit->setObjectName(u"editArticleButton"_s);
    edit->setToolTip(tr("Name, cell, engine, fuel, vehicle"));
    connect(edit, &QPushButton::clicked, this, &ArticlePanel::editArticle);
    panel.head->addWidget(cardsButton);
    panel.head->addWidget(edit);
    m_name = new QLabel(panel.frame);
    m_name->setObjectName(u"articleNameText"_s);
    m_name->setWordWrap(true);
    m_name->setStyleSheet(u"font-size: 16px; font-weight: bold;"_s);
    m_words = quietLabel(u"articleText"_s, panel.frame);
    panel.column->addWidget(m_name);
    panel.column->addWidget(m_words);
    panel.column->addStretch(1);
    connect(&m_document, &DayDocument::dayChanged, this, &ArticlePanel::refresh);
    refresh();
}

void ArticlePanel::refresh() {
    const TestDay& day = m_document.day();
    m_name->setText(day.article.name.empty() ? tr("What is on the dyno?") : qs(day.article.name));
    m_words->setText(articleWords(day));
}

void ArticlePanel::fillCards() {
    m_menu->clear();
    for (const QString& name : m_cards.names())
        connect(m_menu->addAction(name), &QAction::triggered, this, [this, name] {
            try {
                const Article article = m_cards.read(name);
                m_document.edit(tr("Take the article from its card"), [&](TestDay& day) { day.article = article; });
            } catch (const DataError& error) {
                m_dialogs.showError(this, tr("This card could not be read"), QString::fromUtf8(error.what()));
            }
        });
    if (!m_menu->isEmpty())
        m_menu->addSeparator();
    QAction* keep = m_menu->addAction(tr("Keep this article as a card"));
    keep->setObjectName(u"keepCard"_s);
    keep->setEnabled(!m_document.day().article.name.empty());
    connect(keep, &QAction::triggered, this, [this] {
        try {
            m_cards.keep(m_document.day().article);
        } catch (const DataError& error) {
            m_dialogs.showError(this, tr("The card could not be kept"), QString::fromUtf8(error.what()));
        }
    });
}

void ArticlePanel::editArticle() {
    auto* dialog = new ArticleDialog(m_document.day(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] {
        const TestDay edited = dialog->edited();
        m_document.edit(tr("Change the article"), [&](TestDay& day) {
            day.name = edited.name;
            day.operatorName = edited.operatorName;
            day.note = edited.note;
            day.cell = edited.cell;
            day.article = edited.article;
        });
    });
    dialog->open();
}

} // namespace hillrun
