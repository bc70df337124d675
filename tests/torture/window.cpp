// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The real window, worked from standard input: what hillrun's main puts together, with dialogs that answer as they were
// told. One answer line a command. Used by tests/torture/torture.py and by the tests of what survives a kill.

#include "app/shell/guarded_application.h"
#include "app/shell/main_window.h"
#include "formats/json_reader.h"

#include <csignal>
#include <QFile>
#include <QLabel>
#include <QPushButton>
#include <QSocketNotifier>
#include <unistd.h>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

/// Answers without a person; what was shown is told with the next status.
class ConsoleDialogs : public Dialogs {
public:
    std::optional<QString> target;
    UnsavedChoice unsaved = UnsavedChoice::Discard;
    std::vector<std::string> shown;
    std::optional<QString> askDayFolder(QWidget*) override { return target; }
    std::optional<QString> askDayZip(QWidget*) override { return target; }
    QStringList askLoggerFiles(QWidget*) override { return {}; }
    std::optional<QString> askSheet(QWidget*) override { return std::nullopt; }
    std::optional<QString> askTarget(QWidget*, const QString&, const QString&, const QString&) override {
        return target;
    }
    std::optional<QString> askReason(QWidget*, const QString&) override { return u"because"_s; }
    std::optional<QString> askText(QWidget*, const QString&, const QString&, const QString&) override { return {}; }
    QStringList askAttachments(QWidget*) override { return {}; }
    std::optional<SweepAnswer> askSweep(QWidget*) override { return {}; }
    std::optional<BuildChangeAnswer> askBuildChange(QWidget*, const TestDay&, const std::string&,
                                                    const std::string&) override {
        return {};
    }
    std::optional<WantedUse> askUse(QWidget*, const TestDay&, const RpmRange&, const SpeedsOnCourse&, Look&) override {
        return {};
    }
    UnsavedChoice askUnsaved(QWidget*, const QString&) override { return unsaved; }
    bool askPrinter(QWidget*, QPrinter&) override { return false; }
    std::optional<QString> askFile(QWidget*, const QString&, const QString&) override { return {}; }
    void showError(QWidget*, const QString& title, const QString& message) override {
        shown.push_back((title + u": "_s + message).toStdString());
    }
};

class Console : public QObject {
public:
    Console(MainWindow& window, ConsoleDialogs& dialogs)
        : m_window(window), m_dialogs(dialogs), m_in(STDIN_FILENO, QSocketNotifier::Read) {
        connect(&m_in, &QSocketNotifier::activated, this, [this] { read(); });
    }

private:
    void read() {
        char bytes[4096];
        const ssize_t got = ::read(STDIN_FILENO, bytes, sizeof bytes);
        if (got <= 0)
            return QApplication::exit(0);
        m_pending.append(bytes, got);
        for (qsizetype end = m_pending.indexOf('\n'); end >= 0; end = m_pending.indexOf('\n')) {
            const QString line = QString::fromUtf8(m_pending.left(end));
            m_pending.remove(0, end + 1);
            say(obey(line.section(u' ', 0, 0), line.section(u' ', 1)));
        }
    }
    static void say(const Json& answer) {
        const std::string text = dumpJson(answer) + "\n";
        if (::write(STDOUT_FILENO, text.data(), text.size()) < 0)
            QApplication::exit(1);
    }
    Json obey(const QString& command, const QString& rest) {
        DayDocument& document = m_window.document();
        m_dialogs.target = rest;
        if (command == u"status"_s)
            return status();
        if (command == u"open"_s)
            m_window.openDay(rest.toStdString());
        else if (command == u"kept"_s)
            m_window.offerKept();
        else if (command == u"note"_s)
            return {{"done", document.edit(u"Note"_s, [&](TestDay& day) { day.note = rest.toStdString(); })}};
        else if (command == u"use"_s)
            return {{"done", document.edit(u"Use"_s, [&](TestDay& day) {
                         if (Pull* pull = findPull(day, rest.toStdString()))
                             pull->use = !pull->use;
                     })}};
        else if (command == u"connect"_s)
            m_window.cell().setLinks({*linkAddressFrom(rest)});
        else if (command == u"arm"_s)
            m_window.flow().arm();
        else if (command == u"answer"_s)
            return press(u"noticeAnswer"_s + rest);
        else if (command == u"do"_s)
            return trigger(rest.section(u' ', 0, 0), rest.section(u' ', 1));
        else if (command == u"quit"_s)
            QApplication::exit(0);
        else
            return {{"error", "unknown command"}};
        return {{"done", true}};
    }
    Json press(const QString& name) {
        auto* button = m_window.findChild<QPushButton*>(name);
        const bool can = button && button->isVisible();
        if (can)
            button->click();
        return {{"done", can}};
    }
    Json trigger(const QString& id, const QString& target) {
        auto* action = m_window.findChild<QAction*>(id);
        const bool can = action && action->isEnabled();
        m_dialogs.target = target;
        if (can)
            action->trigger();
        return {{"done", can}};
    }
    Json status() {
        DayDocument& document = m_window.document();
        const TestDay& day = document.day();
        Json pulls = Json::array();
        for (const Pull& pull : day.pulls)
            pulls.push_back(
                {{"id", pull.id}, {"use", pull.use}, {"rows", pull.raw ? pull.raw->rows() : 0}, {"file", pull.file}});
        auto* notice = m_window.findChild<QLabel*>(u"noticeText"_s);
        const LiveSnapshotPtr live = m_window.cell().now();
        Json out{{"open", document.isOpen()},
                 {"path", document.path().string()},
                 {"note", day.note},
                 {"pulls", pulls},
                 {"modified", !document.undoStack().isClean()},
                 {"may_edit", document.mayEdit()},
                 {"busy", document.isBusy()},
                 {"notice", notice->isVisible() ? notice->text().toStdString() : ""},
                 {"recorder", static_cast<int>(live->recorder)},
                 {"stale", live->stale},
                 {"armed", m_window.flow().armed()},
                 {"shown", m_dialogs.shown}};
        m_dialogs.shown.clear();
        return out;
    }

    MainWindow& m_window;
    ConsoleDialogs& m_dialogs;
    QSocketNotifier m_in;
    QByteArray m_pending;
};

} // namespace

int main(int argc, char** argv) {
    std::signal(SIGXFSZ, SIG_IGN); // as hillrun does
    GuardedApplication application(argc, argv);
    QApplication::setApplicationName(u"hillrun"_s);
    QApplication::setOrganizationName(u"hillrun"_s);
    ConsoleDialogs dialogs;
    SettingsStore settings;
    CellService cell;
    DesktopTonePlayer tones;
    MainWindow window(dialogs, settings, cell, tones);
    application.guard(window, dialogs);
    window.show();
    window.showPage("pull");
    const Console console(window, dialogs);
    return QApplication::exec();
}
