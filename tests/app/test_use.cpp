// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/field_pane.h"
#include "app/frame/use_dialog.h"
#include "app/look/fields.h"
#include "app/look/words.h"
#include "app_support.h"

#include <QRadioButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using hillrun::test::OpenWindow;

namespace {

struct OpenUse {
    explicit OpenUse(WantedUse use = {}, SpeedsOnCourse speeds = nullptr) : onCourse(std::move(speeds)) {
        day.article.engine.redLine_rpm = 7000.0;
        day.article.vehicle.gears = {3.2, 2.0, 1.4};
        day.plan.use = std::move(use);
        dialog = std::make_unique<UseDialog>(day, RpmRange{2500.0, 7000.0}, onCourse, look, nullptr);
        dialog->show();
    }
    template <class Widget> Widget& find(const char* name) {
        auto* out = dialog->findChild<Widget*>(QLatin1StringView(name));
        REQUIRE(out);
        return *out;
    }
    void type(const char* field, const QString& text) {
        auto& line = find<NumberField>(field);
        line.setFocus();
        line.selectAll();
        QTest::keyClicks(&line, text);
        line.finish();
    }

    SpeedsOnCourse onCourse;
    Look look;
    TestDay day;
    std::unique_ptr<UseDialog> dialog;
};

} // namespace

TEST_CASE("each way to say a use comes out of its dialog as it went in") {
    for (const WantedUse& use :
         {WantedUse{}, WantedUse{RpmRange{4500.0, 6500.0}}, WantedUse{HeldSpeed{5500.0, 200.0}},
          WantedUse{ShiftToShift{3}}, WantedUse{SpeedWeights{{3000.0, 0.0}, {5000.0, 10.0}, {7000.0, 4.0}}}}) {
        OpenUse w(use);
        INFO(use.index());
        CHECK(w.dialog->use() == use);
    }
}

TEST_CASE("weights that are finer than the bars stay as they are until one is drawn") {
    const SpeedWeights fine{{2800.0, 0.0}, {3130.0, 0.7}, {3170.0, 0.1}, {6900.0, 0.3}, {9000.0, 0.0}};
    OpenUse w(fine);
    CHECK(w.dialog->use() == WantedUse{fine});
    auto& bars = w.find<WeightBars>("weightBars");
    bars.setFocus();
    QTest::keyClick(&bars, Qt::Key_Right);
    CHECK(w.dialog->use() == WantedUse{fine}); // looked at only
    QTest::keyClick(&bars, Qt::Key_4);
    const auto drawn = std::get<SpeedWeights>(w.dialog->use());
    CHECK(drawn[1] == RpmWeight{3000.0, 4.0});
    CHECK(drawn.size() == 10);
}

TEST_CASE("typing into a way to say the use chooses it") {
    OpenUse w;
    w.type("useHeldField", u"5\u00A0400"_s);
    CHECK(w.find<QRadioButton>("useHeld").isChecked());
    CHECK(w.dialog->use() == WantedUse{HeldSpeed{5400.0, 150.0}});
    w.type("useHighField", u"6000"_s);
    CHECK(w.dialog->use() == WantedUse{RpmRange{2500.0, 6000.0}});
}

TEST_CASE("the time at each speed on a course is a use, where there are curves to drive") {
    std::vector<std::string> driven;
    const SpeedWeights weights{{3000.0, 0.2}, {5000.0, 0.8}};
    OpenUse w({}, [&](const Course& course) {
        driven.push_back(course.name);
        return course.name == "60-100" ? CourseSpeeds{{}, {"road.too_slow"}} : CourseSpeeds{weights, {}};
    });
    CHECK(driven.empty()); // nothing is driven before somebody asks
    w.find<QRadioButton>("useCourse").click();
    CHECK(driven.size() == 1);
    CHECK(w.dialog->use() == WantedUse{weights});
    CHECK(w.find<QLabel>("useCourseWords").text().contains(u"5\u00A0000"_s));
    auto& courses = w.find<QComboBox>("useCourseField");
    const int slow = static_cast<int>(std::find(driven.begin(), driven.end(), "60-100") - driven.begin());
    REQUIRE(slow == 1); // not driven yet
    for (int row = 0; row < courses.count() && driven.back() != "60-100"; ++row) {
        courses.setCurrentIndex(row);
        Q_EMIT courses.activated(row);
    }
    REQUIRE(driven.back() == "60-100");
    w.dialog->accept();
    CHECK(w.dialog->isVisible()); // it cannot be driven: that is no use
    CHECK(w.find<QLabel>("useCourseWords").text().contains(u"not there"_s));

    OpenUse without;
    CHECK_FALSE(without.find<QRadioButton>("useCourse").isEnabled());
    OpenUse own;
    own.day.plan.course = Course{"moor", {{100.0, 0.0}}};
    UseDialog dialog(own.day, {2500.0, 7000.0}, nullptr, own.look, nullptr);
    CHECK(dialog.findChild<QComboBox*>(u"useCourseField"_s)->itemText(0).contains(u"moor"_s));
}

TEST_CASE("a use that cannot be meant is not taken") {
    OpenUse w;
    w.type("useHighField", u"2000"_s);
    w.dialog->accept();
    CHECK(w.dialog->isVisible());
    w.type("useHighField", u"x"_s);
    w.dialog->accept();
    CHECK(w.dialog->isVisible());
    w.type("useHighField", u"5000"_s);
    w.dialog->accept();
    CHECK_FALSE(w.dialog->isVisible());
    CHECK(w.dialog->result() == QDialog::Accepted);
}

TEST_CASE("the gears that can be shifted into are offered with the speeds that they cover") {
    OpenUse w;
    const auto& gears = w.find<QComboBox>("useGearField");
    REQUIRE(gears.count() == 2);
    CHECK(gears.itemData(0).toInt() == 2);
    CHECK(w.find<QLabel>("useGearRange").text() == u"%1 rpm"_s.arg(rangeText({4375.0, 7000.0}))); // 7000 * 2.0 / 3.2
    TestDay bare;
    UseDialog without(bare, {2500.0, 7000.0}, nullptr, w.look, nullptr);
    CHECK_FALSE(without.findChild<QRadioButton*>(u"useGear"_s)->isEnabled());
}

TEST_CASE("weights are drawn with the pointer, stepped with the arrows and typed as digits") {
    OpenUse w;
    auto& bars = w.find<WeightBars>("weightBars");
    bars.setFocus();
    QTest::keyClick(&bars, Qt::Key_3);
    QTest::keyClick(&bars, Qt::Key_Right);
    QTest::keyClick(&bars, Qt::Key_Up);
    CHECK(w.find<QRadioButton>("useWeights").isChecked());
    auto weights = std::get<SpeedWeights>(w.dialog->use());
    CHECK(weights[0] == RpmWeight{2500.0, 3.0});
    CHECK(weights[1].weight == 6.0);
    CHECK(bars.spokenItem(1).contains(u"6"_s));
    const QRect last = bars.spokenRect(bars.spokenCount() - 1);
    QTest::mouseClick(&bars, Qt::LeftButton, {}, {last.center().x(), last.top()});
    CHECK(std::get<SpeedWeights>(w.dialog->use()).back().weight == 10.0);
    for (int i = 0; i < bars.spokenCount(); ++i) {
        bars.chooseSpoken(i);
        QTest::keyClick(&bars, Qt::Key_0);
    }
    w.dialog->accept(); // nothing counts: no use
    CHECK(w.dialog->isVisible());
}

TEST_CASE("a weighted use weights the mean of a pair, the field and its ground, and is said") {
    OpenWindow w(test::runnerDay());
    w.window->showPage("compare");
    QTest::keyClick(w.window.get(), Qt::Key_F);
    w.dialogs.use = SpeedWeights{{3000.0, 0.0}, {4000.0, 10.0}, {5000.0, 0.0}};
    w.trigger("day.use");
    REQUIRE(w.settled());
    const Comparison& pair = w.analysis().comparisons.front();
    const auto band = std::find_if(pair.bands.begin(), pair.bands.end(), [](const auto& b) { return b.weighted; });
    REQUIRE(band != pair.bands.end());
    CHECK(band->range_rpm == RpmRange{3000.0, 5000.0});
    CHECK(w.text("caution").contains(u"weighted, chosen after looking"_s));
    const auto& shades = w.window->findChild<Board*>(u"fieldBoard"_s)->content().shades;
    CHECK(shades.size() == 2);
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(w.window->findChild<Board*>(u"fieldBoard"_s)->content().shades.size() == 1); // the range of the day
}
