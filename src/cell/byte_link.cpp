// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/byte_link.h"

#include <QSerialPort>
#include <QTcpSocket>

using namespace Qt::StringLiterals;

namespace hillrun {
ByteLink::ByteLink(const LinkAddress& address, QObject* parent) : QObject(parent), m_address(address) {
    m_retry.setParent(this);
    m_retry.setSingleShot(true);
    connect(&m_retry, &QTimer::timeout, this, &ByteLink::open);
}

ByteLink::~ByteLink() {
    if (m_device)
        m_device->disconnect(this);
}

void ByteLink::open() {
    m_state = LinkState::Connecting;
    if (m_device) {
        m_device->disconnect(this);
        m_device.release()->deleteLater();
    }
    if (m_address.isSerial())
        openSerial();
    else
        openTcp();
}

void ByteLink::openTcp() {
    auto socket = std::make_unique<QTcpSocket>();
    QTcpSocket* raw = socket.get();
    m_device = std::move(socket);
    connect(raw, &QTcpSocket::connected, this, &ByteLink::opened);
    connect(raw, &QTcpSocket::readyRead, this, [this, raw] { Q_EMIT received(raw->readAll()); });
    connect(raw, &QTcpSocket::errorOccurred, this, [this, raw] { lost(raw->errorString()); });
    connect(raw, &QTcpSocket::disconnected, this, [this] { lost(tr("the other side closed the connection")); });
    raw->connectToHost(m_address.host, static_cast<quint16>(m_address.port));
}

void ByteLink::openSerial() {
    auto port = std::make_unique<QSerialPort>();
    QSerialPort* raw = port.get();
    m_device = std::move(port);
    raw->setPortName(m_address.device);
    raw->setBaudRate(m_address.baud);
    connect(raw, &QSerialPort::readyRead, this, [this, raw] { Q_EMIT received(raw->readAll()); });
    connect(raw, &QSerialPort::errorOccurred, this, [this, raw](QSerialPort::SerialPortError error) {
        if (error != QSerialPort::NoError && error != QSerialPort::TimeoutError)
            lost(raw->errorString());
    });
    if (raw->open(QIODevice::ReadOnly))
        opened();
}

void ByteLink::opened() {
    m_backOff.reset();
    m_state = LinkState::Connected;
    Q_EMIT stateChanged(m_state, {});
}

void ByteLink::lost(const QString& why) {
    if (m_state == LinkState::Lost)
        return;
    m_state = LinkState::Lost;
    m_retry.start(m_backOff.next_ms());
    Q_EMIT stateChanged(m_state, why);
}

} // namespace hillrun
