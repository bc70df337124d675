// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/json_reader.h"

#include <cmath>
#include <optional>

namespace hillrun {

/// Puts the kept keys of another version (the text of a JSON object, or nothing) back.
inline void addUnknown(Json& out, const std::string& text) {
    if (text.empty())
        return;
    const Json unknown = Json::parse(text);
    for (const auto& [key, value] : unknown.items())
        out[key] = value;
}

/// The value, or null for "not known".
template <class T> Json optionalJson(const std::optional<T>& value) { return value ? Json(*value) : Json(nullptr); }

/// A number, or null where nothing can be said.
inline Json numberOrNull(double value) { return std::isfinite(value) ? Json(value) : Json(nullptr); }

/// Writes a key only when its value is known.
template <class T> void putKnown(Json& out, const char* key, const std::optional<T>& value) {
    if (value)
        out[key] = *value;
}
inline void putKnown(Json& out, const char* key, const std::string& text) {
    if (!text.empty())
        out[key] = text;
}

} // namespace hillrun
