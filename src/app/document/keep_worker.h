// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/kept_days.h"

#include <condition_variable>
#include <functional>
#include <mutex>
#include <optional>
#include <string>
#include <thread>

namespace hillrun {

/// Keeps the unsaved state of the open day on a thread of its own, the newest state first; states that wait are passed
/// over. What is kept outlives this object. `failed` is called on the worker's thread, with what the disk said.
class KeepWorker {
public:
    using Failed = std::function<void(const std::string& why)>;
    KeepWorker(std::filesystem::path root, Failed failed);
    ~KeepWorker(); ///< writes what waits
    KeepWorker(const KeepWorker&) = delete;
    KeepWorker& operator=(const KeepWorker&) = delete;

    void keep(TestDay day, KeptNote note);
    void drop();  ///< the day was saved, or its edits were dismissed
    void leave(); ///< another day comes; what is kept of this one stays to be offered
    void wait();  ///< until everything that was asked for is done

private:
    enum class Task { Keep, Drop, Leave };
    struct Job {
        Task task = Task::Keep;
        TestDay day;
        KeptNote note;
    };
    void ask(Job job);
    void run();
    void work(const Job& job);

    std::filesystem::path m_root;
    Failed m_failed;
    std::optional<DayKeeper> m_keeper;
    std::mutex m_mutex;
    std::condition_variable m_wake;
    std::condition_variable m_done;
    std::optional<Job> m_left; ///< the last state before a day was left; never passed over
    std::optional<Job> m_job;
    bool m_leaveDue = false;
    bool m_busy = false;
    bool m_stop = false;
    std::thread m_thread; ///< last: starts when everything else is there
};

} // namespace hillrun
