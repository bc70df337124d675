// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Everything unsaved survives whatever ends the program.

#include "app/import/import_dialog.h"
#include "app/shell/guarded_application.h"
#include "app_support.h"
#include "cell/simcell_process.h"
#include "formats/import_files.h"
#include "formats/pull_journal.h"

#include <csignal>
#include <fstream>
#include <QProcess>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::OpenWindow;
namespace fs = std::filesystem;

namespace {

/// What an unsaved day leaves behind when its window goes without a word.
void importAndVanish() {
    test::beginAnew();
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    window.document().show({}, {});
    window.document().edit(u"Import 2 pulls"_s, [](TestDay& day) {
        day.name = "Never saved";
        for (const char* pull : {"p01", "p05"})
            (void)addImported(day,
                              openForImport(test::demoDay() / "pulls" / (std::string(pull) + ".csv"), day).front());
    });
    window.document().edit(u"Add a band"_s, [](TestDay& day) { day.bands = {{3000.0, 4000.0}}; });
    window.document().waitUntilKept();
}

void answer(MainWindow& window, int number) {
    auto* button = window.findChild<QPushButton*>(u"noticeAnswer%1"_s.arg(number));
    REQUIRE(button->isVisible());
    QTest::mouseClick(button, Qt::LeftButton);
}

QString notice(MainWindow& window) { return window.findChild<QLabel*>(u"noticeText"_s)->text(); }

/// The real program on a day, with a home of its own.
struct Program {
    test::TemporaryFolder home;
    QProcess process;
    void start() {
        QProcessEnvironment environment = QProcessEnvironment::systemEnvironment();
        for (const char* variable : {"HOME", "XDG_RUNTIME_DIR", "XDG_CONFIG_HOME", "XDG_DATA_HOME", "XDG_STATE_HOME"})
            environment.insert(QString::fromLatin1(variable), QString::fromStdString(home.path().string()));
        process.setProcessEnvironment(environment);
        process.start(test::programPath("torture_window"), {}); // hillrun, worked from its console
        REQUIRE(process.waitForStarted());
    }
    [[nodiscard]] fs::path kept() const { return home.path() / "hillrun" / "kept"; }
    ~Program() {
        process.kill();
        process.waitForFinished();
    }
};

} // namespace

TEST_CASE("a day that was never saved comes back with its rows, bands and name") {
    importAndVanish();
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    window.show();
    window.offerKept();
    CHECK(notice(window).contains(u"“Never saved” (never saved; 2 pulls"_s));
    CHECK(notice(window).contains(u"Import 2 pulls, Add a band"_s));
    SECTION("opened") {
        answer(window, 0);
        const TestDay& day = window.document().day();
        REQUIRE(day.pulls.size() == 2);
        CHECK(day.name == "Never saved");
        CHECK(day.bands.size() == 1);
        CHECK(sameRows(*day.pulls[1].raw, *readDay(test::demoDay()).pulls[4].raw));
        CHECK_FALSE(window.document().undoStack().isClean()); // still not saved: still kept
        window.document().waitUntilKept();
        CHECK(test::keptFolders().size() == 1);
        test::TemporaryFolder folder;
        window.document().saveAs(folder.path() / "saved");
        window.document().waitUntilKept();
        CHECK(test::keptFolders().empty());
        CHECK(readDay(folder.path() / "saved").bands.size() == 1);
    }
    SECTION("dismissed") {
        answer(window, 1);
        CHECK(test::keptFolders().empty());
        CHECK_FALSE(window.document().isOpen());
    }
    SECTION("later") {
        answer(window, 2);
        CHECK(test::keptFolders().size() == 1);
        window.findChild<QAction*>(u"day.kept"_s)->trigger();
        CHECK(notice(window).contains(u"Never saved"_s));
    }
}

TEST_CASE("edits and a pull that was cut short come back together, neither in place of the other") {
    test::beginAnew();
    test::TemporaryFolder folder;
    const fs::path day = folder.path() / "day";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    {
        test::TestDialogs dialogs;
        test::TestWindow window(dialogs);
        window.openDay(day);
        REQUIRE(test::waitFor([&] { return window.document().isOpen(); }));
        window.document().setAside({"p04"}, u"slip"_s);
        window.document().waitUntilKept();
        PullJournal journal;
        Pull pull = readDay(test::boostDay()).pulls[0];
        const auto rows = pull.raw;
        pull.raw = nullptr;
        pull.id = "p12";
        pull.build = "B";
        pull.file = "pulls/p12.csv";
        REQUIRE(journal.begin(day, pull, rows->columns));
        for (size_t i = 0; i < 300; ++i) {
            std::vector<double> row;
            for (const Column& column : rows->columns)
                row.push_back(column.values[i]);
            journal.row(row);
        }
    }
    test::TestDialogs dialogs;
    test::TestWindow window(dialogs);
    window.show();
    window.openDay(day);
    REQUIRE(test::waitFor([&] { return window.document().analysis() != nullptr; }));
    CHECK(notice(window).contains(u"p12 of build B"_s));
    CHECK(notice(window).contains(u"Set aside p04"_s));
    SECTION("taken in") {
        answer(window, 0);
        CHECK(window.document().day().pulls[3].reason == "slip");
        REQUIRE(window.document().day().pulls.size() == 12);
        const TestDay saved = readDay(day);
        CHECK(saved.pulls[3].reason == "slip");
        CHECK(saved.pulls[11].raw->rows() == 300);
        CHECK(findJournals(day).empty());
        CHECK(test::keptFolders().empty());
    }
    SECTION("put off: both are there at the next start") {
        answer(window, 2);
        CHECK(findJournals(day).size() == 1);
        CHECK(test::keptFolders().size() == 1);
    }
    SECTION("the disk refuses: both stay") {
        fs::remove(day / "day.lock");
        fs::rename(day, folder.path() / "away");
        answer(window, 0);
        CHECK(dialogs.errors.size() >= 1);
        CHECK(findJournals(folder.path() / "away").size() == 1);
        window.document().waitUntilKept();
        CHECK(test::keptFolders().size() == 1); // in this window's keeping now
    }
}

TEST_CASE("a band is an edit: undone, saved and kept like any other") {
    OpenWindow w;
    w.window->document().edit(u"Add the band"_s, [](TestDay& day) { day.bands.push_back({4500.0, 6000.0}); });
    REQUIRE(w.settled());
    CHECK(w.analysis().find("A", "B")->bands.back().range_rpm == RpmRange{4500.0, 6000.0});
    w.trigger("day.save");
    CHECK(readDay(w.day).bands == std::vector<RpmRange>{{4500.0, 6000.0}});
    w.trigger("edit.undo");
    CHECK(w.window->document().day().bands.empty());
}

TEST_CASE("what is dismissed is not kept, not even by an edit under way") {
    OpenWindow w;
    w.window->document().setAside({"p01"}, u"x"_s);
    w.window->document().dismissEdits();
    w.window->document().close();
    w.window->document().waitUntilKept();
    CHECK(test::keptFolders().empty());
}

TEST_CASE("undo back to what is saved leaves nothing to keep, and further back does") {
    OpenWindow w;
    DayDocument& document = w.window->document();
    document.setAside({"p01"}, u"x"_s);
    document.save();
    document.setAside({"p02"}, u"y"_s);
    document.waitUntilKept();
    CHECK(test::keptFolders().size() == 1);
    document.undoStack().undo();
    QTest::qWait(1);
    document.waitUntilKept();
    CHECK(test::keptFolders().empty());
    document.undoStack().undo(); // what was saved is undone: that is an edit too
    QTest::qWait(1);
    document.waitUntilKept();
    REQUIRE(test::keptFolders().size() == 1);
    CHECK(readDay(test::keptFolders()[0]).pulls[0].use);
}

TEST_CASE("the real program: a logout by SIGTERM keeps the edits and ends in peace") {
    Program program;
    const fs::path day = program.home.path() / "day";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    program.start();
    program.process.write("open " + QByteArray::fromStdString(day.string()) + "\n");
    REQUIRE(test::waitFor([&] { return fs::exists(day / "day.lock"); }, 20000));
    program.process.write("note from a test\n");
    REQUIRE(test::waitFor(
        [&] {
            std::error_code error;
            for (fs::directory_iterator it(program.kept(), error), end; !error && it != end; it.increment(error))
                if (fs::exists(it->path() / "day.json"))
                    return true;
            return false;
        },
        20000));
    const bool kill = GENERATE(false, true);
    ::kill(static_cast<pid_t>(program.process.processId()), kill ? SIGKILL : SIGTERM);
    REQUIRE(program.process.waitForFinished(10000));
    CHECK(program.process.exitStatus() == (kill ? QProcess::CrashExit : QProcess::NormalExit));
    const auto kept = findKept(program.kept());
    REQUIRE(kept.size() == 1);
    CHECK(readKept(kept[0]).note == "from a test");
    CHECK(readDay(day).note != "from a test"); // not saved, only kept
}

TEST_CASE("whatever a slot throws ends at one place, and the window lives") {
    struct Thrower : QObject {
        bool event(QEvent* event) override {
            if (event->type() == QEvent::User)
                throw std::runtime_error("a library gave up");
            return QObject::event(event);
        }
    };
    // The tests run in a plain application; the guard is asked directly, as the event loop would.
    OpenWindow w;
    Thrower thrower;
    QEvent event(QEvent::User);
    CHECK(static_cast<GuardedApplication*>(qApp)->GuardedApplication::notify(&thrower, &event));
    CHECK(w.window->document().isOpen());
}

TEST_CASE("names, notes and reasons are shown as plain text, on every page and in every label") {
    OpenWindow w;
    const std::string evil = "<img src='/etc/passwd'><a href='x'>B</a><b>bold</b>";
    w.window->document().edit(u"evil"_s, [&](TestDay& day) {
        day.name = day.note = day.operatorName = day.article.name = day.cell.name = evil;
        for (Build& build : day.builds) {
            build.name = build.note = evil;
            build.parts = {{evil, evil + build.id}};
        }
        for (Pull& pull : day.pulls)
            pull.note = pull.reason = evil;
        day.pulls[2].use = false;
    });
    REQUIRE(w.settled());
    std::vector<QWidget*> roots{w.window.get()};
    const auto files = openForImport(test::demoDay() / "pulls" / "p01.csv", w.window->document().day());
    ImportDialog import(w.window->document().day(), files, Theme::paper(), w.window.get());
    import.show();
    roots.push_back(&import);
    int labels = 0;
    for (const PageSpec& page : everyPage()) {
        w.window->showPage(page.id);
        QTest::qWait(30);
        for (QWidget* root : roots)
            for (const QLabel* label : root->findChildren<QLabel*>()) {
                ++labels;
                INFO(label->objectName().toStdString() << ": " << label->text().toStdString());
                // Two labels colour their words themselves; what comes from outside is escaped there.
                const bool coloured = label->objectName() == u"slipLines"_s || label->objectName() == u"linksText"_s;
                CHECK((label->textFormat() == Qt::PlainText || coloured));
                CHECK((!coloured || (!label->text().contains(u"<img"_s) && !label->text().contains(u"<a "_s))));
            }
    }
    CHECK(labels > 200);
    for (QWidget* widget : w.window->findChildren<QWidget*>()) {
        const QString tip = plainTip(widget->toolTip());
        CHECK_FALSE(tip.contains(u"<img"_s));
    }
    for (QAbstractItemView* view : w.window->findChildren<QAbstractItemView*>()) {
        for (int row = 0; view->model() && row < view->model()->rowCount(); ++row)
            for (int column = 0; column < view->model()->columnCount(); ++column) {
                const QString tip = view->model()->index(row, column).data(Qt::ToolTipRole).toString();
                INFO(view->objectName().toStdString() << ": " << tip.toStdString());
                CHECK_FALSE(tip.contains(u"<img"_s));
            }
    }
}
