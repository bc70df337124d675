// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// One day, two windows, a disk that changes: one writes, nobody is overwritten, and there is always a way out.

#include "app_support.h"
#include "formats/day_verify.h"
#include "formats/pull_file.h"

#include <fstream>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

/// Another window on the same day.
struct Second {
    test::TestDialogs dialogs;
    test::TestWindow window{dialogs};
    explicit Second(const fs::path& day) {
        window.show();
        window.openDay(day);
        REQUIRE(test::waitFor([&] { return window.document().analysis() != nullptr; }));
    }
    QString notice() { return window.findChild<QLabel*>(u"noticeText"_s)->text(); }
    void answer(int number) {
        auto* button = window.findChild<QPushButton*>(u"noticeAnswer%1"_s.arg(number));
        REQUIRE(button->isVisible());
        QTest::mouseClick(button, Qt::LeftButton);
    }
};

void answer(OpenWindow& w, int number) {
    auto* button = w.find<QPushButton>(u"noticeAnswer%1"_s.arg(number).toLatin1().constData());
    REQUIRE(button->isVisible());
    QTest::mouseClick(button, Qt::LeftButton);
}

/// Somebody edits the day with another program.
void editOnDisk(const fs::path& day) {
    TestDay other = readDay(day);
    other.note = "changed meanwhile";
    saveDay(other, day, day);
}

} // namespace

TEST_CASE("a second window reads only, says who writes, and can take over") {
    OpenWindow first;
    Second second(first.day);
    CHECK(second.window.document().access() == DayAccess::InUse);
    CHECK(second.notice().contains(u"open for writing elsewhere: hillrun on "_s));
    CHECK(second.window.windowTitle().contains(u"read only"_s));
    second.window.document().setAside({"p01"}, u"x"_s);
    CHECK(second.window.document().day().pulls[0].use); // nothing was edited
    CHECK_FALSE(second.window.findChild<QAction*>(u"day.import"_s)->isEnabled());

    first.window->document().setAside({"p02"}, u"unsaved in the first"_s);
    second.answer(0); // take over
    REQUIRE(test::waitFor([&] { return second.window.document().access() == DayAccess::Writable; }));
    second.window.document().setAside({"p01"}, u"from the second"_s);
    CHECK(second.window.document().save().empty());

    first.trigger("day.save"); // the first one finds out before it writes a byte
    CHECK(first.text("noticeText").contains(u"open for writing elsewhere"_s));
    CHECK(readDay(first.day).pulls[0].reason == "from the second");
    CHECK(readDay(first.day).pulls[1].use);
    CHECK(first.window->document().access() == DayAccess::InUse);
    CHECK_FALSE(first.window->document().undoStack().isClean()); // and has lost nothing
    first.dialogs.target = QString::fromStdString((first.folder.path() / "copy").string());
    answer(first, 1); // save a copy
    CHECK(readDay(first.folder.path() / "copy").pulls[1].reason == "unsaved in the first");
    CHECK(first.window->document().access() == DayAccess::Writable);
}

TEST_CASE("when the first window closes the day is free again") {
    OpenWindow first;
    const fs::path day = first.day;
    first.window->document().close();
    Second second(day);
    CHECK(second.window.document().access() == DayAccess::Writable);
}

TEST_CASE("a day that was changed on disk meanwhile is not overwritten") {
    OpenWindow w;
    w.window->document().setAside({"p02"}, u"mine"_s);
    editOnDisk(w.day);
    w.trigger("day.save");
    CHECK(w.text("noticeText").contains(u"changed on disk"_s));
    CHECK(readDay(w.day).note == "changed meanwhile");
    CHECK(readDay(w.day).pulls[1].use);
    SECTION("what differs is told by names") {
        w.dialogs.errors.clear();
        answer(w, 2);
        REQUIRE(w.dialogs.errors.size() == 1);
        INFO(w.dialogs.errors[0].toStdString());
        CHECK(w.dialogs.errors[0].contains(u"pulls p02, reason: \"mine\" here, \"\" on disk"_s));
        CHECK(w.dialogs.errors[0].contains(u"here, \"changed meanwhile\" on disk"_s));
        CHECK_FALSE(w.dialogs.errors[0].contains(u"p03"_s));
    }
    SECTION("saved beside") {
        answer(w, 1);
        CHECK(w.window->document().path() == w.folder.path() / "day-2");
        CHECK(readDay(w.folder.path() / "day-2").pulls[1].reason == "mine");
        CHECK(verifyDay(w.folder.path() / "day-2").good());
    }
    SECTION("reloaded: what was not saved is kept and offered") {
        answer(w, 0);
        REQUIRE(test::waitFor([&] { return w.window->document().day().note == "changed meanwhile"; }));
        CHECK(w.window->document().day().pulls[1].use);
        REQUIRE(test::waitFor([&] { return w.text("noticeText").contains(u"went on without them"_s); }));
        w.dialogs.unsaved = UnsavedChoice::Discard;
        answer(w, 0);
        CHECK(w.window->document().day().pulls[1].reason == "mine");
        CHECK(w.window->document().path().empty());
        CHECK(w.window->document().day().name.ends_with("(kept)"));
    }
}

TEST_CASE("when the folder is gone nothing is written there, and everything can be saved elsewhere") {
    OpenWindow w;
    w.window->document().setAside({"p02"}, u"mine"_s);
    fs::rename(w.day, w.folder.path() / "stick pulled out");
    w.trigger("day.save");
    CHECK(w.text("noticeText").contains(u"the folder of this day is gone"_s));
    CHECK_FALSE(fs::exists(w.day)); // not made anew on another disk
    w.dialogs.target = QString::fromStdString((w.folder.path() / "rescued.zip").string());
    answer(w, 0);
    const TestDay rescued = readDay(w.folder.path() / "rescued.zip");
    CHECK(rescued.pulls[1].reason == "mine");
    CHECK(verifyDay(w.folder.path() / "rescued.zip").good());
    CHECK(sameRows(*rescued.pulls[10].raw, *w.window->document().day().pulls[10].raw));
}

TEST_CASE("the folder came back before saving: it is saved where it was") {
    OpenWindow w;
    w.window->document().setAside({"p02"}, u"mine"_s);
    fs::rename(w.day, w.folder.path() / "away");
    w.trigger("day.save");
    fs::rename(w.folder.path() / "away", w.day);
    w.trigger("day.save");
    CHECK(readDay(w.day).pulls[1].reason == "mine");
}

TEST_CASE("a folder that may not be written opens, and its edits go elsewhere") {
    if (::geteuid() == 0)
        WARN("root may write everywhere: only the words are tested");
    OpenWindow w(test::kNoDay);
    const fs::path day = w.folder.path() / "day";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    fs::create_directory(day / "day.lock"); // a lock that cannot be made
    w.window->openDay(day);
    REQUIRE(w.settled());
    CHECK(w.window->document().access() == DayAccess::NotWritable);
    CHECK(w.text("noticeText").contains(u"cannot be written where it is"_s));
    w.window->document().setAside({"p01"}, u"x"_s);
    CHECK_FALSE(w.window->document().day().pulls[0].use);
    w.trigger("day.save");
    CHECK(w.dialogs.errors.size() == 1);
    w.dialogs.target = QString::fromStdString((w.folder.path() / "copy").string());
    w.trigger("day.save_as");
    CHECK(readDay(w.folder.path() / "copy").pulls[0].reason == "x");
}

TEST_CASE("saving onto another day's folder is refused") {
    OpenWindow w;
    fs::copy(test::boostDay(), w.folder.path() / "other", fs::copy_options::recursive);
    const std::string before = readFileText(w.folder.path() / "other" / "day.json");
    w.dialogs.target = QString::fromStdString((w.folder.path() / "other").string());
    w.trigger("day.save_as");
    REQUIRE(w.dialogs.errors.size() == 1);
    CHECK(w.dialogs.errors[0].contains(u"another day lives in that folder"_s));
    CHECK(readFileText(w.folder.path() / "other" / "day.json") == before);
    CHECK(w.window->document().path() == w.day);
}

TEST_CASE("a pull whose file was changed is left out until somebody decides") {
    OpenWindow w(test::kNoDay);
    const fs::path day = w.folder.path() / "day";
    saveDay(readDay(test::demoDay()), day);
    std::string text = readFileText(day / "pulls" / "p02.csv");
    text.insert(text.rfind("\n", text.size() - 2), " ");
    std::ofstream(day / "pulls" / "p02.csv") << text;
    w.window->openDay(day);
    REQUIRE(w.settled());
    CHECK_FALSE(w.analysis().pulls[1].used);
    CHECK(w.text("noticeText").contains(u"p02 is left out"_s));
    SECTION("taken as it is") {
        answer(w, 0);
        REQUIRE(w.settled());
        CHECK(w.analysis().pulls[1].used);
        w.trigger("day.save");
        CHECK(verifyDay(day).good());
    }
    SECTION("set aside") {
        answer(w, 1);
        CHECK(w.window->document().day().pulls[1].reason == "its file was changed");
        w.trigger("day.save");
        CHECK_FALSE(verifyDay(day).good()); // still told: the file stays as it is
    }
}

TEST_CASE("a pull that cannot be read is repaired into a file of its own") {
    OpenWindow w(test::kNoDay);
    const fs::path day = w.folder.path() / "day";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    const std::string text = readFileText(day / "pulls" / "p02.csv");
    const std::string broken = text.substr(0, text.size() - 7) + "\nhalf a row";
    std::ofstream(day / "pulls" / "p02.csv") << broken;
    w.window->openDay(day);
    REQUIRE(w.settled());
    CHECK(w.text("noticeText").contains(u"It can be repaired"_s));
    answer(w, 0);
    REQUIRE(w.settled());
    CHECK(w.analysis().pulls[1].used);
    CHECK(w.window->document().day().pulls[1].note.find("repaired: ") != std::string::npos);
    w.trigger("day.save");
    CHECK(readFileText(day / "pulls" / "p02.csv") == broken); // the raw file is never changed
    CHECK(readDay(day).pulls[1].file == "pulls/p02-2.csv");
    CHECK(verifyDay(day).good());
}

TEST_CASE("pulls with the same rows are named, and the copies can be set aside") {
    OpenWindow w(test::kNoDay);
    const fs::path day = w.folder.path() / "day";
    TestDay copied = readDay(test::demoDay());
    copied.pulls.push_back(copied.pulls[0]);
    copied.pulls.back().id = "p12";
    copied.pulls.back().file = "pulls/p12.csv";
    saveDay(copied, day);
    w.window->openDay(day);
    REQUIRE(w.settled());
    CHECK(w.text("noticeText").contains(u"p01 and p12 hold the same rows"_s));
    answer(w, 0);
    CHECK(w.window->document().day().pulls[11].reason == "same rows as p01");
    CHECK(w.window->document().day().pulls[0].use);
}

TEST_CASE("a recorded pull that is undone keeps its rows, and the next one has its own") {
    OpenWindow w;
    DayDocument& document = w.window->document();
    const auto record = [&](const std::string& id, size_t rowsOf) {
        Pull pull = readDay(test::boostDay()).pulls[rowsOf];
        pull.id = id;
        pull.build = "A";
        pull.file = "pulls/" + id + ".csv";
        pull.sha256.clear();
        document.edit(u"Record"_s, [&](TestDay& day) { day.pulls.push_back(pull); });
        document.save();
        return pull;
    };
    const Pull first = record("p12", 0);
    document.undoStack().undo();
    document.save();
    const Pull second = record("p12", 1);
    CHECK(sameRows(*readDay(w.day).pulls.back().raw, *second.raw));
    document.undoStack().undo();
    document.undoStack().undo(); // past nothing: the first recording was given up by the second
    document.undoStack().redo();
    document.save();
    CHECK(sameRows(*readDay(w.day).pulls.back().raw, *second.raw));
    CHECK(verifyDay(w.day).good());
    const std::string undone = readFileText(w.day / "pulls" / "p12.csv"); // its rows lie there still
    CHECK(sameRows(readPullText(undone, "p12.csv", 100.0), *first.raw));
    CHECK(readDay(w.day).pulls.back().file != "pulls/p12.csv");
}
