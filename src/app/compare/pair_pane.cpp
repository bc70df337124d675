// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/pair_pane.h"

#include "app/board/board_svg.h"
#include "app/compare/quantity_content.h"
#include "app/frame/answer_head.h"
#include "app/frame/preferences.h"
#include "app/look/elided_label.h"
#include "app/look/fields.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/named_use.h"

#include <QHeaderView>
#include <QScrollArea>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

PairPane::PairPane(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QWidget* parent)
    : QSplitter(Qt::Horizontal, parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"compareSplit"_s);
    addWidget(makeBoards(actions));
    addWidget(makeSide(actions));
    setStretchFactor(0, 1);
    setStretchFactor(1, 0);
    setSizes({px(772), px(380)});
    setChildrenCollapsible(false);
    connectParts();
}

QWidget* PairPane::makeBoards(ActionRegistry& actions) {
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
    m_school->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    m_school->setMinimumContentsLength(14);
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
    connect(actions.get("compare.over_power"), &QAction::toggled, this, &PairPane::refresh);
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

QWidget* PairPane::makeSide(ActionRegistry& actions) {
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

void PairPane::connectParts() {
    for (Board* board : {m_curves, m_difference}) {
        connect(board, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
        connect(board, &Board::stepped, this, &PairPane::stepTo);
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

CompareView PairPane::view() const {
    return {m_selection.from(), m_selection.to(), m_selection.quantity(), m_selection.school(), m_selection.units()};
}

void PairPane::refresh() {
    const auto analysis = m_document.analysis();
    const Comparison* comparison = analysis ? analysis->find(m_selection.from(), m_selection.to()) : nullptr;
    m_quantity->refresh();
    refreshSide(analysis.get(), comparison);
    refreshBoards(analysis.get(), comparison);
    refreshCursor();
}

const QuantityAnswer* PairPane::other() const {
    const auto analysis = m_document.analysis();
    return analysis ? curveLookedAt(*analysis, m_selection.curve()) : nullptr;
}

void PairPane::refreshBoards(const DayAnalysis* analysis, const Comparison* comparison) {
    const CompareView now = view();
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
}

void PairPane::refreshSide(const DayAnalysis* analysis, const Comparison* comparison) {
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

void PairPane::refreshCursor() {
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

void PairPane::stepTo(int by) {
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

void PairPane::addBand(const RpmRange& band) {
    if (!(band.high > band.low))
        return;
    const auto& bands = m_document.day().bands;
    if (std::find(bands.begin(), bands.end(), band) != bands.end())
        return;
    m_document.edit(tr("Add the band %1").arg(rangeText(band)), [&](TestDay& day) { day.bands.push_back(band); });
}

void PairPane::removeSelectedBand() {
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

CopiedTable PairPane::table(const QString& title) const {
    CopiedTable out{title, {}, {}};
    for (int column = 0; column < m_bands->columnCount(); ++column)
        out.head << m_bands->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString();
    for (int row = 0; row < m_bands->rowCount(); ++row) {
        QStringList cells;
        for (int column = 0; column < m_bands->columnCount(); ++column)
            cells << m_bands->index(row, column).data().toString();
        out.rows << cells;
    }
    return out;
}

QByteArray PairPane::drawing() const { return boardsAsSvg({m_curves, m_difference}); }

} // namespace hillrun
