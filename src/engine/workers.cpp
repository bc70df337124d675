// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "engine/workers.h"

#include <algorithm>

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
    m_changed.notify_all();
    for (std::thread& thread : m_threads)
        thread.join();
}

bool Workers::forEach(size_t count, const std::function<void(size_t)>& work, const std::stop_token& stop) {
    Job job{work, stop, count};
    std::unique_lock lock(m_mutex);
    m_jobs.push_back(&job);
    if (count > 1)
        m_changed.notify_all();
    while (job.canBegin() || job.busy > 0) {
        if (job.canBegin())
            takePiece(job, lock);
        else if (Job* other = jobToBegin()) // what its own last pieces wait for may be there
            takePiece(*other, lock);
        else
            m_changed.wait(lock);
    }
    std::erase(m_jobs, &job);
    if (job.failure)
        std::rethrow_exception(job.failure);
    return job.next >= job.count;
}

void Workers::run() {
    std::unique_lock lock(m_mutex);
    while (!m_end) {
        if (Job* job = jobToBegin())
            takePiece(*job, lock);
        else
            m_changed.wait(lock);
    }
}

/// The newest that has pieces to begin: older ones wait for it.
Workers::Job* Workers::jobToBegin() const {
    const auto job = std::find_if(m_jobs.rbegin(), m_jobs.rend(), [](const Job* one) { return one->canBegin(); });
    return job == m_jobs.rend() ? nullptr : *job;
}

void Workers::takePiece(Job& job, std::unique_lock<std::mutex>& lock) {
    const size_t piece = job.next++;
    ++job.busy;
    lock.unlock();
    std::exception_ptr failure;
    try {
        job.work(piece);
    } catch (...) {
        failure = std::current_exception();
    }
    lock.lock();
    --job.busy;
    if (failure && (!job.failure || piece < job.failedAt)) {
        job.failure = failure;
        job.failedAt = piece;
    }
    if (job.busy == 0 && !job.canBegin())
        m_changed.notify_all();
}

} // namespace hillrun
