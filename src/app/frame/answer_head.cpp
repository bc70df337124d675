// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/answer_head.h"

#include "app/look/scale.h"

using namespace Qt::StringLiterals;

namespace hillrun {

QLabel* selectableLabel(const QString& name, QWidget* parent) {
    auto* label = new PlainLabel(parent);
    label->setObjectName(name);
    label->setWordWrap(true);
    label->setTextInteractionFlags(Qt::TextSelectableByMouse);
    return label;
}

AnswerHead::AnswerHead(const QString& answerName, const QString& cautionName, QWidget* parent) : QWidget(parent) {
    row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(12));
    m_mark = new QWidget(this);
    m_mark->setObjectName(u"answerMark"_s);
    m_mark->setFixedWidth(px(6));
    m_mark->setAutoFillBackground(true);
    answer = selectableLabel(answerName, this);
    answer->setAccessibleDescription(QObject::tr("Answer")); // its name is the sentence
    answer->setMinimumHeight(px(30));
    caution = selectableLabel(cautionName, this);
    caution->setProperty("quiet", true);
    words = new QVBoxLayout;
    words->setSpacing(2);
    words->addWidget(answer);
    words->addWidget(caution);
    row->addWidget(m_mark);
    row->addLayout(words, 1);
}

void AnswerHead::setMark(const QColor& colour) { m_mark->setStyleSheet(u"background: %1;"_s.arg(colour.name())); }

} // namespace hillrun
