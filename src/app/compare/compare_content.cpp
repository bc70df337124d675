// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/compare_content.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/channels/channels.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString unitText(const CompareView& view) {
    return QString::fromUtf8(view.quantity == Quantity::Power ? powerUnitText(view.units.power)
                                                              : torqueUnitText(view.units.torque));
}

QString quantityText(const CompareView& view) {
    return view.quantity == Quantity::Power ? QObject::tr("Power") : QObject::tr("Torque");
}

QString curveSchoolText(CurveSchool school) {
    switch (school) {
    case CurveSchool::Best:
        return QObject::tr("best pull, without an interval");
    case CurveSchool::Median:
        return QObject::tr("median pull, without an interval");
    case CurveSchool::LastSettled:
        return QObject::tr("last pull, without an interval");
    case CurveSchool::Mean:
        break;
    }
    return QObject::tr("mean of the pulls");
}

double valueAt(const std::vector<double>& rpm, const std::vector<double>& values, double at) {
    for (size_t i = 1; i < rpm.size(); ++i) {
        if (at < rpm[i - 1] || at > rpm[i])
            continue;
        const double share = (at - rpm[i - 1]) / (rpm[i] - rpm[i - 1]);
        return values[i - 1] + share * (values[i] - values[i - 1]);
    }
    return std::nan("");
}

} // namespace

std::vector<double> inUnits(const std::vector<double>& values_w, const std::vector<double>& rpm,
                            const CompareView& view) {
    std::vector<double> out;
    for (size_t i = 0; i < values_w.size(); ++i)
        out.push_back(view.quantity == Quantity::Power
                          ? powerIn(view.units.power, values_w[i])
                          : torqueIn(view.units.torque, values_w[i] / angularSpeed(rpm[i])));
    return out;
}

QString quantityTitle(const DayAnalysis& analysis, const CompareView& view) {
    return u"%1 %2, %3"_s.arg(quantityText(view), qs(placePhrase(analysis.place)), unitText(view));
}

std::optional<RpmRange> rangeOf(const DayAnalysis& analysis, const std::vector<std::string>& builds) {
    std::optional<RpmRange> out;
    for (const std::string& id : builds) {
        const BuildResult* build = analysis.findBuild(id);
        if (!build)
            continue;
        for (size_t i = 0; i < analysis.rpm.size(); ++i) {
            if (!std::isfinite(build->power_w[i]))
                continue;
            if (!out)
                out = RpmRange{analysis.rpm[i], analysis.rpm[i]};
            out->low = std::min(out->low, analysis.rpm[i]);
            out->high = std::max(out->high, analysis.rpm[i]);
        }
    }
    return out;
}

std::optional<RpmRange> boardRange(const DayAnalysis& analysis, const CompareView& view) {
    return rangeOf(analysis, {view.from, view.to});
}

BoardContent curvesContent(const TestDay& day, const DayAnalysis& analysis, const CompareView& view,
                           const Theme& theme) {
    BoardContent out;
    out.title =
        QObject::tr("%1 %2, %3 \u00B7 %4")
            .arg(quantityText(view), qs(placePhrase(analysis.place)), unitText(view), curveSchoolText(view.school));
    out.xRange = boardRange(analysis, view);
    out.shades = useShades(analysis, theme);
    for (const std::string& id : {view.from, view.to}) {
        const SchoolCurve curve = schoolCurve(analysis, id, view.school);
        if (curve.rpm.empty())
            continue;
        BoardSeries series;
        series.x = curve.rpm;
        series.y = inUnits(curve.power_w, curve.rpm, view);
        series.pen = theme.buildPen(buildNumber(day, id), 2.0);
        series.label = curve.pull.empty() ? qs(id) : u"%1 %2"_s.arg(qs(id), qs(curve.pull));
        out.series.push_back(std::move(series));
    }
    return out;
}

BoardContent differenceContent(const DayAnalysis& analysis, const CompareView& view, const Theme& theme) {
    BoardContent out;
    out.xTitle = u"rpm"_s;
    out.xRange = boardRange(analysis, view);
    out.zeroLine = true;
    out.symmetric = true;
    out.title = QObject::tr("Difference %1 \u2212 %2, %3 %4")
                    .arg(qs(view.to), qs(view.from), unitText(view), qs(placePhrase(analysis.place)));
    const Comparison* c = analysis.find(view.from, view.to);
    if (!c)
        return out;
    if (c->hasInterval) {
        out.title += QObject::tr(" \u00B7 band: 95\u00A0% for the whole curve");
        QColor colour = theme.quietInk;
        colour.setAlpha(theme.dark ? 80 : 60);
        out.bands.push_back(
            {c->rpm, inUnits(c->judgedBand().low, c->rpm, view), inUnits(c->judgedBand().high, c->rpm, view), colour});
    }
    if (!c->given.empty())
        out.title += QObject::tr(" \u00B7 a curve only: no band");
    else if (!c->protectedFromDrift)
        out.title += QObject::tr(" \u00B7 not separable from drift");
    out.series.push_back({c->rpm,
                          inUnits(c->delta_w, c->rpm, view),
                          QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin),
                          {}});
    return out;
}

QString cursorText(const DayAnalysis& analysis, const CompareView& view, double rpm) {
    QString text = qs(rpmText(std::round(rpm / 10.0) * 10.0)) + u"\u00A0rpm"_s;
    for (const std::string& id : {view.from, view.to}) {
        const SchoolCurve curve = schoolCurve(analysis, id, view.school);
        const double value = valueAt(curve.rpm, inUnits(curve.power_w, curve.rpm, view), rpm);
        if (std::isfinite(value))
            text += u"  %1 %2"_s.arg(qs(id)).arg(numberText(value, 1));
    }
    const Comparison* c = analysis.find(view.from, view.to);
    if (!c)
        return text;
    const double delta = valueAt(c->rpm, inUnits(c->delta_w, c->rpm, view), rpm);
    const double half = 0.5 * (valueAt(c->rpm, inUnits(c->judgedBand().high, c->rpm, view), rpm) -
                               valueAt(c->rpm, inUnits(c->judgedBand().low, c->rpm, view), rpm));
    if (std::isfinite(delta))
        text += u"  \u0394 "_s + qs(currentVoice().interval(delta, half, unitText(view).toStdString(), true));
    return text;
}

std::vector<BandRow> bandRows(const Comparison& c, const CompareView& view) {
    std::vector<BandRow> out;
    for (size_t i = 0; i < c.bands.size(); ++i) {
        const BandResult& band = c.bands[i];
        BandRow row;
        row.range = rangeText(band.range_rpm);
        const bool power = view.quantity == Quantity::Power;
        const double low = power ? band.low_w : band.lowTorque_nm;
        const double high = power ? band.high_w : band.highTorque_nm;
        row.difference = power ? powerDifference(band.delta_w, 0.5 * (high - low), view.units)
                               : torqueDifference(band.deltaTorque_nm, 0.5 * (high - low), view.units);
        row.percent = percentText(band.percent, 1);
        row.claim = claimOf(c, low, high);
        row.asked = band.asked;
        out.push_back(row);
    }
    return out;
}

QStringList peakLines(const Comparison& c, const CompareView& view) {
    QStringList out;
    auto half = [](const PeakDifference& p) { return 0.5 * (p.high - p.low); };
    out << QObject::tr("Peak power  %1").arg(powerDifference(c.peakPower_w.delta, half(c.peakPower_w), view.units));
    out << QObject::tr("Peak torque  %1")
               .arg(torqueDifference(c.peakTorque_nm.delta, half(c.peakTorque_nm), view.units));
    out << QObject::tr("Peak power moves  %1")
               .arg(qs(currentVoice().interval(c.peakPowerShift_rpm.delta, half(c.peakPowerShift_rpm), "rpm", true)));
    if (c.peakPower_w.atEnd)
        out << QObject::tr("Some pull still rises where it ends: raise the end speed by 100 rpm.");
    if (!c.given.empty())
        return out; // without a band nothing crosses clearly
    QStringList crossings;
    for (const double rpm : c.crossovers_rpm)
        crossings << qs(rpmText(std::round(rpm / 10.0) * 10.0));
    out << (crossings.isEmpty() ? QObject::tr("The lines do not clearly cross.")
                                : QObject::tr("The lines cross at %1 rpm").arg(crossings.join(QObject::tr(" and "))));
    return out;
}

QString claimText(Claim claim, bool asMore) {
    switch (claim) {
    case Claim::Gain:
        return asMore ? QObject::tr("more") : QObject::tr("gain");
    case Claim::Loss:
        return asMore ? QObject::tr("less") : QObject::tr("loss");
    case Claim::Unresolved:
        break;
    }
    return QObject::tr("cannot tell");
}

QString changedText(const Comparison& c) {
    if (c.changed.empty())
        return QObject::tr("No change noted: say in the day what differs.");
    QStringList lines;
    for (const Change& change : c.changed)
        lines << u"%1: %2 \u2192 %3"_s.arg(qs(change.part).replace(u'_', u' '), qs(valuePhrase(change.from)),
                                           qs(valuePhrase(change.to)));
    if (c.changed.size() > 1)
        lines.prepend(QObject::tr("%1 changes together; the effect is joint").arg(c.changed.size()));
    return lines.join(u'\n');
}

QString likeText(const Comparison& c, bool* differs) {
    QStringList wrong;
    QStringList explained;
    int matched = 0;
    if (!c.samePlace())
        wrong << QObject::tr("Power was measured at different places: the difference holds the losses between");
    for (const LikeForLike& row : c.likeForLike) {
        if (row.verdict == LikeVerdict::Matched)
            ++matched;
        else if (row.verdict == LikeVerdict::Explained)
            explained << insideSentence(channelText(row.channel));
        else if (row.verdict == LikeVerdict::NotRecorded)
            wrong << QObject::tr("%1 was recorded in one build only").arg(channelText(row.channel));
        else
            wrong << QObject::tr("%1 differs by %2 %3 (tolerance %4)")
                         .arg(channelText(row.channel), qs(currentVoice().number(significant(row.difference, 3))),
                              row.unit == "1" ? QString() : qs(row.unit), QString::number(row.tolerance));
    }
    if (differs)
        *differs = !wrong.isEmpty();
    if (wrong.isEmpty() && !explained.isEmpty())
        return QObject::tr("Like for like: %1 checks matched; %2 moved with what was changed, as it must")
            .arg(matched)
            .arg(explained.join(QObject::tr(" and ")));
    if (wrong.isEmpty())
        return c.likeForLike.empty() ? QObject::tr("Nothing else was recorded to compare.")
                                     : QObject::tr("Like for like: all %1 checks matched").arg(matched);
    return wrong.join(u'\n');
}

QString leftOutText(const DayAnalysis& analysis, bool* warns) {
    QStringList lines;
    bool warn = false;
    for (const PullResult& pull : analysis.pulls) {
        if (!pull.used)
            lines << QObject::tr("Left out: %1 (%2), %3").arg(qs(pull.id), qs(pull.build), qs(pull.whyLeftOut));
        for (const PullFlag& flag : pull.flags) {
            lines << QObject::tr("Look at %1 (%2): %3").arg(qs(pull.id), qs(pull.build), flagText(flag));
            warn = true;
        }
    }
    if (warns)
        *warns = warn;
    return lines.isEmpty() ? QObject::tr("No pull was left out.") : lines.join(u'\n');
}

std::vector<BoardShade> useShades(const DayAnalysis& analysis, const Theme& theme) {
    if (!analysis.settings.use)
        return {};
    constexpr double kMostShade = 0.1;
    const Use& use = *analysis.settings.use;
    if (use.weights.size() < 2)
        return {{use.range_rpm.low, use.range_rpm.high, theme.faded(theme.mark, kMostShade), QObject::tr("the use")}};
    double most = 0.0;
    for (const RpmWeight& one : use.weights)
        most = std::max(most, one.weight);
    std::vector<BoardShade> out;
    for (size_t i = 1; i < use.weights.size(); ++i) {
        const RpmWeight& from = use.weights[i - 1];
        const RpmWeight& to = use.weights[i];
        const double share = 0.5 * (from.weight + to.weight) / most;
        if (share > 0.0)
            out.push_back({from.rpm, to.rpm, theme.faded(theme.mark, 1.6 * kMostShade * share), {}});
    }
    if (!out.empty())
        out.front().word = QObject::tr("the use");
    return out;
}

} // namespace hillrun
