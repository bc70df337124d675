// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/net.h"

#include "core/fit/day_model.h"

#include <algorithm>
#include <boost/graph/adjacency_list.hpp>
#include <boost/graph/biconnected_components.hpp>
#include <numeric>

namespace hillrun {
namespace {

size_t at(int i) { return static_cast<size_t>(i); }

/// The visits of one day as a fit of a day would see them: builds counted anew from zero.
FitInput visitsOfDay(const Net& net, int day) {
    FitInput out;
    std::vector<int> builds;
    for (const Visit& visit : net.visits) {
        if (visit.day != day)
            continue;
        auto known = std::find(builds.begin(), builds.end(), visit.build);
        if (known == builds.end())
            known = builds.insert(builds.end(), visit.build);
        out.pulls.push_back(
            {static_cast<int>(known - builds.begin()), visit.time_h, static_cast<int>(out.pulls.size())});
    }
    out.builds = static_cast<int>(builds.size());
    return out;
}

/// For each day its builds, each once.
std::vector<std::set<int>> buildsOfDays(const Net& net) {
    std::vector<std::set<int>> out(at(net.days));
    for (const Visit& visit : net.visits)
        out[at(visit.day)].insert(visit.build);
    return out;
}

} // namespace

std::vector<char> daysWithDrift(const Net& net) {
    std::vector<char> out(at(net.days), 0);
    for (int day = 0; day < net.days; ++day) {
        const FitInput input = visitsOfDay(net, day);
        out[at(day)] = input.builds > 1 && driftIdentified(input) ? 1 : 0;
    }
    return out;
}

std::vector<int> connectedBuilds(const Net& net) {
    std::vector<int> group(at(net.builds));
    std::iota(group.begin(), group.end(), 0);
    for (const std::set<int>& builds : buildsOfDays(net))
        for (const int build : builds) {
            const int from = group[at(build)];
            const int to = group[at(*builds.begin())];
            std::replace(group.begin(), group.end(), from, to);
        }
    return group;
}

std::optional<std::vector<int>> connection(const Net& net, int from, int to) {
    const auto days = buildsOfDays(net);
    std::vector<int> before(at(net.builds), -1);
    before[at(from)] = from;
    std::vector<int> reached{from}; // nearest first
    for (size_t next = 0; next < reached.size(); ++next)
        for (const std::set<int>& builds : days)
            if (builds.contains(reached[next]))
                for (const int build : builds)
                    if (before[at(build)] < 0) {
                        before[at(build)] = reached[next];
                        reached.push_back(build);
                    }
    if (before[at(to)] < 0)
        return std::nullopt;
    std::vector<int> out;
    for (int build = before[at(to)]; build != from && to != from; build = before[at(build)])
        out.insert(out.begin(), build);
    return out;
}

std::set<std::pair<int, int>> onlyLinks(const Net& net) {
    struct Run {
        int build = 0;
        int day = 0;
        size_t component = 0;
    };
    using Graph = boost::adjacency_list<boost::vecS, boost::vecS, boost::undirectedS, boost::no_property, Run>;
    Graph graph(at(net.builds + net.days)); // builds, then days
    const auto days = buildsOfDays(net);
    for (int day = 0; day < net.days; ++day)
        for (const int build : days[at(day)])
            boost::add_edge(at(build), at(net.builds + day), {build, day}, graph);
    // An edge that is a component by itself lies on no circle.
    const size_t components = boost::biconnected_components(graph, boost::get(&Run::component, graph));
    std::vector<int> edges(components, 0);
    const auto range = boost::make_iterator_range(boost::edges(graph));
    for (const auto& edge : range)
        ++edges[graph[edge].component];
    std::set<std::pair<int, int>> out;
    for (const auto& edge : range)
        if (edges[graph[edge].component] == 1)
            out.insert({graph[edge].build, graph[edge].day});
    return out;
}

NetFreedom freedomOf(const Net& net) {
    const std::vector<char> drift = daysWithDrift(net);
    const std::vector<int> group = connectedBuilds(net);
    const auto groups = static_cast<int>(std::set<int>(group.begin(), group.end()).size());
    const auto slopes = static_cast<int>(std::count(drift.begin(), drift.end(), 1));
    const auto visits = static_cast<int>(net.visits.size());
    return {visits - net.builds - slopes - net.days + groups, net.days - groups};
}

} // namespace hillrun
