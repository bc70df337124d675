// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/pull_journal.h"

#include "core/errors/data_error.h"
#include "formats/day_json.h"
#include "formats/day_lock.h"
#include "formats/day_store.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <cerrno>
#include <cmath>
#include <cstring>
#include <fcntl.h>
#include <fmt/format.h>
#include <iterator>
#include <sys/file.h>
#include <unistd.h>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr std::string_view kMarker = "#hill-run-journal 1";
constexpr std::string_view kPull = "#pull ";
constexpr std::string_view kEnd = "#end ";

void appendCell(std::string& out, double value) {
    if (std::isfinite(value))
        fmt::format_to(std::back_inserter(out), "{}", value); // shortest digits that read back
}

} // namespace

FileSyncer::~FileSyncer() {
    {
        const std::lock_guard lock(m_mutex);
        m_stop = true;
    }
    m_wake.notify_one();
    m_thread.join();
}

void FileSyncer::ask() {
    {
        const std::lock_guard lock(m_mutex);
        m_asked = true;
    }
    m_wake.notify_one();
}

void FileSyncer::run() {
    std::unique_lock lock(m_mutex);
    while (true) {
        m_wake.wait(lock, [this] { return m_asked || m_stop; });
        if (!m_asked)
            return;
        m_asked = false;
        lock.unlock();
        // EINVAL: a file that cannot be synced, such as a pipe.
        m_error = ::fdatasync(m_file) != 0 && errno != EINVAL ? errno : 0;
        lock.lock();
    }
}

PullJournal::~PullJournal() { finish(); }

bool PullJournal::begin(const fs::path& dayPath, const Pull& pull, const std::vector<Column>& columns) {
    finish();
    m_problem = {};
    m_waiting = fmt::format("{}\n{}{}\n", kMarker, kPull, pullToJson(pull));
    for (size_t i = 0; i < columns.size(); ++i)
        m_waiting += fmt::format("{}{} [{}]", i ? "," : "", columns[i].name, columns[i].unit);
    m_waiting += '\n';
    const fs::path folder = journalFolder(dayPath);
    if (!fs::exists(folder.parent_path())) { // never made anew: the stick may come back
        m_problem = {"journal.folder_gone"};
        return false;
    }
    try {
        makeFolders(folder);
    } catch (const DataError& error) {
        m_problem = problemStatement(error);
        return false;
    }
    const fs::path name(pull.file.empty() ? "pull" : pull.file);
    const std::string stem = name.stem().string();
    for (int n = 1; m_file < 0; ++n) { // never over one that still waits to be recovered
        m_path = folder / (n == 1 ? stem + ".csv" : fmt::format("{}-{}.csv", stem, n));
        m_file = ::open(m_path.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_APPEND | O_CLOEXEC, 0644);
        if (m_file < 0 && errno != EEXIST) {
            m_problem = systemError(errno);
            m_path.clear();
            return false;
        }
    }
    (void)::flock(m_file, LOCK_EX | LOCK_NB);
    flushFolder(folder);
    m_syncer = std::make_unique<FileSyncer>(m_file);
    return flush();
}

void PullJournal::row(std::span<const double> values) {
    for (size_t i = 0; i < values.size(); ++i) {
        if (i)
            m_waiting += ',';
        appendCell(m_waiting, values[i]);
    }
    m_waiting += '\n';
}

void PullJournal::note(const std::string& text) { m_waiting += "#" + text + "\n"; }

bool PullJournal::flush() {
    if (m_file < 0) {
        m_waiting.clear(); // nobody will ever take it; the rows live on in memory
        return false;
    }
    size_t done = 0;
    while (done < m_waiting.size()) {
        const ssize_t wrote = ::write(m_file, m_waiting.data() + done, m_waiting.size() - done);
        if (wrote < 0 && errno == EINTR)
            continue;
        if (wrote <= 0) {
            m_problem = wrote < 0 ? systemError(errno) : Statement{"journal.nothing_written"};
            break;
        }
        done += static_cast<size_t>(wrote);
    }
    const bool all = done == m_waiting.size();
    m_waiting.erase(0, done);
    if (all) {
        m_problem = m_syncer->error() != 0 ? systemError(m_syncer->error()) : Statement{};
        m_syncer->ask();
    }
    return m_problem.empty();
}

void PullJournal::finish(const std::string& why) {
    if (m_file < 0)
        return;
    if (!why.empty())
        m_waiting += fmt::format("{}{}\n", kEnd, why);
    flush();
    m_syncer.reset(); // waits until the disk has it
    ::close(m_file);
    m_file = -1;
}

void PullJournal::remove() {
    finish();
    std::error_code error;
    if (!m_path.empty())
        fs::remove(m_path, error);
    m_path.clear();
}

fs::path journalFolder(const fs::path& dayPath) {
    if (isZipPath(dayPath))
        return dayPath.string() + ".journal";
    if (dayPath.filename() == "day.json")
        return dayPath.parent_path() / "journal";
    return dayPath / "journal";
}

std::vector<fs::path> findJournals(const fs::path& dayPath) {
    std::vector<fs::path> out;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(journalFolder(dayPath), error))
        if (entry.path().extension() == ".csv" && !isLockedBySomebody(entry.path()))
            out.push_back(entry.path());
    std::sort(out.begin(), out.end());
    return out;
}

std::string journalEnd(const fs::path& journal) {
    const std::string text = readFileText(journal);
    const size_t at = text.rfind("\n" + std::string(kEnd));
    if (at == std::string::npos)
        return "";
    const size_t from = at + 1 + kEnd.size();
    return text.substr(from, std::min(text.find('\n', from), text.size()) - from);
}

Pull readJournal(const fs::path& journal) {
    std::string text = readFileText(journal);
    text.resize(text.find_last_of('\n') == std::string::npos ? 0 : text.find_last_of('\n') + 1);
    Pull pull;
    std::string table;
    for (size_t at = 0; at < text.size();) {
        const size_t end = text.find('\n', at);
        const std::string_view line(text.data() + at, end - at);
        at = end + 1;
        if (line.starts_with(kPull))
            pull = pullFromJson(line.substr(kPull.size()), journal.string());
        else if (!line.starts_with('#'))
            table.append(line).append("\n");
    }
    if (pull.id.empty())
        throw DataError(Problem::FileTruncated, {}, {.file = journal.string()});
    const double ambient_kpa = gaugeReference_kpa(pull);
    pull.raw = std::make_shared<const ChannelTable>(readPullText(table, journal.string(), ambient_kpa));
    return pull;
}

} // namespace hillrun
