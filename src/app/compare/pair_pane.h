// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/board/gain_ribbon.h"
#include "app/compare/band_model.h"
#include "app/compare/build_card.h"
#include "app/compare/curve_choice.h"
#include "app/compare/pair_claims.h"
#include "app/frame/action_registry.h"
#include "app/look/copied_table.h"

#include <QLabel>
#include <QSplitter>
#include <QTableView>
#include <QToolButton>

namespace hillrun {

/// Two builds held against each other: both curves, the gain ribbon, the difference with its band, and at the right
/// what differs, the bands and the peaks. Refreshed by its page.
class PairPane : public QSplitter {
    Q_OBJECT
public:
    PairPane(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QWidget* parent);
    void refresh();
    void refreshCursor();
    void removeSelectedBand();
    [[nodiscard]] CopiedTable table(const QString& title) const;
    [[nodiscard]] QWidget* picture() const { return m_boards; }
    [[nodiscard]] QByteArray drawing() const;

private:
    QWidget* makeBoards(ActionRegistry& actions);
    QWidget* makeSide(ActionRegistry& actions);
    void connectParts();
    [[nodiscard]] CompareView view() const;
    /// The other curve that is looked at; null for power and torque.
    [[nodiscard]] const QuantityAnswer* other() const;
    void refreshBoards(const DayAnalysis* analysis, const Comparison* comparison);
    void refreshSide(const DayAnalysis* analysis, const Comparison* comparison);
    void stepTo(int by); ///< the next or previous build to look at
    void addBand(const RpmRange& band);

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    QWidget* m_tools = nullptr; ///< above the boards
    QWidget* m_boards = nullptr;
    QWidget* m_swap = nullptr;
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
};

} // namespace hillrun
