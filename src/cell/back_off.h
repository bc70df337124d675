// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <algorithm>

namespace hillrun {

/// Waits between attempts to connect: a quarter of a second, then twice as long each time, up to five seconds.
class BackOff {
public:
    int next_ms() {
        const int wait = m_wait_ms;
        m_wait_ms = std::min(2 * m_wait_ms, 5000);
        return wait;
    }
    void reset() { m_wait_ms = kFirst_ms; }

private:
    static constexpr int kFirst_ms = 250;
    int m_wait_ms = kFirst_ms;
};

} // namespace hillrun
