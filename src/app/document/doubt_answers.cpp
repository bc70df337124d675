// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/doubt_answers.h"

#include "app/document/day_document.h"
#include "app/look/words.h"

#include <cmath>
#include <QObject>

namespace hillrun {

namespace {

/// Each pull keeps what its own reading was more or less than the others'.
void takeStationPressure(DayDocument& document, const DayDoubt& doubt, const QString& what) {
    document.edit(what, [&](TestDay& day) {
        const Pull* first = findPull(day, doubt.pulls.front());
        const auto read_kpa = first ? stationPressure_kpa(*first) : std::nullopt;
        if (!read_kpa)
            return;
        const double share = *doubt.pressure_kpa / *read_kpa;
        for (const std::string& id : doubt.pulls)
            if (Pull* pull = findPull(day, id); pull && pull->weather)
                pull->weather->pressure_pa = std::round(share * pull->weather->pressure_pa / 10.0) * 10.0;
    });
}

QString wordsFor(const std::vector<std::string>& pulls) {
    return pulls.size() == 1 ? qs(pulls.front()) : counted("count.pulls", static_cast<qsizetype>(pulls.size()));
}

DoubtAnswer pressureAnswer(const DayDoubt& doubt) {
    const QString pulls = wordsFor(doubt.pulls);
    const QString kpa = numberText(*doubt.pressure_kpa, 2);
    if (doubt.kind != DoubtKind::SeaLevel)
        return {QObject::tr("Take %1 kPa for %2").arg(kpa, pulls),
                QObject::tr("The mean of the pulls before and after it"),
                [doubt](DayDocument& document) { document.setPressure(doubt.pulls, *doubt.pressure_kpa); }};
    const QString what = QObject::tr("Take station pressure for %1").arg(pulls);
    return {
        what,
        QObject::tr("The pressure at the cell's altitude that belongs to each figure, %1 kPa for the first").arg(kpa),
        [doubt, what](DayDocument& document) { takeStationPressure(document, doubt, what); }};
}

} // namespace

std::vector<DoubtAnswer> answersTo(const DayDoubt& doubt) {
    std::vector<DoubtAnswer> out;
    if (doubt.pressure_kpa)
        out.push_back(pressureAnswer(doubt));
    if (!doubt.setAside.empty())
        out.push_back(
            {QObject::tr("Set %1 aside").arg(wordsFor(doubt.setAside)),
             QObject::tr("Leave it out of the sums with this reason; Ctrl+Z takes it back"),
             [doubt](DayDocument& document) { document.setAside(doubt.setAside, phrase("reason." + doubt.reason)); }});
    return out;
}

bool hasFewRepeats(const DayAnalysis* analysis) {
    return analysis && analysis->model && analysis->model->measuredFreedom <= kFewFreedom;
}

} // namespace hillrun
