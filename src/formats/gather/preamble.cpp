// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/preamble.h"

#include "core/units/units.h"
#include "formats/gather/column_words.h"
#include "formats/gather/number_text.h"
#include "formats/gather/time_text.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

/// A title line cut at its first ":" , "=" or separator.
struct Entry {
    std::vector<std::string> words; ///< of its name
    std::string_view value;
    std::string_view whole;
};

Entry entryOf(std::string_view line) {
    while (!line.empty() && std::string_view("#%!/ \t").find(line.front()) != std::string_view::npos)
        line.remove_prefix(1);
    Entry out;
    out.whole = bareCell(line);
    size_t at = std::string_view::npos;
    for (const std::string_view mark : {";", "\t", "=", ":", ","}) {
        at = line.find(mark);
        if (at != std::string_view::npos)
            break;
    }
    const std::string_view name = line.substr(0, std::min(at, line.size()));
    out.words = wordsOfHeader(bareCell(name));
    if (at != std::string_view::npos) {
        std::string_view value = line.substr(at + 1);
        while (!value.empty() && std::string_view(";,\t :=").find(value.back()) != std::string_view::npos)
            value.remove_suffix(1);
        while (!value.empty() && std::string_view(";,\t :=").find(value.front()) != std::string_view::npos)
            value.remove_prefix(1);
        out.value = bareCell(value);
    }
    return out;
}

bool says(const Entry& entry, std::initializer_list<std::string_view> wanted) {
    return std::any_of(entry.words.begin(), entry.words.end(), [&](const std::string& word) {
        return std::any_of(wanted.begin(), wanted.end(), [&](std::string_view w) {
            return word == w || (w.size() >= 5 && word.find(w) != std::string::npos);
        });
    });
}

/// The first number of a text, a comma taken as a decimal sign when no point stands in it; the unit behind it.
struct Quantity {
    double value = 0.0;
    std::string unit;
};
std::optional<Quantity> quantityIn(std::string_view text) {
    const size_t from = text.find_first_of("0123456789");
    if (from == std::string_view::npos)
        return std::nullopt;
    size_t end = from;
    while (end < text.size() && std::string_view("0123456789.,").find(text[end]) != std::string_view::npos)
        ++end;
    while (end > from && (text[end - 1] == '.' || text[end - 1] == ','))
        --end;
    std::string digits(text.substr(from, end - from));
    if (digits.find('.') == std::string::npos)
        std::replace(digits.begin(), digits.end(), ',', '.');
    const auto number = numberIn(digits, {});
    if (!number)
        return std::nullopt;
    Quantity out{number->value, ""};
    if (from > 0 && text[from - 1] == '-')
        out.value = -out.value;
    // The unit: the rest up to a separator.
    std::string_view rest = bareCell(text.substr(end));
    rest = rest.substr(0, rest.find_first_of(";,\t"));
    out.unit = std::string(bareCell(rest));
    return out;
}

std::optional<double> valueIn(const Entry& entry, Dimension dimension) {
    const auto quantity = quantityIn(entry.value);
    if (!quantity)
        return std::nullopt;
    std::string unitText = quantity->unit;
    if (unitText.empty()) { // "Ambient temp [C]: 21"
        const size_t open = entry.whole.find_first_of("[(");
        const size_t close = entry.whole.find_first_of("])");
        if (open != std::string_view::npos && close != std::string_view::npos && close > open)
            unitText = std::string(entry.whole.substr(open + 1, close - open - 1));
    }
    if (!unitText.empty()) {
        const auto unit = parseUnit(unitText);
        return unit && unit->dimension == dimension ? std::optional(unit->toCanonical(quantity->value)) : std::nullopt;
    }
    // No unit: the one in which it is what air can be.
    if (dimension == Dimension::Pressure) {
        for (const char* name : {"kPa", "hPa", "inHg", "mmHg", "psi", "bar"})
            if (const double kpa = parseUnit(name)->toCanonical(quantity->value); kpa > 55.0 && kpa < 110.0)
                return kpa;
        return std::nullopt;
    }
    if (dimension == Dimension::Temperature)
        return quantity->value >= -30.0 && quantity->value <= 45.0 ? std::optional(quantity->value) : std::nullopt;
    return quantity->value;
}

/// The date and time that stand in a line, wherever they begin.
std::optional<StampText> stampWithin(std::string_view text, bool monthFirst, std::string& written) {
    std::optional<StampText> best;
    for (size_t from = 0; from < text.size(); ++from) {
        if (from > 0 && std::isalnum(static_cast<unsigned char>(text[from - 1])))
            continue;
        if (!std::isalnum(static_cast<unsigned char>(text[from])))
            continue;
        for (size_t end = std::min(text.size(), from + 40); end > from + 4; --end) {
            if (end < text.size() && std::isalnum(static_cast<unsigned char>(text[end])))
                continue;
            const auto stamp = stampIn(text.substr(from, end - from), monthFirst);
            if (!stamp)
                continue;
            if (!best || (stamp->day && !best->day)) {
                best = stamp;
                written = std::string(text.substr(from, end - from));
            } else if (best->day && !best->clock_s && stamp->clock_s && !stamp->day) {
                best->clock_s = stamp->clock_s; // "Date 2026-05-16, time 09:12"
                best->offset_min = stamp->offset_min;
            }
            from = end;
            break;
        }
    }
    return best;
}

class PreambleReader {
public:
    explicit PreambleReader(std::optional<bool> monthFirst) : m_monthFirst(monthFirst) {}

    void take(const std::string& line) {
        const Entry entry = entryOf(line);
        takeStamp(entry);
        takeRate(entry);
        takeWeather(entry);
        if (entry.value.empty())
            return;
        if (says(entry, {"operator", "bediener", "operateur", "operador", "operatore", "user", "tester"}))
            m_out.operatorName = entry.value;
        else if (says(entry, {"vehicle", "engine", "article", "fahrzeug", "motor", "vehicule", "moteur", "vehiculo",
                              "veicolo", "motore", "specimen"}))
            m_out.article = entry.value;
        else if (says(entry, {"build", "variant", "variante", "configuration", "setup", "aufbau", "configuracion",
                              "configurazione"}))
            m_out.build = entry.value;
    }

    Preamble done() {
        if (m_day)
            m_out.started = isoStamp(*m_day, m_clock_s.value_or(0.0), m_offset_min);
        if (m_day && !m_clock_s)
            m_out.started = m_out.started.substr(0, 10) + "T00:00:00";
        return std::move(m_out);
    }

private:
    void takeStamp(const Entry& entry) {
        if (says(entry, {"export", "print", "calibr", "kalibr", "etalonn", "gedruckt", "imprim", "stampa", "saved",
                         "firmware", "version", "software", "license", "created by", "due", "valid"}))
            return;
        std::string written;
        const auto stamp = stampWithin(entry.whole, m_monthFirst.value_or(false), written);
        if (!stamp)
            return;
        // A line that says what it is beats one that just holds a date.
        const bool named =
            says(entry, {"date",   "datum", "fecha",   "data",      "recorded", "record",   "started",       "start",
                         "time",   "zeit",  "uhrzeit", "startzeit", "heure",    "hora",     "aufgezeichnet", "begin",
                         "beginn", "debut", "inicio",  "inizio",    "when",     "measured", "logged",        "test"});
        if (stamp->day && (!m_day || (named && !m_named))) {
            m_day = stamp->day;
            m_named = named;
            m_out.eitherDate = stamp->dayOrMonthFirst && !m_monthFirst ? written : std::string();
            if (stamp->clock_s) {
                m_clock_s = stamp->clock_s;
                m_offset_min = stamp->offset_min;
            }
        } else if (stamp->clock_s && !stamp->day && !m_clock_s && named) {
            m_clock_s = stamp->clock_s;
            m_offset_min = stamp->offset_min;
        }
    }

    void takeRate(const Entry& entry) {
        const auto quantity = quantityIn(entry.value.empty() ? entry.whole : entry.value);
        if (!quantity || quantity->value <= 0.0)
            return;
        const auto unit = parseUnit(quantity->unit);
        const bool rate = says(entry, {"rate", "frequency", "frequenz", "abtastrate", "frequence", "frecuencia",
                                       "frequenza", "samplerate", "hz", "sampling", "cadence"});
        const bool interval = says(entry, {"interval", "intervall", "period", "intervalle", "intervalo", "intervallo",
                                           "abtastzeit", "step", "dt"});
        if (rate && (!unit || unit->dimension == Dimension::Frequency || quantity->unit.empty()))
            m_out.rate_hz = quantity->value * (unit && unit->dimension == Dimension::Frequency ? unit->scale : 1.0);
        else if ((interval || rate) && unit && unit->dimension == Dimension::Time && !quantity->unit.empty())
            m_out.rate_hz = 1.0 / unit->toCanonical(quantity->value);
    }

    void takeWeather(const Entry& entry) {
        const std::string name(entry.whole.substr(0, entry.whole.size() - entry.value.size()));
        const std::string channel = senseOf(name, "").channel;
        if (channel == role::kAirTemperature)
            keep(m_out.airTemperature_c, valueIn(entry, Dimension::Temperature));
        else if (channel == role::kAirPressure)
            keep(m_out.airPressure_kpa, valueIn(entry, Dimension::Pressure));
        else if (channel == role::kHumidity)
            keep(m_out.humidity_pct, valueIn(entry, Dimension::Percent));
    }

    static void keep(std::optional<double>& place, std::optional<double> value) {
        if (value && !place)
            place = value;
    }

    std::optional<bool> m_monthFirst;
    std::optional<double> m_day;
    std::optional<double> m_clock_s;
    std::optional<int> m_offset_min;
    bool m_named = false;
    Preamble m_out;
};

} // namespace

std::string isoStamp(double day, double clock_s, std::optional<int> offset_min) {
    using namespace std::chrono;
    const auto whole = sys_days(days(static_cast<int>(day)));
    const year_month_day date{whole};
    const auto seconds_ = static_cast<long>(std::floor(clock_s));
    std::string out = fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}:{:02}", int(date.year()), unsigned(date.month()),
                                  unsigned(date.day()), seconds_ / 3600, seconds_ / 60 % 60, seconds_ % 60);
    if (offset_min) {
        const int minutes_ = std::abs(*offset_min);
        out += *offset_min == 0
                   ? "Z"
                   : fmt::format("{}{:02}:{:02}", *offset_min < 0 ? '-' : '+', minutes_ / 60, minutes_ % 60);
    }
    return out;
}

Preamble readPreamble(const std::vector<std::string>& titles, std::optional<bool> monthFirst) {
    constexpr size_t kTitles = 200; ///< more are no titles
    PreambleReader reader(monthFirst);
    for (size_t i = 0; i < std::min(titles.size(), kTitles); ++i)
        reader.take(titles[i].substr(0, 400));
    return reader.done();
}

} // namespace hillrun
