// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_words.h"

#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/trace/sheet_check.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <QObject>
#include <QStringList>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString axesProblem(const SheetTrace& trace, bool right) {
    const auto axes = axesOf(trace, right);
    if (!axes)
        return right ? QObject::tr("Type what both marks of the right axis say.")
                     : QObject::tr("Type what the marks of the axes say.");
    switch (axes->problem()) {
    case AxesProblem::SameValue:
        return QObject::tr("Both marks of an axis say the same: one must be higher.");
    case AxesProblem::TooClose:
        return QObject::tr("Two marks of one axis lie close together: set one further out.");
    case AxesProblem::NotCrossed:
        return QObject::tr("The axes run along each other: set their marks again.");
    case AxesProblem::None:
        break;
    }
    return {};
}

} // namespace

bool isOfRightAxis(SheetMark mark) { return mark == SheetMark::RightLow || mark == SheetMark::RightHigh; }

QString axisName(SheetMark mark) {
    if (mark == SheetMark::SpeedLow || mark == SheetMark::SpeedHigh)
        return QObject::tr("speed axis");
    return isOfRightAxis(mark) ? QObject::tr("right axis") : QObject::tr("left axis");
}

QString markText(double value) { return QString::number(value, 'g', 6); }

QString nextStep(const SheetTrace& trace, std::optional<SheetMark> now, size_t line, TraceWay way) {
    if (now) {
        const bool lower = static_cast<size_t>(*now) % 2 == 0;
        const auto& value = trace.mark(*now).value;
        if (value)
            return QObject::tr("Click where the %1 says %2.").arg(axisName(*now), markText(*value));
        return lower ? QObject::tr("Click a low mark of the %1, then type what it says.").arg(axisName(*now))
                     : QObject::tr("Click a high mark of the %1, then type what it says.").arg(axisName(*now));
    }
    for (const bool right : {false, true})
        if (const QString words = right && !trace.rightAxis ? QString() : axesProblem(trace, right); !words.isEmpty())
            return words;
    const QString build = qs(trace.lines[line].build);
    switch (way) {
    case TraceWay::ByHand:
        return QObject::tr("Click along the line of %1. Click a point again to take it away.").arg(build);
    case TraceWay::CutOff:
        return QObject::tr("Click where the line of %1 is to end.").arg(build);
    case TraceWay::Follow:
        break;
    }
    return trace.lines[line].points.empty()
               ? QObject::tr("Click on the line of %1.").arg(build)
               : QObject::tr("Look whether the line of %1 is followed right; click a stretch that is missing.")
                     .arg(build);
}

QString traceProblem(const SheetTrace& trace) {
    if (nextMark(trace))
        return QObject::tr("Set the marks of the axes first.");
    for (const bool right : {false, true})
        if (const QString words = right && !trace.rightAxis ? QString() : axesProblem(trace, right); !words.isEmpty())
            return words;
    const bool traced = std::any_of(trace.lines.begin(), trace.lines.end(),
                                    [](const TracedLine& line) { return !line.points.empty(); });
    if (!traced)
        return QObject::tr("No line is traced yet.");
    try {
        for (const TracedBuild& one : tracedBuilds(trace)) {
            if (one.build.empty())
                return QObject::tr("Say which build each line belongs to.");
            checkCurve(one.table, one.build);
        }
    } catch (const DataError& error) {
        return errorText(error);
    }
    return {};
}

QString traceDoubts(const SheetTrace& trace) {
    QStringList out;
    for (const TracedBuild& one : tracedBuilds(trace))
        if (!one.powerUnit.empty() && !one.torqueUnit.empty())
            if (const auto doubt = checkSheet(one.table, one.powerUnit, one.torqueUnit))
                out << QObject::tr("%1: %2").arg(qs(one.build),
                                                 qs(sheetDoubtStatements(*doubt, one.powerUnit, one.torqueUnit)));
    return out.join(u'\n');
}

} // namespace hillrun
