// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/report/report_page.h"
#include "app/road/road_page.h"
#include "app_support.h"

#include <fstream>
#include <QComboBox>
#include <QPushButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using hillrun::test::OpenWindow;

namespace {

void drive(OpenWindow& w, const char* course) {
    auto* choice = w.find<QComboBox>("courseChoice");
    const int row = choice->findData(QLatin1StringView(course));
    REQUIRE(row >= 0);
    choice->setCurrentIndex(row);
    Q_EMIT choice->activated(row);
}

} // namespace

TEST_CASE("the builds of a day are driven along a course, and the sentence says what it is worth") {
    OpenWindow w(test::boostDay());
    w.window->showPage("road");
    auto& page = *w.find<RoadPage>("roadPage");
    CHECK(w.text("roadAnswer").contains(u"Over the Larkfell hill, B is"_s));
    CHECK(w.text("roadCaution").contains(u"a model's"_s));
    const BoardContent speed = w.find<Board>("roadSpeed")->content();
    CHECK(speed.series.size() == 2);
    CHECK_FALSE(speed.shades.empty()); // the gears
    const BoardContent lead = w.find<Board>("roadLead")->content();
    REQUIRE(lead.series.size() == 1);
    CHECK(lead.series[0].y.back() == Approx(page.road().differences.front().delta_s).margin(0.02));
    REQUIRE(lead.bands.size() == 1);
    CHECK(lead.bands[0].low.back() < lead.series[0].y.back());
    CHECK(w.text("roadShifts").contains(u"Shift A at rpm: 1\u21922"_s));
    CHECK(w.text("roadColumn0").contains(u"60\u2013100"_s));
    CHECK_FALSE(w.text("roadColumn0").contains(u"400\u00A0m"_s)); // of level runs only
    CHECK(w.text("roadColumn0").contains(u"Top speed"_s));
    CHECK(page.canCopy());
    page.copyTable();
    page.copyPicture();

    drive(w, "standing-1000m");
    CHECK(w.text("roadColumn0").contains(u"400\u00A0m"_s));
    CHECK(w.text("roadColumn1").contains(u"km/h \u00B7 "_s)); // top speed and its gear
    drive(w, "60-100");
    CHECK(w.text("roadAnswer").contains(u"60 to 100"_s));
    w.window->selection().setPair("A", "C");
    CHECK(w.text("roadAnswer").contains(u"C is"_s));
    w.window->selection().setPair("C", "A"); // turned round
    CHECK(w.text("roadAnswer").contains(u"A is"_s));
    CHECK(w.text("roadAnswer").contains(u"slower"_s));
}

TEST_CASE("the vehicle is edited on the road and the course can be the use") {
    OpenWindow w(test::boostDay());
    w.window->showPage("road");
    auto& page = *w.find<RoadPage>("roadPage");
    const double before = page.road().builds.front().run.time_s;
    test::typeNumber(w.find<NumberField>("roadDrag"), u"2,5"_s);
    CHECK(w.window->document().day().article.vehicle.dragArea_m2 == 2.5);
    REQUIRE(w.settled());
    CHECK(page.road().builds.front().run.time_s > before);
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(page.road().builds.front().run.time_s == before);
    Q_EMIT w.find<QComboBox>("roadAxle")->activated(2);
    CHECK(w.window->document().day().article.vehicle.drivenAxle == DrivenAxle::All);

    w.trigger("road.as_use");
    const auto* weights = std::get_if<SpeedWeights>(&w.window->document().day().plan.use);
    REQUIRE(weights);
    CHECK(weights->size() > 5);
    REQUIRE(w.settled());
    CHECK(w.analysis().settings.use);
}

TEST_CASE("a course of one's own is read from a file, one that cannot be meant is refused") {
    OpenWindow w(test::boostDay());
    w.window->showPage("road");
    auto& page = *w.find<RoadPage>("roadPage");
    std::ofstream(w.folder.path() / "moor.csv") << "length [m],gradient [%]\n300,2\n200,-1\n";
    w.dialogs.file = QString::fromStdString((w.folder.path() / "moor.csv").string());
    w.trigger("road.file");
    CHECK(page.road().course.name == "moor");
    CHECK(w.text("roadAnswer").contains(u"the course moor"_s));
    std::ofstream(w.folder.path() / "wrong.csv") << "length [m],gradient [%]\n-3,2\n200,-1\n";
    w.dialogs.file = QString::fromStdString((w.folder.path() / "wrong.csv").string());
    w.trigger("road.file");
    CHECK(w.dialogs.errors.size() == 1);
    CHECK(page.road().course.name == "moor"); // it stays

    // The day keeps it, also when the file is gone; undone it is the hill again.
    CHECK(w.window->document().day().plan.course->length_m() == 500.0);
    auto* choice = w.find<QComboBox>("courseChoice");
    CHECK(choice->currentText() == u"moor"_s);
    const int all = choice->count();
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK_FALSE(w.window->document().day().plan.course);
    CHECK(page.road().course.name == "larkfell-hill");
    CHECK(choice->count() == all - 1);
}

TEST_CASE("a run that was timed gives the drag area, undoable; one that cannot be says so") {
    OpenWindow w(test::boostDay());
    w.window->showPage("road");
    auto& page = *w.find<RoadPage>("roadPage");
    drive(w, "standing-quarter-mile");
    REQUIRE(w.settled());
    const double before = *w.window->document().day().article.vehicle.dragArea_m2;
    const double time = page.road().build("A")->run.time_s;
    auto* button = w.find<QPushButton>("timedFit");
    button->click();
    CHECK(w.text("timedSaid").contains(u"Type the time"_s));
    test::typeNumber(w.find<NumberField>("timedTime"), QString::number(time + 0.3, 'f', 2));
    button->click();
    REQUIRE(w.settled());
    const double fitted = *w.window->document().day().article.vehicle.dragArea_m2;
    CHECK(fitted > before);
    CHECK(page.road().build("A")->run.time_s == Approx(time + 0.3).margin(0.02));
    CHECK(w.text("timedSaid").contains(u"gives the run"_s));
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(*w.window->document().day().article.vehicle.dragArea_m2 == before);

    test::typeNumber(w.find<NumberField>("timedTime"), u"2"_s);
    w.find<QComboBox>("timedWhat")->setCurrentIndex(1);
    button->click();
    CHECK(w.text("timedSaid").contains(u"No launch speed"_s));
    CHECK(*w.window->document().day().article.vehicle.dragArea_m2 == before);
}

TEST_CASE("the sheet says what the pair is worth on the day's course, when it keeps one") {
    OpenWindow w(test::boostDay());
    w.window->showPage("report");
    REQUIRE(w.settled());
    auto& report = *w.find<ReportPage>("reportPage");
    const size_t sheets = report.sheets().size();
    CHECK_FALSE(report.shownText().contains(u"Larkfell"_s));
    CHECK_FALSE(w.find<QCheckBox>("section11")->isVisible()); // the day keeps no course
    CHECK_FALSE(w.find<QCheckBox>("section5")->isVisible());  // and no checks
    w.window->showPage("road");
    drive(w, "larkfell-hill");
    w.window->showPage("report");
    REQUIRE(w.settled());
    CHECK(report.sheets().size() == sheets + 1);
    CHECK(w.find<QCheckBox>("section11")->isVisible());
    CHECK(report.shownText().contains(u"Over the Larkfell hill, B is"_s));
    CHECK(report.shownText().contains(u"shift out of gear 1"_s));
}

TEST_CASE("a vehicle that cannot be driven says what is missing") {
    OpenWindow w; // the flat twin's frame has no gears
    w.window->showPage("road");
    CHECK(w.text("roadAnswer").contains(u"Nothing can be driven yet"_s));
    CHECK(w.text("roadAnswer").contains(u"gears"_s));
    CHECK_FALSE(w.find<Board>("roadSpeed")->isVisible());
}

TEST_CASE("one speed held needs no vehicle: a boat's engine is compared there, and the day keeps it") {
    OpenWindow w; // the flat twin's frame has no gears
    w.window->showPage("road");
    auto& page = *w.find<RoadPage>("roadPage");
    CHECK_FALSE(w.find<NumberField>("heldRpm")->isVisible());
    drive(w, "held");
    REQUIRE(w.settled());
    REQUIRE(page.held());
    CHECK(w.text("roadAnswer").contains(u"Held at"_s));
    CHECK(w.find<NumberField>("heldRpm")->isVisible());
    CHECK_FALSE(w.find<NumberField>("roadDrag")->isVisible());
    CHECK_FALSE(w.find<Board>("roadLead")->isVisible());
    CHECK(w.find<Board>("roadSpeed")->content().series.size() == 2);
    CHECK(w.text("roadColumn0").contains(u"Power held"_s));
    CHECK(w.text("roadCaution").isEmpty());
    CHECK(page.canCopy());
    page.copyTable();
    page.copyPicture();

    test::typeNumber(w.find<NumberField>("heldRpm"), u"4 800"_s);
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.course->held == HeldSpeed{4800.0, 150.0});
    CHECK(w.text("roadAnswer").contains(u"4\u00A0800"_s));
    test::typeNumber(w.find<NumberField>("heldHalf"), u"9000"_s); // wider than the speed itself
    CHECK(w.window->document().day().plan.course->held == HeldSpeed{4800.0, 150.0});
    CHECK(w.find<NumberField>("heldHalf")->number() == 150.0);
    w.window->selection().setPair("B", "A");
    CHECK(w.text("roadAnswer").contains(u"A gives"_s));

    w.trigger("road.as_use");
    CHECK(w.window->document().day().plan.use == WantedUse{HeldSpeed{4800.0, 150.0}});
    REQUIRE(w.settled());
    w.window->showPage("report");
    REQUIRE(w.settled());
    CHECK(w.find<ReportPage>("reportPage")->shownText().contains(u"power held"_s));

    w.window->showPage("road");
    test::typeNumber(w.find<NumberField>("heldRpm"), u"25000"_s);
    REQUIRE(w.settled());
    CHECK(w.text("roadAnswer").contains(u"outside what all pulls share"_s));
    CHECK_FALSE(page.canCopy());
    while (w.window->document().undoStack().canUndo())
        w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK_FALSE(page.held());
}
