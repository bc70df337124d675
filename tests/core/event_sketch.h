// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/events.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <functional>
#include <stdexcept>

namespace hillrun::test {

/// A plain sweep from 2500 to 7500 rpm at 100 rows a second, 100 N.m with 0.3 % scatter, that a test then spoils.
struct Sketch {
    ChannelTable table;
    Sketch() {
        boost::random::mt19937_64 generator(4);
        boost::random::normal_distribution<double> normal;
        for (const char* name : {"time", "engine_speed", "torque", "throttle", "lambda", "road_speed", "absorber_load",
                                 "manifold_pressure", "oil_pressure"})
            table.columns.push_back({name, "1", {}});
        for (int i = 0; i < 1200; ++i) {
            const double t = 0.01 * i;
            const bool open = t >= 1.0 && t < 11.0;
            const double rpm = 2500.0 + 500.0 * std::clamp(t - 1.0, 0.0, 10.0) - (t > 11.0 ? 900.0 * (t - 11.0) : 0.0);
            add(i, {t, rpm, (open ? 100.0 : 10.0) * (1.0 + 0.003 * normal(generator)), open ? 100.0 : 10.0,
                    0.88 + 0.003 * normal(generator), rpm / 40.0 + 0.02 * normal(generator),
                    40.0 + 0.2 * normal(generator), 98.0 + 60.0 * (open ? 1.0 : 0.0) + 0.2 * normal(generator),
                    200.0 + rpm / 25.0 + 2.0 * normal(generator)});
        }
    }
    std::vector<double>& column(const char* name) {
        for (Column& c : table.columns)
            if (c.name == name)
                return c.values;
        throw std::logic_error("no such column");
    }
    /// Changes a channel between two moments of the recording.
    Sketch& spoil(const char* name, double from_s, double to_s, const std::function<double(double, size_t)>& change) {
        auto& values = column(name);
        for (size_t i = 0; i < values.size(); ++i)
            if (const double t = 0.01 * static_cast<double>(i); t >= from_s && t < to_s)
                values[i] = change(values[i], i);
        return *this;
    }
    /// One more channel, the same value in every row, with a little noise.
    Sketch& with(const char* name, double value, double noise = 0.0) {
        boost::random::mt19937_64 generator(7);
        boost::random::normal_distribution<double> normal;
        table.columns.push_back({name, "1", {}});
        for (size_t i = 0; i < table.columns.front().values.size(); ++i)
            table.columns.back().values.push_back(value + noise * normal(generator));
        return *this;
    }
    /// A channel bends by `size` around an engine speed, over `width` rpm.
    Sketch& bend(const char* name, double at_rpm, double width_rpm, double size) {
        const std::vector<double> speed = column("engine_speed");
        auto& values = column(name);
        for (size_t i = 0; i < values.size(); ++i)
            if (const double u = (speed[i] - at_rpm) / (0.5 * width_rpm); std::abs(u) < 1.0)
                values[i] += size * (0.5 + 0.5 * std::cos(3.14159265358979 * u));
        return *this;
    }
    [[nodiscard]] Curve curve() const {
        Pull pull;
        pull.id = "p";
        pull.raw = std::make_shared<const ChannelTable>(table);
        ReduceSettings settings;
        settings.standard = Standard::Uncorrected;
        return reduce(pull, Dyno{}, settings);
    }
    [[nodiscard]] std::string events(const EventContext& context = {}) const {
        std::string out;
        for (const Event& event : findEvents(table, curve(), context))
            out += (out.empty() ? "" : " ") + std::string(eventKindInfo(event.kind).name);
        return out;
    }

private:
    void add(int, const std::vector<double>& row) {
        for (size_t c = 0; c < row.size(); ++c)
            table.columns[c].values.push_back(row[c]);
    }
};

/// "mixture 5200-6100"; several with a blank between, speeds in hundreds.
inline std::string placesOf(const std::vector<Event>& events) {
    std::string out;
    for (const Event& event : events)
        out += (out.empty() ? "" : " ") + std::string(eventKindInfo(event.kind).name) + " " +
               std::to_string(std::lround(event.range_rpm.low / 100.0) * 100) + "-" +
               std::to_string(std::lround(event.range_rpm.high / 100.0) * 100);
    return out;
}

} // namespace hillrun::test
