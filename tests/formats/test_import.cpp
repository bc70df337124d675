// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_files.h"

#include "formats/day_store.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cstdlib>
#include <fstream>

using namespace hillrun;
namespace fs = std::filesystem;

TEST_CASE("the build is guessed from names where it stands as a word of its own") {
    const TestDay empty;
    const struct {
        const char* stem;
        const char* build;
    } rows[] = {{"B_pull2", "B"}, {"run-b", "B"}, {"c3", "C"},  {"2026-05-16 A 01", "A"}, {"session 7", ""},
                {"baseline", ""}, {"about", ""},  {"D12", "D"}, {"e85 run", ""},          {"", ""}};
    for (const auto& row : rows) {
        INFO(row.stem);
        CHECK(buildNamedIn(row.stem, empty).value_or("") == row.build);
    }
    TestDay named;
    named.builds.push_back({.id = "long", .name = "600 mm pipe"});
    CHECK(buildNamedIn("pull long 2", named) == "long");
    CHECK(buildNamedIn("600 mm pipe", named) == "long");
    CHECK_FALSE(buildNamedIn("longer 2", named));
}

TEST_CASE("an imported file becomes a pull of its build") {
    const test::TemporaryFolder temporary;
    const fs::path file = temporary.path() / "B_01.txt";
    {
        std::ofstream out(file);
        out << "Shed logger\nOperator: Ada\nrecorded 2026-05-16 14:03:20\nTime (s)\tRPM\tTorque (lb-ft)\n";
        for (int row = 0; row < 40; ++row)
            out << 0.1 * row << "\t" << 2500 + 50 * row << "\t60\n";
    }
    TestDay day;
    day.builds.push_back({.id = "A", .name = "base"});
    ImportFile import = openForImport(file, day).front();
    CHECK(import.gathered->pulls.front().started == "2026-05-16T14:03:20");
    CHECK(addImported(day, import) == std::vector<std::string>{"p01"});
    CHECK(addImported(day, import) == std::vector<std::string>{"p02"});
    CHECK(day.operatorName == "Ada");
    CHECK(day.builds.size() == 2);
    CHECK(day.pulls[0].build == "B");
    CHECK(day.pulls[0].note == "B_01.txt");
    saveDay(day, temporary.path() / "day");
    CHECK(readDay(temporary.path() / "day").pulls[1].raw->find("torque")->values[0] == Approx(60 * 1.3558179));
    import.choices.columns[1] = {}; // no speed any more
    readAgain(import, day);
    const TestDay before = day;
    CHECK(test::messageOf([&] { (void)addImported(day, import); }).find("no engine speed") != std::string::npos);
    CHECK(day == before);
}
