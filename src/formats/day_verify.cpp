// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_verify.h"

#include "core/errors/data_error.h"
#include "formats/day_json.h"
#include "formats/day_store.h"
#include "formats/stored_files.h"

#include <algorithm>
#include <set>

namespace hillrun {
namespace {

VerifiedFile verifyFile(const StoredFiles& files, const std::string& name, const std::string& pull,
                        const std::string& expected) {
    VerifiedFile out{name, pull, FileState::Fits, expected, {}, {}};
    try {
        checkInside(name, "day.json");
        const auto text = files.read(name);
        if (!text) {
            out.state = FileState::Missing;
            return out;
        }
        out.found = sha256Hex(*text);
    } catch (const DataError& error) {
        out.state = FileState::Unreadable;
        out.why = problemStatement(error);
        return out;
    }
    out.state = expected.empty() ? FileState::NoChecksum : expected == out.found ? FileState::Fits : FileState::Differs;
    return out;
}

} // namespace

bool Verification::good() const {
    return std::all_of(files.begin(), files.end(), [](const VerifiedFile& file) {
        return file.state == FileState::Fits || file.state == FileState::NoChecksum ||
               file.state == FileState::NotListed;
    });
}

Verification verifyDay(const std::filesystem::path& path) {
    const auto files = openStoredFiles(path, Attachments::Unpacked);
    const auto json = files->read("day.json");
    if (!json)
        throw DataError(Problem::NotADay, {}, {.file = path.string()});
    const TestDay day = dayFromJson(*json, "day.json");
    Verification out;
    std::set<std::string> listed;
    for (const Pull& pull : day.pulls)
        forEachStored(pull, [&](const std::string& file, const std::string& sha256, const auto&, const auto&) {
            out.files.push_back(verifyFile(*files, file, pull.id, sha256));
            listed.insert(file);
        });
    for (const Attachment& attachment : day.attachments) {
        out.files.push_back(verifyFile(*files, attachment.file, {}, attachment.sha256));
        listed.insert(attachment.file);
    }
    for (const std::string& name : files->names())
        if ((name.starts_with("pulls/") || name.starts_with("attachments/")) && !listed.contains(name))
            out.files.push_back({name, {}, FileState::NotListed, {}, {}, {}});
    out.sameRows = pullsWithSameRows(readDay(path, BadPulls::Keep));
    return out;
}

const char* fileStateName(FileState state) {
    switch (state) {
    case FileState::Fits:
        return "fits";
    case FileState::Differs:
        return "differs";
    case FileState::Missing:
        return "missing";
    case FileState::Unreadable:
        return "unreadable";
    case FileState::NoChecksum:
        return "no_checksum";
    case FileState::NotListed:
        return "not_listed";
    }
    return "";
}

} // namespace hillrun
