// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <functional>
#include <map>
#include <string>
#include <vector>

// One known pull, written as strangers' loggers, spreadsheets and scripts may write it.

namespace hillrun::test {

inline constexpr int kVariantRows = 200;
inline constexpr double kVariantStep_s = 0.02;

/// The known pull in the units of the pull file.
double variantTruth(const std::string& channel, int row);

/// A column as it is written: name and unit, and how its value comes from the truth.
struct WrittenColumn {
    std::string channel; ///< of the truth; empty: `text` or `value` alone speak
    std::string name;
    std::string unit;
    double scale = 1.0; ///< written = truth * scale + offset
    double offset = 0.0;
    int decimals = 4;
    std::function<std::string(int row)> text{}; ///< the whole cell, in place of a number
};

/// How the sheet around the columns is written.
struct Sheet {
    std::vector<WrittenColumn> columns;
    std::string separator = ",";
    char decimal = '.';
    std::string thousands{}; ///< mark in whole numbers of four digits and more
    /// A header cell out of name and unit.
    std::function<std::string(const WrittenColumn&)> header;
    bool withHeader = true;
    std::vector<std::string> above{};
    std::vector<std::string> below{}; ///< lines between header and rows
    std::vector<std::string> after{};
    std::string rowEnd{};
    std::string cellQuote{};
    std::map<int, std::string> before{};                                                ///< a line before that row
    std::function<std::string(int row, size_t column, const std::string& cell)> cell{}; ///< last word on a cell
    std::function<std::string(std::string)> bytes{};                                    ///< last word on the file
    int rows = kVariantRows;
    std::function<int(int)> truthRow{}; ///< which row of the truth a written row holds; the same by default
};

struct Variant {
    std::string kind;
    std::string name;
    Sheet sheet;
    size_t pulls = 1;
    std::vector<std::string> needs; ///< channels that must come back
    double ambient_kpa = 101.325;
    bool firstRowsOnly = false; ///< what lies behind the pull's rows is no part of the truth
};

std::string writeSheet(const Sheet& sheet);
/// All of them.
std::vector<Variant> allVariants();

} // namespace hillrun::test
