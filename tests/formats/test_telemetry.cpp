// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/telemetry.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <rapidcheck.h>

using namespace hillrun;
using hillrun::test::inEnglish;

namespace {

/// Everything a parser tells, as printed lines.
struct Heard {
    std::vector<std::string> lines;
    TelemetryParser parser{{
        .header =
            [this](const std::vector<Column>& columns) {
                std::string text = "header";
                for (const Column& column : columns)
                    text += " " + column.name + "[" + column.unit + "]";
                lines.push_back(text);
            },
        .frame =
            [this](double time, std::span<const double> values) {
                lines.push_back(fmt::format("{}: {}", time, fmt::join(values, " ")));
            },
        .comment = [this](const std::string& text) { lines.push_back("# " + text); },
        .problem = [this](const Statement& why) { lines.push_back("! " + inEnglish(why)); },
    }};
    std::string all() const { return fmt::format("{}", fmt::join(lines, "\n")); }
};

const std::string kStream = "#hill-run-telemetry 1\n"
                            "time [s],engine_speed [rpm],torque [N.m],lambda [1]\n"
                            "0.00,2500,80.5,0.9\n"
                            "#event motor started\n"
                            "0.01,2505,,0.91\n";

} // namespace

TEST_CASE("a stream is a pull file line by line") {
    Heard heard;
    heard.parser.feed(kStream);
    CHECK(heard.all() == "header time[s] engine_speed[rpm] torque[N.m] lambda[1]\n"
                         "0: 0 2500 80.5 0.9\n"
                         "# event motor started\n"
                         "0.01: 0.01 2505 nan 0.91");
    CHECK(heard.parser.frames() == 2);
}

TEST_CASE("the stream may come in any pieces") {
    Heard whole;
    whole.parser.feed(kStream);
    rc::check("same lines however it is cut", [&] {
        Heard cut;
        for (size_t at = 0; at < kStream.size();) {
            const auto size = *rc::gen::inRange<size_t>(1, 20);
            cut.parser.feed(std::string_view(kStream).substr(at, size));
            at += size;
        }
        RC_ASSERT(cut.all() == whole.all());
    });
}

TEST_CASE("other units are turned into those of the pull file") {
    Heard heard;
    heard.parser.setAmbient(98.0);
    heard.parser.feed("time [s],engine_speed [rpm],torque [lb-ft],boost [psig]\r\n1,3000,100,10\r\n");
    REQUIRE(heard.lines.size() == 2);
    CHECK(heard.lines[0] == "header time[s] engine_speed[rpm] torque[N.m] manifold_pressure[kPa]");
    double torque = 0, pressure = 0;
    REQUIRE(std::sscanf(heard.lines[1].c_str(), "1: 1 3000 %lf %lf", &torque, &pressure) == 2);
    CHECK(torque == Approx(135.58).epsilon(1e-4));          // 1 lbf.ft = 1.3558 N.m
    CHECK(pressure == Approx(98.0 + 68.948).epsilon(1e-4)); // 1 psi = 6.8948 kPa
    heard.parser.setAmbient(90.0);                          // the weather may come after the header
    heard.parser.feed("2,3000,100,10\n");
    REQUIRE(std::sscanf(heard.lines[2].c_str(), "2: 2 3000 %lf %lf", &torque, &pressure) == 2);
    CHECK(pressure == Approx(90.0 + 68.948).epsilon(1e-4));
}

TEST_CASE("lines that cannot be used are told and left out") {
    Heard heard;
    heard.parser.feed("time [s],engine_speed [rpm],torque [N.m]\n"
                      "1.0,3000,90\n"
                      "1.1,3010\n"
                      "1.2,fast,90\n"
                      "0.9,3000,90\n"
                      "1.3,3020,90,7\n"
                      ",3020,90\n"
                      "1.4,3030,91\n");
    CHECK(heard.all() == "header time[s] engine_speed[rpm] torque[N.m]\n"
                         "1: 1 3000 90\n"
                         "! 2 cells where the header has 3\n"
                         "! a cell is not a number: fast\n"
                         "1.2: 1.2 nan 90\n"  // what was measured beside it stays
                         "0.9: 0.9 3000 90\n" // clocks are judged by StreamClock
                         "! 4 cells where the header has 3\n"
                         "nan: nan 3020 90\n"
                         "1.4: 1.4 3030 91");
    CHECK(heard.parser.badLines() == 3);
}

TEST_CASE("a row with more noise than numbers is no row") {
    Heard heard;
    heard.parser.feed("time [s],engine_speed [rpm],torque [N.m]\n1,x,y\nz,3000,1e40\n2,3000,90\n");
    CHECK(heard.all() == "header time[s] engine_speed[rpm] torque[N.m]\n"
                         "! a cell is not a number: y\n"
                         "! a cell is not a number: 1e40\n"
                         "2: 2 3000 90");
}

TEST_CASE("a logger that begins anew repeats its header, with or without its mark") {
    Heard heard;
    heard.parser.feed("time [s],engine_speed [rpm],torque [N.m]\n500,3000,90\n");
    heard.parser.feed("time [s],engine_speed [rpm],torque [N.m]\n0,3000,90\n");
    heard.parser.feed("#hill-run-telemetry 1\ntime [s],engine_speed [rpm],torque [N.m]\n0.1,3000,90\n");
    CHECK(heard.parser.frames() == 3);
    CHECK(heard.parser.badLines() == 0);
}

TEST_CASE("joined in the middle it waits for a header; after a lost link too") {
    Heard heard;
    heard.parser.feed("3,90,0.9\n17.2,3000,90\n");
    CHECK(heard.parser.frames() == 0);
    CHECK_FALSE(heard.parser.hasHeader());
    heard.parser.feed(kStream);
    CHECK(heard.parser.frames() == 2);
    heard.parser.feed("0.02,25"); // cut off here
    heard.parser.restart();
    heard.parser.feed(kStream);
    CHECK(heard.parser.frames() == 4);
}

TEST_CASE("a line without end does not fill the memory") {
    Heard heard;
    for (int i = 0; i < 200; ++i)
        heard.parser.feed(std::string(1000, 'x'));
    heard.parser.feed("\n" + kStream);
    CHECK(heard.lines.front() == "! a line is too long");
    CHECK(heard.parser.frames() == 2);
}

TEST_CASE("a stream of a newer version is told") {
    Heard heard;
    heard.parser.feed("#hill-run-telemetry 2\n");
    CHECK(heard.all().find("newer version") != std::string::npos);
}

TEST_CASE("no bytes can upset the parser") {
    rc::check("garbage between good lines costs only itself", [] {
        Heard heard;
        heard.parser.feed("time [s],engine_speed [rpm],torque [N.m]\n1,3000,90\n");
        const auto garbage = *rc::gen::container<std::string>(rc::gen::arbitrary<char>());
        heard.parser.feed(garbage);
        heard.parser.feed("\n");
        const long before = heard.parser.frames();
        heard.parser.feed("1.1,3000,90\n");
        RC_ASSERT(heard.parser.frames() == before + 1);
    });
}

TEST_CASE("the head of a stream reads back") {
    Heard heard;
    heard.parser.feed(telemetryHead({{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"tyre_temperature", "C", {}}}));
    CHECK(heard.all() == "header time[s] engine_speed[rpm] tyre_temperature[C]");
}
