// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/typed_curve.h"

#include "core/errors/data_error.h"
#include "core/trace/traced_curve.h"
#include "formats/gather/number_text.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kFastest_rpm = 100000.0;
constexpr double kStrongest = 1e6;                                 ///< of any unit
constexpr std::array kNames{"#engine_speed", "#power", "#torque"}; ///< not headers of a file: channels

bool hasDigit(std::string_view text) { return text.find_first_of("0123456789") != std::string_view::npos; }

/// What stands between the cells of these lines; empty: blanks.
std::string_view separatorOf(std::string_view text) {
    for (const std::string_view mark : {"\t", ";", "|", ", "})
        if (text.find(mark) != std::string_view::npos)
            return mark;
    return text.find(' ') == std::string_view::npos && text.find(',') != std::string_view::npos ? "," : "";
}

TypedRow cellsOf(std::string_view line, std::string_view separator) {
    TypedRow out;
    size_t cell = 0;
    for (size_t from = 0; from <= line.size() && cell < out.size();) {
        if (separator.empty())
            from = std::min(line.find_first_not_of(' ', from), line.size());
        const size_t to = std::min(line.find(separator.empty() ? " " : separator, from), line.size());
        out[cell++] = std::string(bareCell(line.substr(from, to - from)));
        from = to + std::max<size_t>(1, separator.size());
    }
    return out;
}

double numberOf(const std::string& cell, const NumberStyle& style, size_t row, size_t column) {
    if (isBlankWord(bareCell(cell)))
        return std::nan("");
    const auto number = numberIn(bareCell(cell), style);
    if (!number)
        throw DataError(Problem::NotANumber, {cell}, {.line = static_cast<long>(row) + 1, .column = kNames[column]});
    return number->value;
}

/// The column's numbers. Where a mark may be either, as in "2,401", speeds are whole thousands and figures have
/// decimals.
std::vector<double> numbersOf(const std::vector<TypedRow>& rows, size_t column) {
    StyleEvidence evidence;
    bool comma = false;
    for (const TypedRow& row : rows) {
        evidence.see(bareCell(row[column]));
        comma = comma || row[column].find(',') != std::string::npos;
    }
    auto [style, undecided] = evidence.verdict(evidence, '.');
    if (undecided && column == 0)
        style = comma ? NumberStyle{'.', ','} : NumberStyle{',', '.'};
    else if (undecided)
        style = {comma ? ',' : '.', '\0'};
    std::vector<double> out;
    for (size_t i = 0; i < rows.size(); ++i)
        out.push_back(numberOf(rows[i][column], style, i, column));
    return out;
}

} // namespace

std::vector<TypedRow> rowsOfText(std::string_view text) {
    const std::string_view separator = separatorOf(text);
    std::vector<TypedRow> out;
    for (size_t from = 0; from < text.size();) {
        const size_t to = std::min(text.find_first_of("\r\n", from), text.size());
        const std::string_view line = text.substr(from, to - from);
        if (hasDigit(line))
            out.push_back(cellsOf(line, separator));
        from = to + 1;
    }
    return out;
}

ChannelTable readTypedCurve(const std::vector<TypedRow>& rows, const std::string& powerUnit,
                            const std::string& torqueUnit) {
    const std::vector<double> speed = numbersOf(rows, 0);
    const std::vector<double> power = numbersOf(rows, 1);
    const std::vector<double> torque = numbersOf(rows, 2);
    std::vector<SheetCurve> curves{{powerUnit, {}}, {torqueUnit, {}}};
    std::vector<double> seen;
    for (size_t i = 0; i < rows.size(); ++i) {
        const Place place{.line = static_cast<long>(i) + 1, .column = kNames[0]};
        if (!std::isfinite(power[i]) && !std::isfinite(torque[i]))
            continue;
        if (!(speed[i] > 0.0 && speed[i] <= kFastest_rpm))
            throw DataError(Problem::BadValue, {rows[i][0], Statement{"typed.no_speed"}}, place);
        for (const size_t column : {size_t{1}, size_t{2}})
            if (std::abs((column == 1 ? power : torque)[i]) > kStrongest)
                throw DataError(Problem::BadValue, {rows[i][column], Statement{"typed.no_engine"}},
                                {.line = place.line, .column = kNames[column]});
        if (std::find(seen.begin(), seen.end(), speed[i]) != seen.end())
            throw DataError(Problem::BadValue, {rows[i][0], Statement{"typed.twice"}}, place);
        seen.push_back(speed[i]);
        if (std::isfinite(power[i]))
            curves[0].points.push_back({speed[i], power[i], 0.0});
        if (std::isfinite(torque[i]))
            curves[1].points.push_back({speed[i], torque[i], 0.0});
    }
    std::erase_if(curves, [](const SheetCurve& curve) { return curve.points.empty(); });
    ChannelTable out = tableOfCurves(curves);
    checkCurve(out, "");
    return out;
}

} // namespace hillrun
