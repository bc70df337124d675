// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/nmea.h"

#include <catch2/catch.hpp>
#include <rapidcheck.h>

using namespace hillrun;

TEST_CASE("weather is read from MDA and XDR") {
    const struct {
        const char* body;
        double temperature, pressure, humidity; // below -900: not given
    } rows[] = {
        {"WIMDA,29.064,I,0.9842,B,18.1,C,,,61.0,,10.4,C,,,,,,,,", 18.1, 98.42, 61.0},
        {"WIMDA,29.064,I,,,18.1,C,,,,,,,,,,,,,,", 18.1, 98.42, -999},
        {"WIXDR,C,18.1,C,TEMP,P,0.9842,B,BARO,H,61.0,P,RH", 18.1, 98.42, 61.0},
        {"YXXDR,P,98420,P,BARO", -999, 98.42, -999},
        {"WIXDR,C,-4.5,C,TEMP", -4.5, -999, -999},
    };
    for (const auto& row : rows) {
        INFO(row.body);
        const NmeaAnswer answer = parseNmea(nmeaSentence(row.body) + "\r\n");
        REQUIRE(answer.kind == NmeaKind::Weather);
        CHECK(answer.reading.temperature_c.value_or(-999) == Approx(row.temperature));
        CHECK(answer.reading.pressure_kpa.value_or(-999) == Approx(row.pressure).epsilon(2e-4));
        CHECK(answer.reading.humidity_pct.value_or(-999) == Approx(row.humidity));
    }
}

TEST_CASE("the checksum is the exclusive or of what stands between $ and *") {
    // A worked example that is printed in many introductions to the sentence format, from memory.
    CHECK(parseNmea("$GPGLL,5300.97914,N,00259.98174,E,125926,A*28").kind == NmeaKind::OtherSentence);
    CHECK(parseNmea("$GPGLL,5300.97914,N,00259.98174,E,125926,A*29").kind == NmeaKind::BadChecksum);
    CHECK(nmeaSentence("GPGLL,5300.97914,N,00259.98174,E,125926,A") == "$GPGLL,5300.97914,N,00259.98174,E,125926,A*28");
}

TEST_CASE("a sentence without checksum, cut off or garbled is none") {
    for (const char* line :
         {"", "$", "$WIMDA", "$WIMDA,29.0,I", "WIMDA,1*00", "$WIMDA,29.0,I*", "$WIMDA,29.0,I*G1", "hello", "$*00"})
        CHECK(parseNmea(line).kind == NmeaKind::NotASentence);
    CHECK(parseNmea("$WIMDA,29.0,I*00").kind == NmeaKind::BadChecksum);
}

TEST_CASE("figures that no air can have are left out") {
    const NmeaAnswer answer = parseNmea(nmeaSentence("WIXDR,C,480.0,C,TEMP,P,9.8,B,BARO,H,61.0,P,RH"));
    REQUIRE(answer.kind == NmeaKind::Weather);
    CHECK_FALSE(answer.reading.temperature_c);
    CHECK_FALSE(answer.reading.pressure_kpa);
    CHECK(answer.reading.humidity_pct == 61.0);
    CHECK(parseNmea(nmeaSentence("WIXDR,C,warm,C,TEMP")).kind == NmeaKind::OtherSentence);
}

TEST_CASE("readings are put together and make air when complete") {
    WeatherReading station;
    station.merge(parseNmea(nmeaSentence("WIXDR,C,18.1,C,TEMP")).reading);
    CHECK_FALSE(station.atmosphere());
    station.merge(parseNmea(nmeaSentence("WIXDR,P,0.9842,B,BARO,H,61.0,P,RH")).reading);
    REQUIRE(station.atmosphere());
    CHECK(station.atmosphere()->pressure_pa == Approx(98420.0));
}

TEST_CASE("no line can upset the reader") {
    rc::check("arbitrary text", [](const std::string& text) { (void)parseNmea(text); });
    rc::check("arbitrary body with a right checksum",
              [](const std::string& text) { (void)parseNmea(nmeaSentence(text)); });
}
