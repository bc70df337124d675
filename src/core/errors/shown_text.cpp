// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/shown_text.h"

#include <cstdint>

namespace hillrun {
namespace {

struct Decoded {
    char32_t point = 0;
    size_t bytes = 1;
    bool valid = false;
};

/// The code point that begins the text; one byte, not valid, where none does (RFC 3629: shortest form, no surrogates).
Decoded decode(std::string_view text) {
    const auto byte = [&](size_t i) { return static_cast<unsigned char>(text[i]); };
    const unsigned char first = byte(0);
    if (first < 0x80)
        return {first, 1, true};
    const size_t length = first >= 0xF0 && first <= 0xF4 ? 4 : first >= 0xE0 && first < 0xF0 ? 3 : 2;
    if (first < 0xC2 || first > 0xF4 || text.size() < length)
        return {first, 1, false};
    char32_t point = first & (0x7FU >> length);
    for (size_t i = 1; i < length; ++i) {
        if ((byte(i) & 0xC0U) != 0x80U)
            return {first, 1, false};
        point = (point << 6U) | (byte(i) & 0x3FU);
    }
    constexpr char32_t kSmallest[] = {0, 0, 0x80, 0x800, 0x10000};
    const bool wrong = point < kSmallest[length] || point > 0x10FFFF || (point >= 0xD800 && point <= 0xDFFF);
    return wrong ? Decoded{first, 1, false} : Decoded{point, length, true};
}

bool isControl(char32_t c) {
    return c < 0x20 || (c >= 0x7F && c < 0xA0) || c == 0x2028 || c == 0x2029 || (c >= 0x200E && c <= 0x200F) ||
           (c >= 0x202A && c <= 0x202E) || (c >= 0x2066 && c <= 0x2069) || c == 0xFEFF;
}

void appendLatin1(std::string& out, char32_t byte) {
    out += static_cast<char>(0xC0U | (byte >> 6U));
    out += static_cast<char>(0x80U | (byte & 0x3FU));
}

} // namespace

std::string shownText(std::string_view text, size_t most) {
    std::string out;
    size_t shown = 0;
    while (!text.empty()) {
        if (shown + 1 >= most && text.size() > decode(text).bytes) {
            out += "\u2026";
            return out;
        }
        const Decoded next = decode(text);
        if (!next.valid)
            out += "\uFFFD";
        else if (isControl(next.point))
            out += ' ';
        else
            out.append(text.substr(0, next.bytes));
        text.remove_prefix(next.bytes);
        ++shown;
    }
    return out;
}

std::string keptText(std::string_view text) {
    std::string out;
    out.reserve(text.size());
    while (!text.empty()) {
        const Decoded next = decode(text);
        if (next.valid && isControl(next.point))
            out += ' ';
        else if (next.valid)
            out.append(text.substr(0, next.bytes));
        else if (next.point >= 0xA0)
            appendLatin1(out, next.point);
        else
            out += ' ';
        text.remove_prefix(next.bytes);
    }
    return out;
}

} // namespace hillrun
