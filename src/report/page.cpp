// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "report/page.h"

#include <algorithm>

namespace hillrun::report {

void Page::add(Text text) { marks.emplace_back(std::in_place_type<Text>, std::move(text)); }
void Page::add(Line line) { marks.emplace_back(std::in_place_type<Line>, std::move(line)); }
void Page::add(Image image) { marks.emplace_back(std::in_place_type<Image>, std::move(image)); }
void Page::add(Area area) { marks.emplace_back(std::in_place_type<Area>, std::move(area)); }

std::string pageText(const Page& page, double smallest) {
    std::vector<const Text*> words;
    for (const Mark& mark : page.marks)
        if (const auto* text = std::get_if<Text>(&mark); text && text->size >= smallest && !text->text.empty())
            words.push_back(text);
    constexpr double kSameLine = 2.0; // points
    std::stable_sort(words.begin(), words.end(), [](const Text* a, const Text* b) { return a->at.y < b->at.y; });
    std::string out;
    double line = -1e9;
    for (const Text* text : words) {
        out += out.empty() ? "" : (text->at.y - line > kSameLine ? "\n" : ", ");
        line = text->at.y;
        out += text->text;
    }
    return out;
}

} // namespace hillrun::report
