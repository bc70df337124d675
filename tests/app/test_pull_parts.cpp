// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/change_dialog.h"
#include "app/look/fields.h"
#include "app/pull/links_dialog.h"
#include "app/pull/live_content.h"
#include "app_support.h"

#include <cmath>
#include <QSignalSpy>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

struct LiveDemo {
    TestDay day = readDay(test::demoDay());
    DayAnalysis analysis = [this] {
        DrawCache cache;
        return analyse(day, {}, cache);
    }();
    Theme theme = Theme::paper();
    LiveSnapshot live;
    BoardContent content(const LiveView& view) { return liveContent(day, &analysis, live, view, theme); }
};

} // namespace

TEST_CASE("the live board shows the running pull over the ghost of the last good one") {
    LiveDemo demo;
    demo.live.recorder = RecorderState::Running;
    demo.live.traceSpeed_rpm = {2500.0, 3000.0, 3500.0};
    demo.live.traceTorque_nm = {80.0, 85.0, 90.0};
    BoardContent content = demo.content({"A", "", Quantity::Power, {}});
    REQUIRE(content.series.size() == 2);
    CHECK(content.series[0].label == u"p11"_s); // the newest used pull of A
    CHECK(content.series[1].y[1] == Approx(85.0 * 3000.0 * 2.0 * M_PI / 60.0 / 1000.0));
    CHECK(content.xRange->low == Approx(2200.0)); // the planned range
    CHECK(content.title.contains(u"not corrected"_s));
    content = demo.content({"A", "", Quantity::Torque, {PowerUnit::Horsepower, TorqueUnit::PoundFoot}});
    CHECK(content.series[1].y[0] == Approx(80.0 / 1.3558179483).epsilon(1e-6));
    CHECK(content.title.startsWith(u"Torque, lbf"_s));
}

TEST_CASE("after the pull the board shows it, uncorrected, beside the one before") {
    LiveDemo demo;
    const BoardContent content = demo.content({"A", "p11", Quantity::Torque, {}});
    REQUIRE(content.series.size() == 2);
    CHECK(content.series[0].label == u"p10"_s);
    CHECK(content.series[1].label == u"p11"_s);
    const Curve& curve = *demo.analysis.pulls[10].curve;
    CHECK(content.series[1].y[20] == Approx(curve.torque_nm[20] / curve.air.factor));
}

TEST_CASE("a build without pulls has no ghost, a day without anything an empty board") {
    LiveDemo demo;
    demo.day.builds.push_back({.id = "C"});
    CHECK(demo.content({"C", "", Quantity::Power, {}}).series.empty());
    const BoardContent empty = liveContent({}, nullptr, {}, {}, demo.theme);
    CHECK(empty.series.empty());
    CHECK_FALSE(empty.xRange);
}

TEST_CASE("without a plan the range follows what is shown") {
    LiveDemo demo;
    demo.day.plan = {};
    demo.live.recorder = RecorderState::Running;
    demo.live.traceSpeed_rpm = {2500.0, 3000.0};
    demo.live.traceTorque_nm = {80.0, 85.0};
    const BoardContent first = demo.content({"none", "", Quantity::Power, {}});
    CHECK(first.xRange->high == Approx(4500.0)); // room ahead of the first pull
}

TEST_CASE("a number field knows what is not known") {
    NumberField field(u"f"_s, u"Mass"_s, 10.0, 500.0, 1, u"kg"_s, nullptr);
    QSignalSpy edited(&field, &NumberField::edited);
    CHECK_FALSE(field.number());
    CHECK(field.text() == u"\u2013"_s);
    field.show(std::optional(123.4));
    CHECK(field.number() == 123.4);
    CHECK(edited.isEmpty()); // showing is not editing
    field.selectAll();
    QTest::keyClicks(&field, u"77.5"_s);
    QTest::keyClick(&field, Qt::Key_Return);
    REQUIRE(edited.size() == 1);
    CHECK(field.number() == 77.5);
    QTest::keyClick(&field, Qt::Key_Return); // nothing new
    CHECK(edited.size() == 1);
    field.selectAll();
    QTest::keyClick(&field, Qt::Key_Delete);
    QTest::keyClick(&field, Qt::Key_Return);
    CHECK(edited.size() == 2);
    CHECK_FALSE(field.number());
    field.show(std::nullopt);
    CHECK(edited.size() == 2);
    CHECK(field.toolTip().contains(u"kg"_s));
}

TEST_CASE("the dialog for a change shows what the plan says and keeps what is typed") {
    const TestDay day = readDay(test::demoDay());
    ChangeDialog dialog(day, "A", "B", nullptr);
    dialog.show();
    CHECK(dialog.to() == "B");
    auto* planned = dialog.findChild<QLabel*>(u"changePlanned"_s);
    CHECK(planned->text() == u"By the plan: collector: 450 mm \u2192 600 mm"_s);
    auto* note = dialog.findChild<QPlainTextEdit*>(u"changeNote"_s);
    QTest::keyClicks(note, u"new gasket"_s);
    CHECK(dialog.note() == u"new gasket"_s);
    dialog.findChild<QComboBox*>(u"changeTo"_s)->setCurrentIndex(0);
    CHECK(dialog.to() == "A");
    CHECK(planned->text().contains(u"nothing changes"_s));
    auto* again = dialog.findChild<QCheckBox*>(u"changeRefitted"_s);
    CHECK(again->isVisible());
    CHECK_FALSE(dialog.refitted());
    again->setChecked(true);
    CHECK(dialog.refitted());
    dialog.findChild<QComboBox*>(u"changeTo"_s)->setCurrentIndex(1); // another build is a set of its own anyway
    CHECK_FALSE(again->isVisible());
    CHECK_FALSE(dialog.refitted());
}

TEST_CASE("connections survive being kept, also with odd names") {
    QSettings().clear();
    SettingsStore settings;
    CHECK(keptLinks(settings).empty());
    const std::vector<NamedLink> links{
        {u"Cell, one"_s, *linkAddressFrom(u"tcp://10.0.0.2:5020"_s), true},
        {u"Roof; station"_s, *linkAddressFrom(u"nmea-serial:/dev/ttyUSB1?baud=4800"_s), false}};
    keepLinks(settings, links);
    CHECK(keptLinks(settings) == links);
    settings.set(settings::kLinks, QStringList{u"broken"_s, u"x\tnowhere\t1"_s});
    CHECK(keptLinks(settings).empty());
}

TEST_CASE("the dialog of connections adds, changes kind and removes") {
    LinksDialog dialog({}, nullptr);
    dialog.show();
    auto* form = dialog.findChild<QLineEdit*>(u"linkHost"_s);
    CHECK_FALSE(form->isEnabled());
    QTest::mouseClick(dialog.findChild<QPushButton*>(u"addLinkButton"_s), Qt::LeftButton);
    REQUIRE(dialog.links().size() == 1);
    CHECK(form->isEnabled());
    auto* kind = dialog.findChild<QComboBox*>(u"linkKind"_s);
    kind->setCurrentIndex(1);
    Q_EMIT kind->activated(1);
    CHECK_FALSE(form->isEnabled()); // a serial line has no host
    auto* device = dialog.findChild<QLineEdit*>(u"linkDevice"_s);
    REQUIRE(device->isEnabled());
    QTest::mouseClick(dialog.findChild<QPushButton*>(u"linkTest"_s), Qt::LeftButton);
    CHECK(dialog.findChild<QLabel*>(u"linkResult"_s)->text() == u"The address is not complete."_s);
    QTest::keyClicks(device, u"/dev/ttyUSB7"_s);
    CHECK(dialog.links()[0].address.text() == u"serial:/dev/ttyUSB7?baud=115200"_s);
    auto* inUse = dialog.findChild<QCheckBox*>(u"linkInUse"_s);
    QTest::mouseClick(inUse, Qt::LeftButton, {}, QPoint(8, inUse->height() / 2));
    CHECK_FALSE(dialog.links()[0].inUse);
    QTest::mouseClick(dialog.findChild<QPushButton*>(u"removeLinkButton"_s), Qt::LeftButton);
    CHECK(dialog.links().empty());
}

TEST_CASE("what is enabled on Prepare and Pull, as a table") {
    test::beginAnew();
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    const auto can = [&](const char* id, const WindowState& state) { return window.registry().enabled(id, state); };
    WindowState s;
    s.page = "pull";
    for (const char* id : {"pull.arm", "pull.by_hand", "pull.change", "pull.keep", "pull.set_aside", "prepare.article"})
        CHECK_FALSE(can(id, s));
    s.dayOpen = s.buildKnown = true;
    CHECK(can("pull.change", s));
    CHECK(can("prepare.article", s));
    CHECK_FALSE(can("pull.arm", s));
    s.linked = true;
    CHECK(can("pull.arm", s));
    CHECK(can("pull.by_hand", s));
    s.pulling = true;
    CHECK_FALSE(can("pull.change", s));
    s.slipShown = true;
    CHECK(can("pull.set_aside", s));
    CHECK_FALSE(can("pull.keep", s));
    s.slipOpen = true;
    CHECK(can("pull.keep", s));
    s.page = "compare";
    CHECK_FALSE(can("pull.keep", s));
    CHECK_FALSE(can("pull.set_aside", s));
    CHECK(can("pull.links", s)); // connections can be named anywhere
}
