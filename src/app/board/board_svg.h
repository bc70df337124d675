// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"

namespace hillrun {

/// Boards one below the other as a drawing, as they stand on the screen.
QByteArray boardsAsSvg(const std::vector<Board*>& boards);

} // namespace hillrun
