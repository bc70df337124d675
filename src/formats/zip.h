// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <filesystem>
#include <functional>
#include <map>
#include <string>

namespace hillrun {

bool isZipPath(const std::filesystem::path& path);

/// Files of a zip by their name inside it, the folder they share removed; only those that are `wanted` are unpacked.
/// Names are UTF-8 whatever the locale. Throws DataError (ArchiveBroken, TooLarge, NameTwice, BadPath, BadName).
std::map<std::string, std::string> readZip(const std::filesystem::path& path,
                                           const std::function<bool(const std::string& name)>& wanted = {});
/// A zip of files; the same files give the same bytes. Returns the SHA-256 of what was written. Throws DataError
/// (CannotWrite).
std::string writeZip(const std::filesystem::path& target, const std::map<std::string, std::string>& files);

} // namespace hillrun
