// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/question_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/days/cell_model.h"
#include "core/plan/design.h"
#include "core/plan/progress.h"
#include "core/plan/pulls_needed.h"
#include "core/units/log_percent.h"

#include <cmath>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kMattersToStart_pct = 1.0;

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

QString halfText(double half) { return numberText(percentOfLog(half), half < 0.00995 ? 2 : 1); }

QString plannedText(const PlannedAcross& one) {
    const QString earlier = qs(buildPhrase(one.earlier));
    if (one.build.empty())
        return QObject::tr("Against %1: plan a build that differs from it.").arg(earlier);
    if (!one.half && one.halfAgain)
        return QObject::tr("%1 against %2: nothing joins them, no interval. Run %2 again first and last: ± %3 %.")
            .arg(qs(one.build), earlier, halfText(*one.halfAgain));
    if (!one.half)
        return QObject::tr("%1 against %2: nothing joins them, no interval.").arg(qs(one.build), earlier);
    QString out = QObject::tr("%1 against %2: ± %3 %.").arg(qs(one.build), earlier, halfText(*one.half));
    if (one.halfAgain && *one.halfAgain < 0.9 * *one.half)
        out += QObject::tr(" Run %1 again first and last: ± %2 %.").arg(earlier, halfText(*one.halfAgain));
    return out;
}

/// What the plan counts on, when one pull repeats within `sd`.
PlannedNoise noiseOf(const TestDay& day, double sd) {
    const EarlierRepeats& earlier = day.plan.earlierRepeats;
    return {sd, std::log1p(day.plan.refitSd.rootMeanSquare_pct() / 100.0), static_cast<int>(earlier.freedom),
            static_cast<int>(earlier.cautious)};
}

} // namespace

QuestionPanel::QuestionPanel(DayDocument& document, OtherDays& otherDays, QAction* earlier, QWidget* parent)
    : QWidget(parent), m_document(document), m_otherDays(otherDays) {
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Can this plan see it?"), this);
    outer->addWidget(panel.frame);
    m_matters =
        new NumberField(u"mattersField"_s, tr("Smallest difference that matters"), 0.05, 50.0, 2, u"%"_s, panel.frame);
    m_repeatability =
        new NumberField(u"repeatabilityField"_s, tr("Repeatability of one pull"), 0.05, 20.0, 2, u"%"_s, panel.frame);
    m_measured = new QPushButton(tr("As measured"), panel.frame);
    m_measured->setObjectName(u"measuredButton"_s);
    m_measured->setToolTip(tr("Take what this cell's earlier days repeat within"));
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
    m_earlier = quietLabel(u"earlierPlan"_s, panel.frame);
    auto* find = new QToolButton(panel.frame);
    find->setObjectName(u"earlierButton"_s);
    find->setDefaultAction(earlier);
    find->setProperty("flat", true);
    panel.head->addWidget(find);
    panel.column->addWidget(m_answer);
    panel.column->addWidget(m_details);
    panel.column->addWidget(m_earlier);
    connectFields();
    refresh();
}

void QuestionPanel::connectFields() {
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
    connect(&m_document, &DayDocument::dayChanged, this, &QuestionPanel::refresh);
    connect(&m_document, &DayDocument::analysisReady, this, &QuestionPanel::refresh);
    connect(&m_otherDays, &OtherDays::changed, this, &QuestionPanel::refresh);
    connect(&m_otherDays, &OtherDays::outdated, this, [this] {
        if (isVisible())
            m_otherDays.bringUpToDate();
    });
}

void QuestionPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    m_otherDays.bringUpToDate();
}

QuestionPanel::Repeatability QuestionPanel::repeatability() const {
    if (const auto entered = m_document.day().plan.repeatability_pct)
        return {*entered / 100.0, 0.0, 0};
    const TaughtByCell& cell = m_otherDays.answer().cell;
    if (cell.repeatability)
        return {cell.repeatability->value, cell.repeatability->freedom, cell.days};
    return {};
}

void QuestionPanel::refresh() {
    const TestDay& day = m_document.day();
    const Repeatability known = repeatability();
    m_matters->show(day.plan.matters_pct.value_or(kMattersToStart_pct));
    m_repeatability->show(100.0 * known.sd);
    m_measured->setEnabled(day.plan.repeatability_pct.has_value());
    refreshEarlier();
    const auto build = hardestBuild(day);
    if (!build) {
        m_answer->setText(day.plan.refits.empty() ? tr("Plan two builds to see what the pulls can tell.")
                                                  : tr("This day teaches what fitting again adds."));
        m_details->setText(day.plan.refits.empty() ? QString() : refitDetails());
        setWarning(m_answer, false);
        return;
    }
    const auto seen =
        smallestSeen(*plannedContrast(day.plan.order, day.builds.front().id, *build), noiseOf(day, known.sd));
    const double matters = m_matters->number().value_or(kMattersToStart_pct);
    m_answer->setText(seen ? tr("This plan sees %1 % in %2 pulls, about %3.")
                                 .arg(numberText(100.0 * *seen, *seen < 0.00995 ? 2 : 1))
                                 .arg(day.plan.order.size())
                                 .arg(hoursText(planMinutes(day.plan, day.plan.order)))
                           : tr("This plan can prove nothing: take more than one pull a set."));
    setWarning(m_answer, !seen || 100.0 * *seen > matters * 1.005);
    m_details->setText(details(known, *build, matters));
}

/// What the cell knows of refitting without this day.
QString QuestionPanel::refitDetails() const {
    if (const auto& refit = m_otherDays.answer().cell.refit)
        return tr("This cell knows it as %1\u00A0% (80\u00A0%: %2 to %3); each such day narrows it.")
            .arg(numberText(percentOfLog(refit->value), 2), numberText(percentOfLog(refit->low), 2),
                 numberText(percentOfLog(refit->high), 2));
    return tr("This cell does not know it yet: %1 builds fitted again tell it.").arg(kRefitKnown);
}

QString QuestionPanel::details(const Repeatability& known, const std::string& build, double matters_pct) const {
    const TestDay& day = m_document.day();
    const std::string& base = day.builds.front().id;
    const auto sets = buildsOfSets(day.plan.order);
    const double refit = std::log1p(day.plan.refitSd.rootMeanSquare_pct() / 100.0);
    const auto needed = pullsPerSetNeeded(sets, base, build, matters_pct / 100.0, noiseOf(day, known.sd));
    QString out;
    if (!needed && refit > 0.0) {
        out = tr("To see %1 % even 30 pulls a set are too few: fit the builds again more often.").arg(matters_pct);
    } else if (!needed) {
        out = tr("To see %1 % even 30 pulls a set are too few.").arg(matters_pct);
    } else {
        std::vector<std::string> order;
        for (const std::string& set : sets)
            order.insert(order.end(), static_cast<size_t>(*needed), set);
        out = tr("To see %1 % on four days of five: %2 pulls a set, about %3.")
                  .arg(matters_pct)
                  .arg(*needed)
                  .arg(hoursText(planMinutes(day.plan, order)));
    }
    if (known.days > 0) {
        const double worst = upperLimit80(known.sd, std::max(1, static_cast<int>(std::lround(known.freedom))));
        const auto cautious = pullsPerSetNeeded(sets, base, build, matters_pct / 100.0, noiseOf(day, worst));
        out += tr(" Repeatability from %1 of this cell; were it as bad as it may be: %2 a set.")
                   .arg(counted("count.earlier_days", known.days),
                        cautious ? QString::number(*cautious) : tr("more than 30"));
    } else if (!day.plan.repeatability_pct) {
        out += tr(" Repeatability not measured yet: half a per cent to start with.");
    }
    if (day.plan.refitSd.freedom > 0.0)
        out += tr(" Refitting as this cell has taught.");
    return out;
}

/// The earlier builds put beside today's, and how well the plan would tell them apart.
void QuestionPanel::refreshEarlier() {
    QStringList lines;
    for (const BuildOfDay& earlier : m_document.day().plan.earlier) {
        const auto& planned = m_otherDays.answer().over.planned;
        const auto at = std::find_if(planned.begin(), planned.end(),
                                     [&](const PlannedAcross& one) { return one.earlier == earlier; });
        lines << (at != planned.end() ? plannedText(*at) : tr("Beside today's: %1").arg(qs(buildPhrase(earlier))));
    }
    m_earlier->setText(lines.join(u'\n'));
    m_earlier->setVisible(!lines.isEmpty());
}

} // namespace hillrun
