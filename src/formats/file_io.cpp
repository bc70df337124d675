// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/file_io.h"

#include "core/errors/data_error.h"

#include <array>
#include <atomic>
#include <cerrno>
#include <charconv>
#include <csignal>
#include <cstdlib>
#include <cstring>
#include <fcntl.h>
#include <fmt/format.h>
#include <nettle/sha2.h>
#include <sys/stat.h>
#include <unistd.h>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr std::string_view kPartBegin = ".hillrun-";
constexpr std::string_view kPartEnd = ".part";

/// An open file that closes itself.
class File {
public:
    explicit File(int number) : m_number(number) {}
    ~File() { close(); }
    File(const File&) = delete;
    File& operator=(const File&) = delete;
    [[nodiscard]] int number() const { return m_number; }
    [[nodiscard]] bool isOpen() const { return m_number >= 0; }
    bool close() {
        const bool good = m_number < 0 || ::close(m_number) == 0;
        m_number = -1;
        return good;
    }

private:
    int m_number;
};

[[noreturn]] void cannotWrite(const fs::path& target, int error) {
    throw DataError(Problem::CannotWrite, {Argument(systemError(error))}, {.file = target.string()});
}

const char* kindOf(mode_t mode) {
    return S_ISFIFO(mode) ? "file.pipe" : S_ISSOCK(mode) ? "file.socket" : S_ISLNK(mode) ? "file.link" : "file.device";
}

Number sizeNumber(size_t bytes) {
    return bytes >= budget::kMiB ? mebibytes(bytes) : decimals(static_cast<double>(bytes), 0, "B");
}

std::string readOpened(const File& file, const fs::path& path, size_t most) {
    const Place place{.file = path.string()};
    struct stat about {};
    if (::fstat(file.number(), &about) != 0)
        throw DataError(Problem::FileUnreadable, {Argument(systemError(errno))}, place);
    if (S_ISDIR(about.st_mode))
        throw DataError(Problem::FileUnreadable, {Statement{"file.is_folder"}}, place);
    if (!S_ISREG(about.st_mode))
        throw DataError(Problem::NotAPlainFile, {Statement{kindOf(about.st_mode)}}, place);
    const auto tooLarge = [&](size_t size) {
        throw DataError(Problem::TooLarge, {Statement{"size.file", {sizeNumber(size)}}, sizeNumber(most)}, place);
    };
    if (static_cast<size_t>(about.st_size) > most)
        tooLarge(static_cast<size_t>(about.st_size));
    std::string text(static_cast<size_t>(about.st_size), '\0');
    for (size_t done = 0;;) {
        if (done == text.size()) // grows while it is read, or says nothing of its size
            text.resize(done + 4096);
        const ssize_t got = ::read(file.number(), text.data() + done, text.size() - done);
        if (got < 0 && errno == EINTR)
            continue;
        if (got < 0)
            throw DataError(Problem::FileUnreadable, {Argument(systemError(errno))}, place);
        if (got == 0) {
            text.resize(done);
            return text;
        }
        done += static_cast<size_t>(got);
        if (done > most)
            tooLarge(done);
    }
}

std::string openAndRead(const fs::path& path, int flags, size_t most) {
    const File file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY | flags));
    if (file.isOpen())
        return readOpened(file, path, most);
    const int error = errno;
    const Place place{.file = path.string()};
    if (error == ENOENT || error == ENOTDIR)
        throw DataError(Problem::FileMissing, {}, place);
    if (error == ELOOP)
        throw DataError(Problem::NotAPlainFile, {Statement{"file.link"}}, place);
    if (error == ENXIO)
        throw DataError(Problem::NotAPlainFile, {Statement{"file.socket_or_device"}}, place);
    throw DataError(Problem::FileUnreadable, {Argument(systemError(error))}, place);
}

/// Writes all of it and has it reach the disk; errno of what went wrong, or 0.
int writeAndFlush(int file, std::string_view text) {
    while (!text.empty()) {
        const ssize_t wrote = ::write(file, text.data(), text.size());
        if (wrote < 0 && errno == EINTR)
            continue;
        if (wrote <= 0)
            return wrote < 0 ? errno : EIO;
        text.remove_prefix(static_cast<size_t>(wrote));
    }
    return ::fsync(file) == 0 || errno == EINVAL ? 0 : errno;
}

/// A whole, flushed file beside the target, gone again unless it was moved into place.
class Part {
public:
    Part(const fs::path& target, std::string_view text) : m_target(target) {
        static std::atomic<unsigned> counter = 0;
        int number = -1;
        do {
            m_path = target.parent_path() / fmt::format("{}{}-{}{}", kPartBegin, ::getpid(), counter++, kPartEnd);
            number = ::open(m_path.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC, 0644);
        } while (number < 0 && errno == EEXIST);
        if (number < 0)
            cannotWrite(m_target, errno);
        File file(number);
        if (const int error = writeAndFlush(number, text); error != 0) {
            ::unlink(m_path.c_str());
            cannotWrite(m_target, error);
        }
        if (!file.close()) {
            const int error = errno;
            ::unlink(m_path.c_str());
            cannotWrite(m_target, error);
        }
    }
    ~Part() {
        if (!m_path.empty())
            ::unlink(m_path.c_str());
    }
    Part(const Part&) = delete;
    Part& operator=(const Part&) = delete;

    void moveOver() {
        if (::rename(m_path.c_str(), m_target.c_str()) != 0)
            cannotWrite(m_target, errno);
        m_path.clear();
    }
    /// False when something of that name exists.
    bool moveBeside() {
        if (::renameat2(AT_FDCWD, m_path.c_str(), AT_FDCWD, m_target.c_str(), RENAME_NOREPLACE) == 0) {
            m_path.clear();
            return true;
        }
        if (errno == EEXIST)
            return false;
        if (errno != EINVAL && errno != ENOSYS)
            cannotWrite(m_target, errno);
        if (::link(m_path.c_str(), m_target.c_str()) == 0) // a file system that renames over names only
            return true;
        if (errno == EEXIST)
            return false;
        if (fs::exists(fs::symlink_status(m_target))) // neither: then there is a moment between looking and moving
            return false;
        moveOver();
        return true;
    }

private:
    fs::path m_target;
    fs::path m_path;
};

fs::path folderOf(const fs::path& file) { return file.parent_path().empty() ? fs::path(".") : file.parent_path(); }

} // namespace

std::string readFileText(const fs::path& path, size_t most) { return openAndRead(path, 0, most); }

std::string readFileInside(const fs::path& folder, const std::string& name, size_t most) {
    fs::path path = folder;
    for (const fs::path& part : fs::path(name)) {
        path /= part;
        std::error_code ignored;
        if (fs::is_symlink(path, ignored))
            throw DataError(Problem::NotAPlainFile, {Statement{"file.link"}}, {.file = name});
    }
    return openAndRead(path, O_NOFOLLOW, most);
}

void writeFileSafely(const fs::path& target, std::string_view text) {
    Part(target, text).moveOver();
    flushFolder(folderOf(target));
}

bool writeNewFile(const fs::path& target, std::string_view text) {
    if (fs::exists(fs::symlink_status(target)) || !Part(target, text).moveBeside())
        return false;
    flushFolder(folderOf(target));
    return true;
}

void makeFolders(const fs::path& folder) {
    if (folder.empty() || fs::is_directory(folder))
        return;
    makeFolders(folder.parent_path());
    if (::mkdir(folder.c_str(), 0755) != 0 && errno != EEXIST)
        cannotWrite(folder, errno);
    if (!fs::is_directory(folder))
        cannotWrite(folder, ENOTDIR);
    flushFolder(folderOf(folder));
}

void flushFolder(const fs::path& folder) {
    const File file(::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (file.isOpen())
        (void)::fsync(file.number()); // the files themselves are flushed; some file systems know no more
}

void removeStaleParts(const fs::path& folder) {
    std::error_code error;
    for (fs::directory_iterator it(folder, error), end; !error && it != end; it.increment(error)) {
        const std::string name = it->path().filename().string();
        if (!name.starts_with(kPartBegin) || !name.ends_with(kPartEnd))
            continue;
        int process = 0;
        const char* digits = name.data() + kPartBegin.size();
        std::from_chars(digits, name.data() + name.size(), process);
        if (process > 0 && ::kill(process, 0) != 0 && errno == ESRCH) {
            std::error_code ignored;
            fs::remove(it->path(), ignored);
        }
    }
}

void checkInside(const std::string& name, const std::string& jsonFile) {
    const Place place{.file = jsonFile, .key = "file"};
    const fs::path path(name);
    bool outside = path.is_absolute() || name.empty();
    for (const auto& part : path) {
        outside = outside || part == "..";
        if (part.string().size() > budget::kName)
            throw DataError(
                Problem::BadName,
                {name, Statement{"file.part_too_long", {decimals(static_cast<double>(budget::kName), 0, "B")}}}, place);
    }
    if (outside)
        throw DataError(Problem::BadPath, {name}, place);
    if (name.size() > budget::kPath)
        throw DataError(Problem::BadName,
                        {name, Statement{"file.too_long", {decimals(static_cast<double>(budget::kPath), 0, "B")}}},
                        place);
    for (const char c : name)
        if (static_cast<unsigned char>(c) < 0x20 || c == 0x7F)
            throw DataError(Problem::BadName, {name, Statement{"file.control_character"}}, place);
    if (path.lexically_normal() == "day.json" || path.filename().empty() || path.filename() == ".")
        throw DataError(Problem::BadName, {name, Statement{"file.no_pull"}}, place);
}

std::string sha256Hex(std::string_view bytes) {
    sha256_ctx context;
    sha256_init(&context);
    sha256_update(&context, bytes.size(), reinterpret_cast<const uint8_t*>(bytes.data()));
    std::array<uint8_t, SHA256_DIGEST_SIZE> digest{};
    sha256_digest(&context, digest.size(), digest.data());
    std::string out;
    for (const uint8_t byte : digest)
        out += fmt::format("{:02x}", byte);
    return out;
}

fs::path stateFolder() {
    const char* state = std::getenv("XDG_STATE_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base = state && *state ? fs::path(state) : fs::path(home && *home ? home : ".") / ".local" / "state";
    return base / "hillrun";
}

} // namespace hillrun
