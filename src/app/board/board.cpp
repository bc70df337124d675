// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board.h"

#include "app/board/board_svg.h"
#include "app/look/drag_out.h"

#include "app/board/board_text.h"
#include "app/board/label_layout.h"

#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "words/voice.h"

#include <algorithm>
#include <cmath>
#include <limits>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kMarkRow = 15.0; ///< between rows of words above the curves, as drawn

QVector<double> toQt(const std::vector<double>& values) { return {values.begin(), values.end()}; }

/// Numbers with a gap at the thousands, and with as many decimals as the step between them has: 2.5 is never called 3.
class GapTicker : public QCPAxisTicker {
protected:
    double getTickStep(const QCPRange& range) override {
        const double step = QCPAxisTicker::getTickStep(range);
        m_decimals = 0;
        for (double scaled = step; m_decimals < 4 && std::abs(scaled - std::round(scaled)) > 1e-6 * scaled;
             ++m_decimals)
            scaled *= 10.0;
        return step;
    }
    QString getTickLabel(double tick, const QLocale& /*locale*/, QChar /*format*/, int /*precision*/) override {
        QString text = std::abs(tick) >= 1000.0 ? QString::fromStdString(rpmText(tick)) : numberText(tick, m_decimals);
        return text.replace(u'-', u'\u2212');
    }

private:
    int m_decimals = 0;
};

} // namespace

int Board::leftMargin() { return px(58); }

int Board::rightMargin() { return px(44); }

Board::Board(Look& look, const QString& name, QWidget* parent) : QCustomPlot(parent), m_look(look) {
    setObjectName(name);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    new DragOut(this, Qt::ControlModifier, [this] { return carriedBoard(*this); });
    setMinimumHeight(px(90));
    setNoAntialiasingOnDrag(true);
    addLayer(u"edges"_s, layer(u"main"_s), QCustomPlot::limAbove);
    addLayer(u"cursor"_s, layer(u"overlay"_s), QCustomPlot::limBelow);
    layer(u"cursor"_s)->setMode(QCPLayer::lmBuffered);
    axisRect()->setAutoMargins(QCP::msNone);
    axisRect()->setMargins(QMargins(leftMargin(), px(26), rightMargin(), px(24)));
    m_title = new QCPItemText(this);
    m_title->setLayer(u"overlay"_s);
    m_title->position->setType(QCPItemPosition::ptAbsolute);
    m_title->position->setCoords(leftMargin(), px(12));
    m_title->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    m_title->setClipToAxisRect(false);
    xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new GapTicker));
    yAxis->setTicker(QSharedPointer<QCPAxisTicker>(new GapTicker));
    m_xUnit = new QCPItemText(this);
    m_xUnit->setLayer(u"overlay"_s);
    m_xUnit->position->setType(QCPItemPosition::ptAbsolute);
    m_xUnit->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    m_xUnit->setClipToAxisRect(false);
    m_stretch = new QCPItemRect(this);
    m_stretch->setLayer(u"cursor"_s);
    m_stretch->setVisible(false);
    m_stretch->topLeft->setTypeY(QCPItemPosition::ptAxisRectRatio);
    m_stretch->bottomRight->setTypeY(QCPItemPosition::ptAxisRectRatio);
    m_cursorLine = new QCPItemStraightLine(this);
    m_cursorLine->setLayer(u"cursor"_s);
    m_cursorText = new QCPItemText(this);
    m_cursorText->setLayer(u"cursor"_s);
    m_cursorText->position->setType(QCPItemPosition::ptAbsolute);
    m_cursorText->setClipToAxisRect(false);
    for (size_t i = 0; i < 2; ++i) {
        m_edgeLines[i] = new QCPItemStraightLine(this);
        m_edgeLines[i]->setLayer(u"edges"_s);
        m_edgeGrips[i] = new QCPItemText(this);
        m_edgeGrips[i]->setLayer(u"edges"_s);
        m_edgeGrips[i]->position->setTypeY(QCPItemPosition::ptAxisRectRatio);
        m_edgeGrips[i]->setClipToAxisRect(false);
    }
    connect(&m_look, &Look::changed, this, [this] {
        applyLook();
        replot(QCustomPlot::rpQueuedReplot);
    });
    connect(this, &QCustomPlot::afterLayout, this, &Board::placeLabels);
    applyLook();
    setCursor(std::nullopt, {});
    setEdges(std::nullopt);
}

QString Board::spokenName() const { return m_content.title.isEmpty() ? tr("empty board") : m_content.title; }

QString Board::spokenText() const {
    return boardText(m_content, m_cursor && m_cursorText->visible() ? m_cursorText->text() : QString());
}

void Board::applyLook() {
    const Theme& t = m_look.theme();
    setBackground(QBrush(t.panel));
    for (QCPAxis* axis : {xAxis, yAxis}) {
        axis->setBasePen(QPen(t.rule, 1));
        axis->setTickPen(QPen(t.rule, 1));
        axis->setSubTicks(false);
        axis->setTickLength(0, 3);
        axis->setTickLabelColor(t.quietInk);
        axis->setTickLabelFont(fonts::numbers(11));
        axis->setTickLabelPadding(4);
        axis->grid()->setPen(QPen(t.rule, 1));
        axis->grid()->setZeroLinePen(Qt::NoPen);
        axis->setNumberFormat(u"f"_s);
        axis->setNumberPrecision(0);
    }
    QColor faint = t.rule;
    faint.setAlpha(t.dark ? 130 : 110);
    xAxis->grid()->setPen(QPen(faint, 1));
    yAxis->grid()->setPen(QPen(faint, 1));
    m_title->setFont(fonts::text(11));
    m_title->setColor(t.quietInk);
    m_xUnit->setFont(fonts::text(11));
    m_xUnit->setColor(t.quietInk);
    m_cursorLine->setPen(QPen(t.mark, 1));
    m_cursorText->setFont(fonts::numbers(11));
    m_cursorText->setColor(t.ink);
    m_cursorText->setBrush(t.panel);
    m_cursorText->setPen(QPen(t.rule, 1));
    m_cursorText->setPadding(QMargins(5, 2, 5, 2));
    QColor mark = t.mark;
    mark.setAlpha(40);
    m_stretch->setBrush(mark);
    m_stretch->setPen(QPen(t.mark, 1));
    for (size_t i = 0; i < 2; ++i) {
        m_edgeLines[i]->setPen(QPen(t.mark, 1, Qt::DashLine));
        m_edgeGrips[i]->setFont(fonts::text(11, true));
        m_edgeGrips[i]->setColor(t.panel);
        m_edgeGrips[i]->setBrush(t.mark);
        m_edgeGrips[i]->setPadding(QMargins(4, 3, 4, 3));
        m_edgeGrips[i]->setText(i == 0 ? u"\u25B6"_s : u"\u25C0"_s);
        m_edgeGrips[i]->setPositionAlignment((i == 0 ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignBottom);
    }
}

void Board::setCompact() {
    m_compact = true;
    axisRect()->setMargins(QMargins(px(46), px(22), px(10), px(18)));
    m_title->position->setCoords(px(8), px(10));
    setMinimumHeight(px(84));
    xAxis->ticker()->setTickCount(2);
}

void Board::resizeEvent(QResizeEvent* event) {
    // What a tick label wants, and as much again between two; the ticker may take one more than it is asked for.
    yAxis->ticker()->setTickCount(std::clamp((event->size().height() - px(46)) / px(30), 2, 6));
    if (!m_compact)
        xAxis->ticker()->setTickCount(
            std::clamp((event->size().width() - leftMargin() - rightMargin()) / px(68), 2, 5));
    QCustomPlot::resizeEvent(event);
}

void Board::setContent(BoardContent content) {
    m_content = std::move(content);
    rebuild();
}

void Board::rebuild() {
    clearPlottables();
    for (const auto& [label, series] : m_labels)
        removeItem(label);
    m_labels.clear();
    for (const auto& [word, leader] : m_marks) {
        removeItem(word);
        removeItem(leader);
    }
    m_marks.clear();
    for (int i = itemCount() - 1; i >= 0; --i)
        if (item(i)->property("shade").toBool())
            removeItem(i);
    addShades();
    addBands();
    addSeries();
    addMarks();
    const bool empty = m_content.series.empty(); // no axes without anything on them
    xAxis->setVisible(!empty);
    yAxis->setVisible(!empty);
    xAxis->grid()->setVisible(!empty);
    yAxis->grid()->setVisible(!empty);
    xAxis->setTickLabels(m_content.xLabels);
    QMargins margins = axisRect()->margins();
    margins.setBottom(!m_content.xLabels ? px(8) : (m_compact ? px(18) : px(24)));
    axisRect()->setMargins(margins);
    m_title->setText(empty ? QString() : m_content.title);
    m_xUnit->setText(empty ? QString() : m_content.xTitle);
    fitAxes();
    replot(QCustomPlot::rpQueuedReplot);
}

void Board::addBands() {
    for (const BoardBand& band : m_content.bands) {
        std::vector<double> x, low, high;
        for (size_t i = 0; i < band.x.size(); ++i) {
            if (!std::isfinite(band.low[i]) || !std::isfinite(band.high[i]))
                continue;
            x.push_back(band.x[i]);
            low.push_back(band.low[i]);
            high.push_back(band.high[i]);
        }
        QCPGraph* lower = addGraph();
        QCPGraph* upper = addGraph();
        lower->setData(toQt(x), toQt(low), true);
        upper->setData(toQt(x), toQt(high), true);
        lower->setPen(Qt::NoPen);
        upper->setPen(Qt::NoPen);
        lower->setAntialiasedFill(false); // a soft edge on a pale band costs three times the paint
        upper->setAntialiasedFill(false);
        upper->setBrush(band.colour);
        upper->setChannelFillGraph(lower);
    }
}

void Board::addSeries() {
    if (m_content.zeroLine) {
        QCPGraph* zero = addGraph();
        const RpmRange range = m_content.xRange.value_or(RpmRange{0.0, 20000.0});
        zero->setData({range.low, range.high}, {0.0, 0.0}, true);
        zero->setPen(QPen(m_look.theme().quietInk, 1));
    }
    for (size_t i = 0; i < m_content.series.size(); ++i) {
        const BoardSeries& series = m_content.series[i];
        QCPGraph* line = addGraph();
        line->setData(toQt(series.x), toQt(series.y), std::is_sorted(series.x.begin(), series.x.end()));
        line->setPen(series.pen);
        line->setAntialiased(true);
        if (series.dots > 0.0) {
            line->setLineStyle(QCPGraph::lsNone);
            line->setScatterStyle(
                QCPScatterStyle(QCPScatterStyle::ssCircle, series.pen, series.pen.brush(), series.dots));
        }
        if (series.label.isEmpty())
            continue;
        auto* label = new QCPItemText(this);
        label->setLayer(u"overlay"_s);
        label->setText(series.label);
        label->setFont(fonts::text(13, true));
        label->setColor(m_look.theme().asText(series.pen.color()));
        label->position->setType(QCPItemPosition::ptAbsolute);
        label->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        label->setClipToAxisRect(false);
        m_labels.emplace_back(label, i);
    }
}

void Board::addMarks() {
    for (const BoardMark& mark : m_content.marks) {
        auto* leader = new QCPItemLine(this);
        leader->setLayer(u"overlay"_s);
        leader->setPen(QPen(mark.colour, 1));
        leader->end->setCoords(mark.x, mark.y);
        leader->start->setType(QCPItemPosition::ptAbsolute);
        auto* word = new QCPItemText(this);
        word->setLayer(u"overlay"_s);
        word->setText(mark.word);
        word->setFont(fonts::text(11, true));
        word->setColor(m_look.theme().asText(mark.colour));
        word->position->setType(QCPItemPosition::ptAbsolute);
        word->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        word->setClipToAxisRect(false);
        m_marks.emplace_back(word, leader);
    }
}

void Board::placeMarks() {
    const QFontMetrics metrics(fonts::text(11, true));
    std::vector<std::pair<double, double>> spans;
    for (size_t i = 0; i < m_marks.size(); ++i) {
        const double x = xAxis->coordToPixel(m_content.marks[i].x);
        const double width = metrics.horizontalAdvance(m_content.marks[i].word);
        const double left = std::clamp(x - 0.5 * width, axisRect()->left() + 2.0,
                                       std::max(axisRect()->left() + 2.0, axisRect()->right() - width - 2.0));
        spans.emplace_back(left, left + width);
    }
    const std::vector<int> rows = rowsOfWords(spans, 8.0);
    for (size_t i = 0; i < m_marks.size(); ++i) {
        const double y = axisRect()->top() + px(9) + px(kMarkRow) * rows[i];
        const double x = xAxis->coordToPixel(m_content.marks[i].x);
        m_marks[i].first->position->setCoords(spans[i].first, y);
        m_marks[i].second->start->setCoords(x, y + px(8));
    }
}

void Board::addShades() {
    for (const BoardShade& shade : m_content.shades) {
        auto* rect = new QCPItemRect(this);
        rect->setProperty("shade", true);
        rect->setLayer(u"background"_s);
        rect->topLeft->setTypeY(QCPItemPosition::ptAxisRectRatio);
        rect->bottomRight->setTypeY(QCPItemPosition::ptAxisRectRatio);
        rect->topLeft->setCoords(shade.from, 0.0);
        rect->bottomRight->setCoords(shade.to, 1.0);
        rect->setBrush(shade.colour);
        rect->setPen(Qt::NoPen);
        if (shade.word.isEmpty())
            continue;
        auto* word = new QCPItemText(this);
        word->setProperty("shade", true);
        word->setProperty("from", shade.from);
        word->setProperty("to", shade.to);
        word->setLayer(u"grid"_s);
        word->position->setTypeY(QCPItemPosition::ptAxisRectRatio);
        word->position->setCoords(0.5 * (shade.from + shade.to), 0.97);
        word->setPositionAlignment(Qt::AlignHCenter | Qt::AlignBottom);
        word->setText(shade.word);
        word->setFont(fonts::text(11));
        word->setColor(m_look.theme().quietInk);
    }
}

void Board::fitAxes() {
    double low = std::numeric_limits<double>::infinity();
    double high = -low;
    double left = low;
    double right = -low;
    auto take = [&](const std::vector<double>& x, const std::vector<double>& y) {
        for (size_t i = 0; i < y.size(); ++i) {
            if (!std::isfinite(y[i]) || (m_content.xRange && !m_content.xRange->holds(x[i])))
                continue;
            low = std::min(low, y[i]);
            high = std::max(high, y[i]);
            left = std::min(left, x[i]);
            right = std::max(right, x[i]);
        }
    };
    for (const BoardSeries& series : m_content.series)
        take(series.x, series.y);
    for (const BoardBand& band : m_content.bands) {
        take(band.x, band.low);
        take(band.x, band.high);
    }
    if (!(low <= high)) { // nothing to show
        low = 0.0;
        high = 1.0;
    }
    if (m_content.xRange)
        xAxis->setRange(m_content.xRange->low, m_content.xRange->high);
    else if (left < right)
        xAxis->setRange(left, right);
    if (m_content.yRange) {
        yAxis->setRange(m_content.yRange->low, m_content.yRange->high);
    } else if (m_content.symmetric) {
        const double reach = 1.12 * std::max({std::abs(low), std::abs(high), 0.5 * m_content.leastSpan, 1e-6});
        yAxis->setRange(-reach, reach);
    } else {
        const double span = std::max({high - low, m_content.leastSpan, 1e-3 * std::abs(high), 1e-6});
        const double middle = 0.5 * (low + high);
        const double forWords = m_content.marks.empty() ? 0.0 : 0.1 * span;
        yAxis->setRange(middle - 0.57 * span, middle + 0.57 * span + forWords);
    }
}

/// Where a label may begin that would begin here: behind an edge's line, never under it.
double Board::clearOfEdges(double pixel) const {
    const double room = px(30); // of a letter or a pull's name
    if (m_edges)
        for (const double edge : {xAxis->coordToPixel(m_edges->low), xAxis->coordToPixel(m_edges->high)})
            if (edge > pixel - 4.0 && edge < pixel + room)
                pixel = edge + px(5);
    return pixel;
}

void Board::placeLabels() {
    placeMarks();
    if (!m_title->text().isEmpty())
        m_title->setText(QFontMetrics(fonts::text(11))
                             .elidedText(m_content.title, Qt::ElideRight,
                                         width() - static_cast<int>(m_title->position->coords().x()) - 6));
    m_xUnit->position->setCoords(axisRect()->right() + px(12), axisRect()->bottom() + px(14));
    const QFontMetrics metrics(fonts::text(11));
    for (int i = 0; i < itemCount(); ++i) { // a word wider than its stretch is left out
        auto* word = qobject_cast<QCPItemText*>(item(i));
        if (!word || !word->property("shade").toBool())
            continue;
        const double room = std::abs(xAxis->coordToPixel(word->property("to").toDouble()) -
                                     xAxis->coordToPixel(word->property("from").toDouble()));
        word->setVisible(metrics.horizontalAdvance(word->text()) + 4 < room);
    }
    struct LabelPlace {
        QCPItemText* item;
        double x;
        double y;
    };
    std::vector<LabelPlace> places;
    for (const auto& [item, number] : m_labels) {
        const BoardSeries& series = m_content.series[number];
        for (size_t i = series.y.size(); i-- > 0;) {
            if (!std::isfinite(series.y[i]) || !xAxis->range().contains(series.x[i]))
                continue;
            places.push_back(
                {item, clearOfEdges(xAxis->coordToPixel(series.x[i]) + 6.0), yAxis->coordToPixel(series.y[i])});
            break;
        }
    }
    std::stable_sort(places.begin(), places.end(), [](const LabelPlace& a, const LabelPlace& b) { return a.y < b.y; });
    std::vector<double> pixels;
    for (const LabelPlace& place : places)
        pixels.push_back(place.y);
    spreadLabels(pixels, px(15), axisRect()->top(), axisRect()->bottom());
    for (size_t i = 0; i < places.size(); ++i)
        places[i].item->position->setCoords(places[i].x, pixels[i]);
}

} // namespace hillrun
