// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/link_tester.h"

#include "core/channels/channels.h"
#include "words/current_voice.h"

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kLook_ms = 200;
constexpr int kLooks = 20; ///< four seconds
constexpr int kEnough = 9; ///< looks after which good news may be told

QString channelList(const LiveSnapshot& snapshot) {
    QStringList names;
    for (const LiveValue& value : snapshot.values)
        names << QString::fromStdString(currentVoice().channel(value.channel));
    const qsizetype shown = 6;
    if (names.size() <= shown)
        return names.join(u", "_s);
    return names.mid(0, shown).join(u", "_s) + QObject::tr(" and %1 more").arg(names.size() - shown);
}

QString weatherWords(const WeatherReading& weather) {
    QStringList parts;
    if (weather.temperature_c)
        parts << QObject::tr("%1 °C").arg(*weather.temperature_c, 0, 'f', 1);
    if (weather.pressure_kpa)
        parts << QObject::tr("%1 kPa").arg(*weather.pressure_kpa, 0, 'f', 2);
    if (weather.humidity_pct)
        parts << QObject::tr("%1 % humidity").arg(*weather.humidity_pct, 0, 'f', 0);
    return parts.isEmpty() ? QObject::tr("no weather in them") : parts.join(u", "_s);
}

} // namespace

QString linkWords(const LinkStatus& status, const LiveSnapshot& snapshot) {
    QString out;
    if (status.state == LinkState::Lost)
        return QObject::tr("Not connected: %1.").arg(status.words);
    if (status.state == LinkState::Connecting)
        return QObject::tr("Connecting \u2026");
    if (status.heard == 0)
        out = QObject::tr("Connected, but nothing that can be used has come.");
    else if (status.address.isTelemetry())
        out = QObject::tr("%1 channels at %2 frames/s: %3.")
                  .arg(snapshot.values.size())
                  .arg(std::round(snapshot.framesPerSecond))
                  .arg(channelList(snapshot));
    else if (status.address.isNmea())
        out = QObject::tr("%1 sentences: %2.").arg(status.heard).arg(weatherWords(snapshot.weather));
    else
        out = QObject::tr("%1 answers: %2; %3.")
                  .arg(status.heard)
                  .arg(weatherWords(snapshot.weather), channelList(snapshot));
    if (status.bad > 0)
        out += QObject::tr(" %1 could not be used, last: %2.").arg(status.bad).arg(status.lastBad);
    return out;
}

LinkTester::LinkTester(const LinkAddress& address, QObject* parent) : QObject(parent), m_address(address) {
    m_service.setLinks({address});
    connect(&m_looks, &QTimer::timeout, this, [this] { look(++m_looked >= kLooks); });
    m_looks.start(kLook_ms);
}

void LinkTester::look(bool last) {
    const LiveSnapshotPtr now = m_service.now();
    if (now->links.empty())
        return;
    const LinkStatus& status = now->links.front();
    const bool good = status.heard > 0 && m_looked >= kEnough;
    if (!good && !last)
        return;
    m_looks.stop();
    Q_EMIT done(status.heard > 0, linkWords(status, *now));
}

} // namespace hillrun
