// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_curves.h"

#include "formats/day_store.h"
#include "formats/file_io.h"
#include "formats/pull_file.h"

#include <algorithm>
#include <fmt/format.h>

namespace fs = std::filesystem;

namespace hillrun {

Build& buildFor(TestDay& day, const std::string& id) {
    const auto has = [&] {
        return std::find_if(day.builds.begin(), day.builds.end(), [&](const Build& build) { return build.id == id; });
    };
    if (has() == day.builds.end()) {
        Build build;
        build.id = id;
        day.builds.push_back(std::move(build));
        std::stable_sort(day.builds.begin(), day.builds.end(),
                         [](const Build& a, const Build& b) { return a.id < b.id; });
    }
    return *has();
}

std::string attach(TestDay& day, const SheetFile& file, const fs::path& dayPath) {
    const std::string sum = sha256Hex(*file.bytes);
    const auto same = std::find_if(day.attachments.begin(), day.attachments.end(),
                                   [&](const Attachment& one) { return one.sha256 == sum; });
    if (same != day.attachments.end())
        return same->file;
    const fs::path wanted = fs::path(file.name).filename();
    const fs::path folder = dayPath.filename() == "day.json" ? dayPath.parent_path() : dayPath;
    for (int n = 1;; ++n) {
        const std::string name =
            "attachments/" +
            (n == 1 ? wanted.string() : fmt::format("{}-{}{}", wanted.stem().string(), n, wanted.extension().string()));
        std::error_code error;
        const bool taken = std::any_of(day.attachments.begin(), day.attachments.end(),
                                       [&](const Attachment& one) { return one.file == name; });
        if (taken || (!folder.empty() && fs::exists(folder / name, error)))
            continue;
        day.attachments.push_back({name, sum, file.bytes});
        return name;
    }
}

std::vector<std::string> addCurves(TestDay& day, const std::vector<NewCurve>& curves, const SheetFile& sheet,
                                   const fs::path& dayPath) {
    TestDay grown = day;
    std::vector<std::string> ids;
    const std::string picture = sheet.bytes ? attach(grown, sheet, dayPath) : std::string();
    for (const NewCurve& curve : curves) {
        checkCurve(curve.table, "");
        Pull pull;
        pull.id = freePullId(grown, dayPath);
        pull.build = curve.build;
        pull.file = "pulls/" + pull.id + ".csv";
        pull.grade = curve.grade;
        pull.given = curve.given;
        pull.given.picture = picture;
        pull.measuredAt = curve.measuredAt;
        pull.note = curve.note;
        pull.raw = std::make_shared<const ChannelTable>(curve.table);
        auto& attached = buildFor(grown, pull.build).attachments;
        if (!picture.empty() && std::find(attached.begin(), attached.end(), picture) == attached.end())
            attached.push_back(picture);
        ids.push_back(pull.id);
        grown.pulls.push_back(std::move(pull));
    }
    day = std::move(grown);
    return ids;
}

} // namespace hillrun
