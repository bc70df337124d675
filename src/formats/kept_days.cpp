// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/kept_days.h"

#include "core/errors/data_error.h"
#include "formats/day_json.h"
#include "formats/day_store.h"
#include "formats/json_reader.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <chrono>
#include <fmt/format.h>
#include <set>
#include <unistd.h>
#include <utility>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr const char* kNoteFile = "kept.json";
constexpr const char* kLockFile = "kept.lock";

std::string noteText(const KeptNote& note, const std::vector<std::string>& stored) {
    const Json out{{"format", "hill-run-kept"}, {"version", 1},      {"day", note.dayPath}, {"name", note.name},
                   {"when", note.when},         {"base", note.base}, {"edits", note.edits}, {"unsaved", stored}};
    return dumpJson(out, 1) + "\n";
}

} // namespace

void DayKeeper::begin() {
    const auto now = std::chrono::system_clock::now().time_since_epoch();
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(now).count();
    for (int n = 0; m_folder.empty(); ++n) {
        const fs::path folder = m_root / fmt::format("{}-{}-{}", seconds, ::getpid(), n);
        makeFolders(m_root);
        std::error_code error;
        if (fs::create_directory(folder, error))
            m_folder = folder;
        else if (error)
            throw DataError(Problem::CannotWrite, {error.message()}, {.file = folder.string()});
    }
    (void)m_lock.acquire(m_folder / kLockFile, kWindowProgram);
    makeFolders(m_folder / "pulls");
    flushFolder(m_root);
}

/// The name, or with a number the first that is free.
std::string DayKeeper::freeName(const std::string& wanted) {
    const fs::path file(wanted);
    for (int n = 1;; ++n) {
        const fs::path name =
            n == 1 ? file
                   : file.parent_path() / fmt::format("{}-{}{}", file.stem().string(), n, file.extension().string());
        std::error_code error;
        if (!fs::exists(m_folder / name, error) && m_names.insert(name.generic_string()).second)
            return name.generic_string();
    }
}

/// A file of the day that holds just these rows is linked, not copied. True when the checksum became another.
bool DayKeeper::storeRows(Written& written, const std::string& storedAs, const std::string& dayPath) {
    const fs::path target = m_folder / written.file;
    makeFolders(target.parent_path());
    std::error_code error;
    if (!dayPath.empty() && !written.sha256.empty()) {
        fs::create_hard_link(fs::path(dayPath) / storedAs, target, error);
        if (!error && sha256Hex(readFileText(target)) == written.sha256) {
            written.stored = true;
            return false;
        }
        if (!error)
            fs::remove(target, error);
    }
    const std::string text = writePullText(*written.rows);
    const std::string before = std::exchange(written.sha256, sha256Hex(text));
    writeNewFile(target, text);
    written.stored = true;
    return before != written.sha256;
}

/// Edits first, and rows that lie nowhere else; a kill may come while the rows of the day's own files are still copied,
/// and those are then taken from the day.
void DayKeeper::keep(const TestDay& day, const KeptNote& note) {
    if (m_folder.empty())
        begin();
    std::vector<std::string> unsaved;
    std::vector<std::pair<Written*, std::string>> later;
    const auto keepRows = [&](const std::string& file, const std::string& sha256, const auto& rows, const auto&) {
        if (!rows)
            return;
        Written& written = m_written[rows.get()];
        if (!written.rows)
            written = {rows, freeName(file), sha256, false};
        if (written.stored)
            return;
        if (written.sha256.empty())
            storeRows(written, file, note.dayPath);
        else
            later.emplace_back(&written, file);
    };
    for (const Pull& pull : day.pulls) {
        if (pull.raw && pull.sha256.empty())
            unsaved.push_back(pull.id);
        forEachStored(pull, keepRows);
    }
    const auto writeDay = [&] {
        TestDay kept = day;
        for (Pull& pull : kept.pulls)
            forEachStored(pull, [&](std::string& file, std::string& sha256, const auto& rows, const auto&) {
                if (const auto it = m_written.find(rows.get()); rows && it != m_written.end()) {
                    file = it->second.file;
                    sha256 = it->second.sha256;
                }
            });
        writeFileSafely(m_folder / kNoteFile, noteText(note, unsaved));
        writeFileSafely(m_folder / "day.json", dayToJson(kept)); // last: without it nothing is offered
    };
    for (const Attachment& one : day.attachments)
        if (one.bytes) {
            makeFolders((m_folder / one.file).parent_path());
            writeNewFile(m_folder / one.file, *one.bytes);
        }
    writeDay();
    bool changed = false;
    for (const auto& [written, storedAs] : later)
        changed = storeRows(*written, storedAs, note.dayPath) || changed;
    if (changed)
        writeDay();
}

void DayKeeper::drop() {
    if (m_folder.empty())
        return;
    std::error_code ignored;
    fs::remove(m_folder / "day.json", ignored); // first: half a folder is not offered
    m_lock.release();
    fs::remove_all(m_folder, ignored);
    m_folder.clear();
    m_written.clear();
    m_names.clear();
}

fs::path keptRoot() { return stateFolder() / "kept"; }

std::vector<KeptDay> findKept(const fs::path& root) {
    std::vector<KeptDay> out;
    std::error_code error;
    for (fs::directory_iterator it(root, error), end; !error && it != end; it.increment(error)) {
        const fs::path folder = it->path();
        if (!fs::exists(folder / "day.json") || isLockedBySomebody(folder / kLockFile))
            continue;
        try {
            const std::string file = (folder / kNoteFile).string();
            ObjectReader in(parseJson(readFileText(file, budget::kJson), file), file);
            KeptDay kept{folder,
                         {in.text("day"), in.text("name"), in.text("when"), in.text("base"), in.texts("edits")}};
            kept.unsaved = in.texts("unsaved").size();
            kept.pulls = dayFromJson(readFileText(folder / "day.json", budget::kJson), "day.json").pulls.size();
            out.push_back(std::move(kept));
        } catch (const DataError&) { // half a note from a full disk: the day before it was written over whole
        }
    }
    std::sort(out.begin(), out.end(), [](const KeptDay& a, const KeptDay& b) {
        return std::tie(a.note.when, a.folder) > std::tie(b.note.when, b.folder);
    });
    return out;
}

namespace {

/// Rows that were not copied before the kill, from the day's own place, by their checksum.
void takeFromPlace(TestDay& day, const std::string& place) {
    TestDay stored;
    try {
        stored = readDay(place, BadPulls::Keep);
    } catch (const DataError&) { // the place is gone: each pull says itself that its rows are not there
        return;
    }
    std::map<std::string, std::shared_ptr<const ChannelTable>> bySum;
    for (const Pull& pull : stored.pulls)
        forEachStored(pull, [&](const std::string&, const std::string& sha256, const auto& rows, const auto&) {
            if (rows && !sha256.empty())
                bySum[sha256] = rows;
        });
    for (Pull& pull : day.pulls) {
        for (LaidLog& log : pull.logs)
            if (const auto it = bySum.find(log.sha256); !log.rows && it != bySum.end()) {
                log.rows = it->second;
                log.problem = {};
            }
        const auto it = bySum.find(pull.sha256);
        const bool found = !pull.raw && it != bySum.end();
        if (found)
            pull.problem = {};
        setOwnRows(pull, found ? it->second : ownRows(pull));
    }
}

} // namespace

TestDay readKept(const KeptDay& kept) {
    TestDay day = readDay(kept.folder, BadPulls::Keep);
    std::error_code error;
    for (Attachment& one : day.attachments)
        if (fs::exists(kept.folder / one.file, error))
            one.bytes = std::make_shared<const std::string>(readFileText(kept.folder / one.file, budget::kDay));
    bool complete = true;
    for (const Pull& pull : day.pulls)
        forEachStored(pull,
                      [&](const auto&, const auto&, const auto& rows, const auto&) { complete = complete && rows; });
    if (!complete && !kept.note.dayPath.empty())
        takeFromPlace(day, kept.note.dayPath);
    return day;
}

bool claimKept(const KeptDay& kept, FileLock& lock) { return lock.acquire(kept.folder / kLockFile, kWindowProgram); }

void removeKept(const KeptDay& kept) {
    std::error_code ignored;
    fs::remove(kept.folder / "day.json", ignored);
    fs::remove_all(kept.folder, ignored);
}

} // namespace hillrun
