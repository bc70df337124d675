// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The field: six builds held against each other in the real window, by keys, by dragging, in small boards.

#include "app/compare/compare_page.h"
#include "app/look/words.h"
#include "app_support.h"
#include "core/compare/field.h"

#include <cmath>
#include <QClipboard>
#include <QLabel>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

struct OpenField : OpenWindow {
    OpenField() : OpenWindow(test::runnerDay()) {
        window->showPage("compare");
        REQUIRE(settled());
        QTest::keyClick(window.get(), Qt::Key_F);
        REQUIRE(page().fieldShown());
    }
    [[nodiscard]] ComparePage& page() { return *window->findChild<ComparePage*>(); }
    [[nodiscard]] FieldLadder& ladder() { return *window->findChild<FieldLadder*>(); }
    [[nodiscard]] Board& board() { return *window->findChild<Board*>(u"fieldBoard"_s); }
    [[nodiscard]] const Field& field() { return *analysis().field; }
};

} // namespace

TEST_CASE("the field answers in a sentence, a ladder and a lead strip") {
    OpenField w;
    const Field& field = w.field();
    CHECK(w.text("answer").contains(QString::fromStdString(field.named())));
    const QString caution = w.text("caution").remove(QChar(0x2060)); // without word joiners
    CHECK(caution.contains(u"Use: "_s + rangeText(field.use.range_rpm)));
    const auto rows = fieldRows(w.window->document().day(), w.analysis());
    REQUIRE(rows.size() == 6);
    CHECK(w.ladder().spokenCount() == 7);
    CHECK(rows.front().build == field.named());
    double before = INFINITY; // sorted by gain
    for (const FieldRow& row : rows) {
        const auto at = std::find_if(field.builds.begin(), field.builds.end(),
                                     [&](const FieldBuild& b) { return b.id == row.build; });
        REQUIRE(at != field.builds.end());
        CHECK(at->gain <= before);
        before = at->gain;
        CHECK(row.base == (row.build == "A"));
        CHECK(row.regions.empty() == row.base);
        CHECK(row.mayBeBest == at->mayBeBest);
    }
    const auto leads = leadParts(w.window->document().day(), w.analysis());
    REQUIRE(leads.size() == field.leads.size());
    for (size_t i = 0; i < leads.size(); ++i)
        CHECK(leads[i].proven.has_value() == (field.leads[i].builds.size() == 1));
    CHECK(w.ladder().spokenItem(0).contains(u"lead"_s));
}

TEST_CASE("F and back, and the pair that is left is the pair that was looked at in the field") {
    OpenField w;
    w.ladder().setFocus();
    QTest::keyClick(&w.ladder(), Qt::Key_Home);
    const std::string best = w.field().named();
    CHECK(w.window->selection().to() == best);
    CHECK(w.window->selection().from() == "A");
    CHECK(w.window->findChild<QLabel*>(u"fieldName"_s)->text().startsWith(QString::fromStdString(best)));
    QTest::keyClick(&w.ladder(), Qt::Key_Return);
    CHECK_FALSE(w.page().fieldShown());
    QTest::keyClick(w.window.get(), Qt::Key_F);
    CHECK(w.page().fieldShown());
}

TEST_CASE("arrows walk every build of the ladder, the base too, and its curve comes to the front") {
    OpenField w;
    w.ladder().setFocus();
    QTest::keyClick(&w.ladder(), Qt::Key_Home);
    QStringList walked;
    for (int i = 0; i < 6; ++i) {
        const auto& front = w.board().content().series.back();
        walked << front.label;
        CHECK(front.pen.widthF() == 3.0);
        QTest::keyClick(&w.ladder(), Qt::Key_Down);
    }
    walked.sort();
    CHECK(walked == QStringList{u"A"_s, u"B"_s, u"C"_s, u"D"_s, u"E"_s, u"F"_s});
}

TEST_CASE("with the base chosen, a pair taken elsewhere chooses its build") {
    OpenField w;
    w.ladder().chooseSpoken(1);
    for (int i = 1; i < w.ladder().spokenCount(); ++i)
        if (w.ladder().spokenItem(i).startsWith(u"A:"_s))
            w.ladder().chooseSpoken(i);
    CHECK(w.board().content().series.back().label == u"A"_s);
    w.window->selection().setPair("A", "E"); // as the day strip does
    CHECK(w.board().content().series.back().label == u"E"_s);
    CHECK(w.find<QLabel>("fieldName")->text().startsWith(u"E"_s));
}

TEST_CASE("the same walk with the keys of the board") {
    OpenField w;
    w.ladder().setFocus();
    QTest::keyClick(&w.ladder(), Qt::Key_Home);
    w.board().setFocus();
    for (int i = 0; i < 5; ++i)
        QTest::keyClick(&w.board(), Qt::Key_Down);
    CHECK(w.ladder().spokenChosen(6));
    QTest::keyClick(&w.board(), Qt::Key_Up);
    CHECK(w.ladder().spokenChosen(5));
}

TEST_CASE("a stretch dragged across the curves is the use, is said to be chosen after looking, and can be undone") {
    OpenField w;
    const std::string before = w.field().named();
    w.page().field().nameUse(RpmRange{2500.0, 4000.0});
    REQUIRE(w.settled());
    CHECK(w.field().use.range_rpm == RpmRange{2500.0, 4000.0});
    CHECK(w.field().named() != before); // long runners for low speeds
    CHECK(w.text("caution").contains(u"chosen after looking"_s));
    REQUIRE(w.board().content().shades.size() == 1);
    CHECK(w.board().content().shades[0].from == 2500.0);
    w.window->document().undoStack().undo();
    REQUIRE(w.settled());
    CHECK(w.field().named() == before);
    CHECK_FALSE(w.text("caution").contains(u"after looking"_s));
    w.window->findChild<QToolButton*>(u"compare.whole_use"_s)->click();
    REQUIRE(w.settled());
    CHECK(w.window->document().day().plan.use == WantedUse{});
    CHECK(w.board().content().shades.empty());
}

TEST_CASE("small boards: one for each build, all on one scale") {
    OpenField w;
    QTest::keyClick(w.window.get(), Qt::Key_M);
    QList<Board*> boards;
    for (Board* board : w.window->findChildren<Board*>())
        if (board->objectName().startsWith(u"smallBoard"_s))
            boards << board;
    REQUIRE(boards.size() == 6);
    for (const Board* board : boards) {
        CHECK(test::waitFor([&] { return board->isVisible(); }));
        CHECK(board->content().yRange == boards.front()->content().yRange);
        CHECK(board->content().xRange == boards.front()->content().xRange);
    }
    CHECK(w.find<QToolButton>("compare.small_boards")->x() < 200); // the tools stay together at the left
    CHECK(boards[0]->content().series.size() == 1);                // the base alone
    CHECK(boards[1]->content().series.size() == 2);
    QTest::keyClick(w.window.get(), Qt::Key_M);
    CHECK(w.board().isVisible());
    QTest::keyClick(w.window.get(), Qt::Key_F); // from the pair M shows what it changes
    QTest::keyClick(w.window.get(), Qt::Key_M);
    CHECK(w.page().fieldShown());
    CHECK(w.page().field().smallBoards());
}

TEST_CASE("the field goes to the clipboard as a table and as a picture") {
    OpenField w;
    w.page().copyTable();
    const QString text = QGuiApplication::clipboard()->text();
    CHECK(text.contains(u"Use: "_s));
    CHECK(text.count(u'\n') >= 7);
    w.page().copyPicture();
    CHECK(QGuiApplication::clipboard()->mimeData()->hasImage());
    CHECK(QGuiApplication::clipboard()->mimeData()->hasFormat(u"image/svg+xml"_s));
}

TEST_CASE("two builds are no field, and the page says what to do") {
    OpenWindow w; // A and B
    w.window->showPage("compare");
    REQUIRE(w.settled());
    QTest::keyClick(w.window.get(), Qt::Key_F);
    CHECK(w.text("answer").contains(u"three builds and more"_s));
    CHECK_FALSE(w.window->findChild<FieldLadder*>()->isVisible());
    QTest::keyClick(w.window.get(), Qt::Key_F);
    CHECK_FALSE(w.text("answer").contains(u"three builds and more"_s));
}
