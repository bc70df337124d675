// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/article_dialog.h"
#include "app/prepare/article_panel.h"
#include "app/prepare/build_model.h"
#include "app/prepare/order_strip.h"
#include "app_support.h"
#include "core/plan/cautions.h"

#include <fstream>
#include <QAbstractItemModelTester>
#include <QHeaderView>
#include <QSpinBox>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

/// A window with a new day on Prepare.
struct NewDay : OpenWindow {
    NewDay() : OpenWindow(test::kNoDay) {
        trigger("day.new");
        REQUIRE(window->pageShown() == "prepare");
    }
    const TestDay& day() { return window->document().day(); }
    QString order() {
        QString out;
        for (const std::string& id : day().plan.order)
            out += QString::fromStdString(id);
        return out;
    }
    void choose(const char* name, const QString& text) {
        auto* box = find<QComboBox>(name);
        const int index = box->findText(text);
        REQUIRE(index >= 0);
        box->setCurrentIndex(index);
        Q_EMIT box->activated(index);
    }
    void type(const char* name, const QString& text) {
        auto* field = find<NumberField>(name);
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
    }
    void click(const char* name) {
        auto* button = find<QAbstractButton>(name);
        REQUIRE(button->isEnabled());
        QTest::mouseClick(button, Qt::LeftButton);
    }
    QModelIndex cell(const QString& row, int column) {
        auto* table = find<QTableView>("buildTable");
        for (int i = 0; i < table->model()->rowCount(); ++i)
            if (table->model()->headerData(i, Qt::Vertical).toString().section(u" \u00B7 "_s, 0, 0) == row)
                return table->model()->index(i, column);
        FAIL("no row " << row.toStdString());
        return {};
    }
    void write(const QString& row, int column, const QString& text) {
        auto* table = find<QTableView>("buildTable");
        table->setFocus();
        table->setCurrentIndex(cell(row, column));
        QTest::keyClick(table, Qt::Key_F2);
        auto* editor = table->viewport()->findChild<QLineEdit*>();
        REQUIRE(editor);
        editor->selectAll();
        QTest::keyClicks(editor, text);
        QTest::keyClick(editor, Qt::Key_Return);
        QApplication::processEvents(); // the delegate hands the text over once the key is done with
        QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
};

} // namespace

TEST_CASE("without a day Prepare says what to do") {
    OpenWindow w(test::kNoDay);
    w.window->showPage("prepare");
    CHECK(w.find<QToolButton>("day.new_start")->isVisible());
    QTest::mouseClick(w.find<QToolButton>("day.new_start"), Qt::LeftButton);
    CHECK(w.window->document().isOpen());
    CHECK(w.find<QTableView>("buildTable")->isVisible());
}

TEST_CASE("the matrix of builds is filled by hand and every step can be undone") {
    NewDay w;
    auto* table = w.find<QTableView>("buildTable");
    const QAbstractItemModelTester tester(table->model(), QAbstractItemModelTester::FailureReportingMode::Fatal);
    CHECK(table->model()->headerData(1, Qt::Horizontal).toString() == u"B \u00B7 no change noted"_s);
    w.dialogs.text = u"collector"_s;
    w.click("addPartButton");
    w.dialogs.text = u"map"_s;
    w.click("addSettingButton");
    w.write(u"collector"_s, 1, u"600 mm"_s);
    CHECK(table->model()->headerData(1, Qt::Horizontal).toString() == u"B \u00B7 1 change"_s);
    CHECK(w.cell(u"collector"_s, 1).data(BuildModel::DiffersRole).toBool());
    w.write(u"map"_s, 1, u"m13"_s);
    CHECK(table->model()->headerData(1, Qt::Horizontal).toString() == u"B \u00B7 2 changes together"_s);
    CHECK(w.text("weaknessText").contains(u"2 things at once"_s));
    w.write(u"Cost"_s, 1, u"140,50 GBP"_s);
    w.write(u"Mass"_s, 1, u"0.6"_s);
    w.write(u"Note"_s, 1, u"borrowed"_s);
    const Build& b = w.day().builds[1];
    CHECK(b.cost == 140.5);
    CHECK(b.currency == "GBP");
    CHECK(b.mass_kg == 0.6);
    CHECK(b.note == "borrowed");
    table->setCurrentIndex(w.cell(u"map"_s, 1));
    w.click("removeRowButton");
    CHECK(w.day().builds[1].settings.empty());
    w.trigger("edit.undo");
    CHECK(w.day().builds[1].settings.front().second == "m13");
    table->setCurrentIndex(w.cell(u"collector"_s, 1));
    w.click("addBuildButton");
    REQUIRE(w.day().builds.size() == 3);
    CHECK(w.day().builds[2].id == "C");
    CHECK(w.day().builds[2].parts == w.day().builds[1].parts); // a copy of the selected one
    table->setCurrentIndex(w.cell(u"collector"_s, 0));
    CHECK_FALSE(w.find<QPushButton>("removeBuildButton")->isEnabled()); // the base stays
    table->setCurrentIndex(w.cell(u"collector"_s, 1));
    w.click("removeBuildButton");
    CHECK(w.day().builds.size() == 2);
    CHECK(w.order() == u"AAAAAA"_s); // its pulls left the plan with it
    for (int i = 0; i < 12; ++i)
        if (w.action("edit.undo")->isEnabled())
            w.trigger("edit.undo");
    CHECK(w.day().builds.size() == 2);
    CHECK(w.order() == u"AAABBBAAA"_s);
}

TEST_CASE("letters in a cost are refused and nothing changes") {
    NewDay w;
    w.write(u"Cost"_s, 1, u"a lot"_s);
    CHECK_FALSE(w.day().builds[1].cost);
}

TEST_CASE("a build with pulls cannot be removed") {
    OpenWindow w;
    w.window->showPage("prepare");
    auto* table = w.find<QTableView>("buildTable");
    table->setCurrentIndex(table->model()->index(1, 1));
    CHECK_FALSE(w.find<QPushButton>("removeBuildButton")->isEnabled());
}

TEST_CASE("designs make the order, and say where they are weak") {
    NewDay w;
    CHECK(w.order() == u"AAABBBAAA"_s);
    w.choose("designChoice", u"A-B"_s);
    CHECK(w.order() == u"AAABBB"_s);
    CHECK(w.text("weaknessText").contains(u"No return to base: drift cannot be told from the part."_s));
    w.choose("designChoice", u"A-B-B-A"_s);
    CHECK(w.order() == u"AAABBBBBBAAA"_s);
    w.click("fewerPulls");
    CHECK(w.day().plan.pullsPerSet == 2);
    CHECK(w.text("weaknessText").contains(u"Two pulls in a set"_s));
    w.trigger("edit.undo");
    w.trigger("edit.undo");
    CHECK(w.order() == u"AAABBB"_s);
    CHECK(w.find<QComboBox>("designChoice")->currentText() == u"A-B"_s);
    CHECK(w.find<QComboBox>("designChoice")->findText(u"Ladder (needs 3 builds)"_s) >= 0);
}

TEST_CASE("one build is planned to be taken off and fitted again, and what that teaches is said") {
    NewDay w;
    w.choose("designChoice", u"R-R"_s);
    CHECK(w.order() == u"AAAAAA"_s);
    CHECK(w.day().plan.refits == std::vector<size_t>{3});
    CHECK(w.text("weaknessText").contains(u"A is taken off and fitted again"_s));
    CHECK(w.text("planAnswer").contains(u"teaches what fitting again adds"_s));
    auto* strip = w.find<OrderStrip>("orderStrip");
    const int usual = strip->flagRect(2).left() - strip->flagRect(1).left();
    CHECK(strip->flagRect(3).left() - strip->flagRect(2).left() > usual); // a gap where it is fitted again
    w.click("morePulls");
    CHECK(w.order() == u"AAAAAAAA"_s);
    CHECK(w.day().plan.refits == std::vector<size_t>{4});
    w.choose("designChoice", u"A-B-A"_s);
    CHECK(w.day().plan.refits.empty());
}

TEST_CASE("a sweep of a setting makes its builds") {
    NewDay w;
    w.dialogs.sweep = SweepAnswer{u"boost"_s, {"70 kPa", "80 kPa", "90 kPa"}};
    w.choose("designChoice", u"Sweep"_s);
    REQUIRE(w.day().builds.size() == 4);
    CHECK(w.day().builds[3].settings.back() == std::pair<std::string, std::string>{"boost", "90 kPa"});
    CHECK(w.order() == u"AAABBBCCCDDDAAA"_s);
    w.trigger("edit.undo");
    CHECK(w.day().builds.size() == 2);
    w.dialogs.sweep.reset(); // asked, and gone back
    w.choose("designChoice", u"Sweep"_s);
    CHECK(w.day().builds.size() == 2);
}

TEST_CASE("the order is dragged, and worked by keys") {
    NewDay w;
    auto* strip = w.find<OrderStrip>("orderStrip");
    QTest::qWait(20);
    const QPoint from = strip->flagRect(8).center();
    QTest::mousePress(strip, Qt::LeftButton, {}, from);
    for (size_t over = 7; over >= 3; --over)
        QTest::mouseMove(strip, strip->flagRect(over).center());
    QMouseEvent move(QEvent::MouseMove, strip->flagRect(3).center(), strip->mapToGlobal(strip->flagRect(3).center()),
                     Qt::NoButton, Qt::LeftButton, {});
    QApplication::sendEvent(strip, &move);
    QTest::mouseRelease(strip, Qt::LeftButton, {}, strip->flagRect(3).center());
    CHECK(w.order() == u"AAAABBBAA"_s);
    CHECK(w.day().plan.design.empty());
    CHECK(w.find<QComboBox>("designChoice")->currentText() == u"by hand"_s);
    strip->setFocus();
    QTest::mouseClick(strip, Qt::LeftButton, {}, strip->flagRect(4).center());
    QTest::keyClick(strip, Qt::Key_Left, Qt::ControlModifier); // B before the fourth A
    CHECK(w.order() == u"AAABABBAA"_s);
    QTest::keyClick(strip, Qt::Key_Insert);
    CHECK(w.order() == u"AAABBABBAA"_s);
    QTest::keyClick(strip, Qt::Key_Delete);
    QTest::keyClick(strip, Qt::Key_Delete);
    CHECK(w.order() == u"AAAABBAA"_s);
    w.trigger("edit.undo");
    CHECK(w.order() == u"AAABABBAA"_s);
}

TEST_CASE("Tab goes to the builds first, then to the order, the cautions come last") {
    OpenWindow w;
    w.window->showPage("prepare");
    QStringList names;
    QWidget* at = w.find<QWidget>("preparePage");
    const QWidget* page = at;
    for (int step = 0; step < 400; ++step) {
        at = at->nextInFocusChain();
        if (at == page)
            break;
        if (page->isAncestorOf(at) && at->isVisible() && (at->focusPolicy() & Qt::TabFocus) == Qt::TabFocus)
            names << at->objectName();
    }
    const auto place = [&](const QString& name) { return names.indexOf(name); };
    REQUIRE(place(u"buildTable"_s) >= 0);
    CHECK(place(u"buildTable"_s) < 8); // after the buttons above it
    CHECK(place(u"buildTable"_s) < place(u"orderStrip"_s));
    CHECK(place(u"orderStrip"_s) < place(u"startField"_s));
    CHECK(names.size() > 20);
}

TEST_CASE("what matters gives the pulls needed, and what the plan can see") {
    NewDay w;
    CHECK(w.text("planAnswer").contains(u"in 9 pulls"_s));
    w.type("mattersField", u"0.5"_s);
    CHECK(w.day().plan.matters_pct == 0.5);
    const QString hard = w.text("planDetails");
    w.type("mattersField", u"3"_s);
    CHECK(w.text("planDetails") != hard);
    CHECK(w.text("planDetails").contains(u"To see 3 %"_s));
    CHECK(w.text("planDetails").contains(u"not measured yet"_s));
    w.type("repeatabilityField", u"0.25"_s);
    CHECK(w.day().plan.repeatability_pct == 0.25);
    CHECK_FALSE(w.text("planDetails").contains(u"not measured yet"_s));
    w.click("measuredButton");
    CHECK_FALSE(w.day().plan.repeatability_pct);
    w.type("mattersField", u"0.05"_s);
    w.type("repeatabilityField", u"5"_s);
    CHECK(w.text("planDetails").contains(u"even 30 pulls a set are too few"_s));
}

TEST_CASE("protocol, gear check and windows") {
    OpenWindow w(test::boostDay());
    w.window->showPage("prepare");
    CHECK(w.text("gearTable").contains(u"\u25B8\u00A04: 168\u00A0km/h"_s));
    CHECK_FALSE(w.text("gearTable").contains(u'<'));
    CHECK(w.text("gearAdvice").contains(u"Gear 4 is nearest to direct drive"_s));
    auto* gear = w.find<NumberField>("gearField");
    gear->setFocus();
    gear->selectAll();
    QTest::keyClicks(gear, u"5"_s);
    QTest::keyClick(gear, Qt::Key_Return);
    CHECK(w.window->document().day().plan.protocol.gear == 5);
    CHECK(w.text("gearAdvice").contains(u"Gear 5 reaches 206\u00A0km/h: above the limit of the speed limiter"_s));
    gear->selectAll();
    QTest::keyClick(gear, Qt::Key_Delete);
    QTest::keyClick(gear, Qt::Key_Return);
    CHECK_FALSE(w.window->document().day().plan.protocol.gear); // emptied: not known
    QTest::mouseClick(w.find<QPushButton>("addWindowButton"), Qt::LeftButton);
    REQUIRE(w.window->document().day().controlWindows.size() == 3);
    auto* low = w.find<NumberField>("windowLow2");
    low->setFocus();
    low->selectAll();
    QTest::keyClicks(low, u"75"_s);
    QTest::keyClick(low, Qt::Key_Return);
    CHECK(w.window->document().day().controlWindows[2].low == 75.0);
    QTest::mouseClick(w.find<QPushButton>("removeWindow0"), Qt::LeftButton);
    CHECK(w.window->document().day().controlWindows.size() == 2);
}

TEST_CASE("cautions are ticked with name and time, and taken back") {
    NewDay w;
    w.dialogs.text = u"M. Tarn"_s;
    CHECK(w.text("cautionPreface").contains(u"no safety device"_s));
    auto* box = w.find<QCheckBox>("caution_emergency_stop");
    QTest::mouseClick(box, Qt::LeftButton, {}, box->rect().center());
    REQUIRE(w.day().cautions.size() == 1);
    CHECK(w.day().cautions[0].who == "M. Tarn");
    CHECK(secondsOf(w.day().cautions[0].when));
    CHECK(w.day().operatorName == "M. Tarn"); // asked once
    CHECK(box->isChecked());
    CHECK(box->toolTip().contains(u"Ticked by M. Tarn"_s));
    const size_t open = cautionsOpen(w.day()).size();
    CHECK(w.text("cautionState") == u"%1 open"_s.arg(open));
    w.trigger("edit.undo");
    CHECK(w.day().cautions.empty());
    CHECK_FALSE(box->isChecked());
    w.dialogs.text.reset();
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.operatorName.clear(); });
    QTest::mouseClick(box, Qt::LeftButton, {}, box->rect().center());
    CHECK(w.day().cautions.empty()); // nobody said who
    CHECK_FALSE(box->isChecked());
}

TEST_CASE("the article is edited in one dialog and kept as a card") {
    NewDay w;
    w.click("editArticleButton");
    auto* dialog = w.window->findChild<ArticleDialog*>();
    REQUIRE(dialog);
    auto set = [&](const char* name, const QString& text) {
        auto* edit = dialog->findChild<QLineEdit*>(QLatin1StringView(name));
        REQUIRE(edit);
        edit->setText(text);
    };
    set("dayName", u"Jets in three steps"_s);
    set("articleName", u"Hill tractor / diesel"_s);
    set("gearRatios", u"3,4 2.05; 1.36"_s);
    dialog->findChild<QComboBox*>(u"fuelKind"_s)->setCurrentIndex(2);
    dialog->findChild<QComboBox*>(u"cellKind"_s)->setCurrentIndex(2);
    test::typeNumber(dialog->findChild<NumberField*>(u"displacement"_s), u"2980"_s);
    dialog->findChild<QCheckBox*>(u"nitrous"_s)->setChecked(true);
    dialog->accept();
    CHECK(w.day().name == "Jets in three steps");
    CHECK(w.day().article.vehicle.gears == std::vector<double>{3.4, 2.05, 1.36});
    CHECK(w.day().article.engine.displacement_cc == 2980.0);
    CHECK(w.text("articleNameText") == u"Hill tractor / diesel"_s);
    CHECK(w.text("articleText").contains(u"alcohol"_s));
    CHECK(w.find<QCheckBox>("caution_alcohol_flame"));
    CHECK(w.find<QCheckBox>("caution_nitrous_bottle"));
    CHECK(w.find<QCheckBox>("caution_straps"));
    const Article article = w.day().article;
    auto* menu = w.find<QMenu>("cardsMenu");
    Q_EMIT menu->aboutToShow();
    w.find<QAction>("keepCard")->trigger();
    w.trigger("edit.undo");
    CHECK(w.day().article.name.empty());
    Q_EMIT menu->aboutToShow();
    REQUIRE(menu->actions().front()->text() == u"Hill tractor _ diesel"_s);
    menu->actions().front()->trigger();
    CHECK(w.day().article == article);
    CHECK(w.dialogs.errors.isEmpty());
}

TEST_CASE("attachments are copied into the day's folder") {
    OpenWindow w;
    w.window->showPage("prepare");
    const fs::path photo = w.folder.path() / "port.jpg";
    std::ofstream(photo) << "not really a photo";
    auto* table = w.find<QTableView>("buildTable");
    table->setCurrentIndex(table->model()->index(0, 1));
    w.dialogs.attachments = {QString::fromStdString(photo.string())};
    QTest::mouseClick(w.find<QPushButton>("attachButton"), Qt::LeftButton);
    QTest::mouseClick(w.find<QPushButton>("attachButton"), Qt::LeftButton); // the same name again
    CHECK(fs::exists(w.day / "attachments" / "port.jpg"));
    CHECK(fs::exists(w.day / "attachments" / "port-2.jpg"));
    CHECK(w.window->document().day().builds[1].attachments ==
          std::vector<std::string>{"attachments/port.jpg", "attachments/port-2.jpg"});
    w.window->document().save();
    CHECK(readDay(w.day).builds[1].attachments.size() == 2);
}

TEST_CASE("attachments need a folder to live in") {
    NewDay w;
    w.window->document().show(TestDay(w.day()), {}); // the same day without a place
    auto* table = w.find<QTableView>("buildTable");
    table->setCurrentIndex(table->model()->index(0, 1));
    w.dialogs.attachments = {u"/etc/hostname"_s};
    w.click("attachButton");
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors[0].contains(u"Save the day as a folder first"_s));
}

TEST_CASE("a planned day is saved, opened again and shown on the strip") {
    NewDay w;
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.plan.coolDown_min = 7.0; });
    w.trigger("day.save"); // it has a place from its first moment
    CHECK(w.dialogs.errors.isEmpty());
    CHECK(readDay(w.window->document().path()).plan == w.day().plan);
    CHECK(w.day().plan.coolDown_min == 7.0);
    const StripLayout layout = layoutStrip(w.day(), nullptr, 1280.0, 46.0);
    REQUIRE(layout.planned.size() == 9);
    CHECK(layout.planned[0].letter == "A");
    CHECK(layout.planned[1].letter.empty());
    CHECK(layout.planned[3].letter == "B");
    for (size_t i = 1; i < layout.planned.size(); ++i)
        CHECK(layout.planned[i].x > layout.planned[i - 1].x);
}

TEST_CASE("eight builds with long names fit on Prepare") {
    NewDay w;
    auto* table = w.find<QTableView>("buildTable");
    for (int i = 0; i < 6; ++i)
        w.click("addBuildButton");
    w.window->document().edit(u"x"_s, [](TestDay& day) {
        for (Build& build : day.builds)
            build.name = "a name that goes on and on and does not want to end";
        day.plan.order.clear();
        for (int i = 0; i < 6; ++i)
            for (const Build& build : day.builds)
                day.plan.order.push_back(build.id);
    });
    CHECK(w.day().builds.size() == 8);
    CHECK(table->model()->columnCount() == 8);
    CHECK(w.window->minimumSizeHint().width() <= 1280);
    auto* strip = w.find<OrderStrip>("orderStrip");
    QTest::qWait(20);
    CHECK(strip->flagRect(47).right() <= strip->width());
}
