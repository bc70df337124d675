// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The commands that belong to no page: the day's files, undo, the view, settings, help.

#include "app/files/start_days.h"
#include "app/frame/kept_links.h"
#include "app/frame/preferences.h"
#include "app/look/words.h"
#include "app/shell/command_search.h"
#include "app/shell/guide_window.h"
#include "app/shell/help_dialogs.h"
#include "app/shell/main_window.h"
#include "app/shell/settings_dialog.h"
#include "app/shell/tour.h"
#include "core/plan/named_use.h"
#include "core/road/day_road.h"
#include "formats/day_store.h"
#include "words/current_voice.h"

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

bool dayOpen(const WindowState& s) { return s.dayOpen; }

void exportPackage(const Workplace& at) {
    const TestDay& day = at.document.day();
    const fs::path& from = at.document.path();
    at.files.exportTo(
        MainWindow::tr("Write a day package"), u".hillrun.zip"_s, MainWindow::tr("Day package (*.zip)"),
        [&](const fs::path& target) { saveDay(day, target, from.empty() ? std::nullopt : std::optional(from)); });
}

/// The speeds that the pulls share; before there are any, those that they will be made over.
RpmRange speedsOf(const Workplace& at) {
    if (const auto analysis = at.document.analysis(); analysis && analysis->common_rpm.high > analysis->common_rpm.low)
        return analysis->common_rpm;
    const PullProtocol& protocol = at.document.day().plan.protocol;
    const double high = protocol.end_rpm.value_or(at.document.day().article.engine.redLine_rpm.value_or(8000.0));
    return {std::min(protocol.start_rpm.value_or(0.25 * high), 0.9 * high), high};
}

void chooseUse(const Workplace& at) {
    SpeedsOnCourse onCourse;
    if (const auto analysis = at.document.analysis(); analysis && analysis->model)
        onCourse = [&at, analysis](const Course& course) {
            const DayRoad road = dayRoad(at.document.day(), *analysis, course);
            return CourseSpeeds{useOnCourse(road), road.whyNothing()};
        };
    const auto use = at.dialogs.askUse(at.actions.window(), at.document.day(), speedsOf(at), onCourse, at.look);
    if (use && *use != at.document.day().plan.use)
        at.document.edit(MainWindow::tr("Change the use"), [&](TestDay& day) { nameUse(day, *use); });
}

QString useButtonText(const Workplace& at) {
    const auto use = usedSpeeds(at.document.day());
    return use ? MainWindow::tr("Use: %1 rpm \u2026").arg(rangeText(use->range_rpm))
               : MainWindow::tr("Use: whole range \u2026");
}

} // namespace

void MainWindow::declareActions(const Workplace& at) {
    declarePageActions();
    declareDayActions(at);
    declareViewActions(at);
    declareHelp();
}

void MainWindow::declarePageActions() {
    for (const PageSpec& spec : m_specs) {
        const std::string action = "page." + std::string(spec.id);
        m_actions->add({.id = action, .text = spec.title, .keys = spec.keys, .tip = spec.tip}, this,
                       [this, id = spec.id] { showPage(id); });
    }
    m_actions->add({.id = "page.next", .text = tr("Next page"), .keys = {u"Ctrl+Tab"_s}}, this,
                   [this] { stepPage(1); });
    m_actions->add({.id = "page.previous", .text = tr("Page before"), .keys = {u"Ctrl+Shift+Tab"_s}}, this,
                   [this] { stepPage(-1); });
}

void MainWindow::declareDayActions(const Workplace& at) {
    const auto add = [this](const ActionSpec& spec, const std::function<void()>& run) {
        m_actions->add(spec, this, run);
    };
    add({.id = "day.new", .text = tr("New day"), .keys = {u"Ctrl+N"_s}, .tip = tr("Begin a day and plan its pulls")},
        [this] { m_files->newDay(); });
    add({.id = "day.open",
         .text = tr("Open a day folder \u2026"),
         .keys = {u"Ctrl+O"_s},
         .tip = tr("Open a day folder")},
        [this] {
            if (const auto path = m_dialogs.askDayFolder(this))
                openDay(toPath(*path));
        });
    add({.id = "day.open_zip",
         .text = tr("Open a day package \u2026"),
         .keys = {u"Ctrl+Shift+O"_s},
         .tip = tr("Open a zipped day")},
        [this] {
            if (const auto path = m_dialogs.askDayZip(this))
                openDay(toPath(*path));
        });
    add({.id = "day.import",
         .text = tr("Import logger files \u2026"),
         .keys = {u"Ctrl+I"_s},
         .tip = tr("Add pulls from other loggers' text files"),
         .edits = true},
        [this] { importFiles(m_dialogs.askLoggerFiles(this)); });
    add({.id = "day.trace",
         .text = tr("Trace curves from a picture \u2026"),
         .tip = tr("Read curves off a picture or a PDF page of a sheet"),
         .edits = true},
        [this] {
            if (const auto path = m_dialogs.askSheet(this))
                m_imports->trace(*path);
        });
    add({.id = "day.type_curve",
         .text = tr("Type a curve \u2026"),
         .tip = tr("Peaks or points of a curve that exists on paper only"),
         .edits = true},
        [this] { m_imports->typeCurve(); });
    add({.id = "day.use",
         .text = tr("What the builds are wanted for \u2026"),
         .keys = {u"Ctrl+U"_s},
         .tip = tr("The speeds that count: a range, one speed held, a gear, or weights"),
         .edits = true,
         .textNow = [at] { return useButtonText(at); }},
        [at] { chooseUse(at); });
    add({.id = "day.save",
         .text = tr("Save"),
         .keys = {u"Ctrl+S"_s},
         .tip = tr("Write the edits into the day"),
         .edits = true,
         .rule = [](const WindowState& s) { return s.dayOpen && (s.dayModified || !s.daySaved); }},
        [this] { m_files->save(); });
    add({.id = "day.save_as",
         .text = tr("Save as \u2026"),
         .keys = {u"Ctrl+Shift+S"_s},
         .tip = tr("Write the day to another folder or package"),
         .rule = dayOpen},
        [this] { m_files->saveAs(); });
    add({.id = "day.export_zip",
         .text = tr("Day package \u2026"),
         .tip = tr("The day with its raw data as one zip"),
         .rule = dayOpen},
        [at] { exportPackage(at); });
    add({.id = "day.kept",
         .text = tr("What was kept \u2026"),
         .tip = tr("Edits and recordings that are in no day yet")},
        [this] { m_files->offerKept(); });
    add({.id = "day.close", .text = tr("Close the day"), .keys = {u"Ctrl+W"_s}, .rule = dayOpen}, [this] {
        if (m_files->mayLeaveDay())
            m_document.close();
    });
    add({.id = "app.quit", .text = tr("Quit"), .keys = {u"Ctrl+Q"_s}}, [this] { close(); });
}

void MainWindow::declareViewActions(const Workplace& at) {
    const auto add = [this](const ActionSpec& spec, const std::function<void()>& run) {
        m_actions->add(spec, this, run);
    };
    QUndoStack& undo = m_document.undoStack();
    add({.id = "edit.undo",
         .text = tr("Undo"),
         .keys = {u"Ctrl+Z"_s},
         .rule = [](const WindowState& s) { return s.canUndo; },
         .textNow = [&undo] { return undo.canUndo() ? tr("Undo: %1").arg(undo.undoText()) : tr("Undo"); }},
        [&undo] { undo.undo(); });
    add({.id = "edit.redo",
         .text = tr("Redo"),
         .keys = {u"Ctrl+Shift+Z"_s, u"Ctrl+Y"_s},
         .rule = [](const WindowState& s) { return s.canRedo; },
         .textNow = [&undo] { return undo.canRedo() ? tr("Redo: %1").arg(undo.redoText()) : tr("Redo"); }},
        [&undo] { undo.redo(); });
    const auto canCopy = [](const WindowState& s) { return s.canCopy; };
    add({.id = "copy.picture",
         .text = tr("Copy picture"),
         .keys = {u"Ctrl+Shift+C"_s},
         .tip = tr("The boards as a picture, to paste elsewhere"),
         .rule = canCopy},
        [this] { page(pageShown()).copyPicture(); });
    add({.id = "copy.table",
         .text = tr("Copy table"),
         .keys = {u"Ctrl+C"_s},
         .tip = tr("The numbers as a table, to paste elsewhere"),
         .rule = canCopy},
        [this] { page(pageShown()).copyTable(); });
    add({.id = "view.quantity",
         .text = tr("Power or torque"),
         .keys = {u"Q"_s},
         .tip = tr("Switch the curves between power and torque"),
         .rule = dayOpen},
        [at] {
            at.selection.setQuantity(at.selection.quantity() == Quantity::Power ? Quantity::Torque : Quantity::Power);
        });
    add({.id = "view.dark",
         .text = tr("Light or dark"),
         .keys = {u"Ctrl+D"_s},
         .tip = tr("Paper by day, dark in the cell at night")},
        [this] { setDark(!m_look.theme().dark); });
    add({.id = "view.search", .text = tr("Search commands"), .keys = {u"Ctrl+K"_s, u"Ctrl+F"_s}},
        [this] { (new CommandSearch(*m_actions, this))->open(); });
    add({.id = "view.full_screen", .text = tr("Full screen"), .keys = {u"F11"_s}},
        [this] { setWindowState(windowState() ^ Qt::WindowFullScreen); });
    add({.id = "app.settings",
         .text = tr("Settings \u2026"),
         .keys = {u"Ctrl+,"_s},
         .tip = tr("Colours, units, paper, folders")},
        [this] { editSettings(); });
}

void MainWindow::declareHelp() {
    m_actions->add({.id = "help.guide",
                    .text = tr("Guide"),
                    .keys = {u"F1"_s},
                    .tip = tr("What this page is for, and everything else")},
                   this, [this] { openGuide(); });
    m_actions->add(
        {.id = "help.keys", .text = tr("Keys"), .keys = {u"Ctrl+?"_s}, .tip = tr("Every key and what it does")}, this,
        [this] { (new KeySheet(*m_actions, this))->open(); });
    m_actions->add({.id = "help.about", .text = tr("About Hill Run"), .tip = tr("Version and licences")}, this,
                   [this] { (new AboutDialog(this))->open(); });
    m_actions->add({.id = "help.tour", .text = tr("Two-minute tour"), .tip = tr("A demo day, and what is where")}, this,
                   [this] { beginTour(); });
    const QList<QKeySequence> sideways{QKeySequence(Qt::Key_Left), QKeySequence(Qt::Key_Right)};
    m_actions->note({sideways, tr("On a board: move the cursor"), {{}, "board"}});
    m_actions->note({sideways, tr("On the day strip: the pull before or after"), {{}, "dayStrip"}});
    m_actions->note(
        {{QKeySequence(Qt::Key_Up), QKeySequence(Qt::Key_Down)}, tr("In a number: one more or less"), {{}, "number"}});
    m_actions->note({{u"S"_s, u"J"_s, u"["_s, u"]"_s},
                     tr("In the picture of a file: split, join, trim its pulls"),
                     {"import", {}}});
    m_actions->note({{QKeySequence(Qt::Key_Escape)},
                     tr("In a number: take the typing back. Elsewhere: close the window on top"),
                     {}});
}

void MainWindow::editSettings() {
    rememberState(); // what was chosen in the window is what the dialog begins with
    auto* dialog = new SettingsDialog(readPreferences(m_settings), m_dialogs, *m_actions, m_tones, this);
    connect(dialog, &QDialog::accepted, this, [this, dialog] {
        Preferences chosen = dialog->preferences();
        chosen.links = dialog->readLinks().value_or(m_settings.get(settings::kLinks));
        keepPreferences(m_settings, chosen);
        if (dialog->readLinks())
            useKeptLinks(m_settings, m_cell);
        applyPreferences();
    });
    dialog->open();
}

/// At the topic of the page that is shown; a guide that is open already comes to the front.
void MainWindow::openGuide() {
    auto* guide = findChild<GuideWindow*>();
    if (!guide) {
        auto topics = guideTopics(currentVoice().manner().language);
        if (topics.empty())
            return m_dialogs.showError(this, tr("The guide is not there"),
                                       tr("It is installed with the program, under share/hillrun/guide."));
        guide = new GuideWindow(std::move(topics), this);
    }
    guide->showTopic(QString::fromStdString(std::string(pageShown())));
    guide->show();
    guide->raise();
    guide->activateWindow();
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

QMenu* MainWindow::makeDayMenu(QWidget* parent) {
    auto* menu = new QMenu(parent);
    menu->setObjectName(u"dayMenu"_s);
    const auto addAll = [&](std::initializer_list<const char*> ids) {
        for (const char* id : ids)
            menu->addAction(m_actions->get(id));
    };
    addAll({"day.new", "day.open", "day.open_zip"});
    QMenu* recent = menu->addMenu(tr("Recent days"));
    recent->setObjectName(u"recentMenu"_s);
    connect(recent, &QMenu::aboutToShow, m_files, [this, recent] { m_files->fillRecentMenu(*recent); });
    addAll({"day.import", "day.trace", "day.type_curve", "pull.links"});
    menu->addSeparator();
    addAll({"day.save", "day.save_as", "day.export_zip", "day.kept"});
    menu->addSeparator();
    addAll({"edit.undo", "edit.redo"});
    menu->addSeparator();
    addAll({"app.settings", "help.guide", "help.tour", "help.keys", "help.about"});
    menu->addSeparator();
    addAll({"day.close", "app.quit"});
    return menu;
}

} // namespace hillrun
