// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What Check and the Bench show, made without a window.

#include "app/check/channel_content.h"
#include "app/check/findings.h"
#include "app/prepare/article_dialog.h"
#include "app/workbench/air_content.h"
#include "app_support.h"
#include "core/pull/curve_rows.h"
#include "core/slip/day_events.h"

#include <cmath>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

struct Analysed {
    TestDay day;
    DrawCache cache;
    DayAnalysis analysis;
    Theme theme = Theme::paper();
    explicit Analysed(TestDay of) : day(std::move(of)), analysis(analyse(day, {}, cache)) {
        addEvents(day, analysis.pulls);
    }
    [[nodiscard]] QString said(const char* pull) const {
        QStringList out;
        for (const Finding& finding : findingsOf(day, analysis, pull))
            out << finding.text;
        return out.join(u'\n');
    }
};

AirInputs summer() {
    AirInputs out;
    out.temperature_c = 30.0;
    out.pressure_kpa = 95.0;
    out.humidity = {HumidityKind::RelativeHumidity_pct, 0.0};
    return out;
}

} // namespace

TEST_CASE("the pulls shown: the build's used ones, the one beside, the selected one last") {
    const Analysed a(readDay(test::boostDay()));
    const auto ids = [&](const CheckView& view) {
        std::string out;
        for (const PullResult* pull : pullsShown(a.analysis, view))
            out += (out.empty() ? "" : " ") + pull->id;
        return out;
    };
    CHECK(ids({"p05", Quantity::Power, {}}) == "p04 p06 p05");
    CHECK(ids({"p05", Quantity::Power, {}, "p01"}) == "p04 p06 p01 p05");
    CHECK(ids({"p05", Quantity::Power, {}, "p04"}) == "p06 p04 p05"); // one of its own build stands beside once
    CHECK(ids({"p05", Quantity::Power, {}, "p05"}) == "p04 p06 p05");
    CHECK(ids({"p99", Quantity::Power, {}}).empty());
}

TEST_CASE("numbers at the cursor are the curves' own, in the reader's units") {
    const Analysed a(readDay(test::boostDay()));
    const CheckView view{"p08", Quantity::Power, {PowerUnit::Horsepower, TorqueUnit::PoundFoot}, "p02"};
    const CursorNumbers numbers = numbersAt(a.day, a.analysis, view, 5000.0);
    REQUIRE(numbers.rows.size() == 4);
    CHECK(numbers.rows[0].pull == "p08");
    CHECK(numbers.columns[1].contains(u"hp at the wheel"_s));
    const Curve& own = *a.analysis.pulls[7].curve;
    const double power_w = valueAt(own, own.power_w, 5000.0);
    CHECK(numbers.rows[0].cells[1].toDouble() == Approx(power_w / 745.69987).margin(0.006));
    CHECK(numbers.rows[0].cells[2].toDouble() ==
          Approx(valueAt(own, own.torque_nm, 5000.0) / 1.35581795).margin(0.006));
    CHECK(numbers.rows[0].cells[3].isEmpty()); // against itself
    for (const CursorNumbers::Row& row : numbers.rows)
        CHECK(row.cells.size() == numbers.columns.size());
    const QString table = asTable(numbers);
    CHECK(table.count(u'\n') == 2 + 4);
    CHECK_FALSE(table.contains(u'\u2212')); // a spreadsheet wants a plain minus
    CHECK(numbersAt(a.day, a.analysis, view, 99999.0).rows[0].cells[1] == u"\u2013"_s);
    CHECK(numbersAt(a.day, a.analysis, {"p99", Quantity::Power, {}}, 5000.0).rows.empty());
}

TEST_CASE("tiles leave out what has no value and keep small moves small") {
    const Analysed a(readDay(test::tractorDay()));
    const auto tiles = channelTiles(a.day, a.analysis, {"p01", Quantity::Power, {}}, a.theme);
    REQUIRE(tiles.size() > 8);
    for (const ChannelTile& tile : tiles) {
        INFO(tile.name.toStdString());
        CHECK_FALSE(tile.board.series.empty());
        CHECK(tile.board.series.back().x == a.analysis.pulls[0].curve->rpm); // the selected pull is drawn last
        CHECK(tile.name != u"spark_current"_s);                              // a diesel has none
        if (tile.name == u"throttle"_s)
            CHECK(tile.board.leastSpan == 6.0); // three times its tolerance
        if (tile.name == u"mean_piston_speed"_s)
            CHECK(tile.board.series.back().y.back() == Approx(2.0 * 0.127 * 2200.0 / 60.0));
    }
    CHECK(channelTiles(a.day, a.analysis, {"p99", Quantity::Power, {}}, a.theme).empty());
}

TEST_CASE("two pulls measured at different places are not held side by side without a warning") {
    TestDay day = readDay(test::demoDay());
    day.pulls[0].measuredAt = MeasuredAt::Wheel;
    const Analysed a(std::move(day));
    const BoardContent board = pairContent(a.day, a.analysis, {"p01", Quantity::Power, {}, "p02"}, a.theme);
    CHECK(board.title.contains(u"the difference holds the losses between"_s));
    const BoardContent same = pairContent(a.day, a.analysis, {"p04", Quantity::Power, {}, "p02"}, a.theme);
    CHECK(same.title == u"p04 against p02, %"_s);
    BoardContent one = overlayContent(a.day, a.analysis, {"p02", Quantity::Power, {}}, a.theme);
    BoardContent other = overlayContent(a.day, a.analysis, {"p06", Quantity::Power, {}}, a.theme);
    shareScale(one, other);
    REQUIRE(one.yRange);
    CHECK(one.yRange == other.yRange);
    for (const BoardContent* content : {&one, &other})
        for (const BoardSeries& series : content->series)
            for (const double y : series.y)
                if (std::isfinite(y))
                    CHECK(one.yRange->holds(y));
}

TEST_CASE("findings come with warnings first, and say where figures come from") {
    const Analysed rollers(readDay(test::rollerDay()));
    const auto findings = findingsOf(rollers.day, rollers.analysis, "p02");
    REQUIRE(findings.size() > 4);
    CHECK(findings.front().weight == SlipWeight::Warning);
    CHECK(findings.front().at_rpm);
    CHECK(findings.front().remedy.setAside);
    CHECK(rollers.said("p02").contains(u"Engine over roller speed 3.64"_s));
    CHECK(rollers.said("p02").contains(u"measured at the wheel, losses added"_s));
    CHECK(rollers.said("p05").startsWith(u"Left out: tyre slip above 5200 rpm"_s));
    CHECK(remarksOf(&rollers.analysis.pulls[7]) == u"knock"_s);
    CHECK(remarksOf(nullptr).isEmpty());
    CHECK(pullHead(rollers.day, rollers.analysis, "p02").contains(u"roughness 0."_s));
    CHECK(findingsOf(rollers.day, rollers.analysis, "p99").empty());
    TestDay thin = readDay(test::demoDay());
    thin.pulls[0].weather->pressure_pa = 84000.0; // outside what the standard covers
    CHECK(Analysed(std::move(thin)).said("p01").contains(u"is outside 90 to 105\u00A0kPa"_s));
}

TEST_CASE("the calculator's words: facts, ranges, schools, what a wrong reading does") {
    const AirAnswer answer = airAnswer(summer());
    CHECK(answer.problem.isEmpty());
    CHECK(answer.rows.size() == standards().size());
    CHECK(airFacts(answer)[2] == u"Dry pressure 95.00 kPa"_s);
    CHECK(standardWords(answer, Standard::SaeJ1349).startsWith(u"Its own range: 15 to 35"_s));
    CHECK(standardWords(answer, Standard::SaeJ607) == u"No range of validity is recalled."_s);
    CHECK(standardWords(answer, Standard::Uncorrected).isEmpty());
    AirInputs hot = summer();
    hot.temperature_c = 41.0;
    CHECK(standardWords(airAnswer(hot), Standard::Iso1585).contains(u"is outside 15 to 35"_s));
    AirInputs turbo = summer();
    turbo.engine.aspiration = Aspiration::Turbocharged;
    turbo.engine.boostSchool = BoostSchool::TemperatureOnly;
    CHECK(standardWords(airAnswer(turbo), Standard::SaeJ1349).contains(u"temperature only, not standard"_s));
    AirInputs measured = summer();
    measured.frictionPower_w = 12000.0;
    measured.power_w = 60000.0;
    CHECK(standardWords(airAnswer(measured), Standard::SaeJ1349).contains(u"Full form"_s));
    AirInputs impossible = summer();
    impossible.humidity = {HumidityKind::DewPoint_c, 35.0};
    CHECK(airAnswer(impossible).problem.startsWith(u"Such air does not exist"_s));
    CHECK(airAnswer(impossible).rows.empty());
}

TEST_CASE("the factor's boards mark today and draw the chosen standard strong") {
    const AirAnswer answer = airAnswer(summer());
    const BoardContent board = factorBoard(answer, Standard::Iso1585, AirInput::Pressure_kpa, Theme::paper());
    CHECK(board.series.size() == 8); // seven standards, and today
    const BoardSeries& today = board.series.back();
    CHECK(today.dots > 0.0);
    CHECK(today.x[0] == 95.0);
    CHECK(today.y[0] == Approx(1.061279379).margin(5e-10)); // arithmetic on the printed formula: 30 C, 95 kPa dry
    const BoardSeries& strong = board.series[6];
    CHECK(strong.pen.color() == Theme::paper().mark);
    for (size_t i = 1; i < strong.y.size(); ++i)
        CHECK(strong.y[i] < strong.y[i - 1]); // thicker air, smaller factor
    CHECK(todayOf(answer, AirInput::Temperature_c) == 30.0);
    CHECK(todayOf(answer, AirInput::Humidity_pct) == 0.0);
    AirInputs cold = summer();
    cold.temperature_c = -25.0; // colder than the board usually reaches: it reaches there then
    CHECK(factorBoard(airAnswer(cold), Standard::Iso1585, AirInput::Temperature_c, Theme::paper()).xRange->low ==
          -25.0);
}

TEST_CASE("the day's weather as boards and as a sentence") {
    const Analysed a(readDay(test::demoDay()));
    const DayWeather weather = weatherThroughDay(a.day, a.analysis);
    const BoardContent pressure = weatherBoard(a.day, weather, WeatherBoard::Pressure, a.theme);
    CHECK(pressure.series.front().x.size() == 11);
    CHECK(pressure.series.front().y.front() == Approx(a.day.pulls[0].weather->pressure_pa / 1000.0));
    CHECK_FALSE(pressure.xLabels); // the lowest board says the hours for all
    const BoardContent level = weatherBoard(a.day, weather, WeatherBoard::Level, a.theme);
    CHECK(level.symmetric);
    size_t points = 0;
    for (const BoardSeries& series : level.series)
        points += series.x.size();
    CHECK(points == 2 * 10); // ten used pulls, before and after the factor
    CHECK(weatherWords(a.analysis, weather).contains(u"it helps"_s));
    TestDay bare = a.day;
    for (Pull& pull : bare.pulls)
        pull.weather.reset();
    const Analysed none(std::move(bare));
    CHECK(weatherWords(none.analysis, weatherThroughDay(none.day, none.analysis)).startsWith(u"No pull of this day"_s));
    CHECK(weatherBoard(none.day, {}, WeatherBoard::Factor, none.theme).series.empty());
}

TEST_CASE("friction power is read as it is written, or not at all") {
    const auto read = [](const char16_t* text) {
        std::vector<FrictionPoint> out;
        return readFriction(QString::fromUtf16(text), out) ? std::optional(out) : std::nullopt;
    };
    using Points = std::vector<FrictionPoint>;
    CHECK(read(u"") == Points{});
    CHECK(read(u"2500:3.1, 4500:7") == Points{{2500.0, 3100.0}, {4500.0, 7000.0}});
    CHECK(read(u"4500:7; 2500:3,1") == Points{{2500.0, 3100.0}, {4500.0, 7000.0}}); // any order, decimal comma
    for (const char16_t* wrong : {u"2500", u"2500:", u"x:3", u"2500:-1", u"0:1", u"2500:1 2500:2", u"2500:1:2"}) {
        INFO(QString::fromUtf16(wrong).toStdString());
        CHECK_FALSE(read(wrong));
    }
}

TEST_CASE("what Check and the Bench offer depends on the page and the pull") {
    test::beginAnew();
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    const auto can = [&](const char* id, const WindowState& s) { return window.registry().enabled(id, s); };
    WindowState state;
    state.dayOpen = true;
    for (const char* action : {"check.raw", "check.beside", "check.channels", "check.numbers"}) {
        INFO(action);
        state.page = "check";
        state.pullSelected = true;
        CHECK(can(action, state));
        state.pullSelected = false;
        CHECK_FALSE(can(action, state));
        state.pullSelected = true;
        state.page = "compare";
        CHECK_FALSE(can(action, state));
    }
    state.page = "check";
    CHECK_FALSE(can("check.reset_trim", state));
    state.pullTrimmed = true;
    CHECK(can("check.reset_trim", state));
    CHECK(can("page.bench", {})); // the calculators need no day
    CHECK_FALSE(can("bench.air", state));
    state.page = "bench";
    CHECK(can("bench.weather", state));
}
