// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/plain_text.h"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <QWidget>

namespace hillrun {

/// A label whose words wrap and can be copied.
QLabel* selectableLabel(const QString& name, QWidget* parent);

/// What stands above an answering page: the strong mark, the sentence, and below it quietly what it rests on.
class AnswerHead : public QWidget {
    Q_OBJECT
public:
    /// The names of its two labels.
    AnswerHead(const QString& answer, const QString& caution, QWidget* parent);
    void setMark(const QColor& colour);

    QHBoxLayout* row = nullptr;   ///< more may be added at its right
    QVBoxLayout* words = nullptr; ///< and below
    QLabel* answer = nullptr;
    QLabel* caution = nullptr;

private:
    QWidget* m_mark = nullptr;
};

} // namespace hillrun
