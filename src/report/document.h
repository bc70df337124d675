// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/rpm_range.h"
#include "report/page.h"

#include <optional>
#include <string>
#include <variant>
#include <vector>

// A report as what it says, in the reader's language, before anybody knows where a line ends: laid out on paper by
// `pagesOf`, written as one file for a browser by `htmlOf`.

namespace hillrun::report {

enum class Tone { Plain, Quiet, Warning };

/// The answer of a section.
struct Sentence {
    std::string text;
};

struct Paragraph {
    std::string text;
    Tone tone = Tone::Plain;
    bool small = false;
};

/// A build by its line's colour and letter, its name, and a figure at the right.
struct BuildLine {
    size_t number = 0;
    std::string id;
    std::string words;
    std::string figure;
};

struct Table {
    std::vector<std::string> head; ///< the first names the table
    std::vector<std::vector<std::string>> rows;
    std::vector<double> columns; ///< where each begins on paper, from the left margin
};

/// What is read off a drawing under the pointer.
struct Readings {
    RpmRange axis; ///< first and last value of the x axis ...
    double left = 0.0;
    double right = 0.0;            ///< ... and where they lie on the drawing
    std::vector<double> x;         ///< rising
    std::vector<std::string> said; ///< one a value
};

struct Figure {
    std::string title; ///< what it shows, for those who hear it
    Page drawing;      ///< as wide as the column of text
    std::optional<Readings> readings{};
};

/// Room on paper between two blocks.
struct Gap {
    double height = 0.0;
};

using Block = std::variant<Sentence, Paragraph, BuildLine, Table, Figure, Gap>;

/// One answer: a page on paper.
struct Section {
    std::vector<Block> blocks;
};

struct Document {
    std::string name;  ///< of the day
    std::string about; ///< date, article, cell, operator
    std::string basis; ///< standard, place, factors
    std::vector<Section> sections;
    std::vector<std::string> numbered; ///< "page 1 of 2", one a section, when there are several
};

/// How drawings are made: as wide as the column they stand in, with texts that can be read there.
struct FigureStyle {
    double width = 511.0;
    double left = 32.0;  ///< room for the figures of the y axis
    double right = 23.0; ///< and for the letters at the ends of curves
    double text = 7.5;   ///< size of what is written along an axis
};
/// For a telephone held upright, and for anything wider, where the drawing grows with its texts.
inline constexpr FigureStyle kScreenStyle{360.0, 32.0, 18.0, 9.0};

/// The pages on A4, one a section, as they are drawn before letterhead and paper are known.
std::vector<Page> pagesOf(const Document& document);

} // namespace hillrun::report
