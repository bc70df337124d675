// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/bench_page.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/workbench/dyno_panel.h"
#include "app/workbench/load_cell_panel.h"
#include "app/workbench/station_panel.h"

#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {

WeatherPanel::WeatherPanel(DayDocument& document, Look& look, QWidget* parent)
    : QWidget(parent), m_document(document), m_look(look) {
    setObjectName(u"weatherPanel"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    m_words = new PlainLabel(this);
    m_words->setObjectName(u"weatherWords"_s);
    m_words->setWordWrap(true);
    column->addWidget(m_words);
    auto* frame = new QFrame(this);
    frame->setProperty("panel", true);
    auto* boards = new QVBoxLayout(frame);
    boards->setContentsMargins(1, 2, 1, 1);
    boards->setSpacing(0);
    for (size_t i = 0; i < m_boards.size(); ++i) {
        m_boards[i] = new Board(m_look, u"weatherBoard%1"_s.arg(i), frame);
        boards->addWidget(m_boards[i], i + 1 == m_boards.size() ? 3 : 2);
        connect(m_boards[i], &Board::cursorMoved, this, [this](double hours) {
            for (Board* board : m_boards)
                board->setCursor(hours,
                                 board == m_boards.front() ? tr("%1\u00A0h").arg(numberText(hours, 2)) : QString());
        });
    }
    column->addWidget(frame, 1);
    connect(&m_document, &DayDocument::analysisReady, this, &WeatherPanel::refresh);
    connect(&m_look, &Look::changed, this, &WeatherPanel::refresh);
    refresh();
}

void WeatherPanel::refresh() {
    const auto analysis = m_document.analysis();
    if (!analysis) {
        for (Board* board : m_boards)
            board->setContent({});
        m_words->setText(m_document.isOpen() ? tr("Working the day out \u2026")
                                             : tr("No day is open. Press Ctrl+O to open one."));
        return;
    }
    const DayWeather weather = weatherThroughDay(m_document.day(), *analysis);
    m_words->setText(weatherWords(*analysis, weather));
    for (size_t i = 0; i < m_boards.size(); ++i)
        m_boards[i]->setContent(weatherBoard(m_document.day(), weather, static_cast<WeatherBoard>(i), m_look.theme()));
}

BenchPage::BenchPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QWidget* parent)
    : PageView(parent), m_actions(actions) {
    setObjectName(u"benchPage"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(8), px(16), px(12));
    column->setSpacing(px(6));
    auto* tools = new QHBoxLayout;
    for (const char* id : {"bench.air", "bench.weather", "bench.dyno", "bench.checks"}) {
        actions.get(id)->setCheckable(true);
        auto* button = new QToolButton(this);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setProperty("flat", true);
        button->setProperty("switch", true);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        tools->addWidget(button);
    }
    tools->addStretch(1);
    column->addLayout(tools);
    m_parts = new QStackedWidget(this);
    m_parts->addWidget(new AirPanel(document, selection, look, m_parts));
    m_parts->addWidget(new WeatherPanel(document, look, m_parts));
    m_parts->addWidget(new DynoPanel(document, m_parts));
    auto* loadCell = new LoadCellPanel(document, look, m_parts);
    loadCell->addBelow(new StationPanel(document, loadCell));
    m_parts->addWidget(loadCell);
    column->addWidget(m_parts, 1);
    showPart(0);
}

void BenchPage::showPart(int part) {
    m_parts->setCurrentIndex(part);
    m_actions.get("bench.air")->setChecked(part == 0);
    m_actions.get("bench.weather")->setChecked(part == 1);
    m_actions.get("bench.dyno")->setChecked(part == 2);
    m_actions.get("bench.checks")->setChecked(part == 3);
}

PageSpec benchSpec() {
    const auto declare = [](const Workplace& at) {
        const auto page = [at]() -> BenchPage& { return pageOf<BenchPage>(at.host, "bench"); };
        at.actions.add({.id = "bench.air",
                        .text = BenchPage::tr("Air"),
                        .tip = BenchPage::tr("One condition under every standard"),
                        .scope = {"bench"}},
                       &at.actions, [page] { page().showAir(); });
        at.actions.add({.id = "bench.weather",
                        .text = BenchPage::tr("Weather of the day"),
                        .tip = BenchPage::tr("What the weather did, against the pulls"),
                        .scope = {"bench"}},
                       &at.actions, [page] { page().showWeather(); });
        at.actions.add({.id = "bench.dyno",
                        .text = BenchPage::tr("Gears, rollers, units"),
                        .tip = BenchPage::tr("Road speed in each gear, inertia of rollers, units"),
                        .scope = {"bench"}},
                       &at.actions, [page] { page().showDyno(); });
        at.actions.add({.id = "bench.checks",
                        .text = BenchPage::tr("Load cell, weather station"),
                        .tip = BenchPage::tr("Check the load cell by masses on an arm, the weather station beside a "
                                             "better instrument"),
                        .scope = {"bench"}},
                       &at.actions, [page] { page().showChecks(); });
    };
    const auto make = [](const Workplace& at, QWidget* parent) -> PageView* {
        return new BenchPage(at.document, at.selection, at.look, at.actions, parent);
    };
    return {.id = "bench",
            .title = BenchPage::tr("Bench"),
            .tip = BenchPage::tr("Calculators, and the day's weather"),
            .keys = {u"Ctrl+9"_s, u"Alt+B"_s},
            .besideTheDay = true,
            .make = make,
            .declare = declare};
}

} // namespace hillrun
