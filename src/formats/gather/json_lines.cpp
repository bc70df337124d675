// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/json_lines.h"

#include "core/errors/data_error.h"
#include "formats/budget.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <cctype>
#include <map>
#include <vector>

namespace hillrun {
namespace {

class TableMaker {
public:
    explicit TableMaker(const std::string& file) : m_file(file) {}

    void take(const Json& object) {
        if (!object.is_object())
            return; // a remark between the rows
        m_rows.emplace_back(m_names.size());
        takeMembers(object, "");
    }

    [[nodiscard]] std::string text() const {
        if (m_rows.empty())
            throw DataError(Problem::NoRows, {}, {.file = m_file});
        std::string out;
        addLine(out, m_names);
        for (const auto& row : m_rows)
            addLine(out, row);
        return out;
    }

private:
    void takeMembers(const Json& object, const std::string& before) {
        for (const auto& [key, value] : object.items()) {
            const std::string name = before + key;
            if (value.is_object())
                takeMembers(value, name + ".");
            else if (!value.is_array())
                cell(name) = value.is_null() ? std::string()
                                             : (value.is_string() ? plain(value.get<std::string>()) : dumpJson(value));
        }
    }

    std::string& cell(const std::string& name) {
        const auto [at, isNew] = m_places.try_emplace(name, m_names.size());
        if (isNew) {
            if (m_names.size() >= budget::kColumns)
                throw DataError(Problem::TooLarge, {Statement{"size.columns"}, std::to_string(budget::kColumns)},
                                {.file = m_file});
            m_names.push_back(plain(name));
        }
        auto& row = m_rows.back();
        row.resize(std::max(row.size(), at->second + 1));
        return row[at->second];
    }

    static std::string plain(std::string text) {
        std::replace_if(
            text.begin(), text.end(), [](char c) { return c == '\t' || c == '\n' || c == '\r'; }, ' ');
        return text;
    }

    void addLine(std::string& out, const std::vector<std::string>& cells) const {
        for (size_t i = 0; i < m_names.size(); ++i)
            out += (i ? "\t" : "") + (i < cells.size() ? cells[i] : std::string());
        out += '\n';
    }

    const std::string& m_file;
    std::vector<std::string> m_names;
    std::map<std::string, size_t> m_places;
    std::vector<std::vector<std::string>> m_rows;
};

std::string_view firstLine(std::string_view text) { return text.substr(0, text.find('\n')); }

} // namespace

bool looksLikeJson(std::string_view text) {
    const size_t first = text.find_first_not_of(" \t\r\n");
    if (first == std::string_view::npos || (text[first] != '{' && text[first] != '['))
        return false;
    const size_t next = text.find_first_not_of(" \t\r\n", first + 1);
    return next != std::string_view::npos && (text[next] == '"' || (text[first] == '[' && text[next] == '{'));
}

std::string tableOfJson(std::string_view text, const std::string& file) {
    TableMaker table(file);
    const std::string_view first = firstLine(text.substr(text.find_first_not_of(" \t\r\n")));
    const bool lines = first.starts_with('{') && Json::accept(first);
    if (!lines) {
        const Json whole = parseJson(text, file);
        if (whole.is_object())
            table.take(whole);
        for (const Json& row : whole.is_array() ? whole : Json::array())
            table.take(row);
        return table.text();
    }
    while (!text.empty()) {
        const std::string_view line = firstLine(text);
        text.remove_prefix(std::min(line.size() + 1, text.size()));
        if (line.find_first_not_of(" \t\r") != std::string_view::npos)
            table.take(parseJson(line, file));
    }
    return table.text();
}

} // namespace hillrun
