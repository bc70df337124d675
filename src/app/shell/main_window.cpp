// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/main_window.h"

#include "app/import/import_dialog.h"
#include "app/look/words.h"
#include "app/shell/command_search.h"
#include "formats/day_store.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QMimeData>
#include <QVBoxLayout>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRecentKept = 8;
const std::pair<const char*, Page> kPages[] = {
    {"check", Page::Check}, {"compare", Page::Compare}, {"report", Page::Report}};
constexpr DisplayUnits kUnits[] = {{PowerUnit::Kilowatt, TorqueUnit::NewtonMetre},
                                   {PowerUnit::Horsepower, TorqueUnit::PoundFoot},
                                   {PowerUnit::MetricHorsepower, TorqueUnit::NewtonMetre}};

fs::path toPath(const QString& text) { return fs::path(text.toStdString()); }

bool looksLikeDay(const fs::path& path) {
    return fs::is_directory(path) || isZipPath(path) || path.filename() == "day.json";
}

} // namespace

MainWindow::MainWindow(Dialogs& dialogs) : m_dialogs(dialogs) {
    setObjectName(u"window"_s);
    setWindowIcon(QIcon(u":/icons/hillrun.svg"_s));
    setAcceptDrops(true);
    resize(1280, 800);
    setMinimumSize(1000, 620);
    m_actions = new ActionRegistry(this);
    declareActions();
    layOut();
    connectDocument();
    restoreState();
    refreshTitle();
    refreshActions();
    m_pages->setFocus();
}

MainWindow::~MainWindow() = default;

void MainWindow::declareActions() {
    declareDayActions();
    declareViewActions();
}

void MainWindow::declareDayActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
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
    add("day.save", tr("Save"), QKeySequence(u"Ctrl+S"_s), tr("Write the edits into the day"), [this] { save(); });
    add("day.save_as", tr("Save as \u2026"), QKeySequence(u"Ctrl+Shift+S"_s),
        tr("Write the day to another folder or package"), [this] { saveAs(); });
    add("day.export_zip", tr("Day package \u2026"), {}, tr("The day with its raw data as one zip"), [this] {
        exportTo(tr("Write a day package"), u".zip"_s, tr("Day package (*.zip)"), [this](const fs::path& target) {
            saveDay(m_document.day(), target,
                    m_document.path().empty() ? std::nullopt : std::optional(m_document.path()));
        });
    });
    add("day.close", tr("Close the day"), QKeySequence(u"Ctrl+W"_s), {}, [this] {
        if (mayLeaveDay())
            m_document.close();
    });
    add("edit.undo", tr("Undo"), QKeySequence(u"Ctrl+Z"_s), {}, [this] { m_document.undoStack().undo(); });
    add("edit.redo", tr("Redo"), QKeySequence(u"Ctrl+Shift+Z"_s), {}, [this] { m_document.undoStack().redo(); });
    add("report.pdf", tr("Print to PDF \u2026"), QKeySequence(u"Ctrl+P"_s), tr("The sheet as PDF"), [this] {
        exportTo(tr("Print to PDF"), u".pdf"_s, tr("PDF (*.pdf)"),
                 [this](const fs::path& target) { m_report->exportPdf(target); });
    });
    add("report.csv", tr("Table as CSV \u2026"), QKeySequence(u"Ctrl+E"_s), tr("Curves and differences as a table"),
        [this] {
            exportTo(tr("Write a table"), u".csv"_s, tr("Table (*.csv)"),
                     [this](const fs::path& target) { m_report->exportCsv(target); });
        });
    add("app.quit", tr("Quit"), QKeySequence(u"Ctrl+Q"_s), {}, [this] { close(); });
}

void MainWindow::declareViewActions() {
    auto add = [this](const char* id, const QString& text, const QKeySequence& keys, const QString& tip,
                      const std::function<void()>& run) {
        m_actions->add({id, text, keys, tip}, this, run);
    };
    add("page.check", tr("Check"), QKeySequence(u"Ctrl+1"_s), tr("Look at each pull"),
        [this] { showPage(Page::Check); });
    add("page.compare", tr("Compare"), QKeySequence(u"Ctrl+2"_s), tr("What the change gives"),
        [this] { showPage(Page::Compare); });
    add("page.report", tr("Report"), QKeySequence(u"Ctrl+3"_s), tr("The sheet as it will print"),
        [this] { showPage(Page::Report); });
    add("check.use", tr("Set aside"), QKeySequence(u"S"_s), tr("Leave this pull out with a reason, or take it back"),
        [this] { m_check->toggleUse(); });
    add("check.time", tr("Time view"), QKeySequence(u"T"_s), tr("Show the pull over time, or over speed"),
        [this] { m_check->toggleTimeView(); });
    add("check.reset_trim", tr("Undo trim"), {}, tr("Let the program find the range again"),
        [this] { m_check->resetTrim(); });
    add("compare.swap", tr("Swap"), QKeySequence(u"X"_s), tr("Swap the two builds"),
        [this] { m_selection.swapPair(); });
    add("view.quantity", tr("Power or torque"), QKeySequence(u"Q"_s), tr("Switch the curves between power and torque"),
        [this] {
            m_selection.setQuantity(m_selection.quantity() == Quantity::Power ? Quantity::Torque : Quantity::Power);
        });
    add("view.dark", tr("Light or dark"), QKeySequence(u"Ctrl+D"_s), tr("Paper by day, dark in the cell at night"),
        [this] { setDark(!m_look.theme().dark); });
    add("view.search", tr("Search commands"), QKeySequence(u"Ctrl+K"_s), {},
        [this] { (new CommandSearch(*m_actions, this))->open(); });
}

QMenu* MainWindow::makeDayMenu() {
    auto* menu = new QMenu(this);
    menu->setObjectName(u"dayMenu"_s);
    auto addAll = [&](std::initializer_list<const char*> ids) {
        for (const char* id : ids)
            menu->addAction(m_actions->get(id));
    };
    addAll({"day.open", "day.open_zip"});
    m_recentMenu = menu->addMenu(tr("Recent days"));
    m_recentMenu->setObjectName(u"recentMenu"_s);
    connect(m_recentMenu, &QMenu::aboutToShow, this, &MainWindow::fillRecentMenu);
    addAll({"day.import"});
    menu->addSeparator();
    addAll({"day.save", "day.save_as", "day.export_zip"});
    menu->addSeparator();
    addAll({"edit.undo", "edit.redo"});
    menu->addSeparator();
    addAll({"day.close", "app.quit"});
    return menu;
}

void MainWindow::layOut() {
    auto* central = new QWidget(this);
    central->setObjectName(u"mainWindow"_s);
    central->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(central);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    m_topBar = new TopBar(m_document, m_selection, m_look, *m_actions, makeDayMenu(), central);
    m_notice = new NoticeBar(central);
    m_strip = new DayStrip(m_document, m_selection, m_look, central);
    m_rail = new StepRail(m_look, *m_actions, central);
    m_pages = new QStackedWidget(central);
    m_check = new CheckPage(m_document, m_selection, m_look, *m_actions, m_dialogs, m_pages);
    m_compare = new ComparePage(m_document, m_selection, m_look, *m_actions, m_pages);
    m_report = new ReportPage(m_document, m_selection, m_look, *m_actions, m_pages);
    for (QWidget* page :
         {static_cast<QWidget*>(m_check), static_cast<QWidget*>(m_compare), static_cast<QWidget*>(m_report)})
        m_pages->addWidget(page);
    column->addWidget(m_topBar);
    column->addWidget(m_notice);
    column->addWidget(m_strip);
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    row->addWidget(m_rail);
    row->addWidget(m_pages, 1);
    column->addLayout(row, 1);
    setCentralWidget(central);
}

void MainWindow::connectDocument() {
    connect(&m_document, &DayDocument::dayChanged, this, [this] {
        refreshTitle();
        refreshActions();
    });
    connect(&m_document, &DayDocument::analysisReady, this, &MainWindow::refreshActions);
    connect(&m_document, &DayDocument::busyChanged, m_topBar, &TopBar::setBusy);
    connect(&m_document.undoStack(), &QUndoStack::indexChanged, this, [this] {
        refreshTitle();
        refreshActions();
    });
    connect(&m_document.undoStack(), &QUndoStack::cleanChanged, this, [this] {
        refreshTitle();
        refreshActions();
    });
    connect(&m_selection, &Selection::pullChanged, this, &MainWindow::refreshActions);
    connect(&m_selection, &Selection::pairChanged, this, &MainWindow::refreshActions);
    connect(m_strip, &DayStrip::pullActivated, this, [this](const QString& pull) {
        m_selection.setPull(pull.toStdString());
        showPage(Page::Check);
    });
    connect(&m_reader, &DayReader::opened, this, &MainWindow::takeDay);
    connect(&m_reader, &DayReader::failed, this, [this](const fs::path&, const QString& message) {
        m_notice->hide();
        m_dialogs.showError(this, tr("This day could not be opened"), message);
    });
    connect(&m_look, &Look::changed, this, [this] {
        qApp->setStyleSheet(m_look.styleSheet());
        m_actions->get("compare.swap")->setIcon(m_look.icon(u"swap"_s, m_look.theme().ink));
    });
}

void MainWindow::restoreState() {
    qApp->setStyleSheet(m_look.styleSheet());
    m_actions->get("compare.swap")->setIcon(m_look.icon(u"swap"_s, m_look.theme().ink));
    setDark(m_settings.get(settings::kDark));
    restoreGeometry(m_settings.get(settings::kGeometry));
    m_compare->restoreSplit(m_settings.get(settings::kCompareSplit));
    m_check->restoreSplit(m_settings.get(settings::kCheckSplit));
    AnalysisSettings analysis;
    try {
        analysis.reduce.standard = standardNamed(m_settings.get(settings::kStandard).toStdString());
    } catch (const DataError&) { // a standard of another version: the default stays
    }
    const double smoothing = m_settings.get(settings::kSmoothing);
    if (smoothing >= 10.0 && smoothing <= 1000.0)
        analysis.reduce.smoothing_rpm = smoothing;
    m_document.setSettings(analysis);
    m_selection.setUnits(kUnits[std::clamp(m_settings.get(settings::kUnits), 0, 2)]);
    const QString wanted = m_settings.get(settings::kPage);
    Page page = Page::Compare;
    for (const auto& [name, value] : kPages)
        if (wanted == QLatin1StringView(name))
            page = value;
    showPage(page);
}

void MainWindow::rememberState() {
    m_settings.set(settings::kGeometry, saveGeometry());
    m_settings.set(settings::kDark, m_look.theme().dark);
    m_settings.set(settings::kCompareSplit, m_compare->splitState());
    m_settings.set(settings::kCheckSplit, m_check->splitState());
    m_settings.set(settings::kStandard, QString::fromUtf8(standardInfo(m_document.settings().reduce.standard).name));
    m_settings.set(settings::kSmoothing, m_document.settings().reduce.smoothing_rpm);
    for (int i = 0; i < 3; ++i)
        if (kUnits[i] == m_selection.units())
            m_settings.set(settings::kUnits, i);
    for (const auto& [name, value] : kPages)
        if (value == m_page)
            m_settings.set(settings::kPage, QString::fromUtf8(name));
}

void MainWindow::openDay(const fs::path& path) {
    if (!mayLeaveDay())
        return;
    m_notice->say(tr("Reading %1 \u2026").arg(qs(path.filename().string())),
                  {{tr("Cancel"), [this] { m_reader.cancel(); }}});
    m_reader.read(path);
}

void MainWindow::takeDay(const fs::path& path, const TestDay& day) {
    m_notice->hide();
    m_selection.setPull({});
    m_selection.setPair({}, {});
    m_selection.setCursor(std::nullopt);
    const auto kept = DayDocument::findAutosave(path, day);
    m_document.show(day, path);
    addRecent(path);
    if (kept) {
        m_notice->say(
            tr("Edits of this day were kept that had not been saved."),
            {{tr("Take them over"),
              [this, edits = *kept] { m_document.edit(tr("Take kept edits over"), [&](TestDay& d) { d = edits; }); }},
             {tr("Drop them"), [this] { m_document.dropAutosave(); }}});
        return;
    }
    QStringList unreadable;
    for (const Pull& pull : day.pulls)
        if (!pull.problem.empty())
            unreadable << qs(pull.problem);
    if (!unreadable.isEmpty())
        m_notice->say(tr("%1 of %2 pulls could not be read. %3")
                          .arg(unreadable.size())
                          .arg(day.pulls.size())
                          .arg(unreadable.first()),
                      {{tr("Go on without"), nullptr}});
}

void MainWindow::addRecent(const fs::path& path) {
    QStringList recent = m_settings.get(settings::kRecent);
    const QString text = qs(fs::absolute(path).lexically_normal().string());
    recent.removeAll(text);
    recent.prepend(text);
    m_settings.set(settings::kRecent, QStringList(recent.mid(0, kRecentKept)));
}

void MainWindow::fillRecentMenu() {
    m_recentMenu->clear();
    for (const QString& path : m_settings.get(settings::kRecent)) {
        QAction* action = m_recentMenu->addAction(qs(toPath(path).filename().string()));
        action->setToolTip(path);
        action->setEnabled(fs::exists(toPath(path)));
        connect(action, &QAction::triggered, this, [this, path] { openDay(toPath(path)); });
    }
    if (m_recentMenu->isEmpty())
        m_recentMenu->addAction(tr("none yet"))->setEnabled(false);
}

void MainWindow::importFiles(const QStringList& paths) {
    if (paths.isEmpty())
        return;
    std::vector<ImportFile> files;
    QStringList problems;
    for (const QString& path : paths) {
        try {
            files.push_back(openForImport(toPath(path), m_document.day()));
        } catch (const DataError& error) {
            problems << QString::fromUtf8(error.what());
        }
    }
    if (!problems.isEmpty())
        m_dialogs.showError(this,
                            problems.size() == 1 ? tr("A file could not be read")
                                                 : tr("%1 files could not be read").arg(problems.size()),
                            problems.join(u"\n\n"_s));
    if (files.empty())
        return;
    auto* dialog = new ImportDialog(m_document.day(), std::move(files), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeImport(dialog->files()); });
    dialog->open();
}

void MainWindow::takeImport(const std::vector<ImportFile>& files) {
    if (!m_document.isOpen()) {
        TestDay day;
        day.name = tr("New day").toStdString();
        day.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
        m_document.show(day, {});
    }
    guarded(tr("The files could not be imported"), [&] {
        m_document.edit(tr("Import %n pull(s)", nullptr, static_cast<int>(files.size())), [&](TestDay& day) {
            for (const ImportFile& file : files)
                (void)addImported(day, file);
        });
    });
    showPage(Page::Check);
}

void MainWindow::showPage(Page page) {
    m_page = page;
    m_pages->setCurrentIndex(static_cast<int>(page));
    m_rail->setCurrent(static_cast<int>(page));
    refreshActions();
}

void MainWindow::setDark(bool dark) { m_look.setDark(dark); }

bool MainWindow::guarded(const QString& what, const std::function<void()>& work) {
    try {
        work();
        return true;
    } catch (const DataError& error) {
        m_dialogs.showError(this, what, QString::fromUtf8(error.what()));
        return false;
    }
}

bool MainWindow::mayLeaveDay() {
    if (!m_document.isOpen() || m_document.undoStack().isClean())
        return true;
    switch (m_dialogs.askUnsaved(this, qs(m_document.day().name))) {
    case UnsavedChoice::Save:
        return save();
    case UnsavedChoice::Discard:
        m_document.dropAutosave();
        return true;
    case UnsavedChoice::Cancel:
        break;
    }
    return false;
}

bool MainWindow::save() {
    if (m_document.path().empty())
        return saveAs();
    const bool saved = guarded(tr("The day could not be saved"), [this] { m_document.save(); });
    if (saved)
        m_notice->mention(tr("Saved."));
    return saved;
}

bool MainWindow::saveAs() {
    const auto target =
        m_dialogs.askTarget(this, tr("Save the day as"), qs(m_document.day().name), tr("Day folder or package (*)"));
    if (!target)
        return false;
    const bool saved = guarded(tr("The day could not be saved"), [&] { m_document.saveAs(toPath(*target)); });
    if (saved) {
        addRecent(toPath(*target));
        m_notice->mention(tr("Saved to %1.").arg(*target));
    }
    refreshActions();
    return saved;
}

void MainWindow::exportTo(const QString& title, const QString& ending, const QString& filter,
                          const std::function<void(const fs::path&)>& write) {
    auto target = m_dialogs.askTarget(this, title, qs(m_document.day().name) + ending, filter);
    if (!target)
        return;
    if (!target->endsWith(ending, Qt::CaseInsensitive))
        *target += ending;
    if (guarded(tr("The file could not be written"), [&] { write(toPath(*target)); }))
        m_notice->mention(tr("Written: %1").arg(*target));
}

void MainWindow::refreshTitle() {
    const TestDay& day = m_document.day();
    const bool modified = m_document.isOpen() && !m_document.undoStack().isClean();
    QString title = m_document.isOpen() ? (day.name.empty() ? tr("Untitled day") : qs(day.name)) : QString();
    if (!day.date.empty())
        title += u" \u00B7 "_s + qs(day.date);
    m_topBar->setTitle(title, modified);
    setWindowTitle(title.isEmpty() ? tr("Hill Run") : title + tr(" \u2013 Hill Run"));
}

WindowState MainWindow::state() const {
    WindowState out;
    out.dayOpen = m_document.isOpen();
    out.dayModified = !m_document.undoStack().isClean();
    out.daySaved = !m_document.path().empty();
    out.analysed = m_document.analysis() != nullptr;
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    out.pullSelected = pull != nullptr;
    out.pullTrimmed = pull && pull->window_rpm.has_value();
    out.pairShown = m_document.day().builds.size() >= 2;
    out.canUndo = m_document.undoStack().canUndo();
    out.canRedo = m_document.undoStack().canRedo();
    out.page = m_page;
    return out;
}

void MainWindow::refreshActions() {
    const WindowState now = state();
    for (QAction* action : m_actions->all())
        action->setEnabled(actionEnabled(action->objectName().toStdString(), now));
    const QString undo = m_document.undoStack().undoText();
    const QString redo = m_document.undoStack().redoText();
    m_actions->get("edit.undo")->setText(undo.isEmpty() ? tr("Undo") : tr("Undo: %1").arg(undo));
    m_actions->get("edit.redo")->setText(redo.isEmpty() ? tr("Redo") : tr("Redo: %1").arg(redo));
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (!mayLeaveDay()) {
        event->ignore();
        return;
    }
    rememberState();
    event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls())
        event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    QStringList files;
    for (const QUrl& url : event->mimeData()->urls()) {
        if (!url.isLocalFile())
            continue;
        if (looksLikeDay(toPath(url.toLocalFile()))) {
            event->acceptProposedAction();
            return openDay(toPath(url.toLocalFile()));
        }
        files << url.toLocalFile();
    }
    event->acceptProposedAction();
    files.sort();
    importFiles(files);
}

} // namespace hillrun
