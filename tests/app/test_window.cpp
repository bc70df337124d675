// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Drives the real window as a person does: clicks, keys, choices; then looks at the document and at what is written.

#include "app/check/check_page.h"
#include "app/compare/compare_page.h"
#include "app_support.h"

#include <QCheckBox>
#include <QComboBox>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

void choose(QComboBox* box, const QString& text) {
    const int index = box->findText(text);
    REQUIRE(index >= 0);
    REQUIRE(box->isEnabled());
    box->setCurrentIndex(index);
    Q_EMIT box->activated(index); // what a click into the list does
}

/// A drag with the left button from one x to another, in the middle of a widget.
void drag(QWidget* widget, double from, double to) {
    const int y = widget->height() / 2;
    QTest::mousePress(widget, Qt::LeftButton, {}, QPoint(static_cast<int>(from), y));
    for (int i = 1; i <= 8; ++i)
        QTest::mouseMove(widget, QPoint(static_cast<int>(from + (to - from) * i / 8.0), y));
    QMouseEvent move(QEvent::MouseMove, QPointF(to, y), widget->mapToGlobal(QPointF(to, y)), Qt::NoButton,
                     Qt::LeftButton, {});
    QApplication::sendEvent(widget, &move);
    QTest::mouseRelease(widget, Qt::LeftButton, {}, QPoint(static_cast<int>(to), y));
}

} // namespace

TEST_CASE("the demo day opens on its answer") {
    OpenWindow w;
    CHECK(w.text("answer").contains(u"B gives"_s));
    CHECK(w.text("answer").contains(u"costs up to"_s));
    CHECK(w.text("dayTitle").startsWith(u"Collector length"_s));
    CHECK(w.text("leftOutText").contains(u"p03"_s));
    CHECK(w.find<QTableView>("bandTable")->model()->rowCount() == 4);
}

TEST_CASE("a pull is set aside with a reason and comes back by undo") {
    OpenWindow w;
    QTest::keyClick(w.window.get(), Qt::Key_3, Qt::ControlModifier);
    REQUIRE(w.window->pageShown() == "check");
    auto* table = w.find<QTableView>("pullTable");
    QTest::mouseClick(table->viewport(), Qt::LeftButton, {}, table->visualRect(table->model()->index(1, 0)).center());
    CHECK(w.window->selection().pull() == "p02");
    w.dialogs.reason = u"not warm"_s;
    QTest::keyClick(table, Qt::Key_S);
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p02")->reason == "not warm");
    CHECK(w.find<FindingList>("findings")->text().contains(u"Left out: not warm"_s));
    CHECK(w.find<QLabel>("dayTitle")->toolTip().contains(u"edited"_s));
    QTest::keyClick(w.window.get(), Qt::Key_Z, Qt::ControlModifier);
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p02")->use);
    CHECK_FALSE(w.find<QLabel>("dayTitle")->toolTip().contains(u"edited"_s));
    QTest::keyClick(w.window.get(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK_FALSE(findPull(w.window->document().day(), "p02")->use);
    QTest::keyClick(table, Qt::Key_S); // and taken back by the same key
    CHECK(findPull(w.window->document().day(), "p02")->use);
}

TEST_CASE("no reason, no setting aside") {
    OpenWindow w;
    w.window->showPage("check");
    w.trigger("check.use");
    CHECK(findPull(w.window->document().day(), "p01")->use);
}

TEST_CASE("standard, smoothing, drift and units change every figure") {
    OpenWindow w;
    const QString before = w.text("answer");
    choose(w.find<QComboBox>("standardChoice"), u"SAE J607"_s);
    REQUIRE(w.settled());
    CHECK(w.analysis().settings.reduce.standard == Standard::SaeJ607);
    choose(w.find<QComboBox>("smoothingChoice"), u"200 rpm"_s);
    REQUIRE(w.settled());
    CHECK(w.analysis().settings.reduce.smoothing_rpm == 200.0);
    choose(w.find<QComboBox>("allowanceChoice"), u"jumps"_s);
    REQUIRE(w.settled());
    CHECK(w.analysis().settings.drift.allowance == DriftAllowance::Jumps);
    choose(w.find<QComboBox>("unitChoice"), u"hp \u00B7 lbf\u00B7ft"_s);
    CHECK(w.text("answer").contains(u"hp"_s));
    CHECK(w.text("peakText").contains(u"lbf\u00B7ft"_s));
    CHECK(w.text("answer") != before);
    CHECK(w.find<Board>("curvesBoard")->content().title.contains(u"hp"_s));
}

TEST_CASE("swapping the builds turns the sentence round") {
    OpenWindow w;
    QTest::keyClick(w.window.get(), Qt::Key_X);
    REQUIRE(w.settled());
    CHECK(w.window->selection().from() == "B");
    CHECK(w.text("answer").startsWith(u"A "_s));
    QTest::mouseClick(w.find<QToolButton>("swapButton"), Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(w.text("answer").startsWith(u"B "_s));
}

TEST_CASE("dragging across the curves adds a band, Delete removes it") {
    OpenWindow w;
    auto* board = w.find<Board>("curvesBoard");
    auto* table = w.find<QTableView>("bandTable");
    QTest::qWait(50);
    drag(board, board->pixelOf(4500.0), board->pixelOf(6500.0));
    REQUIRE(test::waitFor([&] { return table->model()->rowCount() == 5; }));
    CHECK(w.analysis().settings.bands.front().low == Approx(4500.0).margin(60.0));
    CHECK(w.analysis().settings.bands.front().high == Approx(6500.0).margin(60.0));
    QTest::keyClick(board, Qt::Key_Delete); // nothing but the table with the focus takes it
    table->setFocus();
    table->setCurrentIndex(table->model()->index(0, 0));
    QTest::keyClick(table, Qt::Key_Delete); // the whole range stays
    table->setCurrentIndex(table->model()->index(4, 0));
    QTest::keyClick(table, Qt::Key_Delete);
    REQUIRE(test::waitFor([&] { return table->model()->rowCount() == 4; }));
}

TEST_CASE("the cursor is shared and moves by mouse and keys") {
    OpenWindow w;
    auto* board = w.find<Board>("curvesBoard");
    QTest::qWait(50);
    QMouseEvent move(QEvent::MouseMove, QPointF(board->pixelOf(5000.0), 80), board->mapToGlobal(QPointF(0, 0)),
                     Qt::NoButton, Qt::NoButton, {});
    QApplication::sendEvent(board, &move);
    REQUIRE(w.window->selection().cursor());
    CHECK(*w.window->selection().cursor() == Approx(5000.0).margin(30.0));
    const double before = *w.window->selection().cursor();
    QTest::keyClick(board, Qt::Key_Right);
    CHECK(*w.window->selection().cursor() > before);
}

TEST_CASE("a trim is dragged, shown with its reason and undone") {
    OpenWindow w;
    w.window->showPage("check");
    w.window->selection().setPull("p05");
    auto* board = w.find<Board>("overlayBoard");
    QTest::qWait(50);
    const double low = w.analysis().pulls[4].curve->sweep().window_rpm.low;
    drag(board, board->pixelOf(low), board->pixelOf(3500.0));
    REQUIRE(test::waitFor([&] { return findPull(w.window->document().day(), "p05")->window_rpm.has_value(); }));
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p05")->window_rpm->low == Approx(3500.0).margin(60.0));
    CHECK(w.find<FindingList>("findings")->text().contains(u"trimmed by hand"_s));
    CHECK(w.analysis().common_rpm.low == Approx(3500.0).margin(60.0));
    w.trigger("check.reset_trim");
    REQUIRE(w.settled());
    CHECK_FALSE(findPull(w.window->document().day(), "p05")->window_rpm);
}

TEST_CASE("the numbers follow a trim while it is dragged, and the day only changes when it is let go") {
    OpenWindow w;
    w.window->showPage("check");
    w.window->selection().setPull("p05");
    auto* board = w.find<Board>("overlayBoard");
    QTest::qWait(50);
    const RpmRange found = w.analysis().pulls[4].curve->sweep().window_rpm;
    const int y = board->height() / 2;
    const auto moveTo = [&](double rpm) {
        const QPointF at(board->pixelOf(rpm), y);
        QMouseEvent move(QEvent::MouseMove, at, board->mapToGlobal(at), Qt::NoButton, Qt::LeftButton, {});
        QApplication::sendEvent(board, &move);
    };
    const auto shownLow = [&] { return w.analysis().pulls[4].curve->sweep().window_rpm.low; };
    QTest::mousePress(board, Qt::LeftButton, {}, QPoint(qRound(board->pixelOf(found.low)), y));
    for (const double rpm : {3200.0, 3600.0}) {
        for (int step = 0; step < 20; ++step) // faster than any answer
            moveTo(rpm + step);
        REQUIRE(test::waitFor([&] { return std::abs(shownLow() - rpm - 19.0) < 20.0; }));
        CHECK_FALSE(w.window->document().day().pulls[4].window_rpm);
        CHECK(w.window->document().undoStack().isClean());
    }
    moveTo(found.low); // and back to where it was
    QTest::mouseRelease(board, Qt::LeftButton, {}, QPoint(qRound(board->pixelOf(3400.0)), y));
    REQUIRE(w.settled());
    REQUIRE(w.window->document().day().pulls[4].window_rpm);
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(shownLow() == found.low);
    // A try that comes to nothing leaves nothing behind.
    w.window->document().tryWindow("p05", {3500.0, 7000.0});
    REQUIRE(test::waitFor([&] { return shownLow() > 3400.0; }));
    w.window->document().setWindow("p05", std::nullopt);
    REQUIRE(test::waitFor([&] { return shownLow() == found.low; }));
}

TEST_CASE("T shows the pull over time") {
    OpenWindow w;
    w.window->showPage("check");
    QTest::keyClick(w.window.get(), Qt::Key_T);
    CHECK(w.find<CheckPage>("checkPage")->showsTime());
    CHECK(w.find<Board>("torqueTimeBoard")->content().title.contains(u"as recorded"_s));
    QTest::keyClick(w.window.get(), Qt::Key_T);
    CHECK_FALSE(w.find<CheckPage>("checkPage")->showsTime());
}

TEST_CASE("the day strip selects pulls and builds") {
    OpenWindow w(test::boostDay());
    auto* strip = w.find<DayStrip>("dayStrip");
    QTest::mouseClick(strip, Qt::LeftButton, {}, strip->centreOf("p08"));
    CHECK(w.window->selection().pull() == "p08");
    QTest::keyClick(strip, Qt::Key_Right);
    CHECK(w.window->selection().pull() == "p09");
    QTest::mouseClick(strip, Qt::LeftButton, Qt::ControlModifier, strip->centreOf("p05"));
    CHECK(w.window->selection().from() == "B");
    const QPoint letter(strip->centreOf("p07").x(), 84);
    QTest::mouseClick(strip, Qt::LeftButton, {}, letter);
    CHECK(w.window->selection().to() == "C");
    REQUIRE(w.settled());
    CHECK(w.text("answer").startsWith(u"C gives"_s));
    QTest::mouseDClick(strip, Qt::LeftButton, {}, strip->centreOf("p02"));
    CHECK(w.window->pageShown() == "check");
}

TEST_CASE("a pair outside the usual ones is worked out when looked at") {
    OpenWindow w(test::boostDay());
    w.window->selection().setPair("C", "B");
    REQUIRE(test::waitFor([&] { return w.analysis().find("C", "B") != nullptr; }));
    CHECK(w.text("answer").startsWith(u"B costs"_s));
    w.window->selection().setPair("A", "B");
    QTest::keyClick(w.find<Board>("curvesBoard"), Qt::Key_Down);
    CHECK(w.window->selection().to() == "C");
}

TEST_CASE("the sheet is printed to a PDF that reads back") {
    OpenWindow w;
    w.window->showPage("report");
    CHECK_FALSE(w.find<QLabel>("paper")->pixmap().isNull());
    const std::string file = (w.folder.path() / "sheet").string();
    w.dialogs.target = QString::fromStdString(file); // the ending is added
    QTest::keyClick(w.window.get(), Qt::Key_P, Qt::ControlModifier | Qt::ShiftModifier);
    REQUIRE(fs::exists(file + ".pdf"));
    REQUIRE(std::system(("pdftotext -layout '" + file + ".pdf' '" + file + ".txt'").c_str()) == 0);
    const std::string text = readFileText(file + ".txt");
    CHECK(text.find("B gives") != std::string::npos);
    CHECK(text.find("breakup above 6900 rpm") != std::string::npos);
    CHECK(text.find("SAE J1349") != std::string::npos);
    w.trigger("report.csv");
    CHECK(readFileText(file + ".csv").find("A_power [kW]") != std::string::npos);
    w.trigger("day.export_zip");
    CHECK(readDay(file + ".hillrun.zip").pulls.size() == 11);
    w.dialogs.target = QString::fromStdString(file + "-2.zip"); // any name for it will do
    w.trigger("day.export_zip");
    CHECK(readDay(file + "-2.zip").pulls.size() == 11);
    QTest::mouseClick(w.find<QCheckBox>("section3"), Qt::LeftButton, {}, QPoint(8, 10));
    CHECK_FALSE(w.find<QCheckBox>("section3")->isChecked());
}

TEST_CASE("a file that cannot be written is said, not lost") {
    OpenWindow w;
    w.dialogs.target = u"/proc/nowhere/sheet.pdf"_s;
    w.trigger("report.pdf");
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors.front().contains(u"cannot write"_s));
}

TEST_CASE("a day that cannot be opened says why and leaves the open one alone") {
    OpenWindow w;
    w.window->openDay(w.folder.path() / "nowhere");
    REQUIRE(test::waitFor([&] { return !w.dialogs.errors.isEmpty(); }));
    CHECK(w.dialogs.errors.front().contains(u"missing"_s));
    CHECK(w.window->document().day().pulls.size() == 11);
}

TEST_CASE("a day with an unreadable pull opens without it") {
    OpenWindow w{fs::path()};
    fs::copy(test::demoDay(), w.folder.path() / "day", fs::copy_options::recursive);
    fs::remove(w.folder.path() / "day" / "pulls" / "p01.csv");
    w.window->openDay(w.folder.path() / "day");
    REQUIRE(w.settled());
    CHECK(w.text("noticeText").contains(u"p01 could not be read and is left out"_s));
    CHECK_FALSE(w.analysis().pulls[0].used);
    CHECK(w.text("answer").contains(u"B gives"_s));
}

TEST_CASE("unsaved edits are asked about, saving writes them") {
    OpenWindow w;
    w.window->document().setAside({"p01"}, u"x"_s);
    w.dialogs.unsaved = UnsavedChoice::Cancel;
    CHECK_FALSE(w.window->close());
    CHECK(w.dialogs.unsavedAsked == 1);
    w.dialogs.unsaved = UnsavedChoice::Save;
    CHECK(w.window->close());
    CHECK_FALSE(readDay(w.day).pulls[0].use);
}

TEST_CASE("edits left by a crash are offered and can be taken over") {
    fs::path day;
    test::TemporaryFolder folder;
    {
        OpenWindow first;
        day = folder.path() / "day";
        fs::rename(first.day, day);
        first.window->openDay(day);
        REQUIRE(test::waitFor([&] { return first.window->document().path() == day && first.settled(); }));
        first.window->document().setAside({"p04"}, u"slip"_s);
        first.window->document().waitUntilKept();
    } // gone without a question, as after a crash: nothing was saved
    test::TestDialogs dialogs;
    test::TestWindow second(dialogs);
    second.show();
    second.openDay(day);
    REQUIRE(test::waitFor([&] { return second.document().analysis() != nullptr; }));
    CHECK(second.document().day().pulls[3].use);
    auto* take = second.findChild<QPushButton*>(u"noticeAnswer0"_s);
    REQUIRE(take->isVisible());
    QTest::mouseClick(take, Qt::LeftButton);
    CHECK(second.document().day().pulls[3].reason == "slip");
    CHECK(second.document().undoStack().canUndo());
}

TEST_CASE("the window remembers page, look, units and recent days") {
    test::TemporaryFolder folder;
    QSettings().clear();
    test::TestDialogs dialogs;
    {
        test::TestWindow window(dialogs);
        window.show();
        window.openDay(test::demoDay());
        REQUIRE(test::waitFor([&] { return window.document().analysis() != nullptr; }));
        window.showPage("report");
        window.setDark(true);
        choose(window.findChild<QComboBox*>(u"unitChoice"_s), u"PS \u00B7 N\u00B7m"_s);
        choose(window.findChild<QComboBox*>(u"standardChoice"_s), u"DIN 70020"_s);
        CHECK(window.close());
    }
    test::TestWindow again(dialogs);
    CHECK(again.pageShown() == "report");
    CHECK(again.selection().units().power == PowerUnit::MetricHorsepower);
    CHECK(again.document().settings().reduce.standard == Standard::Din70020);
    auto* recent = again.findChild<QMenu*>(u"recentMenu"_s);
    Q_EMIT recent->aboutToShow();
    REQUIRE_FALSE(recent->actions().isEmpty());
    CHECK(recent->actions().front()->text() == u"day-1-flat-twin"_s);
    recent->actions().front()->trigger();
    CHECK(test::waitFor([&] { return again.document().isOpen(); }));
}

TEST_CASE("an empty window says what to do, and closing a day leads back to it") {
    OpenWindow w{fs::path()};
    CHECK(w.text("answer") == u"No day is open."_s);
    CHECK(w.text("caution").contains(u"Ctrl+O"_s));
    CHECK_FALSE(w.action("report.pdf")->isEnabled());
    w.dialogs.dayFolder = QString::fromStdString(test::demoDay().string());
    QTest::keyClick(w.window.get(), Qt::Key_O, Qt::ControlModifier);
    REQUIRE(w.settled());
    w.trigger("day.close");
    CHECK(w.text("answer") == u"No day is open."_s);
}
