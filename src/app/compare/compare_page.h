// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/earlier_pane.h"
#include "app/compare/field_pane.h"
#include "app/compare/pair_offers.h"
#include "app/compare/pair_pane.h"
#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/answer_head.h"
#include "app/frame/page.h"
#include "core/compare/quantity.h"

#include <QToolButton>

namespace hillrun {

/// The answer: one sentence, two builds, their curves and difference on one axis, bands, peaks, what was left out.
class ComparePage : public PageView {
    Q_OBJECT
public:
    ComparePage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays, ActionRegistry& actions,
                QWidget* parent = nullptr);
    /// All builds held against each other, in place of the pair.
    void showField(bool on);
    [[nodiscard]] bool fieldShown() const { return m_views->currentIndex() == 1; }
    /// A build of another day held against one of today's, in place of the pair.
    void showEarlier(bool on);
    [[nodiscard]] bool earlierShown() const { return m_views->currentIndex() == 2; }
    /// The field's small boards, or back to the one for all; from the pair: the field with small boards.
    void toggleSmallBoards();
    [[nodiscard]] PairPane& pair() { return *m_pair; }
    [[nodiscard]] FieldPane& field() { return *m_field; }
    [[nodiscard]] EarlierPane& earlier() { return *m_earlier; }
    [[nodiscard]] bool canCopy() const override;
    void copyTable() const override;
    void copyPicture() const override;
    void recall(const SettingsStore& settings) override;
    void remember(SettingsStore& settings) const override;

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QWidget* makeHead(ActionRegistry& actions);
    void connectParts();
    void refresh();
    void refreshPair();
    void refreshField();
    void refreshEarlier();
    void showView(int view);
    void refreshAnswer(const DayAnalysis* analysis, const Comparison* comparison);
    void showCautions(const QStringList& cautions);
    [[nodiscard]] QString whyNoAnswer(const DayAnalysis* analysis) const;
    /// The other curve that is looked at; null for power and torque.
    [[nodiscard]] const QuantityAnswer* other() const;
    void refreshCursor();
    /// Chooses a pair that makes sense.
    void settlePair();

    DayDocument& m_document;
    Selection& m_selection;
    OtherDays& m_days;
    Look& m_look;
    AnswerHead* m_head = nullptr;
    PairOffers* m_offers = nullptr;
    QLabel* m_settle = nullptr;        ///< what would settle what is open
    QStackedWidget* m_views = nullptr; ///< the pair, the field, other days
    PairPane* m_pair = nullptr;
    FieldPane* m_field = nullptr;
    EarlierPane* m_earlier = nullptr;
    QAction* m_other = nullptr;     ///< shows the field, or the pair again
    QAction* m_otherDays = nullptr; ///< shows other days, or the pair again
};

} // namespace hillrun
