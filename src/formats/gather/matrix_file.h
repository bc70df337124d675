// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace hillrun {

// Read here and not by a library: the one that is packaged takes a file that breaks off for a whole one and fills what
// is missing with whatever lies in memory.

/// Begins like a matrix file of level 5.
bool looksLikeMatrixFile(std::string_view bytes);
/// The tables of a matrix file (.mat, level 5), each as text with tabs and the name of what it came from: vectors of
/// one length beside each other, the vectors of a structure, a matrix with its columns; column names from a list of as
/// many texts. Single numbers and texts stand above ("rate: 100"). Whatever does not fit together is refused whole.
/// Throws DataError (ArchiveBroken, TooLarge, NoRows).
std::vector<std::pair<std::string, std::string>> tablesOfMatrixFile(std::string_view bytes, const std::string& file);

} // namespace hillrun
