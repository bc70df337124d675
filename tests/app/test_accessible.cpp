// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What a screen reader gets: every control has a name that is no identifier, every picture says what it shows, the
// pulls of the strips are read one by one, the answer is the sentence.

#include "app/board/board_text.h"
#include "app/look/accessible.h"
#include "app_support.h"
#include "report/page.h"

#include <algorithm>
#include <QAccessible>
#include <QRegularExpression>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

/// A line a node: "name | description"; whatever cannot be read goes to `faults`.
void walk(QAccessibleInterface* node, QStringList& faults, int& seen) {
    if (!node || !node->isValid() || node->state().invisible)
        return;
    ++seen;
    const QAccessible::Role role = node->role();
    const QString name = node->text(QAccessible::Name);
    const QString who = node->object() ? QString::fromUtf8(node->object()->metaObject()->className()) + u" "_s +
                                             node->object()->objectName()
                                       : QString();
    const bool speaks = role == QAccessible::Button || role == QAccessible::CheckBox || role == QAccessible::ComboBox ||
                        role == QAccessible::EditableText || role == QAccessible::SpinBox ||
                        role == QAccessible::RadioButton || role == QAccessible::Table || role == QAccessible::List ||
                        role == QAccessible::Graphic || role == QAccessible::ListItem || role == QAccessible::Tree ||
                        role == QAccessible::ButtonMenu;
    static const QRegularExpression identifier(u"^[a-z0-9]+([A-Z][a-z0-9]*)+$|^\\w+_\\w+$"_s);
    const bool inside = node->parent() && (node->parent()->role() == QAccessible::SpinBox ||
                                           node->parent()->role() == QAccessible::ComboBox ||
                                           node->parent()->role() == QAccessible::List);
    if (speaks && !inside && name.isEmpty())
        faults << u"no name: "_s + who;
    if (name.size() > 3 && identifier.match(name).hasMatch()) // "kW" is none
        faults << u"an identifier: "_s + name;
    if (role == QAccessible::Graphic && node->text(QAccessible::Description).isEmpty())
        faults << u"a picture without words: "_s + who;
    if (role == QAccessible::ComboBox || role == QAccessible::SpinBox || role == QAccessible::Table)
        return; // their cells are Qt's own
    for (int i = 0; i < node->childCount(); ++i)
        walk(node->child(i), faults, seen);
}

QAccessibleInterface* nodeOf(QWidget* widget) {
    QAccessibleInterface* node = QAccessible::queryAccessibleInterface(widget);
    REQUIRE(node);
    return node;
}

} // namespace

TEST_CASE("every page can be read aloud") {
    for (const auto& day : {test::boostDay(), test::rollerDay(), test::kNoDay}) {
        OpenWindow w(day);
        for (const PageSpec& page : everyPage()) {
            w.window->showPage(page.id);
            test::waitFor([&] { return !w.window->document().isBusy(); });
            QStringList faults;
            int seen = 0;
            walk(nodeOf(w.window.get()), faults, seen);
            INFO("page " << page.id << ", " << seen << " nodes");
            CHECK(faults.join(u"\n"_s).toStdString() == "");
            CHECK(seen > 20);
        }
    }
}

TEST_CASE("the answer is read as it stands, and the boards tell what they show") {
    OpenWindow w(test::boostDay());
    w.window->showPage("compare");
    auto* answer = w.find<QLabel>("answer");
    REQUIRE(test::waitFor([&] { return answer->text().contains(u"gives"_s); }));
    CHECK(nodeOf(answer)->text(QAccessible::Name) == answer->text());
    QAccessibleInterface* curves = nodeOf(w.find<QWidget>("curvesBoard"));
    CHECK(curves->role() == QAccessible::Graphic);
    CHECK(curves->text(QAccessible::Name).startsWith(u"Power at the wheel, kW"_s));
    const QString shown = curves->text(QAccessible::Description);
    INFO(shown.toStdString());
    const BoardSeries& a = w.find<Board>("curvesBoard")->content().series.front();
    const auto top = static_cast<size_t>(std::max_element(a.y.begin(), a.y.end()) - a.y.begin());
    CHECK(shown.startsWith(u"A: begins %1 at "_s.arg(a.y.front(), 0, 'f', 1)));
    CHECK(shown.contains(u", highest %1 at "_s.arg(a.y[top], 0, 'f', 1)));
    CHECK(shown.contains(u"; B: begins "_s));
    w.window->selection().setCursor(4500.0);
    CHECK(curves->text(QAccessible::Description).contains(u"cursor: 4"_s));
    const QString ribbon = nodeOf(w.find<QWidget>("gainRibbon"))->text(QAccessible::Description);
    CHECK(ribbon.contains(QRegularExpression(u"gain from 2.\\d\\d\\d to 6.\\d\\d\\d rpm"_s)));
    w.window->showPage("report");
    QAccessibleInterface* paper = nodeOf(w.find<QWidget>("paper"));
    CHECK(paper->text(QAccessible::Description).contains(answer->text()));
}

TEST_CASE("the strip exposes its pulls, and one can be chosen there") {
    OpenWindow w(test::boostDay());
    QAccessibleInterface* strip = nodeOf(w.find<QWidget>("dayStrip"));
    CHECK(strip->role() == QAccessible::List);
    REQUIRE(strip->childCount() == 12);
    QAccessibleInterface* fourth = strip->child(3);
    CHECK(fourth->text(QAccessible::Name).startsWith(u"p04, build B, 14:00; +"_s));
    CHECK(fourth->rect().intersects(strip->rect()));
    CHECK(strip->childAt(fourth->rect().center().x(), fourth->rect().center().y()) == fourth);
    CHECK(strip->indexOfChild(fourth) == 3);
    REQUIRE(fourth->actionInterface());
    fourth->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    CHECK(w.window->selection().pull() == "p04");
    CHECK(fourth->state().selected);
    CHECK_FALSE(strip->child(2)->state().selected);
    w.window->showPage("prepare");
    QAccessibleInterface* order = nodeOf(w.find<QWidget>("orderStrip"));
    REQUIRE(order->childCount() == 12);
    CHECK(order->child(3)->text(QAccessible::Name) == u"pull 4: build B, done"_s);
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.plan.order.pop_back(); });
    CHECK(order->childCount() == 11);
}

TEST_CASE("a board in words") {
    BoardContent content;
    CHECK(boardText(content, {}) == u"nothing to show"_s);
    content.title = u"Power, kW"_s;
    BoardSeries a;
    a.x = {1000.0, 2000.0, 3000.0};
    a.y = {10.0, 40.0, 30.0};
    a.label = u"A"_s;
    content.series = {a};
    content.shades = {{1000.0, 1500.0, {}, u"drift"_s}};
    content.marks = {{2000.0, 40.0, {}, u"knock"_s}};
    CHECK(boardText(content, u"2 000 rpm\nA 40"_s).replace(QChar(0x202F), u' ').replace(QChar(0xA0), u' ') ==
          u"A: begins 10.0 at 1 000, highest 40.0 at 2 000, lowest 10.0 at 1 000, ends 30.0 at 3 000; drift from 1 000 "
          u"to "
          "1 500; knock at 2 000; cursor: 2 000 rpm A 40"_s);
    content.series[0].y = {std::nan(""), std::nan(""), std::nan("")};
    content.shades.clear();
    content.marks.clear();
    CHECK(boardText(content, {}) == u"A: nothing"_s);
}

TEST_CASE("a page's words are read from the top down") {
    report::Page page;
    page.add(report::Text{{100, 50}, "second"});
    page.add(report::Text{{10, 20}, "first"});
    page.add(report::Text{{200, 50.5}, "beside it"});
    page.add(report::Text{{10, 300}, "2 000", 6.0});
    CHECK(report::pageText(page) == "first\nsecond, beside it");
}
