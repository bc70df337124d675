// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/field_content.h"

#include "app/look/words.h"
#include "core/compare/part_words.h"
#include "core/plan/named_use.h"
#include "core/units/log_percent.h"

#include <algorithm>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const FieldBuild* findIn(const DayAnalysis& analysis, const std::string& build) {
    if (!analysis.field)
        return nullptr;
    const auto& builds = analysis.field->builds;
    const auto at = std::find_if(builds.begin(), builds.end(), [&](const FieldBuild& b) { return b.id == build; });
    return at == builds.end() ? nullptr : &*at;
}

/// "+1.6 ± 0.5 %"
QString gainText(const FieldBuild& build) {
    if (!std::isfinite(build.gain))
        return u"\u2013"_s;
    return qs(currentVoice().interval(percentOfLog(build.gain), halfPercent(build.low, build.high), "%", true));
}

BoardSeries seriesOf(const TestDay& day, const DayAnalysis& analysis, const BuildResult& build, const CompareView& view,
                     const Theme& theme) {
    return {analysis.rpm, inUnits(build.power_w, analysis.rpm, view), theme.buildPen(buildNumber(day, build.id), 2.0),
            qs(build.id)};
}

/// From the lowest to the highest value of all, with some room.
std::optional<RpmRange> scaleOf(const std::vector<BoardSeries>& all) {
    std::optional<RpmRange> out;
    for (const BoardSeries& series : all)
        for (const double y : series.y)
            if (std::isfinite(y))
                out = out ? RpmRange{std::min(out->low, y), std::max(out->high, y)} : RpmRange{y, y};
    if (!out)
        return out;
    const double room = 0.05 * (out->high - out->low);
    return RpmRange{out->low - room, out->high + room};
}

} // namespace

std::vector<FieldRow> fieldRows(const TestDay& day, const DayAnalysis& analysis) {
    if (!analysis.field)
        return {};
    std::vector<FieldRow> out;
    for (const FieldBuild& build : byGain(*analysis.field)) {
        FieldRow row;
        row.build = build.id;
        row.number = buildNumber(day, build.id);
        row.base = build.id == analysis.field->base;
        row.gain = row.base ? QObject::tr("base") : gainText(build);
        row.verdict = qs(fieldVerdict(*analysis.field, build));
        row.mayBeBest = build.mayBeBest && analysis.field->mayClaim();
        if (const Comparison* c = row.base ? nullptr : analysis.find(analysis.field->base, build.id))
            row.regions = c->regions;
        out.push_back(std::move(row));
    }
    return out;
}

std::vector<LeadPart> leadParts(const TestDay& day, const DayAnalysis& analysis) {
    std::vector<LeadPart> out;
    if (!analysis.field)
        return out;
    for (const LeadStretch& lead : analysis.field->leads) {
        QStringList names;
        for (const std::string& build : lead.builds)
            names << qs(build);
        const QString last = names.takeLast();
        LeadPart part{lead.range_rpm,
                      names.isEmpty() ? last : QObject::tr("%1 or %2").arg(names.join(u", "_s), last),
                      lead.builds.size(),
                      {}};
        if (lead.builds.size() == 1)
            part.proven = buildNumber(day, lead.builds.front());
        out.push_back(part);
    }
    return out;
}

std::optional<RpmRange> fieldRange(const DayAnalysis& analysis) {
    std::vector<std::string> ids;
    for (const BuildResult& build : analysis.builds)
        ids.push_back(build.id);
    return rangeOf(analysis, ids);
}

BoardContent fieldCurves(const TestDay& day, const DayAnalysis& analysis, const CompareView& view, const Theme& theme) {
    BoardContent out;
    out.title = quantityTitle(analysis, view);
    out.xTitle = u"rpm"_s;
    out.xRange = fieldRange(analysis);
    std::vector<BoardSeries> front;
    for (const BuildResult& build : analysis.builds) {
        BoardSeries series = seriesOf(day, analysis, build, view, theme);
        const bool chosen = build.id == view.to;
        if (chosen)
            series.pen.setWidthF(3.0);
        else if (build.id != view.from)
            series.pen.setColor(theme.faded(series.pen.color(), 0.45));
        (chosen ? front : out.series).push_back(std::move(series));
    }
    out.series.insert(out.series.end(), front.begin(), front.end());
    out.shades = useShades(analysis, theme);
    return out;
}

std::vector<BoardContent> smallCurves(const TestDay& day, const DayAnalysis& analysis, const CompareView& view,
                                      const Theme& theme) {
    std::vector<BoardSeries> all;
    for (const BuildResult& build : analysis.builds)
        all.push_back(seriesOf(day, analysis, build, view, theme));
    const auto base =
        std::find_if(all.begin(), all.end(), [&](const BoardSeries& series) { return series.label == qs(view.from); });
    std::vector<BoardContent> out;
    for (const BoardSeries& series : all) {
        BoardContent board;
        board.xRange = fieldRange(analysis);
        board.yRange = scaleOf(all);
        const FieldBuild* score = findIn(analysis, series.label.toStdString());
        const bool isBase = base != all.end() && series.label == base->label;
        board.title = score && !isBase ? u"%1  %2"_s.arg(series.label, gainText(*score)) : series.label;
        if (base != all.end() && !isBase)
            board.series.push_back({base->x, base->y, QPen(theme.quietInk, 1.0), {}});
        board.series.push_back({series.x, series.y, series.pen, {}});
        out.push_back(std::move(board));
    }
    return out;
}

QString fieldText(const DayAnalysis& analysis) {
    if (analysis.field)
        return unbroken(qs(said(fieldSummary(*analysis.field))));
    if (analysis.builds.size() < 3)
        return QObject::tr(
                   "The field holds three builds and more against each other. Builds with pulls in use here: %1.")
            .arg(analysis.builds.size());
    return QObject::tr("No order can be told: the pulls do not cover the use, or none is repeated. Widen the use, or "
                       "make a second pull of a build.");
}

QString useText(const TestDay& day, const DayAnalysis& analysis) {
    if (!analysis.field)
        return {};
    return QObject::tr("Use: %1").arg(qs(usePhrase(day, analysis.field->use)));
}

QStringList fieldLines(const TestDay& day, const DayAnalysis& analysis, const std::string& build) {
    QStringList out;
    const FieldBuild* score = findIn(analysis, build);
    if (!score || !std::isfinite(score->gain))
        return out;
    const Field& field = *analysis.field;
    if (build != field.base) {
        out << QObject::tr("%1 over %2 for the use").arg(gainText(*score), qs(field.base));
        out << QObject::tr("%1 with the luck of the winner taken off").arg(percentText(percentOfLog(score->shrunk), 1));
    }
    if (field.mayClaim()) {
        if (std::isfinite(score->costsAtMost) && score->costsAtMost > 0.0)
            out << QObject::tr("Taking it gives away %1\u00A0% at most")
                       .arg(numberText(percentOfLog(score->costsAtMost), 1));
        out << QObject::tr("Chance of being the best: %1\u00A0%").arg(numberText(100.0 * score->chanceBest, 0));
    }
    if (const Comparison* c = build == field.base ? nullptr : analysis.find(field.base, build))
        out << changedText(*c);
    const Build* from = findBuild(day, field.base);
    const Build* to = findBuild(day, build);
    if (from && to)
        if (const Statement specific = specificPhrase(analysis, *from, *to); !specific.empty())
            out << qs(specific);
    return out;
}

} // namespace hillrun
