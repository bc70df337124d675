// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QString>

namespace hillrun {

/// How much larger than drawn everything stands, because the desktop's own type is larger: 1 up to 10 points, 1.6
/// at 16.
double lookScale();

/// A length of the design in pixels of this desktop.
int px(double drawn);

/// A style sheet with its lengths ("13px") in pixels of this desktop; rules of one or two pixels stay as they are.
QString scaledSheet(const QString& sheet);

} // namespace hillrun
