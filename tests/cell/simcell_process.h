// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "support.h"

#include <catch2/catch.hpp>
#include <map>
#include <QProcess>
#include <QTcpServer>
#include <QTest>

namespace hillrun::test {

/// A port that is free now.
inline int freePort() {
    QTcpServer server;
    server.listen(QHostAddress::LocalHost, 0);
    return server.serverPort();
}

inline QString programPath(const char* name) {
    const char* folder = std::getenv("HILLRUN_BIN");
    return QString::fromLocal8Bit(folder ? folder : "build/bin") + u'/' + QString::fromLatin1(name);
}

/// The real hillrun-simcell, served on loopback and worked from its console; gone with this object.
class Simcell {
public:
    explicit Simcell(const QStringList& arguments, const QString& spec = QString::fromStdString(
                                                       (dataFolder() / "demo" / "flat-twin.json").string())) {
        m_process.setProcessChannelMode(QProcess::ForwardedErrorChannel);
        m_process.start(programPath("hillrun-simcell"),
                        QStringList{QStringLiteral("serve"), QStringLiteral("--day"), spec} + arguments);
        REQUIRE(m_process.waitForStarted());
        REQUIRE(QTest::qWaitFor([this] { return read().contains(QStringLiteral("ready")); }, 5000));
        for (const QString& line : m_lines) {
            const QStringList words = line.split(u' ');
            if (words.size() == 2)
                m_places[words[0]] = words[1];
        }
    }
    ~Simcell() {
        m_process.kill();
        m_process.waitForFinished();
    }
    /// "127.0.0.1:40123" of telemetry, nmea or modbus; the path of pty.
    [[nodiscard]] QString place(const QString& what) const { return m_places.at(what); }
    [[nodiscard]] int port(const QString& what) const { return place(what).section(u':', 1).toInt(); }
    void say(const QString& command) { m_process.write((command + u'\n').toUtf8()); }
    /// Says something and waits for the answer.
    QString ask(const QString& command) {
        const auto before = read().size();
        say(command);
        REQUIRE(QTest::qWaitFor([&] { return read().size() > before; }, 3000));
        return m_lines.back();
    }
    const QStringList& read() {
        while (m_process.canReadLine())
            m_lines << QString::fromUtf8(m_process.readLine()).trimmed();
        return m_lines;
    }
    void kill() {
        m_process.kill();
        m_process.waitForFinished();
    }

private:
    QProcess m_process;
    QStringList m_lines;
    std::map<QString, QString> m_places;
};

} // namespace hillrun::test
