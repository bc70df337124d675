// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/simulate.h"

#include "core/channels/channels.h"
#include "core/day/local_time.h"
#include "core/units/units.h"
#include "simcell/pull_simulation.h"

#include <algorithm>
#include <boost/random/uniform_01.hpp>
#include <cmath>
#include <fmt/format.h>

namespace hillrun::sim {
namespace {

ChannelTable recordPull(const CellSpec& spec, const Pull& pull, double at_h, Generator& generator) {
    PullStart start;
    start.build = pull.build;
    start.air = humidAir(*pull.weather);
    start.gain = driftFactor(spec.drift, at_h);
    start.warming_c = std::min(6.0, 4.0 * at_h);
    for (const FaultSpec& fault : spec.faults)
        if (fault.pull == pull.id)
            start.faults.push_back(fault);
    PullSimulation simulation(spec, std::move(start), generator);
    const std::vector<Recorded> channels = recordedChannels(spec);
    ChannelTable table;
    for (const Recorded& recorded : channels)
        table.columns.push_back({recorded.channel, canonicalUnitText(channelInfo(recorded.channel)->dimension), {}});
    std::vector<double> row(channels.size());
    // On inertia rollers, and with a lift, the length is known only on the way.
    for (int i = 0; i <= static_cast<int>(simulation.duration_s() * spec.protocol.sample_hz); ++i) {
        simulation.moveTo(i / spec.protocol.sample_hz, 1.0 / spec.protocol.sample_hz);
        if (simulation.connectionLost())
            break; // what came later was never received
        if (simulation.rowsMissing())
            continue;
        simulation.read(row, channels);
        for (size_t c = 0; c < row.size(); ++c)
            table.columns[c].values.push_back(row[c]);
    }
    return table;
}

} // namespace

double driftFactor(const DriftSpec& drift, double at_h) {
    const double percent = drift.linear_pct_per_h * at_h +
                           drift.settling_pct * (1.0 - std::exp(-at_h / drift.settling_h)) +
                           (drift.step_pct != 0.0 && at_h >= drift.step_h ? drift.step_pct : 0.0);
    return 1.0 + percent / 100.0;
}

std::string timeAfter(const std::string& first, double hours) {
    const auto seconds = secondsOf(first);
    return seconds ? localTimeText(*seconds + hours * 3600.0, first.size() > 19 ? first.substr(19) : "Z") : first;
}

TestDay simulateDay(const CellSpec& spec, unsigned seed) {
    Generator generator(seed);
    boost::random::uniform_01<double> uniform;
    TestDay day = spec.day;
    double at_h = 0.0;
    for (const SetSpec& set : spec.order) {
        at_h += set.changeMinutes / 60.0;
        for (int i = 0; i < set.pulls; ++i) {
            Pull pull;
            pull.id = fmt::format("p{:02}", day.pulls.size() + 1);
            pull.build = set.build;
            pull.file = "pulls/" + pull.id + ".csv";
            pull.started = timeAfter(spec.firstPull, at_h);
            const WeatherPoint weather = weatherAt(spec.weather, at_h);
            auto rounded = [](double v, double scale) { return std::round(v * scale) / scale; };
            pull.weather = Atmosphere{rounded(weather.temperature_c, 10.0),
                                      rounded(weather.pressure_kpa, 100.0) * 1000.0,
                                      {HumidityKind::RelativeHumidity_pct, rounded(weather.humidity_pct, 10.0)}};
            pull.gear = spec.protocol.gear;
            if (const auto it = spec.setAside.find(pull.id); it != spec.setAside.end()) {
                pull.use = false;
                pull.reason = it->second;
            }
            pull.raw = std::make_shared<const ChannelTable>(recordPull(spec, pull, at_h, generator));
            day.pulls.push_back(pull);
            if (i + 1 < set.pulls)
                at_h += (set.betweenMinutes + 0.8 * (uniform(generator) - 0.5)) / 60.0;
        }
    }
    return day;
}

} // namespace hillrun::sim
