// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "words/language.h"

#include <algorithm>
#include <cctype>
#include <cstdlib>

namespace hillrun {
namespace {

struct LanguageRow {
    Language language;
    const char* code;
    const char* name;
};
constexpr std::array kRows{LanguageRow{Language::English, "en", "English"},
                           LanguageRow{Language::German, "de", "Deutsch"},
                           LanguageRow{Language::French, "fr",
                                       "Fran\xC3\xA7"
                                       "ais"}};

std::string environment(const char* name) {
    const char* text = std::getenv(name);
    return text ? text : "";
}

std::string localeOfMessages() {
    for (const char* name : {"LC_ALL", "LC_MESSAGES", "LANG"})
        if (const std::string text = environment(name); !text.empty())
            return text;
    return "C";
}

} // namespace

const char* languageCode(Language language) { return kRows.at(static_cast<size_t>(language)).code; }

const char* languageName(Language language) { return kRows.at(static_cast<size_t>(language)).name; }

std::optional<Language> languageNamed(std::string_view text) {
    std::string code(text.substr(0, text.find_first_of("_-.@")));
    std::transform(code.begin(), code.end(), code.begin(), [](unsigned char c) { return std::tolower(c); });
    for (const LanguageRow& row : kRows)
        if (code == row.code)
            return row.language;
    return std::nullopt;
}

Language systemLanguage() {
    const std::string wanted = localeOfMessages();
    if (wanted == "C" || wanted == "POSIX" || wanted.starts_with("C."))
        return Language::English;
    std::string list = environment("LANGUAGE"); // of no meaning in the C locale
    list += (list.empty() ? "" : ":") + wanted;
    for (size_t from = 0; from < list.size();) {
        const size_t to = std::min(list.find(':', from), list.size());
        if (const auto language = languageNamed(std::string_view(list).substr(from, to - from)))
            return *language;
        from = to + 1;
    }
    return Language::English;
}

} // namespace hillrun
