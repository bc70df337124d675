// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/credit_page.h"

#include "app/board/board_svg.h"
#include "app/credit/ladder_content.h"
#include "app/credit/sweep_content.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/day_credit.h"

#include <algorithm>
#include <QClipboard>
#include <QGuiApplication>
#include <QScrollArea>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr const char* kViewActions[] = {"credit.as_run", "credit.alone", "credit.on_top", "credit.fair_share"};

/// The step that gives away least.
size_t leastCostly(const SettingSweep& sweep) {
    const auto at =
        std::min_element(sweep.levels.begin(), sweep.levels.end(),
                         [](const SweepLevel& a, const SweepLevel& b) { return a.costsAtMost < b.costsAtMost; });
    return static_cast<size_t>(at - sweep.levels.begin());
}

} // namespace

CreditPage::CreditPage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays,
                       ActionRegistry& actions, QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look), m_otherDays(otherDays) {
    setObjectName(u"creditPage"_s);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(12), px(16), px(12));
    column->setSpacing(px(8));
    m_head = new AnswerHead(u"creditAnswer"_s, u"creditCaution"_s, this);
    column->addWidget(m_head);
    m_switch = actions.get("credit.over_days");
    auto* overDays = new QToolButton(m_head);
    overDays->setObjectName(u"overDaysButton"_s);
    overDays->setDefaultAction(m_switch);
    overDays->setToolButtonStyle(Qt::ToolButtonTextOnly);
    m_head->row->addWidget(overDays, 0, Qt::AlignTop);
    m_row = new QHBoxLayout;
    m_row->setSpacing(px(8));
    m_row->addWidget(makePictures(actions), 3);
    m_row->addWidget(makeSide(actions), 2);
    column->addLayout(m_row, 1);
    connectParts();
    refresh();
}

QWidget* CreditPage::makeViews(ActionRegistry& actions) {
    auto* tools = new QWidget(this);
    auto* whole = new QHBoxLayout(tools);
    whole->setContentsMargins(px(12), px(8), px(12), px(2));
    m_views = new QWidget(tools);
    whole->addWidget(m_views);
    whole->addStretch(1);
    auto* use = new QToolButton(tools);
    m_use = use;
    use->setObjectName(u"creditUse"_s);
    use->setText(tr("Use \u2026")); // which one stands in the line above
    use->setToolTip(actions.get("day.use")->toolTip());
    connect(use, &QToolButton::clicked, actions.get("day.use"), &QAction::trigger);
    use->setProperty("flat", true);
    whole->addWidget(use);
    auto* row = new QHBoxLayout(m_views);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(px(4));
    for (const char* id : kViewActions) {
        auto* button = new QToolButton(m_views);
        button->setObjectName(QString::fromLatin1(id));
        button->setDefaultAction(actions.get(id));
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        button->setProperty("switch", true);
        row->addWidget(button);
        m_viewButtons.push_back(button);
    }
    return tools;
}

QWidget* CreditPage::makePictures(ActionRegistry& actions) {
    m_pictures = new QFrame(this);
    m_pictures->setProperty("panel", true);
    auto* column = new QVBoxLayout(m_pictures);
    column->setContentsMargins(1, 1, 1, 1);
    column->setSpacing(0);
    column->addWidget(makeViews(actions));
    m_picture = new CreditPicture(m_look, m_pictures);
    m_response = new Board(m_look, u"sweepBoard"_s, m_pictures);
    m_stack = new QStackedWidget(m_pictures);
    m_stack->addWidget(m_picture);
    m_stack->addWidget(m_response);
    column->addWidget(m_stack, 3);
    m_curve = new Board(m_look, u"creditBoard"_s, m_pictures);
    column->addWidget(m_curve, 2);
    return m_pictures;
}

QWidget* CreditPage::makeSide(ActionRegistry& actions) {
    auto* frame = new QFrame(this);
    m_side = frame;
    frame->setProperty("panel", true);
    frame->setMinimumWidth(px(320));
    frame->setMaximumWidth(px(400));
    auto* outer = new QVBoxLayout(frame);
    outer->setContentsMargins(1, 1, 1, 1);
    auto* scroll = new QScrollArea(frame);
    scroll->setObjectName(u"creditSide"_s);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget(scroll);
    inside->setProperty("panelInside", true);
    auto* column = new QVBoxLayout(inside);
    column->setContentsMargins(0, 0, 0, px(8));
    column->setSpacing(px(8));
    m_table = new PartTable(m_look, inside);
    column->addWidget(m_table);
    auto* below = new QVBoxLayout;
    below->setContentsMargins(px(10), 0, px(10), 0);
    below->setSpacing(px(8));
    m_lines = selectableLabel(u"partLines"_s, inside);
    below->addWidget(m_lines);
    m_together = new QToolButton(inside);
    m_together->setObjectName(u"credit.interaction"_s);
    m_together->setDefaultAction(actions.get("credit.interaction"));
    m_together->setToolButtonStyle(Qt::ToolButtonTextOnly);
    m_together->setProperty("switch", true);
    below->addWidget(m_together);
    m_form = new PartForm(m_document, m_selection, inside);
    below->addWidget(m_form);
    column->addLayout(below);
    column->addStretch(1);
    scroll->setWidget(inside);
    outer->addWidget(scroll);
    return frame;
}

void CreditPage::connectParts() {
    const auto whenSeen = [this] {
        if (isVisible())
            refresh();
    };
    connect(&m_document, &DayDocument::analysisReady, this, whenSeen);
    connect(&m_document, &DayDocument::accessChanged, this, whenSeen);
    connect(&m_otherDays, &OtherDays::changed, this, whenSeen);
    connect(&m_otherDays, &OtherDays::outdated, this, [this] {
        if (isVisible() && m_overDays)
            m_otherDays.bringUpToDate();
    });
    connect(&m_selection, &Selection::viewChanged, this, whenSeen);
    connect(&m_selection, &Selection::cursorChanged, this, &CreditPage::refreshCursor);
    connect(&m_look, &Look::changed, this, whenSeen);
    connect(m_picture, &CreditPicture::chosen, this, &CreditPage::choose);
    connect(m_picture, &CreditPicture::stepped, this, &CreditPage::step);
    connect(m_table, &PartTable::chosen, this, &CreditPage::choose);
    connect(m_curve, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
    for (Board* board : {m_curve, m_response})
        connect(board, &Board::stepped, this, &CreditPage::step);
}

void CreditPage::showEvent(QShowEvent* event) {
    PageView::showEvent(event);
    m_document.wantCredit(true);
    if (m_overDays)
        m_otherDays.bringUpToDate();
    refresh();
}

/// Nobody looks at it: later edits do not work it out.
void CreditPage::hideEvent(QHideEvent* event) {
    PageView::hideEvent(event);
    m_document.wantCredit(false);
}

bool CreditPage::isSweep() const {
    const auto analysis = m_document.analysis();
    return analysis && analysis->credit && analysis->credit->sweep;
}

void CreditPage::showOverDays(bool on) {
    m_overDays = on;
    m_switch->setText(on ? tr("This day") : tr("Over days"));
    m_part = 0;
    m_kind = CreditKind::None; // the day's own view is chosen anew
    if (on)
        m_otherDays.bringUpToDate();
    refresh();
}

void CreditPage::setView(CreditView view) {
    const auto analysis = m_document.analysis();
    if (!analysis || !analysis->credit || !hasView(*analysis->credit, view))
        return;
    m_view = view;
    refresh();
}

void CreditPage::stepInteraction() {
    const auto analysis = m_document.analysis();
    if (!analysis || !analysis->credit)
        return;
    m_interaction = interactionAfter(*analysis->credit, m_part, m_interaction);
    refresh();
}

void CreditPage::choose(size_t part) {
    m_part = part;
    m_interaction.reset();
    refresh();
}

void CreditPage::step(int by) {
    const int next = static_cast<int>(m_part) + by;
    if (next >= 0 && next < m_table->spokenCount())
        choose(static_cast<size_t>(next));
}

void CreditPage::refresh() {
    m_curve->setVisible(!m_overDays);
    m_use->setVisible(!m_overDays);
    m_form->setVisible(!m_overDays);
    if (m_overDays)
        refreshOverDays();
    else
        refreshDay();
}

void CreditPage::refreshOverDays() {
    const AcrossLadder& ladder = m_otherDays.answer().over.ladder;
    const bool any = m_document.isOpen() && !ladder.steps.empty();
    m_head->answer->setText(!m_document.isOpen()   ? tr("No day is open.")
                            : any                  ? qs(ladderSummary(ladder))
                            : m_otherDays.isBusy() ? tr("Looking into the logbook \u2026")
                                                   : qs(ladderSummary({})));
    m_head->setMark(any && ladder.fromBase.back().proven() ? m_look.theme().mark : m_look.theme().unresolved);
    std::vector<Statement> notes = ladderNotes(ladder);
    const auto& remarks = m_otherDays.answer().over.remarks;
    notes.insert(notes.end(), remarks.begin(), remarks.end());
    m_head->caution->setText(any ? qs(notes) : QString());
    m_head->caution->setVisible(any);
    m_views->hide();
    m_together->hide();
    m_pictures->setVisible(any);
    m_side->setVisible(any);
    if (!any)
        return;
    m_part = std::min(m_part, ladder.steps.size() - 1);
    m_stack->setCurrentWidget(m_picture);
    m_picture->setContent({ladderStairs(ladder), {}, m_part, ladderBase(ladder)});
    m_table->setVisible(true);
    m_table->setRows(ladderRows(ladder), m_part, {}, 50.0);
    m_lines->setVisible(true);
    m_lines->setText(ladderLines(ladder, m_part));
    m_row->setAlignment(m_side, Qt::Alignment());
}

void CreditPage::refreshDay() {
    const auto analysis = m_document.analysis();
    const Credit* credit = analysis ? analysis->credit.get() : nullptr;
    if (credit && credit->sets.kind != m_kind) { // another day, or other parts
        m_kind = credit->sets.kind;
        m_view = usualView(*credit);
        m_part = credit->sweep ? leastCostly(*credit->sweep) : 0;
        m_interaction.reset();
    } else if (credit && !hasView(*credit, m_view)) {
        m_view = usualView(*credit);
    }
    refreshAnswer(analysis.get());
    refreshViews(credit);
    const bool parts = credit && !credit->steps.empty();
    const bool any = parts || isSweep();
    m_pictures->setVisible(any);
    m_table->setVisible(any);
    if (parts)
        refreshParts(*analysis);
    else if (any)
        refreshSweep(*analysis);

    m_lines->setVisible(any);
    m_form->refresh(credit, parts ? std::optional(m_part) : std::nullopt);
    m_row->setAlignment(m_side, any ? Qt::Alignment() : Qt::AlignLeft | Qt::AlignTop);
    m_side->setVisible(any || (credit && (credit->sets.differing.size() > 1 || credit->sets.numbers)));
    refreshCursor();
}

void CreditPage::refreshAnswer(const DayAnalysis* analysis) {
    const Theme& t = m_look.theme();
    const Credit* credit = analysis ? analysis->credit.get() : nullptr;
    const bool waits = m_document.isOpen() && (!analysis || !analysis->settings.credit);
    m_head->answer->setText(!m_document.isOpen() ? tr("No day is open.")
                            : waits              ? creditText(nullptr)
                                                 : creditText(analysis));
    const bool proven = credit && ((credit->total && credit->total->proven()) ||
                                   std::any_of(credit->shares.begin(), credit->shares.end(),
                                               [](const CreditShare& share) { return share.amount.proven(); }) ||
                                   (credit->sweep && credit->sweep->driftTaken && !credit->sweep->anywhere));
    const QColor colour = !proven ? t.unresolved : credit->total && credit->total->log < 0.0 ? t.loss : t.gain;
    m_head->setMark(colour);
    const QStringList cautions = credit ? creditCautions(m_document.day(), *analysis) : QStringList();
    m_head->caution->setText(cautions.isEmpty() ? QString() : cautions.join(u" \u00B7 "_s) + u"."_s);
    m_head->caution->setVisible(!cautions.isEmpty());
}

void CreditPage::refreshViews(const Credit* credit) {
    m_views->setVisible(credit && credit->sets.parts.size() > 1 && !credit->steps.empty());
    m_together->setVisible(credit && interactionAfter(*credit, m_part, std::nullopt));
    m_together->defaultAction()->setCheckable(true);
    m_together->defaultAction()->setChecked(m_interaction.has_value());
    for (int view = 0; view < kCreditViews; ++view) {
        QAction* action = m_viewButtons[static_cast<size_t>(view)]->defaultAction();
        action->setCheckable(true);
        action->setChecked(static_cast<int>(m_view) == view);
        m_viewButtons[static_cast<size_t>(view)]->setVisible(credit && hasView(*credit, static_cast<CreditView>(view)));
    }
}

void CreditPage::refreshParts(const DayAnalysis& analysis) {
    const TestDay& day = m_document.day();
    const Credit& credit = *analysis.credit;
    m_part = std::min(m_part, credit.sets.parts.size() - 1);
    if (m_interaction && *m_interaction >= credit.interactions.size())
        m_interaction.reset();
    m_stack->setCurrentWidget(m_picture);
    m_picture->setContent(
        {stairsOf(credit, looked()), netOf(day, credit, looked()), m_part, baseText(credit, m_selection.units())});
    m_curve->setContent(partCurve(analysis, looked(), m_look.theme()));
    const RpmRange axis = m_curve->content().xRange.value_or(RpmRange{});
    m_table->setRows(partRows(day, analysis, looked()), m_part, axis, analysis.settings.reduce.grid_rpm);
    m_lines->setText(partLines(analysis, looked()).join(u"\n"_s));
}

void CreditPage::refreshSweep(const DayAnalysis& analysis) {
    const SettingSweep& sweep = *analysis.credit->sweep;
    m_part = std::min(m_part, sweep.levels.size() - 1);
    m_stack->setCurrentWidget(m_response);
    m_response->setContent(sweepCurve(sweep, m_part, m_look.theme()));
    m_curve->setContent(bestByRpm(sweep, m_look.theme()));
    m_table->setRows(levelRows(analysis), m_part, {}, 50.0);
    m_lines->setText(sweepLines(sweep).join(u"\n"_s));
}

void CreditPage::refreshCursor() {
    if (!isVisible())
        return;
    const auto analysis = m_document.analysis();
    m_curve->setCursor(analysis ? m_selection.cursor() : std::nullopt, {});
}

bool CreditPage::canCopy() const {
    const auto analysis = m_document.analysis();
    if (m_overDays)
        return !m_otherDays.answer().over.ladder.steps.empty();
    return analysis && analysis->credit && (!analysis->credit->steps.empty() || analysis->credit->sweep);
}

void CreditPage::copyTable() const {
    CopiedTable out{m_head->answer->text(), {tr("Part"), tr("Gain"), tr("Of the base"), tr("Besides")}, {}};
    for (const PartRow& row : m_table->rows()) {
        QStringList besides{row.share, row.price, row.mass, row.expected};
        besides.removeAll(QString());
        out.rows << QStringList{row.name, row.gain, row.percent, besides.join(u"; "_s)};
    }
    QGuiApplication::clipboard()->setMimeData(asMime(out).release());
}

/// The boards as pixels; of a sweep as a drawing of both, else of the stairs or the net.
void CreditPage::copyPicture() const {
    auto mime = std::make_unique<QMimeData>();
    mime->setImageData(m_pictures->grab().toImage());
    mime->setData(u"image/svg+xml"_s,
                  !m_overDays && isSweep() ? boardsAsSvg({m_response, m_curve}) : m_picture->drawing());
    QGuiApplication::clipboard()->setMimeData(mime.release());
}

} // namespace hillrun
