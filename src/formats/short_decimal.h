// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstdint>

namespace hillrun {

/// The usual cell, a short plain decimal such as "-104.25", up to `separator` or the end: fifteen digits at the most
/// and a divisor below 1e22, so that the one division is rounded correctly (Clinger 1990). Returns where it ends, or
/// nullptr when the cell is anything else.
inline const char* shortDecimal(const char* at, const char* end, char separator, char decimal, double& value) {
    constexpr double kPowers[] = {1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15};
    const bool negative = at != end && *at == '-';
    at += negative ? 1 : 0;
    std::int64_t digits = 0;
    int count = 0;
    int places = 0;
    bool point = false;
    for (; at != end && *at != separator; ++at) {
        const auto digit = static_cast<unsigned char>(*at - '0');
        if (digit <= 9) {
            digits = digits * 10 + digit;
            ++count;
            places += point ? 1 : 0;
        } else if (*at == decimal && !point) {
            point = true;
        } else {
            return nullptr;
        }
        if (count > 15)
            return nullptr;
    }
    if (count == 0)
        return nullptr;
    const double magnitude = static_cast<double>(digits) / kPowers[places];
    value = negative ? -magnitude : magnitude;
    return at;
}

} // namespace hillrun
