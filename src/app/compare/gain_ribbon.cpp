// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/gain_ribbon.h"

#include "app/board/board.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/sentence.h"

#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {

GainRibbon::GainRibbon(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"gainRibbon"_s);
    setToolTip(tr("Where the change gives, where it costs, and where nobody can tell yet"));
    setFixedHeight(px(22));
    connect(&m_look, &Look::changed, this, [this] { update(); });
}

/// "cannot tell from 2 300 to 2 900 rpm; gain from 2 900 to 6 400 rpm"
QString GainRibbon::spokenText() const {
    QStringList out;
    for (const Region& region : m_regions) {
        const QString kind = region.kind == RegionKind::Gain   ? tr("gain")
                             : region.kind == RegionKind::Loss ? tr("loss")
                                                               : tr("cannot tell");
        out << tr("%1 from %2 to %3 rpm")
                   .arg(kind, qs(rpmText(region.range_rpm.low)), qs(rpmText(region.range_rpm.high)));
    }
    return out.isEmpty() ? tr("nothing to show") : out.join(u"; "_s);
}

void GainRibbon::setRegions(std::vector<Region> regions, const RpmRange& axis, double step_rpm) {
    m_regions = std::move(regions);
    m_axis = axis;
    m_step_rpm = step_rpm;
    update();
}

void GainRibbon::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const Theme& t = m_look.theme();
    painter.fillRect(rect(), t.panel);
    if (!(m_axis.high > m_axis.low))
        return;
    const double left = Board::leftMargin();
    const double wide = width() - Board::leftMargin() - Board::rightMargin();
    auto xOf = [&](double rpm) {
        return left + wide * (std::clamp(rpm, m_axis.low, m_axis.high) - m_axis.low) / (m_axis.high - m_axis.low);
    };
    painter.setFont(fonts::text(11, true));
    for (const Region& region : m_regions) {
        const double from = xOf(region.range_rpm.low - m_step_rpm / 2);
        const double to = xOf(region.range_rpm.high + m_step_rpm / 2);
        const QRectF box(from, 3, to - from, height() - 6);
        QString word;
        if (region.kind == RegionKind::Unresolved) {
            painter.fillRect(box, QBrush(t.unresolved, Qt::BDiagPattern));
            word = tr("cannot tell");
        } else {
            const bool gain = region.kind == RegionKind::Gain;
            painter.fillRect(box, gain ? t.gain : t.loss);
            if (!gain)
                painter.fillRect(box, QBrush(QColor(255, 255, 255, 70), Qt::HorPattern));
            word = gain ? tr("gain") : tr("loss");
        }
        const double needed = painter.fontMetrics().horizontalAdvance(word) + 14.0;
        if (box.width() < needed)
            continue;
        const QRectF ground(box.center().x() - needed / 2, box.top(), needed, box.height()); // no hatch behind words
        if (region.kind == RegionKind::Unresolved) {
            painter.fillRect(ground, t.panel);
            painter.setPen(t.quietInk);
        } else {
            painter.fillRect(ground, region.kind == RegionKind::Gain ? t.gain : t.loss);
            painter.setPen(t.dark ? t.ground : t.panel);
        }
        painter.drawText(box, Qt::AlignCenter, word);
    }
}

} // namespace hillrun
