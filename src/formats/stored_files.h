// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A day's files by their names inside it, in a folder or a zip.
class StoredFiles {
public:
    virtual ~StoredFiles() = default;
    /// Nothing when there is no such file. Throws DataError (NotAPlainFile, FileUnreadable, TooLarge).
    [[nodiscard]] virtual std::optional<std::string> read(const std::string& name) const = 0;
    /// Every file, links left out.
    [[nodiscard]] virtual std::vector<std::string> names() const = 0;
};

enum class Attachments { LeftPacked, Unpacked };

/// Opens a folder, its day.json or a zip. Throws DataError (FileMissing, FileEmpty, NotADay, ArchiveBroken ...).
std::unique_ptr<StoredFiles> openStoredFiles(const std::filesystem::path& path, Attachments attachments);

/// The text in Unicode's composed form (NFC), in which names come out of a zip; as it is when it is no UTF-8.
std::string composed(const std::string& text);
/// "attachments/port.jpg", also below a folder of its own in a zip.
bool isAttachment(const std::string& name);

} // namespace hillrun
