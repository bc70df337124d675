// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/figures.h"

#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/units/log_percent.h"
#include "report/plot.h"
#include "report/render.h"

#include <algorithm>
#include <cmath>

namespace hillrun::report {
namespace {

constexpr double kCurvesHeight = 226.0;
constexpr double kDifferenceHeight = 158.0;
constexpr double kRibbonHeight = 8.0;
constexpr double kTitleRoom = 3.5; ///< above the title of an axis
constexpr Colour kBandGround = 0x9FB0B4;
constexpr double kBandOpacity = 0.45;
constexpr Colour kUseGround = 0x0E6A6A;
constexpr double kUseOpacity = 0.08;

/// A drawing as wide as the style says, and where its x axis lies.
struct Canvas {
    Page page;
    double left = 0.0;
    double right = 0.0;
    [[nodiscard]] double width() const { return right - left; }
};

Canvas canvasOf(const FigureStyle& style, double height, double right) {
    return {{style.width, height, {}}, style.left, style.width - right};
}

/// From the lowest to the highest finite value of all.
std::optional<RpmRange> reachOf(const std::vector<std::vector<double>>& lists) {
    std::optional<RpmRange> out;
    for (const std::vector<double>& values : lists)
        for (const double value : values)
            if (std::isfinite(value))
                out = out ? RpmRange{std::min(out->low, value), std::max(out->high, value)} : RpmRange{value, value};
    return out;
}

/// The largest distance from zero, with some room.
double reachAround(const std::vector<std::vector<double>>& lists) {
    const RpmRange range = reachOf(lists).value_or(RpmRange{});
    const double reach = std::max(std::abs(range.low), std::abs(range.high));
    return reach > 0.0 ? 1.1 * reach : 1.0;
}

struct NamedCurve {
    size_t number = 0; ///< of the build
    std::vector<double> values;
};

std::vector<NamedCurve> curvesOf(const Telling& t, const std::vector<std::string>& builds) {
    std::vector<NamedCurve> out;
    for (const std::string& id : builds)
        if (const BuildResult* build = t.analysis.findBuild(id))
            out.push_back({buildNumber(t.day, id), t.powers(build->power_w)});
    return out;
}

struct AxisManner {
    bool isPower = true; ///< never below nothing
    bool labels = false; ///< the speeds are written below
};

/// Draws curves of builds from `top` down; nothing where they hold no value.
bool drawCurves(const Telling& t, Canvas& canvas, double top, double height, const std::string& title,
                const std::vector<double>& rpm, const std::vector<NamedCurve>& curves, AxisManner axis) {
    std::vector<std::vector<double>> all;
    for (const NamedCurve& curve : curves)
        all.push_back(curve.values);
    const auto reach = reachOf(all);
    if (!reach || !(reach->high > reach->low))
        return false;
    const double span = reach->high - reach->low;
    const double low = axis.isPower ? std::max(0.0, reach->low - 0.08 * span) : reach->low - 0.08 * span;
    const double high = reach->high + 0.06 * span;
    Plot plot(canvas.page, {canvas.left, top}, canvas.width(), height, {rpm.front(), rpm.back()}, low, high,
              t.style.text);
    if (const auto& use = t.analysis.settings.use) // the ground on which the builds are wanted
        plot.band({std::max(use->range_rpm.low, rpm.front()), std::min(use->range_rpm.high, rpm.back())}, {low, low},
                  {high, high}, kUseGround, kUseOpacity);
    plot.axes(title, axis.labels);
    for (const NamedCurve& curve : curves) {
        plot.curve(rpm, curve.values, buildColour(curve.number), 1.5, buildDash(curve.number));
        plot.endLabel(
            rpm, curve.values,
            shortened(t.day.builds[curve.number].id, t.style.width - canvas.right - 6.0, t.style.text + 2.0, true),
            buildColour(curve.number));
    }
    plot.drawLabels();
    return true;
}

double placeOn(const Canvas& canvas, const RpmRange& axis, double rpm) {
    return canvas.left + (std::clamp(rpm, axis.low, axis.high) - axis.low) / (axis.high - axis.low) * canvas.width();
}

Area box(double left, double top, double right, double bottom, Colour colour, bool hatched = false) {
    return {{{left, top}, {right, top}, {right, bottom}, {left, bottom}}, colour, 1.0, hatched};
}

void drawRibbon(const Telling& t, Canvas& canvas, double top, const RpmRange& axis, double grid,
                const std::vector<Region>& regions) {
    const double bottom = top + kRibbonHeight;
    for (const Region& region : regions) {
        const double from = placeOn(canvas, axis, region.range_rpm.low - 0.5 * grid);
        const double to = placeOn(canvas, axis, region.range_rpm.high + 0.5 * grid);
        const bool unresolved = region.kind == RegionKind::Unresolved;
        const Colour colour = region.kind == RegionKind::Gain ? kGain : (unresolved ? kUnresolved : kLoss);
        canvas.page.add(box(from, top, to, bottom, colour, unresolved));
        if (!unresolved && to - from > 40)
            canvas.page.add(Text{{(from + to) / 2, bottom - 1.5},
                                 t.said(region.kind == RegionKind::Gain ? "sheet.gain" : "sheet.loss"),
                                 7.0,
                                 0xFFFFFF,
                                 true,
                                 false,
                                 Align::Centre});
    }
}

double gridOf(const std::vector<double>& rpm) { return rpm.size() > 1 ? rpm[1] - rpm[0] : 0.0; }

std::string speedText(double rpm) { return rpmText(std::round(rpm)) + "\xC2\xA0rpm"; }

/// "4 500 rpm   A 41.2   B 43.0 kW", one a point of the grid where there is something to read.
Readings readingsOf(const Telling& t, const Canvas& canvas, const std::vector<double>& rpm,
                    const std::vector<NamedCurve>& curves, const std::string& unit) {
    Readings out{{rpm.front(), rpm.back()}, canvas.left, canvas.right, {}, {}};
    for (size_t i = 0; i < rpm.size(); ++i) {
        std::string words;
        for (const NamedCurve& curve : curves)
            if (std::isfinite(curve.values[i]))
                words +=
                    "  " + t.day.builds[curve.number].id + "\xC2\xA0" + t.voice.number(significant(curve.values[i], 3));
        if (words.empty())
            continue;
        out.x.push_back(rpm[i]);
        out.said.push_back(speedText(rpm[i]) + words + (unit.empty() ? "" : "\xC2\xA0" + unit));
    }
    return out;
}

/// "4 500 rpm  +1.8 ± 0.5 kW"
Readings differencesRead(const Telling& t, const Canvas& canvas, const std::vector<double>& rpm,
                         const std::vector<double>& delta, const std::vector<double>& low,
                         const std::vector<double>& high, const std::string& unit) {
    Readings out{{rpm.front(), rpm.back()}, canvas.left, canvas.right, {}, {}};
    for (size_t i = 0; i < rpm.size(); ++i) {
        if (!std::isfinite(delta[i]))
            continue;
        out.x.push_back(rpm[i]);
        out.said.push_back(speedText(rpm[i]) + "  " + t.voice.interval(delta[i], 0.5 * (high[i] - low[i]), unit, true));
    }
    return out;
}

/// A difference with its band from `top` down.
void drawDifference(const Telling& t, Canvas& canvas, double top, const std::string& title,
                    const std::vector<double>& rpm, const std::vector<double>& delta, const std::vector<double>& low,
                    const std::vector<double>& high, bool banded) {
    const double reach = reachAround({delta, low, high});
    Plot plot(canvas.page, {canvas.left, top}, canvas.width(), kDifferenceHeight, {rpm.front(), rpm.back()}, -reach,
              reach, t.style.text);
    plot.axes(title, true);
    if (banded)
        plot.band(rpm, low, high, kBandGround, kBandOpacity);
    plot.zeroLine();
    plot.curve(rpm, delta, kInk, 1.4, {});
}

std::string powerAxis(const Telling& t) {
    return t.said("sheet.power_axis", {placePhrase(t.analysis.place), t.powerUnit()});
}

} // namespace

std::vector<double> Telling::powers(const std::vector<double>& values_w) const {
    std::vector<double> out;
    for (const double value : values_w)
        out.push_back(powerIn(units().power, value));
    return out;
}

std::optional<Figure> curvesFigure(const Telling& t, const std::vector<std::string>& builds, bool last) {
    const double top = t.style.text + kTitleRoom;
    const double below = last ? 2.0 * t.style.text + 16.0 : 3.0;
    Canvas canvas = canvasOf(t.style, top + kCurvesHeight + below, t.style.right);
    const std::vector<NamedCurve> curves = curvesOf(t, builds);
    if (!drawCurves(t, canvas, top, kCurvesHeight, powerAxis(t), t.analysis.rpm, curves, {true, last}))
        return std::nullopt;
    return Figure{powerAxis(t), canvas.page, readingsOf(t, canvas, t.analysis.rpm, curves, t.powerUnit())};
}

Figure differenceFigure(const Telling& t, const Comparison& c) {
    const double top = 17.5 + t.style.text;
    Canvas canvas = canvasOf(t.style, top + kDifferenceHeight + 15.0 + 2.0 * t.style.text, t.style.right);
    const RpmRange axis{c.rpm.front(), c.rpm.back()};
    drawRibbon(t, canvas, 1.0, axis, gridOf(c.rpm), c.regions);
    const Edges& band = c.judgedBand();
    const std::vector<double> delta = t.powers(c.delta_w);
    const std::vector<double> low = t.powers(band.low);
    const std::vector<double> high = t.powers(band.high);
    const std::string title = t.said(c.hasInterval ? "sheet.difference_axis_band" : "sheet.difference_axis",
                                     {c.to, c.from, t.powerUnit(), placePhrase(c.place)});
    drawDifference(t, canvas, top, title, c.rpm, delta, low, high, c.hasInterval);
    return {title, canvas.page, differencesRead(t, canvas, c.rpm, delta, low, high, t.powerUnit())};
}

namespace {

/// Which build leads where: one name proven, several hatched.
void drawLeads(const Telling& t, Canvas& canvas, double top, const RpmRange& axis, double grid) {
    const double bottom = top + kRibbonHeight + 3.0;
    for (const LeadStretch& lead : t.analysis.field->leads) {
        const double from = placeOn(canvas, axis, lead.range_rpm.low - 0.5 * grid);
        const double to = placeOn(canvas, axis, lead.range_rpm.high + 0.5 * grid);
        const bool proven = lead.builds.size() == 1;
        canvas.page.add(box(from, top, to, bottom,
                            proven ? buildColour(buildNumber(t.day, lead.builds.front())) : kUnresolved, !proven));
        Several names = namesOf(lead.builds);
        names.orElse = true;
        const std::string words = t.said("sheet.lead", {names});
        if (textWidth(words, t.style.text, true) > to - from - 8.0)
            continue;
        const double middle = 0.5 * (from + to);
        if (!proven) { // words on a hatch need a ground
            const double half = 0.5 * textWidth(words, t.style.text, true) + 3.0;
            canvas.page.add(box(middle - half, top, middle + half, bottom, 0xFFFFFF));
        }
        canvas.page.add(Text{
            {middle, bottom - 2.5}, words, t.style.text, proven ? Colour{0xFFFFFF} : kInk, true, false, Align::Centre});
    }
}

} // namespace

Figure fieldFigure(const Telling& t, const std::vector<LadderRow>& rows) {
    constexpr double kRow = 15.0;
    const std::vector<double>& rpm = t.analysis.rpm;
    const RpmRange axis{rpm.front(), rpm.back()};
    double words = 0.0;
    for (const LadderRow& row : rows)
        words = std::max(words, textWidth(row.figure, t.style.text + 1.0));
    const double top = t.style.text + kTitleRoom;
    const double strip = top + kCurvesHeight + t.style.text + 8.0;
    const double ladder = strip + kRibbonHeight + 12.0;
    Canvas canvas = canvasOf(t.style, ladder + kRow * static_cast<double>(rows.size()) + 2.0, words + 14.0);
    std::vector<std::string> ids;
    for (const BuildResult& build : t.analysis.builds)
        ids.push_back(build.id);
    const std::vector<NamedCurve> curves = curvesOf(t, ids);
    drawCurves(t, canvas, top, kCurvesHeight, powerAxis(t), rpm, curves, {true, false});
    for (const double tick : ticks(axis.low, axis.high, canvas.width() > 300.0 ? 8 : 5))
        canvas.page.add(Text{{placeOn(canvas, axis, tick), top + kCurvesHeight + t.style.text + 2.0},
                             rpmText(tick),
                             t.style.text,
                             kQuietInk,
                             false,
                             true,
                             Align::Centre});
    drawLeads(t, canvas, strip, axis, gridOf(rpm));
    for (size_t i = 0; i < rows.size(); ++i) {
        const double y = ladder + kRow * static_cast<double>(i);
        canvas.page.add(Text{{canvas.left - 8.0, y + kRibbonHeight},
                             shortened(rows[i].name, canvas.left - 8.0, t.style.text + 2.0, true),
                             t.style.text + 2.0,
                             rows[i].colour,
                             true,
                             false,
                             Align::Right});
        drawRibbon(t, canvas, y, axis, gridOf(rpm), rows[i].regions);
        canvas.page.add(Text{{canvas.right + 6.0, y + kRibbonHeight}, rows[i].figure, t.style.text + 1.0, kInk});
    }
    return {t.said("sheet.field"), canvas.page, readingsOf(t, canvas, rpm, curves, t.powerUnit())};
}

Figure partLadder(const Telling& t, const std::vector<LadderRow>& rows) {
    const double row = t.style.text + kRibbonHeight + 12.0;
    const std::vector<double>& rpm = t.analysis.rpm;
    const RpmRange axis{rpm.front(), rpm.back()};
    Canvas canvas = canvasOf(t.style, row * static_cast<double>(rows.size()) + 2.0 * t.style.text + 6.0, t.style.right);
    double y = t.style.text + 2.0;
    for (const LadderRow& one : rows) {
        const double size = t.style.text + 1.0;
        const double figure = textWidth(one.figure, size);
        canvas.page.add(
            Text{{canvas.left, y}, shortened(one.name, canvas.width() - figure - 8.0, size, true), size, kInk, true});
        canvas.page.add(Text{{canvas.right, y}, one.figure, size, kInk, false, false, Align::Right});
        drawRibbon(t, canvas, y + 4.0, axis, gridOf(rpm), one.regions);
        y += row;
    }
    for (const double tick : ticks(axis.low, axis.high, t.style.width > 400.0 ? 8 : 5))
        canvas.page.add(
            Text{{placeOn(canvas, axis, tick), y}, rpmText(tick), t.style.text, kQuietInk, false, true, Align::Centre});
    canvas.page.add(
        Text{{canvas.right, y + t.style.text + 2.0}, "rpm", t.style.text, kQuietInk, false, false, Align::Right});
    return {t.said("sheet.by_speed"), canvas.page, {}};
}

namespace {

struct StairScale {
    double top = 0.0; ///< on the drawing
    double bottom = 0.0;
    RpmRange watts; ///< at bottom and top
    [[nodiscard]] double operator()(double value_w) const {
        return bottom - (bottom - top) * (value_w - watts.low) / (watts.high - watts.low);
    }
};

void drawStair(Page& page, const DrawnStair& one, double left, double width, const StairScale& yOf, double text) {
    const double gap = std::max(6.0, 0.5 * (width - 90.0));
    const double from = yOf(one.stair.from_w);
    const double to = yOf(one.stair.to_w);
    const GainMark mark = markOf(one.stair.amount);
    const Colour colour = mark == GainMark::Gain ? kGain : mark == GainMark::Loss ? kLoss : kUnresolved;
    page.add(
        box(left + gap, std::min(from, to), left + width - gap, std::max(from, to), colour, mark == GainMark::Open));
    if (one.stair.part) // the height is carried on to the next stair
        page.add(Line{{{left + width - gap, to}, {left + width + gap, to}}, kQuietInk, 0.6, {}});
    const double x = left + 0.5 * width;
    page.add(Line{{{x, yOf(one.stair.low_w)}, {x, yOf(one.stair.high_w)}}, kInk, 1.2, {}});
    for (const double end : {one.stair.low_w, one.stair.high_w})
        page.add(Line{{{x - 4.0, yOf(end)}, {x + 4.0, yOf(end)}}, kInk, 1.2, {}});
    const double above = std::min({yOf(one.stair.high_w), from, to}) - 4.0;
    page.add(Text{{x, above}, one.gain, text + 1.0, kInk, true, false, Align::Centre});
    page.add(Text{{x, yOf.bottom + text + 6.0},
                  shortened(one.name, width - 4.0, text + 1.0),
                  text + 1.0,
                  kInk,
                  false,
                  false,
                  Align::Centre});
}

} // namespace

Figure stairsFigure(const Telling& t, const std::string& base, const std::vector<DrawnStair>& stairs) {
    constexpr double kHeight = 190.0;
    Canvas canvas = canvasOf(t.style, kHeight + t.style.text + 12.0, 0.0);
    RpmRange watts{stairs.front().stair.from_w, stairs.front().stair.from_w};
    for (const DrawnStair& one : stairs)
        for (const double value : {one.stair.from_w, one.stair.to_w, one.stair.low_w, one.stair.high_w})
            watts = {std::min(watts.low, value), std::max(watts.high, value)};
    const double room = 0.05 * std::max(watts.high - watts.low, 1.0);
    const StairScale scale{t.style.text + 12.0, kHeight, {watts.low - room, watts.high + room}};
    const double first = textWidth(base, t.style.text + 1.0) + 12.0;
    const double floor = scale(stairs.front().stair.from_w);
    canvas.page.add(Line{{{0.0, floor}, {t.style.width, floor}}, kRule, 0.8, {}});
    canvas.page.add(Text{{0.0, floor - 4.0}, base, t.style.text + 1.0, kQuietInk});
    const double width = (t.style.width - first) / static_cast<double>(stairs.size());
    for (size_t i = 0; i < stairs.size(); ++i)
        drawStair(canvas.page, stairs[i], first + width * static_cast<double>(i), width, scale, t.style.text);
    return {t.said("sheet.stairs"), canvas.page, {}};
}

namespace {

/// ", mm"
std::string unitAfterComma(const SettingSweep& sweep) {
    const size_t first = sweep.setting.unit.find_first_not_of(' ');
    return first == std::string::npos ? std::string() : ", " + sweep.setting.unit.substr(first);
}

} // namespace

Figure sweepFigure(const Telling& t, const SettingSweep& sweep) {
    const auto percents = [](const std::vector<double>& logs) {
        std::vector<double> out;
        for (const double log : logs)
            out.push_back(percentOfLog(log));
        return out;
    };
    const double top = t.style.text + kTitleRoom;
    Canvas canvas = canvasOf(t.style, top + kCurvesHeight + 2.0 * t.style.text + 10.0, t.style.right);
    const std::vector<double> gain = percents(sweep.gain);
    const std::vector<double> low = percents(sweep.low);
    const std::vector<double> high = percents(sweep.high);
    std::vector<double> levels;
    for (const SweepLevel& level : sweep.levels)
        levels.push_back(percentOfLog(level.fitted));
    const RpmRange reach = reachOf({gain, low, high, levels}).value_or(RpmRange{-1.0, 1.0});
    const double beside = 0.03 * (sweep.value.back() - sweep.value.front());
    const double room = 0.06 * std::max(reach.high - reach.low, 0.1);
    const RpmRange axis{sweep.value.front() - beside, sweep.value.back() + beside};
    Plot plot(canvas.page, {canvas.left, top}, canvas.width(), kCurvesHeight, axis, reach.low - room, reach.high + room,
              t.style.text);
    if (sweep.driftTaken && !sweep.anywhere)
        plot.band({sweep.best.low, sweep.best.high}, {reach.low - room, reach.low - room},
                  {reach.high + room, reach.high + room}, 0x0E6A6A, 0.12);
    const std::string unit = sweep.setting.unit;
    const std::string title =
        t.said("sheet.sweep_axis", {sweep.setting.name, significant(sweep.levels.front().value, 6), unit});
    plot.axes(title, true, sweep.setting.name + unitAfterComma(sweep));
    plot.band(sweep.value, low, high, kBandGround, kBandOpacity);
    plot.zeroLine();
    plot.curve(sweep.value, gain, kInk, 1.5, {});
    for (size_t i = 0; i < levels.size(); ++i)
        plot.dot(sweep.levels[i].value, levels[i], 3.0, kInk);
    Readings readings{axis, canvas.left, canvas.right, {}, {}};
    for (size_t i = 0; i < sweep.value.size(); ++i) {
        readings.x.push_back(sweep.value[i]);
        readings.said.push_back(t.voice.number(significant(sweep.value[i], 4)) + unit + "  " +
                                t.voice.interval(gain[i], 0.5 * (high[i] - low[i]), "%", true));
    }
    return {title, canvas.page, readings};
}

std::optional<Figure> bestFigure(const Telling& t, const SettingSweep& sweep) {
    constexpr double kHeight = 130.0;
    std::vector<double> rpm, best, low, high;
    for (const BestAtRpm& one : sweep.byRpm) {
        const bool anywhere = one.low <= sweep.value.front() && one.high >= sweep.value.back();
        rpm.push_back(one.rpm);
        best.push_back(anywhere ? std::nan("") : one.value);
        low.push_back(one.low);
        high.push_back(one.high);
    }
    if (!sweep.driftTaken || rpm.size() < 2 || !reachOf({best}))
        return std::nullopt;
    const double top = t.style.text + kTitleRoom;
    Canvas canvas = canvasOf(t.style, top + kHeight + 2.0 * t.style.text + 10.0, t.style.right);
    const double room = 0.06 * (sweep.value.back() - sweep.value.front());
    Plot plot(canvas.page, {canvas.left, top}, canvas.width(), kHeight, {rpm.front(), rpm.back()},
              sweep.value.front() - room, sweep.value.back() + room, t.style.text);
    const std::string title = t.said("sheet.best_axis", {sweep.setting.name, unitAfterComma(sweep)});
    plot.axes(title, true);
    plot.band(rpm, low, high, kBandGround, kBandOpacity);
    plot.curve(rpm, best, kInk, 1.5, {});
    Readings readings{{rpm.front(), rpm.back()}, canvas.left, canvas.right, rpm, {}};
    const auto value = [&](double setting) { return t.voice.number(significant(setting, 4)) + sweep.setting.unit; };
    for (size_t i = 0; i < rpm.size(); ++i)
        readings.said.push_back(speedText(rpm[i]) + "  " + (std::isfinite(best[i]) ? value(best[i]) + "  " : "") + "(" +
                                value(low[i]) + "\xE2\x80\x93" + value(high[i]) + ")");
    return Figure{title, canvas.page, readings};
}

Figure quantityFigure(const Telling& t, const QuantityAnswer& answer, const QuantityPair& pair) {
    const std::string unit = answer.kind.unit == "1" ? std::string() : answer.kind.unit;
    const std::string title =
        t.said(unit.empty() ? "sheet.quantity_axis_bare" : "sheet.quantity_axis", {quantityName(answer.kind), unit});
    const double top = t.style.text + kTitleRoom;
    const double ribbon = top + kCurvesHeight + 8.0;
    const double below = ribbon + 17.5 + t.style.text;
    Canvas canvas = canvasOf(t.style, below + kDifferenceHeight + 15.0 + 2.0 * t.style.text, t.style.right);
    std::vector<NamedCurve> curves;
    for (const auto& [id, values] : answer.builds)
        if (id == pair.from || id == pair.to)
            curves.push_back({buildNumber(t.day, id), values});
    drawCurves(t, canvas, top, kCurvesHeight, title, answer.rpm, curves, {false, false});
    drawRibbon(t, canvas, ribbon, {answer.rpm.front(), answer.rpm.back()}, gridOf(answer.rpm), pair.regions);
    const std::string difference = t.said(unit.empty() ? "sheet.quantity_difference_bare" : "sheet.quantity_difference",
                                          {pair.to, pair.from, unit});
    drawDifference(t, canvas, below, difference, answer.rpm, pair.delta, pair.family95.low, pair.family95.high, true);
    Readings readings = readingsOf(t, canvas, answer.rpm, curves, unit);
    return {title, canvas.page, readings};
}

} // namespace hillrun::report
