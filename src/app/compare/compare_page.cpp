// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/compare_page.h"

#include "app/compare/quantity_content.h"
#include "app/frame/preferences.h"
#include "app/look/copied_table.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"

#include <QClipboard>
#include <QGuiApplication>
#include <QRegularExpression>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// The strong mark beside the answer.
QColor markOf(const Comparison* c, const Theme& t) {
    if (!c)
        return t.rule;
    switch (c->verdict) {
    case VerdictKind::Gain:
    case VerdictKind::Mixed:
        return t.gain;
    case VerdictKind::Loss:
        return t.loss;
    case VerdictKind::NotComparable:
        return t.stop;
    case VerdictKind::NoDifference:
    case VerdictKind::CannotTell:
        break;
    }
    return t.unresolved;
}

/// What is doubtful about the day, to stand in a line.
QStringList doubtsOf(const DayAnalysis* analysis) {
    QStringList out;
    if (analysis)
        for (const DayDoubt& doubt : analysis->doubts)
            out << qs(doubt.text).remove(QRegularExpression(u"\\.$"_s));
    return out;
}

QString withoutStop(const Statement& note) { return qs(note).remove(QRegularExpression(u"\\.$"_s)); }

} // namespace

ComparePage::ComparePage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays,
                         ActionRegistry& actions, QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_days(otherDays), m_look(look) {
    setObjectName(u"comparePage"_s);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(px(16), px(12), px(16), px(12));
    layout->setSpacing(px(8));
    layout->addWidget(makeHead(actions));
    m_pair = new PairPane(document, selection, look, actions, this);
    m_field = new FieldPane(document, selection, look, actions, this);
    m_views = new QStackedWidget(this);
    m_views->addWidget(m_pair);
    m_views->addWidget(m_field);
    m_earlier = new EarlierPane(document, selection, look, otherDays, actions, this);
    m_views->addWidget(m_earlier);
    const auto bring = [this] {
        if (isVisible() && (earlierShown() || hasFewRepeats(m_document.analysis().get())))
            m_days.bringUpToDate();
    };
    connect(&otherDays, &OtherDays::outdated, this, bring);
    connect(m_views, &QStackedWidget::currentChanged, this, bring);
    connect(&otherDays, &OtherDays::changed, this, &ComparePage::refresh);
    connect(&otherDays, &OtherDays::earlierAdded, this, [this] { showEarlier(true); });
    connect(m_earlier, &EarlierPane::changed, this, &ComparePage::refresh);
    layout->addWidget(m_views, 1);
    connectParts();
    refresh();
}

QWidget* ComparePage::makeHead(ActionRegistry& actions) {
    auto* head = new AnswerHead(u"answer"_s, u"caution"_s, this);
    m_head = head;
    m_settle = selectableLabel(u"settleText"_s, head);
    m_settle->setProperty("quiet", true);
    head->words->addWidget(m_settle);
    m_offers = new PairOffers(m_document, head);
    head->row->addWidget(m_offers, 0, Qt::AlignTop);
    m_other = actions.get("compare.field");
    m_otherDays = actions.get("compare.earlier");
    const auto add = [&](const QString& name, QAction* action) {
        auto* button = new QToolButton(head);
        button->setObjectName(name);
        button->setDefaultAction(action);
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        head->row->addWidget(button, 0, Qt::AlignTop);
    };
    add(u"otherDaysButton"_s, m_otherDays);
    add(u"fieldButton"_s, m_other);
    return head;
}

void ComparePage::connectParts() {
    connect(&m_document, &DayDocument::analysisReady, this, &ComparePage::refresh);
    connect(&m_selection, &Selection::pairChanged, this, &ComparePage::refresh);
    connect(&m_selection, &Selection::viewChanged, this, [this] {
        if (isVisible())
            m_document.wantQuantity(m_selection.curve());
        refresh();
    });
    connect(&m_selection, &Selection::cursorChanged, this, &ComparePage::refreshCursor);
    connect(m_field, &FieldPane::pairWanted, this, [this] { showField(false); });
    connect(&m_look, &Look::changed, this, &ComparePage::refresh);
}

void ComparePage::settlePair() {
    const auto analysis = m_document.analysis();
    const TestDay& day = m_document.day();
    const bool known = findBuild(day, m_selection.from()) && findBuild(day, m_selection.to());
    if (!known && day.builds.size() >= 2) {
        const bool has = analysis && !analysis->comparisons.empty();
        m_selection.setPair(has ? analysis->comparisons.front().from : day.builds[0].id,
                            has ? analysis->comparisons.front().to : day.builds[1].id);
    }
}

void ComparePage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    m_document.wantQuantity(m_selection.curve());
    refresh();
}

/// Nobody looks at the other curve: later edits do not work it out.
void ComparePage::hideEvent(QHideEvent* event) {
    PageView::hideEvent(event);
    m_document.wantQuantity({});
}

void ComparePage::refresh() {
    settlePair();
    if (!isVisible())
        return; // caught up with when somebody looks
    if (earlierShown())
        refreshEarlier();
    else if (fieldShown())
        refreshField();
    else
        refreshPair();
}

void ComparePage::refreshEarlier() {
    m_earlier->refresh();
    m_head->setMark(m_earlier->proven() ? m_look.theme().mark : m_look.theme().unresolved);
    m_head->answer->setText(m_document.isOpen() ? unbroken(m_earlier->answer()) : whyNoAnswer(nullptr));
    m_head->caution->setText(m_earlier->notes());
    m_head->caution->setToolTip({});
    m_settle->hide();
    m_offers->hide();
}

const QuantityAnswer* ComparePage::other() const {
    const auto analysis = m_document.analysis();
    return analysis ? curveLookedAt(*analysis, m_selection.curve()) : nullptr;
}

void ComparePage::refreshPair() {
    const auto analysis = m_document.analysis();
    refreshAnswer(analysis.get(), analysis ? analysis->find(m_selection.from(), m_selection.to()) : nullptr);
    m_pair->refresh();
}

void ComparePage::refreshAnswer(const DayAnalysis* analysis, const Comparison* comparison) {
    const Theme& t = m_look.theme();
    const QuantityPair* curve = other() ? other()->find(m_selection.from(), m_selection.to()) : nullptr;
    // Another curve is neither a gain nor a loss.
    const bool differs = curve && std::any_of(curve->regions.begin(), curve->regions.end(), [](const Region& region) {
                             return region.kind != RegionKind::Unresolved;
                         });
    const QColor mark = !curve ? markOf(comparison, t) : differs ? t.mark : t.unresolved;
    m_head->setMark(mark);
    if (curve)
        m_head->answer->setText(unbroken(qs(said(quantitySummary(other()->kind, *curve)))));
    else if (comparison)
        m_head->answer->setText(
            unbroken(qs(currentVoice()
                            .in(m_selection.units())
                            .say(summary(*comparison, m_selection.units(), m_selection.quantity())))));
    else
        m_head->answer->setText(whyNoAnswer(analysis));
    m_offers->show(analysis, comparison, m_days.answer().cell.repeats);
    m_offers->setVisible(true);
    QStringList cautions = doubtsOf(analysis);
    const std::string settle =
        comparison ? currentVoice().in(m_selection.units()).say(settleStatement(*comparison)) : std::string();
    m_settle->setText(qs(settle));
    m_settle->setVisible(!settle.empty() && !curve);
    if (comparison)
        cautions << qs(airPhrase(*analysis)); // the widths below say whose repeats they are
    if (comparison && !curve)
        if (const Statement refit = refitStatement(*comparison, *analysis); !refit.empty())
            cautions << qs(refit);
    if (analysis)
        for (const Statement& note : widthStatements(*analysis))
            cautions << withoutStop(note);
    if (comparison && comparison->judgedBy == JudgedBy::AllPairs)
        cautions << tr("not one of the planned comparisons: judged by the band over all pairs");
    if (comparison && comparison->judgedBy == JudgedBy::Itself)
        cautions << tr("named beforehand: judged by its own band");
    if (analysis && analysis->model && analysis->model->drift.identified && analysis->model->degreesOfFreedom > 0)
        cautions << tr("drift of %1 per hour is taken out")
                        .arg(percentText(100.0 * std::expm1(analysis->model->drift.perHour)));
    if (analysis && analysis->model && analysis->model->degreesOfFreedom > 0)
        cautions << tr("one pull repeats within %1\u00A0%").arg(numberText(100.0 * analysis->model->levelSd, 2));
    if (analysis)
        for (const Statement& note : analysis->notes)
            if (const QString text = withoutStop(note); !cautions.contains(text))
                cautions << text;
    if (!m_document.isOpen())
        cautions << tr("Open a day folder or a package with Ctrl+O, or drop logger files on the window");
    showCautions(cautions);
}

/// The first four in a line, all of them in the tooltip.
void ComparePage::showCautions(const QStringList& cautions) {
    m_head->caution->setText(cautions.isEmpty() ? QString() : cautions.mid(0, 4).join(u" \u00B7 "_s) + u"."_s);
    m_head->caution->setToolTip(cautions.join(u"\n"_s));
}

QString ComparePage::whyNoAnswer(const DayAnalysis* analysis) const {
    if (!m_document.isOpen())
        return tr("No day is open.");
    if (!analysis)
        return tr("Working the day out \u2026");
    if (!analysis->whyNoComparison.empty())
        return tr("Nothing to compare yet: %1.").arg(qs(analysis->whyNoComparison));
    return tr("Choose two builds with pulls in use.");
}

void ComparePage::refreshField() {
    const auto analysis = m_document.analysis();
    const Theme& t = m_look.theme();
    const QuantityAnswer* curve = other();
    const bool proven = !curve && analysis && analysis->field && analysis->field->provenBest();
    m_head->setMark(proven ? t.gain : t.unresolved);
    const bool any = analysis && !analysis->builds.empty();
    m_head->answer->setText(!any    ? whyNoAnswer(analysis.get())
                            : curve ? quantityFieldText(*analysis, *curve)
                                    : fieldText(*analysis));
    QStringList cautions;
    if (any) {
        if (const QString use = useText(m_document.day(), *analysis); !use.isEmpty())
            cautions << use;
        cautions << doubtsOf(analysis.get());
    }
    showCautions(cautions);
    m_settle->hide();
    m_offers->hide();
    m_field->refresh();
}

void ComparePage::refreshCursor() {
    if (earlierShown())
        m_earlier->refreshCursor();
    else if (fieldShown())
        m_field->refreshCursor();
    else
        m_pair->refreshCursor();
}

void ComparePage::showView(int view) {
    m_views->setCurrentIndex(view);
    m_other->setText(fieldShown() ? tr("Pair") : tr("Field"));
    m_otherDays->setText(earlierShown() ? tr("Pair") : tr("Other days"));
    refresh();
}

void ComparePage::showField(bool on) { showView(on ? 1 : 0); }

void ComparePage::showEarlier(bool on) { showView(on ? 2 : 0); }

void ComparePage::toggleSmallBoards() {
    m_field->setSmallBoards(!fieldShown() || !m_field->smallBoards());
    showField(true);
}

void ComparePage::recall(const SettingsStore& settings) {
    m_pair->restoreState(settings.get(settings::kCompareSplit));
    m_field->setSmallBoards(settings.get(settings::kSmallBoards));
}

void ComparePage::remember(SettingsStore& settings) const {
    settings.set(settings::kCompareSplit, m_pair->saveState());
    settings.set(settings::kSmallBoards, m_field->smallBoards());
}

bool ComparePage::canCopy() const { return m_document.analysis() && m_document.day().builds.size() >= 2; }

/// The answer and the table of what is shown.
void ComparePage::copyTable() const {
    const CopiedTable table = earlierShown() ? m_earlier->table()
                              : fieldShown() ? m_field->table()
                                             : m_pair->table(m_head->answer->text());
    QGuiApplication::clipboard()->setMimeData(asMime(table).release());
}

/// The boards as pixels and as a drawing.
void ComparePage::copyPicture() const {
    auto mime = std::make_unique<QMimeData>();
    QWidget* const picture = earlierShown() ? m_earlier->picture()
                             : fieldShown() ? m_field->picture()
                                            : m_pair->picture();
    mime->setImageData(picture->grab().toImage());
    mime->setData(u"image/svg+xml"_s, earlierShown() ? m_earlier->drawing()
                                      : fieldShown() ? m_field->drawing()
                                                     : m_pair->drawing());
    QGuiApplication::clipboard()->setMimeData(mime.release());
}

} // namespace hillrun
