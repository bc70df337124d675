// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/number_text.h"

#include "core/units/units.h"
#include "formats/short_decimal.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <fast_float/fast_float.h>

namespace hillrun {
namespace {

constexpr std::array<std::string_view, 5> kBlanks{" ", "\t", "\xC2\xA0", "\xE2\x80\xAF", "\xE2\x80\x89"};
constexpr std::string_view kMinus = "\xE2\x88\x92"; ///< the typographic one

bool isDigit(char c) { return c >= '0' && c <= '9'; }

/// Length of the blank that the text begins with; 0: none.
size_t blankAt(std::string_view text) {
    if (text.empty() || (text[0] > ' ' && text[0] <= '~'))
        return 0; // the usual case, quickly
    for (const std::string_view blank : kBlanks)
        if (text.starts_with(blank))
            return blank.size();
    return 0;
}

void trimFront(std::string_view& text) {
    while (const size_t count = blankAt(text))
        text.remove_prefix(count);
}

void trimBack(std::string_view& text) {
    for (bool more = true; more;) {
        more = false;
        if (text.empty() || (text.back() > ' ' && text.back() <= '~'))
            return;
        for (const std::string_view blank : kBlanks)
            if (text.ends_with(blank)) {
                text.remove_suffix(blank.size());
                more = true;
            }
    }
}

/// A sign off the front: -1 or 1.
double takeSign(std::string_view& text) {
    if (text.starts_with(kMinus)) {
        text.remove_prefix(kMinus.size());
        return -1.0;
    }
    const double sign = text.starts_with('-') ? -1.0 : 1.0;
    if (text.starts_with('-') || text.starts_with('+'))
        text.remove_prefix(1);
    return sign;
}

/// The thousands mark that the text begins with, 0 when it begins with none. It must stand before exactly three digits.
size_t markAt(std::string_view text, char thousands) {
    if (thousands == '\0')
        return 0;
    const size_t mark = thousands == ' ' ? blankAt(text) : (text.starts_with(thousands) ? 1 : 0);
    if (mark == 0 || text.size() < mark + 3)
        return 0;
    for (size_t i = 0; i < 3; ++i)
        if (!isDigit(text[mark + i]))
            return 0;
    return text.size() > mark + 3 && isDigit(text[mark + 3]) ? 0 : mark;
}

/// Digits, decimal point and exponent as fast_float takes them, off the front of the text; empty when it begins with no
/// number.
std::string takeNumber(std::string_view& text, const NumberStyle& style) {
    std::string out;
    size_t digits = 0;
    size_t group = 0; ///< digits since the last mark
    bool marked = false;
    while (!text.empty()) {
        if (isDigit(text.front())) {
            out += text.front();
            text.remove_prefix(1);
            ++digits;
            ++group;
        } else if (const size_t mark = markAt(text, style.thousands);
                   mark > 0 && digits > 0 && (marked ? group == 3 : group <= 3)) {
            text.remove_prefix(mark);
            marked = true;
            group = 0;
        } else {
            break;
        }
    }
    if (text.starts_with(style.decimal)) {
        out += '.';
        text.remove_prefix(1);
        while (!text.empty() && isDigit(text.front())) {
            out += text.front();
            text.remove_prefix(1);
            ++digits;
        }
    }
    if (digits == 0)
        return {};
    // An exponent, but not the "e" of a word.
    if (text.size() > 1 && (text.front() == 'e' || text.front() == 'E')) {
        size_t at = 1 + (text[1] == '-' || text[1] == '+' ? 1 : 0);
        const size_t first = at;
        while (at < text.size() && isDigit(text[at]))
            ++at;
        if (at > first && (at == text.size() || !std::isalpha(static_cast<unsigned char>(text[at])))) {
            out += text.substr(0, at);
            text.remove_prefix(at);
        }
    }
    return out;
}

} // namespace

std::string lowered(std::string_view text) {
    std::string out(text);
    std::transform(out.begin(), out.end(), out.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return out;
}

std::string_view withoutBlanks(std::string_view text) {
    trimFront(text);
    trimBack(text);
    return text;
}

std::string_view bareCell(std::string_view cell) {
    cell = withoutBlanks(cell);
    for (const char quote : {'"', '\''})
        if (cell.size() >= 2 && cell.front() == quote && cell.back() == quote)
            cell = withoutBlanks(cell.substr(1, cell.size() - 2));
    return cell;
}

bool isBlankWord(std::string_view cell) {
    if (!cell.empty() && isDigit(cell.front()))
        return false;
    cell = bareCell(cell);
    if (cell.empty() || cell.find_first_not_of("-*?.") == std::string_view::npos)
        return true;
    constexpr std::array<std::string_view, 30> words{
        "nan",   "na",   "n/a",     "n.a.", "#n/a",     "#na",  "#ref!", "#div/0!",  "#value!", "#num!",
        "null",  "none", "nil",     "ol",   "o.l",      "o.l.", "0l",    "overload", "err",     "error",
        "fault", "fail", "invalid", "inf",  "infinity", "true", "false", "#null!",   "#name?",  "(null)"};
    std::string word = lowered(cell);
    if (word.starts_with('-') || word.starts_with('+'))
        word.erase(0, 1);
    return std::find(words.begin(), words.end(), word) != words.end();
}

std::optional<NumberText> numberIn(std::string_view cell, const NumberStyle& style) {
    NumberText plain;
    if (shortDecimal(cell.data(), cell.data() + cell.size(), '\0', style.decimal, plain.value))
        return plain;
    std::string_view text = bareCell(cell);
    const double sign = takeSign(text);
    const std::string number = takeNumber(text, style);
    if (number.empty())
        return std::nullopt;
    NumberText out;
    const auto read = fast_float::from_chars(number.data(), number.data() + number.size(), out.value);
    if (read.ec != std::errc() || !std::isfinite(out.value))
        return std::nullopt;
    out.value *= sign;
    trimFront(text);
    if (!text.empty()) {
        const bool unit = !isDigit(text.front()) && text.find_first_of("0123456789,;:") == std::string_view::npos &&
                          (text == "%" || parseUnit(text));
        if (!unit)
            return std::nullopt;
        out.unit = text;
    }
    return out;
}

void StyleEvidence::see(std::string_view cell) {
    std::string_view text = bareCell(cell);
    (void)takeSign(text);
    if (text.empty() || !(isDigit(text.front()) || text.front() == '.' || text.front() == ','))
        return;
    size_t points = 0;
    size_t commas = 0;
    char last = '\0';
    size_t before = 0; ///< digits before the first mark
    size_t after = 0;  ///< digits after the last mark
    const bool leadingZero = text.size() > 1 && text[0] == '0' && !isDigit(text[1]);
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (isDigit(c)) {
            (last == '\0' ? before : after) += 1;
        } else if (c == '.' || c == ',') {
            (c == '.' ? points : commas) += 1;
            last = c;
            after = 0;
        } else if (c == '\'') {
            ++m_apostrophes;
        } else if (const size_t blank = blankAt(text.substr(i)); blank > 0 && markAt(text.substr(i), ' ') > 0) {
            ++m_blanks;
            i += blank - 1;
        } else {
            break; // a unit or an exponent
        }
    }
    m_pointSeen += points > 0 ? 1 : 0;
    m_commaSeen += commas > 0 ? 1 : 0;
    if (points > 0 && commas > 0)
        (last == '.' ? m_point : m_comma) += 1;
    else if (points > 1)
        m_comma += 1; // points that group
    else if (commas > 1)
        m_point += 1;
    else if (points == 1)
        (after != 3 || before == 0 || before > 3 || leadingZero ? m_point : m_pointGroup) += 1;
    else if (commas == 1)
        (after != 3 || before == 0 || before > 3 || leadingZero ? m_comma : m_commaGroup) += 1;
}

void StyleEvidence::add(const StyleEvidence& other) {
    m_point += other.m_point;
    m_comma += other.m_comma;
    m_pointGroup += other.m_pointGroup;
    m_commaGroup += other.m_commaGroup;
    m_pointSeen += other.m_pointSeen;
    m_commaSeen += other.m_commaSeen;
    m_apostrophes += other.m_apostrophes;
    m_blanks += other.m_blanks;
}

StyleEvidence::Verdict StyleEvidence::verdict(const StyleEvidence& file, char otherwise) const {
    Verdict out;
    const auto settled = [](const StyleEvidence& e) { return e.speaksForPoint() != e.speaksForComma(); };
    if (settled(*this)) {
        out.style.decimal = speaksForPoint() ? '.' : ',';
    } else if (settled(file)) {
        out.style.decimal = file.speaksForPoint() ? '.' : ',';
    } else {
        out.style.decimal = otherwise;
        out.undecided = m_pointGroup + m_commaGroup > 0;
    }
    const bool point = out.style.decimal == '.';
    if (m_apostrophes > 0)
        out.style.thousands = '\'';
    else if (m_blanks > 0)
        out.style.thousands = ' ';
    else if (point ? m_commaSeen > 0 : m_pointSeen > 0)
        out.style.thousands = point ? ',' : '.';
    return out;
}

} // namespace hillrun
