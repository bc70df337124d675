// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "engine/day_engine.h"

#include "core/slip/day_doubts.h"
#include "core/slip/day_events.h"

#include <atomic>
#include <cstring>
#include <thread>

namespace hillrun {
namespace {

/// The cell as far as the shape of a pull depends on it.
Cell cellForShape(const Cell& cell) {
    Cell out;
    out.kind = cell.kind;
    out.sweep = cell.sweep;
    out.rollerInertia_kgm2 = cell.rollerInertia_kgm2;
    out.rollerRadius_m = cell.rollerRadius_m;
    return out;
}

/// The day without names and notes that no answer depends on. Whatever is not named here counts.
TestDay dayForAnswer(const TestDay& day) {
    TestDay out = day;
    out.name.clear();
    out.date.clear();
    out.operatorName.clear();
    out.note.clear();
    out.unknownKeys.clear();
    out.cautions.clear();
    out.cell.name.clear();
    out.attachments.clear();
    for (Pull& pull : out.pulls) {
        pull.file.clear();
        pull.sha256.clear();
        pull.note.clear();
        pull.given.picture.clear();
        pull.unknownKeys.clear();
        pull.unknownWeatherKeys.clear();
    }
    return out;
}

/// Equal to the bit, NaN equal to NaN.
bool sameFit(const FitPlan& one, const FitPlan& other) {
    const FitInput& a = one.input;
    const FitInput& b = other.input;
    return one.fitted == other.fitted && one.buildIds == other.buildIds && a.pulls == b.pulls && a.builds == b.builds &&
           a.rpm == b.rpm && a.refit == b.refit && a.history == b.history && a.logPower.rows() == b.logPower.rows() &&
           a.logPower.cols() == b.logPower.cols() &&
           (a.logPower.size() == 0 || // then there is nothing to point at
            std::memcmp(a.logPower.data(), b.logPower.data(),
                        sizeof(double) * static_cast<size_t>(a.logPower.size())) == 0);
}

std::vector<std::shared_ptr<const Curve>> curvesOf(const std::vector<PullResult>& pulls) {
    std::vector<std::shared_ptr<const Curve>> out;
    for (const PullResult& pull : pulls)
        out.push_back(pull.curve);
    return out;
}

void report(const DayEngine::Progress& progress, double share) {
    if (progress)
        progress(share);
}

} // namespace

std::shared_ptr<const DayAnalysis> DayEngine::analyse(const TestDay& day, const AnalysisSettings& settings,
                                                      const std::stop_token& stop, const Progress& progress) {
    checkSettings(day, settings);
    m_observed.nextRound();
    m_corrected.nextRound();
    m_events.nextRound();
    const Dyno dyno = dynoOf(day);
    std::vector<ObservedPull> seen(day.pulls.size());
    if (!observeAll(day, dyno, settings.reduce.grid(), seen, stop, progress))
        return nullptr;
    const DayLoss loss = lossOfDay(dyno, seen);
    std::vector<CorrectedPull> curves(day.pulls.size());
    if (!correctAll(day, dyno, settings.reduce.standard, loss.curve, seen, curves, stop))
        return nullptr;
    ReducedDay reduced = gatherPulls(day, settings.reduce.standard, loss, curves);
    const FitPlan plan = planFit(day, reduced.pulls, settings.reduce.grid_rpm);
    const FittedDay& fitted = fit(plan);
    if (stop.stop_requested())
        return nullptr;
    const std::vector<PullResult> pulls = reduced.pulls;
    std::shared_ptr<const DayAnalysis> answered;
    std::vector<std::vector<Event>> events(day.pulls.size());
    bool searched = false;
    m_workers.forEach(2, [&](size_t part) { // neither needs the other, and the answer leaves cores idle
        if (part == 0)
            answered = answerWith(day, settings, std::move(reduced), plan, fitted);
        else
            searched = searchAll(day, pulls, events, stop);
    });
    if (!searched)
        return nullptr;
    report(progress, 1.0);
    if (m_finished.answer == answered && m_finished.events == events)
        return m_finished.analysis;
    auto out = std::make_shared<DayAnalysis>(*answered);
    for (size_t i = 0; i < events.size(); ++i)
        out->pulls[i].events = events[i];
    out->doubts = dayDoubts(day, *out);
    m_finished = {answered, std::move(events), out};
    return out;
}

/// Takes each pull's result from the memory, or has it made side by side with the others that are new. What was
/// finished before a stop is remembered too.
template <class Key, class Value, class Make>
bool DayEngine::recall(Memory<Key, Value>& memory, const std::vector<std::optional<Key>>& keys, const Make& make,
                       std::vector<Value>& out, size_t& made, const std::stop_token& stop) {
    std::vector<size_t> missing;
    for (size_t i = 0; i < keys.size(); ++i) {
        if (!keys[i])
            continue;
        if (const Value* known = memory.find(*keys[i]))
            out[i] = *known;
        else
            missing.push_back(i);
    }
    std::vector<char> finished(missing.size(), 0);
    const auto one = [&](size_t n) {
        out[missing[n]] = make(missing[n]);
        finished[n] = 1;
    };
    const bool all = m_workers.forEach(missing.size(), one, stop);
    for (size_t n = 0; n < missing.size(); ++n)
        if (finished[n]) {
            memory.add(*keys[missing[n]], out[missing[n]]);
            ++made;
        }
    return all;
}

bool DayEngine::observeAll(const TestDay& day, const Dyno& dyno, const GridSettings& grid,
                           std::vector<ObservedPull>& out, const std::stop_token& stop, const Progress& progress) {
    std::vector<std::optional<ObserveKey>> keys;
    for (const Pull& pull : day.pulls)
        keys.push_back(pull.raw ? std::optional(ObserveKey{pull.raw, pull.gear, pull.ratio, pull.torqueFactor,
                                                           pull.grade, pull.window_rpm, cellForShape(dyno.cell),
                                                           dyno.vehicle, dyno.engineInertia_kgm2, grid})
                                : std::nullopt);
    const std::thread::id caller = std::this_thread::get_id();
    std::atomic<size_t> done = 0;
    const auto make = [&](size_t i) {
        ObservedPull seen = observePull(day.pulls[i], dyno, grid);
        const size_t now = ++done;
        const size_t step = std::max<size_t>(1, day.pulls.size() / 50);
        if (std::this_thread::get_id() == caller && now / step != (now - 1) / step)
            report(progress, 0.6 * static_cast<double>(done) / static_cast<double>(day.pulls.size()));
        return seen;
    };
    return recall(m_observed, keys, make, out, m_counts.observed, stop);
}

bool DayEngine::correctAll(const TestDay& day, const Dyno& dyno, Standard standard,
                           const std::optional<LossCurve>& loss, const std::vector<ObservedPull>& seen,
                           std::vector<CorrectedPull>& out, const std::stop_token& stop) {
    std::vector<std::optional<CorrectKey>> keys;
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        const Pull& pull = day.pulls[i];
        if (seen[i].seen)
            keys.emplace_back(CorrectKey{seen[i].seen, pull.id, pull.weather,
                                         pull.measuredAt.value_or(dyno.cell.measuredAt), pull.given.corrected,
                                         dyno.engine, standard, dyno.loss, loss});
        else
            keys.emplace_back();
        out[i].whyNot = seen[i].whyNot;
    }
    const auto make = [&](size_t i) { return correctPull(seen[i], day.pulls[i], dyno, standard, loss); };
    return recall(m_corrected, keys, make, out, m_counts.corrected, stop);
}

const FittedDay& DayEngine::fit(const FitPlan& plan) {
    if (!m_fitted || !sameFit(m_fitted->first, plan)) {
        m_fitted = {plan, fitStage(plan)};
        ++m_counts.fitted;
    }
    return m_fitted->second;
}

std::shared_ptr<const DayAnalysis> DayEngine::answerWith(const TestDay& day, const AnalysisSettings& settings,
                                                         ReducedDay reduced, const FitPlan& plan,
                                                         const FittedDay& fitted) {
    AnswerKey key{dayForAnswer(day), settings, fitted.model, curvesOf(reduced.pulls)};
    if (!m_answered || !(m_answered->first == key)) {
        m_answered = {std::move(key), std::make_shared<const DayAnalysis>(
                                          answer(day, settings, std::move(reduced), plan, fitted, m_draws))};
        ++m_counts.answered;
    }
    return m_answered->second;
}

bool DayEngine::searchAll(const TestDay& day, const std::vector<PullResult>& pulls,
                          std::vector<std::vector<Event>>& out, const std::stop_token& stop) {
    const std::vector<Companions> companions = companionsOfAll(pulls);
    std::vector<std::optional<SearchKey>> keys(pulls.size());
    for (size_t i = 0; i < pulls.size(); ++i) {
        if (!pulls[i].curve || day.pulls[i].grade != PullGrade::Recorded)
            continue;
        keys[i] = SearchKey{pulls[i].curve, {}, eventContext(day, pulls, i, companions[i])};
        for (const size_t other : companions[i].pulls)
            keys[i]->held.push_back(pulls[other].curve);
    }
    const auto make = [&](size_t i) { return findEvents(*day.pulls[i].raw, *pulls[i].curve, keys[i]->context); };
    return recall(m_events, keys, make, out, m_counts.searched, stop);
}

} // namespace hillrun
