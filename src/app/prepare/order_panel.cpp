// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/order_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/prepare/claims_panel.h"
#include "app/prepare/question_panel.h"
#include "core/plan/design.h"
#include "core/plan/progress.h"

#include <QStandardItemModel>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString titleOf(const DesignInfo& info) { return phrase("design_title." + std::string(info.name)); }

std::vector<std::string> idsOf(const TestDay& day) {
    std::vector<std::string> out;
    for (const Build& build : day.builds)
        out.push_back(build.id);
    return out;
}

} // namespace

OrderPanel::OrderPanel(DayDocument& document, Look& look, Dialogs& dialogs, OtherDays& otherDays, QAction* use,
                       QAction* earlier, QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    column->addWidget(makeOrder(look, otherDays, use), 1);
    column->addWidget(new QuestionPanel(m_document, otherDays, earlier, this));
    connect(&m_document, &DayDocument::dayChanged, this, &OrderPanel::refresh);
    refresh();
}

QWidget* OrderPanel::makeOrder(Look& look, OtherDays& otherDays, QAction* use) {
    const Panel panel = makePanel(tr("Order of the pulls"), this);
    m_design = new QComboBox(panel.frame);
    m_design->setObjectName(u"designChoice"_s);
    m_design->setAccessibleName(tr("Design"));
    m_design->setToolTip(tr("Makes the order of the pulls anew"));
    m_design->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_design->setMinimumContentsLength(8); // so that the pulls a set stand in the same row
    for (const DesignInfo& info : designs()) {
        m_design->addItem(titleOf(info));
        m_design->setItemData(m_design->count() - 1, phrase("design." + std::string(info.name)), Qt::ToolTipRole);
    }
    m_design->addItem(tr("by hand"));
    m_pullsPerSet = new QSpinBox(panel.frame);
    m_pullsPerSet->setObjectName(u"pullsPerSet"_s);
    m_pullsPerSet->setAccessibleName(tr("Pulls a set"));
    m_pullsPerSet->setToolTip(tr("Pulls of one build in a row"));
    m_pullsPerSet->setRange(1, 12);
    m_pullsPerSet->setSuffix(tr(" pulls a set"));
    m_pullsPerSet->setKeyboardTracking(false);
    m_pullsPerSet->setButtonSymbols(QAbstractSpinBox::NoButtons);
    m_pullsPerSet->setAlignment(Qt::AlignCenter);
    m_pullsPerSet->setMinimumWidth(px(108));
    auto step = [&](const QString& name, const QString& sign, const QString& tip, int by) {
        auto* out = new QPushButton(sign, panel.frame);
        out->setObjectName(name);
        out->setToolTip(tip);
        out->setAccessibleName(tip);
        out->setFixedWidth(px(36));
        connect(out, &QPushButton::clicked, m_pullsPerSet, [this, by] { m_pullsPerSet->stepBy(by); });
        return out;
    };
    panel.head->addWidget(m_design);
    auto* pulls = new QWidget(panel.frame); // these three stay together
    auto* pullsRow = new QHBoxLayout(pulls);
    pullsRow->setContentsMargins(0, 0, 0, 0);
    pullsRow->setSpacing(px(6));
    pullsRow->addWidget(step(u"fewerPulls"_s, u"\u2212"_s, tr("One pull a set less"), -1));
    pullsRow->addWidget(m_pullsPerSet);
    pullsRow->addWidget(step(u"morePulls"_s, u"+"_s, tr("One pull a set more"), 1));
    panel.head->addWidget(pulls);
    m_strip = new OrderStrip(look, panel.frame);
    m_weakness = quietLabel(u"weaknessText"_s, panel.frame);
    panel.column->addWidget(m_strip);
    panel.column->addWidget(m_weakness);
    panel.column->addStretch(1);
    panel.column->addWidget(new ClaimsPanel(m_document, otherDays, use, panel.frame));
    connect(m_design, &QComboBox::activated, this, &OrderPanel::chooseDesign);
    connect(m_pullsPerSet, &QSpinBox::valueChanged, this, &OrderPanel::setPullsPerSet);
    connect(m_strip, &OrderStrip::orderEdited, this, [this](const std::vector<std::string>& order, bool byStep) {
        const auto change = [&](TestDay& day) {
            day.plan.order = order;
            day.plan.refits.clear();
            day.plan.design.clear();
        };
        m_document.edit(tr("Change the order of the pulls"), change, byStep ? u"order"_s : QString());
    });
    return panel.frame;
}

void OrderPanel::chooseDesign(int index) {
    if (index >= static_cast<int>(designs().size()))
        return refresh(); // "by hand" is what an edited order is called
    const DesignInfo& info = designs()[static_cast<size_t>(index)];
    std::optional<SweepAnswer> sweep;
    if (info.kind == DesignKind::Sweep && m_document.day().builds.size() < info.fewestBuilds) {
        const auto& pulls = m_document.day().pulls;
        const std::string base = m_document.day().builds.empty() ? std::string() : m_document.day().builds.front().id;
        if (std::any_of(pulls.begin(), pulls.end(), [&](const Pull& pull) { return pull.build != base; })) {
            m_dialogs.showError(this, tr("No sweep was planned"),
                                tr("Other builds have pulls already. Add builds for the steps by hand."));
            return refresh();
        }
        sweep = m_dialogs.askSweep(this);
        if (!sweep || sweep->values.size() < 2)
            return refresh();
    }
    m_document.edit(tr("Plan %1").arg(titleOf(info)), [&](TestDay& day) {
        if (sweep)
            day.builds = sweepBuilds(day, sweep->setting.toStdString(), sweep->values);
        const auto ids = idsOf(day);
        if (ids.size() < info.fewestBuilds)
            return;
        day.plan.design = info.name;
        day.plan.order = orderOf(info.kind, day);
        day.plan.refits = refitsOf(info.kind, day.plan.pullsPerSet);
    });
    refresh();
}

void OrderPanel::setPullsPerSet(int pulls) {
    m_document.edit(
        tr("Change the pulls a set"), [&](TestDay& day) { hillrun::setPullsPerSet(day.plan, pulls); },
        u"pulls a set"_s);
}

void OrderPanel::refresh() {
    const TestDay& day = m_document.day();
    refreshDesigns();
    {
        const QSignalBlocker quiet(m_pullsPerSet);
        m_pullsPerSet->setValue(day.plan.pullsPerSet);
    }
    const PlanProgress progress = planProgress(day);
    std::vector<OrderStrip::Flag> flags;
    for (const PlannedSet& set : plannedSets(day.plan.order, day.plan.refits))
        for (size_t i = set.first; i < set.first + set.pulls; ++i)
            flags.push_back(
                {set.build, buildNumber(day, set.build), progress.done[i] != 0, set.refit && i == set.first});
    m_strip->setOrder(std::move(flags));
    QStringList weak;
    for (const Statement& words : planWeaknesses(day, day.plan.order))
        weak << qs(words);
    setWarning(m_weakness, !weak.isEmpty());
    m_weakness->setText(!weak.isEmpty()          ? weak.join(u"\n"_s)
                        : day.plan.order.empty() ? QString()
                        : !day.plan.refits.empty()
                            ? tr("%1 is taken off and fitted again in between.").arg(qs(day.plan.order.front()))
                            : tr("Sound: drift can be told from the parts."));
}

void OrderPanel::refreshDesigns() {
    const TestDay& day = m_document.day();
    auto* items = qobject_cast<QStandardItemModel*>(m_design->model());
    for (size_t i = 0; i < designs().size(); ++i) {
        const DesignInfo& info = designs()[i];
        const bool possible = info.kind == DesignKind::Sweep || info.kind == DesignKind::RR
                                  ? !day.builds.empty()
                                  : (day.builds.size() >= info.fewestBuilds && day.builds.size() <= info.mostBuilds);
        items->item(static_cast<int>(i))->setEnabled(possible);
        m_design->setItemText(static_cast<int>(i),
                              possible ? titleOf(info)
                                       : tr("%1 (needs %2 builds)").arg(titleOf(info)).arg(info.fewestBuilds));
    }
    const DesignInfo* now = designNamed(day.plan.design);
    m_design->setCurrentIndex(now && !day.plan.design.empty() ? static_cast<int>(now->kind) : m_design->count() - 1);
}

} // namespace hillrun
