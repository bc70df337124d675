// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/pdf_module.h"

#include <algorithm>
#include <cmath>
#include <poppler-qt6.h>

using namespace hillrun;

namespace {

constexpr double kPointsAnInch = 72.0;

PdfPage read(const QByteArray& bytes, int page, const PdfSize& size) {
    Poppler::setDebugErrorFunction([](const QString&, const QVariant&) {}, {}); // what is wrong is said in the window
    const auto document = Poppler::Document::loadFromData(bytes);
    PdfPage out;
    if (!document || document->isLocked() || document->numPages() < 1) {
        out.fault = document && document->isLocked() ? PdfFault::Password : PdfFault::NoPage;
        return out;
    }
    document->setRenderHint(Poppler::Document::Antialiasing);
    document->setRenderHint(Poppler::Document::TextAntialiasing);
    out.pages = document->numPages();
    const auto sheet = document->page(std::clamp(page, 0, out.pages - 1));
    if (!sheet)
        return out;
    const QSizeF inches = sheet->pageSizeF() / kPointsAnInch;
    const double pixels = inches.width() * inches.height() * size.dotsAnInch * size.dotsAnInch;
    const double dots =
        pixels > size.mostPixels ? size.dotsAnInch * std::sqrt(size.mostPixels / pixels) : size.dotsAnInch;
    out.image = sheet->renderToImage(dots, dots);
    out.fault = out.image.isNull() ? PdfFault::NotDrawn : PdfFault::None;
    return out;
}

} // namespace

void hillrunReadPdf(const QByteArray& bytes, int page, const PdfSize& size, PdfPage& out) {
    out = read(bytes, page, size);
}
