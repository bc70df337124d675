// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/theme.h"
#include "core/trace/picture.h"

#include <optional>
#include <QImage>
#include <QWidget>

namespace hillrun {

/// The pixels around the pointer, large, so that a mark is set to a pixel.
class TraceLens : public QWidget {
    Q_OBJECT
public:
    explicit TraceLens(const Theme& theme, QWidget* parent = nullptr);
    void setImage(const QImage& image);
    void showPlace(PicturePoint place);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    Theme m_theme;
    QImage m_image;
    std::optional<PicturePoint> m_place;
};

} // namespace hillrun
