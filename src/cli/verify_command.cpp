// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "formats/day_verify.h"
#include "formats/json_reader.h"

#include <fmt/format.h>
#include <fmt/ranges.h>
#include <memory>

namespace hillrun::cli {
namespace {

const char* inWords(FileState state) {
    switch (state) {
    case FileState::Fits:
        return "fits";
    case FileState::Differs:
        return "DIFFERS from what was stored";
    case FileState::Missing:
        return "is MISSING";
    case FileState::Unreadable:
        return "CANNOT BE READ";
    case FileState::NoChecksum:
        return "has no checksum";
    case FileState::NotListed:
        return "belongs to no pull";
    }
    return "";
}

Json answerOf(const std::string& path, const Verification& found) {
    Json files = Json::array();
    for (const VerifiedFile& file : found.files) {
        Json one{{"file", file.file}, {"state", fileStateName(file.state)}};
        one["pull"] = file.pull.empty() ? Json(nullptr) : Json(file.pull);
        one["expected"] = file.expected.empty() ? Json(nullptr) : Json(file.expected);
        one["found"] = file.found.empty() ? Json(nullptr) : Json(file.found);
        if (!file.why.empty())
            one["why"] = file.why;
        files.push_back(one);
    }
    return {{"day", path}, {"good", found.good()}, {"files", files}, {"same_rows", found.sameRows}};
}

void run(const std::string& path, bool json) {
    const Verification found = verifyDay(path);
    if (json) {
        fmt::print("{}\n", dumpJson(answerOf(path, found)));
    } else {
        for (const VerifiedFile& file : found.files)
            fmt::print("{} {}{}\n", shownText(file.file), inWords(file.state), file.why.empty() ? "" : ": " + file.why);
        for (const auto& group : found.sameRows)
            fmt::print("{} hold the same rows to the digit\n", fmt::join(group, " and "));
    }
    std::fflush(stdout);
    for (const VerifiedFile& file : found.files) {
        if (file.state == FileState::Differs)
            throw DataError(Problem::ChecksumDiffers, {file.expected, file.found}, {.file = file.file});
        if (file.state == FileState::Missing)
            throw DataError(Problem::FileMissing, {}, {.file = file.file});
        if (file.state == FileState::Unreadable)
            throw DataError(Problem::FileUnreadable, {file.why}, {.file = file.file});
    }
}

} // namespace

void addVerify(CLI::App& app) {
    struct Options {
        std::string day;
        bool json = false;
    };
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("verify", "hold every file of a day against its checksum");
    command->add_option("day", o->day, "day folder, day.json or zip")->required();
    command->add_flag("--json", o->json, "one JSON document and nothing else");
    command->footer(
        "Exit status 1 when a file does not fit, is missing or cannot be read.\nExample:\n  hillrun-cli verify DAY");
    command->callback([o] { run(o->day, o->json); });
}

} // namespace hillrun::cli
