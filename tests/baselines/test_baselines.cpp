// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What the four demo days say, as recorded once and accepted by a person: the answers as JSON, the marks of the sheets,
// the words of Compare and Check. A change shows as a difference of text; `tools/accept-baselines` takes it over.

#include "../app/app_support.h"
#include "core/slip/day_events.h"
#include "formats/answers_json.h"
#include "report/sheet.h"

#include <cmath>
#include <fmt/format.h>
#include <fstream>
#include <QTableView>
#include <sstream>

using namespace hillrun;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

constexpr const char* kDays[] = {"day-1-flat-twin", "day-2-boost-buggy", "day-3-hill-tractor", "day-4-buggy-rollers"};

fs::path baselineFolder() {
    const char* folder = std::getenv("HILLRUN_BASELINES");
    REQUIRE(folder);
    return folder;
}

bool accepting() { return std::getenv("HILLRUN_ACCEPT") != nullptr; }

/// Five significant digits: what lies beyond is arithmetic, not an answer.
std::string numberText(double value) { return fmt::format("{:.5g}", value == 0.0 ? 0.0 : value); }

/// One line a value; lists of numbers on one line.
void print(std::ostream& out, const std::string& path, const Json& value) {
    const auto plain = [](const Json& v) {
        return v.is_number() ? numberText(v.get<double>()) : (v.is_string() ? v.get<std::string>() : v.dump());
    };
    if (value.is_object()) {
        for (const auto& [key, inside] : value.items())
            print(out, path.empty() ? key : path + "." + key, inside);
    } else if (value.is_array() && !value.empty() && (value.front().is_object() || value.front().is_array())) {
        for (size_t i = 0; i < value.size(); ++i)
            print(out, fmt::format("{}[{}]", path, i), value[i]);
    } else if (value.is_array()) {
        out << path << ":";
        for (const Json& one : value)
            out << ' ' << plain(one);
        out << '\n';
    } else {
        out << path << ": " << plain(value) << '\n';
    }
}

std::string jsonText(const Json& value) {
    std::ostringstream out;
    print(out, "", value);
    return out.str();
}

std::string marksText(const std::vector<report::Page>& pages) {
    std::ostringstream out;
    for (size_t n = 0; n < pages.size(); ++n) {
        out << "page " << n + 1 << '\n';
        for (const report::Mark& mark : pages[n].marks) {
            if (const auto* text = std::get_if<report::Text>(&mark))
                out << fmt::format("{:.0f} {:.0f} {}\n", text->at.x, text->at.y, text->text);
            const auto points = [&](const char* what, const std::vector<report::Point>& at) {
                out << fmt::format("{} of {} points, {:.0f} {:.0f} to {:.0f} {:.0f}\n", what, at.size(), at.front().x,
                                   at.front().y, at.back().x, at.back().y);
            };
            if (const auto* line = std::get_if<report::Line>(&mark); line && !line->points.empty())
                points("line", line->points);
            if (const auto* area = std::get_if<report::Area>(&mark); area && !area->points.empty())
                points("area", area->points);
        }
    }
    return out.str();
}

/// Every word that a page shows now, widget by widget.
std::string wordsOf(QWidget* page) {
    QStringList out;
    for (QLabel* label : page->findChildren<QLabel*>())
        if (label->isVisibleTo(page) && !label->text().isEmpty())
            out << label->objectName() + QStringLiteral(": ") + label->text();
    for (QTableView* table : page->findChildren<QTableView*>()) {
        if (!table->isVisibleTo(page))
            continue;
        for (int row = 0; row < table->model()->rowCount(); ++row) {
            QStringList cells;
            for (int column = 0; column < table->model()->columnCount(); ++column)
                cells << table->model()->index(row, column).data().toString();
            out << table->objectName() + QStringLiteral(": ") + cells.join(QStringLiteral(" | "));
        }
    }
    QString text = out.join(u'\n') + u'\n';
    text.replace(QChar(0x00A0), u' ').replace(QChar(0x202F), u' ').remove(QChar(0x2060));
    return text.toStdString();
}

void checkAgainst(const fs::path& file, const std::string& now) {
    if (accepting()) {
        fs::create_directories(file.parent_path());
        std::ofstream(file) << now;
        return;
    }
    INFO("The answers of a demo day changed: " << file << ". If that is meant, run tools/accept-baselines.");
    std::ifstream in(file);
    REQUIRE(in);
    std::string expected;
    std::istringstream have(now);
    std::string actual;
    int line = 0;
    while (true) {
        ++line;
        const bool more = static_cast<bool>(std::getline(in, expected));
        const bool moreNow = static_cast<bool>(std::getline(have, actual));
        INFO("line " << line);
        REQUIRE(more == moreNow);
        if (!more)
            break;
        CHECK(actual == expected);
    }
}

} // namespace

TEST_CASE("the answers and sheets of the demo days are as accepted") {
    for (const char* name : kDays) {
        DYNAMIC_SECTION(name) {
            const TestDay day = readDay(test::dataFolder() / "demo" / name);
            DrawCache cache;
            DayAnalysis analysis = analyse(day, {}, cache);
            addEvents(day, analysis.pulls);
            checkAgainst(baselineFolder() / name / "analyse.txt", jsonText(analyseAnswer(analysis)));
            std::string reduced;
            for (const PullResult& pull : analysis.pulls) {
                if (!pull.curve)
                    continue;
                Json answer = reduceAnswer(*pull.curve, pull.events);
                for (const char* key : {"rpm", "torque_nm", "power_kw"}) { // every tenth point will do
                    Json thin = Json::array();
                    for (size_t i = 0; i < answer[key].size(); i += 10)
                        thin.push_back(answer[key][i]);
                    answer[key] = thin;
                }
                reduced += fmt::format("== {}\n{}", pull.id, jsonText(answer));
            }
            checkAgainst(baselineFolder() / name / "reduce.txt", reduced);
            checkAgainst(baselineFolder() / name / "sheets.txt",
                         marksText(report::pagesOf(report::wholeDocument(day, analysis, {}))));
        }
    }
}

TEST_CASE("the pages of field and credit on the demo days are as accepted") {
    for (const char* name : {"day-5-inlet-runners", "day-6-pipe-and-map", "day-7-two-stroke-timing"}) {
        DYNAMIC_SECTION(name) {
            const TestDay day = readDay(test::dataFolder() / "demo" / name);
            AnalysisSettings settings;
            settings.credit = true;
            DrawCache cache;
            const DayAnalysis analysis = analyse(day, settingsFor(day, settings), cache);
            auto pages = report::pagesOf(report::documentOf(day, analysis, {&analysis.comparisons.front()}, {}));
            REQUIRE(pages.size() == 3);
            pages.erase(pages.begin()); // the pair: as on the days above
            checkAgainst(baselineFolder() / name / "sheets.txt", marksText(pages));
        }
    }
}

TEST_CASE("the words of Compare and Check on the demo days are as accepted") {
    for (const char* name : kDays) {
        DYNAMIC_SECTION(name) {
            OpenWindow w(test::dataFolder() / "demo" / name);
            w.window->showPage("compare");
            std::string compare;
            for (const Build& from : w.window->document().day().builds)
                for (const Build& to : w.window->document().day().builds) {
                    if (from.id == to.id)
                        continue;
                    w.window->selection().setPair(from.id, to.id);
                    REQUIRE(w.settled());
                    compare += fmt::format("== {} to {}\n{}", from.id, to.id, wordsOf(w.find<QWidget>("comparePage")));
                }
            checkAgainst(baselineFolder() / name / "compare.txt", compare);
            w.window->showPage("check");
            std::string check;
            for (const Pull& pull : w.window->document().day().pulls) {
                w.window->selection().setPull(pull.id);
                REQUIRE(w.settled());
                check += fmt::format("== {}\n{}", pull.id, wordsOf(w.find<QWidget>("checkPage")));
            }
            checkAgainst(baselineFolder() / name / "check.txt", check);
        }
    }
}
