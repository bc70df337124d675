// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QLabel>
#include <QObject>

namespace hillrun {

// Names, notes, reasons and paths come from outside. A label that guesses whether its text is mark-up would open the
// picture or the link that somebody put into the name of a day.

/// A label that shows its text as it is.
class PlainLabel : public QLabel {
public:
    explicit PlainLabel(QWidget* parent = nullptr) : QLabel(parent) { setTextFormat(Qt::PlainText); }
    explicit PlainLabel(const QString& text, QWidget* parent = nullptr) : PlainLabel(parent) { setText(text); }
};

/// A tooltip that shows this text as it is.
QString plainTip(const QString& text);

/// Sees to it for the whole application that labels made by others (rows of forms, message boxes) and tooltips of
/// widgets show plain text too.
class PlainTextGuard : public QObject {
public:
    explicit PlainTextGuard(QObject* parent);
    bool eventFilter(QObject* watched, QEvent* event) override;
};

} // namespace hillrun
