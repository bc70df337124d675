// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/report/report_page.h"
#include "app_support.h"
#include "core/compare/day_credit.h"
#include "formats/file_io.h"

#include <nlohmann/json.hpp>
#include <QCheckBox>
#include <QRegularExpression>
#include <QXmlStreamReader>

using namespace hillrun;
using namespace Qt::StringLiterals;
using hillrun::test::OpenWindow;

namespace {

ReportPage& reportOf(OpenWindow& w) { return *w.find<ReportPage>("reportPage"); }

QString readBack(const std::filesystem::path& file) { return QString::fromStdString(readFileText(file)); }

} // namespace

TEST_CASE("Report shows field and credit behind the pair, and takes them off") {
    OpenWindow w(test::latticeDay());
    w.window->showPage("report");
    REQUIRE(w.settled());
    ReportPage& page = reportOf(w);
    CHECK(page.sheets().size() == 3);
    CHECK(page.shownText().contains(u"fair share"_s));
    CHECK(w.analysis().settings.credit); // it is worked out while it is looked at
    w.find<QCheckBox>("section9")->click();
    CHECK(page.sheets().size() == 2);
    CHECK_FALSE(page.shownText().contains(u"fair share"_s));
    w.find<QCheckBox>("section8")->click();
    CHECK(page.sheets().size() == 1);
}

TEST_CASE("what nobody looked at yet is on the paper all the same") {
    OpenWindow w(test::latticeDay());
    w.window->showPage("compare");
    REQUIRE(w.settled());
    CHECK_FALSE(w.analysis().credit);
    w.dialogs.target = QString::fromStdString((w.folder.path() / "page.html").string());
    w.trigger("report.html");
    CHECK(readBack(w.folder.path() / "page.html").contains(u"fair share"_s));
    CHECK_FALSE(w.analysis().credit); // and the window works on as before
}

TEST_CASE("Report opened first shows the day's first pair") {
    OpenWindow w(test::latticeDay());
    w.window->selection().setPair("Q", "R"); // of a day before
    w.window->showPage("report");
    REQUIRE(w.settled());
    CHECK(reportOf(w).shownText().contains(u"B gives"_s));
}

TEST_CASE("the page for a browser is read back: drawings are sound, readings fit their places") {
    OpenWindow w(test::latticeDay());
    w.window->showPage("compare");
    REQUIRE(w.settled());
    w.window->selection().setPair("A", "D");
    const QString target = QString::fromStdString((w.folder.path() / "page.html").string());
    w.dialogs.target = target;
    w.trigger("report.html");
    const QString html = readBack(target.toStdString());
    CHECK(html.contains(u"<h2>D gives"_s));
    static const QRegularExpression drawing(u"<svg .*?</svg>"_s, QRegularExpression::DotMatchesEverythingOption);
    int drawings = 0;
    QStringList ids;
    for (auto it = drawing.globalMatch(html); it.hasNext(); ++drawings) {
        QXmlStreamReader xml(it.next().captured());
        while (!xml.atEnd())
            if (xml.readNext() == QXmlStreamReader::StartElement && xml.attributes().hasAttribute(u"id"_s))
                ids << xml.attributes().value(u"id"_s).toString();
        CHECK(xml.errorString().toStdString() == "");
    }
    CHECK(drawings == 7); // two builds' lines, curves, difference, field, stairs, ribbons of the parts
    CHECK(ids.removeDuplicates() == 0);
    static const QRegularExpression read(u"data-read=\"([^\"]*)\""_s);
    int readings = 0;
    for (auto it = read.globalMatch(html); it.hasNext(); ++readings) {
        QString text = it.next().captured(1);
        text.replace(u"&quot;"_s, u"\""_s).replace(u"&amp;"_s, u"&"_s);
        const auto json = nlohmann::json::parse(text.toStdString());
        REQUIRE(json["at"].size() == json["said"].size());
        REQUIRE(json["at"].size() > 20);
        CHECK(std::is_sorted(json["at"].begin(), json["at"].end()));
        CHECK(json["said"][0].get<std::string>().find("rpm") != std::string::npos);
    }
    CHECK(readings == 3);
}

TEST_CASE("drawings: one a page, beside each other") {
    OpenWindow w(test::latticeDay());
    w.window->showPage("report");
    REQUIRE(w.settled());
    w.dialogs.target = QString::fromStdString((w.folder.path() / "sheet.svg").string());
    w.trigger("report.svg");
    for (const char* name : {"sheet.svg", "sheet-2.svg", "sheet-3.svg"}) {
        QXmlStreamReader xml(readBack(w.folder.path() / name));
        while (!xml.atEnd())
            xml.readNext();
        CHECK(xml.errorString().toStdString() == "");
    }
    CHECK_FALSE(std::filesystem::exists(w.folder.path() / "sheet-4.svg"));
}

TEST_CASE("the other curve of Compare goes onto its own page and into the table") {
    OpenWindow w(test::boostDay());
    w.window->showPage("compare");
    REQUIRE(w.settled());
    w.window->selection().setCurve("boost");
    w.window->showPage("report");
    REQUIRE(w.settled());
    CHECK(reportOf(w).sheets().size() == 4);
    CHECK(reportOf(w).shownText().contains(u"Boost, kPa"_s));
    const QString target = QString::fromStdString((w.folder.path() / "curves.csv").string());
    w.dialogs.target = target;
    w.trigger("report.csv");
    const QString csv = readBack(target.toStdString());
    CHECK(csv.contains(u",A_boost [kPa],"_s));
    CHECK(csv.contains(u",A_to_B_boost_difference [kPa],A_to_B_boost_pointwise95_low [kPa],"_s));
    w.find<QCheckBox>("section7")->click();
    CHECK(reportOf(w).sheets().size() == 3);
}
