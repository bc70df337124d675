// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/zip.h"

#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/file_io.h"

#include <algorithm>
#include <archive.h>
#include <archive_entry.h>
#include <clocale>
#include <fmt/format.h>
#include <memory>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

using Reader = std::unique_ptr<archive, decltype(&archive_read_free)>;
using Writer = std::unique_ptr<archive, decltype(&archive_write_free)>;

/// The library turns names through the thread's locale; in this scope that is UTF-8.
class Utf8Scope {
public:
    Utf8Scope() : m_locale(::newlocale(LC_CTYPE_MASK, "C.UTF-8", nullptr)) {
        if (m_locale)
            m_before = ::uselocale(m_locale);
    }
    ~Utf8Scope() {
        if (!m_locale)
            return;
        ::uselocale(m_before);
        ::freelocale(m_locale);
    }
    Utf8Scope(const Utf8Scope&) = delete;
    Utf8Scope& operator=(const Utf8Scope&) = delete;

private:
    locale_t m_locale;
    locale_t m_before{};
};

[[noreturn]] void broken(const fs::path& path, archive* a) {
    const char* why = archive_error_string(a);
    throw DataError(Problem::ArchiveBroken,
                    {why ? Argument(std::string(why)) : Argument(Statement{"archive.ends_early"})},
                    {.file = path.string()});
}

/// Counts what is unpacked against the limits.
class Budget {
public:
    explicit Budget(const fs::path& path) : m_path(path), m_packed(static_cast<size_t>(fs::file_size(path))) {}
    void entry() {
        if (++m_entries > budget::kEntries)
            tooLarge("size.zip_files", std::to_string(budget::kEntries));
    }
    void bytes(size_t more, size_t ofThisFile) {
        m_unpacked += more;
        if (ofThisFile > budget::kFile)
            tooLarge("size.file_in_it", mebibytes(budget::kFile));
        if (m_unpacked > budget::kDay)
            tooLarge("size.unpacked", mebibytes(budget::kDay));
        if (m_unpacked > budget::kZipRatioFrom && m_unpacked / budget::kZipRatio > m_packed)
            tooLarge("size.unpacked", Statement{"size.times_itself", {std::to_string(budget::kZipRatio)}});
    }

private:
    [[noreturn]] void tooLarge(const char* what, const Argument& limit) const {
        throw DataError(Problem::TooLarge, {Statement{what}, limit}, {.file = m_path.string()});
    }
    fs::path m_path;
    size_t m_packed;
    size_t m_entries = 0;
    size_t m_unpacked = 0;
};

std::string contents(archive* a, const fs::path& path, Budget& budget) {
    std::string out;
    char buffer[65536];
    while (true) {
        const la_ssize_t got = archive_read_data(a, buffer, sizeof buffer);
        if (got < 0)
            broken(path, a);
        if (got == 0)
            return out;
        out.append(buffer, static_cast<size_t>(got));
        budget.bytes(static_cast<size_t>(got), out.size());
    }
}

std::string nameOf(archive_entry* entry, const fs::path& path) {
    const char* name = archive_entry_pathname_utf8(entry);
    if (!name)
        name = archive_entry_pathname(entry);
    if (!name)
        throw DataError(Problem::ArchiveBroken, {Statement{"archive.unreadable_name"}}, {.file = path.string()});
    std::string out = keptText(name);
    std::replace(out.begin(), out.end(), '\\', '/'); // as the library writes it; before anybody asks where it leads
    return out;
}

/// The folder that holds day.json, with a slash; empty when it stands at the top.
std::string sharedFolder(const std::map<std::string, std::string>& files) {
    for (const auto& [name, text] : files)
        if (name.size() > 9 && name.ends_with("/day.json"))
            return name.substr(0, name.size() - 8);
    return "";
}

} // namespace

bool isZipPath(const fs::path& path) { return path.extension() == ".zip" || path.extension() == ".ZIP"; }

std::map<std::string, std::string> readZip(const fs::path& path,
                                           const std::function<bool(const std::string& name)>& wanted) {
    if (!fs::is_regular_file(path))
        throw DataError(Problem::NotAPlainFile, {Statement{"file.not_plain"}}, {.file = path.string()});
    const Utf8Scope utf8;
    const Reader a(archive_read_new(), archive_read_free);
    archive_read_support_format_zip(a.get());
    if (archive_read_open_filename(a.get(), path.c_str(), 65536) != ARCHIVE_OK)
        broken(path, a.get());
    Budget budget(path);
    std::map<std::string, std::string> files;
    archive_entry* entry = nullptr;
    while (true) {
        const int status = archive_read_next_header(a.get(), &entry);
        if (status == ARCHIVE_EOF)
            break;
        if (status != ARCHIVE_OK && status != ARCHIVE_WARN)
            broken(path, a.get());
        budget.entry();
        if (archive_entry_filetype(entry) != AE_IFREG)
            continue;
        const std::string name = nameOf(entry, path);
        if (wanted && !wanted(name))
            continue;
        if (name != "day.json" && !name.ends_with("/day.json"))
            checkInside(name, path.string());
        if (!files.emplace(name, contents(a.get(), path, budget)).second)
            throw DataError(Problem::NameTwice, {name}, {.file = path.string()});
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

std::string writeZip(const fs::path& target, const std::map<std::string, std::string>& files) {
    const Utf8Scope utf8;
    std::string bytes;
    const Writer a(archive_write_new(), archive_write_free);
    archive_write_set_format_zip(a.get());
    archive_write_set_options(a.get(), "zip:hdrcharset=UTF-8");
    auto check = [&](la_ssize_t status) {
        if (status < ARCHIVE_OK)
            throw DataError(Problem::CannotWrite, {std::string(archive_error_string(a.get()))},
                            {.file = target.string()});
    };
    const auto append = [](archive*, void* out, const void* data, size_t size) -> la_ssize_t {
        static_cast<std::string*>(out)->append(static_cast<const char*>(data), size);
        return static_cast<la_ssize_t>(size);
    };
    check(archive_write_open(a.get(), &bytes, nullptr, append, nullptr));
    for (const auto& [name, text] : files) {
        const std::unique_ptr<archive_entry, decltype(&archive_entry_free)> entry(archive_entry_new(),
                                                                                  archive_entry_free);
        archive_entry_set_pathname_utf8(entry.get(), name.c_str());
        archive_entry_set_size(entry.get(), static_cast<la_int64_t>(text.size()));
        archive_entry_set_filetype(entry.get(), AE_IFREG);
        archive_entry_set_perm(entry.get(), 0644);
        archive_entry_set_mtime(entry.get(), 315532800, 0); // 1980: the same files give the same bytes
        check(archive_write_header(a.get(), entry.get()));
        check(archive_write_data(a.get(), text.data(), text.size()));
    }
    check(archive_write_close(a.get()));
    writeFileSafely(target, bytes);
    return sha256Hex(bytes);
}

} // namespace hillrun
