// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/repeatability_log.h"

#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "formats/json_reader.h"

#include <cmath>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr int kFewestDegrees = 3;

Json readLog(const fs::path& file) {
    if (!fs::exists(file))
        return Json::array();
    try {
        Json out = parseJson(readFileText(file), file.string());
        return out.is_array() ? out : Json::array();
    } catch (const DataError&) { // a convenience, not data: begun anew
        return Json::array();
    }
}

std::string keyOf(const fs::path& day) { return fs::absolute(day).lexically_normal().string(); }

} // namespace

void RepeatabilityLog::note(const TestDay& day, const fs::path& dayPath, const DayAnalysis& analysis) {
    if (dayPath.empty() || day.article.name.empty() || !analysis.model ||
        analysis.model->degreesOfFreedom < kFewestDegrees || !std::isfinite(analysis.model->levelSd))
        return;
    const Json entry{{"day", keyOf(dayPath)},
                     {"article", day.article.name},
                     {"sd", analysis.model->levelSd},
                     {"degrees_of_freedom", analysis.model->degreesOfFreedom}};
    Json log = readLog(m_file);
    Json kept = Json::array();
    for (const Json& one : log)
        if (one.is_object() && one.value("day", std::string()) != entry["day"])
            kept.push_back(one);
    kept.push_back(entry);
    if (kept == log)
        return;
    std::error_code error;
    fs::create_directories(m_file.parent_path(), error);
    try {
        writeFileSafely(m_file, dumpJson(kept, 1));
    } catch (const DataError&) { // the day itself is safe; only the default for later plans is missing
    }
}

MeasuredRepeatability RepeatabilityLog::of(const std::string& article, const fs::path& except) const {
    MeasuredRepeatability out;
    double squares = 0.0;
    for (const Json& one : readLog(m_file)) {
        if (!one.is_object() || article.empty() || one.value("article", std::string()) != article ||
            (!except.empty() && one.value("day", std::string()) == keyOf(except)))
            continue;
        const int nu = one.value("degrees_of_freedom", 0);
        const double sd = one.value("sd", 0.0);
        if (nu <= 0 || !(sd > 0.0))
            continue;
        squares += nu * sd * sd;
        out.degreesOfFreedom += nu;
        ++out.days;
    }
    if (out.degreesOfFreedom > 0)
        out.sd = std::sqrt(squares / out.degreesOfFreedom);
    return out;
}

} // namespace hillrun
