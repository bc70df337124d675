// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/compare_page.h"

#include "app/board/board_svg.h"
#include "app/compare/quantity_content.h"
#include "app/frame/preferences.h"
#include "app/look/copied_table.h"
#include "app/look/elided_label.h"
#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/plan/named_use.h"

#include <QClipboard>
#include <QGuiApplication>
#include <QHeaderView>
#include <QKeyEvent>
#include <QRegularExpression>
#include <QScrollArea>
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

} // namespace

ComparePage::ComparePage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions,
                         QWidget* parent)
    : PageView(parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"comparePage"_s);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(px(16), px(12), px(16), px(12));
    layout->setSpacing(px(8));
    layout->addWidget(makeHead(actions));
    m_split = new QSplitter(Qt::Horizontal, this);
    m_split->setObjectName(u"compareSplit"_s);
    m_split->addWidget(makeBoards(actions));
    m_split->addWidget(makeSide(actions));
    m_split->setStretchFactor(0, 1);
    m_split->setStretchFactor(1, 0);
    m_split->setSizes({px(772), px(380)});
    m_split->setChildrenCollapsible(false);
    m_field = new FieldPane(document, selection, look, actions, this);
    m_views = new QStackedWidget(this);
    m_views->addWidget(m_split);
    m_views->addWidget(m_field);
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
    auto* other = new QToolButton(head);
    other->setObjectName(u"fieldButton"_s);
    other->setDefaultAction(m_other);
    other->setToolButtonStyle(Qt::ToolButtonTextOnly);
    head->row->addWidget(other, 0, Qt::AlignTop);
    return head;
}

QWidget* ComparePage::makeBoards(ActionRegistry& actions) {
    auto* frame = new QFrame(this);
    m_boards = frame;
    frame->setProperty("panel", true);
    auto* column = new QVBoxLayout(frame);
    column->setContentsMargins(1, px(4), 1, 1);
    column->setSpacing(0);
    m_tools = new QWidget(frame);
    auto* tools = new QHBoxLayout(m_tools);
    tools->setContentsMargins(px(8), 2, px(8), 0);
    m_school = new QComboBox(frame);
    m_school->setObjectName(u"schoolChoice"_s);
    m_school->setAccessibleName(tr("Show as"));
    m_school->setToolTip(tr("Which curve stands for a build. The difference always comes from all its pulls."));
    m_school->setProperty("flat", true);
    m_school->addItems(schoolChoices());
    m_quantity = new CurveChoice(m_document, m_selection, u"quantityChoice"_s, frame);
    tools->addWidget(m_school);
    tools->addWidget(m_quantity);
    auto* use = new QToolButton(m_tools);
    use->setObjectName(u"pairUse"_s);
    use->setDefaultAction(actions.get("day.use"));
    use->setProperty("flat", true);
    tools->addWidget(use);
    m_overPower = new QToolButton(m_tools);
    m_overPower->setObjectName(u"overPower"_s);
    m_overPower->setDefaultAction(actions.get("compare.over_power"));
    m_overPower->setProperty("switch", true);
    tools->addWidget(m_overPower);
    connect(actions.get("compare.over_power"), &QAction::toggled, this, &ComparePage::refresh);
    auto* hint = new ElidedLabel(frame);
    hint->setFullText(tr("drag across the curves to add a band"));
    hint->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    hint->setProperty("quiet", true);
    hint->setProperty("small", true);
    tools->addWidget(hint, 1);
    column->addWidget(m_tools);
    m_curves = new Board(m_look, u"curvesBoard"_s, frame);
    m_curves->setStretchable(true);
    m_ribbon = new GainRibbon(m_look, frame);
    m_difference = new Board(m_look, u"differenceBoard"_s, frame);
    m_difference->setStretchable(true);
    column->addWidget(m_curves, 5);
    column->addWidget(m_ribbon);
    column->addWidget(m_difference, 4);
    return frame;
}

QWidget* ComparePage::makeSide(ActionRegistry& actions) {
    auto* inside = new QWidget(this);
    inside->setObjectName(u"compareSide"_s);
    auto* column = new QVBoxLayout(inside);
    column->setContentsMargins(px(8), 0, px(4), 0);
    column->setSpacing(px(8));
    m_fromCard = new BuildCard(m_look, tr("From: the build that is compared against"), u"fromCard"_s, inside);
    m_toCard = new BuildCard(m_look, tr("To: the build that is looked at"), u"toCard"_s, inside);
    auto* swap = new QToolButton(inside);
    m_swap = swap;
    swap->setObjectName(u"swapButton"_s);
    QAction* action = actions.get("compare.swap");
    swap->setDefaultAction(action);
    const auto draw = [this, action] { action->setIcon(m_look.icon(u"swap"_s, m_look.theme().ink)); };
    connect(&m_look, &Look::changed, swap, draw);
    draw();
    swap->setToolButtonStyle(Qt::ToolButtonIconOnly);
    swap->setIconSize({px(20), px(20)});
    swap->setAccessibleName(tr("Swap the two builds"));
    auto* cards = new QVBoxLayout;
    cards->setSpacing(px(4));
    cards->addWidget(m_fromCard);
    cards->addWidget(m_toCard);
    auto* pair = new QHBoxLayout;
    pair->setSpacing(px(6));
    pair->addLayout(cards, 1);
    pair->addWidget(swap, 0, Qt::AlignVCenter);
    column->addLayout(pair);
    m_claims = new PairClaims(m_document, m_selection, inside);
    column->addWidget(m_claims);
    m_changed = selectableLabel(u"changedText"_s, inside);
    m_changed->setProperty("title", true);
    m_like = selectableLabel(u"likeText"_s, inside);
    m_like->setProperty("quiet", true);
    column->addWidget(m_changed);
    column->addWidget(m_like);
    m_bands = new BandModel(m_look, this);
    m_bandTable = new QTableView(inside);
    m_bandTable->setObjectName(u"bandTable"_s);
    m_bandTable->setAccessibleName(tr("Average differences by band"));
    m_bandTable->setModel(m_bands);
    m_bandTable->verticalHeader()->hide();
    m_bandTable->verticalHeader()->setDefaultSectionSize(px(26));
    m_bandTable->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    m_bandTable->horizontalHeader()->setStretchLastSection(true);
    m_bandTable->horizontalHeader()->setHighlightSections(false);
    m_bandTable->setShowGrid(false);
    m_bandTable->setSelectionBehavior(QAbstractItemView::SelectRows);
    m_bandTable->setTabKeyNavigation(false);
    m_bandTable->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_bandTable->horizontalHeader()->setMinimumSectionSize(px(40));
    column->addWidget(m_bandTable);
    m_peaks = selectableLabel(u"peakText"_s, inside);
    column->addWidget(m_peaks);
    m_leftOut = selectableLabel(u"leftOutText"_s, inside);
    column->addWidget(m_leftOut);
    column->addStretch(1);
    auto* scroll = new QScrollArea(this);
    scroll->setWidget(inside);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setMinimumWidth(px(340));
    return scroll;
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
    for (Board* board : {m_curves, m_difference}) {
        connect(board, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
        connect(board, &Board::stepped, this, &ComparePage::stepTo);
        connect(board, &Board::stretchDragged, this, [this](double low, double high) {
            addBand({std::round(low / 50.0) * 50.0, std::round(high / 50.0) * 50.0});
        });
    }
    connect(m_school, &QComboBox::activated, &m_selection,
            [this](int index) { m_selection.setSchool(static_cast<CurveSchool>(index)); });
    connect(m_fromCard, &BuildCard::buildChosen, &m_selection, [this](const QString& build) {
        const std::string id = build.toStdString();
        m_selection.setPair(id, id == m_selection.to() ? m_selection.from() : m_selection.to());
    });
    connect(m_toCard, &BuildCard::buildChosen, &m_selection, [this](const QString& build) {
        const std::string id = build.toStdString();
        m_selection.setPair(id == m_selection.from() ? m_selection.to() : m_selection.from(), id);
    });
}

CompareView ComparePage::view() const {
    return {m_selection.from(), m_selection.to(), m_selection.quantity(), m_selection.school(), m_selection.units()};
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
    if (fieldShown())
        refreshField();
    else
        refreshPair();
}

const QuantityAnswer* ComparePage::other() const {
    const auto analysis = m_document.analysis();
    return analysis ? curveLookedAt(*analysis, m_selection.curve()) : nullptr;
}

void ComparePage::refreshPair() {
    const auto analysis = m_document.analysis();
    const CompareView now = view();
    const Comparison* comparison = analysis ? analysis->find(now.from, now.to) : nullptr;
    m_quantity->refresh();
    refreshAnswer(analysis.get(), comparison);
    refreshSide(analysis.get(), comparison);
    const Theme& theme = m_look.theme();
    m_school->setEnabled(!other());
    m_overPower->setVisible(other() != nullptr);
    if (const QuantityAnswer* answer = other()) {
        const QuantityPair* pair = answer->find(now.from, now.to);
        const auto axis = boardRange(*analysis, now);
        BoardContent below = m_overPower->isChecked() ? curvesContent(m_document.day(), *analysis, now, theme)
                                                      : quantityDifference(*answer, now, theme);
        below.xTitle = u"rpm"_s;
        for (auto [board, content] : {std::pair(m_curves, quantityCurves(m_document.day(), *answer, now, theme)),
                                      std::pair(m_difference, std::move(below))}) {
            content.xRange = axis;
            board->setContent(std::move(content));
        }
        m_ribbon->setRegions(pair ? pair->regions : std::vector<Region>{}, axis.value_or(RpmRange{}),
                             analysis->settings.reduce.grid_rpm, !answer->kind.isRatio);
    } else if (analysis) {
        m_curves->setContent(curvesContent(m_document.day(), *analysis, now, theme));
        m_difference->setContent(differenceContent(*analysis, now, theme));
        const RpmRange axis = boardRange(*analysis, now).value_or(RpmRange{});
        m_ribbon->setRegions(comparison ? comparison->regions : std::vector<Region>{}, axis,
                             analysis->settings.reduce.grid_rpm);
    } else {
        m_curves->setContent({});
        m_difference->setContent({});
        m_ribbon->setRegions({}, {}, 50.0);
    }
    refreshCursor();
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
    m_offers->show(analysis, comparison);
    m_offers->setVisible(true);
    QStringList cautions = doubtsOf(analysis);
    const std::string settle =
        comparison ? currentVoice().in(m_selection.units()).say(settleStatement(*comparison)) : std::string();
    m_settle->setText(qs(settle));
    m_settle->setVisible(!settle.empty() && !curve);
    if (comparison)
        cautions << qs(basisPhrase(*analysis));
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
            cautions << qs(note).remove(QRegularExpression(u"\\.$"_s));
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

void ComparePage::refreshSide(const DayAnalysis* analysis, const Comparison* comparison) {
    const CompareView now = view();
    m_fromCard->show(m_document.day(), analysis, now.from, now.units);
    m_toCard->show(m_document.day(), analysis, now.to, now.units);
    for (QWidget* part : {static_cast<QWidget*>(m_fromCard), static_cast<QWidget*>(m_toCard), m_swap, m_tools})
        part->setVisible(m_document.isOpen());
    m_school->setCurrentIndex(static_cast<int>(now.school));
    m_claims->refresh(comparison != nullptr);
    m_changed->setText(comparison ? changedText(*comparison) : QString());
    bool differs = false;
    m_like->setText(comparison ? likeText(*comparison, &differs) : QString());
    setWarning(m_like, differs);
    const QuantityPair* curve = other() ? other()->find(now.from, now.to) : nullptr;
    m_bands->setRows(curve        ? quantityRows(*other(), *curve)
                     : comparison ? bandRows(*comparison, now)
                                  : std::vector<BandRow>{});
    m_bandTable->setVisible(comparison != nullptr);
    m_bandTable->setFixedHeight(px(34) + px(26) * std::clamp(m_bands->rowCount(), 1, 9));
    m_peaks->setText(comparison && !curve ? peakLines(*comparison, now).join(u'\n') : QString());
    bool warns = false;
    m_leftOut->setText(analysis && !analysis->pulls.empty() ? leftOutText(*analysis, &warns) : QString());
    setWarning(m_leftOut, warns);
}

void ComparePage::refreshCursor() {
    if (fieldShown()) {
        m_field->refreshCursor();
        return;
    }
    const auto analysis = m_document.analysis();
    const auto rpm = m_selection.cursor();
    if (!analysis || !rpm || analysis->builds.empty()) {
        m_curves->setCursor(std::nullopt, {});
        m_difference->setCursor(std::nullopt, {});
        return;
    }
    m_curves->setCursor(rpm, other() ? quantityCursor(*other(), view(), *rpm) : cursorText(*analysis, view(), *rpm));
    m_difference->setCursor(rpm, {});
}

void ComparePage::showField(bool on) {
    m_views->setCurrentIndex(on ? 1 : 0);
    m_other->setText(on ? tr("Pair") : tr("Field"));
    refresh();
}

void ComparePage::toggleSmallBoards() {
    m_field->setSmallBoards(!fieldShown() || !m_field->smallBoards());
    showField(true);
}

void ComparePage::recall(const SettingsStore& settings) {
    m_split->restoreState(settings.get(settings::kCompareSplit));
    m_field->setSmallBoards(settings.get(settings::kSmallBoards));
}

void ComparePage::remember(SettingsStore& settings) const {
    settings.set(settings::kCompareSplit, m_split->saveState());
    settings.set(settings::kSmallBoards, m_field->smallBoards());
}

void ComparePage::stepTo(int by) {
    const auto& builds = m_document.day().builds;
    const int count = static_cast<int>(builds.size());
    for (int i = 0; i < count; ++i) {
        if (builds[static_cast<size_t>(i)].id != m_selection.to())
            continue;
        for (int next = i + by; next >= 0 && next < count; next += by) {
            if (builds[static_cast<size_t>(next)].id == m_selection.from())
                continue;
            m_selection.setPair(m_selection.from(), builds[static_cast<size_t>(next)].id);
            return;
        }
    }
}

void ComparePage::addBand(const RpmRange& band) {
    if (!(band.high > band.low))
        return;
    const auto& bands = m_document.day().bands;
    if (std::find(bands.begin(), bands.end(), band) != bands.end())
        return;
    m_document.edit(tr("Add the band %1").arg(rangeText(band)), [&](TestDay& day) { day.bands.push_back(band); });
}

void ComparePage::removeSelectedBand() {
    const BandRow* row = m_bands->rowAt(m_bandTable->currentIndex().row());
    const auto analysis = m_document.analysis();
    if (!row || row->asked < 0 || !analysis || row->asked >= static_cast<int>(analysis->settings.bands.size()))
        return;
    const RpmRange band = analysis->settings.bands[static_cast<size_t>(row->asked)];
    m_document.edit(tr("Remove the band %1").arg(rangeText(band)), [&](TestDay& day) {
        std::erase(day.bands, band);
        if (const auto use = usedSpeeds(day); use && use->range_rpm == band)
            nameUse(day, {});
    });
}

bool ComparePage::canCopy() const { return m_document.analysis() && m_document.day().builds.size() >= 2; }

/// The answer and the table of bands.
void ComparePage::copyTable() const {
    if (fieldShown()) {
        QGuiApplication::clipboard()->setMimeData(asMime(m_field->table()).release());
        return;
    }
    CopiedTable table{m_head->answer->text(), {}, {}};
    for (int column = 0; column < m_bands->columnCount(); ++column)
        table.head << m_bands->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString();
    for (int row = 0; row < m_bands->rowCount(); ++row) {
        QStringList cells;
        for (int column = 0; column < m_bands->columnCount(); ++column)
            cells << m_bands->index(row, column).data().toString();
        table.rows << cells;
    }
    QGuiApplication::clipboard()->setMimeData(asMime(table).release());
}

/// The boards as pixels and as a drawing.
void ComparePage::copyPicture() const {
    auto mime = std::make_unique<QMimeData>();
    mime->setImageData((fieldShown() ? m_field->picture() : m_boards)->grab().toImage());
    mime->setData(u"image/svg+xml"_s, fieldShown() ? m_field->drawing() : boardsAsSvg({m_curves, m_difference}));
    QGuiApplication::clipboard()->setMimeData(mime.release());
}

} // namespace hillrun
