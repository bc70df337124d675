// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What is claimed belongs to the day: looking changes nothing, naming does, and both can be undone.

#include "app/look/fields.h"
#include "app/look/words.h"
#include "app_support.h"
#include "formats/answers_json.h"

#include <algorithm>
#include <QCheckBox>
#include <QComboBox>
#include <QTableView>
#include <QToolButton>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

std::string everyAnswer(const DayAnalysis& analysis) {
    DayAnalysis all = analysis;
    all.comparisons.insert(all.comparisons.end(), all.otherPairs.begin(), all.otherPairs.end());
    return analyseAnswer(all).dump();
}

void setNumber(NumberField* field, const QString& text) {
    field->setFocus();
    field->selectAll();
    QTest::keyClicks(field, text);
    QTest::keyClick(field, Qt::Key_Return);
}

} // namespace

TEST_CASE("looking at any pair in any order changes no answer") {
    OpenWindow w(test::boostDay());
    const std::string before = everyAnswer(w.analysis());
    const auto first = w.window->document().analysis();
    std::vector<std::string> ids;
    for (const Build& build : w.window->document().day().builds)
        ids.push_back(build.id);
    std::vector<std::pair<std::string, std::string>> pairs;
    for (const std::string& from : ids)
        for (const std::string& to : ids)
            if (from != to)
                pairs.emplace_back(from, to);
    for (int round = 0; round < 3; ++round) {
        std::rotate(pairs.begin(), pairs.begin() + 2, pairs.end());
        if (round == 1)
            std::reverse(pairs.begin(), pairs.end());
        for (const auto& [from, to] : pairs) {
            w.window->selection().setPair(from, to);
            REQUIRE(w.settled());
            CHECK_FALSE(w.text("answer").contains(u"Choose two builds"_s));
            CHECK(w.window->document().analysis() == first); // not even asked again
        }
    }
    CHECK(everyAnswer(w.analysis()) == before);
}

TEST_CASE("a pair named beforehand is judged by its own band, saved with the day, and undone") {
    OpenWindow w(test::boostDay());
    w.window->selection().setPair("A", "B");
    auto* named = w.find<QCheckBox>("namedBeforehand");
    CHECK_FALSE(named->isChecked());
    CHECK(w.analysis().find("A", "B")->judgedBy == JudgedBy::Family);
    QTest::mouseClick(named, Qt::LeftButton, {}, QPoint(10, named->height() / 2));
    REQUIRE(w.settled());
    CHECK(named->isChecked());
    CHECK(w.analysis().find("A", "B")->judgedBy == JudgedBy::Itself);
    CHECK(w.analysis().find("A", "C")->judgedBy == JudgedBy::AllPairs);
    CHECK(w.text("caution").contains(u"named beforehand"_s));
    w.window->selection().setPair("A", "C");
    CHECK_FALSE(named->isChecked());
    CHECK(w.text("caution").contains(u"over all pairs"_s));
    w.window->showPage("prepare");
    CHECK(w.find<QToolButton>("pair_A_B")->isChecked());
    CHECK_FALSE(w.find<QToolButton>("pair_A_C")->isChecked());
    w.trigger("day.save");
    CHECK(readDay(w.day).plan.pairs == std::vector<std::pair<std::string, std::string>>{{"A", "B"}});
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.pairs.empty());
    CHECK_FALSE(w.find<QToolButton>("pair_A_B")->isChecked());
}

TEST_CASE("with what matters the window can say that there is no difference") {
    OpenWindow w;
    w.window->document().edit(u"make both builds alike"_s, [](TestDay& day) {
        // The last set of A as if B were fitted: two sets of the same thing.
        for (Pull& pull : day.pulls)
            if (pull.build == "B")
                pull.use = false;
        for (size_t i = day.pulls.size() - 3; i < day.pulls.size(); ++i)
            day.pulls[i].build = day.builds[1].id;
        day.plan.matters_pct.reset();
        day.plan.driftBound_pct = 1.0; // no return to base is left
    });
    REQUIRE(w.settled());
    w.window->selection().setPair("A", "B");
    CHECK(w.text("answer").startsWith(u"Cannot tell yet"_s));
    CHECK(w.text("settleText").startsWith(u"What would settle it"_s));
    setNumber(w.find<NumberField>("compareMatters"), u"8"_s);
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.matters_pct == 8.0);
    CHECK(w.text("answer").startsWith(u"No difference that matters"_s));
    CHECK_FALSE(w.find<QLabel>("settleText")->isVisible());
}

TEST_CASE("use and drift bound are set on Prepare and taken back") {
    OpenWindow w;
    w.window->showPage("prepare");
    w.dialogs.use = RpmRange{4500.0, 7000.0};
    w.find<QToolButton>("useButton")->click();
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.use == WantedUse{RpmRange{4500.0, 7000.0}});
    CHECK(w.find<QToolButton>("useButton")->text().contains(rangeText({4500.0, 7000.0})));
    CHECK(w.analysis().find("A", "B")->bands.at(4).range_rpm == RpmRange{4500.0, 7000.0});
    setNumber(w.find<NumberField>("driftBoundField"), u"0.5"_s);
    CHECK(w.window->document().day().plan.driftBound_pct == 0.5);
    w.trigger("edit.undo");
    w.trigger("edit.undo");
    CHECK(w.window->document().day().plan.use == WantedUse{});
    CHECK(w.find<QToolButton>("useButton")->text().contains(u"whole range"_s));
}

TEST_CASE("the role of a part is shown and corrected") {
    OpenWindow w;
    w.window->showPage("prepare");
    auto* table = w.find<QTableView>("buildTable");
    auto* role = w.find<QComboBox>("roleChoice");
    const auto header = [&](int row) { return table->model()->headerData(row, Qt::Vertical).toString(); };
    CHECK_FALSE(role->isEnabled()); // no part is selected
    REQUIRE(header(1) == u"collector \u00B7 exhaust"_s);
    table->setCurrentIndex(table->model()->index(1, 0));
    REQUIRE(role->isEnabled());
    CHECK(role->currentText() == u"exhaust"_s);
    const int jets = role->findText(u"jets"_s);
    role->setCurrentIndex(jets);
    Q_EMIT role->activated(jets);
    CHECK(w.window->document().day().partRoles == std::map<std::string, PartRole>{{"collector", PartRole::Jets}});
    CHECK(header(1) == u"collector \u00B7 jets"_s);
    const int exhaust = role->findText(u"exhaust"_s); // back to what is guessed: nothing to keep
    role->setCurrentIndex(exhaust);
    Q_EMIT role->activated(exhaust);
    CHECK(w.window->document().day().partRoles.empty());
}

TEST_CASE("in torque the band table judges by torque") {
    OpenWindow w;
    w.window->selection().setQuantity(Quantity::Torque);
    const Comparison& c = *w.analysis().find("A", "B");
    auto* model = w.find<QTableView>("bandTable")->model();
    REQUIRE(model->rowCount() == static_cast<int>(c.bands.size()));
    for (size_t i = 0; i < c.bands.size(); ++i) {
        const BandResult& band = c.bands[i];
        const QString expected = band.lowTorque_nm > 0.0    ? u"gain"_s
                                 : band.highTorque_nm < 0.0 ? u"loss"_s
                                                            : u"cannot tell"_s;
        CHECK(model->index(static_cast<int>(i), 3).data().toString() == expected);
        CHECK(model->index(static_cast<int>(i), 1).data().toString().contains(u"N\u00B7m"_s));
    }
    CHECK(w.text("answer").contains(u"N\u00B7m"_s));
    CHECK_FALSE(w.text("answer").contains(u"kW"_s));
}

TEST_CASE("a page that is not seen does no work, and catches up when it is shown") {
    OpenWindow w;
    w.window->showPage("check");
    const QString slip = w.text("slipText");
    CHECK(slip.contains(u"p01"_s));
    w.window->showPage("compare");
    w.window->selection().setPull("p05");
    CHECK(w.text("slipText") == slip); // hidden: nothing was drawn
    w.window->showPage("check");
    CHECK(w.text("slipText").contains(u"p05"_s));
}
