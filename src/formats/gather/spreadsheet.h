// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <map>
#include <string>
#include <utility>
#include <vector>

namespace hillrun {

/// The sheets of a workbook (.xlsx: ECMA-376; .ods: OpenDocument 1.2), each as text with tabs between the cells, in the
/// order of the workbook. `files`: the workbook's parts by name, the folder "xl/" may be missing from them. Throws
/// DataError (ArchiveBroken) for parts that are no XML.
std::vector<std::pair<std::string, std::string>> sheetsOf(const std::map<std::string, std::string>& files,
                                                          const std::string& file);
/// Whether a part of a zip is needed to read a workbook.
bool isSheetPart(const std::string& name);
/// Whether such parts make a workbook.
bool isWorkbook(const std::map<std::string, std::string>& files);

} // namespace hillrun
