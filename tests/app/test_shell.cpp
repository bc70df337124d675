// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/board/board.h"
#include "app/shell/command_search.h"
#include "app_support.h"

#include <QAbstractItemModelTester>
#include <QPushButton>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

TEST_CASE("the registry refuses a second action and a key that would mean two things at one place") {
    QWidget window;
    ActionRegistry registry(&window);
    const auto add = [&](const ActionSpec& spec) { registry.add(spec, &window, [] {}); };
    const auto refused = [&](const ActionSpec& spec) { CHECK_THROWS_AS(add(spec), std::logic_error); };
    add({.id = "a.one", .text = u"One"_s, .keys = {u"Ctrl+1"_s, u"Alt+1"_s}});
    refused({.id = "a.one", .text = u"Again"_s});
    refused({.id = "a.two", .text = {}, .keys = {u"Ctrl+1"_s}});
    refused({.id = "a.two", .text = {}, .keys = {u"F2"_s, u"Alt+1"_s}});
    refused({.id = "a.two", .text = {}, .keys = {u"Ctrl+1"_s}, .scope = {"check"}}); // it counts there too
    CHECK_THROWS_AS(registry.get("a.two"), std::logic_error);
    CHECK(registry.find("a.two") == nullptr);
    CHECK(registry.get("a.one")->toolTip() == u"One (Ctrl+1)"_s);
    add({.id = "check.s", .text = {}, .keys = {u"S"_s}, .scope = {"check"}});
    add({.id = "pull.s", .text = {}, .keys = {u"S"_s}, .scope = {"pull"}}); // on two pages one key may mean two things
    refused({.id = "check.t", .text = {}, .keys = {u"S"_s}, .scope = {"check", "table"}});
    refused({.id = "all.s", .text = {}, .keys = {u"S"_s}});
    add({.id = "check.delete", .text = {}, .keys = {u"Del"_s}, .scope = {"check", "table"}});
    add({.id = "check.delete_other", .text = {}, .keys = {u"Del"_s}, .scope = {"check", "strip"}});
    refused({.id = "check.delete_more", .text = {}, .keys = {u"Del"_s}, .scope = {{}, "strip"}});
    CHECK_THROWS_AS(registry.note({{u"S"_s}, u"of a widget"_s, {"pull", "table"}}), std::logic_error);
    registry.note({{u"S"_s}, u"of another window"_s, {"import", {}}});
    refused({.id = "import.s", .text = {}, .keys = {u"S"_s}, .scope = {"import"}});
}

TEST_CASE("what an action needs: its page, the focus, a day that may be written, its rule") {
    QWidget window;
    ActionRegistry registry(&window);
    registry.add({.id = "check.delete",
                  .text = u"Delete"_s,
                  .scope = {"check", "table"},
                  .edits = true,
                  .rule = [](const WindowState& s) { return s.pullSelected; }},
                 &window, [] {});
    int asked = 0;
    registry.add({.id = "always", .text = u"Once"_s, .textNow = [&] { return QString::number(++asked); }}, &window,
                 [] {});
    WindowState state;
    state.page = "check";
    state.focus = "table";
    state.pullSelected = true;
    CHECK(registry.enabled("check.delete", state));
    registry.refresh(state);
    CHECK(registry.get("check.delete")->isEnabled());
    CHECK(registry.get("always")->text() == u"1"_s);
    for (const auto& spoil :
         {+[](WindowState& s) { s.page = "pull"; }, +[](WindowState& s) { s.focus = "strip"; },
          +[](WindowState& s) { s.mayEdit = false; }, +[](WindowState& s) { s.pullSelected = false; }}) {
        WindowState spoilt = state;
        spoil(spoilt);
        CHECK_FALSE(registry.enabled("check.delete", spoilt));
        CHECK(registry.enabled("always", spoilt));
        registry.refresh(spoilt);
        CHECK_FALSE(registry.get("check.delete")->isEnabled());
    }
}

TEST_CASE("each page can be copied as far as it has something to copy") {
    OpenWindow w;
    for (const auto& [page, can] :
         {std::pair<PageId, bool>{"prepare", false}, {"check", true}, {"compare", true}, {"report", false}}) {
        w.window->showPage(page);
        INFO(page);
        if (page == "check")
            w.window->selection().setPull("p03");
        CHECK(w.action("copy.table")->isEnabled() == can);
        CHECK(w.action("copy.picture")->isEnabled() == can);
    }
    w.window->showPage("check");
    w.window->selection().setPull({});
    w.window->document().close();
    CHECK_FALSE(w.action("copy.table")->isEnabled());
}

TEST_CASE("commands are found by a few letters and run by Enter") {
    OpenWindow w;
    QTest::keyClick(w.window.get(), Qt::Key_K, Qt::ControlModifier);
    auto* search = w.window->findChild<CommandSearch*>();
    REQUIRE(search);
    auto* words = search->findChild<QLineEdit*>(u"commandWords"_s);
    QTest::keyClicks(words, u"torque power"_s);
    CHECK(search->findChild<QListWidget*>(u"commandList"_s)->count() == 1);
    QTest::keyClick(words, Qt::Key_Return);
    CHECK(w.window->selection().quantity() == Quantity::Torque);
    CHECK(w.find<Board>("curvesBoard")->content().title.startsWith(u"Torque"_s));
}

TEST_CASE("a page is made when it is first shown, and shows the day that is open") {
    OpenWindow w;
    const std::pair<PageId, const char*> pages[] = {{"prepare", "preparePage"},
                                                    {"pull", "pullPage"},
                                                    {"check", "checkPage"},
                                                    {"report", "reportPage"},
                                                    {"bench", "benchPage"}};
    for (const auto& [page, name] : pages) {
        CHECK_FALSE(w.window->findChild<QWidget*>(QLatin1StringView(name)));
        w.window->showPage(page);
        CHECK(w.find<QWidget>(name)->isVisible());
        CHECK_FALSE(w.find<QWidget>("comparePage")->isVisible());
    }
    CHECK(w.find<QTableView>("pullTable")->model()->rowCount() == 11);
    CHECK(w.find<QPushButton>("report.pdf_button")->isEnabled());
    CHECK(w.text("airFacts").contains(u"98.42 kPa"_s));
    w.window->document().close();
    CHECK(w.find<QTableView>("pullTable")->model()->rowCount() == 0);
    CHECK_FALSE(w.find<QPushButton>("report.pdf_button")->isEnabled());
}

TEST_CASE("every model passes the item-model tester while days come and go") {
    OpenWindow w;
    w.window->showPage("check");
    const QAbstractItemModelTester pulls(w.find<QTableView>("pullTable")->model(),
                                         QAbstractItemModelTester::FailureReportingMode::Fatal);
    w.window->showPage("compare");
    const QAbstractItemModelTester bands(w.find<QTableView>("bandTable")->model(),
                                         QAbstractItemModelTester::FailureReportingMode::Fatal);
    w.window->document().setAside({"p01"}, u"x"_s);
    REQUIRE(w.settled());
    w.window->document().close();
    CHECK(w.find<QTableView>("pullTable")->model()->rowCount() == 0);
    w.window->openDay(test::boostDay());
    REQUIRE(test::waitFor([&] { return w.window->document().analysis() != nullptr; }));
    CHECK(w.find<QTableView>("pullTable")->model()->rowCount() == 12);
}

TEST_CASE("every control has a name, and in both looks its text can be read") {
    OpenWindow w;
    w.showEveryPage();
    for (QWidget* control : w.window->findChildren<QWidget*>()) {
        const bool isControl = qobject_cast<QAbstractButton*>(control) || qobject_cast<QComboBox*>(control) ||
                               qobject_cast<Board*>(control);
        if (!isControl || control->objectName().startsWith(u"qt_"_s) || control->inherits("QTableCornerButton"))
            continue;
        INFO(control->metaObject()->className());
        CHECK_FALSE(control->objectName().isEmpty());
    }
    auto luminance = [](const QColor& c) {
        auto linear = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
        return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
    };
    auto contrast = [&](const QColor& a, const QColor& b) { // WCAG 2.1, contrast ratio
        const double x = luminance(a) + 0.05, y = luminance(b) + 0.05;
        return std::max(x, y) / std::min(x, y);
    };
    for (const Theme& theme : {Theme::paper(), Theme::nightCell()}) {
        for (const QColor& ground : {theme.ground, theme.panel}) {
            for (const QColor& ink : {theme.ink, theme.quietInk, theme.mark, theme.warning, theme.stop}) {
                INFO(theme.dark << " " << ink.name().toStdString() << " on " << ground.name().toStdString());
                CHECK(contrast(ink, ground) >= 4.5);
            }
        }
    }
}

TEST_CASE("long names and eight builds stay inside the window") {
    OpenWindow w;
    w.window->document().edit(u"many"_s, [](TestDay& day) {
        day.name =
            "A very long name of a day that nobody would ever type but somebody surely will, with everything in it";
        day.builds[0].name =
            "a collector with a name that goes on and on until the card has no room for any more of it";
        for (const char letter : {'C', 'D', 'E', 'F', 'G', 'H'}) {
            Build build;
            build.id = std::string(1, letter);
            day.builds.push_back(build);
            for (int i = 0; i < 2; ++i) {
                Pull pull = day.pulls[static_cast<size_t>(letter - 'C')];
                pull.id = std::string(1, letter) + std::to_string(i);
                pull.build = build.id;
                pull.use = true;
                day.pulls.push_back(pull);
            }
        }
    });
    REQUIRE(w.settled());
    CHECK(w.analysis().builds.size() == 8);
    CHECK(w.window->width() <= 1400);
    CHECK(w.find<QLabel>("dayTitle")->text().endsWith(u"\u2026"_s));
    CHECK(w.find<QWidget>("compareSide")->minimumSizeHint().width() <= 400);
}
