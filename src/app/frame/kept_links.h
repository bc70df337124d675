// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/settings.h"
#include "cell/cell_service.h"
#include "cell/link_address.h"

#include <vector>

namespace hillrun {

/// A connection that was given a name.
struct NamedLink {
    QString name;
    LinkAddress address;
    bool inUse = true;
    bool operator==(const NamedLink&) const = default;
};

/// Connections as they are kept between runs.
std::vector<NamedLink> keptLinks(const SettingsStore& settings);
void keepLinks(SettingsStore& settings, const std::vector<NamedLink>& links);
/// Connects to those that are in use, and to no other.
void useKeptLinks(const SettingsStore& settings, CellService& cell);

} // namespace hillrun
