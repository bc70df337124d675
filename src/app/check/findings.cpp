// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/findings.h"

#include "app/look/words.h"

#include <QObject>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

bool isWorthSaying(const Trim& trim) {
    return trim.reason == TrimReason::UnsettledStart || trim.reason == TrimReason::ByHand ||
           trim.reason == TrimReason::Limiter || trim.reason == TrimReason::TimeGap;
}

QString sentence(const std::string& text) {
    QString out = qs(text);
    if (!out.isEmpty())
        out[0] = out[0].toUpper();
    return out;
}

bool isSaid(const std::vector<Finding>& said, const SlipLine& line) {
    return line.kind == "weather" && std::any_of(said.begin(), said.end(), [](const Finding& finding) {
               return finding.doubt && finding.doubt->kind != DoubtKind::Settling;
           });
}

/// The lines of the slip of one weight; an event with its place and what can be done about it.
void addSlip(std::vector<Finding>& out, const PullSlip& slip, const PullResult& result, SlipWeight weight) {
    for (const SlipLine& line : slip.lines) {
        if (line.weight != weight || isSaid(out, line))
            continue;
        Finding finding{line.weight, qs(line.text), {}, {}};
        if (line.event && result.curve) {
            const Event& event = slip.events[*line.event];
            finding.at_rpm = 0.5 * (event.range_rpm.low + event.range_rpm.high);
            finding.remedy = remedyFor(event, *result.curve);
        }
        out.push_back(std::move(finding));
    }
}

void addFacts(std::vector<Finding>& out, const TestDay& day, const Pull& pull, const Curve& curve) {
    for (const Trim& trim : curve.sweep().trims)
        if (isWorthSaying(trim))
            out.push_back({SlipWeight::Note,
                           QObject::tr("Trimmed: %1, %2 to %3 s.")
                               .arg(qs(trimReasonPhrase(trim.reason)))
                               .arg(numberText(trim.from_s, 2))
                               .arg(numberText(trim.to_s, 2)),
                           {},
                           {}});
    if (!curve.steps().empty())
        out.push_back({SlipWeight::Fine, QObject::tr("%1 held speeds.").arg(curve.steps().size()), {}, {}});
    for (const Statement& note : curve.air.validityNotes)
        out.push_back({SlipWeight::Note, sentence(said(note)) + u"."_s, {}, {}});
    for (const Statement& basis : curve.source().basis)
        out.push_back({SlipWeight::Fine, qs(basis), {}, {}});
    if (curve.source().ratio && curve.source().drivenScaleKnown)
        out.push_back({SlipWeight::Fine,
                       QObject::tr("Engine over %1 speed %2.")
                           .arg(curve.source().drivenIsRoller ? QObject::tr("roller") : QObject::tr("wheel"))
                           .arg(numberText(*curve.source().ratio, 3)),
                       {},
                       {}});
    if (curve.place.estimate)
        out.push_back({SlipWeight::Note,
                       QObject::tr("Power %1: measured at the %2, losses added.")
                           .arg(qs(placePhrase(curve.place)),
                                QString::fromUtf8(measuredAtName(pull.measuredAt.value_or(day.cell.measuredAt)))),
                       {},
                       {}});
}

} // namespace

std::vector<Finding> findingsOf(const TestDay& day, const DayAnalysis& analysis, const std::string& id) {
    std::vector<Finding> out;
    const Pull* pull = findPull(day, id);
    const auto result =
        std::find_if(analysis.pulls.begin(), analysis.pulls.end(), [&](const PullResult& one) { return one.id == id; });
    if (!pull || result == analysis.pulls.end())
        return out;
    if (!result->used)
        out.push_back({SlipWeight::Note, QObject::tr("Left out: %1").arg(qs(result->whyLeftOut)), {}, {}});
    for (const DayDoubt& doubt : analysis.doubtsAbout(id))
        out.push_back({SlipWeight::Warning, qs(doubt.text), {}, {}, doubt});
    const PullSlip slip = pullSlip(day, analysis, id);
    addSlip(out, slip, *result, SlipWeight::Warning);
    for (const PullFlag& flag : result->flags)
        out.push_back(
            {SlipWeight::Warning, QObject::tr("Does not look like the others: %1").arg(flagText(flag)), flag.rpm, {}});
    addSlip(out, slip, *result, SlipWeight::Note);
    if (!pull->note.empty())
        out.push_back({SlipWeight::Note, qs(pull->note), {}, {}});
    addSlip(out, slip, *result, SlipWeight::Fine);
    if (result->curve)
        addFacts(out, day, *pull, *result->curve);
    return out;
}

QString remarksOf(const PullResult* result) {
    QStringList out;
    if (!result)
        return {};
    if (!result->used)
        out << qs(result->whyLeftOut);
    for (const PullFlag& flag : result->flags)
        out << flagText(flag);
    if (result->curve) {
        for (const Event& event : result->events)
            if (!isRemark(event))
                out << phrase("event_title." + std::string(eventKindInfo(event.kind).name));
        for (const Trim& trim : result->curve->sweep().trims)
            if (trim.reason == TrimReason::ByHand) // the program's own trims are events, when they are news
                out << qs(trimReasonPhrase(trim.reason));
    }
    out.removeDuplicates();
    return out.join(u"; "_s);
}

} // namespace hillrun
