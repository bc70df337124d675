// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <array>
#include <optional>
#include <string>
#include <string_view>

namespace hillrun {

enum class Language { English, German, French };

inline constexpr std::array kLanguages{Language::English, Language::German, Language::French};

/// "en", "de", "fr"
const char* languageCode(Language language);
/// As its speakers call it: "English", "Deutsch", "Français".
const char* languageName(Language language);
/// By a code or a locale's name ("de", "de_CH.UTF-8", "fr-CA"); nothing for a language that is not spoken here.
std::optional<Language> languageNamed(std::string_view text);
/// What the environment asks for (LC_ALL, LC_MESSAGES, LANG, with LANGUAGE before them as gettext reads it); English
/// when it asks for nothing that is spoken here.
Language systemLanguage();

} // namespace hillrun
