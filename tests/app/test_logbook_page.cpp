// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/notice_bar.h"
#include "app/frame/settings.h"
#include "app/logbook/found_days.h"
#include "app/logbook/logbook_page.h"
#include "app_support.h"
#include "core/units/log_percent.h"
#include "own_logbook.h"

#include <QPushButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using hillrun::test::OpenWindow;
using hillrun::test::OwnLogbook;
namespace fs = std::filesystem;

namespace {

fs::path demo(const char* name) { return fs::path(std::getenv("HILLRUN_DATA")) / "demo" / name; }

QString headOf(OpenWindow& w) { return w.find<QLabel>("logbookAnswer")->text(); }

bool listed(OpenWindow& w, int rows) {
    return QTest::qWaitFor([&] { return w.find<QListView>("logbookList")->model()->rowCount() == rows; }, 10000);
}

void choose(OpenWindow& w, const std::vector<int>& rows) {
    auto* list = w.find<QListView>("logbookList");
    list->clearSelection();
    for (const int row : rows)
        list->selectionModel()->select(list->model()->index(row, 0), QItemSelectionModel::Select);
}

} // namespace

TEST_CASE("an empty logbook says what fills it, and a day enters when it is saved") {
    const OwnLogbook book;
    {
        OpenWindow w(test::latticeDay());
        w.window->showPage("logbook");
        REQUIRE(w.settled());
        CHECK(QTest::qWaitFor([&] { return headOf(w).contains(u"empty"_s); }, 10000));
        w.window->document().setAside({"p02"}, u"cold"_s);
        REQUIRE(w.settled());
        w.trigger("day.save");
    } // what is asked for is done before the window is gone
    CHECK(book.count() == 1);
}

TEST_CASE("days are found as one types, and by what they gave") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"));
    book.add(demo("day-2-boost-buggy"));
    book.add(demo("day-3-hill-tractor"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 3));
    CHECK(headOf(w) == u"All days: 3"_s);
    auto* typed = w.find<QLineEdit>("logbookSearch");
    w.trigger("logbook.search");
    CHECK(typed->hasFocus());
    QTest::keyClicks(typed, u"collector"_s);
    REQUIRE(listed(w, 1));
    CHECK(headOf(w) == u"Found: 1"_s);
    auto* list = w.find<QListView>("logbookList");
    CHECK(list->model()->index(0, 0).data(Qt::AccessibleTextRole).toString().contains(u"Flat-twin"_s));
    typed->setText(u"over 80 kW"_s);
    REQUIRE(QTest::qWaitFor(
        [&] { return headOf(w) == u"Found: 1"_s && list->model()->index(0, 0).data().toString().contains(u"Boost"_s); },
        10000));
    typed->setText(u"zzz"_s);
    REQUIRE(listed(w, 0));
    CHECK(headOf(w).contains(u"No day fits"_s));
    typed->clear();
    REQUIRE(listed(w, 3));
    w.find<QComboBox>("logbookSort")->setCurrentIndex(4);
    REQUIRE(QTest::qWaitFor(
        [&] {
            return list->model()->rowCount() == 3 && list->model()->index(0, 0).data().toString().contains(u"Boost"_s);
        },
        10000));
}

TEST_CASE("a day's sentence is in the reader's language") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 1));
    const auto words = [&] {
        return w.find<QListView>("logbookList")->model()->index(0, 0).data(Qt::AccessibleTextRole).toString();
    };
    CHECK(words().contains(u"gives"_s));
    const Voice before = currentVoice();
    setCurrentVoice(Voice::of(Language::German));
    CHECK(words().contains(u"bringt"_s));
    setCurrentVoice(before);
}

TEST_CASE("a long list is read where it is looked at, and only some of it is held") {
    const OwnLogbook book;
    {
        Logbook logbook(logbookAddress(book.file().string()));
        LogbookEntry one = entryOf(demo("day-1-flat-twin"));
        for (int i = 0; i < 95; ++i) {
            one.record.id = "d" + std::to_string(100 + i);
            one.record.date = "2026-01-01";
            one.record.name = one.record.id;
            one.path = "/days/" + one.record.id;
            logbook.put(one);
        }
    }
    LogbookLink link;
    FoundDays days(link, {.days = 10, .held = 3});
    const auto read = [&](int row) { return test::waitFor([&] { return days.at(days.index(row)) != nullptr; }); };
    DayQuery query;
    query.sort = DaySort::Oldest;
    days.search(query);
    REQUIRE(test::waitFor([&] { return days.rowCount() == 95; }));
    CHECK(days.at(days.index(9))->name == "d109");
    // What cannot be read now is asked for again by whoever looks next.
    const auto rename = [&](const char* statement) {
        Database(logbookAddress(book.file().string())).run(QLatin1StringView(statement));
    };
    rename("ALTER TABLE days RENAME TO gone");
    QSignalSpy failed(&link, &LogbookLink::failed);
    CHECK(days.at(days.index(50)) == nullptr);
    REQUIRE(test::waitFor([&] { return !failed.isEmpty(); }));
    rename("ALTER TABLE gone RENAME TO days");
    REQUIRE(read(50));
    QSignalSpy changed(&days, &QAbstractItemModel::dataChanged);
    CHECK(days.index(94).data(Qt::AccessibleTextRole) == u"being read"_s);
    REQUIRE(read(94));
    CHECK(days.at(days.index(94))->name == "d194");
    CHECK(days.at(days.index(90))->name == "d190");
    REQUIRE(changed.size() == 1);
    CHECK(changed[0][0].toModelIndex().row() == 90);
    CHECK(changed[0][1].toModelIndex().row() == 94);
    for (int row = 0; row < 95; row += 5) {
        REQUIRE(read(row));
        CHECK(days.at(days.index(row))->name == "d" + std::to_string(100 + row));
        CHECK(days.pagesHeld() <= 3);
    }
    CHECK(days.at(days.index(90)) != nullptr); // looked at last
    CHECK(days.at(days.index(0)) == nullptr);  // gave way
    // Dragged along: what is looked at last comes, not all between.
    REQUIRE(read(0));
    changed.clear();
    for (int row = 20; row < 95; row += 10)
        (void)days.at(days.index(row));
    REQUIRE(read(90));
    CHECK(changed.size() <= 2);
    query.words = {u"d12"_s};
    days.search(query);
    (void)days.at(days.index(40)); // still looking at the old list while the new search is on its way
    REQUIRE(test::waitFor([&] { return days.rowCount() == 10; }));
    CHECK(days.at(days.index(3))->name == "d123");
}

TEST_CASE("two days are put beside each other, and the sentence says what may be believed") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"), "2025-03-01");
    book.add(demo("day-1-flat-twin"), "2025-06-01");
    book.add(demo("day-2-boost-buggy"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 3));                                   // newest first: the buggy's day, June, March
    CHECK_FALSE(w.find<QComboBox>("besideTo")->isVisible()); // one day: its build may go beside today's
    choose(w, {1, 2});
    CHECK(w.find<QComboBox>("besideFrom")->isVisible());
    REQUIRE(QTest::qWaitFor([&] { return headOf(w).contains(u"B of 2025-06-01"_s); }, 10000));
    CHECK(headOf(w).contains(u"A of 2025-03-01"_s));
    CHECK(w.find<QLabel>("logbookCaution")->text().contains(u"same day"_s)); // A and B ran on both
    auto* from = w.find<QComboBox>("besideFrom");
    auto* to = w.find<QComboBox>("besideTo");
    CHECK(from->count() == 4);
    to->setCurrentIndex(2); // A of June: the same build
    Q_EMIT to->activated(2);
    REQUIRE(QTest::qWaitFor([&] { return headOf(w).contains(u"same build"_s); }, 10000));
    choose(w, {0, 1}); // another dyno
    REQUIRE(QTest::qWaitFor([&] { return headOf(w).contains(u"another dyno"_s); }, 10000));
    choose(w, {0});
    CHECK(headOf(w) == u"All days: 3"_s);
}

TEST_CASE("forgetting is taken back, and no folder is touched") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"));
    book.add(demo("day-2-boost-buggy"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 2));
    auto* list = w.find<QListView>("logbookList");
    list->setFocus();
    choose(w, {1});
    w.trigger("logbook.forget");
    REQUIRE(listed(w, 1));
    CHECK(book.count() == 1);
    CHECK(fs::exists(demo("day-1-flat-twin") / "day.json"));
    auto* undo = w.find<QPushButton>("logbookUndo");
    REQUIRE(undo->isVisible());
    undo->click();
    REQUIRE(listed(w, 2));
    CHECK(book.count() == 2);
    CHECK_FALSE(undo->isVisible());
    REQUIRE(w.settled());
    choose(w, {1});
    w.trigger("logbook.take_back"); // nothing is forgotten: what is chosen stays
    QTest::qWait(300);
    CHECK(list->selectionModel()->selectedIndexes() == QModelIndexList{list->model()->index(1, 0)});
}

TEST_CASE("a day is found, opened, forgotten and taken back by keys alone") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"), "2025-03-01");
    book.add(demo("day-2-boost-buggy"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 2));
    auto* list = w.find<QListView>("logbookList");
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Slash);
    auto* typed = w.find<QLineEdit>("logbookSearch");
    REQUIRE(typed->hasFocus());
    QTest::keyClicks(typed, u"buggy"_s);
    REQUIRE(listed(w, 1));
    QTest::keyClick(typed, Qt::Key_Return);
    CHECK(list->hasFocus());
    QTest::keyClick(list, Qt::Key_Delete);
    REQUIRE(listed(w, 0));
    QTest::keyClick(list, Qt::Key_U);
    REQUIRE(listed(w, 1));
    typed->setFocus();
    QTest::keyClick(typed, Qt::Key_Down);
    REQUIRE(list->hasFocus());
    QTest::keyClick(list, Qt::Key_Return);
    CHECK(QTest::qWaitFor([&] { return w.window->document().day().name.find("Boost") != std::string::npos; }, 10000));
}

TEST_CASE("a day is opened from the list; one that is gone says where it was") {
    const OwnLogbook book;
    book.add(demo("day-1-flat-twin"), "2025-03-01"); // its place has the date behind: not there
    book.add(demo("day-2-boost-buggy"));
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 2));
    auto* list = w.find<QListView>("logbookList");
    list->setCurrentIndex(list->model()->index(1, 0));
    Q_EMIT list->activated(list->currentIndex());
    REQUIRE(QTest::qWaitFor([&] { return w.dialogs.errors.size() == 1; }, 10000));
    CHECK(w.dialogs.errors.front().contains(u"is not there"_s));
    list->setCurrentIndex(list->model()->index(0, 0));
    Q_EMIT list->activated(list->currentIndex());
    CHECK(QTest::qWaitFor([&] { return w.window->document().day().name.find("Boost") != std::string::npos; }, 10000));
}

TEST_CASE("a day of another bench is not taken for the one that lies at its place here") {
    const OwnLogbook book;
    LogbookEntry entry = entryOf(demo("day-1-flat-twin"));
    entry.host = "bench-2";
    entry.path = demo("day-2-boost-buggy").string(); // benches name their folders alike
    Logbook(logbookAddress(book.file().string())).put(entry);
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 1));
    auto* list = w.find<QListView>("logbookList");
    Q_EMIT list->activated(list->model()->index(0, 0));
    REQUIRE(QTest::qWaitFor([&] { return w.dialogs.errors.size() == 1; }, 10000));
    CHECK(w.dialogs.errors.front().contains(u"bench-2"_s));
}

TEST_CASE("a day without a name or a date says so in the list") {
    const OwnLogbook book;
    LogbookEntry entry = entryOf(demo("day-1-flat-twin"));
    entry.record.name.clear();
    entry.record.date.clear();
    Logbook(logbookAddress(book.file().string())).put(entry);
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    REQUIRE(listed(w, 1));
    const auto* list = w.find<QListView>("logbookList");
    const QModelIndex row = list->model()->index(0, 0);
    REQUIRE(test::waitFor([&] { return row.data().toString() == u"Untitled day"_s; }));
    CHECK(row.data(Qt::AccessibleTextRole).toString().startsWith(u"undated, Untitled day"_s));
    choose(w, {0});
    CHECK(w.find<QComboBox>("besideFrom")->itemText(0).startsWith(u"Untitled day  A"_s));
}

namespace {

/// A server that keeps a day of another bench, and a folder for days here.
class OtherBench {
public:
    OtherBench() {
        qputenv("HILLRUN_LOGBOOK", QByteArray::fromStdString(m_server.address()));
        LogbookEntry entry = entryOf(demo("day-1-flat-twin"));
        const QByteArray package = packageOf(entry);
        entry.host = "bench-2";
        entry.path = "/days/flat-twin";
        Logbook(logbookAddress(m_server.address())).put(entry, {}, [&](const LogbookEntry&) { return package; });
        day = entry.record.id;
    }
    ~OtherBench() { qunsetenv("HILLRUN_LOGBOOK"); }
    OtherBench(const OtherBench&) = delete;
    OtherBench& operator=(const OtherBench&) = delete;

    std::string day;
    void useFolder() const { SettingsStore().set(settings::kDaysFolder, QString::fromStdString(days().string())); }
    [[nodiscard]] fs::path copy(const char* ending = ".zip") const { return days() / (day + ending); }
    [[nodiscard]] long copies() const {
        return std::count_if(fs::directory_iterator(days()), {},
                             [](const fs::path& one) { return one.extension() == ".zip"; });
    }

private:
    [[nodiscard]] fs::path days() const { return m_own.path() / "days"; }
    test::OwnServer m_server;
    test::TemporaryFolder m_own;
};

void openTheOneListed(OpenWindow& w) {
    w.window->document().close();
    w.window->showPage("logbook");
    REQUIRE(listed(w, 1));
    auto* list = w.find<QListView>("logbookList");
    list->setCurrentIndex(list->model()->index(0, 0));
    Q_EMIT list->activated(list->currentIndex());
}

bool opened(OpenWindow& w, const fs::path& path) {
    return QTest::qWaitFor([&] { return w.window->document().path() == path; }, 20000);
}

bool noticeSays(OpenWindow& w, const QString& words) {
    const auto* notice = w.window->findChild<NoticeBar*>();
    return test::waitFor([&] { return notice->isVisible() && notice->findChild<QLabel*>()->text().contains(words); });
}

void answerNotice(OpenWindow& w, const QString& text) {
    for (auto* button : w.window->findChild<NoticeBar*>()->findChildren<QPushButton*>())
        if (button->isVisible() && button->text() == text)
            return button->click();
    FAIL("no such answer");
}

} // namespace

TEST_CASE("a day of another bench is opened from what the server keeps of it, as a copy among one's own") {
    const OtherBench other;
    OpenWindow w(test::latticeDay());
    other.useFolder();
    for (int time = 0; time < 2; ++time) { // the second time the copy is there
        openTheOneListed(w);
        CHECK(opened(w, other.copy()));
        CHECK(dayId(w.window->document().day()) == other.day);
        CHECK(noticeSays(w, u"A copy of a day of bench-2"_s)); // before anything is edited
    }
    CHECK(other.copies() == 1);
    REQUIRE(w.settled());
}

TEST_CASE("of a copy that was edited and the logbook's it is asked which is meant") {
    const OtherBench other;
    OpenWindow w(test::latticeDay());
    other.useFolder();
    openTheOneListed(w);
    REQUIRE(opened(w, other.copy()));
    w.window->document().edit(u"Note"_s, [](TestDay& day) { day.note = "looked at here"; });
    REQUIRE(w.window->document().save().empty());

    openTheOneListed(w);
    REQUIRE(noticeSays(w, u"is here already"_s));
    CHECK(other.copies() == 1);
    answerNotice(w, u"Open the copy here"_s);
    REQUIRE(opened(w, other.copy()));
    CHECK(w.window->document().day().note == "looked at here");

    openTheOneListed(w);
    REQUIRE(noticeSays(w, u"is here already"_s));
    answerNotice(w, u"Open the logbook's beside it"_s);
    CHECK(opened(w, other.copy("-2.zip")));
    CHECK(w.window->document().day().note != "looked at here");
    openTheOneListed(w); // now the logbook's is here
    CHECK(opened(w, other.copy("-2.zip")));
    CHECK(other.copies() == 2);
    REQUIRE(w.settled());
}

TEST_CASE("the Cell tab says what the cell has learned") {
    const OwnLogbook book;
    for (int month = 1; month <= 5; ++month)
        book.add(demo("day-1-flat-twin"), "2025-0" + std::to_string(month) + "-01");
    OpenWindow w(test::latticeDay());
    w.window->showPage("logbook");
    w.trigger("logbook.cell");
    auto* lines = w.find<QLabel>("cellLines");
    REQUIRE(QTest::qWaitFor([&] { return lines->text().contains(u"repeats within"_s); }, 10000));
    CHECK(lines->text().count(u'\n') == 2);
    CHECK(w.find<QComboBox>("cellChoice")->currentText() == u"Cell 1"_s);
    const Board* levels = w.find<Board>("cellLevels");
    REQUIRE(levels->content().series.size() == 2);
    CHECK(levels->content().series[1].x.size() == 10); // A twice on each of five days
    CHECK(headOf(w).contains(u"steady"_s));
    w.trigger("logbook.days");
    REQUIRE(listed(w, 5));
    CHECK(QTest::qWaitFor([&] { return headOf(w) == u"All days: 5"_s; }, 10000));
}

TEST_CASE("a moved cell is marked on its boards") {
    CellShown cell;
    cell.days = 12;
    std::vector<double> levels;
    for (int i = 0; i < 12; ++i) {
        levels.push_back(i < 8 ? 0.002 * (i % 3 - 1) : -0.03);
        cell.runs.push_back({"d" + std::to_string(i), "2025-01-" + std::to_string(10 + i), levels.back()});
    }
    cell.chart = controlChart(levels);
    REQUIRE(cell.chart.shift);
    CHECK(cellSentence(cell).contains(u"has moved"_s));
    const BoardContent board = levelBoard(cell, Theme::paper());
    REQUIRE(board.shades.size() == 1);
    CHECK(board.shades[0].from == Approx(static_cast<double>(cell.chart.shift->since) + 0.5));
    CHECK(sumBoard(cell, Theme::paper()).yRange->high > 6.0);
    CHECK(board.marks.empty());
    cell.checks = {{"2025-01-12", true, 0.8}, {"2025-01-12", false, -0.2}};
    const BoardContent checked = levelBoard(cell, Theme::paper());
    REQUIRE(checked.marks.size() == 2);
    CHECK(checked.marks[0].x == 2.5); // after the runs of the 10th and 11th
    CHECK(checked.marks[0].word.contains(u"load cell"_s));
    CHECK(cellLines(cell).contains(u"2025-01-12"_s));
    CHECK(cellSentence({}).contains(u"No day"_s));
    CHECK(levelBoard({}, Theme::paper()).series.empty());
    cell.chart = {};
    cell.runs.resize(2);
    CHECK(cellSentence(cell).contains(u"enough days"_s));
}

TEST_CASE("a logbook that cannot be opened is said, and the rest works on") {
    qputenv("HILLRUN_LOGBOOK", "/proc/nowhere/book.sqlite");
    {
        OpenWindow w(test::latticeDay());
        w.window->showPage("logbook");
        REQUIRE(w.settled());
        CHECK(QTest::qWaitFor([&] { return w.find<QLabel>("logbookCaution")->text().contains(u"cannot be opened"_s); },
                              10000));
        w.window->document().setAside({"p02"}, u"cold"_s);
        REQUIRE(w.settled());
        w.trigger("day.save");
        CHECK(w.dialogs.errors.isEmpty());
    }
    qunsetenv("HILLRUN_LOGBOOK");
}
