// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/day_store.h"
#include "formats/json_reader.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cstdio>
#include <sys/wait.h>

namespace hillrun::test {

struct Run {
    int status = -1;
    std::string out;
    std::string error;
    [[nodiscard]] Json json() const { return Json::parse(out); }
};

/// A path as one word of a shell.
inline std::string quoted(const std::filesystem::path& path) { return "'" + path.string() + "'"; }

inline Run run(const std::string& arguments, const char* program = "hillrun-cli", const std::string& prefix = {}) {
    const char* folder = std::getenv("HILLRUN_BIN");
    REQUIRE(folder);
    const TemporaryFolder temporary;
    const std::string errors = (temporary.path() / "err").string();
    const std::string command = prefix + std::string(folder) + "/" + program + " " + arguments + " 2>" + errors;
    Run result;
    FILE* pipe = ::popen(command.c_str(), "r");
    REQUIRE(pipe);
    char buffer[4096];
    while (const size_t got = std::fread(buffer, 1, sizeof buffer, pipe))
        result.out.append(buffer, got);
    const int status = ::pclose(pipe);
    result.status = WIFEXITED(status) ? WEXITSTATUS(status) : -1;
    result.error = readFileText(errors);
    return result;
}

} // namespace hillrun::test
