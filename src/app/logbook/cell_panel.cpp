// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/cell_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/units/log_percent.h"

#include <QFrame>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kLook = 4.0;
constexpr double kMoved = 5.0;

CellShown cellFrom(Logbook& logbook, const std::string& name) {
    const std::vector<DayRecord> records = logbook.recordsOfCell(name);
    const CellHistory cell = cellHistory(daysOfDyno(records));
    return {static_cast<int>(cell.days.size()),
            cell.repeatability,
            cell.refit,
            cell.dayToDay,
            cell.reference,
            cell.runs,
            cell.chart,
            cell.checks};
}

BoardSeries seriesOf(const CellShown& cell, const QPen& pen, double dots, const QString& label,
                     const std::function<double(size_t)>& value) {
    BoardSeries out;
    out.pen = pen;
    out.dots = dots;
    out.label = label;
    for (size_t i = 0; i < cell.runs.size(); ++i) {
        out.x.push_back(static_cast<double>(i + 1));
        out.y.push_back(value(i));
    }
    return out;
}

double runsBefore(const CellShown& cell, const std::string& date) {
    return static_cast<double>(
        std::count_if(cell.runs.begin(), cell.runs.end(), [&](const ReferenceRun& run) { return run.date < date; }));
}

RpmRange runsRange(const CellShown& cell) { return {0.5, static_cast<double>(cell.runs.size()) + 0.5}; }

} // namespace

BoardContent levelBoard(const CellShown& cell, const Theme& theme) {
    BoardContent out;
    out.title = QObject::tr("Reference build against the mean of its runs, %");
    out.xLabels = false;
    out.zeroLine = true;
    if (cell.runs.empty())
        return out;
    out.xRange = runsRange(cell);
    const auto level = [&](size_t i) { return percentOfLog(cell.runs[i].level); };
    double farthest = 0.3;
    for (size_t i = 0; i < cell.runs.size(); ++i)
        farthest = std::max(farthest, std::abs(level(i)));
    out.yRange = RpmRange{-1.4 * farthest, 1.4 * farthest}; // room for the word below the lowest point
    out.series.push_back(seriesOf(cell, QPen(theme.rule, 1.0), 0.0, {}, level));
    out.series.push_back(seriesOf(cell, QPen(theme.mark, 1.0), 7.0, {}, level));
    for (const DatedCheck& check : cell.checks)
        out.marks.push_back({runsBefore(cell, check.date) + 0.5, 0.0, theme.quietInk,
                             (check.ofLoadCell ? QObject::tr("load cell %1") : QObject::tr("station %1"))
                                 .arg(percentText(check.off_pct))});
    if (const auto& shift = cell.chart.shift)
        out.shades.push_back({static_cast<double>(shift->since) + 0.5, out.xRange->high,
                              theme.faded(theme.warning, 0.18),
                              QObject::tr("moved since %1").arg(qs(cell.runs[shift->since].date))});
    return out;
}

BoardContent sumBoard(const CellShown& cell, const Theme& theme) {
    BoardContent out;
    out.title = QObject::tr("Sums of the control chart: above 4 look at the dyno, above 5 it has moved");
    out.xTitle = QObject::tr("run");
    out.yRange = RpmRange{0.0, 6.0};
    if (cell.runs.empty())
        return out;
    out.xRange = runsRange(cell);
    double highest = 6.0;
    for (const ChartPoint& point : cell.chart.points)
        highest = std::max({highest, point.up + 0.5, point.down + 0.5});
    out.yRange = RpmRange{0.0, highest};
    for (const double limit : {kLook, kMoved})
        out.series.push_back(seriesOf(cell, QPen(limit > kLook ? theme.stop : theme.warning, 1.0, Qt::DashLine), 0.0,
                                      {}, [limit](size_t) { return limit; }));
    out.series.push_back(seriesOf(cell, QPen(theme.asText(theme.gain), 1.8), 0.0, QObject::tr("up"),
                                  [&](size_t i) { return cell.chart.points[i].up; }));
    out.series.push_back(seriesOf(cell, QPen(theme.asText(theme.loss), 1.8), 0.0, QObject::tr("down"),
                                  [&](size_t i) { return cell.chart.points[i].down; }));
    return out;
}

QString cellSentence(const CellShown& cell) {
    if (cell.days == 0)
        return QObject::tr("No day of a cell is in the logbook yet. Days enter when they are saved.");
    if (const Statement state = cellStatement(cell.chart, cell.runs); !state.empty())
        return qs(state);
    if (cell.runs.size() < 3)
        return QObject::tr("No build has run on enough days yet to watch the dyno by it.");
    return QObject::tr("The dyno is steady: its reference build has not moved.");
}

QString cellLines(const CellShown& cell) {
    QStringList out;
    for (const Statement& line : cellFigures(cell.repeatability, cell.refit, cell.dayToDay))
        out << qs(line);
    for (const Statement& line : checkLines(cell.checks))
        out << qs(line);
    return out.join(u'\n');
}

CellPanel::CellPanel(LogbookLink& link, Look& look, QWidget* parent) : QWidget(parent), m_link(link), m_look(look) {
    setObjectName(u"cellPanel"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    m_cells = new QComboBox(this);
    m_cells->setObjectName(u"cellChoice"_s);
    m_cells->setAccessibleName(tr("Cell"));
    m_cells->setToolTip(tr("Cell"));
    m_cells->setMinimumWidth(px(220));
    column->addWidget(m_cells, 0, Qt::AlignLeft);
    connect(m_cells, &QComboBox::activated, this, &CellPanel::ask);
    m_lines = new PlainLabel(this);
    m_lines->setObjectName(u"cellLines"_s);
    m_lines->setWordWrap(true);
    column->addWidget(m_lines);
    auto* frame = new QFrame(this);
    frame->setProperty("panel", true);
    auto* boards = new QVBoxLayout(frame);
    boards->setContentsMargins(1, 2, 1, 1);
    boards->setSpacing(0);
    m_levels = new Board(m_look, u"cellLevels"_s, frame);
    m_sums = new Board(m_look, u"cellSums"_s, frame);
    boards->addWidget(m_levels, 3);
    boards->addWidget(m_sums, 2);
    for (Board* board : {m_levels, m_sums})
        connect(board, &Board::cursorMoved, this, [this](double x) {
            const auto run = static_cast<size_t>(
                std::clamp(std::lround(x), 1L, std::max(1L, static_cast<long>(m_cell.runs.size()))) - 1);
            if (run >= m_cell.runs.size())
                return;
            m_levels->setCursor(static_cast<double>(run + 1), qs(m_cell.runs[run].date) + u"  "_s +
                                                                  percentText(percentOfLog(m_cell.runs[run].level)));
            m_sums->setCursor(static_cast<double>(run + 1), {});
        });
    column->addWidget(frame, 1);
    connect(&m_look, &Look::changed, this, [this] { show(m_cell); });
}

void CellPanel::refresh() {
    m_link.ask(
        this, [](Logbook& logbook) { return logbook.cells(); },
        [this](const std::vector<std::string>& cells) { listCells(cells); });
}

void CellPanel::listCells(const std::vector<std::string>& cells) {
    const QString before = m_cells->currentText();
    m_cells->clear();
    for (const std::string& cell : cells)
        m_cells->addItem(qs(cell));
    if (const int at = m_cells->findText(before); at >= 0)
        m_cells->setCurrentIndex(at);
    ask();
}

void CellPanel::ask() {
    const std::string name = m_cells->currentText().toStdString();
    if (m_cells->count() == 0)
        return show({});
    m_link.ask(
        this, [name](Logbook& logbook) { return cellFrom(logbook, name); },
        [this, question = ++m_question](const CellShown& cell) {
            if (question == m_question)
                show(cell);
        });
}

void CellPanel::show(const CellShown& cell) {
    m_cell = cell;
    m_lines->setText(cell.days > 0 ? cellLines(cell) : QString());
    m_levels->setContent(levelBoard(cell, m_look.theme()));
    m_sums->setContent(sumBoard(cell, m_look.theme()));
    const bool moved = cell.chart.shift.has_value();
    Q_EMIT answered(cellSentence(cell), moved);
}

} // namespace hillrun
