// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/cell_history.h"
#include "core/history/days_together.h"
#include "core/units/log_percent.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

Several phrasesOf(const std::vector<BuildOfDay>& builds) {
    Several out;
    for (const BuildOfDay& build : builds)
        out.items.push_back(buildPhrase(build));
    return out;
}

/// A log difference in per cent, with the digits that its interval is worth.
Number percent(double log, double halfLog) {
    return signedDecimals(percentOfLog(log), 100.0 * halfLog >= 1.0 ? 1 : 2, "%");
}

Statement figurePhrase(const char* known, const char* unknown, const std::optional<CellFigure>& figure) {
    if (!figure)
        return {unknown};
    return {known,
            {decimals(percentOfLog(figure->value), 2, "%"), decimals(percentOfLog(figure->low), 2),
             decimals(percentOfLog(figure->high), 2, "%")}};
}

/// Two engines set to one size, with the interval of their power.
Statement forTheirSizePhrase(const AcrossAnswer& answer) {
    const ForTheirSize& size = *answer.forTheirSize;
    const auto perLitre = [](double value) { return decimals(value, 1, "kW/l"); };
    std::vector<Argument> figures{buildPhrase(answer.to), buildPhrase(answer.from), perLitre(size.to_kw_per_litre),
                                  perLitre(size.from_kw_per_litre)};
    if (!answer.interval)
        return {"across.for_size_unknown", std::move(figures)};
    const double half = 0.5 * (answer.interval->high - answer.interval->low);
    figures.emplace_back(percent(answer.estimate + size.logSize, half));
    figures.emplace_back(percent(answer.interval->low + size.logSize, half));
    figures.emplace_back(percent(answer.interval->high + size.logSize, half));
    return {"across.for_size", std::move(figures)};
}

/// What is noted of the two that is not the same; nothing when all is.
Several changesOf(const AcrossAnswer& answer) {
    Several out;
    for (const Change& change : answer.differs)
        out.items.push_back({"sheet.change", {change.part, valuePhrase(change.from), valuePhrase(change.to)}});
    return out;
}

} // namespace

Statement buildPhrase(const BuildOfDay& build) {
    return {"across.build", {build.build, build.date.empty() ? build.day : build.date}};
}

Statement cellStatement(const ControlChart& chart, const std::vector<ReferenceRun>& runs) {
    if (chart.shift)
        return {"logbook.moved",
                {runs[chart.shift->since].date, signedDecimals(percentOfLog(chart.shift->size), 2, "%")}};
    if (!chart.points.empty() && chart.points.back().state == ChartState::Look)
        return {"logbook.look"};
    return {};
}

std::vector<Statement> cellFigures(const std::optional<CellFigure>& repeatability,
                                   const std::optional<CellFigure>& refit, const std::optional<CellFigure>& dayToDay) {
    return {figurePhrase("logbook.repeats", "logbook.repeats_unknown", repeatability),
            figurePhrase("logbook.refit", "logbook.refit_unknown", refit),
            figurePhrase("logbook.day", "logbook.day_unknown", dayToDay)};
}

std::vector<Statement> checkLines(const std::vector<DatedCheck>& checks) {
    std::vector<Statement> out;
    for (const bool ofLoadCell : {true, false}) {
        const auto last = std::find_if(checks.rbegin(), checks.rend(),
                                       [&](const DatedCheck& one) { return one.ofLoadCell == ofLoadCell; });
        if (last != checks.rend())
            out.push_back({ofLoadCell ? "logbook.load_cell" : "logbook.station",
                           {last->date, signedDecimals(last->off_pct, 2, "%")}});
    }
    return out;
}

std::vector<Statement> acrossSummary(const AcrossAnswer& answer) {
    std::vector<Statement> out;
    if (answer.forTheirSize)
        out.push_back(forTheirSizePhrase(answer));
    const Statement from = buildPhrase(answer.from);
    const Statement to = buildPhrase(answer.to);
    if (!answer.onPaper.empty()) {
        out.push_back({"across.on_paper", {Several{answer.onPaper}, to, from, percent(answer.estimate, 0.0)}});
        return out;
    }
    if (!answer.interval) {
        out.push_back({"across.unknown", {to, from, percent(answer.estimate, 0.0)}});
        out.push_back({"across.day_would_explain", {decimals(std::abs(percentOfLog(answer.estimate)), 2, "%")}});
        return out;
    }
    const double half = 0.5 * (answer.interval->high - answer.interval->low);
    const char* const id = !answer.proven()             ? "across.cannot_tell"
                           : answer.interval->low > 0.0 ? "across.more"
                                                        : "across.less";
    out.push_back({id,
                   {to, from, percent(answer.estimate, half), percent(answer.interval->low, half),
                    percent(answer.interval->high, half)}});
    return out;
}

std::vector<Statement> acrossNotes(const AcrossAnswer& answer) {
    std::vector<Statement> out;
    if (answer.kind == AcrossKind::Inside)
        out.push_back(answer.through.empty() ? Statement{"across.same_day"}
                                             : Statement{"across.through", {phrasesOf(answer.through)}});
    if (answer.kind == AcrossKind::ByTheCell && answer.daySd)
        out.push_back({"across.by_the_cell", {decimals(percentOfLog(*answer.daySd), 2, "%"), Count{answer.cellDays}}});
    if (answer.otherArticle)
        out.push_back({"across.other_article"});
    if (const auto size = answer.forTheirSize; size && size->from_bmep_bar && size->to_bmep_bar)
        out.push_back(
            {"across.mean_pressure", {decimals(*size->to_bmep_bar, 1), decimals(*size->from_bmep_bar, 1, "bar")}});
    if (answer.interval && !answer.refitKnown)
        out.push_back({"across.refit_unknown"});
    for (const OddBuild& odd : answer.odd)
        out.push_back(
            {odd.onlyTwo ? "across.two_disagree" : "across.odd", {buildPhrase(odd.build), percent(odd.off, 0.0)}});
    if (!answer.unprotected.empty())
        out.push_back({"across.unprotected", {namesOf(answer.unprotected)}});
    if (!answer.outsideAir.empty())
        out.push_back({"across.outside_air", {namesOf(answer.outsideAir)}});
    if (!answer.leftOut.empty())
        out.push_back({"across.left_out", {namesOf(answer.leftOut)}});
    out.push_back({"across.over", {answer.over}});
    if (Several changes = changesOf(answer); !changes.items.empty())
        out.push_back({"across.differs", {std::move(changes)}});
    return out;
}

} // namespace hillrun
