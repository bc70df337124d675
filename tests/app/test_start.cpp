// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The first start: what is offered without a day, the demo days, the tour; and what the window does as others do: keys,
// copying, printing.

#include "app/board/board.h"
#include "app/frame/kept_links.h"
#include "app/frame/preferences.h"
#include "app/look/copied_table.h"
#include "app/look/drag_out.h"
#include "app/prepare/start_panel.h"
#include "app/report/report_page.h"
#include "app/shell/help_dialogs.h"
#include "app/shell/settings_dialog.h"
#include "app/shell/tour.h"
#include "app_support.h"

#include <fstream>
#include <QApplication>
#include <QClipboard>
#include <QImage>
#include <QMimeData>
#include <QSvgRenderer>
#include <QTableWidget>
#include <QToolButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

TEST_CASE("a window without a day offers the last days, the demo days, a new one and a tour") {
    test::beginAnew();
    const QString boost = QString::fromStdString(test::boostDay().string());
    SettingsStore().set(settings::kRecent, QStringList{u"/gone/away"_s, boost});
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    window.resize(1280, 800);
    window.show();
    window.showPage("prepare");
    const auto button = [&](const QString& name) { return window.findChild<QPushButton*>(name); };
    REQUIRE(button(u"recentDay0"_s));
    CHECK(button(u"recentDay0"_s)->text() == u"Go on with Boost in three steps, buggy"_s);
    CHECK_FALSE(button(u"recentDay1"_s)); // what is gone is not offered
    REQUIRE(demoDays().size() == 7);
    CHECK(button(u"demoDay0"_s)->text() == u"Collector length, flat twin"_s);
    for (const char* id : {"day.new_start", "day.open_start", "day.import_start", "help.tour_start"})
        CHECK(window.findChild<QToolButton*>(QLatin1StringView(id))->isVisible());
    QTest::mouseClick(button(u"recentDay0"_s), Qt::LeftButton);
    REQUIRE(test::waitFor([&] { return window.document().analysis() != nullptr; }));
    CHECK(window.document().day().name == "Boost in three steps, buggy");
}

TEST_CASE("a demo day that may not be written is copied among one's own days") {
    OpenWindow w(test::kNoDay);
    const fs::path demo = w.folder.path() / "day-1";
    fs::copy(test::demoDay(), demo, fs::copy_options::recursive);
    fs::permissions(demo, fs::perms::owner_read | fs::perms::owner_exec);
    const bool root = QFileInfo(QString::fromStdString(demo.string())).isWritable(); // root may write everywhere
    w.window->showPage("prepare");
    Q_EMIT w.find<StartPanel>("startPanel")->dayChosen(QString::fromStdString(demo.string()), true);
    REQUIRE(w.settled());
    const fs::path own = fs::path(SettingsStore().get(settings::kDaysFolder).toStdString()) / "day-1";
    CHECK(w.window->document().path() == (root ? demo : own));
    fs::permissions(demo, fs::perms::owner_all);
}

TEST_CASE("the tour leads through the pages and can be left at any stop") {
    OpenWindow w(test::boostDay());
    w.trigger("help.tour");
    auto* tour = w.find<Tour>("tour");
    CHECK(w.window->pageShown() == "compare");
    for (int stop = 0; stop < Tour::stops(); ++stop) {
        INFO("stop " << stop);
        CHECK(tour->stop() == stop);
        CHECK(w.text("tourWords").size() > 40);
        QTest::qWait(10);
        CHECK(w.window->rect().contains(tour->geometry()));
        CHECK(w.find<QPushButton>("tourBack")->isEnabled() == (stop > 0));
        QTest::keyClick(w.find<QPushButton>("tourNext"), Qt::Key_Space);
    }
    CHECK(w.window->pageShown() == "report");
    CHECK(test::waitFor([&] { return !w.window->findChild<Tour*>(); }));
    w.trigger("help.tour");
    QTest::keyClick(w.find<Tour>("tour"), Qt::Key_Escape);
    CHECK(test::waitFor([&] { return !w.window->findChild<Tour*>(); }));
}

TEST_CASE("keys as elsewhere: redo, search, pages in turn, full screen, letters for the pages") {
    OpenWindow w(test::boostDay());
    const auto press = [&](Qt::Key key, Qt::KeyboardModifiers with) { QTest::keyClick(w.window.get(), key, with); };
    w.window->showPage("compare");
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.note = "edited"; });
    press(Qt::Key_Z, Qt::ControlModifier);
    CHECK(w.window->document().day().note != "edited");
    press(Qt::Key_Y, Qt::ControlModifier);
    CHECK(w.window->document().day().note == "edited");
    press(Qt::Key_Tab, Qt::ControlModifier);
    CHECK(w.window->pageShown() == "credit");
    press(Qt::Key_Tab, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(w.window->pageShown() == "compare");
    press(Qt::Key_U, Qt::AltModifier);
    CHECK(w.window->pageShown() == "pull");
    press(Qt::Key_C, Qt::AltModifier);
    CHECK(w.window->pageShown() == "check");
    press(Qt::Key_F11, Qt::NoModifier);
    CHECK(w.window->windowState().testFlag(Qt::WindowFullScreen));
    press(Qt::Key_F11, Qt::NoModifier);
    CHECK_FALSE(w.window->windowState().testFlag(Qt::WindowFullScreen));
}

TEST_CASE("the sheet of keys holds every shortcut of the registry") {
    OpenWindow w(test::kNoDay);
    w.trigger("help.keys");
    auto* table = w.find<QTableWidget>("keyTable");
    QStringList shown;
    for (int row = 0; row < table->rowCount(); ++row)
        shown << table->item(row, 0)->text();
    int shortcuts = 0;
    for (const QAction* action : w.window->actions())
        for (const QKeySequence& keys : action->shortcuts()) {
            ++shortcuts;
            INFO(action->objectName().toStdString());
            CHECK(shown.join(u", "_s).split(u", "_s).contains(keys.toString(QKeySequence::NativeText)));
        }
    CHECK(shortcuts > 30);
    CHECK(shown.contains(u"Ctrl+Shift+Z, Ctrl+Y"_s));
    w.find<KeySheet>("keySheet")->reject();
    w.trigger("help.about");
    CHECK(w.text("aboutName").startsWith(u"Hill Run"_s));
}

TEST_CASE("boards and the sheet are dragged into other programs") {
    OpenWindow w;
    std::unique_ptr<QMimeData> carried;
    DragOut::setBegin([&](QWidget*, std::unique_ptr<QMimeData> data) { carried = std::move(data); });
    const auto drag = [&](QWidget* from, Qt::KeyboardModifiers held) {
        carried.reset();
        QTest::mousePress(from, Qt::LeftButton, held, QPoint(100, 60));
        for (const int x : {104, 140}) {
            QMouseEvent move(QEvent::MouseMove, QPointF(x, 60), from->mapToGlobal(QPointF(x, 60)), Qt::NoButton,
                             Qt::LeftButton, held);
            QApplication::sendEvent(from, &move);
        }
        QTest::mouseRelease(from, Qt::LeftButton, held, QPoint(140, 60));
    };
    auto* board = w.find<Board>("curvesBoard");
    QTest::qWait(50);
    drag(board, Qt::ControlModifier);
    REQUIRE(carried);
    CHECK(carried->hasImage());
    CHECK(QSvgRenderer(carried->data(u"image/svg+xml"_s)).isValid());
    REQUIRE(carried->urls().size() == 2);
    CHECK(QImage(carried->urls()[0].toLocalFile()).width() == board->grab().width());
    CHECK(QFile::exists(carried->urls()[1].toLocalFile()));
    CHECK(w.window->document().day().bands.empty()); // no band was asked for
    drag(board, Qt::NoModifier);
    CHECK_FALSE(carried);
    CHECK(w.window->document().day().bands.size() == 1);
    w.window->showPage("report");
    w.window->document().edit(u"name"_s, [](TestDay& day) { day.name = "a/b: day"; });
    REQUIRE(w.settled());
    drag(w.find<QLabel>("paper"), Qt::NoModifier);
    REQUIRE(carried);
    CHECK(carried->data(u"application/pdf"_s).startsWith("%PDF"));
    CHECK(carried->urls()[0].fileName() == u"a-b: day.pdf"_s);
    CHECK(carriedFile(QString(300, u'x') + u".pdf"_s).endsWith(u"xx.pdf"_s));
    CHECK(carriedFile(QString(300, u'x') + u".pdf"_s).size() < 200);
    CHECK(carriedFile(u".pdf"_s).endsWith(u"/hillrun.pdf"_s));
    w.window->document().close();
    drag(w.find<QLabel>("paper"), Qt::NoModifier);
    CHECK_FALSE(carried); // nothing to carry
    DragOut::setBegin({});
}

TEST_CASE("Compare copies its table as text, CSV and HTML, and its boards as pixels and as a drawing") {
    OpenWindow w(test::boostDay());
    w.window->showPage("compare");
    REQUIRE(test::waitFor([&] { return w.text("answer").contains(u"gives"_s); }));
    w.trigger("copy.table");
    const QMimeData* table = QApplication::clipboard()->mimeData();
    const QStringList lines = table->text().split(u'\n');
    CHECK(lines[0] == w.text("answer"));
    CHECK(lines[1].startsWith(u"from\u2013to, rpm\tdifference"_s));
    CHECK(lines[2].contains(u"\u00B1"_s));
    CHECK(QString::fromUtf8(table->data(u"text/csv"_s)).split(u"\r\n"_s)[0].startsWith(u"\"from\u2013to, rpm\","_s));
    CHECK(table->html().contains(u"<th>share</th>"_s));
    w.trigger("copy.picture");
    const QMimeData* picture = QApplication::clipboard()->mimeData();
    CHECK(picture->hasImage());
    QSvgRenderer drawing(picture->data(u"image/svg+xml"_s));
    CHECK(drawing.isValid());
    CHECK(drawing.defaultSize().height() > 300);
    CHECK_FALSE(picture->data(u"image/svg+xml"_s).contains("H612"));
}

TEST_CASE("a copied table is quoted where it must be") { // RFC 4180
    const auto mime = asMime({u"A & B"_s, {u"name"_s, u"a, b"_s}, {{u"say \"no\""_s, u"1\t2"_s}}});
    CHECK(mime->data(u"text/csv"_s) == QByteArray("name,\"a, b\"\r\n\"say \"\"no\"\"\",1\t2\r\n"));
    CHECK(mime->text() == u"A & B\nname\ta, b\nsay \"no\"\t1 2\n"_s);
    CHECK(mime->html() == u"<p>A &amp; B</p><table><tr><th>name</th><th>a, b</th></tr>"
                          "<tr><td>say &quot;no&quot;</td><td>1\t2</td></tr></table>"_s);
}

TEST_CASE("the sheet is printed on A4 and on Letter, as large as fits") {
    OpenWindow w(test::boostDay());
    w.window->showPage("report");
    w.trigger("report.print"); // left without printing
    for (const QPageSize::PageSizeId size : {QPageSize::A4, QPageSize::Letter}) {
        QPrinter printer(QPrinter::HighResolution);
        const QString file = QString::fromStdString((w.folder.path() / "sheet.pdf").string());
        printer.setOutputFormat(QPrinter::PdfFormat);
        printer.setOutputFileName(file);
        printer.setPageSize(QPageSize(size));
        w.find<ReportPage>("reportPage")->print(printer);
        CHECK(QFileInfo(file).size() > 10000);
    }
    w.dialogs.printTo = QString::fromStdString((w.folder.path() / "asked.pdf").string());
    w.trigger("report.print");
    CHECK(QFileInfo(*w.dialogs.printTo).size() > 10000);
}

TEST_CASE("days, packages and logger files are opened by name or by file address") {
    OpenWindow w(test::kNoDay);
    const fs::path zip = w.folder.path() / "A day.zip";
    saveDay(readDay(test::boostDay()), zip, std::optional(test::boostDay()));
    CHECK(w.window->openAny({QUrl::fromLocalFile(QString::fromStdString(zip.string())).toString(QUrl::FullyEncoded)}));
    REQUIRE(w.settled());
    CHECK(w.window->document().day().name == "Boost in three steps, buggy");
    const QString log = QString::fromStdString((test::demoDay() / "pulls" / "p01.csv").string());
    CHECK_FALSE(w.window->openAny({log}));
    CHECK(test::waitFor([&] { return w.window->findChild<QDialog*>(u"importDialog"_s) != nullptr; }));
    CHECK(w.window->openAny({u"/no/such/day"_s}));
    CHECK(test::waitFor([&] { return w.dialogs.errors.size() == 1; }));
}

namespace {

struct OpenSettings : OpenWindow {
    SettingsDialog* dialog;
    explicit OpenSettings(const fs::path& source) : OpenWindow(source) {
        trigger("app.settings");
        dialog = find<SettingsDialog>("settingsDialog");
    }
    void choose(const char* name, int row) { find<QComboBox>(name)->setCurrentIndex(row); }
};

} // namespace

TEST_CASE("settings are taken over at once, kept, and shown again") {
    OpenSettings s(test::boostDay());
    s.choose("themeSetting", 2);
    s.choose("unitsSetting", 1);
    s.choose("smoothingSetting", 3);
    s.choose("driftSetting", 0);
    CHECK(s.window->selection().units() == DisplayUnits{}); // not before it is taken over
    QTest::mouseClick(s.find<QPushButton>("acceptSettings"), Qt::LeftButton);
    CHECK(QApplication::palette().color(QPalette::Window) == Theme::nightCell().ground);
    CHECK(s.window->selection().units().power == PowerUnit::Horsepower);
    CHECK(s.window->document().settings().reduce.smoothing_rpm == 200.0);
    CHECK(s.window->document().settings().drift.allowance == DriftAllowance::Steady);
    s.window->close();
    test::TestDialogs dialogs;
    test::TestWindow again(dialogs);
    CHECK(again.document().settings().drift.allowance == DriftAllowance::Steady);
    CHECK(again.selection().units().power == PowerUnit::Horsepower);
    again.setDark(false);
}

TEST_CASE("what was chosen in the window is what the settings begin with") {
    OpenWindow w(test::boostDay());
    AnalysisSettings settings = w.window->document().settings();
    settings.reduce.smoothing_rpm = 300.0;
    w.window->document().setSettings(settings);
    w.trigger("app.settings");
    CHECK(w.find<SettingsDialog>("settingsDialog")->preferences().smoothing_rpm == 300.0);
}

TEST_CASE("settings travel as a file, and a file that is none is refused") {
    OpenSettings s(test::kNoDay);
    s.choose("paperSetting", 1);
    s.find<QLineEdit>("workshopSetting")->setText(u"Tarn Hill Climb Club"_s);
    const QString file = QString::fromStdString((s.folder.path() / "bench.json").string());
    s.dialogs.target = file;
    QTest::mouseClick(s.find<QPushButton>("exportSettings"), Qt::LeftButton);
    s.choose("paperSetting", 0);
    s.find<QLineEdit>("workshopSetting")->clear();
    s.dialogs.file = file;
    QTest::mouseClick(s.find<QPushButton>("importSettings"), Qt::LeftButton);
    CHECK(s.dialog->preferences().paper == u"letter"_s);
    CHECK(s.dialog->preferences().workshop == u"Tarn Hill Climb Club"_s);
    CHECK(s.dialogs.errors.isEmpty());
    s.dialogs.file = QString::fromStdString((test::demoDay() / "day.json").string());
    QTest::mouseClick(s.find<QPushButton>("importSettings"), Qt::LeftButton);
    CHECK(s.dialogs.errors.size() == 1);
    CHECK(s.dialog->preferences().paper == u"letter"_s); // nothing was changed by it
    std::ofstream(s.folder.path() / "odd.json")
        << R"({"kind": "hillrun-settings", "standard": "nobody's", "units": 7})";
    s.dialogs.file = QString::fromStdString((s.folder.path() / "odd.json").string());
    QTest::mouseClick(s.find<QPushButton>("importSettings"), Qt::LeftButton);
    CHECK(s.dialogs.errors.size() == 2);
}

TEST_CASE("the settings say which curve stands for a build, and name the connections") {
    OpenSettings s(test::boostDay());
    s.choose("schoolSetting", 1);
    QTest::mouseClick(s.find<QPushButton>("connectionsSetting"), Qt::LeftButton);
    auto* links = s.find<QDialog>("linksDialog");
    QTest::mouseClick(s.find<QPushButton>("addLinkButton"), Qt::LeftButton);
    links->accept();
    SettingsStore store;
    REQUIRE(keptLinks(store).size() == 1);
    QTest::mouseClick(s.find<QPushButton>("acceptSettings"), Qt::LeftButton);
    CHECK(s.window->selection().school() == CurveSchool::Best);
    CHECK(keptLinks(store).size() == 1); // the settings did not put back what they began with
    CHECK(s.window->cell().hasLinks());
    s.window->close();
    test::TestDialogs dialogs;
    test::TestWindow again(dialogs);
    CHECK(again.selection().school() == CurveSchool::Best);
}

TEST_CASE("connections and choices travel with a settings file; the store can be any file") {
    const test::TemporaryFolder folder;
    SettingsStore store(QString::fromStdString((folder.path() / "bench.ini").string()));
    Preferences p = readPreferences(store);
    CHECK(p.school == 0);
    CHECK(p.standard == u"sae-j1349"_s);
    p.school = 2;
    p.units = 1;
    p.links = QStringList{u"Cell\ttcp://10.0.0.2:5020\t1"_s};
    keepPreferences(store, p);
    CHECK(readPreferences(store) == p);
    REQUIRE(keptLinks(store).size() == 1);
    const std::filesystem::path file = folder.path() / "travel.json";
    exportPreferences(p, file);
    Preferences other = p;
    other.school = 3;
    other.links.clear();
    CHECK(importPreferences(file, other) == p);
    std::ofstream(folder.path() / "part.json")
        << R"({"kind": "hillrun-settings", "units": 9, "school": -3, "smoothing_rpm": 1e9, "connections": "none"})";
    const Preferences part = importPreferences(folder.path() / "part.json", p);
    CHECK(part.units == 2); // the last there is
    CHECK(part.school == 0);
    CHECK(part.smoothing_rpm == p.smoothing_rpm);
    CHECK(part.links == p.links);
    Preferences odd = p;
    odd.smoothing_rpm = 5.0;
    odd.drift = 9;
    const AnalysisSettings now = analysisSettings(odd, {});
    CHECK(now.reduce.smoothing_rpm == AnalysisSettings{}.reduce.smoothing_rpm);
    CHECK(now.drift.allowance == DriftAllowance::Jumps);
}

TEST_CASE("the sheet carries the workshop's letterhead") {
    OpenSettings s(test::boostDay());
    s.find<QLineEdit>("workshopSetting")->setText(u"Tarn Hill Climb Club"_s);
    s.find<QPlainTextEdit>("addressSetting")->setPlainText(u"The Old Quarry\n\n12 Tarn Road"_s);
    QImage logo(60, 30, QImage::Format_RGB32);
    logo.fill(Qt::red);
    const QString picture = QString::fromStdString((s.folder.path() / "logo.jpg").string());
    logo.save(picture);
    s.find<QLineEdit>("logoSetting")->setText(picture);
    QTest::mouseClick(s.find<QPushButton>("acceptSettings"), Qt::LeftButton);
    s.window->showPage("report");
    const auto pages = s.find<ReportPage>("reportPage")->sheets();
    REQUIRE_FALSE(pages.empty());
    const report::Page& page = pages.front();
    const std::string words = report::pageText(page);
    CHECK(words.starts_with("Tarn Hill Climb Club\nThe Old Quarry\n12 Tarn Road\n"));
    CHECK(std::holds_alternative<report::Image>(page.marks[3]));
    const QImage shown = s.find<QLabel>("paper")->pixmap().toImage();
    const int row = static_cast<int>(shown.width() * page.height / page.width / 18.0); // of the first page
    int red = 0;
    for (int x = 0; x < shown.width(); ++x)
        red += shown.pixelColor(x, row).red() > 200 && shown.pixelColor(x, row).green() < 80;
    CHECK(red > 20);
}
