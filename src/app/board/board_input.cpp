// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The board under mouse and keys: cursor, edges, stretches. What it draws is in board.cpp.

#include "app/board/board.h"

#include <algorithm>
#include <cmath>
#include <utility>

using namespace Qt::StringLiterals;

namespace hillrun {

constexpr double kGrabPixels = 8.0;
constexpr double kDragPixels = 2.0; ///< less is a click
constexpr double kFewestStretchPixels = 12.0;

void Board::setCursor(std::optional<double> x, const QString& readout) {
    m_cursor = x;
    m_cursorLine->setVisible(x.has_value());
    m_cursorText->setVisible(x.has_value() && !readout.isEmpty());
    if (x && m_stretchFrom)
        showStretch(*m_stretchFrom, *x);
    if (x) {
        m_cursorLine->point1->setCoords(*x, 0.0);
        m_cursorLine->point2->setCoords(*x, 1.0);
        m_cursorText->setText(readout);
        if (m_compact) { // in the title's line, at its right end
            m_cursorText->position->setCoords(axisRect()->right() + 4.0, 11.0);
            m_cursorText->setPositionAlignment(Qt::AlignRight | Qt::AlignVCenter);
            layer(u"cursor"_s)->replot();
            return;
        }
        const double pixel = xAxis->coordToPixel(*x);
        const bool rightHalf = pixel > axisRect()->center().x();
        m_cursorText->position->setCoords(pixel + (rightHalf ? -6.0 : 6.0), 14.0);
        m_cursorText->setPositionAlignment((rightHalf ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    }
    layer(u"cursor"_s)->replot();
}

void Board::setEdges(std::optional<RpmRange> edges) {
    if (m_draggedEdge >= 0)
        return; // they are in somebody's hand
    m_edges = edges;
    showEdges();
    placeLabels();
    replot(QCustomPlot::rpQueuedReplot);
}

void Board::showEdges() {
    for (size_t i = 0; i < 2; ++i) {
        m_edgeLines[i]->setVisible(m_edges.has_value());
        m_edgeGrips[i]->setVisible(m_edges.has_value());
        if (!m_edges)
            continue;
        const double x = i == 0 ? m_edges->low : m_edges->high;
        m_edgeLines[i]->point1->setCoords(x, 0.0);
        m_edgeLines[i]->point2->setCoords(x, 1.0);
        m_edgeGrips[i]->position->setCoords(x, 1.0);
    }
}

int Board::edgeNear(double pixel) const {
    if (!m_edges)
        return -1;
    const double low = std::abs(xAxis->coordToPixel(m_edges->low) - pixel);
    const double high = std::abs(xAxis->coordToPixel(m_edges->high) - pixel);
    if (std::min(low, high) > kGrabPixels + 6.0)
        return -1;
    return low < high ? 0 : 1;
}

void Board::showStretch(double from, double to) {
    m_stretch->setVisible(true);
    m_stretch->topLeft->setCoords(std::min(from, to), 0.0);
    m_stretch->bottomRight->setCoords(std::max(from, to), 1.0);
    layer(u"cursor"_s)->replot();
}

void Board::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton) {
        m_draggedEdge = edgeNear(event->position().x());
        m_pressedAt = event->position().x();
    }
    QCustomPlot::mousePressEvent(event);
}

void Board::mouseMoveEvent(QMouseEvent* event) {
    const double pixel = event->position().x();
    const double x = xAxis->pixelToCoord(pixel);
    if (m_draggedEdge >= 0 && m_edges) {
        double& edge = m_draggedEdge == 0 ? m_edges->low : m_edges->high;
        edge = std::clamp(x, xAxis->range().lower, xAxis->range().upper);
        showEdges();
        replot(QCustomPlot::rpQueuedReplot);
        if (m_pressedAt && std::abs(pixel - *m_pressedAt) > kDragPixels)
            m_edgeMoved = true;
        if (m_edgeMoved && m_edges->low < m_edges->high)
            Q_EMIT edgesMoving(m_edges->low, m_edges->high);
    } else if (m_pressedAt && m_stretchable && std::abs(pixel - *m_pressedAt) > kFewestStretchPixels) {
        showStretch(xAxis->pixelToCoord(*m_pressedAt), x);
    }
    static_cast<QWidget*>(this)->setCursor(edgeNear(pixel) >= 0 ? Qt::SizeHorCursor : Qt::ArrowCursor);
    if (xAxis->range().contains(x))
        Q_EMIT cursorMoved(x);
    QCustomPlot::mouseMoveEvent(event);
}

void Board::mouseReleaseEvent(QMouseEvent* event) {
    const double pixel = event->position().x();
    const bool edgeMoved = m_draggedEdge >= 0 && std::exchange(m_edgeMoved, false);
    m_draggedEdge = -1; // before anybody is told: what comes back may move the edges again
    if (edgeMoved && m_edges) {
        Q_EMIT edgesDragged(m_edges->low, m_edges->high);
    } else if (m_pressedAt && m_stretchable && std::abs(pixel - *m_pressedAt) > kFewestStretchPixels) {
        const double a = xAxis->pixelToCoord(*m_pressedAt);
        const double b = xAxis->pixelToCoord(pixel);
        Q_EMIT stretchDragged(std::min(a, b), std::max(a, b));
    }
    m_pressedAt.reset();
    if (m_stretch->visible()) {
        m_stretch->setVisible(false);
        layer(u"cursor"_s)->replot();
    }
    QCustomPlot::mouseReleaseEvent(event);
}

/// [ and ] do at the cursor what the mouse does by dragging: move an edge, or begin and end a stretch.
bool Board::markByKey(int key) {
    const bool begin = key == Qt::Key_BracketLeft;
    if ((!begin && key != Qt::Key_BracketRight) || !m_cursor || (!m_edges && !m_stretchable))
        return false;
    if (m_edges) {
        const RpmRange edges = begin ? RpmRange{*m_cursor, m_edges->high} : RpmRange{m_edges->low, *m_cursor};
        if (edges.low < edges.high)
            Q_EMIT edgesDragged(edges.low, edges.high);
        return true;
    }
    if (begin) {
        m_stretchFrom = *m_cursor;
        showStretch(*m_cursor, *m_cursor);
    } else if (m_stretchFrom && *m_stretchFrom != *m_cursor) {
        m_stretch->setVisible(false);
        layer(u"cursor"_s)->replot();
        const double from = *std::exchange(m_stretchFrom, std::nullopt);
        Q_EMIT stretchDragged(std::min(from, *m_cursor), std::max(from, *m_cursor));
    }
    return true;
}

void Board::paintEvent(QPaintEvent* event) {
    QCustomPlot::paintEvent(event);
    if (!hasFocus())
        return;
    QPainter painter(this);
    painter.setPen(QPen(m_look.theme().mark, 2));
    painter.drawRect(rect().adjusted(1, 1, -1, -1));
}

void Board::focusInEvent(QFocusEvent* event) {
    update();
    QCustomPlot::focusInEvent(event);
}

void Board::focusOutEvent(QFocusEvent* event) {
    update();
    QCustomPlot::focusOutEvent(event);
}

void Board::keyPressEvent(QKeyEvent* event) {
    if (markByKey(event->key()))
        return;
    const bool left = event->key() == Qt::Key_Left;
    if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
        Q_EMIT stepped(event->key() == Qt::Key_Up ? -1 : 1);
        return;
    }
    if (!left && event->key() != Qt::Key_Right)
        return QCustomPlot::keyPressEvent(event);
    const QCPRange range = xAxis->range();
    const double step = (event->modifiers().testFlag(Qt::ShiftModifier) ? 0.1 : 0.01) * range.size();
    const double from = m_cursor.value_or(range.center());
    Q_EMIT cursorMoved(std::clamp(from + (left ? -step : step), range.lower, range.upper));
}

} // namespace hillrun
