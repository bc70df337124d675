// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/column_table.h"

#include "app/look/fields.h"
#include "app/look/scale.h"
#include "app/look/typed_number.h"
#include "app/look/words.h"
#include "core/channels/channels.h"
#include "formats/gather/column_words.h"

#include <cmath>
#include <QCheckBox>
#include <QComboBox>
#include <QHeaderView>
#include <QLineEdit>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

enum ColumnOfTable { Header, Means, UnitText, Gauge, Factor, Values };
constexpr size_t kPreviewed = 4;

/// A few values of a column, or of its texts, in one line.
QString previewOf(const RawColumn& column) {
    QStringList out;
    const size_t count = column.texts.empty() ? column.values.size() : column.texts.size();
    const size_t step = std::max<size_t>(1, count / kPreviewed);
    for (size_t i = 0; i < count && out.size() < static_cast<int>(kPreviewed); i += step) {
        if (!column.texts.empty())
            out << qs(column.texts[i]);
        else
            out << (std::isfinite(column.values[i]) ? QString::number(column.values[i], 'g', 6) : u"\u2013"_s);
    }
    return out.join(u"   "_s);
}

QString meaningOf(std::string_view role) {
    if (role == role::kDate)
        return ColumnTable::tr("date");
    if (role == role::kSample)
        return ColumnTable::tr("number of the row");
    if (role == role::kRun)
        return ColumnTable::tr("run");
    if (role == role::kAirTemperature)
        return ColumnTable::tr("weather: temperature");
    if (role == role::kAirPressure)
        return ColumnTable::tr("weather: pressure");
    return ColumnTable::tr("weather: humidity");
}

QComboBox* meaningBox(const GatheredColumn& column, QWidget* parent) {
    auto* box = new QComboBox(parent);
    box->addItem(ColumnTable::tr("(left out)"), QString());
    box->addItem(ColumnTable::tr("its own name"), qs(column.header));
    for (const ChannelInfo& info : standardChannels())
        box->addItem(channelText(info.name), QString::fromUtf8(info.name));
    for (const std::string_view role :
         {role::kDate, role::kRun, role::kSample, role::kAirTemperature, role::kAirPressure, role::kHumidity})
        box->addItem(meaningOf(role), QString::fromUtf8(role.data(), static_cast<qsizetype>(role.size())));
    int chosen = column.channel.empty() ? 0 : 1;
    for (int k = 2; k < box->count(); ++k)
        if (box->itemData(k).toString() == qs(column.channel))
            chosen = k;
    box->setCurrentIndex(chosen);
    return box;
}

} // namespace

void makePlain(QTableWidget* table, const QString& name, const QStringList& headers) {
    table->setObjectName(name);
    table->setColumnCount(static_cast<int>(headers.size()));
    table->setHorizontalHeaderLabels(headers);
    table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table->horizontalHeader()->setHighlightSections(false);
    table->horizontalHeader()->setStretchLastSection(true);
    table->verticalHeader()->hide();
    table->verticalHeader()->setDefaultSectionSize(px(34));
    table->setShowGrid(false);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setTabKeyNavigation(false);
}

ColumnTable::ColumnTable(const Theme& theme, QWidget* parent) : QTableWidget(parent), m_theme(theme) {
    makePlain(this, u"columnTable"_s,
              {tr("column"), tr("means"), tr("unit"), tr("gauge"), tr("times"), tr("some values")});
    const int widths[] = {150, 164, 84, 52, 62};
    for (int i = 0; i < 5; ++i)
        setColumnWidth(i, px(widths[i]));
}

void ColumnTable::clearAll() {
    m_columns.clear();
    setRowCount(0);
}

void ColumnTable::show(const GatheredFile& file) {
    // Whoever types here goes on typing at the same place when the file has been read again.
    std::pair<int, int> focused{-1, -1};
    for (int row = 0; row < rowCount(); ++row)
        for (int column = 0; column < columnCount(); ++column)
            if (const QWidget* widget = cellWidget(row, column); widget && widget->hasFocus())
                focused = {row, column};
    m_columns = file.columns;
    setRowCount(0);
    setRowCount(static_cast<int>(m_columns.size()));
    for (int row = 0; row < rowCount(); ++row)
        showRow(row, file);
    if (QWidget* widget = cellWidget(focused.first, focused.second))
        widget->setFocus();
}

void ColumnTable::showRow(int row, const GatheredFile& file) {
    const GatheredColumn& column = m_columns[static_cast<size_t>(row)];
    auto* header = new QTableWidgetItem(column.header.empty() ? tr("(no name)") : qs(column.header));
    header->setToolTip(header->text());
    if (column.guessed) {
        header->setText(header->text() + u" ?"_s);
        header->setToolTip(tr("%1: guessed, please check").arg(qs(column.header)));
        header->setForeground(m_theme.warning);
    }
    setItem(row, Header, header);
    QComboBox* meaning = meaningBox(column, this);
    meaning->setObjectName(u"channelOfColumn%1"_s.arg(row));
    connect(meaning, &QComboBox::activated, this, [this, row, meaning](int index) {
        const std::string channel = meaning->itemData(index).toString().toStdString();
        change(row, [&](GatheredColumn& c) { c.channel = channel; });
    });
    setCellWidget(row, Means, meaning);
    auto* unit = new QLineEdit(qs(column.unit), this);
    unit->setObjectName(u"unitOfColumn%1"_s.arg(row));
    unit->setAccessibleName(tr("unit of %1").arg(qs(column.header)));
    connect(unit, &QLineEdit::editingFinished, this, [this, row, unit] {
        const std::string text = unit->text().trimmed().toStdString();
        if (text != m_columns[static_cast<size_t>(row)].unit)
            change(row, [&](GatheredColumn& c) { c.unit = text; });
    });
    setCellWidget(row, UnitText, unit);
    const auto parsed = parseUnit(column.unit);
    if (parsed && parsed->dimension == Dimension::Pressure) {
        auto* gauge = new QCheckBox(this);
        gauge->setObjectName(u"gaugeOfColumn%1"_s.arg(row));
        gauge->setToolTip(tr("Counts from the surrounding air, not from zero"));
        gauge->setChecked(column.gauge);
        connect(gauge, &QCheckBox::toggled, this,
                [this, row](bool on) { change(row, [on](GatheredColumn& c) { c.gauge = on; }); });
        setCellWidget(row, Gauge, gauge);
    }
    if (channelInfo(column.channel)) {
        auto* factor = new QLineEdit(QString::number(column.factor, 'g', 6), this);
        factor->setObjectName(u"factorOfColumn%1"_s.arg(row));
        factor->setAccessibleName(tr("factor of %1").arg(qs(column.header)));
        factor->setToolTip(tr("Times this before anything else; -1 turns a reaction round"));
        connect(factor, &QLineEdit::editingFinished, this, [this, row, factor] {
            const auto value = typedNumber(factor->text());
            const bool readable = value && std::isfinite(*value);
            setWrong(factor, readable ? QString() : tr("not taken: a factor is a number, such as -1 or 9.81"));
            if (readable && *value != m_columns[static_cast<size_t>(row)].factor)
                change(row, [value](GatheredColumn& c) { c.factor = *value; });
        });
        setCellWidget(row, Factor, factor);
    }
    auto* values = new QTableWidgetItem(previewOf(file.table.columns[static_cast<size_t>(row)]));
    values->setFont(fonts::numbers(11));
    values->setToolTip(values->text());
    setItem(row, Values, values);
}

void ColumnTable::change(int row, const std::function<void(GatheredColumn&)>& change) {
    GatheredColumn& column = m_columns[static_cast<size_t>(row)];
    change(column);
    column.unitGiven = !column.unit.empty();
    column.guessed = false;
    Q_EMIT columnChanged(row, GatheredColumn(column));
}

} // namespace hillrun
