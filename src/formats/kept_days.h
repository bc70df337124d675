// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "formats/day_lock.h"

#include <filesystem>
#include <map>
#include <memory>
#include <set>
#include <string>
#include <vector>

namespace hillrun {

/// What is known of a day that is kept until somebody saves or dismisses it.
struct KeptNote {
    std::string dayPath; ///< where the day lives; empty: it was never saved
    std::string name;
    std::string when;               ///< of the last edit, ISO 8601, UTC
    std::string base;               ///< stamp of the day on disk that was edited
    std::vector<std::string> edits; ///< in words, oldest first
    bool operator==(const KeptNote&) const = default;
};

/// Keeps the unsaved state of one open day, raw rows included, in a folder of its own below `root`, so that nothing
/// that ends the program costs an edit. The folder is a day folder that any program can open. For one thread.
class DayKeeper {
public:
    explicit DayKeeper(std::filesystem::path root) : m_root(std::move(root)) {}
    /// Writes the state as it is now; rows that are there already are not written again. Throws DataError.
    void keep(const TestDay& day, const KeptNote& note);
    /// The day was saved, or its edits were dismissed.
    void drop();
    [[nodiscard]] const std::filesystem::path& folder() const { return m_folder; } ///< empty: nothing is kept

private:
    void begin();
    struct Written {
        std::shared_ptr<const ChannelTable> rows; ///< held, so that its address stays its own
        std::string file;
        std::string sha256;
        bool stored = false;
    };
    std::string freeName(const std::string& wanted);
    bool storeRows(Written& written, const std::string& storedAs, const std::string& dayPath);
    std::filesystem::path m_root;
    std::filesystem::path m_folder;
    FileLock m_lock;
    std::map<const ChannelTable*, Written> m_written;
    std::set<std::string> m_names; ///< given to rows
};

/// What a program that is no more left behind.
struct KeptDay {
    std::filesystem::path folder;
    KeptNote note;
    size_t pulls = 0;   ///< in the kept state
    size_t unsaved = 0; ///< pulls among them that lie nowhere else
};
std::filesystem::path keptRoot();
/// All that is left and not in the hands of a living program, newest first.
std::vector<KeptDay> findKept(const std::filesystem::path& root);
/// The kept state with its rows; what was not copied before a kill comes from the day's own place. Throws DataError.
TestDay readKept(const KeptDay& kept);
/// Takes a kept day into one's own hands, so that no other window offers it too. False when another was faster.
bool claimKept(const KeptDay& kept, FileLock& lock);
void removeKept(const KeptDay& kept);

} // namespace hillrun
