// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/credit/credit_content.h"
#include "app/look/accessible.h"

#include <QWidget>

namespace hillrun {

/// What the parts give as one picture: stairs that add up, or a net of the builds joined by the parts between them.
class CreditPicture : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    struct Content {
        std::vector<CreditStair> stairs; ///< where there are none the net is drawn
        CreditNet net;
        std::optional<size_t> part; ///< the chosen one
        QString base;               ///< "A 62.3 kW", where the stairs begin
        bool operator==(const Content&) const = default;
    };
    explicit CreditPicture(Look& look, QWidget* parent = nullptr);
    void setContent(Content content);
    [[nodiscard]] const Content& content() const { return m_content; }
    [[nodiscard]] QString spokenName() const override;
    [[nodiscard]] QString spokenText() const override;
    [[nodiscard]] QByteArray drawing() const; ///< as SVG

Q_SIGNALS:
    void chosen(size_t part);
    void stepped(int by); ///< Up or Down: the previous or next part

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    [[nodiscard]] QSize sizeHint() const override;

private:
    void paintAll(QPainter& painter) const;
    void paintStairs(QPainter& painter) const;
    void paintStair(QPainter& painter, const CreditStair& stair, const QRectF& column, const RpmRange& scale) const;
    void paintNet(QPainter& painter) const;
    void paintEdge(QPainter& painter, const NetEdge& edge) const;
    void paintNode(QPainter& painter, size_t node) const;
    [[nodiscard]] QRectF room() const;
    [[nodiscard]] QRectF columnOf(size_t stair) const;
    [[nodiscard]] QPointF placeOf(size_t node) const;
    [[nodiscard]] QColor colourOf(GainMark mark) const;

    Look& m_look;
    Content m_content;
};

} // namespace hillrun
