// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/other_days.h"

#include "core/errors/data_error.h"
#include "words/current_voice.h"

#include <filesystem>
#include <fmt/format.h>
#ifdef HILLRUN_LOGBOOK
#include "logbook/day_among_others.h"
#include "logbook/sql_library.h"
#endif

namespace hillrun::cli {
namespace {

#ifdef HILLRUN_LOGBOOK
OverDays asked(const TestDay& day, const DayAnalysis& analysis, const std::string& db) {
    const SqlLibrary library;
    const LogbookAddress address = db.empty() ? defaultLogbook() : logbookAddress(db);
    if (!address.onServer && !std::filesystem::exists(address.file)) // else opening would make an empty one
        throw DataError(Problem::FileMissing, {}, {.file = address.file});
    Logbook logbook(address);
    return overDays(day, amongOthers(day, analysis, logbook), {.curves = true});
}
#else
OverDays asked(const TestDay&, const DayAnalysis&, const std::string& db) {
    throw DataError(Problem::LogbookUnreachable, {db, Statement{"logbook.not_built"}});
}
#endif

} // namespace

std::optional<OverDays> overOtherDays(const TestDay& day, const DayAnalysis& analysis, const std::string& db) {
    if (day.plan.earlier.empty())
        return std::nullopt;
    try {
        return asked(day, analysis, db);
    } catch (const DataError& error) {
        fmt::print(stderr, "hillrun-cli: {}\n", said("cli.without_other_days", {said(error)}));
        return std::nullopt;
    }
}

} // namespace hillrun::cli
