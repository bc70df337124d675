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

TEST_CASE("the build is guessed from the file name") {
    const TestDay empty;
    const struct {
        const char* stem;
        const char* build;
    } rows[] = {{"B_pull2", "B"},         {"run-b", "B"},     {"c3", "C"},
                {"2026-05-16 A 01", "A"}, {"session 7", "A"}, {"baseline", "A"}};
    for (const auto& row : rows)
        CHECK(buildFromFileName(row.stem, empty) == row.build);
    TestDay named;
    named.builds.push_back({"long", "", {}, {}, {}, "", {}, "", ""});
    CHECK(buildFromFileName("pull long 2", named) == "long");
    CHECK(buildFromFileName("pull 2", named) == "long");
}

TEST_CASE("an imported file becomes a pull of its build") {
    const test::TemporaryFolder temporary;
    const fs::path file = temporary.path() / "B_01.txt";
    std::ofstream(file)
        << "Shed logger\nrecorded 2026-05-16 14:03:20\nTime (s)\tRPM\tTorque (lb-ft)\n0\t2500\t60\n0.1\t2550\t61\n";
    TestDay day;
    day.builds.push_back({"A", "base", {}, {}, {}, "", {}, "", ""});
    ImportFile import = openForImport(file, day);
    CHECK(import.started == "2026-05-16T14:03:20");
    CHECK(addImported(day, import) == "p01");
    CHECK(addImported(day, import) == "p02");
    CHECK(day.builds.size() == 2);
    CHECK(day.pulls[0].build == "B");
    CHECK(day.pulls[0].note == "imported from B_01.txt");
    saveDay(day, temporary.path() / "day");
    CHECK(readDay(temporary.path() / "day").pulls[1].raw->find("torque")->values[0] == Approx(60 * 1.3558179));
    import.meanings[1].channel.clear(); // no speed any more
    const TestDay before = day;
    CHECK(test::messageOf([&] { (void)addImported(day, import); }).find("no engine speed") != std::string::npos);
    CHECK(day == before);
}

TEST_CASE("mappings are kept by name") {
    const test::TemporaryFolder temporary;
    ::setenv("XDG_CONFIG_HOME", temporary.path().c_str(), 1);
    CHECK(savedMappings().empty());
    saveMapping({"shed", {{"ch1", {"ch1", "torque", "N.m", false, false}}}});
    CHECK(savedMappings() == std::vector<std::string>{"shed"});
    CHECK(loadMapping("shed").meanings.at("ch1").channel == "torque");
    CHECK(test::messageOf([] { (void)loadMapping("other"); }).find("missing") != std::string::npos);
}
