// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_files.h"

#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "core/trace/sheet_check.h"
#include "formats/day_store.h"
#include "formats/gather/foreign_bytes.h"
#include "formats/import_curves.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <fmt/format.h>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

std::vector<std::string> wordsOf(const std::string& text) {
    std::vector<std::string> out(1);
    for (const char c : text) {
        if (std::isalnum(static_cast<unsigned char>(c)) || static_cast<unsigned char>(c) >= 0x80)
            out.back() += c;
        else if (!out.back().empty())
            out.emplace_back();
    }
    if (out.back().empty())
        out.pop_back();
    return out;
}

std::string firstBuild(const TestDay& day) { return day.builds.empty() ? "A" : day.builds.front().id; }

/// What the file calls the pull goes before what its title lines say, and those before its name.
std::string buildOf(const ImportFile& file, const GatheredPull& pull, const TestDay& day) {
    for (const std::string& text : {pull.label, file.gathered->preamble.build, fs::path(file.name).stem().string()})
        if (!text.empty())
            if (const auto build = buildNamedIn(text, day))
                return *build;
    return firstBuild(day);
}

} // namespace

std::optional<std::string> buildNamedIn(const std::string& text, const TestDay& day) {
    for (const Build& build : day.builds)
        if (!build.name.empty() && text == build.name)
            return build.id;
    const std::vector<std::string> words = wordsOf(text);
    for (const std::string& word : words)
        if (findBuild(day, word))
            return word;
    for (const std::string& word : words) {
        // "B", "b", "B2", "b_02": one letter A to H, digits may follow
        const bool digits =
            std::all_of(word.begin() + 1, word.end(), [](unsigned char c) { return std::isdigit(c) != 0; });
        const char letter = static_cast<char>(std::toupper(static_cast<unsigned char>(word.front())));
        const bool fuel = letter == 'E' && (word.substr(1) == "5" || word.substr(1) == "10" || word.substr(1) == "85");
        if (digits && !fuel && word.size() <= 3 && letter >= 'A' && letter <= 'H')
            return std::string(1, letter);
    }
    return std::nullopt;
}

double ambient_kpa(const ImportFile& file) { return file.weather ? file.weather->pressure_pa / 1000.0 : 101.325; }

namespace {

GatherNote powerDisagrees(const std::string& file, const SheetDoubt& doubt) {
    GatherNote out{GatherCode::PowerDisagrees, {.file = file}, {decimals(100.0 * doubt.ratio, 0, "%")}, {}};
    if (doubt.worst > 0.02 && std::abs(doubt.ratio - 1.0) < 0.02) {
        out.details.emplace_back(decimals(100.0 * doubt.worst, 0, "%"));
        out.variant = "_some";
    }
    return out;
}

/// What a curve was corrected to is asked of every curve; whether its power and torque belong together is looked at
/// however few points it has.
void lookAtCurve(ImportFile& file) {
    auto& notes = file.gathered->notes;
    std::erase_if(notes, [](const GatherNote& note) { return note.code == GatherCode::CorrectedOnly; });
    if (std::any_of(notes.begin(), notes.end(),
                    [](const GatherNote& note) { return note.code == GatherCode::PowerDisagrees; }))
        return;
    try {
        if (const auto doubt = checkSheet(curveTableOf(*file.gathered, ambient_kpa(file)), "kW", "N.m"))
            notes.push_back(powerDisagrees(file.name, *doubt));
    } catch (const DataError& error) { // too few points
        file.problem = error;
    }
}

} // namespace

void readAgain(ImportFile& file, const TestDay& day, const ReadWatch& watch) {
    const size_t before = file.gathered ? file.gathered->pulls.size() : 0;
    file.problem.reset();
    try {
        file.gathered = gather(*file.bytes, file.name, file.choices, watch);
        file.problem = file.gathered->problem;
    } catch (const DataError& error) {
        file.gathered.reset();
        file.problem = error;
        return;
    }
    if (before != file.gathered->pulls.size()) {
        file.builds.clear();
        for (const GatheredPull& pull : file.gathered->pulls)
            file.builds.push_back(buildOf(file, pull, day));
    }
    if (!file.weather)
        file.weather = file.gathered->weather;
    if (isCurve(file) && !file.problem)
        lookAtCurve(file);
}

std::vector<ImportFile> openForImport(const fs::path& path, const TestDay& day, const GatherMapping* mapping,
                                      const ReadWatch& watch, GatherPurpose purpose) {
    std::vector<ImportFile> out;
    for (ForeignBytes& inside : foreignBytes(path)) {
        ImportFile file;
        file.path = path.string();
        file.name = inside.name;
        file.bytes = std::make_shared<const std::string>(std::move(inside.bytes));
        const auto known = mapping ? std::optional(*mapping) : knownMapping(*file.bytes);
        if (known) {
            file.mapping = known->name;
            file.choices = choicesFor(*known, headersOf(*file.bytes, known->choices));
        }
        file.choices.purpose = purpose;
        readAgain(file, day, watch);
        if (file.problem && file.problem->problem() == Problem::NoTimeChannel && file.gathered &&
            looksLikeCurve(*file.gathered)) {
            file.choices.purpose = GatherPurpose::Curve;
            readAgain(file, day, watch);
        }
        out.push_back(std::move(file));
    }
    return out;
}

std::vector<std::string> addImported(TestDay& day, const ImportFile& file, const fs::path& dayPath) {
    if (file.problem)
        throw DataError(*file.problem);
    TestDay grown = day;
    std::vector<std::string> ids;
    for (size_t i = 0; i < file.gathered->pulls.size(); ++i) {
        const GatheredPull& found = file.gathered->pulls[i];
        if (!found.use)
            continue;
        auto raw = std::make_shared<ChannelTable>(isCurve(file) ? curveTableOf(*file.gathered, ambient_kpa(file))
                                                                : tableOf(*file.gathered, found, ambient_kpa(file)));
        Pull pull;
        pull.id = freePullId(grown, dayPath);
        pull.build = file.builds[i];
        pull.file = "pulls/" + pull.id + ".csv";
        pull.started = found.started;
        pull.weather = file.weather;
        pull.grade = isCurve(file) ? PullGrade::CurveOnly : PullGrade::Recorded;
        pull.given = file.given;
        pull.measuredAt = file.measuredAt;
        pull.note = shownText(file.name) + (found.label.empty() ? std::string() : ", " + shownText(found.label));
        pull.raw = std::move(raw);
        (void)buildFor(grown, pull.build);
        ids.push_back(pull.id);
        grown.pulls.push_back(std::move(pull));
    }
    const Preamble& said = file.gathered->preamble;
    if (!ids.empty() && grown.operatorName.empty())
        grown.operatorName = shownText(said.operatorName);
    if (!ids.empty() && grown.article.name.empty())
        grown.article.name = shownText(said.article);
    day = std::move(grown);
    return ids;
}

} // namespace hillrun
