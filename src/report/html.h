// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "report/document.h"
#include "report/letterhead.h"
#include "words/language.h"

namespace hillrun::report {

/// The report as one file for any browser: nothing is fetched, drawings are SVG, what lies under the pointer (or a
/// finger, or the arrow keys) is read out below them. For drawings made with `kScreenStyle`.
std::string htmlOf(const Document& document, const Letterhead& head, Language language);

} // namespace hillrun::report
