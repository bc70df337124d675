// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The Bench page and the school of a boosted day, driven as a person does.

#include "app/prepare/article_dialog.h"
#include "app/report/report_page.h"
#include "app/workbench/bench_page.h"
#include "app/workbench/dyno_content.h"
#include "app/workbench/load_cell_panel.h"
#include "app_support.h"
#include "core/pull/roller_inertia.h"

#include <QAbstractItemModelTester>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

void choose(QComboBox* box, int index) {
    REQUIRE(box->isEnabled());
    box->setCurrentIndex(index);
    Q_EMIT box->activated(index); // what a click into the list does
}

struct BenchWindow : OpenWindow {
    explicit BenchWindow(const std::filesystem::path& source) : OpenWindow(source) {
        QTest::keyClick(window.get(), Qt::Key_9, Qt::ControlModifier);
        REQUIRE(window->pageShown() == "bench");
    }
    void type(const char* field, const QString& text) {
        auto* box = find<NumberField>(field);
        REQUIRE(box->isEnabled());
        box->setFocus();
        box->selectAll();
        QTest::keyClick(box, Qt::Key_Delete);
        QTest::keyClicks(box, text);
        QTest::keyClick(box, Qt::Key_Return);
    }
    QString cell(Standard standard, int column) {
        auto* model = find<QTableView>("airTable")->model();
        for (int row = 0; row < model->rowCount(); ++row)
            if (model->index(row, 0).data().toString() == QString::fromUtf8(standardInfo(standard).title))
                return model->index(row, column).data().toString();
        return {};
    }
    const TestDay& day() { return window->document().day(); }
};

} // namespace

TEST_CASE("the air calculator begins with the day's air and shows every standard") {
    BenchWindow w(test::demoDay());
    auto* view = w.find<QTableView>("airTable");
    const QAbstractItemModelTester tester(view->model(), QAbstractItemModelTester::FailureReportingMode::Warning);
    CHECK(view->model()->rowCount() == static_cast<int>(standards().size()));
    CHECK(w.cell(Standard::SaeJ1349, AirTable::Factor) ==
          QString::number(w.analysis().pulls[0].curve->air.factor, 'f', 4));
    // 30 C, 97 kPa, dry: J1349 by its printed formula.
    w.type("airTemperature", u"30"_s);
    w.type("airPressure", u"97"_s);
    w.type("airHumidity", u"0"_s);
    const double j1349 = 1.18 * 99.0 / 97.0 * std::sqrt(303.0 / 298.0) - 0.18;
    CHECK(w.cell(Standard::SaeJ1349, AirTable::Factor) == QString::number(j1349, 'f', 4));
    CHECK(w.text("airFacts").contains(u"Dry pressure 97.00 kPa"_s));
    CHECK(w.cell(Standard::Din70020, AirTable::Humidity) == u"0.00\u00A0%"_s);
    CHECK(w.text("airSensitivity").contains(u"1 kPa too high \u2212"_s));
    const int row = static_cast<int>(Standard::Iso1585);
    QTest::mouseClick(view->viewport(), Qt::LeftButton, {}, view->visualRect(view->model()->index(row, 1)).center());
    CHECK(w.text("airWords").contains(u"80 to 110\u00A0kPa dry"_s));
    CHECK(w.find<Board>("airBoard1")->content().series.size() >= 7); // each standard's line, and today
    CHECK(w.day().pulls[0].weather->temperature_c != 30.0);          // nothing reached the day
}

TEST_CASE("humidity can be given in four ways, pressure as an altimeter setting") {
    BenchWindow w(test::demoDay());
    w.type("airTemperature", u"20"_s);
    w.type("airPressure", u"98"_s);
    choose(w.find<QComboBox>("airHumidityKind"), static_cast<int>(HumidityKind::DewPoint_c));
    w.type("airHumidity", u"12"_s);
    CHECK(w.text("airFacts").contains(u"60.0 % humid"_s)); // psat(12)/psat(20) = 1.4028/2.3393
    choose(w.find<QComboBox>("airHumidityKind"), static_cast<int>(HumidityKind::WetBulb_c));
    w.type("airHumidity", u"25"_s);
    CHECK(w.text("airWarning").contains(u"does not exist"_s));
    CHECK(w.find<QTableView>("airTable")->model()->rowCount() == 0);
    CHECK_FALSE(w.find<QPushButton>("airGive")->isEnabled());
    choose(w.find<QComboBox>("airHumidityKind"), static_cast<int>(HumidityKind::VapourPressure_kpa));
    w.type("airHumidity", u"1.2"_s);
    CHECK(w.find<QTableView>("airTable")->model()->rowCount() == 8);
    // A sea-level figure typed as station pressure is questioned, and taken up when it is named as what it is.
    w.type("airAltitude", u"500"_s);
    w.type("airPressure", u"101.3"_s);
    CHECK(w.text("airWarning").contains(u"sea-level figure"_s));
    choose(w.find<QComboBox>("airPressureKind"), 1);
    CHECK(w.find<QLabel>("airWarning")->isHidden());
    CHECK(w.text("airFacts").contains(u"Station pressure 95.4"_s)); // ISO 2533: 954.6 hPa at 500 m
    w.type("airAltitude", QString());
    CHECK(w.text("airWarning").contains(u"needs the altitude"_s));
}

TEST_CASE("weather typed on the Bench is given to a pull, and taken back by undo") {
    BenchWindow w(test::demoDay());
    w.window->selection().setPull("p04");
    w.type("airTemperature", u"29.5"_s);
    auto* give = w.find<QPushButton>("airGive");
    CHECK(give->text().contains(u"p04"_s));
    QTest::mouseClick(give, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(w.day().pulls[3].weather->temperature_c == 29.5);
    QTest::keyClick(w.window.get(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(w.day().pulls[3].weather->temperature_c != 29.5);
    CHECK_FALSE(w.find<QPushButton>("airGiveAll")->isEnabled()); // every pull has its weather
}

TEST_CASE("a diesel without a fuel figure gets no factor, with the reason") {
    BenchWindow w(test::demoDay());
    choose(w.find<QComboBox>("airIgnition"), 1);
    CHECK(w.cell(Standard::SaeJ1349, AirTable::Factor) == u"\u2013"_s);
    CHECK(w.text("airWords").contains(u"fuel per litre and cycle"_s));
    w.type("airFuel", u"70"_s);
    CHECK(w.cell(Standard::SaeJ1349, AirTable::Factor) != u"\u2013"_s);
    choose(w.find<QComboBox>("airIgnition"), 0);
    const QString fixed = w.cell(Standard::SaeJ1349, AirTable::Factor);
    w.type("airFriction", u"12"_s);
    w.type("airPower", u"50"_s);
    CHECK(w.cell(Standard::SaeJ1349, AirTable::Factor) != fixed);
    CHECK(w.text("airWords").contains(u"measured friction"_s));
}

TEST_CASE("the weather of the day stands against its pulls") {
    BenchWindow w(test::boostDay());
    w.trigger("bench.weather");
    CHECK(w.text("weatherWords").contains(u"boosted: by its own rule, full factor"_s));
    CHECK(w.text("weatherWords").contains(u"scatter by"_s));
    const BoardContent& factor = w.find<Board>("weatherBoard3")->content();
    size_t points = 0;
    for (const BoardSeries& series : factor.series)
        points += series.dots > 0.0 ? series.x.size() : 0;
    CHECK(points == 12);
    const DayWeather weather = weatherThroughDay(w.day(), w.analysis());
    CHECK(weather.withoutWeather == 0);
    CHECK(weather.correctedScatter_pct < weather.observedScatter_pct);
}

TEST_CASE("the school of a boosted day is chosen once and stated everywhere") {
    OpenWindow w(test::boostDay());
    auto* school = w.find<QComboBox>("boostChoice");
    REQUIRE(school->isVisible());
    CHECK(w.text("caution").contains(u"boosted: by its own rule, full factor"_s));
    const double full = w.analysis().pulls[0].curve->air.factor;
    choose(school, static_cast<int>(BoostSchool::BoostHeld));
    REQUIRE(w.settled());
    CHECK(w.window->document().day().boostSchool == BoostSchool::BoostHeld);
    CHECK(full > 1.02);
    CHECK(w.analysis().pulls[0].curve->air.factor == 1.0);
    CHECK(w.text("caution").contains(u"no factor, boost is held, at the wheel"_s));
    const QString file = QString::fromStdString((w.folder.path() / "sheet").string());
    w.dialogs.target = file;
    w.trigger("report.csv");
    CHECK(readFileText((file + u".csv"_s).toStdString()).find("no factor, boost is held") != std::string::npos);
    w.trigger("report.pdf");
    REQUIRE(std::system(qPrintable(u"pdftotext -layout '%1.pdf' '%1.txt'"_s.arg(file))) == 0);
    CHECK(readFileText((file + u".txt"_s).toStdString()).find("no factor, boost is held") != std::string::npos);
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(w.analysis().pulls[0].curve->air.factor == full);
    OpenWindow natural; // nothing to choose there
    CHECK_FALSE(natural.find<QComboBox>("boostChoice")->isVisible());
}

TEST_CASE("losses and inertia are entered with the article and act on every figure") {
    OpenWindow w(test::boostDay());
    w.window->showPage("prepare");
    w.trigger("prepare.article");
    auto* dialog = w.window->findChild<ArticleDialog*>();
    REQUIRE(dialog);
    dialog->findChild<QComboBox*>(u"lossMethod"_s)->setCurrentIndex(static_cast<int>(LossMethod::Percent));
    test::typeNumber(dialog->findChild<NumberField*>(u"lossPercent"_s), u"20"_s);
    auto* friction = dialog->findChild<QLineEdit*>(u"frictionPower"_s);
    auto* accept = dialog->findChild<QDialogButtonBox*>()->buttons().front();
    friction->setText(u"2500:3.1, 2500"_s);
    CHECK_FALSE(accept->isEnabled()); // not understood: not taken over
    friction->setText(u"4500:7.2, 2500:3.1"_s);
    REQUIRE(accept->isEnabled());
    QTest::mouseClick(accept, Qt::LeftButton);
    REQUIRE(w.settled());
    const TestDay& day = w.window->document().day();
    CHECK(day.article.engine.friction == std::vector<FrictionPoint>{{2500.0, 3100.0}, {4500.0, 7200.0}});
    CHECK(w.analysis().place == PowerPlace{MeasuredAt::Crank, true});
    CHECK(w.text("articleText").contains(u"carried to the crank by 20 %"_s));
    w.window->showPage("compare");
    CHECK(w.text("answer").contains(u"at the crank (estimate)"_s));
    CHECK(w.find<Board>("curvesBoard")->content().title.contains(u"at the crank (estimate)"_s));
}

TEST_CASE("road speed in each gear, inertia of rollers and units are worked out beside the day") {
    const std::vector<GearSpeed> gears =
        gearSpeeds({.tyreRadius_m = 0.3, .finalDrive = 4.0, .gears = {3.0, 1.0}}, 6000.0, 90.0);
    REQUIRE(gears.size() == 2);
    CHECK(gears[0].speed_kmh == Approx(56.549).epsilon(1e-4)); // 200 pi rad/s * 0.3 m / 12
    CHECK(gears[1].rpm == Approx(3183.1).epsilon(1e-4));       // 25 m/s / 0.3 m * 4
    CHECK(gearSpeeds({.gears = {3.0}}, 6000.0, 90.0).empty());

    // A solid disc m R^2 / 2, a thin tube m R^2.
    CHECK(rollerInertia_kgm2({1, 0.4, 0.5, 0.0, 7850.0, 0.0}) ==
          Approx(0.5 * 7850.0 * 0.5 * M_PI * 0.04 * 0.04).epsilon(1e-9));
    CHECK(rollerInertia_kgm2({2, 0.4, 0.5, 0.001, 7850.0, 1.5}) ==
          Approx(1.5 + 2.0 * 7850.0 * 0.5 * 2.0 * M_PI * 0.1995 * 0.001 * 0.1995 * 0.1995).epsilon(1e-4));
    CHECK(inOtherUnits(100.0, u"kW"_s) == QStringList{u"134.1\u00A0hp"_s, u"135.96\u00A0PS"_s});
    CHECK(inOtherUnits(212.0, u"\u00B0F"_s).front() == u"100\u00A0\u00B0C"_s);

    BenchWindow w(test::rollerDay());
    w.trigger("bench.dyno");
    CHECK(w.text("gearColumn2").split(u'\n').size() == 6);
    w.type("gearRpm", u"3000"_s);
    const double slow = QLocale::c().toDouble(w.text("gearColumn2").split(u'\n').at(1));
    w.type("gearRpm", u"6000"_s);
    CHECK(QLocale::c().toDouble(w.text("gearColumn2").split(u'\n').at(1)) == Approx(2.0 * slow).margin(0.11));

    auto* give = w.find<QPushButton>("giveInertia");
    CHECK_FALSE(give->isEnabled());
    w.type("rollerDiameter", u"400"_s);
    w.type("rollerLength", u"800"_s);
    w.type("rollerWall", u"12,5"_s);
    CHECK(w.text("rollerInertia").contains(u"kg\u00B7m\u00B2"_s));
    const auto before = w.window->document().day().cell.rollerInertia_kgm2;
    give->click();
    const double expected = rollerInertia_kgm2({1, 0.4, 0.8, 0.0125, 7850.0, 0.0});
    CHECK(*w.window->document().day().cell.rollerInertia_kgm2 == Approx(expected));
    CHECK(*w.window->document().day().cell.rollerRadius_m == Approx(0.2));
    w.window->document().undoStack().undo();
    CHECK(w.window->document().day().cell.rollerInertia_kgm2 == before);

    w.type("unitValue", u"1"_s);
    w.find<QComboBox>("benchUnit")->setCurrentText(u"mph"_s);
    INFO(w.text("unitOthers").toStdString());
    CHECK(w.text("unitOthers").contains(u"1.6093\u00A0km/h"_s));
}

TEST_CASE("the load cell is checked by masses on an arm, and the check is kept with the cell") {
    BenchWindow w(test::rollerDay());
    w.trigger("bench.checks");
    auto* keep = w.find<QPushButton>("keepLoadCell");
    CHECK_FALSE(keep->isEnabled());
    CHECK_FALSE(w.find<Board>("loadCellBoard")->isVisible());
    w.type("checkArm", u"750"_s);
    w.type("checkArmWithin", u"0,5"_s);
    const double masses[] = {0.0, 10.0, 20.0, 10.0, 0.0};
    for (int i = 0; i < 5; ++i) {
        const double torque = masses[i] * 0.75 * 9.80665 * 1.01 + (i > 2 ? 0.2 : 0.0);
        w.type(qPrintable(u"hungMass%1"_s.arg(i + 1)), QString::number(masses[i]));
        w.type(qPrintable(u"hungRead%1"_s.arg(i + 1)), QString::number(torque, 'f', 2).replace(u'.', u','));
    }
    CHECK(w.text("loadCellAnswer").contains(u"load cell"_s));
    CHECK(w.text("loadCellFigures").contains(u"zero came back within 0.2"_s));
    CHECK(w.text("loadCellFigures").contains(u"coming down against going up"_s));
    const BoardContent board = w.find<Board>("loadCellBoard")->content();
    REQUIRE(board.series.size() == 2);
    CHECK(board.series[0].x.size() == 3);
    CHECK(board.series[1].x.size() == 2);
    auto* date = w.find<QLineEdit>("LoadCellDate");
    date->setText(u"May"_s);
    Q_EMIT date->editingFinished();
    CHECK_FALSE(keep->isEnabled());
    date->setText(u"2026-05-16"_s);
    Q_EMIT date->editingFinished();
    REQUIRE(keep->isEnabled());
    keep->click();
    REQUIRE(w.day().cell.loadCellCheck);
    CHECK(w.day().cell.loadCellCheck->date == "2026-05-16");
    CHECK(w.day().cell.loadCellCheck->arm_m == Approx(0.75));
    CHECK(w.day().cell.loadCellCheck->hung.size() == 5);
    CHECK_FALSE(keep->isEnabled()); // it is kept as it stands there
    REQUIRE(w.settled());
    w.window->showPage("report");
    REQUIRE(w.settled());
    CHECK(w.find<ReportPage>("reportPage")->shownText().contains(u"Load cell checked 2026-05-16"_s));
    CHECK(w.find<QCheckBox>("section5")->isVisible());
    w.find<QCheckBox>("section5")->click();
    CHECK_FALSE(w.find<ReportPage>("reportPage")->shownText().contains(u"Load cell checked"_s));

    // Undone, what was typed is still there to be kept again; cleared, the day keeps none, and undo gives it back.
    w.window->document().undoStack().undo();
    CHECK_FALSE(w.day().cell.loadCellCheck);
    CHECK(w.find<NumberField>("hungMass3")->number() == 20.0);
    REQUIRE(keep->isEnabled());
    keep->click();
    REQUIRE(w.day().cell.loadCellCheck);
    w.find<QPushButton>("clearLoadCell")->click();
    CHECK_FALSE(w.day().cell.loadCellCheck);
    CHECK_FALSE(w.find<NumberField>("hungMass3")->number());
    w.window->document().undoStack().undo();
    REQUIRE(w.day().cell.loadCellCheck);
    CHECK(w.find<NumberField>("hungMass3")->number() == 20.0);
}

TEST_CASE("more masses are hung than there are lines at first") {
    BenchWindow w(test::rollerDay());
    w.trigger("bench.checks");
    w.type("checkArm", u"500"_s);
    for (int i = 1; i <= 12; ++i) {
        w.type(qPrintable(u"hungMass%1"_s.arg(i)), QString::number(i % 7));
        w.type(qPrintable(u"hungRead%1"_s.arg(i)), QString::number(4.9 * (i % 7)));
    }
    CHECK(w.find<LoadCellPanel>("loadCellPanel")->check().hung.size() == 12);
}

TEST_CASE("the weather station is checked beside a better instrument") {
    BenchWindow w(test::rollerDay());
    w.trigger("bench.checks");
    auto* keep = w.find<QPushButton>("keepStation");
    CHECK_FALSE(keep->isEnabled());
    for (const auto& [field, value] :
         {std::pair("stationPressure", u"100,0"_s), std::pair("stationTemperature", u"21"_s),
          std::pair("stationHumidity", u"55"_s), std::pair("referencePressure", u"99.2"_s),
          std::pair("referenceTemperature", u"20"_s), std::pair("referenceHumidity", u"50"_s)})
        w.type(field, value);
    CHECK(w.text("stationAnswer").contains(u"+0.80"_s));
    CHECK(w.text("stationMeans").contains(u"%"_s));
    REQUIRE(keep->isEnabled());
    keep->click();
    REQUIRE(w.day().cell.stationCheck);
    CHECK(w.day().cell.stationCheck->station.pressure_pa == Approx(100000.0));
    CHECK(w.day().cell.stationCheck->date == QDate::currentDate().toString(Qt::ISODate).toStdString());
    w.window->document().undoStack().undo();
    CHECK_FALSE(w.day().cell.stationCheck);
    w.find<QPushButton>("clearStation")->click();
    CHECK_FALSE(w.find<NumberField>("stationPressure")->number());
}
