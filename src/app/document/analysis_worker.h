// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "engine/day_engine.h"

#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <QtGlobal>
#include <stop_token>
#include <thread>

namespace hillrun {

/// Works days out on its own thread: a newer question stops the one under way and drops those that wait. Its destructor
/// stops and waits. `done` and `progressed` are called on the worker's thread.
class AnalysisWorker {
public:
    using Done = std::function<void(quint64 number, std::shared_ptr<const DayAnalysis>)>;
    using Progressed = std::function<void(quint64 number, double share)>;
    AnalysisWorker(Done done, Progressed progressed);
    ~AnalysisWorker();
    AnalysisWorker(const AnalysisWorker&) = delete;
    AnalysisWorker& operator=(const AnalysisWorker&) = delete;

    void ask(quint64 number, TestDay day, const AnalysisSettings& settings);

private:
    struct Question {
        quint64 number;
        TestDay day;
        AnalysisSettings settings;
    };
    void run();

    Done m_done;
    Progressed m_progressed;
    DayEngine m_engine;
    std::mutex m_mutex;
    std::condition_variable m_wake;
    std::optional<Question> m_question;
    std::stop_source m_current; ///< of the question under way
    bool m_end = false;
    std::thread m_thread; ///< last: starts when everything else is there
};

} // namespace hillrun
