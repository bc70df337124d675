// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/kept_links.h"

using namespace Qt::StringLiterals;

namespace hillrun {

std::vector<NamedLink> keptLinks(const SettingsStore& settings) {
    std::vector<NamedLink> out;
    for (const QString& line : settings.get(settings::kLinks)) {
        const QStringList parts = line.split(u'\t');
        if (parts.size() != 3)
            continue;
        if (const auto address = linkAddressFrom(parts[1]))
            out.push_back({parts[0], *address, parts[2] == u"1"_s});
    }
    return out;
}

void keepLinks(SettingsStore& settings, const std::vector<NamedLink>& links) {
    QStringList lines;
    for (const NamedLink& link : links)
        lines << QStringList{QString(link.name).replace(u'\t', u' '), link.address.text(), link.inUse ? u"1"_s : u"0"_s}
                     .join(u'\t');
    settings.set(settings::kLinks, lines);
}

void useKeptLinks(const SettingsStore& settings, CellService& cell) {
    std::vector<LinkAddress> addresses;
    for (const NamedLink& link : keptLinks(settings))
        if (link.inUse)
            addresses.push_back(link.address);
    cell.setLinks(addresses);
}

} // namespace hillrun
