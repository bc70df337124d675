// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_lock.h"

#include "core/day/test_day.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/day_store.h"
#include "formats/file_io.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <cerrno>
#include <climits>
#include <cstring>
#include <fcntl.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <thread>
#include <unistd.h>
#include <utility>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr size_t kLargestNote = 4096;
constexpr std::chrono::milliseconds kLongestPause(200);

std::string hostName() {
    char name[HOST_NAME_MAX + 1] = {};
    return ::gethostname(name, HOST_NAME_MAX) == 0 ? name : "";
}

double now_s() { return std::chrono::duration<double>(std::chrono::system_clock::now().time_since_epoch()).count(); }

std::string noteOf(const std::string& program) {
    const Json note{{"host", hostName()}, {"process", ::getpid()}, {"since", isoTimeOf(now_s())}, {"program", program}};
    return dumpJson(note) + "\n";
}

/// What a lock file says; nothing when it says nothing yet.
std::optional<LockOwner> readNote(const fs::path& file) {
    try {
        ObjectReader in(parseJson(readFileText(file, kLargestNote), file.string()), file.string());
        return LockOwner{in.text("host"), in.integer("process").value_or(0), in.text("since"), in.text("program")};
    } catch (const DataError&) {
        return std::nullopt;
    }
}

bool sameFile(int number, const fs::path& file) {
    struct stat mine {
    }, there{};
    return ::fstat(number, &mine) == 0 && ::stat(file.c_str(), &there) == 0 && mine.st_ino == there.st_ino &&
           mine.st_dev == there.st_dev;
}

/// Tells one holder of a lock from the next: each makes the file anew.
struct Holder {
    ino_t number = 0;
    timespec made{};
    bool operator==(const Holder& other) const {
        return number == other.number && made.tv_sec == other.made.tv_sec && made.tv_nsec == other.made.tv_nsec;
    }
};

Holder holderOf(const fs::path& file) {
    struct stat found {};
    return ::stat(file.c_str(), &found) == 0 ? Holder{found.st_ino, found.st_mtim} : Holder{};
}

/// Its words are for people; without them the lock holds all the same.
void writeNote(int number, const std::string& note) {
    if (::ftruncate(number, 0) != 0 || ::pwrite(number, note.data(), note.size(), 0) < 0)
        return;
}

} // namespace

Statement ownerPhrase(const LockOwner& owner) {
    return {"lock.owner",
            {shownText(owner.program, 40), shownText(owner.host, 64), std::to_string(owner.process),
             shownText(owner.since, 40)}};
}

FileLock::FileLock(FileLock&& other) noexcept
    : m_number(std::exchange(other.m_number, -1)), m_file(std::move(other.m_file)), m_other(std::move(other.m_other)),
      m_problem(std::move(other.m_problem)) {
    other.m_file.clear();
}

FileLock& FileLock::operator=(FileLock&& other) noexcept {
    if (this != &other) {
        release();
        m_number = std::exchange(other.m_number, -1);
        m_file = std::exchange(other.m_file, {});
        m_other = std::move(other.m_other);
        m_problem = std::move(other.m_problem);
    }
    return *this;
}

bool FileLock::acquire(const fs::path& file, const std::string& program, bool takeOver) {
    release();
    m_other.reset();
    m_problem = {};
    return takeOver ? replaceFile(file, program) : takeFile(file, program);
}

bool FileLock::takeFile(const fs::path& file, const std::string& program) {
    while (true) {
        const int number = ::open(file.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW | O_NONBLOCK, 0644);
        if (number < 0) {
            m_problem = systemError(errno);
            return false;
        }
        if (::flock(number, LOCK_EX | LOCK_NB) != 0) {
            const bool held = errno == EWOULDBLOCK;
            m_problem = held ? Statement{} : systemError(errno);
            if (held)
                m_other = readNote(file).value_or(LockOwner{});
            ::close(number);
            return false;
        }
        if (!sameFile(number, file)) { // released and removed, or taken over, between the two calls
            ::close(number);
            continue;
        }
        // The lock is free here; a note of another host may stand for a lock that this file system does not show.
        if (const auto note = readNote(file); note && !note->host.empty() && note->host != hostName()) {
            m_other = note;
            ::close(number);
            return false;
        }
        writeNote(number, noteOf(program));
        m_number = number;
        m_file = file;
        return true;
    }
}

bool FileLock::replaceFile(const fs::path& file, const std::string& program) {
    const fs::path mine = file.string() + fmt::format(".{}", ::getpid());
    const int number = ::open(mine.c_str(), O_RDWR | O_CREAT | O_TRUNC | O_CLOEXEC | O_NOFOLLOW, 0644);
    if (number < 0) {
        m_problem = systemError(errno);
        return false;
    }
    writeNote(number, noteOf(program));
    if (::flock(number, LOCK_EX | LOCK_NB) != 0 || ::rename(mine.c_str(), file.c_str()) != 0) {
        m_problem = systemError(errno);
        ::unlink(mine.c_str());
        ::close(number);
        return false;
    }
    m_number = number;
    m_file = file;
    return true;
}

bool FileLock::holds() const { return m_number >= 0 && sameFile(m_number, m_file); }

bool FileLock::placeGone() const {
    std::error_code error;
    return m_number >= 0 && !fs::exists(m_file.parent_path(), error);
}

void FileLock::release() {
    if (m_number < 0)
        return;
    if (sameFile(m_number, m_file))
        ::unlink(m_file.c_str()); // before letting go: whoever waits finds that the file is gone and makes its own
    ::close(m_number);
    m_number = -1;
    m_file.clear();
}

fs::path dayLockFile(const fs::path& dayPath) {
    if (isZipPath(dayPath) && !fs::is_directory(dayPath))
        return dayPath.string() + ".lock";
    if (dayPath.filename() == "day.json" && !fs::is_directory(dayPath))
        return dayPath.parent_path() / "day.lock";
    return dayPath / "day.lock";
}

std::optional<LockOwner> lockOwner(const fs::path& lockFile) {
    return isLockedBySomebody(lockFile) ? std::optional(readNote(lockFile).value_or(LockOwner{})) : std::nullopt;
}

FileLock lockDayBriefly(const fs::path& dayPath, std::chrono::milliseconds atMost) {
    using Clock = std::chrono::steady_clock;
    const fs::path file = dayLockFile(dayPath);
    FileLock out;
    Holder holder;
    Clock::time_point until;
    std::chrono::milliseconds pause(5 + ::getpid() % 17); // not all at once
    while (!out.acquire(file, kCommandLineProgram)) {
        if (!out.other())
            throw DataError(Problem::CannotWrite, {Argument(out.problem())}, {.file = dayPath.string()});
        // An empty note: its owner has the lock and is about to write it.
        const bool brief = out.other()->program == kCommandLineProgram || *out.other() == LockOwner{};
        if (const Holder now = holderOf(file); !(now == holder)) {
            holder = now;
            until = Clock::now() + atMost;
        }
        if (!brief || Clock::now() >= until)
            throw DataError(Problem::DayInUse, {ownerPhrase(*out.other())}, {.file = dayPath.string()});
        std::this_thread::sleep_for(pause);
        pause = std::min(pause + pause / 4, kLongestPause); // a hundred that wait leave the processor to the one
    }
    return out;
}

bool isLockedBySomebody(const fs::path& file) {
    const int number = ::open(file.c_str(), O_RDONLY | O_CLOEXEC | O_NOFOLLOW | O_NONBLOCK);
    if (number < 0)
        return false;
    const bool locked = ::flock(number, LOCK_SH | LOCK_NB) != 0 && errno == EWOULDBLOCK;
    ::close(number); // lets go of the shared lock too
    return locked;
}

} // namespace hillrun
