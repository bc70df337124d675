// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/ladder_content.h"

#include "app/look/words.h"
#include "core/units/log_percent.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// "A 2025-03"
QString shortText(const BuildOfDay& build) { return qs(build.build) + u" "_s + qs(build.date).mid(0, 7); }

GainMark markOf(const AcrossAnswer& answer) {
    return !answer.proven() ? GainMark::Open : answer.estimate > 0.0 ? GainMark::Gain : GainMark::Loss;
}

QString gainText(const AcrossAnswer& answer) {
    if (!answer.interval)
        return percentText(percentOfLog(answer.estimate), 1) + u" ?"_s;
    return qs(currentVoice().interval(percentOfLog(answer.estimate),
                                      halfPercent(answer.interval->low, answer.interval->high), "%", true));
}

} // namespace

QString ladderBase(const AcrossLadder& ladder) { return shortText(ladder.builds.front()); }

std::vector<CreditStair> ladderStairs(const AcrossLadder& ladder) {
    std::vector<CreditStair> out;
    double before = 0.0;
    for (size_t i = 0; i < ladder.steps.size(); ++i) {
        const AcrossAnswer& step = ladder.steps[i];
        const double after = ladder.fromBase[i].estimate;
        CreditStair stair{shortText(step.to),   gainText(step),      i,
                          percentOfLog(before), percentOfLog(after), percentOfLog(after),
                          percentOfLog(after),  markOf(step)};
        if (step.interval) {
            stair.low_w = percentOfLog(after + step.interval->low - step.estimate);
            stair.high_w = percentOfLog(after + step.interval->high - step.estimate);
        }
        out.push_back(std::move(stair));
        before = after;
    }
    if (ladder.steps.size() < 2)
        return out;
    const AcrossAnswer& total = ladder.fromBase.back();
    CreditStair whole{QObject::tr("all of it"),
                      gainText(total),
                      std::nullopt,
                      0.0,
                      percentOfLog(total.estimate),
                      percentOfLog(total.estimate),
                      percentOfLog(total.estimate),
                      markOf(total)};
    if (total.interval) {
        whole.low_w = percentOfLog(total.interval->low);
        whole.high_w = percentOfLog(total.interval->high);
    }
    out.push_back(std::move(whole));
    return out;
}

std::vector<PartRow> ladderRows(const AcrossLadder& ladder) {
    std::vector<PartRow> out;
    for (size_t i = 0; i < ladder.steps.size(); ++i) {
        PartRow row;
        const BuildOfDay& build = ladder.steps[i].to;
        const std::string& name = ladder.names[i + 1];
        row.name = qs(name.empty() ? build.build : build.build + " " + name);
        row.when = qs(build.date);
        row.gain = gainText(ladder.steps[i]);
        row.percent = QObject::tr("%1 over %2").arg(gainText(ladder.fromBase[i]), qs(ladder.builds.front().build));
        row.mark = markOf(ladder.steps[i]);
        out.push_back(std::move(row));
    }
    return out;
}

QString ladderLines(const AcrossLadder& ladder, size_t step) {
    QStringList out{qs(acrossSummary(ladder.steps[step]))};
    for (const Statement& note : acrossNotes(ladder.steps[step]))
        out << qs(note);
    return out.join(u'\n');
}

} // namespace hillrun
