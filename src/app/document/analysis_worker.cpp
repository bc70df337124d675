// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/analysis_worker.h"

#include "core/slip/day_events.h"

namespace hillrun {

AnalysisWorker::AnalysisWorker(Done done) : m_done(std::move(done)), m_thread([this] { run(); }) {}

AnalysisWorker::~AnalysisWorker() {
    {
        const std::lock_guard lock(m_mutex);
        m_stop = true;
    }
    m_wake.notify_one();
    m_thread.join();
}

void AnalysisWorker::ask(quint64 number, TestDay day, const AnalysisSettings& settings) {
    {
        const std::lock_guard lock(m_mutex);
        m_question = Question{number, std::move(day), settings};
    }
    m_wake.notify_one();
}

void AnalysisWorker::run() {
    while (true) {
        Question question;
        {
            std::unique_lock lock(m_mutex);
            m_wake.wait(lock, [this] { return m_stop || m_question; });
            if (m_stop)
                return;
            question = std::move(*m_question);
            m_question.reset();
        }
        auto result = std::make_shared<DayAnalysis>();
        try {
            *result = analyse(question.day, question.settings, m_cache);
            addEvents(question.day, result->pulls);
        } catch (const std::exception& error) { // settings that do not fit this day; no memory
            result->settings = question.settings;
            result->whyNoComparison = error.what();
        }
        m_done(question.number, result);
    }
}

} // namespace hillrun
