// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The Check page, driven as a person does, on the day of the inertia rollers (a bypass that opens, a tyre that slips,
// knock) and on pulls with a wrong unit.

#include "app/check/check_page.h"
#include "app/check/pull_model.h"
#include "app/shell/day_strip.h"
#include "app_support.h"
#include "core/pull/curve_rows.h"
#include "formats/pull_file.h"

#include <fmt/format.h>

#include <QAbstractItemModelTester>
#include <QClipboard>
#include <QPushButton>
#include <QScrollBar>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

/// The demo day with one pull's torque in PS figures where kW were meant.
std::filesystem::path dayWithWrongUnit(const std::filesystem::path& folder) {
    TestDay day = readDay(test::demoDay());
    auto table = std::make_shared<ChannelTable>(*day.pulls[1].raw);
    for (Column& column : table->columns)
        if (column.name == "torque")
            for (double& value : column.values)
                value *= 1000.0 / unit::kMetricHorsepower_w;
    day.pulls[1].raw = table;
    saveDay(day, folder / "wrong", std::nullopt);
    return folder / "wrong";
}

/// Forty pulls of four builds.
std::filesystem::path dayOfForty(const std::filesystem::path& folder) {
    TestDay day = readDay(test::demoDay());
    const std::vector<Pull> pulls = day.pulls;
    day.pulls.clear();
    day.builds.push_back(day.builds[0]);
    day.builds.back().id = "C";
    day.builds.push_back(day.builds[1]);
    day.builds.back().id = "D";
    for (int i = 0; i < 40; ++i) {
        Pull pull = pulls[static_cast<size_t>(i % 2 == 0 ? 0 : 4)];
        pull.id = fmt::format("p{:02}", i + 1);
        pull.file = fmt::format("pulls/p{:02}.csv", i + 1);
        pull.build = std::string(1, static_cast<char>('A' + i / 10));
        pull.started = isoTimeOf(1.78e9 + 300.0 * i);
        day.pulls.push_back(pull);
    }
    saveDay(day, folder / "forty", std::nullopt);
    return folder / "forty";
}

struct CheckWindow : OpenWindow {
    explicit CheckWindow(const std::filesystem::path& source, const char* pull) : OpenWindow(source) {
        window->showPage("check");
        window->selection().setPull(pull);
    }
    FindingList& findings() { return *find<FindingList>("findings"); }
    /// The button of that name in the findings, by its text.
    QToolButton* offer(const char* name, const QString& begins = {}) {
        for (auto* button : findings().findChildren<QToolButton*>(QLatin1StringView(name)))
            if (button->text().startsWith(begins))
                return button;
        return nullptr;
    }
    const Pull& pull(const char* id) { return *findPull(window->document().day(), id); }
};

} // namespace

TEST_CASE("events are named on the curve and told on the slip, with a reason and what moved") {
    CheckWindow w(test::rollerDay(), "p02");
    const BoardContent& board = w.find<Board>("overlayBoard")->content();
    QStringList words;
    for (const BoardMark& mark : board.marks)
        words << mark.word;
    CHECK(words.contains(u"bypass open"_s));
    for (const BoardMark& mark : board.marks)
        if (mark.word == u"bypass open"_s)
            CHECK(mark.x == Approx(4700.0).margin(150.0));
    CHECK(w.findings().text().contains(u"The bypass opens to"_s));
    CHECK(w.findings().text().contains(u"charge escapes"_s));
    CHECK(w.findings().text().contains(u"differentiated over"_s)); // how the rollers' power was got
    CHECK(w.findings().text().contains(u"at the crank"_s));
    CHECK(board.title.contains(u"at the crank (estimate)"_s));
    CHECK(w.find<QTableView>("pullTable")
              ->model()
              ->index(1, PullModel::Remarks)
              .data()
              .toString()
              .contains(u"bypass open"_s));
}

TEST_CASE("an offered trim is taken only when asked for, and taken back by undo") {
    CheckWindow w(test::rollerDay(), "p08");
    REQUIRE_FALSE(w.pull("p08").window_rpm);
    QToolButton* trim = w.offer("offerTrim");
    REQUIRE(trim);
    QTest::mouseClick(trim, Qt::LeftButton);
    REQUIRE(w.settled());
    REQUIRE(w.pull("p08").window_rpm);
    CHECK(w.pull("p08").window_rpm->high < 5600.0); // below where knock took the timing back
    CHECK(w.findings().text().contains(u"trimmed by hand"_s));
    QTest::keyClick(w.window.get(), Qt::Key_Z, Qt::ControlModifier);
    REQUIRE(w.settled());
    CHECK_FALSE(w.pull("p08").window_rpm);
    QToolButton* aside = w.offer("offerSetAside");
    REQUIRE(aside);
    QTest::mouseClick(aside, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK_FALSE(w.pull("p08").use);
    CHECK(w.pull("p08").reason == "knock retard");
    CHECK_FALSE(w.offer("offerSetAside")); // a pull that is left out is not offered to be left out
}

TEST_CASE("a wrong unit asks, and the answer is an edit on top of the rows") {
    test::TemporaryFolder folder;
    CheckWindow w(dayWithWrongUnit(folder.path()), "p02");
    CHECK(w.findings().text().contains(u"times the other pulls: PS taken for kW"_s));
    const double before = w.analysis().pulls[1].bandMean_w;
    QToolButton* yes = w.offer("offerUnit", u"Yes: PS taken for kW"_s);
    REQUIRE(yes);
    QTest::mouseClick(yes, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(*w.pull("p02").torqueFactor == Approx(0.73549875));
    CHECK(w.analysis().pulls[1].bandMean_w == Approx(0.73549875 * before));
    CHECK(w.findings().text().contains(u"its unit was corrected by hand"_s));
    CHECK_FALSE(w.findings().text().contains(u"times the other pulls"_s));
    w.trigger("day.save");
    CHECK(*findPull(readDay(w.day), "p02")->torqueFactor == Approx(0.73549875));
    CHECK(readPullText(readFileText(w.day / "pulls" / "p02.csv"), "p02", 98.0).find("torque")->values ==
          w.pull("p02").raw->find("torque")->values); // the rows are as they were
}

TEST_CASE("weather that cannot be is marked, told and answered wherever it is met") {
    test::TemporaryFolder folder;
    TestDay odd = readDay(test::demoDay());
    odd.pulls[5].weather->pressure_pa += 3700.0;
    saveDay(odd, folder.path() / "odd", std::nullopt);
    CheckWindow w(folder.path() / "odd", "p06");
    CHECK(w.findings().text().count(u"its air pressure lies 3.7\u00A0kPa above"_s) == 1);
    CHECK_FALSE(w.findings().text().contains(u"Air pressure +"_s)); // the slip's own line would say it twice
    const StripLayout strip = layoutStrip(w.window->document().day(), &w.analysis(), 1000.0, 40.0);
    for (const StripFlag& flag : strip.flags)
        CHECK(flag.flagged == (flag.pull == 5));

    w.window->showPage("compare");
    CHECK(w.text("caution").startsWith(u"p06: its air pressure"_s));
    QPushButton* take = w.find<QPushButton>("doubtOffer");
    CHECK(take->text().startsWith(u"Take 98."_s));
    CHECK(take->text().endsWith(u" kPa for p06"_s));
    QTest::mouseClick(take, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(std::abs(w.pull("p06").weather->pressure_pa - odd.pulls[4].weather->pressure_pa) < 100.0);
    CHECK(w.analysis().doubts.empty());
    CHECK_FALSE(w.window->findChild<QPushButton*>(u"doubtOffer"_s));

    w.window->showPage("check");
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    QToolButton* aside = w.offer("offerAnswer", u"Set p06 aside"_s);
    REQUIRE(aside);
    QTest::mouseClick(aside, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(w.pull("p06").reason == "its air pressure cannot be");
    CHECK(w.analysis().doubts.empty());
}

TEST_CASE("sea-level figures become the station's, each by its own reading") {
    test::TemporaryFolder folder;
    TestDay high = readDay(test::demoDay());
    high.cell.altitude_m = 1000.0;
    saveDay(high, folder.path() / "high", std::nullopt);
    CheckWindow w(folder.path() / "high", "p01");
    QToolButton* take = w.offer("offerAnswer", u"Take station pressure for 10 pulls"_s);
    REQUIRE(take);
    QTest::mouseClick(take, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(w.analysis().doubts.empty());
    for (const Pull& before : high.pulls) // ISO 2533: 898.75 hPa at 1000 m, 1013.25 at sea level
        if (before.use)
            CHECK(w.pull(before.id.c_str()).weather->pressure_pa ==
                  Approx(before.weather->pressure_pa * 898.75 / 1013.25).margin(12.0));
    w.trigger("edit.undo");
    CHECK(w.pull("p01").weather->pressure_pa == high.pulls[0].weather->pressure_pa);
}

TEST_CASE("the finding's place puts the cursor there, in every view") {
    CheckWindow w(test::rollerDay(), "p02");
    QToolButton* show = w.offer("offerShow");
    REQUIRE(show);
    QTest::mouseClick(show, Qt::LeftButton);
    REQUIRE(w.window->selection().cursor());
    QTest::keyClick(w.window.get(), Qt::Key_N);
    auto* numbers = w.find<QTableView>("numberTable");
    REQUIRE(numbers->isVisible());
    const QAbstractItemModelTester tester(numbers->model(), QAbstractItemModelTester::FailureReportingMode::Warning);
    CHECK(numbers->model()->rowCount() == 6); // p02 and the five others of build A
    CHECK(numbers->model()->index(0, 0).data().toString().endsWith(u"p02"_s));
    QStringList heads;
    for (int i = 0; i < numbers->model()->columnCount(); ++i)
        heads << numbers->model()->headerData(i, Qt::Horizontal).toString();
    CHECK(heads[1].contains(u"kW at the crank (estimate)"_s));
    CHECK(heads.contains(u"mean effective pressure, kPa"_s));
    CHECK(heads.contains(u"back pressure over boost"_s));
    CHECK(heads[0].contains(u"rpm"_s));
}

TEST_CASE("speed view and time view share the cursor") {
    CheckWindow w(test::demoDay(), "p05");
    QTest::keyClick(w.window.get(), Qt::Key_T);
    auto* speed = w.find<Board>("overlayBoard");
    auto* time = w.find<Board>("torqueTimeBoard");
    REQUIRE(test::waitFor([&] { return time->isVisible() && time->width() > 100; }));
    const Curve& curve = *w.analysis().pulls[4].curve;
    const double halfway_s = timeAtSpeed(curve, 5000.0);
    QMouseEvent move(QEvent::MouseMove, QPointF(time->pixelOf(halfway_s), 40), time->mapToGlobal(QPointF(0, 0)),
                     Qt::NoButton, Qt::NoButton, {});
    QApplication::sendEvent(time, &move);
    REQUIRE(w.window->selection().cursor());
    CHECK(*w.window->selection().cursor() == Approx(5000.0).margin(40.0));
    QMouseEvent back(QEvent::MouseMove, QPointF(speed->pixelOf(3500.0), 40), speed->mapToGlobal(QPointF(0, 0)),
                     Qt::NoButton, Qt::NoButton, {});
    QApplication::sendEvent(speed, &back);
    CHECK(speedAtTime(curve, timeAtSpeed(curve, *w.window->selection().cursor())) == Approx(3500.0).margin(40.0));
}

TEST_CASE("F notes that a build was fitted again: a set of its own, said in the list, undone") {
    CheckWindow w(test::demoDay(), "p02");
    const auto setOf = [&](size_t pull) { return w.analysis().pulls[pull].set; };
    REQUIRE(setOf(0) == setOf(1));
    QTest::keyClick(w.window.get(), Qt::Key_F);
    REQUIRE(w.settled());
    CHECK(w.window->document().day().pulls[1].refitted);
    CHECK(setOf(1) == setOf(0) + 1);
    CHECK(setOf(3) == setOf(1)); // those after it belong to the new set
    const auto& list = *w.window->findChild<QTableView*>(u"pullTable"_s);
    QStringList remarks;
    for (int row = 0; row < list.model()->rowCount(); ++row)
        remarks << list.model()->index(row, PullModel::Remarks).data().toString();
    CHECK(remarks.filter(u"fitted again"_s).size() == 1);
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(setOf(0) == setOf(1));
}

TEST_CASE("R shows the rows as recorded, and the curve again") {
    CheckWindow w(test::demoDay(), "p06");
    const size_t smooth = w.find<Board>("overlayBoard")->content().series.back().x.size();
    QTest::keyClick(w.window.get(), Qt::Key_R);
    const BoardContent& raw = w.find<Board>("overlayBoard")->content();
    CHECK(raw.title.contains(u"not smoothed"_s));
    CHECK(raw.series.back().x.size() > 5 * smooth);
    CHECK(raw.series.back().x.front() < w.analysis().pulls[5].curve->rpm.front()); // the trimmed start too
    QTest::keyClick(w.window.get(), Qt::Key_R);
    CHECK(w.find<Board>("overlayBoard")->content().series.back().x.size() == smooth);
}

TEST_CASE("two pulls stand side by side on one scale") {
    CheckWindow w(test::boostDay(), "p02");
    QTest::keyClick(w.window.get(), Qt::Key_H);
    CHECK(w.window->selection().beside() == "p02");
    CHECK_FALSE(w.find<Board>("besideBoard")->isVisible()); // nothing else is selected yet
    w.window->selection().setPull("p08");
    auto* beside = w.find<Board>("besideBoard");
    REQUIRE(beside->isVisible());
    const BoardContent& one = w.find<Board>("overlayBoard")->content();
    CHECK(one.series.back().label == u"p08"_s);
    CHECK(beside->content().series.back().label == u"p02"_s);
    CHECK(one.yRange == beside->content().yRange);
    CHECK(one.xRange == beside->content().xRange);
    const BoardContent& difference = w.find<Board>("deviationBoard")->content();
    CHECK(difference.title.startsWith(u"p08 against p02"_s));
    const Curve& a = *w.analysis().pulls[7].curve;
    const Curve& b = *w.analysis().pulls[1].curve;
    CHECK(difference.series.back().y[20] == Approx(100.0 * (a.power_w[20] / valueAt(b, b.power_w, a.rpm[20]) - 1.0)));
    QTest::keyClick(w.window.get(), Qt::Key_H);
    CHECK_FALSE(beside->isVisible());
}

TEST_CASE("channels stand below as small multiples with the value at the cursor") {
    CheckWindow w(test::rollerDay(), "p02");
    auto* grid = w.find<ChannelGrid>("channelGrid");
    REQUIRE(grid->isVisible());
    QStringList names;
    for (const ChannelTile& tile : grid->tiles())
        names << tile.name;
    CHECK(names.first() == u"lambda"_s);
    for (const QString& wanted : {u"manifold_pressure"_s, u"bypass_valve"_s, u"knock_retard"_s, u"air_fuel_ratio"_s,
                                  u"mean_piston_speed"_s, u"power_per_pressure"_s})
        CHECK(names.contains(wanted));
    const CheckView view{"p02", Quantity::Power, {}};
    for (const ChannelTile& tile : grid->tiles())
        if (tile.name == u"bypass_valve"_s)
            CHECK(tileReadout(w.analysis(), view, tile, 4700.0).toDouble() > 30.0);
}

TEST_CASE("a picture and a table go to the clipboard") {
    CheckWindow w(test::demoDay(), "p05");
    w.window->selection().setCursor(5000.0);
    QTest::keyClick(w.window.get(), Qt::Key_C, Qt::ControlModifier);
    const QStringList lines = QGuiApplication::clipboard()->text().split(u'\n');
    CHECK(lines[0] == u"at 5000 rpm"_s);
    CHECK(lines[1].startsWith(u"pull at"_s));
    REQUIRE(lines.size() >= 6);
    const Curve& curve = *w.analysis().pulls[4].curve;
    CHECK(lines[2].split(u'\t')[1].toDouble() == Approx(valueAt(curve, curve.power_w, 5000.0) / 1000.0).margin(0.006));
    QTest::keyClick(w.window.get(), Qt::Key_C, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(QGuiApplication::clipboard()->pixmap().width() > 500);
}

TEST_CASE("forty pulls in a day stay within reach") {
    test::TemporaryFolder folder;
    CheckWindow w(dayOfForty(folder.path()), "p40");
    auto* table = w.find<QTableView>("pullTable");
    CHECK(table->model()->rowCount() == 40);
    CHECK(table->verticalScrollBar()->maximum() > 0);
    CHECK(table->visualRect(table->currentIndex()).intersects(table->viewport()->rect())); // scrolled to
    CHECK(w.find<Board>("overlayBoard")->content().series.size() == 10); // its own build, not all forty
    QTest::keyClick(w.find<Board>("overlayBoard"), Qt::Key_Up);
    CHECK(w.window->selection().pull() == "p39");
    const StripLayout strip = layoutStrip(w.window->document().day(), &w.analysis(), 1280.0, 46.0);
    for (size_t i = 1; i < strip.flags.size(); ++i)
        CHECK(strip.flags[i].x >= strip.flags[i - 1].x + strip.flagWidth);
}

TEST_CASE("held steps of the tractor are shown as points, with what lies between left out") {
    CheckWindow w(test::tractorDay(), "p01");
    const BoardContent& board = w.find<Board>("overlayBoard")->content();
    const bool dotted = std::any_of(board.series.begin(), board.series.end(), [](const BoardSeries& series) {
        return series.dots > 0.0 && series.x.size() == 9;
    });
    CHECK(dotted);
    CHECK(w.findings().text().contains(u"9 held speeds"_s));
    CHECK(board.title.contains(u"at the hub"_s));
}

TEST_CASE("the small boards are one stop for Tab; Up and Down go from one to the next") {
    OpenWindow w(test::demoDay());
    w.window->showPage("check");
    w.trigger("check.channels");
    auto* first = w.find<Board>("tile0");
    CHECK(first->focusPolicy() == Qt::StrongFocus);
    CHECK_FALSE(w.find<Board>("tile1")->focusPolicy() & Qt::TabFocus);
    first->setFocus();
    QTest::keyClick(first, Qt::Key_Down);
    CHECK(w.find<Board>("tile1")->hasFocus());
    QTest::keyClick(w.find<Board>("tile1"), Qt::Key_Up);
    CHECK(first->hasFocus());
}
