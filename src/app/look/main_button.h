// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QPushButton>
#include <QStyle>

namespace hillrun {

/// Makes a button the main one of its dialog. Styled anew, because a button box styles its buttons when it takes them.
inline void makeMain(QPushButton* button) {
    button->setProperty("main", true);
    button->style()->unpolish(button);
    button->style()->polish(button);
}

} // namespace hillrun
