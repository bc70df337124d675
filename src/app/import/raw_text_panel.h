// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "app/look/theme.h"
#include "formats/import_files.h"

#include <QComboBox>
#include <QLineEdit>
#include <QPlainTextEdit>

namespace hillrun {

/// The first lines of a file, each coloured for what it was taken for, and how the file is written: whatever was found
/// out can be said otherwise.
class RawTextPanel : public QWidget {
    Q_OBJECT
public:
    explicit RawTextPanel(const Theme& theme, QWidget* parent = nullptr);
    void show(const ImportFile& file);
    using QWidget::show;

Q_SIGNALS:
    void choicesChanged(const hillrun::GatherChoices& choices);

private:
    QWidget* makeLegend();
    QWidget* makeChoices();
    QWidget* makeTimeChoices();
    QComboBox* choice(const QString& name, const QString& label, const QStringList& texts, QLayout* into,
                      const std::function<void(int)>& take);
    NumberField* line(const QString& name, const QString& label, QLayout* into,
                      const std::function<void(std::optional<long>)>& take);
    void colour(const ImportFile& file, const QString& text);
    void changed();

    Theme m_theme;
    GatherChoices m_choices;
    QPlainTextEdit* m_text = nullptr;
    QComboBox* m_encoding = nullptr;
    QComboBox* m_separator = nullptr;
    QComboBox* m_decimal = nullptr;
    QComboBox* m_dates = nullptr;
    NumberField* m_header = nullptr;
    NumberField* m_units = nullptr;
    NumberField* m_firstRow = nullptr;
    NumberField* m_rate = nullptr;
    QLineEdit* m_started = nullptr;
};

} // namespace hillrun
