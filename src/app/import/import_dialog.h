// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/import_files.h"

#include <functional>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTableWidget>

namespace hillrun {

/// Shows what was guessed of dropped logger files: columns, units, builds; everything can be corrected before the
/// files become pulls.
class ImportDialog : public QDialog {
    Q_OBJECT
public:
    ImportDialog(const TestDay& day, std::vector<ImportFile> files, QWidget* parent = nullptr);
    /// The files as the user left them.
    [[nodiscard]] const std::vector<ImportFile>& files() const { return m_files; }

public Q_SLOTS:
    void accept() override;

private:
    QWidget* makeFileTable();
    QWidget* makeColumnTable();
    QLayout* makeWeatherRow();
    QLayout* makeMappingRow();
    void showFile(int index);
    void showColumns();
    void setChannel(int row, const QString& channel);
    void setUnit(int row, const QString& unit);
    void setGauge(int row, bool gauge);
    /// One column's meaning, changed in every file that has the same header.
    void changeMeaning(const std::string& header, const std::function<void(ColumnMeaning&)>& change);
    void applyMapping(const QString& name);
    void rememberMapping();
    void takeWeather();
    void validate();

    TestDay m_day;
    std::vector<ImportFile> m_files;
    int m_current = 0;
    QTableWidget* m_fileTable = nullptr;
    QTableWidget* m_columnTable = nullptr;
    QCheckBox* m_weatherKnown = nullptr;
    QDoubleSpinBox* m_temperature = nullptr;
    QDoubleSpinBox* m_pressure = nullptr;
    QDoubleSpinBox* m_humidity = nullptr;
    QComboBox* m_mappings = nullptr;
    QLineEdit* m_mappingName = nullptr;
    QPushButton* m_remember = nullptr;
    QLabel* m_problem = nullptr;
    QPushButton* m_import = nullptr;
};

} // namespace hillrun
