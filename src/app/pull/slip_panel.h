// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/pull_flow.h"
#include "app/look/theme.h"

#include <QLabel>
#include <QToolButton>

namespace hillrun {

/// What is to be said about the pull just made, with the two answers to it.
class SlipPanel : public QWidget {
    Q_OBJECT
public:
    SlipPanel(DayDocument& document, PullFlow& flow, Look& look, QToolButton* keep, QToolButton* aside,
              QWidget* parent = nullptr);
    void refresh();

private:
    [[nodiscard]] QString linesText(const PullSlip& slip, const Pull* pull) const;
    DayDocument& m_document;
    PullFlow& m_flow;
    Look& m_look;
    QLabel *m_head = nullptr, *m_number = nullptr, *m_lines = nullptr;
};

/// A label in a large size, to be read from two metres.
QLabel* largeLabel(const QString& name, int pixels, QWidget* parent);
/// Rich text in a colour.
QString coloured(const QColor& colour, const QString& text);

} // namespace hillrun
