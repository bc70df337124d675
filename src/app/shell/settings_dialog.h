// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/action_registry.h"
#include "app/frame/dialogs.h"
#include "app/frame/preferences.h"
#include "app/frame/tone_player.h"

#include <functional>
#include <optional>
#include <QAction>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QPushButton>

namespace hillrun {

/// One dialog for all of them, with export and import as a file. Nothing is taken over before "Take over".
class SettingsDialog : public QDialog {
    Q_OBJECT
public:
    SettingsDialog(const Preferences& preferences, Dialogs& dialogs, const ActionRegistry& actions, TonePlayer& tones,
                   QWidget* parent);
    [[nodiscard]] Preferences preferences() const;
    /// Connections that a file brought; else they are named in a window of their own, which keeps them itself.
    [[nodiscard]] const std::optional<QStringList>& readLinks() const { return m_readLinks; }

private:
    QWidget* makeFigures();
    QWidget* makePulling(const ActionRegistry& actions);
    QPushButton* opens(QAction& action, const QString& name);
    void tryTone();
    QWidget* makePaper();
    QComboBox* choice(QFormLayout& form, const QString& name, const QString& label);
    QLineEdit* line(QFormLayout& form, const QString& name, const QString& label, const QString& button,
                    const std::function<void()>& browse);
    void fill(const Preferences& preferences);
    void takeOver();
    void exportFile();
    void importFile();

    Dialogs& m_dialogs;
    TonePlayer& m_tones;
    QComboBox *m_language = nullptr, *m_theme = nullptr, *m_units = nullptr, *m_standard = nullptr,
              *m_smoothing = nullptr, *m_drift = nullptr, *m_paper = nullptr, *m_school = nullptr, *m_tone = nullptr;
    QLabel* m_toneText = nullptr;
    QLineEdit *m_daysFolder = nullptr, *m_logbook = nullptr, *m_workshop = nullptr, *m_logo = nullptr;
    QPlainTextEdit* m_address = nullptr;
    QStringList m_links;
    std::optional<QStringList> m_readLinks;
};

} // namespace hillrun
