// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/local_time.h"

#include "core/day/test_day.h"

#include <cctype>

namespace hillrun {

std::string localTimeText(double seconds, const std::string& offset) {
    const bool known =
        offset.size() == 6 && (offset[0] == '+' || offset[0] == '-') && offset[3] == ':' &&
        std::isdigit(static_cast<unsigned char>(offset[1])) && std::isdigit(static_cast<unsigned char>(offset[2])) &&
        std::isdigit(static_cast<unsigned char>(offset[4])) && std::isdigit(static_cast<unsigned char>(offset[5]));
    if (!known)
        return isoTimeOf(seconds);
    const double minutes = 60.0 * std::stoi(offset.substr(1, 2)) + std::stoi(offset.substr(4, 2));
    std::string text = isoTimeOf(seconds + (offset[0] == '-' ? -60.0 : 60.0) * minutes);
    text.pop_back(); // the Z
    return text + offset;
}

} // namespace hillrun
