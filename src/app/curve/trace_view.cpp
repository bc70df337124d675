// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_view.h"

#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QWheelEvent>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kMarkReach_px = 9.0;
constexpr double kMostScale = 16.0;
constexpr double kZoomStep = 1.25;
constexpr double kMargin_px = 8.0;

/// Outside of the frame, so that the marks of two axes may lie on one corner.
QPointF labelOffset(TraceAxis axis, QSizeF size) {
    switch (axis) {
    case TraceAxis::Speed:
        return {-0.5 * size.width(), 10.0};
    case TraceAxis::Left:
        return {-12.0 - size.width(), -0.5 * size.height()};
    case TraceAxis::Right:
        return {12.0, -0.5 * size.height()};
    }
    return {};
}

} // namespace

TraceView::TraceView(const Theme& theme, QWidget* parent) : QWidget(parent), m_theme(theme) {
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(px(320), px(240));
    setCursor(Qt::CrossCursor);
}

QString TraceView::spokenText() const {
    QStringList out;
    for (const TraceMark& mark : m_marks)
        out << tr("mark %1 at %2, %3").arg(mark.label).arg(numberText(mark.at.x, 0)).arg(numberText(mark.at.y, 0));
    for (size_t i = 0; i < m_lines.size(); ++i)
        out << tr("line %1: %2 points").arg(i + 1).arg(m_lines[i].points.size());
    if (m_pointer)
        out << tr("pointer at %1, %2").arg(numberText(m_pointer->x, 0)).arg(numberText(m_pointer->y, 0));
    return out.isEmpty() ? tr("nothing marked yet") : out.join(u"; "_s);
}

void TraceView::setImage(const QImage& image) {
    m_image = image;
    m_pointer.reset();
    showAll();
}

void TraceView::setOverlay(std::vector<TraceMark> marks, std::vector<TraceLine> lines) {
    m_marks = std::move(marks);
    m_lines = std::move(lines);
    update();
}

QPointF TraceView::onScreen(PicturePoint place) const { return m_corner + m_scale * QPointF(place.x, place.y); }

PicturePoint TraceView::inPicture(QPointF position) const {
    const QPointF place = (position - m_corner) / m_scale;
    return {place.x(), place.y()};
}

void TraceView::showAll() {
    m_all = true;
    if (m_image.isNull())
        return;
    m_scale =
        std::min((width() - 2.0 * kMargin_px) / m_image.width(), (height() - 2.0 * kMargin_px) / m_image.height());
    m_scale = std::max(m_scale, 0.01);
    m_corner = {0.5 * (width() - m_scale * m_image.width()), 0.5 * (height() - m_scale * m_image.height())};
    update();
}

void TraceView::zoom(double times, QPointF around) {
    const PicturePoint still = inPicture(around);
    m_all = false;
    m_scale = std::clamp(m_scale * times, 0.05, kMostScale);
    m_corner += around - onScreen(still);
    update();
}

void TraceView::movePointer(PicturePoint to) {
    m_pointer =
        PicturePoint{std::clamp(to.x, 0.0, double(m_image.width())), std::clamp(to.y, 0.0, double(m_image.height()))};
    update();
    Q_EMIT moved(*m_pointer);
}

void TraceView::step(double x, double y) {
    const PicturePoint from = m_pointer.value_or(PicturePoint{0.5 * m_image.width(), 0.5 * m_image.height()});
    movePointer({from.x + x, from.y + y});
    keepInView(*m_pointer);
}

void TraceView::keepInView(PicturePoint place) {
    const QPointF at = onScreen(place);
    const QPointF inside(std::clamp(at.x(), kMargin_px, width() - kMargin_px),
                         std::clamp(at.y(), kMargin_px, height() - kMargin_px));
    m_all = m_all && at == inside;
    m_corner += inside - at;
}

int TraceView::markNear(QPointF position) const {
    for (size_t i = 0; i < m_marks.size(); ++i)
        if (QLineF(onScreen(m_marks[i].at), position).length() < kMarkReach_px)
            return static_cast<int>(i);
    return -1;
}

void TraceView::resizeEvent(QResizeEvent*) {
    if (m_all)
        showAll();
}

void TraceView::mousePressEvent(QMouseEvent* event) {
    setFocus();
    if (m_image.isNull())
        return;
    if (event->button() == Qt::MiddleButton) {
        m_dragFrom = event->position();
        return;
    }
    if (event->button() != Qt::LeftButton)
        return;
    movePointer(inPicture(event->position()));
    m_dragged = m_placing ? -1 : markNear(event->position());
    if (m_dragged < 0)
        Q_EMIT pointed(*m_pointer);
}

void TraceView::mouseMoveEvent(QMouseEvent* event) {
    if (m_image.isNull())
        return;
    if (m_dragFrom) {
        m_all = false;
        m_corner += event->position() - *m_dragFrom;
        m_dragFrom = event->position();
    }
    movePointer(inPicture(event->position()));
    if (m_dragged < 0)
        return;
    Q_EMIT markMoved(m_dragged, *m_pointer, !m_lifted);
    m_lifted = true;
}

void TraceView::mouseReleaseEvent(QMouseEvent*) {
    const bool onlyPressed = m_dragged >= 0 && !m_lifted;
    m_dragged = -1;
    m_lifted = false;
    m_dragFrom.reset();
    if (onlyPressed) // a line may begin at a mark
        Q_EMIT pointed(*m_pointer);
}

void TraceView::leaveEvent(QEvent*) {
    if (!hasFocus())
        m_pointer.reset();
    update();
}

void TraceView::wheelEvent(QWheelEvent* event) {
    zoom(std::pow(kZoomStep, event->angleDelta().y() / 120.0), event->position());
}

void TraceView::keyPressEvent(QKeyEvent* event) {
    const double by = event->modifiers() & Qt::ShiftModifier ? 10.0 : 1.0;
    const QPointF around = m_pointer ? onScreen(*m_pointer) : QPointF(rect().center());
    switch (event->key()) {
    case Qt::Key_Left:
        return step(-by, 0.0);
    case Qt::Key_Right:
        return step(by, 0.0);
    case Qt::Key_Up:
        return step(0.0, -by);
    case Qt::Key_Down:
        return step(0.0, by);
    case Qt::Key_Plus:
        return zoom(kZoomStep, around);
    case Qt::Key_Minus:
        return zoom(1.0 / kZoomStep, around);
    case Qt::Key_0:
        return showAll();
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_Space:
        if (m_pointer)
            Q_EMIT pointed(*m_pointer);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

void TraceView::paintMarks(QPainter& painter) const {
    painter.setFont(fonts::numbers(12, true));
    for (const TraceMark& mark : m_marks) {
        const QPointF at = onScreen(mark.at);
        const QColor colour = mark.now ? m_theme.mark : m_theme.stop;
        painter.setPen(QPen(colour, mark.now ? 2.0 : 1.4));
        painter.drawLine(at - QPointF(9, 0), at + QPointF(9, 0));
        painter.drawLine(at - QPointF(0, 9), at + QPointF(0, 9));
        const QSizeF size(painter.fontMetrics().horizontalAdvance(mark.label) + 8.0, 18.0);
        const QRectF box(at + labelOffset(mark.axis, size), size);
        painter.fillRect(box, QColor(255, 255, 255, 225)); // sheets are white, by night too
        painter.drawText(box, Qt::AlignCenter, mark.label);
    }
}

void TraceView::paintLines(QPainter& painter) const {
    for (const TraceLine& line : m_lines) {
        painter.setBrush(Qt::NoBrush);
        QPainterPath path;
        for (size_t i = 0; i < line.points.size(); ++i) {
            const bool goesOn = i > 0 && (line.dots || line.points[i].x - line.points[i - 1].x < 2.5);
            if (goesOn)
                path.lineTo(onScreen(line.points[i]));
            else
                path.moveTo(onScreen(line.points[i]));
        }
        const QColor colour = line.now ? m_theme.mark : m_theme.quietInk;
        painter.setPen(QPen(QColor(255, 255, 255, 220), line.now ? 6.0 : 4.0)); // apart from the line below it
        painter.drawPath(path);
        painter.setPen(QPen(colour, line.now ? 2.5 : 1.5));
        painter.drawPath(path);
        painter.setBrush(colour);
        for (const PicturePoint& point : line.points)
            if (line.dots)
                painter.drawEllipse(onScreen(point), 3.5, 3.5);
    }
}

void TraceView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_theme.ground);
    if (m_image.isNull())
        return;
    painter.setRenderHint(QPainter::SmoothPixmapTransform, m_scale < 2.0);
    painter.drawImage(QRectF(m_corner, m_scale * QSizeF(m_image.size())), m_image);
    painter.setRenderHint(QPainter::Antialiasing);
    paintLines(painter);
    paintMarks(painter);
    if (m_pointer && hasFocus()) { // where the keys have it
        const QPointF at = onScreen(*m_pointer);
        painter.setPen(QPen(m_theme.mark, 1.0));
        painter.drawEllipse(at, 4.0, 4.0);
    }
}

} // namespace hillrun
