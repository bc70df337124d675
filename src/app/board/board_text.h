// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"

namespace hillrun {

/// What a board shows, in words: for each named curve where it begins, its highest and lowest and where it ends; the
/// named stretches and marks; the cursor's figures.
QString boardText(const BoardContent& content, const QString& cursor);

} // namespace hillrun
