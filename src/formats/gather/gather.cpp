// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/gather.h"

#include "core/channels/channels.h"
#include "core/errors/data_error.h"
#include "core/pull/robust.h"
#include "formats/gather/column_words.h"
#include "formats/gather/plausible.h"
#include "formats/gather/time_axis.h"
#include "formats/gather/time_text.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <set>

namespace hillrun {
namespace {

constexpr double kShortest_s = 1.0; ///< sweeps of any dyno last longer, and less than `kLongest_s` (common practice)
constexpr double kLongest_s = 120.0;
constexpr double kFullSweep = 1.25; ///< highest over lowest speed of a sweep that is worth the name

constexpr size_t kHeadKept = size_t{1} << 18;

class Gatherer {
public:
    Gatherer(const std::string& file, const GatherChoices& choices) : m_file(file), m_choices(choices) {}

    GatheredFile gather(std::string_view bytes, const ReadWatch& watch) {
        m_out.name = m_file;
        m_out.text = decodeText(bytes, m_choices.encoding);
        m_out.table = readRawTable(m_out.text.text, m_choices.table, m_file, watch);
        if (m_out.text.left > 0)
            tell(GatherCode::BytesLeftOut, {}, {Count{static_cast<long>(m_out.text.left)}});
        m_out.preamble = readPreamble(m_out.table.titles, m_choices.monthFirst);
        if (!m_out.preamble.eitherDate.empty())
            tell(GatherCode::DayOrMonth, {}, {m_out.preamble.eitherDate});
        tellOfTable();
        blankFillValues(m_out.table, m_file, m_out.notes);
        const auto groups = columnGroups(m_out.table);
        m_out.columns = columnMeanings(m_out.table, groups, m_choices.columns, m_file, m_out.notes);
        try {
            takePulls(groups);
        } catch (const DataError& error) {
            m_out.problem = error;
            m_out.pulls.clear();
        }
        keepHead();
        return std::move(m_out);
    }

private:
    void takePulls(const std::vector<ColumnGroup>& groups) {
        for (const ColumnGroup& group : groups)
            takeGroup(group, groups.size());
        if (m_out.pulls.empty())
            throw DataError(Problem::TooFewSamples, {std::string("0")}, {.file = m_file});
        if (m_out.pulls.size() > 1)
            tell(GatherCode::SeveralPulls, {}, {Count{static_cast<long>(m_out.pulls.size())}});
        settle();
        for (GatheredPull& pull : m_out.pulls)
            describe(pull);
        takeWeather();
    }

    void tell(GatherCode code, const Place& place, std::vector<Argument> details) {
        Place full = place;
        full.file = m_file;
        m_out.notes.push_back({code, full, std::move(details), {}});
    }

    /// The text itself is done with; its first lines are for showing.
    void keepHead() {
        std::string& text = m_out.text.text;
        if (text.size() > kHeadKept)
            text = text.substr(0, text.rfind('\n', kHeadKept) + 1);
    }

    void tellOfTable() {
        const RawTable& table = m_out.table;
        if (!table.leftOut.empty())
            tell(GatherCode::LinesLeftOut, {.line = table.leftOut.front().line},
                 {Count{static_cast<long>(table.leftOut.size())}, Statement{table.leftOut.front().why}});
        if (table.shortRows > 0)
            tell(GatherCode::ShortRows, {}, {Count{static_cast<long>(table.shortRows)}});
        if (table.longRows > 0)
            tell(GatherCode::LongRows, {}, {Count{static_cast<long>(table.longRows)}});
        for (const RawColumn& column : table.columns) {
            if (!column.texts.empty())
                continue;
            if (column.blanks > 0 && column.blanks < table.rows())
                tell(GatherCode::BlankCells, {.column = column.name}, {Count{static_cast<long>(column.blanks)}});
            if (column.words > 0)
                tell(GatherCode::WordsAmongNumbers, {.line = column.firstWordLine, .column = column.name},
                     {Count{static_cast<long>(column.words)}, column.firstWord});
            if (column.undecided)
                tell(GatherCode::DecimalUndecided, {.column = column.name},
                     {Statement{column.style.decimal == '.' ? "mark.point" : "mark.comma"}});
            if (column.mixed)
                tell(GatherCode::DecimalMixed, {.column = column.name}, {});
        }
    }

    [[nodiscard]] std::optional<size_t> find(const ColumnGroup& group, std::string_view channel) const {
        for (const size_t i : group)
            if (m_out.columns[i].channel == channel)
                return i;
        return std::nullopt;
    }

    [[nodiscard]] std::optional<TimeAxis> axisOf(const ColumnGroup& group) {
        const TimeHints hints{m_choices.rate_hz, m_out.preamble.rate_hz, m_choices.monthFirst};
        auto axis = timeAxis(m_out.table, group, m_out.columns, hints, m_file, m_out.notes);
        const auto said = stampIn(m_choices.started, m_choices.monthFirst.value_or(false));
        if (axis && said && said->day) {
            axis->startDay = said->day;
            axis->startClock_s = said->clock_s.value_or(0.0);
        }
        return axis;
    }

    [[nodiscard]] bool forCurve() const { return m_choices.purpose == GatherPurpose::Curve; }
    [[nodiscard]] bool forLog() const { return m_choices.purpose == GatherPurpose::Log; }

    /// Throws what is missing for a pull: time, speed, or torque and power.
    void checkGroup(const ColumnGroup& group, bool timed, bool turning, bool rollers) const {
        const Place place{.file = m_file, .line = m_out.table.headerLine};
        if (!timed && !forCurve())
            throw DataError(Problem::NoTimeChannel, {}, place);
        if (!turning && !rollers)
            throw DataError(Problem::NoSpeedChannel, {}, place);
        if (!forLog() && !find(group, "torque") && !find(group, "power") && !rollers)
            throw DataError(Problem::NoTorqueChannel, {}, place);
    }

    /// The pulls among the rows of a group; as somebody said, where they lie behind each other.
    [[nodiscard]] std::vector<RowPull> piecesOf(const ColumnGroup& group, const std::vector<double>& seconds,
                                                std::optional<size_t> speed, size_t rows, bool alone) const {
        std::vector<RowPull> out;
        if (forLog() || forCurve())
            return {{{0, rows - 1}, CutReason::None, 0.0, ""}};
        if (m_choices.pulls && alone) {
            for (const RowSpan& span : *m_choices.pulls)
                if (span.first <= span.last && span.last < rows)
                    out.push_back({span, CutReason::None, 0.0, ""});
            return out;
        }
        const std::vector<std::string> runs = runsOf(group, rows);
        const auto rpm = speed ? std::span(m_out.table.columns[*speed].values).first(rows) : std::span<const double>();
        return splitPulls({std::span(seconds).first(rows), rpm, runs, m_out.table.breaks});
    }

    void takeGroup(const ColumnGroup& group, size_t groups) {
        auto axis = axisOf(group);
        const auto speed = find(group, "engine_speed");
        const auto roller = find(group, "roller_speed");
        checkGroup(group, axis.has_value(), speed.has_value(), roller.has_value());
        if (forCurve() && !speed)
            throw DataError(Problem::NoSpeedChannel, {}, {.file = m_file, .line = m_out.table.headerLine});
        if (forCurve())
            tell(GatherCode::CurveOnly, {}, {});
        if (forCurve()) // its rows are points, one as good as the other
            axis = TimeAxis{std::vector<double>(m_out.table.rows(), std::nan("")), {}, {}, {}};
        const RawColumn& turning = m_out.table.columns[speed ? *speed : *roller];
        // Runs beside each other end in blanks.
        const size_t rows = groups > 1 ? filledRows(turning.values) : turning.values.size();
        const std::string label = groups > 1 ? turning.group : std::string();
        const std::vector<RowPull> pieces = piecesOf(group, axis->seconds, speed, rows, groups == 1);
        for (const RowPull& piece : pieces) {
            if (piece.cut == CutReason::TimeGap && runless(pieces))
                tell(GatherCode::TimeGap, {.line = m_out.table.lineOfRow[piece.rows.first]},
                     {significant(piece.gap_s, 3, "s")});
            GatheredPull pull;
            pull.columns = group;
            pull.rows = piece.rows;
            pull.axis = m_out.axes.size();
            pull.label = piece.run.empty() ? label : piece.run;
            pull.started = startOf(*axis, piece.rows.first);
            m_out.pulls.push_back(std::move(pull));
        }
        m_out.axes.push_back(std::move(axis->seconds));
    }

    static bool runless(const std::vector<RowPull>& pieces) {
        return std::all_of(pieces.begin(), pieces.end(), [](const RowPull& piece) { return piece.run.empty(); });
    }

    static size_t filledRows(const std::vector<double>& values) {
        size_t rows = values.size();
        while (rows > 0 && !std::isfinite(values[rows - 1]))
            --rows;
        return rows;
    }

    /// What the run column says a row, when it tells more than one run and does not count the rows.
    [[nodiscard]] std::vector<std::string> runsOf(const ColumnGroup& group, size_t rows) const {
        const auto run = find(group, role::kRun);
        if (!run)
            return {};
        const RawColumn& column = m_out.table.columns[*run];
        std::vector<std::string> out;
        std::set<std::string> different;
        for (size_t row = 0; row < rows; ++row) {
            out.push_back(column.texts.empty()
                              ? (std::isfinite(column.values[row]) ? fmt::format("{}", column.values[row]) : "")
                              : column.texts[row]);
            different.insert(out.back());
        }
        return 5 * different.size() > rows ? std::vector<std::string>{} : out;
    }

    [[nodiscard]] std::string startOf(const TimeAxis& axis, size_t row) const {
        const auto known = [](double t) { return std::isfinite(t); };
        const auto first = std::find_if(axis.seconds.begin(), axis.seconds.end(), known);
        const double later = known(axis.seconds[row]) ? axis.seconds[row] - *first : 0.0;
        if (axis.startDay) {
            const double clock = axis.startClock_s.value_or(0.0) + later;
            return isoStamp(*axis.startDay + std::floor(clock / 86400.0), clock - 86400.0 * std::floor(clock / 86400.0),
                            std::nullopt);
        }
        return later > 0.0 || m_out.preamble.started.empty() ? std::string() : m_out.preamble.started;
    }

    /// Units once, from the pull with the most rows, for all groups alike.
    void settle() {
        for (size_t axis = 0; axis < m_out.axes.size(); ++axis) {
            const GatheredPull* longest = nullptr;
            for (const GatheredPull& pull : m_out.pulls)
                if (pull.axis == axis && (!longest || pull.rows.rows() > longest->rows.rows()))
                    longest = &pull;
            if (longest)
                settleUnits({m_out.table, longest->columns, longest->rows}, m_out.columns, m_file, m_out.notes);
        }
    }

    /// The climb of its speed: how far and how long.
    void describe(GatheredPull& pull) {
        const auto speed = find(pull.columns, "engine_speed");
        if (!speed || forLog() || forCurve())
            return;
        const RawPull raw{m_out.table, pull.columns, pull.rows};
        const std::vector<double> rpm = valuesOf(raw, m_out.columns[*speed], *speed, 0.0);
        size_t low = 0;
        size_t high = 0;
        for (size_t row = 0; row < rpm.size(); ++row) {
            if (std::isfinite(rpm[row]) && !(rpm[row] <= rpm[high]))
                high = row;
        }
        for (size_t row = 0; row <= high; ++row)
            if (std::isfinite(rpm[row]) && !(rpm[row] >= rpm[low]))
                low = row;
        const auto& axis = m_out.axes[pull.axis];
        pull.sweep_rpm = {rpm[low], rpm[high]};
        pull.sweep_s = axis[pull.rows.first + high] - axis[pull.rows.first + low];
        const Place place{.line = m_out.table.lineOfRow[pull.rows.first]};
        if (!(pull.sweep_rpm.high > kFullSweep * pull.sweep_rpm.low))
            tell(GatherCode::NotAFullSweep, place, {Rpm{pull.sweep_rpm.low}, Rpm{pull.sweep_rpm.high}});
        else if (pull.sweep_s < kShortest_s)
            tell(GatherCode::ShortSweep, place, {significant(pull.sweep_s, 2, "s")});
        else if (pull.sweep_s > kLongest_s)
            tell(GatherCode::LongSweep, place, {decimals(pull.sweep_s, 0, "s")});
    }

    /// Of columns inside the file, else of the lines above it.
    void takeWeather() {
        const auto fromColumn = [&](std::string_view role) -> std::optional<double> {
            for (size_t i = 0; i < m_out.columns.size(); ++i) {
                if (m_out.columns[i].channel != role || !m_out.table.columns[i].texts.empty())
                    continue;
                const RowSpan all{0, m_out.table.rows() - 1};
                std::vector<double> values =
                    valuesOf({m_out.table, m_out.pulls.front().columns, all}, m_out.columns[i], i, 0.0);
                std::erase_if(values, [](double v) { return !std::isfinite(v); });
                if (values.empty())
                    continue;
                std::sort(values.begin(), values.end());
                return values[values.size() / 2];
            }
            return std::nullopt;
        };
        const Preamble& said = m_out.preamble;
        const auto temperature = fromColumn(role::kAirTemperature);
        const auto pressure = fromColumn(role::kAirPressure);
        const auto humidity = fromColumn(role::kHumidity);
        const auto t = temperature ? temperature : said.airTemperature_c;
        const auto p = pressure ? pressure : said.airPressure_kpa;
        const auto h = humidity ? humidity : said.humidity_pct;
        if (!t || !p || !h)
            return;
        const bool possible = *t > -40.0 && *t < 60.0 && *p > 50.0 && *p < 115.0 && *h >= 0.0 && *h <= 100.0;
        if (!possible)
            return;
        m_out.weather = Atmosphere{*t, *p * 1000.0, {HumidityKind::RelativeHumidity_pct, *h}};
        tell(GatherCode::WeatherFound, {}, {decimals(*t, 1, "C"), decimals(*p, 2, "kPa"), decimals(*h, 0, "%")});
    }

    const std::string& m_file;
    const GatherChoices& m_choices;
    GatheredFile m_out;
};

} // namespace

GatheredFile gather(std::string_view bytes, const std::string& file, const GatherChoices& choices,
                    const ReadWatch& watch) {
    return Gatherer(file, choices).gather(bytes, watch);
}

namespace {

ChannelTable channelsOf(const GatheredFile& file, const GatheredPull& pull, double ambient_kpa) {
    CsvTable csv;
    std::vector<ColumnMeaning> meanings;
    const RawPull raw{file.table, pull.columns, pull.rows};
    const std::vector<double>& axis = file.axes[pull.axis];
    const auto at = [&](size_t row) { return axis.begin() + static_cast<std::ptrdiff_t>(row); };
    // A pull behind another counts from its own first row.
    std::vector<double> seconds(at(pull.rows.first), at(pull.rows.last) + 1);
    const double start = pull.rows.first > 0 ? seconds.front() : 0.0;
    for (double& t : seconds)
        t -= start;
    const auto take = [&](const std::string& channel, const std::string& unit, std::vector<double> values) {
        meanings.push_back({channel, channel, unit, false, false});
        csv.columns.push_back(std::move(values));
    };
    take("time", "s", std::move(seconds));
    for (const size_t i : pull.columns) {
        const GatheredColumn& column = file.columns[i];
        const bool text = !file.table.columns[i].texts.empty();
        if (column.channel.empty() || column.channel == "time" || column.channel.starts_with('#') || text)
            continue;
        const ChannelInfo* info = channelInfo(column.channel);
        if (info) {
            const auto unit = parseUnit(column.unit);
            const Place place{.file = file.name, .line = file.table.headerLine, .column = column.header};
            if (!unit)
                throw DataError(Problem::UnknownUnit, {column.unit}, place);
            const bool wordless = unit->dimension == Dimension::None;
            if (!asUnitOf(*unit, info->dimension) && !wordless)
                throw DataError(Problem::WrongUnitKind, {column.unit, ChannelName{info->name, true}}, place);
        }
        take(column.channel, info ? canonicalUnitText(info->dimension) : column.unit,
             valuesOf(raw, column, i, ambient_kpa));
    }
    csv.headerLine = file.table.headerLine;
    return toChannels(std::move(csv), meanings, 0.0, file.name);
}

} // namespace

ChannelTable tableOf(const GatheredFile& file, const GatheredPull& pull, double ambient_kpa) {
    ChannelTable out = channelsOf(file, pull, ambient_kpa);
    checkPull(out, file.name);
    return out;
}

ChannelTable curveTableOf(const GatheredFile& file, double ambient_kpa) {
    if (file.problem)
        throw DataError(*file.problem);
    ChannelTable out = channelsOf(file, file.pulls.front(), ambient_kpa);
    std::erase_if(out.columns, [](const Column& column) { return column.name == "time"; });
    checkCurve(out, file.name);
    return out;
}

bool looksLikeCurve(const GatheredFile& file) {
    constexpr size_t kFewestPoints = 4;
    constexpr size_t kFewPoints = 40; ///< typed by somebody, at whatever speeds
    constexpr double kEvenStep = 0.02;
    const auto has = [&](const char* channel) {
        return std::find_if(file.columns.begin(), file.columns.end(),
                            [&](const GatheredColumn& column) { return column.channel == channel; });
    };
    const auto speed = has("engine_speed");
    const bool force = has("torque") != file.columns.end() || has("power") != file.columns.end();
    if (speed == file.columns.end() || !force)
        return false;
    const std::vector<double>& rpm = file.table.columns[static_cast<size_t>(speed - file.columns.begin())].values;
    if (rpm.size() < kFewestPoints)
        return false;
    std::vector<double> steps;
    for (size_t i = 1; i < rpm.size(); ++i)
        steps.push_back(rpm[i] - rpm[i - 1]);
    const bool rises = std::all_of(steps.begin(), steps.end(), [](double step) { return step > 0.0; });
    const bool falls = std::all_of(steps.begin(), steps.end(), [](double step) { return step < 0.0; });
    // Rows of a recorder whose time is missing rise unevenly.
    const double usual = median(steps);
    const auto even = std::count_if(steps.begin(), steps.end(),
                                    [&](double step) { return std::abs(step / usual - 1.0) < kEvenStep; });
    return (rises || falls) && (rpm.size() <= kFewPoints || 10 * even >= 9 * static_cast<long>(steps.size()));
}

ChannelTable logTableOf(const GatheredFile& file, double ambient_kpa) {
    if (file.problem)
        throw DataError(*file.problem);
    ChannelTable out = channelsOf(file, file.pulls.front(), ambient_kpa);
    if (!out.find("engine_speed"))
        throw DataError(Problem::NoSpeedChannel, {}, {.file = file.name});
    return out;
}

GatherNotes doubtsOf(const GatherNotes& notes) {
    GatherNotes out;
    std::copy_if(notes.begin(), notes.end(), std::back_inserter(out),
                 [](const GatherNote& note) { return isDoubt(note.code); });
    return out;
}

} // namespace hillrun
