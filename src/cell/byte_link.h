// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/back_off.h"
#include "cell/link_address.h"

#include <memory>
#include <QIODevice>
#include <QObject>
#include <QTimer>

namespace hillrun {

enum class LinkState { Connecting, Connected, Lost };

/// A line to a device that brings bytes: TCP or serial. It connects by itself, again and again with growing waits (a
/// quarter of a second up to five), until it is destroyed.
class ByteLink : public QObject {
    Q_OBJECT
public:
    explicit ByteLink(const LinkAddress& address, QObject* parent = nullptr);
    ~ByteLink() override;
    void open();
    [[nodiscard]] LinkState state() const { return m_state; }

Q_SIGNALS:
    void received(const QByteArray& bytes);
    /// `words` says why for Lost.
    void stateChanged(hillrun::LinkState state, const QString& words);

private:
    void openTcp();
    void openSerial();
    void opened();
    void lost(const QString& why);

    LinkAddress m_address;
    std::unique_ptr<QIODevice> m_device;
    QTimer m_retry;
    BackOff m_backOff;
    LinkState m_state = LinkState::Connecting;
};

} // namespace hillrun
