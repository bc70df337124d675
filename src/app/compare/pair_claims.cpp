// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/pair_claims.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>

using namespace Qt::StringLiterals;

namespace hillrun {

PairClaims::PairClaims(DayDocument& document, Selection& selection, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection) {
    m_named = new QCheckBox(tr("named beforehand"), this);
    m_named->setObjectName(u"namedBeforehand"_s);
    m_named->setToolTip(tr("Judge this pair by its own band, because it was named before the pulls. All others of the "
                           "day are then judged by the wider band over all pairs."));
    m_matters =
        new NumberField(u"compareMatters"_s, tr("Smallest difference that matters"), 0.05, 50.0, 2, u"%"_s, this);
    m_matters->setToolTip(tr("With it \u201Cno difference that matters\u201D can be said"));
    auto* words = new PlainLabel(tr("matters from"), this);
    words->setProperty("quiet", true);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(6));
    row->addWidget(m_named);
    row->addStretch(1);
    row->addWidget(words);
    row->addWidget(m_matters);
    connect(m_named, &QCheckBox::clicked, this, &PairClaims::name);
    connect(m_matters, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Change what matters"), [&](TestDay& day) { day.plan.matters_pct = value; }, u"matters"_s);
    });
}

void PairClaims::name(bool on) {
    const std::pair pair(m_selection.from(), m_selection.to());
    m_document.edit(on ? tr("Name %1 to %2 beforehand").arg(qs(pair.first), qs(pair.second))
                       : tr("No longer name %1 to %2").arg(qs(pair.first), qs(pair.second)),
                    [&](TestDay& day) {
                        std::erase(day.plan.pairs, pair);
                        std::erase(day.plan.pairs, std::pair(pair.second, pair.first));
                        if (on)
                            day.plan.pairs.push_back(pair);
                    });
}

void PairClaims::refresh(bool compared) {
    const std::pair there(m_selection.from(), m_selection.to());
    const std::pair back(there.second, there.first);
    const auto& named = m_document.day().plan.pairs;
    m_named->setChecked(
        std::any_of(named.begin(), named.end(), [&](const auto& pair) { return pair == there || pair == back; }));
    m_named->setEnabled(compared && m_document.mayEdit());
    m_matters->show(m_document.day().plan.matters_pct);
    m_matters->setEnabled(m_document.isOpen() && m_document.mayEdit());
}

} // namespace hillrun
