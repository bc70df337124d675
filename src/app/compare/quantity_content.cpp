// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/quantity_content.h"

#include "app/look/words.h"
#include "core/compare/sentence.h"

#include <algorithm>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString unitText(const QuantityKind& kind) { return kind.unit == "1" ? QString() : qs(kind.unit); }

/// "Boost, kPa"
QString titleOf(const QuantityKind& kind) {
    const QString unit = unitText(kind);
    return unit.isEmpty() ? quantityNameText(kind) : quantityNameText(kind) + u", "_s + unit;
}

const std::vector<double>* curveOf(const QuantityAnswer& answer, const std::string& build) {
    for (const auto& [id, values] : answer.builds)
        if (id == build)
            return &values;
    return nullptr;
}

/// The nearest point of the grid.
double valueAt(const std::vector<double>& rpm, const std::vector<double>& values, double at) {
    const auto near = std::min_element(rpm.begin(), rpm.end(),
                                       [&](double a, double b) { return std::abs(a - at) < std::abs(b - at); });
    return near == rpm.end() ? std::nan("") : values[static_cast<size_t>(near - rpm.begin())];
}

QString valueText(double value) { return qs(currentVoice().number(significant(value, 4))); }

} // namespace

QString quantityNameText(const QuantityKind& kind) { return qs(Statement{"name", {quantityName(kind)}}); }

BoardContent quantityCurves(const TestDay& day, const QuantityAnswer& answer, const CompareView& view,
                            const Theme& theme) {
    BoardContent out;
    out.title = titleOf(answer.kind);
    for (const std::string& id : {view.from, view.to})
        if (const auto* values = curveOf(answer, id))
            out.series.push_back({answer.rpm, *values, theme.buildPen(buildNumber(day, id), 2.0), qs(id)});
    return out;
}

BoardContent quantityDifference(const QuantityAnswer& answer, const CompareView& view, const Theme& theme) {
    BoardContent out;
    out.xTitle = u"rpm"_s;
    out.zeroLine = true;
    out.symmetric = true;
    const QString unit = unitText(answer.kind);
    out.title = QObject::tr("Difference %1 \u2212 %2").arg(qs(view.to), qs(view.from));
    if (!unit.isEmpty())
        out.title += u", "_s + unit;
    const QuantityPair* pair = answer.find(view.from, view.to);
    if (!pair)
        return out;
    out.title += pair->mayClaim ? QObject::tr(" \u00B7 band: 95\u00A0% for the whole curve")
                                : QObject::tr(" \u00B7 not separable from drift");
    QColor ground = theme.quietInk;
    ground.setAlpha(theme.dark ? 80 : 60);
    out.bands.push_back({answer.rpm, pair->family95.low, pair->family95.high, ground});
    out.series.push_back(
        {answer.rpm, pair->delta, QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin), {}});
    return out;
}

std::vector<BandRow> quantityRows(const QuantityAnswer& answer, const QuantityPair& pair) {
    std::vector<BandRow> out;
    const std::string unit = unitText(answer.kind).toStdString();
    for (const QuantityBand& band : pair.bands) {
        BandRow row;
        row.range = rangeText(band.range_rpm);
        row.difference = qs(currentVoice().interval(band.delta, 0.5 * (band.high - band.low), unit, true));
        if (pair.mayClaim && (band.low > 0.0 || band.high < 0.0))
            row.claim = band.low > 0.0 ? Claim::Gain : Claim::Loss;
        row.asMore = !answer.kind.isRatio;
        row.asked = band.asked;
        out.push_back(std::move(row));
    }
    return out;
}

QString quantityCursor(const QuantityAnswer& answer, const CompareView& view, double rpm) {
    QString text = qs(rpmText(std::round(rpm / 10.0) * 10.0)) + u"\u00A0rpm"_s;
    for (const std::string& id : {view.from, view.to})
        if (const auto* values = curveOf(answer, id))
            if (const double value = valueAt(answer.rpm, *values, rpm); std::isfinite(value))
                text += u"  %1 %2"_s.arg(qs(id), valueText(value));
    if (const QuantityPair* pair = answer.find(view.from, view.to))
        if (const double delta = valueAt(answer.rpm, pair->delta, rpm); std::isfinite(delta))
            text += u"  \u0394 "_s + qs(currentVoice().number(signedSignificant(delta, 3)));
    return text;
}

const QuantityAnswer* curveLookedAt(const DayAnalysis& analysis, const std::string& id) {
    const auto& answer = analysis.quantity;
    return answer && !id.empty() && answer->kind.id == id ? answer.get() : nullptr;
}

BoardContent quantityField(const TestDay& day, const DayAnalysis& analysis, const QuantityAnswer& answer,
                           const CompareView& view, const Theme& theme) {
    BoardContent out;
    out.title = titleOf(answer.kind);
    out.xTitle = u"rpm"_s;
    out.xRange = fieldRange(analysis);
    out.shades = useShades(analysis, theme);
    std::vector<BoardSeries> front;
    for (const auto& [id, values] : answer.builds) {
        const bool chosen = id == view.to;
        BoardSeries series{answer.rpm, values, theme.buildPen(buildNumber(day, id), chosen ? 3.0 : 2.0), qs(id)};
        if (!chosen && id != view.from)
            series.pen.setColor(theme.faded(series.pen.color(), 0.45));
        (chosen ? front : out.series).push_back(std::move(series));
    }
    out.series.insert(out.series.end(), front.begin(), front.end());
    return out;
}

namespace {

/// The mean that counts: over the use, when the day names one, else over the whole range; null without any.
const QuantityBand* countingBand(const DayAnalysis& analysis, const QuantityPair& pair) {
    if (analysis.settings.use)
        for (const QuantityBand& band : pair.bands)
            if (band.asked == 0)
                return &band;
    return pair.bands.empty() ? nullptr : &pair.bands.front();
}

struct AgainstBase {
    std::string build;
    const QuantityPair* pair = nullptr; ///< of the base none
    const QuantityBand* band = nullptr;
};

/// The highest first; the base among them, with nothing against itself.
std::vector<AgainstBase> againstBase(const DayAnalysis& analysis, const QuantityAnswer& answer) {
    std::vector<AgainstBase> out;
    if (answer.builds.empty())
        return out;
    const std::string& base = answer.builds.front().first;
    for (const auto& [id, values] : answer.builds) {
        AgainstBase one{id, id == base ? nullptr : answer.find(base, id), nullptr};
        if (one.pair)
            one.band = countingBand(analysis, *one.pair);
        out.push_back(one);
    }
    std::stable_sort(out.begin(), out.end(), [](const AgainstBase& a, const AgainstBase& b) {
        return (a.band ? a.band->delta : 0.0) > (b.band ? b.band->delta : 0.0);
    });
    return out;
}

QString meanText(const QuantityKind& kind, const QuantityBand& band) {
    return qs(currentVoice().interval(band.delta, 0.5 * (band.high - band.low), unitText(kind).toStdString(), true));
}

} // namespace

std::vector<FieldRow> quantityFieldRows(const TestDay& day, const DayAnalysis& analysis, const QuantityAnswer& answer) {
    std::vector<FieldRow> out;
    for (const AgainstBase& one : againstBase(analysis, answer)) {
        FieldRow row;
        row.build = one.build;
        row.number = buildNumber(day, one.build);
        row.base = !one.pair;
        row.gain = row.base ? QObject::tr("base") : u"\u2013"_s;
        if (one.pair)
            row.regions = one.pair->regions;
        if (one.band) {
            row.gain = meanText(answer.kind, *one.band);
            const bool claims = one.pair->mayClaim && (one.band->low > 0.0 || one.band->high < 0.0);
            row.verdict = !claims                 ? QObject::tr("cannot tell yet")
                          : one.band->delta > 0.0 ? QObject::tr("more")
                                                  : QObject::tr("less");
        }
        out.push_back(std::move(row));
    }
    return out;
}

QString quantityFieldText(const DayAnalysis& analysis, const QuantityAnswer& answer) {
    QStringList each;
    const QuantityBand* any = nullptr;
    for (const AgainstBase& one : againstBase(analysis, answer))
        if (one.band) {
            each << u"%1\u00A0%2"_s.arg(qs(one.build), meanText(answer.kind, *one.band));
            any = one.band;
        }
    if (!any)
        return QObject::tr("%1: nothing to hold against each other yet.").arg(quantityNameText(answer.kind));
    return QObject::tr("%1 against %2 on average over %3 rpm: %4.")
        .arg(quantityNameText(answer.kind), qs(answer.builds.front().first), rangeText(any->range_rpm),
             each.join(u", "_s));
}

} // namespace hillrun
