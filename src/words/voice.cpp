// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "words/voice.h"

#include "core/day/set_aside.h"
#include "core/errors/shown_text.h"
#include "core/statement/rounding.h"
#include "words/catalogue.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/args.h>
#include <fmt/format.h>
#include <mutex>

namespace hillrun {
namespace {

constexpr const char* kPlusMinus = "\xC2\xB1";
constexpr const char* kMinus = "\xE2\x88\x92";
constexpr const char* kDash = "\xE2\x80\x93";
constexpr const char* kSpace = "\xC2\xA0"; // does not break

/// A true minus, no minus before nothing, a plus where it is wanted.
std::string withSign(std::string text, bool plus) {
    const bool negative = !text.empty() && text.front() == '-';
    if (negative)
        text.erase(0, 1);
    const bool zero = text.find_first_of("123456789") == std::string::npos;
    if (negative && !zero)
        return kMinus + text;
    return plus && !zero ? "+" + text : text;
}

/// Catalogues are read when they are first spoken from, and kept.
std::shared_ptr<const Catalogue> sentencesOf(Language language) {
    static std::mutex kGuard;
    static std::array<std::shared_ptr<const Catalogue>, kLanguages.size()> kAll;
    const std::lock_guard lock(kGuard);
    auto& own = kAll.at(static_cast<size_t>(language));
    if (!own)
        own = std::make_shared<Catalogue>(language);
    return own;
}

std::string unitAfter(const std::string& unit) {
    if (unit.empty() || unit == "1")
        return "";
    if (unit == "deg") // stands close to its number
        return "\xC2\xB0";
    return kSpace + (unit == "C" ? "\xC2\xB0"
                                   "C"
                                 : unit);
}

} // namespace

char usualDecimalMark(Language language) { return language == Language::English ? '.' : ','; }

Voice::Voice() : Voice(Manner{}) {}

Voice::Voice(Manner manner) : m_manner(manner), m_catalogue(sentencesOf(manner.language)) {}

Voice Voice::of(Language language, DisplayUnits units) {
    return Voice({.language = language, .units = units, .decimalMark = usualDecimalMark(language)});
}

Voice Voice::in(DisplayUnits units) const {
    Voice other = *this;
    other.m_manner.units = units;
    return other;
}

std::string Voice::say(const Statement& statement) const {
    if (statement.empty())
        return "";
    const std::string where = place(statement.place);
    return finished((where.empty() ? "" : where + ": ") + sentence(statement));
}

std::string Voice::say(const std::vector<Statement>& statements) const {
    std::string text;
    for (const Statement& statement : statements)
        if (!statement.empty())
            text += (text.empty() ? "" : " ") + say(statement);
    return text;
}

std::string Voice::say(const DataError& error) const {
    const std::string where = place(error.place());
    return finished((where.empty() ? "" : where + ": ") + problem(error) + ". " + remedy(error.problem()));
}

std::string Voice::say(const std::exception& error) const {
    const auto* known = dynamic_cast<const DataError*>(&error);
    return known ? say(*known) : std::string(error.what());
}

std::string Voice::problem(const DataError& error) const { return sentence(problemStatement(error)); }

std::string Voice::remedy(Problem problem) const { return sentence({std::string("remedy.") + problemName(problem)}); }

std::string Voice::place(const Place& place) const {
    std::string text = shownText(place.file);
    auto add = [&](const char* id, const Argument& what) {
        text += (text.empty() ? "" : ", ") + sentence({id, {what}});
    };
    if (place.line > 0)
        add("place.line", std::to_string(place.line));
    if (place.column.starts_with('#')) // a channel, not the header of a file's column
        add("place.column", ChannelName{place.column.substr(1), true});
    else if (!place.column.empty())
        add("place.column", shownText(place.column));
    if (!place.key.empty())
        add("place.key", shownText(place.key));
    return text;
}

std::string Voice::list(const std::vector<std::string>& items, bool orElse) const {
    if (items.empty())
        return "";
    std::string text = items.front();
    for (size_t i = 1; i + 1 < items.size(); ++i)
        text += ", " + items[i];
    if (items.size() == 1)
        return text;
    return sentence({orElse ? "list.or" : "list.and", {text, items.back()}});
}

std::string Voice::channel(const std::string& name) const {
    const char* known = m_catalogue->text("channel." + name);
    return known ? std::string(known) : shownText(name);
}

Voice Voice::forFiles() { return Voice().withPlainBlanks(); }

Voice Voice::withPlainBlanks() const {
    Voice other = *this;
    other.m_manner.plainBlanks = true;
    return other;
}

std::string Voice::finished(std::string text) const {
    if (m_manner.plainBlanks)
        for (size_t at = 0; (at = text.find(kSpace, at)) != std::string::npos;)
            text.replace(at, 2, " ");
    return text;
}

std::string Voice::withMark(std::string text) const {
    for (char& c : text)
        if (c == '.')
            c = m_manner.decimalMark;
    return text;
}

std::string Voice::number(const Number& number) const {
    if (!std::isfinite(number.value))
        return kDash;
    const std::string plain = number.shortest ? fmt::format("{:.{}g}", number.value, number.digits)
                                              : fmt::format("{:.{}f}", number.value, number.digits);
    return withMark(withSign(plain, number.sign)) + unitAfter(number.unit);
}

std::string Voice::interval(double value, double half, const std::string& unit, bool sign) const {
    const RoundedPair pair = roundedByInterval(value, half);
    std::string text = withMark(withSign(pair.value, sign));
    if (!pair.half.empty())
        text += std::string(kSpace) + kPlusMinus + kSpace + withMark(pair.half);
    return text + unitAfter(unit);
}

std::string Voice::power(const Power& power) const {
    const PowerUnit unit = m_manner.units.power;
    if (power.digits > 0)
        return number({powerIn(unit, power.value_w), power.digits, true, power.sign, powerUnitText(unit)});
    return interval(powerIn(unit, power.value_w), powerIn(unit, power.half_w), powerUnitText(unit), power.sign);
}

std::string Voice::torque(const Torque& torque) const {
    const TorqueUnit unit = m_manner.units.torque;
    return interval(torqueIn(unit, torque.value_nm), torqueIn(unit, torque.half_nm), torqueUnitText(unit), torque.sign);
}

std::string Voice::argument(const Argument& argument) const {
    struct Sayer {
        const Voice& voice;
        std::string operator()(const std::string& text) const { return shownText(text); }
        std::string operator()(const Number& number) const { return voice.number(number); }
        std::string operator()(const Power& power) const { return voice.power(power); }
        std::string operator()(const Torque& torque) const { return voice.torque(torque); }
        std::string operator()(const Rpm& rpm) const { return rpmText(rpm.value) + kSpace + "rpm"; }
        std::string operator()(const RpmRange& range) const {
            return rpmText(range.low) + kDash + rpmText(range.high) + kSpace + "rpm";
        }
        std::string operator()(const Count& count) const { return std::to_string(count.value); }
        std::string operator()(const ChannelName& channel) const {
            const char* inside = channel.inside ? voice.m_catalogue->text("inside." + channel.name) : nullptr;
            return inside ? std::string(inside) : voice.channel(channel.name);
        }
        std::string operator()(const Several& several) const {
            std::vector<std::string> items;
            for (const Statement& item : several.items)
                items.push_back(voice.say(item));
            return voice.list(items, several.orElse);
        }
    };
    return std::visit(Sayer{*this}, argument);
}

bool Voice::knows(const std::vector<Statement>& statements) const {
    return std::all_of(statements.begin(), statements.end(), [this](const Statement& statement) {
        return m_catalogue->text(statement.id) &&
               std::all_of(statement.args.begin(), statement.args.end(), [this](const Argument& hole) {
                   const auto* several = std::get_if<Several>(&hole);
                   return !several || knows(several->items);
               });
    });
}

std::string Voice::sentence(const Statement& statement) const {
    fmt::dynamic_format_arg_store<fmt::format_context> holes;
    std::optional<long> count;
    for (const Argument& one : statement.args) {
        if (const auto* number = std::get_if<Count>(&one); number && !count)
            count = number->value;
        holes.push_back(argument(one));
    }
    const char* text = count ? m_catalogue->text(statement.id, *count) : m_catalogue->text(statement.id);
    if (!text)
        return statement.id;
    try {
        return fmt::vformat(text, holes);
    } catch (const fmt::format_error&) { // a hole too many in a catalogue: its text is still better than none
        return text;
    }
}

std::string reasonCodeOf(const std::string& text, const Voice& voice) {
    for (const Voice& one : {voice, Voice()})
        for (const char* code : setAsideReasons())
            if (one.say({std::string("reason.") + code}) == text)
                return code;
    return {};
}

void noteReason(Pull& pull, const std::string& reason, const Voice& voice) {
    pull.reasonCode = isSetAsideReason(reason) ? reason : reasonCodeOf(reason, voice);
    pull.reason = pull.reasonCode.empty() ? reason : Voice::forFiles().say(reasonPhrase(pull));
}

std::string rpmText(double rpm) {
    std::string text = fmt::format("{:.0f}", rpm);
    const size_t digits = text.size() - (text.starts_with('-') ? 1 : 0);
    if (digits > 3)
        text.insert(text.size() - 3, kSpace);
    return text;
}

} // namespace hillrun
