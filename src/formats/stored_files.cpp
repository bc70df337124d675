// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/stored_files.h"

#include "core/errors/data_error.h"
#include "formats/file_io.h"
#include "formats/zip.h"

#include <algorithm>
#include <cstdlib>
#include <utf8proc.h>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

class FolderFiles : public StoredFiles {
public:
    explicit FolderFiles(fs::path folder) : m_folder(std::move(folder)) {}
    [[nodiscard]] std::optional<std::string> read(const std::string& name) const override {
        std::error_code error;
        if (fs::symlink_status(m_folder / name, error).type() == fs::file_type::not_found)
            return std::nullopt;
        try {
            return readFileInside(m_folder, name);
        } catch (const DataError& problem) { // by its name inside the day
            throw DataError(problem.problem(), problem.details(), {.file = name});
        }
    }
    [[nodiscard]] std::vector<std::string> names() const override {
        std::vector<std::string> out;
        std::error_code error;
        for (fs::recursive_directory_iterator it(m_folder, error), end; !error && it != end; it.increment(error))
            if (std::error_code ignored; it->symlink_status(ignored).type() == fs::file_type::regular)
                out.push_back(it->path().lexically_relative(m_folder).generic_string());
        std::sort(out.begin(), out.end());
        return out;
    }

private:
    fs::path m_folder;
};

class ZipFiles : public StoredFiles {
public:
    ZipFiles(const fs::path& path, Attachments attachments)
        : m_files(readZip(path, [attachments](const std::string& name) {
              return attachments == Attachments::Unpacked || !isAttachment(name);
          })) {}
    /// The archive library gives names composed (NFC); day.json may spell them otherwise, as some systems do.
    [[nodiscard]] std::optional<std::string> read(const std::string& name) const override {
        auto it = m_files.find(name);
        if (it == m_files.end())
            it = m_files.find(composed(name));
        return it == m_files.end() ? std::nullopt : std::optional(it->second);
    }
    [[nodiscard]] std::vector<std::string> names() const override {
        std::vector<std::string> out;
        for (const auto& [name, text] : m_files)
            out.push_back(name);
        return out;
    }

private:
    std::map<std::string, std::string> m_files;
};

} // namespace

std::string composed(const std::string& text) {
    const std::unique_ptr<utf8proc_uint8_t, decltype(&std::free)> out(
        utf8proc_NFC(reinterpret_cast<const utf8proc_uint8_t*>(text.c_str())), std::free);
    return out ? reinterpret_cast<const char*>(out.get()) : text;
}

std::unique_ptr<StoredFiles> openStoredFiles(const fs::path& path, Attachments attachments) {
    std::error_code error;
    const fs::file_status status = fs::status(path, error);
    if (!fs::exists(status))
        throw DataError(Problem::FileMissing, {}, {.file = path.string()});
    if (fs::is_directory(status))
        return std::make_unique<FolderFiles>(path);
    if (path.filename() == "day.json")
        return std::make_unique<FolderFiles>(path.parent_path().empty() ? fs::path(".") : path.parent_path());
    if (fs::is_regular_file(status) && fs::file_size(path, error) == 0)
        throw DataError(Problem::FileEmpty, {}, {.file = path.string()});
    if (isZipPath(path))
        return std::make_unique<ZipFiles>(path, attachments);
    throw DataError(Problem::NotADay, {}, {.file = path.string()});
}

bool isAttachment(const std::string& name) {
    return name.starts_with("attachments/") || name.find("/attachments/") != std::string::npos;
}

} // namespace hillrun
