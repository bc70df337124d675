// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What is watched while a pull runs: the window turns over, a tone sounds, limits are edited, tones are tried.

#include "app/pull/alarm_panel.h"
#include "app/pull/limits_dialog.h"
#include "app/shell/settings_dialog.h"
#include "app_support.h"
#include "cell/simcell_process.h"
#include "core/plan/usual_limits.h"

#include <QAccessible>
#include <QComboBox>
#include <QPushButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
using test::Simcell;

namespace {

test::TestTones& tonesOf(OpenWindow& w) { return dynamic_cast<test::TestWindow&>(*w.window).tones(); }

LimitCrossing crossing(const char* channel, LimitSide side, double limit, double worst) {
    return {{channel, side, limit}, 1.0, worst, worst, 1.0};
}

/// Crossings of the zero line a second; twice the pitch of a pure tone.
long crossingsIn(const std::vector<std::int16_t>& samples, size_t from, size_t count) {
    long out = 0;
    for (size_t i = from + 1; i < from + count; ++i)
        out += (samples[i - 1] < 0) != (samples[i] < 0) ? 1 : 0;
    return out;
}

} // namespace

TEST_CASE("a limit that is passed turns the window over and sounds; closing the throttle ends it") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"4"_s});
    OpenWindow w;
    QSettings().setValue(u"pull/tone"_s, u"beeps"_s);
    w.window->cell().setLinks({*linkAddressFrom(u"tcp://"_s + cell.place(u"telemetry"_s))});
    REQUIRE(test::waitFor([&] { return !w.window->cell().now()->stale; }));
    w.window->showPage("pull");
    CHECK(w.text("watchedText").startsWith(u"6 of 7 limits watched"_s)); // no air-fuel ratio beside lambda
    cell.ask(u"start"_s);
    cell.ask(u"fault oil_starved 3500 300"_s);
    w.trigger("pull.arm");
    w.window->showPage("compare"); // somebody looks at something else
    auto* panel = w.find<AlarmPanel>("alarmPanel");
    cell.say(u"pull"_s);
    REQUIRE(test::waitFor([&] { return panel->isVisible(); }));
    CHECK(w.window->pageShown() == "pull");
    CHECK(panel->size() == w.window->size());
    CHECK(tonesOf(w).sounds);
    CHECK(tonesOf(w).played == std::vector{Tone::Beeps});
    CHECK(panel->spokenText().startsWith(u"Close the throttle. Oil pressure"_s));
    w.window->resize(1100, 760);
    CHECK(panel->size() == w.window->size());
    REQUIRE(test::waitFor([&] { return w.window->cell().now()->recorder == RecorderState::Ending; }, 15000));
    REQUIRE(test::waitFor([&] { return !tonesOf(w).sounds; }));
    REQUIRE(test::waitFor([&] { return !panel->isVisible(); }));
    REQUIRE(test::waitFor([&] { return w.window->flow().slip().has_value(); }));
    const PullSlip& slip = *w.window->flow().slip();
    CHECK(slip.suspicious);
    CHECK(slip.lines.front().kind == "note"); // what was noted while it ran stands first
    CHECK(findPull(w.window->document().day(), slip.pull)->note.find("Oil pressure") != std::string::npos);
}

TEST_CASE("a key says that the alarm was seen; it stays away until another limit is passed") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"2"_s});
    OpenWindow w;
    w.window->cell().setLinks({*linkAddressFrom(u"tcp://"_s + cell.place(u"telemetry"_s))});
    REQUIRE(test::waitFor([&] { return !w.window->cell().now()->stale; }));
    w.window->document().edit(u"limits"_s, [](TestDay& day) {
        day.article.limits = {{"oil_pressure", LimitSide::Below, 200.0}, {"throttle", LimitSide::Above, 95.0}};
    });
    w.window->showPage("pull");
    CHECK(w.text("watchedText").startsWith(u"2 of 2 limits"_s));
    cell.ask(u"start"_s);
    cell.ask(u"fault oil_starved 4500 300"_s);
    w.trigger("pull.arm");
    cell.say(u"pull"_s);
    auto* panel = w.find<AlarmPanel>("alarmPanel");
    REQUIRE(test::waitFor([&] { return panel->isVisible(); }));
    CHECK(panel->spokenText().contains(u"Throttle"_s));
    CHECK(tonesOf(w).sounds);
    QTest::keyClick(panel, Qt::Key_Space);
    CHECK_FALSE(panel->isVisible());
    CHECK_FALSE(tonesOf(w).sounds);
    QTest::qWait(300);
    CHECK_FALSE(panel->isVisible());
    REQUIRE(test::waitFor([&] { return panel->isVisible(); }, 15000)); // the oil
    CHECK(w.window->cell().now()->passed.size() == 2);
    CHECK(tonesOf(w).sounds);
    QTest::mouseClick(panel, Qt::LeftButton);
    CHECK_FALSE(panel->isVisible());
    CHECK_FALSE(tonesOf(w).sounds);
}

TEST_CASE("one word for each limit") {
    const auto word = [](const char* channel, LimitSide side) { return alarmWord({channel, side, 1.0}).toStdString(); };
    CHECK(word("oil_pressure", LimitSide::Below) == "OIL");
    CHECK(word("oil_temperature", LimitSide::Above) == "OIL");
    CHECK(word("coolant_temperature", LimitSide::Above) == "COOLANT");
    CHECK(word("exhaust_gas_temperature", LimitSide::Above) == "EXHAUST");
    CHECK(word("fuel_pressure", LimitSide::Below) == "FUEL");
    CHECK(word("knock_retard", LimitSide::Above) == "KNOCK");
    CHECK(word("lambda", LimitSide::Above) == "LEAN");
    CHECK(word("air_fuel_ratio", LimitSide::Below) == "RICH");
    CHECK(word("manifold_pressure", LimitSide::Above) == "BOOST");
    CHECK(word("gearbox_temperature", LimitSide::Above) == "GEARBOX_TEMPERATURE");
}

TEST_CASE("the panel is drawn whole with many limits on a small window") {
    QWidget over;
    over.resize(640, 360);
    AlarmPanel panel(&over);
    over.show();
    panel.raiseFor({crossing("oil_pressure", LimitSide::Below, 150, 96),
                    crossing("lambda", LimitSide::Above, 1.02, 1.3),
                    crossing("coolant_temperature", LimitSide::Above, 110, 118),
                    crossing("knock_retard", LimitSide::Above, 6, 9.5)});
    CHECK(panel.isVisible());
    const QImage picture = panel.grab().toImage();
    for (int x = 0; x < picture.width(); ++x) { // nothing reaches the edges
        CHECK(picture.pixelColor(x, 2) == QColor(0xA3261D));
        CHECK(picture.pixelColor(x, picture.height() - 3) == QColor(0xA3261D));
    }
    long white = 0;
    for (int y = 0; y < picture.height(); ++y)
        white += picture.pixelColor(picture.width() / 2, y).lightness() > 200 ? 1 : 0;
    CHECK(white > 20);
}

TEST_CASE("limits are edited with the article, undone, and usual again") {
    OpenWindow w;
    const auto limits = [&] { return w.window->document().day().article.limits; };
    const auto open = [&] {
        w.trigger("pull.limits");
        return w.find<LimitsDialog>("limitsDialog");
    };
    LimitsDialog* dialog = open();
    auto* oil = dialog->findChild<NumberField*>(u"limit_oil_pressure"_s);
    auto* fuel = dialog->findChild<NumberField*>(u"limit_fuel_pressure"_s);
    REQUIRE(oil->number() == 150.0);
    CHECK_FALSE(fuel->number());
    CHECK_FALSE(dialog->limits()); // as it is: the usual ones
    test::typeNumber(oil, u"180"_s);
    test::typeNumber(fuel, u"250"_s);
    test::typeNumber(dialog->findChild<NumberField*>(u"limit_lambda"_s), u"0,98"_s); // a comma is one too
    dialog->findChild<QPushButton*>(u"acceptLimits"_s)->click();
    REQUIRE(limits());
    CHECK(limits()->size() == usualLimits(w.window->document().day().article).size() + 1);
    CHECK(limits()->at(0).value == 180.0);
    CHECK(limits()->at(1).channel == "fuel_pressure");
    CHECK(limits()->at(1).side == LimitSide::Below);
    w.trigger("edit.undo");
    CHECK_FALSE(limits());
    w.trigger("edit.redo");
    REQUIRE(limits());
    QTest::qWait(10);
    dialog = open();
    CHECK(dialog->findChild<NumberField*>(u"limit_lambda"_s)->number() == 0.98);
    dialog->findChild<QPushButton*>(u"usualLimits"_s)->click();
    dialog->findChild<QPushButton*>(u"acceptLimits"_s)->click();
    CHECK_FALSE(limits());
    QTest::qWait(10);
    dialog = open(); // one that cannot be read keeps the dialog open
    oil = dialog->findChild<NumberField*>(u"limit_oil_pressure"_s);
    oil->selectAll();
    QTest::keyClicks(oil, u"low"_s);
    dialog->findChild<QPushButton*>(u"acceptLimits"_s)->click();
    CHECK(dialog->isVisible());
    CHECK_FALSE(limits());
}

TEST_CASE("a limit of a channel that is not offered stays") {
    OpenWindow w;
    w.window->document().edit(u"limits"_s, [](TestDay& day) {
        day.article.limits = {{"gearbox_temperature", LimitSide::Above, 120.0, R"({"why":"seals"})"}};
    });
    w.trigger("pull.limits");
    auto* dialog = w.find<LimitsDialog>("limitsDialog");
    CHECK(dialog->findChild<NumberField*>(u"limit_gearbox_temperature"_s)->number() == 120.0);
    CHECK(dialog->limits() == w.window->document().day().article.limits);
}

TEST_CASE("what a newer program wrote beside a limit stays when its value is changed") {
    Article article;
    article.limits = {{"oil_pressure", LimitSide::Below, 150.0, R"({"why":"old bearings"})"}};
    LimitsDialog dialog(article, nullptr);
    test::typeNumber(dialog.findChild<NumberField*>(u"limit_oil_pressure"_s), u"170"_s);
    REQUIRE(dialog.limits());
    CHECK(dialog.limits()->front() == WatchLimit{"oil_pressure", LimitSide::Below, 170.0, R"({"why":"old bearings"})"});
}

TEST_CASE("the tone is chosen and tried in the settings, and a silent desktop is told") {
    OpenWindow w;
    w.trigger("app.settings");
    auto* dialog = w.find<SettingsDialog>("settingsDialog");
    auto* tone = dialog->findChild<QComboBox*>(u"toneSetting"_s);
    CHECK(tone->currentIndex() == static_cast<int>(Tone::Alternating));
    tone->setCurrentIndex(static_cast<int>(Tone::Steady));
    dialog->findChild<QPushButton*>(u"tryTone"_s)->click();
    CHECK(tonesOf(w).played == std::vector{Tone::Steady});
    CHECK(tonesOf(w).seconds == 1.5); // for a moment only, by itself: an alarm that comes then is not cut off
    Q_EMIT tonesOf(w).silent(u"No sound server."_s);
    CHECK(dialog->findChild<QLabel*>(u"toneText"_s)->isVisible());
    CHECK(dialog->findChild<QLabel*>(u"toneText"_s)->text().contains(u"No sound server."_s));
    dialog->findChild<QPushButton*>(u"limitsSetting"_s)->click();
    w.find<LimitsDialog>("limitsDialog")->reject();
    dialog->findChild<QPushButton*>(u"acceptSettings"_s)->click();
    CHECK(QSettings().value(u"pull/tone"_s).toString() == u"steady"_s);
}

TEST_CASE("without a day there are no limits to edit") {
    OpenWindow w(test::kNoDay);
    CHECK_FALSE(w.action("pull.limits")->isEnabled());
    w.window->showPage("pull");
    CHECK_FALSE(w.find<QLabel>("watchedText")->isVisible());
    w.trigger("app.settings");
    CHECK_FALSE(w.find<SettingsDialog>("settingsDialog")->findChild<QPushButton*>(u"limitsSetting"_s)->isEnabled());
}

TEST_CASE("each tone has its pitch and its rhythm, and starts without a click") {
    constexpr size_t kSecond = kToneRate_hz;
    const auto steady = toneSamples(Tone::Steady, 0, kSecond);
    CHECK(crossingsIn(steady, 0, kSecond) == Approx(2000).margin(4)); // 1000 Hz
    CHECK(std::abs(steady[1]) < 400);
    const auto turns = toneSamples(Tone::Alternating, 0, kSecond);
    CHECK(crossingsIn(turns, 0, kSecond / 4) == Approx(350).margin(4)); // 700 Hz for a quarter second
    CHECK(crossingsIn(turns, kSecond / 4, kSecond / 4) == Approx(500).margin(4));
    const auto beeps = toneSamples(Tone::Beeps, 0, kSecond);
    CHECK(crossingsIn(beeps, 0, 5760) == Approx(480).margin(4)); // 2000 Hz for 0.12 s
    CHECK(std::all_of(beeps.begin() + 5800, beeps.begin() + 11500, [](auto v) { return v == 0; }));
    CHECK(*std::max_element(turns.begin(), turns.end()) > 24000);
    // In pieces it is the same tone.
    const auto piece = toneSamples(Tone::Alternating, 12345, 500);
    CHECK(std::equal(piece.begin(), piece.end(), turns.begin() + 12345));
    const auto none = toneSamples(Tone::None, 0, 100);
    CHECK(std::all_of(none.begin(), none.end(), [](auto v) { return v == 0; }));
    for (int i = 0; i < 4; ++i)
        CHECK(static_cast<int>(toneNamed(QLatin1StringView(toneName(static_cast<Tone>(i))))) == i);
    CHECK(toneNamed(u"trumpet"_s) == Tone::Alternating);
    CHECK(toneChoices().size() == 4);
}
