// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/shown_text.h"
#include "english.h"

#include "core/errors/data_error.h"

#include <catch2/catch.hpp>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

TEST_CASE("foreign text is shown without what could steer a terminal or a reader") {
    CHECK(shownText("p\xC3\xBCll \xE2\x82\xAC") == "p\xC3\xBCll \xE2\x82\xAC");
    CHECK(shownText("a\x1b[31mb\nc\td\x7f") == "a [31mb c d ");
    CHECK(shownText("x\xC2\x9By") == "x y");     // C1 control
    CHECK(shownText("x\xE2\x80\xAEy") == "x y"); // turns the writing direction
    CHECK(shownText(std::string("a\0b", 3)) == "a b");
    CHECK(shownText("") == "");
}

TEST_CASE("bytes that are no UTF-8 are replaced one by one") {
    // Ill-formed sequences of the Unicode standard, section 3.9: lone, overlong, surrogate, beyond the last code point.
    CHECK(shownText("a\xFF") == "a\xEF\xBF\xBD");
    CHECK(shownText("\xC0\xAF") == "\xEF\xBF\xBD\xEF\xBF\xBD");
    CHECK(shownText("\xED\xA0\x80") == "\xEF\xBF\xBD\xEF\xBF\xBD\xEF\xBF\xBD");
    CHECK(shownText("\xF4\x90\x80\x80") == "\xEF\xBF\xBD\xEF\xBF\xBD\xEF\xBF\xBD\xEF\xBF\xBD");
    CHECK(shownText("\xE2\x82") == "\xEF\xBF\xBD\xEF\xBF\xBD");
    CHECK(shownText("\xF4\x8F\xBF\xBF") == "\xF4\x8F\xBF\xBF"); // U+10FFFF is one
}

TEST_CASE("long text is cut by characters, not bytes") {
    CHECK(shownText("abcdef", 6) == "abcdef");
    CHECK(shownText("abcdefg", 6) == "abcde\xE2\x80\xA6");
    std::string umlauts;
    for (int i = 0; i < 300; ++i)
        umlauts += "\xC3\xBC";
    CHECK(shownText(umlauts).size() == 2 * 199 + 3);
}

TEST_CASE("kept text is UTF-8 whatever came") {
    CHECK(keptText("Temp\xE9rature \xB0"
                   "C") == "Temp\xC3\xA9rature \xC2\xB0"
                           "C"); // Latin-1
    CHECK(keptText("Temp\xC3\xA9rature") == "Temp\xC3\xA9rature");
    CHECK(keptText("a\rb\x01") == "a b ");
}

TEST_CASE("messages carry at most 200 characters of what is foreign, and no second hole") {
    const std::string evil = "\x1b]0;x\x07" + std::string(5000, 'x') + "{0}";
    const std::string text = inEnglish(
        DataError(Problem::BadValue, {evil, std::string("{0}")}, {.file = evil, .column = evil, .key = evil}));
    CHECK(text.size() < 1100);
    CHECK(text.find('\x1b') == std::string::npos);
    CHECK(Voice().problem(DataError(Problem::NotANumber, {std::string("{0}")})) == "\"{0}\" is not a number");
}
