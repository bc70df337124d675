// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/sweep_content.h"

#include "app/look/words.h"
#include "core/units/log_percent.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {

std::vector<PartRow> levelRows(const DayAnalysis& analysis) {
    std::vector<PartRow> out;
    const SettingSweep& sweep = *analysis.credit->sweep;
    for (const SweepLevel& level : sweep.levels) {
        QStringList ids;
        for (const size_t build : level.builds)
            ids << qs(analysis.credit->builds[build].id);
        PartRow row;
        row.name = u"%1%2   %3"_s.arg(qs(currentVoice().number(significant(level.value, 6))), qs(sweep.setting.unit),
                                      ids.join(u", "_s));
        const double half = halfPercent(level.fitted - level.half, level.fitted + level.half);
        row.gain = &level == &sweep.levels.front()
                       ? u"\u2013"_s
                       : qs(currentVoice().interval(percentOfLog(level.fitted), half, "%", true));
        if (sweep.driftTaken)
            row.price = QObject::tr("gives away %1\u00A0% at most")
                            .arg(numberText(std::max(0.0, percentOfLog(level.costsAtMost)), 1));
        out.push_back(std::move(row));
    }
    return out;
}

BoardContent sweepCurve(const SettingSweep& sweep, size_t chosen, const Theme& theme) {
    const auto percents = [](const std::vector<double>& logs) {
        std::vector<double> out;
        for (const double log : logs)
            out.push_back(percentOfLog(log));
        return out;
    };
    BoardContent out;
    out.title = QObject::tr("%1: gain for the use over %2, % \u00B7 band: 95\u00A0%")
                    .arg(qs(sweep.setting.name), qs(currentVoice().number(significant(sweep.levels.front().value, 6))) +
                                                     qs(sweep.setting.unit));
    out.xTitle = qs(sweep.setting.unit).trimmed();
    const double beside = 0.03 * (sweep.value.back() - sweep.value.front());
    out.xRange = RpmRange{sweep.value.front() - beside, sweep.value.back() + beside};
    out.zeroLine = true;
    QColor ground = theme.quietInk;
    ground.setAlpha(theme.dark ? 80 : 60);
    out.bands.push_back({sweep.value, percents(sweep.low), percents(sweep.high), ground});
    out.series.push_back(
        {sweep.value, percents(sweep.gain), QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin), {}});
    BoardSeries levels{{}, {}, QPen(theme.quietInk, 2.0), {}, 8.0};
    for (const SweepLevel& level : sweep.levels) {
        levels.x.push_back(level.value);
        levels.y.push_back(percentOfLog(level.fitted));
    }
    BoardSeries one{{levels.x[chosen]}, {levels.y[chosen]}, QPen(theme.mark, 2.0), {}, 13.0};
    out.series.push_back(std::move(levels));
    out.series.push_back(std::move(one));
    if (sweep.driftTaken && !sweep.anywhere)
        out.shades.push_back(
            {sweep.best.low, sweep.best.high, theme.faded(theme.mark, 0.14), QObject::tr("the best lies here")});
    return out;
}

BoardContent bestByRpm(const SettingSweep& sweep, const Theme& theme) {
    BoardContent out;
    out.title =
        QObject::tr("Best %1 by speed%2 \u00B7 band: 95\u00A0% at each speed")
            .arg(qs(sweep.setting.name), sweep.setting.unit.empty() ? QString() : u","_s + qs(sweep.setting.unit));
    out.xTitle = u"rpm"_s;
    if (!sweep.driftTaken)
        return out;
    BoardSeries best{{}, {}, QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin), {}};
    BoardBand band;
    band.colour = theme.quietInk;
    band.colour.setAlpha(theme.dark ? 80 : 60);
    for (const BestAtRpm& one : sweep.byRpm) {
        const bool anywhere = one.low <= sweep.value.front() && one.high >= sweep.value.back();
        best.x.push_back(one.rpm);
        best.y.push_back(anywhere ? kNaN : one.value); // no best can be told there
        band.x.push_back(one.rpm);
        band.low.push_back(one.low);
        band.high.push_back(one.high);
    }
    if (!best.x.empty())
        out.xRange = RpmRange{best.x.front(), best.x.back()};
    const double room = 0.06 * (sweep.value.back() - sweep.value.front());
    out.yRange = RpmRange{sweep.value.front() - room, sweep.value.back() + room};
    out.bands.push_back(std::move(band));
    out.series.push_back(std::move(best));
    return out;
}

QStringList sweepLines(const SettingSweep& sweep) {
    QStringList out;
    const auto value = [&](double setting) {
        return qs(currentVoice().number(significant(setting, 4))) + qs(sweep.setting.unit);
    };
    if (sweep.driftTaken && sweep.flatTop && sweep.flatTop->high > sweep.flatTop->low)
        out << QObject::tr("From %1 to %2 it gives away no more than 0.5\u00A0%")
                   .arg(value(sweep.flatTop->low), value(sweep.flatTop->high));
    if (sweep.driftTaken && sweep.oneMoreStep)
        out << QObject::tr(
                   "One step more beyond %1 gives %2\u00A0% at most, if each step gives less than the one before")
                   .arg(value(sweep.levels.back().value),
                        numberText(std::max(0.0, percentOfLog(*sweep.oneMoreStep)), 1));
    return out;
}

} // namespace hillrun
