// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/main_window.h"

#include "app/look/accessible.h"
#include "app/look/fit_scroll.h"
#include "app/look/language.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/pull/links_dialog.h"
#include "app/shell/settings_dialog.h"

#include <QApplication>
#include <QBuffer>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QMimeData>
#include <QStandardPaths>
#include <QTimer>
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
    m_language = m_settings.get(settings::kLanguage);
    speak(languageOf(m_language));
    makeParts();
    connectDocument();
    restoreState();
    refreshTitle();
    refreshActions();
    m_pages->setFocus();
}

void MainWindow::makeParts() {
    m_actions = new ActionRegistry(this);
    declareActions();
    layOut();
    connectParts();
}

void MainWindow::dropParts() {
    delete centralWidget();        // pages still look at the document when they are hidden
    delete m_recentMenu->parent(); // the day menu, which the top bar only borrowed
    delete m_files;
    delete m_actions;
    m_prepare = nullptr;
    m_pull = nullptr;
    m_check = nullptr;
    m_compare = nullptr;
    m_report = nullptr;
    m_bench = nullptr;
}

/// Every word on the screen anew: all that shows the day is made again; the day itself, what was done to it and what is
/// selected stay.
void MainWindow::speakAnew() {
    const auto links = m_pull ? keptLinks(m_settings) : std::vector<NamedLink>{};
    dropParts();
    speak(languageOf(m_language));
    makeParts();
    if (std::any_of(links.begin(), links.end(), [](const NamedLink& link) { return link.inUse; }))
        pull().useKeptLinks();
    showPage(m_page);
    applyLook();
    refreshTitle();
    m_topBar->layout()->invalidate(); // its words have other widths
    centralWidget()->layout()->invalidate();
    centralWidget()->layout()->activate();
    m_pages->setFocus();
}

MainWindow::~MainWindow() {
    m_document.disconnect(this);
    m_document.undoStack().disconnect(this);
    delete centralWidget(); // pages still look at the document when they are hidden
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
    if (p.language != m_language && !state().pulling) { // a pull that runs is not disturbed: next time then
        m_language = p.language;
        QTimer::singleShot(0, this, &MainWindow::speakAnew); // the dialog that asked for it closes first
    }
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
    connect(&m_look, &Look::changed, this, &MainWindow::applyLook);
}

void MainWindow::connectParts() {
    connect(&m_document, &DayDocument::busyChanged, m_topBar, &TopBar::setBusy);
    connect(&m_document, &DayDocument::progressed, m_topBar, &TopBar::setProgress);
    connect(m_strip, &DayStrip::pullActivated, this, [this](const QString& pull) {
        m_selection.setPull(pull.toStdString());
        showPage(Page::Check);
    });
    connect(m_files, &DayFiles::begun, this, [this] { showPage(Page::Prepare); });
    connect(m_files, &DayFiles::imported, this, [this] { showPage(Page::Check); });
    connect(m_files, &DayFiles::stored, this, &MainWindow::refreshActions);
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
