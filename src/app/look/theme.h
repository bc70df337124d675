// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QColor>
#include <QFont>
#include <QIcon>
#include <QObject>
#include <QPainter>
#include <QPalette>
#include <QPen>
#include <QString>

namespace hillrun {

/// The colours of the window, paper by day and cell by night.
struct Theme {
    bool dark = false;
    QColor ground, panel, ink, quietInk, rule, mark, warning, stop;
    QColor edge; ///< of what can be typed into or pressed: 3:1 against panel and ground
    QColor gain, loss, unresolved;

    static Theme paper();
    static Theme nightCell();
    /// Colour of the nth build; lighter in the dark so that it stays readable.
    [[nodiscard]] QColor build(size_t number) const;
    /// Pen of the nth build with its own dash.
    [[nodiscard]] QPen buildPen(size_t number, double width) const;
    /// A colour made darker or lighter until words in it can be read on panel and ground (4.5:1).
    [[nodiscard]] QColor asText(const QColor& colour) const;
    /// A colour as it looks when laid thinly on a panel; opaque, so that lines may cross themselves.
    [[nodiscard]] QColor faded(const QColor& colour, double share) const;
    bool operator==(const Theme&) const = default;
};

namespace fonts {
QFont text(int pixels = 13, bool bold = false);
QFont numbers(int pixels = 13, bool bold = false);
/// As drawn, for a painter that is scaled as a whole.
QFont drawn(int pixels = 13, bool bold = false);
} // namespace fonts

/// Contrast of two colours as WCAG 2.1 defines it, 1 to 21.
double contrast(const QColor& one, const QColor& other);

/// The ground of a chosen row or cell: tinted, between two lines of the mark's colour.
void paintChosen(QPainter& painter, const QRect& room, const Theme& theme);

/// The one look of the window; pages repaint when it changes.
class Look : public QObject {
    Q_OBJECT
public:
    explicit Look(QObject* parent = nullptr);
    [[nodiscard]] const Theme& theme() const { return m_theme; }
    void setDark(bool dark);
    /// For what the style sheet does not reach: file dialogs, the parts of other people's widgets.
    [[nodiscard]] QPalette palette() const;
    /// Style sheet of the whole application.
    [[nodiscard]] QString styleSheet() const;
    /// One of our own drawings, in a colour of the theme.
    [[nodiscard]] QIcon icon(const QString& name, const QColor& colour) const;

Q_SIGNALS:
    void changed();

private:
    Theme m_theme;
};

} // namespace hillrun
