// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_dialog.h"
#include "app_support.h"
#include "formats/day_store.h"
#include "formats/zip.h"

#include <fstream>
#include <QDropEvent>
#include <QMimeData>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

/// A demo pull as another logger would write it.
fs::path foreignFile(const fs::path& folder, const std::string& name, const char* pull) {
    std::string text = readFileText(test::demoDay() / "pulls" / (std::string(pull) + ".csv"));
    text.replace(text.find("engine_speed [rpm]"), 18, "Revs");
    text.replace(text.find("torque [N.m]"), 12, "Ch7");
    const fs::path path = folder / name;
    std::ofstream(path) << text;
    return path;
}

void drop(QWidget* target, const std::vector<fs::path>& files) {
    QMimeData data;
    QList<QUrl> urls;
    for (const fs::path& file : files)
        urls << QUrl::fromLocalFile(QString::fromStdString(file.string()));
    data.setUrls(urls);
    QDragEnterEvent enter(QPoint(300, 300), Qt::CopyAction, &data, Qt::LeftButton, {});
    QApplication::sendEvent(target, &enter);
    REQUIRE(enter.isAccepted());
    QDropEvent event(QPointF(300, 300), Qt::CopyAction, &data, Qt::LeftButton, {});
    QApplication::sendEvent(target, &event);
}

template <class Widget> Widget* part(ImportDialog* dialog, const char* name) {
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete); // cells of a table that was filled anew
    auto* widget = dialog->findChild<Widget*>(QLatin1StringView(name));
    INFO(name);
    REQUIRE(widget);
    return widget;
}

} // namespace

TEST_CASE("dropped files are shown, corrected and become pulls") {
    OpenWindow w{fs::path()};
    const fs::path a = foreignFile(w.folder.path(), "A_1.csv", "p01");
    const fs::path b = foreignFile(w.folder.path(), "B_1.csv", "p05");
    drop(w.window.get(), {b, a});
    REQUIRE(test::waitFor([&] { return w.window->findChild<ImportDialog*>() != nullptr; }));
    auto* dialog = w.window->findChild<ImportDialog*>();
    auto* accept = part<QPushButton>(dialog, "acceptImport");
    CHECK_FALSE(accept->isEnabled()); // nobody knows yet that channel 7 is the torque
    CHECK(part<QLabel>(dialog, "importProblem")->text().contains(u"neither torque nor power"_s));
    CHECK(part<QComboBox>(dialog, "channelOfColumn1")->currentText() == u"Engine speed"_s);
    auto* channel = part<QComboBox>(dialog, "channelOfColumn2");
    channel->setCurrentIndex(channel->findText(u"Torque"_s));
    Q_EMIT channel->activated(channel->currentIndex());
    CHECK(accept->isEnabled());
    CHECK(part<QComboBox>(dialog, "buildOfPull1")->currentText() == u"B"_s); // the other file's column too
    part<QCheckBox>(dialog, "weatherKnown")->setChecked(true);
    auto* pressure = part<NumberField>(dialog, "importPressure");
    test::typeNumber(pressure, u"98.3"_s);
    QTest::mouseClick(accept, Qt::LeftButton);
    REQUIRE(w.settled());
    const TestDay& day = w.window->document().day();
    REQUIRE(day.pulls.size() == 2);
    CHECK(day.builds.size() == 2);
    CHECK(day.pulls[0].weather->pressure_pa == Approx(98300.0));
    CHECK(w.window->pageShown() == "check");
    CHECK(w.analysis().comparisons.size() == 1);
    w.dialogs.target = QString::fromStdString((w.folder.path() / "new day").string());
    w.trigger("day.save");
    CHECK(readDay(w.folder.path() / "new day").pulls.size() == 2);
}

TEST_CASE("a mapping is kept by name and used again") {
    OpenWindow w{fs::path()};
    const fs::path file = foreignFile(w.folder.path(), "A_1.csv", "p01");
    w.window->importFiles({QString::fromStdString(file.string())});
    auto* dialog = w.window->findChild<ImportDialog*>();
    REQUIRE(dialog);
    auto* channel = part<QComboBox>(dialog, "channelOfColumn2");
    channel->setCurrentIndex(channel->findText(u"Torque"_s));
    Q_EMIT channel->activated(channel->currentIndex());
    CHECK_FALSE(part<QPushButton>(dialog, "keepMapping")->isEnabled());
    part<QLineEdit>(dialog, "mappingName")->setText(u"shed logger"_s);
    QTest::mouseClick(part<QPushButton>(dialog, "keepMapping"), Qt::LeftButton);
    QTest::mouseClick(part<QPushButton>(dialog, "cancelImport"), Qt::LeftButton);
    REQUIRE(test::waitFor([&] { return w.window->findChild<ImportDialog*>() == nullptr; }));
    w.window->importFiles({QString::fromStdString(file.string())});
    dialog = w.window->findChild<ImportDialog*>();
    auto* mappings = part<QComboBox>(dialog, "mappingChoice");
    mappings->setCurrentIndex(mappings->findText(u"shed logger"_s));
    Q_EMIT mappings->textActivated(u"shed logger"_s);
    CHECK(part<QPushButton>(dialog, "acceptImport")->isEnabled());
}

TEST_CASE("units and gauge pressures can be corrected") {
    OpenWindow w;
    const fs::path file = w.folder.path() / "B_9.csv";
    std::ofstream(file) << "time [s],rpm,torque [N.m],boost [psi]\n0,2500,80,10\n1,3000,81,10\n2,3500,82,10\n"
                           "3,4000,82,10\n4,4500,82,10\n5,5000,82,10\n";
    w.window->importFiles({QString::fromStdString(file.string())});
    auto* dialog = w.window->findChild<ImportDialog*>();
    auto* gauge = part<QCheckBox>(dialog, "gaugeOfColumn3");
    CHECK(gauge->isChecked());
    gauge->setChecked(false);
    auto* unit = part<QLineEdit>(dialog, "unitOfColumn2");
    unit->setText(u"stone"_s);
    Q_EMIT unit->editingFinished();
    CHECK(part<QLabel>(dialog, "importProblem")->text().contains(u"\"stone\" is not known"_s));
    unit = part<QLineEdit>(dialog, "unitOfColumn2");
    unit->setText(u"lb-ft"_s);
    Q_EMIT unit->editingFinished();
    QTest::mouseClick(part<QPushButton>(dialog, "acceptImport"), Qt::LeftButton);
    const Pull& pull = w.window->document().day().pulls.back();
    CHECK(pull.raw->find("torque")->values[0] == Approx(80 * 1.3558179));
    CHECK(pull.raw->find("manifold_pressure")->values[0] == Approx(10 * 6.8947573));
    CHECK(w.window->document().undoStack().undoText().contains(u"Import"_s));
}

TEST_CASE("a file that is no table is said, the others go on; a dropped day is opened") {
    OpenWindow w{fs::path()};
    const fs::path bad = w.folder.path() / "notes.parquet";
    std::ofstream(bad) << "PAR1 only words here\n";
    w.window->importFiles({QString::fromStdString(bad.string()),
                           QString::fromStdString(foreignFile(w.folder.path(), "A.csv", "p01").string())});
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors.front().contains(u"notes.parquet"_s));
    CHECK(w.dialogs.errors.front().contains(u"Export it as text"_s));
    CHECK(w.window->findChild<ImportDialog*>() != nullptr);
    w.window->findChild<ImportDialog*>()->reject();
    drop(w.window.get(), {test::demoDay()});
    REQUIRE(w.settled());
    CHECK(w.window->document().day().pulls.size() == 11);
}

TEST_CASE("a file that cannot be read is put right by hand, kept, and the next one reads by itself") {
    OpenWindow w{fs::path()};
    const auto log = [&](const char* name) {
        const fs::path path = w.folder.path() / name;
        std::ofstream out(path);
        out << "A0\tA1\n";
        for (int row = 0; row < 400; ++row)
            out << 2000 + 10 * row << "\t" << -80 - row % 7 << "\n";
        return QString::fromStdString(path.string());
    };
    w.window->importFiles({log("B_1.txt")});
    auto* dialog = w.window->findChild<ImportDialog*>();
    REQUIRE(dialog);
    CHECK_FALSE(part<QPushButton>(dialog, "acceptImport")->isEnabled());
    CHECK(part<QPlainTextEdit>(dialog, "rawText")->toPlainText().startsWith(u"A0\tA1\n2000\t-80"_s));
    auto* rate = part<NumberField>(dialog, "sampleRate");
    test::typeNumber(rate, u"50"_s);
    CHECK(part<QLabel>(dialog, "importProblem")->text().contains(u"no engine speed"_s));
    const auto mean = [&](const char* name, const QString& channel) {
        auto* box = part<QComboBox>(dialog, name);
        box->setCurrentIndex(box->findText(channel));
        Q_EMIT box->activated(box->currentIndex());
    };
    mean("channelOfColumn0", u"Engine speed"_s);
    mean("channelOfColumn1", u"Torque"_s);
    CHECK(part<QPushButton>(dialog, "acceptImport")->isEnabled());
    auto* factor = part<QLineEdit>(dialog, "factorOfColumn1");
    factor->setText(u"-1,0"_s);
    Q_EMIT factor->editingFinished();
    auto* started = part<QLineEdit>(dialog, "startedAt");
    started->setText(u"at noon"_s);
    Q_EMIT started->editingFinished();
    CHECK(dialog->files().front().gathered->pulls.front().started.empty());
    started->setText(u"16.05.2026 09:12"_s);
    Q_EMIT started->editingFinished();
    CHECK(dialog->files().front().gathered->pulls.front().started == "2026-05-16T09:12:00");
    part<QLineEdit>(dialog, "mappingName")->setText(u"box of the shed"_s);
    QTest::mouseClick(part<QPushButton>(dialog, "keepMapping"), Qt::LeftButton);
    dialog->reject();
    REQUIRE(test::waitFor([&] { return w.window->findChild<ImportDialog*>() == nullptr; }));
    w.window->importFiles({log("B_2.txt")});
    dialog = w.window->findChild<ImportDialog*>();
    CHECK(part<QLabel>(dialog, "importDoubts")->text().contains(u"box of the shed"_s));
    QTest::mouseClick(part<QPushButton>(dialog, "acceptImport"), Qt::LeftButton);
    const Pull& pull = w.window->document().day().pulls.back();
    CHECK(pull.build == "B");
    CHECK(pull.raw->find("torque")->values[3] == 83.0);
    CHECK(pull.raw->find("time")->values[50] == Approx(1.0));
}

TEST_CASE("the pulls of a long log are shown, split, joined and left out") {
    OpenWindow w{fs::path()};
    const fs::path file = w.folder.path() / "long.csv";
    {
        std::ofstream out(file);
        out << "Time [s],RPM,Torque [N.m]\n";
        for (int row = 0; row < 1200; ++row)
            out << 0.02 * row << "," << 2000 + 12 * std::max(0, row % 600 - 200) << ",80\n";
    }
    w.window->importFiles({QString::fromStdString(file.string())});
    auto* dialog = w.window->findChild<ImportDialog*>();
    REQUIRE(dialog);
    auto* pulls = part<QTableWidget>(dialog, "pullTable");
    CHECK(pulls->rowCount() == 2);
    auto* picture = part<PullPicture>(dialog, "pullPicture");
    dialog->show();
    REQUIRE(picture->spans().size() == 2);
    const double width = picture->width();
    QTest::mouseDClick(picture, Qt::LeftButton, {}, QPoint(static_cast<int>(width * 0.75), 30));
    CHECK(part<QTableWidget>(dialog, "pullTable")->rowCount() == 3);
    part<QComboBox>(dialog, "buildOfPull2")->setCurrentText(u"C"_s);
    part<QCheckBox>(dialog, "usePull1")->setChecked(false);
    CHECK(dialog->files().front().builds == std::vector<std::string>{"A", "A", "C"});
    QTest::mouseMove(picture, QPoint(static_cast<int>(width * 0.7), 30));
    picture->setFocus();
    QTest::keyClick(picture, Qt::Key_J); // joins the second with the third
    CHECK(part<QTableWidget>(dialog, "pullTable")->rowCount() == 2);
    part<QCheckBox>(dialog, "usePull1")->setChecked(false);
    QTest::mouseClick(part<QPushButton>(dialog, "acceptImport"), Qt::LeftButton);
    REQUIRE(w.window->document().day().pulls.size() == 1);
    CHECK(w.window->document().day().pulls.front().raw->find("time")->values.front() == 0.0);
}

TEST_CASE("edges of pulls: dragging, joining, splitting") {
    const RowSpans two{{0, 99}, {100, 199}};
    struct Row {
        const char* what;
        RowSpans got;
        RowSpans wanted;
    };
    const Row rows[] = {
        {"start dragged right", withEdgeAt(two, {1, true}, 120, 200), {{0, 99}, {120, 199}}},
        {"end dragged left", withEdgeAt(two, {0, false}, 50, 200), {{0, 50}, {100, 199}}},
        {"end dragged onto the next", withEdgeAt(two, {0, false}, 150, 200), {{0, 199}}},
        {"start dragged onto the one before", withEdgeAt(two, {1, true}, 60, 200), {{0, 199}}},
        {"end beyond the table", withEdgeAt(two, {1, false}, 900, 200), {{0, 99}, {100, 199}}},
        {"a span keeps five rows", withEdgeAt(two, {0, false}, 1, 200), {{0, 4}, {100, 199}}},
        {"a span keeps five rows at its end", withEdgeAt(two, {1, true}, 199, 200), {{0, 99}, {195, 199}}},
        {"split", splitBefore(two, 40), {{0, 39}, {40, 99}, {100, 199}}},
        {"split near an end does nothing", splitBefore(two, 97), two},
        {"split in no pull does nothing", splitBefore({{0, 50}}, 60), {{0, 50}}},
        {"joined with the next", joinedAt(two, 10), {{0, 199}}},
        {"the last joined with the one before", joinedAt(two, 150), {{0, 199}}},
        {"one alone stays", joinedAt({{0, 50}}, 10), {{0, 50}}},
    };
    for (const Row& row : rows) {
        INFO(row.what);
        CHECK(row.got == row.wanted);
    }
    CHECK(edgeNear(two, 97, 3) == SpanEdge{0, false});
    CHECK(edgeNear(two, 102, 3) == SpanEdge{1, true});
    CHECK_FALSE(edgeNear(two, 50, 3));
}

TEST_CASE("pulls are split, joined and trimmed by keys alone") {
    PullPicture picture;
    std::vector<RowSpans> changes;
    QObject::connect(&picture, &PullPicture::spansChanged, &picture,
                     [&](const RowSpans& spans) { changes.push_back(spans); });
    const auto shown = [&](const RowSpans& spans, bool editable) {
        picture.show(std::vector<double>(400, 3000.0), spans, {true, true}, 1, editable);
    };
    const auto keys = [&](Qt::Key key, int times, Qt::KeyboardModifiers modifiers = {}) {
        for (int i = 0; i < times; ++i)
            QTest::keyClick(&picture, key, modifiers);
    };
    picture.resize(300, 96);
    picture.show();
    const RowSpans two{{0, 199}, {200, 399}};
    shown(two, true);
    keys(Qt::Key_Right, 3, Qt::ControlModifier); // 60 rows
    keys(Qt::Key_Left, 10);
    keys(Qt::Key_S, 1);
    CHECK(changes.back() == RowSpans{{0, 49}, {50, 199}, {200, 399}});
    shown(two, true);
    keys(Qt::Key_J, 1);
    CHECK(changes.back() == RowSpans{{0, 399}});
    shown(two, true);
    keys(Qt::Key_Right, 10, Qt::ControlModifier); // 250
    keys(Qt::Key_BracketLeft, 1);
    CHECK(changes.back() == RowSpans{{0, 199}, {250, 399}});
    shown(two, true);
    keys(Qt::Key_Right, 100, Qt::ControlModifier); // to the last row
    keys(Qt::Key_Left, 4, Qt::ControlModifier);
    keys(Qt::Key_BracketRight, 1);
    CHECK(changes.back() == RowSpans{{0, 199}, {200, 319}});
    const size_t before = changes.size();
    shown(two, false); // runs beside each other are not cut
    keys(Qt::Key_S, 1);
    keys(Qt::Key_A, 1);
    CHECK(changes.size() == before);
}

TEST_CASE("a dropped zip of logs is imported, a zipped day is opened") {
    OpenWindow w{fs::path()};
    const std::string log = readFileText(test::demoDay() / "pulls" / "p01.csv");
    const fs::path logs = w.folder.path() / "logs.zip";
    writeZip(logs, {{"A_1.csv", log}, {"B_1.csv", log}});
    drop(w.window.get(), {logs});
    auto* dialog = w.window->findChild<ImportDialog*>();
    REQUIRE(dialog);
    CHECK(part<QTableWidget>(dialog, "pullTable")->rowCount() == 2);
    CHECK(part<QComboBox>(dialog, "buildOfPull1")->currentText() == u"B"_s);
    dialog->reject();
    const fs::path day = w.folder.path() / "day.zip";
    saveDay(readDay(test::demoDay()), day);
    drop(w.window.get(), {day});
    REQUIRE(w.settled());
    CHECK(w.window->document().day().pulls.size() == 11);
}

TEST_CASE("a large file is read beside the window, and can be cancelled") {
    OpenWindow w{fs::path()};
    const fs::path file = w.folder.path() / "B_large.csv";
    {
        std::ofstream out(file);
        out << "Time [s],RPM,Torque [N.m]\n";
        for (int row = 0; row < 300000; ++row)
            out << row << "e-2," << 2000 + row % 3000 << ",80.25\n";
    }
    REQUIRE(fs::file_size(file) > kReadAtOnce);
    const auto notice = [&] { return w.window->findChild<QLabel*>(u"noticeText"_s); };
    w.window->importFiles({QString::fromStdString(file.string())});
    CHECK(notice()->text().startsWith(u"Reading 1 file"_s));
    CHECK(w.window->findChild<ImportDialog*>() == nullptr);
    REQUIRE(test::waitFor([&] { return w.window->findChild<ImportDialog*>() != nullptr; }, 60000));
    auto* dialog = w.window->findChild<ImportDialog*>();
    CHECK(part<QTableWidget>(dialog, "pullTable")->rowCount() == 100);
    auto* decimal = part<QComboBox>(dialog, "decimalChoice");
    decimal->setCurrentIndex(1);
    Q_EMIT decimal->activated(1);
    CHECK_FALSE(part<QPushButton>(dialog, "acceptImport")->isEnabled()); // being read again
    REQUIRE(test::waitFor([&] { return part<QPushButton>(dialog, "acceptImport")->isEnabled(); }, 60000));
    dialog->reject();
    w.window->importFiles({QString::fromStdString(file.string())});
    QTest::mouseClick(w.window->findChild<QPushButton*>(u"noticeAnswer0"_s), Qt::LeftButton);
    CHECK_FALSE(w.window->findChild<QLabel*>(u"noticeText"_s)->isVisible());
    QTest::qWait(1500);
    for (const ImportDialog* left : w.window->findChildren<ImportDialog*>())
        CHECK_FALSE(left->isVisible());
}
