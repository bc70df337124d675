// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_store.h"

#include "core/errors/data_error.h"
#include "formats/day_json.h"
#include "formats/pull_file.h"
#include "formats/stored_files.h"
#include "formats/zip.h"

#include <algorithm>
#include <atomic>
#include <charconv>
#include <fmt/format.h>
#include <memory>
#include <thread>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

std::string existingText(const std::string& file, const StoredFiles& files) {
    checkInside(file, "day.json");
    auto text = files.read(file);
    if (!text)
        throw DataError(Problem::FileMissing, {}, {.file = file});
    return std::move(*text);
}

/// The text of a file of rows that fits its checksum, which is set where it was not known.
std::string checkedText(const std::string& file, std::string& sha256, const StoredFiles& files,
                        std::atomic<size_t>& total) {
    std::string text = existingText(file, files);
    if ((total += text.size()) > budget::kDay)
        throw DataError(Problem::TooLarge, {Statement{"size.pulls_together"}, mebibytes(budget::kDay)}, {.file = file});
    const std::string found = sha256Hex(text);
    if (!sha256.empty() && sha256 != found)
        throw DataError(Problem::ChecksumDiffers, {sha256, found}, {.file = file});
    sha256 = found;
    return text;
}

ChannelTable readRowsOf(const Pull& pull, const std::string& text) {
    return pull.grade == PullGrade::Recorded ? readPullText(text, pull.file, gaugeReference_kpa(pull))
                                             : readCurveText(text, pull.file, gaugeReference_kpa(pull));
}

/// A log that cannot be read costs its channels, never the pull.
void readLogs(Pull& pull, const StoredFiles& files, std::atomic<size_t>& total) {
    for (LaidLog& log : pull.logs) {
        try {
            const std::string text = checkedText(log.file, log.sha256, files, total);
            log.rows = std::make_shared<const ChannelTable>(readLogText(text, log.file));
            log.problem = {};
        } catch (const DataError& error) {
            log.problem = placedStatement(error);
        }
    }
}

void readRaw(Pull& pull, const StoredFiles& files, std::atomic<size_t>& total) {
    const std::string text = checkedText(pull.file, pull.sha256, files, total);
    readLogs(pull, files, total);
    setOwnRows(pull, std::make_shared<const ChannelTable>(readRowsOf(pull, text)));
}

/// Reads the pull files, several at once. The first problem in the order of the pulls is the one that is thrown.
void readAllRaw(TestDay& day, const StoredFiles& files, BadPulls badPulls) {
    const size_t readers = std::clamp<size_t>(std::thread::hardware_concurrency(), 1, 4);
    std::vector<std::exception_ptr> problems(day.pulls.size());
    std::atomic<size_t> next = 0;
    std::atomic<size_t> total = 0;
    std::atomic<bool> hopeless = false;
    auto read = [&] {
        for (size_t i = next++; i < day.pulls.size(); i = next++) {
            try {
                readRaw(day.pulls[i], files, total);
            } catch (const DataError& error) {
                day.pulls[i].problem = placedStatement(error);
                if (error.problem() != Problem::ChecksumDiffers) // that one never costs the day
                    problems[i] = std::current_exception();
            } catch (...) { // no memory: nobody can go on
                problems[i] = std::current_exception();
                hopeless = true;
            }
        }
    };
    {
        std::vector<std::jthread> threads;
        for (size_t i = 1; i < std::min(readers, day.pulls.size()); ++i)
            threads.emplace_back(read);
        read();
    }
    if (badPulls == BadPulls::Throw || hopeless)
        for (const std::exception_ptr& problem : problems)
            if (problem)
                std::rethrow_exception(problem);
}

bool isSameFile(const fs::path& a, const fs::path& b) {
    std::error_code error;
    return fs::exists(a, error) && fs::exists(b, error) && fs::equivalent(a, b, error);
}

/// A file of the source that is there; nothing when it is not or cannot be read.
std::optional<std::string> readIfThere(const StoredFiles* source, const std::string& name) {
    try {
        return source ? source->read(name) : std::nullopt;
    } catch (const DataError&) {
        return std::nullopt;
    }
}

using Rows = std::shared_ptr<const ChannelTable>;

/// The bytes that belong to rows. Where the rows could not be read the file as it lies there; otherwise a file only
/// counts when its checksum says that it holds them.
std::optional<std::string> bytesOf(const std::string& file, const std::string& sha256, const Rows& rows,
                                   const StoredFiles* source) {
    checkInside(file, "day.json");
    auto text = readIfThere(source, file);
    if (!rows || (text && !sha256.empty() && sha256Hex(*text) == sha256))
        return text;
    return writePullText(*rows);
}

/// "pulls/p07.csv", "pulls/p07-2.csv" ...
std::string numbered(const std::string& file, int n) {
    const fs::path path(file);
    return n == 1 ? file
                  : (path.parent_path() / fmt::format("{}-{}{}", path.stem().string(), n, path.extension().string()))
                        .generic_string();
}

/// Finds the pull's bytes in the folder or writes them under the first name that is free.
std::string placeInFolder(const fs::path& target, const std::string& file, const std::string& bytes) {
    const auto folder = openStoredFiles(target, Attachments::LeftPacked);
    for (int n = 1;; ++n) {
        const std::string name = numbered(file, n);
        makeFolders((target / name).parent_path());
        if (writeNewFile(target / name, bytes) || readIfThere(folder.get(), name) == bytes)
            return name;
    }
}

Statement leftBehindPhrase(const std::string& file, const Statement& problem) {
    return {"left_behind", {file, problem.empty() ? Statement{"left_behind.no_rows"} : problem}};
}

void keepAttachmentsInFolder(SavedDay& out, const fs::path& target, const StoredFiles* source) {
    const auto there = openStoredFiles(target, Attachments::Unpacked);
    std::vector<std::string> names;
    if (source)
        names = source->names();
    for (const std::string& name : names) {
        if (!name.starts_with("attachments/"))
            continue;
        const auto bytes = source->read(name);
        makeFolders((target / name).parent_path());
        if (bytes && !writeNewFile(target / name, *bytes) && readIfThere(there.get(), name) != bytes)
            out.leftBehind.push_back({"left_behind", {name, Statement{"left_behind.another"}}});
    }
}

/// Out of a zip names come composed; whatever spells them otherwise follows.
void followNames(TestDay& day, const std::vector<std::string>& names) {
    const auto follow = [&](std::string& file) {
        if (std::find(names.begin(), names.end(), file) == names.end() &&
            std::find(names.begin(), names.end(), composed(file)) != names.end())
            file = composed(file);
    };
    for (Attachment& attachment : day.attachments)
        follow(attachment.file);
    for (Pull& pull : day.pulls)
        if (!pull.given.picture.empty())
            follow(pull.given.picture);
    for (Build& build : day.builds)
        for (std::string& file : build.attachments)
            follow(file);
}

/// Gives every file under attachments/ its checksum; those that are known keep it.
void sumAttachments(SavedDay& out, const std::vector<std::string>& names,
                    const std::function<std::optional<std::string>(const std::string&)>& read) {
    followNames(out.day, names);
    for (const std::string& name : names) {
        const bool known = std::any_of(out.day.attachments.begin(), out.day.attachments.end(),
                                       [&](const Attachment& a) { return a.file == name; });
        if (!name.starts_with("attachments/") || known)
            continue;
        if (const auto bytes = read(name))
            out.day.attachments.push_back({name, sha256Hex(*bytes)});
    }
    for (const Attachment& one : out.day.attachments)
        if (std::find(names.begin(), names.end(), one.file) == names.end())
            out.leftBehind.push_back({"name", {one.file}});
}

/// Finds a place for every attachment that lies in no folder: place(file, bytes) gives the name it got. Whatever speaks
/// of it follows.
void storeCarried(TestDay& day, const std::function<std::string(const std::string&, const std::string&)>& place) {
    std::map<std::string, std::string> placed; // at once: one may get the name that another had
    for (Attachment& one : day.attachments) {
        if (!one.bytes)
            continue;
        checkInside(one.file, "day.json");
        placed[one.file] = place(one.file, *one.bytes);
        one.file = placed[one.file];
        one.sha256 = sha256Hex(*one.bytes);
    }
    const auto follow = [&](std::string& file) {
        if (const auto it = placed.find(file); it != placed.end())
            file = it->second;
    };
    for (Build& build : day.builds)
        std::for_each(build.attachments.begin(), build.attachments.end(), follow);
    for (Pull& pull : day.pulls)
        follow(pull.given.picture);
}

/// A day that could not be read again is never written: whatever slipped in is named instead.
std::string readableJson(const TestDay& day) {
    std::string json = dayToJson(day);
    (void)dayFromJson(json, "day.json");
    return json;
}

void saveToFolder(SavedDay& out, const fs::path& target, const StoredFiles* source, bool inPlace) {
    makeFolders(target);
    std::error_code error;
    if (!inPlace && fs::exists(target / "day.json", error))
        throw DataError(Problem::AnotherDayThere, {}, {.file = target.string()});
    removeStaleParts(target);
    for (Pull& pull : out.day.pulls)
        forEachStored(pull, [&](std::string& file, std::string& sha256, const Rows& rows, const Statement& problem) {
            if (inPlace && !rows)
                return; // what lies there stays as it is
            const auto bytes = bytesOf(file, sha256, rows, source);
            if (!bytes) {
                out.leftBehind.push_back(leftBehindPhrase(file, problem));
                return;
            }
            file = placeInFolder(target, file, *bytes);
            if (rows)
                sha256 = sha256Hex(*bytes);
        });
    if (!inPlace)
        keepAttachmentsInFolder(out, target, source);
    storeCarried(out.day,
                 [&](const std::string& file, const std::string& bytes) { return placeInFolder(target, file, bytes); });
    const auto there = openStoredFiles(target, Attachments::Unpacked);
    sumAttachments(out, there->names(), [&](const std::string& name) { return readIfThere(there.get(), name); });
    const std::string json = readableJson(out.day);
    out.stamp = sha256Hex(json);
    writeFileSafely(target / "day.json", json); // last: a day without it is not a day
}

/// Puts the bytes under the first name that is free or holds them already.
std::string placeAmong(std::map<std::string, std::string>& files, const std::string& file, const std::string& bytes) {
    for (int n = 1;; ++n) {
        const std::string name = numbered(file, n);
        if (const auto [it, isNew] = files.emplace(name, bytes); isNew || it->second == bytes)
            return name;
    }
}

void saveToZip(SavedDay& out, const fs::path& target, const StoredFiles* source, bool inPlace) {
    std::map<std::string, std::string> files;
    if (source)
        for (const std::string& name : source->names()) // in place also the rows of pulls that were undone
            if (name.starts_with("attachments/") || (inPlace && name.starts_with("pulls/")))
                if (auto bytes = source->read(name))
                    files[name] = std::move(*bytes);
    for (Pull& pull : out.day.pulls)
        forEachStored(pull, [&](std::string& file, std::string& sha256, const Rows& rows, const Statement& problem) {
            auto bytes = bytesOf(file, sha256, rows, source);
            if (!bytes) {
                out.leftBehind.push_back(leftBehindPhrase(file, problem));
                return;
            }
            if (rows)
                sha256 = sha256Hex(*bytes);
            file = placeAmong(files, file, *bytes);
        });
    storeCarried(out.day,
                 [&](const std::string& file, const std::string& bytes) { return placeAmong(files, file, bytes); });
    std::vector<std::string> names;
    for (const auto& [name, bytes] : files)
        names.push_back(name);
    sumAttachments(out, names, [&](const std::string& name) { return std::optional(files[name]); });
    files["day.json"] = readableJson(out.day);
    if (const fs::path folder = target.parent_path(); !folder.empty() && fs::is_directory(folder))
        removeStaleParts(folder);
    out.stamp = writeZip(target, files);
}

bool isZipFile(const fs::path& path) { return isZipPath(path) && !fs::is_directory(path); }

fs::path jsonOf(const fs::path& path) { return path.filename() == "day.json" ? path : path / "day.json"; }

std::string dayJsonText(const StoredFiles& files, const fs::path& path) {
    auto json = files.read("day.json");
    if (!json)
        throw DataError(Problem::NotADay, {}, {.file = path.string()});
    return std::move(*json);
}

TestDay dayOf(const std::string& json) {
    TestDay day = dayFromJson(json, "day.json");
    if (day.pulls.size() > budget::kPulls)
        throw DataError(Problem::TooLarge, {Statement{"size.pulls"}, std::to_string(budget::kPulls)},
                        {.file = "day.json"});
    return day;
}

} // namespace

OpenedDay openDay(const fs::path& path, BadPulls badPulls) {
    const auto files = openStoredFiles(path, Attachments::LeftPacked);
    const std::string json = dayJsonText(*files, path);
    OpenedDay out{dayOf(json), isZipFile(path) ? dayStamp(path) : sha256Hex(json)};
    readAllRaw(out.day, *files, badPulls);
    return out;
}

bool holdsDay(const fs::path& zip) {
    bool found = false;
    try {
        (void)readZip(zip, [&](const std::string& name) {
            found = found || fs::path(name).filename() == "day.json";
            return false;
        });
    } catch (const DataError&) {
        return true;
    }
    return found;
}

DayOnDisk::DayOnDisk(const fs::path& path)
    : m_files(openStoredFiles(path, Attachments::LeftPacked)), m_day(dayOf(dayJsonText(*m_files, path))) {}

size_t pullFilesSize(const fs::path& path) {
    size_t out = 0;
    std::error_code error;
    if (isZipFile(path))
        return out;
    for (const auto& entry : fs::directory_iterator(jsonOf(path).parent_path() / "pulls", error))
        if (const auto size = entry.file_size(error); !error)
            out += size;
    return out;
}

Pull DayOnDisk::read(size_t number) const {
    Pull pull = m_day.pulls[number];
    std::atomic<size_t> total = 0;
    try {
        readRaw(pull, *m_files, total);
    } catch (const DataError& error) {
        if (error.problem() != Problem::ChecksumDiffers)
            throw;
        pull.problem = placedStatement(error);
    }
    return pull;
}

TestDay readDay(const fs::path& path, BadPulls badPulls) { return openDay(path, badPulls).day; }

std::string pullFileText(const Pull& pull, const fs::path& dayPath) {
    return existingText(pull.file, *openStoredFiles(dayPath, Attachments::LeftPacked));
}

void takeAsItIs(Pull& pull, const fs::path& dayPath) {
    const std::string text = pullFileText(pull, dayPath);
    setOwnRows(pull, std::make_shared<const ChannelTable>(readRowsOf(pull, text)));
    pull.sha256 = sha256Hex(text);
    pull.problem = {};
}

SavedDay saveDay(const TestDay& day, const fs::path& target, const std::optional<fs::path>& source) {
    SavedDay out{day, {}, {}};
    std::unique_ptr<StoredFiles> from;
    std::error_code error;
    if (source && fs::exists(*source, error)) {
        from = openStoredFiles(*source, Attachments::Unpacked);
    } else if (source) {
        for (const Attachment& attachment : day.attachments)
            if (!attachment.bytes)
                out.leftBehind.push_back({"name", {attachment.file}});
        std::erase_if(out.day.attachments, [](const Attachment& attachment) { return !attachment.bytes; });
    }
    if (isZipFile(target)) {
        saveToZip(out, target, from.get(), source && isSameFile(*source, target));
        return out;
    }
    const fs::path folder = target.filename() == "day.json" ? target.parent_path() : target;
    saveToFolder(out, folder, from.get(), source && isSameFolder(*source, folder));
    return out;
}

std::string dayStamp(const fs::path& path) {
    try {
        return sha256Hex(isZipFile(path) ? readFileText(path, budget::kDay)
                                         : readFileText(jsonOf(path), budget::kJson));
    } catch (const DataError&) {
        return "";
    }
}

bool isSameFolder(const fs::path& a, const fs::path& b) {
    return isSameFile(a.filename() == "day.json" ? a.parent_path() : a,
                      b.filename() == "day.json" ? b.parent_path() : b);
}

std::string freePullId(const TestDay& day, const fs::path& dayPath) {
    int highest = 0;
    auto count = [&](const std::string& stem) {
        int number = 0;
        const char* end = stem.data() + stem.size();
        if (stem.size() > 1 && stem[0] == 'p' && std::from_chars(stem.data() + 1, end, number).ec == std::errc() &&
            number < 100000000)
            highest = std::max(highest, number);
    };
    for (const Pull& pull : day.pulls) {
        count(pull.id);
        count(fs::path(pull.file).stem().string());
    }
    std::error_code error;
    const fs::path folder = dayPath.filename() == "day.json" ? dayPath.parent_path() : dayPath;
    if (!dayPath.empty())
        for (fs::directory_iterator it(folder / "pulls", error), end; !error && it != end; it.increment(error))
            count(it->path().stem().string());
    while (findPull(day, fmt::format("p{:02}", highest + 1)))
        ++highest;
    return fmt::format("p{:02}", highest + 1);
}

} // namespace hillrun
