// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/compare/earlier_content.h"
#include "app/document/other_days.h"
#include "app/frame/action_registry.h"
#include "app/look/copied_table.h"

#include <QComboBox>
#include <QLabel>

namespace hillrun {

/// A build of another day against one of today's: both curves, and the difference with the days' own uncertainty.
/// Refreshed by its page.
class EarlierPane : public QWidget {
    Q_OBJECT
public:
    EarlierPane(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays, ActionRegistry& actions,
                QWidget* parent);
    void refresh();
    void refreshCursor();
    /// The answer in words, and what it rests on.
    [[nodiscard]] QString answer() const;
    [[nodiscard]] QString notes() const;
    [[nodiscard]] bool proven() const;
    /// Takes the build that is shown away again.
    void removeShown();
    [[nodiscard]] CopiedTable table() const;
    [[nodiscard]] QWidget* picture() const { return m_boards; }
    [[nodiscard]] QByteArray drawing() const;

Q_SIGNALS:
    void changed(); ///< what is shown

private:
    QWidget* makeTools(ActionRegistry& actions);
    void refreshChoices();
    [[nodiscard]] const BuildOfDay* shown() const; ///< of the earlier builds; null: there is none
    [[nodiscard]] const EarlierPair* pair() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    OtherDays& m_otherDays;
    QComboBox* m_earlier = nullptr;
    QComboBox* m_today = nullptr;
    QWidget* m_choices = nullptr; ///< both, and what takes the earlier one away
    QWidget* m_boards = nullptr;
    Board* m_curves = nullptr;
    Board* m_difference = nullptr;
};

} // namespace hillrun
