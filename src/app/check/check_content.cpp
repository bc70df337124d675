// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_content.h"

#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/pull/curve_rows.h"
#include "core/pull/events.h"
#include "core/pull/given_curve.h"

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

std::optional<RpmRange> axisOf(const std::vector<const PullResult*>& pulls) {
    std::optional<RpmRange> out;
    for (const PullResult* pull : pulls) {
        const RpmRange& whole = pull->curve->sweep().whole_rpm;
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
    const Sweep& sweep = pull.curve->sweep();
    QColor colour = theme.warning;
    colour.setAlpha(36);
    auto add = [&](double from, double to, TrimReason other) {
        if (to - from < 25.0)
            return;
        QString word = qs(trimReasonPhrase(other));
        for (const Trim& trim : sweep.trims)
            if (trim.reason == TrimReason::ByHand)
                word = qs(trimReasonPhrase(trim.reason));
        out.push_back({from, to, colour, word});
    };
    add(sweep.whole_rpm.low, sweep.window_rpm.low, TrimReason::UnsettledStart);
    add(sweep.window_rpm.high, sweep.whole_rpm.high, TrimReason::EndOfSweep);
    return out;
}

/// The events that lie on a stretch of the curve: the stretch in the warning colour, the name above it.
void markEvents(BoardContent& board, const PullResult& pull, const CheckView& view, const Theme& theme) {
    const Curve& curve = *pull.curve;
    std::vector<std::pair<double, QString>> said;
    for (const Event& event : pull.events) {
        const double middle = 0.5 * (event.range_rpm.low + event.range_rpm.high);
        const double on = std::clamp(middle, curve.rpm.front(), curve.rpm.back());
        const double power_w = valueAt(curve, curve.power_w, on);
        const bool whole = event.range_rpm.high - event.range_rpm.low > 0.9 * (curve.rpm.back() - curve.rpm.front());
        if (whole || !std::isfinite(power_w))
            continue; // about the whole pull: the slip says it
        const QString word = phrase("event_title." + std::string(eventKindInfo(event.kind).name));
        if (std::any_of(said.begin(), said.end(),
                        [&](const auto& other) { return other.second == word && std::abs(other.first - on) < 200.0; }))
            continue;
        said.emplace_back(on, word);
        const QColor colour = isRemark(event) ? theme.quietInk : theme.warning;
        board.marks.push_back({middle, shown(power_w, on, view), colour, word}); // in a trimmed end too
        BoardSeries stretch;
        for (size_t i = 0; i < curve.rpm.size(); ++i) {
            if (!event.range_rpm.holds(curve.rpm[i]))
                continue;
            stretch.x.push_back(curve.rpm[i]);
            stretch.y.push_back(shown(curve.power_w[i], curve.rpm[i], view));
        }
        stretch.pen = QPen(theme.faded(colour, 0.55), 7.0, Qt::SolidLine, Qt::FlatCap);
        if (stretch.x.size() >= 2)
            board.series.insert(board.series.begin(), std::move(stretch));
    }
    std::stable_sort(board.marks.begin(), board.marks.end(),
                     [](const BoardMark& a, const BoardMark& b) { return a.x < b.x; });
}

/// The rows as they were recorded, trimmed ends too.
BoardSeries rawSeries(const Curve& curve, const CheckView& view, const QPen& pen) {
    const CurveRows rows = correctedRows(curve);
    BoardSeries out;
    for (size_t i = 0; i < rows.rpm.size(); ++i) {
        if (!std::isfinite(rows.rpm[i]))
            continue;
        out.x.push_back(rows.rpm[i]);
        out.y.push_back(shown(rows.power_w[i], rows.rpm[i], view));
    }
    out.pen = pen;
    if (curve.steps().empty())
        out.pen.setWidthF(1.0);
    else
        out.dots = 2.0;
    return out;
}

BoardSeries smoothSeries(const PullResult& pull, const CheckView& view, const QPen& pen) {
    BoardSeries out;
    out.x = pull.curve->rpm;
    for (size_t i = 0; i < out.x.size(); ++i)
        out.y.push_back(shown(pull.curve->power_w[i], out.x[i], view));
    out.pen = pen;
    return out;
}

/// The held speeds of a pull in steps.
BoardSeries stepDots(const PullResult& pull, const CheckView& view, const QColor& colour) {
    BoardSeries out;
    for (const HeldStep& step : pull.curve->steps()) {
        out.x.push_back(step.rpm);
        out.y.push_back(shown(valueAt(*pull.curve, pull.curve->power_w,
                                      std::clamp(step.rpm, pull.curve->rpm.front(), pull.curve->rpm.back())),
                              step.rpm, view));
    }
    out.pen = QPen(QBrush(colour), 1.0);
    out.dots = 7.0;
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
    for (const Trim& trim : result.curve->sweep().trims)
        out.push_back({trim.from_s, trim.to_s, colour, qs(trimReasonPhrase(trim.reason))});
    return out;
}

} // namespace

std::vector<const PullResult*> pullsShown(const DayAnalysis& analysis, const CheckView& view) {
    std::vector<const PullResult*> out;
    const PullResult* chosen = findResult(analysis, view.pull);
    if (!chosen)
        return out;
    const PullResult* beside = view.beside.empty() ? nullptr : findResult(analysis, view.beside);
    for (const PullResult& pull : analysis.pulls)
        if (pull.build == chosen->build && pull.used && &pull != chosen && &pull != beside && pull.curve)
            out.push_back(&pull);
    if (beside && beside != chosen && beside->curve)
        out.push_back(beside);
    if (chosen->curve)
        out.push_back(chosen);
    return out;
}

QPen pullPen(const TestDay& day, const PullResult& pull, const CheckView& view, const Theme& theme) {
    const bool strong = pull.id == view.pull || pull.id == view.beside;
    QPen pen(theme.build(buildNumber(day, pull.build)), strong ? 2.4 : 1.0);
    pen.setCapStyle(Qt::RoundCap);
    if (!strong)
        pen.setColor(theme.faded(pen.color(), 0.6));
    if (pull.id == view.beside && pull.id != view.pull) {
        pen.setColor(theme.ink);
        pen.setWidthF(1.6);
    }
    if (!pull.used || pull.id == view.beside)
        pen.setStyle(Qt::DashLine);
    return pen;
}

BoardContent overlayContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                            const Theme& theme) {
    BoardContent out;
    const auto pulls = pullsShown(analysis, view);
    const PullResult* chosen = findResult(analysis, view.pull);
    out.xRange = axisOf(pulls);
    out.xLabels = false; // the deviation below has the same axis
    if (pulls.empty() || !chosen)
        return out;
    const QString place = chosen->curve ? qs(placePhrase(chosen->curve->place)) : QString();
    out.title = QObject::tr("%1 %2, %3")
                    .arg(view.quantity == Quantity::Power ? QObject::tr("Power") : QObject::tr("Torque"), place,
                         unitText(view));
    if (view.raw)
        out.title += QObject::tr(" \u00B7 %1 as recorded, corrected, not smoothed").arg(qs(chosen->id));
    else
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
        const bool raw = view.raw && (pull == chosen || pull->id == view.beside);
        const QPen pen = pullPen(day, *pull, view, theme);
        BoardSeries series = raw ? rawSeries(*pull->curve, view, pen) : smoothSeries(*pull, view, pen);
        if (pull == chosen || pull->id == view.beside)
            series.label = qs(pull->id);
        if (!pull->curve->steps().empty() && pull == chosen)
            out.series.push_back(stepDots(*pull, view, pen.color()));
        out.series.push_back(std::move(series));
    }
    if (chosen->curve) {
        out.shades = trimShades(*chosen, theme);
        markEvents(out, *chosen, view, theme);
    }
    return out;
}

void shareScale(BoardContent& one, BoardContent& other) {
    RpmRange x{1e300, -1e300};
    RpmRange y = x;
    for (const BoardContent* board : {&one, &other}) {
        if (board->xRange)
            x = {std::min(x.low, board->xRange->low), std::max(x.high, board->xRange->high)};
        for (const BoardSeries& series : board->series)
            for (const double value : series.y)
                if (std::isfinite(value))
                    y = {std::min(y.low, value), std::max(y.high, value)};
    }
    if (!(x.low < x.high) || !(y.low < y.high))
        return;
    const double air = 0.07 * (y.high - y.low);
    for (BoardContent* board : {&one, &other}) {
        board->xRange = x;
        board->xLabels = true; // the board below is as wide as both
        board->yRange = RpmRange{y.low - air, y.high + 2.0 * air};
    }
}

BoardContent deviationContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                              const Theme& theme) {
    BoardContent out;
    const auto pulls = pullsShown(analysis, view);
    const PullResult* chosen = findResult(analysis, view.pull);
    out.xTitle = u"rpm"_s;
    out.xRange = axisOf(pulls);
    out.zeroLine = true;
    out.symmetric = true;
    out.leastSpan = 0.4; // per cent; less is no news
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
        series.pen = pullPen(day, *pull, view, theme);
        if (pull == chosen || pull->id == view.beside)
            series.label = qs(pull->id);
        out.series.push_back(std::move(series));
    }
    return out;
}

BoardContent pairContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme) {
    BoardContent out;
    const PullResult* one = findResult(analysis, view.pull);
    const PullResult* other = findResult(analysis, view.beside);
    if (!one || !other || !one->curve || !other->curve)
        return out;
    const Statement warning = placeWarning(one->curve->place, other->curve->place);
    out.title = QObject::tr("%1 against %2, %").arg(qs(one->id), qs(other->id));
    if (!warning.empty())
        out.title += u" \u00B7 "_s + qs(warning);
    out.xTitle = u"rpm"_s;
    out.xRange = axisOf({one, other});
    out.zeroLine = true;
    out.symmetric = true;
    BoardSeries series{one->curve->rpm, {}, pullPen(day, *one, view, theme), {}};
    for (size_t i = 0; i < series.x.size(); ++i)
        series.y.push_back(100.0 *
                           (one->curve->power_w[i] / valueAt(*other->curve, other->curve->power_w, series.x[i]) - 1.0));
    out.series.push_back(std::move(series));
    return out;
}

BoardContent torqueInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme) {
    BoardContent out;
    const PullResult* result = findResult(analysis, view.pull);
    const Pull* pull = findPull(day, view.pull);
    out.xTitle = u"s"_s;
    if (!result || !pull || !result->curve)
        return out; // the slip says why
    const char* unit = torqueUnitText(view.units.torque);
    out.title = result->curve->source().basis.empty()
                    ? QObject::tr("Torque as recorded, %1").arg(QString::fromUtf8(unit))
                    : QObject::tr("Torque referred to the engine, row by row, %1").arg(QString::fromUtf8(unit));
    if (!pull->raw->find("time")) {
        out.title = QObject::tr("No rows over time: %1").arg(qs(givenPhrase(*pull)));
        return out;
    }
    out.series.push_back(rawInTime(*pull, result->curve->source().torque_nm, torqueIn(view.units.torque, 1.0),
                                   QPen(theme.build(buildNumber(day, pull->build)), 1.2)));
    out.shades = timeShades(*result, theme);
    return out;
}

BoardContent speedInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme) {
    BoardContent out;
    const PullResult* result = findResult(analysis, view.pull);
    const Pull* pull = findPull(day, view.pull);
    out.xTitle = u"s"_s;
    out.title = QObject::tr("Engine speed, rpm");
    if (!result || !pull || !result->curve)
        return out;
    if (!pull->raw->find("time"))
        return out;
    out.series.push_back(rawInTime(*pull, result->curve->source().speed_rpm, 1.0, QPen(theme.ink, 1.2)));
    out.shades = timeShades(*result, theme);
    for (BoardShade& shade : out.shades)
        shade.word.clear();
    return out;
}

QString pullHead(const TestDay& day, const DayAnalysis& analysis, const std::string& id) {
    const PullResult* result = findResult(analysis, id);
    const Pull* pull = findPull(day, id);
    if (!result || !pull)
        return QObject::tr("Select a pull.");
    QString out = QObject::tr("%1 \u00B7 build %2").arg(qs(id), qs(pull->build));
    if (pull->started.size() >= 16)
        out += u" \u00B7 "_s + qs(pull->started.substr(11, 5));
    if (result->curve && result->curve->weatherKnown)
        out += QObject::tr(" \u00B7 air factor %1").arg(numberText(result->curve->air.factor, 4));
    if (result->curve)
        out += QObject::tr(" \u00B7 roughness %1\u00A0%").arg(numberText(result->curve->roughness_pct, 2));
    return out;
}

} // namespace hillrun
