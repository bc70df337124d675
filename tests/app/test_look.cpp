// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Words and marks can be told from their ground, by day and by night, in our own widgets and in the desktop's dialogs.

#include "app/look/scale.h"
#include "app/look/theme.h"
#include "app_support.h"

#include <QApplication>
#include <QFileDialog>
#include <QListView>
#include <QTreeView>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;

TEST_CASE("contrast as it is defined") { // WCAG 2.1: black on white 21; #777777 on white 4.48
    CHECK(contrast(Qt::black, Qt::white) == Approx(21.0));
    CHECK(contrast(QColor(0x777777), Qt::white) == Approx(4.48).margin(0.005));
    CHECK(contrast(QColor(0x123456), QColor(0x123456)) == 1.0);
}

TEST_CASE("words reach 4.5 to 1 and marks 3 to 1 in both themes") {
    for (const Theme& t : {Theme::paper(), Theme::nightCell()}) {
        INFO((t.dark ? "dark" : "light"));
        for (const QColor& ground : {t.panel, t.ground}) {
            for (const QColor& words : {t.ink, t.quietInk, t.mark, t.warning, t.stop})
                CHECK(contrast(words, ground) >= 4.5);
            for (const QColor& mark : {t.edge, t.gain, t.loss})
                CHECK(contrast(mark, ground) >= 3.0);
            for (size_t build = 0; build < 16; ++build) {
                INFO("build " << build);
                CHECK(contrast(t.asText(t.build(build)), ground) >= 4.5);
            }
        }
        CHECK(contrast(t.unresolved, t.panel) >= 3.0);
        const QColor onMark = t.dark ? t.ground : t.panel;
        CHECK(contrast(onMark, t.gain) >= 4.5);
        CHECK(contrast(onMark, t.loss) >= 4.5);
        CHECK(contrast(t.panel, t.mark) >= 4.5);
        CHECK(t.asText(t.ink) == t.ink); // what can be read already stays
    }
}

TEST_CASE("the desktop's own dialogs can be read in the dark") {
    OpenWindow w(test::kNoDay);
    w.window->setDark(true);
    QFileDialog dialog(w.window.get());
    dialog.setOption(QFileDialog::DontUseNativeDialog);
    dialog.show();
    for (const QWidget* part : dialog.findChildren<QWidget*>()) {
        if (!part->isVisible())
            continue;
        const QPalette p = part->palette();
        INFO(part->metaObject()->className() << " " << part->objectName().toStdString());
        CHECK(contrast(p.color(QPalette::Text), p.color(QPalette::Base)) >= 4.5);
        CHECK(contrast(p.color(QPalette::WindowText), p.color(QPalette::Window)) >= 4.5);
        CHECK(contrast(p.color(QPalette::ButtonText), p.color(QPalette::Button)) >= 4.5);
    }
    const QImage picture = dialog.grab().toImage();
    int dark = 0;
    for (int y = 0; y < picture.height(); y += 4)
        for (int x = 0; x < picture.width(); x += 4)
            dark += picture.pixelColor(x, y).lightness() < 100 ? 1 : 0;
    CHECK(dark > picture.width() * picture.height() / 16 * 8 / 10); // no white list in a dark window
    w.window->setDark(false);
    CHECK(QApplication::palette().color(QPalette::Base) == Theme::paper().panel);
}

TEST_CASE("the look follows what was chosen: the desktop, light or dark") {
    {
        OpenWindow w(test::kNoDay);
        CHECK(SettingsStore().get(settings::kTheme) == u"desktop"_s);
        w.trigger("view.dark");
        w.window->close();
        CHECK(SettingsStore().get(settings::kTheme) == u"dark"_s);
    }
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    CHECK(QApplication::palette().color(QPalette::Window) == Theme::nightCell().ground);
    window.setDark(false);
}

TEST_CASE("lengths of a style sheet follow the desktop's type, thin rules do not") {
    const QFont before = QApplication::font();
    QFont large = before;
    large.setPixelSize(27);
    QApplication::setFont(large);
    const QString scaled = scaledSheet(u"a { border: 1px solid; padding: 10px 2px; font-size: 13px; }"_s);
    const int wide = px(100);
    QApplication::setFont(before);
    CHECK(scaled == u"a { border: 1px solid; padding: 20px 2px; font-size: 26px; }"_s);
    CHECK(wide == 201);
}

TEST_CASE("the window's title shows that edits are not saved") {
    OpenWindow w(test::boostDay());
    CHECK_FALSE(w.window->isWindowModified());
    CHECK(w.window->windowTitle().contains(u"[*]"_s));
    w.window->document().edit(u"x"_s, [](TestDay& day) { day.note = "edited"; });
    CHECK(w.window->isWindowModified());
    w.trigger("edit.undo");
    CHECK_FALSE(w.window->isWindowModified());
}
