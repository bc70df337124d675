// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"
#include "logbook/logbook.h"

#include <filesystem>

namespace hillrun {

/// Days that could not enter their logbook yet, one file each, so that a kill loses none. A day that is put in again
/// replaces its own file; sent twice it is there once, for a logbook takes the same state only once.
class Outbox {
public:
    explicit Outbox(std::filesystem::path folder) : m_folder(std::move(folder)) {}
    /// Throws DataError (CannotWrite).
    void keep(const LogbookAddress& address, const LogbookEntry& entry);
    /// How many wait for this logbook.
    [[nodiscard]] size_t waiting(const LogbookAddress& address) const;
    /// What became of those that waited; conflicts are taken out too and told, for the day folder holds the day.
    struct Sent {
        size_t taken = 0;
        std::vector<FoundDay> conflicts;
        std::vector<std::pair<std::string, DataError>> refused; ///< id, why
    };
    /// Sends what waits for this logbook, oldest first. What the server does not take for want of a connection goes on
    /// waiting, and the error is passed on. A day that is refused for itself goes on waiting and holds up no other.
    Sent send(Logbook& logbook);

private:
    [[nodiscard]] std::vector<std::filesystem::path> filesFor(const LogbookAddress& address) const;
    std::filesystem::path m_folder;
};

/// In the user's state folder.
std::filesystem::path outboxFolder();

} // namespace hillrun
