// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/command_search.h"
#include "app_support.h"

#include <QAbstractItemModelTester>
#include <QPushButton>
#include <QTableView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

TEST_CASE("the registry refuses a second action and a shortcut that is taken") {
    QWidget window;
    ActionRegistry registry(&window);
    registry.add({"a.one", u"One"_s, QKeySequence(u"Ctrl+1"_s), {}}, &window, [] {});
    CHECK_THROWS_AS(registry.add({"a.one", u"Again"_s, {}, {}}, &window, [] {}), std::logic_error);
    CHECK_THROWS_AS(registry.add({"a.two", u"Two"_s, QKeySequence(u"Ctrl+1"_s), {}}, &window, [] {}), std::logic_error);
    CHECK_THROWS_AS(registry.get("a.three"), std::logic_error);
    CHECK(registry.get("a.one")->toolTip().contains(u"Ctrl+1"_s));
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
    const std::pair<Page, const char*> pages[] = {{Page::Prepare, "preparePage"},
                                                  {Page::Pull, "pullPage"},
                                                  {Page::Check, "checkPage"},
                                                  {Page::Report, "reportPage"},
                                                  {Page::Bench, "benchPage"}};
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
    w.window->showPage(Page::Check);
    const QAbstractItemModelTester pulls(w.find<QTableView>("pullTable")->model(),
                                         QAbstractItemModelTester::FailureReportingMode::Fatal);
    w.window->showPage(Page::Compare);
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
