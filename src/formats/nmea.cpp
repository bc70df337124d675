// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/nmea.h"

#include <cmath>
#include <fast_float/fast_float.h>
#include <fmt/format.h>
#include <vector>

namespace hillrun {
namespace {

constexpr double kInchMercuryPerBar = 29.53;

unsigned checksumOf(std::string_view body) {
    unsigned sum = 0;
    for (const char c : body)
        sum ^= static_cast<unsigned char>(c);
    return sum & 0xFFU;
}

std::vector<std::string_view> split(std::string_view text) {
    std::vector<std::string_view> out;
    while (true) {
        const size_t comma = text.find(',');
        out.push_back(text.substr(0, comma));
        if (comma == std::string_view::npos)
            return out;
        text.remove_prefix(comma + 1);
    }
}

std::optional<double> numberIn(const std::vector<std::string_view>& fields, size_t at, double low, double high) {
    if (at >= fields.size() || fields[at].empty())
        return std::nullopt;
    double value = 0.0;
    const auto [end, error] = fast_float::from_chars(fields[at].data(), fields[at].data() + fields[at].size(), value);
    if (error != std::errc() || end != fields[at].data() + fields[at].size() || !(value >= low && value <= high))
        return std::nullopt;
    return value;
}

bool fieldIs(const std::vector<std::string_view>& fields, size_t at, std::string_view text) {
    return at < fields.size() && fields[at] == text;
}

/// $--MDA,inHg,I,bar,B,air,C,water,C,relative humidity,absolute,dew point,C,wind ...
WeatherReading readMda(const std::vector<std::string_view>& f) {
    WeatherReading out;
    if (const auto bar = numberIn(f, 3, 0.3, 1.2); bar && fieldIs(f, 4, "B"))
        out.pressure_kpa = 100.0 * *bar;
    else if (const auto inches = numberIn(f, 1, 9.0, 35.0); inches && fieldIs(f, 2, "I"))
        out.pressure_kpa = 100.0 * *inches / kInchMercuryPerBar;
    if (fieldIs(f, 6, "C"))
        out.temperature_c = numberIn(f, 5, -60.0, 80.0);
    out.humidity_pct = numberIn(f, 9, 0.0, 100.0);
    return out;
}

/// $--XDR,type,value,unit,name,...: P in bar or pascal, C in degrees, H in per cent.
WeatherReading readXdr(const std::vector<std::string_view>& f) {
    WeatherReading out;
    for (size_t at = 1; at + 3 < f.size() + 1 && at + 2 < f.size(); at += 4) {
        if (f[at] == "P" && fieldIs(f, at + 2, "B")) {
            if (const auto bar = numberIn(f, at + 1, 0.3, 1.2))
                out.pressure_kpa = 100.0 * *bar;
        } else if (f[at] == "P" && fieldIs(f, at + 2, "P")) {
            if (const auto pascal = numberIn(f, at + 1, 30000.0, 120000.0))
                out.pressure_kpa = *pascal / 1000.0;
        } else if (f[at] == "C" && fieldIs(f, at + 2, "C")) {
            if (const auto degrees = numberIn(f, at + 1, -60.0, 80.0))
                out.temperature_c = degrees;
        } else if (f[at] == "H" && fieldIs(f, at + 2, "P")) {
            if (const auto percent = numberIn(f, at + 1, 0.0, 100.0))
                out.humidity_pct = percent;
        }
    }
    return out;
}

} // namespace

NmeaAnswer parseNmea(std::string_view line) {
    while (!line.empty() && (line.back() == '\r' || line.back() == '\n'))
        line.remove_suffix(1);
    const size_t star = line.rfind('*');
    if (line.size() < 8 || line.front() != '$' || star == std::string_view::npos || star + 3 != line.size())
        return {};
    const std::string_view body = line.substr(1, star - 1);
    unsigned given = 0;
    for (const char c : line.substr(star + 1)) {
        const bool digit = c >= '0' && c <= '9';
        const bool upper = c >= 'A' && c <= 'F';
        const bool lower = c >= 'a' && c <= 'f';
        if (!digit && !upper && !lower)
            return {};
        given = 16 * given + static_cast<unsigned>(digit ? c - '0' : (upper ? c - 'A' : c - 'a') + 10);
    }
    if (given != checksumOf(body))
        return {NmeaKind::BadChecksum, {}};
    const auto fields = split(body);
    if (fields.front().size() != 5)
        return {NmeaKind::OtherSentence, {}};
    const std::string_view sentence = fields.front().substr(2);
    NmeaAnswer out{NmeaKind::OtherSentence, {}};
    if (sentence == "MDA")
        out.reading = readMda(fields);
    else if (sentence == "XDR")
        out.reading = readXdr(fields);
    if (!out.reading.empty())
        out.kind = NmeaKind::Weather;
    return out;
}

std::string nmeaSentence(std::string_view body) { return fmt::format("${}*{:02X}", body, checksumOf(body)); }

} // namespace hillrun
