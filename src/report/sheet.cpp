// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/sheet.h"

#include "core/answer/credit.h"

namespace hillrun::report {
namespace {

constexpr const char* kDot = " \xC2\xB7 ";

std::string joined(const std::vector<std::string>& parts) {
    std::string out;
    for (const std::string& part : parts)
        if (!part.empty())
            out += (out.empty() ? "" : kDot) + part;
    return out;
}

/// The smallest and the largest factor for the air; empty without a pull.
std::string airText(const Telling& t) {
    double low = 1e9;
    double high = 0.0;
    for (const PullResult& pull : t.analysis.pulls) {
        if (!pull.used)
            continue;
        low = std::min(low, pull.curve->air.factor);
        high = std::max(high, pull.curve->air.factor);
    }
    return high > 0.0 ? kDot + t.said("sheet.factor", {decimals(low, 4), decimals(high, 4)}) : std::string();
}

void numberPages(Document& out, const Telling& t) {
    const auto count = out.sections.size();
    if (count > 1)
        for (size_t i = 1; i <= count; ++i)
            out.numbered.push_back(t.said("sheet.page", {std::to_string(i), std::to_string(count)}));
}

/// A comparison, driven.
Section onCourse(const Telling& t, const Comparison& pair, const Course& course) {
    if (course.held) {
        const HeldAnswer answer = heldAnswer(t.day, t.analysis, course);
        return heldSection(t, answer, answer.find(pair.from, pair.to));
    }
    const DayRoad road = dayRoad(t.day, t.analysis, course);
    return roadSection(t, road, road.find(pair.from, pair.to));
}

} // namespace

Document documentOf(const TestDay& day, const DayAnalysis& analysis, const std::vector<const Comparison*>& comparisons,
                    const Voice& voice, const SheetSections& sections, const FigureStyle& style, const OverDays* over) {
    const Telling t{day, analysis, voice, style};
    Document out;
    out.name = day.name.empty() ? t.said("sheet.untitled") : day.name;
    out.about = joined({day.date, day.article.name, day.cell.name, day.operatorName});
    out.basis = voice.say(basisPhrase(analysis)) + airText(t);
    for (const Comparison* comparison : comparisons)
        out.sections.push_back(pairSection(t, *comparison, sections));
    if (comparisons.empty())
        out.sections.push_back(daySection(t));
    const QuantityPair* pair = analysis.quantity && !comparisons.empty()
                                   ? analysis.quantity->find(comparisons.front()->from, comparisons.front()->to)
                                   : nullptr;
    if (sections.quantity && pair)
        out.sections.push_back(quantitySection(t, *analysis.quantity, *pair));
    if (sections.field && analysis.field)
        out.sections.push_back(fieldSection(t));
    if (sections.credit && analysis.credit && analysis.credit->sets.kind != CreditKind::None)
        out.sections.push_back(creditSection(t));
    if (sections.otherDays && over && !day.plan.earlier.empty())
        out.sections.push_back(daysSection(t, *over));
    if (const auto course = courseOfDay(day); sections.road && course && !comparisons.empty())
        out.sections.push_back(onCourse(t, *comparisons.front(), *course));
    numberPages(out, t);
    return out;
}

Document wholeDocument(const TestDay& day, const DayAnalysis& analysis, const Voice& voice, const FigureStyle& style,
                       const OverDays* over) {
    std::vector<const Comparison*> all;
    for (const Comparison& comparison : analysis.comparisons)
        all.push_back(&comparison);
    return documentOf(day, analysis, all, voice, {}, style, over);
}

} // namespace hillrun::report
