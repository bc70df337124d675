// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/road_json.h"

#include "core/units/road_speed.h"
#include "formats/json_writer.h"
#include "words/voice.h"

#include <cmath>

namespace hillrun {
namespace {

Json buildJson(const RoadBuild& build) {
    Json out{{"id", build.id}};
    const bool arrived = build.run.finished();
    out["time_s"] = arrived ? Json(build.run.time_s) : Json(nullptr);
    out["end_speed_kmh"] = arrived ? Json(build.run.endSpeed_ms * kKmhPerMs) : Json(nullptr);
    if (!arrived)
        out["why_not"] = Voice::forFiles().say(build.run.whyNot);
    out["times"] = Json::array();
    for (const SpeedTime& one : build.times)
        out["times"].push_back({{"from_kmh", one.from_kmh}, {"to_kmh", one.to_kmh}, {"s", one.seconds}});
    out["distances"] = Json::array();
    for (const Passing& one : build.passings)
        out["distances"].push_back({{"m", one.distance_m}, {"s", one.seconds}, {"kmh", one.speed_ms * kKmhPerMs}});
    out["top_speed_kmh"] = build.top ? Json(build.top->speed_ms * kKmhPerMs) : Json(nullptr);
    out["top_speed_gear"] = build.top ? Json(build.top->gear + 1) : Json(nullptr);
    out["shift_rpm"] = build.run.shift_rpm;
    out["use"] = Json::array();
    for (const SpeedShare& one : build.use)
        out["use"].push_back({{"rpm", one.rpm}, {"share", one.share}});
    return out;
}

Json differenceJson(const DayRoad& road, const RoadDifference& d) {
    Json won = Json::array();
    double at = 0.0;
    for (size_t i = 0; i < d.byPiece_s.size(); ++i) {
        const double to = at + road.course.pieces[i].length_m;
        won.push_back({{"from_m", at}, {"to_m", to}, {"delta_s", d.byPiece_s[i]}});
        at = to;
    }
    return {{"from", d.from},
            {"to", d.to},
            {"delta_s", d.delta_s},
            {"low", numberOrNull(d.low_s)},
            {"high", numberOrNull(d.high_s)},
            {"protected_from_drift", d.mayClaim},
            {"won", std::move(won)},
            {"summary", Voice::forFiles().say(roadSummary(road, d))}};
}

} // namespace

Json roadAnswer(const DayRoad& road) {
    Json out{{"course", road.course.name},
             {"air_density_kg_m3", road.airDensity_kg_m3},
             {"torque_factor", road.torque.airFactor},
             {"curve_rpm", {road.torque.range_rpm.low, road.torque.range_rpm.high}}};
    out["taken"] = Json::array();
    for (const Statement& one : road.taken)
        out["taken"].push_back(Voice::forFiles().say(one));
    out["builds"] = Json::array();
    for (const RoadBuild& build : road.builds)
        out["builds"].push_back(buildJson(build));
    out["comparisons"] = Json::array();
    for (const RoadDifference& difference : road.differences)
        out["comparisons"].push_back(differenceJson(road, difference));
    return out;
}

Json heldJson(const HeldAnswer& answer) {
    Json out{{"course", "held"}, {"held", {{"rpm", answer.speed.rpm}, {"half_width_rpm", answer.speed.halfWidth_rpm}}}};
    out["builds"] = Json::array();
    for (const HeldBuild& build : answer.builds)
        out["builds"].push_back({{"id", build.id}, {"power_w", build.power_w}});
    out["comparisons"] = Json::array();
    for (const HeldDifference& d : answer.differences)
        out["comparisons"].push_back({{"from", d.from},
                                      {"to", d.to},
                                      {"delta_w", d.delta_w},
                                      {"low", numberOrNull(d.low_w)},
                                      {"high", numberOrNull(d.high_w)},
                                      {"protected_from_drift", d.mayClaim},
                                      {"summary", Voice::forFiles().say(heldSummary(answer, d))}});
    return out;
}

} // namespace hillrun
