// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/curve/trace_dialog.h"
#include "app/curve/typed_curve_dialog.h"
#include "app/import/import_dialog.h"
#include "app_support.h"
#include "core/pull/given_curve.h"

#include <cmath>
#include <cstdlib>
#include <fstream>
#include <QClipboard>
#include <QPainter>
#include <QPainterPath>
#include <QPdfWriter>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

// The made-up sheet of these tests: 2 000 to 8 000 rpm, power in hp at the left (0 to 120), torque in lbf.ft at the
// right (0 to 100), black frame, grey grid.
constexpr double kHorse_rpm = 5252.113; // 33 000 / (2 pi)
double torqueOf(double rpm) { return 88.0 - 2.2e-6 * std::pow(rpm - 5000.0, 2.0); }
double powerOf(double rpm) { return torqueOf(rpm) * rpm / kHorse_rpm; }
PicturePoint leftPlace(double rpm, double value) { return {100.0 + (rpm - 2000.0) / 7.5, 600.0 - value * 4.5}; }
PicturePoint rightPlace(double rpm, double value) { return {100.0 + (rpm - 2000.0) / 7.5, 600.0 - value * 5.4}; }

void drawSheet(QPainter& painter) {
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(0, 0, 1000, 700, QColor(253, 252, 248));
    painter.setPen(QPen(QColor(214, 214, 214), 1.0));
    for (double x = 100.0; x <= 900.0; x += 100.0)
        painter.drawLine(QPointF(x, 60), QPointF(x, 600));
    for (double y = 60.0; y <= 600.0; y += 54.0)
        painter.drawLine(QPointF(100, y), QPointF(900, y));
    painter.setPen(QPen(Qt::black, 1.5));
    painter.drawRect(QRectF(100, 60, 800, 540));
    painter.drawText(QPointF(440, 640), u"rpm"_s);
    const auto curve = [&](auto place, auto value, const QColor& colour) {
        QPainterPath path;
        for (double rpm = 2500.0; rpm <= 7500.0; rpm += 10.0) {
            const PicturePoint at = place(rpm, value(rpm));
            rpm == 2500.0 ? path.moveTo(at.x, at.y) : path.lineTo(at.x, at.y);
        }
        painter.setPen(QPen(colour, 2.5));
        painter.drawPath(path);
    };
    curve(leftPlace, powerOf, QColor(190, 40, 40));
    curve(rightPlace, torqueOf, QColor(40, 70, 170));
}

fs::path sheetIn(const OpenWindow& w, const char* name) {
    const fs::path path = w.folder.path() / name;
    if (path.extension() == ".pdf") {
        QPdfWriter writer(QString::fromStdString(path.string()));
        writer.setResolution(100); // drawn as 1000 by 700 hundredths of an inch, read at 200 an inch
        writer.setPageSize(QPageSize(QSizeF(10.0, 7.0), QPageSize::Inch));
        writer.setPageMargins(QMarginsF());
        QPainter painter(&writer);
        painter.drawText(200, 300, u"first page"_s);
        writer.newPage();
        drawSheet(painter);
        return path;
    }
    QImage image(1000, 700, QImage::Format_RGB32);
    {
        QPainter painter(&image);
        drawSheet(painter);
    }
    REQUIRE(image.save(QString::fromStdString(path.string()), nullptr, 85));
    return path;
}

TraceDialog* traceWindow(OpenWindow& w, const fs::path& sheet) {
    w.dialogs.sheet = QString::fromStdString(sheet.string());
    w.trigger("day.trace");
    REQUIRE(w.dialogs.errors.isEmpty());
    auto* dialog = w.window->findChild<TraceDialog*>();
    REQUIRE(dialog);
    REQUIRE(QTest::qWaitForWindowExposed(dialog));
    return dialog;
}

template <class Widget> Widget* part(QDialog* dialog, const char* name) {
    auto* widget = dialog->findChild<Widget*>(QLatin1StringView(name));
    INFO(name);
    REQUIRE(widget);
    return widget;
}

void click(TraceDialog* dialog, PicturePoint at) {
    auto* view = part<TraceView>(dialog, "traceView");
    QTest::mouseClick(view, Qt::LeftButton, {}, view->onScreen(at).toPoint());
}

/// Zoomed in so far that a click is true to a fraction of a pixel.
void clickExactly(TraceDialog* dialog, PicturePoint at) {
    auto* view = part<TraceView>(dialog, "traceView");
    QTest::keyClick(view, Qt::Key_0);
    view->setFocus();
    click(dialog, at); // brings the pointer there; taken back
    dialog->findChild<QShortcut*>()->activated();
    for (int i = 0; i < 12; ++i)
        QTest::keyClick(view, Qt::Key_Plus);
    click(dialog, at);
    QTest::keyClick(view, Qt::Key_0);
}

void type(QDialog* dialog, const QString& field, const char* text) {
    auto* number = dialog->findChild<NumberField*>(field);
    REQUIRE(number);
    number->setFocus();
    number->selectAll();
    QTest::keyClicks(number, QLatin1StringView(text));
    QTest::keyClick(number, Qt::Key_Return);
}

void setAxes(TraceDialog* dialog, double pixels) {
    const auto times = [&](PicturePoint p) { return PicturePoint{pixels * p.x, pixels * p.y}; };
    part<QCheckBox>(dialog, "rightAxis")->click();
    const std::pair<PicturePoint, const char*> marks[] = {{leftPlace(2000, 0), "2000"}, {leftPlace(8000, 0), "8000"},
                                                          {leftPlace(2000, 0), "0"},    {leftPlace(2000, 120), "120"},
                                                          {rightPlace(8000, 0), "0"},   {rightPlace(8000, 100), "100"}};
    for (int i = 0; i < 6; ++i) {
        CHECK(part<QLabel>(dialog, "traceNext")
                  ->text()
                  .contains(i < 2   ? u"speed axis"_s
                            : i < 4 ? u"left axis"_s
                                    : u"right axis"_s));
        part<QPushButton>(dialog, qPrintable(u"setMark%1"_s.arg(i)))->click();
        clickExactly(dialog, times(marks[i].first));
        type(dialog, u"axisValue%1"_s.arg(i), marks[i].second);
    }
}

void setUnit(TraceDialog* dialog, int line, const QString& unit) {
    auto* box = part<QComboBox>(dialog, qPrintable(u"unitOfLine%1"_s.arg(line)));
    box->setCurrentIndex(box->findData(unit));
    Q_EMIT box->activated(box->currentIndex());
}

/// Axes, then both lines by their colour.
void traceBoth(TraceDialog* dialog, double pixels = 1.0) {
    setAxes(dialog, pixels);
    const auto times = [&](PicturePoint p) { return PicturePoint{pixels * p.x, pixels * p.y}; };
    setUnit(dialog, 0, u"hp"_s);
    click(dialog, times(leftPlace(4000, powerOf(4000))));
    part<QPushButton>(dialog, "anotherLine")->click();
    setUnit(dialog, 1, u"lbf.ft"_s);
    click(dialog, times(rightPlace(6800, torqueOf(6800))));
}

/// The largest difference between what was traced and what was drawn, in per cent of full scale.
double worstOff(const ChannelTable& table) {
    double out = 0.0;
    REQUIRE(table.rows() > 50);
    for (size_t i = 0; i < table.rows(); ++i) {
        const double rpm = table.find("engine_speed")->values[i];
        // 1 hp is 0.745 700 kW, 1 lbf.ft 1.355 818 N.m (definitions, as in ISO 80000 annexes)
        out = std::max(out, std::abs(table.find("power")->values[i] / 0.74569987 - powerOf(rpm)) / 1.2);
        if (std::isfinite(table.find("torque")->values[i]))
            out = std::max(out, std::abs(table.find("torque")->values[i] / 1.35581795 - torqueOf(rpm)));
    }
    return out;
}

} // namespace

TEST_CASE("a sheet traced from a picture comes back within half a per cent of full scale, and its picture stays") {
    OpenWindow w;
    for (const char* name : {"winter.png", "winter.jpg"}) {
        INFO(name);
        const size_t before = w.window->document().day().pulls.size();
        TraceDialog* dialog = traceWindow(w, sheetIn(w, name));
        traceBoth(dialog);
        CHECK_FALSE(part<QLabel>(dialog, "traceDoubt")->isVisibleTo(dialog));
        auto* view = part<TraceView>(dialog, "traceView");
        QTest::mouseMove(view, view->onScreen(rightPlace(6000, torqueOf(6000))).toPoint());
        CHECK(part<QLabel>(dialog, "traceReadout")->text().contains(u" rpm \u00B7 left "_s));
        if (const char* target = std::getenv("HILLRUN_PICTURE"); target && std::string(name) == "winter.png")
            REQUIRE(dialog->grab().save(QString::fromLocal8Bit(target))); // for docs/screenshots
        CHECK(part<QLabel>(dialog, "traceProblem")->text().isEmpty());
        auto* standard = part<QComboBox>(dialog, "correctedTo");
        standard->setCurrentIndex(standard->findData(u"sae-j1349"_s));
        QTest::mouseClick(part<QPushButton>(dialog, "takeTraced"), Qt::LeftButton);
        REQUIRE(w.settled());
        const TestDay& day = w.window->document().day();
        REQUIRE(day.pulls.size() == before + 1);
        const Pull& pull = day.pulls.back();
        CHECK(pull.grade == PullGrade::Traced);
        CHECK(worstOff(*pull.raw) < 0.5);
        REQUIRE(pull.given.reading_pct);
        CHECK(*pull.given.reading_pct > 0.1);
        CHECK(*pull.given.reading_pct < 1.5);
        CHECK(pull.given.corrected == Standard::SaeJ1349);
        CHECK(pull.given.picture == std::string("attachments/") + name);
        CHECK(findBuild(day, pull.build)->attachments.back() == pull.given.picture);
        CHECK(pull.note == std::string("traced from ") + name);
        QTest::qWait(1); // the window that was accepted goes
        delete w.window->findChild<TraceDialog*>();
    }
    w.trigger("day.save");
    CHECK(fs::exists(w.day / "attachments/winter.png"));
    const TestDay stored = readDay(w.day);
    CHECK(stored.pulls.back().grade == PullGrade::Traced);
    w.window->document().undoStack().undo();
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(w.window->document().day().attachments.empty());
    w.window->document().undoStack().redo();
    REQUIRE(w.settled());
    w.trigger("day.save");
    CHECK(readDay(w.day).attachments.size() >= 1);
}

TEST_CASE("a page of a PDF is traced like a picture") {
    OpenWindow w(test::kNoDay);
    TraceDialog* dialog = traceWindow(w, sheetIn(w, "winter.pdf"));
    auto* page = part<QSpinBox>(dialog, "sheetPage");
    CHECK(page->maximum() == 2);
    click(dialog, {100.0, 100.0}); // a mark on the first page does not count on the second
    page->setValue(2);
    CHECK_FALSE(dialog->trace().marks[0].at);
    traceBoth(dialog, 2.0);
    QTest::mouseClick(part<QPushButton>(dialog, "takeTraced"), Qt::LeftButton);
    REQUIRE(w.settled());
    const TestDay& day = w.window->document().day(); // begun by it
    REQUIRE(day.pulls.size() == 1);
    CHECK(worstOff(*day.pulls[0].raw) < 0.5);
    CHECK(day.pulls[0].note == "traced from winter.pdf, page 2");
    w.showEveryPage(); // nothing to fit, nothing to compare: no page falls over
    const fs::path target = w.folder.path() / "sheets.zip";
    w.dialogs.target = QString::fromStdString(target.string());
    w.trigger("day.export_zip");
    CHECK(readDay(target).attachments.size() == 1);
}

TEST_CASE("a sheet whose power and torque do not belong together is asked about") {
    OpenWindow w;
    TraceDialog* dialog = traceWindow(w, sheetIn(w, "winter.png"));
    traceBoth(dialog);
    auto* take = part<QPushButton>(dialog, "takeTraced");
    CHECK(take->isEnabled());
    type(dialog, u"axisValue3"_s, "140"); // it says 120
    CHECK_FALSE(take->isEnabled());
    const QString doubt = part<QLabel>(dialog, "traceDoubt")->text();
    CHECK(doubt.contains(u"5\u00A0252\u00A0rpm"_s));
    CHECK(doubt.contains(u"0.86 times"_s)); // 120 / 140
    part<QCheckBox>(dialog, "traceAllTheSame")->click();
    CHECK(take->isEnabled());
    QTest::mouseClick(take, Qt::LeftButton);
    REQUIRE(w.settled());
    CHECK(w.window->document().day().pulls.back().note.find("do not belong together") != std::string::npos);
}

TEST_CASE("lines are traced point by point, points taken away, ends cut off, steps taken back") {
    OpenWindow w;
    TraceDialog* dialog = traceWindow(w, sheetIn(w, "winter.png"));
    auto* take = part<QPushButton>(dialog, "takeTraced");
    CHECK_FALSE(take->isEnabled());
    CHECK(part<QLabel>(dialog, "traceProblem")->text().contains(u"marks"_s));
    setAxes(dialog, 1.0);
    click(dialog, leftPlace(4000, powerOf(4000)));
    REQUIRE(dialog->trace().lines[0].points.size() > 600);
    part<QRadioButton>(dialog, "traceWay2")->click();
    click(dialog, leftPlace(7000, 50.0));
    const auto& followed = dialog->trace().lines[0].points;
    CHECK(followed.back().at.x < leftPlace(7000, 0).x);
    CHECK(followed.front().at.x < leftPlace(2600, 0).x);
    part<QRadioButton>(dialog, "traceWay1")->click();
    for (const double rpm : {3000.0, 7000.0, 5000.0})
        click(dialog, leftPlace(rpm, powerOf(rpm)));
    const TracedLine& byHand = dialog->trace().lines[0];
    CHECK(byHand.byHand);
    REQUIRE(byHand.points.size() == 3);
    CHECK(byHand.points[1].at.x == Approx(leftPlace(5000, 0).x).margin(1.5));
    click(dialog, leftPlace(5000, powerOf(5000)));
    CHECK(dialog->trace().lines[0].points.size() == 2);
    dialog->findChild<QShortcut*>()->activated();
    CHECK(dialog->trace().lines[0].points.size() == 3);
    setUnit(dialog, 0, u"hp"_s);
    CHECK(take->isEnabled());
    click(dialog, {500.0, 690.0}); // far below: no engine has that, and the marks are not moved by it
    CHECK(dialog->trace().marks[0].at->y == Approx(600.0).margin(1.0));
    part<QPushButton>(dialog, "anotherLine")->click();
    CHECK(isTorque({dialog->trace().lines[1].unit, {}})); // the torque beside this power
    CHECK(dialog->trace().lines[1].build == "A");
    part<QPushButton>(dialog, "anotherLine")->click();
    CHECK_FALSE(isTorque({dialog->trace().lines[2].unit, {}})); // then the other build's power
    CHECK(dialog->trace().lines[2].build == "B");
    part<QPushButton>(dialog, "removeLine")->click();
    part<QPushButton>(dialog, "removeLine")->click();
    CHECK(dialog->trace().lines.size() == 1);
    QTest::keyClick(dialog, Qt::Key_Escape); // one key does not throw the work away
    CHECK(dialog->isVisible());
    CHECK(part<QLabel>(dialog, "traceNext")->text().contains(u"lost"_s));
    QTest::keyClick(dialog, Qt::Key_Escape);
    CHECK_FALSE(dialog->isVisible());
}

TEST_CASE("a sheet is traced with the keys alone") {
    OpenWindow w(test::kNoDay);
    TraceDialog* dialog = traceWindow(w, sheetIn(w, "winter.png"));
    auto* view = part<TraceView>(dialog, "traceView");
    const auto go = [&](PicturePoint to) {
        view->setFocus();
        if (!view->pointer())
            QTest::keyClick(view, Qt::Key_Right);
        for (int i = 0; i < 400 && std::abs(view->pointer()->x - to.x) > 0.51; ++i) {
            const double way = to.x - view->pointer()->x;
            QTest::keyClick(view, way > 0 ? Qt::Key_Right : Qt::Key_Left,
                            std::abs(way) > 10.0 ? Qt::ShiftModifier : Qt::NoModifier);
        }
        for (int i = 0; i < 400 && std::abs(view->pointer()->y - to.y) > 0.51; ++i) {
            const double way = to.y - view->pointer()->y;
            QTest::keyClick(view, way > 0 ? Qt::Key_Down : Qt::Key_Up,
                            std::abs(way) > 10.0 ? Qt::ShiftModifier : Qt::NoModifier);
        }
        QTest::keyClick(view, Qt::Key_Return);
    };
    const std::pair<PicturePoint, const char*> marks[] = {{leftPlace(2000, 0), "2000"},
                                                          {leftPlace(8000, 0), "8000"},
                                                          {leftPlace(2000, 0), "0"},
                                                          {leftPlace(2000, 120), "120"}};
    for (const auto& [at, value] : marks) {
        go(at);
        REQUIRE(dialog->focusWidget() != view); // the number is typed next
        QTest::keyClicks(dialog->focusWidget(), QLatin1StringView(value));
        QTest::keyClick(dialog->focusWidget(), Qt::Key_Return);
        CHECK(dialog->focusWidget() == view);
    }
    go(leftPlace(5000, powerOf(5000)));
    CHECK(dialog->trace().lines[0].points.size() > 600);
    CHECK(part<QPushButton>(dialog, "takeTraced")->isEnabled());
}

TEST_CASE("what is no picture is refused in words, and a picture among logger files is traced") {
    OpenWindow w;
    const fs::path path = w.folder.path() / "broken.png";
    std::ofstream(path) << "no picture";
    w.dialogs.sheet = QString::fromStdString(path.string());
    w.trigger("day.trace");
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors[0].contains(u"broken.png"_s));
    CHECK_FALSE(w.window->findChild<TraceDialog*>());
    std::ofstream(w.folder.path() / "broken.pdf") << "%PDF-1.4 no more";
    w.dialogs.sheet = QString::fromStdString((w.folder.path() / "broken.pdf").string());
    w.trigger("day.trace");
    CHECK(w.dialogs.errors.size() == 2);
    w.dialogs.loggerFiles = {QString::fromStdString(sheetIn(w, "winter.png").string())};
    w.trigger("day.import");
    CHECK(w.window->findChild<TraceDialog*>());
    CHECK_FALSE(w.window->findChild<ImportDialog*>());
}

TEST_CASE("a curve is pasted or typed, with commas as well as points") {
    OpenWindow w;
    w.trigger("day.type_curve");
    auto* dialog = w.window->findChild<TypedCurveDialog*>();
    REQUIRE(dialog);
    auto* take = part<QPushButton>(dialog, "takeTyped");
    CHECK_FALSE(take->isEnabled());
    QApplication::clipboard()->setText(u"rpm\tkW\tNm\n4000\t44,0\t105\n5000\t55,0\t105\n6000\t60,0\t95,5\n"_s);
    QTest::keyClick(part<QTableWidget>(dialog, "typedPoints"), Qt::Key_V, Qt::ControlModifier);
    CHECK(take->isEnabled());
    CHECK(part<Board>(dialog, "typedBoard")->content().series.size() == 4);
    auto* build = part<QComboBox>(dialog, "typedBuild");
    build->setCurrentText(u"F"_s);
    QTest::mouseClick(take, Qt::LeftButton);
    REQUIRE(w.settled());
    const TestDay& day = w.window->document().day();
    const Pull& pull = day.pulls.back();
    CHECK(pull.grade == PullGrade::CurveOnly);
    CHECK(pull.build == "F");
    CHECK(pull.raw->find("power")->values == std::vector<double>{44.0, 55.0, 60.0});
    CHECK(findBuild(day, "F"));
    // It stands beside the others by what it says, and proves nothing.
    const BuildResult* result = w.analysis().findBuild("F");
    REQUIRE(result);
    CHECK(result->given == givenPhrase(pull));
    w.showEveryPage();
    CHECK(w.window->document().undoStack().canUndo());
}

TEST_CASE("typed points are changed, cleared and doubted in place") {
    OpenWindow w;
    w.trigger("day.type_curve");
    auto* dialog = w.window->findChild<TypedCurveDialog*>();
    REQUIRE(dialog);
    auto* table = part<QTableWidget>(dialog, "typedPoints");
    const auto put = [&](int row, int column, const char* text) {
        table->setItem(row, column, new QTableWidgetItem(QLatin1StringView(text)));
    };
    put(0, 0, "4800");
    put(0, 2, "118");
    put(1, 0, "6400");
    put(1, 1, "seventy");
    CHECK(part<QLabel>(dialog, "typedProblem")->text().contains(u"seventy"_s));
    put(1, 1, "71.9");
    auto* take = part<QPushButton>(dialog, "takeTyped");
    CHECK(take->isEnabled()); // peaks alone
    put(1, 2, "80");          // 53.6 kW at 6 400 rpm
    CHECK_FALSE(take->isEnabled());
    CHECK(part<QLabel>(dialog, "typedDoubt")->text().contains(u"0.75 times"_s));
    table->setCurrentCell(1, 2);
    QTest::keyClick(table, Qt::Key_Delete);
    CHECK(take->isEnabled());
    CHECK(dialog->curve().table.rows() == 2);
}

TEST_CASE("a table by engine speed is imported as a curve, and what it was corrected to is asked") {
    OpenWindow w;
    const fs::path path = w.folder.path() / "cat.csv";
    std::ofstream(path) << "rpm,kW\n3000,31\n3500,38\n4000,44\n4500,50\n5000,55\n5500,58\n6000,60\n";
    w.dialogs.loggerFiles = {QString::fromStdString(path.string())};
    w.trigger("day.import");
    auto* dialog = w.window->findChild<ImportDialog*>();
    REQUIRE(dialog);
    CHECK(part<QComboBox>(dialog, "importPurpose")->currentText() == u"a curve by engine speed"_s);
    auto* standard = part<QComboBox>(dialog, "correctedTo");
    CHECK(standard->isVisibleTo(dialog));
    CHECK(standard->currentText() == u"not known"_s);
    standard->setCurrentIndex(standard->findData(u"sae-j607"_s));
    Q_EMIT standard->activated(standard->currentIndex());
    auto* place = part<QComboBox>(dialog, "givenMeasuredAt");
    place->setCurrentIndex(3);
    Q_EMIT place->activated(3);
    test::typeNumber(part<NumberField>(dialog, "givenSmoothing"), u"200"_s);
    QTest::mouseClick(part<QPushButton>(dialog, "acceptImport"), Qt::LeftButton);
    REQUIRE(w.settled());
    const Pull& pull = w.window->document().day().pulls.back();
    CHECK(pull.grade == PullGrade::CurveOnly);
    CHECK(pull.given.corrected == Standard::SaeJ607);
    CHECK(pull.given.smoothing_rpm == 200.0);
    CHECK(pull.measuredAt == MeasuredAt::Wheel);
    w.showEveryPage();
}
