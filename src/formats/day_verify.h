// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <filesystem>
#include <string>
#include <vector>

namespace hillrun {

enum class FileState {
    Fits,
    Differs,    ///< its checksum is another
    Missing,    ///< the day speaks of it, and it is not there
    Unreadable, ///< a link, a device, without rights, too large
    NoChecksum, ///< stored by a program that wrote none
    NotListed,  ///< there, and no pull or attachment speaks of it (a pull that was undone)
};

struct VerifiedFile {
    std::string file;
    std::string pull; ///< id of the pull it belongs to; empty for an attachment
    FileState state = FileState::Fits;
    std::string expected; ///< checksums; empty where there is none
    std::string found;
    Statement why; ///< why it is unreadable
    bool operator==(const VerifiedFile&) const = default;
};

struct Verification {
    std::vector<VerifiedFile> files;                ///< pulls in the day's order, attachments, then what is not listed
    std::vector<std::vector<std::string>> sameRows; ///< groups of pulls with the same rows
    [[nodiscard]] bool good() const;                ///< every file with a checksum fits it, and none is missing
};

/// Holds every file of a day, folder or zip, against its checksum. Throws DataError when it is no day.
Verification verifyDay(const std::filesystem::path& path);
const char* fileStateName(FileState state); ///< "fits", "no_checksum"

} // namespace hillrun
