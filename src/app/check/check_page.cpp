// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_page.h"

#include "app/look/words.h"
#include "core/compare/judge.h"

#include <cmath>
#include <QHeaderView>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

CheckPage::CheckPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, Dialogs& dialogs,
                     QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look), m_dialogs(dialogs),
      m_actions(actions) {
    setObjectName(u"checkPage"_s);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(16, 12, 16, 12);
    m_split = new QSplitter(Qt::Horizontal, this);
    m_split->setObjectName(u"checkSplit"_s);
    m_split->addWidget(makeList());
    m_split->addWidget(makeBoards(actions));
    m_split->setStretchFactor(1, 1);
    m_split->setSizes({530, 610});
    m_split->setChildrenCollapsible(false);
    layout->addWidget(m_split);
    connect(&m_document, &DayDocument::analysisReady, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::pullChanged, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::viewChanged, this, &CheckPage::refresh);
    connect(&m_selection, &Selection::cursorChanged, this, &CheckPage::refreshCursor);
    connect(&m_look, &Look::changed, this, &CheckPage::refresh);
    refresh();
}

QWidget* CheckPage::makeList() {
    m_pulls = new PullModel(m_document, m_selection, this);
    m_table = new QTableView(this);
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
    m_table->verticalHeader()->setDefaultSectionSize(28);
    m_table->horizontalHeader()->setHighlightSections(false);
    m_table->horizontalHeader()->setStretchLastSection(true);
    const int widths[] = {86, 54, 76, 76, 76};
    for (int i = 0; i < 5; ++i)
        m_table->setColumnWidth(i, widths[i]);
    m_table->setMinimumWidth(420);
    connect(m_table->selectionModel(), &QItemSelectionModel::currentRowChanged, this,
            [this](const QModelIndex& current) {
                if (current.isValid())
                    m_selection.setPull(m_pulls->pullAt(current.row()));
            });
    return m_table;
}

QWidget* CheckPage::makeBoards(ActionRegistry& actions) {
    auto* right = new QWidget(this);
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(8, 0, 0, 0);
    column->setSpacing(8);
    auto* frame = new QFrame(right);
    frame->setProperty("panel", true);
    auto* boards = new QVBoxLayout(frame);
    boards->setContentsMargins(1, 4, 1, 1);
    boards->setSpacing(0);
    m_upper = new Board(m_look, u"overlayBoard"_s, frame);
    m_lower = new Board(m_look, u"deviationBoard"_s, frame);
    boards->addWidget(m_upper, 3);
    boards->addWidget(m_lower, 2);
    for (Board* board : {m_upper, m_lower}) {
        connect(board, &Board::cursorMoved, &m_selection, [this](double x) {
            if (!m_timeView)
                m_selection.setCursor(x);
        });
        connect(board, &Board::stepped, this, [this](int by) {
            const int row =
                std::clamp(m_pulls->rowOf(m_selection.pull()) + by, 0, std::max(0, m_pulls->rowCount() - 1));
            m_selection.setPull(m_pulls->pullAt(row));
        });
        connect(board, &Board::edgesDragged, this, [this](double low, double high) {
            m_document.setWindow(m_selection.pull(),
                                 RpmRange{std::round(low / 10.0) * 10.0, std::round(high / 10.0) * 10.0});
        });
    }
    column->addWidget(frame, 1);
    auto* slip = new QFrame(right);
    slip->setObjectName(u"slip"_s);
    slip->setProperty("panel", true);
    auto* row = new QHBoxLayout(slip);
    row->setContentsMargins(12, 8, 12, 8);
    m_slip = new QLabel(slip);
    m_slip->setObjectName(u"slipText"_s);
    m_slip->setWordWrap(true);
    m_slip->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    m_slip->setMinimumHeight(64);
    row->addWidget(m_slip, 1);
    for (const char* id : {"check.use", "check.time", "check.reset_trim"}) {
        auto* button = new QToolButton(slip);
        button->setDefaultAction(actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        row->addWidget(button, 0, Qt::AlignTop);
    }
    column->addWidget(slip);
    return right;
}

void CheckPage::settlePull() {
    const TestDay& day = m_document.day();
    if (!day.pulls.empty() && !findPull(day, m_selection.pull()))
        m_selection.setPull(day.pulls[dayClock(day).order.front()].id);
}

void CheckPage::refresh() {
    settlePull();
    const int row = m_pulls->rowOf(m_selection.pull());
    if (row >= 0 && m_table->currentIndex().row() != row)
        m_table->setCurrentIndex(m_pulls->index(row, 0));
    const auto analysis = m_document.analysis();
    const Pull* pull = findPull(m_document.day(), m_selection.pull());
    QAction* use = m_actions.get("check.use");
    use->setText(pull && !pull->use ? tr("Take back") : tr("Set aside"));
    m_actions.get("check.time")->setText(m_timeView ? tr("Speed view") : tr("Time view"));
    if (!analysis || !pull) {
        m_upper->setContent({});
        m_lower->setContent({});
        m_upper->setEdges(std::nullopt);
        m_slip->setText(m_document.isOpen()
                            ? tr("No pulls in this day yet. Drop logger files on the window, or press Ctrl+I.")
                            : tr("No day is open. Press Ctrl+O to open one."));
        return;
    }
    const Theme& t = m_look.theme();
    const TestDay& day = m_document.day();
    const PullResult* result = findResult(*analysis, m_selection.pull());
    if (m_timeView) {
        m_upper->setContent(torqueInTime(day, *analysis, view(), t));
        m_lower->setContent(speedInTime(day, *analysis, view(), t));
        m_upper->setEdges(std::nullopt);
    } else {
        m_upper->setContent(overlayContent(day, *analysis, view(), t));
        m_lower->setContent(deviationContent(day, *analysis, view(), t));
        m_upper->setEdges(result && result->curve ? std::optional(result->curve->sweep.window_rpm) : std::nullopt);
    }
    m_slip->setText(slipText(day, *analysis, m_selection.pull()));
    refreshCursor();
}

void CheckPage::refreshCursor() {
    const auto rpm = m_selection.cursor();
    if (m_timeView || !rpm) {
        m_upper->setCursor(std::nullopt, {});
        m_lower->setCursor(std::nullopt, {});
        return;
    }
    m_upper->setCursor(rpm, qs(rpmText(std::round(*rpm / 10.0) * 10.0)) + u"\u00A0rpm"_s);
    m_lower->setCursor(rpm, {});
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

void CheckPage::toggleTimeView() {
    m_timeView = !m_timeView;
    refresh();
}

void CheckPage::resetTrim() { m_document.setWindow(m_selection.pull(), std::nullopt); }

} // namespace hillrun
