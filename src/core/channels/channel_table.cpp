// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channel_table.h"

#include <algorithm>
#include <cmath>

namespace hillrun {

bool sameRows(const ChannelTable& a, const ChannelTable& b) {
    if (a.columns.size() != b.columns.size() || a.rows() != b.rows())
        return false;
    const auto same = [](double x, double y) { return x == y || (std::isnan(x) && std::isnan(y)); };
    return std::equal(a.columns.begin(), a.columns.end(), b.columns.begin(), [&](const Column& x, const Column& y) {
        return x.name == y.name && x.unit == y.unit &&
               std::equal(x.values.begin(), x.values.end(), y.values.begin(), y.values.end(), same);
    });
}

} // namespace hillrun
