// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QRect>
#include <QString>
#include <QWidget>

namespace hillrun {

// What our own drawn widgets say to a screen reader. They are asked when somebody reads, never before.

/// A picture that can be told in words.
class SpokenPicture {
public:
    virtual ~SpokenPicture() = default;
    [[nodiscard]] virtual QString spokenName() const = 0; ///< what it is a picture of
    [[nodiscard]] virtual QString spokenText() const = 0; ///< what it shows
};

/// Things drawn in a row, each of which can be read and chosen by itself.
class SpokenItems {
public:
    virtual ~SpokenItems() = default;
    [[nodiscard]] virtual int spokenCount() const = 0;
    [[nodiscard]] virtual QString spokenItem(int index) const = 0;
    [[nodiscard]] virtual QRect spokenRect(int index) const = 0; ///< in the widget
    [[nodiscard]] virtual bool spokenChosen(int index) const = 0;
    virtual void chooseSpoken(int index) = 0;
};

/// Makes the widgets above known to the accessibility of the desktop; once, before they are made.
void installSpokenWidgets();

/// Says a change of great moment aloud (a slip, a gate that opened), whatever has the focus.
void speakNow(QWidget* about);

} // namespace hillrun
