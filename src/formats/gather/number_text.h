// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstddef>
#include <optional>
#include <string>
#include <string_view>

namespace hillrun {

/// How the numbers of a column are written.
struct NumberStyle {
    char decimal = '.';
    char thousands = '\0'; ///< ',' '.' '\'' ' ', or none
    bool operator==(const NumberStyle&) const = default;
};

/// A number as it stands in a cell, with the unit that stands behind it ("97.3 kPa"), if any.
struct NumberText {
    double value = 0.0;
    std::string_view unit;
};

std::string lowered(std::string_view text);            ///< ASCII letters only
std::string_view withoutBlanks(std::string_view text); ///< around it, of any kind
/// Without blanks and quotes around it.
std::string_view bareCell(std::string_view cell);
/// Nothing there, or a word for it: "n/a", "---", "OL", "ERR", "inf", "TRUE" ...
bool isBlankWord(std::string_view cell);
/// The whole cell as a number in this style; nothing when it is none.
std::optional<NumberText> numberIn(std::string_view cell, const NumberStyle& style);

/// What the cells of a column say of its style. A mark before exactly three digits may be either.
class StyleEvidence {
public:
    void see(std::string_view cell);
    void add(const StyleEvidence& other);
    [[nodiscard]] bool speaksForPoint() const { return m_point > 0; }
    [[nodiscard]] bool speaksForComma() const { return m_comma > 0; }
    [[nodiscard]] bool isMixed() const { return m_point > 0 && m_comma > 0; }
    /// Of a column; `file` is the evidence of all columns together, `otherwise` what is taken when nothing speaks.
    /// Undecided: some number of the column would be another one if it were read otherwise, and nothing speaks.
    struct Verdict {
        NumberStyle style;
        bool undecided = false;
    };
    [[nodiscard]] Verdict verdict(const StyleEvidence& file, char otherwise) const;

private:
    size_t m_point = 0;      ///< cells that can only be read with a decimal point
    size_t m_comma = 0;      ///< only with a decimal comma
    size_t m_pointGroup = 0; ///< "2.401": either
    size_t m_commaGroup = 0; ///< "2,401"
    size_t m_pointSeen = 0;
    size_t m_commaSeen = 0;
    size_t m_apostrophes = 0;
    size_t m_blanks = 0;
};

} // namespace hillrun
