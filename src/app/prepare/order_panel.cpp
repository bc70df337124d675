// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/order_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "app/prepare/claims_panel.h"
#include "core/plan/design.h"
#include "core/plan/progress.h"
#include "core/plan/pulls_needed.h"

#include <cmath>
#include <QStandardItemModel>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString titleOf(const DesignInfo& info) { return phrase("design_title." + std::string(info.name)); }

constexpr double kMattersToStart_pct = 1.0;

std::vector<std::string> idsOf(const TestDay& day) {
    std::vector<std::string> out;
    for (const Build& build : day.builds)
        out.push_back(build.id);
    return out;
}

std::vector<std::string> setBuilds(const std::vector<std::string>& order) {
    std::vector<std::string> out;
    for (const PlannedSet& set : plannedSets(order))
        out.push_back(set.build);
    return out;
}

/// The build that the plan tells least about, against the base.
std::optional<std::string> hardestBuild(const TestDay& day) {
    std::optional<std::string> out;
    double worst = 0.0;
    for (size_t i = 1; i < day.builds.size(); ++i)
        if (const auto contrast = plannedContrast(day.plan.order, day.builds.front().id, day.builds[i].id);
            contrast && contrast->variance > worst) {
            worst = contrast->variance;
            out = day.builds[i].id;
        }
    return out;
}

QString hoursText(double minutes) {
    const int whole = static_cast<int>(std::lround(minutes));
    return whole < 60 ? QObject::tr("%1 min").arg(whole)
                      : QObject::tr("%1 h %2 min").arg(whole / 60).arg(whole % 60, 2, 10, QChar(u'0'));
}

} // namespace

OrderPanel::OrderPanel(DayDocument& document, Look& look, Dialogs& dialogs, const RepeatabilityLog& log, QAction* use,
                       QWidget* parent)
    : QWidget(parent), m_document(document), m_dialogs(dialogs), m_log(log) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(px(8));
    column->addWidget(makeOrder(look, use), 1);
    column->addWidget(makeQuestion());
    connect(&m_document, &DayDocument::dayChanged, this, &OrderPanel::refresh);
    connect(&m_document, &DayDocument::analysisReady, this, &OrderPanel::refreshAnswer);
    refresh();
}

QWidget* OrderPanel::makeOrder(Look& look, QAction* use) {
    const Panel panel = makePanel(tr("Order of the pulls"), this);
    m_design = new QComboBox(panel.frame);
    m_design->setObjectName(u"designChoice"_s);
    m_design->setAccessibleName(tr("Design"));
    m_design->setToolTip(tr("Makes the order of the pulls anew"));
    m_design->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_design->setMinimumContentsLength(12);
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
    panel.column->addWidget(new ClaimsPanel(m_document, use, panel.frame));
    connect(m_design, &QComboBox::activated, this, &OrderPanel::chooseDesign);
    connect(m_pullsPerSet, &QSpinBox::valueChanged, this, &OrderPanel::setPullsPerSet);
    connect(m_strip, &OrderStrip::orderEdited, this, [this](const std::vector<std::string>& order, bool byStep) {
        const auto change = [&](TestDay& day) {
            day.plan.order = order;
            day.plan.design.clear();
        };
        m_document.edit(tr("Change the order of the pulls"), change, byStep ? u"order"_s : QString());
    });
    return panel.frame;
}

QWidget* OrderPanel::makeQuestion() {
    const Panel panel = makePanel(tr("Can this plan see it?"), this);
    m_matters =
        new NumberField(u"mattersField"_s, tr("Smallest difference that matters"), 0.05, 50.0, 2, u"%"_s, panel.frame);
    m_repeatability =
        new NumberField(u"repeatabilityField"_s, tr("Repeatability of one pull"), 0.05, 20.0, 2, u"%"_s, panel.frame);
    m_measured = new QPushButton(tr("As measured"), panel.frame);
    m_measured->setObjectName(u"measuredButton"_s);
    m_measured->setToolTip(tr("Take the repeatability of this article's earlier days"));
    auto* row = new QHBoxLayout;
    row->setSpacing(px(12));
    row->addWidget(labelled(tr("smallest difference that matters"), m_matters, panel.frame));
    row->addWidget(labelled(tr("one pull repeats within (sd)"), m_repeatability, panel.frame));
    row->addWidget(m_measured, 0, Qt::AlignBottom);
    row->addStretch(1);
    panel.column->addLayout(row);
    m_answer = new PlainLabel(panel.frame);
    m_answer->setObjectName(u"planAnswer"_s);
    m_answer->setWordWrap(true);
    m_answer->setFont(fonts::text(16, true));
    m_answer->setStyleSheet(scaledSheet(u"font-size: 16px; font-weight: bold;"_s));
    m_details = quietLabel(u"planDetails"_s, panel.frame);
    panel.column->addWidget(m_answer);
    panel.column->addWidget(m_details);
    connect(m_matters, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Change what matters"), [&](TestDay& day) { day.plan.matters_pct = value; }, u"matters"_s);
    });
    connect(m_repeatability, &NumberField::edited, this, [this](std::optional<double> value) {
        m_document.edit(
            tr("Change the repeatability"), [&](TestDay& day) { day.plan.repeatability_pct = value; },
            u"repeatability"_s);
    });
    connect(m_measured, &QPushButton::clicked, this, [this] {
        m_document.edit(tr("Take the measured repeatability"),
                        [](TestDay& day) { day.plan.repeatability_pct.reset(); });
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
    });
    refresh();
}

void OrderPanel::setPullsPerSet(int pulls) {
    const auto change = [&](TestDay& day) {
        const auto builds = setBuilds(day.plan.order);
        day.plan.pullsPerSet = pulls;
        day.plan.order.clear();
        for (const std::string& build : builds)
            day.plan.order.insert(day.plan.order.end(), static_cast<size_t>(pulls), build);
    };
    m_document.edit(tr("Change the pulls a set"), change, u"pulls a set"_s);
}

MeasuredRepeatability OrderPanel::repeatability() const {
    const TestDay& day = m_document.day();
    if (day.plan.repeatability_pct)
        return {*day.plan.repeatability_pct / 100.0, 0, 0};
    return m_log.of(day.article.name, m_document.path());
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
    for (size_t i = 0; i < day.plan.order.size(); ++i)
        flags.push_back({day.plan.order[i], buildNumber(day, day.plan.order[i]), progress.done[i] != 0});
    m_strip->setOrder(std::move(flags));
    QStringList weak;
    for (const Statement& words : planWeaknesses(day, day.plan.order))
        weak << qs(words);
    setWarning(m_weakness, !weak.isEmpty());
    m_weakness->setText(!weak.isEmpty()          ? weak.join(u"\n"_s)
                        : day.plan.order.empty() ? QString()
                                                 : tr("Sound: drift can be told from the parts."));
    refreshAnswer();
}

void OrderPanel::refreshDesigns() {
    const TestDay& day = m_document.day();
    auto* items = qobject_cast<QStandardItemModel*>(m_design->model());
    for (size_t i = 0; i < designs().size(); ++i) {
        const DesignInfo& info = designs()[i];
        const bool possible = info.kind == DesignKind::Sweep ||
                              (day.builds.size() >= info.fewestBuilds && day.builds.size() <= info.mostBuilds);
        items->item(static_cast<int>(i))->setEnabled(possible);
        m_design->setItemText(static_cast<int>(i),
                              possible ? titleOf(info)
                                       : tr("%1 (needs %2 builds)").arg(titleOf(info)).arg(info.fewestBuilds));
    }
    const DesignInfo* now = designNamed(day.plan.design);
    m_design->setCurrentIndex(now && !day.plan.design.empty() ? static_cast<int>(now->kind) : m_design->count() - 1);
}

void OrderPanel::refreshAnswer() {
    const TestDay& day = m_document.day();
    const MeasuredRepeatability known = repeatability();
    m_matters->show(day.plan.matters_pct.value_or(kMattersToStart_pct));
    m_repeatability->show(100.0 * known.sd);
    m_measured->setEnabled(day.plan.repeatability_pct.has_value());
    const auto build = hardestBuild(day);
    if (!build) {
        m_answer->setText(tr("Plan two builds to see what the pulls can tell."));
        m_details->clear();
        return;
    }
    const std::string& base = day.builds.front().id;
    const auto seen = smallestSeen(*plannedContrast(day.plan.order, base, *build), known.sd);
    const double matters = m_matters->number().value_or(kMattersToStart_pct);
    const auto sets = setBuilds(day.plan.order);
    const auto needed = pullsPerSetNeeded(sets, base, *build, matters / 100.0, known.sd);
    const QString minutes = hoursText(planMinutes(day.plan, day.plan.order));
    m_answer->setText(seen ? tr("This plan sees %1 % in %2 pulls, about %3.")
                                 .arg(numberText(100.0 * *seen, *seen < 0.00995 ? 2 : 1))
                                 .arg(day.plan.order.size())
                                 .arg(minutes)
                           : tr("This plan can prove nothing: take more than one pull a set."));
    setWarning(m_answer, !seen || 100.0 * *seen > matters * 1.005);
    QString details;
    if (!needed) {
        details = tr("To see %1 % even 30 pulls a set are too few.").arg(matters);
    } else {
        std::vector<std::string> order;
        for (const std::string& set : sets)
            order.insert(order.end(), static_cast<size_t>(*needed), set);
        details = tr("To see %1 % on four days of five: %2 pulls a set, about %3.")
                      .arg(matters)
                      .arg(*needed)
                      .arg(hoursText(planMinutes(day.plan, order)));
    }
    if (known.days > 0) {
        const auto cautious =
            pullsPerSetNeeded(sets, base, *build, matters / 100.0, upperLimit80(known.sd, known.degreesOfFreedom));
        details += tr(" Repeatability from %1 of this article; were it as bad as it may be: %2 a set.")
                       .arg(counted("count.earlier_days", known.days),
                            cautious ? QString::number(*cautious) : tr("more than 30"));
    } else if (!day.plan.repeatability_pct) {
        details += tr(" Repeatability not measured yet: half a per cent to start with.");
    }
    m_details->setText(details);
}

} // namespace hillrun
