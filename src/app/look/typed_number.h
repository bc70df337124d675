// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QString>

namespace hillrun {

/// A number as people type and paste it: decimal point or comma, thousands marks ("1 234,50", "1'234.5", "1,234,567"),
/// a true minus sign. A single mark is a decimal mark unless `whole` is set and three digits follow it. Nothing when it
/// is not a number, or a whole number with decimals.
std::optional<double> typedNumber(const QString& text, bool whole = false);

/// A number with words behind it, "1 234,50 EUR"; `number` is empty when the text does not begin with one.
struct NumberAndWord {
    std::optional<double> number;
    QString word;
};
NumberAndWord typedNumberAndWord(const QString& text);

} // namespace hillrun
