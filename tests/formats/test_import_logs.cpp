// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/import_logs.h"

#include "formats/day_store.h"
#include "formats/day_verify.h"
#include "formats/kept_days.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>
#include <fstream>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

/// What a control unit would have written beside a pull of the first demo day: its speed at 20 Hz on a clock 4.25 s
/// ahead, and a duty that tells where it was.
std::string controlUnitText(const Pull& pull) {
    std::string out = "Time (s);Engine speed (rpm);Wastegate duty (%);Knock count;Boost (kPa)\r\n";
    const std::vector<double>& time = pull.raw->find("time")->values;
    const std::vector<double>& speed = pull.raw->find("engine_speed")->values;
    for (size_t i = 0; i < time.size(); i += 5)
        out += fmt::format("{:.3f};{:.0f};{:.2f};{};12.5\r\n", time[i] + 4.25, speed[i], speed[i] / 100.0, i % 3);
    return out;
}

ImportFile openLog(const fs::path& path, const TestDay& day) {
    auto files = openForImport(path, day, nullptr, {}, GatherPurpose::Log);
    REQUIRE(files.size() == 1);
    return files.front();
}

/// The first demo day in a folder, with a log beside it.
struct DayWithLog {
    test::TemporaryFolder temporary;
    fs::path folder = temporary.path() / "day";
    fs::path log = temporary.path() / "ECU 2.csv";
    TestDay day;

    DayWithLog() {
        fs::copy(test::demoDay(), folder, fs::copy_options::recursive);
        day = readDay(folder);
        std::ofstream(log, std::ios::binary) << controlUnitText(day.pulls[2]);
        layIt();
    }
    void layIt() {
        const ImportFile file = openLog(log, day);
        const LogFit fit = fitLog(*ownRows(day.pulls[2]), *logRows(file, 100.0));
        CHECK(fit.clock.lag_s == Approx(4.25).margin(0.005));
        layOn(day.pulls[2], logFor(day.pulls[2], file, fit.clock));
    }
};

} // namespace

TEST_CASE("a control unit's log has neither torque nor power, and is read all the same where a log is wanted") {
    const DayWithLog one;
    CHECK(openForImport(one.log, one.day).front().problem->problem() == Problem::NoTorqueChannel);
    const ImportFile file = openLog(one.log, one.day);
    CHECK_FALSE(file.problem);
    CHECK(logNameOf(file) == "ECU 2");
    const auto rows = logRows(file, 100.0);
    CHECK(rows->find("wastegate_duty")->unit == "%");
    CHECK(rows->find("Knock count"));
    std::ofstream(one.temporary.path() / "slow.csv") << "time [s],lambda [1]\n0,1\n1,1\n2,1\n3,1\n4,1\n5,1\n";
    CHECK(openLog(one.temporary.path() / "slow.csv", one.day).problem->problem() == Problem::NoSpeedChannel);
}

TEST_CASE("a log is stored beside its pull, whose own file keeps every byte") {
    DayWithLog one;
    const std::string before = readFileText(one.folder / "pulls/p03.csv");
    saveDay(one.day, one.folder, one.folder);
    CHECK(readFileText(one.folder / "pulls/p03.csv") == before);
    CHECK(fs::exists(one.folder / "pulls/p03-ecu-2.csv"));
    CHECK(verifyDay(one.folder).good());

    const TestDay again = readDay(one.folder);
    REQUIRE(again.pulls[2].logs.size() == 1);
    CHECK(again.pulls[2].logs[0].name == "ECU 2");
    CHECK(again.pulls[2].logs[0].clock == one.day.pulls[2].logs[0].clock);
    CHECK(sameRows(*again.pulls[2].raw, *one.day.pulls[2].raw));
    const std::vector<double>& duty = again.pulls[2].raw->find("wastegate_duty")->values;
    const std::vector<double>& speed = again.pulls[2].raw->find("engine_speed")->values;
    double worst = 0.0;
    for (size_t i = 0; i < speed.size(); ++i)
        if (std::isfinite(duty[i]))
            worst = std::max(worst, std::abs(duty[i] - speed[i] / 100.0));
    CHECK(worst < 0.5); // its own scatter from row to row, at 20 rows a second

    // Boost counts from the air that this pull was made in.
    const Column* boost = again.pulls[2].raw->find("manifold_pressure_ecu_2");
    REQUIRE(boost);
    CHECK(boost->values[200] == Approx(12.5 + again.pulls[2].weather->pressure_pa / 1000.0));

    const fs::path zip = one.temporary.path() / "day.zip";
    saveDay(again, zip, one.folder);
    CHECK(sameRows(*readDay(zip).pulls[2].raw, *again.pulls[2].raw));
    const fs::path copy = one.temporary.path() / "copy";
    saveDay(readDay(zip), copy, zip);
    CHECK(readFileText(copy / "pulls/p03-ecu-2.csv") == readFileText(one.folder / "pulls/p03-ecu-2.csv"));

    TestDay without = readDay(one.folder);
    setLogs(without.pulls[2], {});
    CHECK(sameRows(*without.pulls[2].raw, *readDay(test::demoDay()).pulls[2].raw));
}

TEST_CASE("a log whose file was changed or lost costs its channels, never the pull") {
    DayWithLog one;
    saveDay(one.day, one.folder, one.folder);
    std::ofstream(one.folder / "pulls/p03-ecu-2.csv", std::ios::app) << "\n";
    const TestDay changed = readDay(one.folder);
    REQUIRE(changed.pulls[2].raw);
    CHECK_FALSE(changed.pulls[2].raw->find("wastegate_duty"));
    CHECK(inEnglish(changed.pulls[2].logs[0].problem).find("checksum does not fit") != std::string::npos);
    CHECK_FALSE(verifyDay(one.folder).good());
    saveDay(changed, one.folder, one.folder); // what lies there stays as it is
    CHECK(readFileText(one.folder / "pulls/p03-ecu-2.csv").ends_with("\n\n"));
    fs::remove(one.folder / "pulls/p03-ecu-2.csv");
    CHECK(readDay(one.folder).pulls[2].raw);
}

TEST_CASE("a log that is laid on again replaces itself, and one of another name joins it") {
    DayWithLog one;
    one.layIt();
    CHECK(one.day.pulls[2].logs.size() == 1);
    LaidLog other = one.day.pulls[2].logs[0];
    other.name = "wideband";
    layOn(one.day.pulls[2], other);
    CHECK(one.day.pulls[2].logs.size() == 2);
    CHECK(one.day.pulls[2].raw->find("wastegate_duty_wideband"));
}

TEST_CASE("of a long log only the stretch beside the pull is kept") {
    const test::TemporaryFolder temporary;
    Pull pull;
    pull.id = "p09";
    pull.raw = std::make_shared<const ChannelTable>(
        ChannelTable{{{"time", "s", {0.0, 8.0}}, {"engine_speed", "rpm", {2000.0, 6000.0}}}});
    const fs::path path = temporary.path() / "Gear box 2.csv";
    {
        std::ofstream out(path);
        out << "time [s],engine_speed [rpm]\n";
        for (int i = 0; i < 6000; ++i)
            out << fmt::format("{:.1f},1000\n", 0.1 * i);
    }
    const LaidLog laid = logFor(pull, openLog(path, {}), {300.0, 0.0});
    CHECK(laid.file == "pulls/p09-gear-box-2.csv");
    CHECK(laid.rows->find("time")->values.front() == Approx(290.0));
    CHECK(laid.rows->find("time")->values.back() == Approx(318.0));
}

TEST_CASE("a killed program leaves logs too") {
    DayWithLog one;
    const test::TemporaryFolder root;
    {
        DayKeeper keeper(root.path());
        keeper.keep(one.day, {one.folder.string(), "Demo", "2026-05-16T10:00:00Z", "stamp", {}});
        fs::copy(keeper.folder(), root.path() / "copy", fs::copy_options::recursive);
    }
    const TestDay kept = readDay(root.path() / "copy", BadPulls::Keep);
    CHECK(sameRows(*kept.pulls[2].raw, *one.day.pulls[2].raw));
}

TEST_CASE("a clock that nothing could run by is refused") {
    DayWithLog one;
    saveDay(one.day, one.folder, one.folder);
    std::string json = readFileText(one.folder / "day.json");
    const size_t at = json.find("\"drift\":");
    json.replace(at, json.find_first_of(",}\n", at) - at, "\"drift\": 0.2");
    std::ofstream(one.folder / "day.json", std::ios::binary) << json;
    CHECK(test::messageOf([&] { (void)readDay(one.folder); }).find("5 %") != std::string::npos);
}
