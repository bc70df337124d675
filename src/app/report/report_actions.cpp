// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/report/report_actions.h"

#include "app/files/day_files.h"
#include "app/look/words.h"
#include "app/report/report_page.h"

#include <QCoreApplication>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class ReportActions {
    Q_DECLARE_TR_FUNCTIONS(ReportActions)
public:
    static void declare(const Workplace& at);
};

ReportPage& page(const Workplace& at) { return pageOf<ReportPage>(at.host, "report"); }

PageView* makeReportPage(const Workplace& at, QWidget* parent) {
    return new ReportPage(at.document, at.selection, at.look, at.otherDays, at.actions, parent);
}

void print(const Workplace& at) {
    QPrinter printer(QPrinter::HighResolution);
    printer.setDocName(qs(at.document.day().name));
    if (at.dialogs.askPrinter(at.actions.window(), printer))
        page(at).print(printer);
}

bool analysed(const WindowState& s) { return s.analysed; }

/// They can be used from every page.
void ReportActions::declare(const Workplace& at) {
    const auto add = [&](const char* id, const QString& text, const QString& key, const QString& tip,
                         void (*run)(const Workplace&)) {
        at.actions.add({.id = id,
                        .text = text,
                        .keys = key.isEmpty() ? QList<QKeySequence>{} : QList<QKeySequence>{key},
                        .tip = tip,
                        .rule = analysed},
                       &at.actions, [at, run] { run(at); });
    };
    add("report.print", tr("Print \u2026"), u"Ctrl+P"_s, tr("The sheet on paper"), print);
    add("report.pdf", tr("Print to PDF \u2026"), u"Ctrl+Shift+P"_s, tr("The sheet as PDF"), [](const Workplace& here) {
        here.files.exportTo(tr("Print to PDF"), u".pdf"_s, tr("PDF (*.pdf)"),
                            [&](const fs::path& target) { page(here).exportPdf(target); });
    });
    add("report.html", tr("Page for a browser \u2026"), u"Ctrl+Shift+E"_s,
        tr("The sheets as one file that any browser and telephone reads"), [](const Workplace& here) {
            here.files.exportTo(tr("Write a page for a browser"), u".html"_s, tr("Page for a browser (*.html)"),
                                [&](const fs::path& target) { page(here).exportHtml(target); });
        });
    add("report.svg", tr("Drawings \u2026"), {}, tr("The sheets as drawings (SVG), one a page"),
        [](const Workplace& here) {
            here.files.exportTo(tr("Write drawings"), u".svg"_s, tr("Drawing (*.svg)"),
                                [&](const fs::path& target) { page(here).exportSvg(target); });
        });
    add("report.csv", tr("Table as CSV \u2026"), u"Ctrl+E"_s, tr("Curves and differences as a table"),
        [](const Workplace& here) {
            here.files.exportTo(tr("Write a table"), u".csv"_s, tr("Table (*.csv)"),
                                [&](const fs::path& target) { page(here).exportCsv(target); });
        });
}

} // namespace

PageSpec reportSpec() {
    return {.id = "report",
            .title = ReportActions::tr("Report"),
            .tip = ReportActions::tr("The sheet as it will print"),
            .keys = {u"Ctrl+7"_s, u"Alt+R"_s},
            .make = makeReportPage,
            .declare = ReportActions::declare};
}

} // namespace hillrun
