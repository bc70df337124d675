// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/air_content.h"

#include "app/look/words.h"
#include "core/weather/altitude.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

struct ReadingRange {
    double low;
    double high;
    const char* title;
    const char* unit;
};
/// How far each reading is drawn, around what cells meet.
constexpr ReadingRange kReadings[] = {
    {-10.0, 45.0, QT_TRANSLATE_NOOP("QObject", "Factor over temperature"),
     "\xC2\xB0"
     "C"},
    {80.0, 106.0, QT_TRANSLATE_NOOP("QObject", "Factor over station pressure"), "kPa"},
    {0.0, 100.0, QT_TRANSLATE_NOOP("QObject", "Factor over relative humidity"), "%"}};
constexpr int kPoints = 56;

QString sentence(QString text) {
    if (!text.isEmpty())
        text[0] = text[0].toUpper();
    return text;
}

BoardSeries pointsOf(const TestDay& day, const DayWeather& weather, size_t build, bool used, bool filled,
                     const Theme& theme, const std::function<double(const WeatherPoint&)>& value) {
    BoardSeries out;
    for (const WeatherPoint& point : weather.points) {
        if (buildNumber(day, point.build) != build || point.used != used || !std::isfinite(value(point)))
            continue;
        out.x.push_back(point.time_h);
        out.y.push_back(value(point));
    }
    out.pen = QPen(theme.build(build), 1.6);
    out.pen.setBrush(theme.build(build));
    out.dots = filled ? 7.0 : 6.0;
    if (!filled)
        out.pen.setColor(theme.faded(theme.build(build), 0.55));
    return out;
}

BoardSeries lineOf(const DayWeather& weather, const Theme& theme,
                   const std::function<double(const WeatherPoint&)>& value) {
    BoardSeries out;
    for (const WeatherPoint& point : weather.points) {
        out.x.push_back(point.time_h);
        out.y.push_back(value(point));
    }
    out.pen = QPen(theme.rule, 1.2);
    return out;
}

double valueOf(const WeatherPoint& point, WeatherBoard which) {
    switch (which) {
    case WeatherBoard::Temperature:
        return point.air.temperature_c;
    case WeatherBoard::Pressure:
        return point.air.pressure_pa / 1000.0;
    case WeatherBoard::Vapour:
        return point.air.vapourPressure_pa / 1000.0;
    case WeatherBoard::Factor:
        return point.factor;
    case WeatherBoard::Level:
        break;
    }
    return point.corrected_pct;
}

} // namespace

Atmosphere atmosphereOf(const AirInputs& in) {
    Atmosphere out{in.temperature_c, in.pressure_kpa * 1000.0, in.humidity};
    if (in.fromAltimeter)
        out.pressure_pa = stationPressure_pa(in.pressure_kpa * 1000.0, in.altitude_m.value_or(0.0));
    return out;
}

AirAnswer airAnswer(const AirInputs& in) {
    AirAnswer out;
    out.engine = in.engine;
    if (in.fromAltimeter && !in.altitude_m) {
        out.problem = QObject::tr("An altimeter setting needs the altitude of the cell.");
        return out;
    }
    if (in.frictionPower_w && in.power_w)
        out.engine.friction = {{1000.0, *in.frictionPower_w}};
    try {
        out.atmosphere = atmosphereOf(in);
        out.air = humidAir(out.atmosphere);
    } catch (const DataError& error) {
        out.problem = sentence(errorText(error));
        return out;
    }
    out.humidity_pct = 100.0 * out.air.vapourPressure_pa / saturationPressure_pa(out.air.temperature_c);
    out.rows = airSheet(out.air, out.engine, in.power_w);
    if (!in.fromAltimeter)
        out.warning = qs(seaLevelWarning(in.pressure_kpa, in.altitude_m));
    return out;
}

QStringList airFacts(const AirAnswer& answer) {
    const HumidAir& air = answer.air;
    return {QObject::tr("Station pressure %1 kPa").arg(numberText(air.pressure_pa / 1000.0, 2)),
            QObject::tr("Vapour pressure %1 kPa, %2 % humid")
                .arg(numberText(air.vapourPressure_pa / 1000.0, 3))
                .arg(numberText(answer.humidity_pct, 1)),
            QObject::tr("Dry pressure %1 kPa").arg(numberText(air.dryPressure_pa / 1000.0, 2)),
            QObject::tr("Density %1 kg/m\u00B3").arg(numberText(air.density_kg_m3, 4)),
            QObject::tr("Density altitude %1 m").arg(numberText(air.densityAltitude_m, 0))};
}

QString standardWords(const AirAnswer& answer, Standard standard) {
    QStringList out;
    for (const AirRow& row : answer.rows) {
        if (row.id != standard)
            continue;
        if (!row.factor) {
            out << errorText(*row.problem);
            continue;
        }
        const QString range = qs(validityRange(standard, answer.engine.ignition));
        if (!range.isEmpty())
            out << QObject::tr("Its own range: %1.").arg(range);
        else if (standard != Standard::Uncorrected)
            out << QObject::tr("No range of validity is recalled.");
        for (const Statement& note : row.factor->validityNotes)
            out << sentence(qs(note)) + u"."_s;
        if (!row.factor->school.empty())
            out << sentence(qs(row.factor->school)) + u"."_s;
        if (usesFriction(standard, answer.engine))
            out << QObject::tr("Full form with the measured friction.");
    }
    return out.join(u' ');
}

QString sensitivityWords(const AirAnswer& answer, Standard standard) {
    try {
        const AirSensitivity s = airSensitivity(standard, answer.atmosphere, answer.engine);
        return QObject::tr("One reading wrong moves the power by: 1 K too warm %1, 1 kPa too high %2, ten points of "
                           "humidity too many %3.")
            .arg(percentText(s.perKelvin_pct), percentText(s.perKilopascal_pct),
                 percentText(s.perTenPercentHumidity_pct));
    } catch (const DataError&) { // no factor here: the row says why
        return {};
    }
}

double todayOf(const AirAnswer& answer, AirInput input) {
    return input == AirInput::Temperature_c  ? answer.air.temperature_c
           : input == AirInput::Pressure_kpa ? answer.air.pressure_pa / 1000.0
                                             : answer.humidity_pct;
}

BoardContent factorBoard(const AirAnswer& answer, Standard chosen, AirInput input, const Theme& theme) {
    BoardContent out;
    const ReadingRange& range = kReadings[static_cast<size_t>(input)];
    const double today = todayOf(answer, input);
    const double low = std::min(range.low, today);
    const double high = std::max(range.high, today);
    std::vector<double> x;
    for (int i = 0; i <= kPoints; ++i)
        x.push_back(low + (high - low) * i / kPoints);
    out.title = u"%1, %2"_s.arg(QObject::tr(range.title), QString::fromUtf8(range.unit));
    out.xRange = RpmRange{low, high};
    for (const bool strong : {false, true})
        for (const AirRow& row : answer.rows) {
            if ((row.id == chosen) != strong || row.id == Standard::Uncorrected)
                continue;
            const std::vector<double> y = factorAlong(row.id, answer.atmosphere, answer.engine, input, x);
            out.series.push_back(
                {x, y, QPen(strong ? theme.mark : theme.faded(theme.quietInk, 0.45), strong ? 2.2 : 1.0), {}});
        }
    for (const AirRow& row : answer.rows)
        if (row.id == chosen && row.factor && row.id != Standard::Uncorrected) {
            BoardSeries dot{{today}, {row.factor->factor}, QPen(QBrush(theme.mark), 1.0), {}};
            dot.dots = 9.0;
            out.series.push_back(std::move(dot));
        }
    return out;
}

BoardContent weatherBoard(const TestDay& day, const DayWeather& weather, WeatherBoard which, const Theme& theme) {
    BoardContent out;
    const QString titles[] = {
        QObject::tr("Temperature at the intake, °C"), QObject::tr("Station pressure, kPa"),
        QObject::tr("Vapour pressure, kPa"), QObject::tr("Air factor"),
        QObject::tr("Pull against the mean of its build, %: pale as observed, full after the factor")};
    out.title = titles[static_cast<size_t>(which)];
    out.xLabels = which == WeatherBoard::Level;
    if (which == WeatherBoard::Level) {
        out.xTitle = u"h"_s;
        out.zeroLine = true;
        out.symmetric = true;
    }
    if (weather.points.empty())
        return out;
    const double last = weather.points.back().time_h;
    const double edge = 0.03 * std::max(0.2, last);
    out.xRange = RpmRange{-edge, last + edge};
    const auto value = [which](const WeatherPoint& point) { return valueOf(point, which); };
    if (which != WeatherBoard::Level)
        out.series.push_back(lineOf(weather, theme, value));
    for (size_t build = 0; build < day.builds.size(); ++build) {
        if (which == WeatherBoard::Level) {
            out.series.push_back(pointsOf(day, weather, build, true, false, theme,
                                          [](const WeatherPoint& point) { return point.observed_pct; }));
            out.series.push_back(pointsOf(day, weather, build, true, true, theme, value));
            continue;
        }
        for (const bool used : {true, false})
            out.series.push_back(pointsOf(day, weather, build, used, used, theme, value));
    }
    std::erase_if(out.series, [](const BoardSeries& series) { return series.x.empty(); });
    return out;
}

QString weatherWords(const DayAnalysis& analysis, const DayWeather& weather) {
    if (weather.points.empty())
        return QObject::tr("No pull of this day has its weather yet.");
    QStringList out;
    out << QObject::tr("Every figure: %1.").arg(qs(airPhrase(analysis)));
    if (std::isfinite(weather.observedScatter_pct)) {
        const double before = weather.observedScatter_pct;
        const double after = weather.correctedScatter_pct;
        out << QObject::tr("Pulls of one build scatter by %1\u00A0% as observed and by %2\u00A0% after the factor%3.")
                   .arg(numberText(before, 2))
                   .arg(numberText(after, 2))
                   .arg(after > 1.1 * before
                            ? QObject::tr(": here it does not help; look at the school and the readings")
                        : after < 0.9 * before ? QObject::tr(": it helps")
                                               : QString());
    }
    if (weather.withoutWeather > 0)
        out << QObject::tr("Without weather: %1.")
                   .arg(counted("count.pulls", static_cast<qsizetype>(weather.withoutWeather)));
    return out.join(u' ');
}

} // namespace hillrun
