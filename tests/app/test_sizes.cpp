// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Nothing is cut on small screens and with large type. With HILLRUN_PICTURES=DIR every page is kept as a picture.

#include "app_support.h"
#include "cut_text.h"

#include <QApplication>
#include <QDialog>
#include <QLineEdit>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

namespace {

/// The desktop's type for as long as it lives.
struct DesktopType {
    QFont before = QApplication::font();
    explicit DesktopType(int points) {
        QFont font = before;
        font.setPointSize(points);
        QApplication::setFont(font);
    }
    ~DesktopType() { QApplication::setFont(before); }
};

QString cutOnEveryPage(OpenWindow& w, QSize size, int points) {
    QStringList out;
    w.window->resize(size);
    for (const PageSpec& page : everyPage()) {
        const QString name = QString::fromStdString(std::string(page.id));
        w.window->showPage(page.id);
        test::waitFor([&] { return !w.window->document().isBusy(); });
        QTest::qWait(20);
        test::waitFor([&] { return test::cutTexts(*w.window).isEmpty(); }, 1000); // the bar settles after the page
        for (const QString& cut : test::cutTexts(*w.window))
            out << name + u": "_s + cut;
        if (const QString folder = qEnvironmentVariable("HILLRUN_PICTURES"); !folder.isEmpty())
            w.window->grab().save(u"%1/%2_%3_%4.png"_s.arg(folder).arg(size.width()).arg(points).arg(name));
    }
    return out.join(u"\n"_s);
}

} // namespace

TEST_CASE("nothing is cut on small screens and with large type") {
    for (const int points : {10, 16}) {
        const DesktopType type(points);
        OpenWindow w(test::boostDay());
        for (const QSize size : {QSize(1024, 768), QSize(1280, 720), QSize(1366, 768)}) {
            INFO(points << " pt at " << size.width() << "x" << size.height());
            const QString cut = cutOnEveryPage(w, size, points);
            CHECK(cut.toStdString() == "");
        }
    }
}

TEST_CASE("nothing is cut on a day of six builds") {
    OpenWindow w(test::dataFolder() / "demo" / "day-5-inlet-runners");
    for (const QSize size : {QSize(1024, 768), QSize(1280, 800)}) {
        INFO(size.width() << "x" << size.height());
        const QString cut = cutOnEveryPage(w, size, 10);
        CHECK(cut.toStdString() == "");
    }
}

TEST_CASE("the article's dialog fits a low screen and shows the beginning of long texts") {
    OpenWindow w(test::boostDay());
    w.window->resize(1280, 720);
    w.trigger("prepare.article");
    auto* dialog = w.find<QDialog>("articleDialog");
    CHECK(dialog->height() <= 720);
    CHECK(dialog->width() <= 1280);
    for (const QLineEdit* edit : dialog->findChildren<QLineEdit*>())
        CHECK(edit->cursorPosition() == 0);
    CHECK(test::cutTexts(*dialog).join(u"\n"_s).toStdString() == "");
}
