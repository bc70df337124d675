// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/link_address.h"

#include <catch2/catch.hpp>

using namespace hillrun;
using namespace Qt::StringLiterals;

TEST_CASE("addresses are read and written as text") {
    for (const char* text : {"tcp://127.0.0.1:5020", "serial:/dev/ttyUSB0?baud=9600", "nmea-tcp://station.lan:10110",
                             "nmea-serial:/dev/ttyS1?baud=4800", "modbus-tcp://10.0.0.8:502",
                             "modbus-tcp://10.0.0.8:502?map=/srv/map.json"}) {
        const auto address = linkAddressFrom(QString::fromLatin1(text));
        INFO(text);
        REQUIRE(address);
        CHECK(address->text() == QString::fromLatin1(text));
        CHECK_FALSE(address->words().isEmpty());
    }
    CHECK(linkAddressFrom(u"serial:/dev/ttyUSB0"_s)->baud == 115200);
    CHECK(linkAddressFrom(u"nmea-serial:/dev/ttyUSB0"_s)->baud == 4800);
}

TEST_CASE("what is no address is refused") {
    for (const char* text : {"", "tcp://", "tcp://host", "tcp://host:0", "serial:", "serial:/dev/x?baud=-1",
                             "http://host:80", "127.0.0.1:5020", "tcp://host:99999999"})
        CHECK_FALSE(linkAddressFrom(QString::fromLatin1(text)));
}
