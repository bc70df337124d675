// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// One known table written in many ways reads as the same numbers.

#include "formats/gather/raw_table.h"
#include "formats/gather/text_decoding.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>
#include <functional>

using namespace hillrun;

namespace {

constexpr int kRows = 30;
constexpr int kColumns = 4;
const char* const kNames[kColumns] = {"Time", "Engine speed", "Torque", "Boost"};
const char* const kUnits[kColumns] = {"s", "rpm", "N.m", "kPa"};

double truth(int row, int column) {
    switch (column) {
    case 0:
        return 0.01 * row;
    case 1:
        return 2400.0 + 37.0 * row;
    case 2:
        return std::round((81.5 + 0.613 * row) * 100.0) / 100.0;
    default:
        return std::round((-3.2 + 1.37 * row) * 10.0) / 10.0;
    }
}

std::string point(double value, int column) {
    return fmt::format("{:.{}f}", value, column == 1 ? 0 : (column == 3 ? 1 : 2));
}
std::string comma(double value, int column) {
    std::string out = point(value, column);
    std::replace(out.begin(), out.end(), '.', ',');
    return out;
}

struct Style {
    std::string separator = ",";
    std::function<std::string(double, int)> number = point;
    std::string above{};
    std::string header = "Time [s],Engine speed [rpm],Torque [N.m],Boost [kPa]";
    std::string below{};
    std::string after{};
    std::string lineEnd = "\n";
    std::string rowEnd{};
};

std::string written(const Style& style) {
    std::string out;
    const auto line = [&](const std::string& text) { out += text + style.lineEnd; };
    if (!style.above.empty())
        line(style.above);
    if (!style.header.empty())
        line(style.header);
    if (!style.below.empty())
        line(style.below);
    for (int row = 0; row < kRows; ++row) {
        std::string text;
        for (int column = 0; column < kColumns; ++column)
            text += (column ? style.separator : "") + style.number(truth(row, column), column);
        line(text + style.rowEnd);
    }
    if (!style.after.empty())
        line(style.after);
    return out;
}

void checkTruth(const RawTable& table, bool named = true) {
    REQUIRE(table.columns.size() >= static_cast<size_t>(kColumns));
    REQUIRE(table.rows() == static_cast<size_t>(kRows));
    for (int column = 0; column < kColumns; ++column) {
        const RawColumn& one = table.columns[static_cast<size_t>(column)];
        if (named) {
            CHECK(one.name == kNames[column]);
            CHECK(one.unit == kUnits[column]);
        }
        CHECK_FALSE(one.undecided);
        for (int row = 0; row < kRows; ++row) {
            INFO("row " << row << ", column " << column);
            REQUIRE(one.values[static_cast<size_t>(row)] == Approx(truth(row, column)).margin(1e-9));
        }
    }
}

std::string german(double value, int column) { // thousands marked
    std::string out = comma(value, column);
    if (column == 1)
        out.insert(1, ".");
    return out;
}

} // namespace

TEST_CASE("separators, decimal signs, headers and what stands around them") {
    struct Variant {
        const char* what;
        Style style;
    };
    const std::string semicolons = "Time [s];Engine speed [rpm];Torque [N.m];Boost [kPa]";
    const std::string tabs = "Time [s]\tEngine speed [rpm]\tTorque [N.m]\tBoost [kPa]";
    const std::string bare = "Time;Engine speed;Torque;Boost";
    const std::vector<Variant> variants{
        {"plain", {}},
        {"semicolons", {.separator = ";", .header = semicolons}},
        {"semicolons, decimal comma", {.separator = ";", .number = comma, .header = semicolons}},
        {"tabs", {.separator = "\t", .header = tabs}},
        {"tabs, decimal comma", {.separator = "\t", .number = comma, .header = tabs}},
        {"bars", {.separator = "|", .header = "Time [s]|Engine speed [rpm]|Torque [N.m]|Boost [kPa]"}},
        {"comma and blank", {.separator = ", "}},
        {"carriage returns", {.lineEnd = "\r\n"}},
        {"old line ends", {.lineEnd = "\r"}},
        {"trailing separator", {.rowEnd = ","}},
        {"quoted numbers with decimal comma", {.number = [](double v, int c) { return "\"" + comma(v, c) + "\""; }}},
        {"thousands points", {.separator = ";", .number = german, .header = semicolons}},
        {"thousands commas quoted",
         {.number =
              [](double v, int c) {
                  std::string out = point(v, c);
                  if (c == 1)
                      out.insert(1, ",");
                  return "\"" + out + "\"";
              }}},
        {"thousands apostrophes",
         {.separator = ";",
          .number =
              [](double v, int c) {
                  std::string out = point(v, c);
                  if (c == 1)
                      out.insert(1, "'");
                  return out;
              },
          .header = semicolons}},
        {"thousands no-break blanks",
         {.separator = ";",
          .number =
              [](double v, int c) {
                  std::string out = comma(v, c);
                  if (c == 1)
                      out.insert(1, "\xC2\xA0");
                  return out;
              },
          .header = semicolons}},
        {"typographic minus",
         {.number =
              [](double v, int c) {
                  const std::string out = point(v, c);
                  return out.front() == '-' ? "\xE2\x88\x92" + out.substr(1) : out;
              }}},
        {"units in the cells",
         {.number = [](double v, int c) { return point(v, c) + " " + kUnits[c]; },
          .header = "Time,Engine speed,Torque,Boost"}},
        {"unit line below", {.separator = ";", .header = bare, .below = "s;rpm;N.m;kPa"}},
        {"unit line in brackets", {.separator = ";", .header = bare, .below = "[s];[rpm];[N.m];[kPa]"}},
        {"unit line above", {.separator = ";", .above = "s;rpm;N.m;kPa", .header = bare}},
        {"rule below", {.separator = ";", .header = semicolons, .below = "-----;-----;-----;-----"}},
        {"types below", {.separator = ";", .header = semicolons, .below = "float;float;float;float"}},
        {"numbering below", {.separator = ";", .header = semicolons, .below = "1;2;3;4"}},
        {"title above", {.above = "Run 7 on the rollers"}},
        {"titles with separators", {.above = "Logger,4.2\nOperator,J. Corrie\nRate,100,Hz\n"}},
        {"commented header", {.header = "# Time [s],Engine speed [rpm],Torque [N.m],Boost [kPa]"}},
        {"statistics at the end", {.after = "Max,3473,99.28,36.5\nAverage,2936,90.4,16.7"}},
        {"remark at the end", {.after = "# end of log"}},
        {"units behind commas quoted", {.header = "\"Time, s\",\"Engine speed, rpm\",\"Torque, N.m\",\"Boost, kPa\""}},
        {"units behind slashes", {.header = "Time/s,Engine speed/rpm,Torque/N.m,Boost/kPa"}},
        {"units with in", {.header = "Time in s,Engine speed in rpm,Torque in N.m,Boost in kPa"}},
        {"units in parentheses", {.header = "Time (s),Engine speed (rpm),Torque (N.m),Boost (kPa)"}},
    };
    for (const Variant& variant : variants) {
        INFO(variant.what);
        const std::string text = written(variant.style);
        INFO(text.substr(0, 200));
        checkTruth(readRawTable(decodeText(text).text, {}, "a.csv"));
    }
}

TEST_CASE("no header at all, or one that is named") {
    Style none;
    none.header.clear();
    const RawTable table = readRawTable(written(none), {}, "a.csv");
    CHECK(table.headerLine == 0);
    checkTruth(table, false);
    Style odd;
    odd.above = "alpha,beta,gamma,delta";
    TableChoices choices;
    choices.headerLine = 2;
    checkTruth(readRawTable(written(odd), choices, "a.csv"));
}

TEST_CASE("breaks, blanks, words and lines of another kind are told") {
    std::string text = written({});
    text += "\n" + written({}); // a blank line and the header again
    RawTable table = readRawTable(text, {}, "a.csv");
    CHECK(table.rows() == 2 * kRows);
    CHECK(table.breaks == std::vector<size_t>{kRows});

    text =
        "t,rpm,nm\n0,2400,80\n0.1,2500,ERR\n0.2,2600\n0.3,2700,hot\n0.4,2800,84,9\nnote: missed a gear\n0.5,2900,85\n";
    table = readRawTable(text, {}, "a.csv");
    REQUIRE(table.rows() == 6);
    CHECK(table.columns[2].blanks == 2);
    CHECK(table.columns[2].words == 1);
    CHECK(table.columns[2].firstWord == "hot");
    CHECK(table.columns[2].firstWordLine == 5);
    CHECK(table.shortRows == 1);
    CHECK(table.longRows == 1);
    REQUIRE(table.leftOut.size() == 1);
    CHECK(table.leftOut[0].line == 7);
}

TEST_CASE("the same text in every encoding") {
    const std::string text = "Zeit [s];Drehzahl [1/min];\xC3\x96ltemperatur [\xC2\xB0"
                             "C]\n0,00;2400;83,5\n0,01;2410;83,6\n0,02;2420;83,7\n";
    const RawTable plain = readRawTable(decodeText(text).text, {}, "a.csv");
    CHECK(plain.columns[2].name == "\xC3\x96ltemperatur");
    const auto utf16 = [&](bool little, bool mark) {
        std::u16string wide = mark ? u"\uFEFF" : u"";
        wide += u"Zeit [s];Drehzahl [1/min];\u00D6ltemperatur "
                u"[\u00B0C]\r\n0,00;2400;83,5\r\n0,01;2410;83,6\r\n0,02;2420;83,7\r\n";
        std::string out;
        for (const char16_t c : wide) {
            const char low = static_cast<char>(c & 0xFF);
            const char high = static_cast<char>(c >> 8);
            out += little ? low : high;
            out += little ? high : low;
        }
        return out;
    };
    const std::string latin = "Zeit [s];Drehzahl [1/min];\xD6ltemperatur [\xB0"
                              "C]\n0,00;2400;83,5\n0,01;2410;83,6\n0,02;2420;83,7\n\x1A";
    for (const std::string& bytes : {std::string("\xEF\xBB\xBF") + text, utf16(true, true), utf16(true, false),
                                     utf16(false, true), utf16(false, false), latin, text + std::string(64, '\0')}) {
        const RawTable table = readRawTable(decodeText(bytes).text, {}, "a.csv");
        REQUIRE(table.columns.size() == 3);
        CHECK(table.columns[2].name == plain.columns[2].name);
        CHECK(table.columns[2].unit == plain.columns[2].unit);
        CHECK(table.columns[2].values == plain.columns[2].values);
        CHECK(table.rows() == 3);
    }
}
