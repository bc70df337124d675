// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/json_reader.h"
#include "formats/pull_file.h"

namespace hillrun {

std::string writeMapping(const ColumnMapping& mapping) {
    Json out;
    out["format"] = "hill-run-mapping";
    out["version"] = 1;
    out["name"] = mapping.name;
    out["columns"] = Json::array();
    for (const auto& [header, meaning] : mapping.meanings)
        out["columns"].push_back(
            {{"header", header}, {"channel", meaning.channel}, {"unit", meaning.unit}, {"gauge", meaning.gauge}});
    return dumpJson(out, 2) + "\n";
}

ColumnMapping readMapping(std::string_view text, const std::string& file) {
    ObjectReader in(parseJson(text, file), file);
    if (in.text("format") != "hill-run-mapping")
        throw DataError(Problem::NotAMapping, {}, in.place("format"));
    if (const int version = in.integer("version").value_or(1); version > 1)
        throw DataError(Problem::NewerVersion, {std::to_string(version), "1"}, in.place("version"));
    ColumnMapping out;
    out.name = in.text("name");
    for (ObjectReader& column : in.objects("columns")) {
        const std::string header = column.requiredText("header");
        out.meanings[header] = {header, column.text("channel"), column.text("unit"), column.flag("gauge", false),
                                false};
    }
    return out;
}

} // namespace hillrun
