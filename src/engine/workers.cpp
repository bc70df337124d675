// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "engine/workers.h"

#include <algorithm>
#include <utility>

namespace hillrun {

Workers::Workers(unsigned threads) {
    const unsigned all = threads > 0 ? threads : std::max(1U, std::thread::hardware_concurrency());
    for (unsigned i = 1; i < all; ++i)
        m_threads.emplace_back([this] { run(); });
}

Workers::~Workers() {
    {
        const std::lock_guard lock(m_mutex);
        m_end = true;
    }
    m_wake.notify_all();
    for (std::thread& thread : m_threads)
        thread.join();
}

bool Workers::forEach(size_t count, const std::function<void(size_t)>& work, const std::stop_token& stop) {
    {
        const std::lock_guard lock(m_mutex);
        m_work = &work;
        m_stop = stop;
        m_next = 0;
        m_count = count;
        m_failure = nullptr;
    }
    if (count > 1)
        m_wake.notify_all();
    takePieces();
    std::unique_lock lock(m_mutex);
    m_done.wait(lock, [this] { return m_busy == 0; });
    m_work = nullptr;
    if (m_failure)
        std::rethrow_exception(std::exchange(m_failure, nullptr));
    return m_next >= m_count;
}

void Workers::run() {
    std::unique_lock lock(m_mutex);
    while (true) {
        m_wake.wait(lock, [this] { return m_end || (m_work && m_next < m_count); });
        if (m_end)
            return;
        lock.unlock();
        takePieces();
        lock.lock();
    }
}

/// Works until nothing is left to begin.
void Workers::takePieces() {
    std::unique_lock lock(m_mutex);
    while (m_work && m_next < m_count && !m_stop.stop_requested() && !m_failure) {
        const size_t piece = m_next++;
        const auto* work = m_work;
        ++m_busy;
        lock.unlock();
        std::exception_ptr failure;
        try {
            (*work)(piece);
        } catch (...) {
            failure = std::current_exception();
        }
        lock.lock();
        --m_busy;
        if (failure && (!m_failure || piece < m_failedAt)) {
            m_failure = failure;
            m_failedAt = piece;
        }
    }
    if (m_stop.stop_requested() || m_failure)
        m_work = nullptr; // so that nobody waits for pieces that will not be begun
    if (m_busy == 0)
        m_done.notify_all();
}

} // namespace hillrun
