// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/accessible.h"
#include "app/look/theme.h"
#include "core/day/laid_log.h"

#include <optional>
#include <QWidget>

namespace hillrun {

/// A pull's engine speed and a log's over one time, the log's stretch shaded. Dragging moves the log.
class LogPicture : public QWidget, public SpokenPicture {
    Q_OBJECT
public:
    explicit LogPicture(QWidget* parent = nullptr);
    void setTheme(const Theme& theme);
    /// Without a clock only the pull is drawn.
    void show(std::shared_ptr<const ChannelTable> pull, std::shared_ptr<const ChannelTable> log,
              std::optional<LogClock> clock);
    using QWidget::show;
    [[nodiscard]] QString spokenName() const override { return tr("Engine speed of the pull and of the log"); }
    [[nodiscard]] QString spokenText() const override;
    [[nodiscard]] QSize sizeHint() const override { return {520, 260}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {240, 140}; }

Q_SIGNALS:
    void dragged(double lag_s); ///< what the clocks' lag would be now

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

private:
    [[nodiscard]] double xOf(double pull_s) const;
    void drawAxes(QPainter& painter) const;
    void drawSpeed(QPainter& painter, const ChannelTable& table, const LogClock& clock, const QPen& pen) const;

    Theme m_theme;
    std::shared_ptr<const ChannelTable> m_pull;
    std::shared_ptr<const ChannelTable> m_log;
    std::optional<LogClock> m_clock;
    double m_from_s = 0.0;
    double m_to_s = 1.0;
    double m_high_rpm = 1.0;
    std::optional<double> m_grabbed_x; ///< where the drag began
    double m_grabbedLag_s = 0.0;
};

} // namespace hillrun
