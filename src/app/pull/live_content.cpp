// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/live_content.h"

#include "app/document/results.h"
#include "app/look/words.h"

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// A curve as it was measured: without its air factor.
BoardSeries asMeasured(const Curve& curve, const LiveView& view) {
    BoardSeries out;
    out.x = curve.rpm;
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        out.y.push_back(liveFigure(curve.torque_nm[i] / curve.air.factor, curve.rpm[i], view));
    return out;
}

BoardSeries ghost(const DayAnalysis* analysis, const LiveView& view, const Theme& theme) {
    const PullResult* last = nullptr;
    if (analysis)
        for (const PullResult& pull : analysis->pulls)
            if (pull.build == view.fitted && pull.used && pull.curve && pull.id != view.newest &&
                (!last || pull.time_h > last->time_h))
                last = &pull;
    if (!last)
        return {};
    BoardSeries out = asMeasured(*last->curve, view);
    out.pen = QPen(theme.quietInk, 1.5, Qt::DashLine);
    out.label = qs(last->id);
    return out;
}

BoardSeries newestPull(const TestDay& day, const DayAnalysis* analysis, const LiveView& view, const Theme& theme) {
    const PullResult* result = analysis ? findResult(*analysis, view.newest) : nullptr;
    if (!result || !result->curve)
        return {};
    BoardSeries out = asMeasured(*result->curve, view);
    out.pen = QPen(theme.build(buildNumber(day, result->build)), 2.6);
    out.label = qs(result->id);
    return out;
}

BoardSeries runningPull(const TestDay& day, const LiveSnapshot& live, const LiveView& view, const Theme& theme) {
    BoardSeries out;
    out.x = live.traceSpeed_rpm;
    for (size_t i = 0; i < out.x.size(); ++i)
        out.y.push_back(liveFigure(live.traceTorque_nm[i], out.x[i], view));
    out.pen = QPen(theme.build(buildNumber(day, view.fitted)), 2.6);
    return out;
}

/// The planned range, else that of what is shown.
std::optional<RpmRange> rangeOf(const PullProtocol& protocol, const std::vector<BoardSeries>& series, bool pulling) {
    if (protocol.start_rpm && protocol.end_rpm)
        return RpmRange{*protocol.start_rpm - 200.0, *protocol.end_rpm + 200.0};
    if (series.empty())
        return std::nullopt;
    const std::vector<double>& x = series.front().x;
    return RpmRange{x.front() - 200.0, x.back() + (pulling && series.size() == 1 ? 1500.0 : 200.0)};
}

} // namespace

double liveFigure(double torque_nm, double rpm, const LiveView& view) {
    return view.quantity == Quantity::Power ? powerIn(view.units.power, torque_nm * angularSpeed(rpm))
                                            : torqueIn(view.units.torque, torque_nm);
}

BoardContent liveContent(const TestDay& day, const DayAnalysis* analysis, const LiveSnapshot& live,
                         const LiveView& view, const Theme& theme) {
    const bool power = view.quantity == Quantity::Power;
    const bool pulling = live.recorder == RecorderState::Running || live.recorder == RecorderState::Ending;
    BoardContent out;
    out.title =
        QObject::tr("%1, %2 \u00B7 as measured, not corrected")
            .arg(power ? QObject::tr("Power") : QObject::tr("Torque"),
                 QString::fromUtf8(power ? powerUnitText(view.units.power) : torqueUnitText(view.units.torque)));
    out.series.push_back(ghost(analysis, view, theme));
    if (!out.series.front().x.empty())
        out.title += QObject::tr(" \u00B7 dashed: last good pull of %1").arg(qs(view.fitted));
    out.series.push_back(pulling ? runningPull(day, live, view, theme) : newestPull(day, analysis, view, theme));
    std::erase_if(out.series, [](const BoardSeries& series) { return series.x.empty(); });
    out.xRange = rangeOf(day.plan.protocol, out.series, pulling);
    return out;
}

} // namespace hillrun
