// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_stages.h"
#include "core/compare/given_pairs.h"

#include <algorithm>
#include <fmt/format.h>

namespace hillrun {
namespace {

void leaveOut(PullResult& out, const Statement& why) {
    out.used = false;
    out.whyLeftOut = out.whyLeftOut.empty() ? why : Statement{"why.both", {out.whyLeftOut, why}};
}

PullResult startedResult(const Pull& pull) {
    PullResult out;
    out.id = pull.id;
    out.build = pull.build;
    out.used = pull.use;
    if (!pull.use)
        out.whyLeftOut = reasonPhrase(pull);
    if (!pull.raw) {
        out.used = false;
        out.whyLeftOut = pull.problem.empty() ? Statement{"why.not_read"} : pull.problem;
    }
    return out;
}

void noteExtrapolation(ReducedDay& out, const Curve& curve) {
    if (!out.loss || curve.loss_w.empty())
        return;
    const Statement note{"note.loss_extrapolated"};
    if ((curve.seen->slowestDriven_rad_s < 0.95 * out.loss->slowest_rad_s ||
         curve.seen->fastestDriven_rad_s > 1.05 * out.loss->fastest_rad_s) &&
        std::find(out.notes.begin(), out.notes.end(), note) == out.notes.end())
        out.notes.push_back(note);
}

} // namespace

ObservedPull observePull(const Pull& pull, const Dyno& dyno, const GridSettings& grid) {
    if (!pull.raw)
        return {};
    try {
        return {std::make_shared<const Observed>(observe(pull, dyno, grid)), {}};
    } catch (const DataError& error) {
        return {nullptr, problemStatement(error)};
    }
}

DayLoss lossOfDay(const Dyno& dyno, std::span<const ObservedPull> pulls) {
    if (dyno.loss.method != LossMethod::CoastDown)
        return {};
    std::vector<CoastDown> coasts;
    Statement why{"why.none_recorded"};
    for (const ObservedPull& pull : pulls) {
        if (!pull.seen) // a pull without a sweep has no coast-down either
            continue;
        coasts.push_back(pull.seen->coast);
        if (!coasts.back().usable())
            why = coasts.back().whyNot;
    }
    DayLoss out{fitLoss(coasts), {}};
    if (!out.curve)
        out.note = {"note.no_estimate", {placePhrase({dyno.loss.to}), why}};
    return out;
}

CorrectedPull correctPull(const ObservedPull& seen, const Pull& pull, const Dyno& dyno, Standard standard,
                          const std::optional<LossCurve>& loss) {
    if (!seen.seen)
        return {nullptr, seen.whyNot};
    try {
        return {std::make_shared<const Curve>(correct(seen.seen, pull, dyno, standard, loss)), {}};
    } catch (const DataError& error) {
        return {nullptr, problemStatement(error)};
    }
}

ReducedDay gatherPulls(const TestDay& day, Standard standard, const DayLoss& loss,
                       std::span<const CorrectedPull> pulls) {
    ReducedDay out;
    out.loss = loss.curve;
    if (!loss.note.empty())
        out.notes.push_back(loss.note);
    const DayClock clock = dayClock(day);
    const std::vector<int> sets = setNumbers(day, clock);
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        PullResult result = startedResult(day.pulls[i]);
        result.time_h = clock.hours[i];
        result.set = sets[i];
        result.curve = pulls[i].curve;
        if (result.curve)
            noteExtrapolation(out, *result.curve);
        else if (!pulls[i].whyNot.empty())
            leaveOut(result, pulls[i].whyNot);
        if (const Statement why = whyAside(day, day.pulls[i], standard); result.used && !why.empty())
            leaveOut(result, why);
        out.pulls.push_back(std::move(result));
    }
    return out;
}

ReducedDay reduceDay(const TestDay& day, const ReduceSettings& settings) {
    const Dyno dyno = dynoOf(day);
    std::vector<ObservedPull> observed;
    for (const Pull& pull : day.pulls)
        observed.push_back(observePull(pull, dyno, settings.grid()));
    const DayLoss loss = lossOfDay(dyno, observed);
    std::vector<CorrectedPull> corrected;
    for (size_t i = 0; i < day.pulls.size(); ++i)
        corrected.push_back(correctPull(observed[i], day.pulls[i], dyno, settings.standard, loss.curve));
    return gatherPulls(day, settings.standard, loss, corrected);
}

} // namespace hillrun
