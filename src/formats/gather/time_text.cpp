// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/time_text.h"

#include "formats/gather/number_text.h"

#include <array>
#include <cctype>
#include <charconv>
#include <chrono>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

bool isDigit(char c) { return c >= '0' && c <= '9'; }
bool isLetter(char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0; }

/// Walks over a text piece by piece.
class Scanner {
public:
    explicit Scanner(std::string_view text) : m_rest(text) {}
    [[nodiscard]] bool atEnd() const { return m_rest.empty(); }
    [[nodiscard]] char front() const { return m_rest.empty() ? '\0' : m_rest.front(); }
    [[nodiscard]] std::string_view rest() const { return m_rest; }
    bool take(char c) {
        if (front() != c)
            return false;
        m_rest.remove_prefix(1);
        return true;
    }
    void skipBlanks() { m_rest = m_rest.substr(std::min(m_rest.find_first_not_of(" \t"), m_rest.size())); }
    /// A whole number of at most `most` digits.
    std::optional<int> number(size_t most, size_t* digits = nullptr) {
        size_t count = 0;
        while (count < m_rest.size() && count < most && isDigit(m_rest[count]))
            ++count;
        int value = 0;
        if (count == 0 || std::from_chars(m_rest.data(), m_rest.data() + count, value).ec != std::errc())
            return std::nullopt;
        m_rest.remove_prefix(count);
        if (digits)
            *digits = count;
        return value;
    }
    std::string word() {
        std::string out;
        while (isLetter(front()) || static_cast<unsigned char>(front()) >= 0x80) {
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(front())));
            m_rest.remove_prefix(1);
        }
        return out;
    }
    /// Digits behind a decimal mark, as a fraction.
    double fraction() {
        double value = 0.0;
        for (double place = 0.1; isDigit(front()); place *= 0.1) {
            value += place * (front() - '0');
            m_rest.remove_prefix(1);
        }
        return value;
    }

private:
    std::string_view m_rest;
};

/// 1 to 12 by the first letters in English, German, French, Spanish or Italian; 0: no month.
int monthNamed(const std::string& word) {
    struct Name {
        const char* begins;
        int month;
    };
    constexpr Name names[] = {{"jan", 1},
                              {"ene", 1},
                              {"gen", 1},
                              {"feb", 2},
                              {"f\xC3\xA9v", 2},
                              {"fev", 2},
                              {"mar", 3},
                              {"m\xC3\xA4r", 3},
                              {"mrz", 3},
                              {"apr", 4},
                              {"avr", 4},
                              {"abr", 4},
                              {"may", 5},
                              {"mai", 5},
                              {"mag", 5},
                              {"jun", 6},
                              {"juin", 6},
                              {"giu", 6},
                              {"jul", 7},
                              {"juil", 7},
                              {"lug", 7},
                              {"aug", 8},
                              {"ao\xC3\xBB", 8},
                              {"aou", 8},
                              {"ago", 8},
                              {"sep", 9},
                              {"set", 9},
                              {"oct", 10},
                              {"okt", 10},
                              {"ott", 10},
                              {"nov", 11},
                              {"dec", 12},
                              {"dez", 12},
                              {"d\xC3\xA9"
                               "c",
                               12},
                              {"dic", 12}};
    int out = 0;
    size_t longest = 0;
    for (const Name& name : names)
        if (word.starts_with(name.begins) && std::string_view(name.begins).size() > longest) {
            longest = std::string_view(name.begins).size();
            out = name.month;
        }
    return out;
}

std::optional<double> dayNumber(int year, int month, int day) {
    using namespace std::chrono;
    const year_month_day date{std::chrono::year{year}, std::chrono::month{static_cast<unsigned>(month)},
                              std::chrono::day{static_cast<unsigned>(day)}};
    if (!date.ok() || year < 1970 || year > 2199)
        return std::nullopt;
    return static_cast<double>(sys_days{date}.time_since_epoch().count());
}

int wholeYear(int year) { return year < 70 ? 2000 + year : (year < 100 ? 1900 + year : year); }

/// A date off the front; the scanner stands where it was when there is none.
bool takeDate(Scanner& scanner, StampText& out, bool monthFirst) {
    Scanner at = scanner;
    size_t digits = 0;
    const auto first = at.number(4, &digits);
    if (!first)
        return false;
    const char mark = at.front();
    std::optional<double> day;
    if (digits == 4 && (mark == '-' || mark == '/' || mark == '.')) {
        at.take(mark);
        const auto month = at.number(2);
        const auto last = at.take(mark) ? at.number(2) : std::nullopt;
        if (month && last)
            day = dayNumber(*first, *month, *last);
    } else if (mark == '.' || mark == '/' || mark == '-') {
        at.take(mark);
        const auto second = at.number(2);
        const auto year = at.take(mark) ? at.number(4) : std::nullopt;
        if (!second || !year)
            return false;
        const bool either = mark != '.' && *first <= 12 && *second <= 12 && *first != *second;
        const bool firstIsMonth = mark != '.' && (*second > 12 || (either && monthFirst));
        out.dayOrMonthFirst = either;
        day =
            firstIsMonth ? dayNumber(wholeYear(*year), *first, *second) : dayNumber(wholeYear(*year), *second, *first);
    } else { // "16 May 2026", "16. Mai 2026"
        at.take('.');
        at.skipBlanks();
        const int month = monthNamed(at.word());
        at.take('.');
        at.skipBlanks();
        const auto year = at.number(4);
        if (month == 0 || !year)
            return false;
        day = dayNumber(wholeYear(*year), month, *first);
    }
    if (!day)
        return false;
    out.day = day;
    scanner = at;
    return true;
}

bool takeClock(Scanner& scanner, StampText& out) {
    Scanner at = scanner;
    const auto first = at.number(3);
    if (!first || !at.take(':'))
        return false;
    const auto second = at.number(2);
    if (!second || *second > 59)
        return false;
    double seconds = 60.0 * (60.0 * *first + *second);
    if (at.take(':')) {
        const auto third = at.number(2);
        if (!third || *third > 60)
            return false;
        seconds += *third;
        if (at.take('.') || at.take(',') || at.take(':'))
            seconds += at.fraction();
    } else if (at.front() == '.' || at.front() == ',') { // minutes and seconds: "12:03.4"
        (void)at.take('.');
        (void)at.take(',');
        seconds = 60.0 * *first + *second + at.fraction();
    } else if (*first > 23) {
        return false;
    }
    at.skipBlanks();
    Scanner half = at;
    const std::string word = half.word();
    if (word == "am" || word == "pm") {
        const double hours = std::floor(seconds / 3600.0);
        if (hours < 1.0 || hours > 12.0)
            return false;
        seconds += (word == "pm" ? 12.0 : 0.0) * 3600.0 - (hours == 12.0 ? 12.0 * 3600.0 : 0.0);
        at = half;
    }
    out.clock_s = seconds;
    scanner = at;
    return true;
}

/// "Z", "+01:00", "+0100" off the front.
void takeOffset(Scanner& scanner, StampText& out) {
    scanner.skipBlanks();
    if (scanner.take('Z')) {
        out.offset_min = 0;
        return;
    }
    const char sign = scanner.front();
    if (sign != '+' && sign != '-')
        return;
    Scanner at = scanner;
    at.take(sign);
    const auto hours = at.number(2);
    (void)at.take(':');
    const auto minutes = at.number(2);
    if (!hours)
        return;
    out.offset_min = (sign == '-' ? -1 : 1) * (60 * *hours + minutes.value_or(0));
    scanner = at;
}

} // namespace

std::optional<StampText> stampIn(std::string_view text, bool monthFirst) {
    Scanner scanner(bareCell(text));
    StampText out;
    const bool dated = takeDate(scanner, out, monthFirst);
    if (dated) {
        (void)(scanner.take('T') || scanner.take(','));
        scanner.skipBlanks();
    }
    const bool clocked = takeClock(scanner, out);
    if (clocked)
        takeOffset(scanner, out);
    scanner.skipBlanks();
    if (!scanner.atEnd() || (!dated && !clocked))
        return std::nullopt;
    return out;
}

std::optional<std::vector<double>> secondsOf(const std::vector<std::string>& clocks,
                                             const std::vector<std::string>* dates) {
    std::vector<double> out;
    size_t known = 0;
    size_t filled = 0;
    std::optional<double> first;
    double last = -std::numeric_limits<double>::infinity();
    double midnights = 0.0;
    for (size_t i = 0; i < clocks.size(); ++i) {
        double seconds = std::numeric_limits<double>::quiet_NaN();
        filled += isBlankWord(clocks[i]) ? 0 : 1;
        auto stamp = stampIn(clocks[i]);
        if (stamp && dates && i < dates->size() && !stamp->day)
            if (const auto date = stampIn((*dates)[i]))
                stamp->day = date->day;
        if (stamp && stamp->clock_s) {
            seconds = *stamp->clock_s + (stamp->day ? kDay_s * *stamp->day : midnights);
            if (!stamp->day && seconds < last - kDay_s / 2.0) { // a new day began
                midnights += kDay_s;
                seconds += kDay_s;
            }
            last = seconds;
            first = first.value_or(seconds);
            seconds -= *first;
            ++known;
        }
        out.push_back(seconds);
    }
    if (known < 2 || 10 * known < 9 * filled)
        return std::nullopt;
    return out;
}

} // namespace hillrun
