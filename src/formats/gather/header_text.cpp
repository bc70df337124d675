// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/header_text.h"

#include "core/units/units.h"
#include "formats/gather/column_words.h"
#include "formats/gather/number_text.h"

#include <algorithm>
#include <array>
#include <vector>

namespace hillrun {
namespace {

/// Where the bracket opens that the text ends with; "MAP (bar(a))" has two.
size_t openingOf(std::string_view text, char open, char close) {
    if (text.empty() || text.back() != close)
        return std::string_view::npos;
    int depth = 0;
    for (size_t i = text.size(); i > 0; --i) {
        depth += text[i - 1] == close ? 1 : (text[i - 1] == open ? -1 : 0);
        if (depth == 0)
            return i - 1;
    }
    return std::string_view::npos;
}

/// "bar(a)", "kPa (g)": what stands in brackets is a part of the unit.
bool belongsToUnit(std::string_view text) {
    constexpr std::array<std::string_view, 7> parts{"a", "abs", "absolute", "g", "gauge", "rel", "A"};
    return std::find(parts.begin(), parts.end(), bareCell(text)) != parts.end();
}

/// "Revs 1/min", "Boost, psi", "boost_kpa": the unit stands behind a mark and must be known. Of several ways to cut,
/// the one whose name and unit go together; the longest unit first ("1/min" before "min").
std::pair<std::string, std::string> splitAtUnit(std::string_view header) {
    struct Cut {
        std::string_view name;
        std::string_view unit;
        bool strong = false; ///< a mark that stands for nothing else
    };
    std::vector<Cut> cuts;
    for (size_t at = 1; at < header.size(); ++at)
        for (const std::string_view mark : {" in ", ",", ":", "/", " - ", " ", "_"}) {
            if (!header.substr(at).starts_with(mark))
                continue;
            const std::string_view unit = bareCell(header.substr(at + mark.size()));
            if (!unit.empty() && unit.find_first_not_of("0123456789") != std::string_view::npos && parseUnit(unit))
                cuts.push_back({bareCell(header.substr(0, at)), unit, mark == "," || mark == ":" || mark == " in "});
        }
    const auto pair = [](const Cut& cut) { return std::pair{std::string(cut.name), std::string(cut.unit)}; };
    for (const Cut& cut : cuts)
        if (senseOf(cut.name, cut.unit).surety != HeaderSurety::Nothing)
            return pair(cut);
    if (senseOf(header, "").surety == HeaderSurety::Nothing)
        for (const Cut& cut : cuts)
            if (cut.strong || cut.unit.size() > 1)
                return pair(cut);
    return {std::string(header), ""};
}

} // namespace

std::pair<std::string, std::string> nameAndUnitOf(std::string_view header) {
    header = bareCell(header);
    const auto both = [](std::string_view name, std::string_view unit) {
        return std::pair{std::string(bareCell(name)), std::string(bareCell(unit))};
    };
    for (const auto& [open, close] :
         {std::pair{'[', ']'}, std::pair{'(', ')'}, std::pair{'{', '}'}, std::pair{'<', '>'}}) {
        const size_t from = openingOf(header, open, close);
        if (from == std::string_view::npos || from == 0)
            continue;
        const std::string_view unit = header.substr(from + 1, header.size() - from - 2);
        if (close == ']' || (parseUnit(bareCell(unit)) && !belongsToUnit(unit)))
            return both(header.substr(0, from), unit);
    }
    return splitAtUnit(header);
}

} // namespace hillrun
