// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <atomic>
#include <condition_variable>
#include <filesystem>
#include <memory>
#include <mutex>
#include <span>
#include <string>
#include <thread>
#include <vector>

namespace hillrun {

/// Has a file synced to its disk on a thread of its own, so that a slow disk never holds up who writes.
class FileSyncer {
public:
    explicit FileSyncer(int file) : m_file(file), m_thread([this] { run(); }) {}
    ~FileSyncer();
    FileSyncer(const FileSyncer&) = delete;
    FileSyncer& operator=(const FileSyncer&) = delete;
    void ask(); ///< what was written so far is to reach the disk; returns at once
    [[nodiscard]] int error() const { return m_error; } ///< errno of the last sync; 0: it went well

private:
    void run();
    int m_file;
    std::mutex m_mutex;
    std::condition_variable m_wake;
    bool m_asked = false;
    bool m_stop = false;
    std::atomic<int> m_error = 0;
    std::thread m_thread; ///< last: starts when everything else is there
};

/// Writes a pull to disk while it is made. Rows go to the system with every flush, and from there to the disk without
/// waiting for it: a killed program loses what came after its last flush, a power cut what the disk had not taken yet.
/// It never throws: a full disk is a state with words.
class PullJournal {
public:
    PullJournal() = default;
    ~PullJournal();
    PullJournal(const PullJournal&) = delete;
    PullJournal& operator=(const PullJournal&) = delete;

    /// Begins DAY/journal/ID.csv; of `pull` everything but the raw rows is written. The file is locked while it is
    /// open, so that no other window takes it for one that was cut short. False when it cannot.
    bool begin(const std::filesystem::path& dayPath, const Pull& pull, const std::vector<Column>& columns);
    void row(std::span<const double> values);
    /// A line "#..." between the rows.
    void note(const std::string& text);
    /// Writes what is waiting and has it synced. False once the disk refused; tries again each time.
    bool flush();
    /// The pull is over; the file stays until `remove`. `why`: what made it no pull.
    void finish(const std::string& why = {});
    /// The pull is saved elsewhere, or was none.
    void remove();
    [[nodiscard]] bool isOpen() const { return m_file >= 0; }
    [[nodiscard]] const Statement& problem() const { return m_problem; }
    [[nodiscard]] const std::filesystem::path& path() const { return m_path; }

private:
    int m_file = -1;
    std::unique_ptr<FileSyncer> m_syncer;
    std::filesystem::path m_path;
    std::string m_waiting;
    Statement m_problem;
};

/// Where the journals of a day lie: in its folder, or beside its zip.
std::filesystem::path journalFolder(const std::filesystem::path& dayPath);
/// Journals left behind, oldest first; those that somebody is writing are not among them.
std::vector<std::filesystem::path> findJournals(const std::filesystem::path& dayPath);
inline constexpr const char* kJournalComplete = "complete";
/// What the recorder said at the end: "complete", "too short for a pull"; empty when the pull was cut short.
std::string journalEnd(const std::filesystem::path& journal);
/// The pull of a journal, with the rows that reached the disk; half a last line is left out. Throws DataError when
/// there is no pull in it.
Pull readJournal(const std::filesystem::path& journal);

} // namespace hillrun
