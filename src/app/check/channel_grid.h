// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/channel_content.h"

#include <QGridLayout>
#include <QScrollArea>

namespace hillrun {

/// Small multiples: one compact board a channel, all on one axis of engine speed, with one cursor.
class ChannelGrid : public QScrollArea {
    Q_OBJECT
public:
    explicit ChannelGrid(Look& look, QWidget* parent = nullptr);
    void show(std::vector<ChannelTile> tiles);
    using QWidget::show;
    /// `readout` says what a tile shows at the cursor.
    void setCursor(std::optional<double> rpm, const std::function<QString(const ChannelTile&)>& readout);
    [[nodiscard]] const std::vector<ChannelTile>& tiles() const { return m_tiles; }

Q_SIGNALS:
    void cursorMoved(double rpm);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void arrange();

    Look& m_look;
    QWidget* m_inside = nullptr;
    QGridLayout* m_grid = nullptr;
    std::vector<Board*> m_boards; ///< at least as many as tiles; the rest is hidden
    std::vector<ChannelTile> m_tiles;
    int m_columns = 0;
};

} // namespace hillrun
