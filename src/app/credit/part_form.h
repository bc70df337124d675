// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/look/fields.h"
#include "core/answer/part_facts.h"

#include <QComboBox>
#include <QGridLayout>
#include <QWidget>

namespace hillrun {

/// What somebody knows of the chosen part, and what counts as one part. Every entry is an edit of the day.
class PartForm : public QWidget {
    Q_OBJECT
public:
    PartForm(DayDocument& document, Selection& selection, QWidget* parent = nullptr);
    /// `part` none: of a day whose parts cannot be told.
    void refresh(const Credit* credit, std::optional<size_t> part);

private:
    QWidget* makeFacts();
    void connectFacts();
    void refreshCounting(const Credit* credit);
    void refreshNumbers(const Credit* credit);
    void note(const QString& what, const std::function<void(PartNote&)>& change);
    void expect(std::optional<double> low, std::optional<double> high);
    void countWith(const std::string& part, const std::optional<std::string>& with);

    DayDocument& m_document;
    Selection& m_selection;
    QWidget* m_facts = nullptr;
    NumberField* m_cost = nullptr;
    NumberField* m_mass = nullptr;
    NumberField* m_from = nullptr;
    NumberField* m_to = nullptr;
    NumberField* m_bound = nullptr;
    QWidget* m_boundRow = nullptr;
    QComboBox* m_number = nullptr; ///< which number of a setting's texts counts
    QWidget* m_numberRow = nullptr;
    QLabel* m_countsTitle = nullptr;
    QWidget* m_counts = nullptr;
    QGridLayout* m_countsGrid = nullptr;
    std::vector<std::string> m_differing; ///< as shown
    std::vector<QComboBox*> m_choices;
    std::string m_setting; ///< whose numbers are to be chosen from
    std::string m_part;    ///< what its notes are kept by
};

} // namespace hillrun
