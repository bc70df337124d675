// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "words/language.h"

#include <QString>

namespace hillrun {

/// The language that a setting means: "desktop" is the system's, else a language's code.
Language languageOf(const QString& setting);

/// From here on the whole program speaks so: the sentences of the core, the window's texts, Qt's own, the decimal mark.
/// Numbers follow the system where it speaks the language (a Swiss point), else what is usual in it. What is on the
/// screen already has to be made anew.
void speak(Language language);

/// A label as it stands inside a sentence: small in English and French, as it is in German.
QString insideSentence(const QString& label);

} // namespace hillrun
