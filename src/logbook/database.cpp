// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/database.h"

#include "core/errors/data_error.h"

#include <QDir>
#include <QFileInfo>
#include <QSqlError>
#include <QUuid>

namespace hillrun {
namespace {

constexpr int kWaitForOthers_ms = 20000;
constexpr int kSqliteConstraint = 19; ///< the lower byte of its codes

/// A text without letters is a text: the drivers would take Qt's null text for no value at all.
QVariant bound(const QVariant& value) {
    return value.metaType() == QMetaType::fromType<QString>() && value.toString().isNull()
               ? QVariant(QStringLiteral(""))
               : value;
}

} // namespace

Database::Database(const LogbookAddress& address)
    : m_address(address), m_connection(QUuid::createUuid().toString(QUuid::WithoutBraces)) {
    if (address.onServer)
        openServer();
    else
        openFile();
}

Database::~Database() {
    m_database.close();
    m_database = QSqlDatabase();
    QSqlDatabase::removeDatabase(m_connection);
}

void Database::openFile() {
    const QString file = QString::fromStdString(m_address.file);
    QDir().mkpath(QFileInfo(file).absolutePath());
    m_database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), m_connection);
    m_database.setDatabaseName(file);
    m_database.setConnectOptions(QStringLiteral("QSQLITE_BUSY_TIMEOUT=%1").arg(kWaitForOthers_ms));
    if (!m_database.open())
        throw DataError(Problem::LogbookUnreachable, {m_address.text(), m_database.lastError().text().toStdString()});
    try {
        run(QStringLiteral("PRAGMA journal_mode = WAL")); // readers do not wait for writers
    } catch (const DataError&) {
        if (QFileInfo(QFileInfo(file).absolutePath()).isWritable())
            throw;
        throw DataError(Problem::LogbookUnreachable, {m_address.text(), Statement{"logbook.folder_read_only"}});
    }
    run(QStringLiteral("PRAGMA synchronous = NORMAL"));
    run(QStringLiteral("PRAGMA foreign_keys = ON"));
}

void Database::openServer() {
    if (!QSqlDatabase::isDriverAvailable(QStringLiteral("QPSQL")))
        throw DataError(Problem::LogbookUnreachable, {m_address.text(), Statement{"logbook.no_driver"}});
    m_database = QSqlDatabase::addDatabase(QStringLiteral("QPSQL"), m_connection);
    m_database.setHostName(QString::fromStdString(m_address.host));
    if (m_address.port > 0)
        m_database.setPort(m_address.port);
    m_database.setDatabaseName(QString::fromStdString(m_address.name));
    m_database.setUserName(QString::fromStdString(m_address.user));
    QString options = QString::fromStdString(m_address.options);
    if (!options.contains(QLatin1String("connect_timeout")))
        options += (options.isEmpty() ? QString() : QStringLiteral(";")) + QStringLiteral("connect_timeout=5");
    m_database.setConnectOptions(options);
    if (!m_database.open())
        throw DataError(Problem::LogbookUnreachable,
                        {m_address.text(), m_database.lastError().databaseText().trimmed().toStdString()});
}

void Database::fail(const QSqlError& error) {
    const std::string text = error.databaseText().trimmed().toStdString();
    const bool refused = !onServer() && (error.nativeErrorCode().toInt() & 0xff) == kSqliteConstraint;
    if ((error.type() == QSqlError::ConnectionError && !refused) || !m_database.isOpen() ||
        (onServer() && error.nativeErrorCode().isEmpty())) // a server that is gone gives no code
        throw DataError(Problem::LogbookUnreachable, {m_address.text(), text});
    throw DataError(Problem::LogbookBroken, {text});
}

QSqlQuery Database::run(const QString& statement, const QVariantList& values) {
    QSqlQuery query(m_database);
    query.setForwardOnly(true);
    if (values.isEmpty()) {
        if (!query.exec(statement))
            fail(query.lastError());
        return query;
    }
    if (!query.prepare(statement))
        fail(query.lastError());
    for (const QVariant& value : values)
        query.addBindValue(bound(value));
    if (!query.exec())
        fail(query.lastError());
    return query;
}

void Database::begin() { run(onServer() ? QStringLiteral("BEGIN") : QStringLiteral("BEGIN IMMEDIATE")); }

void Database::commit() { run(QStringLiteral("COMMIT")); }

void Database::rollBack() {
    QSqlQuery query(m_database);
    query.exec(QStringLiteral("ROLLBACK")); // a connection that is gone has rolled back by itself
}

} // namespace hillrun
