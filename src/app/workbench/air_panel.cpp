// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/air_panel.h"

#include "app/look/scale.h"
#include "app/look/words.h"

#include <QGridLayout>
#include <QHeaderView>
#include <QScrollBar>
#include <QShowEvent>

using namespace Qt::StringLiterals;

namespace hillrun {

AirPanel::AirPanel(DayDocument& document, Selection& selection, Look& look, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"airPanel"_s);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    auto* left = new QWidget(this);
    auto* column = new QVBoxLayout(left);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    column->addWidget(makeCondition());
    column->addWidget(makeEngine());
    column->addStretch(1);
    m_side = new QScrollArea(this);
    m_side->setWidget(left);
    m_side->setWidgetResizable(true);
    m_side->setFrameShape(QFrame::NoFrame);
    m_side->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    row->addWidget(m_side);
    row->addWidget(makeAnswer(), 1);
    connect(&m_document, &DayDocument::dayChanged, this, &AirPanel::takeDay);
    connect(&m_document, &DayDocument::settingsChanged, this, [this] {
        m_chosen = m_document.settings().reduce.standard;
        refresh();
    });
    connect(&m_look, &Look::changed, this, &AirPanel::refresh);
    m_chosen = m_document.settings().reduce.standard;
    takeDay();
}

/// As wide as its words are in this language, with its own scroll bar.
void AirPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    const int bar = m_side->verticalScrollBar()->sizeHint().width();
    m_side->setFixedWidth(std::max(px(344), m_side->widget()->minimumSizeHint().width() + bar));
}

void AirPanel::takeDay() {
    refreshPulls();
    takeEngine();
    if (m_document.path() != m_shownDay && m_pull->count() > 1) // another day: its first weather to begin with
        takeFrom(m_pull->itemData(1).toString().toStdString());
    m_shownDay = m_document.path();
    refresh();
}

NumberField* AirPanel::number(const QString& name, const QString& label, double low, double high, int decimals,
                              const QString& unit) {
    auto* out = new NumberField(name, label, low, high, decimals, unit, this);
    connect(out, &NumberField::edited, this, &AirPanel::refresh);
    return out;
}

QComboBox* AirPanel::choice(const QString& name, const QString& label, const QStringList& items) {
    auto* out = new QComboBox(this);
    out->setObjectName(name);
    out->setAccessibleName(label);
    out->addItems(items);
    out->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    out->setMinimumContentsLength(9);
    connect(out, &QComboBox::activated, this, &AirPanel::refresh);
    return out;
}

QWidget* AirPanel::makeCondition() {
    const Panel panel = makePanel(tr("Condition"), this);
    m_pull = new QComboBox(this);
    m_pull->setObjectName(u"airPull"_s);
    m_pull->setAccessibleName(tr("Take the weather of a pull"));
    m_pull->setMinimumContentsLength(11);
    m_pull->setToolTip(tr("Fill in the weather of a pull, and the day's article"));
    connect(m_pull, &QComboBox::activated, this, [this](int index) {
        if (index > 0)
            takeFrom(m_pull->itemData(index).toString().toStdString());
    });
    panel.head->addWidget(m_pull);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(8));
    grid->setVerticalSpacing(px(6));
    m_temperature = number(u"airTemperature"_s, tr("Temperature at the intake"), -89, 70, 1, u"°C"_s);
    m_pressureKind =
        choice(u"airPressureKind"_s, tr("Which pressure"), {tr("Station pressure"), tr("Altimeter setting")});
    m_pressureKind->setItemData(1,
                                tr("The QNH of an airfield or weather service; not a pressure reduced with the real "
                                   "temperature"),
                                Qt::ToolTipRole);
    m_pressure = number(u"airPressure"_s, tr("Pressure"), 0, 400, 2, u"kPa"_s);
    m_altitude = number(u"airAltitude"_s, tr("Altitude of the cell"), -400, 8000, 0, u"m"_s);
    m_humidityKind =
        choice(u"airHumidityKind"_s, tr("Which humidity"),
               {tr("Relative humidity"), tr("Dew point"), tr("Wet bulb, ventilated"), tr("Vapour pressure")});
    m_humidity = number(u"airHumidity"_s, tr("Humidity"), -89, 200, 2, u"%"_s);
    connect(m_humidityKind, &QComboBox::activated, this, &AirPanel::refreshHumidity);
    m_temperature->show(20.0);
    m_pressure->show(100.0);
    m_humidity->show(50.0);
    grid->addWidget(labelled(tr("Temperature at the intake"), m_temperature, this), 0, 0);
    grid->addWidget(labelled(tr("Altitude of the cell"), m_altitude, this), 0, 1);
    grid->addWidget(m_pressureKind, 1, 0);
    grid->addWidget(m_pressure, 1, 1);
    grid->addWidget(m_humidityKind, 2, 0);
    grid->addWidget(m_humidity, 2, 1);
    panel.column->addLayout(grid);
    m_warning = quietLabel(u"airWarning"_s, this);
    panel.column->addWidget(m_warning);
    m_facts = quietLabel(u"airFacts"_s, this);
    panel.column->addWidget(m_facts);
    auto* give = new QHBoxLayout;
    m_give = new QPushButton(this);
    m_give->setObjectName(u"airGive"_s);
    m_give->setToolTip(tr("Write this weather into the selected pull; Ctrl+Z takes it back"));
    m_giveAll = new QPushButton(tr("To all without"), this);
    m_giveAll->setObjectName(u"airGiveAll"_s);
    m_giveAll->setToolTip(tr("Write this weather into every pull that has none; Ctrl+Z takes it back"));
    connect(m_give, &QPushButton::clicked, this, [this] { giveToPull(false); });
    connect(m_giveAll, &QPushButton::clicked, this, [this] { giveToPull(true); });
    connect(&m_selection, &Selection::pullChanged, this, &AirPanel::refresh);
    give->addWidget(m_give, 1);
    give->addWidget(m_giveAll);
    panel.column->addLayout(give);
    return panel.frame;
}

QWidget* AirPanel::makeEngine() {
    const Panel panel = makePanel(tr("Engine"), this);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(8));
    grid->setVerticalSpacing(px(6));
    QStringList schools;
    for (int i = 0; i < 4; ++i)
        schools << qs(boostSchoolPhrase(static_cast<BoostSchool>(i)));
    m_ignition = choice(u"airIgnition"_s, tr("Ignition"), {tr("spark"), tr("compression")});
    m_aspiration = choice(u"airAspiration"_s, tr("Charging"), {tr("natural"), tr("turbocharged"), tr("supercharged")});
    m_school = choice(u"airSchool"_s, tr("Boosted engines"), schools);
    m_boostHeld = new QCheckBox(this);
    m_boostHeld->setObjectName(u"airBoostHeld"_s);
    connect(m_boostHeld, &QCheckBox::toggled, this, &AirPanel::refresh);
    m_efficiency = number(u"airEfficiency"_s, tr("Mechanical efficiency"), 0.3, 1, 3, {});
    m_friction = number(u"airFriction"_s, tr("Friction power"), 0, 2000, 2, u"kW"_s);
    m_power = number(u"airPower"_s, tr("Observed power at that speed"), 0.1, 5000, 2, u"kW"_s);
    m_fuel = number(u"airFuel"_s, tr("Fuel a litre and cycle"), 1, 300, 1, u"mg"_s);
    m_boostRatio = number(u"airBoostRatio"_s, tr("Boost pressure ratio"), 1, 10, 2, {});
    m_cooling = choice(u"airCooling"_s, tr("Charge is cooled by"), {tr("nothing"), tr("air"), tr("liquid")});
    const std::pair<QString, QWidget*> fields[] = {{tr("Ignition"), m_ignition},
                                                   {tr("Charging"), m_aspiration},
                                                   {tr("Friction power, measured"), m_friction},
                                                   {tr("at this observed power"), m_power},
                                                   {tr("Mechanical efficiency"), m_efficiency},
                                                   {tr("Diesel: fuel a litre and cycle"), m_fuel},
                                                   {tr("Boost pressure ratio"), m_boostRatio},
                                                   {tr("Charge is cooled by"), m_cooling}};
    grid->addWidget(labelled(tr("Boosted: air factor"), m_school, this), 5, 0, 1, 2);
    int place = 0;
    for (const auto& [text, field] : fields) {
        grid->addWidget(labelled(text, field, this), place / 2, place % 2);
        ++place;
    }
    m_boostHeld->setText(tr("Boost is held absolute"));
    grid->addWidget(m_boostHeld, 6, 0, 1, 2);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    panel.column->addLayout(grid);
    return panel.frame;
}

QWidget* AirPanel::makeAnswer() {
    auto* frame = new QFrame(this);
    frame->setProperty("panel", true);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(px(8), px(6), px(8), px(6));
    column->setSpacing(px(6));
    m_table = new AirTable(m_look, this);
    m_view = new QTableView(frame);
    m_view->setObjectName(u"airTable"_s);
    m_view->setAccessibleName(tr("All standards for this condition"));
    m_view->setModel(m_table);
    m_view->setShowGrid(false);
    m_view->setFrameShape(QFrame::NoFrame);
    m_view->setTabKeyNavigation(false);
    m_view->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_view->setSelectionMode(QAbstractItemView::SingleSelection);
    m_view->verticalHeader()->hide();
    m_view->verticalHeader()->setDefaultSectionSize(px(27));
    m_view->horizontalHeader()->setHighlightSections(false);
    m_view->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_view->horizontalHeader()->setStretchLastSection(true);
    m_view->setSizeAdjustPolicy(QAbstractScrollArea::AdjustToContents);
    m_view->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    connect(m_view->selectionModel(), &QItemSelectionModel::currentRowChanged, this,
            [this](const QModelIndex& current) {
                const auto standard = m_table->standardAt(current.row());
                if (!standard || *standard == m_chosen)
                    return;
                m_chosen = *standard;
                refresh();
            });
    column->addWidget(m_view);
    m_words = quietLabel(u"airWords"_s, frame);
    m_sensitivity = quietLabel(u"airSensitivity"_s, frame);
    column->addWidget(m_words);
    column->addWidget(m_sensitivity);
    auto* boards = new QHBoxLayout;
    boards->setSpacing(0);
    for (size_t i = 0; i < m_boards.size(); ++i) {
        m_boards[i] = new Board(m_look, u"airBoard%1"_s.arg(i), frame);
        m_boards[i]->setCompact();
        boards->addWidget(m_boards[i], 1);
    }
    column->addLayout(boards, 1);
    return frame;
}

void AirPanel::refreshPulls() {
    const QSignalBlocker quiet(m_pull);
    m_pull->clear();
    m_pull->addItem(tr("typed by hand"));
    for (const Pull& pull : m_document.day().pulls)
        if (pull.weather)
            m_pull->addItem(tr("as for %1").arg(qs(pull.id)), qs(pull.id));
    m_pull->setEnabled(m_pull->count() > 1);
}

void AirPanel::takeFrom(const std::string& id) {
    const Pull* pull = findPull(m_document.day(), id);
    if (!pull || !pull->weather)
        return;
    m_temperature->show(pull->weather->temperature_c);
    m_pressureKind->setCurrentIndex(0);
    m_pressure->show(pull->weather->pressure_pa / 1000.0);
    m_altitude->show(m_document.day().cell.altitude_m);
    m_humidityKind->setCurrentIndex(static_cast<int>(pull->weather->humidity.kind));
    m_humidity->show(pull->weather->humidity.value);
    m_dayEngine.reset();
    takeEngine();
    refreshHumidity();
    refresh();
    m_pull->setCurrentIndex(std::max(0, m_pull->findData(qs(id))));
}

void AirPanel::takeEngine() {
    const EngineForAir engine = engineForAir(m_document.day());
    if (engine == m_dayEngine) // what was tried here stays until the day's own engine changes
        return;
    m_dayEngine = engine;
    m_ignition->setCurrentIndex(static_cast<int>(engine.ignition));
    m_aspiration->setCurrentIndex(static_cast<int>(engine.aspiration));
    m_school->setCurrentIndex(static_cast<int>(engine.boostSchool));
    const QSignalBlocker quiet(m_boostHeld);
    m_boostHeld->setChecked(engine.boostHeldAbsolute);
    m_efficiency->show(engine.mechanicalEfficiency);
    m_fuel->show(engine.fuel_mg_per_litre_cycle);
    m_boostRatio->show(engine.boostPressureRatio);
    m_cooling->setCurrentIndex(static_cast<int>(engine.chargeCooling));
}

void AirPanel::refreshHumidity() {
    const QString units[] = {u"%"_s, u"°C"_s, u"°C"_s, u"kPa"_s};
    m_humidity->setUnit(units[m_humidityKind->currentIndex()]);
}

AirInputs AirPanel::inputs() const {
    AirInputs out;
    out.temperature_c = m_temperature->number().value_or(std::nan(""));
    out.fromAltimeter = m_pressureKind->currentIndex() == 1;
    out.pressure_kpa = m_pressure->number().value_or(std::nan(""));
    out.altitude_m = m_altitude->number();
    out.humidity = {static_cast<HumidityKind>(m_humidityKind->currentIndex()),
                    m_humidity->number().value_or(std::nan(""))};
    EngineForAir& engine = out.engine;
    engine.ignition = static_cast<Ignition>(m_ignition->currentIndex());
    engine.aspiration = static_cast<Aspiration>(m_aspiration->currentIndex());
    engine.boostSchool = static_cast<BoostSchool>(m_school->currentIndex());
    engine.boostHeldAbsolute = m_boostHeld->isChecked();
    engine.mechanicalEfficiency = m_efficiency->number().value_or(0.85);
    engine.fuel_mg_per_litre_cycle = m_fuel->number();
    engine.boostPressureRatio = m_boostRatio->number();
    engine.chargeCooling = static_cast<ChargeCooling>(m_cooling->currentIndex());
    if (m_friction->number() && m_power->number()) {
        out.frictionPower_w = *m_friction->number() * 1000.0;
        out.power_w = *m_power->number() * 1000.0;
    }
    return out;
}

void AirPanel::refresh() {
    const AirAnswer answer = airAnswer(inputs());
    const bool boosted = m_aspiration->currentIndex() > 0;
    const bool diesel = m_ignition->currentIndex() == 1;
    m_school->setEnabled(boosted);
    m_boostHeld->setEnabled(boosted);
    m_boostRatio->setEnabled(boosted && diesel);
    m_cooling->setEnabled(boosted && diesel);
    m_fuel->setEnabled(diesel);
    for (NumberField* field : {m_efficiency, m_friction, m_power})
        field->setEnabled(!diesel);
    m_warning->setText(answer.problem.isEmpty() ? answer.warning : answer.problem);
    m_warning->setVisible(!m_warning->text().isEmpty());
    setWarning(m_warning, true);
    m_facts->setText(answer.problem.isEmpty() ? airFacts(answer).join(u'\n') : QString());
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    m_give->setText(pull ? tr("Give it to %1").arg(qs(pull->id)) : tr("Give it to a pull"));
    m_give->setEnabled(pull && answer.problem.isEmpty());
    m_giveAll->setEnabled(answer.problem.isEmpty() &&
                          std::any_of(m_document.day().pulls.begin(), m_document.day().pulls.end(),
                                      [](const Pull& one) { return !one.weather; }));
    m_words->setText(standardWords(answer, m_chosen));
    m_sensitivity->setText(answer.problem.isEmpty() ? sensitivityWords(answer, m_chosen) : QString());
    for (size_t i = 0; i < m_boards.size(); ++i) {
        m_boards[i]->setContent(answer.problem.isEmpty()
                                    ? factorBoard(answer, m_chosen, static_cast<AirInput>(i), m_look.theme())
                                    : BoardContent{});
    }
    m_table->setAnswer(answer);
    const int row = m_table->rowOf(m_chosen);
    if (row >= 0 && m_view->currentIndex().row() != row)
        m_view->setCurrentIndex(m_table->index(row, 0));
}

void AirPanel::giveToPull(bool all) {
    const AirInputs now = inputs();
    const Atmosphere atmosphere = atmosphereOf(now);
    const std::string id = m_selection.pull();
    m_document.edit(all ? tr("Give the weather to all pulls without") : tr("Give the weather to %1").arg(qs(id)),
                    [&](TestDay& day) {
                        for (Pull& pull : day.pulls)
                            if (all ? !pull.weather.has_value() : pull.id == id)
                                pull.weather = atmosphere;
                    });
}

} // namespace hillrun
