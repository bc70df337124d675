// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_line_table.h"

#include "app/import/column_table.h"
#include "app/import/given_row.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>
#include <array>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

enum ColumnOfLines { BuildOf, What, Axis, Points };
constexpr std::array kUnits{"kW", "hp", "PS", "N.m", "lbf.ft", "kgf.m"};

} // namespace

TraceLineTable::TraceLineTable(const TestDay& day, const Theme& theme, QWidget* parent)
    : QTableWidget(parent), m_day(day), m_theme(theme) {
    makePlain(this, u"traceLines"_s, {tr("build"), tr("shows"), tr("axis"), tr("points")});
    setAccessibleName(tr("Lines of the sheet"));
    const int widths[] = {76, 128, 76};
    for (int i = 0; i < 3; ++i)
        setColumnWidth(i, px(widths[i]));
    connect(this, &QTableWidget::currentCellChanged, this, [this](int row) {
        if (row >= 0)
            Q_EMIT picked(static_cast<size_t>(row));
    });
}

QString TraceLineTable::pointsText(const TracedLine& line) const {
    return line.points.empty() ? tr("none yet") : QString::number(line.points.size());
}

void TraceLineTable::show(const SheetTrace& trace, size_t current) {
    const QSignalBlocker quiet(this);
    m_shown = trace;
    setRowCount(0);
    setRowCount(static_cast<int>(trace.lines.size()));
    setColumnHidden(Axis, !trace.rightAxis);
    for (int row = 0; row < rowCount(); ++row)
        fillRow(row, trace);
    setCurrentCell(static_cast<int>(current), Points);
}

void TraceLineTable::fillRow(int row, const SheetTrace& trace) {
    const auto number = static_cast<size_t>(row);
    const TracedLine& line = trace.lines[number];
    const auto changed = [this, number](const auto& change) {
        TracedLine said = m_shown.lines[number];
        change(said);
        m_shown.lines[number] = said;
        Q_EMIT lineChanged(number, said);
    };
    QComboBox* build = makeBuildBox(m_day, line.build, this);
    build->setObjectName(u"buildOfLine%1"_s.arg(row));
    build->setAccessibleName(tr("build of line %1").arg(row + 1));
    connect(build, &QComboBox::currentTextChanged, this, [changed](const QString& text) {
        changed([&](TracedLine& said) { said.build = text.trimmed().toStdString(); });
    });
    setCellWidget(row, BuildOf, build);
    auto* what = new QComboBox(this);
    what->setObjectName(u"unitOfLine%1"_s.arg(row));
    what->setAccessibleName(tr("what line %1 shows").arg(row + 1));
    for (const char* unit : kUnits)
        what->addItem(isTorque({unit, {}}) ? tr("torque, %1").arg(QLatin1String(unit))
                                           : tr("power, %1").arg(QLatin1String(unit)),
                      QString(QLatin1String(unit)));
    what->setCurrentIndex(what->findData(qs(line.unit)));
    connect(what, &QComboBox::activated, this, [changed, what] {
        changed([&](TracedLine& said) { said.unit = what->currentData().toString().toStdString(); });
    });
    setCellWidget(row, What, what);
    auto* axis = new QComboBox(this);
    axis->setObjectName(u"axisOfLine%1"_s.arg(row));
    axis->setAccessibleName(tr("axis of line %1").arg(row + 1));
    axis->addItems({tr("left"), tr("right")});
    axis->setCurrentIndex(line.onRightAxis ? 1 : 0);
    connect(axis, &QComboBox::activated, this,
            [changed](int index) { changed([&](TracedLine& said) { said.onRightAxis = index == 1; }); });
    setCellWidget(row, Axis, axis);
    auto* points = new QTableWidgetItem(pointsText(line));
    points->setFont(fonts::numbers(12));
    setItem(row, Points, points);
}

} // namespace hillrun
