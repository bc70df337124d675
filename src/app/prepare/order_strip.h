// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"

#include <QWidget>
#include <string>
#include <vector>

namespace hillrun {

/// The planned pulls as a row of flags that can be put in another order: by dragging, or with keys
/// (actions of Prepare).
class OrderStrip : public QWidget, public SpokenItems {
    Q_OBJECT
public:
    explicit OrderStrip(Look& look, QWidget* parent = nullptr);
    struct Flag {
        std::string build;
        size_t number = 0; ///< of the build, for its colour
        bool done = false;
        bool refit = false; ///< before it the build is taken off and fitted again
        bool operator==(const Flag&) const = default;
    };
    void setOrder(std::vector<Flag> flags);
    [[nodiscard]] QRect flagRect(size_t at) const;
    [[nodiscard]] int spokenCount() const override { return static_cast<int>(m_flags.size()); }
    [[nodiscard]] QString spokenItem(int index) const override;
    [[nodiscard]] QRect spokenRect(int index) const override { return flagRect(static_cast<size_t>(index)); }
    [[nodiscard]] bool spokenChosen(int index) const override { return index == m_current; }
    void chooseSpoken(int index) override;
    /// Of the selected pull: one place earlier or later, another one like it, out of the plan.
    void moveCurrent(int by);
    void doubleCurrent();
    void removeCurrent();
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] int heightForWidth(int width) const override;
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }

Q_SIGNALS:
    void orderEdited(const std::vector<std::string>& order, bool byStep); ///< byStep: moved on by one place

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    [[nodiscard]] int inRow(int width) const;
    [[nodiscard]] int gapsBefore(size_t at) const; ///< set changes up to here
    [[nodiscard]] int flagAt(QPoint position) const;
    void move(size_t from, size_t to);
    void tell(bool byStep = false);

    Look& m_look;
    std::vector<Flag> m_flags;
    int m_current = -1;
    int m_dragged = -1;
    bool m_moved = false;
};

} // namespace hillrun
