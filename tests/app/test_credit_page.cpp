// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What each part gives, in the real window: stairs, net, table, sweep; parts corrected, noted, undone.

#include "app/credit/credit_page.h"
#include "app/look/words.h"
#include "app_support.h"
#include "core/compare/day_credit.h"

#include <bit>
#include <QClipboard>
#include <QComboBox>
#include <QLabel>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

struct OpenCredit : OpenWindow {
    explicit OpenCredit(const std::filesystem::path& source = test::latticeDay()) : OpenWindow(source) {
        window->showPage("credit");
        REQUIRE(answered());
    }
    bool answered() {
        return test::waitFor([&] {
            return !window->document().isBusy() && window->document().analysis() &&
                   window->document().analysis()->settings.credit;
        });
    }
    /// Takes builds out of the day, with their pulls.
    void drop(const std::string& build) {
        REQUIRE(window->document().edit(u"drop"_s, [&](TestDay& edited) {
            std::erase_if(edited.builds, [&](const Build& b) { return b.id == build; });
            std::erase_if(edited.pulls, [&](const Pull& p) { return p.build == build; });
            std::erase(edited.plan.order, build);
        }));
        REQUIRE(answered());
    }
    CreditPage& page() { return *window->findChild<CreditPage*>(); }
    CreditPicture& picture() { return *window->findChild<CreditPicture*>(); }
    PartTable& table() { return *window->findChild<PartTable*>(); }
    const Credit& credit() { return *analysis().credit; }
};

} // namespace

TEST_CASE("two parts by two: a sentence, stairs that add up, a row a part") {
    OpenCredit w;
    CHECK(w.text("creditAnswer").startsWith(u"Pipe and ignition map together: +"_s));
    CHECK(w.text("creditAnswer").contains(u"By fair share"_s));
    CHECK(w.page().looked().view == CreditView::FairShare);
    const auto& stairs = w.picture().content().stairs;
    REQUIRE(stairs.size() == 3);
    CHECK(stairs[0].from_w == w.credit().base_w);
    CHECK(stairs[1].from_w == Approx(stairs[0].to_w));
    CHECK(stairs[2].from_w == stairs[0].from_w);
    CHECK(stairs[1].to_w == Approx(stairs[2].to_w).epsilon(1e-12)); // the parts are the whole
    REQUIRE(w.table().rows().size() == 2);
    CHECK(w.table().rows()[0].name == u"pipe"_s);
    CHECK(w.table().rows()[0].gain == stairs[0].gain);
    CHECK(w.table().rows()[0].share.endsWith(u"of the whole"_s));
    CHECK(w.table().rows()[0].price.contains(u"EUR/kW"_s));
    CHECK(w.table().spokenItem(0).contains(u"gain"_s));
    CHECK_FALSE(w.find<Board>("creditBoard")->content().bands.empty());
}

TEST_CASE("one key a view: the net with each step, alone, on top of all, and back") {
    OpenCredit w;
    QTest::keyClick(w.window.get(), Qt::Key_1);
    CHECK(w.page().looked().view == CreditView::AsRun);
    const CreditNet& net = w.picture().content().net;
    CHECK(w.picture().content().stairs.empty());
    REQUIRE(net.nodes.size() == 4);
    CHECK(net.nodes.front().build == "A");
    CHECK(net.nodes.back().build == "D");
    REQUIRE(net.edges.size() == 4);
    CHECK(std::count_if(net.edges.begin(), net.edges.end(), [](const NetEdge& e) { return e.inFront; }) == 2);
    CHECK(w.table().rows()[0].gain.contains(u" to "_s)); // two steps
    CHECK(w.find<Board>("creditBoard")->content().series.size() == 2);
    QTest::keyClick(w.window.get(), Qt::Key_2);
    CHECK(w.page().looked().view == CreditView::Alone);
    for (const NetEdge& edge : w.picture().content().net.edges)
        CHECK(edge.inFront == (w.picture().content().net.nodes[edge.from].build == "A"));
    const QString alone = w.table().rows()[0].gain;
    CHECK(w.find<Board>("creditBoard")->content().series.size() == 1);
    QTest::keyClick(w.window.get(), Qt::Key_3);
    CHECK(w.page().looked().view == CreditView::OnTop);
    CHECK(w.table().rows()[0].gain != alone);
    CHECK(w.picture().spokenText().contains(u"A to B: +"_s));
    QTest::keyClick(w.window.get(), Qt::Key_4);
    CHECK(w.page().looked().view == CreditView::FairShare);
}

TEST_CASE("arrows and clicks walk the parts in the picture and in the table") {
    OpenCredit w;
    w.table().setFocus();
    QTest::keyClick(&w.table(), Qt::Key_Down);
    CHECK(w.page().looked().part == 1);
    CHECK(w.find<Board>("creditBoard")->content().title.startsWith(u"ignition map"_s));
    QTest::keyClick(&w.table(), Qt::Key_Down); // the last one
    CHECK(w.page().looked().part == 1);
    QTest::keyClick(&w.table(), Qt::Key_Home);
    CHECK(w.page().looked().part == 0);
    w.picture().setFocus();
    QTest::keyClick(&w.picture(), Qt::Key_Right);
    CHECK(w.page().looked().part == 1);
    QTest::mouseClick(&w.picture(), Qt::LeftButton, {}, QPoint(w.picture().width() / 4, w.picture().height() / 2));
    CHECK(w.page().looked().part == 0);
    QTest::mouseClick(&w.table(), Qt::LeftButton, {}, w.table().spokenRect(1).center());
    CHECK(w.page().looked().part == 1);
    QTest::keyClick(w.window.get(), Qt::Key_1); // in the net the nearest edge
    QTest::mouseClick(&w.picture(), Qt::LeftButton, {}, QPoint(w.picture().width() / 4, w.picture().height() / 3));
    CHECK(w.page().looked().part == 0);
}

TEST_CASE("5 shows along rpm what the parts give together beyond each, and back") {
    OpenCredit w;
    auto& board = *w.find<Board>("creditBoard");
    const QString part = board.content().title;
    CHECK(w.find<QToolButton>("credit.interaction")->isVisible());
    QTest::keyClick(w.window.get(), Qt::Key_5);
    CHECK(board.content().title.startsWith(u"pipe + ignition map together beyond each by itself"_s));
    CHECK(w.find<QToolButton>("credit.interaction")->isChecked());
    // The four builds' own curves say the same: (D over C) over (B over A).
    const auto power = [&](const char* id) { return w.analysis().findBuild(id)->power_w; };
    const auto& y = board.content().series.front().y;
    for (size_t p = 20; p < y.size(); p += 20) {
        const double expected = 100.0 * (power("D")[p] * power("A")[p] / (power("C")[p] * power("B")[p]) - 1.0);
        if (std::isfinite(expected)) {
            CHECK(y[p] == Approx(expected).margin(0.02));
            CHECK(board.content().bands.front().low[p] < y[p]);
            CHECK(board.content().bands.front().high[p] > y[p]);
        }
    }
    QTest::keyClick(w.window.get(), Qt::Key_5);
    CHECK(board.content().title == part);
    QTest::keyClick(w.window.get(), Qt::Key_5);
    w.page().step(1); // another part: itself first
    CHECK_FALSE(w.page().looked().interaction);
    OpenCredit ladder(test::demoDay());
    CHECK_FALSE(ladder.find<QToolButton>("credit.interaction")->isVisible());
}

TEST_CASE("what counts as one part is corrected, kept with the day, and undone") {
    OpenCredit w;
    auto* choice = w.find<QComboBox>("counts1");
    CHECK(choice->count() == 3); // by itself, with pipe, not at all
    choice->setCurrentIndex(1);
    Q_EMIT choice->activated(1);
    REQUIRE(w.answered());
    CHECK(w.window->document().day().credit.countsWith == std::map<std::string, std::string>{{"ignition_map", "pipe"}});
    CHECK(w.credit().sets.why == WhyNoCredit::NothingNoted); // B and A differ in nothing that counts by itself
    CHECK(w.text("creditAnswer") == qs(creditSummary(w.credit())));
    CHECK(w.find<QComboBox>("counts1")->isVisible()); // the way back
    w.trigger("edit.undo");
    REQUIRE(w.answered());
    CHECK(w.credit().sets.kind == CreditKind::Lattice);
    CHECK(w.window->document().day().credit == CreditNotes{});
}

TEST_CASE("of a setting with two changing numbers the page asks which counts; the answer is kept and undone") {
    OpenCredit w(test::runnerDay());
    CHECK_FALSE(w.find<QComboBox>("numberOf")->isVisible());
    REQUIRE(w.window->document().edit(u"jets"_s, [](TestDay& day) {
        int step = 0;
        for (Build& build : day.builds) {
            build.parts.clear();
            build.settings = {{"idle_jets", std::to_string(95 - 2 * step) + "/" + std::to_string(40 + step)}};
            ++step;
        }
    }));
    REQUIRE(w.answered());
    CHECK(w.credit().sets.why == WhyNoCredit::WhichNumber);
    CHECK(w.text("creditAnswer").contains(u"say which one counts"_s));
    auto* choice = w.find<QComboBox>("numberOf");
    REQUIRE(choice->isVisible());
    REQUIRE(choice->count() == 2);
    CHECK(choice->currentIndex() == -1);
    CHECK(choice->itemText(1).contains(u"40, 41, 42"_s));
    choice->setCurrentIndex(1);
    Q_EMIT choice->activated(1);
    REQUIRE(w.answered());
    CHECK(w.window->document().day().credit.numberOf == std::map<std::string, size_t>{{"idle_jets", 2}});
    REQUIRE(w.credit().sweep);
    CHECK(w.credit().sweep->setting.name == "idle jets");
    CHECK(w.credit().sweep->levels.front().value == 40.0);
    CHECK(w.text("creditCaution").contains(u"number 2 counts"_s));
    CHECK(choice->isVisible()); // to think again
    w.trigger("edit.undo");
    REQUIRE(w.answered());
    CHECK(w.credit().sets.why == WhyNoCredit::WhichNumber);
}

TEST_CASE("a cost, a mass and an expectation are noted and held against what was found") {
    OpenCredit w;
    test::typeNumber(w.find<NumberField>("partCost"), u"400"_s);
    REQUIRE(w.answered());
    test::typeNumber(w.find<NumberField>("partMass"), u"1,5"_s);
    REQUIRE(w.answered());
    test::typeNumber(w.find<NumberField>("partExpectedFrom"), u"9"_s);
    REQUIRE(w.answered());
    test::typeNumber(w.find<NumberField>("partExpectedTo"), u"8"_s);
    REQUIRE(w.answered());
    const PartNote& noted = w.window->document().day().credit.parts.at("pipe");
    CHECK(noted.cost == 400.0);
    CHECK(noted.mass_kg == 1.5);
    REQUIRE(noted.expected_w);
    CHECK(noted.expected_w->first == Approx(8000.0));
    CHECK(noted.expected_w->second == Approx(9000.0));
    CHECK(noted.expectedAfterLooking);
    CHECK(w.table().rows()[0].expected.endsWith(u"it is less"_s));
    CHECK(w.table().rows()[0].mass.contains(u"1.5"_s));
    w.window->document().save();
    const TestDay again = readDay(w.day.string());
    CHECK(again.credit.parts.at("pipe") == noted);
    for (int i = 0; i < 4; ++i)
        w.trigger("edit.undo");
    CHECK(w.window->document().day().credit == CreditNotes{});
}

TEST_CASE("a hole is drawn as what it is, and the bound that is declared widens the shares") {
    OpenCredit w;
    w.drop("D");
    CHECK(w.credit().sets.kind == CreditKind::Partial);
    CHECK(w.page().looked().view == CreditView::AsRun);
    const CreditNet& net = w.picture().content().net;
    REQUIRE(net.nodes.size() == 4);
    CHECK(net.nodes.back().build.empty());
    CHECK(std::count_if(net.edges.begin(), net.edges.end(), [](const NetEdge& e) { return e.gain.isEmpty(); }) == 2);
    CHECK(w.text("creditCaution").contains(u"Not run yet: pipe and ignition map"_s));
    CHECK_FALSE(w.find<QToolButton>("credit.on_top")->isVisible());
    QTest::keyClick(w.window.get(), Qt::Key_3); // nothing to show there
    CHECK(w.page().looked().view == CreditView::AsRun);
    const double before = w.credit().shares[0].amount.high;
    test::typeNumber(w.find<NumberField>("interactionBound"), u"2"_s);
    REQUIRE(w.answered());
    CHECK(w.credit().shares[0].amount.high == Approx(before + 0.01));
    CHECK(w.text("creditCaution").contains(u"declared bound of 2.0"_s));
}

TEST_CASE("each build adds to the last: stairs of what was run") {
    OpenCredit w;
    w.drop("C");
    CHECK(w.credit().sets.kind == CreditKind::Ladder);
    const auto& stairs = w.picture().content().stairs;
    REQUIRE(stairs.size() == 3);
    CHECK(stairs[0].name == u"B  pipe"_s);
    CHECK(stairs[1].name == u"D  ignition map"_s);
    CHECK(stairs[1].to_w == Approx(stairs[2].to_w).epsilon(1e-9));
}

TEST_CASE("a setting in steps: its response, the best, and what each step gives away") {
    OpenCredit w(test::runnerDay());
    REQUIRE(w.credit().sweep);
    CHECK(w.text("creditAnswer").startsWith(u"Inlet runners: 24"_s));
    const Board* board = w.find<Board>("sweepBoard");
    CHECK(board->isVisible());
    CHECK(board->content().shades.size() == 1);
    CHECK(w.find<Board>("creditBoard")->content().title.startsWith(u"Best inlet runners by speed"_s));
    REQUIRE(w.table().rows().size() == 6);
    CHECK(w.table().rows()[2].name.startsWith(u"240 mm"_s));
    CHECK(w.page().looked().part == 2); // gives away least
    CHECK_FALSE(w.find<QToolButton>("credit.fair_share")->isVisible());
    w.trigger("copy.table");
    CHECK(QGuiApplication::clipboard()->text().contains(u"gives away"_s));
    w.trigger("copy.picture");
    CHECK(QGuiApplication::clipboard()->mimeData()->hasImage());
}

TEST_CASE("timing in five steps on a brake that sweeps down: the best falls as the speed rises") {
    OpenCredit w(test::timingDay());
    REQUIRE(w.credit().sweep);
    const SettingSweep& sweep = *w.credit().sweep;
    CHECK(sweep.setting.unit == "\u00b0");
    CHECK(sweep.driftTaken);
    // What stands behind the day: 17 degrees at 8 500, 15.2 at 10 000 rpm.
    for (const auto& [rpm, truth] : {std::pair(8500.0, 17.0), std::pair(10000.0, 15.2)}) {
        const auto at = std::find_if(sweep.byRpm.begin(), sweep.byRpm.end(),
                                     [speed = rpm](const BestAtRpm& best) { return best.rpm == speed; });
        REQUIRE(at != sweep.byRpm.end());
        CHECK(at->low <= truth);
        CHECK(truth <= at->high);
    }
    CHECK(w.text("creditAnswer").startsWith(u"Ignition timing: 15."_s));
    CHECK(w.table().rows().size() == 5);
}

TEST_CASE("nobody looks, nothing is worked out; a look catches up") {
    OpenCredit w;
    w.window->showPage("compare");
    REQUIRE(w.window->document().edit(u"note"_s, [](TestDay& day) { day.plan.matters_pct = 0.7; }));
    REQUIRE(w.settled());
    CHECK_FALSE(w.analysis().credit);
    w.window->showPage("credit");
    REQUIRE(w.answered());
    CHECK(w.analysis().credit);
    CHECK(w.text("creditAnswer").startsWith(u"Pipe and"_s));
}

TEST_CASE("without a day, without repeats, without a second build the page says why") {
    OpenWindow w{test::kNoDay};
    w.window->showPage("credit");
    CHECK(w.text("creditAnswer") == u"No day is open."_s);
    CHECK_FALSE(w.find<CreditPicture>("creditPicture")->isVisible());
    OpenCredit one;
    for (const char* const build : {"B", "C", "D"})
        one.drop(build);
    CHECK(one.text("creditAnswer").startsWith(u"One build alone"_s));
    CHECK_FALSE(one.picture().isVisible());
}
