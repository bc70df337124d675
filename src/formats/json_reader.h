// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"
#include "core/units/rpm_range.h"

#include <nlohmann/json.hpp>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace hillrun {

using Json = nlohmann::ordered_json;

/// Parses text; a syntax error becomes a DataError with file and line. Throws DataError (BadJson, TooLarge, FileEmpty).
Json parseJson(std::string_view text, const std::string& file);
/// JSON as text. Bytes that are no UTF-8 (paths may hold such) become the replacement mark instead of an exception.
std::string dumpJson(const Json& json, int indent = -1);

/// Reads one JSON object key by key. Remembers which keys were asked for, so that the rest can be kept; a wrong type is
/// a DataError with file and key path ("pulls[2].weather.pressure_kpa"). null and a missing key are "not known".
class ObjectReader {
public:
    ObjectReader(const Json& object, std::string file, std::string path = {});

    [[nodiscard]] bool has(const char* key);
    std::string text(const char* key, const std::string& fallback = {});
    std::string requiredText(const char* key);
    std::optional<double> number(const char* key);
    std::optional<int> integer(const char* key);
    bool flag(const char* key, bool fallback);
    std::vector<double> numbers(const char* key);
    std::vector<std::vector<double>> rowsOfNumbers(const char* key);
    /// [low, high] in rpm, low before high.
    std::optional<RpmRange> range(const char* key);
    std::vector<std::string> texts(const char* key);
    /// The index of the value among `names`; the first for a missing key.
    size_t choice(const char* key, const std::vector<const char*>& names);
    /// The value of an object's key as a reader of its own (an empty object when missing).
    ObjectReader object(const char* key);
    /// Each object of an array; none when the key is missing.
    std::vector<ObjectReader> objects(const char* key);
    /// Name and text of each entry; numbers and booleans as they are written.
    std::vector<std::pair<std::string, std::string>> namedTexts(const char* key);

    /// The keys never asked for, as JSON text; empty when there are none.
    [[nodiscard]] std::string unknownKeys() const;
    [[nodiscard]] Place place(const char* key) const;

private:
    const Json* find(const char* key);
    void checkNumber(const Json& value, const char* key) const;
    [[noreturn]] void wrongType(const char* key, const char* expected) const;

    Json m_object;
    std::string m_file;
    std::string m_path;
    std::set<std::string, std::less<>> m_asked;
};

} // namespace hillrun
