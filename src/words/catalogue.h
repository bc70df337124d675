// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "words/language.h"

#include <locale>
#include <string>

namespace hillrun {

/// The sentences of one language by their ids, compiled into the program from a gettext catalogue.
class Catalogue {
public:
    explicit Catalogue(Language language);
    /// The text of an id, or nullptr where the catalogue has none. Lives as long as the catalogue.
    [[nodiscard]] const char* text(const std::string& id) const;
    /// The plural form for so many.
    [[nodiscard]] const char* text(const std::string& id, long count) const;

private:
    std::locale m_messages;
};

} // namespace hillrun
