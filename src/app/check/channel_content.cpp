// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/channel_content.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/channels/channels.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/pull/curve_rows.h"

#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// A column of one pull on its curve's grid, with how to say its values.
struct PullColumn {
    std::string name;
    QString label;
    QString unit;
    std::map<std::string, std::vector<double>> values; ///< by pull
    QString note;
};

QString unitOf(const std::string& channel, const TestDay& day, const std::string& pull) {
    const Pull* raw = findPull(day, pull);
    const Column* column = raw && raw->raw ? raw->raw->find(channel) : nullptr;
    const QString unit = column ? qs(column->unit) : QString();
    if (unit == u"1"_s)
        return {};
    return unit == u"C"_s ? u"°C"_s : unit;
}

/// "lambda"; of a log laid on the pull "lambda, from ecu-log".
QString labelOf(const std::string& channel, const TestDay& day, const std::string& id) {
    const Pull* pull = findPull(day, id);
    const auto joined = pull ? joinedColumn(*pull, channel) : std::nullopt;
    if (!joined)
        return channelText(channel);
    const LaidLog& log = pull->logs[joined->log];
    return QObject::tr("%1, from %2").arg(channelText(log.rows->columns[joined->column].name), qs(log.name));
}

/// The channels that steer an engine first, then the other known ones, then the rest by name.
std::vector<std::string> namesInOrder(const Curve& curve) {
    std::vector<const ChannelInfo*> known;
    for (const ChannelInfo& info : standardChannels())
        if (curve.channels().contains(info.name) && std::string_view(info.name) != "time")
            known.push_back(&info);
    std::stable_sort(known.begin(), known.end(),
                     [](const auto* one, const auto* other) { return one->screenOrder < other->screenOrder; });
    std::vector<std::string> out;
    for (const ChannelInfo* info : known)
        out.emplace_back(info->name);
    for (const auto& [name, values] : curve.channels())
        if (!channelInfo(name))
            out.push_back(name);
    return out;
}

bool hasValue(const std::vector<double>& values) {
    return std::any_of(values.begin(), values.end(), [](double v) { return std::isfinite(v); });
}

/// Every channel and derived figure of the selected pull, with the same of the other pulls shown.
std::vector<PullColumn> quantitiesOf(const TestDay& day, const std::vector<const PullResult*>& pulls,
                                     const PullResult& chosen) {
    std::vector<PullColumn> out;
    for (const std::string& name : namesInOrder(*chosen.curve)) {
        PullColumn one{name, labelOf(name, day, chosen.id), unitOf(name, day, chosen.id), {}, {}};
        for (const PullResult* pull : pulls)
            if (const auto it = pull->curve->channels().find(name); it != pull->curve->channels().end())
                one.values[pull->id] = it->second;
        if (hasValue(one.values[chosen.id]))
            out.push_back(std::move(one));
    }
    const size_t firstDerived = out.size();
    for (const PullResult* pull : pulls) {
        const Pull* raw = findPull(day, pull->id);
        if (!raw)
            continue;
        for (const DerivedChannel& derived : derivedChannels(day.article, *raw, *pull->curve)) {
            auto it = std::find_if(out.begin() + static_cast<std::ptrdiff_t>(firstDerived), out.end(),
                                   [&](const PullColumn& q) { return q.name == derived.name; });
            if (it == out.end())
                it = out.insert(out.end(), {derived.name,
                                            channelText(derived.name),
                                            derived.unit == "1" ? QString() : qs(derived.unit),
                                            {},
                                            {}});
            it->values[pull->id] = derived.values;
            if (pull == &chosen)
                it->note = qs(derived.note);
        }
    }
    return out;
}

/// Enough decimals for a channel of this size.
int decimalsOf(double value) {
    const double size = std::abs(value);
    return size < 3.0 ? 3 : (size < 30.0 ? 2 : (size < 300.0 ? 1 : 0));
}

QString figure(double value) {
    if (!std::isfinite(value))
        return u"\u2013"_s;
    QString out = numberText(value, decimalsOf(value));
    return out.replace(u'-', u'\u2212');
}

} // namespace

std::vector<ChannelTile> channelTiles(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                                      const Theme& theme) {
    std::vector<ChannelTile> out;
    const auto pulls = pullsShown(analysis, view);
    const PullResult* chosen = findResult(analysis, view.pull);
    if (pulls.empty() || !chosen || !chosen->curve)
        return out;
    const auto axis = overlayContent(day, analysis, view, theme).xRange;
    for (PullColumn& one : quantitiesOf(day, pulls, *chosen)) {
        ChannelTile tile{qs(one.name), one.unit, {}, {}};
        tile.board.title = one.unit.isEmpty() ? one.label : u"%1, %2"_s.arg(one.label, one.unit);
        tile.note = one.note.toStdString();
        tile.board.xRange = axis;
        const ChannelInfo* info = channelInfo(one.name);
        tile.board.leastSpan = info ? 3.0 * info->tolerance : 0.0; // smaller moves are no news
        for (const PullResult* pull : pulls) {
            const auto values = one.values.find(pull->id);
            if (values == one.values.end() || !hasValue(values->second))
                continue;
            BoardSeries series{pull->curve->rpm, values->second, pullPen(day, *pull, view, theme), {}};
            if (pull == chosen)
                series.pen.setWidthF(2.0);
            tile.board.series.push_back(std::move(series));
        }
        out.push_back(std::move(tile));
    }
    return out;
}

QString tileReadout(const DayAnalysis& analysis, const CheckView& view, const ChannelTile& tile, double rpm) {
    const PullResult* chosen = findResult(analysis, view.pull);
    if (!chosen || !chosen->curve || tile.board.series.empty())
        return {};
    const double value = valueAt(*chosen->curve, tile.board.series.back().y, rpm);
    return std::isfinite(value) ? figure(value) : QString();
}

CursorNumbers numbersAt(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, double rpm) {
    CursorNumbers out;
    out.rpm = rpm;
    auto pulls = pullsShown(analysis, view);
    const PullResult* chosen = findResult(analysis, view.pull);
    if (pulls.empty() || !chosen || !chosen->curve)
        return out;
    const auto quantities = quantitiesOf(day, pulls, *chosen);
    out.columns << QObject::tr("pull at %1 rpm").arg(qs(rpmText(std::round(rpm / 10.0) * 10.0)))
                << QObject::tr("power, %1 %2")
                       .arg(QString::fromUtf8(powerUnitText(view.units.power)), qs(placePhrase(chosen->curve->place)))
                << QObject::tr("torque, %1").arg(QString::fromUtf8(torqueUnitText(view.units.torque)))
                << QObject::tr("from %1, %").arg(qs(chosen->id));
    for (const PullColumn& one : quantities)
        out.columns << (one.unit.isEmpty() ? insideSentence(one.label)
                                           : u"%1, %2"_s.arg(insideSentence(one.label), one.unit));
    std::rotate(pulls.begin(), pulls.end() - 1, pulls.end()); // the selected one first
    const double own_w = valueAt(*chosen->curve, chosen->curve->power_w, rpm);
    for (const PullResult* pull : pulls) {
        CursorNumbers::Row row{pull->id, buildNumber(day, pull->build), pull->used, {}};
        const double power_w = valueAt(*pull->curve, pull->curve->power_w, rpm);
        const double torque_nm = valueAt(*pull->curve, pull->curve->torque_nm, rpm);
        row.cells << u"%1  %2"_s.arg(qs(pull->build), qs(pull->id))
                  << (std::isfinite(power_w) ? numberText(powerIn(view.units.power, power_w), 2) : figure(power_w))
                  << (std::isfinite(torque_nm) ? numberText(torqueIn(view.units.torque, torque_nm), 2)
                                               : figure(torque_nm))
                  << (pull == chosen ? QString() : percentText(100.0 * (power_w / own_w - 1.0)));
        for (const PullColumn& one : quantities) {
            const auto values = one.values.find(pull->id);
            row.cells << figure(values == one.values.end() ? std::nan("") : valueAt(*pull->curve, values->second, rpm));
        }
        out.rows.push_back(std::move(row));
    }
    return out;
}

QString asTable(const CursorNumbers& numbers) {
    QStringList lines{QObject::tr("at %1 rpm").arg(numberText(numbers.rpm, 0)), numbers.columns.join(u'\t')};
    for (const CursorNumbers::Row& row : numbers.rows) {
        QString line = row.cells.join(u'\t');
        line.replace(u'\u2212', u'-').remove(u'\u00A0');
        lines << line;
    }
    return lines.join(u'\n') + u'\n';
}

} // namespace hillrun
