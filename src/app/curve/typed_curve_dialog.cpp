// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/typed_curve_dialog.h"

#include "app/import/column_table.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/trace/sheet_check.h"

#include <QApplication>
#include <QClipboard>
#include <QHeaderView>
#include <QKeyEvent>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kFirstRows = 14;
constexpr int kSpareRows = 3;

QComboBox* unitBox(const QString& name, const QString& label, const QStringList& units, int chosen, QWidget* parent) {
    auto* box = new QComboBox(parent);
    box->setObjectName(name);
    box->setAccessibleName(label);
    box->addItems(units);
    box->setCurrentIndex(chosen);
    return box;
}

} // namespace

TypedCurveDialog::TypedCurveDialog(const TestDay& day, const DisplayUnits& units, Look& look, QWidget* parent)
    : QDialog(parent), m_theme(look.theme()) {
    setObjectName(u"typedCurveDialog"_s);
    setWindowTitle(tr("Type a curve"));
    const QSize wanted(1000, 640);
    resize(parent ? wanted.boundedTo(parent->window()->size() - QSize(16, 16)) : wanted);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(14), px(16), px(14));
    column->setSpacing(px(8));
    auto* title =
        new PlainLabel(tr("Type or paste what the sheet says. Peaks alone will do: power at one speed, torque "
                          "at another."),
                       this);
    title->setProperty("title", true);
    title->setWordWrap(true);
    column->addWidget(title);
    column->addLayout(makeHead(day, units));
    auto* halves = new QHBoxLayout;
    m_table = new QTableWidget(kFirstRows, 3, this);
    makePlain(m_table, u"typedPoints"_s, {tr("engine speed, rpm"), tr("power"), tr("torque")});
    m_table->setAccessibleName(tr("Points of the curve"));
    m_table->setEditTriggers(QAbstractItemView::AllEditTriggers);
    m_table->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_table->setSelectionBehavior(QAbstractItemView::SelectItems);
    m_table->setFont(fonts::numbers(13));
    m_table->setFixedWidth(px(400));
    m_table->setShowGrid(true);
    m_table->setColumnWidth(0, px(146));
    m_table->setColumnWidth(1, px(110));
    m_table->setTabKeyNavigation(true);
    m_table->installEventFilter(this);
    connect(m_table, &QTableWidget::cellChanged, this, &TypedCurveDialog::refresh);
    halves->addWidget(m_table);
    m_board = new Board(look, u"typedBoard"_s, this);
    halves->addWidget(m_board, 1);
    column->addLayout(halves, 1);
    m_doubt = new PlainLabel(this);
    m_doubt->setObjectName(u"typedDoubt"_s);
    m_doubt->setWordWrap(true);
    setWarning(m_doubt, true);
    column->addWidget(m_doubt);
    m_allTheSame = new QCheckBox(tr("The sheet is like that: take it all the same"), this);
    m_allTheSame->setObjectName(u"typedAllTheSame"_s);
    connect(m_allTheSame, &QCheckBox::toggled, this, &TypedCurveDialog::refresh);
    column->addWidget(m_allTheSame);
    m_given = new GivenRow(this);
    column->addWidget(m_given);
    column->addLayout(makeButtons());
    showCurve({});
    refresh();
    m_table->setFocus();
    m_table->setCurrentCell(0, 0);
}

QLayout* TypedCurveDialog::makeHead(const TestDay& day, const DisplayUnits& units) {
    auto* row = new QHBoxLayout;
    row->addWidget(new PlainLabel(tr("Build"), this));
    m_build = makeBuildBox(day, day.builds.empty() ? "A" : day.builds.front().id, this);
    m_build->setObjectName(u"typedBuild"_s);
    m_build->setAccessibleName(tr("Build of the curve"));
    row->addWidget(m_build);
    row->addSpacing(px(16));
    row->addWidget(new PlainLabel(tr("Power in"), this));
    m_power = unitBox(u"typedPowerUnit"_s, tr("Unit of the power"), {u"kW"_s, u"hp"_s, u"PS"_s},
                      static_cast<int>(units.power), this);
    row->addWidget(m_power);
    row->addWidget(new PlainLabel(tr("torque in"), this));
    m_torque = unitBox(u"typedTorqueUnit"_s, tr("Unit of the torque"), {u"N.m"_s, u"lbf.ft"_s, u"kgf.m"_s},
                       static_cast<int>(units.torque), this);
    row->addWidget(m_torque);
    row->addStretch(1);
    for (QComboBox* box : {m_build, m_power, m_torque})
        connect(box, &QComboBox::currentTextChanged, this, &TypedCurveDialog::refresh);
    return row;
}

QLayout* TypedCurveDialog::makeButtons() {
    auto* row = new QHBoxLayout;
    m_problem = new PlainLabel(this);
    m_problem->setObjectName(u"typedProblem"_s);
    m_problem->setWordWrap(true);
    m_problem->setProperty("quiet", true);
    row->addWidget(m_problem, 1);
    auto* paste = new QPushButton(tr("Paste"), this);
    paste->setObjectName(u"pastePoints"_s);
    paste->setAutoDefault(false);
    connect(paste, &QPushButton::clicked, this, &TypedCurveDialog::paste);
    row->addWidget(paste);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setAutoDefault(false);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    row->addWidget(cancel);
    m_take = new QPushButton(tr("Take the curve"), this);
    m_take->setObjectName(u"takeTyped"_s);
    m_take->setProperty("main", true);
    m_take->setAutoDefault(false);
    connect(m_take, &QPushButton::clicked, this, &QDialog::accept);
    row->addWidget(m_take);
    return row;
}

bool TypedCurveDialog::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_table && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->matches(QKeySequence::Paste)) {
            paste();
            return true;
        }
        if (key->key() == Qt::Key_Delete || key->key() == Qt::Key_Backspace) {
            clearCells();
            return true;
        }
        if (key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter) { // on to the next speed
            m_table->setCurrentCell(std::min(m_table->currentRow() + 1, m_table->rowCount() - 1), 0);
            return true;
        }
    }
    return QDialog::eventFilter(watched, event);
}

void TypedCurveDialog::clearCells() {
    {
        const QSignalBlocker quiet(m_table);
        for (QTableWidgetItem* item : m_table->selectedItems())
            item->setText({});
    }
    refresh();
}

/// From the current cell on.
void TypedCurveDialog::paste() {
    const std::vector<TypedRow> pasted = rowsOfText(QApplication::clipboard()->text().toStdString());
    const int row0 = std::max(0, m_table->currentRow());
    const int column0 = std::max(0, m_table->currentColumn());
    {
        const QSignalBlocker quiet(m_table);
        m_table->setRowCount(std::max(m_table->rowCount(), row0 + static_cast<int>(pasted.size()) + kSpareRows));
        for (size_t i = 0; i < pasted.size(); ++i)
            for (int c = 0; column0 + c < 3; ++c)
                if (const std::string& cell = pasted[i][static_cast<size_t>(c)]; !cell.empty() || c == 0)
                    m_table->setItem(row0 + static_cast<int>(i), column0 + c, new QTableWidgetItem(qs(cell)));
    }
    refresh();
}

std::vector<TypedRow> TypedCurveDialog::rows() const {
    std::vector<TypedRow> out;
    for (int row = 0; row < m_table->rowCount(); ++row) {
        TypedRow cells;
        for (int column = 0; column < 3; ++column)
            if (const QTableWidgetItem* item = m_table->item(row, column))
                cells[static_cast<size_t>(column)] = item->text().trimmed().toStdString();
        out.push_back(cells);
    }
    return out;
}

void TypedCurveDialog::showCurve(const ChannelTable& table) {
    BoardContent content;
    content.title = tr("Power, %1, and torque, %2").arg(m_power->currentText(), m_torque->currentText());
    content.xTitle = tr("rpm");
    if (table.rows() == 0) { // an empty sheet to begin with
        content.xRange = RpmRange{0.0, 8000.0};
        content.yRange = RpmRange{0.0, 100.0};
    }
    const std::pair<const char*, std::string> shown[] = {{"power", powerUnit()}, {"torque", torqueUnit()}};
    for (const auto& [channel, unit] : shown) {
        const Column* column = table.find(channel);
        if (!column)
            continue;
        const QColor colour = channel == std::string("power") ? m_theme.mark : m_theme.quietInk;
        BoardSeries line{{}, {}, QPen(colour, 2.0), channel == std::string("power") ? tr("power") : tr("torque"), 0.0};
        for (size_t i = 0; i < table.rows(); ++i)
            if (std::isfinite(column->values[i])) {
                line.x.push_back(table.find("engine_speed")->values[i]);
                line.y.push_back(parseUnit(unit)->fromCanonical(column->values[i]));
            }
        BoardSeries dots = line;
        dots.label.clear();
        dots.dots = 6.0;
        content.series.push_back(std::move(line));
        content.series.push_back(std::move(dots));
    }
    m_board->setContent(std::move(content));
}

void TypedCurveDialog::refresh() {
    QString wrong;
    QString doubt;
    try {
        const ChannelTable table = readTypedCurve(rows(), powerUnit(), torqueUnit());
        showCurve(table);
        if (const auto found = checkSheet(table, powerUnit(), torqueUnit()))
            doubt = qs(sheetDoubtStatements(*found, powerUnit(), torqueUnit()));
    } catch (const DataError& error) {
        const bool begun = error.problem() != Problem::NoTorqueChannel && error.problem() != Problem::TooFewPoints;
        wrong = begun ? errorText(error) : tr("Type at least two points.");
    }
    if (wrong.isEmpty() && m_build->currentText().trimmed().isEmpty())
        wrong = tr("Say which build the curve belongs to.");
    m_doubt->setText(doubt);
    m_doubt->setVisible(!doubt.isEmpty());
    m_allTheSame->setVisible(!doubt.isEmpty());
    m_problem->setText(wrong);
    m_take->setEnabled(wrong.isEmpty() && (doubt.isEmpty() || m_allTheSame->isChecked()));
    if (m_table->item(m_table->rowCount() - 1, 0)) { // always room below
        const QSignalBlocker quiet(m_table);
        m_table->setRowCount(m_table->rowCount() + kSpareRows);
    }
}

NewCurve TypedCurveDialog::curve() const {
    NewCurve out;
    out.build = m_build->currentText().trimmed().toStdString();
    out.table = readTypedCurve(rows(), powerUnit(), torqueUnit());
    m_given->putInto(out.given);
    out.measuredAt = m_given->measuredAt();
    out.note = m_allTheSame->isVisibleTo(this) ? "typed; power and torque of it do not belong together" : "typed";
    return out;
}

} // namespace hillrun
