// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <condition_variable>
#include <cstddef>
#include <exception>
#include <functional>
#include <mutex>
#include <stop_token>
#include <thread>
#include <vector>

namespace hillrun {

/// Threads for pieces of work that do not depend on each other. Each piece writes only to its own place, so that one
/// thread and many give the same digits. A piece may have pieces of its own done; the destructor waits.
class Workers {
public:
    /// 0: as many as the machine has cores. The calling thread counts as one of them.
    explicit Workers(unsigned threads = 0);
    ~Workers();
    Workers(const Workers&) = delete;
    Workers& operator=(const Workers&) = delete;

    /// Does work(0) .. work(count - 1). False when `stop` was asked for before all were begun; those under way are
    /// finished first. An exception of a piece comes out here, the one of the lowest number.
    bool forEach(size_t count, const std::function<void(size_t)>& work, const std::stop_token& stop = {});

private:
    /// What one call of forEach has to do; it lives as long as the call.
    struct Job {
        const std::function<void(size_t)>& work;
        std::stop_token stop;
        size_t count;
        size_t next = 0;
        size_t busy = 0;
        size_t failedAt = 0;
        std::exception_ptr failure{};
        [[nodiscard]] bool canBegin() const { return next < count && !failure && !stop.stop_requested(); }
    };
    void run();
    [[nodiscard]] Job* jobToBegin() const;
    void takePiece(Job& job, std::unique_lock<std::mutex>& lock);

    std::mutex m_mutex;
    std::condition_variable m_changed; ///< there is more to begin, or a job has ended
    std::vector<Job*> m_jobs;          ///< the newest last
    bool m_end = false;
    std::vector<std::thread> m_threads;
};

} // namespace hillrun
