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
/// thread and many give the same digits. Used by one caller at a time; the destructor waits.
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
    void run();
    void takePieces();

    std::mutex m_mutex;
    std::condition_variable m_wake;
    std::condition_variable m_done;
    const std::function<void(size_t)>* m_work = nullptr; ///< null: nothing to do
    std::stop_token m_stop;
    size_t m_next = 0;
    size_t m_count = 0;
    size_t m_busy = 0;
    size_t m_failedAt = 0;
    std::exception_ptr m_failure;
    bool m_end = false;
    std::vector<std::thread> m_threads;
};

} // namespace hillrun
