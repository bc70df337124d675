// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_files.h"

#include "formats/day_store.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <fstream>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

ImportFile fileWith(const fs::path& folder, const std::string& text) {
    const fs::path path = folder / "sheet.csv";
    std::ofstream(path, std::ios::binary) << text;
    auto files = openForImport(path, {});
    REQUIRE(files.size() == 1);
    return files.front();
}

const std::string kSheet = "rpm,hp,ft-lb\n3000,60.0,105.0\n3500,72,108\n4000,84,110.3\n4500,93,108.5\n5000,99,104\n";

} // namespace

TEST_CASE("a table by engine speed is a curve, not a pull; rows of a recorder without time are not") {
    const test::TemporaryFolder temporary;
    const ImportFile sheet = fileWith(temporary.path(), kSheet);
    CHECK(isCurve(sheet));
    CHECK_FALSE(sheet.problem);
    CHECK(doubtsOf(sheet.gathered->notes).back().code == GatherCode::CurveOnly);
    CHECK(isCurve(fileWith(temporary.path(), "rpm;kW\n5000;60,5\n4500;55\n4000;50\n3500;44,2\n"))); // falling
    std::string rows = "rpm,Nm\n";
    for (int i = 0; i < 200; ++i)
        rows += fmt::format("{},{}\n", 2000 + 20 * i + (i * 7) % 13, 80);
    const ImportFile recorder = fileWith(temporary.path(), rows);
    CHECK_FALSE(isCurve(recorder));
    CHECK(recorder.problem->problem() == Problem::NoTimeChannel);
    std::string even = "rpm,Nm\n";
    for (int i = 0; i < 200; ++i)
        even += fmt::format("{},{}\n", 2000 + 25 * i, 80);
    CHECK(isCurve(fileWith(temporary.path(), even)));
    CHECK_FALSE(isCurve(fileWith(temporary.path(), "rpm,Nm\n3000,80\n3500,81\n3400,82\n4000,83\n"))); // to and fro
}

TEST_CASE("a sheet whose power and torque do not belong together is doubted, corrected columns are what a sheet has") {
    const test::TemporaryFolder temporary;
    const auto codes = [&](const std::string& text) {
        std::string out;
        const ImportFile file = fileWith(temporary.path(), text);
        for (const GatherNote& note : doubtsOf(file.gathered->notes))
            out += std::string(gatherCodeName(note.code)) + " ";
        return out;
    };
    CHECK(codes(kSheet) == "curve_only ");
    CHECK(codes("rpm,kW,Nm\n3000,28.3,90\n4000,60,105\n5000,52.4,100\n6000,50.3,80\n") ==
          "curve_only power_disagrees ");
    CHECK(codes("rpm,hp,Nm\n3000,28.3,90\n4000,44,105\n5000,52.4,100\n6000,50.3,80\n") ==
          "curve_only power_disagrees "); // kW it is
    CHECK(codes("rpm,Power corrected [kW]\n3000,28\n4000,44\n5000,52\n6000,50\n") == "curve_only ");
}

TEST_CASE("a curve comes into a day with what was said of it, and comes back from the disk") {
    const test::TemporaryFolder temporary;
    ImportFile sheet = fileWith(temporary.path(), kSheet);
    sheet.given.corrected = Standard::SaeJ607;
    sheet.given.smoothing_rpm = 150.0;
    sheet.builds = {"P"};
    TestDay day;
    day.name = "paper";
    CHECK(addImported(day, sheet) == std::vector<std::string>{"p01"});
    CHECK(day.pulls[0].grade == PullGrade::CurveOnly);
    CHECK_FALSE(day.pulls[0].raw->find("time"));
    CHECK(day.pulls[0].raw->find("power")->values[0] == Approx(60.0 * 0.745699872));
    for (const char* name : {"day", "day.zip"}) {
        saveDay(day, temporary.path() / name);
        const TestDay again = readDay(temporary.path() / name);
        CHECK(again.pulls[0].grade == PullGrade::CurveOnly);
        CHECK(again.pulls[0].given == day.pulls[0].given);
        CHECK(sameRows(*again.pulls[0].raw, *day.pulls[0].raw));
    }
    const std::string json = readFileText(temporary.path() / "day" / "day.json");
    CHECK(json.find("\"grade\": \"curve_only\"") != std::string::npos);
    CHECK(json.find("\"corrected_to\": \"sae-j607\"") != std::string::npos);
}
