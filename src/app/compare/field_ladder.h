// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/field_content.h"
#include "app/look/accessible.h"

#include <QWidget>

namespace hillrun {

/// Below the field's curves, on their axis: the lead strip, which build leads where, and the ribbon ladder, one gain
/// ribbon a build against the base, each with its gain and whether it may be the best at its right end.
class FieldLadder : public QWidget, public SpokenItems {
    Q_OBJECT
public:
    /// What is drawn.
    struct Content {
        std::vector<FieldRow> rows;
        std::vector<LeadPart> leads;
        RpmRange axis;
        double step_rpm = 50.0;
        bool asMore = false; ///< of what is no gain in itself
    };
    FieldLadder(Look& look, QWidget* parent = nullptr);
    void setContent(Content content, const std::string& chosen);
    /// Room at the right for gains and verdicts; the boards above end where it begins.
    static int figureWidth();

    [[nodiscard]] int spokenCount() const override { return static_cast<int>(m_content.rows.size()) + 1; }
    [[nodiscard]] QString spokenItem(int index) const override; ///< the lead strip first
    [[nodiscard]] QRect spokenRect(int index) const override;
    [[nodiscard]] bool spokenChosen(int index) const override;
    void chooseSpoken(int index) override;

Q_SIGNALS:
    void chosen(const std::string& build);
    void opened(const std::string& build); ///< to be looked at as a pair with the base

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

private:
    [[nodiscard]] QRect leadRoom() const;
    [[nodiscard]] int rowHeight() const;
    [[nodiscard]] QRect rowRoom(int row) const;
    [[nodiscard]] int rowAt(const QPoint& place) const; ///< -1: none
    [[nodiscard]] int chosenRow() const;
    void paintLeads(QPainter& painter) const;
    void paintRow(QPainter& painter, int row) const;

    Look& m_look;
    Content m_content;
    std::string m_chosen;
};

} // namespace hillrun
