// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/json_reader.h"

#include "formats/budget.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

/// Before parsing: what follows walks the nesting by recursion.
void checkSize(std::string_view text, const std::string& file) {
    if (text.size() > budget::kJson)
        throw DataError(Problem::TooLarge, {Statement{"size.json", {mebibytes(text.size())}}, mebibytes(budget::kJson)},
                        {.file = file});
    size_t depth = 0;
    bool quoted = false;
    for (size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted && c == '\\')
            ++i;
        else if (c == '"')
            quoted = !quoted;
        else if (!quoted && (c == '[' || c == '{') && ++depth > budget::kNesting)
            throw DataError(Problem::TooLarge, {Statement{"size.nesting"}, std::to_string(budget::kNesting)},
                            {.file = file});
        else if (!quoted && (c == ']' || c == '}') && depth > 0)
            --depth;
    }
}

} // namespace

std::string dumpJson(const Json& json, int indent) {
    return json.dump(indent, ' ', false, Json::error_handler_t::replace);
}

Json parseJson(std::string_view text, const std::string& file) {
    if (text.find_first_not_of(" \t\r\n") == std::string_view::npos)
        throw DataError(Problem::FileEmpty, {}, {.file = file});
    checkSize(text, file);
    try {
        return Json::parse(text.begin(), text.end(), nullptr, true, true);
    } catch (const Json::parse_error& error) {
        const size_t byte = std::min(error.byte, text.size());
        const long line = 1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(byte), '\n');
        std::string what = error.what(); // "[json.exception...] parse error at line 3, column 5: ... - why"
        if (const size_t at = what.find(": "); at != std::string::npos)
            what = what.substr(at + 2);
        throw DataError(Problem::BadJson, {what}, {.file = file, .line = line});
    } catch (const Json::exception& error) { // a number too large to hold, say
        throw DataError(Problem::BadJson, {std::string(error.what())}, {.file = file});
    }
}

ObjectReader::ObjectReader(const Json& object, std::string file, std::string path)
    : m_object(object), m_file(std::move(file)), m_path(std::move(path)) {
    if (!m_object.is_object())
        throw DataError(Problem::WrongType, {Statement{"expected.object"}}, {.file = m_file, .key = m_path});
}

Place ObjectReader::place(const char* key) const {
    return {.file = m_file, .key = m_path.empty() ? key : m_path + "." + key};
}

void ObjectReader::wrongType(const char* key, const char* expected) const {
    throw DataError(Problem::WrongType, {Statement{expected}}, place(key));
}

void ObjectReader::checkNumber(const Json& value, const char* key) const {
    if (!(std::abs(value.get<double>()) <= budget::kNumber))
        throw DataError(Problem::BadValue, {value.dump(), Statement{"not_allowed.so_large"}}, place(key));
}

const Json* ObjectReader::find(const char* key) {
    m_asked.insert(key);
    const auto it = m_object.find(key);
    return it == m_object.end() || it->is_null() ? nullptr : &*it;
}

bool ObjectReader::has(const char* key) { return find(key) != nullptr; }

std::string ObjectReader::text(const char* key, const std::string& fallback) {
    const Json* value = find(key);
    if (!value)
        return fallback;
    if (!value->is_string())
        wrongType(key, "expected.text");
    return value->get<std::string>();
}

std::string ObjectReader::requiredText(const char* key) {
    if (!find(key))
        throw DataError(Problem::MissingKey, {}, place(key));
    return text(key);
}

std::optional<double> ObjectReader::number(const char* key) {
    const Json* value = find(key);
    if (!value)
        return std::nullopt;
    if (!value->is_number() || !std::isfinite(value->get<double>()))
        wrongType(key, "expected.number");
    checkNumber(*value, key);
    return value->get<double>();
}

std::optional<int> ObjectReader::integer(const char* key) {
    const auto value = number(key);
    if (!value)
        return std::nullopt;
    if (std::abs(*value) > 1e9 || *value != std::floor(*value))
        wrongType(key, "expected.whole_number");
    return static_cast<int>(*value);
}

bool ObjectReader::flag(const char* key, bool fallback) {
    const Json* value = find(key);
    if (!value)
        return fallback;
    if (!value->is_boolean())
        wrongType(key, "expected.flag");
    return value->get<bool>();
}

std::vector<double> ObjectReader::numbers(const char* key) {
    std::vector<double> out;
    const Json* value = find(key);
    if (!value)
        return out;
    if (!value->is_array())
        wrongType(key, "expected.numbers");
    for (const Json& item : *value) {
        if (!item.is_number())
            wrongType(key, "expected.numbers");
        checkNumber(item, key);
        out.push_back(item.get<double>());
    }
    return out;
}

std::vector<std::vector<double>> ObjectReader::rowsOfNumbers(const char* key) {
    std::vector<std::vector<double>> out;
    const Json* value = find(key);
    if (!value)
        return out;
    if (!value->is_array())
        wrongType(key, "expected.rows");
    for (const Json& row : *value) {
        if (!row.is_array() || !std::all_of(row.begin(), row.end(), [](const Json& item) { return item.is_number(); }))
            wrongType(key, "expected.rows");
        for (const Json& item : row)
            checkNumber(item, key);
        out.push_back(row.get<std::vector<double>>());
    }
    return out;
}

std::optional<RpmRange> ObjectReader::range(const char* key) {
    const auto ends = numbers(key);
    if (ends.empty())
        return std::nullopt;
    if (ends.size() != 2 || !(ends[0] >= 0.0 && ends[1] > ends[0]))
        throw DataError(Problem::WrongType, {Statement{"expected.range"}}, place(key));
    return RpmRange{ends[0], ends[1]};
}

std::vector<std::string> ObjectReader::texts(const char* key) {
    std::vector<std::string> out;
    const Json* value = find(key);
    if (!value)
        return out;
    if (!value->is_array())
        wrongType(key, "expected.texts");
    for (const Json& item : *value) {
        if (!item.is_string())
            wrongType(key, "expected.texts");
        out.push_back(item.get<std::string>());
    }
    return out;
}

size_t ObjectReader::choice(const char* key, const std::vector<const char*>& names) {
    const std::string value = text(key, names.front());
    std::vector<std::string> all;
    for (size_t i = 0; i < names.size(); ++i) {
        if (value == names[i])
            return i;
        all.emplace_back(names[i]);
    }
    throw DataError(Problem::BadValue, {value, Statement{"not_allowed.use_one_of", {namesOf(all)}}}, place(key));
}

ObjectReader ObjectReader::object(const char* key) {
    const Json* value = find(key);
    if (value && !value->is_object())
        wrongType(key, "expected.object");
    return {value ? *value : Json::object(), m_file, place(key).key};
}

std::vector<ObjectReader> ObjectReader::objects(const char* key) {
    std::vector<ObjectReader> out;
    const Json* value = find(key);
    if (!value)
        return out;
    if (!value->is_array())
        wrongType(key, "expected.list");
    for (size_t i = 0; i < value->size(); ++i)
        out.emplace_back((*value)[i], m_file, fmt::format("{}[{}]", place(key).key, i));
    return out;
}

std::vector<std::pair<std::string, std::string>> ObjectReader::namedTexts(const char* key) {
    std::vector<std::pair<std::string, std::string>> out;
    const Json* value = find(key);
    if (!value)
        return out;
    if (!value->is_object())
        wrongType(key, "expected.object");
    for (const auto& [name, item] : value->items())
        out.emplace_back(name, item.is_string() ? item.get<std::string>() : item.dump());
    return out;
}

std::string ObjectReader::unknownKeys() const {
    Json rest = Json::object();
    for (const auto& [key, value] : m_object.items())
        if (!m_asked.contains(key))
            rest[key] = value;
    return rest.empty() ? "" : rest.dump();
}

} // namespace hillrun
