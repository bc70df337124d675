// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/log_days.h"

#include "core/errors/data_error.h"
#include "engine/lean_day.h"
#include "formats/day_store.h"
#include "words/voice.h"

#include <algorithm>
#include <QTemporaryDir>

namespace hillrun {
namespace {

namespace fs = std::filesystem;

bool isDayFolder(const fs::path& folder) {
    std::error_code error;
    return fs::is_regular_file(folder / "day.json", error);
}

} // namespace

std::string placeOf(const fs::path& path) {
    std::error_code error;
    fs::path out = fs::weakly_canonical(fs::absolute(path, error), error);
    if (out.filename() == "day.json")
        out = out.parent_path();
    if (!out.has_filename()) // a slash at the end
        out = out.parent_path();
    return out.string();
}

LogbookEntry entryOf(const fs::path& path) {
    std::string before = dayStamp(path); // what is written while it is read is newer than this
    const DayOnDisk reader(path);
    const AnalysisSettings settings = settingsFor(reader.day(), {});
    const LeanAnswer answer = analyseLean(reader.day(), settings, [&](size_t number) { return reader.read(number); });
    LogbookEntry out = entryOf(path, answer.day, *answer.analysis);
    out.stamp = std::move(before);
    return out;
}

LogbookEntry entryOf(const fs::path& path, const TestDay& day, const DayAnalysis& analysis) {
    LogbookEntry out;
    out.stamp = dayStamp(path);
    out.record = recordOf(day, analysis);
    if ((out.record.pulls.empty() && out.record.papers.empty()) || out.record.id.empty())
        throw DataError(Problem::NothingToCompare, {Statement{"across.no_pulls"}}, {.file = path.string()});
    out.summary = Voice::forFiles().say(out.record.summary);
    out.host = thisBench();
    out.path = placeOf(path);
    return out;
}

bool workedOutAlike(const TestDay& day, const DayAnalysis& analysis) {
    const AnalysisSettings usual = settingsFor(day, {});
    return analysis.settings.reduce == usual.reduce && analysis.settings.drift == usual.drift;
}

QByteArray packageOf(const LogbookEntry& entry) {
    if (entry.host != thisBench())
        return {};
    try {
        QTemporaryDir folder;
        const fs::path zip = fs::path(folder.path().toStdString()) / "day.zip";
        saveDay(readDay(entry.path), zip, fs::path(entry.path));
        return QByteArray::fromStdString(readFileText(zip));
    } catch (const DataError&) {
        return {};
    }
}

std::vector<fs::path> daysBelow(const fs::path& folder) {
    std::vector<fs::path> out;
    std::error_code error;
    if (isDayFolder(folder) || fs::is_regular_file(folder, error))
        return {folder};
    fs::recursive_directory_iterator it(folder, fs::directory_options::skip_permission_denied, error);
    for (const fs::recursive_directory_iterator end; !error && it != end; it.increment(error)) {
        std::error_code ignored;
        if (it->is_symlink(ignored))
            continue;
        if (it->is_directory(ignored) && isDayFolder(it->path())) {
            out.push_back(it->path());
            it.disable_recursion_pending();
        } else if (it->path().extension() == ".zip" && it->is_regular_file(ignored) && holdsDay(it->path())) {
            out.push_back(it->path());
        }
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace hillrun
