// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_list.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kSlip = 0.03;      ///< of the ratio of engine to driven speed
constexpr double kWrongGear = 0.04; ///< of the ratio; neighbouring gears lie 15 % apart or more (common practice)
constexpr double kSameUnit = 0.012; ///< how near a factor must be to one that units explain

/// Ratio of one speed to another along the sweep, calmed; empty when it is not known well enough.
std::vector<double> ratioAlong(const EventSheet& sheet, std::span<const double> upper, std::span<const double> lower) {
    std::vector<double> out(lower.size());
    for (size_t i = 0; i < lower.size(); ++i)
        out[i] = upper[i] / lower[i];
    if (longestStill(lower).rows > lower.size() / 4)
        return {};
    out = runningMedian(out, sheet.s.rowsIn(0.2));
    return finiteOf(out).size() < out.size() / 2 ? std::vector<double>{} : out;
}

double meanOf(const std::vector<double>& values, size_t first, size_t count) {
    double sum = 0.0;
    for (size_t i = first; i < first + count; ++i)
        sum += values[i];
    return sum / static_cast<double>(count);
}

/// Engine over driven speed along the sweep, rad/s over rad/s; empty when it is not known.
std::vector<double> engineOverDriven(const EventSheet& sheet) {
    const PullSignals& source = sheet.curve.source();
    if (source.driven_rad_s.empty() || !sheet.raw.find("engine_speed"))
        return {};
    std::vector<double> out =
        ratioAlong(sheet, sheet.s.speed_rpm, std::span(source.driven_rad_s).subspan(sheet.s.first, sheet.s.rows()));
    for (double& r : out)
        r = angularSpeed(r);
    return out;
}

/// The ratio climbs above its usual value. Which part slips shows in where it does so: a converter at the start, going
/// away as the speed rises; a clutch at once; a tyre or strap little by little.
void slip(EventSheet& sheet, const std::vector<double>& ratio) {
    if (ratio.empty())
        return;
    const double usual = quantileOf(finiteOf(ratio), 0.2);
    const Run run = longestRun(ratio, [usual](double v) { return v > usual * (1.0 + kSlip); });
    if (run.rows < sheet.s.rowsIn(0.3))
        return;
    const size_t to = run.first + run.rows - 1;
    const double most =
        *std::max_element(ratio.begin() + static_cast<long>(run.first), ratio.begin() + static_cast<long>(to) + 1) /
            usual -
        1.0;
    const size_t edge = std::max<size_t>(1, run.rows / 5);
    const double front = meanOf(ratio, run.first, edge);
    const double back = meanOf(ratio, to + 1 - edge, edge);
    const size_t rise = sheet.s.rowsIn(0.12);
    const bool atOnce = run.first > rise &&
                        ratio[std::min(to, run.first + rise)] - ratio[run.first - rise] > 0.7 * most * usual &&
                        most > 2.0 * kSlip;
    EventKind kind = EventKind::Slip;
    const char* what = "event.slip";
    if (run.first < sheet.s.rows() / 10 && front > back * 1.02) {
        kind = EventKind::ConverterSlip;
        what = "event.converter_slip";
    } else if (atOnce) {
        kind = EventKind::ClutchSlip;
        what = "event.clutch_slip";
    } else if (run.first > sheet.s.rows() / 10) {
        kind = EventKind::TyreSlip;
        what = "event.tyre_slip";
    }
    sheet.add(kind, run.first, to, most, {what, {decimals(100.0 * most, 0, "%"), sheet.between(run.first, to)}});
}

/// The gear whose ratio is nearest; 0 when none is known.
int nearestGear(const EventContext& context, double ratio) {
    int best = 0;
    double distance = 1e9;
    for (size_t i = 0; i < context.gearRatios.size(); ++i)
        if (const auto& r = context.gearRatios[i]; r && std::abs(std::log(ratio / *r)) < distance) {
            distance = std::abs(std::log(ratio / *r));
            best = static_cast<int>(i) + 1;
        }
    return best;
}

void wrongGear(EventSheet& sheet, const std::vector<double>& engineOverDriven) {
    const auto ratio = sheet.curve.source().ratio;
    if (!ratio)
        return;
    std::vector<double> others;
    for (const EventReference& other : sheet.context.references)
        if (other.curve->source().ratio)
            others.push_back(*other.curve->source().ratio);
    const std::vector<double> along = finiteOf(engineOverDriven);
    if (along.empty())
        return;
    // Slip moves a part of the sweep, another gear all of it.
    const double low = quantileOf(along, 0.1);
    const double high = quantileOf(along, 0.9);
    const int nearest = sheet.curve.source().drivenScaleKnown ? nearestGear(sheet.context, *ratio) : 0;
    const bool offSet =
        !others.empty() && (low > (1.0 + kWrongGear) * median(others) || high < (1.0 - kWrongGear) * median(others));
    const bool offGear = others.empty() && sheet.context.gear && nearest != 0 && nearest != *sheet.context.gear;
    if (!offSet && !offGear)
        return;
    std::vector<Argument> holes{decimals(*ratio, 3)};
    if (offSet)
        holes.emplace_back(decimals(median(others), 3));
    else
        holes.emplace_back(std::to_string(*sheet.context.gear));
    if (nearest != 0)
        holes.emplace_back(std::to_string(nearest));
    const char* alone = offSet ? "event.ratio_off" : "event.ratio_not_gear";
    const char* likeGear = offSet ? "event.ratio_off_like_gear" : "event.ratio_like_gear";
    sheet.add(EventKind::WrongGear, 0, sheet.s.rows() - 1, offSet ? *ratio / median(others) - 1.0 : 0.0,
              {nearest != 0 ? likeGear : alone, std::move(holes)});
}

/// Factors that a wrong unit explains.
struct UnitFactor {
    double factor;
    const char* was;
    const char* as;
};
constexpr double kHp = unit::kHorsepower_w / 1000.0;
constexpr double kPs = unit::kMetricHorsepower_w / 1000.0;
constexpr double kLbFt = unit::kPoundFoot_nm;
constexpr UnitFactor kUnitFactors[] = {{1.0 / kPs, "PS", "kW"},
                                       {kPs, "kW", "PS"},
                                       {1.0 / kHp, "hp", "kW"},
                                       {kHp, "kW", "hp"},
                                       {kLbFt, "N.m", "lbf.ft"},
                                       {1.0 / kLbFt, "lbf.ft", "N.m"},
                                       {unit::kStandardGravity, "N.m", "kgf.m"},
                                       {1.0 / unit::kStandardGravity, "kgf.m", "N.m"}};

/// Mean torque over the range that two curves share, the first over the second; NaN without one.
double torqueRatio(const Curve& one, const Curve& other) {
    double a = 0.0;
    double b = 0.0;
    if (one.rpm.size() < 2 || other.rpm.empty())
        return std::nan("");
    for (size_t i = 0; i < one.rpm.size(); ++i) {
        const auto at = std::llround((one.rpm[i] - other.rpm.front()) / (one.rpm[1] - one.rpm[0]));
        if (at < 0 || at >= static_cast<long long>(other.rpm.size()))
            continue;
        const double x = one.torque_nm[i];
        const double y = other.torque_nm[static_cast<size_t>(at)];
        if (std::isfinite(x) && std::isfinite(y)) {
            a += x;
            b += y;
        }
    }
    return a / b;
}

void wrongUnit(EventSheet& sheet) {
    std::vector<double> ratios;
    for (const EventReference& other : sheet.context.references)
        if (const double r = torqueRatio(sheet.curve, *other.curve); std::isfinite(r))
            ratios.push_back(r);
    if (ratios.empty())
        return;
    const double ratio = median(ratios);
    Several what{{}, true};
    for (const UnitAnswer& answer : unitAnswers(ratio))
        what.items.push_back(takenFor(answer));
    if (what.items.empty())
        return;
    sheet.add(EventKind::WrongUnit, 0, sheet.s.rows() - 1, ratio, {"event.wrong_unit", {decimals(ratio, 2), what}});
}

} // namespace

Statement takenFor(const UnitAnswer& answer) { return {"unit.taken_for", {answer.was, answer.as}}; }

std::vector<UnitAnswer> unitAnswers(double ratio) {
    std::vector<UnitAnswer> out;
    for (const UnitFactor& unit : kUnitFactors)
        if (std::abs(ratio / unit.factor - 1.0) < kSameUnit)
            out.push_back({1.0 / unit.factor, unit.was, unit.as});
    return out;
}

void findDrivelineEvents(EventSheet& sheet) {
    const std::vector<double> ratio = engineOverDriven(sheet);
    if (!sheet.context.steps)
        slip(sheet, ratio);
    wrongGear(sheet, ratio);
    wrongUnit(sheet);
}

} // namespace hillrun
