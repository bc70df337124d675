// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/pull_table.h"

#include "app/import/column_table.h"
#include "app/import/given_row.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/gather/gather_summary.h"

#include <algorithm>
#include <QCheckBox>
#include <QComboBox>
#include <QHeaderView>
#include <QSignalBlocker>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

enum ColumnOfPulls { Taken, Name, BuildOf, What, Started };
constexpr int kRow_px = 34;
constexpr int kRowsSeen = 5; ///< more are scrolled to

/// "842 rows, 41.9 s beside pulls"
QString logText(const ImportFile& file) {
    const GatheredPull& rows = file.gathered->pulls.front();
    const std::vector<double>& time = file.gathered->axes[rows.axis];
    return PullTable::tr("%1 rows, %2 s, to lie beside pulls")
        .arg(rows.rows.rows())
        .arg(numberText(time[rows.rows.last] - time[rows.rows.first], 1));
}

/// "2 010–6 990 rpm · 8.1 s · 71.9 kW", uncorrected
QString whatItIs(const ImportFile& file, const GatheredPull& pull) {
    if (isCurve(file))
        return PullTable::tr("a curve of %1 points").arg(pull.rows.rows());
    if (!(pull.sweep_rpm.high > 0.0))
        return PullTable::tr("%1 rows, roller speed only").arg(pull.rows.rows());
    QString out = PullTable::tr("%1 rpm \u00B7 %2 s").arg(rangeText(pull.sweep_rpm)).arg(numberText(pull.sweep_s, 1));
    try {
        if (const auto peak = rawPeak(tableOf(*file.gathered, pull, ambient_kpa(file))))
            out += PullTable::tr(" \u00B7 %1 kW").arg(numberText(peak->power_kw, 1));
    } catch (const DataError&) { // the window says it
    }
    return out;
}

} // namespace

std::vector<PullRow> pullRows(const std::vector<ImportFile>& files) {
    std::vector<PullRow> out;
    for (size_t file = 0; file < files.size(); ++file) {
        if (files[file].problem)
            out.push_back({file, 0, false});
        else
            for (size_t pull = 0; pull < files[file].gathered->pulls.size(); ++pull)
                out.push_back({file, pull, true});
    }
    return out;
}

QString shortName(const ImportFile& file) { return qs(file.name.substr(file.name.rfind('/') + 1)); }

PullTable::PullTable(const TestDay& day, const Theme& theme, QWidget* parent)
    : QTableWidget(parent), m_day(day), m_theme(theme) {
    makePlain(this, u"pullTable"_s, {tr("use"), tr("pull"), tr("build"), tr("what it is"), tr("made at")});
    const int widths[] = {36, 168, 72, 236};
    for (int i = 0; i < 4; ++i)
        setColumnWidth(i, px(widths[i]));
    connect(this, &QTableWidget::currentCellChanged, this, [this](int row) {
        if (row >= 0 && row < static_cast<int>(m_rows.size()))
            Q_EMIT picked(m_rows[static_cast<size_t>(row)].file, m_rows[static_cast<size_t>(row)].pull);
    });
}

void PullTable::show(const std::vector<ImportFile>& files) {
    const QSignalBlocker quiet(this);
    m_rows = pullRows(files);
    setRowCount(0);
    setRowCount(static_cast<int>(m_rows.size()));
    for (int row = 0; row < rowCount(); ++row)
        fillRow(row, files[m_rows[static_cast<size_t>(row)].file]);
    setFixedHeight(horizontalHeader()->sizeHint().height() + 6 + px(kRow_px) * std::clamp(rowCount(), 1, kRowsSeen));
}

void PullTable::pick(size_t file, size_t pull) {
    for (size_t row = 0; row < m_rows.size(); ++row)
        if (m_rows[row].file == file && m_rows[row].pull == pull)
            setCurrentCell(static_cast<int>(row), Name);
}

void PullTable::fillRow(int row, const ImportFile& file) {
    const PullRow& at = m_rows[static_cast<size_t>(row)];
    auto* name = new QTableWidgetItem(shortName(file));
    name->setToolTip(qs(file.path));
    setItem(row, Name, name);
    if (at.readable && isLog(file)) {
        auto* what = new QTableWidgetItem(logText(file));
        what->setFont(fonts::numbers(11));
        setItem(row, What, what);
        return;
    }
    if (at.readable) {
        fillPull(row, file, file.gathered->pulls[at.pull], name);
        return;
    }
    auto* what = new QTableWidgetItem(tr("cannot be read yet"));
    what->setForeground(m_theme.stop);
    setItem(row, What, what);
}

void PullTable::fillPull(int row, const ImportFile& file, const GatheredPull& pull, QTableWidgetItem* name) {
    const PullRow at = m_rows[static_cast<size_t>(row)];
    if (!pull.label.empty() || file.gathered->pulls.size() > 1)
        name->setText(
            tr("%1 \u00B7 %2").arg(name->text(), pull.label.empty() ? QString::number(at.pull + 1) : qs(pull.label)));
    auto* use = new QCheckBox(this);
    use->setObjectName(u"usePull%1"_s.arg(row));
    use->setAccessibleName(tr("use %1").arg(name->text()));
    use->setChecked(pull.use);
    connect(use, &QCheckBox::toggled, this, [this, at](bool on) { Q_EMIT useChanged(at.file, at.pull, on); });
    setCellWidget(row, Taken, use);
    QWidget* build = buildBox(at, file.builds[at.pull]);
    build->setObjectName(u"buildOfPull%1"_s.arg(row));
    setCellWidget(row, BuildOf, build);
    auto* what = new QTableWidgetItem(whatItIs(file, pull));
    what->setFont(fonts::numbers(11));
    what->setToolTip(what->text());
    setItem(row, What, what);
    auto* started =
        new QTableWidgetItem(pull.started.empty() ? u"\u2013"_s : qs(pull.started.substr(0, 16)).replace(u'T', u' '));
    started->setToolTip(pull.started.empty() ? tr("Not known: the pull goes by its place in the order")
                                             : qs(pull.started));
    setItem(row, Started, started);
}

QWidget* PullTable::buildBox(const PullRow& at, const std::string& chosen) {
    QComboBox* box = makeBuildBox(m_day, chosen, this);
    connect(box, &QComboBox::currentTextChanged, this,
            [this, at](const QString& text) { Q_EMIT buildChanged(at.file, at.pull, text.trimmed()); });
    return box;
}

} // namespace hillrun
