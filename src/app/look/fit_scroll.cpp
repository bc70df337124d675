// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/fit_scroll.h"

#include "app/look/scale.h"

#include <algorithm>
#include <QEvent>
#include <QLayout>
#include <QScrollBar>

namespace hillrun {
namespace {

/// The least size of a page in a room that is so wide.
QSize leastSize(const QWidget& page, int room) {
    const QLayout* layout = page.layout();
    if (!layout)
        return page.minimumSizeHint().expandedTo(page.minimumSize());
    const QSize least = layout->totalMinimumSize();
    const int width = std::max(room, least.width());
    const int height = layout->hasHeightForWidth() ? layout->minimumHeightForWidth(width) : least.height();
    return {least.width(), height};
}

} // namespace

FitScroll::FitScroll(QWidget* page, QWidget* parent) : QScrollArea(parent) {
    setFrameShape(QFrame::NoFrame);
    setFocusPolicy(Qt::NoFocus);
    setWidget(page);
    page->installEventFilter(this);
}

QSize FitScroll::minimumSizeHint() const { return {px(200), px(160)}; }

void FitScroll::fit() {
    const QSize all = maximumViewportSize();
    QSize least = leastSize(*widget(), all.width());
    QSize room = all;
    if (least.height() > all.height()) { // the bar takes its room from the width, and words then need more height
        room.rwidth() -= verticalScrollBar()->sizeHint().width();
        least = leastSize(*widget(), room.width());
    }
    if (least.width() > room.width())
        room.rheight() -= horizontalScrollBar()->sizeHint().height();
    widget()->resize(least.expandedTo(room));
}

void FitScroll::resizeEvent(QResizeEvent* event) {
    fit();
    QScrollArea::resizeEvent(event);
}

bool FitScroll::eventFilter(QObject* watched, QEvent* event) {
    if (watched == widget() && event->type() == QEvent::LayoutRequest)
        fit();
    return QScrollArea::eventFilter(watched, event);
}

} // namespace hillrun
