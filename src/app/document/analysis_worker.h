// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <QtGlobal>
#include <thread>

namespace hillrun {

/// Works days out on its own thread, the newest question first: older ones that wait are dropped. Its destructor stops
/// and waits. `done` is called on the worker's thread.
class AnalysisWorker {
public:
    using Done = std::function<void(quint64 number, std::shared_ptr<const DayAnalysis>)>;
    explicit AnalysisWorker(Done done);
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
    DrawCache m_cache;
    std::mutex m_mutex;
    std::condition_variable m_wake;
    std::optional<Question> m_question;
    bool m_stop = false;
    std::thread m_thread; ///< last: starts when everything else is there
};

} // namespace hillrun
