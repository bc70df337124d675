// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include <array>
#include <catch2/catch.hpp>
#include <cstdio>
#include <cstdlib>
#include <string>
#include <sys/wait.h>

namespace {

struct Said {
    int status = -1;
    std::string text;
};

/// Runs a program with a variable set, and no display.
Said run(const std::string& variable, const std::string& arguments) {
    const std::string command = "env -u DISPLAY -u WAYLAND_DISPLAY " + variable + " " +
                                std::string(std::getenv("HILLRUN_BIN")) + "/" + arguments + " 2>&1";
    std::FILE* pipe = ::popen(command.c_str(), "r");
    REQUIRE(pipe);
    Said out;
    std::array<char, 4096> part{};
    while (const size_t read = std::fread(part.data(), 1, part.size(), pipe))
        out.text.append(part.data(), read);
    const int status = ::pclose(pipe);
    out.status = WIFEXITED(status) ? WEXITSTATUS(status) : -1;
    return out;
}

/// A machine without a display.
Said withoutDisplay(const std::string& arguments) { return run("QT_QPA_PLATFORM=xcb", arguments); }

} // namespace

TEST_CASE("help and version need no display, of any program") {
    for (const char* program : {"hillrun", "hillrun-cli", "hillrun-simcell"}) {
        INFO(program);
        const Said version = withoutDisplay(std::string(program) + " --version");
        CHECK(version.status == 0);
        CHECK(version.text.find("0.1.0") != std::string::npos);
        const Said help = withoutDisplay(std::string(program) + " --help");
        CHECK(help.status == 0);
        CHECK(help.text.find("--help") != std::string::npos);
    }
}

TEST_CASE("arguments that are not known are refused by every program") {
    for (const char* program : {"hillrun", "hillrun-cli verify /tmp", "hillrun-simcell serve --day x"}) {
        INFO(program);
        const Said said = run("QT_QPA_PLATFORM=offscreen", std::string(program) + " --no-such-thing");
        CHECK(said.status == 2);
        CHECK(said.text.find("no-such-thing") != std::string::npos);
    }
}
