// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <filesystem>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace hillrun {

/// Begins like a matrix file of level 5 or 7.3.
bool looksLikeMatrixFile(std::string_view bytes);
/// The tables of a matrix file (.mat), each as text with tabs and the name of what it came from: vectors of one length
/// beside each other, the vectors of a structure, a matrix with its columns; column names from a list of as many texts.
/// Single numbers and texts stand above ("rate: 100"). Throws DataError (ArchiveBroken, TooLarge, NoRows).
std::vector<std::pair<std::string, std::string>> tablesOfMatrixFile(const std::filesystem::path& path,
                                                                    const std::string& file);

} // namespace hillrun
