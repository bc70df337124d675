// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board_svg.h"

#include "app/look/drag_out.h"

#include <algorithm>
#include <QBuffer>
#include <QFile>
#include <QSvgGenerator>

namespace hillrun {

QByteArray boardsAsSvg(const std::vector<Board*>& boards) {
    QSize size(0, 0);
    for (const Board* board : boards)
        size = {std::max(size.width(), board->width()), size.height() + board->height()};
    QByteArray out;
    QBuffer buffer(&out);
    QSvgGenerator generator;
    generator.setOutputDevice(&buffer);
    generator.setSize(size);
    generator.setViewBox(QRect(QPoint(0, 0), size));
    QCPPainter painter(&generator);
    painter.setMode(QCPPainter::pmVectorized);
    for (Board* board : boards) {
        board->toPainter(&painter, board->width(), board->height());
        painter.translate(0, board->height());
    }
    painter.end();
    return out.replace("H612", "B612"); // the name under which the type is known elsewhere
}

std::unique_ptr<QMimeData> carriedBoard(Board& board) {
    auto out = std::make_unique<QMimeData>();
    const QImage pixels = board.grab().toImage();
    const QByteArray drawing = boardsAsSvg({&board});
    out->setImageData(pixels);
    out->setData(QStringLiteral("image/svg+xml"), drawing);
    const QString png = carriedFile(board.objectName() + QStringLiteral(".png"));
    const QString svg = carriedFile(board.objectName() + QStringLiteral(".svg"));
    QFile file(svg);
    if (pixels.save(png) && file.open(QIODevice::WriteOnly) && file.write(drawing) == drawing.size())
        carryFiles(*out, {png, svg});
    return out;
}

} // namespace hillrun
