// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/time_axis.h"

#include "core/pull/robust.h"
#include "core/units/units.h"
#include "formats/gather/column_words.h"
#include "formats/gather/time_text.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

double firstFinite(const std::vector<double>& values) {
    const auto at = std::find_if(values.begin(), values.end(), [](double v) { return std::isfinite(v); });
    return at == values.end() ? 0.0 : *at;
}

/// Days with a limited number of digits fall just short of a whole second.
double toMilliseconds(double seconds) { return std::round(1000.0 * seconds) / 1000.0; }

/// The unit in which rows of a logger lie between 0.5 ms and 2.5 s apart; seconds first.
const char* unitByStep(double step) {
    for (const char* unit : {"s", "ms", "us", "ns"}) {
        const double seconds = parseUnit(unit)->toCanonical(step);
        if (seconds >= 0.0005 && seconds <= 2.5)
            return unit;
    }
    return "s";
}

/// Several rows on one tick of a coarse clock are spread evenly up to the next one. True when there were such.
bool spreadCoarseTicks(std::vector<double>& seconds) {
    size_t still = 0;
    for (size_t i = 1; i < seconds.size(); ++i)
        still += seconds[i] == seconds[i - 1] ? 1 : 0;
    if (seconds.size() < 10 || 2 * still < seconds.size())
        return false;
    // How many rows a whole tick holds, from the ticks that are whole.
    double tick = medianStep(seconds);
    for (size_t first = 0; first < seconds.size();) {
        size_t next = first + 1;
        while (next < seconds.size() && seconds[next] == seconds[first])
            ++next;
        const double end = next < seconds.size() ? seconds[next] : seconds[first] + tick;
        const double span = std::min(end - seconds[first], tick);
        const auto rows = static_cast<double>(next - first);
        const double from = seconds[first];
        for (size_t i = first; i < next && span > 0.0; ++i)
            seconds[i] = from + span * static_cast<double>(i - first) / rows;
        first = next;
    }
    return true;
}

class AxisReader {
public:
    AxisReader(const RawTable& table, const ColumnGroup& group, std::vector<GatheredColumn>& columns,
               const TimeHints& hints, const std::string& file, GatherNotes& notes)
        : m_table(table), m_group(group), m_columns(columns), m_hints(hints), m_file(file), m_notes(notes) {}

    std::optional<TimeAxis> read() {
        const auto time = find("time");
        if (time && !m_hints.saidRate_hz) {
            auto out = m_table.columns[*time].texts.empty() ? fromNumbers(*time) : fromClock(*time);
            if (out) {
                out->column = time;
                if (spreadCoarseTicks(out->seconds))
                    tell(GatherCode::CoarseClock, *time, {});
                return out;
            }
        }
        const auto rate_hz = m_hints.saidRate_hz ? m_hints.saidRate_hz : m_hints.fileRate_hz;
        if (!rate_hz || *rate_hz <= 0.0)
            return std::nullopt;
        TimeAxis out;
        for (size_t row = 0; row < m_table.rows(); ++row)
            out.seconds.push_back(static_cast<double>(row) / *rate_hz);
        m_notes.push_back({GatherCode::TimeFromRate, {.file = m_file}, {significant(*rate_hz, 6)}, {}});
        return out;
    }

private:
    [[nodiscard]] std::optional<size_t> find(std::string_view channel) const {
        for (const size_t i : m_group)
            if (m_columns[i].channel == channel)
                return i;
        return std::nullopt;
    }
    void tell(GatherCode code, size_t column, std::vector<Argument> details) {
        m_notes.push_back({code, {.file = m_file, .column = m_table.columns[column].name}, std::move(details), {}});
    }

    std::optional<TimeAxis> fromClock(size_t time) {
        const auto date = find(role::kDate);
        const std::vector<std::string>* dates = nullptr;
        if (date && !m_table.columns[*date].texts.empty())
            dates = &m_table.columns[*date].texts;
        auto seconds = secondsOf(m_table.columns[time].texts, dates);
        if (!seconds)
            return std::nullopt;
        TimeAxis out;
        out.seconds = std::move(*seconds);
        if (const auto stamp = stampIn(m_table.columns[time].texts.front(), m_hints.monthFirst.value_or(false))) {
            out.startClock_s = stamp->clock_s;
            takeDay(out, *stamp, time);
        }
        if (dates && !out.startDay)
            if (const auto stamp = stampIn(dates->front(), m_hints.monthFirst.value_or(false)))
                takeDay(out, *stamp, *date);
        tell(GatherCode::TimeFromClock, time, {});
        return out;
    }

    void takeDay(TimeAxis& axis, const StampText& stamp, size_t column) {
        axis.startDay = stamp.day;
        if (stamp.day && stamp.dayOrMonthFirst && !m_hints.monthFirst)
            tell(GatherCode::DayOrMonth, column, {m_table.columns[column].texts.front()});
    }

    TimeAxis fromNumbers(size_t time) {
        const std::vector<double>& values = m_table.columns[time].values;
        GatheredColumn& column = m_columns[time];
        const double step = medianStep(values);
        const double first = firstFinite(values);
        TimeAxis out;
        double scale = 1.0;
        const bool saidDays = column.unitGiven && parseUnit(column.unit).value_or(Unit{}).scale == kDay_s;
        const auto inDays = [&](double longest) {
            return saidDays || (!column.unitGiven && step > 0.0 && step < longest);
        };
        if (inDays(1e-3) && first > 20000.0 && first < 80000.0) {
            scale = kDay_s; // spreadsheet days since 1899-12-30
            out.startDay = std::floor(first) - 25569.0;
            out.startClock_s = toMilliseconds((first - std::floor(first)) * kDay_s);
            tell(GatherCode::TimeFromSerialDays, time, {});
        } else if (inDays(1e-4) && first > 0.0 && first < 1.0 && values.back() < 1.0) {
            scale = kDay_s; // the clock alone, as part of a day
            out.startClock_s = toMilliseconds(first * kDay_s);
            tell(GatherCode::TimeFromSerialDays, time, {});
        } else {
            if (!column.unitGiven) {
                column.unit = unitByStep(step);
                if (column.unit != "s")
                    tell(GatherCode::TimeUnitByValues, time, {column.unit, significant(step, 6, "s")});
            }
            scale = parseUnit(column.unit).value_or(Unit{}).scale;
        }
        // Small figures stay as they are; of large ones (a clock since 1970) only what lies behind the first matters.
        const double from = std::abs(first * scale) < 1e6 ? 0.0 : first;
        for (const double value : values)
            out.seconds.push_back((value - from) * scale * column.factor);
        // A stamp of seconds since 1970 says when it was.
        if (const double start_s = first * scale; !out.startDay && start_s > 9e8 && start_s < 5e9) {
            out.startDay = std::floor(start_s / kDay_s);
            out.startClock_s = start_s - *out.startDay * kDay_s;
        }
        return out;
    }

    const RawTable& m_table;
    const ColumnGroup& m_group;
    std::vector<GatheredColumn>& m_columns;
    const TimeHints& m_hints;
    const std::string& m_file;
    GatherNotes& m_notes;
};

} // namespace

std::optional<TimeAxis> timeAxis(const RawTable& table, const ColumnGroup& group, std::vector<GatheredColumn>& columns,
                                 const TimeHints& hints, const std::string& file, GatherNotes& notes) {
    return AxisReader(table, group, columns, hints, file, notes).read();
}

} // namespace hillrun
