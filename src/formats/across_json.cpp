// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/across_json.h"

#include "core/units/log_percent.h"
#include "words/voice.h"

#include <array>

namespace hillrun {
namespace {

Json figureJson(const std::optional<CellFigure>& figure) {
    if (!figure)
        return nullptr;
    return {{"value", percentOfLog(figure->value)},
            {"low", percentOfLog(figure->low)},
            {"high", percentOfLog(figure->high)},
            {"degrees_of_freedom", figure->freedom}};
}

const char* stateName(ChartState state) {
    constexpr std::array names{"steady", "look", "moved"};
    return names.at(static_cast<size_t>(state));
}

} // namespace

Json cellAnswer(const CellHistory& cell) {
    Json out;
    out["repeatability_pct"] = figureJson(cell.repeatability);
    out["refit_pct"] = figureJson(cell.refit);
    out["day_to_day_pct"] = figureJson(cell.dayToDay);
    out["days"] = cell.days.size();
    out["reference"] = cell.reference ? Json(cell.reference->text()) : Json(nullptr);
    out["chart"] = Json::array();
    for (size_t i = 0; i < cell.runs.size(); ++i) {
        const ChartPoint& point = cell.chart.points[i];
        out["chart"].push_back({{"day", cell.runs[i].day},
                                {"date", cell.runs[i].date},
                                {"level_pct", percentOfLog(cell.runs[i].level)},
                                {"u", i < 2 ? Json(nullptr) : Json(point.u)},
                                {"sum_up", point.up},
                                {"sum_down", point.down},
                                {"state", stateName(point.state)}});
    }
    out["moved"] = nullptr;
    if (cell.chart.shift)
        out["moved"] = {{"since_day", cell.runs[cell.chart.shift->since].day},
                        {"size_pct", percentOfLog(cell.chart.shift->size)}};
    out["checks"] = Json::array();
    for (const DatedCheck& check : cell.checks)
        out["checks"].push_back(
            {{"date", check.date}, {"of", check.ofLoadCell ? "load_cell" : "station"}, {"off_pct", check.off_pct}});
    return out;
}

namespace {

/// Log differences in per cent.
Json percents(const Eigen::VectorXd& logs) {
    Json out = Json::array();
    for (const double log : logs)
        out.push_back(percentOfLog(log));
    return out;
}

Json curveJson(const CurveAcross& curve) {
    return {{"rpm", curve.rpm},
            {"delta_pct", percents(curve.delta)},
            {"pointwise95",
             {{"low_pct", percents(curve.delta - curve.pointwiseHalf)},
              {"high_pct", percents(curve.delta + curve.pointwiseHalf)}}},
            {"simultaneous95",
             {{"low_pct", percents(curve.delta - curve.simultaneousHalf)},
              {"high_pct", percents(curve.delta + curve.simultaneousHalf)}}}};
}

Json forTheirSizeJson(const AcrossAnswer& answer) {
    const ForTheirSize& size = *answer.forTheirSize;
    const auto limit = [&](double AcrossDays::*end) {
        return answer.interval ? Json(percentOfLog(*answer.interval.*end + size.logSize)) : Json(nullptr);
    };
    return {{"from_kw_per_litre", size.from_kw_per_litre},
            {"to_kw_per_litre", size.to_kw_per_litre},
            {"from_bmep_bar", optionalJson(size.from_bmep_bar)},
            {"to_bmep_bar", optionalJson(size.to_bmep_bar)},
            {"delta_pct", percentOfLog(answer.estimate + size.logSize)},
            {"low_pct", limit(&AcrossDays::low)},
            {"high_pct", limit(&AcrossDays::high)}};
}

Json pairJson(const AcrossAnswer& answer) {
    Json through = Json::array();
    for (const BuildOfDay& build : answer.through)
        through.push_back(build.text());
    Json odd = Json::array();
    for (const OddBuild& one : answer.odd)
        odd.push_back({{"build", one.build.text()}, {"off_pct", percentOfLog(one.off)}});
    const auto limit = [&](double AcrossDays::*end) {
        return answer.interval ? Json(percentOfLog(*answer.interval.*end)) : Json(nullptr);
    };
    Json out{{"from", answer.from.text()},
             {"to", answer.to.text()},
             {"connected_through", std::move(through)},
             {"delta_pct", percentOfLog(answer.estimate)},
             {"low_pct", limit(&AcrossDays::low)},
             {"high_pct", limit(&AcrossDays::high)},
             {"from_rpm", answer.over.low},
             {"to_rpm", answer.over.high},
             {"odd", std::move(odd)},
             {"note", Voice::forFiles().say(acrossNotes(answer))},
             {"summary", Voice::forFiles().say(acrossSummary(answer))}};
    out["differs"] = Json::array();
    for (const Change& change : answer.differs)
        out["differs"].push_back({{"part", change.part}, {"from", change.from}, {"to", change.to}});
    if (answer.forTheirSize)
        out["for_their_size"] = forTheirSizeJson(answer);
    return out;
}

} // namespace

Json acrossAnswer(const AcrossAnswer& answer, const ArticleNet& net, const std::optional<CurveAcross>& curve) {
    Json out;
    out["builds"] = Json::array();
    for (const std::vector<BuildOfDay>& same : net.builds) {
        Json days = Json::array();
        for (const BuildOfDay& one : same)
            days.push_back(one.text());
        out["builds"].push_back({{"id", same.front().text()}, {"ran_as", std::move(days)}});
    }
    out["comparisons"] = Json::array();
    out["comparisons"].push_back(pairJson(answer));
    out["comparisons"].back()["curve"] = curve ? curveJson(*curve) : Json(nullptr);
    return out;
}

Json ladderAnswer(const AcrossLadder& ladder) {
    Json out;
    out["builds"] = Json::array();
    for (const BuildOfDay& build : ladder.builds)
        out["builds"].push_back(build.text());
    out["names"] = ladder.names;
    out["steps"] = Json::array();
    for (const AcrossAnswer& step : ladder.steps)
        out["steps"].push_back(pairJson(step));
    out["from_first"] = Json::array();
    for (const AcrossAnswer& one : ladder.fromBase)
        out["from_first"].push_back(pairJson(one));
    out["note"] = Voice::forFiles().say(ladderNotes(ladder));
    out["summary"] = Voice::forFiles().say(ladderSummary(ladder));
    return out;
}

} // namespace hillrun
