// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "engine/lean_day.h"

#include "core/compare/day_stages.h"
#include "core/slip/day_doubts.h"
#include "core/slip/day_events.h"
#include "engine/workers.h"

namespace hillrun {
namespace {

/// Stands for rows that can be read, where only their being there counts.
const auto kReadable = std::make_shared<const ChannelTable>();

std::vector<Event> eventsOf(const TestDay& day, const std::vector<PullResult>& pulls, size_t number,
                            const Companions& companions, const Pull& pull, const Dyno& dyno) {
    const std::string& known = day.pulls[number].sha256;
    if (!pull.raw || pull.sha256 != known) // its file was changed between the two readings
        throw DataError(Problem::ChecksumDiffers, {known, pull.sha256}, {.file = pull.file});
    Curve curve = *pulls[number].curve;
    Observed seen = *curve.seen;
    seen.recorded = pullSignals(pull, dyno);
    curve.seen = std::make_shared<const Observed>(std::move(seen));
    return findEvents(*pull.raw, curve, eventContext(day, pulls, number, companions));
}

} // namespace

LeanAnswer analyseLean(TestDay day, const AnalysisSettings& settings, const ReadPull& readPull) {
    checkSettings(day, settings);
    Workers workers;
    DrawCache draws([&](size_t count, const std::function<void(size_t)>& work) { workers.forEach(count, work); });
    const Dyno dyno = dynoOf(day);
    std::vector<ObservedPull> seen(day.pulls.size());
    workers.forEach(day.pulls.size(), [&](size_t i) {
        Pull pull = readPull(i);
        seen[i] = observePull(pull, dyno, settings.reduce.grid());
        if (seen[i].seen)
            seen[i].seen = std::make_shared<const Observed>(withoutRows(*seen[i].seen));
        pull.raw = pull.raw ? kReadable : nullptr;
        pull.own.reset();
        for (LaidLog& log : pull.logs)
            log.rows.reset();
        day.pulls[i] = std::move(pull);
    });
    const DayLoss loss = lossOfDay(dyno, seen);
    std::vector<CorrectedPull> curves(day.pulls.size());
    workers.forEach(day.pulls.size(), [&](size_t i) {
        curves[i] = correctPull(seen[i], day.pulls[i], dyno, settings.reduce.standard, loss.curve);
    });
    seen.clear();
    ReducedDay reduced = gatherPulls(day, settings.reduce.standard, loss, curves);
    const FitPlan plan = planFit(day, reduced.pulls, settings.reduce.grid_rpm);
    auto out = std::make_shared<DayAnalysis>(answer(day, settings, std::move(reduced), plan, fitStage(plan), draws));
    const std::vector<Companions> companions = companionsOfAll(out->pulls);
    std::vector<std::vector<Event>> events(day.pulls.size());
    workers.forEach(day.pulls.size(), [&](size_t i) {
        if (out->pulls[i].curve && day.pulls[i].grade == PullGrade::Recorded)
            events[i] = eventsOf(day, out->pulls, i, companions[i], readPull(i), dyno);
    });
    for (size_t i = 0; i < events.size(); ++i)
        out->pulls[i].events = std::move(events[i]);
    out->doubts = dayDoubts(day, *out);
    for (Pull& pull : day.pulls)
        pull.raw.reset();
    return {std::move(day), std::move(out)};
}

} // namespace hillrun
