// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "app/pull/gates.h"

#include <QWidget>

namespace hillrun {

/// The gates, one under the other, large enough for two metres: a filled mark is met, a hollow one is waited for.
class GateList : public QWidget, public SpokenItems {
    Q_OBJECT
public:
    explicit GateList(Look& look, QWidget* parent = nullptr);
    void setGates(std::vector<Gate> gates);
    [[nodiscard]] const std::vector<Gate>& gates() const { return m_gates; }
    [[nodiscard]] int spokenCount() const override { return static_cast<int>(m_gates.size()); }
    [[nodiscard]] QString spokenItem(int index) const override;
    [[nodiscard]] QRect spokenRect(int index) const override;
    [[nodiscard]] bool spokenChosen(int) const override { return false; }
    void chooseSpoken(int) override {}
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return {180, sizeHint().height()}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintGate(QPainter& painter, const QRect& room, const Gate& gate) const;
    Look& m_look;
    std::vector<Gate> m_gates;
};

} // namespace hillrun
