// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/gates.h"
#include "app/pull/links_dialog.h"
#include "app/pull/pull_page.h"
#include "app_support.h"
#include "cell/simcell_process.h"
#include "formats/pull_journal.h"

#include <fmt/format.h>
#include <fstream>
#include <QElapsedTimer>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
using test::Simcell;
namespace fs = std::filesystem;

namespace {

/// The demo's day as it is planned, without pulls, in a folder.
fs::path plannedDay(const fs::path& folder) {
    TestDay day = readDay(test::demoDay());
    day.pulls.clear();
    day.changes.clear();
    day.controlWindows.clear(); // the cell of these tests is not warmed up
    day.plan.coolDown_min = 0.5;
    saveDay(day, folder);
    return folder;
}

/// A window on a planned day at a live cell.
struct LiveWindow {
    test::TemporaryFolder folder;
    Simcell cell;
    OpenWindow w;

    explicit LiveWindow(const QStringList& arguments, const QString& spec = QString::fromStdString(
                                                          (test::dataFolder() / "demo" / "flat-twin.json").string()))
        : cell(arguments + QStringList{u"--tcp"_s, u"0"_s, u"--nmea-tcp"_s, u"0"_s}, spec),
          w(plannedDay(folder.path() / "planned")) {
        w.window->showPage("pull");
        w.window->cell().setLinks({*linkAddressFrom(u"tcp://"_s + cell.place(u"telemetry"_s)),
                                   *linkAddressFrom(u"nmea-tcp://"_s + cell.place(u"nmea"_s))});
        REQUIRE(test::waitFor([&] { return !live().stale && live().weather.atmosphere(); }));
    }
    const LiveSnapshot& live() { return *w.window->cell().now(); }
    const TestDay& day() { return w.window->document().day(); }
    PullFlow& flow() { return w.window->flow(); }
    void key(Qt::Key key) { QTest::keyClick(w.window.get(), key); }
    bool slipCame(const std::string& pull, int limit_ms = 20000) {
        return test::waitFor([&] { return flow().slip() && flow().slip()->pull == pull; }, limit_ms);
    }
    void startMotor() {
        cell.ask(u"start"_s);
        QTest::qWait(300);
    }
};

LiveSnapshot liveWith(std::vector<std::pair<const char*, double>> values) {
    LiveSnapshot out;
    for (const auto& [channel, value] : values)
        out.values.push_back({channel, "C", value, ChannelState::Good, 0.1});
    return out;
}

TestDay gatedDay() {
    TestDay day;
    for (const char* channel : {"coolant_temperature", "oil_temperature"}) {
        ControlWindow window;
        window.channel = channel;
        window.low = 82.0;
        window.high = 88.0;
        day.controlWindows.push_back(window);
    }
    day.plan.coolDown_min = 3.0;
    return day;
}

} // namespace

TEST_CASE("gates: each condition in words, as a table") {
    const TestDay day = gatedDay();
    const GateClock fresh{1000.0, std::nullopt, 5.0};
    const struct {
        LiveSnapshot live;
        GateClock clock;
        const char* verdict;
        bool open;
    } rows[] = {
        {liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}}), fresh, "Ready", true},
        {liveWith({{"coolant_temperature", 91}, {"oil_temperature", 85}}), fresh,
         "Wait: coolant 91\u00A0\u00B0"
         "C",
         false},
        {liveWith({{"coolant_temperature", 84}}), fresh, "Oil not known", false},
        {liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}}),
         {1000.0, 940.0, 5.0},
         "Wait: cool-down 2:00",
         false},
        {liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}}), {1000.0, 500.0, 5.0}, "Ready", true},
        {liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}}),
         {1000.0, {}, {}},
         "Wait: weather none",
         false},
        {liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}}),
         {1000.0, {}, 1800.0},
         "Wait: weather 30 min old",
         false},
    };
    for (const auto& row : rows) {
        const auto gates = gatesOf(day, row.live, row.clock);
        CHECK(gateVerdict(gates) == QString::fromUtf8(row.verdict));
        CHECK(gatesOpen(gates) == row.open);
        CHECK(gates.size() == 4);
    }
    LiveSnapshot old = liveWith({{"coolant_temperature", 84}, {"oil_temperature", 85}});
    old.values[1].age_s = 60.0;
    CHECK(gateVerdict(gatesOf(day, old, fresh)) == u"Oil not known"_s);
    CHECK(ageText(45.0) == u"45 s"_s);
    CHECK(ageText(600.0) == u"10 min"_s);
    CHECK(ageText(7200.0) == u"2 h"_s);
}

TEST_CASE("without a cell the Pull page says what to do and cannot arm") {
    OpenWindow w;
    w.window->showPage("pull");
    CHECK_FALSE(w.action("pull.arm")->isEnabled());
    CHECK(w.action("pull.change")->isEnabled());
    CHECK(w.text("linksText").contains(u"Ctrl+L"_s));
    CHECK(w.text("recorderState") == u"not armed"_s);
    CHECK(w.text("nextStep") == u"The plan is done"_s);
    w.window->document().close();
    CHECK(w.text("nextStep") == u"No day is open"_s);
}

TEST_CASE("weather is typed by hand, and a sea-level figure is questioned") {
    OpenWindow w;
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.cell.altitude_m = 640.0; });
    w.window->showPage("pull");
    auto type = [&](const char* name, const QString& text) {
        auto* field = w.find<NumberField>(name);
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
    };
    type("weatherTemperature", u"18.5"_s);
    type("weatherPressure", u"101.3"_s);
    type("weatherHumidity", u"55"_s);
    const auto air = w.window->flow().air();
    REQUIRE(air);
    CHECK(air->pressure_pa == Approx(101300.0));
    CHECK(w.text("weatherFrom").contains(u"sea-level figure"_s));
    type("weatherPressure", u"93.9"_s);
    CHECK(w.text("weatherFrom").contains(u"typed by hand"_s));
    CHECK(w.window->flow().weatherAge_s().value() < 10.0);
}

TEST_CASE("what is typed counts over the station when the operator says so") {
    LiveWindow t({u"--speed"_s, u"10"_s});
    auto* byHand = t.w.find<QCheckBox>("weatherByHand");
    REQUIRE(test::waitFor([&] { return byHand->isVisible(); }));
    auto* pressure = t.w.find<NumberField>("weatherPressure");
    CHECK(pressure->isReadOnly()); // the station fills it in
    QTest::mouseClick(byHand, Qt::LeftButton, {}, QPoint(8, byHand->height() / 2));
    REQUIRE(byHand->isChecked());
    CHECK(test::waitFor([&] { return !pressure->isReadOnly(); }));
    CHECK(t.flow().air()->pressure_pa == Approx(98420.0).margin(200.0)); // begins with the station's
    pressure->setFocus();
    pressure->selectAll();
    QTest::keyClicks(pressure, u"97.5"_s);
    QTest::keyClick(pressure, Qt::Key_Return);
    CHECK(t.flow().air()->pressure_pa == Approx(97500.0));
    t.startMotor();
    t.flow().arm();
    t.cell.say(u"pull"_s);
    REQUIRE(t.slipCame("p01"));
    CHECK(t.day().pulls[0].weather->pressure_pa == Approx(97500.0));
    QTest::mouseClick(byHand, Qt::LeftButton, {}, QPoint(8, byHand->height() / 2));
    CHECK(t.flow().air()->pressure_pa == Approx(98420.0).margin(200.0));
}

TEST_CASE("connections are kept by name, tested, and used again") {
    OpenWindow w;
    Simcell cell({u"--tcp"_s, u"0"_s});
    w.window->showPage("pull");
    w.trigger("pull.links");
    auto* dialog = w.window->findChild<LinksDialog*>();
    REQUIRE(dialog);
    auto find = [&]<class T>(T*, const char* name) { return dialog->findChild<T*>(QLatin1StringView(name)); };
    QTest::mouseClick(find((QPushButton*)nullptr, "addLinkButton"), Qt::LeftButton);
    auto* name = find((QLineEdit*)nullptr, "linkName");
    name->selectAll();
    QTest::keyClicks(name, u"Cell 1"_s);
    auto* port = find((NumberField*)nullptr, "linkPort");
    port->setFocus();
    port->selectAll();
    QTest::keyClicks(port, QString::number(cell.port(u"telemetry"_s)));
    QTest::keyClick(port, Qt::Key_Tab);
    QTest::mouseClick(find((QPushButton*)nullptr, "linkTest"), Qt::LeftButton);
    auto* result = find((QLabel*)nullptr, "linkResult");
    CHECK(test::waitFor([&] { return result->text().contains(u"channels at"_s); }));
    dialog->accept();
    CHECK(test::waitFor([&] { return !w.window->cell().now()->stale; }));
    CHECK(test::waitFor([&] { return w.text("linksText").contains(u"frames/s"_s); }));
    CHECK(w.action("pull.arm")->isEnabled());
    SettingsStore settings;
    const auto kept = keptLinks(settings);
    REQUIRE(kept.size() == 1);
    CHECK(kept[0].name == u"Cell 1"_s);
    CHECK(kept[0].address.port == cell.port(u"telemetry"_s));
    test::TestDialogs dialogs;
    test::TestWindow again(dialogs); // the next start listens by itself
    CHECK(test::waitFor([&] { return !again.cell().now()->stale; }));
}

TEST_CASE("led through pulls by the keyboard: arm, slip, keep, set aside, change") {
    LiveWindow t({u"--speed"_s, u"10"_s});
    CHECK(t.w.text("nextStep").startsWith(u"Pull 1 of 3"_s));
    CHECK(t.w.text("weatherFrom").contains(u"from the station"_s));
    t.startMotor();
    t.key(Qt::Key_A);
    CHECK(test::waitFor([&] { return t.w.text("recorderState") == u"armed"_s; }));
    t.cell.say(u"pull"_s);
    REQUIRE(test::waitFor([&] { return t.w.text("recorderState").startsWith(u"recording"_s); }));
    CHECK(t.w.text("gateVerdict") == u"The pull runs"_s);
    CHECK_FALSE(t.w.action("pull.change")->isEnabled());
    CHECK(test::waitFor([&] { return t.w.find<Board>("liveBoard")->content().series.size() == 1; }));
    REQUIRE(t.slipCame("p01"));
    CHECK(t.w.text("slipHead") == u"p01 First of its build"_s);
    CHECK(t.w.text("nextStep").startsWith(u"Pull 2 of 3"_s));
    CHECK(readDay(t.w.day).pulls.size() == 1); // on disk before anybody said a word
    CHECK(findJournals(t.w.day).empty());
    CHECK(t.day().pulls[0].weather->pressure_pa == Approx(98420.0).margin(200.0));
    t.key(Qt::Key_K);
    CHECK(t.flow().slipAnswered());

    t.cell.say(u"fault breakup 6000 15"_s);
    t.cell.say(u"pull"_s);
    REQUIRE(t.slipCame("p02"));
    CHECK(t.w.text("slipHead") == u"p02 Breakup"_s);
    CHECK(t.w.text("slipLines").contains(u"stumbles"_s));
    CHECK(t.w.text("nextStep").startsWith(u"Keep p02, or set it aside?"_s));
    t.w.dialogs.reason = u"breakup or misfire"_s;
    t.key(Qt::Key_S);
    REQUIRE(t.w.settled());
    CHECK_FALSE(findPull(t.day(), "p02")->use);
    CHECK(readDay(t.w.day).pulls[1].reason == "breakup or misfire");
    CHECK(t.w.text("nextStep").startsWith(u"Pull 2 of 3"_s)); // it is to be made again

    t.w.dialogs.change = BuildChangeAnswer{"B", u"longer collector; plug too"_s};
    t.key(Qt::Key_B);
    REQUIRE(t.day().changes.size() == 1);
    CHECK(t.day().changes[0].note == "longer collector; plug too");
    CHECK(t.day().changes[0].when.substr(0, 10) == "2026-05-16"); // by the cell's clock
    CHECK(t.flow().fitted() == "B");
    CHECK(test::waitFor([&] { return t.w.text("recorderState") == u"armed"_s; }));
    t.cell.say(u"pull"_s);
    REQUIRE(t.slipCame("p03"));
    CHECK(t.day().pulls[2].build == "B");
    CHECK_FALSE(t.day().pulls[2].refitted);
    t.key(Qt::Key_K);
    t.w.dialogs.change = BuildChangeAnswer{"B", {}, true};
    t.key(Qt::Key_B);
    REQUIRE(t.day().changes.size() == 2);
    CHECK(t.day().changes[1].refitted);
    CHECK(test::waitFor([&] { return t.w.text("recorderState") == u"armed"_s; }));
    t.cell.say(u"pull"_s);
    REQUIRE(t.slipCame("p04"));
    CHECK(t.day().pulls[3].refitted); // a set of its own
    t.key(Qt::Key_A);
    CHECK(test::waitFor([&] { return t.w.text("recorderState") == u"not armed"_s; }));
}

TEST_CASE("a slip is there within a second after its pull") {
    LiveWindow t({u"--speed"_s, u"10"_s});
    t.startMotor();
    t.key(Qt::Key_A);
    QElapsedTimer since;
    QObject::connect(&t.w.window->cell(), &CellService::pullRecorded, [&] { since.start(); });
    qint64 took = -1;
    QObject::connect(&t.flow(), &PullFlow::slipReady, [&] { took = since.elapsed(); });
    for (const char* id : {"p01", "p02"}) {
        t.cell.say(u"pull"_s);
        REQUIRE(t.slipCame(id));
        CHECK(took >= 0);
        CHECK(took < 1000);
    }
}

TEST_CASE("by hand: begun and ended with a key, on a cell that never opens its throttle") {
    LiveWindow t({u"--speed"_s, u"2"_s});
    t.startMotor();
    QTest::qWait(2000); // idling for so long that its start is not in the recording
    t.key(Qt::Key_M);
    REQUIRE(test::waitFor([&] { return t.w.text("recorderState").startsWith(u"recording"_s); }));
    CHECK(t.w.action("pull.by_hand")->text() == u"End by hand"_s);
    QTest::qWait(700);
    t.key(Qt::Key_M);
    REQUIRE(t.slipCame("p01"));
    CHECK(t.w.text("slipLines").contains(u"No curve can be made of it"_s));
    CHECK(t.day().pulls.size() == 1); // kept all the same
}

TEST_CASE("a new day can be pulled into at once, and nobody is asked for a file") {
    LiveWindow t({u"--speed"_s, u"5"_s});
    t.w.trigger("day.close");
    t.w.window->showPage("pull");
    auto* begin = t.w.find<QToolButton>("pull.begin_day_large");
    REQUIRE(begin->isVisible());
    QTest::mouseClick(begin, Qt::LeftButton);
    CHECK(t.w.window->pageShown() == "pull");
    CHECK_FALSE(begin->isVisible());
    const fs::path place = t.w.window->document().path();
    CHECK(fs::exists(place / "day.json"));
    CHECK(place.filename().string().starts_with(t.day().date));
    t.key(Qt::Key_A);
    CHECK(t.flow().armed());
    t.w.trigger("day.new"); // a second one of the same date lies beside it
    CHECK(t.w.window->document().path() != place);
    CHECK(fs::exists(place / "day.json"));
}

TEST_CASE("until the first pull the middle of Pull shows what comes in over time") {
    LiveWindow t({u"--speed"_s, u"5"_s});
    t.startMotor();
    t.w.trigger("day.close");
    t.w.trigger("pull.begin_day");
    auto* board = t.w.find<Board>("liveSpeedBoard");
    REQUIRE(test::waitFor([&] { return board->isVisible() && board->content().series.size() == 1; }));
    REQUIRE(test::waitFor([&] { return board->content().series[0].x.front() < -0.5; }));
    CHECK(board->content().series[0].x.back() == 0.0);
    CHECK(board->content().series[0].y.back() > 500.0);
    CHECK(t.w.find<Board>("liveBoard")->content().title.startsWith(u"Power, kW"_s));
}

TEST_CASE("the trail of the last minute") {
    LiveTrail trail;
    LiveSnapshot live;
    trail.take(0.0, live);
    CHECK(trail.empty()); // nothing has come yet
    live.stale = false;
    live.values = {{"engine_speed", "rpm", 3000.0}, {"torque", "N.m", 100.0}};
    for (int i = 0; i <= 700; ++i)
        trail.take(0.11 * i, live);
    trail.take(77.05, live); // sooner than the next tenth: not kept
    const LiveView view{"A", {}, Quantity::Power, {}};
    const BoardContent figure = trail.figure(view, Theme::paper());
    REQUIRE(figure.series.size() == 1);
    CHECK(figure.series[0].x.size() == 546); // a minute in steps of 0.11 s
    CHECK(figure.series[0].x.front() == Approx(-59.95).margin(1e-6));
    CHECK(figure.series[0].y.back() == Approx(31.416).margin(1e-3)); // 100 N.m at 3000 rpm: 314.16 rad/s
    live.stale = true;
    trail.take(77.2, live);
    CHECK(std::isnan(trail.speed(Theme::paper()).series[0].y.back())); // a gap, not a line across it
}

TEST_CASE("where the folder for days cannot be made, a place is asked for before the first pull") {
    LiveWindow t({u"--speed"_s, u"5"_s});
    SettingsStore().set(settings::kDaysFolder, QString(u"/proc/nowhere"_s));
    t.w.trigger("day.new");
    CHECK(t.w.text("noticeText").contains(u"no place yet"_s));
    t.w.window->showPage("pull");
    t.key(Qt::Key_A); // nobody names a place: not armed
    CHECK_FALSE(t.flow().armed());
    t.w.dialogs.target = QString::fromStdString((t.folder.path() / "fresh").string());
    t.key(Qt::Key_A);
    CHECK(t.flow().armed());
    CHECK(fs::exists(t.folder.path() / "fresh" / "day.json"));
}

TEST_CASE("a pull that ends after another day was opened stays with its own") {
    LiveWindow t({u"--speed"_s, u"4"_s});
    t.startMotor();
    t.key(Qt::Key_A);
    t.cell.say(u"pull"_s);
    REQUIRE(test::waitFor([&] { return t.live().recorder == RecorderState::Running && t.live().pullSeconds > 3.0; }));
    t.w.window->openDay(test::boostDay());
    REQUIRE(test::waitFor([&] { return t.w.dialogs.errors.size() == 1; }));
    CHECK(t.w.dialogs.errors[0].contains(u"offered when that day is opened again"_s));
    CHECK(t.day().pulls.size() == 12); // the other day's own
    CHECK_FALSE(t.flow().armed());
    const auto left = leftPulls(t.w.day, readDay(t.w.day));
    REQUIRE(left.size() == 1);
    CHECK(left[0].pull.raw->rows() > 200);
}

TEST_CASE("the cell and the day must agree on the build") {
    LiveWindow t({u"--speed"_s, u"5"_s});
    t.startMotor();
    t.cell.ask(u"build B"_s);
    CHECK(test::waitFor([&] {
        t.flow().keep(); // anything that makes the page look again
        return t.w.text("nextAdvice").contains(u"The cell says build B is fitted"_s);
    }));
}

TEST_CASE("what a crash left is offered at the next start, and taken in or left out") {
    test::TemporaryFolder folder;
    const fs::path day = plannedDay(folder.path() / "day");
    const Pull complete = readDay(test::demoDay()).pulls[0];
    {
        PullJournal journal;
        Pull pull = complete;
        pull.raw = nullptr;
        REQUIRE(journal.begin(day, pull, complete.raw->columns));
        std::vector<double> row(complete.raw->columns.size());
        for (size_t i = 0; i < 700; ++i) {
            for (size_t c = 0; c < row.size(); ++c)
                row[c] = complete.raw->columns[c].values[i];
            journal.row(row);
        }
        journal.finish();
    }
    OpenWindow w(test::kNoDay);
    w.window->openDay(day);
    REQUIRE(w.settled());
    CHECK(w.text("noticeText").contains(u"recordings that are not in the day: p01 of build A, 7.0 s"_s));
    SECTION("taken in") {
        QTest::mouseClick(w.find<QPushButton>("noticeAnswer0"), Qt::LeftButton);
        REQUIRE(w.settled());
        REQUIRE(w.window->document().day().pulls.size() == 1);
        CHECK(w.window->document().day().pulls[0].raw->rows() == 700);
        CHECK(w.window->pageShown() == "check");
        CHECK(findJournals(day).empty());
        CHECK(readDay(day).pulls[0].note == "recovered from its journal");
        CHECK_FALSE(readDay(day).pulls[0].use); // nobody knows what is missing
        CHECK(readDay(day).pulls[0].reason.starts_with("cut short"));
    }
    SECTION("left out, yet not deleted") {
        QTest::mouseClick(w.find<QPushButton>("noticeAnswer1"), Qt::LeftButton);
        CHECK(w.window->document().day().pulls.empty());
        CHECK(findJournals(day).empty());
        CHECK(fs::exists(journalFolder(day) / "p01.csv.dropped"));
    }
}

TEST_CASE("a journal is cleared away without a word only when the day has its rows") {
    test::TemporaryFolder folder;
    const fs::path day = folder.path() / "day";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    const Pull saved = readDay(day).pulls[0];
    const double otherTorque = GENERATE(0.0, 1.0);
    PullJournal journal;
    REQUIRE(journal.begin(day, saved, saved.raw->columns));
    for (size_t i = 0; i < 100; ++i) {
        std::vector<double> row;
        for (const Column& column : saved.raw->columns)
            row.push_back(column.values[i] + (column.name == "torque" && i == 99 ? otherTorque : 0.0));
        journal.row(row);
    }
    CHECK(leftPulls(day, readDay(day)).empty()); // while it is being recorded it is never offered
    CHECK(fs::exists(journal.path()));
    journal.finish();
    CHECK(leftPulls(day, readDay(day)).size() == (otherTorque == 0.0 ? 0 : 1)); // the same id and time say nothing
    CHECK(findJournals(day).size() == (otherTorque == 0.0 ? 0 : 1));
}

TEST_CASE("a whole planned A-B-A day through the window, and Compare shows what was put in") {
    // The demo's engine with a flat +3 % in B, short waits, and its own noise.
    std::string spec = readFileText(test::dataFolder() / "demo" / "flat-twin.json");
    const auto replace = [&](const std::string& from, const std::string& to, const std::string& until) {
        const size_t at = spec.find(from);
        REQUIRE(at != std::string::npos);
        spec.replace(at, spec.find(until, at) + until.size() - at, to);
    };
    replace("\"effects\"", "\"effects\": {\"B\": {\"torque_pct\": [[2400, 3.0], [7900, 3.0]]}},", "]]}\n  },");
    replace("\"order\": [\n", R"("order": [{"build": "A", "pulls": 3, "between_minutes": 0.6},
        {"build": "B", "pulls": 3, "change_minutes": 1.5, "between_minutes": 0.6},
        {"build": "A", "pulls": 3, "change_minutes": 1.5, "between_minutes": 0.6}],)",
            "  ],");
    replace("\"faults\"", "\"faults\": [],", "],");
    replace("\"set_aside\"", "\"set_aside\": {}", "}");
    test::TemporaryFolder folder;
    writeFileSafely(folder.path() / "cell.json", spec);
    LiveWindow t({u"--speed"_s, u"20"_s, u"--seed"_s, u"5"_s},
                 QString::fromStdString((folder.path() / "cell.json").string()));
    t.key(Qt::Key_A);
    REQUIRE(t.flow().armed());
    t.cell.say(u"auto"_s);
    const auto changeTo = [&](const char* build) {
        REQUIRE(
            test::waitFor([&] { return t.flow().progress().needsChange && t.flow().progress().build == build; }, 5000));
        CHECK(t.w.text("nextStep") == u"Fit build %1"_s.arg(QLatin1StringView(build)));
        t.w.dialogs.change = BuildChangeAnswer{build, u"collector"_s};
        t.key(Qt::Key_B);
        CHECK(t.w.dialogs.changeAskedTo == build);
    };
    for (int i = 1; i <= 9; ++i) {
        INFO("pull " << i);
        REQUIRE(t.slipCame(fmt::format("p{:02}", i), 60000));
        t.key(Qt::Key_K);
        if (i == 3)
            changeTo("B");
        if (i == 6)
            changeTo("A");
    }
    REQUIRE(t.w.settled());
    CHECK(t.w.text("nextStep") == u"The plan is done"_s);
    std::string builds;
    for (const Pull& pull : t.day().pulls)
        builds += pull.build;
    CHECK(builds == "AAABBBAAA");
    CHECK(t.day().changes.size() == 2);
    t.w.window->showPage("compare");
    const Comparison* c = t.w.analysis().find("A", "B");
    REQUIRE(c);
    CHECK(c->protectedFromDrift);
    const BandResult& whole = c->bands.front();
    const double half_pct = 50.0 * (whole.high_w - whole.low_w) / whole.base_w;
    CHECK(std::abs(whole.percent - 3.0) < 2.0 * half_pct); // the interval is a 95 % one; this seed is fixed
    CHECK(whole.percent == Approx(3.0).margin(1.0));
    CHECK(c->verdict == VerdictKind::Gain);
    CHECK(t.w.text("answer").contains(u"B gives"_s));
    CHECK(readDay(t.w.day).pulls.size() == 9); // nothing had to be saved by hand
    CHECK(t.w.window->document().undoStack().isClean());
}
