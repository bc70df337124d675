// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/analysis_worker.h"

namespace hillrun {

static Statement whyOf(const std::exception& error) {
    const auto* known = dynamic_cast<const DataError*>(&error);
    return known ? placedStatement(*known) : Statement{"name", {std::string(error.what())}};
}

AnalysisWorker::AnalysisWorker(Done done, Progressed progressed)
    : m_done(std::move(done)), m_progressed(std::move(progressed)), m_thread([this] { run(); }) {}

AnalysisWorker::~AnalysisWorker() {
    {
        const std::lock_guard lock(m_mutex);
        m_end = true;
        m_current.request_stop();
    }
    m_wake.notify_one();
    m_thread.join();
}

void AnalysisWorker::ask(quint64 number, TestDay day, const AnalysisSettings& settings) {
    {
        const std::lock_guard lock(m_mutex);
        m_question = Question{number, std::move(day), settings};
        m_current.request_stop();
    }
    m_wake.notify_one();
}

void AnalysisWorker::run() {
    while (true) {
        Question question;
        std::stop_token stop;
        {
            std::unique_lock lock(m_mutex);
            m_wake.wait(lock, [this] { return m_end || m_question; });
            if (m_end)
                return;
            question = std::move(*m_question);
            m_question.reset();
            m_current = {};
            stop = m_current.get_token();
        }
        std::shared_ptr<const DayAnalysis> result;
        try {
            const auto progress = [&](double share) { m_progressed(question.number, share); };
            result = m_engine.analyse(question.day, question.settings, stop, progress);
        } catch (const std::exception& error) { // settings that do not fit this day; no memory
            auto failed = std::make_shared<DayAnalysis>();
            failed->settings = question.settings;
            failed->whyNoComparison = whyOf(error);
            result = failed;
        }
        if (result) // else a newer question waits
            m_done(question.number, result);
    }
}

} // namespace hillrun
