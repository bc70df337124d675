// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/field_content.h"

#include "app/compare/compare_content.h"
#include "app/look/words.h"
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

QString gainText(const FieldBuild& build) {
    if (!std::isfinite(build.gain))
        return u"\u2013"_s;
    const double half = (percentOfLog(build.high) - percentOfLog(build.low)) / 2.0;
    const int decimals = half < 0.1 ? 2 : 1;
    return u"%1 \u00B1 %2\u00A0%"_s.arg((build.gain < 0.0 ? u"\u2212"_s : u"+"_s) +
                                            numberText(std::abs(percentOfLog(build.gain)), decimals),
                                        numberText(half, decimals));
}

QString verdictOf(const Field& field, const FieldBuild& build) {
    if (!std::isfinite(build.gain) || !field.mayClaim())
        return QObject::tr("cannot tell yet");
    if (!build.mayBeBest)
        return QObject::tr("not the best");
    return build.costsAtMost > 0.0 || std::isnan(build.costsAtMost) ? QObject::tr("may be best")
                                                                    : QObject::tr("the best");
}

/// The fit's curve of a build in the unit shown.
BoardSeries seriesOf(const TestDay& day, const DayAnalysis& analysis, const std::string& id, const FieldView& view,
                     const Theme& theme) {
    BoardSeries out;
    const BuildResult* build = analysis.findBuild(id);
    if (!build)
        return out;
    for (size_t i = 0; i < analysis.rpm.size(); ++i) {
        out.x.push_back(analysis.rpm[i]);
        out.y.push_back(view.quantity == Quantity::Power
                            ? powerIn(view.units.power, build->power_w[i])
                            : torqueIn(view.units.torque, build->power_w[i] / angularSpeed(analysis.rpm[i])));
    }
    out.pen = theme.buildPen(buildNumber(day, id), 2.0);
    out.label = qs(id);
    return out;
}

QString titleOf(const DayAnalysis& analysis, const FieldView& view) {
    const bool power = view.quantity == Quantity::Power;
    return u"%1 %2, %3"_s.arg(
        power ? QObject::tr("Power") : QObject::tr("Torque"), qs(placePhrase(analysis.place)),
        QString::fromUtf8(power ? powerUnitText(view.units.power) : torqueUnitText(view.units.torque)));
}

/// From the lowest to the highest value of all builds, with some room: one scale for all small boards.
std::optional<RpmRange> commonScale(const TestDay& day, const DayAnalysis& analysis, const FieldView& view,
                                    const Theme& theme) {
    std::optional<RpmRange> out;
    for (const BuildResult& build : analysis.builds)
        for (const double y : seriesOf(day, analysis, build.id, view, theme).y) {
            if (!std::isfinite(y))
                continue;
            out = out ? RpmRange{std::min(out->low, y), std::max(out->high, y)} : RpmRange{y, y};
        }
    if (out)
        out = RpmRange{out->low - 0.05 * (out->high - out->low), out->high + 0.05 * (out->high - out->low)};
    return out;
}

std::string baseOf(const DayAnalysis& analysis) {
    if (analysis.field)
        return analysis.field->base;
    return analysis.builds.empty() ? std::string() : analysis.builds.front().id;
}

} // namespace

std::vector<FieldRow> fieldRows(const TestDay& day, const DayAnalysis& analysis) {
    if (!analysis.field)
        return {};
    std::vector<FieldBuild> sorted = analysis.field->builds;
    std::stable_sort(sorted.begin(), sorted.end(), [](const FieldBuild& a, const FieldBuild& b) {
        return std::isfinite(a.gain) && (!std::isfinite(b.gain) || a.gain > b.gain);
    });
    std::vector<FieldRow> out;
    for (const FieldBuild& build : sorted) {
        FieldRow row;
        row.build = build.id;
        row.number = buildNumber(day, build.id);
        row.base = build.id == analysis.field->base;
        row.gain = row.base ? QObject::tr("base") : gainText(build);
        row.verdict = verdictOf(*analysis.field, build);
        row.mayBeBest = build.mayBeBest && analysis.field->mayClaim() && std::isfinite(build.gain);
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
    std::optional<RpmRange> out;
    for (const BuildResult& build : analysis.builds)
        for (size_t i = 0; i < analysis.rpm.size(); ++i) {
            if (!std::isfinite(build.power_w[i]))
                continue;
            if (!out)
                out = RpmRange{analysis.rpm[i], analysis.rpm[i]};
            out->low = std::min(out->low, analysis.rpm[i]);
            out->high = std::max(out->high, analysis.rpm[i]);
        }
    return out;
}

BoardContent fieldCurves(const TestDay& day, const DayAnalysis& analysis, const FieldView& view, const Theme& theme) {
    BoardContent out;
    out.title = titleOf(analysis, view);
    out.xTitle = u"rpm"_s;
    out.xRange = fieldRange(analysis);
    const std::string base = baseOf(analysis);
    std::vector<BoardSeries> front;
    for (const BuildResult& build : analysis.builds) {
        BoardSeries series = seriesOf(day, analysis, build.id, view, theme);
        const bool chosen = build.id == view.chosen;
        if (chosen)
            series.pen.setWidthF(3.0);
        else if (build.id != base)
            series.pen.setColor(theme.faded(series.pen.color(), 0.45));
        (chosen ? front : out.series).push_back(std::move(series));
    }
    out.series.insert(out.series.end(), front.begin(), front.end());
    if (day.plan.use_rpm && analysis.field)
        out.shades.push_back({analysis.field->use.range_rpm.low, analysis.field->use.range_rpm.high,
                              theme.faded(theme.mark, 0.1), QObject::tr("the use")});
    return out;
}

BoardContent smallCurves(const TestDay& day, const DayAnalysis& analysis, const std::string& build,
                         const FieldView& view, const Theme& theme) {
    BoardContent out;
    out.xRange = fieldRange(analysis);
    const std::string base = baseOf(analysis);
    const FieldBuild* score = findIn(analysis, build);
    out.title = score && build != base ? u"%1  %2"_s.arg(qs(build), gainText(*score)) : qs(build);
    out.yRange = commonScale(day, analysis, view, theme);
    if (build != base) {
        BoardSeries under = seriesOf(day, analysis, base, view, theme);
        under.pen = QPen(theme.quietInk, 1.0);
        under.label.clear();
        out.series.push_back(std::move(under));
    }
    BoardSeries own = seriesOf(day, analysis, build, view, theme);
    own.label.clear();
    out.series.push_back(std::move(own));
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
    const QString range = rangeText(analysis.field->use.range_rpm);
    if (!day.plan.use_rpm)
        return QObject::tr("Use: %1 rpm, all that every pull covers").arg(range);
    return day.plan.useAfterLooking ? QObject::tr("Use: %1 rpm, chosen after looking").arg(range)
                                    : QObject::tr("Use: %1 rpm").arg(range);
}

QStringList fieldLines(const DayAnalysis& analysis, const std::string& build) {
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
    return out;
}

} // namespace hillrun
