// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/pair_offers.h"

#include "app/document/day_document.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QPushButton>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

PairOffers::PairOffers(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(4));
}

void PairOffers::show(const DayAnalysis* analysis, const Comparison* comparison, const EarlierRepeats& earlier) {
    for (QPushButton* old : findChildren<QPushButton*>()) { // one of them may be what was just pressed
        old->hide();
        old->setParent(nullptr);
        old->deleteLater();
    }
    if (comparison && m_document.mayEdit()) {
        if (comparison->shortPull)
            add(u"shortOffer"_s,
                {tr("Set %1 aside").arg(qs(comparison->shortPull->pull)),
                 tr("Leave it out of the sums, so that the comparison reaches further; Ctrl+Z takes it back"),
                 [pull = comparison->shortPull->pull](DayDocument& document) {
                     document.setAside({pull}, tr("it shortens the range that all pulls share"));
                 }});
        if (hasFewRepeats(analysis) && earlier.known() && !m_document.day().plan.earlierRepeats.known())
            add(u"earlierOffer"_s,
                {tr("Count on earlier days"),
                 tr("Takes today to repeat as this cell's earlier days do; the answer says so. Ctrl+Z "
                    "takes it back"),
                 [earlier](DayDocument& document) {
                     document.edit(tr("Count on earlier days' repeats"),
                                   [&](TestDay& day) { day.plan.earlierRepeats = earlier; });
                 }});
        if (!analysis->doubts.empty())
            for (const DoubtAnswer& answer : answersTo(analysis->doubts.front()))
                add(u"doubtOffer"_s, answer);
    }
    setVisible(!findChildren<QPushButton*>().isEmpty());
}

void PairOffers::add(const QString& name, const DoubtAnswer& answer) {
    auto* button = new QPushButton(answer.text, this);
    button->setObjectName(name);
    button->setToolTip(answer.tip);
    connect(button, &QPushButton::clicked, this, [this, edit = answer.edit] { edit(m_document); });
    layout()->addWidget(button);
}

} // namespace hillrun
