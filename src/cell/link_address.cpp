// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/link_address.h"

#include <QCoreApplication>
#include <QUrl>
#include <QUrlQuery>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

struct Scheme {
    LinkKind kind;
    const char* scheme;
    const char* words;
    int baud;
};
constexpr Scheme kSchemes[] = {
    {LinkKind::TelemetryTcp, "tcp", QT_TRANSLATE_NOOP("Link", "Telemetry, TCP"), 0},
    {LinkKind::TelemetrySerial, "serial", QT_TRANSLATE_NOOP("Link", "Telemetry, serial"), 115200},
    {LinkKind::NmeaTcp, "nmea-tcp", QT_TRANSLATE_NOOP("Link", "Weather NMEA, TCP"), 0},
    {LinkKind::NmeaSerial, "nmea-serial", QT_TRANSLATE_NOOP("Link", "Weather NMEA, serial"), 4800},
    {LinkKind::ModbusTcp, "modbus-tcp", QT_TRANSLATE_NOOP("Link", "Modbus TCP"), 0},
};

const Scheme& schemeOf(LinkKind kind) { return kSchemes[static_cast<size_t>(kind)]; }

} // namespace

QString LinkAddress::text() const {
    const QString scheme = QString::fromLatin1(schemeOf(kind).scheme);
    if (isSerial())
        return u"%1:%2?baud=%3"_s.arg(scheme, device).arg(baud);
    const QString map = registerFile.isEmpty() ? QString() : u"?map="_s + registerFile;
    return u"%1://%2:%3%4"_s.arg(scheme, host).arg(port).arg(map);
}

QString LinkAddress::words() const {
    const QString what = QCoreApplication::translate("Link", schemeOf(kind).words);
    return isSerial() ? u"%1 %2"_s.arg(what, device) : u"%1 %2:%3"_s.arg(what, host).arg(port);
}

std::optional<LinkAddress> linkAddressFrom(const QString& text) {
    const QUrl url(text.trimmed(), QUrl::StrictMode);
    for (const Scheme& scheme : kSchemes) {
        if (url.scheme() != QLatin1StringView(scheme.scheme))
            continue;
        LinkAddress out;
        out.kind = scheme.kind;
        const QUrlQuery query(url);
        if (out.isSerial()) {
            out.device = url.path();
            out.baud = query.hasQueryItem(u"baud"_s) ? query.queryItemValue(u"baud"_s).toInt() : scheme.baud;
            return out.device.isEmpty() || out.baud <= 0 ? std::nullopt : std::optional(out);
        }
        out.host = url.host();
        out.port = url.port();
        out.registerFile = query.queryItemValue(u"map"_s);
        return out.host.isEmpty() || out.port <= 0 ? std::nullopt : std::optional(out);
    }
    return std::nullopt;
}

} // namespace hillrun
