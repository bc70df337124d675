// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QMimeData>
#include <QStringList>

namespace hillrun {

/// A table on its way to the clipboard.
struct CopiedTable {
    QString title; ///< a line above it
    QStringList head;
    QList<QStringList> rows;
};

/// As tab-separated text, as CSV and as HTML: whoever pastes takes what he understands.
std::unique_ptr<QMimeData> asMime(const CopiedTable& table);

} // namespace hillrun
