// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Runs the built program as a user would, and reads what it prints.

#include "cli_support.h"
#include "formats/day_store.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <cstdio>
#include <fmt/format.h>
#include <fstream>
#include <sys/wait.h>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

using test::Run;
using test::run;
std::string demo() { return "'" + test::demoDay().string() + "'"; }
void write(const fs::path& path, const std::string& text) { std::ofstream(path) << text; }

} // namespace

TEST_CASE("weather answers one case") {
    const Json answer =
        run("weather --standard sae-j1349 --temperature-c 30 --pressure-kpa 95 --humidity-pct 0 --json").json();
    CHECK(answer["standard"] == "sae-j1349");
    CHECK(answer["factor"].get<double>() == Approx(1.059957440).margin(5e-10)); // arithmetic on the printed formula
    CHECK(answer["within_validity"] == true);
    CHECK(answer["dry_pressure_kpa"] == 95.0);
    CHECK(answer["reference"]["dry_pressure_kpa"] == 99.0);
    for (const char* key : {"validity_note", "vapour_pressure_kpa", "air_density_kg_m3", "density_altitude_m"})
        CHECK(answer.contains(key));
}

TEST_CASE("weather knows schools, friction and altimeter settings") {
    const std::string air = "weather --temperature-c 30 --humidity-pct 0 --json --standard ";
    const std::string boosted = " --pressure-kpa 95 --aspiration turbocharged";
    const Json held = run(air + "sae-j1349" + boosted + " --boost-correction held").json();
    CHECK(held["factor"] == 1.0);
    CHECK(held["boost_correction"] == "boosted: no factor, boost is held");
    CHECK(run(air + "ece-r85" + boosted + " --boost-held-absolute").json()["factor"] == 1.0);
    CHECK(run(air + "iso-1585" + boosted + " --boost-held-absolute").json()["factor"].get<double>() ==
          Approx(1.061279379).margin(5e-10)); // arithmetic on the printed formula
    CHECK(run(air + "iso-1585" + boosted + " --boost-correction temperature_only").json()["factor"].get<double>() ==
          Approx(std::pow(303.0 / 298.0, 0.6)));
    const double ca = 99.0 / 95.0 * std::sqrt(303.0 / 298.0);
    CHECK(
        run(air + "sae-j1349 --pressure-kpa 95 --friction-power-kw 20 --power-kw 100").json()["factor"].get<double>() ==
        Approx((120.0 * ca - 20.0) / 100.0));
    // ISO 2533: the standard setting at 500 m is 95.461 kPa.
    CHECK(run(air + "sae-j1349 --altimeter-setting-kpa 101.325 --altitude-m 500")
              .json()["dry_pressure_kpa"]
              .get<double>() == Approx(95.4608).margin(5e-4));
    CHECK(run(air + "sae-j1349 --altimeter-setting-kpa 101.325").status == 2);
    const Run typed = run("weather --temperature-c 20 --humidity-pct 50 --standard sae-j1349 --pressure-kpa 101.3 "
                          "--altitude-m 600");
    CHECK(typed.status == 0);
    CHECK(typed.error.find("sea-level figure") != std::string::npos);
}

TEST_CASE("reduce says how a pull on rollers was worked out and what was found on it") {
    const Json answer = run("reduce '" + test::rollerDay().string() + "' --pull p02 --json").json();
    CHECK(answer["power_at"] == "crank (estimate)");
    CHECK(answer["basis"][0].get<std::string>().find("Power from rollers of 46 kg m\xC2\xB2") == 0);
    CHECK(answer["ratio"].get<double>() == Approx(3.6405).epsilon(0.002)); // what was put in
    bool bypass = false;
    for (const Json& event : answer["events"])
        bypass = bypass || event["kind"] == "bypass_open";
    CHECK(bypass);
    const Json steps = run("reduce '" + test::tractorDay().string() + "' --pull p01 --json").json();
    CHECK(steps["power_at"] == "hub");
    CHECK(steps["rpm"].front() == 1000.0);
    CHECK(steps["rpm"].back() == 2200.0);
    CHECK(steps["events"].empty());
}

TEST_CASE("weather answers a batch in order, errors among the rest") {
    const test::TemporaryFolder temporary;
    write(temporary.path() / "cases.json",
          R"([{"standard":"din-70020","temperature_c":20,"pressure_kpa":101.3,"humidity_pct":50},
              {"standard":"sae-j1349","temperature_c":20,"pressure_kpa":98,"humidity_pct":150},
              {"standard":"iso-1585","temperature_c":25,"pressure_kpa":99,"vapour_pressure_kpa":0},
              {"standard":"iso-1585","temperature_c":25,"pressure_kpa":99,"vapour_pressure_kpa":0,"ignition":"compression"},
              7])");
    const Run result = run("weather --batch '" + (temporary.path() / "cases.json").string() + "' --json");
    CHECK(result.status == 0);
    const Json answers = result.json();
    REQUIRE(answers.size() == 5);
    CHECK(answers[0]["factor"].get<double>() == Approx(1.0));
    CHECK(answers[1]["error"].get<std::string>().find("relative humidity 150 %") != std::string::npos);
    CHECK(answers[2]["factor"].get<double>() == Approx(1.0));
    CHECK(answers[3]["error"].get<std::string>().find("fuel") != std::string::npos);
    CHECK(answers[4].contains("error"));
}

TEST_CASE("analyse answers with every key of the format") {
    const Json answer = run("analyse " + demo() + " --json").json();
    for (const char* key : {"standard", "grid_rpm", "repeatability", "drift", "builds", "comparisons"})
        CHECK(answer.contains(key));
    CHECK(answer["repeatability"]["degrees_of_freedom"] == 7);
    CHECK(answer["drift"]["identified"] == true);
    CHECK(answer["drift"]["allowance"] == "cautious");
    CHECK(answer["builds"][0]["pulls_left_out"][0]["id"] == "p03");
    const Json& c = answer["comparisons"][0];
    for (const char* key : {"from", "to", "rpm", "delta_power_kw", "delta_torque_nm", "pointwise95", "simultaneous95",
                            "family95", "protected_from_drift", "drift_that_would_explain_pct", "regions", "bands",
                            "peak_power", "crossovers_rpm", "changed", "like_for_like", "verdict", "summary"})
        CHECK(c.contains(key));
    CHECK(c["verdict"] == "mixed");
    CHECK(c["rpm"].size() == c["delta_power_kw"].size());
    CHECK(c["bands"].size() == 4);
    CHECK(c["drift_that_would_explain_pct"].is_null());
    CHECK(answer["grid_rpm"].size() == answer["builds"][0]["power_kw"].size());
}

TEST_CASE("what is asked for is what comes") {
    const Json answer =
        run("analyse " + demo() + " --standard iso-1585 --grid-rpm 100 --band 4500:7000 --from B --to A --json").json();
    CHECK(answer["standard"] == "iso-1585");
    CHECK(answer["grid_rpm"][1].get<double>() - answer["grid_rpm"][0].get<double>() == 100.0);
    REQUIRE(answer["comparisons"].size() == 1);
    CHECK(answer["comparisons"][0]["from"] == "B");
    CHECK(answer["comparisons"][0]["bands"].back()["from_rpm"] == 4500.0);
}

TEST_CASE("the effect that was put into the demo day is inside the bands") {
    // data/demo/flat-twin.json: about +3.6 % at 5400 rpm, -3.2 % at 2900 rpm.
    const Json answer = run("analyse " + demo() + " --json").json();
    const Json& c = answer["comparisons"][0];
    for (size_t i = 0; i < c["rpm"].size(); ++i) {
        const double rpm = c["rpm"][i].get<double>();
        if (rpm != 5400.0 && rpm != 2900.0)
            continue;
        const double truth = answer["builds"][0]["power_kw"][i].get<double>() * (rpm > 5000.0 ? 0.036 : -0.032);
        CHECK(c["simultaneous95"]["low"][i].get<double>() < truth);
        CHECK(c["simultaneous95"]["high"][i].get<double>() > truth);
    }
}

TEST_CASE("of three builds analyse says which may be best for a use") {
    const std::string buggy = "'" + (test::dataFolder() / "demo" / "day-2-boost-buggy").string() + "'";
    const Json whole = run("analyse " + buggy + " --json").json()["field"];
    REQUIRE(whole["builds"].size() == 3);
    CHECK(whole["builds"][0]["id"] == "A");
    CHECK(whole["builds"][0]["score_pct"] == 0.0);
    CHECK(whole["builds"][2]["may_be_best"] == true);
    CHECK(whole["builds"][2]["costs_at_most_pct"] == 0.0);
    CHECK(whole["builds"][1]["may_be_best"] == false);
    CHECK(whole["builds"][1]["low_pct"].get<double>() < whole["builds"][1]["score_pct"].get<double>());
    CHECK(whole["leads"].back()["builds"] == Json::array({"C"}));
    CHECK(whole["summary"].get<std::string>().find("C is best") != std::string::npos);
    const Json top = run("analyse " + buggy + " --use 5000:6000 --json").json();
    CHECK(top["field"]["use"] == Json({{"from_rpm", 5000.0}, {"to_rpm", 6000.0}}));
    CHECK(top["comparisons"][0]["bands"].back()["from_rpm"] == 5000.0); // among the bands too
    CHECK(top["field"]["builds"][2]["score_pct"].get<double>() > whole["builds"][2]["score_pct"].get<double>());
    const Json held = run("analyse " + buggy + " --use at:5500:500 --json").json();
    CHECK(held["field"] == top["field"]);
    const test::TemporaryFolder folder;
    write(folder.path() / "use.csv", "rpm,weight\n5000,1\n6000,1\n");
    const Json weighed =
        run("analyse " + buggy + " --use 'weights:" + (folder.path() / "use.csv").string() + "' --json").json();
    CHECK(weighed["field"]["use"]["weights"].size() == 2);
    CHECK(weighed["field"]["builds"][2]["score_pct"] ==
          top["field"]["builds"][2]["score_pct"]); // the same speeds count
    for (const char* bad : {"5000", "6000:5000", "at:5000", "at:500:600", "a:b", "5000:5000", "4000:nan"})
        CHECK(run("analyse " + buggy + " --use " + bad + " --json").status == 2);
    write(folder.path() / "bad.csv", "rpm,share\n3000,1\n5000,1\n");
    CHECK(run("analyse " + buggy + " --use 'weights:" + (folder.path() / "bad.csv").string() + "' --json").status == 1);
    write(folder.path() / "nothing.csv", "rpm,weight\n3000,0\n5000,0\n");
    CHECK(run("analyse " + buggy + " --use 'weights:" + (folder.path() / "nothing.csv").string() + "'").status == 1);
    CHECK(run("analyse " + buggy + " --use weights:/nowhere.csv").status == 1);
    CHECK_FALSE(run("analyse " + demo() + " --json").json().contains("field"));      // two builds are none
    const Json outside = run("analyse " + buggy + " --use 9000:9500 --json").json(); // nothing was run there
    CHECK_FALSE(outside.contains("field"));
}

TEST_CASE("reduce answers one pull") {
    const Json answer = run("reduce " + demo() + " --pull p06 --json").json();
    for (const char* key :
         {"rpm", "torque_nm", "power_kw", "factor", "window_rpm", "trimmed", "events", "peak_power", "peak_torque"})
        CHECK(answer.contains(key));
    bool spike = false;
    for (const Json& trim : answer["trimmed"])
        spike = spike || trim["why"] == "unsettled start";
    CHECK(spike);
}

TEST_CASE("batches give one line a day, in order, and go on after a bad one") {
    const test::TemporaryFolder temporary;
    write(temporary.path() / "days.txt", test::demoDay().string() + "\n/nowhere\n" + test::boostDay().string() + "\n");
    const Run result = run("analyse --batch '" + (temporary.path() / "days.txt").string() + "' --json-lines");
    CHECK(result.status == 0);
    std::istringstream lines(result.out);
    std::vector<Json> days;
    for (std::string line; std::getline(lines, line);)
        days.push_back(Json::parse(line));
    REQUIRE(days.size() == 3);
    CHECK(days[0]["comparisons"].size() == 1);
    CHECK(days[1]["error"].get<std::string>().find("missing") != std::string::npos);
    CHECK(days[2]["comparisons"].size() == 3);
    CHECK(result.out.starts_with("{\"day\":"));
}

TEST_CASE("import begins a day, guesses builds and converts") {
    const test::TemporaryFolder temporary;
    for (const char* pull : {"p01", "p02", "p05", "p06"}) {
        const std::string build = std::string(pull) < "p03" ? "A" : "B";
        std::string text = readFileText(test::demoDay() / "pulls" / (std::string(pull) + ".csv"));
        write(temporary.path() / (build + "_" + pull + ".csv"),
              text.replace(text.find("engine_speed [rpm]"), 18, "RPM"));
    }
    const std::string folder = temporary.path().string();
    const Run result =
        run("import " + folder + "/A_p01.csv " + folder + "/A_p02.csv " + folder + "/B_p05.csv " + folder +
            "/B_p06.csv --into " + folder + "/day --explain --temperature-c 18 --pressure-kpa 98.2 --humidity-pct 55");
    CHECK(result.status == 0);
    CHECK(result.out.find("RPM is engine speed in rpm") != std::string::npos);
    const TestDay day = readDay(temporary.path() / "day");
    CHECK(day.builds.size() == 2);
    CHECK(day.pulls.size() == 4);
    const Json answer = run("analyse " + folder + "/day --json").json();
    CHECK(answer["comparisons"][0]["verdict"] == "cannot_tell"); // no return to base
    CHECK(answer["comparisons"][0]["protected_from_drift"] == false);
    CHECK(answer["comparisons"][0]["drift_that_would_explain_pct"].get<double>() > 0.0);
    for (const Json& region : answer["comparisons"][0]["regions"])
        CHECK(region["kind"] == "unresolved");
}

TEST_CASE("import tells what it understood, doubts aloud and can be strict") {
    const test::TemporaryFolder temporary;
    const std::string file = (temporary.path() / "two.csv").string();
    std::string text = "Run,Time [s],RPM,Torque [N.m],Coolant [C],Note\n";
    for (int row = 0; row < 200; ++row)
        text += fmt::format("{},{:.2f},{},80,185,warm\n", row < 100 ? "base" : "B", 0.05 * (row % 100),
                            2000 + 50 * (row % 100));
    write(file, text + "Average,2,4500,80,185,\n");
    const std::string day = (temporary.path() / "day").string();
    const Run told = run("import '" + file + "' --explain --json");
    CHECK(told.status == 0);
    const Json answer = told.json()["files"][0];
    CHECK(answer["pulls"].size() == 2);
    CHECK(answer["pulls"][0]["id"].is_null()); // nothing was written
    CHECK(answer["pulls"][1]["build"] == "B");
    CHECK(answer["pulls"][1]["rows"] == 100);
    CHECK(answer["pulls"][1]["sweep_rpm"] == Json({2000.0, 6950.0}));
    CHECK(answer["columns"][4]["channel"] == "coolant_temperature");
    CHECK(answer["warnings"][0]["code"] == "out_of_range");
    CHECK(answer["left_out"][0]["line"] == 202);
    CHECK(run("import '" + file + "' --into '" + day + "' --strict").status == 1);
    CHECK_FALSE(fs::exists(temporary.path() / "day" / "day.json"));
    CHECK(run("import '" + file + "'").status == 2); // neither told nor written
    const Run written = run("import '" + file + "' --into '" + day + "' --json");
    CHECK(written.json()["files"][0]["pulls"][1]["id"] == "p02");
    CHECK(readDay(day).pulls[1].raw->find("engine_speed")->values.front() == 2000.0);
}

TEST_CASE("a second log is laid onto its pull, by its speed or by hand, and a stranger's is refused") {
    const test::TemporaryFolder temporary;
    const std::string day = (temporary.path() / "day").string();
    fs::copy(test::rollerDay(), day, fs::copy_options::recursive);
    const TestDay before = readDay(day);
    const ChannelTable& rows = *before.pulls[2].raw;
    const std::string log = (temporary.path() / "ECU.csv").string();
    {
        std::ofstream out(log);
        out << "Time [s],Engine speed [rpm],Knock count\n";
        for (size_t i = 0; i < rows.rows(); i += 2)
            out << rows.find("time")->values[i] + 4.25 << ',' << rows.find("engine_speed")->values[i] << ",40\n";
    }
    const auto laid = run("import " + log + " --onto p03 --into " + day + " --json");
    REQUIRE(laid.status == 0);
    const Json one = laid.json()["files"][0]["logs"][0];
    CHECK(one["pull"] == "p03");
    CHECK(one["lag_s"].get<double>() == Approx(4.25).margin(0.005));
    CHECK(one["fits_as_well"].empty());
    CHECK(one["channels"] == Json{"engine_speed_ecu", "Knock count"});
    CHECK(readDay(day).pulls[2].raw->find("Knock count"));
    CHECK(run("verify " + day).status == 0);

    const auto wrong = run("import " + log + " --onto p04 --into " + day);
    CHECK(wrong.status == 1);
    CHECK(wrong.error.find("p0") != std::string::npos);
    CHECK(readDay(day).pulls[3].logs.empty());
    const auto all = run("import " + log + " --onto all --into " + day);
    CHECK(all.status == 0);
    CHECK(all.error.find("not onto p04") != std::string::npos);
    CHECK(run("import " + log + " --onto p03 --lag-s 4 --into " + day).status == 0);
    CHECK(readDay(day).pulls[2].logs[0].clock == LogClock{4.0, 0.0});
    CHECK(run("import " + log + " --onto p99 --into " + day).status == 1);
    CHECK(run("import " + log + " --onto all --lag-s 4 --into " + day).status == 2);
    CHECK(run("import " + log + " --onto p03").status == 2);
    CHECK(run("import " + log + " --onto p03 --build B --into " + day).status == 2);
    CHECK(run("import " + log + " --onto p03 --pressure-kpa 98 --into " + day).status == 2);
}

TEST_CASE("a log that fits several pulls alike goes onto the one that is named, with a word, and onto none by itself") {
    const test::TemporaryFolder temporary;
    const std::string day = (temporary.path() / "day").string();
    fs::copy(test::demoDay(), day, fs::copy_options::recursive); // a brake that repeats its sweep to the revolution
    const std::string log = (temporary.path() / "ECU.csv").string();
    fs::copy(fs::path(day) / "pulls/p03.csv", log);
    const auto all = run("import " + log + " --onto all --into " + day);
    CHECK(all.status == 1);
    CHECK(all.error.find("as well") != std::string::npos);
    CHECK(run("import " + log + " --onto p03 --strict --into " + day).status == 1);
    const auto named = run("import " + log + " --onto p03 --into " + day);
    CHECK(named.status == 0);
    CHECK(named.error.find("the log fits p0") != std::string::npos);
    CHECK(readDay(day).pulls[2].raw->find("torque_ecu"));
}

TEST_CASE("curves from sheets are compared, and prove nothing") {
    const test::TemporaryFolder temporary;
    const std::string day = (temporary.path() / "day").string();
    for (const auto& [name, factor] : {std::pair{"A", 1.0}, std::pair{"B", 1.1}}) {
        std::ofstream out(temporary.path() / (std::string(name) + ".csv"));
        out << "rpm,Nm\n";
        for (int rpm = 3000; rpm <= 6000; rpm += 250)
            out << rpm << ',' << factor * (90.0 - (rpm - 3000) / 100.0) << '\n';
    }
    const std::string files = (temporary.path() / "A.csv").string() + " " + (temporary.path() / "B.csv").string();
    const auto unsaid = run("import " + files + " --into " + day + " --strict"); // what it was corrected to
    CHECK(unsaid.status == 1);
    CHECK(unsaid.error.find("it is a curve, not a pull") != std::string::npos);
    const auto imported = run("import " + files + " --into " + day + " --corrected-to sae-j1349 --strict --json");
    REQUIRE(imported.status == 0);
    CHECK(imported.error.empty());
    std::ofstream(temporary.path() / "mixed.csv") << "rpm,kW\n3000,28\n4000,44\n3500,36\n5000,52\n4500,49\n";
    const std::string mixed = (temporary.path() / "mixed.csv").string();
    CHECK(run("import " + mixed + " --explain").status == 1); // speeds to and fro
    CHECK(run("import " + mixed + " --corrected-to unknown --explain").status == 0);
    CHECK(run("import " + mixed + " --corrected-to unknown --smoothing-rpm=-5").status == 2);
    CHECK(run("import " + test::demoDay().string() + "/pulls/p01.csv --corrected-to unknown --explain").status ==
          2); // has time
    CHECK(imported.json()["files"][0]["pulls"][0]["grade"] == "curve_only");
    const Json answer = run("analyse " + day + " --json").json();
    REQUIRE(answer["comparisons"].size() == 1);
    CHECK(answer["comparisons"][0]["verdict"] == "cannot_tell");
    CHECK(answer["comparisons"][0]["bands"][0]["delta_torque_nm"].get<double>() > 5.0);
    CHECK(answer["comparisons"][0]["bands"][0]["low"].is_null());
    CHECK(answer["comparisons"][0]["regions"].empty());
    CHECK(answer["builds"][0]["given"].get<std::string>().starts_with("a curve only, corrected to SAE J1349"));
    CHECK(run("export " + day + " --to " + (temporary.path() / "sheet.pdf").string()).status == 0);
    CHECK(run("reduce " + day + " --pull p01 --json").status == 0);
    CHECK(run("import " + (fs::path(day) / "pulls/p01.csv").string() + " --onto p01 --into " + day).status == 1);
    std::ofstream(temporary.path() / "pull.csv") << readFileText(test::demoDay() / "pulls/p01.csv");
    CHECK(run("import " + (temporary.path() / "pull.csv").string() + " --into " + day + " --corrected-to sae-j607")
              .status == 2);
}

TEST_CASE("a course weights the use, is written as a table, and a timed run gives the drag area") {
    test::TemporaryFolder folder;
    const std::string buggy = "'" + test::boostDay().string() + "'";
    const std::string compared = "analyse " + buggy + " --from A --to B --json --use ";
    const Json answer = run(compared + "course:larkfell-hill").json();
    REQUIRE(answer.contains("use"));
    CHECK(answer["use"].dump().find("weights") != std::string::npos);
    CHECK(run(compared + "course:nowhere").status == 1);
    CHECK(run("analyse " + demo() + " --from A --to B --json --use course:60-100").status == 1); // no gears

    const fs::path table = folder.path() / "hill.csv";
    const std::string road = "road " + buggy + " --course ";
    CHECK(run(road + "larkfell-hill --write-course " + test::quoted(table)).status == 0);
    const Json hill = run(road + "larkfell-hill --json").json();
    const Json copied = run(road + test::quoted(table) + " --json").json();
    CHECK(copied["builds"][0]["time_s"].get<double>() ==
          Approx(hill["builds"][0]["time_s"].get<double>()).epsilon(1e-5));

    const Run rolling = run(road + "60-100 --write-course " + test::quoted(folder.path() / "rolling.csv"));
    CHECK(rolling.status == 2); // it has no pieces that a table could hold
    CHECK_FALSE(fs::exists(folder.path() / "rolling.csv"));

    const double quarter = run(road + "standing-quarter-mile --json").json()["builds"][1]["time_s"].get<double>();
    const std::string timed = fmt::format(" --json --timed {:.6f} --build B", quarter);
    const Json fit = run(road + "standing-quarter-mile --fit drag-area" + timed).json()["fit"];
    CHECK(fit["value"].get<double>() == Approx(*readDay(test::boostDay()).article.vehicle.dragArea_m2).epsilon(1e-3));
    CHECK(run(road + "standing-quarter-mile --json --fit launch --timed 1").json()["fit"]["value"].is_null());
    CHECK(run(road + "standing-quarter-mile --fit colour --timed 12").status == 2);
    CHECK(run(road + "standing-quarter-mile --fit launch --timed 12 --build Q").status == 1);
}

TEST_CASE("road holds one speed, of a day without a vehicle too") {
    const Json answer = run("road " + demo() + " --course held:4500:200 --json").json();
    CHECK(answer["course"] == "held");
    CHECK(answer["held"]["half_width_rpm"] == 200.0);
    CHECK(answer["builds"].size() >= 2);
    const Json& first = answer["comparisons"][0];
    CHECK(first["low"].get<double>() < first["delta_w"].get<double>());
    CHECK(first["summary"].get<std::string>().find("Held at 4") == 0);
    CHECK(run("road " + demo() + " --course held:4500").out.find("at the speed held") != std::string::npos);
    CHECK(run("road " + demo() + " --course held:x").status == 1);
    CHECK(run("road " + demo() + " --course held:29000").error.find("outside what all pulls share") !=
          std::string::npos);
    CHECK(run("road " + demo() + " --course held:4500 --fit launch --timed 5").status == 2);
    CHECK(run("road " + demo() + " --course held:4500 --write-course x.csv").status == 2);
    const std::string compared = "analyse " + demo() + " --from A --to B --json --use ";
    CHECK(run(compared + "course:held:4500:200").json() == run(compared + "at:4500:200").json());
}

TEST_CASE("road drives the builds of a day along a course") {
    const std::string buggy = "'" + test::boostDay().string() + "'";
    const Json answer = run("road " + buggy + " --course larkfell-hill --json").json();
    CHECK(answer["course"] == "larkfell-hill");
    REQUIRE(answer["builds"].size() >= 2);
    for (const Json& build : answer["builds"]) {
        CHECK(build["time_s"].get<double>() > 30.0);
        CHECK(build["time_s"].get<double>() < 120.0);
        CHECK(build["shift_rpm"].size() == 4);
        CHECK_FALSE(build["use"].empty());
        CHECK_FALSE(build["times"].empty());
    }
    REQUIRE_FALSE(answer["comparisons"].empty());
    const Json& first = answer["comparisons"].front();
    CHECK(first["low"].get<double>() < first["delta_s"].get<double>());
    CHECK(first["delta_s"].get<double>() < first["high"].get<double>());
    double won = 0.0;
    for (const Json& piece : first["won"])
        won += piece["delta_s"].get<double>();
    const double times = answer["builds"][1]["time_s"].get<double>() - answer["builds"][0]["time_s"].get<double>();
    CHECK(won == Approx(times).margin(2e-3));
    CHECK(first["summary"].get<std::string>().find("the Larkfell hill") != std::string::npos);

    const Json asked = run("road " + buggy + " --course 60-100 --from B --to A --json").json();
    REQUIRE(asked["comparisons"].size() == 1);
    CHECK(asked["comparisons"][0]["from"] == "B");
    CHECK(run("road " + buggy + " --course standing-400m").out.find("The times are a model's") != std::string::npos);
    CHECK(run("road " + buggy + " --course nowhere").status == 1);
    CHECK(run("road " + buggy).status == 2);
    CHECK(run("road " + buggy + " --course 60-100 --from A").status == 2);
    CHECK(run("road " + buggy + " --course 60-100 --from A --to Q").status == 1);
    const Run lacks = run("road " + demo() + " --course 60-100"); // the flat twin's frame has no gears
    CHECK(lacks.status == 1);
    CHECK(lacks.error.find("gears") != std::string::npos);
    // What fitting again adds widens every interval.
    const Json wide = run("road " + buggy + " --course larkfell-hill --refit-sd-pct 0.5 --json").json();
    CHECK(wide["comparisons"][0]["high"].get<double>() > first["high"].get<double>());
    CHECK(run("analyse " + demo() + " --refit-sd-pct 0.3 --json").json()["refit"]["from"] == "entered");
    CHECK(run("analyse " + demo() + " --json").json()["refit"].is_null());
    CHECK(run("analyse " + demo() + " --refit-sd-pct 21").status == 2);
}

TEST_CASE("export writes each kind of file") {
    const test::TemporaryFolder temporary;
    for (const char* ending : {"zip", "csv", "json", "pdf", "html", "svg"}) {
        const fs::path file = temporary.path() / (std::string("out.") + ending);
        CHECK(run("export " + demo() + " --to '" + file.string() + "'").status == 0);
        CHECK(fs::file_size(file) > 1000);
    }
    CHECK(Json::parse(readFileText(temporary.path() / "out.json"))["comparisons"].size() == 1);
    CHECK(readDay(temporary.path() / "out.zip").pulls.size() == 11);
    const std::string text = (temporary.path() / "out.txt").string();
    REQUIRE(std::system(
                ("pdftotext -layout '" + (temporary.path() / "out.pdf").string() + "' '" + text + "'").c_str()) == 0);
    CHECK(readFileText(text).find("Collector length, flat twin") != std::string::npos);
    CHECK(readFileText(text).find("B gives") != std::string::npos);
    CHECK(readFileText(temporary.path() / "out.html").find("<h2>B gives") != std::string::npos);
}

TEST_CASE("export takes another curve and another use along") {
    const test::TemporaryFolder temporary;
    const std::string target = " --to '" + (temporary.path() / "out.").string();
    const std::string day = "export " + test::boostDay().string();
    CHECK(run(day + target + "csv' --quantity boost").status == 0);
    CHECK(readFileText(temporary.path() / "out.csv").find(",A_to_B_boost_difference [kPa],") != std::string::npos);
    CHECK(run(day + target + "html' --quantity boost --use at:4500:200").status == 0);
    const std::string html = readFileText(temporary.path() / "out.html");
    CHECK(html.find("Boost, kPa") != std::string::npos);
    CHECK(html.find("rpm held") != std::string::npos);
    CHECK(run(day + target + "pdf' --quantity fuel_smell").status == 2);
}

TEST_CASE("a use can be a gear from shift to shift, and a gear that is not there is refused") {
    const std::string day = "analyse " + test::rollerDay().string();
    const Json answer = run(day + " --use gear:3 --json").json();
    // red line 6500, third gear 1.36, second 2.05
    CHECK(answer["comparisons"][0]["bands"][4]["from_rpm"].get<double>() == Approx(6500.0 * 1.36 / 2.05));
    CHECK(run(day + " --use gear:1 --json").status == 1);
    CHECK(run(day + " --use gear:9 --json").status == 1);
    CHECK(run(day + " --use gear:x --json").status == 2);
}

TEST_CASE("the help and what is wrong with a line are said in the reader's language") {
    const auto plain = run("--language en --help");
    CHECK(plain.status == 0);
    for (const char* word : {"Usage:", "[OPTIONS]", "Options:", "Subcommands:", "Print this help message and exit"}) {
        INFO(word);
        CHECK(plain.out.find(word) != std::string::npos);
        CHECK(run("--language de --help").out.find(word) == std::string::npos);
    }
    CHECK(run("--language de --help").out.find("Aufruf:") != std::string::npos);
    CHECK(run("--language fr analyse --help").out.find("montrer cette aide et finir") != std::string::npos);
    CHECK(run("reduce x --language de").error.find("--pull fehlt") != std::string::npos);
    CHECK(run("analyse --no-such x y --language de").error.find("Hier nicht bekannt: --no-such") != std::string::npos);
    CHECK(run("--language fr").error.find("Nommez une commande") != std::string::npos);
    CHECK(run("weather --temperature-c warm --language en").error.find("This does not fit:") != std::string::npos);
    for (const char* wrong : {"reduce x", "analyse --no-such", "", "weather --temperature-c warm"})
        CHECK(run(wrong).status == 2);
}

TEST_CASE("the exit status tells wrong use from unwilling data") {
    const struct {
        const char* arguments;
        int status;
        const char* word;
    } rows[] = {
        {"", 2, ""},
        {"analyse", 2, "give one DAY"},
        {"analyse /nowhere --json", 1, "missing"},
        {"analyse --batch /nowhere.txt", 1, "missing"},
        {"weather --standard nonsense --temperature-c 20 --pressure-kpa 98 --humidity-pct 50 --json", 2,
         "no correction standard"},
        {"weather --standard sae-j1349 --temperature-c 20 --pressure-kpa 98 --humidity-pct 150 --json", 1,
         "relative humidity 150 %"},
        {"weather --standard sae-j1349 --temperature-c 20 --json", 2, "give --standard"},
        {"weather --standard sae-j1349 --temperature-c 20 --pressure-kpa 98 --humidity-pct 50 --dew-point-c 5", 2,
         "exactly one"},
        {"frobnicate", 2, ""},
    };
    for (const auto& row : rows) {
        INFO(row.arguments);
        const Run result = run(row.arguments);
        CHECK(result.status == row.status);
        CHECK(result.error.find(row.word) != std::string::npos);
    }
    CHECK(run("analyse " + demo() + " --band 5000:4000").status == 2);
    CHECK(run("analyse " + demo() + " --from A").status == 2);
    CHECK(run("analyse " + demo() + " --from A --to Z").status == 1);
    CHECK(run("reduce " + demo() + " --pull p99").status == 1);
    CHECK(run("export " + demo() + " --to x.doc").status == 2);
    CHECK(run("--help").status == 0);
    CHECK(run("analyse --help").out.find("--drift-bound-pct") != std::string::npos);
}

TEST_CASE("the stand-in makes a day from a description") {
    const test::TemporaryFolder temporary;
    const std::string out = (temporary.path() / "day.zip").string();
    const std::string spec = (test::dataFolder() / "demo" / "flat-twin.json").string();
    CHECK(run("--make-day '" + spec + "' --out '" + out + "' --seed 3", "hillrun-simcell").status == 0);
    CHECK(readDay(out).pulls.size() == 11);
    CHECK(run("--make-day /nowhere --out '" + out + "'", "hillrun-simcell").status == 1);
    CHECK(run("--out x", "hillrun-simcell").status == 2);
}

TEST_CASE("plan tells the pulls needed, and what a plan can see") {
    const Run aba = run("plan --repeatability-pct 0.5 --detect-pct 1 --design ABA --json");
    REQUIRE(aba.status == 0);
    const Json out = aba.json();
    CHECK(out["sets"] == Json({"A", "B", "A"}));
    const int needed = out["pulls_per_set_needed"];
    CHECK(out["chance"].get<double>() >= 0.80);
    CHECK(out["pulls"] == 3 * needed);
    CHECK(out["smallest_seen_pct"].get<double>() <= 1.0);
    CHECK(out["drift_identified"] == true);
    CHECK(out["weaknesses"].empty() == (needed >= 3));
    const Json fewer = run("plan --repeatability-pct 0.5 --detect-pct 1 --design ABA --pulls-per-set " +
                           std::to_string(needed - 1) + " --json")
                           .json();
    CHECK(fewer["chance"].get<double>() < 0.80); // one fewer would not do
    CHECK(fewer["pulls_per_set_needed"] == needed);
    const Json ab = run("plan --repeatability-pct 0.5 --detect-pct 1 --design a-b --json").json();
    CHECK(ab["drift_identified"] == false);
    CHECK(ab["weaknesses"][0].get<std::string>().find("No return to base") == 0);
    const Json cautious = run("plan --repeatability-pct 0.5 --detect-pct 1 --degrees-of-freedom 4 --json").json();
    CHECK(cautious["pulls_per_set_needed_cautious"].get<int>() > needed);
    CHECK(run("plan --repeatability-pct 9 --detect-pct 0.1 --json").json()["pulls_per_set_needed"].is_null());
    CHECK(run("plan --repeatability-pct 0.5 --detect-pct 1 --design ABCA --json").json()["sets"].size() == 4);
    CHECK(run("plan --repeatability-pct 0.5 --detect-pct 1").out.find("pulls a set are needed to see 1 %") !=
          std::string::npos);
}

TEST_CASE("plan refuses what cannot be meant") {
    for (const char* wrong : {"plan --repeatability-pct 0.5", "plan --repeatability-pct 0 --detect-pct 1",
                              "plan --repeatability-pct 0.5 --detect-pct 1 --design ABZ",
                              "plan --repeatability-pct 0.5 --detect-pct 1 --design BCB",
                              "plan --repeatability-pct 0.5 --detect-pct 1 --pulls-per-set 0"})
        CHECK(run(wrong).status == 2);
}

TEST_CASE("the simulated cell wants a job") {
    CHECK(run("", "hillrun-simcell").status == 2);
    CHECK(run("serve", "hillrun-simcell").status == 2);
    CHECK(run("serve --day /nowhere.json --tcp 0", "hillrun-simcell").status == 1);
    CHECK(run("serve --day x --speed 0", "hillrun-simcell").status == 2);
}

TEST_CASE("reduce names the events of a pull") {
    const Json out = run("reduce " + test::demoDay().string() + " --pull p03 --json").json();
    bool breakup = false;
    for (const Json& event : out["events"])
        breakup = breakup || event["kind"] == "breakup";
    CHECK(breakup);
    CHECK(run("reduce " + test::demoDay().string() + " --pull p01 --json").json()["events"].empty());
}

TEST_CASE("credit: what pipe and map give, in words and in JSON") {
    const std::string day = "'" + test::latticeDay().string() + "'";
    const Run said = run("credit " + day);
    CHECK(said.status == 0);
    CHECK(said.out.find("Pipe and ignition map together: +") != std::string::npos);
    CHECK(said.out.find("By fair share: pipe +") != std::string::npos);
    const Json answer = run("credit " + day + " --json").json();
    CHECK(answer["kind"] == "lattice");
    CHECK(answer["base"] == "A");
    CHECK(answer["full"] == "D");
    CHECK(answer["part_sets"]["D"] == Json({"p1", "p2"}));
    CHECK(answer["parts"][0]["cost"] == 480.0);
    CHECK(answer["parts"][0]["mass_kg"] == -2.5);
    CHECK(answer["use"]["from_rpm"] == 3500.0);
    REQUIRE(answer["shares"].size() == 2);
    double sum = 0.0;
    for (const Json& share : answer["shares"]) {
        sum += share["share_kw"].get<double>();
        CHECK(share["low"].get<double>() < share["share_kw"].get<double>());
        CHECK(share["label"] == "fair share");
        CHECK(share["bound_factor"] == 0.0);
        CHECK(share["share_kw_by_rpm"].size() == share["rpm"].size());
        CHECK(share["simultaneous95"]["low"].size() == share["rpm"].size());
    }
    CHECK(sum == Approx(answer["total"]["delta_power_kw"].get<double>()).margin(1e-9));
    CHECK(answer["steps"].size() == 4);
    CHECK(answer["interactions"].size() == 1);
    // What stands behind the day: together 0.7 to 2.0 % more than the sum, 1.6 % on average over the use.
    CHECK(answer["interactions"][0]["low_pct"].get<double>() < 1.6);
    CHECK(answer["interactions"][0]["high_pct"].get<double>() > 1.6);
    // Per kilowatt: the cost over the interval's ends, never over the estimate.
    const Json& pipe = answer["shares"][0];
    CHECK(pipe["cost_per_kw"]["low"].get<double>() == Approx(480.0 / pipe["high"].get<double>()));
    CHECK(pipe["cost_per_kw"]["high"].get<double>() == Approx(480.0 / pipe["low"].get<double>()));
}

TEST_CASE("credit says why a day gives no part its credit, and refuses what cannot be meant") {
    const std::string runners = "'" + test::runnerDay().string() + "'";
    CHECK(run("credit " + runners).out.find("Inlet runners: 24") != std::string::npos);
    const Json swept = run("credit " + runners + " --json").json();
    CHECK(swept["kind"] == "sweep");
    const Json& sweep = swept["sweep"];
    CHECK(sweep["setting"] == "inlet runners");
    CHECK(sweep["unit"] == "mm");
    CHECK(sweep["levels"] == Json({160.0, 200.0, 240.0, 280.0, 320.0, 360.0}));
    CHECK(sweep["costs_at_most_pct"].size() == 6);
    CHECK(sweep["best"]["low"].get<double>() <= sweep["best"]["value"].get<double>());
    CHECK(sweep["best"]["value"].get<double>() <= sweep["best"]["high"].get<double>());
    // What stands behind the day: shorter runners are better the higher the speed.
    CHECK(sweep["best_by_rpm"].back()["value"].get<double>() < sweep["best_by_rpm"][9]["value"].get<double>());
    const Json ladder = run("credit " + demo() + " --json").json(); // two builds: one part
    CHECK(ladder["kind"] == "ladder");
    CHECK(ladder["steps"].size() == 1);
    CHECK(ladder["adds_up"].is_null());
    CHECK(run("credit " + demo() + " --interaction-bound-pct 0").status == 2);
    CHECK(run("credit " + demo() + " --use 9000:9500").status == 1); // no pull goes there
    CHECK(run("credit").status == 2);
}

TEST_CASE("credit: what counts as one part can be said, and what is not known is refused") {
    const std::string day = "'" + test::latticeDay().string() + "'";
    const Json together = run("credit " + day + " --part-set 'pipe=ignition map' --json").json();
    CHECK(together["kind"] == "none"); // C then has no part of its own
    CHECK(together["summary"].get<std::string>().find("nothing") != std::string::npos);
    CHECK(run("credit " + day + " --part-set =ignition_map --json").json()["kind"] == "none"); // the same twice
    for (const char* const wrong : {"pipe", "pipe=oil", "oil=pipe"}) {
        const Run refused = run("credit " + day + " --part-set " + wrong);
        CHECK(refused.status == 2);
        CHECK(refused.error.find(std::string(wrong) == "pipe" ? "PART=OTHER" : "oil: the builds do not differ") !=
              std::string::npos);
    }
    CHECK(run("credit " + day + " --part-set pipe=pipe").status == 2);
    for (const char* const wrong : {"pipe", "pipe=", "pipe=0", "pipe=1.5", "pipe=x", "oil=1"})
        CHECK(run("credit " + day + " --number-of " + wrong).status == 2);
    const test::TemporaryFolder scratch;
    const auto jets = scratch.path() / "jets";
    std::filesystem::copy(test::runnerDay(), jets, std::filesystem::copy_options::recursive);
    Json edited = Json::parse(readFileText(jets / "day.json"));
    for (size_t i = 0; i < edited["builds"].size(); ++i) {
        edited["builds"][i].erase("parts");
        edited["builds"][i]["settings"] = {{"jets", fmt::format("{}/{}", 95 - 2 * i, 40 + i)}};
    }
    std::ofstream(jets / "day.json") << edited.dump();
    const std::string two = "'" + jets.string() + "'";
    CHECK(run("credit " + two).out.find("say which one counts") != std::string::npos);
    CHECK(run("credit " + two + " --number-of jets=3").status == 2);
    const Json second = run("credit " + two + " --number-of jets=2 --json").json();
    CHECK(second["sweep"]["number"] == 2);
    CHECK(second["sweep"]["levels"] == Json({40.0, 41.0, 42.0, 43.0, 44.0, 45.0}));
    CHECK(run("credit " + day + " --number-of pipe=1 --json").json()["kind"] == "lattice"); // nothing to choose
    CHECK(run("credit " + day + " --json").json()["advice"] == "");
}

TEST_CASE("another curve beside power: in its own unit, in words and in JSON") {
    const std::string day = "'" + test::boostDay().string() + "'";
    const Json answer = run("analyse " + day + " --quantity boost --json").json();
    CHECK(answer["quantity"] == "boost");
    CHECK(answer["unit"] == "kPa");
    CHECK(answer["builds"][0]["value"].size() == answer["grid_rpm"].size());
    const Json& pair = answer["comparisons"][0];
    CHECK(pair["delta"].size() == pair["delta_power_kw"].size());
    CHECK(pair["bands"][0]["delta"].get<double>() > 5.0); // 60 against 75 kPa where the wastegate holds it
    CHECK(pair["family95"]["low"].size() == pair["delta"].size());
    CHECK(pair["regions"].back()["kind"] == "gain");
    CHECK(run("analyse " + day + " --quantity lambda").out.find("Lambda: ") != std::string::npos);
    const Run missing = run("analyse " + day + " --quantity oil_level");
    CHECK(missing.status == 2);
    CHECK(missing.error.find("no two builds have oil_level; this day has power, torque, boost") != std::string::npos);
}
