// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/day_record.h"
#include "logbook/database.h"
#include "logbook/query.h"
#include "words/voice.h"

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
    std::string summary; ///< its answer in English
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
    std::string summary;           ///< its answer in English
    std::vector<Statement> answer; ///< in no language; empty for a day that entered before this was kept
    bool isCurrent = true;         ///< all that this program knows of a day; else working it out anew says more
    std::optional<double> peak_kw;
    std::string host;
    std::string path;
    std::string stamp;
    std::map<std::string, std::vector<float>> thumbnail; ///< power of each build along rpm, a few points, in kW
};

/// The day's answer as a reader is told it; in English where it cannot be said otherwise.
std::string answerText(const FoundDay& day, const Voice& voice);

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

/// Makes the package of a day that enters.
using Packager = std::function<QByteArray(const LogbookEntry&)>;

/// What is known of all days. For one thread; several programs and benches may use one logbook at once. Every call
/// throws DataError when the database cannot be reached or does not take something.
class Logbook {
public:
    /// Opens, and makes it or brings it to this program's version. Throws LogbookNewer for one of a newer program.
    explicit Logbook(const LogbookAddress& address);

    /// Adds a day, or replaces what is known of it: the revision that the caller saw, else what came from the same
    /// place. Anything else is a conflict and changes nothing.
    /// On a server its package (nothing: none) is kept together with it, where other benches read it too; its cell is
    /// called by `cellName`.
    PutResult put(const LogbookEntry& entry, std::optional<int> seenRevision = std::nullopt,
                  const Packager& packager = {});
    [[nodiscard]] std::optional<FoundDay> find(const std::string& id);
    [[nodiscard]] std::vector<FoundDay> find(const DayQuery& query);
    [[nodiscard]] long count(const DayQuery& query);
    [[nodiscard]] std::optional<DayRecord> record(const std::string& id);
    /// The records of all days of a cell of this name. Those of the cell last asked about are held, and only what has
    /// changed since is read again.
    [[nodiscard]] std::vector<DayRecord> recordsOfCell(const std::string& cell);
    [[nodiscard]] std::vector<std::string> cells();
    /// The day that came from this place.
    [[nodiscard]] std::optional<FoundDay> findPlace(const std::string& host, const std::string& path);
    /// Forgets a day; its folder is not touched. False when it was not known.
    bool forget(const std::string& id);
    /// The day as a package, when it is kept here; only on a server.
    [[nodiscard]] std::optional<QByteArray> package(const std::string& id);
    [[nodiscard]] const LogbookAddress& address() const { return m_database.address(); }
    [[nodiscard]] bool onServer() const { return m_database.onServer(); }
    /// What a cell is called here: one without a name by its bench, where several benches share the logbook.
    [[nodiscard]] std::string cellName(const std::string& cell, const std::string& bench) const {
        return onServer() && cell.empty() ? bench : cell;
    }

private:
    struct HeldRecord {
        int revision = 0;
        std::string stamp;
        DayRecord record;
    };
    PutResult putNamed(const LogbookEntry& entry, std::optional<int> seenRevision, const Packager& packager);
    void writeDay(const LogbookEntry& entry, int revision, bool isNew);
    void keepPackage(const LogbookEntry& entry, const Packager& packager);
    void readChanged();

    Database m_database;
    std::string m_heldCell;
    std::map<std::string, HeldRecord> m_held; ///< of that cell, by id
};

/// This machine's name among benches.
std::string thisBench();

} // namespace hillrun
