// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board_svg.h"

#include <algorithm>
#include <QBuffer>
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

} // namespace hillrun
