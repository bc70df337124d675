// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/road/road_page.h"
#include "app_support.h"

#include <fstream>
#include <QComboBox>

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
    CHECK(page.canCopy());
    page.copyTable();
    page.copyPicture();

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
}

TEST_CASE("a vehicle that cannot be driven says what is missing") {
    OpenWindow w; // the flat twin's frame has no gears
    w.window->showPage("road");
    CHECK(w.text("roadAnswer").contains(u"Nothing can be driven yet"_s));
    CHECK(w.text("roadAnswer").contains(u"gears"_s));
    CHECK_FALSE(w.find<Board>("roadSpeed")->isVisible());
}
