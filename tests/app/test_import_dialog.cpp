// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_dialog.h"
#include "app_support.h"

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
    text.replace(text.find("torque [N.m]"), 12, "Ch7 [N.m]");
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
    CHECK(part<QComboBox>(dialog, "buildOfFile1")->currentText() == u"B"_s);
    CHECK(part<QComboBox>(dialog, "channelOfColumn1")->currentText() == u"Engine speed"_s);
    auto* channel = part<QComboBox>(dialog, "channelOfColumn2");
    channel->setCurrentIndex(channel->findText(u"Torque"_s));
    Q_EMIT channel->activated(channel->currentIndex());
    CHECK(accept->isEnabled());
    part<QCheckBox>(dialog, "weatherKnown")->setChecked(true);
    part<QDoubleSpinBox>(dialog, "importPressure")->setValue(98.3);
    QTest::mouseClick(accept, Qt::LeftButton);
    REQUIRE(w.settled());
    const TestDay& day = w.window->document().day();
    REQUIRE(day.pulls.size() == 2);
    CHECK(day.builds.size() == 2);
    CHECK(day.pulls[0].weather->pressure_pa == Approx(98300.0));
    CHECK(w.window->page() == Page::Check);
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
    std::ofstream(file) << "time [s],rpm,torque [N.m],boost [psi]\n0,2500,80,10\n1,3000,81,10\n2,3500,82,10\n";
    w.window->importFiles({QString::fromStdString(file.string())});
    auto* dialog = w.window->findChild<ImportDialog*>();
    auto* gauge = part<QCheckBox>(dialog, "gaugeOfColumn3");
    CHECK(gauge->isChecked());
    gauge->setChecked(false);
    auto* unit = part<QLineEdit>(dialog, "unitOfColumn2");
    unit->setText(u"stone"_s);
    Q_EMIT unit->editingFinished();
    CHECK(part<QLabel>(dialog, "importProblem")->text().contains(u"\"stone\" is not known"_s));
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
    const fs::path bad = w.folder.path() / "notes.csv";
    std::ofstream(bad) << "only words here\n";
    w.window->importFiles({QString::fromStdString(bad.string()),
                           QString::fromStdString(foreignFile(w.folder.path(), "A.csv", "p01").string())});
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors.front().contains(u"notes.csv"_s));
    CHECK(w.window->findChild<ImportDialog*>() != nullptr);
    w.window->findChild<ImportDialog*>()->reject();
    drop(w.window.get(), {test::demoDay()});
    REQUIRE(w.settled());
    CHECK(w.window->document().day().pulls.size() == 11);
}
