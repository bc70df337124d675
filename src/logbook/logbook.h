// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/day_record.h"
#include "logbook/database.h"
#include "logbook/query.h"

#include <filesystem>
#include <functional>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A day as it enters the logbook.
struct LogbookEntry {
    DayRecord record;
    std::string summary; ///< its answer in words
    std::string host;    ///< the bench that it was seen on
    std::string path;    ///< of its folder or package there
    std::string stamp;   ///< of the day on disk, see `dayStamp`
    bool operator==(const LogbookEntry&) const = default;
};

/// A build of a day as a list shows it.
struct FoundBuild {
    std::string id;
    std::string name;
    [[nodiscard]] std::string text() const { return name.empty() ? id : id + " " + name; }
};

/// A day as a list shows it.
struct FoundDay {
    std::string id;
    int revision = 0;
    std::string name;
    std::string date;
    std::string article;
    std::string cell;
    std::string operatorName;
    std::vector<FoundBuild> builds;
    std::string summary;
    std::optional<double> peak_kw;
    std::string host;
    std::string path;
    std::string stamp;
    std::map<std::string, std::vector<float>> thumbnail; ///< power of each build along rpm, a few points, in kW
};

enum class PutKind {
    Added,
    Updated,
    Unchanged, ///< it is there already, just so
    Conflict,  ///< it is there from elsewhere, or was changed since, and stays as it is
};
struct PutResult {
    PutKind kind = PutKind::Added;
    int revision = 0;
    std::optional<FoundDay> other; ///< of a conflict, what is there
};

/// What is known of all days. For one thread; several programs and benches may use one logbook at once. Every call
/// throws DataError when the database cannot be reached or does not take something.
class Logbook {
public:
    /// Opens, and makes it or brings it to this program's version. Throws LogbookNewer for one of a newer program.
    explicit Logbook(const LogbookAddress& address);

    /// Adds a day, or replaces what is known of it: the revision that the caller saw, else what came from the same
    /// place. Anything else is a conflict and changes nothing.
    PutResult put(const LogbookEntry& entry, std::optional<int> seenRevision = std::nullopt);
    [[nodiscard]] std::optional<FoundDay> find(const std::string& id);
    [[nodiscard]] std::vector<FoundDay> find(const DayQuery& query);
    [[nodiscard]] long count(const DayQuery& query);
    [[nodiscard]] std::optional<DayRecord> record(const std::string& id);
    /// The records of all days of a cell of this name.
    [[nodiscard]] std::vector<DayRecord> recordsOfCell(const std::string& cell);
    [[nodiscard]] std::vector<std::string> cells();
    /// The day that came from this place.
    [[nodiscard]] std::optional<FoundDay> findPlace(const std::string& host, const std::string& path);
    /// Forgets a day; its folder is not touched. False when it was not known.
    bool forget(const std::string& id);
    /// Keeps the day as a package, where other benches read it too; only on a server.
    void keepPackage(const std::string& id, const QByteArray& package);
    [[nodiscard]] std::optional<QByteArray> package(const std::string& id);
    [[nodiscard]] const LogbookAddress& address() const { return m_database.address(); }
    [[nodiscard]] bool onServer() const { return m_database.onServer(); }

private:
    void writeDay(const LogbookEntry& entry, int revision, bool isNew);
    Database m_database;
};

/// This machine's name among benches.
std::string thisBench();

} // namespace hillrun
