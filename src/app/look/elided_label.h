// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/plain_text.h"

#include <QResizeEvent>

namespace hillrun {

/// One line that ends in an ellipsis where there is no room; the whole text is its tooltip.
class ElidedLabel : public PlainLabel {
public:
    explicit ElidedLabel(QWidget* parent = nullptr) : PlainLabel(parent) {
        setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    }
    void setFullText(const QString& text) {
        m_full = text;
        setToolTip(text);
        elide();
    }
    [[nodiscard]] const QString& fullText() const { return m_full; }

protected:
    void resizeEvent(QResizeEvent* event) override {
        QLabel::resizeEvent(event);
        elide();
    }

private:
    void elide() { setText(fontMetrics().elidedText(m_full, Qt::ElideRight, width())); }
    QString m_full;
};

} // namespace hillrun
