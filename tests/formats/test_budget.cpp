// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What comes from outside has limits, and each is refused in words.

#include "formats/budget.h"
#include "formats/csv_table.h"
#include "formats/day_json.h"
#include "formats/day_store.h"
#include "formats/day_verify.h"
#include "formats/json_reader.h"
#include "formats/pull_file.h"
#include "support.h"

#include <archive.h>
#include <archive_entry.h>
#include <catch2/catch.hpp>
#include <clocale>
#include <fmt/format.h>
#include <fstream>
#include <rapidcheck.h>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

template <class Work> bool refuses(const Work& work, const std::string& words) {
    const std::string message = test::messageOf(work);
    INFO(message);
    CHECK(message.find(words) != std::string::npos);
    return message != "nothing" && message.size() < 1500;
}

std::string dayText(const std::string& more) {
    return R"({"format":"hill-run-day","version":1,"builds":[{"id":"A"}])" + more + "}";
}

/// A zip as foreign tools write them: any names, any order.
void writeForeignZip(const fs::path& path, const std::vector<std::pair<std::string, std::string>>& files) {
    archive* a = archive_write_new();
    archive_write_set_format_zip(a);
    archive_write_open_filename(a, path.c_str());
    for (const auto& [name, text] : files) {
        archive_entry* entry = archive_entry_new();
        archive_entry_set_pathname(entry, name.c_str());
        archive_entry_set_size(entry, static_cast<la_int64_t>(text.size()));
        archive_entry_set_filetype(entry, AE_IFREG);
        archive_entry_set_perm(entry, 0644);
        archive_write_header(a, entry);
        archive_write_data(a, text.data(), text.size());
        archive_entry_free(entry);
    }
    archive_write_close(a);
    archive_write_free(a);
}

const std::string kPull = "time [s],engine_speed [rpm],torque [N.m]\n0,2000,50\n0.01,2010,50\n";
const std::string kDay = dayText(R"(,"pulls":[{"id":"p01","build":"A","file":"pulls/p01.csv"}])");

} // namespace

TEST_CASE("nesting, size and numbers of JSON") {
    const std::string deep = std::string(100000, '[') + std::string(100000, ']');
    CHECK(refuses([&] { (void)parseJson(deep, "day.json"); }, "64 at the most"));
    CHECK(refuses([&] { (void)dayFromJson(dayText(",\"x\":" + deep), "day.json"); }, "nesting"));
    CHECK(parseJson(R"({"a":"[[[[\"[[[["})", "x")["a"] == "[[[[\"[[[["); // brackets in text are no nesting
    std::string flat = "[0";
    for (int i = 0; i < 1000; ++i)
        flat += ",[1],{\"a\":2}";
    CHECK(parseJson(flat + "]", "x").size() == 2001);
    for (const char* number : {"1e306", "-1e306", "1e31", "1e999"})
        CHECK(refuses(
            [&] { (void)dayFromJson(dayText(fmt::format(R"(,"cell":{{"altitude_m":{}}})", number)), "day.json"); },
            "day.json"));
    CHECK(refuses([] { (void)dayFromJson(dayText(R"(,"bands_rpm":[[1000,1e40]])"), "day.json"); },
                  "no quantity is so large"));
    CHECK(dayFromJson(dayText(R"(,"cell":{"altitude_m":310})"), "day.json").cell.altitude_m == 310.0);
}

TEST_CASE("columns, lines and numbers of a table") {
    std::string header = "time";
    std::string row = "0";
    for (size_t i = 1; i < budget::kColumns + 1; ++i) {
        header += ",x";
        row += ",1";
    }
    CHECK(refuses([&] { (void)parseCsv(header + "\n" + row + "\n" + row + "\n", "wide.csv"); }, "4096 at the most"));
    CHECK(refuses([] { (void)parseCsv("time,a\n" + std::string(budget::kLine + 1, '1') + ",2\n", "long.csv"); },
                  "1048576 at the most"));
    CHECK(refuses([] { (void)parseCsv("time,a\n0,1e306\n1,2\n", "big.csv"); }, "big.csv"));
    CHECK(parseCsv("time,a\n0,1e29\n1,2\n", "x").columns[1][0] == 1e29);
}

TEST_CASE("thousands of columns of one name get names of their own") {
    std::string header = "time,engine_speed,torque";
    std::string row = "0,2000,50";
    for (int i = 0; i < 4000; ++i) {
        header += ",extra";
        row += "," + std::to_string(i);
    }
    const ChannelTable table = readPullText(header + "\n" + row + "\n" + row + "\n", "same.csv", 100.0);
    REQUIRE(table.columns.size() == 4003);
    CHECK(table.columns[3].name == "extra");
    CHECK(table.columns[4].name == "extra_2");
    CHECK(table.columns.back().name == "extra_4000");
    CHECK(table.columns.back().values[0] == 3999.0);
}

TEST_CASE("names of channels cannot break the file they are written to") {
    const std::string text =
        "time,engine_speed,torque,\"EGT, rear [\"\"x\"\"]\",#hash,Temp\xE9rature\n0,2000,50,1,2,3\n0.1,2010,50,1,2,3\n";
    const ChannelTable table = readPullText(text, "odd.csv", 100.0);
    const ChannelTable again = readPullText(writePullText(table), "again.csv", 100.0);
    CHECK(sameRows(table, again));
    CHECK(table.columns[5].name == "Temp\xC3\xA9rature");
}

TEST_CASE("what Hill Run has written it can always read") {
    rc::check("any names, blanks anywhere but in time", [] {
        ChannelTable table;
        const auto rows = *rc::gen::inRange<size_t>(2, 12);
        table.columns = {{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}};
        for (const auto& name : *rc::gen::container<std::vector<std::string>>(rc::gen::arbitrary<std::string>()))
            table.columns.push_back({"x" + std::to_string(table.columns.size()) + name, name, {}});
        for (size_t c = 0; c < table.columns.size(); ++c)
            for (size_t r = 0; r < rows; ++r) {
                const bool blank = c > 0 && *rc::gen::inRange(0, 4) == 0;
                table.columns[c].values.push_back(blank    ? std::nan("")
                                                  : c == 0 ? 0.01 * static_cast<double>(r)
                                                           : *rc::gen::inRange(-5000, 5000) * 0.37);
            }
        const ChannelTable again = readPullText(writePullText(table), "own.csv", 100.0);
        RC_ASSERT(again.columns.size() == table.columns.size());
        for (size_t c = 0; c < table.columns.size(); ++c)
            for (size_t r = 0; r < rows; ++r) {
                const double a = table.columns[c].values[r];
                const double b = again.columns[c].values[r];
                RC_ASSERT(a == b || (std::isnan(a) && std::isnan(b)));
            }
    });
}

TEST_CASE("a zip that unpacks to more than it should is refused while it unpacks") {
    const test::TemporaryFolder folder;
    std::string zeros(90 * budget::kMiB, '0');
    writeForeignZip(folder.path() / "bomb.zip", {{"day.json", kDay}, {"pulls/p01.csv", zeros}});
    REQUIRE(fs::file_size(folder.path() / "bomb.zip") < budget::kMiB);
    CHECK(refuses([&] { (void)readDay(folder.path() / "bomb.zip"); }, "400 times its size"));
}

TEST_CASE("entries of a zip: too many, twice, outside") {
    const test::TemporaryFolder folder;
    std::vector<std::pair<std::string, std::string>> many{{"day.json", kDay}};
    for (size_t i = 0; i < budget::kEntries; ++i)
        many.emplace_back(fmt::format("pulls/{}", i), "");
    writeForeignZip(folder.path() / "many.zip", many);
    CHECK(refuses([&] { (void)readDay(folder.path() / "many.zip"); }, "20000 at the most"));
    writeForeignZip(folder.path() / "twice.zip",
                    {{"day.json", kDay}, {"pulls/p01.csv", kPull}, {"pulls/p01.csv", "x"}});
    CHECK(refuses([&] { (void)readDay(folder.path() / "twice.zip"); }, "stands in it twice"));
    writeForeignZip(folder.path() / "out.zip",
                    {{"day.json", kDay}, {"pulls/p01.csv", kPull}, {"attachments/../../evil", "x"}});
    CHECK(readDay(folder.path() / "out.zip").pulls.size() == 1); // attachments stay packed
    CHECK(refuses([&] { saveDay(readDay(folder.path() / "out.zip"), folder.path() / "to", folder.path() / "out.zip"); },
                  "points outside"));
    CHECK_FALSE(fs::exists(folder.path() / "evil"));
}

TEST_CASE("reading a day does not unpack its attachments") {
    const test::TemporaryFolder folder;
    std::string zeros(90 * budget::kMiB, '0'); // would be refused if it were
    writeForeignZip(folder.path() / "day.zip",
                    {{"x/day.json", kDay}, {"x/pulls/p01.csv", kPull}, {"x/attachments/film", zeros}});
    CHECK(readDay(folder.path() / "day.zip").pulls[0].raw->rows() == 2);
}

TEST_CASE("names outside ASCII in a zip are read and written in any locale") {
    const test::TemporaryFolder folder;
    const std::string before = std::setlocale(LC_ALL, nullptr);
    std::setlocale(LC_ALL, "C"); // what a program without a locale has
    fs::create_directories(folder.path() / "attachments");
    std::ofstream(folder.path() / "attachments" / "Kr\xC3\xBCmmer \xE2\x82\xAC.txt") << "x";
    std::string day = kDay;
    day.replace(day.find("p01.csv"), 3, "z\xC3\xBCg");
    fs::create_directories(folder.path() / "pulls");
    std::ofstream(folder.path() / "day.json") << day;
    std::ofstream(folder.path() / "pulls" / "z\xC3\xBCg.csv") << kPull;
    saveDay(readDay(folder.path()), folder.path() / "day.zip", folder.path());
    const auto files = readZip(folder.path() / "day.zip");
    CHECK(files.contains("attachments/Kr\xC3\xBCmmer \xE2\x82\xAC.txt"));
    CHECK(readDay(folder.path() / "day.zip").pulls[0].raw->rows() == 2);
    std::setlocale(LC_ALL, before.c_str());
}

TEST_CASE("names that are spelled decomposed are found in a zip too") {
    const test::TemporaryFolder folder;
    const std::string name = "zu\xCC\x88g"; // u and its dots apart, as some file systems write them
    fs::create_directories(folder.path() / "day" / "attachments");
    fs::create_directories(folder.path() / "day" / "pulls");
    std::string day = kDay;
    day.replace(day.find("p01.csv"), 3, name);
    std::ofstream(folder.path() / "day" / "day.json") << day;
    std::ofstream(folder.path() / "day" / "pulls" / (name + ".csv")) << kPull;
    std::ofstream(folder.path() / "day" / "attachments" / (name + ".txt")) << "x";
    saveDay(readDay(folder.path() / "day"), folder.path() / "day.zip", folder.path() / "day");
    CHECK(readDay(folder.path() / "day.zip").pulls[0].raw->rows() == 2);
    CHECK(verifyDay(folder.path() / "day.zip").good());
    saveDay(readDay(folder.path() / "day.zip"), folder.path() / "again", folder.path() / "day.zip");
    CHECK(verifyDay(folder.path() / "again").good());
}

TEST_CASE("a name that no file system takes is refused where it comes in") {
    const test::TemporaryFolder folder;
    std::string day = kDay;
    day.replace(day.find("p01.csv"), 3, std::string(300, 'n'));
    std::ofstream(folder.path() / "day.json") << day;
    CHECK(refuses([&] { (void)readDay(folder.path()); }, "longer than 255 B"));
}

TEST_CASE("a name in a zip that is written with backslashes is one with slashes, and may not lead outside either") {
    test::TemporaryFolder folder;
    const auto spelled = [&](const std::string& name) { // of the same length, so that its bytes can be changed in place
        std::string twin = name;
        std::replace(twin.begin(), twin.end(), '\\', '+');
        std::replace(twin.begin(), twin.end(), '.', '-');
        writeZip(folder.path() / "a.zip", {{twin, "rows"}, {"day.json", "{}"}});
        std::string bytes = readFileText(folder.path() / "a.zip");
        for (size_t at = bytes.find(twin); at != std::string::npos; at = bytes.find(twin, at + 1))
            bytes.replace(at, name.size(), name);
        writeFileSafely(folder.path() / "b.zip", bytes);
        return readZip(folder.path() / "b.zip");
    };
    const auto files = spelled("pulls\\p01.csv");
    REQUIRE(files.contains("pulls/p01.csv"));
    writeZip(folder.path() / "c.zip", files);
    CHECK(readZip(folder.path() / "c.zip") == files);
    CHECK_THROWS_AS(spelled("..\\..\\p01.csv"), DataError);
}
