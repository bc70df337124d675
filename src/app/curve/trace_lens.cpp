// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_lens.h"

#include "app/look/scale.h"

#include <QPainter>

namespace hillrun {
namespace {

constexpr double kTimes = 8.0; ///< as large as in the picture

} // namespace

TraceLens::TraceLens(const Theme& theme, QWidget* parent) : QWidget(parent), m_theme(theme) {
    setMinimumHeight(px(120));
    setAccessibleName(tr("The pixels around the pointer"));
}

void TraceLens::setImage(const QImage& image) {
    m_image = image;
    m_place.reset();
    update();
}

void TraceLens::showPlace(PicturePoint place) {
    m_place = place;
    update();
}

void TraceLens::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_theme.panel);
    painter.setPen(QPen(m_theme.rule, 1.0));
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
    if (!m_place || m_image.isNull()) {
        painter.setPen(m_theme.quietInk);
        painter.setFont(fonts::text(12));
        painter.drawText(rect(), Qt::AlignCenter, tr("Lens: what the pointer is on"));
        return;
    }
    const QSizeF seen(width() / kTimes, height() / kTimes);
    const QRectF source(QPointF(m_place->x - 0.5 * seen.width(), m_place->y - 0.5 * seen.height()), seen);
    painter.setClipRect(rect().adjusted(1, 1, -1, -1));
    painter.drawImage(QRectF(rect()), m_image, source);
    painter.setPen(QPen(m_theme.mark, 1.0));
    const QPointF middle(0.5 * width(), 0.5 * height());
    painter.drawLine(QPointF(middle.x(), 1), QPointF(middle.x(), height() - 1.0));
    painter.drawLine(QPointF(1, middle.y()), QPointF(width() - 1.0, middle.y()));
}

} // namespace hillrun
