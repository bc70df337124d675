// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/statement/rounding.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

/// Decimals that show a half width with one digit, two where the first is 1.
int decimalsFor(double half) {
    const double exponent = std::floor(std::log10(half));
    const double first = half / std::pow(10.0, exponent);
    const int digits = first < 1.95 ? 2 : 1;
    return std::clamp(digits - 1 - static_cast<int>(exponent), 0, 6);
}

} // namespace

RoundedPair roundedByInterval(double value, double half) {
    if (!std::isfinite(value))
        return {"\xE2\x80\x93", ""};
    if (!std::isfinite(half) || half <= 0.0)
        return {fmt::format("{:.{}f}", value, std::abs(value) < 1.0 ? 2 : (std::abs(value) < 100.0 ? 1 : 0)), ""};
    const int digits = decimalsFor(half);
    return {fmt::format("{:.{}f}", value, digits), fmt::format("{:.{}f}", half, digits)};
}

} // namespace hillrun
