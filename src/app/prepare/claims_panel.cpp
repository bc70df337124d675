// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/claims_panel.h"

#include "app/document/doubt_answers.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/pulls_needed.h"

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

/// Whether the day, or its plan while nothing is measured, cannot tell well what it repeats within.
bool repeatsFewTimes(const DayDocument& document) {
    if (const auto analysis = document.analysis(); analysis && analysis->model)
        return hasFewRepeats(analysis.get());
    const TestDay& day = document.day();
    if (day.builds.size() < 2)
        return false;
    const auto contrast = plannedContrast(day.plan.order, day.builds[0].id, day.builds[1].id);
    return contrast && contrast->degreesOfFreedom <= kFewFreedom;
}

} // namespace

ClaimsPanel::ClaimsPanel(DayDocument& document, OtherDays& otherDays, QAction* use, QWidget* parent)
    : QWidget(parent), m_document(document), m_otherDays(otherDays) {
    m_pairs = new QWidget(this);
    m_grid = new QGridLayout(m_pairs);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setSpacing(px(4));
    m_grid->setColumnStretch(kPairsInARow, 1);
    m_bound = new NumberField(u"driftBoundField"_s, tr("Drift over the day is at most"), 0.05, 20, 2, u"%"_s, this);
    m_bound->setToolTip(tr("Only for days without a return to base: claims then hold if drift stayed below it"));
    m_bound->setFixedWidth(px(84));
    auto* useButton = new QToolButton(this);
    useButton->setObjectName(u"useButton"_s);
    useButton->setDefaultAction(use);
    auto* lines = new QVBoxLayout(this); // the use may be long: it has a line of its own
    lines->setContentsMargins(0, 0, 0, 0);
    lines->setSpacing(px(8));
    auto* row = new QHBoxLayout;
    row->setSpacing(px(8));
    row->addWidget(labelled(tr("comparisons named beforehand"), m_pairs, this), 0, Qt::AlignTop);
    row->addStretch(1);
    row->addWidget(labelled(tr("drift at most"), m_bound, this), 0, Qt::AlignTop);
    lines->addLayout(row);
    auto* last = new WrapLayout(false, px(12));
    last->addWidget(useButton);
    last->addWidget(makeRefit());
    last->addWidget(makeEarlier());
    lines->addLayout(last);
    connect(m_bound, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Declare a drift bound"), [&](TestDay& day) { day.plan.driftBound_pct = value; }, u"drift bound"_s);
    });
    connect(&m_document, &DayDocument::dayChanged, this, &ClaimsPanel::refresh);
    connect(&m_document, &DayDocument::analysisReady, this, &ClaimsPanel::refresh);
    connect(&m_otherDays, &OtherDays::changed, this, &ClaimsPanel::refresh);
    refresh();
}

/// What fitting a build again adds: open, a number of one's own, or what the cell has taught.
QWidget* ClaimsPanel::makeRefit() {
    auto* out = new QWidget(this);
    auto* row = new QHBoxLayout(out);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(6));
    auto* label = new PlainLabel(tr("refitting (sd)"), out);
    label->setProperty("quiet", true);
    label->setProperty("small", true);
    m_refit = new NumberField(u"refitField"_s, tr("Fitting a build again adds (sd)"), 0.0, 20.0, 2, u"%"_s, out);
    m_refit->setToolTip(tr("Left open, the answer says how much refitting would undo it. With a number, the intervals "
                           "allow for it."));
    m_refit->setFixedWidth(px(84));
    m_learned = new QPushButton(tr("As learned"), out);
    m_learned->setObjectName(u"learnedButton"_s);
    m_learned->setToolTip(tr("Take what this cell has taught of refitting"));
    row->addWidget(label);
    row->addWidget(m_refit);
    row->addWidget(m_learned);
    connect(m_refit, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Change what fitting again adds"),
            [&](TestDay& day) {
                day.plan.refitSd = value ? RefitSd{{*value}, 0.0} : RefitSd{};
            },
            u"refit"_s);
    });
    connect(m_learned, &QPushButton::clicked, this, [this] {
        m_document.edit(tr("Take what the cell has taught of refitting"),
                        [&](TestDay& day) { day.plan.refitSd = m_otherDays.answer().cell.refitSd(); });
    });
    return out;
}

QToolButton* ClaimsPanel::makeEarlier() {
    m_earlier = new QToolButton(this);
    m_earlier->setObjectName(u"earlierRepeatsButton"_s);
    m_earlier->setText(tr("Few repeats: as on earlier days"));
    m_earlier->setToolTip(
        tr("With one pull a build, or two, today cannot tell what it repeats within. Then it is taken "
           "to repeat as this cell's earlier days do, and the answer says so."));
    m_earlier->setCheckable(true);
    connect(m_earlier, &QToolButton::clicked, this, [this](bool on) {
        m_document.edit(
            on ? tr("Count on earlier days' repeats") : tr("Count today's repeats alone"),
            [&](TestDay& day) { day.plan.earlierRepeats = on ? m_otherDays.answer().cell.repeats : EarlierRepeats{}; });
    });
    return m_earlier;
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
    m_bound->show(m_document.day().plan.driftBound_pct);
    const RefitSd& refit = m_document.day().plan.refitSd;
    m_refit->show(refit.likely_pct.empty() ? std::nullopt : std::optional(refit.rootMeanSquare_pct()));
    const RefitSd taught = m_otherDays.answer().cell.refitSd();
    m_learned->setEnabled(!taught.likely_pct.empty() && taught != refit);
    const bool counted = m_document.day().plan.earlierRepeats.known();
    m_earlier->setChecked(counted);
    m_earlier->setVisible(counted || (m_otherDays.answer().cell.repeats.known() && repeatsFewTimes(m_document)));
}

} // namespace hillrun
