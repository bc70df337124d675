// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "words/language.h"

#include <QString>
#include <vector>

namespace hillrun {

/// A topic of the guide (docs/guide): a page of the window, or something that concerns several.
struct GuideTopic {
    QString id; ///< "compare", as the page is called
    QString title;
    QString file; ///< markdown
    QString text; ///< what it says, for the search
};

/// The topics in a language, in the order they are read; empty where the guide is not installed.
std::vector<GuideTopic> guideTopics(Language language);

/// The topics that hold every one of the words (parts of words count), those that say them most often first. Without
/// words all of them, as they stand.
std::vector<GuideTopic> topicsWith(const QString& words, const std::vector<GuideTopic>& topics);

/// Keys in a topic (`Ctrl+Z`) as they are called in the reader's language, in bold; markdown.
QString withNativeKeys(const QString& markdown);

} // namespace hillrun
