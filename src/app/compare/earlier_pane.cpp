// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/earlier_pane.h"

#include "app/board/board_svg.h"
#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QHBoxLayout>
#include <QToolButton>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

EarlierPane::EarlierPane(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays,
                         ActionRegistry& actions, QWidget* parent)
    : QWidget(parent), m_document(document), m_selection(selection), m_look(look), m_otherDays(otherDays) {
    setObjectName(u"earlierPane"_s);
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    outer->setSpacing(px(8));
    outer->addWidget(makeTools(actions));
    auto* panel = new QFrame(this);
    m_boards = panel;
    panel->setProperty("panel", true);
    auto* boards = new QVBoxLayout(panel);
    boards->setContentsMargins(1, px(4), 1, 1);
    boards->setSpacing(0);
    m_curves = new Board(m_look, u"earlierCurves"_s, panel);
    m_difference = new Board(m_look, u"earlierDifference"_s, panel);
    boards->addWidget(m_curves, 3);
    boards->addWidget(m_difference, 2);
    outer->addWidget(panel, 1);
    outer->addStretch(0); // keeps the tools on top while there are no boards
    for (Board* board : {m_curves, m_difference})
        connect(board, &Board::cursorMoved, &m_selection, [this](double rpm) { m_selection.setCursor(rpm); });
}

QWidget* EarlierPane::makeTools(ActionRegistry& actions) {
    auto* tools = new QWidget(this);
    m_choices = new QWidget(tools);
    const auto rowIn = [](QWidget* widget) {
        auto* out = new QHBoxLayout(widget);
        out->setContentsMargins(0, 0, 0, 0);
        out->setSpacing(px(8));
        return out;
    };
    auto* row = rowIn(tools);
    auto* choices = rowIn(m_choices);
    const auto box = [&](const QString& name, const QString& label) {
        auto* out = new QComboBox(m_choices);
        out->setObjectName(name);
        out->setAccessibleName(label);
        out->setToolTip(label);
        out->setMinimumWidth(px(180));
        out->setSizeAdjustPolicy(QComboBox::AdjustToContents);
        choices->addWidget(out);
        return out;
    };
    m_earlier = box(u"earlierChoice"_s, tr("Build of another day"));
    choices->addWidget(new PlainLabel(u"\u2192"_s, m_choices));
    m_today = box(u"todayChoice"_s, tr("Build of today"));
    const auto button = [&](const char* id, QWidget* parent, QHBoxLayout* into) {
        auto* out = new QToolButton(parent);
        out->setObjectName(QLatin1StringView(id) + u"_button"_s);
        out->setDefaultAction(actions.get(id));
        out->setToolButtonStyle(Qt::ToolButtonTextOnly);
        into->addWidget(out);
    };
    button("compare.remove_earlier", m_choices, choices);
    row->addWidget(m_choices);
    button("day.earlier", tools, row);
    row->addStretch(1);
    connect(m_earlier, &QComboBox::activated, this, &EarlierPane::changed);
    connect(m_today, &QComboBox::activated, this, [this] {
        if (const std::string to = m_today->currentData().toString().toStdString(); !to.empty())
            m_selection.setPair(m_selection.from() == to ? m_selection.to() : m_selection.from(), to);
    });
    return tools;
}

const BuildOfDay* EarlierPane::shown() const {
    const auto& earlier = m_document.day().plan.earlier;
    const int at = m_earlier->currentIndex();
    return at >= 0 && static_cast<size_t>(at) < earlier.size() ? &earlier[static_cast<size_t>(at)] : nullptr;
}

const EarlierPair* EarlierPane::pair() const {
    const BuildOfDay* earlier = shown();
    return earlier ? m_otherDays.answer().over.find(*earlier, m_selection.to()) : nullptr;
}

void EarlierPane::refreshChoices() {
    const auto& earlier = m_document.day().plan.earlier;
    const int before = m_earlier->currentIndex();
    const int count = m_earlier->count();
    m_earlier->clear();
    for (const BuildOfDay& one : earlier)
        m_earlier->addItem(qs(buildPhrase(one)));
    if (!earlier.empty()) // one that was just added is what is wanted
        m_earlier->setCurrentIndex(m_earlier->count() > count || before < 0 ? m_earlier->count() - 1
                                                                            : std::min(before, m_earlier->count() - 1));
    m_today->clear();
    for (const Build& build : m_document.day().builds)
        m_today->addItem(qs(build.name.empty() ? build.id : build.id + " " + build.name), qs(build.id));
    m_today->setCurrentIndex(m_today->findData(qs(m_selection.to())));
    m_choices->setVisible(!earlier.empty());
}

void EarlierPane::refresh() {
    refreshChoices();
    const auto analysis = m_document.analysis();
    const BuildOfDay* earlier = shown();
    m_boards->setVisible(analysis && earlier);       // the answer says what to do
    const bool alongSpeed = pair() && pair()->curve; // of the same build, or of one off paper, there is none
    m_difference->setVisible(alongSpeed);
    if (!analysis || !earlier) {
        m_curves->setContent({});
        m_difference->setContent({});
        return;
    }
    const CompareView view{{}, m_selection.to(), m_selection.quantity(), CurveSchool::Mean, m_selection.units()};
    const OverDays& over = m_otherDays.answer().over;
    BoardContent curves = earlierCurves(m_document.day(), *analysis, over, *earlier, view, m_look.theme());
    BoardContent difference = earlierDifference(pair(), m_look.theme());
    difference.xRange = curves.xRange;
    curves.xLabels = !alongSpeed; // else the board below says it
    curves.xTitle = difference.xTitle;
    m_curves->setContent(std::move(curves));
    m_difference->setContent(std::move(difference));
    refreshCursor();
}

void EarlierPane::refreshCursor() {
    const auto rpm = m_selection.cursor();
    const EarlierPair* shownPair = pair();
    m_curves->setCursor(shownPair ? rpm : std::nullopt, {});
    m_difference->setCursor(shownPair ? rpm : std::nullopt,
                            shownPair && rpm ? earlierCursor(*shownPair, *rpm) : QString());
}

QString EarlierPane::answer() const {
    if (m_document.day().plan.earlier.empty())
        return tr("No build of another day stands beside today's. Choose one in the logbook.");
    if (const EarlierPair* one = pair())
        return qs(acrossSummary(one->answer));
    if (m_otherDays.isBusy() || !m_document.analysis())
        return tr("Looking into the logbook \u2026");
    const OverDays& over = m_otherDays.answer().over;
    return over.whyNot.empty() ? tr("These two are the same build, or one has no pulls in use.")
                               : qs(over.whyNot.front());
}

QString EarlierPane::notes() const {
    const EarlierPair* one = pair();
    if (!one)
        return {};
    std::vector<Statement> out = acrossNotes(one->answer);
    const auto& remarks = m_otherDays.answer().over.remarks;
    out.insert(out.end(), remarks.begin(), remarks.end());
    return qs(out);
}

bool EarlierPane::proven() const { return pair() && pair()->answer.proven(); }

void EarlierPane::removeShown() {
    if (const BuildOfDay* earlier = shown())
        m_otherDays.removeEarlier(BuildOfDay(*earlier));
}

CopiedTable EarlierPane::table() const {
    CopiedTable out{answer(), {tr("rpm"), tr("Difference, %"), tr("from, %"), tr("to, %")}, {}};
    const EarlierPair* one = pair();
    if (!one || !one->curve)
        return out;
    const BoardContent content = earlierDifference(one, m_look.theme());
    for (size_t i = 0; i < content.series.front().x.size(); ++i)
        out.rows << QStringList{numberText(content.series.front().x[i], 0), numberText(content.series.front().y[i], 2),
                                numberText(content.bands.front().low[i], 2),
                                numberText(content.bands.front().high[i], 2)};
    return out;
}

QByteArray EarlierPane::drawing() const { return boardsAsSvg({m_curves, m_difference}); }

} // namespace hillrun
