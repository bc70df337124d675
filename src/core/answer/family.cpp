// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/family.h"

#include <algorithm>

namespace hillrun {

std::vector<BuildPair> usualPairs(const std::vector<std::string>& builds) {
    std::vector<BuildPair> out;
    for (size_t i = 1; i < builds.size(); ++i)
        out.emplace_back(builds[0], builds[i]);
    for (size_t i = 2; i < builds.size(); ++i)
        out.emplace_back(builds[i - 1], builds[i]);
    return out;
}

PairsToWork pairsToWork(const std::vector<std::string>& builds, const std::vector<BuildPair>& family) {
    PairsToWork out;
    const auto add = [&](const std::string& a, const std::string& b) {
        const auto at = [&](const std::string& id) { return std::find(builds.begin(), builds.end(), id); };
        const BuildPair pair = at(a) <= at(b) ? BuildPair{a, b} : BuildPair{b, a};
        if (std::find(out.pairs.begin(), out.pairs.end(), pair) == out.pairs.end())
            out.pairs.push_back(pair);
    };
    for (const auto& [from, to] : family)
        add(from, to);
    out.family = out.pairs.size();
    for (size_t i = 0; i < builds.size(); ++i)
        for (size_t j = i + 1; j < builds.size(); ++j)
            add(builds[i], builds[j]);
    return out;
}

JudgedContrasts judgeContrasts(const DayModel& model, const std::vector<Eigen::VectorXd>& asked, size_t family,
                               const DriftSettings& drift, DrawCache& cache) {
    JudgedContrasts out;
    for (size_t i = 0; i < asked.size(); ++i)
        if (auto contrast = evaluate(model, asked[i], drift)) {
            out.family += i < family ? 1 : 0;
            Sides sides;
            asked[i].maxCoeff(&sides.to);
            asked[i].minCoeff(&sides.from);
            out.which.push_back(i);
            out.sides.push_back(sides);
            out.contrasts.push_back(std::move(*contrast));
        }
    out.critical = criticalValues(model, out.contrasts, out.family, cache, out.sides);
    return out;
}

} // namespace hillrun
