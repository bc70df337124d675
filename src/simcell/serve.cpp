// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/serve.h"

#include "formats/nmea.h"
#include "formats/register_map.h"

#include <cstdio>
#include <cstdlib>
#include <fcntl.h>
#include <fmt/format.h>
#include <QCoreApplication>
#include <QHostAddress>
#include <QModbusDataUnitMap>
#include <termios.h>
#include <unistd.h>

using namespace Qt::StringLiterals;

namespace hillrun::sim {
namespace {

constexpr double kHeadEvery_s = 2.0;  ///< on a serial line, for who joins in the middle
constexpr double kMostBehind_s = 5.0; ///< simulated time lost when the machine was asleep is not made up

void say(const std::string& line) {
    std::fputs((line + "\n").c_str(), stdout);
    std::fflush(stdout);
}

} // namespace

PseudoTerminal::PseudoTerminal() {
    m_master = ::posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK);
    if (m_master < 0 || ::grantpt(m_master) != 0 || ::unlockpt(m_master) != 0)
        return;
    m_path = QString::fromLocal8Bit(::ptsname(m_master));
    m_slave = ::open(m_path.toLocal8Bit().constData(), O_RDWR | O_NOCTTY);
    termios settings{};
    if (m_slave >= 0 && ::tcgetattr(m_slave, &settings) == 0) {
        ::cfmakeraw(&settings);
        ::tcsetattr(m_slave, TCSANOW, &settings);
    }
}

PseudoTerminal::~PseudoTerminal() {
    if (m_slave >= 0)
        ::close(m_slave);
    if (m_master >= 0)
        ::close(m_master);
}

void PseudoTerminal::write(const QByteArray& bytes) {
    // A full line (nobody reads) drops what comes, as a serial port does.
    [[maybe_unused]] const auto wrote = ::write(m_master, bytes.constData(), static_cast<size_t>(bytes.size()));
}

CellServer::CellServer(CellSpec spec, unsigned seed, const ServeOptions& options)
    : m_cell(std::move(spec), seed), m_options(options) {
    connect(&m_telemetry, &QTcpServer::newConnection, this, [this] {
        while (QTcpSocket* socket = m_telemetry.nextPendingConnection()) {
            socket->setSocketOption(QAbstractSocket::LowDelayOption, 1);
            socket->write(QByteArray::fromStdString(m_cell.head()));
            m_listeners.push_back(socket);
            connect(socket, &QTcpSocket::disconnected, this, [this, socket] {
                std::erase(m_listeners, socket);
                socket->deleteLater();
            });
        }
    });
    connect(&m_nmea, &QTcpServer::newConnection, this, [this] {
        while (QTcpSocket* socket = m_nmea.nextPendingConnection()) {
            m_weatherListeners.push_back(socket);
            m_nextWeather_s = 0.0;
            connect(socket, &QTcpSocket::disconnected, this, [this, socket] {
                std::erase(m_weatherListeners, socket);
                socket->deleteLater();
            });
        }
    });
    connect(&m_timer, &QTimer::timeout, this, &CellServer::tick);
}

bool CellServer::openTcp(QTcpServer& server, quint16 port, const char* what) {
    if (!server.listen(QHostAddress::LocalHost, port)) {
        fmt::print(stderr, "hillrun-simcell: {} port {}: {}\n", what, port, server.errorString().toStdString());
        return false;
    }
    say(fmt::format("{} 127.0.0.1:{}", what, server.serverPort()));
    return true;
}

bool CellServer::openModbus(quint16 port) {
    m_modbus = std::make_unique<QModbusTcpServer>();
    QModbusDataUnitMap map;
    map.insert(QModbusDataUnit::InputRegisters, {QModbusDataUnit::InputRegisters, 0, 32});
    m_modbus->setMap(map);
    m_modbus->setServerAddress(simcellRegisters().unitId);
    m_modbus->setConnectionParameter(QModbusDevice::NetworkAddressParameter, u"127.0.0.1"_s);
    m_modbus->setConnectionParameter(QModbusDevice::NetworkPortParameter, port);
    fillRegisters(); // nobody may read a register before there is something in it
    if (!m_modbus->connectDevice()) {
        fmt::print(stderr, "hillrun-simcell: modbus port {}: {}\n", port, m_modbus->errorString().toStdString());
        return false;
    }
    say(fmt::format("modbus 127.0.0.1:{}", port));
    return true;
}

bool CellServer::open() {
    if (m_options.tcp && !openTcp(m_telemetry, *m_options.tcp, "telemetry"))
        return false;
    if (m_options.nmeaTcp && !openTcp(m_nmea, *m_options.nmeaTcp, "nmea"))
        return false;
    if (m_options.modbusTcp && !openModbus(*m_options.modbusTcp))
        return false;
    if (m_options.pty) {
        m_pty = std::make_unique<PseudoTerminal>();
        if (m_pty->path().isEmpty()) {
            fmt::print(stderr, "hillrun-simcell: no pseudo-terminal to be had\n");
            return false;
        }
        say("pty " + m_pty->path().toStdString());
    }
    if (m_options.followPlan)
        m_cell.followPlan();
    m_console = std::make_unique<QSocketNotifier>(STDIN_FILENO, QSocketNotifier::Read);
    connect(m_console.get(), &QSocketNotifier::activated, this, &CellServer::readConsole);
    m_began = std::chrono::steady_clock::now();
    m_timer.setTimerType(Qt::PreciseTimer);
    m_timer.start(5);
    say("ready");
    return true;
}

void CellServer::readConsole() {
    char buffer[512];
    const auto got = ::read(STDIN_FILENO, buffer, sizeof buffer);
    if (got <= 0) { // the console was closed; the cell goes on
        m_console->setEnabled(false);
        return;
    }
    m_typed.append(buffer, static_cast<qsizetype>(got));
    for (qsizetype end = m_typed.indexOf('\n'); end >= 0; end = m_typed.indexOf('\n')) {
        const std::string line = m_typed.left(end).trimmed().toStdString();
        m_typed.remove(0, end + 1);
        if (line == "quit")
            return QCoreApplication::quit();
        say(m_cell.command(line) + (line == "status" ? fmt::format(" listeners {}", m_listeners.size()) : ""));
    }
}

void CellServer::send(const QByteArray& bytes) {
    for (QTcpSocket* socket : m_listeners)
        socket->write(bytes);
    if (m_pty)
        m_pty->write(bytes);
}

void CellServer::tick() {
    const double wall_s = std::chrono::duration<double>(std::chrono::steady_clock::now() - m_began).count();
    const double due_s = wall_s * m_options.speed;
    if (due_s - m_cell.time_s() > kMostBehind_s * m_options.speed)
        m_began =
            std::chrono::steady_clock::now() - std::chrono::duration_cast<std::chrono::steady_clock::duration>(
                                                   std::chrono::duration<double>(m_cell.time_s() / m_options.speed));
    QByteArray bytes;
    while (m_cell.time_s() < due_s) {
        m_cell.step();
        if (!m_cell.connected()) {
            if (!bytes.isEmpty())
                send(std::exchange(bytes, {}));
            for (QTcpSocket* socket : std::vector(m_listeners))
                socket->disconnectFromHost();
            (void)m_cell.takeEvents();
            continue;
        }
        if (m_pty && m_cell.time_s() >= m_nextHead_s) {
            m_nextHead_s = m_cell.time_s() + kHeadEvery_s * m_options.speed;
            m_pty->write(QByteArray::fromStdString(m_cell.head()));
        }
        for (const std::string& event : m_cell.takeEvents())
            bytes.append(QByteArray::fromStdString("#" + event + "\n"));
        bytes.append(QByteArray::fromStdString(m_cell.rowText()));
    }
    if (!bytes.isEmpty())
        send(bytes);
    if (wall_s >= m_nextWeather_s) {
        m_nextWeather_s = wall_s + 1.0;
        sendWeather();
        fillRegisters();
    }
    if (m_cell.planDone() && !std::exchange(m_doneSaid, true))
        say("plan done");
}

void CellServer::sendWeather() {
    const WeatherPoint now = m_cell.weather();
    const std::string mda =
        fmt::format("WIMDA,{:.3f},I,{:.4f},B,{:.1f},C,,,{:.1f},,,,,,,,,,,,", now.pressure_kpa / 3.38639,
                    now.pressure_kpa / 100.0, now.temperature_c, now.humidity_pct);
    const std::string xdr = fmt::format("WIXDR,C,{:.1f},C,TEMP,P,{:.4f},B,BARO,H,{:.1f},P,RH", now.temperature_c,
                                        now.pressure_kpa / 100.0, now.humidity_pct);
    for (QTcpSocket* socket : m_weatherListeners)
        socket->write(QByteArray::fromStdString(nmeaSentence(mda) + "\r\n" + nmeaSentence(xdr) + "\r\n"));
}

void CellServer::fillRegisters() {
    if (!m_modbus)
        return;
    const WeatherPoint now = m_cell.weather();
    for (const RegisterEntry& entry : simcellRegisters().registers) {
        double value = 0.0;
        if (entry.channel == "weather_temperature")
            value = now.temperature_c;
        else if (entry.channel == "weather_pressure")
            value = now.pressure_kpa;
        else if (entry.channel == "weather_humidity")
            value = now.humidity_pct;
        else
            value = m_cell.slowReading(entry.channel);
        m_modbus->setData(QModbusDataUnit::InputRegisters, static_cast<quint16>(entry.address), entry.raw(value));
    }
}

} // namespace hillrun::sim
