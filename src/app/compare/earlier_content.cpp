// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/earlier_content.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/units/log_percent.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

std::vector<double> inPercent(const Eigen::VectorXd& logs) {
    std::vector<double> out;
    for (const double one : logs)
        out.push_back(percentOfLog(one));
    return out;
}

/// At the end of its curve: "B\u2032".
QString markedText(const BuildOfDay& build) { return qs(build.build) + u"\u2032"_s; }

} // namespace

BoardContent earlierCurves(const TestDay& day, const DayAnalysis& analysis, const OverDays& over,
                           const BuildOfDay& earlier, const CompareView& view, const Theme& theme) {
    BoardContent out;
    out.title = quantityTitle(analysis, view) +
                QObject::tr(" \u00b7 %1: %2").arg(markedText(earlier), qs(buildPhrase(earlier)));
    const auto add = [&](const std::vector<double>& rpm, const std::vector<double>& power_w, const QPen& pen,
                         const QString& label) {
        if (rpm.empty())
            return;
        out.series.push_back({rpm, inUnits(power_w, rpm, view), pen, label});
        out.xRange = RpmRange{std::min(out.xRange ? out.xRange->low : rpm.front(), rpm.front()),
                              std::max(out.xRange ? out.xRange->high : rpm.back(), rpm.back())};
    };
    for (const CurveOfDay& curve : over.curves)
        if (curve.build == earlier)
            add(curve.rpm, curve.power_w, QPen(theme.quietInk, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin),
                markedText(earlier));
    if (const BuildResult* build = analysis.findBuild(view.to))
        add(analysis.rpm, build->power_w, theme.buildPen(buildNumber(day, view.to), 2.0), qs(view.to));
    return out;
}

BoardContent earlierDifference(const EarlierPair* pair, const Theme& theme) {
    BoardContent out;
    out.xTitle = u"rpm"_s;
    out.zeroLine = true;
    out.symmetric = true;
    if (!pair || !pair->curve)
        return out;
    out.title = QObject::tr("Difference %1 \u2212 %2, %").arg(qs(pair->answer.to.build), markedText(pair->answer.from));
    const CurveAcross& curve = *pair->curve;
    out.title += QObject::tr(" \u00B7 band: 95\u00A0% for the whole curve");
    QColor colour = theme.quietInk;
    colour.setAlpha(theme.dark ? 80 : 60);
    out.bands.push_back({curve.rpm, inPercent(curve.delta - curve.simultaneousHalf),
                         inPercent(curve.delta + curve.simultaneousHalf), colour});
    out.series.push_back(
        {curve.rpm, inPercent(curve.delta), QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin), {}});
    return out;
}

QString earlierCursor(const EarlierPair& pair, double rpm) {
    QString out = qs(rpmText(std::round(rpm / 10.0) * 10.0)) + u"\u00A0rpm"_s;
    if (!pair.curve)
        return out;
    const std::vector<double>& all = pair.curve->rpm;
    const auto at = std::min_element(all.begin(), all.end(),
                                     [&](double a, double b) { return std::abs(a - rpm) < std::abs(b - rpm); });
    const auto p = static_cast<Eigen::Index>(at - all.begin());
    return out + u"  \u0394 "_s +
           qs(currentVoice().interval(percentOfLog(pair.curve->delta(p)), percentOfLog(pair.curve->simultaneousHalf(p)),
                                      "%", true));
}

} // namespace hillrun
