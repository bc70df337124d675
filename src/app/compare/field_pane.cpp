// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/field_pane.h"

#include "app/board/board_svg.h"
#include "app/compare/quantity_content.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/plan/named_use.h"

#include <cmath>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

FieldPane::FieldPane(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look) {
    setObjectName(u"fieldPane"_s);
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    auto* panel = new QFrame(this);
    m_panel = panel;
    panel->setProperty("panel", true);
    auto* column = new QVBoxLayout(panel);
    column->setContentsMargins(1, px(4), 1, 1);
    column->setSpacing(0);
    column->addWidget(makeTools(actions));
    m_boards = new QStackedWidget(panel);
    m_boards->addWidget(makeOverlaid());
    m_small = new QWidget(m_boards);
    m_smallGrid = new QGridLayout(m_small);
    m_smallGrid->setContentsMargins(px(4), 0, px(4), 0);
    m_smallGrid->setSpacing(0);
    m_boards->addWidget(m_small);
    column->addWidget(m_boards, 1);
    outer->addWidget(panel);
    // The base can be chosen here too, which is no pair; whoever takes a pair elsewhere chooses its other build.
    connect(&m_selection, &Selection::pairChanged, this, [this] { m_chosen = m_selection.to(); });
}

QWidget* FieldPane::makeTools(ActionRegistry& actions) {
    auto* tools = new QWidget(this);
    auto* row = new QHBoxLayout(tools);
    row->setContentsMargins(px(8), 2, px(8), 0);
    m_quantity = new CurveChoice(m_document, m_selection, u"fieldQuantity"_s, tools);
    row->addWidget(m_quantity);
    const auto add = [&](const char* id) {
        auto* button = new QToolButton(tools);
        button->setObjectName(QString::fromLatin1(id));
        button->setDefaultAction(actions.get(id));
        button->setToolButtonStyle(Qt::ToolButtonTextOnly);
        button->setProperty("flat", true);
        row->addWidget(button);
        return button;
    };
    add("compare.small_boards");
    add("day.use");
    m_whole = add("compare.whole_use");
    m_hint = new ElidedLabel(tools);
    m_hint->setFullText(tr("drag across the curves: what the builds are wanted for"));
    m_hint->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    m_hint->setProperty("quiet", true);
    m_hint->setProperty("small", true);
    row->addWidget(m_hint, 1);
    row->addStretch(); // where the hint is hidden
    return tools;
}

QWidget* FieldPane::makeOverlaid() {
    auto* overlaid = new QWidget(this);
    auto* grid = new QGridLayout(overlaid);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(0);
    m_curves = new Board(m_look, u"fieldBoard"_s, overlaid);
    m_curves->setStretchable(true);
    m_ladder = new FieldLadder(m_look, overlaid);
    auto* side = new QWidget(overlaid);
    side->setFixedWidth(FieldLadder::figureWidth());
    auto* words = new QVBoxLayout(side);
    words->setContentsMargins(0, px(26), px(8), 0);
    words->setSpacing(px(8));
    m_name = new PlainLabel(side);
    m_name->setObjectName(u"fieldName"_s);
    m_name->setProperty("title", true);
    m_lines = new PlainLabel(side);
    m_lines->setObjectName(u"fieldLines"_s);
    for (QLabel* label : {m_name, m_lines}) {
        label->setWordWrap(true);
        label->setTextInteractionFlags(Qt::TextSelectableByMouse);
        words->addWidget(label);
    }
    words->addStretch(1);
    grid->addWidget(m_curves, 0, 0);
    grid->addWidget(side, 0, 1);
    grid->addWidget(m_ladder, 1, 0, 1, 2);
    grid->setRowStretch(0, 1);
    grid->setColumnStretch(0, 1);
    connect(m_curves, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
    connect(m_curves, &Board::stepped, this, &FieldPane::step);
    connect(m_curves, &Board::stretchDragged, this, [this](double low, double high) {
        nameUse(RpmRange{std::round(low / 50.0) * 50.0, std::round(high / 50.0) * 50.0});
    });
    connect(m_ladder, &FieldLadder::chosen, this, &FieldPane::choose);
    connect(m_ladder, &FieldLadder::opened, this, &FieldPane::pairWanted);
    return overlaid;
}

CompareView FieldPane::view() const {
    const auto analysis = m_document.analysis();
    return {analysis && analysis->field ? analysis->field->base : m_selection.from(), m_chosen, m_selection.quantity(),
            CurveSchool::Mean, m_selection.units()};
}

void FieldPane::setSmallBoards(bool on) {
    m_boards->setCurrentIndex(on ? 1 : 0);
    m_hint->setVisible(!on);
    if (isVisible())
        refresh();
}

void FieldPane::nameUse(const std::optional<RpmRange>& use) {
    if (use && !(use->high > use->low))
        return;
    m_document.edit(use ? tr("Take %1 as the use").arg(rangeText(*use)) : tr("Take the whole range as the use"),
                    [&](TestDay& day) { hillrun::nameUse(day, use ? WantedUse(*use) : WantedUse()); });
}

void FieldPane::choose(const std::string& build) {
    m_chosen = build;
    const auto analysis = m_document.analysis();
    if (analysis && analysis->field && build != analysis->field->base)
        m_selection.setPair(analysis->field->base, build);
    refresh();
}

void FieldPane::step(int by) {
    const auto analysis = m_document.analysis();
    if (!analysis)
        return;
    const auto all = rows(*analysis);
    for (int i = 0; i < static_cast<int>(all.size()); ++i)
        if (const int next = i + by;
            all[static_cast<size_t>(i)].build == m_chosen && next >= 0 && next < static_cast<int>(all.size()))
            return choose(all[static_cast<size_t>(next)].build);
}

std::vector<FieldRow> FieldPane::rows(const DayAnalysis& analysis) const {
    const QuantityAnswer* other = curveLookedAt(analysis, m_selection.curve());
    return other ? quantityFieldRows(m_document.day(), analysis, *other) : fieldRows(m_document.day(), analysis);
}

void FieldPane::refresh() {
    const auto analysis = m_document.analysis();
    const TestDay& day = m_document.day();
    if (!findBuild(day, m_chosen))
        m_chosen = m_selection.to();
    m_quantity->refresh();
    m_whole->setVisible(day.plan.use != WantedUse{});
    if (!analysis) {
        m_curves->setContent({});
        m_ladder->setContent({}, {});
        m_name->clear();
        m_lines->clear();
        return;
    }
    const QuantityAnswer* other = curveLookedAt(*analysis, m_selection.curve());
    m_curves->setContent(other ? quantityField(day, *analysis, *other, view(), m_look.theme())
                               : fieldCurves(day, *analysis, view(), m_look.theme()));
    m_ladder->setContent({rows(*analysis), other ? std::vector<LeadPart>{} : leadParts(day, *analysis),
                          fieldRange(*analysis).value_or(RpmRange{}), analysis->settings.reduce.grid_rpm,
                          other && !other->kind.isRatio},
                         m_chosen);
    m_ladder->setVisible(other || analysis->field.has_value());
    refreshSide(*analysis);
    if (smallBoards())
        refreshSmall(*analysis);
    refreshCursor();
}

void FieldPane::refreshSide(const DayAnalysis& analysis) {
    const Build* build = findBuild(m_document.day(), m_chosen);
    m_name->setText(build ? u"%1   %2"_s.arg(qs(build->id), qs(build->name)) : QString());
    m_lines->setText(curveLookedAt(analysis, m_selection.curve())
                         ? QString()
                         : fieldLines(m_document.day(), analysis, m_chosen).join(u"\n"_s));
}

/// As near to a square as they go.
void FieldPane::refreshSmall(const DayAnalysis& analysis) {
    const size_t count = analysis.builds.size();
    if (m_smallBoards.size() != count) {
        for (Board* board : m_smallBoards)
            delete board;
        m_smallBoards.clear();
        const int columns = std::max(1, static_cast<int>(std::ceil(std::sqrt(static_cast<double>(count)))));
        for (size_t i = 0; i < count; ++i) {
            auto* board = new Board(m_look, u"smallBoard%1"_s.arg(i), m_small);
            board->setCompact();
            connect(board, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
            m_smallGrid->addWidget(board, static_cast<int>(i) / columns, static_cast<int>(i) % columns);
            m_smallBoards.push_back(board);
        }
    }
    const std::vector<BoardContent> contents = smallCurves(m_document.day(), analysis, view(), m_look.theme());
    for (size_t i = 0; i < count; ++i)
        m_smallBoards[i]->setContent(contents[i]);
}

void FieldPane::refreshCursor() {
    const auto analysis = m_document.analysis();
    const auto rpm = m_selection.cursor();
    CompareView now = view();
    if (now.to == now.from)
        now.to.clear(); // once is enough
    const QuantityAnswer* other = analysis ? curveLookedAt(*analysis, m_selection.curve()) : nullptr;
    const QString text = !analysis || !rpm ? QString()
                         : other           ? quantityCursor(*other, now, *rpm)
                                           : cursorText(*analysis, now, *rpm);
    m_curves->setCursor(analysis ? rpm : std::nullopt, text);
    for (Board* board : m_smallBoards)
        board->setCursor(analysis ? rpm : std::nullopt, {});
}

CopiedTable FieldPane::table() const {
    CopiedTable out{{}, {tr("Build"), tr("Over the base"), tr("May be best")}, {}};
    if (const auto analysis = m_document.analysis()) {
        const QuantityAnswer* other = curveLookedAt(*analysis, m_selection.curve());
        out.title = other ? quantityFieldText(*analysis, *other)
                          : fieldText(*analysis) + u" "_s + useText(m_document.day(), *analysis);
        for (const FieldRow& row : rows(*analysis))
            out.rows << QStringList{qs(row.build), row.gain, row.verdict};
    }
    return out;
}

QByteArray FieldPane::drawing() const {
    return smallBoards() ? boardsAsSvg({m_smallBoards.begin(), m_smallBoards.end()}) : boardsAsSvg({m_curves});
}

} // namespace hillrun
