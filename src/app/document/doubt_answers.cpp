// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/doubt_answers.h"

#include "app/document/day_document.h"
#include "app/look/words.h"

#include <QObject>

namespace hillrun {

std::vector<DoubtAnswer> answersTo(const DayDoubt& doubt) {
    std::vector<DoubtAnswer> out;
    const auto one = [](const std::vector<std::string>& pulls) {
        return pulls.size() == 1 ? qs(pulls.front()) : QObject::tr("%n pulls", nullptr, static_cast<int>(pulls.size()));
    };
    if (doubt.pressure_kpa)
        out.push_back({QObject::tr("Take %1 kPa for %2").arg(*doubt.pressure_kpa, 0, 'f', 2).arg(one(doubt.pulls)),
                       doubt.kind == DoubtKind::SeaLevel
                           ? QObject::tr("The station's own pressure that belongs to this figure at its altitude")
                           : QObject::tr("The mean of the pulls before and after it"),
                       [doubt](DayDocument& document) { document.setPressure(doubt.pulls, *doubt.pressure_kpa); }});
    if (!doubt.setAside.empty())
        out.push_back({QObject::tr("Set %1 aside").arg(one(doubt.setAside)),
                       QObject::tr("Leave it out of the sums with this reason; Ctrl+Z takes it back"),
                       [doubt](DayDocument& document) { document.setAside(doubt.setAside, qs(doubt.reason)); }});
    return out;
}

} // namespace hillrun
