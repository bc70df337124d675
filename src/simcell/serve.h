// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "simcell/live_cell.h"

#include <chrono>
#include <memory>
#include <optional>
#include <QModbusTcpServer>
#include <QObject>
#include <QSocketNotifier>
#include <QTcpServer>
#include <QTcpSocket>
#include <QTimer>

namespace hillrun::sim {

/// Where the stand-in offers its data; a port of 0 takes a free one.
struct ServeOptions {
    std::optional<quint16> tcp;
    std::optional<quint16> nmeaTcp;
    std::optional<quint16> modbusTcp;
    bool pty = false;
    double speed = 1.0; ///< simulated seconds a second
    bool followPlan = false;
};

/// A serial line that ends in this program: whoever opens its path reads what is written here.
class PseudoTerminal {
public:
    PseudoTerminal();
    ~PseudoTerminal();
    PseudoTerminal(const PseudoTerminal&) = delete;
    PseudoTerminal& operator=(const PseudoTerminal&) = delete;
    [[nodiscard]] QString path() const { return m_path; }
    void write(const QByteArray& bytes);

private:
    int m_master = -1;
    int m_slave = -1; ///< kept open so that the line stays up between readers
    QString m_path;
};

/// Offers a live cell on loopback and moves it with the clock. Console commands come line by line on standard input.
class CellServer : public QObject {
    Q_OBJECT
public:
    CellServer(CellSpec spec, unsigned seed, const ServeOptions& options);
    /// Opens everything that was asked for and prints where; false, with a word on standard error, when it cannot.
    bool open();

private:
    bool openTcp(QTcpServer& server, quint16 port, const char* what);
    bool openModbus(quint16 port);
    void tick();
    void sendWeather();
    void fillRegisters();
    void readConsole();
    void send(const QByteArray& bytes);

    LiveCell m_cell;
    ServeOptions m_options;
    QTcpServer m_telemetry;
    QTcpServer m_nmea;
    std::vector<QTcpSocket*> m_listeners;
    std::vector<QTcpSocket*> m_weatherListeners;
    std::unique_ptr<QModbusTcpServer> m_modbus;
    std::unique_ptr<PseudoTerminal> m_pty;
    std::unique_ptr<QSocketNotifier> m_console;
    QByteArray m_typed;
    QTimer m_timer;
    std::chrono::steady_clock::time_point m_began;
    double m_nextHead_s = 0.0;
    double m_nextWeather_s = 0.0;
    bool m_doneSaid = false;
};

} // namespace hillrun::sim
