// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Every command of the window, as it is declared. What the window is made of stands in main_window.cpp.

#include "app/look/words.h"
#include "app/shell/command_search.h"
#include "app/shell/help_dialogs.h"
#include "app/shell/main_window.h"
#include "app/shell/tour.h"
#include "formats/day_store.h"

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

fs::path toPath(const QString& text) { return fs::path(text.toStdString()); }

} // namespace

void MainWindow::declareActions() {
    declareDayActions();
    declareViewActions();
}

void MainWindow::declareDayActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
    add("day.new", tr("New day"), QKeySequence(u"Ctrl+N"_s), tr("Begin a day and plan its pulls"),
        [this] { m_files->newDay(); });
    add("day.open", tr("Open a day folder \u2026"), QKeySequence(u"Ctrl+O"_s), tr("Open a day folder"), [this] {
        if (const auto path = m_dialogs.askDayFolder(this))
            openDay(toPath(*path));
    });
    add("day.open_zip", tr("Open a day package \u2026"), QKeySequence(u"Ctrl+Shift+O"_s), tr("Open a zipped day"),
        [this] {
            if (const auto path = m_dialogs.askDayZip(this))
                openDay(toPath(*path));
        });
    add("day.import", tr("Import logger files \u2026"), QKeySequence(u"Ctrl+I"_s),
        tr("Add pulls from other loggers' text files"), [this] { importFiles(m_dialogs.askLoggerFiles(this)); });
    add("day.trace", tr("Trace curves from a picture \u2026"), {},
        tr("Read curves off a picture or a PDF page of a sheet"), [this] {
            if (const auto path = m_dialogs.askSheet(this))
                m_files->trace(*path);
        });
    add("day.type_curve", tr("Type a curve \u2026"), {}, tr("Peaks or points of a curve that exists on paper only"),
        [this] { m_files->typeCurve(); });
    add("day.save", tr("Save"), QKeySequence(u"Ctrl+S"_s), tr("Write the edits into the day"),
        [this] { m_files->save(); });
    add("day.save_as", tr("Save as \u2026"), QKeySequence(u"Ctrl+Shift+S"_s),
        tr("Write the day to another folder or package"), [this] { m_files->saveAs(); });
    add("day.export_zip", tr("Day package \u2026"), {}, tr("The day with its raw data as one zip"), [this] {
        m_files->exportTo(tr("Write a day package"), u".zip"_s, tr("Day package (*.zip)"),
                          [this](const fs::path& target) {
                              saveDay(m_document.day(), target,
                                      m_document.path().empty() ? std::nullopt : std::optional(m_document.path()));
                          });
    });
    add("day.kept", tr("What was kept \u2026"), {}, tr("Edits and recordings that are in no day yet"),
        [this] { m_files->offerKept(); });
    add("day.close", tr("Close the day"), QKeySequence(u"Ctrl+W"_s), {}, [this] {
        if (m_files->mayLeaveDay())
            m_document.close();
    });
    add("edit.undo", tr("Undo"), QKeySequence(u"Ctrl+Z"_s), {}, [this] { m_document.undoStack().undo(); });
    m_actions->add({"edit.redo", tr("Redo"), QKeySequence(u"Ctrl+Shift+Z"_s), {}, {QKeySequence(u"Ctrl+Y"_s)}}, this,
                   [this] { m_document.undoStack().redo(); });
    add("report.print", tr("Print \u2026"), QKeySequence(u"Ctrl+P"_s), tr("The sheet on paper"), [this] { print(); });
    add("report.pdf", tr("Print to PDF \u2026"), QKeySequence(u"Ctrl+Shift+P"_s), tr("The sheet as PDF"), [this] {
        m_files->exportTo(tr("Print to PDF"), u".pdf"_s, tr("PDF (*.pdf)"),
                          [this](const fs::path& target) { report().exportPdf(target); });
    });
    add("report.csv", tr("Table as CSV \u2026"), QKeySequence(u"Ctrl+E"_s), tr("Curves and differences as a table"),
        [this] {
            m_files->exportTo(tr("Write a table"), u".csv"_s, tr("Table (*.csv)"),
                              [this](const fs::path& target) { report().exportCsv(target); });
        });
    add("app.quit", tr("Quit"), QKeySequence(u"Ctrl+Q"_s), {}, [this] { close(); });
}

void MainWindow::declareViewActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
    m_actions->add(
        {"page.prepare", tr("Prepare"), QKeySequence(u"Ctrl+1"_s), tr("Plan the day"), {QKeySequence(u"Alt+P"_s)}},
        this, [this] { showPage(Page::Prepare); });
    m_actions->add(
        {"page.pull", tr("Pull"), QKeySequence(u"Ctrl+2"_s), tr("Run the pulls, live"), {QKeySequence(u"Alt+U"_s)}},
        this, [this] { showPage(Page::Pull); });
    m_actions->add(
        {"page.check", tr("Check"), QKeySequence(u"Ctrl+3"_s), tr("Look at each pull"), {QKeySequence(u"Alt+C"_s)}},
        this, [this] { showPage(Page::Check); });
    m_actions->add({"page.compare",
                    tr("Compare"),
                    QKeySequence(u"Ctrl+4"_s),
                    tr("What the change gives"),
                    {QKeySequence(u"Alt+M"_s)}},
                   this, [this] { showPage(Page::Compare); });
    m_actions->add({"page.report",
                    tr("Report"),
                    QKeySequence(u"Ctrl+5"_s),
                    tr("The sheet as it will print"),
                    {QKeySequence(u"Alt+R"_s)}},
                   this, [this] { showPage(Page::Report); });
    m_actions->add({"page.bench",
                    tr("Bench"),
                    QKeySequence(u"Ctrl+9"_s),
                    tr("The air calculator, and the day's weather"),
                    {QKeySequence(u"Alt+B"_s)}},
                   this, [this] { showPage(Page::Bench); });
    add("bench.air", tr("Air"), {}, tr("One condition under every standard"), [this] { bench().showAir(); });
    add("bench.weather", tr("Weather of the day"), {}, tr("What the weather did, against the pulls"),
        [this] { bench().showWeather(); });
    add("check.use", tr("Set aside"), QKeySequence(u"S"_s), tr("Leave this pull out with a reason, or take it back"),
        [this] { m_page == Page::Pull ? pull().askSetAside() : check().toggleUse(); });
    declarePullActions();
    declareCheckActions();
    add("compare.swap", tr("Swap"), QKeySequence(u"X"_s), tr("Swap the two builds"),
        [this] { m_selection.swapPair(); });
    add("view.quantity", tr("Power or torque"), QKeySequence(u"Q"_s), tr("Switch the curves between power and torque"),
        [this] {
            m_selection.setQuantity(m_selection.quantity() == Quantity::Power ? Quantity::Torque : Quantity::Power);
        });
    add("view.dark", tr("Light or dark"), QKeySequence(u"Ctrl+D"_s), tr("Paper by day, dark in the cell at night"),
        [this] { setDark(!m_look.theme().dark); });
    m_actions->add({"view.search", tr("Search commands"), QKeySequence(u"Ctrl+K"_s), {}, {QKeySequence(u"Ctrl+F"_s)}},
                   this, [this] { (new CommandSearch(*m_actions, this))->open(); });
    add("view.full_screen", tr("Full screen"), QKeySequence(u"F11"_s), {},
        [this] { setWindowState(windowState() ^ Qt::WindowFullScreen); });
    add("page.next", tr("Next page"), QKeySequence(u"Ctrl+Tab"_s), {}, [this] { stepPage(1); });
    add("page.previous", tr("Page before"), QKeySequence(u"Ctrl+Shift+Tab"_s), {}, [this] { stepPage(-1); });
    add("help.keys", tr("Keys"), QKeySequence(u"Ctrl+?"_s), tr("Every key and what it does"),
        [this] { (new KeySheet(*m_actions, this))->open(); });
    add("help.about", tr("About Hill Run"), {}, tr("Version and licences"),
        [this] { (new AboutDialog(this))->open(); });
    add("app.settings", tr("Settings \u2026"), QKeySequence(u"Ctrl+,"_s), tr("Colours, units, paper, folders"),
        [this] { editSettings(); });
    add("help.tour", tr("Two-minute tour"), {}, tr("A demo day, and what is where"), [this] { beginTour(); });
}

void MainWindow::print() {
    QPrinter printer(QPrinter::HighResolution);
    printer.setDocName(qs(m_document.day().name));
    if (m_dialogs.askPrinter(this, printer))
        report().print(printer);
}

/// The tour goes over the first demo day, unless a day is open.
void MainWindow::beginTour() {
    const auto lead = [this] {
        delete findChild<Tour*>();
        (new Tour(*m_actions, m_look.theme().mark, this))->begin();
    };
    const auto demos = demoDays();
    if (m_document.isOpen() || demos.empty())
        return lead();
    connect(&m_document, &DayDocument::analysisReady, this, lead, Qt::SingleShotConnection);
    m_files->openDemo(toPath(demos.front().path));
}

void MainWindow::declareCheckActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
    add("check.channels", tr("Channels"), QKeySequence(u"C"_s), tr("The control channels below the curves"),
        [this] { check().showLower(CheckPage::Lower::Channels); });
    add("check.time", tr("Time"), QKeySequence(u"T"_s), tr("The pull over time below the curves, or its channels"),
        [this] { check().toggleTimeView(); });
    add("check.numbers", tr("Numbers"), QKeySequence(u"N"_s), tr("Numbers of all pulls shown, at the cursor"),
        [this] { check().showLower(CheckPage::Lower::Numbers); });
    add("check.raw", tr("Raw"), QKeySequence(u"R"_s), tr("The rows as recorded, or the smoothed curve"),
        [this] { check().toggleRaw(); });
    add("check.beside", tr("Hold beside"), QKeySequence(u"H"_s),
        tr("Keep this pull beside the next one you select, or let go of it"), [this] { check().toggleBeside(); });
    add("copy.picture", tr("Copy picture"), QKeySequence(u"Ctrl+Shift+C"_s),
        tr("The boards as a picture, to paste elsewhere"),
        [this] { m_page == Page::Compare ? compare().copyPicture() : check().copyPicture(); });
    add("copy.table", tr("Copy table"), QKeySequence(u"Ctrl+C"_s), tr("The numbers as a table, to paste elsewhere"),
        [this] { m_page == Page::Compare ? compare().copyTable() : check().copyTable(); });
    add("check.reset_trim", tr("Undo trim"), {}, tr("Let the program find the range again"),
        [this] { check().resetTrim(); });
}

void MainWindow::declarePullActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
    add("prepare.article", tr("Day, cell and article \u2026"), {}, tr("What is on the dyno, and on which"),
        [this] { prepare().editArticle(); });
    add("pull.begin_day", tr("Begin a day here"), {}, tr("A new day among your days, to pull into at once"), [this] {
        m_files->newDay();
        if (m_document.isOpen())
            showPage(Page::Pull);
    });
    add("pull.arm", tr("Arm"), QKeySequence(u"A"_s), tr("Record the next pull by itself, or stop doing so"),
        [this] { pull().toggleArm(); });
    add("pull.by_hand", tr("Start by hand"), QKeySequence(u"M"_s), tr("Begin or end a recording by hand"),
        [this] { pull().toggleByHand(); });
    add("pull.change", tr("Change build"), QKeySequence(u"B"_s), tr("Another build is fitted: note what was done"),
        [this] { pull().askChange(); });
    add("pull.keep", tr("Keep"), QKeySequence(u"K"_s), tr("The pull is good"), [this] { pull().keep(); });
    add("pull.links", tr("Connections \u2026"), QKeySequence(u"Ctrl+L"_s), tr("The cell and the weather station"),
        [this] { pull().editLinks(); });
}

QMenu* MainWindow::makeDayMenu() {
    auto* menu = new QMenu(this);
    menu->setObjectName(u"dayMenu"_s);
    auto addAll = [&](std::initializer_list<const char*> ids) {
        for (const char* id : ids)
            menu->addAction(m_actions->get(id));
    };
    addAll({"day.new", "day.open", "day.open_zip"});
    m_recentMenu = menu->addMenu(tr("Recent days"));
    m_recentMenu->setObjectName(u"recentMenu"_s);
    connect(m_recentMenu, &QMenu::aboutToShow, this, [this] { m_files->fillRecentMenu(*m_recentMenu); });
    addAll({"day.import", "day.trace", "day.type_curve", "pull.links"});
    menu->addSeparator();
    addAll({"day.save", "day.save_as", "day.export_zip", "day.kept"});
    menu->addSeparator();
    addAll({"edit.undo", "edit.redo"});
    menu->addSeparator();
    addAll({"app.settings", "help.tour", "help.keys", "help.about"});
    menu->addSeparator();
    addAll({"day.close", "app.quit"});
    return menu;
}

} // namespace hillrun
