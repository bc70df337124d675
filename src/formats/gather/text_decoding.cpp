// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/text_decoding.h"

#include <array>
#include <cstdint>
#include <utf8proc.h>

namespace hillrun {
namespace {

constexpr std::string_view kUtf8Mark = "\xEF\xBB\xBF";
constexpr std::string_view kLittleMark = "\xFF\xFE";
constexpr std::string_view kBigMark = "\xFE\xFF";
constexpr size_t kLookedAt = 4096; ///< bytes that settle where the zero bytes stand
constexpr char kEndMark = '\x1A';  ///< Ctrl-Z, which old programs put at the end of a file

void append(std::string& out, std::int32_t codePoint) {
    std::array<utf8proc_uint8_t, 4> bytes{};
    const auto count = utf8proc_encode_char(codePoint, bytes.data());
    out.append(reinterpret_cast<const char*>(bytes.data()), static_cast<size_t>(count));
}

bool isUtf8(std::string_view bytes) {
    const auto* at = reinterpret_cast<const utf8proc_uint8_t*>(bytes.data());
    auto rest = static_cast<utf8proc_ssize_t>(bytes.size());
    while (rest > 0) {
        if (*at < 0x80) {
            ++at;
            --rest;
            continue;
        }
        utf8proc_int32_t codePoint = 0;
        const utf8proc_ssize_t count = utf8proc_iterate(at, rest, &codePoint);
        if (count <= 0)
            return false;
        at += count;
        rest -= count;
    }
    return true;
}

/// Share of zero bytes at even or odd places.
double zeros(std::string_view bytes, size_t from) {
    size_t zero = 0;
    size_t count = 0;
    for (size_t i = from; i < std::min(bytes.size(), kLookedAt); i += 2, ++count)
        zero += bytes[i] == '\0' ? 1 : 0;
    return count > 0 ? static_cast<double>(zero) / static_cast<double>(count) : 0.0;
}

std::string fromUtf16(std::string_view bytes, bool little) {
    const auto unit = [&](size_t i) {
        const auto a = static_cast<unsigned char>(bytes[2 * i]);
        const auto b = static_cast<unsigned char>(bytes[2 * i + 1]);
        return static_cast<std::int32_t>(little ? a | (b << 8) : (a << 8) | b);
    };
    const size_t count = bytes.size() / 2;
    std::string out;
    out.reserve(count);
    for (size_t i = 0; i < count; ++i) {
        std::int32_t c = unit(i);
        const bool high = c >= 0xD800 && c < 0xDC00;
        if (high && i + 1 < count && unit(i + 1) >= 0xDC00 && unit(i + 1) < 0xE000)
            c = 0x10000 + ((c - 0xD800) << 10) + (unit(++i) - 0xDC00);
        else if (c >= 0xD800 && c < 0xE000)
            c = 0xFFFD; // half a pair
        append(out, c);
    }
    return out;
}

std::string fromWindows1252(std::string_view bytes) {
    // 0x80 to 0x9F; the rest is Latin-1. Unicode consortium's table CP1252.TXT; unused places stay as they are.
    constexpr std::array<std::int32_t, 32> upper{0x20AC, 0x81,   0x201A, 0x0192, 0x201E, 0x2026, 0x2020, 0x2021,
                                                 0x02C6, 0x2030, 0x0160, 0x2039, 0x0152, 0x8D,   0x017D, 0x8F,
                                                 0x90,   0x2018, 0x2019, 0x201C, 0x201D, 0x2022, 0x2013, 0x2014,
                                                 0x02DC, 0x2122, 0x0161, 0x203A, 0x0153, 0x9D,   0x017E, 0x0178};
    std::string out;
    out.reserve(bytes.size());
    for (const char byte : bytes) {
        const auto c = static_cast<unsigned char>(byte);
        if (c < 0x80)
            out += byte;
        else
            append(out, c < 0xA0 ? upper[c - 0x80] : c);
    }
    return out;
}

/// One kind of line end; what is no text goes.
void settle(DecodedText& decoded) {
    std::string& text = decoded.text;
    if (text.find_first_of(std::string_view("\r\0\x1A", 3)) == std::string::npos)
        return;
    std::string out;
    out.reserve(text.size());
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (c == '\r') {
            out += '\n';
            i += i + 1 < text.size() && text[i + 1] == '\n' ? 1 : 0;
        } else if (c == '\0' || c == kEndMark) {
            ++decoded.left;
        } else {
            out += c;
        }
    }
    text = std::move(out);
}

} // namespace

const char* encodingName(TextEncoding encoding) {
    switch (encoding) {
    case TextEncoding::Utf8:
        return "UTF-8";
    case TextEncoding::Utf16Little:
        return "UTF-16, little end first";
    case TextEncoding::Utf16Big:
        return "UTF-16, big end first";
    case TextEncoding::Windows1252:
        break;
    }
    return "Windows-1252";
}

TextEncoding guessEncoding(std::string_view bytes) {
    if (bytes.starts_with(kUtf8Mark))
        return TextEncoding::Utf8;
    if (bytes.starts_with(kLittleMark))
        return TextEncoding::Utf16Little;
    if (bytes.starts_with(kBigMark))
        return TextEncoding::Utf16Big;
    // Figures and separators are ASCII: in UTF-16 nearly every second byte is zero.
    constexpr double most = 0.7;
    constexpr double few = 0.1;
    const double even = zeros(bytes, 0);
    const double odd = zeros(bytes, 1);
    if (odd > most && even < few)
        return TextEncoding::Utf16Little;
    if (even > most && odd < few)
        return TextEncoding::Utf16Big;
    return isUtf8(bytes) ? TextEncoding::Utf8 : TextEncoding::Windows1252;
}

DecodedText decodeText(std::string_view bytes, std::optional<TextEncoding> encoding) {
    DecodedText out;
    out.encoding = encoding.value_or(guessEncoding(bytes));
    for (const std::string_view mark : {kUtf8Mark, kLittleMark, kBigMark})
        if (bytes.starts_with(mark)) {
            bytes.remove_prefix(mark.size());
            break;
        }
    switch (out.encoding) {
    case TextEncoding::Utf8:
        out.text = bytes;
        break;
    case TextEncoding::Utf16Little:
    case TextEncoding::Utf16Big:
        out.text = fromUtf16(bytes, out.encoding == TextEncoding::Utf16Little);
        out.left = bytes.size() % 2;
        break;
    case TextEncoding::Windows1252:
        out.text = fromWindows1252(bytes);
        break;
    }
    settle(out);
    return out;
}

} // namespace hillrun
