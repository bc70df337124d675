// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/station_panel.h"

#include "app/frame/answer_head.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"

using namespace Qt::StringLiterals;

namespace hillrun {

std::optional<Atmosphere> StationPanel::Air::air(HumidityKind kind) const {
    if (!pressure->number() || !temperature->number() || !humidity->number())
        return std::nullopt;
    return Atmosphere{*temperature->number(), 1000.0 * *pressure->number(), {kind, *humidity->number()}};
}

void StationPanel::Air::show(const std::optional<Atmosphere>& air) {
    temperature->show(air ? std::optional(air->temperature_c) : std::nullopt);
    pressure->show(air ? std::optional(air->pressure_pa / 1000.0) : std::nullopt);
    humidity->show(air ? std::optional(air->humidity.value) : std::nullopt);
}

StationPanel::StationPanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    setObjectName(u"stationPanel"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Weather station beside a better instrument"), this);
    column->addWidget(panel.frame);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(px(8));
    grid->setVerticalSpacing(px(4));
    const QStringList heads{tr("pressure"), tr("temperature"), tr("relative humidity")};
    for (int i = 0; i < 3; ++i)
        grid->addWidget(new PlainLabel(heads[i], panel.frame), 0, i + 1);
    m_station = makeAir(u"station"_s, tr("station"), panel.frame, *grid, 1);
    m_reference = makeAir(u"reference"_s, tr("reference"), panel.frame, *grid, 2);
    auto* row = new QHBoxLayout;
    row->setSpacing(px(16));
    auto* fields = new QVBoxLayout; // as high as its lines
    fields->addLayout(grid);
    fields->addStretch(1);
    row->addLayout(fields);
    auto* words = new QVBoxLayout;
    row->addLayout(words, 1);
    panel.column->addLayout(row);
    m_answer = selectableLabel(u"stationAnswer"_s, panel.frame);
    words->addWidget(m_answer);
    m_means = quietLabel(u"stationMeans"_s, panel.frame);
    words->addWidget(m_means);
    m_kept = new KeepRow(u"Station"_s, panel.frame);
    words->addStretch(1);
    panel.column->addWidget(m_kept, 0, Qt::AlignRight);
    connect(m_kept, &KeepRow::changed, this, &StationPanel::refresh);
    connect(m_kept, &KeepRow::keep, this, &StationPanel::keep);
    connect(m_kept, &KeepRow::clear, this, &StationPanel::clear);
    connect(&m_document, &DayDocument::dayChanged, this, &StationPanel::takeDay);
    connect(&m_document, &DayDocument::analysisReady, this, &StationPanel::refresh);
    takeDay();
    refresh();
}

StationPanel::Air StationPanel::makeAir(const QString& name, const QString& label, QWidget* parent, QGridLayout& grid,
                                        int row) {
    const auto field = [&](const QString& what, const QString& spoken, double low, double high, int decimals,
                           const QString& unit, int at) {
        auto* out = new NumberField(name + what, u"%1, %2"_s.arg(label, spoken), low, high, decimals, unit, parent);
        grid.addWidget(out, row, at);
        connect(out, &NumberField::edited, this, &StationPanel::refresh);
        return out;
    };
    grid.addWidget(new PlainLabel(label, parent), row, 0);
    return {field(u"Pressure"_s, tr("pressure"), 50, 110, 2, u"kPa"_s, 1),
            field(u"Temperature"_s, tr("temperature"), -40, 60, 1, u"\u00B0C"_s, 2),
            field(u"Humidity"_s, tr("relative humidity"), 0, 100, 1, u"%"_s, 3)};
}

void StationPanel::takeDay() {
    const std::optional<StationCheck>& kept = m_document.day().cell.stationCheck;
    const bool anotherDay = m_document.path() != m_shownDay;
    m_shownDay = m_document.path();
    if (kept == m_ofDay || (!kept && !anotherDay)) {
        m_ofDay = kept;
        return refresh();
    }
    m_ofDay = kept;
    m_station.show(kept ? std::optional(kept->station) : std::nullopt);
    m_reference.show(kept ? std::optional(kept->reference) : std::nullopt);
    m_kept->show(kept ? kept->date : std::string());
    refresh();
}

std::optional<StationCheck> StationPanel::check() const {
    StationCheck out = m_ofDay.value_or(StationCheck{}); // what this version does not know of it stays
    const auto station = m_station.air(out.station.humidity.kind);
    const auto reference = m_reference.air(out.reference.humidity.kind);
    if (!station || !reference)
        return std::nullopt;
    out.date = m_kept->date().value_or(std::string());
    out.station = *station;
    out.reference = *reference;
    return out;
}

void StationPanel::refresh() {
    const auto made = check();
    m_means->clear();
    m_kept->mayKeep(false);
    if (!made) {
        m_answer->setText(tr("Type what both read in the same air."));
        return;
    }
    try {
        const Standard standard = m_document.settings().reduce.standard;
        std::vector<Statement> summary =
            stationSummary(stationResult(*made, standard, engineForAir(m_document.day())), standard);
        m_answer->setText(qs(summary.front()));
        summary.erase(summary.begin());
        m_means->setText(qs(summary));
        m_kept->mayKeep(m_document.day().cell.stationCheck != made && m_document.isOpen() && m_document.mayEdit());
    } catch (const DataError& error) {
        m_answer->setText(errorText(error));
    }
}

void StationPanel::keep() {
    const auto made = check();
    if (!numbersReadable(*this) || !made)
        return;
    m_kept->show(made->date);
    m_ofDay = made;
    m_document.edit(tr("Keep the check of the weather station"), [&](TestDay& day) { day.cell.stationCheck = made; });
}

void StationPanel::clear() {
    const bool kept = m_ofDay.has_value();
    m_ofDay.reset();
    m_station.show(std::nullopt);
    m_reference.show(std::nullopt);
    m_kept->show({});
    if (kept && m_document.mayEdit())
        m_document.edit(tr("Take the check of the weather station away"),
                        [](TestDay& day) { day.cell.stationCheck.reset(); });
    refresh();
}

} // namespace hillrun
