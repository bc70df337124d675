// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/shell/action_state.h"

#include <QStringList>
#include <QWidget>

#include <utility>

namespace hillrun::test {

/// The pages a look for cut text goes through, each with the name of its picture.
inline constexpr std::pair<Page, const char*> kEveryPage[] = {{Page::Prepare, "prepare"}, {Page::Pull, "pull"},
                                                              {Page::Check, "check"},     {Page::Compare, "compare"},
                                                              {Page::Report, "report"},   {Page::Bench, "bench"}};

/// Every visible label, button, choice, box and field below `top` whose text has less room than it needs, or that
/// stands outside what its parent shows (what a scroll area can bring into view counts as shown). "addPartButton: 'Add
/// part' has 60 of 92 px".
QStringList cutTexts(const QWidget& top);

} // namespace hillrun::test
