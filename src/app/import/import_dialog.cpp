// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_dialog.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/gather/gather_summary.h"

#include <algorithm>
#include <QRegularExpression>
#include <QScrollArea>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <set>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

std::vector<std::string> headersIn(const ImportFile& file) {
    std::vector<std::string> out;
    if (file.gathered)
        for (const RawColumn& column : file.gathered->table.columns)
            out.push_back(column.name);
    return out;
}

} // namespace

ImportDialog::ImportDialog(const TestDay& day, std::vector<ImportFile> files, const Theme& theme, QWidget* parent)
    : QDialog(parent), m_day(day), m_files(std::move(files)), m_theme(theme) {
    setObjectName(u"importDialog"_s);
    setWindowTitle(tr("Import pulls"));
    const QSize wanted(1180, 740);
    resize(parent ? wanted.boundedTo(parent->window()->size() - QSize(16, 16)) : wanted);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(14), px(16), px(14));
    column->setSpacing(px(8));
    takeLogsForLogs();
    column->addLayout(makeTitleRow());
    m_halves = new QSplitter(Qt::Horizontal, this);
    m_halves->setChildrenCollapsible(false);
    m_raw = new RawTextPanel(theme, this);
    m_halves->addWidget(m_raw);
    m_halves->addWidget(makeRight());
    m_halves->setStretchFactor(0, 2);
    m_halves->setStretchFactor(1, 3);
    m_halves->setSizes({400, 760});
    column->addWidget(m_halves, 1);
    column->addLayout(makeMappingRow());
    m_given = new GivenRow(this);
    connect(m_given, &GivenRow::edited, this, &ImportDialog::takeGiven);
    column->addWidget(m_given);
    m_weather = new QWidget(this);
    m_weather->setLayout(makeWeatherRow());
    column->addWidget(m_weather);
    m_problem = new PlainLabel(this);
    m_problem->setObjectName(u"importProblem"_s);
    m_problem->setProperty("stop", true);
    m_problem->setWordWrap(true);
    column->addWidget(m_problem);
    column->addLayout(makeButtons());
    connect(m_raw, &RawTextPanel::choicesChanged, this, [this](const GatherChoices& choices) {
        choose([&](GatherChoices& all) {
            GatherChoices said = choices;
            said.columns = all.columns;
            said.purpose = all.purpose;
            all = said;
        });
    });
    connect(&m_reader, &ImportReader::progressed, this,
            [this](int percent) { m_title->setText(tr("Reading\u2026 %1 %").arg(percent)); });
    connect(&m_reader, &ImportReader::done, this, [this](const ReadFiles& read) {
        for (size_t i = 0; i < m_beingRead.size(); ++i)
            m_files[m_beingRead[i]] = read.files[i];
        showAll();
    });
    fillPulls();
    showPull(0, 0);
    validate();
}

/// A file without torque that comes to a day with pulls is what another device recorded beside them.
void ImportDialog::takeLogsForLogs() {
    const bool pulls = std::any_of(m_day.pulls.begin(), m_day.pulls.end(), [](const Pull& pull) { return pull.raw; });
    for (ImportFile& file : m_files)
        if (pulls && file.problem && file.problem->problem() == Problem::NoTorqueChannel) {
            file.choices.purpose = GatherPurpose::Log;
            readAgain(file, m_day);
        }
}

QLayout* ImportDialog::makeTitleRow() {
    auto* row = new QHBoxLayout;
    m_title = new PlainLabel(this);
    m_title->setProperty("title", true);
    m_title->setWordWrap(true);
    row->addWidget(m_title, 1);
    row->addWidget(new PlainLabel(tr("This file holds"), this));
    m_purpose = new QComboBox(this);
    m_purpose->setObjectName(u"importPurpose"_s);
    m_purpose->setAccessibleName(tr("What the file holds"));
    m_purpose->addItem(tr("pulls"), static_cast<int>(GatherPurpose::Pulls));
    m_purpose->addItem(tr("a curve by engine speed"), static_cast<int>(GatherPurpose::Curve));
    m_purpose->addItem(tr("a log beside pulls"), static_cast<int>(GatherPurpose::Log));
    connect(m_purpose, &QComboBox::activated, this, [this](int index) {
        const auto purpose = static_cast<GatherPurpose>(m_purpose->itemData(index).toInt());
        choose([&](GatherChoices& all) { all.purpose = purpose; });
    });
    row->addWidget(m_purpose);
    return row;
}

QWidget* ImportDialog::makeRight() {
    auto* right = new QWidget(this);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(px(8), 0, 0, 0);
    column->setSpacing(px(6));
    m_pullTable = new PullTable(m_day, m_theme, right);
    connect(m_pullTable, &PullTable::picked, this, &ImportDialog::showPull);
    connect(m_pullTable, &PullTable::useChanged, this, [this](size_t file, size_t pull, bool use) {
        m_files[file].gathered->pulls[pull].use = use;
        showPicture();
        validate();
    });
    connect(m_pullTable, &PullTable::buildChanged, this, [this](size_t file, size_t pull, const QString& build) {
        m_files[file].builds[pull] = build.toStdString();
        validate();
    });
    column->addWidget(m_pullTable);
    m_picture = new PullPicture(right);
    m_picture->setObjectName(u"pullPicture"_s);
    m_picture->setTheme(m_theme);
    connect(m_picture, &PullPicture::spansChanged, this, &ImportDialog::split);
    connect(m_picture, &PullPicture::pressed, this,
            [this](int span) { m_pullTable->pick(m_current, static_cast<size_t>(span)); });
    column->addWidget(m_picture);
    m_doubts = new PlainLabel(right);
    m_doubts->setObjectName(u"importDoubts"_s);
    m_doubts->setWordWrap(true);
    m_doubts->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* scroll = new QScrollArea(right);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setMaximumHeight(px(84));
    scroll->setWidget(m_doubts);
    column->addWidget(scroll);
    m_columns = new ColumnTable(m_theme, right);
    connect(m_columns, &ColumnTable::columnChanged, this, [this](int index, const GatheredColumn& said) {
        choose([&](GatherChoices& all) { all.columns[static_cast<size_t>(index)] = said; });
    });
    column->addWidget(m_columns, 4);
    return right;
}

QLayout* ImportDialog::makeWeatherRow() {
    auto* row = new QHBoxLayout;
    row->setContentsMargins(0, 0, 0, 0);
    m_weatherKnown = new QCheckBox(tr("Weather of these pulls:"), this);
    m_weatherKnown->setObjectName(u"weatherKnown"_s);
    m_temperature = new NumberField(u"importTemperature"_s, tr("air temperature"), -40.0, 60.0, 1, u"°C"_s, this);
    m_pressure = new NumberField(u"importPressure"_s, tr("air pressure"), 50.0, 115.0, 2, u"kPa"_s, this);
    m_humidity = new NumberField(u"importHumidity"_s, tr("humidity"), 0.0, 100.0, 0, u"%"_s, this);
    const auto found =
        std::find_if(m_files.begin(), m_files.end(), [](const auto& f) { return f.weather.has_value(); });
    const Atmosphere air = found != m_files.end()
                               ? *found->weather
                               : Atmosphere{20.0, 98000.0, {HumidityKind::RelativeHumidity_pct, 50.0}};
    m_temperature->show(air.temperature_c);
    m_pressure->show(air.pressure_pa / 1000.0);
    m_humidity->show(air.humidity.value);
    m_weatherKnown->setChecked(found != m_files.end());
    row->addWidget(m_weatherKnown);
    for (NumberField* field : {m_temperature, m_pressure, m_humidity}) {
        field->setEnabled(m_weatherKnown->isChecked());
        row->addWidget(field);
        connect(field, &NumberField::edited, this, &ImportDialog::takeWeather);
        connect(m_weatherKnown, &QCheckBox::toggled, field, &QWidget::setEnabled);
    }
    auto* hint = new PlainLabel(tr("station pressure at the intake, not a forecast's sea-level figure"), this);
    hint->setProperty("quiet", true);
    hint->setProperty("small", true);
    row->addWidget(hint, 1);
    connect(m_weatherKnown, &QCheckBox::toggled, this, &ImportDialog::takeWeather);
    return row;
}

/// Said of one curve, it is said of all that come with it.
void ImportDialog::takeGiven() {
    for (ImportFile& file : m_files)
        if (isCurve(file)) {
            m_given->putInto(file.given);
            file.measuredAt = m_given->measuredAt();
        }
}

QLayout* ImportDialog::makeMappingRow() {
    auto* row = new QHBoxLayout;
    auto* label = new PlainLabel(tr("Use a kept mapping:"), this);
    m_mappings = new QComboBox(this);
    m_mappings->setObjectName(u"mappingChoice"_s);
    m_mappings->setMinimumWidth(px(160));
    m_mappings->addItem(tr("none"));
    for (const std::string& name : savedMappings())
        m_mappings->addItem(qs(name));
    connect(m_mappings, &QComboBox::textActivated, this, &ImportDialog::applyMapping);
    m_mappingName = new QLineEdit(this);
    m_mappingName->setObjectName(u"mappingName"_s);
    m_mappingName->setPlaceholderText(tr("name for this mapping"));
    m_mappingName->setMinimumWidth(px(210));
    m_remember = new QPushButton(tr("Keep this mapping"), this);
    m_remember->setObjectName(u"keepMapping"_s);
    m_remember->setEnabled(false);
    m_remember->setAutoDefault(false);
    connect(m_mappingName, &QLineEdit::textChanged, this, [this](const QString& text) {
        static const QRegularExpression allowed(u"^[\\w .-]{1,60}$"_s);
        m_remember->setEnabled(allowed.match(text).hasMatch() && !text.startsWith(u'.'));
        m_remember->setText(tr("Keep this mapping"));
    });
    connect(m_remember, &QPushButton::clicked, this, &ImportDialog::rememberMapping);
    row->addWidget(label);
    row->addWidget(m_mappings);
    row->addStretch(1);
    row->addWidget(m_mappingName);
    row->addWidget(m_remember);
    return row;
}

QLayout* ImportDialog::makeButtons() {
    auto* buttons = new QHBoxLayout;
    buttons->addStretch(1);
    auto* cancel = new QPushButton(tr("Cancel"), this);
    cancel->setObjectName(u"cancelImport"_s);
    cancel->setAutoDefault(false);
    m_import = new QPushButton(tr("Import"), this);
    m_import->setObjectName(u"acceptImport"_s);
    m_import->setProperty("main", true);
    buttons->addWidget(cancel);
    buttons->addWidget(m_import);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(m_import, &QPushButton::clicked, this, &ImportDialog::accept);
    return buttons;
}

void ImportDialog::fillPulls() {
    m_pullTable->show(m_files);
    const auto unread =
        std::count_if(m_files.begin(), m_files.end(), [](const ImportFile& file) { return file.problem.has_value(); });
    const auto pulls = static_cast<qsizetype>(pullRows(m_files).size());
    m_title->setText(
        unread > 0 ? tr("%1 cannot be read yet. Say at the left how it is written, or what its columns mean.")
                         .arg(counted("count.files", unread))
                   : tr("%1 in %2. Check what was understood.")
                         .arg(std::all_of(m_files.begin(), m_files.end(), isLog)     ? counted("count.logs", pulls)
                              : std::all_of(m_files.begin(), m_files.end(), isCurve) ? counted("count.curves", pulls)
                                                                                     : counted("count.pulls", pulls),
                              counted("count.files", static_cast<qsizetype>(m_files.size()))));
}

void ImportDialog::showPull(size_t file, size_t pull) {
    m_current = file;
    m_currentPull = pull;
    showFile();
}

void ImportDialog::showFile() {
    m_raw->show(current());
    m_purpose->setCurrentIndex(m_purpose->findData(static_cast<int>(current().choices.purpose)));
    m_given->setVisible(isCurve(current()));
    m_given->show(current().given);
    if (current().gathered)
        m_columns->show(*current().gathered);
    else
        m_columns->clearAll();
    showPicture();
    showDoubts();
}

void ImportDialog::showPicture() {
    if (current().problem) {
        m_picture->show({}, {}, {}, 0, false);
        return;
    }
    const GatheredFile& file = *current().gathered;
    std::vector<double> speed;
    const size_t axis = file.pulls[std::min(m_currentPull, file.pulls.size() - 1)].axis;
    RowSpans spans;
    std::vector<bool> used;
    size_t shown = 0;
    for (size_t i = 0; i < file.pulls.size(); ++i) {
        if (file.pulls[i].axis != axis)
            continue; // beside each other: the one that is looked at
        shown = i == m_currentPull ? spans.size() : shown;
        spans.push_back(file.pulls[i].rows);
        used.push_back(file.pulls[i].use);
        for (const size_t column : file.pulls[i].columns)
            if (isCurve(current())
                    ? file.columns[column].channel == "power" || file.columns[column].channel == "torque"
                    : file.columns[column].channel == "engine_speed" || file.columns[column].channel == "roller_speed")
                speed = file.table.columns[column].values; // of a curve what it shows: its rows go by speed
    }
    m_picture->show(std::move(speed), std::move(spans), std::move(used), shown,
                    file.axes.size() == 1 && !isCurve(current()));
}

void ImportDialog::showDoubts() {
    QStringList lines;
    if (current().gathered) {
        for (const GatherNote& note : doubtsOf(current().gathered->notes)) {
            GatherNote placed = note;
            placed.place.file.clear();
            lines << u"\u2022 "_s + qs(noteStatements(placed));
        }
        if (!current().mapping.empty())
            lines << tr("Read with the mapping \u201C%1\u201D.").arg(qs(current().mapping));
    }
    m_doubts->setText(lines.join(u'\n'));
    setWarning(m_doubts, current().gathered && !doubtsOf(current().gathered->notes).empty());
    m_doubts->parentWidget()->parentWidget()->setVisible(!lines.isEmpty());
}

void ImportDialog::choose(const std::function<void(GatherChoices&)>& change) {
    const auto headers = headersIn(current());
    std::vector<size_t> changed;
    for (size_t i = 0; i < m_files.size(); ++i) {
        if (i != m_current && (headers.empty() || headersIn(m_files[i]) != headers))
            continue;
        change(m_files[i].choices);
        changed.push_back(i);
    }
    readThese(changed);
}

void ImportDialog::split(const std::vector<RowSpan>& spans) {
    current().choices.pulls = spans;
    readThese({m_current});
}

void ImportDialog::readThese(const std::vector<size_t>& which) {
    size_t bytes = 0;
    for (const size_t i : which)
        bytes += m_files[i].bytes->size();
    if (bytes <= kReadAtOnce) {
        for (const size_t i : which)
            readAgain(m_files[i], m_day);
        showAll();
        return;
    }
    m_beingRead = which;
    std::vector<ImportFile> copies;
    for (const size_t i : which)
        copies.push_back(m_files[i]);
    m_halves->setEnabled(false);
    m_import->setEnabled(false);
    m_title->setText(tr("Reading…"));
    m_reader.run([copies = std::move(copies), day = m_day](const ReadWatch& watch) mutable {
        for (ImportFile& file : copies)
            readAgain(file, day, watch);
        return ReadFiles{std::move(copies), {}};
    });
}

void ImportDialog::showAll() {
    m_halves->setEnabled(true);
    takeWeather();
    fillPulls();
    showFile();
}

void ImportDialog::applyMapping(const QString& name) {
    try {
        const auto mapping = m_mappings->currentIndex() == 0 ? GatherMapping{} : loadMapping(name.toStdString());
        std::vector<size_t> all;
        for (size_t i = 0; i < m_files.size(); ++i) {
            m_files[i].mapping = mapping.name;
            const GatherPurpose purpose = m_files[i].choices.purpose;
            m_files[i].choices = choicesFor(mapping, headersOf(*m_files[i].bytes, mapping.choices));
            m_files[i].choices.purpose = purpose;
            all.push_back(i);
        }
        readThese(all);
    } catch (const DataError& error) {
        m_problem->setText(errorText(error));
        m_problem->show();
    }
}

void ImportDialog::rememberMapping() {
    GatherMapping mapping;
    mapping.name = m_mappingName->text().toStdString();
    mapping.choices = current().choices;
    mapping.choices.pulls.reset();
    mapping.choices.started.clear();
    mapping.headers = headersIn(current());
    if (current().gathered) // all that is shown, so that the next file is read alike whatever is guessed then
        for (size_t i = 0; i < current().gathered->columns.size(); ++i)
            mapping.choices.columns[i] = current().gathered->columns[i];
    try {
        saveMapping(mapping);
        if (m_mappings->findText(m_mappingName->text()) < 0)
            m_mappings->addItem(m_mappingName->text());
        m_remember->setText(tr("Kept"));
    } catch (const DataError& error) {
        m_problem->setText(errorText(error));
        m_problem->show();
    }
}

void ImportDialog::takeWeather() {
    const auto t = m_temperature->number();
    const auto p = m_pressure->number();
    const auto h = m_humidity->number();
    for (ImportFile& file : m_files) {
        file.weather.reset();
        if (m_weatherKnown->isChecked() && t && p && h)
            file.weather = Atmosphere{*t, *p * 1000.0, {HumidityKind::RelativeHumidity_pct, *h}};
    }
    validate();
}

QString ImportDialog::problem() const {
    if (m_weatherKnown->isChecked() && (!m_temperature->number() || !m_pressure->number() || !m_humidity->number()))
        return tr("Fill in the weather, or take its tick away.");
    size_t used = 0;
    for (const ImportFile& file : m_files) {
        if (file.problem)
            return errorText(*file.problem);
        if (std::any_of(file.builds.begin(), file.builds.end(), [](const std::string& b) { return b.empty(); }))
            return tr("Say which build %1 belongs to.").arg(shortName(file));
        if (isLog(file)) {
            ++used;
            try {
                (void)logTableOf(*file.gathered, ambient_kpa(file));
            } catch (const DataError& error) {
                return errorText(error);
            }
            continue;
        }
        if (isCurve(file)) {
            used += file.gathered->pulls.front().use ? 1 : 0;
            try {
                (void)curveTableOf(*file.gathered, ambient_kpa(file));
            } catch (const DataError& error) {
                return errorText(error);
            }
            continue;
        }
        std::set<size_t> tried; // the pulls behind each other share their columns: one speaks for all
        for (const GatheredPull& pull : file.gathered->pulls) {
            used += pull.use ? 1 : 0;
            if (!pull.use || !tried.insert(pull.axis).second)
                continue;
            try {
                (void)tableOf(*file.gathered, pull, ambient_kpa(file));
            } catch (const DataError& error) {
                return errorText(error);
            }
        }
    }
    return used == 0 ? tr("No pull is ticked.") : QString();
}

void ImportDialog::validate() {
    const QString words = problem();
    m_problem->setText(words);
    m_problem->setVisible(!words.isEmpty());
    m_import->setEnabled(words.isEmpty());
    m_weather->setVisible(!std::all_of(m_files.begin(), m_files.end(), isLog)); // a log lies in its pull's air
    m_import->setText(std::all_of(m_files.begin(), m_files.end(), isLog) ? tr("Lay onto pulls \u2026") : tr("Import"));
}

void ImportDialog::accept() {
    takeWeather();
    if (m_import->isEnabled())
        QDialog::accept();
}

} // namespace hillrun
