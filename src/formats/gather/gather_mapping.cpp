// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/gather_mapping.h"

#include "core/errors/data_error.h"
#include "formats/file_io.h"
#include "formats/gather/number_text.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <cctype>
#include <cstdlib>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr int kVersion = 2;
constexpr size_t kHead = size_t{1} << 18; ///< bytes in which the header stands

std::string oneChar(char c) { return std::string(1, c); }

template <class Value> void put(Json& out, const char* key, const std::optional<Value>& value) {
    if (value)
        out[key] = *value;
}

std::optional<TextEncoding> encodingNamed(const std::string& name) {
    for (const TextEncoding encoding :
         {TextEncoding::Utf8, TextEncoding::Utf16Little, TextEncoding::Utf16Big, TextEncoding::Windows1252})
        if (name == encodingName(encoding))
            return encoding;
    return std::nullopt;
}

std::optional<char> charIn(ObjectReader& in, const char* key) {
    const std::string text = in.text(key);
    return text.size() == 1 ? std::optional(text.front()) : std::nullopt;
}

std::optional<long> lineIn(ObjectReader& in, const char* key) {
    const auto number = in.integer(key);
    return number ? std::optional<long>(*number) : std::nullopt;
}

} // namespace

std::string writeMapping(const GatherMapping& mapping) {
    Json out;
    out["format"] = "hill-run-mapping";
    out["version"] = kVersion;
    out["name"] = mapping.name;
    const GatherChoices& choices = mapping.choices;
    if (choices.encoding)
        out["encoding"] = encodingName(*choices.encoding);
    if (choices.table.separator)
        out["separator"] = oneChar(*choices.table.separator);
    if (choices.table.decimal)
        out["decimal"] = oneChar(*choices.table.decimal);
    put(out, "header_line", choices.table.headerLine);
    put(out, "unit_line", choices.table.unitLine);
    put(out, "first_row", choices.table.firstRow);
    put(out, "rate_hz", choices.rate_hz);
    put(out, "month_first", choices.monthFirst);
    out["headers"] = mapping.headers;
    out["columns"] = Json::array();
    for (const auto& [index, column] : choices.columns)
        out["columns"].push_back({{"index", index},
                                  {"header", column.header},
                                  {"channel", column.channel},
                                  {"unit", column.unit},
                                  {"gauge", column.gauge},
                                  {"factor", column.factor}});
    return dumpJson(out, 2) + "\n";
}

GatherMapping readMapping(std::string_view text, const std::string& file) {
    ObjectReader in(parseJson(text, file), file);
    if (in.text("format") != "hill-run-mapping")
        throw DataError(Problem::NotAMapping, {}, in.place("format"));
    if (const int version = in.integer("version").value_or(1); version > kVersion)
        throw DataError(Problem::NewerVersion, {std::to_string(version), std::to_string(kVersion)},
                        in.place("version"));
    GatherMapping out;
    out.name = in.text("name");
    out.choices.encoding = encodingNamed(in.text("encoding"));
    out.choices.table = {charIn(in, "separator"), charIn(in, "decimal"), lineIn(in, "header_line"),
                         lineIn(in, "unit_line"), lineIn(in, "first_row")};
    out.choices.rate_hz = in.number("rate_hz");
    if (in.has("month_first"))
        out.choices.monthFirst = in.flag("month_first", false);
    out.headers = in.texts("headers");
    size_t next = 0;
    for (ObjectReader& column : in.objects("columns")) {
        GatheredColumn said;
        said.header = column.requiredText("header");
        said.channel = column.text("channel");
        said.unit = column.text("unit");
        said.gauge = column.flag("gauge", false);
        said.factor = column.number("factor").value_or(1.0);
        const int index = column.integer("index").value_or(static_cast<int>(next));
        if (index >= 0)
            out.choices.columns[static_cast<size_t>(index)] = said;
        ++next;
    }
    return out;
}

std::vector<std::string> headersOf(std::string_view bytes, const GatherChoices& choices) {
    std::vector<std::string> out;
    try {
        std::string_view head = bytes.substr(0, kHead);
        if (head.size() < bytes.size())
            head = head.substr(0, head.rfind('\n') + 1); // no character and no row is cut
        for (const RawColumn& column : readRawTable(decodeText(head, choices.encoding).text, choices.table, "").columns)
            out.push_back(column.name);
    } catch (const DataError&) {
        out.clear(); // no table: whoever reads the file says why
    }
    return out;
}

GatherChoices choicesFor(const GatherMapping& mapping, const std::vector<std::string>& headers) {
    GatherChoices out = mapping.choices;
    out.pulls.reset();
    out.started.clear();
    out.columns.clear();
    for (const auto& [index, said] : mapping.choices.columns) {
        size_t at = index;
        const bool byPlace = at < headers.size() && lowered(headers[at]) == lowered(said.header);
        if (!byPlace) {
            const auto same = [&said = said](const std::string& header) {
                return lowered(header) == lowered(said.header);
            };
            at = static_cast<size_t>(std::find_if(headers.begin(), headers.end(), same) - headers.begin());
        }
        if (at < headers.size())
            out.columns[at] = said;
    }
    return out;
}

std::optional<GatherMapping> knownMapping(std::string_view bytes) {
    for (const std::string& name : savedMappings()) {
        try {
            const GatherMapping mapping = loadMapping(name);
            const auto named = [](const std::string& header) { return !header.empty(); };
            if (std::any_of(mapping.headers.begin(), mapping.headers.end(), named) &&
                headersOf(bytes, mapping.choices) == mapping.headers)
                return mapping;
        } catch (const DataError&) { // a broken mapping knows no file
        }
    }
    return std::nullopt;
}

fs::path mappingsFolder() {
    const char* config = std::getenv("XDG_CONFIG_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base = config && *config ? fs::path(config) : fs::path(home ? home : ".") / ".config";
    return base / "hillrun" / "mappings";
}

GatherMapping loadMapping(const std::string& name) {
    const fs::path path = mappingsFolder() / (name + ".json");
    return readMapping(readFileText(path), path.string());
}

void saveMapping(const GatherMapping& mapping) {
    makeFolders(mappingsFolder());
    writeFileSafely(mappingsFolder() / (mapping.name + ".json"), writeMapping(mapping));
}

std::vector<std::string> savedMappings() {
    std::vector<std::string> out;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(mappingsFolder(), error))
        if (entry.path().extension() == ".json")
            out.push_back(entry.path().stem().string());
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace hillrun
