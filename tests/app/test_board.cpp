// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board.h"
#include "app_support.h"

#include <QSignalSpy>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

/// A shown board with two straight lines from 2000 to 6000 rpm.
struct ShownBoard {
    Look look;
    Board board{look, u"testBoard"_s};
    BoardContent content;

    ShownBoard() {
        content.title = u"Power, kW"_s;
        content.xRange = RpmRange{2000.0, 6000.0};
        for (const double height : {10.0, 10.2}) {
            BoardSeries line;
            line.x = {2000.0, 4000.0, 6000.0};
            line.y = {height, 2.0 * height, 3.0 * height};
            line.pen = look.theme().buildPen(content.series.size(), 2.0);
            line.label = content.series.empty() ? u"A"_s : u"B"_s;
            content.series.push_back(line);
        }
        board.resize(700, 300);
        board.setContent(content);
        board.show();
        REQUIRE(QTest::qWaitForWindowExposed(&board));
        QTest::qWait(30);
    }
    QList<QCPItemText*> texts() {
        QList<QCPItemText*> out;
        for (int i = 0; i < board.itemCount(); ++i)
            if (auto* text = qobject_cast<QCPItemText*>(board.item(i)))
                out << text;
        return out;
    }
    QCPItemText* text(const QString& words) {
        for (QCPItemText* item : texts())
            if (item->text() == words)
                return item;
        return nullptr;
    }
    void press(double x) {
        QTest::mousePress(&board, Qt::LeftButton, {}, QPoint(static_cast<int>(board.pixelOf(x)), 150));
    }
    void moveTo(double x) {
        const QPointF at(board.pixelOf(x), 150);
        QMouseEvent move(QEvent::MouseMove, at, board.mapToGlobal(at), Qt::NoButton, Qt::LeftButton, {});
        QApplication::sendEvent(&board, &move);
    }
    void release(double x) {
        QTest::mouseRelease(&board, Qt::LeftButton, {}, QPoint(static_cast<int>(board.pixelOf(x)), 150));
    }
};

/// Where a board has its ticks, and what it writes there (asked of the axis, as it draws them).
struct Ticks : QCPAxis {
    static const QVector<double>& places(const QCPAxis& axis) { return axis.*(&Ticks::mTickVector); }
    static const QVector<QString>& words(const QCPAxis& axis) { return axis.*(&Ticks::mTickVectorLabels); }
};

} // namespace

TEST_CASE("labels of curves that end together do not overlap") {
    ShownBoard shown;
    const QCPItemText* a = shown.text(u"A"_s);
    const QCPItemText* b = shown.text(u"B"_s);
    REQUIRE((a && b));
    CHECK(std::abs(a->position->coords().y() - b->position->coords().y()) >= 14.0);
    CHECK(b->position->coords().y() < a->position->coords().y()); // the higher curve's letter stands higher
    CHECK(a->color() == shown.look.theme().build(0));
}

TEST_CASE("axes follow the data, not what lies outside the range shown") {
    ShownBoard shown;
    CHECK(shown.board.xAxis->range().lower == 2000.0);
    CHECK(shown.board.yAxis->range().lower < 10.0);
    CHECK(shown.board.yAxis->range().upper > 30.6);
    CHECK(shown.board.yAxis->range().upper < 33.0);
    shown.content.xRange = RpmRange{2000.0, 4000.0};
    shown.board.setContent(shown.content);
    CHECK(shown.board.yAxis->range().upper < 22.0);
    shown.content.symmetric = true;
    shown.board.setContent(shown.content);
    CHECK(shown.board.yAxis->range().lower == -shown.board.yAxis->range().upper);
}

TEST_CASE("missing values break a line and its band instead of bending them") {
    ShownBoard shown;
    shown.content.series[0].y[1] = std::nan("");
    shown.content.bands.push_back({{2000.0, 4000.0, 6000.0}, {9.0, std::nan(""), 29.0}, {11.0, 21.0, 31.0}, Qt::gray});
    shown.board.setContent(shown.content);
    REQUIRE(shown.board.graphCount() == 4); // lower and upper edge, then the two lines
    CHECK(shown.board.graph(0)->dataCount() == 2);
    CHECK(shown.board.graph(1)->channelFillGraph() == shown.board.graph(0));
    CHECK(shown.board.graph(2)->dataCount() == 3);
}

TEST_CASE("an empty board shows no axes and no title") {
    ShownBoard shown;
    shown.board.setContent({});
    CHECK_FALSE(shown.board.xAxis->visible());
    CHECK(shown.text(u"Power, kW"_s) == nullptr);
    shown.board.setContent(shown.content);
    CHECK(shown.board.xAxis->visible());
}

TEST_CASE("dragging marks a stretch, a click or a short twitch does not") {
    ShownBoard shown;
    QSignalSpy stretches(&shown.board, &Board::stretchDragged);
    shown.press(3000.0);
    shown.moveTo(4500.0);
    shown.release(4500.0);
    CHECK(stretches.isEmpty()); // not asked for
    shown.board.setStretchable(true);
    shown.press(4500.0);
    shown.moveTo(3000.0);
    shown.release(3000.0);
    REQUIRE(stretches.count() == 1);
    CHECK(stretches[0][0].toDouble() == Approx(3000.0).margin(15.0)); // low before high, whichever way
    CHECK(stretches[0][1].toDouble() == Approx(4500.0).margin(15.0));
    shown.press(3000.0);
    shown.release(3010.0);
    CHECK(stretches.count() == 1);
}

TEST_CASE("an edge is grabbed near it, moved, and cannot leave the plot") {
    ShownBoard shown;
    QSignalSpy edges(&shown.board, &Board::edgesDragged);
    QSignalSpy stretches(&shown.board, &Board::stretchDragged);
    shown.board.setStretchable(true);
    shown.board.setEdges(RpmRange{2500.0, 5500.0});
    shown.press(5500.0);
    shown.moveTo(5000.0);
    shown.release(5000.0);
    REQUIRE(edges.count() == 1);
    CHECK(edges[0][0].toDouble() == 2500.0);
    CHECK(edges[0][1].toDouble() == Approx(5000.0).margin(15.0));
    CHECK(stretches.isEmpty());
    shown.press(2500.0);
    shown.moveTo(1000.0);
    shown.release(1000.0);
    REQUIRE(edges.count() == 2);
    CHECK(edges[1][0].toDouble() == 2000.0);
    shown.press(4000.0); // far from both
    shown.release(4000.0);
    CHECK(edges.count() == 2);
}

TEST_CASE("keys move the cursor and step; the cursor stays inside") {
    ShownBoard shown;
    QSignalSpy moves(&shown.board, &Board::cursorMoved);
    QSignalSpy steps(&shown.board, &Board::stepped);
    shown.board.setCursor(5990.0, u"5 990 rpm"_s);
    QTest::keyClick(&shown.board, Qt::Key_Right, Qt::ShiftModifier);
    REQUIRE(moves.count() == 1);
    CHECK(moves[0][0].toDouble() == 6000.0);
    QTest::keyClick(&shown.board, Qt::Key_Left);
    CHECK(moves[1][0].toDouble() == Approx(5950.0));
    QTest::keyClick(&shown.board, Qt::Key_Down);
    QTest::keyClick(&shown.board, Qt::Key_Up);
    REQUIRE(steps.count() == 2);
    CHECK(steps[0][0].toInt() == 1);
    CHECK(steps[1][0].toInt() == -1);
}

TEST_CASE("a word wider than its stretch is left out, the shade stays") {
    ShownBoard shown;
    shown.content.shades = {{2000.0, 2050.0, Qt::yellow, u"unsettled start"_s},
                            {4000.0, 6000.0, Qt::yellow, u"lift"_s}};
    shown.board.setContent(shown.content);
    QTest::qWait(30);
    CHECK_FALSE(shown.text(u"unsettled start"_s)->visible());
    CHECK(shown.text(u"lift"_s)->visible());
    shown.content.shades.clear();
    shown.board.setContent(shown.content);
    CHECK(shown.text(u"lift"_s) == nullptr);
}

TEST_CASE("a change of look repaints the board in the new colours") {
    ShownBoard shown;
    const QImage light = shown.board.grab().toImage();
    shown.look.setDark(true);
    QTest::qWait(50);
    const QImage dark = shown.board.grab().toImage();
    CHECK(QColor(light.pixel(5, 5)) == Theme::paper().panel);
    CHECK(QColor(dark.pixel(5, 5)) == Theme::nightCell().panel);
}

TEST_CASE("every build keeps its colour and has a dash of its own") {
    const Theme theme = Theme::paper();
    for (size_t i = 0; i < 8; ++i) {
        for (size_t j = 0; j < i; ++j) {
            INFO(i << " and " << j);
            CHECK(theme.build(i) != theme.build(j));
            CHECK(theme.buildPen(i, 2.0).dashPattern() != theme.buildPen(j, 2.0).dashPattern());
        }
    }
    for (size_t i = 8; i < 16; ++i) { // the colours come again, with other dashes
        CHECK(theme.build(i) == theme.build(i - 8));
        CHECK(theme.buildPen(i, 2.0).dashPattern() != theme.buildPen(i - 8, 2.0).dashPattern());
    }
}

TEST_CASE("points in place of a line, and a scale that is given") {
    ShownBoard shown;
    BoardSeries dots{{2500.0, 3500.0}, {12.0, 14.0}, QPen(Qt::red), {}};
    dots.dots = 7.0;
    shown.content.series.push_back(dots);
    shown.content.yRange = RpmRange{0.0, 50.0};
    shown.board.setContent(shown.content);
    QCPGraph* last = shown.board.graph(shown.board.graphCount() - 1);
    CHECK(last->lineStyle() == QCPGraph::lsNone);
    CHECK(last->scatterStyle().size() == 7.0);
    CHECK(shown.board.yAxis->range().lower == 0.0);
    CHECK(shown.board.yAxis->range().upper == 50.0);
}

TEST_CASE("named places stand above the curves, none over another, and go with the content") {
    ShownBoard shown;
    for (const double x : {3000.0, 3050.0, 5000.0})
        shown.content.marks.push_back({x, 15.0, Qt::darkRed, u"bypass open %1"_s.arg(x)});
    shown.board.setContent(shown.content);
    QTest::qWait(60);
    std::vector<QRectF> places;
    for (const BoardMark& mark : shown.content.marks) {
        QCPItemText* word = shown.text(mark.word);
        REQUIRE(word);
        const QPointF at = word->position->pixelPosition();
        places.emplace_back(at.x(), at.y() - 7.0, QFontMetrics(word->font()).horizontalAdvance(mark.word), 14.0);
    }
    CHECK_FALSE(places[0].intersects(places[1]));
    CHECK(places[0].top() == places[2].top()); // far away: the lowest row again
    shown.content.marks.clear();
    shown.board.setContent(shown.content);
    CHECK_FALSE(shown.text(u"bypass open 3000"_s));
}

TEST_CASE("a compact board writes its reading into the title's line") {
    ShownBoard shown;
    shown.board.setCompact();
    shown.board.resize(190, 100);
    shown.board.setContent(shown.content);
    shown.board.setCursor(4000.0, u"20.1"_s);
    QTest::qWait(60);
    QCPItemText* reading = shown.text(u"20.1"_s);
    REQUIRE(reading);
    CHECK(reading->position->pixelPosition().y() < shown.board.axisRect()->top());
    CHECK(reading->position->pixelPosition().x() > 0.8 * shown.board.width());
}

TEST_CASE("the figures along an axis are those of its ticks") {
    Look look;
    Board board(look, u"ticks"_s);
    board.resize(600, 260);
    for (const double reach : {0.02, 0.4, 1.2, 3.0, 4.7, 5.4, 9.0, 11.0, 30.0, 120.0}) {
        BoardContent content;
        content.xRange = RpmRange{2000.0, 8000.0};
        content.yRange = RpmRange{-reach, reach};
        content.series.push_back({{2000.0, 8000.0}, {-reach, reach}, QPen(Qt::black), {}});
        board.setContent(content);
        board.replot();
        const QVector<double>& ticks = Ticks::places(*board.yAxis);
        const QVector<QString>& words = Ticks::words(*board.yAxis);
        REQUIRE(ticks.size() >= 2);
        REQUIRE(words.size() == ticks.size());
        for (qsizetype i = 0; i < ticks.size(); ++i) {
            INFO(reach << ": " << words[i].toStdString() << " at " << ticks[i]);
            QString plain = words[i];
            plain.replace(u'\u2212', u'-').replace(u',', u'.');
            CHECK(plain.toDouble() == Approx(ticks[i]).margin(1e-9));
        }
    }
}

TEST_CASE("a curve's label stands behind the line of an edge, not under it") {
    ShownBoard b;
    b.content.xRange = RpmRange{2000.0, 6400.0};
    b.board.setContent(b.content);
    QTest::qWait(30);
    const auto left = [&] { return b.text(u"B"_s)->position->coords().x(); };
    const double usual = left();
    b.board.setEdges(RpmRange{2500.0, 6080.0});
    const double edge = b.board.pixelOf(6080.0);
    REQUIRE(edge > usual); // the line would go through the letter
    REQUIRE(edge < usual + 12.0);
    CHECK(left() >= edge + 4.0);
    b.board.setEdges(RpmRange{2500.0, 5000.0}); // far from the label
    CHECK(left() == Approx(usual));
    b.board.setEdges(std::nullopt);
    CHECK(left() == Approx(usual));
}

TEST_CASE("a flat line keeps room around it, and small moves are not blown up") {
    ShownBoard shown;
    shown.content.series.resize(1);
    shown.content.series[0].y = {85.0, 85.001, 85.0};
    shown.content.leastSpan = 6.0;
    shown.board.setContent(shown.content);
    CHECK(shown.board.yAxis->range().size() >= 6.0);
    CHECK(shown.board.yAxis->range().center() == Approx(85.0).margin(0.5));
}

TEST_CASE("a title that does not fit is cut with an ellipsis, its beginning kept") {
    ShownBoard shown;
    shown.content.title = u"Power at the wheel, kW \u00B7 pulls of build C, shaded: where nineteen of twenty lie"_s;
    shown.board.resize(260, 200);
    shown.board.setContent(shown.content);
    QTest::qWait(60);
    bool cut = false;
    for (QCPItemText* item : shown.texts())
        cut = cut || (item->text().startsWith(u"Power at the wheel, kW"_s) && item->text().endsWith(u"\u2026"_s));
    CHECK(cut);
}

TEST_CASE("edges and stretches are set by keys at the cursor, as by dragging") {
    ShownBoard shown;
    QSignalSpy edges(&shown.board, &Board::edgesDragged);
    QSignalSpy stretches(&shown.board, &Board::stretchDragged);
    shown.board.setCursor(3000.0, {});
    QTest::keyClick(&shown.board, Qt::Key_BracketLeft); // neither edges nor stretches here
    CHECK(edges.count() + stretches.count() == 0);
    shown.board.setEdges(RpmRange{2200.0, 5800.0});
    QTest::keyClick(&shown.board, Qt::Key_BracketLeft);
    REQUIRE(edges.count() == 1);
    CHECK(edges[0] == QVariantList{3000.0, 5800.0});
    shown.board.setCursor(5000.0, {});
    QTest::keyClick(&shown.board, Qt::Key_BracketRight);
    REQUIRE(edges.count() == 2);
    CHECK(edges[1] == QVariantList{2200.0, 5000.0});
    shown.board.setCursor(6000.0, {});
    QTest::keyClick(&shown.board, Qt::Key_BracketLeft); // beyond the other edge
    CHECK(edges.count() == 2);
    shown.board.setEdges(std::nullopt);
    shown.board.setStretchable(true);
    QTest::keyClick(&shown.board, Qt::Key_BracketRight); // none was begun
    CHECK(stretches.count() == 0);
    QTest::keyClick(&shown.board, Qt::Key_BracketLeft);
    QTest::keyClick(&shown.board, Qt::Key_BracketRight); // no width
    CHECK(stretches.count() == 0);
    shown.board.setCursor(4000.0, {});
    QTest::keyClick(&shown.board, Qt::Key_BracketRight); // either way round
    REQUIRE(stretches.count() == 1);
    CHECK(stretches[0] == QVariantList{4000.0, 6000.0});
    QTest::keyClick(&shown.board, Qt::Key_BracketRight);
    CHECK(stretches.count() == 1);
}

TEST_CASE("a board shows that it has the focus") {
    ShownBoard shown;
    const auto corner = [&] { return shown.board.grab().toImage().pixelColor(1, 100); };
    shown.board.clearFocus();
    const QColor without = corner();
    shown.board.setFocus();
    REQUIRE(test::waitFor([&] { return shown.board.hasFocus(); }));
    CHECK(corner() == shown.look.theme().mark);
    CHECK(without != corner());
}
