// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QString>

namespace hillrun {

enum class LinkKind { TelemetryTcp, TelemetrySerial, NmeaTcp, NmeaSerial, ModbusTcp };

/// Where a device is reached. As text: "tcp://127.0.0.1:5020", "serial:/dev/ttyUSB0?baud=115200",
/// "nmea-tcp://10.0.0.7:10110", "nmea-serial:/dev/ttyUSB1?baud=4800",
/// "modbus-tcp://10.0.0.8:502?map=/srv/map.json".
struct LinkAddress {
    LinkKind kind = LinkKind::TelemetryTcp;
    QString host;
    int port = 0;
    QString device; ///< serial port
    int baud = 115200;
    QString registerFile; ///< Modbus; empty: the map of the simulated cell
    bool operator==(const LinkAddress&) const = default;

    [[nodiscard]] bool isSerial() const { return kind == LinkKind::TelemetrySerial || kind == LinkKind::NmeaSerial; }
    [[nodiscard]] bool isTelemetry() const {
        return kind == LinkKind::TelemetryTcp || kind == LinkKind::TelemetrySerial;
    }
    [[nodiscard]] bool isNmea() const { return kind == LinkKind::NmeaTcp || kind == LinkKind::NmeaSerial; }
    [[nodiscard]] QString text() const;
    /// "Telemetry, TCP 127.0.0.1:5020"
    [[nodiscard]] QString words() const;
};

/// Nothing when the text is no address.
std::optional<LinkAddress> linkAddressFrom(const QString& text);

} // namespace hillrun
