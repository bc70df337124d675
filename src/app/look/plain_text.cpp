// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/plain_text.h"

#include <QApplication>
#include <QHelpEvent>
#include <QTextDocument>
#include <QToolTip>

namespace hillrun {

QString plainTip(const QString& text) { return Qt::mightBeRichText(text) ? Qt::convertFromPlainText(text) : text; }

PlainTextGuard::PlainTextGuard(QObject* parent) : QObject(parent) { qApp->installEventFilter(this); }

bool PlainTextGuard::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Polish) {
        if (auto* label = qobject_cast<QLabel*>(watched);
            label && label->textFormat() == Qt::AutoText && !label->inherits("QTipLabel"))
            label->setTextFormat(Qt::PlainText);
    } else if (event->type() == QEvent::ToolTip) {
        const auto* widget = qobject_cast<QWidget*>(watched);
        if (widget && Qt::mightBeRichText(widget->toolTip())) {
            QToolTip::showText(static_cast<QHelpEvent*>(event)->globalPos(), plainTip(widget->toolTip()));
            return true;
        }
    }
    return QObject::eventFilter(watched, event);
}

} // namespace hillrun
