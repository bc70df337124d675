// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <filesystem>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// Writes a pull to disk while it is made. Rows are handed to the disk with every flush; whatever kills the program
/// later costs at most what came after the last one. It never throws: a full disk is a state with words.
class PullJournal {
public:
    PullJournal() = default;
    ~PullJournal();
    PullJournal(const PullJournal&) = delete;
    PullJournal& operator=(const PullJournal&) = delete;

    /// Begins DAY/journal/ID.csv; of `pull` everything but the raw rows is written. False when it cannot.
    bool begin(const std::filesystem::path& dayPath, const Pull& pull, const std::vector<Column>& columns);
    void row(std::span<const double> values);
    /// A line "#..." between the rows.
    void note(const std::string& text);
    /// Writes and syncs what is waiting. False once the disk refused; tries again each time.
    bool flush();
    /// The pull is over; the file stays until `remove`.
    void finish();
    /// The pull is saved elsewhere, or was none.
    void remove();
    [[nodiscard]] bool isOpen() const { return m_file >= 0; }
    [[nodiscard]] const std::string& problem() const { return m_problem; }
    [[nodiscard]] const std::filesystem::path& path() const { return m_path; }

private:
    int m_file = -1;
    std::filesystem::path m_path;
    std::string m_waiting;
    std::string m_problem;
};

/// Where the journals of a day lie: in its folder, or beside its zip.
std::filesystem::path journalFolder(const std::filesystem::path& dayPath);
/// Journals left behind, oldest first.
std::vector<std::filesystem::path> findJournals(const std::filesystem::path& dayPath);
/// The pull of a journal, with the rows that reached the disk; half a last line is left out. Throws DataError when
/// there is no pull in it.
Pull readJournal(const std::filesystem::path& journal);

} // namespace hillrun
