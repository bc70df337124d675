// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QScrollArea>

namespace hillrun {

/// Holds a page: it fills the room that is there, and can be scrolled where the room is less than the page needs.
class FitScroll : public QScrollArea {
public:
    explicit FitScroll(QWidget* page, QWidget* parent = nullptr);
    [[nodiscard]] QSize minimumSizeHint() const override;

protected:
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void fit();
};

} // namespace hillrun
