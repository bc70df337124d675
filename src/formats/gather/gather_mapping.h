// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/gather.h"

#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// What was decided about one kind of file, kept by name. It knows its files again by their headers.
struct GatherMapping {
    std::string name;
    GatherChoices choices;            ///< pulls and the start are never kept: the next file has others
    std::vector<std::string> headers; ///< of all columns; empty: of an older version, knows its columns by name only
    bool operator==(const GatherMapping&) const = default;
};

/// A mapping as JSON text, and back; version 1 is read too. Throws DataError (BadJson, NotAMapping, NewerVersion).
std::string writeMapping(const GatherMapping& mapping);
GatherMapping readMapping(std::string_view text, const std::string& file);

/// The names of the columns of a file's table, from its first rows; empty when it has none.
std::vector<std::string> headersOf(std::string_view bytes, const GatherChoices& choices);
/// The choices of a mapping for a file with these headers: columns by place where the names agree, else by name.
GatherChoices choicesFor(const GatherMapping& mapping, const std::vector<std::string>& headers);
/// The mapping that knows a file again: the same headers in the same order.
std::optional<GatherMapping> knownMapping(std::string_view bytes);

/// Where named mappings are kept.
std::filesystem::path mappingsFolder();
/// Throws DataError (FileMissing) for a name nobody saved.
GatherMapping loadMapping(const std::string& name);
void saveMapping(const GatherMapping& mapping);
std::vector<std::string> savedMappings();

} // namespace hillrun
