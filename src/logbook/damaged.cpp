// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/damaged.h"

#include "core/errors/data_error.h"

#include <fmt/format.h>
#include <fstream>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QUuid>

namespace hillrun {
namespace {

namespace fs = std::filesystem;

/// Whatever else somebody names as a logbook by mistake is left where it is.
bool wasDatabase(const fs::path& file) {
    constexpr std::string_view kBegin("SQLite format 3");
    std::ifstream in(file, std::ios::binary);
    std::string begin(kBegin.size(), '\0');
    return in.read(begin.data(), static_cast<std::streamsize>(begin.size())) && begin == kBegin;
}

bool isDamaged(const fs::path& file) {
    if (!wasDatabase(file))
        return false;
    const QString name = QUuid::createUuid().toString(QUuid::WithoutBraces);
    bool out = false;
    {
        QSqlDatabase database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), name);
        database.setDatabaseName(QString::fromStdString(file.string()));
        QSqlQuery check(database);
        if (database.open() && check.exec(QStringLiteral("PRAGMA quick_check(1)")) && check.next()) {
            out = check.value(0).toString() != QStringLiteral("ok");
        } else {
            const QString code = check.lastError().nativeErrorCode();
            out = code == QStringLiteral("11") || code == QStringLiteral("26"); // SQLITE_CORRUPT, SQLITE_NOTADB
        }
    }
    QSqlDatabase::removeDatabase(name);
    return out;
}

} // namespace

std::optional<fs::path> setDamagedAside(const LogbookAddress& address) {
    if (address.onServer || !isDamaged(address.file))
        return std::nullopt;
    std::error_code error;
    fs::path aside = address.file + ".damaged";
    for (int n = 2; fs::exists(aside, error); ++n)
        aside = fmt::format("{}.damaged-{}", address.file, n);
    fs::rename(address.file, aside, error);
    if (error)
        throw DataError(Problem::CannotWrite, {error.message()}, {.file = address.file});
    for (const char* part : {"-wal", "-shm"}) // they belong to the damaged one
        fs::rename(address.file + part, aside.string() + part, error);
    return aside;
}

} // namespace hillrun
