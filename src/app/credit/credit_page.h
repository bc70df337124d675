// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/credit/credit_picture.h"
#include "app/credit/part_form.h"
#include "app/credit/part_table.h"
#include "app/frame/answer_head.h"
#include "app/frame/page.h"
#include "app/look/copied_table.h"

#include <QStackedWidget>
#include <QToolButton>

namespace hillrun {

/// What each part really contributes: one sentence, the parts as stairs or as a net, the table of parts; of a setting
/// that was run in steps its response, the best and what each step gives away.
class CreditPage : public PageView {
    Q_OBJECT
public:
    CreditPage(DayDocument& document, Selection& selection, Look& look, OtherDays& otherDays, ActionRegistry& actions,
               QWidget* parent = nullptr);
    void setView(CreditView view);
    /// The article's builds of all days as one ladder, in place of the day's parts.
    void showOverDays(bool on);
    [[nodiscard]] bool overDaysShown() const { return m_overDays; }
    void stepInteraction(); ///< the next interaction of the part along rpm, after the last the part itself
    void step(int by);      ///< the next or previous part, or step of a sweep
    [[nodiscard]] CreditLook looked() const { return {m_view, m_part, m_selection.units(), m_interaction}; }
    [[nodiscard]] bool canCopy() const override;
    void copyTable() const override;
    void copyPicture() const override;

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

private:
    QWidget* makePictures(ActionRegistry& actions);
    QWidget* makeViews(ActionRegistry& actions);
    QWidget* makeSide(ActionRegistry& actions);
    void connectParts();
    void refresh();
    void refreshAnswer(const DayAnalysis* analysis);
    void refreshViews(const Credit* credit);
    void refreshParts(const DayAnalysis& analysis);
    void refreshSweep(const DayAnalysis& analysis);
    void refreshDay();
    void refreshOverDays();
    void refreshCursor();
    void choose(size_t part);
    [[nodiscard]] bool isSweep() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    OtherDays& m_otherDays;
    bool m_overDays = false;
    CreditView m_view = CreditView::FairShare;
    CreditKind m_kind = CreditKind::None; ///< that the view was chosen for
    size_t m_part = 0;
    std::optional<size_t> m_interaction;
    AnswerHead* m_head = nullptr;
    QAction* m_switch = nullptr; ///< to the ladder over days and back
    QWidget* m_views = nullptr;
    QWidget* m_use = nullptr;
    std::vector<QToolButton*> m_viewButtons;
    QToolButton* m_together = nullptr;
    QHBoxLayout* m_row = nullptr;
    QFrame* m_pictures = nullptr;
    QStackedWidget* m_stack = nullptr; ///< parts, sweep
    CreditPicture* m_picture = nullptr;
    Board* m_response = nullptr;
    Board* m_curve = nullptr;
    QWidget* m_side = nullptr;
    PartTable* m_table = nullptr;
    QLabel* m_lines = nullptr;
    PartForm* m_form = nullptr;
};

} // namespace hillrun
