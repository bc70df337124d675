// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QDateTime>
#include <string>

namespace hillrun {

/// Seconds since 1970 by this machine.
inline double machineClock_s() { return static_cast<double>(QDateTime::currentMSecsSinceEpoch()) / 1000.0; }

/// Now, by this machine, as local time with its offset ("2026-05-16T09:12:00+01:00").
inline std::string machineTimeText() {
    const QDateTime now = QDateTime::currentDateTime();
    return now.toOffsetFromUtc(now.offsetFromUtc()).toString(Qt::ISODate).toStdString();
}

} // namespace hillrun
