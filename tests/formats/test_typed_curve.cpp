// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "formats/day_verify.h"
#include "formats/file_io.h"
#include "formats/import_curves.h"
#include "formats/kept_days.h"
#include "formats/typed_curve.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using namespace hillrun::test;

namespace {

ChannelTable typed(const std::string& text) { return readTypedCurve(rowsOfText(text), "kW", "N.m"); }

std::vector<double> column(const ChannelTable& table, const char* name) { return table.find(name)->values; }

Problem problemOf(const std::string& text) {
    try {
        (void)typed(text);
    } catch (const DataError& error) {
        return error.problem();
    }
    return Problem::Count;
}

NewCurve winterCurve() {
    NewCurve out;
    out.build = "A";
    out.table = typed("3000 31.4 100\n4000 44 105\n5000 55 105\n6000 60 95.5");
    out.grade = PullGrade::Traced;
    out.given.reading_pct = 0.4;
    return out;
}

SheetFile winterSheet() { return {"winter sheet.png", std::make_shared<const std::string>("\x89PNG made up")}; }

} // namespace

TEST_CASE("a table is pasted with tabs, semicolons, blanks or commas between its cells, headings left out") {
    const std::vector<double> rpm{3000.0, 4000.0, 5000.0};
    for (const char* text :
         {"rpm\tkW\tNm\n3000\t31.4\t100\n4000\t44.0\t105\r\n5000\t55.0\t105\n",
          "3000; 31,4; 100\n4000; 44,0; 105\n\n5000; 55,0; 105", "3000 31.4 100\n4000  44 105\n 5000 55 105",
          "3000,31.4,100\n4000,44,105\n5000,55,105", "3000, 31,4, 100\n4000, 44,0, 105\n5000, 55,0, 105"}) {
        INFO(text);
        const ChannelTable table = typed(text);
        CHECK(column(table, "engine_speed") == rpm);
        CHECK(column(table, "power") == std::vector<double>{31.4, 44.0, 55.0});
        CHECK(column(table, "torque") == std::vector<double>{100.0, 105.0, 105.0});
    }
}

TEST_CASE("typed speeds may have thousands marks, figures either decimal mark") {
    CHECK(column(typed("3,000\t31,4\t\n4,000\t44,0\t\n"), "engine_speed") == std::vector<double>{3000.0, 4000.0});
    CHECK(column(typed("3.000\t31,4\t\n4.000\t44,0\t\n"), "engine_speed") == std::vector<double>{3000.0, 4000.0});
    CHECK(column(typed("3.000\t31,425\t\n4.000\t44,000\t\n"), "power") == std::vector<double>{31.425, 44.0});
    CHECK(column(typed("3000\t31.425\t\n4000\t44.000\t\n"), "power") == std::vector<double>{31.425, 44.0});
    CHECK(column(typed("950\t9\t\n1,050\t10\t\n"), "engine_speed") == std::vector<double>{950.0, 1050.0});
}

TEST_CASE("peaks alone are a curve: power at one speed, torque at another") {
    const ChannelTable peaks = typed("6400\t71.9\t\n4800\t\t118\n");
    CHECK(column(peaks, "engine_speed") == std::vector<double>{4800.0, 6400.0});
    CHECK(std::isnan(column(peaks, "power")[0]));
    CHECK(column(peaks, "torque")[0] == 118.0);
}

TEST_CASE("what was typed wrong is named with its row") {
    CHECK(problemOf("3000\t31x\t\n4000\t44\t\n") == Problem::NotANumber);
    CHECK(problemOf("3000\t31\t\n3000\t44\t\n") == Problem::BadValue);
    CHECK(problemOf("3000\t31\t\n\t44\t\n") == Problem::BadValue);
    CHECK(problemOf("3000\t31\t\n4000\t\t\n") == Problem::TooFewPoints);
    CHECK(problemOf("3000\t31\t\n65e40\t44\t\n") == Problem::BadValue); // it could not be read again
    CHECK(problemOf("3000\t31\t\n4000\t1e31\t\n") == Problem::BadValue);
    CHECK(problemOf("3000\t31\t\n4000\t44\t-2e9\n") == Problem::BadValue);
    CHECK(problemOf("3000\t\t\n4000\t\t\n") == Problem::NoTorqueChannel);
    try {
        (void)typed("3000\t31\t\n4000\tfour\t\n");
        FAIL();
    } catch (const DataError& error) {
        CHECK(error.place().line == 2);
        CHECK(error.place().column == "#power");
    }
}

TEST_CASE("a traced curve and its picture go with the day: folder, package, undone, kept") {
    TemporaryFolder work;
    TestDay day;
    day.name = "Sheets";
    day.date = "2026-11-28";
    const auto ids = addCurves(day, {winterCurve()}, winterSheet(), {});
    REQUIRE(ids == std::vector<std::string>{"p01"});
    CHECK(day.builds[0].attachments == std::vector<std::string>{"attachments/winter sheet.png"});
    CHECK(day.pulls[0].given.picture == "attachments/winter sheet.png");
    for (const char* place : {"folder", "day.zip"}) {
        const auto target = work.path() / place;
        const SavedDay saved = saveDay(day, target);
        CHECK(saved.leftBehind.empty());
        const TestDay again = readDay(target);
        REQUIRE(again.attachments.size() == 1);
        CHECK(again.attachments[0].sha256 == sha256Hex(*winterSheet().bytes));
        CHECK_FALSE(again.attachments[0].bytes);
        CHECK(again.pulls[0].grade == PullGrade::Traced);
        CHECK(again.pulls[0].given.picture == "attachments/winter sheet.png");
        CHECK(*again.pulls[0].given.reading_pct == 0.4);
        CHECK(again.builds[0].attachments == day.builds[0].attachments);
        // On to another place: the picture comes along from where it lies.
        CHECK(saveDay(again, work.path() / (std::string("again-") + place), target).leftBehind.empty());
        CHECK(readDay(work.path() / (std::string("again-") + place)).attachments.size() == 1);
    }
    CHECK(readFileText(work.path() / "folder/attachments/winter sheet.png") == *winterSheet().bytes);
}

TEST_CASE("a picture whose name is taken gets another, and all that speaks of it follows") {
    TemporaryFolder work;
    TestDay day;
    day.name = "Sheets";
    day.date = "2026-11-28";
    (void)addCurves(day, {winterCurve()}, winterSheet(), {});
    SheetFile other = winterSheet();
    other.bytes = std::make_shared<const std::string>("another picture");
    (void)addCurves(day, {winterCurve()}, other, {});
    REQUIRE(day.attachments.size() == 2);
    CHECK(day.pulls[1].given.picture == "attachments/winter sheet-2.png");
    (void)addCurves(day, {winterCurve()}, winterSheet(), {}); // the same picture again
    CHECK(day.attachments.size() == 2);
    CHECK(day.builds[0].attachments.size() == 2);
    // Meanwhile somebody laid another file there.
    makeFolders(work.path() / "folder/attachments");
    writeFileSafely(work.path() / "folder/attachments/winter sheet.png", "somebody's own");
    const SavedDay saved = saveDay(day, work.path() / "folder");
    CHECK(readFileText(work.path() / "folder/attachments/winter sheet.png") == "somebody's own");
    const TestDay again = readDay(work.path() / "folder");
    const std::string name = again.pulls[0].given.picture;
    CHECK(name != "attachments/winter sheet.png");
    CHECK(readFileText(work.path() / "folder" / name) == *winterSheet().bytes);
    CHECK(readFileText(work.path() / "folder" / again.pulls[1].given.picture) == "another picture");
    CHECK(again.pulls[2].given.picture == name);
    CHECK(saved.day.builds[0].attachments == again.builds[0].attachments);
}

TEST_CASE("a picture that is not saved yet survives a kill with the kept day") {
    TemporaryFolder work;
    TestDay day;
    day.name = "Sheets";
    day.date = "2026-11-28";
    (void)addCurves(day, {winterCurve()}, winterSheet(), {});
    {
        DayKeeper keeper(work.path() / "kept");
        keeper.keep(day, {"", "Sheets", "2026-11-28T10:00:00Z", "", {"Trace a curve"}});
    } // the lock goes with it, the folder stays
    const auto kept = findKept(work.path() / "kept");
    REQUIRE(kept.size() == 1);
    const TestDay back = readKept(kept[0]);
    REQUIRE(back.attachments.size() == 1);
    REQUIRE(back.attachments[0].bytes);
    CHECK(*back.attachments[0].bytes == *winterSheet().bytes);
    (void)saveDay(back, work.path() / "folder");
    CHECK(readFileText(work.path() / "folder/attachments/winter sheet.png") == *winterSheet().bytes);
}
