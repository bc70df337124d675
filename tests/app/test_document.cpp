// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app_support.h"

#include <QSignalSpy>

using namespace hillrun;
using namespace Qt::StringLiterals;
namespace fs = std::filesystem;

namespace {
struct Opened {
    test::TemporaryFolder folder;
    fs::path path = folder.path() / "day";
    DayDocument document;
    Opened() {
        test::beginAnew();
        fs::copy(test::demoDay(), path, fs::copy_options::recursive);
        document.show(readDay(path), path);
        REQUIRE(test::waitFor([&] { return !document.isBusy(); }));
    }
};
} // namespace

TEST_CASE("edits that belong together are one step back, others are not") {
    DayDocument document;
    document.show(readDay(test::demoDay()), {});
    QUndoStack& undo = document.undoStack();
    const TestDay before = document.day();
    document.setWindow("p03", RpmRange{3000, 7000});
    document.setWindow("p03", RpmRange{3100, 7000});
    document.setWindow("p03", RpmRange{3200, 7000});
    CHECK(undo.count() == 1);
    CHECK(findPull(document.day(), "p03")->window_rpm == RpmRange{3200, 7000});
    document.setWindow("p04", RpmRange{3000, 7000}); // another pull
    CHECK(undo.count() == 2);
    document.setWindow("p04", std::nullopt); // taken back on purpose: a step of its own
    CHECK(undo.count() == 3);
    document.edit(
        u"matters"_s, [](TestDay& day) { day.plan.matters_pct = 2.0; }, u"matters"_s);
    document.edit(u"name"_s, [](TestDay& day) { day.name = "x"; });
    document.edit(
        u"matters"_s, [](TestDay& day) { day.plan.matters_pct = 3.0; }, u"matters"_s);
    CHECK(undo.count() == 6); // something came between
    document.edit(
        u"matters"_s, [](TestDay& day) { day.plan.matters_pct = 2.0; }, u"matters"_s);
    CHECK(undo.count() == 5); // it led back to where it began: nothing to be undone
    undo.undo();
    undo.undo();
    CHECK_FALSE(document.day().plan.matters_pct == 2.0);
    undo.undo();
    CHECK(findPull(document.day(), "p04")->window_rpm == RpmRange{3000, 7000});
    undo.undo();
    CHECK(findPull(document.day(), "p03")->window_rpm == RpmRange{3200, 7000});
    undo.undo();
    CHECK(document.day() == before);
    undo.redo();
    CHECK(findPull(document.day(), "p03")->window_rpm == RpmRange{3200, 7000});
}

TEST_CASE("an edit changes the analysis, undo brings the old one back to the digit") {
    Opened o;
    const auto before = o.document.analysis();
    o.document.setAside({"p02"}, u"not warm"_s);
    REQUIRE(test::waitFor([&] { return !o.document.isBusy(); }));
    CHECK(o.document.analysis()->find("A", "B")->bands[0].delta_w != before->find("A", "B")->bands[0].delta_w);
    CHECK(findPull(o.document.day(), "p02")->reason == "not warm");
    o.document.undoStack().undo();
    REQUIRE(test::waitFor([&] { return !o.document.isBusy(); }));
    CHECK(o.document.analysis()->find("A", "B")->bands[0].delta_w == before->find("A", "B")->bands[0].delta_w);
    o.document.undoStack().redo();
    CHECK_FALSE(findPull(o.document.day(), "p02")->use);
}

TEST_CASE("undo and redo pass through the same days, whatever the edits touched") {
    Opened o;
    DayDocument& document = o.document;
    const std::vector<std::function<void(TestDay&)>> edits = {
        [](TestDay& day) { day.pulls.erase(day.pulls.begin() + 3); },
        [](TestDay& day) { day.name = "another name"; },
        [](TestDay& day) { day.pulls.insert(day.pulls.begin() + 1, day.pulls.back()); },
        [](TestDay& day) { std::swap(day.pulls.front(), day.pulls.back()); },
        [](TestDay& day) { day.pulls.clear(); },
        [&](TestDay& day) { day.pulls = document.day().pulls; },
        [first = document.day().pulls[0]](TestDay& day) {
            day.pulls = {first, first};
        },
        [](TestDay& day) {
            day.pulls[1].note = "seen";
            day.builds.pop_back();
        },
    };
    std::vector<TestDay> states{document.day()};
    for (const auto& change : edits) {
        document.edit(u"an edit"_s, change);
        if (!(states.back() == document.day()))
            states.push_back(document.day());
    }
    REQUIRE(states.size() == edits.size()); // the first state too; one edit changes nothing
    for (int round = 0; round < 2; ++round) {
        for (size_t i = states.size() - 1; i-- > 0;) {
            document.undoStack().undo();
            CHECK(document.day() == states[i]);
        }
        for (size_t i = 1; i < states.size(); ++i) {
            document.undoStack().redo();
            CHECK(document.day() == states[i]);
        }
    }
}

TEST_CASE("an edit that changes nothing leaves no trace") {
    Opened o;
    o.document.takeBack({"p01"});
    CHECK(o.document.undoStack().count() == 0);
}

TEST_CASE("only the newest question is answered") {
    Opened o;
    QSignalSpy answers(&o.document, &DayDocument::analysisReady);
    AnalysisSettings settings = o.document.settings();
    for (const Standard standard : {Standard::Uncorrected, Standard::SaeJ607, Standard::Iso1585}) {
        settings.reduce.standard = standard;
        o.document.setSettings(settings);
    }
    REQUIRE(test::waitFor([&] { return !o.document.isBusy(); }));
    CHECK(answers.count() == 1);
    CHECK(o.document.analysis()->settings.reduce.standard == Standard::Iso1585);
}

TEST_CASE("edits are kept without saving, saving drops them") {
    Opened o;
    o.document.setWindow("p01", RpmRange{3000.0, 7000.0});
    o.document.waitUntilKept();
    REQUIRE(test::keptFolders().size() == 1);
    const TestDay kept = readDay(test::keptFolders().front()); // a day folder like any other
    CHECK(kept.pulls[0].window_rpm == RpmRange{3000.0, 7000.0});
    CHECK(kept.pulls[0].raw->find("torque")->values == o.document.day().pulls[0].raw->find("torque")->values);
    CHECK(findKept(keptRoot()).empty()); // in the hands of a living window: offered to nobody
    o.document.save();
    o.document.waitUntilKept();
    CHECK(test::keptFolders().empty());
    CHECK(readDay(o.path).pulls[0].window_rpm == RpmRange{3000.0, 7000.0});
    CHECK(o.document.undoStack().isClean());
}

TEST_CASE("saving elsewhere moves the day there, failing to save loses nothing") {
    Opened o;
    o.document.setAside({"p05"}, u"wrong gear"_s);
    CHECK(test::messageOf([&] { o.document.saveAs("/proc/nowhere/day"); }).find("cannot write") != std::string::npos);
    CHECK_FALSE(o.document.undoStack().isClean());
    o.document.saveAs(o.folder.path() / "copy.zip");
    CHECK(o.document.path() == o.folder.path() / "copy.zip");
    CHECK(readDay(o.folder.path() / "copy.zip").pulls[4].reason == "wrong gear");
    CHECK(readDay(o.path).pulls[4].use);
}

TEST_CASE("closing while work is under way gives nothing back") {
    Opened o;
    o.document.setAside({"p01"}, u"x"_s);
    o.document.close();
    QTest::qWait(300);
    CHECK_FALSE(o.document.analysis());
    CHECK_FALSE(o.document.isBusy());
}
