// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/logbook_page.h"

#include "app/files/day_files.h"
#include "app/logbook/day_row.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/day_store.h"

#include <QLineEdit>
#include <QPushButton>
#include <QToolButton>

using namespace Qt::StringLiterals;
using namespace std::chrono_literals;

namespace hillrun {
namespace {

constexpr auto kPause = 60ms; ///< while somebody types, between two keys
constexpr DaySort kSorts[] = {DaySort::Newest, DaySort::Oldest, DaySort::Name, DaySort::Article, DaySort::Power};

/// All that is known of these days, so that forgetting can be taken back.
std::vector<ForgottenDay> knownOf(Logbook& logbook, const std::vector<FoundDay>& days) {
    std::vector<ForgottenDay> out;
    for (const FoundDay& day : days)
        if (auto record = logbook.record(day.id))
            out.push_back({{std::move(*record), day.summary, day.host, day.path,
                            day.isCurrent ? day.stamp : std::string()}, // `rebuild` still has more to say of it
                           logbook.package(day.id).value_or(QByteArray())});
    return out;
}

/// Whether the day lies where the logbook saw it: nothing at all, or another day, may lie there, above all when another
/// bench saw it. One that cannot be read says so when it is opened.
bool isWhereItWas(const FoundDay& day) {
    std::error_code error;
    if (!std::filesystem::exists(day.path, error))
        return false;
    try {
        return dayId(DayOnDisk(day.path).day()) == day.id;
    } catch (const DataError&) {
        return true;
    }
}

} // namespace

LogbookPage::LogbookPage(const Workplace& at, QWidget* parent)
    : PageView(parent), m_look(at.look), m_selection(at.selection), m_actions(at.actions), m_files(at.files),
      m_dialogs(at.dialogs), m_link(at.logbook), m_document(at.document), m_otherDays(at.otherDays), m_host(at.host),
      m_found(at.logbook) {
    setObjectName(u"logbookPage"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(8), px(16), px(12));
    column->setSpacing(px(6));
    m_head = new AnswerHead(u"logbookAnswer"_s, u"logbookCaution"_s, this);
    column->addWidget(m_head);
    auto* tools = new QHBoxLayout;
    for (const char* id : {"logbook.days", "logbook.cell"}) {
        m_actions.get(id)->setCheckable(true);
        auto* button = new QToolButton(this);
        button->setDefaultAction(m_actions.get(id));
        button->setObjectName(QLatin1StringView(id) + u"_button"_s);
        button->setProperty("flat", true);
        button->setProperty("switch", true);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        tools->addWidget(button);
    }
    tools->addStretch(1);
    m_undo = new QPushButton(tr("Take back forgetting"), this);
    m_undo->setObjectName(u"logbookUndo"_s);
    m_undo->hide();
    m_undo->setToolTip(m_actions.get("logbook.take_back")->toolTip());
    connect(m_undo, &QPushButton::clicked, this, &LogbookPage::takeBack);
    tools->addWidget(m_undo);
    column->addLayout(tools);
    m_parts = new QStackedWidget(this);
    m_parts->addWidget(makeDays());
    m_cell = new CellPanel(m_link, m_look, m_parts);
    m_parts->addWidget(m_cell);
    column->addWidget(m_parts, 1);
    connect(m_cell, &CellPanel::answered, this, [this](const QString& words, bool moved) {
        if (m_parts->currentIndex() != 1)
            return;
        m_head->answer->setText(words);
        m_head->caution->clear();
        m_head->setMark(moved ? m_look.theme().warning : m_look.theme().unresolved);
    });
    connect(&m_link, &LogbookLink::changed, this, [this] {
        if (isVisible())
            showPart(m_parts->currentIndex());
    });
    connect(&m_link, &LogbookLink::failed, this, [this](const QString& words) { m_head->caution->setText(words); });
    connect(&m_selection, &Selection::viewChanged, m_list->viewport(), qOverload<>(&QWidget::update));
    connect(&m_look, &Look::changed, m_list->viewport(), qOverload<>(&QWidget::update));
    showPart(0);
}

QWidget* LogbookPage::makeDays() {
    auto* days = new QWidget(m_parts);
    auto* column = new QVBoxLayout(days);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    auto* line = new QHBoxLayout;
    line->setSpacing(px(8));
    m_typed = new QLineEdit(days);
    m_typed->setObjectName(u"logbookSearch"_s);
    m_typed->setAccessibleName(tr("Search all days"));
    m_typed->setToolTip(tr("Beginnings of words: article, part, setting, operator, date; or over 70 kW"));
    m_typed->setPlaceholderText(tr("Search: a part, an article, a name, 2026-05, over 70 kW"));
    m_typed->setClearButtonEnabled(true);
    if (auto* clear = m_typed->findChild<QToolButton*>()) {
        clear->setObjectName(u"logbookClear"_s);
        clear->setAccessibleName(tr("Clear the search"));
        clear->setToolTip(tr("Clear the search"));
    }
    line->addWidget(m_typed, 1);
    m_sort = new QComboBox(days);
    m_sort->setObjectName(u"logbookSort"_s);
    m_sort->setAccessibleName(tr("Order of the days"));
    m_sort->setToolTip(tr("Order of the days"));
    m_sort->addItems({tr("newest first"), tr("oldest first"), tr("by name"), tr("by article"), tr("most power first")});
    line->addWidget(m_sort);
    column->addLayout(line);
    m_list = new QListView(days);
    m_list->setObjectName(u"logbookList"_s);
    m_list->setAccessibleName(tr("Days"));
    m_list->setModel(&m_found);
    m_list->setItemDelegate(new DayRow(m_look, m_selection, m_list));
    m_list->setSelectionMode(QAbstractItemView::ExtendedSelection);
    m_list->setUniformItemSizes(true);
    m_list->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    column->addWidget(m_list, 1);
    m_beside = new BesidePanel(m_link, m_actions.get("logbook.beside_today"), days);
    column->addWidget(m_beside);
    m_typing.setSingleShot(true);
    m_typing.setInterval(kPause);
    connect(&m_typing, &QTimer::timeout, this, &LogbookPage::search);
    connect(m_typed, &QLineEdit::textChanged, &m_typing, qOverload<>(&QTimer::start));
    connect(m_sort, &QComboBox::currentIndexChanged, this, &LogbookPage::search);
    connect(m_list, &QListView::activated, this, &LogbookPage::openDay);
    connect(&m_found, &FoundDays::found, this, [this] {
        m_beside->setDays({});
        if (m_found.rowCount() > 0)
            m_list->setCurrentIndex(m_found.index(0));
        describe();
    });
    connect(m_list->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            [this] { m_beside->setDays(chosen()); });
    connect(&m_found, &FoundDays::dataChanged, this, [this](const QModelIndex& first, const QModelIndex& last) {
        const QModelIndexList rows = m_list->selectionModel()->selectedIndexes();
        if (std::any_of(rows.begin(), rows.end(),
                        [&](const QModelIndex& row) { return row.row() >= first.row() && row.row() <= last.row(); }))
            m_beside->setDays(chosen());
    });
    connect(m_beside, &BesidePanel::answered, this, &LogbookPage::takeAnswer);
    return days;
}

void LogbookPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    showPart(m_parts->currentIndex());
}

void LogbookPage::showPart(int part) {
    m_parts->setCurrentIndex(part);
    m_actions.get("logbook.days")->setChecked(part == 0);
    m_actions.get("logbook.cell")->setChecked(part == 1);
    if (!isVisible())
        return;
    if (part == 0)
        search();
    else
        m_cell->refresh();
}

void LogbookPage::focusSearch() {
    showPart(0);
    m_typed->setFocus();
    m_typed->selectAll();
}

void LogbookPage::search() {
    DayQuery query = queryFrom(m_typed->text());
    query.sort = kSorts[std::max(0, m_sort->currentIndex())];
    m_found.search(query);
}

void LogbookPage::describe() {
    if (m_besideShown || m_parts->currentIndex() != 0)
        return;
    m_head->setMark(m_look.theme().unresolved);
    m_head->caution->setText(m_found.total() > 0 ? tr("Enter opens the day, Delete forgets it: its folder stays")
                                                 : QString());
    if (m_found.total() > 0)
        m_head->answer->setText(m_typed->text().isEmpty() ? tr("All days: %1").arg(m_found.total())
                                                          : tr("Found: %1").arg(m_found.total()));
    else if (!m_typed->text().trimmed().isEmpty())
        m_head->answer->setText(tr("No day fits. Fewer or shorter words find more."));
    else
        m_head->answer->setText(tr("The logbook is empty. Days enter it when they are saved."));
}

void LogbookPage::takeAnswer(const QString& words, const QString& notes, bool proven) {
    m_besideShown = !words.isEmpty();
    if (!m_besideShown)
        return describe();
    if (m_parts->currentIndex() != 0)
        return;
    m_head->answer->setText(words);
    m_head->caution->setText(notes);
    m_head->setMark(proven ? m_look.theme().mark : m_look.theme().unresolved);
}

/// Those of the list's chosen rows; none while some are not read.
std::vector<FoundDay> LogbookPage::chosen() const {
    std::vector<FoundDay> out;
    QModelIndexList rows = m_list->selectionModel()->selectedIndexes();
    std::sort(rows.begin(), rows.end());
    for (const QModelIndex& row : rows) {
        const FoundDay* day = m_found.at(row);
        if (!day)
            return {};
        out.push_back(*day);
    }
    return out;
}

void LogbookPage::openDay() {
    const FoundDay* day = m_found.at(m_list->currentIndex());
    if (!day)
        return;
    if (isWhereItWas(*day)) {
        m_files.open(day->path);
        return;
    }
    m_link.ask(
        this, [id = day->id](Logbook& logbook) { return logbook.package(id); },
        [this, day = *day](const std::optional<QByteArray>& package) {
            if (package)
                return m_files.openCopy(day.id, day.host, package->toStdString());
            m_dialogs.showError(m_actions.window(), tr("The day is not where it was"),
                                tr("%1 on %2 is not there. If it was moved, open it from its new place and save it.")
                                    .arg(qs(shownText(day.path)), qs(shownText(day.host))));
        });
}

void LogbookPage::putBesideToday() {
    const auto build = m_beside->chosen();
    if (!build || !m_document.isOpen())
        return;
    if (build->day == dayId(m_document.day())) {
        m_dialogs.showError(m_actions.window(), tr("That is the open day"),
                            tr("Its own builds stand beside each other already. Choose another day."));
        return;
    }
    m_host.showPage("compare");
    m_otherDays.addEarlier(*build);
}

void LogbookPage::lookForEarlier() {
    focusSearch();
    m_typed->setText(qs(m_document.day().article.name));
    m_head->caution->setText(tr("Choose a day and its build, then put it beside today's"));
}

void LogbookPage::forgetDays() {
    const std::vector<FoundDay> days = chosen();
    if (days.empty() && m_list->selectionModel()->hasSelection()) {
        m_dialogs.showError(m_actions.window(), tr("Too many days chosen"),
                            tr("Only days that have been seen in the list can be forgotten. Choose fewer."));
        return;
    }
    if (days.empty())
        return;
    m_link.ask(
        this,
        [days](Logbook& logbook) {
            std::vector<ForgottenDay> known = knownOf(logbook, days);
            for (const FoundDay& day : days)
                logbook.forget(day.id);
            return known;
        },
        [this](std::vector<ForgottenDay> known) {
            m_forgotten = std::move(known);
            m_undo->setVisible(!m_forgotten.empty());
            search();
        });
}

void LogbookPage::takeBack() {
    if (!m_forgotten.empty()) // else searching anew would only lose what is chosen
        restore(std::exchange(m_forgotten, {}));
}

void LogbookPage::focusList() { m_list->setFocus(Qt::ShortcutFocusReason); }

void LogbookPage::restore(const std::vector<ForgottenDay>& days) {
    m_undo->hide();
    m_link.ask(
        this,
        [days](Logbook& logbook) {
            for (const ForgottenDay& day : days)
                logbook.put(day.entry, std::nullopt, [&](const LogbookEntry&) { return day.package; });
            return true;
        },
        [this](bool) { search(); });
}

PageSpec logbookSpec() {
    const auto declare = [](const Workplace& at) {
        const auto page = [at]() -> LogbookPage& { return pageOf<LogbookPage>(at.host, "logbook"); };
        const auto add = [&](ActionSpec spec, auto run) {
            if (spec.scope.page.empty())
                spec.scope.page = "logbook";
            at.actions.add(spec, &at.actions, [page, run] { (page().*run)(); });
        };
        add({.id = "logbook.days",
             .text = LogbookPage::tr("Days"),
             .keys = {u"1"_s},
             .tip = LogbookPage::tr("All days, and two beside each other")},
            &LogbookPage::showDays);
        add({.id = "logbook.cell",
             .text = LogbookPage::tr("Cell"),
             .keys = {u"2"_s},
             .tip = LogbookPage::tr("What the cell has learned from its days")},
            &LogbookPage::showCell);
        add({.id = "logbook.search",
             .text = LogbookPage::tr("Search the days"),
             .keys = {u"/"_s},
             .tip = LogbookPage::tr("Type what stands in a day")},
            &LogbookPage::focusSearch);
        add({.id = "logbook.beside_today",
             .text = LogbookPage::tr("Beside today's"),
             .keys = {u"B"_s},
             .tip = LogbookPage::tr("Puts the chosen build beside those of the open day"),
             .scope = {"logbook"},
             .edits = true,
             .rule = [](const WindowState& s) { return s.dayOpen; }},
            &LogbookPage::putBesideToday);
        at.actions.add({.id = "day.earlier",
                        .text = LogbookPage::tr("Build of another day \u2026"),
                        .tip = LogbookPage::tr("Looks in the logbook for a build to put beside today's"),
                        .rule = [](const WindowState& s) { return s.dayOpen; }},
                       &at.actions, [at, page] {
                           at.host.showPage("logbook");
                           page().lookForEarlier();
                       });
        add({.id = "logbook.forget",
             .text = LogbookPage::tr("Forget the day"),
             .keys = {u"Delete"_s},
             .tip = LogbookPage::tr("Takes the chosen days out of the logbook; their folders stay"),
             .scope = {"logbook", "logbookList"}},
            &LogbookPage::forgetDays);
        add({.id = "logbook.take_back",
             .text = LogbookPage::tr("Take back forgetting"),
             .keys = {u"U"_s},
             .tip = LogbookPage::tr("Takes the days that were forgotten last into the logbook again")},
            &LogbookPage::takeBack);
        add({.id = "logbook.to_list",
             .text = LogbookPage::tr("To the days that were found"),
             .keys = {u"Down"_s, u"Return"_s, u"Enter"_s},
             .tip = LogbookPage::tr("From the search into the list"),
             .scope = {"logbook", "logbookSearch"}},
            &LogbookPage::focusList);
    };
    const auto make = [](const Workplace& at, QWidget* parent) -> PageView* { return new LogbookPage(at, parent); };
    return {.id = "logbook",
            .title = LogbookPage::tr("Logbook"),
            .tip = LogbookPage::tr("All days, and what the cell has learned"),
            .keys = {u"Ctrl+8"_s, u"Alt+L"_s},
            .besideTheDay = true,
            .make = make,
            .declare = declare};
}

} // namespace hillrun
