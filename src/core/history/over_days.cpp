// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/over_days.h"

#include "core/errors/data_error.h"
#include "core/plan/pulls_needed.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

using Days = std::vector<const DayRecord*>;

/// All days of today's dyno, today among them as it is now.
Days daysOfCell(const DayRecord& today, const std::vector<DayRecord>& known) {
    Days out;
    for (const DayRecord& day : known)
        if (day.id != today.id && sameDyno(day, today))
            out.push_back(&day);
    out.push_back(&today);
    return out;
}

/// Of these the days of today's article, and those of earlier builds that somebody put beside it.
Days daysOfNet(const Days& cell, const DayRecord& today, const std::vector<BuildOfDay>& earlier) {
    Days out;
    for (const std::vector<const DayRecord*>& of : byArticle(cell))
        if (std::find(of.begin(), of.end(), &today) != of.end())
            out = of;
    for (const DayRecord* day : cell)
        if (std::find(out.begin(), out.end(), day) == out.end() &&
            std::any_of(earlier.begin(), earlier.end(), [&](const BuildOfDay& one) { return one.day == day->id; }))
            out.push_back(day);
    return out;
}

std::optional<CurveOfDay> curveOf(const std::vector<DayRecord>& known, const BuildOfDay& build) {
    const auto day =
        std::find_if(known.begin(), known.end(), [&](const DayRecord& one) { return one.id == build.day; });
    if (day == known.end())
        return std::nullopt;
    std::vector<const PullRecord*> pulls;
    for (const PaperCurve& paper : day->papers)
        if (paper.curve.build == build.build)
            pulls.push_back(&paper.curve);
    double low = pulls.empty() ? 0.0 : pulls.front()->low_rpm;
    double high = pulls.empty() ? INFINITY : pulls.front()->high_rpm(day->step_rpm); // what its pulls share
    for (const PullRecord& pull : day->pulls)
        if (pull.build == build.build) {
            pulls.push_back(&pull);
            low = std::max(low, pull.low_rpm);
            high = std::min(high, pull.high_rpm(day->step_rpm));
        }
    if (pulls.empty())
        return std::nullopt;
    CurveOfDay out{{build.day, build.build, day->date}, {}, {}};
    for (double rpm = low; rpm <= high + 1e-6; rpm += day->step_rpm) {
        double sum = 0.0;
        for (const PullRecord* pull : pulls)
            sum += std::log(std::max(
                1e-6, static_cast<double>(
                          pull->power_w[static_cast<size_t>(std::lround((rpm - pull->low_rpm) / day->step_rpm))])));
        out.rpm.push_back(rpm);
        out.power_w.push_back(std::exp(sum / static_cast<double>(pulls.size())));
    }
    return out;
}

/// The planned pulls as a day that ran: any curve does, for only the widths are asked for.
DayRecord asPlanned(const TestDay& day, const DayRecord& today, const std::vector<std::string>& order,
                    const ArticleNet& net) {
    DayRecord out = today;
    out.pulls.clear();
    out.builds.clear();
    for (const Build& build : day.builds)
        out.builds.push_back({build.id, build.name, build.parts, build.settings, {}, build.sameAs, false, {}, {}});
    const auto points = static_cast<size_t>(std::lround((net.rpm.high - net.rpm.low) / today.step_rpm)) + 1;
    const FitInput plan = planInput(order, day.plan.refits);
    for (size_t i = 0; i < order.size(); ++i)
        out.pulls.push_back(
            {order[i], 0.1 * static_cast<double>(i), plan.pulls[i].set, net.rpm.low, std::vector<float>(points, 1.0F)});
    return out;
}

/// Half the interval that the cell as it is known gives for builds of this net, whatever their levels.
std::optional<double> halfOf(const Days& days, const CellModel& cell, const BuildOfDay& earlier,
                             const BuildOfDay& planned) {
    auto net = articleNet(days);
    if (!net)
        return std::nullopt;
    const auto from = net->find(earlier);
    const auto to = net->find(planned);
    if (!from || !to || *from == *to || acrossKind(net->net, cell, *from, *to) == AcrossKind::Unknown)
        return std::nullopt;
    for (Visit& visit : net->net.visits)
        visit.level = 0.0;
    Eigen::VectorXd k = Eigen::VectorXd::Zero(net->net.builds);
    k(*from) = -1.0;
    k(*to) = 1.0;
    const AcrossDays found = acrossDays(net->net, cell, k);
    return 0.5 * (found.high - found.low);
}

/// Today's build that is least like any that ran before: the last that differs from the earlier one.
PlannedAcross plannedAgainst(const BuildOfDay& earlier, const TestDay& day, const DayRecord& today, const Days& before,
                             const DaysTogether& together) {
    PlannedAcross out{earlier, {}, {}, {}};
    const auto withPlan = [&](const DayRecord& planned) {
        Days days = before;
        days.push_back(&planned);
        return days;
    };
    const DayRecord planned = asPlanned(day, today, day.plan.order, together.net);
    for (const Build& build : day.builds)
        if (std::find(day.plan.order.begin(), day.plan.order.end(), build.id) != day.plan.order.end()) {
            const auto half = halfOf(withPlan(planned), *together.model, earlier, {planned.id, build.id, {}});
            if (!half && out.build.empty())
                out.build = build.id;
            if (half && (!out.half || *half > *out.half)) {
                out.build = build.id;
                out.half = half;
            }
        }
    TestDay again = day; // with the earlier build among today's, before and after
    again.builds.push_back({});
    again.builds.back().id = "\x01";
    again.builds.back().sameAs = earlier.text();
    std::vector<std::string> order = day.plan.order;
    const auto pulls = static_cast<size_t>(std::max(1, day.plan.pullsPerSet));
    for (size_t& refit : again.plan.refits)
        refit += pulls;
    order.insert(order.begin(), pulls, again.builds.back().id);
    order.insert(order.end(), pulls, again.builds.back().id);
    const DayRecord withBase = asPlanned(again, today, order, together.net);
    if (!out.build.empty())
        out.halfAgain = halfOf(withPlan(withBase), *together.model, earlier, {withBase.id, out.build, {}});
    return out;
}

std::string nameOf(const DayRecord& day) { return day.date.empty() ? day.name : day.date; }

void addPairs(const DaysTogether& together, const TestDay& day, const DayRecord& today, const OverDaysWanted& wanted,
              OverDays& out) {
    const auto shapes = wanted.curves && !day.plan.earlier.empty() ? shapesTogether(together) : std::nullopt;
    DrawCache draws;
    for (const BuildOfDay& earlier : day.plan.earlier)
        for (const Build& build : day.builds) {
            const BuildOfDay now{today.id, build.id, today.date};
            if (const auto number = together.net.find(now); number && number == together.net.find(earlier)) {
                out.whyNot.push_back({"over_days.same_build", {buildPhrase(earlier), build.id}});
                continue;
            }
            try {
                EarlierPair pair{compareAcross(together, earlier, now), std::nullopt};
                if (shapes)
                    pair.curve = curveAcross(together, *shapes, earlier, now, draws);
                out.pairs.push_back(std::move(pair));
            } catch (const DataError& error) { // one without pulls
                if (error.problem() != Problem::NothingToCompare)
                    continue;
                out.whyNot.push_back(problemStatement(error));
            }
        }
}

} // namespace

const EarlierPair* OverDays::find(const BuildOfDay& earlier, const std::string& build) const {
    for (const EarlierPair& pair : pairs)
        if (pair.answer.from == earlier && pair.answer.to.build == build)
            return &pair;
    return nullptr;
}

OverDays overDays(const TestDay& day, const DayRecord& today, const std::vector<DayRecord>& known,
                  const OverDaysWanted& wanted) {
    OverDays out;
    const Days cell = daysOfCell(today, known);
    const Days named = daysOfNet(cell, today, day.plan.earlier);
    for (const BuildOfDay& earlier : day.plan.earlier) {
        if (auto curve = curveOf(known, earlier))
            out.curves.push_back(std::move(*curve));
        const bool there =
            std::any_of(named.begin(), named.end(), [&](const DayRecord* one) { return one->id == earlier.day; });
        if (!there)
            out.whyNot.push_back(
                {std::any_of(known.begin(), known.end(), [&](const DayRecord& one) { return one.id == earlier.day; })
                     ? "over_days.other_dyno"
                     : "over_days.not_known",
                 {buildPhrase(earlier)}});
    }
    try {
        const DaysTogether together = daysTogether(named, cell);
        for (const DayRecord* one : together.days)
            out.days.push_back(nameOf(*one));
        if (!today.pulls.empty() || !today.papers.empty())
            addPairs(together, day, today, wanted, out);
        if (wanted.ladder)
            out.ladder = acrossLadder(together, articleKey(*named.front()));
        Days before = named;
        std::erase(before, &today);
        if (together.model && !day.plan.order.empty() && !before.empty())
            for (const BuildOfDay& earlier : day.plan.earlier)
                out.planned.push_back(plannedAgainst(earlier, day, today, before, together));
    } catch (const DataError& error) {
        out.whyNot.push_back(problemStatement(error));
    }
    return out;
}

} // namespace hillrun
