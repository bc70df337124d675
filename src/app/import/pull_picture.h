// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/import/pull_spans.h"
#include "app/look/accessible.h"
#include "app/look/theme.h"

#include <QWidget>

namespace hillrun {

/// Speed along a whole file, its pulls shaded. Edges can be dragged, a double click splits a pull. By keys: the arrows
/// move a cursor (with Ctrl far), S splits there, J joins the pull there with the next, [ and ] put the start or the
/// end of the chosen pull there.
class PullPicture : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    explicit PullPicture(QWidget* parent = nullptr);
    void setTheme(const Theme& theme);
    /// `used`: one a span. `editable`: the file's runs lie one behind the other.
    void show(std::vector<double> speed_rpm, RowSpans spans, std::vector<bool> used, size_t current, bool editable);
    using QWidget::show;
    [[nodiscard]] const RowSpans& spans() const { return m_spans; }
    [[nodiscard]] QString spokenName() const override { return tr("Engine speed along the file, its pulls shaded"); }
    [[nodiscard]] QString spokenText() const override;
    [[nodiscard]] QSize sizeHint() const override { return {300, 96}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {120, 72}; }

Q_SIGNALS:
    void spansChanged(const std::vector<hillrun::RowSpan>& spans);
    void pressed(int span);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void moveCursor(int key, bool far);
    [[nodiscard]] std::optional<RowSpans> changedBy(int key) const; ///< the spans after a key; nothing for others
    [[nodiscard]] size_t rowAt(double x) const;
    [[nodiscard]] double xOf(size_t row) const;

    Theme m_theme;
    std::vector<double> m_speed_rpm;
    RowSpans m_spans;
    std::vector<bool> m_used;
    size_t m_current = 0;
    bool m_editable = false;
    std::optional<SpanEdge> m_dragged;
    RowSpans m_before;   ///< the spans when the drag began
    size_t m_cursor = 0; ///< row under the mouse, or where the keys have moved it
};

} // namespace hillrun
