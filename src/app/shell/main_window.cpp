// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/main_window.h"

#include "app/look/accessible.h"
#include "app/look/fit_scroll.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/pull/links_dialog.h"
#include "app/shell/command_search.h"
#include "app/shell/help_dialogs.h"
#include "app/shell/settings_dialog.h"
#include "app/shell/tour.h"
#include "formats/day_store.h"

#include <QApplication>
#include <QBuffer>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QMimeData>
#include <QStandardPaths>
#include <QUrl>
#include <QVBoxLayout>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const std::pair<const char*, Page> kPages[] = {{"prepare", Page::Prepare}, {"pull", Page::Pull},
                                               {"check", Page::Check},     {"compare", Page::Compare},
                                               {"report", Page::Report},   {"bench", Page::Bench}};
constexpr DisplayUnits kUnits[] = {{PowerUnit::Kilowatt, TorqueUnit::NewtonMetre},
                                   {PowerUnit::Horsepower, TorqueUnit::PoundFoot},
                                   {PowerUnit::MetricHorsepower, TorqueUnit::NewtonMetre}};

constexpr QSize kSmallest(960, 600);
constexpr int kTitleBar_px = 40; ///< what a window manager puts above, about

/// As the desktop came up, before our own palette was set.
bool desktopIsDark() {
    static const bool dark = QGuiApplication::palette().color(QPalette::Window).lightness() < 128;
    return dark;
}

report::Paper paperOf(const Preferences& p) {
    return p.paper == u"letter"_s ? report::Paper::Letter : report::Paper::A4;
}

report::Letterhead letterheadOf(const Preferences& p) {
    report::Letterhead out;
    out.workshop = p.workshop.toStdString();
    for (const QString& line : p.address.split(u'\n', Qt::SkipEmptyParts))
        out.address.push_back(line.trimmed().toStdString());
    if (const QImage logo = p.logo.isEmpty() ? QImage() : QImage(p.logo); !logo.isNull()) {
        QBuffer bytes;
        logo.save(&bytes, "PNG");
        out.png = bytes.data().toStdString();
    }
    return out;
}

fs::path toPath(const QString& text) { return fs::path(text.toStdString()); }

} // namespace

MainWindow::MainWindow(Dialogs& dialogs)
    : m_dialogs(dialogs),
      m_repeatability(fs::path(QStandardPaths::writableLocation(QStandardPaths::AppLocalDataLocation).toStdString()) /
                      "repeatability.json") {
    setObjectName(u"window"_s);
    new PlainTextGuard(this);
    installSpokenWidgets();
    setWindowIcon(QIcon(u":/icons/hillrun.svg"_s));
    setAcceptDrops(true);
    const QSize room = screen()->availableSize() - QSize(0, kTitleBar_px);
    setMinimumSize(kSmallest.boundedTo(room));
    resize(QSize(px(1280), px(800)).boundedTo(room));
    m_theme = m_settings.get(settings::kTheme);
    m_look.setDark(m_theme == u"dark"_s || (m_theme == u"desktop"_s && desktopIsDark()));
    m_actions = new ActionRegistry(this);
    declareActions();
    layOut();
    connectDocument();
    restoreState();
    refreshTitle();
    refreshActions();
    m_pages->setFocus();
}

MainWindow::~MainWindow() {
    m_document.disconnect(this);
    m_document.undoStack().disconnect(this);
    delete centralWidget(); // pages still look at the document when they are hidden
}

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

void MainWindow::editSettings() {
    rememberState(); // what was chosen in the window is what the dialog begins with
    auto* dialog = new SettingsDialog(readPreferences(m_settings), m_dialogs, this);
    connect(dialog, &QDialog::accepted, this, [this, dialog] {
        keepPreferences(m_settings, dialog->preferences());
        applyPreferences();
    });
    dialog->open();
}

void MainWindow::applyPreferences() {
    const Preferences p = readPreferences(m_settings);
    m_theme = p.theme;
    m_look.setDark(m_theme == u"dark"_s || (m_theme == u"desktop"_s && desktopIsDark()));
    AnalysisSettings analysis = m_document.settings();
    try {
        analysis.reduce.standard = standardNamed(p.standard.toStdString());
    } catch (const DataError&) { // a standard of another version: the default stays
    }
    if (p.smoothing_rpm >= 10.0 && p.smoothing_rpm <= 1000.0)
        analysis.reduce.smoothing_rpm = p.smoothing_rpm;
    analysis.drift.allowance = static_cast<DriftAllowance>(std::clamp(p.drift, 0, 2));
    m_document.setSettings(analysis);
    m_selection.setUnits(kUnits[std::clamp(p.units, 0, 2)]);
    if (m_report)
        m_report->setPaper(paperOf(p), letterheadOf(p));
}

void MainWindow::stepPage(int by) {
    const int pages = static_cast<int>(std::size(kPages));
    showPage(static_cast<Page>((static_cast<int>(m_page) + by + pages) % pages));
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
    m_files = new DayFiles(this, m_dialogs, m_document, m_selection, m_settings, *m_notice, m_look);
    for (size_t i = 0; i < std::size(kPages); ++i)
        m_pages->addWidget(new QWidget(m_pages)); // holds the place of a page that is not made yet
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

template <class Made> Made& MainWindow::placed(Made*& page, Page at, Made* made) {
    page = made;
    const int place = static_cast<int>(at);
    const bool shown = m_pages->currentIndex() == place;
    delete m_pages->widget(place);
    m_pages->insertWidget(place, new FitScroll(page));
    if (shown)
        m_pages->setCurrentIndex(place);
    return *page;
}

PreparePage& MainWindow::prepare() {
    if (m_prepare)
        return *m_prepare;
    placed(m_prepare, Page::Prepare,
           new PreparePage(m_document, m_look, *m_actions, m_dialogs, m_repeatability, m_pages));
    StartPanel& start = m_prepare->start();
    connect(&start, &StartPanel::dayChosen, this,
            [this](const QString& path, bool demo) { demo ? m_files->openDemo(toPath(path)) : openDay(toPath(path)); });
    const auto offer = [this, &start] {
        if (!m_document.isOpen())
            start.setRecent(m_files->recent());
    };
    connect(&m_document, &DayDocument::dayChanged, &start, offer);
    offer();
    return *m_prepare;
}

PullPage& MainWindow::pull() {
    if (m_pull)
        return *m_pull;
    placed(m_pull, Page::Pull,
           new PullPage(m_document, m_selection, m_look, *m_actions, m_dialogs, m_settings, m_pages));
    connect(m_pull, &PullPage::needsPlace, this, [this] { m_files->saveAs(); });
    connect(m_pull, &PullPage::stateChanged, this, &MainWindow::refreshActions);
    return *m_pull;
}

CheckPage& MainWindow::check() {
    if (m_check)
        return *m_check;
    placed(m_check, Page::Check, new CheckPage(m_document, m_selection, m_look, *m_actions, m_dialogs, m_pages));
    m_check->restoreSplit(m_settings.get(settings::kCheckSplit));
    return *m_check;
}

ComparePage& MainWindow::compare() {
    if (m_compare)
        return *m_compare;
    placed(m_compare, Page::Compare, new ComparePage(m_document, m_selection, m_look, *m_actions, m_pages));
    m_compare->restoreSplit(m_settings.get(settings::kCompareSplit));
    return *m_compare;
}

ReportPage& MainWindow::report() {
    if (m_report)
        return *m_report;
    placed(m_report, Page::Report, new ReportPage(m_document, m_selection, m_look, *m_actions, m_pages));
    const Preferences p = readPreferences(m_settings);
    m_report->setPaper(paperOf(p), letterheadOf(p));
    return *m_report;
}

BenchPage& MainWindow::bench() {
    return m_bench ? *m_bench
                   : placed(m_bench, Page::Bench, new BenchPage(m_document, m_selection, m_look, *m_actions, m_pages));
}

void MainWindow::make(Page page) {
    switch (page) {
    case Page::Prepare:
        prepare();
        break;
    case Page::Pull:
        pull();
        break;
    case Page::Check:
        check();
        break;
    case Page::Compare:
        compare();
        break;
    case Page::Report:
        report();
        break;
    case Page::Bench:
        bench();
        break;
    }
}

void MainWindow::connectDocument() {
    connect(&m_document, &DayDocument::dayChanged, this, [this] {
        refreshTitle();
        refreshActions();
    });
    connect(&m_document, &DayDocument::analysisReady, this, [this] {
        refreshActions();
        if (m_document.analysis())
            m_repeatability.note(m_document.day(), m_document.path(), *m_document.analysis());
    });
    connect(&m_document, &DayDocument::accessChanged, this, [this] {
        refreshTitle();
        refreshActions();
    });
    connect(&m_document, &DayDocument::busyChanged, m_topBar, &TopBar::setBusy);
    connect(&m_document, &DayDocument::progressed, m_topBar, &TopBar::setProgress);
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
    connect(m_files, &DayFiles::begun, this, [this] { showPage(Page::Prepare); });
    connect(m_files, &DayFiles::imported, this, [this] { showPage(Page::Check); });
    connect(m_files, &DayFiles::stored, this, &MainWindow::refreshActions);
    connect(&m_look, &Look::changed, this, &MainWindow::applyLook);
}

void MainWindow::applyLook() {
    QApplication::setPalette(m_look.palette());
    qApp->setStyleSheet(m_look.styleSheet());
    m_actions->get("compare.swap")->setIcon(m_look.icon(u"swap"_s, m_look.theme().ink));
}

void MainWindow::restoreState() {
    restoreGeometry(m_settings.get(settings::kGeometry));
    applyPreferences();
    const auto links = keptLinks(m_settings);
    if (std::any_of(links.begin(), links.end(), [](const NamedLink& link) { return link.inUse; }))
        pull().useKeptLinks();
    const QString wanted = m_settings.get(settings::kPage);
    Page page = Page::Compare;
    for (const auto& [name, value] : kPages)
        if (wanted == QLatin1StringView(name))
            page = value;
    showPage(page);
    applyLook(); // once, when all is there: each widget that is put into a styled window is styled anew
}

void MainWindow::rememberState() {
    m_settings.set(settings::kGeometry, saveGeometry());
    m_settings.set(settings::kTheme, m_theme);
    if (m_compare)
        m_settings.set(settings::kCompareSplit, m_compare->splitState());
    if (m_check)
        m_settings.set(settings::kCheckSplit, m_check->splitState());
    m_settings.set(settings::kStandard, QString::fromUtf8(standardInfo(m_document.settings().reduce.standard).name));
    m_settings.set(settings::kSmoothing, m_document.settings().reduce.smoothing_rpm);
    m_settings.set(settings::kDrift, static_cast<int>(m_document.settings().drift.allowance));
    for (int i = 0; i < 3; ++i)
        if (kUnits[i] == m_selection.units())
            m_settings.set(settings::kUnits, i);
    for (const auto& [name, value] : kPages)
        if (value == m_page)
            m_settings.set(settings::kPage, QString::fromUtf8(name));
}

void MainWindow::openDay(const fs::path& path) { m_files->open(path); }

void MainWindow::importFiles(const QStringList& paths) { m_files->import(paths); }

bool MainWindow::openAny(const QStringList& namesOrUrls) {
    QStringList paths;
    for (const QString& name : namesOrUrls)
        paths << (name.startsWith(u"file:"_s) ? QUrl(name).toLocalFile() : name);
    if (paths.size() == 1 && !QFileInfo(paths.front()).isFile()) { // a folder, or a name whose error says what is wrong
        openDay(toPath(paths.front()));
        return true;
    }
    return m_files->openAny(paths);
}

void MainWindow::offerKept() { m_files->offerKeptAtStart(); }

void MainWindow::keepForLater() {
    m_document.waitUntilKept();
    rememberState();
}

void MainWindow::showPage(Page page) {
    m_page = page;
    make(page);
    m_pages->setCurrentIndex(static_cast<int>(page));
    m_rail->setCurrent(static_cast<int>(page));
    refreshActions();
}

void MainWindow::setDark(bool dark) {
    m_theme = dark ? u"dark"_s : u"light"_s;
    m_look.setDark(dark);
}

void MainWindow::refreshTitle() {
    const TestDay& day = m_document.day();
    const bool modified = m_document.isOpen() && !m_document.undoStack().isClean();
    QString title = m_document.isOpen() ? (day.name.empty() ? tr("Untitled day") : qs(day.name)) : QString();
    if (!day.date.empty())
        title += u" \u00B7 "_s + qs(day.date);
    if (!m_document.mayEdit())
        title += tr(" \u00B7 read only");
    m_topBar->setTitle(title, modified);
    setWindowTitle(title.isEmpty() ? tr("Hill Run")
                                   : tr("%1[*] \u2013 Hill Run").arg(title.replace(u"[*]"_s, u"[ * ]"_s)));
    setWindowModified(modified);
}

WindowState MainWindow::state() const {
    WindowState out;
    out.dayOpen = m_document.isOpen();
    out.dayModified = !m_document.undoStack().isClean();
    out.daySaved = !m_document.path().empty();
    out.analysed = m_document.analysis() != nullptr;
    out.mayEdit = m_document.mayEdit();
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    out.pullSelected = pull != nullptr;
    out.pullTrimmed = pull && pull->window_rpm.has_value();
    out.pairShown = m_document.day().builds.size() >= 2;
    out.buildKnown = !m_document.day().builds.empty();
    if (m_pull) {
        out.linked = m_pull->hasLinks();
        out.slipShown = m_pull->hasSlip();
        out.slipOpen = !m_pull->flow().slipAnswered();
        const RecorderState recorder = m_pull->service().now()->recorder;
        out.pulling = recorder == RecorderState::Running || recorder == RecorderState::Ending;
    }
    out.canUndo = m_document.undoStack().canUndo();
    out.canRedo = m_document.undoStack().canRedo();
    out.page = m_page;
    return out;
}

void MainWindow::refreshActions() {
    const WindowState now = state();
    for (QAction* action : m_actions->all())
        action->setEnabled(actionEnabled(action->objectName().toStdString(), now));
    m_actions->get("pull.arm")->setText(m_pull && m_pull->flow().armed() ? tr("Disarm") : tr("Arm"));
    m_actions->get("pull.by_hand")->setText(now.pulling ? tr("End by hand") : tr("Start by hand"));
    if (now.page == Page::Pull)
        m_actions->get("check.use")->setText(tr("Set aside"));
    const QString undo = m_document.undoStack().undoText();
    const QString redo = m_document.undoStack().redoText();
    m_actions->get("edit.undo")->setText(undo.isEmpty() ? tr("Undo") : tr("Undo: %1").arg(undo));
    m_actions->get("edit.redo")->setText(redo.isEmpty() ? tr("Redo") : tr("Redo: %1").arg(redo));
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (!m_files->mayLeaveDay()) {
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
    QStringList paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    event->acceptProposedAction();
    m_files->openAny(paths);
}

} // namespace hillrun
