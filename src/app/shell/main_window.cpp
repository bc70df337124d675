// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/main_window.h"

#include "app/frame/kept_links.h"
#include "app/frame/preferences.h"
#include "app/look/accessible.h"
#include "app/look/fit_scroll.h"
#include "app/look/language.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/pages.h"
#include "core/errors/data_error.h"
#include "logbook/log_days.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QMimeData>
#include <QStandardPaths>
#include <QTimer>
#include <QUrl>
#include <QVBoxLayout>
#include <utility>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr QSize kSmallest(960, 600);
constexpr int kTitleBar_px = 40; ///< what a window manager puts above, about

/// As the desktop came up, before our own palette was set.
bool desktopIsDark() {
    static const bool dark = QGuiApplication::palette().color(QPalette::Window).lightness() < 128;
    return dark;
}

bool isDark(const QString& theme) { return theme == u"dark"_s || (theme == u"desktop"_s && desktopIsDark()); }

} // namespace

MainWindow::MainWindow(Dialogs& dialogs, SettingsStore& settings, CellService& cell, TonePlayer& tones)
    : m_dialogs(dialogs), m_settings(settings), m_cell(cell), m_tones(tones), m_otherDays(m_document, m_logbook),
      m_flow(m_document, cell) {
    setObjectName(u"window"_s);
    new PlainTextGuard(this);
    installSpokenWidgets();
    setWindowIcon(QIcon(u":/icons/hillrun.svg"_s));
    setAcceptDrops(true);
    const QSize room = screen()->availableSize() - QSize(0, kTitleBar_px);
    setMinimumSize(kSmallest.boundedTo(room));
    resize(QSize(px(1280), px(800)).boundedTo(room));
    m_theme = m_settings.get(settings::kTheme);
    m_look.setDark(isDark(m_theme));
    m_language = m_settings.get(settings::kLanguage);
    speak(languageOf(m_language));
    makeParts();
    connectDocument();
    restoreState();
    refresh();
    m_pages->setFocus();
}

MainWindow::~MainWindow() {
    m_document.disconnect(this);
    m_document.undoStack().disconnect(this);
    m_flow.disconnect(this);
    m_cell.disconnect(this);
    qApp->disconnect(this);
    delete centralWidget(); // pages still look at the document when they are hidden
}

Workplace MainWindow::workplace() {
    return {m_document, m_selection, m_look, *m_actions,  m_dialogs, m_settings, *m_files,
            m_cell,     m_tones,     m_flow, m_otherDays, m_logbook, *this};
}

void MainWindow::makeParts() {
    m_specs = everyPage();
    m_actions = new ActionRegistry(this);
    auto* central = new QWidget(this);
    m_notice = new NoticeBar(central);
    m_files = new DayFiles(this, m_dialogs, m_document, m_selection, m_settings, *m_notice);
    m_imports = new DayImports(this, m_dialogs, m_document, m_selection, *m_notice, m_look);
    declareActions(workplace());
    for (const PageSpec& spec : m_specs)
        spec.declare(workplace());
    layOut(central);
    connectParts();
}

void MainWindow::dropParts() {
    m_made.clear(); // the focus goes from one to the next while they are deleted, and then nobody may ask them
    delete findChild<QDialog*>(u"guideWindow"_s);
    delete centralWidget(); // pages still look at the document when they are hidden
    delete m_imports;
    delete m_files;
    delete m_actions;
}

/// Every word on the screen anew: all that shows the day is made again; the day itself, what was done to it, the cell
/// and what is selected stay.
void MainWindow::speakAnew() {
    const PageId shown = pageShown();
    dropParts();
    speak(languageOf(m_language));
    makeParts();
    showPage(shown);
    applyLook();
    refreshTitle();
    m_topBar->layout()->invalidate(); // its words have other widths
    centralWidget()->layout()->invalidate();
    centralWidget()->layout()->activate();
    m_pages->setFocus();
}

void MainWindow::layOut(QWidget* central) {
    central->setObjectName(u"mainWindow"_s);
    central->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(central);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    m_topBar = new TopBar(m_document, m_selection, m_look, *m_actions, makeDayMenu(central), central);
    m_strip = new DayStrip(m_document, m_selection, m_look, central);
    m_rail = new StepRail(m_look, m_specs, *m_actions, central);
    m_pages = new QStackedWidget(central);
    for (size_t i = 0; i < m_specs.size(); ++i)
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

int MainWindow::placeOf(PageId id) const {
    for (size_t i = 0; i < m_specs.size(); ++i)
        if (m_specs[i].id == id)
            return static_cast<int>(i);
    return -1;
}

PageId MainWindow::pageShown() const { return m_specs[static_cast<size_t>(m_shown)].id; }

PageView& MainWindow::page(PageId id) {
    if (const auto made = m_made.find(id); made != m_made.end())
        return *made->second;
    const int place = placeOf(id);
    const PageSpec& spec = m_specs.at(static_cast<size_t>(place)); // throws for a page that is not there
    PageView* out = spec.make(workplace(), m_pages);
    m_made[spec.id] = out;
    const bool shown = m_pages->currentIndex() == place;
    delete m_pages->widget(place);
    m_pages->insertWidget(place, new FitScroll(out));
    if (shown)
        m_pages->setCurrentIndex(place);
    out->recall(m_settings);
    return *out;
}

void MainWindow::showPage(PageId id) {
    const int place = placeOf(id);
    if (place < 0)
        return;
    m_shown = place;
    page(id);
    m_pages->setCurrentIndex(place);
    m_rail->setCurrent(place);
    refreshActions();
}

void MainWindow::stepPage(int by) {
    const int pages = static_cast<int>(m_specs.size());
    showPage(m_specs[static_cast<size_t>((m_shown + by + pages) % pages)].id);
}

void MainWindow::connectDocument() {
    connect(&m_document, &DayDocument::dayChanged, this, &MainWindow::refresh);
    connect(&m_document, &DayDocument::analysisReady, this, &MainWindow::refreshActions);
    connect(&m_document, &DayDocument::accessChanged, this, &MainWindow::refresh);
    connect(&m_document.undoStack(), &QUndoStack::indexChanged, this, &MainWindow::refresh);
    connect(&m_document.undoStack(), &QUndoStack::cleanChanged, this, &MainWindow::refresh);
    connect(&m_selection, &Selection::pullChanged, this, &MainWindow::refreshActions);
    connect(&m_selection, &Selection::pairChanged, this, &MainWindow::refreshActions);
    connect(&m_flow, &PullFlow::changed, this, &MainWindow::refreshActions);
    connect(&m_cell, &CellService::pullingChanged, this, &MainWindow::refreshActions);
    connect(&m_cell, &CellService::linksSet, this, &MainWindow::refreshActions);
    connect(qApp, &QApplication::focusChanged, this, &MainWindow::refreshActions);
    connect(&m_look, &Look::changed, this, &MainWindow::applyLook);
}

/// The day as it was saved; worked out already, it is not worked out once more.
void MainWindow::enterLogbook() {
    const auto analysis = m_document.analysis();
    std::optional<LogbookEntry> worked;
    if (analysis && !m_document.isBusy() && workedOutAlike(m_document.day(), *analysis)) {
        try {
            worked = entryOf(m_document.path(), m_document.day(), *analysis);
        } catch (const DataError&) { // a day without pulls: the logbook says so
        }
    }
    m_logbook.enter(m_document.path(), std::move(worked));
}

void MainWindow::connectParts() {
    connect(&m_document, &DayDocument::busyChanged, m_topBar, &TopBar::setBusy);
    connect(&m_document, &DayDocument::progressed, m_topBar, &TopBar::setProgress);
    connect(m_strip, &DayStrip::pullActivated, this, [this](const QString& pull) {
        m_selection.setPull(pull.toStdString());
        showPage("check");
    });
    connect(m_files, &DayFiles::begun, this, [this] { showPage("prepare"); });
    connect(m_files, &DayFiles::tookIn, this, [this] { showPage("check"); });
    connect(m_imports, &DayImports::tookIn, this, [this] { showPage("check"); });
    connect(m_imports, &DayImports::tookPulls, m_files, &DayFiles::offerWhatIsDoubtful);
    connect(m_files, &DayFiles::stored, this, &MainWindow::refreshActions);
    connect(m_files, &DayFiles::saved, this, &MainWindow::enterLogbook);
    connect(&m_logbook, &LogbookLink::conflict, m_notice, [this](const QString& there) {
        m_notice->say(
            tr("The logbook has this day from elsewhere, with other contents: %1. It stays as it is there.").arg(there),
            {{tr("Understood"), nullptr}});
    });
    connect(&m_logbook, &LogbookLink::waiting, m_notice,
            [this](const QString& why) { m_notice->mention(tr("The day enters the logbook later: %1").arg(why)); });
}

void MainWindow::applyLook() {
    QApplication::setPalette(m_look.palette());
    qApp->setStyleSheet(m_look.styleSheet());
}

void MainWindow::applyPreferences() {
    const Preferences p = readPreferences(m_settings);
    if (p.language != m_language && !m_cell.pulling()) { // a pull that runs is not disturbed: next time then
        m_language = p.language;
        QTimer::singleShot(0, this, &MainWindow::speakAnew); // the dialog that asked for it closes first
    }
    m_theme = p.theme;
    m_look.setDark(isDark(m_theme));
    m_document.setSettings(analysisSettings(p, m_document.settings()));
    m_selection.setUnits(kUnitChoices.at(static_cast<size_t>(p.units)));
    m_selection.setSchool(static_cast<CurveSchool>(p.school));
    m_logbook.setAddress(p.logbook.toStdString());
    for (const auto& [id, made] : m_made)
        made->recall(m_settings);
}

void MainWindow::restoreState() {
    restoreGeometry(m_settings.get(settings::kGeometry));
    applyPreferences();
    useKeptLinks(m_settings, m_cell);
    const std::string kept = m_settings.get(settings::kPage).toStdString();
    m_shown = std::max(placeOf(kept) < 0 ? placeOf("compare") : placeOf(kept), 0);
}

/// Only now is it sure which page is wanted first. The look comes last: each widget that is put into a styled window is
/// styled anew.
void MainWindow::showEvent(QShowEvent* event) {
    if (m_made.empty())
        showPage(pageShown());
    if (!std::exchange(m_styled, true))
        applyLook();
    QMainWindow::showEvent(event);
}

void MainWindow::rememberState() {
    m_settings.set(settings::kGeometry, saveGeometry());
    m_settings.set(settings::kTheme, m_theme);
    for (const auto& [id, made] : m_made)
        made->remember(m_settings);
    m_settings.set(settings::kStandard, QString::fromUtf8(standardInfo(m_document.settings().reduce.standard).name));
    m_settings.set(settings::kSmoothing, m_document.settings().reduce.smoothing_rpm);
    m_settings.set(settings::kDrift, static_cast<int>(m_document.settings().drift.allowance));
    m_settings.set(settings::kSchool, static_cast<int>(m_selection.school()));
    for (size_t i = 0; i < kUnitChoices.size(); ++i)
        if (kUnitChoices.at(i) == m_selection.units())
            m_settings.set(settings::kUnits, static_cast<int>(i));
    m_settings.set(settings::kPage, QString::fromStdString(std::string(pageShown())));
}

void MainWindow::openDay(const fs::path& path) { m_files->open(path); }

void MainWindow::importFiles(const QStringList& paths) { m_imports->import(paths); }

bool MainWindow::openAny(const QStringList& namesOrUrls) {
    QStringList paths;
    for (const QString& name : namesOrUrls)
        paths << (name.startsWith(u"file:"_s) ? QUrl(name).toLocalFile() : name);
    if (paths.size() == 1 && !QFileInfo(paths.front()).isFile()) { // a folder, or a name whose error says what is wrong
        openDay(toPath(paths.front()));
        return true;
    }
    return openOrImport(paths);
}

bool MainWindow::openOrImport(QStringList paths) {
    if (m_files->openDayAmong(paths))
        return true;
    paths.sort();
    m_imports->import(paths);
    return false;
}

void MainWindow::offerKept() { m_files->offerWhatIsDoubtful(); }

void MainWindow::keepForLater() {
    m_document.waitUntilKept();
    rememberState();
}

void MainWindow::setDark(bool dark) {
    m_theme = dark ? u"dark"_s : u"light"_s;
    m_look.setDark(dark);
}

void MainWindow::refresh() {
    refreshTitle();
    refreshActions();
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
    out.linked = m_cell.hasLinks();
    out.slipShown = m_flow.slip().has_value();
    out.slipOpen = !m_flow.slipAnswered();
    out.pulling = m_cell.pulling();
    out.canUndo = m_document.undoStack().canUndo();
    out.canRedo = m_document.undoStack().canRedo();
    out.page = pageShown();
    const auto made = m_made.find(out.page);
    out.canCopy = made != m_made.end() && made->second->canCopy();
    return out;
}

void MainWindow::refreshActions() {
    WindowState now = state();
    const std::string focus = focusWidget() ? focusWidget()->objectName().toStdString() : std::string();
    now.focus = focus;
    m_actions->refresh(now);
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
    openOrImport(paths);
}

} // namespace hillrun
