// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <filesystem>
#include <memory>
#include <string>
#include <vector>

namespace hillrun {

/// A curve by engine speed that is to become a pull.
struct NewCurve {
    std::string build;
    ChannelTable table; ///< of `tableOfCurves` or `readTypedCurve`
    GivenCurve given;
    std::optional<MeasuredAt> measuredAt; ///< nothing: where the day's cell measures
    PullGrade grade = PullGrade::CurveOnly;
    std::string note;
};

/// The picture that curves were read off; without bytes there is none.
struct SheetFile {
    std::string name; ///< "winter sheet.png"
    std::shared_ptr<const std::string> bytes;
};

/// Adds each curve as a pull and the picture, if any, as an attachment of the day and of their builds; the builds that
/// are missing come too. Gives the new pulls' ids. Throws DataError (`checkCurve`).
std::vector<std::string> addCurves(TestDay& day, const std::vector<NewCurve>& curves, const SheetFile& sheet,
                                   const std::filesystem::path& dayPath);

/// The build of that id, made when it is missing; builds stand in the order of their ids then.
Build& buildFor(TestDay& day, const std::string& id);

/// Takes a file among the day's attachments without writing it; it lies on disk when the day is saved. Gives the name
/// it has there; bytes that the day carries already keep theirs.
std::string attach(TestDay& day, const SheetFile& file, const std::filesystem::path& dayPath);

} // namespace hillrun
