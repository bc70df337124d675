// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What the reader of strangers' files says, finds above the header, asks and remembers.

#include "english.h"
#include "formats/file_io.h"
#include "formats/gather/column_words.h"
#include "formats/gather/foreign_bytes.h"
#include "formats/gather/gather_mapping.h"
#include "formats/gather/gather_summary.h"
#include "formats/gather/json_lines.h"
#include "formats/gather/matrix_file.h"
#include "formats/zip.h"
#include "support.h"
#include "variants.h"

#include <archive.h>
#include <archive_entry.h>
#include <catch2/catch.hpp>
#include <cstdlib>
#include <fmt/format.h>
#include <fstream>
#include <set>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

std::string codesOf(const GatheredFile& file, bool doubts) {
    std::string out;
    for (const GatherNote& note : file.notes)
        if (isDoubt(note.code) == doubts)
            out += std::string(out.empty() ? "" : " ") + gatherCodeName(note.code);
    return out;
}

/// Forty rows of a sweep with one more column.
std::string sweep(const std::string& header, const std::function<std::string(int)>& more,
                  const std::string& above = "") {
    std::string out = above + "Time [s],RPM,Torque [N.m]" + header + "\n";
    for (int row = 0; row < 40; ++row)
        out += fmt::format("{:.1f},{},80.5{}\n", 0.1 * row, 2000 + 100 * row, more(row));
    return out;
}
const auto nothing = [](int) { return std::string(); };

} // namespace

TEST_CASE("headers in five languages, and what they are not") {
    const struct {
        const char* header;
        const char* unit;
        const char* channel;
    } rows[] = {{"Motordrehzahl", "1/min", "engine_speed"},
                {"Regime moteur", "", "engine_speed"},
                {"Wheel speed", "rpm", ""},
                {"Wheel speed", "km/h", "road_speed"},
                {"Turbo speed", "rpm", ""},
                {"Coolant temp", "F", "coolant_temperature"},
                {"Coolant temp", "V", ""},
                {"Oil", "C", "oil_temperature"},
                {"Oil", "bar", "oil_pressure"},
                {"Oil pressure", "C", ""},
                {"Knock level", "V", ""},
                {"Injection time", "ms", ""},
                {"Engine load", "%", ""},
                {"Brake load", "%", "absorber_load"},
                {"Intake vacuum", "inHg", ""},
                {"Ansauglufttemperatur",
                 "\xC2\xB0"
                 "C",
                 "intake_air_temperature"},
                {"Umgebungstemperatur", "C", "#air_temperature"},
                {"Barometer", "hPa", "#air_pressure"},
                {"Fuel flow", "kg/h", "fuel_flow"},
                {"Fuel flow", "l/h", ""},
                {"Date", "", "#date"},
                {"Dew point", "", ""},
                {"MAP 2", "kPa", "manifold_pressure"},
                {"Z\xC3\xBCndwinkel", "deg", "ignition_advance"},
                {"Temp\xC3\xA9rature d'huile", "C", "oil_temperature"},
                {"Pressione olio", "bar", "oil_pressure"}};
    for (const auto& row : rows) {
        INFO(row.header << " [" << row.unit << "]");
        CHECK(senseOf(row.header, row.unit).channel == row.channel);
    }
    CHECK(senseOf("Boost target", "kPa").setPoint);
    CHECK(senseOf("Drehmoment soll", "Nm").setPoint);
    CHECK_FALSE(senseOf("Offset", "").setPoint);
    CHECK(senseOf("Power (SAE corrected)", "hp").corrected);
    CHECK_FALSE(senseOf("Power uncorrected", "hp").corrected);
}

TEST_CASE("what is doubtful is said, with its place") {
    const struct {
        const char* what;
        std::string text;
        const char* doubts;
    } rows[] = {
        {"nothing", sweep("", nothing), ""},
        {"torque and power disagree",
         sweep(",Power [kW]",
               [](int row) { return fmt::format(",{:.2f}", 1.36 * 80.5 * (2000 + 100 * row) / 9549.3); }),
         "power_disagrees"},
        {"coolant of 185 C", sweep(",Coolant [C]", [](int) { return std::string(",185"); }), "out_of_range"},
        {"no unit of a pressure", sweep(",MAP", [](int) { return std::string(",101.2"); }), "unit_assumed"},
        {"bar by its values", sweep(",MAP", [](int) { return std::string(",1.012"); }), "unit_by_range"},
        {"boost that may be absolute", sweep(",Boost [kPa]", [](int) { return std::string(",98"); }),
         "gauge_or_absolute"},
        {"words among numbers", sweep(",Lambda", [](int row) { return row == 9 ? ",lean" : ",0.9"; }),
         "words_among_numbers"},
        {"a date that may be two", sweep("", nothing, "Recorded: 03/04/2026\n"), "day_or_month"},
        {"a date that cannot", sweep("", nothing, "Recorded: 23/04/2026\n"), ""},
        {"an export's date is none", sweep("", nothing, "Exported: 03/04/2026\n"), ""},
        {"no sweep", "Time [s],RPM,Torque [N.m]\n0,3000,80\n1,3001,80\n2,3002,80\n3,3003,81\n4,3004,80\n5,3005,80\n",
         "not_a_full_sweep"},
        {"corrected only",
         "Time [s],RPM,SAE corrected torque [N.m]\n0,2000,80\n1,3000,80\n2,4000,80\n3,5000,81\n4,6000,80\n",
         "corrected_only"},
        {"half a second", "Time [s],RPM,Torque [N.m]\n0,2000,80\n.1,3000,80\n.2,4000,80\n.3,5000,81\n.4,6000,80\n",
         "short_sweep"},
    };
    for (const auto& row : rows) {
        INFO(row.what);
        CHECK(codesOf(gather(row.text, "v.csv"), true) == row.doubts);
    }
    const GatheredFile file = gather(rows[6].text, "v.csv");
    CHECK(inEnglish(noteStatements(doubtsOf(file.notes).front())) ==
          "v.csv, line 11, column Lambda: 1 cell is no number: \"lean\"; it counts as blank. Look at the line; "
          "say another separator or decimal sign if it was cut wrongly.");
    for (int code = 0; code < static_cast<int>(GatherCode::Count); ++code) {
        const auto one = static_cast<GatherCode>(code);
        CHECK_FALSE(std::string(gatherCodeName(one)).empty());
        CHECK(isDoubt(one) == !inEnglish(gatherRemedy(one)).empty()); // what is doubted says what to do
    }
}

TEST_CASE("the offer that goes with a disagreement is the pair that explains it") {
    const GatheredFile file = gather(
        sweep(",Power [kW]",
              [](int row) { return fmt::format(",{:.3f}", 80.5 * (2000 + 100 * row) / 9549.2966 / 0.73549875); }),
        "v.csv");
    const GatherNotes doubts = doubtsOf(file.notes);
    REQUIRE(doubts.size() == 1);
    CHECK(inEnglish(gatherStatement(doubts.front())).find("N.m and PS would explain it") != std::string::npos);
}

TEST_CASE("above the header: when, weather, rate, who") {
    const struct {
        std::vector<std::string> lines;
        const char* started;
    } rows[] = {{{"Recorded: 2026-05-16 09:12:00"}, "2026-05-16T09:12:00"},
                {{"Datum;16.05.2026", "Uhrzeit;09:12"}, "2026-05-16T09:12:00"},
                {{"Date,05/16/2026", "Time,9:12:03 PM"}, "2026-05-16T21:12:03"},
                {{"16 May 2026 09:12"}, "2026-05-16T09:12:00"},
                {{"2026-05-16T09:12:00+01:00"}, "2026-05-16T09:12:00+01:00"},
                {{"Calibrated: 2025-01-02", "Date: 2026-05-16"}, "2026-05-16T00:00:00"},
                {{"Exported 2026-06-01 10:00"}, ""},
                {{"Firmware 4.1.22"}, ""},
                {{"Serial 12345"}, ""}};
    for (const auto& row : rows) {
        INFO(row.lines.front());
        CHECK(readPreamble(row.lines, {}).started == row.started);
    }
    const Preamble said = readPreamble({"Operator: Ada", "Engine = flat twin", "Build: long pipe", "Sample rate: 50 Hz",
                                        "Ambient temp: 64.4 F", "Barometer;981,2;hPa", "Humidity [%]: 61"},
                                       {});
    CHECK(said.operatorName == "Ada");
    CHECK(said.article == "flat twin");
    CHECK(said.build == "long pipe");
    CHECK(said.rate_hz == 50.0);
    CHECK(*said.airTemperature_c == Approx(18.0));
    CHECK(*said.airPressure_kpa == Approx(98.12));
    CHECK(said.humidity_pct == 61.0);
    CHECK(readPreamble({"Baro: 29.0"}, {}).airPressure_kpa == Approx(29.0 * 3.386388640341)); // NIST SP 811
    CHECK_FALSE(readPreamble({"Baro: 200"}, {}).airPressure_kpa);
    CHECK(readPreamble({"Interval: 20 ms"}, {}).rate_hz == Approx(50.0));
    CHECK(readPreamble({"Date: 03/04/2026"}, {true}).started == "2026-03-04T00:00:00");
    CHECK(readPreamble({"Date: 03/04/2026"}, {false}).started == "2026-04-03T00:00:00");
}

TEST_CASE("weather columns become the pull's weather") {
    const GatheredFile file = gather(
        sweep(",Ambient temp [C],Baro [hPa],Humidity [%]", [](int) { return std::string(",18.5,982,55"); }), "v.csv");
    REQUIRE(file.weather);
    CHECK(file.weather->temperature_c == Approx(18.5));
    CHECK(file.weather->pressure_pa == Approx(98200.0));
    CHECK(file.weather->humidity.value == Approx(55.0));
    CHECK(tableOf(file, file.pulls.front(), 98.2).columns.size() == 3); // they are no channels of the pull
}

TEST_CASE("what somebody says goes before what was found") {
    const std::string text = sweep(",Boost [kPa]", [](int) { return std::string(",98"); });
    GatherChoices choices;
    choices.columns[3] = {.header = "Boost", .channel = "manifold_pressure", .unit = "kPa", .gauge = false};
    choices.columns[2] = {.header = "Torque", .channel = "torque", .unit = "lb-ft", .factor = -1.0};
    const GatheredFile file = gather(text, "v.csv", choices);
    const ChannelTable table = tableOf(file, file.pulls.front(), 98.0);
    CHECK(table.find("manifold_pressure")->values[0] == 98.0);
    CHECK(table.find("torque")->values[0] == Approx(-80.5 * 1.3558179483314004));
    choices = {};
    choices.rate_hz = 20.0;
    CHECK(tableOf(gather(text, "v.csv", choices), file.pulls.front(), 98.0).find("time")->values[10] == Approx(0.5));
    choices = {};
    choices.pulls = std::vector<RowSpan>{{0, 19}, {20, 39}};
    CHECK(gather(text, "v.csv", choices).pulls.size() == 2);
    choices = {};
    choices.columns[0] = {.header = "Time", .channel = "engine_speed", .unit = "rpm"}; // nonsense is refused, not read
    const GatheredFile refused = gather(text, "v.csv", choices);
    REQUIRE(refused.problem);
    CHECK(refused.problem->problem() == Problem::NoTimeChannel);
}

TEST_CASE("bytes that are no text are told, and a time in days is taken as it is said") {
    GatheredFile file = gather(sweep("", nothing) + std::string(7, '\0') + "\x1A", "a.csv", {});
    CHECK(codesOf(file, false) == "bytes_left_out");
    CHECK(inEnglish(noteStatements(file.notes[0])).find("8 bytes") != std::string::npos);
    CHECK(file.table.rows() == 40);

    std::string days = "Time [s],RPM,Torque [N.m]\n"; // the header is wrong
    for (int row = 0; row < 40; ++row)
        days += fmt::format("{:.9f},{},80.5\n", 46158.383333333 + 0.1 * row / 86400.0, 2000 + 100 * row);
    GatherChoices choices;
    file = gather(days, "a.csv", choices);
    choices.columns[0] = file.columns[0];
    choices.columns[0].unit = "day";
    choices.columns[0].unitGiven = true;
    file = gather(days, "a.csv", choices);
    REQUIRE(file.pulls.size() == 1);
    CHECK(file.axes[0][39] - file.axes[0][0] == Approx(3.9).margin(0.001));
    CHECK(file.pulls[0].started.substr(0, 16) ==
          "2026-05-16T09:12"); // day 46 158 of a spreadsheet that begins 1899-12-30
    const GatheredFile bySelf = gather("Time" + days.substr(8), "a.csv", {});
    CHECK(bySelf.pulls.at(0).started.substr(0, 16) == "2026-05-16T09:12");
}

TEST_CASE("mappings come back from their file and know their files again") {
    const test::TemporaryFolder temporary;
    ::setenv("XDG_CONFIG_HOME", temporary.path().c_str(), 1);
    CHECK(savedMappings().empty());
    GatherMapping mapping{"shed", {}, {"Time", "RPM", "Torque", "Ch7"}};
    mapping.choices.table = {';', ',', 3L, 4L, 6L};
    mapping.choices.encoding = TextEncoding::Windows1252;
    mapping.choices.rate_hz = 12.5;
    mapping.choices.monthFirst = false;
    mapping.choices.columns[3] = {"Ch7", "lambda", "1", true, true, -2.0, false, false};
    GatherMapping back = readMapping(writeMapping(mapping), "m.json");
    back.choices.columns[3].unitGiven = true; // not kept: it follows from the unit
    CHECK(back == mapping);
    CHECK(test::messageOf([] { (void)readMapping("{\"format\":\"other\"}", "m.json"); }).find("not a column mapping") !=
          std::string::npos);
    CHECK_THROWS_AS(readMapping(R"({"format":"hill-run-mapping","version":3})", "m.json"), DataError);

    GatherMapping plain{"plain", {}, {"Time", "RPM", "Torque", "Ch7"}};
    plain.choices.columns[3] = {.header = "Ch7", .channel = "lambda", .unit = "1"};
    saveMapping(plain);
    CHECK(savedMappings() == std::vector<std::string>{"plain"});
    const std::string text = sweep(",Ch7", [](int) { return std::string(",0.9"); });
    const auto known = knownMapping(text);
    REQUIRE(known);
    CHECK(known->name == "plain");
    CHECK_FALSE(knownMapping(sweep(",Ch8", [](int) { return std::string(",0.9"); })));
    // By place where the names agree, else by name; an old mapping knows names only.
    CHECK(choicesFor(*known, {"Time", "RPM", "Torque", "ch7"}).columns.at(3).channel == "lambda");
    CHECK(choicesFor(*known, {"Ch7", "Time"}).columns.at(0).channel == "lambda");
    CHECK(choicesFor(*known, {"Time"}).columns.empty());
    const GatherMapping old = readMapping(
        R"({"format":"hill-run-mapping","version":1,"name":"o","columns":[{"header":"ch7","channel":"torque","unit":"lb-ft"}]})",
        "m.json");
    CHECK(choicesFor(old, {"Time", "Ch7"}).columns.at(1).unit == "lb-ft");
    CHECK(test::messageOf([] { (void)loadMapping("other"); }).find("missing") != std::string::npos);
}

TEST_CASE("files inside archives, and kinds that are recognised and refused") {
    const test::TemporaryFolder temporary;
    const std::string text = sweep("", nothing);
    const fs::path zip = temporary.path() / "logs.zip";
    writeZip(zip, {{"one.csv", text}, {"two.TXT", text}, {"photo.jpg", "x"}});
    const auto inside = foreignBytes(zip);
    REQUIRE(inside.size() == 2);
    CHECK(inside[0].name == "logs.zip/one.csv");
    CHECK(inside[1].bytes == text);
    const fs::path packed = temporary.path() / "log.csv.gz";
    {
        archive* writer = archive_write_new();
        archive_write_add_filter_gzip(writer);
        archive_write_set_format_raw(writer);
        REQUIRE(archive_write_open_filename(writer, packed.c_str()) == ARCHIVE_OK);
        archive_entry* entry = archive_entry_new();
        archive_entry_set_filetype(entry, AE_IFREG);
        archive_write_header(writer, entry);
        archive_write_data(writer, text.data(), text.size());
        archive_entry_free(entry);
        archive_write_free(writer);
    }
    CHECK(foreignBytes(packed).front().bytes == text);
    const auto refusal = [&](const char* name, const std::string& bytes) {
        std::ofstream(temporary.path() / name, std::ios::binary) << bytes;
        return test::messageOf([&] { (void)foreignBytes(temporary.path() / name); });
    };
    CHECK(refusal("a.pdf", "%PDF-1.7")
              .find("a PDF document (its curves can be traced in the window), which is not read. Export it as text") !=
          std::string::npos);
    CHECK(refusal("a.mat", "MATLAB 5.0 MAT-file").find("not a whole matrix file") != std::string::npos);
    CHECK(refusal("a.gz", "\x1F\x8B\x08 broken").find("a.gz") != std::string::npos);
    writeZip(temporary.path() / "day.zip", {{"day.json", "{}"}, {"pulls/p01.csv", text}});
    CHECK(test::messageOf([&] { (void)foreignBytes(temporary.path() / "day.zip"); }).find("a day package") !=
          std::string::npos);
}

TEST_CASE("matrix files: vectors beside each other, structures, a matrix and the list that names its columns") {
    // Written by another program: time 0 to 0.7 s, 2000 to 2700 rpm, 100 to 100.7 N.m.
    const fs::path folder = test::dataFolder().parent_path() / "tests" / "fuzz" / "corpus" / "matrix";
    const auto only = [&](const char* name) {
        auto inside = foreignBytes(folder / name);
        REQUIRE(inside.size() == 1);
        return inside.front();
    };
    CHECK(only("vectors").bytes.starts_with("comment: run A\nrate: 10\nTime_s\tRPM\tTorque_Nm\n0\t2000\t100\n"));
    for (const char* name : {"vectors", "packed", "matrix"}) {
        INFO(name);
        const GatheredFile file = gather(only(name).bytes, name);
        REQUIRE(file.pulls.size() == 1);
        const ChannelTable table = tableOf(file, file.pulls.front(), 98.0);
        REQUIRE(table.rows() == 8);
        CHECK(table.find("time")->values[7] == Approx(0.7));
        CHECK(table.find("engine_speed")->values[7] == Approx(2700.0));
        CHECK(table.find("torque")->values[7] == Approx(100.7));
    }
    CHECK(only("matrix").name == "matrix/data");
    // A structure inside a structure is a table of its own; one vector is none.
    const auto nested = foreignBytes(folder / "structure");
    REQUIRE(nested.size() == 2);
    CHECK(nested[0].name == "structure/in");
    CHECK(nested[0].bytes.starts_with("Torque_Nm\tx\n100\t100\n"));
    CHECK(nested[1].name == "structure/run");
    CHECK(nested[1].bytes.starts_with("Time_s\tRPM\n0\t2000\n"));
}

namespace {

std::vector<std::string> cellsOf(const std::string& table) {
    std::vector<std::string> out(1);
    for (const char c : table)
        if (c == '\t' || c == '\n')
            out.emplace_back();
        else
            out.back() += c;
    return out;
}

} // namespace

TEST_CASE("a matrix file that breaks off anywhere gives no number that it does not hold") {
    const fs::path folder = test::dataFolder().parent_path() / "tests" / "fuzz" / "corpus" / "matrix";
    for (const char* name : {"vectors", "packed", "matrix", "structure"}) {
        const std::string whole = readFileText(folder / name);
        std::set<std::string> known;
        for (const auto& [table, text] : tablesOfMatrixFile(whole, name))
            for (const std::string& cell : cellsOf(text))
                known.insert(cell);
        size_t refused = 0;
        for (size_t length = 0; length < whole.size(); ++length) {
            try {
                for (const auto& [table, text] : tablesOfMatrixFile(whole.substr(0, length), name))
                    for (const std::string& cell : cellsOf(text)) // names may be made up where their list is missing
                        CHECK((known.contains(cell) || cell.starts_with("data ")));
            } catch (const DataError&) {
                ++refused;
            }
        }
        CHECK(refused > 9 * whole.size() / 10);
    }
    std::string damaged = readFileText(folder / "packed");
    damaged[200] = static_cast<char>(damaged[200] ^ 0x55);
    CHECK_THROWS_AS(tablesOfMatrixFile(damaged, "damaged"), DataError);
    // The other order of bytes: nothing but the mark changed means nonsense, and is refused.
    std::string swapped = readFileText(folder / "vectors");
    std::swap(swapped[126], swapped[127]);
    CHECK_THROWS_AS(tablesOfMatrixFile(swapped, "swapped"), DataError);
}

TEST_CASE("workbooks are read sheet by sheet") {
    const test::TemporaryFolder temporary;
    std::string rows;
    for (int row = 0; row < 8; ++row)
        rows += fmt::format(
            R"(<row r="{0}"><c r="A{0}"><v>{1}</v></c><c r="B{0}"><v>{2}</v></c><c r="D{0}"><v>80.5</v></c></row>)",
            row + 3, 0.5 * row, 2000 + 500 * row);
    const std::string sheet =
        R"(<worksheet xmlns="m"><sheetData><row r="1"><c r="A1" t="s"><v>0</v></c></row><row r="2">)"
        R"(<c r="A2" t="s"><v>1</v></c><c r="B2" t="inlineStr"><is><t>RPM</t></is></c>)"
        R"(<c r="C2" t="str"><v>Note</v></c><c r="D2" t="s"><v>2</v></c></row>)" +
        rows + "</sheetData></worksheet>";
    const fs::path book = temporary.path() / "book.xlsx";
    writeZip(book, {{"[Content_Types].xml", "<Types/>"},
                    {"xl/workbook.xml", R"(<workbook xmlns:r="r"><sheets><sheet name="Notes" sheetId="1" r:id="rId1"/>)"
                                        R"(<sheet name="Pull 1" sheetId="2" r:id="rId2"/></sheets></workbook>)"},
                    {"xl/_rels/workbook.xml.rels",
                     R"(<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/>)"
                     R"(<Relationship Id="rId2" Target="/xl/worksheets/sheet2.xml"/></Relationships>)"},
                    {"xl/sharedStrings.xml", "<sst><si><t>Shed logger</t></si><si><t>Time [s]</t></si>"
                                             "<si><r><t>Torque </t></r><r><t>[lb-ft]</t></r></si></sst>"},
                    {"xl/worksheets/sheet1.xml", "<worksheet><sheetData/></worksheet>"},
                    {"xl/worksheets/sheet2.xml", sheet}});
    const auto read = foreignBytes(book);
    REQUIRE(read.size() == 1); // the notes hold no table
    CHECK(read.front().name == "book.xlsx/Pull 1");
    CHECK(read.front().bytes.starts_with("Shed logger\nTime [s]\tRPM\tNote\tTorque [lb-ft]\n0\t2000\t\t80.5\n"));
    const GatheredFile file = gather(read.front().bytes, read.front().name);
    CHECK(tableOf(file, file.pulls.front(), 98.0).find("torque")->values[1] == Approx(80.5 * 1.3558179483314004));

    const std::string head = R"(<x:document xmlns:x="o"><x:body><x:spreadsheet><x:table x:name="Lauf">)";
    std::string content =
        head +
        R"(<x:row-group><x:table-row><x:table-cell x:value-type="string"><x:p>Zeit [s]</x:p></x:table-cell>)"
        R"(<x:table-cell x:value-type="string"><x:p>Drehzahl</x:p></x:table-cell>)"
        R"(<x:table-cell x:number-columns-repeated="2" x:value-type="string"><x:p>M</x:p></x:table-cell></x:table-row></x:row-group>)";
    for (int row = 0; row < 8; ++row)
        content += fmt::format(
            R"(<x:table-row><x:table-cell x:value-type="float" x:value="{}"><x:p>-,-</x:p></x:table-cell>)"
            R"(<x:table-cell x:value-type="float" x:value="{}"/><x:table-cell x:number-columns-repeated="2" x:value-type="float" x:value="80"/></x:table-row>)",
            0.5 * row, 2000 + 500 * row);
    content +=
        R"(<x:table-row x:number-rows-repeated="1048000"><x:table-cell x:number-columns-repeated="1024"/></x:table-row>)";
    writeZip(temporary.path() / "book.ods",
             {{"mimetype", "x"}, {"content.xml", content + "</x:table></x:spreadsheet></x:body></x:document>"}});
    const auto ods = foreignBytes(temporary.path() / "book.ods");
    REQUIRE(ods.size() == 1);
    CHECK(ods.front().name == "book.ods/Lauf");
    CHECK(ods.front().bytes.starts_with("Zeit [s]\tDrehzahl\tM\tM\n0\t2000\t80\t80\n0.5\t2500\t80\t80\n"));
    writeZip(temporary.path() / "broken.xlsx", {{"[Content_Types].xml", "x"}, {"xl/workbook.xml", "<workbook"}});
    CHECK(test::messageOf([&] { (void)foreignBytes(temporary.path() / "broken.xlsx"); }).find("broken.xlsx") !=
          std::string::npos);
}

TEST_CASE("JSON lines and lists of objects are tables") {
    std::string lines;
    for (int row = 0; row < 8; ++row)
        lines += fmt::format(R"({{"time_s":{},"engine":{{"rpm":{}}},"torque_nm":80{}}})", 0.5 * row, 2000 + 500 * row,
                             row == 3 ? R"(,"note":"a\tb","list":[1,2],"gone":null)" : "") +
                 "\n";
    const std::string table = tableOfJson(lines, "v.jsonl");
    CHECK(table.starts_with("time_s\tengine.rpm\ttorque_nm\tnote\tgone\n0\t2000\t80\t\t\n"));
    CHECK(table.find("a b") != std::string::npos);
    const GatheredFile file = gather(table, "v.jsonl");
    CHECK(file.pulls.front().sweep_rpm.high == 5500.0);
    CHECK(looksLikeJson(lines));
    CHECK(looksLikeJson(" [\n {\"a\":1}]"));
    CHECK_FALSE(looksLikeJson("[data]\nTime,RPM"));
    CHECK_FALSE(looksLikeJson("Time,RPM"));
    CHECK(tableOfJson("[{\"a\":1,\"b\":2},{\"a\":3}]", "v.json") == "a\tb\n1\t2\n3\t\n");
    CHECK(test::messageOf([&] { (void)tableOfJson(lines + "{\"time_s\":", "v.jsonl"); }).find("v.jsonl") !=
          std::string::npos);
    CHECK(test::messageOf([] { (void)tableOfJson("[1, 2]", "v.json"); }).find("no rows") != std::string::npos);
}

TEST_CASE("what was understood, in words") {
    const GatheredFile file = gather(sweep(",Boost [psi],Status", [](int) { return std::string(",5,ok"); }), "v.csv");
    const std::vector<std::string> wanted{"UTF-8, separated by commas, decimal point; 40 rows; names in line 1",
                                          "Time is time in s",
                                          "RPM is engine speed in rpm",
                                          "Torque is torque in N.m",
                                          "Boost is manifold pressure in psi and above the surrounding air",
                                          "Status: left out",
                                          "pull 1: lines 2 to 41, 2 000\xE2\x80\x93"
                                          "5 900 rpm in 3.9 s"};
    CHECK(eachInEnglish(explained(file)) == wanted);
    CHECK(codesOf(file, false) == "text_column");
    // Nine rows' mean: power of 80.5 N.m at 5 100 rpm, the middle of the last whole nine.
    const auto peak = rawPeak(tableOf(file, file.pulls.front(), 98.0));
    REQUIRE(peak);
    CHECK(peak->rpm == Approx(5100.0));
    CHECK(peak->power_kw == Approx(80.5 * 5100.0 / 9549.2966).epsilon(1e-6));
}

TEST_CASE("a reading can be watched and stopped") {
    std::string text = "Time [s],RPM,Torque [N.m]\n";
    for (int row = 0; row < 50000; ++row)
        text += fmt::format("{},{},80\n", row, 2000 + row % 3000);
    std::vector<double> shares;
    (void)gather(text, "v.csv", {}, [&](double share) {
        shares.push_back(share);
        return true;
    });
    REQUIRE(shares.size() == 6); // every 16 384 lines, twice
    CHECK(std::is_sorted(shares.begin(), shares.end()));
    CHECK(shares.front() > 0.1);
    CHECK(shares.back() < 1.0);
    int asked = 0;
    CHECK_THROWS_AS(gather(text, "v.csv", {}, [&](double) { return ++asked < 3; }), ReadStopped);
    CHECK(asked == 3);
}

TEST_CASE("a record is cut where another sweep begins, not at the small falls of one") {
    std::vector<double> time;
    std::vector<double> gears;
    for (int row = 0; row < 600; ++row) {
        time.push_back(0.02 * row);
        gears.push_back(2000.0 + 8.0 * row - (row > 300 ? 1200.0 : 0.0)); // a gear change in between
    }
    CHECK(sweepCuts(time, gears).empty());
    std::vector<double> twice = gears;
    for (int row = 0; row < 600; ++row) {
        time.push_back(12.0 + 0.02 * row);
        twice.push_back(2000.0 + 8.0 * row);
    }
    CHECK(sweepCuts(time, twice) == std::vector<size_t>{600});
    CHECK(sweepCuts(time, std::vector<double>(1200, 3000.0)).empty());
}
