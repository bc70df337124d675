// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/log_days.h"
#include "support.h"

#include <cstdlib>
#include <QByteArray>
#include <QProcess>

namespace hillrun::test {

/// A logbook of its own for one test.
class OwnLogbook {
public:
    OwnLogbook() { qputenv("HILLRUN_LOGBOOK", QByteArray::fromStdString(file().string())); }
    ~OwnLogbook() { qunsetenv("HILLRUN_LOGBOOK"); }
    OwnLogbook(const OwnLogbook&) = delete;
    OwnLogbook& operator=(const OwnLogbook&) = delete;
    [[nodiscard]] std::filesystem::path file() const { return m_folder.path() / "book.sqlite"; }
    void add(const std::filesystem::path& day, const std::string& date = {}) const {
        LogbookEntry entry = entryOf(day);
        if (!date.empty()) {
            entry.record.date = date;
            entry.record.id = date + entry.record.id;
            entry.path += date;
        }
        Logbook(logbookAddress(file().string())).put(entry);
    }
    [[nodiscard]] long count() const { return Logbook(logbookAddress(file().string())).count({}); }

private:
    TemporaryFolder m_folder;
};

/// A PostgreSQL of its own for one test.
class OwnServer {
public:
    OwnServer() {
        QProcess process;
        process.start(tool("start-postgresql"), {folder()});
        REQUIRE(process.waitForFinished(120000));
        m_address = QString::fromUtf8(process.readAllStandardOutput()).trimmed().toStdString();
        REQUIRE_FALSE(m_address.empty());
    }
    ~OwnServer() { QProcess::execute(tool("stop-postgresql"), {folder(), QStringLiteral("immediate")}); }
    OwnServer(const OwnServer&) = delete;
    OwnServer& operator=(const OwnServer&) = delete;
    [[nodiscard]] const std::string& address() const { return m_address; }

private:
    static QString tool(const char* name) {
        return QString::fromStdString(std::string(std::getenv("HILLRUN_TOOLS")) + "/" + name);
    }
    [[nodiscard]] QString folder() const { return QString::fromStdString(m_folder.path().string()); }
    TemporaryFolder m_folder;
    std::string m_address;
};

} // namespace hillrun::test
