// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/rpm_range.h"

#include <string>
#include <utility>
#include <variant>
#include <vector>

namespace hillrun {

struct Statement;

/// Where something lies. Empty or zero fields are not known.
struct Place {
    std::string file{};
    long line = 0; ///< from 1
    std::string column{};
    std::string key{};
    bool operator==(const Place&) const = default;
};

/// A plain number. `digits` are decimals, or significant digits when it is `shortest`.
struct Number {
    double value = 0.0;
    int digits = 0;
    bool shortest = false;
    bool sign = false;  ///< a plus is said too
    std::string unit{}; ///< "kPa"; empty for none
    bool operator==(const Number&) const = default;
};

/// A power in W or a torque in N.m, with its half width where one is known; said in the reader's unit.
struct Power {
    double value_w = 0.0;
    double half_w = 0.0; ///< 0 or not finite: not known
    bool sign = false;
    int digits = 0; ///< significant ones, when it has no half width; 0: as usual
    bool operator==(const Power&) const = default;
};
struct Torque {
    double value_nm = 0.0;
    double half_nm = 0.0;
    bool sign = false;
    bool operator==(const Torque&) const = default;
};

struct Rpm {
    double value = 0.0;
    bool operator==(const Rpm&) const = default;
};

/// How many; the first one of a statement chooses its plural form.
struct Count {
    long value = 0;
    bool operator==(const Count&) const = default;
};

/// A channel by its name in the file, said as people call it; `inside` a sentence.
struct ChannelName {
    std::string name;
    bool inside = false;
    bool operator==(const ChannelName&) const = default;
};

/// Several phrases, said as a list: "a, b and c", or "a, b or c".
struct Several {
    std::vector<Statement> items;
    bool orElse = false;
    bool operator==(const Several&) const;
};

/// What stands in a statement's holes. Text is said as it is: a name, an id, a word from outside.
struct Argument : std::variant<std::string, Number, Power, Torque, Rpm, RpmRange, Count, ChannelName, Several> {
    using variant::variant;
    Argument(const char*) = delete; ///< display text has no place here: it stands in the catalogue
    Argument(const Statement& phrase);
};

/// Something to be said, in no language: the id of a sentence (or phrase) of the catalogue and what stands in its
/// holes {0}, {1} ... `words` says it.
struct Statement {
    std::string id{};
    std::vector<Argument> args{};
    Place place{};

    [[nodiscard]] bool empty() const { return id.empty(); }
    bool operator==(const Statement&) const;
};

/// "3.14" with fixed decimals; "3.1" with significant digits.
Number decimals(double value, int digits, std::string unit = "");
Number signedDecimals(double value, int digits, std::string unit = "");
Number significant(double value, int digits, std::string unit = "");
Number signedSignificant(double value, int digits, std::string unit = "");
/// The names as they are, for a list.
Several namesOf(const std::vector<std::string>& names);

} // namespace hillrun
