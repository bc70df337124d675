// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/errors/data_error.h"
#include "core/statement/statement.h"
#include "core/units/units.h"
#include "words/language.h"

#include <memory>
#include <string>
#include <vector>

namespace hillrun {

class Catalogue;

/// How a reader wants to be spoken to.
struct Manner {
    Language language = Language::English;
    DisplayUnits units{};
    char decimalMark = '.';
    bool plainBlanks = false; ///< blanks between number and unit may break: for terminals, files, JSON
    bool operator==(const Manner&) const = default;
};

/// The decimal mark that is usual in a language; a comma in German and French.
char usualDecimalMark(Language language);

/// Says statements and numbers in one language, with one decimal mark, in the reader's units. Cheap to copy. Nothing
/// else in the house knows a language.
class Voice {
public:
    /// English, kW and N.m, a decimal point: what files and tests are written in.
    Voice();
    explicit Voice(Manner manner);
    static Voice of(Language language, DisplayUnits units = {});
    /// What JSON and files say beside their codes: English, kW and N.m, plain blanks.
    static Voice forFiles();
    [[nodiscard]] Voice withPlainBlanks() const;

    [[nodiscard]] const Manner& manner() const { return m_manner; }
    [[nodiscard]] Voice in(DisplayUnits units) const; ///< the same in other units

    /// A sentence or phrase; with its place before it, where it has one. Empty for an empty statement.
    [[nodiscard]] std::string say(const Statement& statement) const;
    /// One after the other, a blank between; empty ones are left out.
    [[nodiscard]] std::string say(const std::vector<Statement>& statements) const;
    /// Whether it has words for all of them: another version of the program may have said them.
    [[nodiscard]] bool knows(const std::vector<Statement>& statements) const;
    /// The whole message: place, what is wrong, what to do about it.
    [[nodiscard]] std::string say(const DataError& error) const;
    /// The same for a DataError; what() for another exception.
    [[nodiscard]] std::string say(const std::exception& error) const;
    /// What is wrong, in a sentence without its place; what to do about it.
    [[nodiscard]] std::string problem(const DataError& error) const;
    [[nodiscard]] std::string remedy(Problem problem) const;
    /// "pulls/p03.csv, line 17, column torque"; empty when nothing is known.
    [[nodiscard]] std::string place(const Place& place) const;
    /// "a, b and c"
    [[nodiscard]] std::string list(const std::vector<std::string>& items, bool orElse = false) const;
    /// "Manifold pressure" of a channel's name; the name itself when it is none that is known.
    [[nodiscard]] std::string channel(const std::string& name) const;

    [[nodiscard]] std::string number(const Number& number) const;
    /// "1.6 ± 0.5 kW"; with `sign` "+1.6 ± 0.5 kW".
    [[nodiscard]] std::string interval(double value, double half, const std::string& unit, bool sign = false) const;
    [[nodiscard]] std::string power(const Power& power) const;
    [[nodiscard]] std::string torque(const Torque& torque) const;

private:
    [[nodiscard]] std::string sentence(const Statement& statement) const;
    [[nodiscard]] std::string argument(const Argument& argument) const;
    [[nodiscard]] std::string withMark(std::string text) const;
    [[nodiscard]] std::string finished(std::string text) const;

    Manner m_manner;
    std::shared_ptr<const Catalogue> m_catalogue;
};

/// The known reason whose words are this text, in this voice's language or in English; empty for words of one's own.
std::string reasonCodeOf(const std::string& text, const Voice& voice);
/// Notes why a pull is set aside: a code of the program, or words (which are a code's when they say the same).
void noteReason(Pull& pull, const std::string& reason, const Voice& voice);

/// An engine speed with a gap that does not break at the thousands, in any language: "4 500".
std::string rpmText(double rpm);

} // namespace hillrun
