// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_diff.h"

#include "core/errors/shown_text.h"
#include "formats/day_json.h"
#include "formats/json_reader.h"

#include <fmt/format.h>
#include <map>

namespace hillrun {
namespace {

using Values = std::map<std::string, std::string>;

void flatten(const Json& value, const std::string& place, Values& out) {
    if (value.is_object()) {
        for (const auto& [key, item] : value.items())
            flatten(item, place.empty() ? key : place + ", " + key, out);
    } else if (value.is_array() && !value.empty() && value.front().is_object()) {
        for (size_t i = 0; i < value.size(); ++i) {
            const auto id = value[i].find("id");
            const std::string name =
                id != value[i].end() && id->is_string() ? id->get<std::string>() : std::to_string(i + 1);
            flatten(value[i], place + " " + name, out);
        }
    } else {
        out[place] = dumpJson(value);
    }
}

Values valuesOf(const TestDay& day) {
    Values out;
    flatten(parseJson(dayToJson(day), "day.json"), "", out);
    return out;
}

} // namespace

std::vector<Statement> dayDifferences(const TestDay& here, const TestDay& onDisk, size_t most) {
    const Values mine = valuesOf(here);
    const Values theirs = valuesOf(onDisk);
    Values all = mine;
    all.insert(theirs.begin(), theirs.end());
    const auto valueOf = [](const Values& values, const std::string& place) -> Argument {
        const auto it = values.find(place);
        return it == values.end() ? Argument(Statement{"diff.nothing"}) : Argument(shownText(it->second, 60));
    };
    std::vector<Statement> out;
    size_t more = 0;
    for (const auto& [place, value] : all) {
        const Argument a = valueOf(mine, place);
        const Argument b = valueOf(theirs, place);
        if (a == b)
            continue;
        if (out.size() < most)
            out.push_back({"diff.place", {shownText(place, 80), a, b}});
        else
            ++more;
    }
    if (more > 0)
        out.push_back({"diff.more", {Count{static_cast<long>(more)}}});
    return out;
}

} // namespace hillrun
