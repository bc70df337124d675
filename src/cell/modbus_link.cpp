// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/modbus_link.h"

#include <algorithm>
#include <QModbusReply>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kPoll_ms = 500;
constexpr int kAnswer_ms = 1000;
constexpr int kMostRegisters = 125; ///< of one question, by the protocol

} // namespace

ModbusLink::ModbusLink(const LinkAddress& address, RegisterMap map, QObject* parent)
    : QObject(parent), m_map(std::move(map)) {
    m_client.setParent(this);
    m_poll.setParent(this);
    m_retry.setParent(this);
    m_client.setConnectionParameter(QModbusDevice::NetworkAddressParameter, address.host);
    m_client.setConnectionParameter(QModbusDevice::NetworkPortParameter, address.port);
    m_client.setTimeout(kAnswer_ms);
    m_client.setNumberOfRetries(0);
    m_retry.setSingleShot(true);
    m_poll.setInterval(kPoll_ms);
    connect(&m_retry, &QTimer::timeout, this, &ModbusLink::open);
    connect(&m_poll, &QTimer::timeout, this, &ModbusLink::poll);
    connect(&m_client, &QModbusClient::stateChanged, this, [this](QModbusDevice::State state) {
        if (state == QModbusDevice::ConnectedState) {
            m_state = LinkState::Connected;
            m_backOff.reset();
            Q_EMIT stateChanged(m_state, {});
            m_poll.start();
            poll();
        } else if (state == QModbusDevice::UnconnectedState) {
            lost(m_client.errorString());
        }
    });
}

ModbusLink::~ModbusLink() {
    m_client.disconnect(this);
    m_client.disconnectDevice();
}

void ModbusLink::open() {
    m_state = LinkState::Connecting;
    if (!m_client.connectDevice())
        lost(m_client.errorString());
}

void ModbusLink::lost(const QString& why) {
    m_poll.stop();
    if (m_state == LinkState::Lost)
        return;
    m_state = LinkState::Lost;
    m_retry.start(m_backOff.next_ms());
    Q_EMIT stateChanged(m_state, why);
}

void ModbusLink::poll() {
    ask(true);
    ask(false);
}

/// One question from the lowest to the highest register of a kind.
void ModbusLink::ask(bool input) {
    int low = 65536;
    int high = -1;
    for (const RegisterEntry& entry : m_map.registers) {
        if (entry.input != input)
            continue;
        low = std::min(low, entry.address);
        high = std::max(high, entry.address);
    }
    if (high < 0)
        return;
    const auto count = static_cast<quint16>(std::min(high - low + 1, kMostRegisters));
    const auto type = input ? QModbusDataUnit::InputRegisters : QModbusDataUnit::HoldingRegisters;
    QModbusReply* reply = m_client.sendReadRequest({type, low, count}, m_map.unitId);
    if (!reply)
        return;
    connect(reply, &QModbusReply::finished, this, [this, reply, input, low] {
        reply->deleteLater();
        if (reply->error() != QModbusDevice::NoError) {
            if (m_state == LinkState::Connected)
                m_client.disconnectDevice(); // does not answer: begin anew
            return;
        }
        const QModbusDataUnit unit = reply->result();
        Readings out;
        for (const RegisterEntry& entry : m_map.registers)
            if (const int at = entry.address - low;
                entry.input == input && at >= 0 && at < static_cast<int>(unit.valueCount()))
                out.emplace_back(entry, entry.value(unit.value(at)));
        Q_EMIT readings(out);
    });
}

} // namespace hillrun
