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

/// The rows under the first name that is free; a file of the day that holds just them is linked, not copied.
std::string DayKeeper::keepRows(const Pull& pull, const std::string& dayPath, std::string& sha256) {
    const fs::path wanted(pull.file);
    const fs::path stored = fs::path(dayPath) / pull.file;
    for (int n = 1;; ++n) {
        const fs::path name = n == 1 ? wanted
                                     : wanted.parent_path() / fmt::format("{}-{}{}", wanted.stem().string(), n,
                                                                          wanted.extension().string());
        const fs::path target = m_folder / name;
        makeFolders(target.parent_path());
        std::error_code error;
        if (fs::exists(target, error))
            continue;
        if (!dayPath.empty() && !pull.sha256.empty()) {
            fs::create_hard_link(stored, target, error);
            if (!error && sha256Hex(readFileText(target)) == pull.sha256)
                return name.generic_string();
            if (!error)
                fs::remove(target, error);
        }
        const std::string text = writePullText(*pull.raw);
        sha256 = sha256Hex(text);
        if (writeNewFile(target, text))
            return name.generic_string();
    }
}

void DayKeeper::keep(const TestDay& day, const KeptNote& note) {
    if (m_folder.empty())
        begin();
    TestDay kept = day;
    std::vector<std::string> unsaved;
    for (Pull& pull : kept.pulls) {
        if (!pull.raw)
            continue;
        if (pull.sha256.empty())
            unsaved.push_back(pull.id);
        Written& written = m_written[pull.raw.get()];
        if (!written.rows) {
            written.sha256 = pull.sha256;
            written.file = keepRows(pull, note.dayPath, written.sha256);
            written.rows = pull.raw;
        }
        pull.file = written.file;
        pull.sha256 = written.sha256;
    }
    writeFileSafely(m_folder / kNoteFile, noteText(note, unsaved));
    writeFileSafely(m_folder / "day.json", dayToJson(kept)); // last: without it nothing is offered
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

TestDay readKept(const KeptDay& kept) { return readDay(kept.folder, BadPulls::Keep); }

bool claimKept(const KeptDay& kept, FileLock& lock) { return lock.acquire(kept.folder / kLockFile, kWindowProgram); }

void removeKept(const KeptDay& kept) {
    std::error_code ignored;
    fs::remove(kept.folder / "day.json", ignored);
    fs::remove_all(kept.folder, ignored);
}

} // namespace hillrun
