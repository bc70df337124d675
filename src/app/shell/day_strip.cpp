// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/day_strip.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/progress.h"

#include <algorithm>
#include <cmath>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kSide = 20.0;
constexpr double kBaseLine = 72.0;
constexpr double kTallest = 46.0;
constexpr double kAirTop = 7.0;
constexpr double kAirHeight = 9.0;
constexpr double kSmallestScale_pct = 2.0; ///< at least this much of the base stands between middle and top

/// Mean over the used pulls of the first build; 0 when there is none.
double baseMean(const TestDay& day, const DayAnalysis* analysis) {
    double sum = 0.0;
    int count = 0;
    if (!analysis || day.builds.empty())
        return 0.0;
    for (const PullResult& pull : analysis->pulls) {
        if (!pull.used || pull.build != day.builds.front().id || !std::isfinite(pull.bandMean_w))
            continue;
        sum += pull.bandMean_w;
        ++count;
    }
    return count > 0 ? sum / count : 0.0;
}

/// Largest difference from the base, per cent, that the strip must show.
double scaleOf(const DayAnalysis* analysis, double base) {
    double out = kSmallestScale_pct;
    if (analysis && base > 0.0)
        for (const PullResult& pull : analysis->pulls)
            if (pull.used && std::isfinite(pull.bandMean_w))
                out = std::max(out, std::abs(100.0 * (pull.bandMean_w / base - 1.0)));
    return out;
}

double flagHeight(double mean, double base, double scale_pct, double tallest) {
    if (!(base > 0.0) || !std::isfinite(mean))
        return 0.5 * tallest;
    const double percent = 100.0 * (mean / base - 1.0);
    return tallest * std::clamp(0.5 + 0.5 * percent / scale_pct, 0.12, 1.0);
}

/// Places what the plan still wants at the right end; returns the room that this takes.
double placePlanned(StripLayout& out, const TestDay& day, double width) {
    const PlanProgress plan = planProgress(day);
    if (!plan.next)
        return 0.0;
    const auto& order = day.plan.order;
    const auto count = static_cast<double>(order.size() - *plan.next);
    const double most = day.pulls.empty() ? width - 2.0 * kSide - 30.0 : 0.45 * (width - 2.0 * kSide);
    const double step = std::clamp(most / count, 3.0, 19.0);
    const double room = step * count + 30.0;
    out.now = day.pulls.empty() ? kSide : width - kSide - room + 14.0;
    for (size_t i = *plan.next; i < order.size(); ++i) {
        if (plan.done[i])
            continue;
        const bool first = i == *plan.next || order[i] != order[i - 1];
        out.planned.push_back({out.now + 14.0 + step * static_cast<double>(i - *plan.next), buildNumber(day, order[i]),
                               first ? order[i] : std::string()});
    }
    return room;
}

} // namespace

StripLayout layoutStrip(const TestDay& day, const DayAnalysis* analysis, double width, double tallest) {
    StripLayout out;
    const double forPlan = placePlanned(out, day, width);
    if (day.pulls.empty())
        return out;
    width -= forPlan;
    const DayClock clock = dayClock(day);
    const std::vector<int> sets = setNumbers(day, clock);
    const double room = width - 2.0 * kSide;
    const auto count = static_cast<double>(day.pulls.size());
    out.flagWidth = std::clamp(room / count - 3.0, 4.0, 16.0);
    const double last_h = std::max(clock.hours[clock.order.back()], 1e-6);
    const double base = baseMean(day, analysis);
    const double scale_pct = scaleOf(analysis, base);
    double free = kSide;
    for (size_t k = 0; k < clock.order.size(); ++k) {
        const size_t i = clock.order[k];
        StripFlag flag;
        flag.pull = i;
        flag.build = buildNumber(day, day.pulls[i].build);
        flag.set = sets[i];
        flag.firstOfSet = out.flags.empty() || out.flags.back().set != flag.set;
        const double after = (count - 1.0 - static_cast<double>(k)) * (out.flagWidth + 3.0);
        const double latest = width - kSide - out.flagWidth - after;
        flag.x = std::clamp(kSide + clock.hours[i] / last_h * (room - out.flagWidth), free, std::max(free, latest));
        free = flag.x + out.flagWidth + 3.0;
        flag.used = day.pulls[i].use;
        flag.height = 0.5 * tallest;
        if (analysis && i < analysis->pulls.size()) {
            const PullResult& result = analysis->pulls[i];
            flag.used = result.used;
            flag.flagged = !result.flags.empty() || !analysis->doubtsAbout(result.id).empty();
            flag.height = flagHeight(result.bandMean_w, base, scale_pct, tallest);
            flag.factor = result.curve && result.curve->weatherKnown ? result.curve->air.factor : 0.0;
        }
        if (flag.firstOfSet && !out.flags.empty() && clock.clockKnown && day.pulls[i].grade == PullGrade::Recorded) {
            const StripFlag& before = out.flags.back();
            const double minutes = 60.0 * (clock.hours[i] - clock.hours[before.pull]);
            out.gaps.push_back({before.x + out.flagWidth, flag.x, static_cast<int>(std::lround(minutes))});
        }
        out.flags.push_back(flag);
    }
    return out;
}

DayStrip::DayStrip(DayDocument& document, Selection& selection, Look& look, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"dayStrip"_s);
    setAccessibleName(tr("Day strip: the pulls in order of time"));
    setFixedHeight(px(96));
    setFocusPolicy(Qt::TabFocus);
    setMouseTracking(true);
    const auto repaint = [this] { update(); };
    connect(&m_document, &DayDocument::dayChanged, this, repaint);
    connect(&m_document, &DayDocument::analysisReady, this, repaint);
    connect(&m_selection, &Selection::pullChanged, this, repaint);
    connect(&m_selection, &Selection::pairChanged, this, repaint);
    connect(&m_look, &Look::changed, this, repaint);
}

StripLayout DayStrip::currentLayout() const {
    return layoutStrip(m_document.day(), m_document.analysis().get(), width() / lookScale(), kTallest);
}

QPoint DayStrip::centreOf(const std::string& pull) const {
    const StripLayout layout = currentLayout();
    for (const StripFlag& flag : layout.flags)
        if (m_document.day().pulls[flag.pull].id == pull)
            return (lookScale() * QPointF(flag.x + layout.flagWidth / 2.0, kBaseLine - flag.height / 2.0)).toPoint();
    return {};
}

int DayStrip::spokenCount() const { return static_cast<int>(currentLayout().flags.size()); }

QString DayStrip::spokenItem(int index) const {
    QString out = tooltipOf(currentLayout().flags[static_cast<size_t>(index)]);
    return out.replace(u'\n', u"; "_s);
}

QRect DayStrip::spokenRect(int index) const {
    const StripLayout layout = currentLayout();
    const StripFlag& flag = layout.flags[static_cast<size_t>(index)];
    const QRectF drawn(flag.x, kBaseLine - flag.height, layout.flagWidth, flag.height);
    return QRectF(lookScale() * drawn.topLeft(), lookScale() * drawn.size()).toAlignedRect();
}

bool DayStrip::spokenChosen(int index) const {
    return m_document.day().pulls[currentLayout().flags[static_cast<size_t>(index)].pull].id == m_selection.pull();
}

void DayStrip::chooseSpoken(int index) {
    m_selection.setPull(m_document.day().pulls[currentLayout().flags[static_cast<size_t>(index)].pull].id);
}

void DayStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Theme& t = m_look.theme();
    painter.fillRect(rect(), t.ground);
    painter.setPen(QPen(t.rule, 1));
    painter.drawLine(QPointF(0, height() - 0.5), QPointF(width(), height() - 0.5));
    if (hasFocus()) {
        painter.setPen(QPen(t.mark, 1));
        painter.drawRect(rect().adjusted(0, 0, -1, -2));
    }
    const StripLayout layout = currentLayout();
    if (m_document.day().pulls.empty() && layout.planned.empty()) {
        painter.setPen(t.quietInk);
        painter.setFont(fonts::text(13));
        painter.drawText(rect(), Qt::AlignCenter,
                         m_document.isOpen()
                             ? tr("No pulls in this day yet. Drop logger files here, or press Ctrl+I.")
                             : tr("No day is open. Press Ctrl+O, or drop a day folder, a zip or logger files here."));
        return;
    }
    painter.scale(lookScale(), lookScale()); // from here on as drawn
    paintAir(painter, layout);
    paintFlags(painter, layout);
    paintPlanned(painter, layout);
}

void DayStrip::paintFlags(QPainter& painter, const StripLayout& layout) {
    const Theme& t = m_look.theme();
    painter.setPen(QPen(t.rule, 1));
    painter.drawLine(QPointF(kSide, kBaseLine + 0.5), QPointF(width() / lookScale() - kSide, kBaseLine + 0.5));
    painter.setFont(fonts::drawn(11));
    for (const auto& gap : layout.gaps) {
        const QString text = tr("%1 min").arg(gap.minutes);
        if (painter.fontMetrics().horizontalAdvance(text) > gap.to - gap.from - 8.0)
            continue;
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(gap.from, kBaseLine - 22, gap.to - gap.from, 20), Qt::AlignCenter, text);
    }
    for (const StripFlag& flag : layout.flags) {
        const Pull& pull = m_document.day().pulls[flag.pull];
        const QColor colour = t.build(flag.build);
        const QRectF box(flag.x, kBaseLine - flag.height, layout.flagWidth, flag.height);
        painter.setPen(QPen(colour, 1.5));
        painter.setBrush(flag.used ? QBrush(colour) : QBrush(t.ground));
        painter.drawRect(box.adjusted(0.75, 0.75, -0.75, -0.75));
        if (flag.flagged) {
            painter.setBrush(t.warning);
            painter.setPen(QPen(t.ground, 1.5));
            painter.drawEllipse(QPointF(box.center().x(), box.top() - 7), 4.5, 4.5);
        }
        if (pull.id == m_selection.pull()) {
            painter.setPen(QPen(t.mark, 2));
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(box.adjusted(-2.5, -2.5, 2.5, 2.5));
        }
        const bool roomForNames = layout.flagWidth >= 9.0;
        if (flag.firstOfSet || roomForNames) {
            painter.setFont(fonts::drawn(flag.firstOfSet ? 13 : 11, flag.firstOfSet));
            painter.setPen(flag.firstOfSet ? t.asText(colour) : t.quietInk);
            const QString name = flag.firstOfSet ? qs(pull.build) : QString::number(flag.pull + 1);
            painter.drawText(QRectF(flag.x - 20, kBaseLine + 3, layout.flagWidth + 40, 17), Qt::AlignCenter, name);
        }
    }
}

void DayStrip::paintPlanned(QPainter& painter, const StripLayout& layout) {
    if (layout.planned.empty())
        return;
    const Theme& t = m_look.theme();
    painter.setPen(QPen(t.mark, 1.5));
    painter.drawLine(QPointF(layout.now, kBaseLine - kTallest), QPointF(layout.now, kBaseLine + 16));
    painter.setFont(fonts::drawn(11));
    painter.drawText(QRectF(layout.now - 60, 4, 120, 16), Qt::AlignCenter, tr("now"));
    const double width =
        layout.planned.size() > 1 ? std::clamp(layout.planned[1].x - layout.planned[0].x - 4.0, 3.0, 14.0) : 14.0;
    for (const auto& planned : layout.planned) {
        painter.setPen(QPen(t.build(planned.build), 1.5, Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(planned.x, kBaseLine - kTallest / 2, width, kTallest / 2));
        if (planned.letter.empty())
            continue;
        painter.setFont(fonts::drawn(13, true));
        painter.setPen(t.asText(t.build(planned.build)));
        painter.drawText(QRectF(planned.x - 20, kBaseLine + 3, width + 40, 17), Qt::AlignCenter, qs(planned.letter));
    }
}

void DayStrip::paintAir(QPainter& painter, const StripLayout& layout) {
    double low = 1e9;
    double high = -1e9;
    for (const StripFlag& flag : layout.flags) {
        if (flag.factor <= 0.0)
            continue;
        low = std::min(low, flag.factor);
        high = std::max(high, flag.factor);
    }
    const bool corrected = low <= high && !(high == 1.0 && low == 1.0);
    if (corrected) {
        const double span = std::max(high - low, 0.002);
        QPolygonF line;
        for (const StripFlag& flag : layout.flags)
            if (flag.factor > 0.0)
                line << QPointF(flag.x + layout.flagWidth / 2.0,
                                kAirTop + kAirHeight * (1.0 - (flag.factor - low) / span));
        painter.setPen(QPen(m_look.theme().quietInk, 1));
        painter.setBrush(Qt::NoBrush);
        painter.drawPolyline(line);
    }
    // What every figure rests on, on every page.
    const auto analysis = m_document.analysis();
    if (!analysis)
        return;
    QString text = qs(basisPhrase(*analysis));
    if (corrected)
        text += tr(" \u00B7 air factor %1\u2013%2").arg(numberText(low, 4)).arg(numberText(high, 4));
    painter.setFont(fonts::drawn(11));
    const double wide = painter.fontMetrics().horizontalAdvance(text);
    const double besideNow = layout.now - 0.5 * painter.fontMetrics().horizontalAdvance(tr("now")) - 8.0; // its word
    const double right = besideNow > wide + 22.0 ? besideNow : width() / lookScale() - 10.0;
    const double left = right - wide;
    painter.fillRect(QRectF(left - 6.0, kAirTop - 6, wide + 12.0, 15), m_look.theme().ground);
    painter.setPen(m_look.theme().quietInk);
    painter.drawText(QPointF(left, kAirTop + 5), text);
}

const StripFlag* DayStrip::flagAt(const StripLayout& layout, QPointF position) const {
    for (const StripFlag& flag : layout.flags)
        if (position.x() >= flag.x - 2 && position.x() <= flag.x + layout.flagWidth + 2 && position.y() > 16)
            return &flag;
    return nullptr;
}

void DayStrip::mousePressEvent(QMouseEvent* event) {
    const StripLayout layout = currentLayout();
    const StripFlag* flag = flagAt(layout, event->position() / lookScale());
    if (!flag)
        return;
    const Pull& pull = m_document.day().pulls[flag->pull];
    const bool onLetter = event->position().y() > kBaseLine * lookScale();
    if (event->modifiers().testFlag(Qt::ControlModifier)) {
        m_selection.setPair(pull.build, pull.build == m_selection.to() ? m_selection.from() : m_selection.to());
    } else if (onLetter && flag->firstOfSet) {
        m_selection.setPair(pull.build == m_selection.from() ? m_selection.to() : m_selection.from(), pull.build);
    } else {
        m_selection.setPull(pull.id);
    }
}

void DayStrip::mouseDoubleClickEvent(QMouseEvent* event) {
    const StripLayout layout = currentLayout();
    if (const StripFlag* flag = flagAt(layout, event->position() / lookScale()))
        Q_EMIT pullActivated(qs(m_document.day().pulls[flag->pull].id));
}

void DayStrip::keyPressEvent(QKeyEvent* event) {
    const bool left = event->key() == Qt::Key_Left;
    if (!left && event->key() != Qt::Key_Right)
        return QWidget::keyPressEvent(event);
    const StripLayout layout = currentLayout();
    for (size_t k = 0; k < layout.flags.size(); ++k) {
        if (m_document.day().pulls[layout.flags[k].pull].id != m_selection.pull())
            continue;
        const size_t next = left ? (k == 0 ? 0 : k - 1) : std::min(k + 1, layout.flags.size() - 1);
        m_selection.setPull(m_document.day().pulls[layout.flags[next].pull].id);
        return;
    }
    if (!layout.flags.empty())
        m_selection.setPull(m_document.day().pulls[layout.flags.front().pull].id);
}

QString DayStrip::tooltipOf(const StripFlag& flag) const {
    const Pull& pull = m_document.day().pulls[flag.pull];
    QString text = tr("%1, build %2").arg(qs(pull.id), qs(pull.build));
    if (pull.started.size() >= 16)
        text += u", "_s + qs(pull.started.substr(11, 5));
    const auto analysis = m_document.analysis();
    if (analysis && flag.pull < analysis->pulls.size()) {
        const PullResult& result = analysis->pulls[flag.pull];
        text += u"\n"_s + tr("%1 against its set").arg(percentText(result.differenceFromSet_pct));
        if (!result.used)
            text += u"\n"_s + tr("left out: %1").arg(qs(result.whyLeftOut));
        for (const PullFlag& seen : result.flags)
            text += u"\n"_s + flagText(seen);
        for (const DayDoubt& doubt : analysis->doubtsAbout(result.id))
            text += u"\n"_s + qs(doubt.text);
    }
    return text;
}

bool DayStrip::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const StripLayout layout = currentLayout();
        if (const StripFlag* flag = flagAt(layout, QPointF(help->pos()) / lookScale()))
            QToolTip::showText(help->globalPos(), plainTip(tooltipOf(*flag)), this);
        else
            QToolTip::hideText();
        return true;
    }
    return QWidget::event(event);
}

} // namespace hillrun
