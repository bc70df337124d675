// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <CLI/CLI.hpp>
#include <string>

namespace hillrun::cli {

/// The headings of the help in the reader's language; for the program with all its commands.
void nameParts(CLI::App& app);

/// What is wrong with a line that could not be parsed, in the reader's language. The parser's own detail stands in it
/// as it is where it says more than a name.
std::string wrongUse(const CLI::ParseError& error, const CLI::App& app);

} // namespace hillrun::cli
