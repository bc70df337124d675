// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/byte_link.h"
#include "formats/register_map.h"

#include <QModbusTcpClient>
#include <utility>

namespace hillrun {

/// Asks a Modbus TCP device for its registers twice a second; connects by itself like a ByteLink.
class ModbusLink : public QObject {
    Q_OBJECT
public:
    using Readings = std::vector<std::pair<RegisterEntry, double>>;

    ModbusLink(const LinkAddress& address, RegisterMap map, QObject* parent = nullptr);
    ~ModbusLink() override;
    void open();

Q_SIGNALS:
    void readings(const hillrun::ModbusLink::Readings& values);
    void stateChanged(hillrun::LinkState state, const QString& words);

private:
    void poll();
    void ask(bool input);
    void lost(const QString& why);

    RegisterMap m_map;
    QModbusTcpClient m_client;
    QTimer m_poll;
    QTimer m_retry;
    BackOff m_backOff;
    LinkState m_state = LinkState::Connecting;
};

} // namespace hillrun
