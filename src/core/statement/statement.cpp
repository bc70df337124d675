// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/statement/statement.h"

namespace hillrun {

Argument::Argument(const Statement& phrase) : Argument(Several{{phrase}}) {}

bool Several::operator==(const Several& other) const { return items == other.items && orElse == other.orElse; }

bool Statement::operator==(const Statement& other) const {
    return id == other.id && args == other.args && place == other.place;
}

Number decimals(double value, int digits, std::string unit) { return {value, digits, false, false, std::move(unit)}; }

Number signedDecimals(double value, int digits, std::string unit) {
    return {value, digits, false, true, std::move(unit)};
}

Number significant(double value, int digits, std::string unit) { return {value, digits, true, false, std::move(unit)}; }

Number signedSignificant(double value, int digits, std::string unit) {
    return {value, digits, true, true, std::move(unit)};
}

Several namesOf(const std::vector<std::string>& names) {
    Several out;
    for (const std::string& name : names)
        out.items.push_back({"name", {name}});
    return out;
}

} // namespace hillrun
