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

} // namespace hillrun
