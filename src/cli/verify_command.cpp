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

const char* stateId(FileState state) {
    constexpr const char* ids[] = {"file_state.fits",       "file_state.differs",     "file_state.missing",
                                   "file_state.unreadable", "file_state.no_checksum", "file_state.not_listed"};
    return ids[static_cast<size_t>(state)];
}

Json answerOf(const std::string& path, const Verification& found) {
    Json files = Json::array();
    for (const VerifiedFile& file : found.files) {
        Json one{{"file", file.file}, {"state", fileStateName(file.state)}};
        one["pull"] = file.pull.empty() ? Json(nullptr) : Json(file.pull);
        one["expected"] = file.expected.empty() ? Json(nullptr) : Json(file.expected);
        one["found"] = file.found.empty() ? Json(nullptr) : Json(file.found);
        if (!file.why.empty())
            one["why"] = Voice::forFiles().say(file.why);
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
            fmt::print("{}{}\n", said(stateId(file.state), {file.file}), file.why.empty() ? "" : ": " + said(file.why));
        for (const auto& group : found.sameRows)
            fmt::print("{}\n", said("cli.same_rows", {namesOf(group)}));
    }
    std::fflush(stdout);
    for (const VerifiedFile& file : found.files) {
        if (file.state == FileState::Differs)
            throw DataError(Problem::ChecksumDiffers, {file.expected, file.found}, {.file = file.file});
        if (file.state == FileState::Missing)
            throw DataError(Problem::FileMissing, {}, {.file = file.file});
        if (file.state == FileState::Unreadable)
            throw DataError(Problem::FileUnreadable, {Argument(file.why)}, {.file = file.file});
    }
}

} // namespace

void addVerify(CLI::App& app) {
    struct Options {
        std::string day;
        bool json = false;
    };
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("verify", said("cli.hold_every_file_of"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.exit_status_1_when"));
    command->callback([o] { run(o->day, o->json); });
}

} // namespace hillrun::cli
