// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_page.h"

#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/look/wrap_layout.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/pull/curve_rows.h"

#include <cmath>
#include <QClipboard>
#include <QGuiApplication>
#include <QHeaderView>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

CheckPage::CheckPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, Dialogs& dialogs,
                     QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look), m_dialogs(dialogs),
      m_actions(actions) {
    setObjectName(u"checkPage"_s);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(px(16), px(12), px(16), px(12));
    m_split = new QSplitter(Qt::Horizontal, this);
    m_split->setObjectName(u"checkSplit"_s);
    m_split->addWidget(makeLeft(actions));
    m_split->addWidget(makeRight(actions));
    m_split->setStretchFactor(1, 1);
    m_split->setSizes({px(400), px(740)});
    m_split->setChildrenCollapsible(false);
    layout->addWidget(m_split);
    connectFindings();
    connect(&m_document, &DayDocument::analysisReady, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::pullChanged, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::viewChanged, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::cursorChanged, this, &CheckPage::refreshCursor);
    connect(&m_look, &Look::changed, this, &CheckPage::refresh);
    refresh();
}

QWidget* CheckPage::makeLeft(ActionRegistry& actions) {
    auto* left = new QWidget(this);
    auto* column = new QVBoxLayout(left);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    m_pulls = new PullModel(m_document, m_selection, this);
    m_table = new QTableView(left);
    m_table->setObjectName(u"pullTable"_s);
    m_table->setAccessibleName(tr("Pulls of the day"));
    m_table->setModel(m_pulls);
    m_table->setItemDelegate(new PullDelegate(m_look, m_table));
    m_table->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_table->setSelectionMode(QAbstractItemView::SingleSelection);
    m_table->setShowGrid(false);
    m_table->setTabKeyNavigation(false);
    m_table->setWordWrap(false);
    m_table->verticalHeader()->hide();
    m_table->verticalHeader()->setDefaultSectionSize(px(26));
    m_table->horizontalHeader()->setHighlightSections(false);
    m_table->horizontalHeader()->setStretchLastSection(true);
    m_table->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    const int widths[] = {76, 48, 66, 74};
    for (int i = 0; i < 4; ++i)
        m_table->setColumnWidth(i, px(widths[i]));
    m_table->setMinimumWidth(px(360));
    connect(m_table->selectionModel(), &QItemSelectionModel::currentRowChanged, this,
            [this](const QModelIndex& current) {
                if (current.isValid())
                    m_selection.setPull(m_pulls->pullAt(current.row()));
            });
    column->addWidget(m_table, 5);
    column->addWidget(makeSlip(actions), 4);
    return left;
}

QWidget* CheckPage::makeSlip(ActionRegistry& actions) {
    auto* slip = new QFrame(this);
    slip->setObjectName(u"slip"_s);
    slip->setProperty("panel", true);
    auto* column = new QVBoxLayout(slip);
    column->setContentsMargins(px(12), px(8), px(8), px(8));
    column->setSpacing(px(6));
    m_head = new PlainLabel(slip);
    m_head->setObjectName(u"slipText"_s);
    m_head->setWordWrap(true);
    m_head->setProperty("title", true);
    column->addWidget(m_head);
    m_findings = new FindingList(m_look, slip);
    column->addWidget(m_findings, 1);
    auto* row = new QHBoxLayout;
    for (const char* id : {"check.use", "check.reset_trim"}) {
        auto* button = new QToolButton(slip);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        row->addWidget(button);
    }
    row->addStretch(1);
    column->addLayout(row);
    return slip;
}

QWidget* CheckPage::makeTools(ActionRegistry& actions) {
    auto* tools = new WrapRow(2, this);
    WrapLayout* row = tools->row();
    row->setContentsMargins(px(8), 2, px(8), 2);
    const auto add = [&](const char* id) {
        auto* button = new QToolButton(tools);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setProperty("flat", true);
        button->setProperty("switch", true);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        row->addWidget(button);
    };
    for (const char* id : {"check.channels", "check.time", "check.numbers"}) {
        actions.get(id)->setCheckable(true);
        add(id);
    }
    for (const char* id : {"check.raw", "check.beside"}) {
        actions.get(id)->setCheckable(true);
        add(id);
    }
    add("copy.picture");
    add("copy.table");
    return tools;
}

QWidget* CheckPage::makeRight(ActionRegistry& actions) {
    auto* frame = new QFrame(this);
    m_right = frame;
    frame->setProperty("panel", true);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(1, 2, 1, 1);
    column->setSpacing(0);
    m_upper = new Board(m_look, u"overlayBoard"_s, frame);
    m_upperBeside = new Board(m_look, u"besideBoard"_s, frame);
    m_deviation = new Board(m_look, u"deviationBoard"_s, frame);
    auto* pair = new QHBoxLayout;
    pair->setSpacing(0);
    pair->addWidget(m_upper, 1);
    pair->addWidget(m_upperBeside, 1);
    column->addWidget(makeTools(actions));
    column->addLayout(pair, 6);
    column->addWidget(m_deviation, 3);
    column->addWidget(makeLower(), 6);
    for (Board* board : {m_upper, m_upperBeside, m_deviation})
        connectOverlay(board);
    return frame;
}

QWidget* CheckPage::makeLower() {
    m_lowerPages = new QStackedWidget(this);
    m_channels = new ChannelGrid(m_look, m_lowerPages);
    connect(m_channels, &ChannelGrid::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
    auto* time = new QWidget(m_lowerPages);
    auto* column = new QVBoxLayout(time);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    m_torqueTime = new Board(m_look, u"torqueTimeBoard"_s, time);
    m_speedTime = new Board(m_look, u"speedTimeBoard"_s, time);
    column->addWidget(m_torqueTime, 3);
    column->addWidget(m_speedTime, 2);
    for (Board* board : {m_torqueTime, m_speedTime})
        connect(board, &Board::cursorMoved, this, [this](double time_s) {
            const PullResult* pull = result();
            const double rpm = pull ? speedAtTime(*pull->curve, time_s) : std::nan("");
            if (std::isfinite(rpm))
                m_selection.setCursor(rpm);
        });
    m_numbers = new CursorTable(m_look, this);
    m_numberView = new QTableView(m_lowerPages);
    m_numberView->setObjectName(u"numberTable"_s);
    m_numberView->setAccessibleName(tr("Numbers of all pulls shown at the cursor"));
    m_numberView->setModel(m_numbers);
    m_numberView->setShowGrid(false);
    m_numberView->setTabKeyNavigation(false);
    m_numberView->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_numberView->verticalHeader()->hide();
    m_numberView->verticalHeader()->setDefaultSectionSize(px(24));
    m_numberView->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_numberView->horizontalHeader()->setHighlightSections(false);
    m_numberView->setHorizontalScrollMode(QAbstractItemView::ScrollPerPixel);
    for (QWidget* page : {static_cast<QWidget*>(m_channels), time, static_cast<QWidget*>(m_numberView)})
        m_lowerPages->addWidget(page);
    return m_lowerPages;
}

void CheckPage::connectOverlay(Board* board) {
    connect(board, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
    connect(board, &Board::stepped, this, [this](int by) {
        const int row = std::clamp(m_pulls->rowOf(m_selection.pull()) + by, 0, std::max(0, m_pulls->rowCount() - 1));
        m_selection.setPull(m_pulls->pullAt(row));
    });
    if (board != m_upper)
        return;
    connect(board, &Board::edgesMoving, this, [this](double low, double high) {
        m_document.tryWindow(m_selection.pull(), {std::round(low / 10.0) * 10.0, std::round(high / 10.0) * 10.0});
    });
    connect(board, &Board::edgesDragged, this, [this](double low, double high) {
        m_document.setWindow(m_selection.pull(),
                             RpmRange{std::round(low / 10.0) * 10.0, std::round(high / 10.0) * 10.0});
    });
}

void CheckPage::connectFindings() {
    connect(m_findings, &FindingList::placeWanted, this, [this](double rpm) { m_selection.setCursor(rpm); });
    connect(m_findings, &FindingList::trimWanted, this,
            [this](const RpmRange& window) { m_document.setWindow(m_selection.pull(), window); });
    connect(m_findings, &FindingList::setAsideWanted, this,
            [this](const QString& reason) { m_document.setAside({m_selection.pull()}, reason); });
    connect(m_findings, &FindingList::answerWanted, this,
            [this](const DoubtAnswer& answer) { answer.edit(m_document); });
    connect(m_findings, &FindingList::unitWanted, this,
            [this](double factor, const QString& words) { m_document.correctUnit(m_selection.pull(), factor, words); });
}

CheckView CheckPage::view() const {
    return {m_selection.pull(), m_selection.quantity(), m_selection.units(), m_selection.beside(), m_raw};
}

const PullResult* CheckPage::result() const {
    const auto analysis = m_document.analysis();
    const PullResult* out = analysis ? findResult(*analysis, m_selection.pull()) : nullptr;
    return out && out->curve ? out : nullptr;
}

void CheckPage::settlePull() {
    const TestDay& day = m_document.day();
    if (!day.pulls.empty() && !findPull(day, m_selection.pull()))
        m_selection.setPull(day.pulls[dayClock(day).order.front()].id);
    if (!m_selection.beside().empty() && !findPull(day, m_selection.beside()))
        m_selection.setBeside({});
}

void CheckPage::refreshActions(const Pull* pull) {
    m_actions.get("check.use")->setText(pull && !pull->use ? tr("Take back") : tr("Set aside"));
    m_actions.get("check.channels")->setChecked(m_lower == Lower::Channels);
    m_actions.get("check.time")->setChecked(m_lower == Lower::Time);
    m_actions.get("check.numbers")->setChecked(m_lower == Lower::Numbers);
    m_actions.get("check.raw")->setChecked(m_raw);
    const bool held = !m_selection.beside().empty();
    m_actions.get("check.beside")->setChecked(held);
    m_actions.get("check.beside")->setText(held ? tr("Let go of %1").arg(qs(m_selection.beside())) : tr("Hold beside"));
}

void CheckPage::showEmpty() {
    for (Board* board : {m_upper, m_upperBeside, m_deviation, m_torqueTime, m_speedTime})
        board->setContent({});
    m_upper->setEdges(std::nullopt);
    m_upperBeside->hide();
    m_channels->show({});
    m_numbers->setNumbers({});
    m_findings->show({}, false);
    m_head->setText(m_document.isOpen()
                        ? tr("No pulls in this day yet. Drop logger files on the window, or press Ctrl+I.")
                        : tr("No day is open. Press Ctrl+O to open one."));
}

void CheckPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    refresh();
}

void CheckPage::refresh() {
    settlePull();
    const int row = m_pulls->rowOf(m_selection.pull());
    if (row >= 0 && m_table->currentIndex().row() != row)
        m_table->setCurrentIndex(m_pulls->index(row, 0));
    const auto analysis = m_document.analysis();
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    refreshActions(pull);
    if (!isVisible())
        return; // caught up with when somebody looks
    if (!analysis || !pull)
        return showEmpty();
    const TestDay& day = m_document.day();
    m_head->setText(pullHead(day, *analysis, m_selection.pull()));
    m_findings->show(findingsOf(day, *analysis, m_selection.pull()), pull->use);
    refreshBoards(*analysis);
    refreshLower(*analysis);
    refreshCursor();
}

void CheckPage::refreshBoards(const DayAnalysis& analysis) {
    const Theme& t = m_look.theme();
    const TestDay& day = m_document.day();
    CheckView selected = view();
    BoardContent upper = overlayContent(day, analysis, selected, t);
    const bool pair = !selected.beside.empty() && selected.beside != selected.pull;
    m_upperBeside->setVisible(pair);
    if (pair) { // each with its own set, on one scale
        CheckView alone = selected;
        alone.beside.clear();
        upper = overlayContent(day, analysis, alone, t);
        alone.pull = selected.beside;
        BoardContent other = overlayContent(day, analysis, alone, t);
        shareScale(upper, other);
        m_upperBeside->setContent(std::move(other));
    }
    m_upper->setContent(std::move(upper));
    m_deviation->setContent(pair ? pairContent(day, analysis, selected, t)
                                 : deviationContent(day, analysis, selected, t));
    const PullResult* pull = result();
    m_upper->setEdges(pull ? std::optional(pull->curve->sweep().window_rpm) : std::nullopt);
}

void CheckPage::refreshLower(const DayAnalysis& analysis) {
    const Theme& t = m_look.theme();
    const TestDay& day = m_document.day();
    m_lowerPages->setCurrentIndex(static_cast<int>(m_lower));
    if (m_lower == Lower::Channels)
        m_channels->show(channelTiles(day, analysis, view(), t));
    if (m_lower == Lower::Time) {
        m_torqueTime->setContent(torqueInTime(day, analysis, view(), t));
        m_speedTime->setContent(speedInTime(day, analysis, view(), t));
    }
}

double CheckPage::numbersAt_rpm() const {
    const PullResult* pull = result();
    return m_selection.cursor().value_or(pull ? pull->curve->peakPower_w.rpm : 0.0);
}

void CheckPage::refreshCursor() {
    const auto rpm = m_selection.cursor();
    const auto analysis = m_document.analysis();
    const PullResult* pull = result();
    const QString readout = rpm ? qs(rpmText(std::round(*rpm / 10.0) * 10.0)) + u"\u00A0rpm"_s : QString();
    for (Board* board : {m_upper, m_upperBeside, m_deviation})
        board->setCursor(rpm, board == m_deviation ? QString() : readout);
    if (!analysis || !pull)
        return;
    if (m_lower == Lower::Channels)
        m_channels->setCursor(
            rpm, [&](const ChannelTile& tile) { return tileReadout(*analysis, view(), tile, rpm.value_or(0.0)); });
    if (m_lower == Lower::Time) {
        const double time_s = rpm ? timeAtSpeed(*pull->curve, *rpm) : std::nan("");
        const auto at = std::isfinite(time_s) ? std::optional(time_s) : std::nullopt;
        m_torqueTime->setCursor(at, u"%1\u00A0s"_s.arg(numberText(time_s, 2)));
        m_speedTime->setCursor(at, {});
    }
    if (m_lower == Lower::Numbers)
        m_numbers->setNumbers(numbersAt(m_document.day(), *analysis, view(), numbersAt_rpm()));
}

void CheckPage::toggleUse() {
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    if (!pull)
        return;
    const std::string id = pull->id;
    if (!pull->use)
        return m_document.takeBack({id});
    if (const auto reason = m_dialogs.askReason(this, qs(id)))
        m_document.setAside({id}, *reason);
}

void CheckPage::showLower(Lower lower) {
    m_lower = lower;
    refresh();
}

void CheckPage::toggleRaw() {
    m_raw = !m_raw;
    refresh();
}

void CheckPage::toggleBeside() {
    m_selection.setBeside(m_selection.beside().empty() ? m_selection.pull() : std::string());
}

bool CheckPage::canCopy() const { return findPull(m_document.day(), m_selection.pull()) != nullptr; }

void CheckPage::copyPicture() const { QGuiApplication::clipboard()->setPixmap(m_right->grab()); }

void CheckPage::copyTable() const {
    if (const auto analysis = m_document.analysis())
        QGuiApplication::clipboard()->setText(asTable(numbersAt(m_document.day(), *analysis, view(), numbersAt_rpm())));
}

void CheckPage::toggleRefitted() {
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    if (!pull)
        return;
    const QString text = pull->refitted ? tr("Note that %1 was not fitted again") : tr("Note that %1 was fitted again");
    m_document.edit(text.arg(qs(pull->id)), [id = pull->id](TestDay& day) {
        for (Pull& one : day.pulls)
            if (one.id == id)
                one.refitted = !one.refitted;
    });
}

void CheckPage::resetTrim() { m_document.setWindow(m_selection.pull(), std::nullopt); }

} // namespace hillrun
