// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/keep_worker.h"

#include "core/errors/data_error.h"

namespace hillrun {

KeepWorker::KeepWorker(std::filesystem::path root, Failed failed)
    : m_root(std::move(root)), m_failed(std::move(failed)), m_thread([this] { run(); }) {}

KeepWorker::~KeepWorker() {
    {
        const std::lock_guard lock(m_mutex);
        m_stop = true;
    }
    m_wake.notify_one();
    m_thread.join();
}

void KeepWorker::keep(TestDay day, KeptNote note) { ask({Task::Keep, std::move(day), std::move(note)}); }
void KeepWorker::drop() { ask({Task::Drop, {}, {}}); }

void KeepWorker::leave() {
    {
        const std::lock_guard lock(m_mutex);
        if (m_job && !m_leaveDue)
            m_left = std::move(m_job);
        m_job.reset();
        m_leaveDue = true;
    }
    m_wake.notify_one();
}

void KeepWorker::ask(Job job) {
    {
        const std::lock_guard lock(m_mutex);
        m_job = std::move(job);
    }
    m_wake.notify_one();
}

void KeepWorker::wait() {
    std::unique_lock lock(m_mutex);
    m_done.wait(lock, [this] { return !m_job && !m_left && !m_leaveDue && !m_busy; });
}

void KeepWorker::run() {
    std::unique_lock lock(m_mutex);
    while (true) {
        m_wake.wait(lock, [this] { return m_stop || m_job || m_left || m_leaveDue; });
        if (!m_job && !m_left && !m_leaveDue)
            return;
        Job job;
        if (m_left) {
            job = std::move(*m_left);
            m_left.reset();
        } else if (m_leaveDue) {
            job.task = Task::Leave;
            m_leaveDue = false;
        } else {
            job = std::move(*m_job);
            m_job.reset();
        }
        m_busy = true;
        lock.unlock();
        work(job);
        lock.lock();
        m_busy = false;
        m_done.notify_all();
    }
}

void KeepWorker::work(const Job& job) {
    try {
        if (job.task == Task::Leave) {
            m_keeper.reset();
            return;
        }
        if (!m_keeper)
            m_keeper.emplace(m_root);
        if (job.task == Task::Drop)
            m_keeper->drop();
        else
            m_keeper->keep(job.day, job.note);
    } catch (const std::exception& error) { // a full disk, no memory: the day itself is untouched
        m_failed(error.what());
    }
}

} // namespace hillrun
