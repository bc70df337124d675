// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPlainTextEdit>

namespace hillrun {

/// Asks which build is on the dyno now and what was really changed. What the plan says differs is shown beside it.
class ChangeDialog : public QDialog {
    Q_OBJECT
public:
    ChangeDialog(const TestDay& day, const std::string& from, const std::string& to, QWidget* parent);
    [[nodiscard]] std::string to() const;
    /// The same build was taken off and fitted again.
    [[nodiscard]] bool refitted() const;
    [[nodiscard]] QString note() const { return m_note->toPlainText(); }

private:
    void showPlanned();
    const TestDay& m_day;
    std::string m_from;
    QComboBox* m_to = nullptr;
    QLabel* m_planned = nullptr;
    QCheckBox* m_refitted = nullptr;
    QPlainTextEdit* m_note = nullptr;
};

} // namespace hillrun
