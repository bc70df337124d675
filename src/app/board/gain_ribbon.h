// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "core/compare/comparison.h"

#include <QWidget>

namespace hillrun {

/// What is drawn along an axis of engine speed.
struct RibbonRegions {
    std::vector<Region> regions;
    RpmRange axis;
    double step_rpm = 50.0; ///< half of it belongs to a region at each end
    bool asMore = false;    ///< of what is no gain in itself: "more" and "less" in place of "gain" and "loss"
};
/// Fills `room`, whose sides are the axis' ends.
void paintRegions(QPainter& painter, const QRectF& room, const RibbonRegions& what, const Theme& theme);
/// "cannot tell from 2 300 to 2 900 rpm; gain from 2 900 to 6 400 rpm"
QString spokenRegions(const std::vector<Region>& regions, bool asMore = false);

/// Gain, loss and unresolved along the rpm axis of the boards above and below it; told apart by shade and hatch too.
class GainRibbon : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    explicit GainRibbon(Look& look, QWidget* parent = nullptr);
    [[nodiscard]] QString spokenName() const override { return tr("Gain ribbon"); }
    [[nodiscard]] QString spokenText() const override { return spokenRegions(m_regions, m_asMore); }
    void setRegions(std::vector<Region> regions, const RpmRange& axis, double step_rpm, bool asMore = false);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    Look& m_look;
    std::vector<Region> m_regions;
    RpmRange m_axis;
    double m_step_rpm = 50.0;
    bool m_asMore = false;
};

} // namespace hillrun
