// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/import/column_table.h"
#include "app/import/given_row.h"
#include "app/import/import_reader.h"
#include "app/import/pull_picture.h"
#include "app/import/pull_table.h"
#include "app/import/raw_text_panel.h"
#include "formats/import_files.h"

#include <functional>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSplitter>

namespace hillrun {

/// Strangers' files before they become pulls: left the raw text, right what it became. A file that cannot be read is
/// shown too, and can be put right here. Every change reads the file again.
class ImportDialog : public QDialog {
    Q_OBJECT
public:
    ImportDialog(const TestDay& day, std::vector<ImportFile> files, const Theme& theme, QWidget* parent = nullptr);
    /// The files as the user left them.
    [[nodiscard]] const std::vector<ImportFile>& files() const { return m_files; }

public Q_SLOTS:
    void accept() override;

private:
    QWidget* makeRight();
    QLayout* makeTitleRow();
    void takeLogsForLogs();
    QLayout* makeWeatherRow();
    void takeGiven();
    QLayout* makeMappingRow();
    QLayout* makeButtons();
    void fillPulls();
    void showPull(size_t file, size_t pull);
    void showFile();
    void showPicture();
    void showDoubts();
    /// Changes the choices of the current file, and of the others that have the same columns.
    void choose(const std::function<void(GatherChoices&)>& change);
    /// Reads these files again, large ones on another thread, and shows them.
    void readThese(const std::vector<size_t>& which);
    void showAll();
    void split(const std::vector<RowSpan>& spans);
    void applyMapping(const QString& name);
    void rememberMapping();
    void takeWeather();
    void validate();
    [[nodiscard]] ImportFile& current() { return m_files[m_current]; }
    [[nodiscard]] QString problem() const;

    TestDay m_day;
    std::vector<ImportFile> m_files;
    Theme m_theme;
    size_t m_current = 0;
    size_t m_currentPull = 0;
    QLabel* m_title = nullptr;
    QComboBox* m_purpose = nullptr;
    RawTextPanel* m_raw = nullptr;
    PullTable* m_pullTable = nullptr;
    PullPicture* m_picture = nullptr;
    ColumnTable* m_columns = nullptr;
    QLabel* m_doubts = nullptr;
    QWidget* m_weather = nullptr;
    GivenRow* m_given = nullptr;
    QCheckBox* m_weatherKnown = nullptr;
    NumberField* m_temperature = nullptr;
    NumberField* m_pressure = nullptr;
    NumberField* m_humidity = nullptr;
    QComboBox* m_mappings = nullptr;
    QLineEdit* m_mappingName = nullptr;
    QPushButton* m_remember = nullptr;
    QLabel* m_problem = nullptr;
    QPushButton* m_import = nullptr;
    QSplitter* m_halves = nullptr;
    ImportReader m_reader;
    std::vector<size_t> m_beingRead;
};

} // namespace hillrun
