// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/gain_ribbon.h"

#include "app/board/board.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/sentence.h"

#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

QString wordOf(RegionKind kind, bool asMore) {
    if (kind == RegionKind::Unresolved)
        return GainRibbon::tr("cannot tell");
    if (asMore)
        return kind == RegionKind::Gain ? GainRibbon::tr("more") : GainRibbon::tr("less");
    return kind == RegionKind::Gain ? GainRibbon::tr("gain") : GainRibbon::tr("loss");
}

/// The word in the middle, where it fits; no hatch behind it.
void paintWord(QPainter& painter, const QRectF& box, RegionKind kind, bool asMore, const Theme& theme) {
    const QString word = wordOf(kind, asMore);
    const double needed = painter.fontMetrics().horizontalAdvance(word) + 14.0;
    if (box.width() < needed)
        return;
    const QRectF ground(box.center().x() - needed / 2, box.top(), needed, box.height());
    const bool open = kind == RegionKind::Unresolved;
    painter.fillRect(ground, open ? theme.panel : kind == RegionKind::Gain ? theme.gain : theme.loss);
    painter.setPen(open ? theme.quietInk : theme.dark ? theme.ground : theme.panel);
    painter.drawText(box, Qt::AlignCenter, word);
}

} // namespace

void paintRegions(QPainter& painter, const QRectF& room, const RibbonRegions& what, const Theme& theme) {
    const RpmRange& axis = what.axis;
    if (!(axis.high > axis.low))
        return;
    const auto xOf = [&](double rpm) {
        return room.left() + room.width() * (std::clamp(rpm, axis.low, axis.high) - axis.low) / (axis.high - axis.low);
    };
    painter.setFont(fonts::text(11, true));
    for (const Region& region : what.regions) {
        const double from = xOf(region.range_rpm.low - what.step_rpm / 2);
        const double to = xOf(region.range_rpm.high + what.step_rpm / 2);
        const QRectF box(from, room.top(), to - from, room.height());
        if (region.kind == RegionKind::Unresolved) {
            painter.fillRect(box, QBrush(theme.unresolved, Qt::BDiagPattern));
        } else {
            painter.fillRect(box, region.kind == RegionKind::Gain ? theme.gain : theme.loss);
            if (region.kind == RegionKind::Loss)
                painter.fillRect(box, QBrush(QColor(255, 255, 255, 70), Qt::HorPattern));
        }
        paintWord(painter, box, region.kind, what.asMore, theme);
    }
}

QString spokenRegions(const std::vector<Region>& regions, bool asMore) {
    QStringList out;
    for (const Region& region : regions)
        out << GainRibbon::tr("%1 from %2 to %3 rpm")
                   .arg(wordOf(region.kind, asMore), qs(rpmText(region.range_rpm.low)),
                        qs(rpmText(region.range_rpm.high)));
    return out.isEmpty() ? GainRibbon::tr("nothing to show") : out.join(u"; "_s);
}

GainRibbon::GainRibbon(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"gainRibbon"_s);
    setToolTip(tr("Where the change gives, where it costs, and where nobody can tell yet"));
    setFixedHeight(px(22));
    connect(&m_look, &Look::changed, this, [this] { update(); });
}

void GainRibbon::setRegions(std::vector<Region> regions, const RpmRange& axis, double step_rpm, bool asMore) {
    m_regions = std::move(regions);
    m_axis = axis;
    m_step_rpm = step_rpm;
    m_asMore = asMore;
    update();
}

void GainRibbon::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_look.theme().panel);
    paintRegions(painter, QRectF(rect()).adjusted(Board::leftMargin(), 3, -Board::rightMargin(), -3),
                 {m_regions, m_axis, m_step_rpm, m_asMore}, m_look.theme());
}

} // namespace hillrun
