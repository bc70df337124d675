// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/pull_picture.h"

#include "app/look/words.h"

#include <algorithm>
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kReach_px = 6.0;
constexpr double kMargin_px = 6.0;

} // namespace

PullPicture::PullPicture(QWidget* parent) : QWidget(parent) {
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setToolTip(
        tr("Drag an edge to trim a pull; double click to split it. By keys: arrows, S splits, J joins with the next, "
           "[ and ] set start and end"));
}

/// "2 pulls; pull 1: rows 12 to 480, used, chosen; pull 2: ..."
QString PullPicture::spokenText() const {
    QStringList out{counted("count.pulls", static_cast<qsizetype>(m_spans.size()))};
    for (size_t i = 0; i < m_spans.size(); ++i)
        out << tr("pull %1: rows %2 to %3%4%5")
                   .arg(i + 1)
                   .arg(m_spans[i].first + 1)
                   .arg(m_spans[i].last + 1)
                   .arg(i < m_used.size() && !m_used[i] ? tr(", not used") : QString(),
                        i == m_current ? tr(", chosen") : QString());
    out << tr("cursor at row %1").arg(m_cursor + 1);
    return out.join(u"; "_s);
}

void PullPicture::setTheme(const Theme& theme) {
    m_theme = theme;
    update();
}

void PullPicture::show(std::vector<double> speed_rpm, RowSpans spans, std::vector<bool> used, size_t current,
                       bool editable) {
    m_speed_rpm = std::move(speed_rpm);
    m_spans = std::move(spans);
    m_used = std::move(used);
    m_current = current;
    m_editable = editable;
    m_dragged.reset();
    update();
}

double PullPicture::xOf(size_t row) const {
    const double rows = std::max<double>(1.0, static_cast<double>(m_speed_rpm.size()) - 1.0);
    return kMargin_px + static_cast<double>(row) / rows * (width() - 2.0 * kMargin_px);
}

size_t PullPicture::rowAt(double x) const {
    const double share = (x - kMargin_px) / std::max(1.0, width() - 2.0 * kMargin_px);
    const double last = m_speed_rpm.empty() ? 0.0 : static_cast<double>(m_speed_rpm.size() - 1);
    return static_cast<size_t>(std::lround(std::clamp(share, 0.0, 1.0) * last));
}

void PullPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_theme.panel);
    painter.setPen(m_theme.rule);
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
    if (m_speed_rpm.size() < 2)
        return;
    double high = 1.0;
    for (const double rpm : m_speed_rpm)
        if (std::isfinite(rpm))
            high = std::max(high, rpm);
    const double floor = height() - kMargin_px;
    const double room = height() - 2.0 * kMargin_px;
    for (size_t i = 0; i < m_spans.size(); ++i) {
        const bool used = i >= m_used.size() || m_used[i];
        const QRectF shade(QPointF(xOf(m_spans[i].first), 1.0), QPointF(xOf(m_spans[i].last), height() - 1.0));
        painter.fillRect(shade, m_theme.faded(used ? m_theme.mark : m_theme.quietInk, i == m_current ? 0.28 : 0.12));
        painter.setPen(QPen(used ? m_theme.mark : m_theme.quietInk, 1.0));
        painter.drawLine(shade.topLeft(), shade.bottomLeft());
        painter.drawLine(shade.topRight(), shade.bottomRight());
    }
    // Lowest and highest of the rows behind each pixel.
    painter.setPen(QPen(m_theme.ink, 1.2));
    painter.setRenderHint(QPainter::Antialiasing);
    QPainterPath path;
    bool begun = false;
    const size_t step = std::max<size_t>(1, m_speed_rpm.size() / (2 * static_cast<size_t>(std::max(1, width()))));
    for (size_t row = 0; row < m_speed_rpm.size(); row += step) {
        if (!std::isfinite(m_speed_rpm[row]))
            continue;
        const QPointF point(xOf(row), floor - m_speed_rpm[row] / high * room);
        if (begun)
            path.lineTo(point);
        else
            path.moveTo(point);
        begun = true;
    }
    painter.drawPath(path);
    if (hasFocus() && m_editable) {
        painter.setPen(QPen(m_theme.ink, 1.0, Qt::DashLine));
        painter.drawLine(QPointF(xOf(m_cursor), 1.0), QPointF(xOf(m_cursor), height() - 1.0));
    }
}

void PullPicture::mousePressEvent(QMouseEvent* event) {
    const size_t row = rowAt(event->position().x());
    const size_t reach = rowAt(kReach_px + kMargin_px) + 1;
    for (size_t i = 0; i < m_spans.size(); ++i)
        if (row >= m_spans[i].first && row <= m_spans[i].last)
            Q_EMIT pressed(static_cast<int>(i));
    if (!m_editable || event->button() != Qt::LeftButton)
        return;
    m_dragged = edgeNear(m_spans, row, reach);
    m_before = m_spans;
}

void PullPicture::mouseMoveEvent(QMouseEvent* event) {
    m_cursor = rowAt(event->position().x());
    if (m_dragged) {
        m_spans = withEdgeAt(m_before, *m_dragged, m_cursor, m_speed_rpm.size());
        update();
    } else if (m_editable) {
        const bool near = edgeNear(m_spans, m_cursor, rowAt(kReach_px + kMargin_px) + 1).has_value();
        setCursor(near ? Qt::SizeHorCursor : Qt::ArrowCursor);
    }
}

void PullPicture::mouseReleaseEvent(QMouseEvent*) {
    if (m_dragged && m_spans != m_before)
        Q_EMIT spansChanged(m_spans);
    m_dragged.reset();
}

void PullPicture::mouseDoubleClickEvent(QMouseEvent* event) {
    if (!m_editable)
        return;
    const RowSpans split = splitBefore(m_spans, rowAt(event->position().x()));
    if (split != m_spans)
        Q_EMIT spansChanged(split);
}

void PullPicture::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    update();
}

void PullPicture::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

void PullPicture::moveCursor(int key, bool far) {
    const size_t last = m_speed_rpm.empty() ? 0 : m_speed_rpm.size() - 1;
    const size_t step = std::max<size_t>(1, (far ? 20 : 1) * m_speed_rpm.size() / 400);
    if (key == Qt::Key_Left)
        m_cursor = m_cursor > step ? m_cursor - step : 0;
    else
        m_cursor = std::min(last, m_cursor + step);
    update();
}

std::optional<RowSpans> PullPicture::changedBy(int key) const {
    switch (key) {
    case Qt::Key_J:
        return joinedAt(m_spans, m_cursor);
    case Qt::Key_S:
        return splitBefore(m_spans, m_cursor);
    case Qt::Key_BracketLeft:
    case Qt::Key_BracketRight:
        if (m_current >= m_spans.size())
            return m_spans;
        return withEdgeAt(m_spans, {m_current, key == Qt::Key_BracketLeft}, m_cursor, m_speed_rpm.size());
    default:
        return std::nullopt;
    }
}

void PullPicture::keyPressEvent(QKeyEvent* event) {
    const bool arrow = event->key() == Qt::Key_Left || event->key() == Qt::Key_Right;
    const auto changed = m_editable && !arrow ? changedBy(event->key()) : std::nullopt;
    if (m_editable && arrow)
        moveCursor(event->key(), event->modifiers().testFlag(Qt::ControlModifier));
    else if (!changed)
        QWidget::keyPressEvent(event);
    else if (*changed != m_spans)
        Q_EMIT spansChanged(*changed);
}

} // namespace hillrun
