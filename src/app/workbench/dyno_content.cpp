// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/dyno_content.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/units/road_speed.h"

using namespace Qt::StringLiterals;

namespace hillrun {

std::vector<GearSpeed> gearSpeeds(const Vehicle& vehicle, double rpm, double speed_kmh) {
    std::vector<GearSpeed> out;
    if (!vehicle.finalDrive || !vehicle.tyreRadius_m)
        return out;
    for (size_t i = 0; i < vehicle.gears.size(); ++i) {
        const double ratio = vehicle.gears[i] * *vehicle.finalDrive;
        if (!(ratio > 0.0))
            continue;
        out.push_back({static_cast<int>(i) + 1, vehicle.gears[i],
                       kKmhPerMs * roadSpeed_ms(rpm, ratio, *vehicle.tyreRadius_m),
                       engineSpeed_rpm(speed_kmh / kKmhPerMs, ratio, *vehicle.tyreRadius_m)});
    }
    return out;
}

const std::vector<QStringList>& unitKinds() {
    static const std::vector<QStringList> kinds{
        {u"kW"_s, u"hp"_s, u"PS"_s},
        {u"N\u00B7m"_s, u"lb-ft"_s, u"kgf\u00B7m"_s},
        {u"kPa"_s, u"bar"_s, u"psi"_s, u"inHg"_s, u"mmHg"_s},
        {u"\u00B0C"_s, u"\u00B0F"_s, u"K"_s},
        {u"km/h"_s, u"mph"_s, u"m/s"_s},
        {u"kg/h"_s, u"g/s"_s, u"lb/min"_s},
    };
    return kinds;
}

QStringList inOtherUnits(double value, const QString& unit) {
    QStringList out;
    const auto from = parseUnit(unit.toStdString());
    for (const QStringList& kind : unitKinds()) {
        if (!from || !kind.contains(unit))
            continue;
        for (const QString& other : kind)
            if (const auto to = parseUnit(other.toStdString()); to && other != unit)
                out << qs(currentVoice().number(
                    significant(to->fromCanonical(from->toCanonical(value)), 5, other.toStdString())));
    }
    return out;
}

} // namespace hillrun
