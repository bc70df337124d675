// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/csv_table.h"

#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>

using namespace hillrun;

namespace {

/// A table as one line a column: "name[unit]: values".
std::string shown(const CsvTable& table) {
    std::string out;
    for (size_t i = 0; i < table.names.size(); ++i) {
        out += fmt::format("{}[{}]:", table.names[i], table.units[i]);
        for (const double value : table.columns[i])
            out += std::isfinite(value) ? fmt::format(" {:g}", value) : " .";
        out += "\n";
    }
    return out;
}

std::string csvProblem(const std::string& text) {
    return test::messageOf([&] { (void)parseCsv(text, "x.csv"); });
}

} // namespace

TEST_CASE("tables are read however a logger writes them") {
    const std::string expected = "time[s]: 0 0.5 1\nspeed[rpm]: 2500 2750 3000\ntorque[N.m]: 80.5 81 82.25\n";
    const struct {
        const char* what;
        const char* text;
    } rows[] = {
        {"our own", "time [s],speed [rpm],torque [N.m]\n0,2500,80.5\n0.5,2750,81\n1,3000,82.25\n"},
        {"byte-order mark and CRLF",
         "\xEF\xBB\xBFtime [s],speed [rpm],torque [N.m]\r\n0,2500,80.5\r\n0.5,2750,81\r\n1,3000,82.25\r\n"},
        {"semicolons and decimal commas",
         "time (s);speed (rpm);torque (N.m)\n0;2500;80,5\n0,5;2750;81\n1;3000;82,25\n"},
        {"tabs and decimal commas",
         "time [s]\tspeed [rpm]\ttorque [N.m]\n0\t2500\t80,5\n0,5\t2750\t81\n1\t3000\t82,25\n"},
        {"runs of blanks",
         "time[s]   speed[rpm]  torque[N.m]\n 0    2500   80.5\n 0.5  2750   81\n 1    3000   82.25\n"},
        {"units in a line of their own", "time,speed,torque\ns,rpm,N.m\n0,2500,80.5\n0.5,2750,81\n1,3000,82.25\n"},
        {"bracketed unit line", "time;speed;torque\n[s];[rpm];[N.m]\n0;2500;80.5\n0.5;2750;81\n1;3000;82.25\n"},
        {"free text and comments above", "Logger 7, session 3\n\n# made 2026-05-16\ntime [s],speed [rpm],torque "
                                         "[N.m]\n0,2500,80.5\n# note\n0.5,2750,81\n1,3000,82.25"},
        {"quotes", "\"time, s\",\"speed, rpm\",\"torque, N.m\"\n\"0\",\"2500\",\"80.5\"\n0.5,2750,81\n1,3000,82.25\n"},
        {"blanks after separators, separator at the end",
         "time [s], speed [rpm], torque [N.m]\n0, 2500, 80.5,\n0.5, 2750, 81,\n1, 3000, 82.25,\n"},
    };
    for (const auto& row : rows) {
        INFO(row.what);
        CHECK(shown(parseCsv(row.text, "x.csv")) == expected);
    }
}

TEST_CASE("blank cells are unknown values") {
    CHECK(shown(parseCsv("a [s],b [rpm],c [1]\n0,1,\n1,,2\n2,3,4\n", "x")) ==
          "a[s]: 0 1 2\nb[rpm]: 1 . 3\nc[1]: . 2 4\n");
}

TEST_CASE("a header that ends with a separator may stand above units that do not") {
    CHECK(shown(parseCsv("speed,torque,\nrpm,N.m\n2500,80,\n2550,81,\n", "x")) ==
          "speed[rpm]: 2500 2550\ntorque[N.m]: 80 81\n[]: . .\n");
    CHECK(shown(parseCsv("speed,torque\nrpm,N.m,\n2500,80,\n2550,81,\n", "x")) ==
          "speed[rpm]: 2500 2550\ntorque[N.m]: 80 81\n");
}

TEST_CASE("what is wrong is said with file, line, column and remedy") {
    const std::string head = "time [s],engine_speed [rpm],torque [N.m]\n";
    CHECK(csvProblem("") == "x.csv: the file is empty. Export it from the logger again, or set the pull aside.");
    CHECK(csvProblem("  \n\n") == csvProblem(""));
    CHECK(csvProblem(head + "0,2500,80\n1,25x0,81\n2,2600,82\n") ==
          "x.csv, line 3, column engine_speed: \"25x0\" is not a number. Correct the cell, or leave it blank when the "
          "value is not known.");
    CHECK(csvProblem(head + "0,2500,eighty\n1,2550,many\n").find("line 2, column torque: \"eighty\" is not a number") !=
          std::string::npos);
    CHECK(csvProblem(head + "0,2500,80\n1,2550,81\n" + head + "2,2600,82\n").find("line 4: a second header line") !=
          std::string::npos);
    CHECK(csvProblem(head + "0,2500,80\n1,2550,81\n2,26")
              .find("line 4: the file breaks off in the middle of a row: 2 of 3 columns") != std::string::npos);
    CHECK(csvProblem(head + "0,2500,80\n1,2550\n2,2600,82\n")
              .find("line 3: the row has 2 cells, the header names 3 columns") != std::string::npos);
    CHECK(csvProblem(head + "0,2500,80\n1,2550,81,7,8\n2,2600,82\n").find("line 3: the row has 5 cells") !=
          std::string::npos);
    CHECK(csvProblem("just some words\nand more\n").find("no rows of numbers") != std::string::npos);
    CHECK(csvProblem("0,2500,80\n1,2550,81\n").find("no header line") != std::string::npos);
    CHECK(csvProblem(head + "0,2500,80\n1,1e999,81\n").find("is not a number") != std::string::npos);
}
