// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "formats/day_store.h"

#include <archive.h>
#include <archive_entry.h>
#include <memory>

namespace hillrun {
namespace {

using Reader = std::unique_ptr<archive, decltype(&archive_read_free)>;
using Writer = std::unique_ptr<archive, decltype(&archive_write_free)>;

constexpr size_t kLargestFile = size_t{1} << 30;

[[noreturn]] void broken(const std::filesystem::path& path, archive* a) {
    const char* why = archive_error_string(a);
    throw DataError(Problem::ArchiveBroken, {why ? why : "it ends early"}, {.file = path.string()});
}

std::string contents(archive* a, const std::filesystem::path& path) {
    std::string out;
    char buffer[65536];
    while (true) {
        const la_ssize_t got = archive_read_data(a, buffer, sizeof buffer);
        if (got < 0)
            broken(path, a);
        if (got == 0)
            return out;
        out.append(buffer, static_cast<size_t>(got));
        if (out.size() > kLargestFile)
            throw DataError(Problem::ArchiveBroken, {"a file in it is larger than 1 GiB"}, {.file = path.string()});
    }
}

/// The folder that holds day.json, with a slash; empty when it stands at the top.
std::string sharedFolder(const std::map<std::string, std::string>& files) {
    for (const auto& [name, text] : files)
        if (name.size() > 9 && name.ends_with("/day.json"))
            return name.substr(0, name.size() - 8);
    return "";
}

} // namespace

std::map<std::string, std::string> readZip(const std::filesystem::path& path) {
    const Reader a(archive_read_new(), archive_read_free);
    archive_read_support_format_zip(a.get());
    if (archive_read_open_filename(a.get(), path.c_str(), 65536) != ARCHIVE_OK)
        broken(path, a.get());
    std::map<std::string, std::string> files;
    archive_entry* entry = nullptr;
    while (true) {
        const int status = archive_read_next_header(a.get(), &entry);
        if (status == ARCHIVE_EOF)
            break;
        if (status != ARCHIVE_OK)
            broken(path, a.get());
        if (archive_entry_filetype(entry) == AE_IFREG)
            files[archive_entry_pathname(entry)] = contents(a.get(), path);
    }
    const std::string folder = files.contains("day.json") ? "" : sharedFolder(files);
    if (folder.empty())
        return files;
    std::map<std::string, std::string> out;
    for (auto& [name, text] : files)
        if (name.starts_with(folder))
            out[name.substr(folder.size())] = std::move(text);
    return out;
}

void writeZip(const std::filesystem::path& target, const std::map<std::string, std::string>& files) {
    std::string bytes;
    const Writer a(archive_write_new(), archive_write_free);
    archive_write_set_format_zip(a.get());
    auto check = [&](la_ssize_t status) {
        if (status < ARCHIVE_OK)
            throw DataError(Problem::CannotWrite, {archive_error_string(a.get())}, {.file = target.string()});
    };
    const auto append = [](archive*, void* out, const void* data, size_t size) -> la_ssize_t {
        static_cast<std::string*>(out)->append(static_cast<const char*>(data), size);
        return static_cast<la_ssize_t>(size);
    };
    check(archive_write_open(a.get(), &bytes, nullptr, append, nullptr));
    for (const auto& [name, text] : files) {
        const std::unique_ptr<archive_entry, decltype(&archive_entry_free)> entry(archive_entry_new(),
                                                                                  archive_entry_free);
        archive_entry_set_pathname(entry.get(), name.c_str());
        archive_entry_set_size(entry.get(), static_cast<la_int64_t>(text.size()));
        archive_entry_set_filetype(entry.get(), AE_IFREG);
        archive_entry_set_perm(entry.get(), 0644);
        archive_entry_set_mtime(entry.get(), 315532800, 0); // 1980: the same files give the same bytes
        check(archive_write_header(a.get(), entry.get()));
        check(archive_write_data(a.get(), text.data(), text.size()));
    }
    check(archive_write_close(a.get()));
    writeFileSafely(target, bytes);
}

} // namespace hillrun
