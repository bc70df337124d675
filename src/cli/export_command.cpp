// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "cli/other_days.h"
#include "engine/day_engine.h"
#include "formats/answers_json.h"
#include "formats/curves_csv.h"
#include "formats/day_store.h"
#include "report/html.h"
#include "report/render.h"
#include "report/sheet.h"

#include <algorithm>
#include <array>

namespace fs = std::filesystem;

namespace hillrun::cli {
namespace {

struct ExportOptions {
    std::string day, target, quantity, db;
    AnswerOptions answer;
};

std::vector<report::Page> sheetsOf(const report::Document& document) {
    std::vector<report::Page> out;
    for (const report::Page& drawn : report::pagesOf(document))
        out.push_back(report::laidOut(drawn, report::Paper::A4, {}));
    return out;
}

void writeAnswers(const ExportOptions& o, const std::string& ending, const TestDay& day, const DayAnalysis& analysis) {
    Manner manner = currentVoice().manner();
    manner.plainBlanks = false; // lines are broken where they may be
    const Voice voice(manner);
    if (ending == ".csv")
        return writeFileSafely(o.target, curvesCsv(day, analysis, {}));
    if (ending == ".json")
        return writeFileSafely(o.target, dumpJson(analyseAnswer(analysis), 2) + "\n");
    const auto over = overOtherDays(day, analysis, o.db);
    const bool screen = ending == ".html";
    const report::Document document = report::wholeDocument(
        day, analysis, voice, screen ? report::kScreenStyle : report::FigureStyle{}, over ? &*over : nullptr);
    if (screen)
        writeFileSafely(o.target, report::htmlOf(document, {}, voice.manner().language));
    else if (ending == ".svg")
        report::writeSvg(sheetsOf(document).front(), o.target);
    else
        report::writePdf(sheetsOf(document), o.target, day.name);
}

void runExport(const ExportOptions& o) {
    AnalysisSettings settings = o.answer.settings();
    const std::string ending = fs::path(o.target).extension().string();
    constexpr std::array kEndings{".zip", ".csv", ".json", ".pdf", ".html", ".svg"};
    if (std::find(kEndings.begin(), kEndings.end(), ending) == kEndings.end())
        throw WrongUse(said("cli.to_file_ends_in"));
    TestDay day = readDay(o.day);
    warnOf(day);
    if (ending == ".zip") {
        (void)saveDay(day, o.target, o.day);
        return;
    }
    o.answer.takePlan(day);
    settings.quantity = o.quantity;
    settings.credit = true;
    DayEngine engine;
    writeAnswers(o, ending, day, *analyseOrThrow(day, settingsFor(day, settings), engine));
}

} // namespace

void addExport(CLI::App& app) {
    auto o = std::make_shared<ExportOptions>();
    CLI::App* command = app.add_subcommand("export", said("cli.the_day_as_a"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    command->add_option("--to", o->target, said("cli.file_zip_csv_json"))->required();
    o->answer.addTo(*command);
    command->add_option("--quantity", o->quantity, said("cli.another_curve"));
    command->add_option("--db", o->db, said("cli.logbook_address"));
    command->footer(said("cli.example_export_day_to"));
    command->callback([o] { runExport(*o); });
}

} // namespace hillrun::cli
