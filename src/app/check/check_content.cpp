// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_content.h"

#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/pull/reduce.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

double shown(double power_w, double rpm, const CheckView& view) {
    return view.quantity == Quantity::Power ? powerIn(view.units.power, power_w)
                                            : torqueIn(view.units.torque, power_w / angularSpeed(rpm));
}

QString unitText(const CheckView& view) {
    return QString::fromUtf8(view.quantity == Quantity::Power ? powerUnitText(view.units.power)
                                                              : torqueUnitText(view.units.torque));
}

/// Thin for the others of the set, strong for the selected one, dotted for pulls that are left out.
QPen pullPen(const TestDay& day, const PullResult& pull, bool selected, const Theme& theme) {
    QPen pen(theme.build(buildNumber(day, pull.build)), selected ? 2.4 : 1.0);
    pen.setCapStyle(Qt::RoundCap);
    if (!selected)
        pen.setColor(theme.faded(pen.color(), 0.6));
    if (!pull.used)
        pen.setStyle(Qt::DashLine);
    return pen;
}

/// The pulls shown together: the used ones of the selected pull's build, and the selected one itself, drawn last.
std::vector<const PullResult*> companions(const DayAnalysis& analysis, const std::string& selected) {
    std::vector<const PullResult*> out;
    const PullResult* chosen = findResult(analysis, selected);
    if (!chosen)
        return out;
    for (const PullResult& pull : analysis.pulls)
        if (pull.build == chosen->build && pull.used && &pull != chosen && pull.curve)
            out.push_back(&pull);
    if (chosen->curve)
        out.push_back(chosen);
    return out;
}

std::optional<RpmRange> axisOf(const std::vector<const PullResult*>& pulls) {
    std::optional<RpmRange> out;
    for (const PullResult* pull : pulls) {
        const RpmRange& whole = pull->curve->sweep.whole_rpm;
        if (!out)
            out = whole;
        out->low = std::min(out->low, whole.low);
        out->high = std::max(out->high, whole.high);
    }
    return out;
}

/// Stretches of the sweep that are cut off, with the reason.
std::vector<BoardShade> trimShades(const PullResult& pull, const Theme& theme) {
    std::vector<BoardShade> out;
    const Sweep& sweep = pull.curve->sweep;
    QColor colour = theme.warning;
    colour.setAlpha(36);
    auto add = [&](double from, double to, const char* other) {
        if (to - from < 25.0)
            return;
        QString word = QString::fromUtf8(other);
        for (const Trim& trim : sweep.trims)
            if (trim.reason == TrimReason::ByHand)
                word = QString::fromUtf8(trimReasonText(trim.reason));
        out.push_back({from, to, colour, word});
    };
    add(sweep.whole_rpm.low, sweep.window_rpm.low, trimReasonText(TrimReason::UnsettledStart));
    add(sweep.window_rpm.high, sweep.whole_rpm.high, trimReasonText(TrimReason::EndOfSweep));
    return out;
}

/// The spread of one pull as a band still without its edges.
BoardBand spreadBand(const TestDay& day, const DayAnalysis& analysis, const std::string& build, const Theme& theme) {
    BoardBand band;
    band.x = analysis.rpm;
    band.colour = theme.build(buildNumber(day, build));
    band.colour.setAlpha(45);
    return band;
}

double meanAt(const DayAnalysis& analysis, const BuildResult& build, double rpm) {
    if (analysis.rpm.empty())
        return std::nan("");
    const auto i = std::llround((rpm - analysis.rpm.front()) / analysis.settings.reduce.grid_rpm);
    return i >= 0 && i < static_cast<long long>(analysis.rpm.size()) ? build.power_w[static_cast<size_t>(i)]
                                                                     : std::nan("");
}

/// Raw rows of a channel against time, as a board line.
BoardSeries rawInTime(const Pull& pull, const std::vector<double>& values, double scale, const QPen& pen) {
    BoardSeries out;
    if (const Column* time = pull.raw->find("time"))
        out.x = time->values;
    for (const double value : values)
        out.y.push_back(value * scale);
    out.pen = pen;
    return out;
}

std::vector<BoardShade> timeShades(const PullResult& result, const Theme& theme) {
    std::vector<BoardShade> out;
    QColor colour = theme.warning;
    colour.setAlpha(36);
    for (const Trim& trim : result.curve->sweep.trims)
        out.push_back({trim.from_s, trim.to_s, colour, QString::fromUtf8(trimReasonText(trim.reason))});
    return out;
}

} // namespace

const PullResult* findResult(const DayAnalysis& analysis, const std::string& pull) {
    for (const PullResult& result : analysis.pulls)
        if (result.id == pull)
            return &result;
    return nullptr;
}

BoardContent overlayContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                            const Theme& theme) {
    BoardContent out;
    const auto pulls = companions(analysis, view.pull);
    const PullResult* chosen = findResult(analysis, view.pull);
    out.title = QObject::tr("%1, %2").arg(
        view.quantity == Quantity::Power ? QObject::tr("Power") : QObject::tr("Torque"), unitText(view));
    out.xRange = axisOf(pulls);
    if (pulls.empty() || !chosen)
        return out;
    out.title += QObject::tr(" \u00B7 pulls of build %1, shaded: where 19 of 20 lie").arg(qs(chosen->build));
    if (const BuildResult* build = analysis.findBuild(chosen->build); build && !analysis.pooledSd_w.empty()) {
        BoardBand band = spreadBand(day, analysis, chosen->build, theme);
        for (size_t i = 0; i < band.x.size(); ++i) {
            band.low.push_back(shown(build->power_w[i] - 2.0 * analysis.pooledSd_w[i], band.x[i], view));
            band.high.push_back(shown(build->power_w[i] + 2.0 * analysis.pooledSd_w[i], band.x[i], view));
        }
        out.bands.push_back(std::move(band));
    }
    for (const PullResult* pull : pulls) {
        BoardSeries series;
        series.x = pull->curve->rpm;
        for (size_t i = 0; i < series.x.size(); ++i)
            series.y.push_back(shown(pull->curve->power_w[i], series.x[i], view));
        series.pen = pullPen(day, *pull, pull == chosen, theme);
        if (pull == chosen)
            series.label = qs(pull->id);
        out.series.push_back(std::move(series));
    }
    if (chosen->curve)
        out.shades = trimShades(*chosen, theme);
    return out;
}

BoardContent deviationContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                              const Theme& theme) {
    BoardContent out;
    const auto pulls = companions(analysis, view.pull);
    const PullResult* chosen = findResult(analysis, view.pull);
    out.xTitle = u"rpm"_s;
    out.xRange = axisOf(pulls);
    out.zeroLine = true;
    out.symmetric = true;
    const BuildResult* build = chosen ? analysis.findBuild(chosen->build) : nullptr;
    if (!build)
        return out;
    out.title = QObject::tr("Each pull against the mean of build %1, %").arg(qs(chosen->build));
    if (!analysis.pooledSd_w.empty()) {
        BoardBand band = spreadBand(day, analysis, chosen->build, theme);
        for (size_t i = 0; i < band.x.size(); ++i) {
            const double spread = 200.0 * analysis.pooledSd_w[i] / build->power_w[i];
            band.low.push_back(-spread);
            band.high.push_back(spread);
        }
        out.bands.push_back(std::move(band));
    }
    for (const PullResult* pull : pulls) {
        BoardSeries series;
        series.x = pull->curve->rpm;
        for (size_t i = 0; i < series.x.size(); ++i)
            series.y.push_back(100.0 * (pull->curve->power_w[i] / meanAt(analysis, *build, series.x[i]) - 1.0));
        series.pen = pullPen(day, *pull, pull == chosen, theme);
        if (pull == chosen)
            series.label = qs(pull->id);
        out.series.push_back(std::move(series));
    }
    return out;
}

BoardContent torqueInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme) {
    BoardContent out;
    const PullResult* result = findResult(analysis, view.pull);
    const Pull* pull = findPull(day, view.pull);
    out.xTitle = u"s"_s;
    out.title = QObject::tr("Torque as recorded, %1").arg(QString::fromUtf8(torqueUnitText(view.units.torque)));
    if (!result || !pull || !pull->raw)
        return out;
    try {
        out.series.push_back(rawInTime(*pull, rawTorque_nm(*pull->raw), torqueIn(view.units.torque, 1.0),
                                       QPen(theme.build(buildNumber(day, pull->build)), 1.2)));
    } catch (const DataError&) {
        return out; // no torque in this file; the slip says so
    }
    if (result->curve)
        out.shades = timeShades(*result, theme);
    return out;
}

BoardContent speedInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme) {
    BoardContent out;
    const PullResult* result = findResult(analysis, view.pull);
    const Pull* pull = findPull(day, view.pull);
    out.xTitle = u"s"_s;
    out.title = QObject::tr("Engine speed, rpm");
    const Column* speed = pull && pull->raw ? pull->raw->find("engine_speed") : nullptr;
    if (!result || !speed)
        return out;
    out.series.push_back(rawInTime(*pull, speed->values, 1.0, QPen(theme.ink, 1.2)));
    if (result->curve) {
        out.shades = timeShades(*result, theme);
        for (BoardShade& shade : out.shades)
            shade.word.clear();
    }
    return out;
}

QString slipText(const TestDay& day, const DayAnalysis& analysis, const std::string& id) {
    const PullResult* result = findResult(analysis, id);
    const Pull* pull = findPull(day, id);
    if (!result || !pull)
        return QObject::tr("Select a pull.");
    QStringList lines;
    QString first = QObject::tr("%1 \u00B7 build %2").arg(qs(id), qs(pull->build));
    if (pull->started.size() >= 16)
        first += u" \u00B7 "_s + qs(pull->started.substr(11, 5));
    if (result->curve && result->curve->weatherKnown)
        first += QObject::tr(" \u00B7 air factor %1").arg(result->curve->air.factor, 0, 'f', 4);
    if (std::isfinite(result->differenceFromSet_pct))
        first += QObject::tr(" \u00B7 %1 against its set").arg(percentText(result->differenceFromSet_pct));
    lines << first;
    if (!result->used)
        lines << QObject::tr("Left out: %1").arg(qs(result->whyLeftOut));
    for (const PullFlag& flag : result->flags)
        lines << QObject::tr("Does not look like the others: %1").arg(flagText(flag));
    if (result->curve) {
        for (const Trim& trim : result->curve->sweep.trims)
            if (trim.reason == TrimReason::UnsettledStart || trim.reason == TrimReason::ByHand ||
                trim.reason == TrimReason::Limiter)
                lines << QObject::tr("Trimmed: %1, %2 to %3 s")
                             .arg(QString::fromUtf8(trimReasonText(trim.reason)))
                             .arg(trim.from_s, 0, 'f', 2)
                             .arg(trim.to_s, 0, 'f', 2);
        if (!result->curve->air.validityNote.empty())
            lines << qs(result->curve->air.validityNote);
    }
    if (!pull->note.empty())
        lines << qs(pull->note);
    return lines.join(u'\n');
}

} // namespace hillrun
