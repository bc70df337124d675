// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "core/trace/picture.h"

#include <optional>
#include <QImage>
#include <QWidget>
#include <vector>

namespace hillrun {

enum class TraceAxis { Speed, Left, Right };

/// A mark on an axis as it is drawn.
struct TraceMark {
    TraceAxis axis = TraceAxis::Speed;
    PicturePoint at;
    QString label;
    bool now = false;
};

/// A traced line as it is drawn.
struct TraceLine {
    std::vector<PicturePoint> points;
    bool now = false;
    bool dots = false; ///< points set by hand
};

/// The sheet, with what was marked and traced on it. The wheel and + and - zoom, the middle button drags the sheet, 0
/// shows all of it. The arrow keys move the pointer by a pixel (with Shift by ten), Enter or Space point.
class TraceView : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    explicit TraceView(const Theme& theme, QWidget* parent = nullptr);
    void setImage(const QImage& image);
    /// While a place is asked for, a mark that lies there already is not lifted.
    void setPlacing(bool on) { m_placing = on; }
    void setOverlay(std::vector<TraceMark> marks, std::vector<TraceLine> lines);
    [[nodiscard]] std::optional<PicturePoint> pointer() const { return m_pointer; }
    [[nodiscard]] QString spokenName() const override {
        return tr("The sheet. Arrow keys move the pointer, Enter points.");
    }
    [[nodiscard]] QString spokenText() const override;
    /// Where a place of the picture lies in the widget.
    [[nodiscard]] QPointF onScreen(PicturePoint place) const;

Q_SIGNALS:
    void pointed(hillrun::PicturePoint place);
    void moved(hillrun::PicturePoint place);
    void markMoved(int mark, hillrun::PicturePoint place, bool begins); ///< begins: it was lifted just now

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void showAll();
    void zoom(double times, QPointF around);
    void movePointer(PicturePoint to);
    void step(double x, double y);
    void keepInView(PicturePoint place);
    void paintMarks(QPainter& painter) const;
    void paintLines(QPainter& painter) const;
    [[nodiscard]] PicturePoint inPicture(QPointF position) const;
    [[nodiscard]] int markNear(QPointF position) const;

    Theme m_theme;
    QImage m_image;
    std::vector<TraceMark> m_marks;
    std::vector<TraceLine> m_lines;
    double m_scale = 1.0;
    QPointF m_corner; ///< of the picture, in the widget
    bool m_all = true;
    std::optional<PicturePoint> m_pointer;
    int m_dragged = -1; ///< mark
    bool m_lifted = false;
    bool m_placing = false;
    std::optional<QPointF> m_dragFrom;
};

} // namespace hillrun
