// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/column_meanings.h"

#include "core/channels/channels.h"
#include "formats/gather/column_words.h"
#include "formats/gather/number_text.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <utility>

namespace hillrun {
namespace {

/// "RPM 2", "Torque.1", "rpm_3" without their number; a name that is all digits stays.
std::string withoutNumber(const std::string& name) {
    size_t end = name.size();
    while (end > 0 && std::isdigit(static_cast<unsigned char>(name[end - 1])))
        --end;
    while (end > 0 && std::string_view(" ._-#").find(name[end - 1]) != std::string_view::npos)
        --end;
    return end == 0 ? name : name.substr(0, end);
}

bool isEngineSpeed(const RawColumn& column, const std::string& name) {
    return senseOf(name, column.unit).channel == "engine_speed" && !senseOf(name, column.unit).setPoint;
}

/// Groups by what `keyOf` says is the same column of another run; nothing unless engine speed comes more than once.
template <class KeyOf> std::vector<ColumnGroup> groupsByName(const RawTable& table, const KeyOf& keyOf) {
    std::map<std::string, std::vector<size_t>> byKey;
    size_t runs = 1;
    for (size_t i = 0; i < table.columns.size(); ++i) {
        const std::string key = keyOf(table.columns[i]);
        byKey[key].push_back(i);
        if (!key.empty() && isEngineSpeed(table.columns[i], key))
            runs = std::max(runs, byKey[key].size());
    }
    if (runs < 2)
        return {};
    std::vector<ColumnGroup> out(runs);
    for (const auto& [key, members] : byKey) {
        if (members.size() == runs && !key.empty())
            for (size_t run = 0; run < runs; ++run)
                out[run].push_back(members[run]);
        else if (members.size() == 1)
            for (ColumnGroup& group : out)
                group.push_back(members.front());
    }
    for (ColumnGroup& group : out)
        std::sort(group.begin(), group.end());
    return out;
}

std::vector<ColumnGroup> groupsByLevel(const RawTable& table) {
    std::vector<std::string> labels;
    ColumnGroup shared;
    std::map<std::string, ColumnGroup> byLabel;
    for (size_t i = 0; i < table.columns.size(); ++i) {
        const RawColumn& column = table.columns[i];
        if (column.group.empty()) {
            shared.push_back(i);
            continue;
        }
        if (!byLabel.contains(column.group))
            labels.push_back(column.group);
        byLabel[column.group].push_back(i);
    }
    std::vector<ColumnGroup> out;
    for (const std::string& label : labels) {
        ColumnGroup group = byLabel[label];
        if (std::none_of(group.begin(), group.end(),
                         [&](size_t i) { return isEngineSpeed(table.columns[i], table.columns[i].name); }))
            return {}; // the upper level names something else
        group.insert(group.end(), shared.begin(), shared.end());
        std::sort(group.begin(), group.end());
        out.push_back(std::move(group));
    }
    return out.size() > 1 ? out : std::vector<ColumnGroup>{};
}

/// A header on its way to its meaning.
struct Candidate {
    size_t column = 0;
    HeaderSense sense;
    [[nodiscard]] int rank() const {
        return 10 * static_cast<int>(sense.surety) + (sense.measured ? 2 : 0) - (sense.corrected ? 5 : 0);
    }
};

/// A name of its own that no standard channel has.
std::string ownName(const RawColumn& column, size_t index) {
    std::string name = column.name.empty() ? fmt::format("column_{}", index + 1) : column.name;
    if (channelInfo(name))
        name += column.unit.empty() ? " 2" : " " + column.unit;
    return name;
}

class MeaningReader {
public:
    MeaningReader(const RawTable& table, const ColumnChoices& choices, const std::string& file, GatherNotes& notes)
        : m_table(table), m_choices(choices), m_file(file), m_notes(notes) {}

    std::vector<GatheredColumn> read(const std::vector<ColumnGroup>& groups) {
        const size_t count = m_table.columns.size();
        m_out.resize(count);
        m_senses.resize(count);
        for (size_t i = 0; i < count; ++i)
            begin(i);
        for (const ColumnGroup& group : groups)
            settle(group);
        for (size_t i = 0; i < count; ++i)
            if (const auto said = m_choices.find(i); said != m_choices.end()) {
                m_out[i] = said->second;
                m_out[i].header = m_table.columns[i].name;
                m_out[i].guessed = false;
                m_out[i].said = true;
                m_out[i].unitGiven = !m_out[i].unit.empty();
            }
        return std::move(m_out);
    }

private:
    void tell(GatherCode code, size_t column, std::vector<Argument> details = {}) {
        m_notes.push_back({code,
                           {.file = m_file, .line = m_table.headerLine, .column = m_table.columns[column].name},
                           std::move(details),
                           {}});
    }

    void begin(size_t i) {
        const RawColumn& raw = m_table.columns[i];
        GatheredColumn& out = m_out[i];
        out.header = raw.name;
        out.channel = ownName(raw, i);
        out.unit = raw.unit;
        out.unitGiven = !raw.unit.empty();
        m_senses[i] = senseOf(raw.name, raw.unit);
        if (m_choices.contains(i))
            return;
        const bool unknown = !raw.unit.empty() && !parseUnit(raw.unit);
        if (m_senses[i].surety != HeaderSurety::Nothing)
            return;
        // What its name would mean, were it not for the unit.
        if (const HeaderSense byName = senseOf(raw.name, ""); !byName.channel.empty() && !raw.unit.empty()) {
            if (unknown)
                tell(GatherCode::UnknownUnit, i, {raw.unit});
            else
                tell(GatherCode::OtherUnitKind, i, {raw.unit, ChannelName{byName.channel, true}});
        }
    }

    [[nodiscard]] bool mayMean(size_t i) const {
        const RawColumn& raw = m_table.columns[i];
        const HeaderSense& sense = m_senses[i];
        if (sense.channel.empty() || sense.setPoint)
            return false;
        const bool text = !raw.texts.empty();
        return !text || sense.channel == "time" || sense.channel == role::kDate || sense.channel == role::kRun;
    }

    /// Which of a group's columns keeps each quantity.
    void settle(const ColumnGroup& group) {
        std::map<std::string, Candidate> best;
        for (const size_t i : group)
            if (const auto said = m_choices.find(i); said != m_choices.end())
                best[said->second.channel] = {i, {said->second.channel, HeaderSurety::Exact, false, true}};
        for (const size_t i : group) {
            if (m_choices.contains(i) || !mayMean(i))
                continue;
            const Candidate mine{i, m_senses[i]};
            const auto [at, isNew] = best.try_emplace(mine.sense.channel, mine);
            const bool theirsWasSaid = !isNew && m_choices.contains(at->second.column);
            if (!isNew && !theirsWasSaid && mine.rank() > at->second.rank())
                at->second = mine;
        }
        for (const auto& [channel, dimension] :
             {std::pair{"engine_speed", Dimension::EngineSpeed}, std::pair{"torque", Dimension::Torque},
              std::pair{"power", Dimension::Power}})
            if (!best.contains(channel))
                takeByUnit(group, channel, dimension, best);
        for (const size_t i : group)
            if (!m_choices.contains(i))
                conclude(i, best);
    }

    /// "M [Nm]", "n [1/min]": a name that says nothing, but the only column in such a unit.
    void takeByUnit(const ColumnGroup& group, const char* channel, Dimension dimension,
                    std::map<std::string, Candidate>& best) {
        std::optional<size_t> only;
        for (const size_t i : group) {
            const auto unit = parseUnit(m_table.columns[i].unit);
            if (m_choices.contains(i) || !unit || unit->dimension != dimension || m_senses[i].setPoint ||
                !m_table.columns[i].texts.empty())
                continue;
            if (only || !m_senses[i].channel.empty() || namesAnotherPart(m_table.columns[i].name))
                return;
            only = i;
        }
        if (!only)
            return;
        m_senses[*only].channel = channel;
        m_senses[*only].surety = HeaderSurety::Words;
        best[channel] = {*only, m_senses[*only]};
    }

    void conclude(size_t i, const std::map<std::string, Candidate>& best) {
        const HeaderSense& sense = m_senses[i];
        const RawColumn& raw = m_table.columns[i];
        if (mayMean(i) && best.at(sense.channel).column == i) {
            give(i, sense);
            return;
        }
        if (!raw.texts.empty()) {
            m_out[i].channel.clear();
            if (std::exchange(m_told[i], true) == false)
                tell(GatherCode::TextColumn, i);
            return;
        }
        if (sense.channel.empty() || sense.channel.starts_with('#') || std::exchange(m_told[i], true))
            return;
        if (sense.setPoint)
            tell(GatherCode::SetPoint, i);
        else if (sense.corrected)
            tell(GatherCode::CorrectedLeftOut, i);
        else
            tell(GatherCode::SecondOfAKind, i, {ChannelName{sense.channel, true}});
    }

    void give(size_t i, const HeaderSense& sense) {
        GatheredColumn& out = m_out[i];
        out.channel = sense.channel;
        out.guessed = sense.surety == HeaderSurety::Words;
        const auto unit = parseUnit(out.unit);
        const auto dimension = dimensionOf(out.channel);
        // An absolute unit ("psia") beats the word boost.
        if (dimension == Dimension::Pressure && unit) {
            const std::string spelled = lowered(out.unit);
            const bool absoluteUnit =
                unit->dimension == Dimension::Pressure && !unit->gauge &&
                (spelled.find("abs") != std::string::npos || spelled.ends_with("a)") || spelled == "psia" ||
                 spelled == "bara" || spelled == "kpaa" || spelled == "mbara");
            out.gauge = unit->gauge || (sense.gauge && !sense.absolute && !absoluteUnit);
        }
        if (sense.corrected && std::exchange(m_told[i], true) == false)
            tell(GatherCode::CorrectedOnly, i);
    }

    const RawTable& m_table;
    const ColumnChoices& m_choices;
    const std::string& m_file;
    GatherNotes& m_notes;
    std::vector<GatheredColumn> m_out;
    std::vector<HeaderSense> m_senses;
    std::map<size_t, bool> m_told;
};

constexpr std::array kFillValues{-999.0,       -999.9,  -999.99, -9999.0, -99999.0, -999.25, 999.0,     9999.0,
                                 99999.0,      65535.0, 65534.0, 32767.0, -32768.0, 6553.5,  655.35,    -327.68,
                                 2147483647.0, -1e30,   1e30,    1e10,    -1e10,    -99.0,   16777215.0};

} // namespace

std::vector<ColumnGroup> columnGroups(const RawTable& table) {
    auto groups = groupsByLevel(table);
    if (groups.empty())
        groups = groupsByName(table, [](const RawColumn& column) { return column.name; });
    if (groups.empty())
        groups = groupsByName(table, [](const RawColumn& column) { return withoutNumber(column.name); });
    if (groups.empty()) {
        groups.emplace_back();
        for (size_t i = 0; i < table.columns.size(); ++i)
            groups.back().push_back(i);
    }
    return groups;
}

std::vector<GatheredColumn> columnMeanings(const RawTable& table, const std::vector<ColumnGroup>& groups,
                                           const ColumnChoices& choices, const std::string& file, GatherNotes& notes) {
    return MeaningReader(table, choices, file, notes).read(groups);
}

void blankFillValues(RawTable& table, const std::string& file, GatherNotes& notes) {
    for (RawColumn& column : table.columns) {
        std::map<double, size_t> found;
        double low = std::numeric_limits<double>::infinity();
        double high = -low;
        size_t others = 0;
        for (const double value : column.values) {
            if (std::find(kFillValues.begin(), kFillValues.end(), value) != kFillValues.end()) {
                ++found[value];
            } else if (std::isfinite(value)) {
                low = std::min(low, value);
                high = std::max(high, value);
                ++others;
            }
        }
        for (const auto& [fill, count] : found) {
            const double room = 2.0 * std::max(high - low, 0.1 * std::abs(high));
            if (others < 2 || (fill >= low - room && fill <= high + room))
                continue;
            std::replace(column.values.begin(), column.values.end(), fill, std::numeric_limits<double>::quiet_NaN());
            column.blanks += count;
            notes.push_back({GatherCode::FillValues,
                             {.file = file, .column = column.name},
                             {Count{static_cast<long>(count)}, significant(fill, 6)},
                             {}});
        }
    }
}

} // namespace hillrun
