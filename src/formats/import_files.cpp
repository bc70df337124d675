// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_files.h"

#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/day_store.h"

#include <algorithm>
#include <cctype>
#include <cstdlib>
#include <regex>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr double kStandardPressure_kpa = 101.325;

std::vector<std::string> wordsOf(const std::string& text) {
    std::vector<std::string> out(1);
    for (const char c : text) {
        if (std::isalnum(static_cast<unsigned char>(c)))
            out.back() += c;
        else if (!out.back().empty())
            out.emplace_back();
    }
    return out;
}

/// "2026-05-16T09:12:00+01:00" or "2026-05-16 09:12:00" somewhere above the header.
std::string timeAbove(const std::vector<std::string>& preamble) {
    static const std::regex pattern(R"((\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2}(:\d{2})?)(Z|[+-]\d{2}:?\d{2})?)");
    std::smatch match;
    for (const std::string& line : preamble)
        if (std::regex_search(line, match, pattern))
            return match[1].str() + "T" + match[2].str() + match[4].str();
    return "";
}

} // namespace

std::string buildFromFileName(const std::string& stem, const TestDay& day) {
    const std::string fallback = day.builds.empty() ? "A" : day.builds.front().id;
    for (const std::string& word : wordsOf(stem))
        if (findBuild(day, word))
            return word;
    for (const std::string& word : wordsOf(stem)) {
        // "B", "b", "B2", "b_02": one letter A to H, digits may follow
        const bool digits = std::all_of(word.begin() + (word.empty() ? 0 : 1), word.end(),
                                        [](unsigned char c) { return std::isdigit(c) != 0; });
        if (word.empty() || !digits)
            continue;
        const char letter = static_cast<char>(std::toupper(static_cast<unsigned char>(word.front())));
        if (letter >= 'A' && letter <= 'H')
            return std::string(1, letter);
    }
    return fallback;
}

ImportFile openForImport(const fs::path& path, const TestDay& day, const ColumnMapping* mapping) {
    ImportFile out;
    out.path = path.string();
    out.table = parseCsv(readFileText(path), path.filename().string());
    out.meanings = guessMeanings(out.table, mapping);
    out.build = buildFromFileName(path.stem().string(), day);
    out.started = timeAbove(out.table.preamble);
    return out;
}

std::string addImported(TestDay& day, const ImportFile& file, const fs::path& dayPath) {
    const std::string name = fs::path(file.path).filename().string();
    const double ambient_kpa = file.weather ? file.weather->pressure_pa / 1000.0 : kStandardPressure_kpa;
    auto raw = std::make_shared<ChannelTable>(toChannels(file.table, file.meanings, ambient_kpa, name));
    checkPull(*raw, name);
    Pull pull;
    pull.id = freePullId(day, dayPath);
    pull.build = file.build;
    pull.file = "pulls/" + pull.id + ".csv";
    pull.started = file.started;
    pull.weather = file.weather;
    pull.note = "imported from " + shownText(name);
    pull.raw = std::move(raw);
    if (!findBuild(day, file.build)) {
        Build build;
        build.id = file.build;
        day.builds.push_back(build);
        std::stable_sort(day.builds.begin(), day.builds.end(),
                         [](const Build& a, const Build& b) { return a.id < b.id; });
    }
    day.pulls.push_back(pull);
    return pull.id;
}

fs::path mappingsFolder() {
    const char* config = std::getenv("XDG_CONFIG_HOME");
    const char* home = std::getenv("HOME");
    const fs::path base = config && *config ? fs::path(config) : fs::path(home ? home : ".") / ".config";
    return base / "hillrun" / "mappings";
}

ColumnMapping loadMapping(const std::string& name) {
    const fs::path path = mappingsFolder() / (name + ".json");
    return readMapping(readFileText(path), path.string());
}

void saveMapping(const ColumnMapping& mapping) {
    std::error_code error;
    fs::create_directories(mappingsFolder(), error);
    writeFileSafely(mappingsFolder() / (mapping.name + ".json"), writeMapping(mapping));
}

std::vector<std::string> savedMappings() {
    std::vector<std::string> out;
    std::error_code error;
    for (const auto& entry : fs::directory_iterator(mappingsFolder(), error))
        if (entry.path().extension() == ".json")
            out.push_back(entry.path().stem().string());
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace hillrun
