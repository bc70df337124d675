// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QByteArray>
#include <QImage>

// Pages of a PDF as pictures. The library for it drags in fifteen others, a tenth of what the window takes to start;
// so it stands in a module, lib/hillrun/modules/hillrun-pdf.so, that is loaded when the first PDF is opened.

namespace hillrun {

enum class PdfFault { None, Password, NoPage, Unreadable, NotDrawn };

struct PdfPage {
    QImage image;
    int pages = 0;
    PdfFault fault = PdfFault::Unreadable;
};

struct PdfSize {
    double dotsAnInch = 0.0;
    double mostPixels = 0.0; ///< of a large page fewer dots are drawn
};

} // namespace hillrun

/// `page` from 0; one beyond the last is the last.
extern "C" void hillrunReadPdf(const QByteArray& bytes, int page, const hillrun::PdfSize& size, hillrun::PdfPage& out);
