// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/page.h"
#include "app/look/theme.h"
#include "report/letterhead.h"
#include "report/sheet.h"

#include <QCheckBox>
#include <QLabel>
#include <QMimeData>
#include <QPrinter>
#include <QScrollArea>

namespace hillrun {

/// The sheet as it will print; sections on and off; PDF, CSV and package out.
class ReportPage : public PageView {
    Q_OBJECT
public:
    ReportPage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays, ActionRegistry& actions,
               QWidget* parent = nullptr);
    /// The pages as they stand now, what nobody looked at yet worked out at once; none when there is no analysis.
    [[nodiscard]] std::vector<report::Page> sheets() const;
    /// What the page shows, as its own words.
    [[nodiscard]] QString shownText() const;
    /// Writes what is shown. Throws DataError.
    void exportPdf(const std::filesystem::path& target) const;
    /// A drawing a page: the target, then the same name with "-2" and so on. Throws DataError.
    void exportSvg(const std::filesystem::path& target) const;
    /// The same as one file for a browser. Throws DataError.
    void exportHtml(const std::filesystem::path& target) const;
    /// Paper and letterhead.
    void recall(const SettingsStore& settings) override;
    /// On paper, as large as fits.
    void print(QPrinter& printer) const;
    void exportCsv(const std::filesystem::path& target) const;

protected:
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QWidget* makeSide(ActionRegistry& actions);
    void want(bool shown); ///< tells the document what is to be worked out beside the pairs
    void refresh();
    [[nodiscard]] std::shared_ptr<const DayAnalysis> complete() const;
    [[nodiscard]] report::Document documentOf(const DayAnalysis& analysis, const report::FigureStyle& style) const;
    [[nodiscard]] std::vector<report::Page> pagesOf(const DayAnalysis& analysis) const;
    [[nodiscard]] std::unique_ptr<QMimeData> carriedSheet() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    OtherDays& m_otherDays;
    report::SheetSections m_sections;
    /// Choices that are shown while the day has what they are about.
    std::vector<std::pair<QCheckBox*, bool (*)(const TestDay&)>> m_offered;
    report::Paper m_paperKind = report::Paper::A4;
    report::Letterhead m_head;
    std::vector<report::Page> m_shown;
    QLabel* m_paper = nullptr;
    QScrollArea* m_scroll = nullptr;
};

} // namespace hillrun
