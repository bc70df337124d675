// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "support.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <regex>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

/// What a file includes of the project ("core/fit/contrast.h"), system headers as "<Qt...>".
std::vector<std::string> includesOf(const fs::path& file) {
    static const std::regex pattern(R"(^#include ([\"<])([^\">]+)[\">])");
    std::vector<std::string> out;
    std::ifstream in(file);
    for (std::string line; std::getline(in, line);)
        if (std::smatch match; std::regex_search(line, match, pattern))
            out.push_back(match[1] == "<" ? "<" + match[2].str() : match[2].str());
    return out;
}

std::vector<fs::path> sourcesIn(const fs::path& folder) {
    std::vector<fs::path> out;
    for (const auto& entry : fs::recursive_directory_iterator(folder))
        if (entry.path().extension() == ".h" || entry.path().extension() == ".cpp")
            out.push_back(entry.path());
    return out;
}

const fs::path kSource = std::getenv("HILLRUN_SOURCE") ? std::getenv("HILLRUN_SOURCE") : "src";

} // namespace

TEST_CASE("a room of the core knows only those before it") {
    const std::vector<std::string> order{"units",   "statement", "errors",  "channels", "weather", "day",
                                         "pull",    "trace",     "fit",     "days",     "answer",  "plan",
                                         "compare", "road",      "history", "slip"};
    const auto place = [&](const std::string& folder) {
        return std::find(order.begin(), order.end(), folder) - order.begin();
    };
    size_t seen = 0;
    for (const fs::path& file : sourcesIn(kSource / "core")) {
        const std::string own = file.parent_path().filename().string();
        INFO(file.string());
        REQUIRE(place(own) < static_cast<long>(order.size())); // a new room must be given its place here
        for (const std::string& include : includesOf(file)) {
            INFO(include);
            CHECK_FALSE(include.starts_with("<Q"));
            if (include.starts_with("<"))
                continue;
            CHECK(include.starts_with("core/"));
            CHECK(place(fs::path(include).parent_path().filename().string()) <= place(own));
            ++seen;
        }
    }
    CHECK(seen > 150);
}

TEST_CASE("nothing below the window knows Qt's widgets or the window") {
    for (const char* floor : {"engine", "formats", "report", "cli"})
        for (const fs::path& file : sourcesIn(kSource / floor))
            for (const std::string& include : includesOf(file)) {
                INFO(file.string() << ": " << include);
                CHECK_FALSE(include.starts_with("app/"));
                CHECK_FALSE(include.starts_with("<Q"));
            }
}

TEST_CASE("a floor of the window knows only those below it, and no page knows another") {
    const std::vector<std::vector<std::string>> floors{
        {"look"},     {"board"},
        {"document"}, {"frame"},
        {"import"},   {"curve"},
        {"files"},    {"prepare", "pull", "check", "compare", "credit", "road", "report", "logbook", "workbench"},
        {"pages"},    {"shell"},
        {"main"}};
    const auto floorOf = [&](const std::string& name) {
        const auto at = std::find_if(floors.begin(), floors.end(), [&](const std::vector<std::string>& floor) {
            return std::find(floor.begin(), floor.end(), name) != floor.end();
        });
        return at - floors.begin();
    };
    const long pages = floorOf("check");
    size_t seen = 0;
    for (const fs::path& file : sourcesIn(kSource / "app")) {
        const bool single = file.parent_path() == kSource / "app"; // pages.cpp, main.cpp
        const std::string own = single ? file.stem().string() : file.parent_path().filename().string();
        REQUIRE(floorOf(own) < static_cast<long>(floors.size())); // a new folder must be given its place here
        for (const std::string& include : includesOf(file)) {
            if (!include.starts_with("app/"))
                continue;
            const fs::path path(include);
            const bool alone = path.parent_path() == "app";
            const std::string other = alone ? path.stem().string() : path.parent_path().filename().string();
            INFO(file.string() << ": " << include);
            CHECK(floorOf(other) <= floorOf(own));
            if (other != own)
                CHECK(floorOf(other) != floorOf(own));
            if (own == "shell")
                CHECK(floorOf(other) != pages);
            ++seen;
        }
    }
    CHECK(seen > 200);
}
