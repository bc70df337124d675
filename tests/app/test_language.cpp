// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The window in German and French: every page, nothing cut, nothing left in English; the language changes while a day
// is open. With HILLRUN_PICTURES=DIR every page is kept as a picture.

#include "app/board/board.h"
#include "app/look/language.h"
#include "app/shell/settings_dialog.h"
#include "app_support.h"
#include "cut_text.h"

#include <QAbstractButton>
#include <QComboBox>
#include <QMenu>
#include <QRegularExpression>
#include <QScrollArea>
#include <QScrollBar>
#include <QUndoStack>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

void choose(OpenWindow& w, const QString& language) {
    w.trigger("app.settings");
    auto* dialog = w.find<SettingsDialog>("settingsDialog");
    auto* box = dialog->findChild<QComboBox*>(u"languageSetting"_s);
    REQUIRE(box);
    box->setCurrentIndex(box->findData(language));
    dialog->accept();
    QTest::qWait(50); // the window is made anew once the dialog is gone
    w.settled();
    QTest::qWait(50);
}

/// What is on the screen in words, of the page that is shown.
QStringList wordsOn(const QWidget& window) {
    QStringList out;
    for (const QWidget* widget : window.findChildren<QWidget*>()) {
        if (!widget->isVisible())
            continue;
        if (const auto* label = qobject_cast<const QLabel*>(widget))
            out << label->text();
        else if (const auto* button = qobject_cast<const QAbstractButton*>(widget))
            out << button->text();
        out << widget->toolTip();
    }
    out.removeAll(QString());
    return out;
}

/// Texts in which the commonest English words stand. The demo days' own names and notes are English and hold none.
QStringList englishIn(const QStringList& texts) {
    static const QRegularExpression kEnglish(
        u"\\b(the|and|with|which|cannot|nobody|pulls|builds|against|power|torque|speed|weather)\\b"_s);
    return texts.filter(kEnglish);
}

} // namespace

TEST_CASE("every page speaks German and French, and nothing is cut") {
    for (const QString& language : {u"de"_s, u"fr"_s}) {
        OpenWindow w(test::boostDay());
        choose(w, language);
        for (const QSize size : {QSize(1280, 800), QSize(1024, 768)}) {
            w.window->resize(size);
            for (const PageSpec& page : everyPage()) {
                const QString name = QString::fromStdString(std::string(page.id));
                w.window->showPage(page.id);
                test::waitFor([&] { return !w.window->document().isBusy(); });
                QTest::qWait(20);
                INFO(language.toStdString() << " " << name.toStdString() << " at " << size.width());
                CHECK(test::cutTexts(*w.window).join(u"\n"_s).toStdString() == "");
                CHECK(englishIn(wordsOn(*w.window)).join(u"\n"_s).toStdString() == "");
                for (const QScrollArea* area : w.window->findChildren<QScrollArea*>())
                    if (area->isVisible() &&
                        (size.width() >= 1280 || page.id == "compare" || page.id == "credit")) // fits across
                        CHECK(area->horizontalScrollBar()->maximum() == 0);
                if (const QString folder = qEnvironmentVariable("HILLRUN_PICTURES"); !folder.isEmpty())
                    w.window->grab().save(u"%1/%2_%3_%4.png"_s.arg(folder, language).arg(size.width()).arg(name));
            }
        }
    }
}

TEST_CASE("the axes of a board speak the language too") {
    OpenWindow w(test::latticeDay());
    choose(w, u"de"_s);
    w.window->showPage("credit");
    REQUIRE(test::waitFor([&] { return w.window->document().analysis() && w.window->document().analysis()->credit; }));
    w.trigger("credit.interaction");
    auto& board = *w.find<Board>("creditBoard");
    board.replot();
    CHECK(board.yAxis->tickVectorLabels().contains(u"2,5"_s));
}

TEST_CASE("the language changes while a day is open; the day, its edits and the selection stay") {
    OpenWindow w;
    w.window->showPage("compare");
    const QString english = w.text("answer");
    w.window->document().setAside({"p05"}, u"not warm"_s);
    REQUIRE(w.settled());
    w.window->selection().setPull("p04");
    const int edits = w.window->document().undoStack().count();

    choose(w, u"de"_s);
    CHECK(w.window->findChildren<QMenu*>(u"dayMenu"_s).size() == 1); // nothing of the former window stays behind
    CHECK(w.window->pageShown() == "compare");
    CHECK(w.window->selection().pull() == "p04");
    CHECK(w.window->document().undoStack().count() == edits);
    CHECK(findPull(w.window->document().day(), "p05")->reasonCode == "not_warm");
    CHECK(w.text("answer").contains(u"an der Kurbelwelle"_s));
    CHECK(w.text("answer").contains(QRegularExpression(u"\\d,\\d\\x{A0}\\x{B1}"_s))); // a comma before the plus-minus
    w.trigger("edit.undo");
    REQUIRE(w.settled());
    CHECK(findPull(w.window->document().day(), "p05")->use);

    w.window->document().setAside({"p05"}, u"nicht warm"_s); // in words of this language it is the same code
    CHECK(findPull(w.window->document().day(), "p05")->reasonCode == "not_warm");
    CHECK(findPull(w.window->document().day(), "p05")->reason == "not warm");
    w.trigger("edit.undo");
    REQUIRE(w.settled());

    choose(w, u"en"_s);
    CHECK(w.text("answer") == english);
    w.showEveryPage();
}

TEST_CASE("a number is shown with the language's decimal mark and taken with both") {
    OpenWindow w;
    choose(w, u"de"_s);
    w.window->showPage("bench");
    const QString shown = w.find<NumberField>("airPressure")->text();
    CHECK(shown.contains(u','));
    test::typeNumber(w.find<NumberField>("airPressure"), u"98.42"_s);
    CHECK(*w.find<NumberField>("airPressure")->number() == Approx(98.42));
    test::typeNumber(w.find<NumberField>("airPressure"), u"98,42"_s);
    CHECK(*w.find<NumberField>("airPressure")->number() == Approx(98.42));
    choose(w, u"en"_s);
}
