// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/compare_page.h"
#include "app/credit/credit_page.h"
#include "app/credit/part_table.h"
#include "app/logbook/logbook_page.h"
#include "app/look/words.h"
#include "app/report/report_page.h"
#include "app_support.h"
#include "own_logbook.h"

#include <QComboBox>
#include <QListView>
#include <QPushButton>
#include <QToolButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using hillrun::test::OpenWindow;
using hillrun::test::OwnLogbook;

namespace {

/// Puts the day of that row beside the open one, its build chosen by number.
void putBeside(OpenWindow& w, int row, int build) {
    w.window->showPage("logbook");
    auto* list = w.find<QListView>("logbookList");
    REQUIRE(test::waitFor([&] { return list->model()->rowCount() > row; }));
    list->clearSelection();
    list->selectionModel()->select(list->model()->index(row, 0), QItemSelectionModel::Select);
    REQUIRE(w.find<QComboBox>("besideFrom")->isVisible());
    w.find<QComboBox>("besideFrom")->setCurrentIndex(build);
    w.trigger("logbook.beside_today");
}

bool says(OpenWindow& w, const char* label, const QString& words) {
    return test::waitFor([&] { return w.find<QLabel>(label)->text().contains(words); });
}

} // namespace

TEST_CASE("a build of another day is put beside today's, read, and taken away again") {
    const OwnLogbook book;
    book.add(test::demoDay(), "2024-06-01");
    OpenWindow w;
    const std::string from = w.window->document().day().builds.front().id;
    w.window->showPage("compare");
    w.trigger("compare.earlier");
    CHECK(says(w, "answer", u"No build of another day"_s));
    CHECK_FALSE(w.find<Board>("earlierCurves")->isVisible()); // nothing is drawn of nothing
    CHECK_FALSE(w.find<QToolButton>("compare.remove_earlier_button")->isVisible());
    CHECK(w.find<QToolButton>("day.earlier_button")->isVisible());
    putBeside(w, 0, 0);
    auto& page = *w.find<ComparePage>("comparePage");
    CHECK(page.isVisible());
    CHECK(page.earlierShown());
    REQUIRE(w.window->document().day().plan.earlier.size() == 1);
    CHECK(w.window->document().day().plan.earlier.front().date == "2024-06-01");
    CHECK(says(w, "answer", u"of 2024-06-01"_s));
    CHECK(w.find<Board>("earlierCurves")->content().series.size() == 2);
    const BoardContent& difference = w.find<Board>("earlierDifference")->content();
    REQUIRE(difference.series.size() == 1);
    CHECK(difference.bands.size() == 1);
    CHECK(w.find<Board>("earlierCurves")->content().title.contains(u"2024-06-01"_s));
    CHECK_FALSE(w.text("caution").isEmpty());
    CHECK(page.canCopy());

    // The same build of both days is not held against itself.
    w.window->selection().setPair("B", from);
    CHECK(says(w, "answer", u"same build"_s));
    CHECK(w.find<Board>("earlierCurves")->isVisible());
    CHECK(w.find<Board>("earlierCurves")->content().xLabels);
    CHECK_FALSE(w.find<Board>("earlierDifference")->isVisible());
    w.window->selection().setPair(from, "B");
    CHECK(says(w, "answer", u"of 2024-06-01"_s));
    CHECK(w.find<Board>("earlierDifference")->isVisible());
    CHECK_FALSE(w.find<Board>("earlierCurves")->content().xLabels);

    w.trigger("compare.remove_earlier");
    CHECK(w.window->document().day().plan.earlier.empty());
    CHECK(says(w, "answer", u"No build of another day"_s));
    w.window->document().undoStack().undo();
    CHECK(says(w, "answer", u"of 2024-06-01"_s));
    w.trigger("compare.earlier");
    CHECK_FALSE(page.earlierShown());
}

TEST_CASE("of a build of which there is a sheet only both curves are shown, and no difference along the speeds") {
    const OwnLogbook book;
    LogbookEntry sheet = entryOf(test::demoDay());
    sheet.record.id = "2019-sheet";
    sheet.record.date = "2019-05-01";
    sheet.record.builds.front().parts.front().second = "300 mm";
    sheet.record.papers = {{sheet.record.pulls.front(), {"given.smoothing_unknown"}}};
    sheet.record.pulls.clear();
    Logbook(logbookAddress(book.file().string())).put(sheet);
    OpenWindow w;
    putBeside(w, 0, 0);
    CHECK(says(w, "answer", u"how well that repeats nobody knows"_s));
    CHECK(w.find<Board>("earlierCurves")->content().series.size() == 2);
    CHECK(w.find<Board>("earlierCurves")->content().xLabels);
    CHECK_FALSE(w.find<Board>("earlierDifference")->isVisible());
    w.window->showPage("credit");
    w.trigger("credit.over_days");
    CHECK(says(w, "creditAnswer", u"without an interval"_s));
}

TEST_CASE("the open day itself is not put beside itself") {
    const OwnLogbook book;
    book.add(test::demoDay());
    OpenWindow w;
    putBeside(w, 0, 0);
    CHECK(w.dialogs.errors.size() == 1);
    CHECK(w.window->document().day().plan.earlier.empty());
}

TEST_CASE("a plan says what it would tell of a build of another day, and takes what the cell has taught") {
    const OwnLogbook book;
    for (const char* date : {"2024-06-01", "2024-06-02", "2024-06-03", "2024-06-04", "2024-06-05", "2024-06-06"})
        book.add(test::demoDay(), date);
    OpenWindow w;
    w.window->showPage("prepare");
    CHECK(says(w, "planDetails", u"of this cell"_s));
    CHECK_FALSE(w.find<QLabel>("earlierPlan")->isVisible());
    w.trigger("day.earlier");
    CHECK(w.find<QLineEdit>("logbookSearch")->text() == qs(w.window->document().day().article.name));
    putBeside(w, 5, 0);
    w.window->showPage("prepare");
    CHECK(says(w, "earlierPlan", u"2024-06-01: \u00b1"_s));

    // Refitting: open, entered, as learned.
    auto* learned = w.find<QPushButton>("learnedButton");
    REQUIRE(test::waitFor([&] { return learned->isEnabled(); }));
    const double open = w.analysis().comparisons.front().bands.front().high_w;
    test::typeNumber(w.find<NumberField>("refitField"), u"0,4"_s);
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.refitSd.likely_pct == std::vector<double>{0.4});
    CHECK(w.analysis().comparisons.front().bands.front().high_w > open);
    w.window->showPage("compare");
    w.trigger("compare.earlier"); // back to the pair
    CHECK(says(w, "caution", u"as entered"_s));
    w.window->showPage("prepare");
    learned->click();
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.refitSd.likely_pct.size() == 10);
    CHECK_FALSE(learned->isEnabled());
    CHECK(w.text("planDetails").contains(u"as this cell has taught"_s));
    w.window->document().undoStack().undo();
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(w.analysis().comparisons.front().bands.front().high_w == open);
}

TEST_CASE("a day of single pulls counts on earlier days' repeats once somebody says so") {
    const OwnLogbook book;
    for (const char* date : {"2024-06-01", "2024-06-02", "2024-06-03", "2024-06-04"})
        book.add(test::demoDay(), date);
    OpenWindow w;
    w.window->showPage("prepare");
    auto* count = w.find<QToolButton>("earlierRepeatsButton");
    CHECK(says(w, "planDetails", u"of this cell"_s));
    CHECK_FALSE(count->isVisible()); // three pulls a set tell it themselves
    std::vector<std::string> aside;  // all but the first pull of every build
    std::set<std::string> seen;
    for (const Pull& pull : w.window->document().day().pulls)
        if (!seen.insert(pull.build).second)
            aside.push_back(pull.id);
    w.window->document().setAside(aside, u"only one each"_s);
    REQUIRE(w.settled());
    CHECK(w.analysis().model->degreesOfFreedom == 0);
    CHECK_FALSE(w.analysis().comparisons.front().hasInterval);
    REQUIRE(test::waitFor([&] { return count->isVisible(); }));
    CHECK_FALSE(count->isChecked());
    count->click();
    REQUIRE(w.settled());
    CHECK(count->isChecked());
    CHECK(w.analysis().model->measuredFreedom == 0);
    CHECK(w.analysis().model->historyFreedom > 0);
    CHECK(w.analysis().comparisons.front().hasInterval);
    w.window->showPage("compare");
    CHECK(says(w, "caution", u"as this cell's earlier days do"_s));
    CHECK_FALSE(w.text("caution").contains(u"as on earlier days"_s)); // once is enough
    w.window->showPage("prepare");
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK_FALSE(count->isChecked());
    CHECK_FALSE(w.analysis().comparisons.front().hasInterval);
    // Compare offers it where it is missed.
    w.window->showPage("compare");
    const auto offer = [&] { return w.window->findChild<QPushButton*>(u"earlierOffer"_s); };
    REQUIRE(test::waitFor([&] { return offer() != nullptr; }));
    offer()->click();
    REQUIRE(w.settled());
    CHECK(w.analysis().comparisons.front().hasInterval);
    CHECK(test::waitFor([&] { return offer() == nullptr; }));
}

TEST_CASE("the builds of all days stand as one ladder on Credit, and on the sheet with the days behind it") {
    const OwnLogbook book;
    book.add(test::demoDay(), "2024-06-01");
    OpenWindow w;
    w.window->showPage("credit");
    REQUIRE(w.settled());
    const QString own = w.text("creditAnswer");
    w.trigger("credit.over_days");
    CHECK(says(w, "creditAnswer", u"From A of 2024-06-01"_s));
    const auto& stairs = w.find<CreditPicture>("creditPicture")->content().stairs;
    CHECK(stairs.size() >= 1);
    CHECK_FALSE(w.find<Board>("creditBoard")->isVisible());
    CHECK(w.text("partLines").contains(u"2024-06-01"_s));
    const QString step = w.window->findChild<PartTable*>()->spokenItem(0);
    CHECK(step.startsWith(u"B 600 mm collector: "_s));
    CHECK(step.contains(u"2024-06-01"_s));
    w.trigger("credit.over_days");
    CHECK(test::waitFor([&] { return w.text("creditAnswer") == own; }));
    CHECK(w.find<Board>("creditBoard")->isVisible());

    putBeside(w, 0, 0);
    w.window->showPage("report");
    REQUIRE(w.settled());
    auto& report = *w.find<ReportPage>("reportPage");
    CHECK(test::waitFor([&] { return report.shownText().contains(u"Days that stand behind these figures"_s); }));
    CHECK(report.shownText().contains(u"2024-06-01"_s));
}

TEST_CASE("an answer about one day is never shown beside another") {
    const OwnLogbook book;
    book.add(test::demoDay(), "2024-06-01");
    LogbookLink link;
    link.setAddress({});
    DayDocument document;
    OtherDays others(document, link);
    const auto show = [&](TestDay day) {
        document.show(std::move(day), {});
        REQUIRE(test::waitFor([&] { return document.analysis() && !document.isBusy(); }));
    };
    show(readDay(test::demoDay()));
    others.bringUpToDate();
    REQUIRE(test::waitFor([&] { return !others.isBusy(); }));
    CHECK(others.answer().cell.days == 1);
    show(readDay(test::boostDay())); // nobody looks, so nobody asks
    CHECK(others.answer().cell.days == 0);
    CHECK_FALSE(others.isBusy());
    // What was asked about the first is no answer about the second, even when it comes late.
    show(readDay(test::demoDay()));
    others.bringUpToDate();
    document.show(readDay(test::boostDay()), {});
    CHECK_FALSE(test::waitFor([&] { return others.answer().cell.days != 0; }, 500));
}

TEST_CASE("a logbook that could not be asked is asked again") {
    const OwnLogbook book;
    book.add(test::demoDay(), "2024-06-01");
    const QByteArray there = qgetenv("HILLRUN_LOGBOOK");
    qputenv("HILLRUN_LOGBOOK", "/proc/no such place/book.sqlite");
    LogbookLink link;
    link.setAddress({});
    DayDocument document;
    OtherDays others(document, link);
    document.show(readDay(test::demoDay()), {});
    REQUIRE(test::waitFor([&] { return document.analysis() && !document.isBusy(); }));
    others.bringUpToDate();
    REQUIRE(test::waitFor([&] { return !others.isBusy(); }));
    CHECK(others.answer().cell.days == 0);
    qputenv("HILLRUN_LOGBOOK", there);
    CHECK(test::waitFor( // a place that refused is left alone for five seconds
        [&] {
            if (!others.isBusy())
                others.bringUpToDate();
            return others.answer().cell.days == 1;
        },
        20000));
}
