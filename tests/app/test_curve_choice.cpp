// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any curve in the pair: boost in place of power, with its own difference, ribbon, bands and sentence.

#include "app/compare/compare_page.h"
#include "app/compare/field_ladder.h"
#include "app/compare/quantity_content.h"
#include "app_support.h"

#include <QComboBox>
#include <QLabel>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

struct OpenPair : OpenWindow {
    OpenPair() : OpenWindow(test::boostDay()) {
        window->showPage("compare");
        REQUIRE(settled());
    }
    void choose(const char* id) {
        auto* choice = find<QComboBox>("quantityChoice");
        const int index = choice->findData(QString::fromLatin1(id));
        REQUIRE(index >= 0);
        choice->setCurrentIndex(index);
        Q_EMIT choice->activated(index);
        REQUIRE(settled());
    }
    const BoardContent& curves() { return find<Board>("curvesBoard")->content(); }
    const BoardContent& difference() { return find<Board>("differenceBoard")->content(); }
};

} // namespace

TEST_CASE("boost in place of power: curves, difference with its band, ribbon, bands, sentence; and back") {
    OpenPair w;
    const QString power = w.text("answer");
    const QString title = w.curves().title;
    w.choose("boost");
    CHECK(w.text("answer").startsWith(u"Boost: "_s));
    CHECK(w.text("answer").contains(u"kPa more on average"_s));
    CHECK(w.curves().title == u"Boost, kPa"_s);
    CHECK(w.curves().series.size() == 2);
    CHECK(w.difference().title.startsWith(u"Difference B \u2212 A, kPa"_s));
    CHECK(w.difference().bands.size() == 1);
    CHECK(w.find<GainRibbon>("gainRibbon")->spokenText().contains(u"more from"_s));
    const auto* bands = w.find<QTableView>("bandTable")->model();
    CHECK(bands->index(0, BandModel::Difference).data().toString().endsWith(u"kPa"_s));
    CHECK(bands->index(0, BandModel::Says).data().toString() == u"more"_s);
    CHECK(w.text("peakText").isEmpty());
    CHECK_FALSE(w.find<QComboBox>("schoolChoice")->isEnabled());
    w.window->selection().setCursor(4500.0);
    w.window->selection().swapPair();
    CHECK(w.text("answer").contains(u"less on average"_s));
    w.choose("power");
    w.window->selection().swapPair();
    CHECK(w.text("answer") == power);
    CHECK(w.curves().title == title);
    CHECK(w.find<QComboBox>("schoolChoice")->isEnabled());
}

TEST_CASE("Q asks for power or torque again, whatever curve is shown") {
    OpenPair w;
    w.choose("lambda");
    CHECK(w.text("answer").startsWith(u"Lambda: "_s));
    w.trigger("view.quantity");
    REQUIRE(w.settled());
    CHECK(w.window->document().settings().quantity.empty());
    CHECK(w.find<QComboBox>("quantityChoice")->currentData() == u"torque"_s);
    CHECK_FALSE(w.text("answer").startsWith(u"Lambda"_s));
}

TEST_CASE("what is offered is what the day has, by the names people use") {
    OpenPair w;
    const auto* choice = w.find<QComboBox>("quantityChoice");
    CHECK(choice->itemData(0) == u"power"_s);
    CHECK(choice->findText(u"Back pressure over boost"_s) > 0);
    CHECK(choice->findText(u"Ignition advance"_s) > 0);
    for (int i = 0; i < choice->count(); ++i)
        CHECK_FALSE(choice->itemText(i).contains(u'_'));
    w.choose("back_over_boost");
    CHECK(w.curves().title == u"Back pressure over boost"_s); // without a unit
    CHECK_FALSE(w.difference().title.contains(u", 1"_s));
    if (const char* picture = std::getenv("HILLRUN_PICTURE"))
        w.window->grab().save(QString::fromLocal8Bit(picture));
}

TEST_CASE("the field of another curve: all builds, the highest first, each against the base") {
    OpenPair w;
    QTest::keyClick(w.window.get(), Qt::Key_F);
    auto* choice = w.find<QComboBox>("fieldQuantity");
    const int boost = choice->findData(u"boost"_s);
    REQUIRE(boost >= 0);
    choice->setCurrentIndex(boost);
    Q_EMIT choice->activated(boost);
    REQUIRE(w.settled());
    CHECK(w.text("answer").startsWith(u"Boost against A on average over "_s));
    const double more = w.analysis().quantity->find("A", "C")->bands.front().delta;
    const QString whole = u"+%1."_s.arg(static_cast<int>(more));
    CHECK(w.text("answer").contains(u"C\u00A0"_s + whole));
    const auto& ladder = *w.window->findChild<FieldLadder*>();
    REQUIRE(ladder.spokenCount() == 4);
    CHECK(ladder.spokenItem(1).startsWith(u"C: "_s + whole));
    CHECK(ladder.spokenItem(1).contains(u"more from"_s));
    CHECK(ladder.spokenItem(3).startsWith(u"A: base"_s));
    CHECK(w.find<Board>("fieldBoard")->content().title == u"Boost, kPa"_s);
    CHECK(w.find<Board>("fieldBoard")->content().series.size() == 3);
    w.trigger("view.quantity"); // back to what the field is about
    REQUIRE(w.settled());
    CHECK(w.find<Board>("fieldBoard")->content().title.startsWith(u"Torque"_s));
    CHECK(ladder.spokenItem(1).contains(u"best"_s));
}

TEST_CASE("another curve stands over power, on one cursor, and over its difference again") {
    OpenPair w;
    CHECK_FALSE(w.find<QToolButton>("overPower")->isVisibleTo(w.window.get()));
    w.choose("boost");
    w.trigger("compare.over_power");
    CHECK(w.curves().title == u"Boost, kPa"_s);
    CHECK(w.difference().title.startsWith(u"Power"_s));
    CHECK(w.difference().series.size() == 2);
    CHECK(w.difference().xRange == w.curves().xRange);
    w.trigger("compare.over_power");
    CHECK(w.difference().title.startsWith(u"Difference B"_s));
}
