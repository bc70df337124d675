// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_content.h"
#include "app/import/lay_log_dialog.h"

#include "app/import/import_dialog.h"
#include "app_support.h"

#include <fmt/format.h>
#include <fstream>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

/// What a control unit would have written beside a pull, its clock ahead.
fs::path logBeside(const OpenWindow& w, const std::string& id, double lag_s) {
    const Pull& pull = *findPull(w.window->document().day(), id);
    const std::vector<double>& time = pull.raw->find("time")->values;
    const std::vector<double>& speed = pull.raw->find("engine_speed")->values;
    const fs::path path = w.folder.path() / "ECU.csv";
    std::ofstream out(path);
    out << "Time [s],Engine speed [rpm],Knock count\n";
    for (size_t i = 0; i < time.size(); i += 2)
        out << fmt::format("{:.3f},{:.0f},{:.2f}\n", time[i] + lag_s, speed[i], speed[i] / 100.0);
    return path;
}

/// Brings the log to the window in which it is laid on, every pull tried.
LayLogDialog* layWindow(OpenWindow& w, const fs::path& log) {
    w.dialogs.loggerFiles = {QString::fromStdString(log.string())};
    w.trigger("day.import");
    REQUIRE(test::waitFor([&] { return w.window->findChild<ImportDialog*>() != nullptr; }));
    auto* import = w.window->findChild<ImportDialog*>();
    CHECK(import->findChild<QComboBox*>(u"importPurpose"_s)->currentText() ==
          u"a log beside pulls"_s); // nobody had to say so
    auto* accept = import->findChild<QPushButton*>(u"acceptImport"_s);
    REQUIRE(accept->isEnabled());
    CHECK(accept->text().startsWith(u"Lay onto pulls"_s));
    QTest::mouseClick(accept, Qt::LeftButton);
    // The window is there at once; while it tries, there is nothing to find again or to set.
    auto* dialog = w.window->findChild<LayLogDialog*>();
    REQUIRE(dialog);
    CHECK_FALSE(dialog->findChild<QPushButton*>(u"findLogAgain"_s)->isEnabled());
    CHECK_FALSE(dialog->findChild<NumberField*>(u"logLag"_s)->isEnabled());
    auto* table = dialog->findChild<QTableWidget*>(u"logPulls"_s);
    REQUIRE(test::waitFor(
        [&] { return table->rowCount() == static_cast<int>(w.window->document().day().pulls.size()); }, 60000));
    return dialog;
}

template <class Widget> Widget* part(LayLogDialog* dialog, const char* name) {
    auto* widget = dialog->findChild<Widget*>(QLatin1StringView(name));
    INFO(name);
    REQUIRE(widget);
    return widget;
}

} // namespace

TEST_CASE("a control unit's log is laid onto its pull, shown under its own name, saved and undone") {
    OpenWindow w(test::rollerDay());
    LayLogDialog* dialog = layWindow(w, logBeside(w, "p03", 4.25));
    auto* table = part<QTableWidget>(dialog, "logPulls");
    CHECK(table->item(2, 0)->checkState() == Qt::Checked);
    CHECK(table->item(2, 2)->text().startsWith(u"+4.25 s"_s));
    for (int row = 0; row < table->rowCount(); ++row)
        if (row != 2)
            CHECK_FALSE(table->item(row, 0)->checkState() == Qt::Checked);
    CHECK(part<QLabel>(dialog, "logVerdict")->text().contains(u"Knock count"_s, Qt::CaseInsensitive));
    QTest::mouseClick(part<QPushButton>(dialog, "layLog"), Qt::LeftButton);
    REQUIRE(w.settled());
    const Pull& pull = *findPull(w.window->document().day(), "p03");
    REQUIRE(pull.logs.size() == 1);
    CHECK(pull.logs[0].clock.lag_s == Approx(4.25).margin(0.005));
    CHECK(pull.raw->find("Knock count"));
    CHECK(findResult(w.analysis(), "p03")->curve->channels().contains("Knock count"));

    w.trigger("day.save");
    const TestDay stored = readDay(w.day);
    CHECK(findPull(stored, "p03")->raw->find("Knock count"));
    CHECK(fs::exists(w.day / "pulls/p03-ecu.csv"));
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p03")->logs.empty());
    CHECK_FALSE(findPull(w.window->document().day(), "p03")->raw->find("Knock count"));
    w.window->document().undoStack().redo();
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p03")->raw->find("Knock count"));
}

TEST_CASE("the place of a log can be set by hand, by number and by dragging, and found again") {
    OpenWindow w(test::rollerDay());
    LayLogDialog* dialog = layWindow(w, logBeside(w, "p03", 4.25));
    auto* lag = part<NumberField>(dialog, "logLag");
    auto* verdict = part<QLabel>(dialog, "logVerdict");
    auto* again = part<QPushButton>(dialog, "findLogAgain");
    CHECK_FALSE(again->isEnabled());
    Q_EMIT lag->edited(lag->number());
    test::typeNumber(lag, u"5"_s);
    CHECK(part<QTableWidget>(dialog, "logPulls")->item(2, 2)->text().contains(u"by hand"_s));
    const QString off = verdict->text();
    REQUIRE(again->isEnabled());
    QTest::mouseClick(again, Qt::LeftButton);
    CHECK(lag->number().value_or(0.0) == Approx(4.25).margin(0.005));
    CHECK(verdict->text() != off);

    auto* picture = part<LogPicture>(dialog, "logPicture");
    const QPoint middle = picture->rect().center();
    QTest::mousePress(picture, Qt::LeftButton, {}, middle);
    QTest::mouseMove(picture, middle + QPoint(40, 0));
    QTest::mouseRelease(picture, Qt::LeftButton, {}, middle + QPoint(40, 0));
    CHECK(lag->number().value_or(9.0) < 4.2); // moved to the right: its clock shows less at the pull's zero
    dialog->reject();
    CHECK(findPull(w.window->document().day(), "p03")->logs.empty());
}

TEST_CASE("a log of no pull of the day says so, and nothing is ticked") {
    OpenWindow w(test::rollerDay());
    const fs::path path = w.folder.path() / "other.csv";
    {
        std::ofstream out(path);
        out << "Time [s],Engine speed [rpm],Lambda\n";
        for (int i = 0; i < 400; ++i)
            out << fmt::format("{:.2f},{:.0f},0.9\n", 0.05 * i, 2000.0 + 1500.0 * std::abs(std::sin(0.1 * i)));
    }
    LayLogDialog* dialog = layWindow(w, path);
    CHECK_FALSE(part<QPushButton>(dialog, "layLog")->isEnabled());
    CHECK(part<QLabel>(dialog, "logVerdict")->text().contains(u"differs"_s));
}

TEST_CASE("pulls of a brake that repeats its sweep are not told apart by speed: the operator ticks one") {
    OpenWindow w;
    w.window->selection().setPull("p05");
    LayLogDialog* dialog = layWindow(w, logBeside(w, "p03", 4.25));
    auto* table = part<QTableWidget>(dialog, "logPulls");
    auto* lay = part<QPushButton>(dialog, "layLog");
    CHECK(table->currentRow() == 4);
    dialog->grab().save(u"/tmp/w/lay.png"_s);
    CHECK_FALSE(lay->isEnabled());
    table->item(2, 0)->setCheckState(Qt::Checked);
    REQUIRE(lay->isEnabled());
    QTest::mouseClick(lay, Qt::LeftButton);
    REQUIRE(w.settled());
    for (const Pull& pull : w.window->document().day().pulls)
        CHECK(pull.logs.size() == (pull.id == "p03" ? 1 : 0));
}
