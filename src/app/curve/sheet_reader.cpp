// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/sheet_reader.h"

#include "app/curve/pdf_module.h"
#include "core/errors/data_error.h"

#include <QBuffer>
#include <QCoreApplication>
#include <QImageReader>
#include <QLibrary>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kDotsAnInch = 200.0;
constexpr double kMostPixels = 40e6;

[[noreturn]] void refuse(Problem problem, std::vector<Argument> details, const std::string& name) {
    throw DataError(problem, std::move(details), {.file = name});
}

QString modulePath() { return QCoreApplication::applicationDirPath() + u"/../lib/hillrun/modules/hillrun-pdf.so"_s; }

const char* faultId(PdfFault fault) {
    switch (fault) {
    case PdfFault::Password:
        return "picture.password";
    case PdfFault::NoPage:
        return "picture.no_page";
    case PdfFault::NotDrawn:
        return "picture.not_drawn";
    case PdfFault::Unreadable:
    case PdfFault::None:
        break;
    }
    return "picture.unreadable";
}

SheetPage readPdf(const QByteArray& bytes, const std::string& name, int page) {
    QLibrary module(modulePath()); // stays loaded
    const auto read = reinterpret_cast<decltype(&hillrunReadPdf)>(module.resolve("hillrunReadPdf"));
    if (!read)
        refuse(Problem::BadPicture, {Statement{"picture.no_reader", {module.errorString().toStdString()}}}, name);
    PdfPage out;
    read(bytes, page, {kDotsAnInch, kMostPixels}, out);
    if (out.fault != PdfFault::None)
        refuse(Problem::BadPicture, {Statement{faultId(out.fault)}}, name);
    return {out.image, out.pages};
}

} // namespace

bool isSheetPath(const QString& path) {
    for (const auto& ending : {u".png"_s, u".jpg"_s, u".jpeg"_s, u".pdf"_s})
        if (path.endsWith(ending, Qt::CaseInsensitive))
            return true;
    return false;
}

SheetPage readSheet(const std::string& bytes, const std::string& name, int page) {
    const auto data = QByteArray::fromRawData(bytes.data(), static_cast<qsizetype>(bytes.size()));
    if (data.startsWith("%PDF"))
        return readPdf(data, name, page);
    QBuffer buffer;
    buffer.setData(data);
    buffer.open(QIODevice::ReadOnly);
    QImageReader reader(&buffer);
    reader.setAutoTransform(true); // a photo held upright
    const QSize size = reader.size();
    if (size.isValid() && double(size.width()) * size.height() > kMostPixels)
        refuse(Problem::TooLarge, {Statement{"size.picture"}, Statement{"size.picture_limit"}}, name);
    const QImage image = reader.read();
    if (image.isNull())
        refuse(Problem::BadPicture, {reader.errorString().toStdString()}, name);
    return {image, 1};
}

Picture pictureOf(const QImage& image) {
    const QImage plain = image.convertToFormat(QImage::Format_ARGB32);
    Picture out;
    out.width = plain.width();
    out.height = plain.height();
    out.pixels.reserve(static_cast<size_t>(out.width) * static_cast<size_t>(out.height));
    for (int y = 0; y < out.height; ++y) {
        const auto* row = reinterpret_cast<const QRgb*>(plain.constScanLine(y));
        for (int x = 0; x < out.width; ++x) {
            const int alpha = qAlpha(row[x]); // what is clear is paper
            const auto onWhite = [&](int part) {
                return static_cast<std::uint8_t>((part * alpha + 255 * (255 - alpha)) / 255);
            };
            out.pixels.push_back({onWhite(qRed(row[x])), onWhite(qGreen(row[x])), onWhite(qBlue(row[x]))});
        }
    }
    return out;
}

} // namespace hillrun
