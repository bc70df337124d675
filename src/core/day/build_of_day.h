// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>

namespace hillrun {

/// A build of a day, as people write it: "2026-05-16-0af3:B".
struct BuildOfDay {
    std::string day; ///< id
    std::string build;
    std::string date{}; ///< of the day, for words; empty: not known
    [[nodiscard]] std::string text() const { return day + ":" + build; }
    bool operator==(const BuildOfDay& other) const { return day == other.day && build == other.build; }
};

} // namespace hillrun
