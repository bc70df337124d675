// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/credit_picture.h"

#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <QBuffer>
#include <QKeyEvent>
#include <QPainter>
#include <QSvgGenerator>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kNode = 15;   ///< radius
constexpr int kWhisker = 5; ///< half of its cap
constexpr int kWidestStair = 180;
constexpr int kNameHeight = 22;
constexpr size_t kFewEdges = 4; ///< more than these: only those in front carry their gain

/// Lowest and highest of all stairs with their intervals, with some room.
RpmRange heights(const std::vector<CreditStair>& stairs) {
    RpmRange out{stairs.front().from_w, stairs.front().from_w};
    for (const CreditStair& stair : stairs)
        for (const double value : {stair.from_w, stair.to_w, stair.low_w, stair.high_w}) {
            out.low = std::min(out.low, value);
            out.high = std::max(out.high, value);
        }
    const double space = 0.08 * std::max(out.high - out.low, 1.0);
    return {out.low - space, out.high + space};
}

} // namespace

CreditPicture::CreditPicture(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"creditPicture"_s);
    setFocusPolicy(Qt::StrongFocus);
    setMinimumHeight(px(150));
    connect(&m_look, &Look::changed, this, [this] { update(); });
}

QSize CreditPicture::sizeHint() const { return {px(560), px(300)}; }

void CreditPicture::setContent(Content content) {
    if (content == m_content)
        return;
    m_content = std::move(content);
    update();
}

QRectF CreditPicture::room() const { return QRectF(rect()).adjusted(px(12), px(8), -px(12), -px(6)); }

QColor CreditPicture::colourOf(GainMark mark) const {
    const Theme& t = m_look.theme();
    return mark == GainMark::Gain ? t.gain : mark == GainMark::Loss ? t.loss : t.quietInk;
}

void CreditPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_look.theme().panel);
    paintAll(painter);
    if (hasFocus()) {
        painter.setPen(QPen(m_look.theme().mark, 1.0, Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void CreditPicture::paintAll(QPainter& painter) const {
    painter.setRenderHint(QPainter::Antialiasing);
    if (!m_content.stairs.empty())
        paintStairs(painter);
    else
        paintNet(painter);
}

QRectF CreditPicture::columnOf(size_t stair) const {
    const double first = px(70); // the base's figure stands there
    const double width = (room().width() - first) / static_cast<double>(m_content.stairs.size());
    return {room().left() + first + width * static_cast<double>(stair), room().top(), width, room().height()};
}

void CreditPicture::paintStairs(QPainter& painter) const {
    const Theme& t = m_look.theme();
    const RpmRange scale = heights(m_content.stairs);
    const QRectF all = room();
    const double bottom = all.bottom() - px(kNameHeight);
    const double base =
        bottom - (bottom - all.top()) * (m_content.stairs.front().from_w - scale.low) / (scale.high - scale.low);
    painter.fillRect(QRectF(all.left(), base, all.width(), 1.0), t.rule);
    painter.setFont(fonts::numbers(13));
    painter.setPen(t.quietInk);
    painter.drawText(QRectF(all.left(), base - px(22), px(110), px(20)), Qt::AlignLeft | Qt::AlignBottom,
                     m_content.base);
    for (size_t i = 0; i < m_content.stairs.size(); ++i)
        paintStair(painter, m_content.stairs[i], columnOf(i), scale);
}

/// A block from one height to the next, a whisker for its interval, the gain above and the name below.
void CreditPicture::paintStair(QPainter& painter, const CreditStair& stair, const QRectF& column,
                               const RpmRange& scale) const {
    const Theme& t = m_look.theme();
    const double bottom = column.bottom() - px(kNameHeight);
    const auto yOf = [&](double watts) {
        return bottom - (bottom - column.top()) * (watts - scale.low) / (scale.high - scale.low);
    };
    const double gap = std::max(0.5 * std::min(column.width() * 0.3, static_cast<double>(px(40))),
                                0.5 * (column.width() - px(kWidestStair)));
    const QRectF block =
        QRectF(QPointF(column.left() + gap, yOf(stair.from_w)), QPointF(column.right() - gap, yOf(stair.to_w)))
            .normalized();
    const QColor colour = colourOf(stair.mark);
    if (stair.mark == GainMark::Open) {
        painter.fillRect(block, QBrush(t.unresolved, Qt::BDiagPattern));
        painter.setPen(QPen(t.unresolved, 1.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(block);
    } else {
        painter.fillRect(block, stair.part ? t.faded(colour, 0.75) : colour);
    }
    if (&stair != &m_content.stairs.back() && stair.part) // the height is carried on to the next stair
        painter.fillRect(QRectF(column.right() - gap, yOf(stair.to_w), 2.0 * gap, 1.0), t.quietInk);
    const double x = column.center().x();
    painter.setPen(QPen(t.ink, 1.5));
    if (stair.high_w > stair.low_w) { // else nothing says how sure it is
        painter.drawLine(QPointF(x, yOf(stair.low_w)), QPointF(x, yOf(stair.high_w)));
        for (const double end : {stair.low_w, stair.high_w})
            painter.drawLine(QPointF(x - px(kWhisker), yOf(end)), QPointF(x + px(kWhisker), yOf(end)));
    }
    const bool chosen = stair.part && stair.part == m_content.part;
    if (chosen) {
        painter.setPen(QPen(t.mark, 2.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(block.adjusted(-3, -3, 3, 3));
    }
    painter.setFont(fonts::numbers(13, true));
    painter.setPen(t.ink);
    const QRectF beside(x + px(kWhisker) + px(4), std::min(yOf(stair.high_w), block.top()) - px(4),
                        column.right() - x + gap, px(20));
    const double needed = painter.fontMetrics().horizontalAdvance(stair.gain);
    QRectF figure = beside;
    if (needed > column.right() - beside.left()) // no room beside the whisker: above it
        figure = QRectF(x - needed / 2, std::max(column.top(), std::min(yOf(stair.high_w), block.top()) - px(22)),
                        needed + 2, px(20));
    if (const double below = std::max(yOf(stair.low_w), block.bottom()) + px(2);
        stair.to_w < stair.from_w && below + px(20) < bottom) // of a loss beyond its lower end
        figure = QRectF(x - needed / 2, below, needed + 2, px(20));
    painter.fillRect(QRectF(figure.left() - 2, figure.top(), needed + 4, figure.height()), t.panel);
    painter.drawText(figure, Qt::AlignLeft | Qt::AlignVCenter, stair.gain);
    painter.setFont(fonts::text(13, chosen));
    painter.setPen(chosen ? t.asText(t.mark) : t.ink);
    const QRectF name(column.left() + 2, bottom, column.width() - 4, px(kNameHeight));
    painter.drawText(name, Qt::AlignHCenter | Qt::AlignBottom,
                     painter.fontMetrics().elidedText(stair.name, Qt::ElideRight, static_cast<int>(name.width())));
}

/// The base at the left, all parts at the right; builds with as many parts below each other.
QPointF CreditPicture::placeOf(size_t node) const {
    const auto level = [&](size_t one) { return std::popcount(m_content.net.nodes[one].parts); };
    int last = 0;
    int same = 0;
    int before = 0;
    for (size_t i = 0; i < m_content.net.nodes.size(); ++i) {
        last = std::max(last, level(i));
        same += level(i) == level(node) ? 1 : 0;
        before += i < node && level(i) == level(node) ? 1 : 0;
    }
    const QRectF all = room().adjusted(px(kNode) + px(30), 0, -px(kNode) - px(30), -px(kNameHeight));
    return {all.left() + all.width() * level(node) / std::max(1, last),
            all.top() + all.height() * (before + 0.5) / same};
}

void CreditPicture::paintNet(QPainter& painter) const {
    for (const bool front : {false, true})
        for (const NetEdge& edge : m_content.net.edges)
            if (edge.inFront == front)
                paintEdge(painter, edge);
    for (size_t node = 0; node < m_content.net.nodes.size(); ++node)
        paintNode(painter, node);
}

void CreditPicture::paintEdge(QPainter& painter, const NetEdge& edge) const {
    const Theme& t = m_look.theme();
    const QPointF from = placeOf(edge.from);
    const QPointF to = placeOf(edge.to);
    const bool run = !edge.gain.isEmpty();
    const QColor colour = run && edge.inFront ? colourOf(edge.mark) : t.unresolved;
    painter.setPen(QPen(colour, run && edge.inFront ? 3.0 : 1.5, run ? Qt::SolidLine : Qt::DotLine));
    painter.drawLine(from, to);
    if (!run || (!edge.inFront && m_content.net.edges.size() > kFewEdges))
        return;
    painter.setFont(fonts::numbers(13, edge.inFront));
    const double width = painter.fontMetrics().horizontalAdvance(edge.gain) + px(8);
    const QPointF middle = from + (to - from) * (m_content.net.edges.size() > kFewEdges ? 0.4 : 0.5);
    const QRectF box(middle.x() - width / 2, middle.y() - px(10), width, px(20));
    painter.fillRect(box, t.panel);
    painter.setPen(edge.inFront ? t.asText(colourOf(edge.mark)) : t.quietInk);
    painter.drawText(box, Qt::AlignCenter, edge.gain);
}

void CreditPicture::paintNode(QPainter& painter, size_t number) const {
    const Theme& t = m_look.theme();
    const NetNode& node = m_content.net.nodes[number];
    const QPointF place = placeOf(number);
    const bool run = !node.build.empty();
    painter.setBrush(run ? t.build(node.number) : t.panel);
    painter.setPen(run ? QPen(t.panel, 2.0) : QPen(t.quietInk, 1.5, Qt::DotLine));
    painter.drawEllipse(place, px(kNode), px(kNode));
    painter.setFont(fonts::text(13, true));
    painter.setPen(!run ? t.quietInk : t.dark ? t.ground : t.panel);
    const QRectF circle(place.x() - px(kNode), place.y() - px(kNode), 2.0 * px(kNode), 2.0 * px(kNode));
    painter.drawText(circle, Qt::AlignCenter,
                     run ? painter.fontMetrics().elidedText(qs(node.build), Qt::ElideRight, 2 * px(kNode)) : u"?"_s);
    painter.setFont(fonts::text(11));
    painter.setPen(t.ink);
    const QString under = run ? node.under : tr("%1, not run").arg(node.under);
    const double most = px(170);
    const QString text = painter.fontMetrics().elidedText(under, Qt::ElideRight, static_cast<int>(most));
    const double width = painter.fontMetrics().horizontalAdvance(text) + 2.0;
    QRectF words(place.x() - width / 2, circle.bottom() + 1, width, px(18));
    words.moveLeft(std::clamp(words.left(), room().left(), std::max(room().left(), room().right() - width)));
    painter.fillRect(words, t.panel); // no line runs through it
    painter.drawText(words, Qt::AlignHCenter | Qt::AlignTop, text);
}

void CreditPicture::mousePressEvent(QMouseEvent* event) {
    setFocus(Qt::MouseFocusReason);
    const QPointF at = event->position();
    for (size_t i = 0; i < m_content.stairs.size(); ++i)
        if (columnOf(i).contains(at) && m_content.stairs[i].part)
            Q_EMIT chosen(*m_content.stairs[i].part);
    if (!m_content.stairs.empty())
        return;
    const NetEdge* nearest = nullptr;
    double least = px(20);
    for (const NetEdge& edge : m_content.net.edges) {
        const QPointF from = placeOf(edge.from);
        const QPointF along = placeOf(edge.to) - from;
        const double share =
            std::clamp(QPointF::dotProduct(at - from, along) / QPointF::dotProduct(along, along), 0.0, 1.0);
        const QPointF apart = at - from - along * share;
        if (const double distance = std::hypot(apart.x(), apart.y()); distance < least) {
            least = distance;
            nearest = &edge;
        }
    }
    if (nearest)
        Q_EMIT chosen(nearest->part);
}

void CreditPicture::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Left)
        Q_EMIT stepped(-1);
    else if (event->key() == Qt::Key_Down || event->key() == Qt::Key_Right)
        Q_EMIT stepped(1);
    else
        QWidget::keyPressEvent(event);
}

QString CreditPicture::spokenName() const {
    return m_content.stairs.empty() ? tr("Net of the builds") : tr("Stairs of the parts");
}

QString CreditPicture::spokenText() const {
    QStringList out;
    for (const CreditStair& stair : m_content.stairs)
        out << u"%1 %2"_s.arg(stair.name, stair.gain);
    if (m_content.stairs.empty())
        for (const NetEdge& edge : m_content.net.edges)
            if (!edge.gain.isEmpty())
                out << tr("%1 to %2: %3")
                           .arg(qs(m_content.net.nodes[edge.from].build), qs(m_content.net.nodes[edge.to].build),
                                edge.gain);
    return out.isEmpty() ? tr("nothing to show") : out.join(u"; "_s);
}

QByteArray CreditPicture::drawing() const {
    QBuffer out;
    QSvgGenerator svg;
    svg.setOutputDevice(&out);
    svg.setSize(size());
    svg.setViewBox(rect());
    QPainter painter(&svg);
    painter.fillRect(rect(), m_look.theme().panel);
    paintAll(painter);
    painter.end();
    return out.data();
}

} // namespace hillrun
