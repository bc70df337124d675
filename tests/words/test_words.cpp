// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channels.h"
#include "core/compare/sentence.h"
#include "core/day/set_aside.h"
#include "core/pull/event_kind.h"
#include "words/catalogue.h"
#include "words/current_voice.h"
#include "words/voice.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <map>
#include <regex>
#include <set>
#include <sstream>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

fs::path sourceFolder() { return std::getenv("HILLRUN_SOURCE"); }

/// What stands between quotes after `key` in a catalogue; the lines that go on are joined.
struct Entry {
    std::vector<std::string> texts; ///< one, or one a plural form
};
std::map<std::string, Entry> entriesOf(Language language) {
    std::map<std::string, Entry> out;
    std::ifstream in(sourceFolder() / "words/catalogue" / (std::string(languageCode(language)) + ".po"));
    REQUIRE(in);
    std::string id;
    for (std::string line; std::getline(in, line);) {
        const size_t open = line.find('"');
        const std::string text = open == std::string::npos ? "" : line.substr(open + 1, line.rfind('"') - open - 1);
        if (line.starts_with("msgid \""))
            id = text;
        else if (line.starts_with("msgstr") && !id.empty())
            out[id].texts.push_back(text);
    }
    return out;
}

/// The holes of a text: {0}, {1} ..., in no order.
std::set<std::string> holesOf(const std::string& text) {
    std::set<std::string> out;
    const std::regex hole(R"(\{\d+\})");
    for (std::sregex_iterator it(text.begin(), text.end(), hole), end; it != end; ++it)
        out.insert(it->str());
    return out;
}

/// Every text between quotes in the code of a folder, without includes and remarks.
std::vector<std::pair<std::string, std::string>> literalsIn(const std::string& folder) {
    std::vector<std::pair<std::string, std::string>> out;
    const std::regex literal(R"re("((?:[^"\\]|\\.)*)")re");
    for (const auto& file : fs::recursive_directory_iterator(sourceFolder() / folder)) {
        if (file.path().extension() != ".cpp" && file.path().extension() != ".h")
            continue;
        std::ifstream in(file.path());
        for (std::string line; std::getline(in, line);) {
            const std::string code = line.substr(0, line.find("//"));
            if (code.starts_with("#"))
                continue;
            for (std::sregex_iterator it(code.begin(), code.end(), literal), end; it != end; ++it)
                out.emplace_back(file.path().filename().string(), (*it)[1].str());
        }
    }
    return out;
}

const std::vector<std::string> kFoldersBelowWords{"core", "engine", "formats", "report"};

} // namespace

TEST_CASE("every sentence stands in every language, with the same holes") {
    const auto english = entriesOf(Language::English);
    CHECK(english.size() > 800);
    for (const Language language : kLanguages) {
        const auto own = entriesOf(language);
        for (const auto& [id, entry] : english) {
            INFO(languageCode(language) << " " << id);
            const auto it = own.find(id);
            REQUIRE(it != own.end());
            REQUIRE(it->second.texts.size() == entry.texts.size());
            for (size_t i = 0; i < entry.texts.size(); ++i) {
                CHECK_FALSE(it->second.texts[i].empty());
                CHECK(holesOf(it->second.texts[i]) == holesOf(entry.texts[i]));
            }
        }
        for (const auto& [id, entry] : own) {
            INFO(languageCode(language) << " " << id);
            CHECK(english.contains(id));
        }
    }
}

TEST_CASE("every id that the code says is in the catalogue, and nothing else is") {
    const auto english = entriesOf(Language::English);
    std::set<std::string> kinds; // what stands before the point
    for (const auto& [id, entry] : english)
        kinds.insert(id.substr(0, id.find('.')));
    std::set<std::string> said;
    std::set<std::string> begun; // "reason." + code
    for (const char* folder :
         {"core", "engine", "formats", "report", "cli", "cell", "logbook", "app", "simcell", "words"})
        for (const auto& [file, text] : literalsIn(folder)) {
            const size_t point = text.find('.');
            if (english.contains(text))
                said.insert(text);
            else if (point != std::string::npos && point + 1 == text.size() && kinds.contains(text.substr(0, point)))
                begun.insert(text);
            else if (point != std::string::npos && text.find_last_of('.') == text.size() - 1 && text.size() > point + 1)
                begun.insert(text); // "together.both."
        }
    for (const auto& [id, entry] : english) {
        INFO(id);
        const bool usedWhole = said.contains(id);
        const bool usedInParts =
            std::any_of(begun.begin(), begun.end(), [&](const std::string& begin) { return id.starts_with(begin); });
        const bool variant = id.starts_with("gather.") || id.starts_with("event.bump");
        CHECK((usedWhole || usedInParts || variant));
    }
    for (const ChannelInfo& channel : standardChannels()) {
        CHECK(english.contains(std::string("channel.") + channel.name));
        CHECK(english.contains(std::string("inside.") + channel.name));
    }
    for (const char* reason : setAsideReasons())
        CHECK(english.contains(std::string("reason.") + reason));
    for (int i = 0; i <= static_cast<int>(EventKind::Hump); ++i) {
        const EventKindInfo& info = eventKindInfo(static_cast<EventKind>(i));
        CHECK(english.contains(std::string("event_title.") + info.name));
        CHECK(english.contains(std::string("headline.") + info.name));
        if (info.scope == EventScope::Stretch || info.scope == EventScope::WholePull)
            CHECK(isSetAsideReason(info.name));
    }
}

TEST_CASE("no display text stands below the words") {
    // Two words of letters with a blank between them are said to somebody, unless they are one of these.
    const std::regex spoken(R"([A-Za-z]{2,}[,:;.]? [a-z]{2,})");
    const std::set<std::string> data{// what files hold: marks of formats, words that headers and parts are known by
                                     "SQLite format 3",
                                     "#hill-run-journal 1\\n",
                                     "valve lift",
                                     "valve spring",
                                     "valve train",
                                     "created by",
                                     "in hg",
                                     "UTF-16, little end first",
                                     "UTF-16, big end first", // as a kept mapping names them
                                     "Simulated cell",
                                     "# left out: {} ({}): {}\\n"};
    for (const std::string& folder : kFoldersBelowWords)
        for (const auto& [file, text] : literalsIn(folder)) {
            if (!std::regex_search(text, spoken) || data.contains(text) || file == "column_words.cpp")
                continue;
            INFO(file << ": \"" << text << "\"");
            const bool page = file == "html.cpp" || file == "svg_marks.cpp"; // what a browser reads
            const bool markup =
                page && (text.find('<') != std::string::npos || text.find("=\\\"") != std::string::npos);
            CHECK((markup || text.find('|') != std::string::npos)); // lists of words that are read, not said
        }
}

TEST_CASE("numbers follow the reader: decimal mark, true minus, unit, interval") {
    const Voice english;
    const Voice german = Voice::of(Language::German);
    CHECK(english.number(signedDecimals(1.25, 1, "kW")) == "+1.2\xC2\xA0kW");
    CHECK(german.number(signedDecimals(-1.25, 1, "kW")) == "\xE2\x88\x92"
                                                           "1,2\xC2\xA0kW");
    CHECK(german.number(signedDecimals(-0.01, 1, "%")) == "0,0\xC2\xA0%");
    CHECK(german.number(significant(98.42, 3, "kPa")) == "98,4\xC2\xA0kPa");
    CHECK(english.number(decimals(std::nan(""), 1, "kW")) == "\xE2\x80\x93");
    CHECK(english.number(decimals(21.5, 1, "C")) == "21.5\xC2\xA0\xC2\xB0"
                                                    "C");
    CHECK(english.number(decimals(3.0, 0, "deg")) == "3\xC2\xB0");
    CHECK(english.number(decimals(0.9, 2, "1")) == "0.90");
    CHECK(german.power({1620.0, 450.0, true}) == "+1,6\xC2\xA0\xC2\xB1\xC2\xA0"
                                                 "0,5\xC2\xA0kW");
    const Voice horses = english.in({PowerUnit::Horsepower, TorqueUnit::PoundFoot});
    CHECK(horses.power({.value_w = 745.699872}) == "1.0\xC2\xA0hp");
    CHECK(horses.torque({.value_nm = 135.5817948}) == "100.0\xC2\xA0lbf\xC2\xB7"
                                                      "ft");
    CHECK(english.power({.value_w = 1234.0, .digits = 2}) == "1.2\xC2\xA0kW");
    CHECK(rpmText(12500.0) == "12\xC2\xA0"
                              "500");
    CHECK(rpmText(950.0) == "950");
}

TEST_CASE("a sentence is said in the reader's language, its plural by the language's own rule") {
    const Voice english;
    const Voice german = Voice::of(Language::German);
    const Voice french = Voice::of(Language::French);
    const Statement gives{"answer.gives",
                          {std::string("B"), Power{1700.0, 700.0}, Statement{"place.crank"},
                           Statement{"stretch.over", {RpmRange{4100.0, 7250.0}}}}};
    CHECK(english.say(gives) == "B gives 1.7\xC2\xA0\xC2\xB1\xC2\xA0"
                                "0.7\xC2\xA0kW at the crank over "
                                "4\xC2\xA0"
                                "100\xE2\x80\x93"
                                "7\xC2\xA0"
                                "250\xC2\xA0rpm.");
    CHECK(german.say(gives).starts_with("B bringt 1,7"));
    CHECK(german.say(gives).find("an der Kurbelwelle") != std::string::npos);
    CHECK(french.say(gives).find("au vilebrequin") != std::string::npos);
    const auto changes = [](long count) { return Statement{"plan.changes", {Count{count}}}; };
    CHECK(english.say(changes(1)) == "1 change");
    CHECK(english.say(changes(2)) == "2 changes together");
    CHECK(english.say(changes(0)) == "0 changes together");
    CHECK(german.say(changes(0)) == "0 \xC3\x84nderungen zusammen");
    CHECK(french.say(changes(0)) == "0 changement"); // French counts nothing like one
    CHECK(german.list({"a", "b", "c"}) == "a, b und c");
    CHECK(french.list({"a", "b"}, true) == "a ou b");
    CHECK(english.list({}).empty());
    CHECK(english.say(Statement{}).empty());
    CHECK(german.say(DataError(Problem::FileEmpty, {}, {.file = "p.csv", .line = 3}))
              .starts_with("p.csv, Zeile 3: die Datei"));
    CHECK(german.channel("oil_pressure") == "\xC3\x96ldruck");
    CHECK(german.channel("my own") == "my own");
}

TEST_CASE("a text from outside is no pattern of holes") {
    const Statement evil{"name", {std::string("{0}{99} \x1B[31m")}};
    CHECK(Voice().say(evil).find("{0}{99}") == 0);
    CHECK(Voice().say(evil).find('\x1B') == std::string::npos);
    CHECK_NOTHROW(Voice().say(Statement{"answer.gives"})); // too few arguments: said as far as it goes
}

TEST_CASE("the language is the system's, as gettext reads it") {
    const std::map<std::string, Language> cases{{"de_CH.UTF-8", Language::German},  {"fr_CA", Language::French},
                                                {"en_GB.UTF-8", Language::English}, {"ja_JP.UTF-8", Language::English},
                                                {"C.UTF-8", Language::English},     {"", Language::English}};
    ::unsetenv("LC_ALL");
    ::unsetenv("LC_MESSAGES");
    ::unsetenv("LANGUAGE");
    for (const auto& [locale, language] : cases) {
        ::setenv("LANG", locale.c_str(), 1);
        INFO(locale);
        CHECK(systemLanguage() == language);
    }
    ::setenv("LANG", "en_GB.UTF-8", 1);
    ::setenv("LANGUAGE", "ja:fr:de", 1);
    CHECK(systemLanguage() == Language::French);
    ::setenv("LC_ALL", "C", 1);
    CHECK(systemLanguage() == Language::English);
    ::unsetenv("LC_ALL");
    ::unsetenv("LANGUAGE");
    ::unsetenv("LANG");
    CHECK(languageNamed("Deutsch") == std::nullopt);
    CHECK(languageNamed("DE-at") == Language::German);
}

TEST_CASE("a reason is a code where its words are known, in any language") {
    const Voice german = Voice::of(Language::German);
    Pull pull;
    noteReason(pull, "nicht warm", german);
    CHECK(pull.reasonCode == "not_warm");
    CHECK(pull.reason == "not warm");
    CHECK(german.say(reasonPhrase(pull)) == "nicht warm");
    noteReason(pull, "throttle_short", german);
    CHECK(pull.reasonCode == "throttle_short");
    noteReason(pull, "loose plug lead", german);
    CHECK(pull.reasonCode.empty());
    CHECK(german.say(reasonPhrase(pull)) == "loose plug lead");
    pull.reasonCode = "of_a_newer_program";
    CHECK(german.say(reasonPhrase(pull)) == "loose plug lead");
}

TEST_CASE("the program's voice may change while others ask") {
    setCurrentVoice(Voice::of(Language::French));
    CHECK(said("plan.none") == "Pas de plan");
    setCurrentVoice(Voice());
    CHECK(said("plan.none") == "No plan");
}
