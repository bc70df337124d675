// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/claims_panel.h"

#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/named_use.h"

#include <algorithm>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kPairsInARow = 4;

/// The usual pairs of the day, and those that were named.
std::vector<BuildPair> pairsToOffer(const TestDay& day) {
    std::vector<std::string> ids;
    for (const Build& build : day.builds)
        ids.push_back(build.id);
    std::vector<BuildPair> out = usualPairs(ids);
    for (const BuildPair& pair : day.plan.pairs)
        if (std::find(out.begin(), out.end(), pair) == out.end())
            out.push_back(pair);
    return out;
}

} // namespace

ClaimsPanel::ClaimsPanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    m_pairs = new QWidget(this);
    m_grid = new QGridLayout(m_pairs);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setSpacing(px(4));
    m_grid->setColumnStretch(kPairsInARow, 1);
    m_useLow = new NumberField(u"useLowField"_s, tr("Lowest speed that counts"), 0, 30000, 0, u"rpm"_s, this);
    m_useHigh = new NumberField(u"useHighField"_s, tr("Highest speed that counts"), 0, 30000, 0, u"rpm"_s, this);
    m_bound = new NumberField(u"driftBoundField"_s, tr("Drift over the day is at most"), 0.05, 20, 2, u"%"_s, this);
    m_bound->setToolTip(tr("Only for days without a return to base: claims then hold if drift stayed below it"));
    for (NumberField* field : {m_useLow, m_useHigh, m_bound})
        field->setFixedWidth(px(84));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(8));
    row->addWidget(labelled(tr("comparisons named beforehand"), m_pairs, this), 0, Qt::AlignTop);
    row->addStretch(1);
    row->addWidget(labelled(tr("use from"), m_useLow, this), 0, Qt::AlignTop);
    row->addWidget(labelled(tr("to"), m_useHigh, this), 0, Qt::AlignTop);
    row->addWidget(labelled(tr("drift at most"), m_bound, this), 0, Qt::AlignTop);
    connect(m_useLow, &NumberField::edited, this, &ClaimsPanel::setUse);
    connect(m_useHigh, &NumberField::edited, this, &ClaimsPanel::setUse);
    connect(m_bound, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Declare a drift bound"), [&](TestDay& day) { day.plan.driftBound_pct = value; }, u"drift bound"_s);
    });
    connect(&m_document, &DayDocument::dayChanged, this, &ClaimsPanel::refresh);
    connect(&m_document, &DayDocument::accessChanged, this, &ClaimsPanel::showUse); // another day was opened
    refresh();
}

/// A range needs both ends; while one is missing nothing is claimed of it.
void ClaimsPanel::setUse() {
    const auto low = m_useLow->number();
    const auto high = m_useHigh->number();
    if (low.has_value() != high.has_value())
        return;
    if (low && !(*high > *low)) {
        showUse();
        return;
    }
    const auto change = [&](TestDay& day) { nameUse(day, low ? std::optional(RpmRange{*low, *high}) : std::nullopt); };
    m_document.edit(tr("Change the use"), change, u"use"_s);
}

void ClaimsPanel::togglePair(const BuildPair& pair, bool on) {
    m_document.edit(on ? tr("Name %1 to %2 beforehand").arg(qs(pair.first), qs(pair.second))
                       : tr("No longer name %1 to %2").arg(qs(pair.first), qs(pair.second)),
                    [&](TestDay& day) {
                        std::erase(day.plan.pairs, pair);
                        if (on)
                            day.plan.pairs.push_back(pair);
                    });
}

void ClaimsPanel::refreshPairs() {
    const auto usual = pairsToOffer(m_document.day());
    if (usual != m_shown) {
        m_shown = usual;
        qDeleteAll(m_pairs->findChildren<QToolButton*>());
        for (size_t i = 0; i < m_shown.size(); ++i) {
            const BuildPair pair = m_shown[i];
            auto* button = new QToolButton(m_pairs);
            button->setObjectName(u"pair_%1_%2"_s.arg(qs(pair.first), qs(pair.second)));
            button->setText(u"%1 \u2192 %2"_s.arg(qs(pair.first), qs(pair.second)));
            button->setAccessibleName(tr("Name %1 to %2 beforehand").arg(qs(pair.first), qs(pair.second)));
            button->setCheckable(true);
            button->setToolTip(
                tr("Judged by its own band when it is named before the pulls; while none is named, all of "
                   "these are judged together by the wider band of all"));
            connect(button, &QToolButton::clicked, this, [this, pair](bool on) { togglePair(pair, on); });
            m_grid->addWidget(button, static_cast<int>(i) / kPairsInARow, static_cast<int>(i) % kPairsInARow);
        }
    }
    const auto& named = m_document.day().plan.pairs;
    for (size_t i = 0; i < m_shown.size(); ++i)
        if (auto* button = qobject_cast<QToolButton*>(m_grid->itemAt(static_cast<int>(i))->widget()))
            button->setChecked(std::find(named.begin(), named.end(), m_shown[i]) != named.end());
}

void ClaimsPanel::refresh() {
    refreshPairs();
    const Plan& plan = m_document.day().plan;
    if (plan.use_rpm != m_shownUse)
        showUse(); // else one end may be typed already while the other is missing: it stays
    m_bound->show(plan.driftBound_pct);
}

void ClaimsPanel::showUse() {
    m_shownUse = m_document.day().plan.use_rpm;
    m_useLow->show(m_shownUse ? std::optional(m_shownUse->low) : std::nullopt);
    m_useHigh->show(m_shownUse ? std::optional(m_shownUse->high) : std::nullopt);
}

} // namespace hillrun
