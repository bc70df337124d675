// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_store.h"

#include "core/errors/data_error.h"
#include "formats/day_json.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <atomic>
#include <cstdio>
#include <cstring>
#include <fcntl.h>
#include <fstream>
#include <memory>
#include <set>
#include <sys/stat.h>
#include <thread>
#include <unistd.h>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr double kStandardPressure_kpa = 101.325;

/// A day's files, in a folder or unpacked from a zip.
class DayFiles {
public:
    virtual ~DayFiles() = default;
    [[nodiscard]] virtual std::optional<std::string> read(const std::string& name) const = 0;
    [[nodiscard]] virtual std::vector<std::string> names() const = 0;
};

class FolderFiles : public DayFiles {
public:
    explicit FolderFiles(fs::path folder) : m_folder(std::move(folder)) {}
    [[nodiscard]] std::optional<std::string> read(const std::string& name) const override {
        const fs::path path = m_folder / name;
        if (!fs::exists(path))
            return std::nullopt;
        return readFileText(path);
    }
    [[nodiscard]] std::vector<std::string> names() const override {
        std::vector<std::string> out;
        for (const auto& entry : fs::recursive_directory_iterator(m_folder))
            if (entry.is_regular_file())
                out.push_back(fs::relative(entry.path(), m_folder).generic_string());
        return out;
    }

private:
    fs::path m_folder;
};

class ZipFiles : public DayFiles {
public:
    explicit ZipFiles(const fs::path& path) : m_files(readZip(path)) {}
    [[nodiscard]] std::optional<std::string> read(const std::string& name) const override {
        const auto it = m_files.find(name);
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

std::unique_ptr<DayFiles> openFiles(const fs::path& path) {
    if (!fs::exists(path))
        throw DataError(Problem::FileMissing, {}, {.file = path.string()});
    if (fs::is_directory(path))
        return std::make_unique<FolderFiles>(path);
    if (path.filename() == "day.json")
        return std::make_unique<FolderFiles>(path.parent_path().empty() ? fs::path(".") : path.parent_path());
    if (fs::is_regular_file(path) && fs::file_size(path) == 0)
        throw DataError(Problem::FileEmpty, {}, {.file = path.string()});
    if (isZipPath(path))
        return std::make_unique<ZipFiles>(path);
    throw DataError(Problem::NotADay, {}, {.file = path.string()});
}

void checkInside(const std::string& name, const std::string& jsonFile) {
    const fs::path path(name);
    bool outside = path.is_absolute() || name.empty();
    for (const auto& part : path)
        outside = outside || part == "..";
    if (outside)
        throw DataError(Problem::BadPath, {name}, {.file = jsonFile, .key = "file"});
}

void readRaw(Pull& pull, const DayFiles& files, const std::string& jsonFile) {
    checkInside(pull.file, jsonFile);
    const auto text = files.read(pull.file);
    if (!text)
        throw DataError(Problem::FileMissing, {}, {.file = pull.file});
    const double ambient_kpa = pull.weather ? pull.weather->pressure_pa / 1000.0 : kStandardPressure_kpa;
    pull.raw = std::make_shared<const ChannelTable>(readPullText(*text, pull.file, ambient_kpa));
}

/// Reads the pull files, several at once. The first problem in the order of the pulls is the one that is thrown.
void readAllRaw(TestDay& day, const DayFiles& files, BadPulls badPulls) {
    const size_t readers = std::clamp<size_t>(std::thread::hardware_concurrency(), 1, 4);
    std::vector<std::exception_ptr> problems(day.pulls.size());
    std::atomic<size_t> next = 0;
    std::atomic<bool> hopeless = false;
    auto read = [&] {
        for (size_t i = next++; i < day.pulls.size(); i = next++) {
            try {
                readRaw(day.pulls[i], files, "day.json");
            } catch (const DataError& error) {
                day.pulls[i].problem = error.what();
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

bool sameFolder(const fs::path& a, const fs::path& b) {
    std::error_code error;
    return fs::exists(a) && fs::exists(b) && fs::equivalent(a, b, error);
}

void saveToFolder(const TestDay& day, const fs::path& target, const DayFiles* source) {
    std::error_code error;
    fs::create_directories(target / "pulls", error);
    if (error)
        throw DataError(Problem::CannotWrite, {error.message()}, {.file = target.string()});
    for (const Pull& pull : day.pulls) {
        checkInside(pull.file, "day.json");
        const fs::path path = target / pull.file;
        if (fs::exists(path))
            continue; // raw data is never changed
        fs::create_directories(path.parent_path(), error);
        const auto text = source ? source->read(pull.file) : std::nullopt;
        if (text)
            writeFileSafely(path, *text);
        else if (pull.raw)
            writeFileSafely(path, writePullText(*pull.raw));
    }
    if (source) {
        for (const std::string& name : source->names()) {
            if (!name.starts_with("attachments/") || fs::exists(target / name))
                continue;
            fs::create_directories((target / name).parent_path(), error);
            writeFileSafely(target / name, *source->read(name));
        }
    }
    writeFileSafely(target / "day.json", dayToJson(day)); // last: a day without it is not a day
}

void saveToZip(const TestDay& day, const fs::path& target, const DayFiles* source) {
    std::map<std::string, std::string> files;
    if (source)
        for (const std::string& name : source->names())
            if (name.starts_with("attachments/"))
                files[name] = *source->read(name);
    for (const Pull& pull : day.pulls) {
        checkInside(pull.file, "day.json");
        auto text = source ? source->read(pull.file) : std::nullopt;
        if (text)
            files[pull.file] = std::move(*text);
        else if (pull.raw)
            files[pull.file] = writePullText(*pull.raw);
    }
    files["day.json"] = dayToJson(day);
    writeZip(target, files);
}

} // namespace

bool isZipPath(const fs::path& path) { return path.extension() == ".zip" || path.extension() == ".ZIP"; }

std::string readFileText(const fs::path& path) {
    if (!fs::exists(path))
        throw DataError(Problem::FileMissing, {}, {.file = path.string()});
    if (fs::is_directory(path))
        throw DataError(Problem::FileUnreadable, {"it is a folder"}, {.file = path.string()});
    std::ifstream in(path, std::ios::binary);
    std::string text;
    if (in) {
        in.seekg(0, std::ios::end);
        text.resize(static_cast<size_t>(std::max<std::streamoff>(0, in.tellg())));
        in.seekg(0);
        in.read(text.data(), static_cast<std::streamsize>(text.size()));
    }
    if (!in)
        throw DataError(Problem::FileUnreadable, {std::strerror(errno)}, {.file = path.string()});
    return text;
}

void writeFileSafely(const fs::path& target, std::string_view text) {
    const fs::path temporary = target.string() + ".part";
    auto fail = [&](int file) {
        const std::string why = std::strerror(errno);
        if (file >= 0)
            ::close(file);
        ::unlink(temporary.c_str());
        throw DataError(Problem::CannotWrite, {why}, {.file = target.string()});
    };
    const int file = ::open(temporary.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0644);
    if (file < 0)
        fail(file);
    for (size_t done = 0; done < text.size();) {
        const ssize_t wrote = ::write(file, text.data() + done, text.size() - done);
        if (wrote < 0)
            fail(file);
        done += static_cast<size_t>(wrote);
    }
    if (::fsync(file) != 0)
        fail(file);
    if (::close(file) != 0)
        fail(-1);
    if (::rename(temporary.c_str(), target.c_str()) != 0)
        fail(-1);
}

TestDay readDay(const fs::path& path, BadPulls badPulls) {
    const auto files = openFiles(path);
    const auto json = files->read("day.json");
    if (!json)
        throw DataError(Problem::NotADay, {}, {.file = path.string()});
    TestDay day = dayFromJson(*json, "day.json");
    readAllRaw(day, *files, badPulls);
    return day;
}

void saveDay(const TestDay& day, const fs::path& target, const std::optional<fs::path>& source) {
    std::unique_ptr<DayFiles> from;
    if (source)
        from = openFiles(*source);
    if (isZipPath(target))
        return saveToZip(day, target, from.get());
    const bool inPlace = source && sameFolder(*source, target);
    saveToFolder(day, target, inPlace ? nullptr : from.get());
}

} // namespace hillrun
