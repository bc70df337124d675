// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/channel_grid.h"

#include "app/look/scale.h"

#include <QResizeEvent>

using namespace Qt::StringLiterals;

namespace hillrun {

constexpr int kTileWidth = 176; ///< at least; as many columns as fit
constexpr int kTileHeight = 100;

ChannelGrid::ChannelGrid(Look& look, QWidget* parent) : QScrollArea(parent), m_look(look) {
    setObjectName(u"channelGrid"_s);
    setAccessibleName(tr("Channels over engine speed"));
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_inside = new QWidget;
    m_inside->setProperty("panelInside", true);
    m_grid = new QGridLayout(m_inside);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setSpacing(0);
    setWidget(m_inside);
}

void ChannelGrid::show(std::vector<ChannelTile> tiles) {
    m_tiles = std::move(tiles);
    while (m_boards.size() < m_tiles.size()) {
        auto* board = new Board(m_look, u"tile%1"_s.arg(m_boards.size()), m_inside);
        board->setCompact();
        board->setFixedHeight(px(kTileHeight));
        connect(board, &Board::cursorMoved, this, &ChannelGrid::cursorMoved);
        const int number = static_cast<int>(m_boards.size());
        if (number > 0)
            board->setFocusPolicy(Qt::ClickFocus); // all of them are one stop for Tab; Up and Down go on
        connect(board, &Board::stepped, this, [this, number](int by) {
            const int next = std::clamp(number + by, 0, static_cast<int>(m_tiles.size()) - 1);
            m_boards[static_cast<size_t>(next)]->setFocus();
            ensureWidgetVisible(m_boards[static_cast<size_t>(next)]);
        });
        m_boards.push_back(board);
        m_columns = 0; // to be arranged anew
    }
    for (size_t i = 0; i < m_boards.size(); ++i) {
        const bool shown = i < m_tiles.size();
        m_boards[i]->setVisible(shown);
        if (!shown)
            continue;
        m_boards[i]->setContent(m_tiles[i].board);
        m_boards[i]->setToolTip(QString::fromStdString(m_tiles[i].note));
    }
    arrange();
}

void ChannelGrid::arrange() {
    const int columns = std::max(1, viewport()->width() / kTileWidth);
    if (columns == m_columns)
        return;
    m_columns = columns;
    for (size_t i = 0; i < m_boards.size(); ++i)
        m_grid->addWidget(m_boards[i], static_cast<int>(i) / columns, static_cast<int>(i) % columns);
    for (int i = 0; i < 12; ++i)
        m_grid->setColumnStretch(i, i < columns ? 1 : 0);
    m_grid->setRowStretch(static_cast<int>(m_boards.size()) / columns + 1, 1);
}

void ChannelGrid::resizeEvent(QResizeEvent* event) {
    QScrollArea::resizeEvent(event);
    arrange();
}

void ChannelGrid::setCursor(std::optional<double> rpm, const std::function<QString(const ChannelTile&)>& readout) {
    for (size_t i = 0; i < m_tiles.size(); ++i)
        m_boards[i]->setCursor(rpm, rpm ? readout(m_tiles[i]) : QString());
}

} // namespace hillrun
