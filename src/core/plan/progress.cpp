// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/progress.h"

#include "core/plan/design.h"

#include <fmt/format.h>

namespace hillrun {
namespace {

/// Marks the planned pulls that pulls in use stand for and returns the first pull of the set being worked on. The sets
/// are gone through forwards: one that was left is not gone back to.
size_t matchPulls(PlanProgress& out, const TestDay& day, const std::vector<PlannedSet>& sets) {
    size_t at = 0;
    bool begun = false; // the set at `at`
    for (const size_t i : dayClock(day).order) {
        const Pull& pull = day.pulls[i];
        const bool again = pull.refitted && begun && at + 1 < sets.size() && sets[at + 1].refit;
        size_t found = again ? at + 1 : at;
        while (found < sets.size() && sets[found].build != pull.build)
            ++found;
        if (found == sets.size())
            continue; // not planned any more
        at = found;
        begun = true;
        for (size_t k = sets[at].first; pull.use && k < sets[at].first + sets[at].pulls; ++k) {
            if (out.done[k])
                continue;
            out.done[k] = 1;
            break;
        }
    }
    return at < sets.size() ? sets[at].first : 0;
}

std::string fittedBuild(const TestDay& day) {
    std::string fitted;
    double at = -1e300;
    if (!day.pulls.empty()) {
        const Pull& last = day.pulls[dayClock(day).order.back()];
        fitted = last.build;
        at = secondsOf(last.started).value_or(at);
    }
    for (const BuildChange& change : day.changes)
        if (const double when = secondsOf(change.when).value_or(at); when >= at) {
            at = when;
            fitted = change.to;
        }
    return fitted;
}

} // namespace

bool isRefittedNow(const TestDay& day, const std::string& build) {
    double lastPull = -1e300;
    if (!day.pulls.empty())
        lastPull = secondsOf(day.pulls[dayClock(day).order.back()].started).value_or(lastPull);
    bool out = false;
    for (const BuildChange& change : day.changes)
        if (secondsOf(change.when).value_or(lastPull) >= lastPull)
            out = change.to == build && (change.refitted || (out && change.from == build));
    return out;
}

PlanProgress planProgress(const TestDay& day) {
    PlanProgress out;
    const auto& order = day.plan.order;
    out.done.assign(order.size(), 0);
    out.fitted = fittedBuild(day);
    const auto sets = plannedSets(order, day.plan.refits);
    const size_t begin = matchPulls(out, day, sets);
    for (size_t i = 0; i < order.size(); ++i) {
        if (out.done[i])
            continue;
        if (i < begin)
            ++out.skipped;
        else if (!out.next)
            out.next = i;
    }
    if (!out.next)
        return out;
    out.build = order[*out.next];
    for (const PlannedSet& set : sets) {
        if (*out.next < set.first || *out.next >= set.first + set.pulls)
            continue;
        out.pullsInSet = set.pulls;
        out.numberInSet = 1;
        for (size_t i = set.first; i < set.first + set.pulls; ++i)
            out.numberInSet += out.done[i] ? 1 : 0;
        out.needsRefit = set.refit && out.numberInSet == 1 && !isRefittedNow(day, out.build);
    }
    out.needsChange = !out.fitted.empty() && out.fitted != out.build;
    out.needsRefit = out.needsRefit && !out.needsChange;
    return out;
}

Statement nextStep(const PlanProgress& progress) {
    if (!progress.next)
        return {progress.done.empty() ? "plan.none" : "plan.done"};
    if (progress.needsChange)
        return {"plan.fit_build", {progress.build}};
    if (progress.needsRefit)
        return {"plan.refit_build", {progress.build}};
    return {"plan.next_pull",
            {std::to_string(progress.numberInSet), std::to_string(progress.pullsInSet), progress.build}};
}

} // namespace hillrun
