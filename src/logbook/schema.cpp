// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/schema.h"

#include "core/errors/data_error.h"

#include <QStringList>

namespace hillrun {
namespace {

/// Two benches may open a new logbook at once: one makes it, the other waits.
constexpr auto kLockForMigration = "SELECT pg_advisory_xact_lock(4951001)";

/// Version 1: days, their parts, their records, and what is searched.
QStringList firstVersion(bool server) {
    const QString number = server ? QStringLiteral("number BIGSERIAL PRIMARY KEY") // the words' row on one bench
                                  : QStringLiteral("number INTEGER PRIMARY KEY");
    QStringList out{
        QStringLiteral(
            "CREATE TABLE days (%1, id TEXT NOT NULL UNIQUE, revision INTEGER NOT NULL, name TEXT NOT NULL, "
            "date TEXT NOT NULL, article TEXT NOT NULL, cell TEXT NOT NULL, operator TEXT NOT NULL, summary "
            "TEXT NOT NULL, builds TEXT NOT NULL, peak_kw DOUBLE PRECISION, host TEXT NOT NULL, path TEXT NOT "
            "NULL, stamp TEXT NOT NULL, article_text TEXT NOT NULL, operator_text TEXT NOT NULL, part_text "
            "TEXT NOT NULL)")
            .arg(number),
        QStringLiteral("CREATE INDEX days_by_date ON days (date, id)"),
        QStringLiteral("CREATE INDEX days_by_name ON days (name, id)"),
        QStringLiteral("CREATE INDEX days_by_article ON days (article, date)"),
        QStringLiteral("CREATE INDEX days_by_cell ON days (cell, date)"),
        QStringLiteral("CREATE INDEX days_by_place ON days (path, host)"),
        QStringLiteral("CREATE INDEX days_by_power ON days (peak_kw)"),
        server ? QStringLiteral("CREATE TABLE records (day TEXT PRIMARY KEY REFERENCES days (id) ON DELETE CASCADE, "
                                "record BYTEA NOT NULL)")
               : QStringLiteral("CREATE TABLE records (day TEXT PRIMARY KEY REFERENCES days (id) ON DELETE CASCADE, "
                                "record BLOB NOT NULL)")};
    if (server)
        out << QStringLiteral("ALTER TABLE days ADD COLUMN words TSVECTOR NOT NULL DEFAULT ''")
            << QStringLiteral("CREATE INDEX days_by_words ON days USING GIN (words)");
    else
        out << QStringLiteral(
            "CREATE VIRTUAL TABLE day_words USING fts5 (words, tokenize = 'unicode61 remove_diacritics 0', "
            "prefix = '1 2')");
    return out;
}

/// Version 2: the day package, where other benches read it too, and curves for thumbnails.
QStringList secondVersion(bool server) {
    QStringList out;
    if (server)
        out << QStringLiteral("CREATE TABLE packages (day TEXT PRIMARY KEY REFERENCES days (id) ON DELETE CASCADE, "
                              "package BYTEA NOT NULL)");
    out << QStringLiteral("ALTER TABLE days ADD COLUMN thumbnail TEXT NOT NULL DEFAULT ''");
    return out;
}

/// Version 3: a day's answer in no language, and which version of an entry it is.
QStringList thirdVersion() {
    return {QStringLiteral("ALTER TABLE days ADD COLUMN answer TEXT NOT NULL DEFAULT ''"),
            QStringLiteral("ALTER TABLE days ADD COLUMN entry_version INTEGER NOT NULL DEFAULT 0")};
}

QStringList stepTo(int version, bool server) {
    switch (version) {
    case 1:
        return firstVersion(server);
    case 2:
        return secondVersion(server);
    default:
        return thirdVersion();
    }
}

} // namespace

int schemaVersion(Database& database) {
    const QString known =
        database.onServer()
            ? QStringLiteral(
                  "SELECT 1 FROM information_schema.tables WHERE table_schema = current_schema() AND table_name "
                  "= 'logbook'")
            : QStringLiteral("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'logbook'");
    if (!database.run(known).next())
        return 0;
    QSqlQuery query = database.run(QStringLiteral("SELECT version FROM logbook"));
    return query.next() ? query.value(0).toInt() : 0;
}

void migrate(Database& database, int version) {
    const auto refuseNewer = [](int found) {
        if (found > kSchemaVersion)
            throw DataError(Problem::LogbookNewer, {decimals(found, 0), decimals(kSchemaVersion, 0)});
        return found;
    };
    while (refuseNewer(schemaVersion(database)) < version) {
        Transaction transaction(database);
        if (database.onServer())
            database.run(QLatin1String(kLockForMigration));
        const int found = refuseNewer(schemaVersion(database)); // somebody else may have been faster
        if (found >= version)
            return;
        if (found == 0) {
            database.run(QStringLiteral("CREATE TABLE logbook (version INTEGER NOT NULL)"));
            database.run(QStringLiteral("INSERT INTO logbook (version) VALUES (0)"));
        }
        for (const QString& statement : stepTo(found + 1, database.onServer()))
            database.run(statement);
        database.run(QStringLiteral("UPDATE logbook SET version = ?"), {found + 1});
        transaction.commit();
    }
}

} // namespace hillrun
