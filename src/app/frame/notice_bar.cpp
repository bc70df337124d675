// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/notice_bar.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"

#include <QHBoxLayout>
#include <QTimer>

using namespace Qt::StringLiterals;

namespace hillrun {

NoticeBar::NoticeBar(QWidget* parent) : QWidget(parent) {
    setObjectName(u"noticeBar"_s);
    setAttribute(Qt::WA_StyledBackground);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(px(16), px(6), px(12), px(6));
    m_text = new PlainLabel(this);
    m_text->setObjectName(u"noticeText"_s);
    m_text->setWordWrap(true);
    m_text->setTextFormat(Qt::PlainText);
    row->addWidget(m_text, 1);
    for (size_t i = 0; i < m_buttons.size(); ++i) {
        m_buttons[i] = new QPushButton(this);
        m_buttons[i]->setObjectName(u"noticeAnswer%1"_s.arg(i));
        connect(m_buttons[i], &QPushButton::clicked, this, [this, i] {
            const auto run = m_runs[i];
            hide();
            if (run)
                run();
        });
        row->addWidget(m_buttons[i]);
    }
    hide();
}

void NoticeBar::say(const QString& text, const std::vector<Answer>& answers) {
    m_text->setText(text);
    for (size_t i = 0; i < m_buttons.size(); ++i) {
        m_buttons[i]->setVisible(i < answers.size());
        m_runs[i] = i < answers.size() ? answers[i].run : nullptr;
        if (i < answers.size())
            m_buttons[i]->setText(answers[i].text);
    }
    show();
}

void NoticeBar::mention(const QString& text) {
    say(text, {});
    QTimer::singleShot(4000, this, [this, text] {
        if (m_text->text() == text)
            hide();
    });
}

} // namespace hillrun
