// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/trace/picture.h"

#include <memory>
#include <QImage>
#include <string>

namespace hillrun {

/// A page of a sheet as a picture.
struct SheetPage {
    QImage image;
    int pages = 1;
};

/// Whether a file may be a sheet by its ending: PNG, JPEG, PDF.
bool isSheetPath(const QString& path);
/// A page of it, from 0; of a PDF at 200 dots an inch, less where that would be more than 40 million pixels. Throws
/// DataError (OtherKind, ArchiveBroken, TooLarge).
SheetPage readSheet(const std::string& bytes, const std::string& name, int page);
/// The same for the core.
Picture pictureOf(const QImage& image);

} // namespace hillrun
