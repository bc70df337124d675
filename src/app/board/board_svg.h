// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"

#include <memory>
#include <QMimeData>

namespace hillrun {

/// Boards one below the other as a drawing, as they stand on the screen.
QByteArray boardsAsSvg(const std::vector<Board*>& boards);

/// A board as it is carried into another program: as pixels, as a drawing, and both as files.
std::unique_ptr<QMimeData> carriedBoard(Board& board);

} // namespace hillrun
