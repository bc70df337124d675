// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/slip_panel.h"

#include "app/look/accessible.h"
#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QScrollArea>

using namespace Qt::StringLiterals;

namespace hillrun {

QLabel* largeLabel(const QString& name, int pixels, QWidget* parent) {
    auto* out = new PlainLabel(parent);
    out->setObjectName(name);
    out->setStyleSheet(u"font-size: %1px; font-weight: bold;"_s.arg(px(pixels)));
    return out;
}

QString coloured(const QColor& colour, const QString& text) {
    return u"<span style=\"color:%1\">%2</span>"_s.arg(colour.name(), text.toHtmlEscaped());
}

SlipPanel::SlipPanel(DayDocument& document, PullFlow& flow, Look& look, QToolButton* keep, QToolButton* aside,
                     QWidget* parent)
    : QWidget(parent), m_document(document), m_flow(flow), m_look(look) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Slip"), this);
    panel.frame->setObjectName(u"pullSlip"_s);
    whole->addWidget(panel.frame);
    auto* head = new QHBoxLayout;
    m_head = largeLabel(u"slipHead"_s, 22, panel.frame);
    m_head->setWordWrap(true);
    m_number = largeLabel(u"slipNumber"_s, 22, panel.frame);
    m_number->setAlignment(Qt::AlignRight | Qt::AlignTop);
    head->addWidget(m_head, 1);
    head->addWidget(m_number);
    panel.column->addLayout(head);
    auto* area = new QScrollArea(panel.frame);
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_lines = new PlainLabel(area);
    m_lines->setObjectName(u"slipLines"_s);
    m_lines->setProperty("panelInside", true);
    m_lines->setWordWrap(true);
    m_lines->setTextFormat(Qt::RichText);
    m_lines->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    area->setWidget(m_lines);
    panel.column->addWidget(area, 1);
    auto* answers = new QHBoxLayout;
    answers->addWidget(keep);
    answers->addWidget(aside);
    panel.column->addLayout(answers);
}

void SlipPanel::refresh() {
    const auto& slip = m_flow.slip();
    if (!slip) {
        m_head->setText(m_flow.slipAnswered() ? QString() : tr("Looking at it \u2026"));
        m_number->clear();
        m_lines->setText(
            coloured(m_look.theme().quietInk,
                     tr("After each pull: how it lies on its set, what was found, and whether to keep it.")));
        return;
    }
    const Pull* pull = findPull(m_document.day(), slip->pull);
    const bool aside = pull && !pull->use;
    const QString head = u"%1 %2"_s.arg(qs(slip->pull), aside ? tr("set aside") : qs(slip->headline));
    if (head != m_head->text()) {
        m_head->setText(head);
        speakNow(m_head);
    }
    setWarning(m_head, slip->suspicious && !aside);
    m_number->setText(slip->differenceFromSet_pct ? percentText(*slip->differenceFromSet_pct, 1) : QString());
    m_lines->setText(linesText(*slip, pull));
}

QString SlipPanel::linesText(const PullSlip& slip, const Pull* pull) const {
    const Theme& t = m_look.theme();
    QString out;
    auto add = [&out](const QString& text) { out += u"<div style=\"margin-bottom:6px\">%1</div>"_s.arg(text); };
    if (pull && !pull->use)
        add(tr("Set aside: %1").arg(qs(reasonPhrase(*pull))).toHtmlEscaped());
    for (const SlipLine& line : slip.lines) {
        const QString words = qs(line.text).replace(u" %"_s, u"\u00A0%"_s);
        if (line.weight == SlipWeight::Warning)
            add(u"<b>%1</b>"_s.arg(coloured(t.warning, words)));
        else
            add(coloured(line.weight == SlipWeight::Note ? t.ink : t.quietInk, words));
    }
    return out;
}

} // namespace hillrun
