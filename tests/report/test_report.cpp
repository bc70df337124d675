// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/credit_views.h"
#include "core/compare/judge.h"
#include "formats/curves_csv.h"
#include "formats/day_store.h"
#include "formats/file_io.h"
#include "report/figures.h"
#include "report/html.h"
#include "report/plot.h"
#include "report/render.h"
#include "report/sheet.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cstdlib>

using namespace hillrun;

namespace {

struct Demo {
    TestDay day = readDay(test::demoDay());
    DrawCache cache;
    DayAnalysis analysis = analyse(day, {}, cache);
};

report::Page sheetOf(const TestDay& day, const DayAnalysis& analysis, const Comparison& c,
                     const report::SheetSections& sections = {}) {
    return report::pagesOf(report::documentOf(day, analysis, {&c}, {}, sections)).front();
}

bool onPage(const report::Page& page, const report::Text& text) {
    return text.at.x >= 0 && text.at.x <= page.width && text.at.y > 0 && text.at.y < page.height - 20;
}

} // namespace

TEST_CASE("ticks are round and inside") {
    CHECK(report::ticks(0.0, 10.0, 5) == std::vector<double>{0, 2, 4, 6, 8, 10});
    CHECK(report::ticks(2400.0, 7800.0, 6) == std::vector<double>{3000, 4000, 5000, 6000, 7000});
    CHECK(report::ticks(3.0, 3.0, 5).empty());
}

TEST_CASE("the sheet fits on its page and holds the sentence, the bands and what was left out") {
    const Demo demo;
    const report::Page page = report::pagesOf(report::wholeDocument(demo.day, demo.analysis, {})).front();
    std::string all;
    for (const report::Mark& mark : page.marks) {
        if (const auto* text = std::get_if<report::Text>(&mark)) {
            INFO(text->text << " at " << text->at.y);
            CHECK(onPage(page, *text));
            all += text->text + " ";
        }
    }
    CHECK(all.find("B gives") != std::string::npos);
    CHECK(all.find("breakup above 6900 rpm") != std::string::npos);
    CHECK(all.find("Average difference") != std::string::npos);
    CHECK(all.find("does not make a pull safe") != std::string::npos);
}

TEST_CASE("the PDF is tagged: its words can be read in order, headings are headings") {
    const Demo demo;
    const test::TemporaryFolder folder;
    const std::filesystem::path file = folder.path() / "sheet.pdf";
    report::writePdf(report::pagesOf(report::wholeDocument(demo.day, demo.analysis, {})), file, demo.day.name);
    const auto said = [&](const std::string& words) { // by a reader that is not ours
        const std::filesystem::path out = folder.path() / "out.txt";
        REQUIRE(std::system((words + " '" + file.string() + "' >'" + out.string() + "'").c_str()) == 0);
        return readFileText(out);
    };
    const std::string about = said("pdfinfo");
    CHECK(about.substr(about.find("Tagged:"), 24).find("yes") != std::string::npos);
    CHECK(about.find("Title:           " + demo.day.name) != std::string::npos);
    const std::string tree = said("pdfinfo -struct-text");
    const size_t title = tree.find("H1");
    const size_t sentence = tree.find("B gives");
    const size_t averages = tree.find("Average difference");
    CHECK(title < sentence);
    CHECK(sentence < averages);
    CHECK(averages < tree.size());
    CHECK(tree.find("H2") < tree.size());
    CHECK(tree.find("Figure") < tree.size());
    CHECK(tree.rfind("Document", 20) == 0);
}

TEST_CASE("sections can be left off") {
    const Demo demo;
    const Comparison& c = demo.analysis.comparisons.front();
    const size_t whole = sheetOf(demo.day, demo.analysis, c).marks.size();
    report::SheetSections sections;
    sections.curves = sections.bands = false;
    CHECK(sheetOf(demo.day, demo.analysis, c, sections).marks.size() < whole);
}

TEST_CASE("long sentences are wrapped, never cut") {
    const std::string text = "one two three four five six seven eight nine ten";
    std::string joined;
    for (const std::string& line : report::wrapped(text, 80.0, 10.0)) {
        CHECK(report::textWidth(line, 10.0) <= 80.0);
        joined += (joined.empty() ? "" : " ") + line;
    }
    CHECK(joined == text);
}

TEST_CASE("PDF, SVG and picture are written") {
    const Demo demo;
    const test::TemporaryFolder temporary;
    const auto pages = report::pagesOf(report::wholeDocument(demo.day, demo.analysis, {}));
    report::writePdf(pages, temporary.path() / "a.pdf", "Sheet");
    report::writeSvg(pages.front(), temporary.path() / "a.svg");
    CHECK(readFileText(temporary.path() / "a.pdf").starts_with("%PDF"));
    CHECK(readFileText(temporary.path() / "a.svg").find("<svg") != std::string::npos);
    const report::Picture picture = report::renderPicture(pages.front(), 1.0);
    CHECK(picture.width == 596);
    CHECK(std::count(picture.pixels.begin(), picture.pixels.end(), 0xFF) < static_cast<long>(picture.pixels.size()));
    CHECK(test::messageOf([&] {
              report::writePdf(pages, temporary.path() / "no" / "a.pdf", "");
          }).find("cannot write") != std::string::npos);
}

TEST_CASE("a day without a comparison has a sheet that says why") {
    TestDay day = readDay(test::demoDay());
    for (Pull& pull : day.pulls)
        pull.use = pull.build == "A" && pull.use;
    DrawCache cache;
    const auto pages = report::pagesOf(report::wholeDocument(day, analyse(day, {}, cache), {}));
    REQUIRE(pages.size() == 1);
    bool said = false;
    for (const report::Mark& mark : pages.front().marks)
        if (const auto* text = std::get_if<report::Text>(&mark))
            said = said || text->text.find("only one build") != std::string::npos;
    CHECK(said);
}

TEST_CASE("the table has one row a speed and reads back as numbers") {
    const Demo demo;
    const std::string csv = curvesCsv(demo.day, demo.analysis, {PowerUnit::Horsepower, TorqueUnit::PoundFoot});
    CHECK(csv.find("A_power [hp]") != std::string::npos);
    CHECK(csv.find("# left out: p03 (A)") != std::string::npos);
    const auto lines = std::count(csv.begin(), csv.end(), '\n');
    const auto comments = std::count(csv.begin(), csv.end(), '#');
    CHECK(lines == static_cast<long>(demo.analysis.rpm.size()) + 1 + comments);
}

TEST_CASE("figures stand in columns: every digit of the text type has one width") {
    for (const char* digits : {"1111", "2222", "7777", "8888"})
        CHECK(report::textWidth(digits, 40.0) == Approx(report::textWidth("0000", 40.0)).margin(0.01));
}

TEST_CASE("the sheet says where power was measured and what the air factor does, beside the numbers") {
    const TestDay day = readDay(test::rollerDay());
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    REQUIRE_FALSE(analysis.comparisons.empty());
    const report::Page page = sheetOf(day, analysis, analysis.comparisons.front());
    std::string all;
    std::vector<double> headRows;
    for (const auto& mark : page.marks)
        if (const auto* text = std::get_if<report::Text>(&mark)) {
            all += text->text + "\n";
            if (text->at.y < 90.0)
                headRows.push_back(text->at.y);
        }
    CHECK(all.find("SAE J1349, boosted: by its own rule, full factor, at the crank (estimate)") != std::string::npos);
    CHECK(all.find("Power at the crank (estimate), kW") != std::string::npos);
    CHECK(all.find("power at the crank (estimate)") != std::string::npos);
    CHECK(all.find("from the coast-downs of") != std::string::npos);
    CHECK(all.find("tyre slip above 5200 rpm") != std::string::npos);
    CHECK(headRows.size() == 4); // title, program, what, what it rests on: none on another's line but the first two
}

namespace {

/// A demo day with everything that can stand on its sheets.
struct WholeDay {
    explicit WholeDay(const std::filesystem::path& folder, const std::string& quantity = {}) : day(readDay(folder)) {
        AnalysisSettings settings;
        settings.credit = true;
        settings.quantity = quantity;
        analysis = analyse(day, settingsFor(day, settings), cache);
    }
    [[nodiscard]] report::Document document(const report::SheetSections& sections = {}) const {
        return report::documentOf(day, analysis, {&analysis.comparisons.front()}, {}, sections);
    }
    TestDay day;
    DrawCache cache;
    DayAnalysis analysis;
};

std::string wordsOf(const report::Page& page) { return report::pageText(page, 0.0); }

} // namespace

TEST_CASE("behind the pair stand the other curve, the field and the credit, each on a page with its number") {
    const WholeDay lattice(test::latticeDay());
    const auto pages = report::pagesOf(lattice.document());
    REQUIRE(pages.size() == 3);
    CHECK(wordsOf(pages[0]).find("page 1 of 3") != std::string::npos);
    CHECK(wordsOf(pages[2]).find("page 3 of 3") != std::string::npos);
    const std::string credit = wordsOf(pages[2]);
    for (const char* part : {"pipe", "ignition map", "together", "fair share", "EUR/kW", "A to B: pipe"})
        CHECK(credit.find(part) != std::string::npos);
    report::SheetSections none;
    none.field = none.credit = false;
    const auto alone = report::pagesOf(lattice.document(none));
    REQUIRE(alone.size() == 1);
    CHECK(wordsOf(alone[0]).find("page 1") == std::string::npos);
    const WholeDay boosted(test::boostDay(), "boost");
    const auto four = report::pagesOf(boosted.document());
    REQUIRE(four.size() == 4);
    CHECK(wordsOf(four[1]).find("Boost, kPa") != std::string::npos);
    CHECK(wordsOf(four[2]).find("choosing it gives away") != std::string::npos);
    CHECK(wordsOf(four[3]).find("one more step gives") != std::string::npos);
}

TEST_CASE("no page of any demo day writes beside the paper") {
    for (const auto& folder : {test::demoDay(), test::boostDay(), test::tractorDay(), test::rollerDay(),
                               test::runnerDay(), test::latticeDay(), test::timingDay()}) {
        const WholeDay whole(folder);
        for (const report::Page& page : report::pagesOf(whole.document()))
            for (const report::Mark& mark : page.marks)
                if (const auto* text = std::get_if<report::Text>(&mark)) {
                    INFO(folder << ": " << text->text << " at " << text->at.x << ", " << text->at.y);
                    CHECK(text->at.x >= 0.0);
                    CHECK(text->at.x <= page.width);
                    CHECK(text->at.y > 0.0);
                    CHECK(text->at.y < page.height - 15.0);
                    if (text->align == report::Align::Left)
                        CHECK(text->at.x + report::textWidth(text->text, text->size, text->bold, text->mono) <=
                              page.width - 15.0);
                }
    }
}

TEST_CASE("stairs stand one on the other and end where all parts together end") {
    const WholeDay lattice(test::latticeDay());
    const auto stairs = stairsOf(*lattice.analysis.credit, CreditView::FairShare);
    REQUIRE(stairs.size() == 3);
    CHECK(stairs[0].from_w == lattice.analysis.credit->base_w);
    CHECK(stairs[1].from_w == stairs[0].to_w);
    CHECK(stairs[1].to_w == Approx(stairs[2].to_w));
    CHECK_FALSE(stairs[2].part);
    CHECK(stairsOf(*lattice.analysis.credit, CreditView::Alone).empty());
}

TEST_CASE("a page for a browser holds every answer, escapes names and fetches nothing") {
    WholeDay lattice(test::latticeDay());
    lattice.day.name = "<i>Pipe</i> & \"map\" @style@";
    lattice.day.builds[1].name = "B <script>";
    const std::string html =
        report::htmlOf(report::wholeDocument(lattice.day, lattice.analysis, {}, report::kScreenStyle),
                       {"Larkfell <shed>", {"1 Tarn Road"}, "PNG"}, Language::German);
    CHECK(html.starts_with("<!doctype html>\n<html lang=\"de\">"));
    CHECK(html.find("<title>&lt;i&gt;Pipe&lt;/i&gt; &amp; &quot;map&quot; @style@</title>") != std::string::npos);
    CHECK(html.find("B <script>") == std::string::npos);
    CHECK(html.find("Larkfell &lt;shed&gt;") != std::string::npos);
    CHECK(html.find("data:image/png;base64,UE5H\"") != std::string::npos); // RFC 4648
    for (const char* fetched : {"href=", "src=\"http", "@import", "url(http", "<link"})
        CHECK(html.find(fetched) == std::string::npos);
    size_t sections = 0;
    for (size_t at = html.find("<section>"); at != std::string::npos; at = html.find("<section>", at + 1))
        ++sections;
    CHECK(sections == lattice.analysis.comparisons.size() + 2);
    CHECK(html.find("Pipe and ignition map together") != std::string::npos);
    CHECK(report::htmlOf(lattice.document(), {}, Language::English).find("workshop\">") == std::string::npos);
}

TEST_CASE("long ids and titles stay on their drawing") {
    const WholeDay runners(test::runnerDay());
    const Voice german = Voice::of(Language::German);
    const std::vector<report::LadderRow> rows{{"Build-with-a-long-id", report::kInk, {}, "+1"}};
    const report::Telling t{runners.day, runners.analysis, german, report::kScreenStyle};
    const auto best = report::bestFigure(t, *runners.analysis.credit->sweep);
    REQUIRE(best);
    for (const report::Page& drawing : {report::fieldFigure(t, rows).drawing, best->drawing})
        for (const report::Mark& mark : drawing.marks)
            if (const auto* text = std::get_if<report::Text>(&mark)) {
                const double width = report::textWidth(text->text, text->size, text->bold, text->mono);
                INFO(text->text);
                CHECK(text->at.x - (text->align == report::Align::Right ? width : 0.0) >= -0.5);
                CHECK(text->at.x + (text->align == report::Align::Left ? width : 0.0) <= drawing.width + 0.5);
            }
}

TEST_CASE("a text that is too wide is shortened between letters") {
    CHECK(report::shortened("short", 100.0, 9.0) == "short");
    const std::string wide = "\xC3\xA4\xC3\xB6\xC3\xBC\xC3\xA4\xC3\xB6\xC3\xBC";
    const std::string cut = report::shortened(wide, 0.6 * report::textWidth(wide, 9.0), 9.0);
    CHECK(cut.ends_with("\xE2\x80\xA6"));
    CHECK(cut.size() % 2 == 1); // whole letters of two bytes and the three of the dots
    CHECK(report::textWidth(cut, 9.0) <= 0.6 * report::textWidth(wide, 9.0));
}
