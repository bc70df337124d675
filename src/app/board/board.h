// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "core/day/test_day.h"

#include <optional>
#include <qcustomplot.h>
#include <vector>

namespace hillrun {

/// One line on a board.
struct BoardSeries {
    std::vector<double> x;
    std::vector<double> y; ///< NaN breaks the line
    QPen pen;
    QString label;     ///< written at the line's end; empty for none
    double dots = 0.0; ///< above 0: points of this diameter in place of a line
    bool operator==(const BoardSeries&) const = default;
};

/// A filled band between two lines.
struct BoardBand {
    std::vector<double> x;
    std::vector<double> low;
    std::vector<double> high;
    QColor colour;
    bool operator==(const BoardBand&) const = default;
};

/// A stretch of the x axis that is shaded, with a word in it.
struct BoardShade {
    double from = 0.0;
    double to = 0.0;
    QColor colour;
    QString word;
    bool operator==(const BoardShade&) const = default;
};

/// Something named on a curve: a word above it with a thin line down to its place.
struct BoardMark {
    double x = 0.0;
    double y = 0.0;
    QColor colour;
    QString word;
    bool operator==(const BoardMark&) const = default;
};

/// Everything drawn on a board.
struct BoardContent {
    QString title; ///< what the y axis shows, with its unit
    QString xTitle;
    std::vector<BoardSeries> series;
    std::vector<BoardBand> bands;
    std::vector<BoardShade> shades;
    std::vector<BoardMark> marks; ///< rising x
    std::optional<RpmRange> xRange;
    std::optional<RpmRange> yRange; ///< nothing: what is drawn decides
    double leastSpan = 0.0;         ///< at least this much of the y axis is shown
    bool xLabels = true;            ///< false: the board below has the same axis and says it
    bool zeroLine = false;
    bool symmetric = false; ///< zero in the middle
    bool operator==(const BoardContent&) const = default;
};

/// The plot: curves with direct labels, bands, one shared cursor, a stretch that can be dragged out, and two edges that
/// can be moved. The cursor lies on a layer of its own, so that moving it repaints nothing else.
class Board : public QCustomPlot, public SpokenPicture {
    Q_OBJECT
public:
    /// Margins shared by all boards, so that their axes line up.
    static int leftMargin();
    static int rightMargin();

    Board(Look& look, const QString& name, QWidget* parent = nullptr);

    void setContent(BoardContent content);
    [[nodiscard]] const BoardContent& content() const { return m_content; }
    /// Narrow margins and a small title, for many boards side by side.
    void setCompact();
    /// Shows the cursor at x with a line of text beside it; nothing hides it.
    void setCursor(std::optional<double> x, const QString& readout);
    /// Two edges that can be dragged; nothing for none.
    void setEdges(std::optional<RpmRange> edges);
    /// Whether dragging across the plot marks a stretch.
    void setStretchable(bool on) { m_stretchable = on; }
    /// Pixel of an x value, and back, in widget coordinates.
    [[nodiscard]] double pixelOf(double x) const { return xAxis->coordToPixel(x); }
    [[nodiscard]] QString spokenName() const override;
    [[nodiscard]] QString spokenText() const override;

Q_SIGNALS:
    void cursorMoved(double x);
    void stretchDragged(double from, double to);
    void edgesMoving(double low, double high); ///< while one is dragged
    void edgesDragged(double low, double high);
    void stepped(int by); ///< Up or Down: the previous or next thing to look at

protected:
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    bool markByKey(int key);
    void applyLook();
    void rebuild();
    void addBands();
    void addSeries();
    void addShades();
    void fitAxes();
    void placeLabels();
    [[nodiscard]] double clearOfEdges(double pixel) const;
    void placeMarks();
    void addMarks();
    void showStretch(double from, double to);
    [[nodiscard]] int edgeNear(double pixel) const; ///< 0 low, 1 high, -1 none
    void showEdges();

    Look& m_look;
    BoardContent m_content;
    QCPItemText* m_title = nullptr;
    QCPItemText* m_xUnit = nullptr;
    QCPItemStraightLine* m_cursorLine = nullptr;
    QCPItemText* m_cursorText = nullptr;
    QCPItemRect* m_stretch = nullptr;
    std::array<QCPItemStraightLine*, 2> m_edgeLines{};
    std::array<QCPItemText*, 2> m_edgeGrips{};
    std::vector<std::pair<QCPItemText*, size_t>> m_labels; ///< with their series
    std::vector<std::pair<QCPItemText*, QCPItemLine*>> m_marks;
    std::optional<RpmRange> m_edges;
    std::optional<double> m_cursor;
    bool m_stretchable = false;
    bool m_compact = false;
    std::optional<double> m_pressedAt;
    std::optional<double> m_stretchFrom; ///< where a stretch was begun by key
    int m_draggedEdge = -1;
    bool m_edgeMoved = false; ///< since it was taken hold of
};

} // namespace hillrun
