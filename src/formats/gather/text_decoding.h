// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <string>
#include <string_view>

namespace hillrun {

/// How the characters of a foreign file are written. Windows1252 holds Latin-1 too.
enum class TextEncoding { Utf8, Utf16Little, Utf16Big, Windows1252 };
/// "UTF-8", "UTF-16, little end first" ...
const char* encodingName(TextEncoding encoding);

/// A file's text in UTF-8 with "\n" at the ends of its lines.
struct DecodedText {
    std::string text;
    TextEncoding encoding = TextEncoding::Utf8;
    size_t left = 0; ///< bytes that are no text (NUL, an end mark) and were left out
};

/// The encoding by its mark, by where the zero bytes stand, by whether it is valid UTF-8; else Windows-1252.
TextEncoding guessEncoding(std::string_view bytes);
DecodedText decodeText(std::string_view bytes, std::optional<TextEncoding> encoding = {});

} // namespace hillrun
