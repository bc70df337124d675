// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/shell/dialogs.h"
#include "app/shell/settings.h"
#include "core/compare/analyse.h"

#include <filesystem>
#include <functional>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QFormLayout>
#include <QLineEdit>
#include <QPlainTextEdit>

namespace hillrun {

/// What can be chosen once for all days, as it is kept.
struct Preferences {
    QString language; ///< desktop, or a code such as de
    QString theme;    ///< desktop, light or dark
    int units = 0;    ///< the row of the units' choice
    QString standard; ///< its stable name
    double smoothing_rpm = 100.0;
    int drift = 0; ///< DriftAllowance
    QString daysFolder;
    QString paper; ///< a4 or letter
    QString workshop;
    QString address; ///< a line each
    QString logo;    ///< path of a picture
    bool operator==(const Preferences&) const = default;
};

Preferences readPreferences(const SettingsStore& store);
void keepPreferences(SettingsStore& store, const Preferences& preferences);

/// Writes them as a file that another bench can read. Throws DataError.
void exportPreferences(const Preferences& preferences, const std::filesystem::path& target);
/// Reads such a file; what it does not say stays as in `now`. Throws DataError when it is none.
Preferences importPreferences(const std::filesystem::path& file, const Preferences& now);

/// One dialog for all of them, with export and import as a file. Nothing is taken over before "Take over".
class SettingsDialog : public QDialog {
    Q_OBJECT
public:
    SettingsDialog(const Preferences& preferences, Dialogs& dialogs, QWidget* parent);
    [[nodiscard]] Preferences preferences() const;

private:
    QWidget* makeFigures();
    QWidget* makePaper();
    QComboBox* choice(QFormLayout& form, const QString& name, const QString& label);
    QLineEdit* line(QFormLayout& form, const QString& name, const QString& label, const QString& button,
                    const std::function<void()>& browse);
    void fill(const Preferences& preferences);
    void exportFile();
    void importFile();

    Dialogs& m_dialogs;
    QComboBox *m_language = nullptr, *m_theme = nullptr, *m_units = nullptr, *m_standard = nullptr,
              *m_smoothing = nullptr, *m_drift = nullptr, *m_paper = nullptr;
    QLineEdit *m_daysFolder = nullptr, *m_workshop = nullptr, *m_logo = nullptr;
    QPlainTextEdit* m_address = nullptr;
};

} // namespace hillrun
