// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "words/voice.h"

#include <string>
#include <vector>

namespace hillrun::test {

/// Blanks that do not break as plain ones.
inline std::string withPlainBlanks(const std::string& text) {
    std::string out;
    for (size_t i = 0; i < text.size(); ++i)
        if (text[i] == '\xC2' && i + 1 < text.size() && text[i + 1] == '\xA0') {
            out += ' ';
            ++i;
        } else {
            out += text[i];
        }
    return out;
}

/// What is said in English, with kW and N.m, where the words are what is tested; their blanks are test_words' matter.
inline std::string inEnglish(const Statement& statement) { return withPlainBlanks(Voice().say(statement)); }
inline std::string inEnglish(const std::vector<Statement>& statements) {
    return withPlainBlanks(Voice().say(statements));
}
inline std::string inEnglish(const std::exception& error) { return withPlainBlanks(Voice().say(error)); }
inline std::vector<std::string> eachInEnglish(const std::vector<Statement>& statements) {
    std::vector<std::string> out;
    for (const Statement& statement : statements)
        out.push_back(inEnglish(statement));
    return out;
}

} // namespace hillrun::test
