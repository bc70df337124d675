// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/pull_file.h"

#include "support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace hillrun;

namespace {
std::string pullProblem(const std::string& text) {
    return test::messageOf([&] { (void)readPullText(text, "x.csv", 98.0); });
}
double firstOf(const ChannelTable& table, const char* channel) { return table.find(channel)->values.front(); }
} // namespace

TEST_CASE("foreign columns are guessed and converted") {
    const ChannelTable table = readPullText(
        "Time (sec);Engine RPM;Torque (lb-ft);Boost (psi);MAP (kPa);AFR;Coolant (degF);Speed (mph);My sensor (V)\n"
        "0;2500;100;10;170;12,5;194;50;1,25\n0,1;2550;101;10;170;12,5;194;51;1,30\n",
        "x.csv", 98.0);
    CHECK(firstOf(table, "torque") == Approx(135.58179));
    CHECK(firstOf(table, "manifold_pressure") == Approx(10 * 6.8947573 + 98.0)); // boost is a gauge pressure
    CHECK(firstOf(table, "coolant_temperature") == Approx(90.0));
    CHECK(firstOf(table, "road_speed") == Approx(80.4672));
    CHECK(firstOf(table, "air_fuel_ratio") == 12.5);
    CHECK(firstOf(table, "MAP") == 170.0); // the second column of that meaning keeps its own name
    CHECK(firstOf(table, "My sensor") == 1.25);
    CHECK(table.find("My sensor")->unit == "V");
}

TEST_CASE("guesses are marked, exact names are not") {
    const CsvTable csv = parseCsv("time [s],RPM,torque [N.m],lambda [1]\n0,1,2,0.9\n1,2,3,0.9\n", "x");
    const auto meanings = guessMeanings(csv);
    CHECK_FALSE(meanings[0].guessed);
    CHECK(meanings[1].guessed);
    CHECK(meanings[1].channel == "engine_speed");
    CHECK(meanings[1].unit == "rpm");
    CHECK_FALSE(meanings[3].guessed);
}

TEST_CASE("a pull without what it needs is refused") {
    CHECK(pullProblem("time [s],lambda [1],torque [N.m]\n0,1,80\n1,1,81\n").find("no engine speed") !=
          std::string::npos);
    CHECK(
        pullProblem("time [s],engine_speed [rpm],lambda [1]\n0,2500,1\n1,2600,1\n").find("neither torque nor power") !=
        std::string::npos);
    CHECK(pullProblem("engine_speed [rpm],torque [N.m]\n2500,80\n2600,81\n").find("no time column") !=
          std::string::npos);
    CHECK(pullProblem("time [s],engine_speed [rpm],torque [N.m]\n1,2500,80\n0,2600,81\n")
              .find("time runs back from 1 s to 0 s") != std::string::npos);
    CHECK(pullProblem("time [s],engine_speed [rpm],torque [stone]\n0,2500,80\n1,2600,81\n")
              .find("column torque: the unit \"stone\" is not known") != std::string::npos);
    CHECK(pullProblem("time [s],engine_speed [rpm],torque [kPa]\n0,2500,80\n1,2600,81\n")
              .find("\"kPa\" cannot be the unit of torque") != std::string::npos);
    CHECK(pullProblem("time [s],engine_speed [rpm],torque [N.m],torque [N.m]\n0,2500,80,80\n1,2600,81,80\n")
              .find("two columns are named torque") != std::string::npos);
    CHECK(pullProblem("time [s],engine_speed [rpm],torque [N.m]\n0,2500,80\n0,2500,80\n1,2600,81\n") ==
          "nothing"); // a repeated time stamp
}

TEST_CASE("what is written reads back to the same numbers") {
    rc::prop("any numbers, blanks too", [] {
        ChannelTable table;
        const auto rows = *rc::gen::inRange<size_t>(2, 30);
        for (const char* name : {"time", "engine_speed", "torque", "odd thing"})
            table.columns.push_back(
                {name, std::string(name) == "time" ? "s" : (std::string(name) == "engine_speed" ? "rpm" : "N.m"), {}});
        for (size_t row = 0; row < rows; ++row) {
            table.columns[0].values.push_back(0.01 * static_cast<double>(row));
            for (size_t column = 1; column < 4; ++column)
                table.columns[column].values.push_back(*rc::gen::inRange(-1000000, 1000000) / 977.0);
        }
        table.columns[3].values[rows / 2] = std::nan("");
        const ChannelTable back = readPullText(writePullText(table), "x", 98.0);
        for (size_t column = 0; column < 4; ++column) {
            RC_ASSERT(back.columns[column].name == table.columns[column].name);
            for (size_t row = 0; row < rows; ++row) {
                const double a = table.columns[column].values[row];
                const double b = back.columns[column].values[row];
                RC_ASSERT((std::isnan(a) && std::isnan(b)) || a == b);
            }
        }
    });
}
