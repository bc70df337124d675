// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "app/pages.h"
#include "app/shell/main_window.h"
#include "formats/day_store.h"
#include "formats/kept_days.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <QSettings>
#include <QTest>

namespace hillrun::test {

/// Answers every question as the test says and keeps what was shown.
class TestDialogs : public Dialogs {
public:
    std::optional<QString> dayFolder, dayZip, target, reason, text;
    QStringList attachments;
    std::optional<SweepAnswer> sweep;
    std::optional<BuildChangeAnswer> change;
    std::string changeAskedTo; ///< the build that was suggested
    QStringList loggerFiles;
    std::optional<QString> sheet;
    UnsavedChoice unsaved = UnsavedChoice::Discard;
    QStringList errors;
    int unsavedAsked = 0;

    std::optional<QString> askDayFolder(QWidget*) override { return dayFolder; }
    std::optional<QString> askDayZip(QWidget*) override { return dayZip; }
    QStringList askLoggerFiles(QWidget*) override { return loggerFiles; }
    std::optional<QString> askSheet(QWidget*) override { return sheet; }
    std::optional<QString> askTarget(QWidget*, const QString&, const QString&, const QString&) override {
        return target;
    }
    std::optional<QString> askReason(QWidget*, const QString&) override { return reason; }
    std::optional<QString> askText(QWidget*, const QString&, const QString&, const QString&) override { return text; }
    QStringList askAttachments(QWidget*) override { return attachments; }
    std::optional<SweepAnswer> askSweep(QWidget*) override { return sweep; }
    std::optional<BuildChangeAnswer> askBuildChange(QWidget*, const TestDay&, const std::string&,
                                                    const std::string& to) override {
        changeAskedTo = to;
        return change;
    }
    std::optional<WantedUse> use;
    std::optional<WantedUse> askUse(QWidget*, const TestDay&, const RpmRange&, const SpeedsOnCourse&, Look&) override {
        return use;
    }
    UnsavedChoice askUnsaved(QWidget*, const QString&) override {
        ++unsavedAsked;
        return unsaved;
    }
    std::optional<QString> file;
    std::optional<QString> askFile(QWidget*, const QString&, const QString&) override { return file; }
    std::optional<QString> printTo; ///< a PDF in place of paper
    bool askPrinter(QWidget*, QPrinter& printer) override {
        printer.setOutputFormat(QPrinter::PdfFormat);
        printer.setOutputFileName(printTo.value_or(QString()));
        return printTo.has_value();
    }
    void showError(QWidget*, const QString&, const QString& message) override { errors << message; }
};

/// The folders in which unsaved days are kept now.
inline std::vector<std::filesystem::path> keptFolders() {
    std::vector<std::filesystem::path> out;
    std::error_code error;
    for (std::filesystem::directory_iterator it(keptRoot(), error), end; !error && it != end; it.increment(error))
        out.push_back(it->path());
    return out;
}
/// No settings and nothing kept of the test before.
inline void beginAnew() {
    QSettings().clear();
    static const TemporaryFolder days;                              // new days go there, not among the developer's own
    SettingsStore().set(settings::kLanguage, QStringLiteral("en")); // whatever the developer's desktop speaks
    SettingsStore().set(settings::kDaysFolder, QString::fromStdString((days.path() / "days").string()));
    std::error_code ignored;
    std::filesystem::remove_all(keptRoot(), ignored);
}

/// Types a number into a field and leaves it (by Return a dialog would be taken over).
inline void typeNumber(NumberField* field, const QString& text) {
    field->selectAll();
    QTest::keyClicks(field, text);
    field->finish();
}

/// Waits for a condition, at most ten seconds.
template <class Condition> bool waitFor(const Condition& condition, int limit_ms = 10000) {
    return QTest::qWaitFor(condition, limit_ms);
}

/// Hears what would sound.
class TestTones : public TonePlayer {
public:
    std::vector<Tone> played;
    bool sounds = false; ///< until it is stopped
    std::optional<double> seconds;
    void play(Tone tone, std::optional<double> howLong) override {
        played.push_back(tone);
        seconds = howLong;
        sounds = tone != Tone::None && !howLong;
    }
    void stop() override { sounds = false; }
};

/// What a window is put together with.
struct WindowParts {
    SettingsStore settingsStore;
    CellService cellService;
    TestTones tonePlayer;
};

/// A window with parts of its own.
class TestWindow : private WindowParts, public MainWindow {
public:
    explicit TestWindow(Dialogs& dialogs) : MainWindow(dialogs, settingsStore, cellService, tonePlayer) {}
    [[nodiscard]] TestTones& tones() { return tonePlayer; }
};

/// Says that a window is opened without a day.
inline const std::filesystem::path kNoDay;

/// A window with fresh settings on a copy of a demo day.
struct OpenWindow {
    TemporaryFolder folder;
    TestDialogs dialogs;
    std::unique_ptr<MainWindow> window;
    std::filesystem::path day;

    explicit OpenWindow(const std::filesystem::path& source = demoDay()) {
        beginAnew();
        window = std::make_unique<TestWindow>(dialogs);
        window->resize(1280, 800); // the screen that is not there is smaller
        window->show();
        REQUIRE(QTest::qWaitForWindowActive(window.get()));
        if (source.empty())
            return;
        day = folder.path() / "day";
        std::filesystem::copy(source, day, std::filesystem::copy_options::recursive);
        window->openDay(day);
        REQUIRE(settled());
    }

    /// The analysis of what is shown has arrived.
    bool settled() {
        return waitFor([&] { return window->document().analysis() && !window->document().isBusy(); });
    }
    /// So that each of them is made.
    void showEveryPage() {
        for (const PageSpec& page : everyPage())
            window->showPage(page.id);
        window->showPage("compare");
    }
    template <class Widget> Widget* find(const char* name) {
        auto* widget = window->findChild<Widget*>(QLatin1StringView(name));
        INFO("looking for " << name);
        REQUIRE(widget);
        return widget;
    }
    QAction* action(const char* name) { return find<QAction>(name); }
    void trigger(const char* name) {
        REQUIRE(action(name)->isEnabled());
        action(name)->trigger();
    }
    QString text(const char* name) { return find<QLabel>(name)->text(); }
    const DayAnalysis& analysis() { return *window->document().analysis(); }
};

} // namespace hillrun::test
