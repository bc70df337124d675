// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/page.h"

namespace hillrun::report {

void Page::add(Text text) { marks.emplace_back(std::in_place_type<Text>, std::move(text)); }
void Page::add(Line line) { marks.emplace_back(std::in_place_type<Line>, std::move(line)); }
void Page::add(Area area) { marks.emplace_back(std::in_place_type<Area>, std::move(area)); }

} // namespace hillrun::report
