// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QString>
#include <vector>

namespace hillrun {

/// A day that can be opened when the window has none.
struct StartDay {
    QString title; ///< its name, or its folder's
    QString path;
    bool demo = false;
};

/// The invented days that ship with the program, by name; empty where they are not installed.
std::vector<StartDay> demoDays();
/// The name that a day's folder says it has; its folder's name where that cannot be read.
QString nameOfDay(const QString& path);

} // namespace hillrun
