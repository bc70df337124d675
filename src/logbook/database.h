// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/address.h"

#include <QSqlDatabase>
#include <QSqlQuery>
#include <QVariantList>

namespace hillrun {

/// One connection to a logbook's database; for one thread. Errors are DataErrors: LogbookUnreachable when it cannot be
/// reached (any more), LogbookBroken when it does not take something.
class Database {
public:
    /// Opens, and creates the file of a bench.
    explicit Database(const LogbookAddress& address);
    ~Database();
    Database(const Database&) = delete;
    Database& operator=(const Database&) = delete;

    [[nodiscard]] bool onServer() const { return m_address.onServer; }
    [[nodiscard]] const LogbookAddress& address() const { return m_address; }
    /// Runs one statement; `?` stand for the values.
    QSqlQuery run(const QString& statement, const QVariantList& values = {});
    void begin(); ///< a transaction in which nobody else writes the same days
    void commit();
    void rollBack();

private:
    void openFile();
    void openServer();
    [[noreturn]] void fail(const QSqlError& error);
    LogbookAddress m_address;
    QString m_connection;
    QSqlDatabase m_database;
};

/// Rolls back unless it was committed.
class Transaction {
public:
    explicit Transaction(Database& database) : m_database(database) { m_database.begin(); }
    ~Transaction() {
        if (!m_done)
            m_database.rollBack();
    }
    Transaction(const Transaction&) = delete;
    Transaction& operator=(const Transaction&) = delete;
    void commit() {
        m_database.commit();
        m_done = true;
    }

private:
    Database& m_database;
    bool m_done = false;
};

} // namespace hillrun
