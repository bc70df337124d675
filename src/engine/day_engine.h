// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/day_stages.h"
#include "core/pull/events.h"
#include "engine/workers.h"

#include <functional>
#include <memory>
#include <optional>
#include <stop_token>
#include <unordered_map>
#include <vector>

namespace hillrun {

/// How often each stage was really worked: pulls observed, pulls corrected, days fitted, days answered, pulls looked
/// through for events.
struct StageCounts {
    size_t observed = 0;
    size_t corrected = 0;
    size_t fitted = 0;
    size_t answered = 0;
    size_t searched = 0;
    bool operator==(const StageCounts&) const = default;
};

/// Works days out stage by stage and remembers each stage by its inputs, so that an edit costs what it changes: a note
/// costs nothing, a changed standard no observation, a dragged trim one pull. Pulls are worked side by side; the digits
/// do not depend on how many threads there are. Holds what the last two days needed. One caller at a time.
class DayEngine {
public:
    using Progress = std::function<void(double share)>; ///< 0 to 1, from the calling thread

    /// 0: as many threads as the machine has cores.
    explicit DayEngine(unsigned threads = 0)
        : m_workers(threads),
          m_draws([this](size_t count, const std::function<void(size_t)>& work) { m_workers.forEach(count, work); }) {}

    /// The day worked out, its events too. Null when `stop` was asked for meanwhile; what was finished is kept.
    /// Throws DataError (UnknownBuild, BadBand) for settings that do not fit the day.
    std::shared_ptr<const DayAnalysis> analyse(const TestDay& day, const AnalysisSettings& settings,
                                               const std::stop_token& stop = {}, const Progress& progress = {});

    [[nodiscard]] const StageCounts& counts() const { return m_counts; }

private:
    /// What the shape of a pull depends on.
    struct ObserveKey {
        std::shared_ptr<const ChannelTable> raw;
        std::optional<int> gear;
        std::optional<double> ratio;
        std::optional<double> torqueFactor;
        PullGrade grade = PullGrade::Recorded;
        std::optional<RpmRange> window_rpm;
        Cell cell;
        Vehicle vehicle;
        std::optional<double> engineInertia_kgm2;
        GridSettings grid;
        [[nodiscard]] const void* handle() const { return raw.get(); }
        bool operator==(const ObserveKey&) const = default;
    };
    struct CorrectKey {
        std::shared_ptr<const Observed> seen;
        std::string pull;
        std::optional<Atmosphere> weather;
        MeasuredAt place = MeasuredAt::Crank;
        std::optional<Standard> given; ///< what a given curve was corrected to
        EngineForAir engine;
        Standard standard = Standard::Uncorrected;
        LossSettings losses;
        std::optional<LossCurve> loss;
        [[nodiscard]] const void* handle() const { return seen.get(); }
        bool operator==(const CorrectKey&) const = default;
    };
    struct SearchKey {
        std::shared_ptr<const Curve> curve;
        std::vector<std::shared_ptr<const Curve>> held; ///< keeps the curves of the context alive
        EventContext context;
        [[nodiscard]] const void* handle() const { return curve.get(); }
        bool operator==(const SearchKey&) const = default;
    };
    struct AnswerKey {
        TestDay day; ///< without what no answer depends on
        AnalysisSettings settings;
        std::shared_ptr<const DayModel> model;
        std::vector<std::shared_ptr<const Curve>> curves;
        bool operator==(const AnswerKey&) const = default;
    };
    /// Values by their keys; what neither this round nor the last asked for is forgotten.
    template <class Key, class Value> class Memory {
    public:
        const Value* find(const Key& key) {
            const auto [first, last] = m_entries.equal_range(key.handle());
            for (auto it = first; it != last; ++it)
                if (it->second.key == key) {
                    it->second.used = true;
                    return &it->second.value;
                }
            return nullptr;
        }
        void add(const Key& key, const Value& value) { m_entries.emplace(key.handle(), Entry{key, value, true, true}); }
        void nextRound() {
            std::erase_if(m_entries, [](const auto& one) { return !one.second.used && !one.second.usedBefore; });
            for (auto& [handle, entry] : m_entries)
                entry.usedBefore = std::exchange(entry.used, false);
        }

    private:
        struct Entry {
            Key key;
            Value value;
            bool used;
            bool usedBefore;
        };
        std::unordered_multimap<const void*, Entry> m_entries;
    };

    template <class Key, class Value, class Make>
    bool recall(Memory<Key, Value>& memory, const std::vector<std::optional<Key>>& keys, const Make& make,
                std::vector<Value>& out, size_t& made, const std::stop_token& stop);
    bool observeAll(const TestDay& day, const Dyno& dyno, const GridSettings& grid, std::vector<ObservedPull>& out,
                    const std::stop_token& stop, const Progress& progress);
    bool correctAll(const TestDay& day, const Dyno& dyno, Standard standard, const std::optional<LossCurve>& loss,
                    const std::vector<ObservedPull>& seen, std::vector<CorrectedPull>& out,
                    const std::stop_token& stop);
    const FittedDay& fit(const FitPlan& plan);
    std::shared_ptr<const DayAnalysis> answerWith(const TestDay& day, const AnalysisSettings& settings,
                                                  ReducedDay reduced, const FitPlan& plan, const FittedDay& fitted);
    bool searchAll(const TestDay& day, const std::vector<PullResult>& pulls, std::vector<std::vector<Event>>& out,
                   const std::stop_token& stop);

    Workers m_workers;
    DrawCache m_draws;
    StageCounts m_counts;
    Memory<ObserveKey, ObservedPull> m_observed;
    Memory<CorrectKey, CorrectedPull> m_corrected;
    Memory<SearchKey, std::vector<Event>> m_events;
    std::optional<std::pair<FitPlan, FittedDay>> m_fitted;
    std::optional<std::pair<AnswerKey, std::shared_ptr<const DayAnalysis>>> m_answered;
    /// The last answer with its events; handed out again while nothing changed.
    struct Finished {
        std::shared_ptr<const DayAnalysis> answer;
        std::vector<std::vector<Event>> events;
        std::shared_ptr<const DayAnalysis> analysis;
    };
    Finished m_finished;
};

} // namespace hillrun
