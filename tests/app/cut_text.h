// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QStringList>
#include <QWidget>

#include <utility>

namespace hillrun::test {

/// Every visible label, button, choice, box and field below `top` whose text has less room than it needs, or that
/// stands outside what its parent shows (what a scroll area can bring into view counts as shown); so for tables, lists
/// and boards. "addPartButton: 'Add part' has 60 of 92 px".
QStringList cutTexts(const QWidget& top);

} // namespace hillrun::test
