// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_dialog.h"

#include "app/look/plain_text.h"
#include "app/look/theme.h"
#include "app/look/words.h"
#include "core/channels/channels.h"
#include "core/errors/data_error.h"

#include <cmath>
#include <filesystem>
#include <QHeaderView>
#include <QRegularExpression>
#include <QSignalBlocker>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kPreviewRows = 5;

QString lowered(const std::string& text) { return qs(text).toLower(); }

/// The first few values of a column, in one line.
QString previewOf(const std::vector<double>& values) {
    QStringList out;
    const size_t step = std::max<size_t>(1, values.size() / kPreviewRows);
    for (size_t i = 0; i < values.size() && out.size() < static_cast<int>(kPreviewRows); i += step)
        out << (std::isfinite(values[i]) ? QString::number(values[i], 'g', 6) : u"blank"_s);
    return out.join(u"   "_s);
}

QTableWidget* plainTable(const QString& name, const QStringList& headers, QWidget* parent) {
    auto* table = new QTableWidget(0, static_cast<int>(headers.size()), parent);
    table->setObjectName(name);
    table->setHorizontalHeaderLabels(headers);
    table->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table->horizontalHeader()->setHighlightSections(false);
    table->verticalHeader()->hide();
    table->verticalHeader()->setDefaultSectionSize(34);
    table->setShowGrid(false);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setTabKeyNavigation(false);
    return table;
}

QDoubleSpinBox* figure(const QString& name, double value, double low, double high, int decimals, const QString& unit,
                       QWidget* parent) {
    auto* box = new QDoubleSpinBox(parent);
    box->setObjectName(name);
    box->setRange(low, high);
    box->setDecimals(decimals);
    box->setValue(value);
    box->setSuffix(u"\u00A0"_s + unit);
    box->setFont(fonts::numbers(13));
    return box;
}

} // namespace

ImportDialog::ImportDialog(const TestDay& day, std::vector<ImportFile> files, QWidget* parent)
    : QDialog(parent), m_day(day), m_files(std::move(files)) {
    setObjectName(u"importDialog"_s);
    setWindowTitle(tr("Import pulls"));
    resize(940, 660);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 16, 16, 16);
    column->setSpacing(8);
    auto* title = new PlainLabel(m_files.size() == 1
                                     ? tr("One file becomes one pull. Check what was guessed.")
                                     : tr("%1 files become %1 pulls. Check what was guessed.").arg(m_files.size()),
                                 this);
    title->setProperty("title", true);
    column->addWidget(title);
    column->addWidget(makeFileTable(), 2);
    column->addWidget(makeColumnTable(), 4);
    column->addLayout(makeMappingRow());
    column->addLayout(makeWeatherRow());
    m_problem = new PlainLabel(this);
    m_problem->setObjectName(u"importProblem"_s);
    m_problem->setProperty("stop", true);
    m_problem->setWordWrap(true);
    column->addWidget(m_problem);
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setObjectName(u"cancelImport"_s);
    m_import = new QPushButton(tr("Import"), this);
    m_import->setObjectName(u"acceptImport"_s);
    m_import->setProperty("main", true);
    m_import->setDefault(true);
    buttons->addWidget(cancel);
    buttons->addWidget(m_import);
    column->addLayout(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_import, &QPushButton::clicked, this, &ImportDialog::accept);
    showFile(0);
    validate();
}

QWidget* ImportDialog::makeFileTable() {
    m_fileTable = plainTable(u"fileTable"_s, {tr("file"), tr("belongs to build"), tr("rows"), tr("made at")}, this);
    m_fileTable->setRowCount(static_cast<int>(m_files.size()));
    m_fileTable->setColumnWidth(0, 360);
    m_fileTable->setColumnWidth(1, 200);
    m_fileTable->setColumnWidth(2, 80);
    m_fileTable->horizontalHeader()->setStretchLastSection(true);
    for (size_t i = 0; i < m_files.size(); ++i) {
        const int row = static_cast<int>(i);
        auto* name = new QTableWidgetItem(qs(std::filesystem::path(m_files[i].path).filename().string()));
        name->setToolTip(qs(m_files[i].path));
        m_fileTable->setItem(row, 0, name);
        auto* choice = new QComboBox(m_fileTable);
        choice->setObjectName(u"buildOfFile%1"_s.arg(row));
        choice->setEditable(true);
        for (const Build& build : m_day.builds)
            choice->addItem(qs(build.id));
        for (const char letter : {'A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'})
            if (choice->findText(QString(QLatin1Char(letter))) < 0)
                choice->addItem(QString(QLatin1Char(letter)));
        choice->setCurrentText(qs(m_files[i].build));
        connect(choice, &QComboBox::currentTextChanged, this, [this, i](const QString& text) {
            m_files[i].build = text.trimmed().toStdString();
            validate();
        });
        m_fileTable->setCellWidget(row, 1, choice);
        m_fileTable->setItem(row, 2, new QTableWidgetItem(QString::number(m_files[i].table.rows())));
        m_fileTable->setItem(
            row, 3,
            new QTableWidgetItem(m_files[i].started.empty() ? tr("not known: goes by order") : qs(m_files[i].started)));
    }
    connect(m_fileTable, &QTableWidget::currentCellChanged, this, [this](int row) { showFile(row); });
    return m_fileTable;
}

QWidget* ImportDialog::makeColumnTable() {
    m_columnTable =
        plainTable(u"columnTable"_s, {tr("column"), tr("means"), tr("unit"), tr("gauge"), tr("some values")}, this);
    const int widths[] = {200, 220, 110, 60};
    for (int i = 0; i < 4; ++i)
        m_columnTable->setColumnWidth(i, widths[i]);
    m_columnTable->horizontalHeader()->setStretchLastSection(true);
    return m_columnTable;
}

QLayout* ImportDialog::makeWeatherRow() {
    auto* row = new QHBoxLayout;
    m_weatherKnown = new QCheckBox(tr("Weather of these pulls:"), this);
    m_weatherKnown->setObjectName(u"weatherKnown"_s);
    m_temperature = figure(u"importTemperature"_s, 20.0, -40.0, 60.0, 1, u"\u00B0C"_s, this);
    m_pressure = figure(u"importPressure"_s, 98.0, 50.0, 115.0, 2, u"kPa"_s, this);
    m_humidity = figure(u"importHumidity"_s, 50.0, 0.0, 100.0, 0, u"%"_s, this);
    row->addWidget(m_weatherKnown);
    for (QDoubleSpinBox* box : {m_temperature, m_pressure, m_humidity}) {
        box->setEnabled(false);
        row->addWidget(box);
        connect(box, &QDoubleSpinBox::valueChanged, this, &ImportDialog::takeWeather);
        connect(m_weatherKnown, &QCheckBox::toggled, box, &QWidget::setEnabled);
    }
    auto* hint = new PlainLabel(tr("station pressure at the intake, not a forecast's sea-level figure"), this);
    hint->setProperty("quiet", true);
    hint->setProperty("small", true);
    row->addWidget(hint, 1);
    connect(m_weatherKnown, &QCheckBox::toggled, this, &ImportDialog::takeWeather);
    return row;
}

QLayout* ImportDialog::makeMappingRow() {
    auto* row = new QHBoxLayout;
    auto* label = new PlainLabel(tr("Use a kept mapping:"), this);
    m_mappings = new QComboBox(this);
    m_mappings->setObjectName(u"mappingChoice"_s);
    m_mappings->setMinimumWidth(160);
    m_mappings->addItem(tr("none"));
    for (const std::string& name : savedMappings())
        m_mappings->addItem(qs(name));
    connect(m_mappings, &QComboBox::textActivated, this, &ImportDialog::applyMapping);
    m_mappingName = new QLineEdit(this);
    m_mappingName->setObjectName(u"mappingName"_s);
    m_mappingName->setPlaceholderText(tr("name for this mapping"));
    m_mappingName->setMinimumWidth(210);
    m_remember = new QPushButton(tr("Keep this mapping"), this);
    m_remember->setObjectName(u"keepMapping"_s);
    m_remember->setEnabled(false);
    connect(m_mappingName, &QLineEdit::textChanged, this, [this](const QString& text) {
        static const QRegularExpression allowed(u"^[\\w .-]{1,60}$"_s);
        m_remember->setEnabled(allowed.match(text).hasMatch() && !text.startsWith(u'.'));
    });
    connect(m_remember, &QPushButton::clicked, this, &ImportDialog::rememberMapping);
    row->addWidget(label);
    row->addWidget(m_mappings);
    row->addStretch(1);
    row->addWidget(m_mappingName);
    row->addWidget(m_remember);
    return row;
}

void ImportDialog::showFile(int index) {
    if (index < 0 || index >= static_cast<int>(m_files.size()))
        return;
    m_current = index;
    showColumns();
}

void ImportDialog::showColumns() {
    const ImportFile& file = m_files[static_cast<size_t>(m_current)];
    m_columnTable->setRowCount(0);
    m_columnTable->setRowCount(static_cast<int>(file.meanings.size()));
    for (size_t i = 0; i < file.meanings.size(); ++i) {
        const ColumnMeaning& meaning = file.meanings[i];
        const int row = static_cast<int>(i);
        auto* header = new QTableWidgetItem(qs(meaning.header));
        if (meaning.guessed) {
            header->setText(header->text() + tr("  \u00B7 guessed"));
            header->setToolTip(tr("Guessed: please check"));
            header->setFont(fonts::text(13, true));
        }
        m_columnTable->setItem(row, 0, header);
        auto* channel = new QComboBox(m_columnTable);
        channel->setObjectName(u"channelOfColumn%1"_s.arg(row));
        channel->addItem(tr("(left out)"), QString());
        channel->addItem(tr("its own name"), qs(meaning.header));
        for (const ChannelInfo& info : standardChannels())
            channel->addItem(QString::fromUtf8(info.label), QString::fromUtf8(info.name));
        int chosen = meaning.channel.empty() ? 0 : 1;
        for (int k = 2; k < channel->count(); ++k)
            if (channel->itemData(k).toString() == qs(meaning.channel))
                chosen = k;
        channel->setCurrentIndex(chosen);
        connect(channel, &QComboBox::activated, this,
                [this, row, channel](int index) { setChannel(row, channel->itemData(index).toString()); });
        m_columnTable->setCellWidget(row, 1, channel);
        auto* unit = new QLineEdit(qs(meaning.unit), m_columnTable);
        unit->setObjectName(u"unitOfColumn%1"_s.arg(row));
        connect(unit, &QLineEdit::editingFinished, this, [this, row, unit] { setUnit(row, unit->text()); });
        m_columnTable->setCellWidget(row, 2, unit);
        const auto parsed = parseUnit(meaning.unit);
        if (parsed && parsed->dimension == Dimension::Pressure) {
            auto* gauge = new QCheckBox(m_columnTable);
            gauge->setObjectName(u"gaugeOfColumn%1"_s.arg(row));
            gauge->setToolTip(tr("Counts from the surrounding air, not from zero"));
            gauge->setChecked(meaning.gauge);
            connect(gauge, &QCheckBox::toggled, this, [this, row](bool on) { setGauge(row, on); });
            m_columnTable->setCellWidget(row, 3, gauge);
        }
        auto* values = new QTableWidgetItem(previewOf(file.table.columns[i]));
        values->setFont(fonts::numbers(11));
        m_columnTable->setItem(row, 4, values);
    }
}

void ImportDialog::changeMeaning(const std::string& header, const std::function<void(ColumnMeaning&)>& change) {
    for (ImportFile& file : m_files)
        for (ColumnMeaning& meaning : file.meanings)
            if (meaning.header == header) {
                change(meaning);
                meaning.guessed = false;
            }
    validate();
}

void ImportDialog::setChannel(int row, const QString& channel) {
    const std::string header = m_files[static_cast<size_t>(m_current)].meanings[static_cast<size_t>(row)].header;
    changeMeaning(header, [&](ColumnMeaning& meaning) { meaning.channel = channel.toStdString(); });
}

void ImportDialog::setUnit(int row, const QString& unit) {
    const std::string header = m_files[static_cast<size_t>(m_current)].meanings[static_cast<size_t>(row)].header;
    changeMeaning(header, [&](ColumnMeaning& meaning) { meaning.unit = unit.trimmed().toStdString(); });
}

void ImportDialog::setGauge(int row, bool gauge) {
    const std::string header = m_files[static_cast<size_t>(m_current)].meanings[static_cast<size_t>(row)].header;
    changeMeaning(header, [&](ColumnMeaning& meaning) { meaning.gauge = gauge; });
}

void ImportDialog::applyMapping(const QString& name) {
    if (m_mappings->currentIndex() == 0)
        return;
    try {
        const ColumnMapping mapping = loadMapping(name.toStdString());
        for (ImportFile& file : m_files)
            file.meanings = guessMeanings(file.table, &mapping);
    } catch (const DataError& error) {
        m_problem->setText(QString::fromUtf8(error.what()));
        return;
    }
    showColumns();
    validate();
}

void ImportDialog::rememberMapping() {
    ColumnMapping mapping;
    mapping.name = m_mappingName->text().toStdString();
    for (const ColumnMeaning& meaning : m_files[static_cast<size_t>(m_current)].meanings)
        mapping.meanings[lowered(meaning.header).toStdString()] = meaning;
    try {
        saveMapping(mapping);
        if (m_mappings->findText(m_mappingName->text()) < 0)
            m_mappings->addItem(m_mappingName->text());
        m_remember->setText(tr("Kept"));
    } catch (const DataError& error) {
        m_problem->setText(QString::fromUtf8(error.what()));
    }
}

void ImportDialog::takeWeather() {
    for (ImportFile& file : m_files) {
        file.weather.reset();
        if (m_weatherKnown->isChecked())
            file.weather = Atmosphere{m_temperature->value(),
                                      m_pressure->value() * 1000.0,
                                      {HumidityKind::RelativeHumidity_pct, m_humidity->value()}};
    }
}

void ImportDialog::validate() {
    QString problem;
    TestDay trial = m_day;
    for (const ImportFile& file : m_files) {
        try {
            if (file.build.empty())
                problem =
                    tr("Say which build %1 belongs to.").arg(qs(std::filesystem::path(file.path).filename().string()));
            else
                (void)addImported(trial, file);
        } catch (const DataError& error) {
            problem = QString::fromUtf8(error.what());
        }
        if (!problem.isEmpty())
            break;
    }
    m_problem->setText(problem);
    m_problem->setVisible(!problem.isEmpty());
    m_import->setEnabled(problem.isEmpty());
}

void ImportDialog::accept() {
    takeWeather();
    validate();
    if (m_import->isEnabled())
        QDialog::accept();
}

} // namespace hillrun
