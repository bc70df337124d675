// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "core/day/wanted_use.h"

namespace hillrun {

/// How much each engine speed counts, as bars that are drawn with the pointer, stepped with the arrows or typed as a
/// digit. A weight is a whole number from nothing to ten.
class WeightBars : public QWidget, public SpokenItems, public SpokenPicture {
    Q_OBJECT
public:
    static constexpr int kMost = 10;

    WeightBars(Look& look, const RpmRange& range_rpm, QWidget* parent);
    /// Bars at round speeds of the range; weights between its own are read off straight lines.
    void setWeights(const SpeedWeights& weights);
    [[nodiscard]] SpeedWeights weights() const;
    [[nodiscard]] bool empty() const; ///< no speed counts

    [[nodiscard]] QString spokenName() const override;
    [[nodiscard]] QString spokenText() const override;
    [[nodiscard]] int spokenCount() const override { return static_cast<int>(m_rpm.size()); }
    [[nodiscard]] QString spokenItem(int index) const override;
    [[nodiscard]] QRect spokenRect(int index) const override;
    [[nodiscard]] bool spokenChosen(int index) const override { return index == m_chosen; }
    void chooseSpoken(int index) override;

Q_SIGNALS:
    void changed();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    void draw(const QPointF& at);
    void setBar(int index, int weight);
    [[nodiscard]] QRectF barArea() const;

    Look& m_look;
    std::vector<double> m_rpm;
    std::vector<int> m_weights; ///< one a speed
    int m_chosen = 0;
};

} // namespace hillrun
