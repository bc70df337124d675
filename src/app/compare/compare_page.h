// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/gain_ribbon.h"
#include "app/compare/band_model.h"
#include "app/compare/build_card.h"
#include "app/compare/curve_choice.h"
#include "app/compare/field_pane.h"
#include "app/compare/pair_claims.h"
#include "app/compare/pair_offers.h"
#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/answer_head.h"
#include "app/frame/page.h"
#include "core/compare/quantity.h"

#include <QPushButton>
#include <QSplitter>
#include <QTableView>
#include <QToolButton>

namespace hillrun {

/// The answer: one sentence, two builds, their curves and difference on one axis, bands, peaks, what was left out.
class ComparePage : public PageView {
    Q_OBJECT
public:
    ComparePage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions,
                QWidget* parent = nullptr);
    [[nodiscard]] CompareView view() const;
    void stepTo(int by); ///< the next or previous build to look at
    void addBand(const RpmRange& band);
    void removeSelectedBand();
    /// All builds held against each other, in place of the pair.
    void showField(bool on);
    [[nodiscard]] bool fieldShown() const { return m_views->currentIndex() == 1; }
    /// The field's small boards, or back to the one for all; from the pair: the field with small boards.
    void toggleSmallBoards();
    [[nodiscard]] FieldPane& field() { return *m_field; }
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
    QWidget* makeBoards(ActionRegistry& actions);
    QWidget* makeSide(ActionRegistry& actions);
    void connectParts();
    void refresh();
    void refreshPair();
    void refreshField();
    void refreshAnswer(const DayAnalysis* analysis, const Comparison* comparison);
    void showCautions(const QStringList& cautions);
    [[nodiscard]] QString whyNoAnswer(const DayAnalysis* analysis) const;
    void refreshSide(const DayAnalysis* analysis, const Comparison* comparison);
    /// The other curve that is looked at; null for power and torque.
    [[nodiscard]] const QuantityAnswer* other() const;
    void refreshCursor();
    /// Chooses a pair that makes sense.
    void settlePair();

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    AnswerHead* m_head = nullptr;
    QWidget* m_tools = nullptr; ///< above the boards
    QWidget* m_boards = nullptr;
    QWidget* m_swap = nullptr;
    PairOffers* m_offers = nullptr;
    QLabel* m_settle = nullptr; ///< what would settle what is open
    PairClaims* m_claims = nullptr;
    QComboBox* m_school = nullptr;
    CurveChoice* m_quantity = nullptr;
    QToolButton* m_overPower = nullptr; ///< power below another curve, in place of its difference
    Board* m_curves = nullptr;
    Board* m_difference = nullptr;
    GainRibbon* m_ribbon = nullptr;
    BuildCard* m_fromCard = nullptr;
    BuildCard* m_toCard = nullptr;
    QLabel* m_changed = nullptr;
    QLabel* m_like = nullptr;
    BandModel* m_bands = nullptr;
    QTableView* m_bandTable = nullptr;
    QLabel* m_peaks = nullptr;
    QLabel* m_leftOut = nullptr;
    QSplitter* m_split = nullptr;
    QStackedWidget* m_views = nullptr; ///< the pair, the field
    FieldPane* m_field = nullptr;
    QAction* m_other = nullptr; ///< shows the other of the two
};

} // namespace hillrun
