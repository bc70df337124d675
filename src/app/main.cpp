// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun: the window. The one place where its parts are put together.

#include "app/look/language.h"
#include "app/shell/guarded_application.h"
#include "app/shell/main_window.h"

#include <algorithm>
#include <csignal>
#include <cstdio>
#include <QApplication>
#include <QCommandLineParser>
#include <QTimer>
#include <string_view>

using namespace Qt::StringLiterals;

namespace {

struct PictureJob {
    QString file;
    bool stay = false;    ///< keep the window up after the picture
    double after_s = 0.7; ///< how long it settles
};

/// A day that cannot be opened leaves its message up: with a picture to take nobody is there to close it.
void endWhenRefused(hillrun::MainWindow& window, const PictureJob& job) {
    auto* watch = new QTimer(&window);
    QObject::connect(watch, &QTimer::timeout, &window, [&window, job] {
        QWidget* message = QApplication::activeModalWidget();
        if (!message || window.document().isOpen())
            return;
        message->grab().save(job.file);
        QApplication::exit(1);
    });
    watch->start(200);
}

/// Writes a picture of the window (or of a dialog above it) once it has settled.
void takePictureLater(hillrun::MainWindow& window, const PictureJob& job) {
    QTimer::singleShot(static_cast<int>(1000.0 * job.after_s), &window, [&window, job] {
        QWidget* top = QApplication::activeWindow() ? QApplication::activeWindow() : &window;
        if (!top->grab().save(job.file))
            qWarning("could not write %s", qPrintable(job.file));
        if (!job.stay)
            QApplication::exit(0);
    });
}

void describe(QCommandLineParser& parser) {
    parser.setApplicationDescription(
        QCoreApplication::translate("Program", "What did this part do, and can I believe it?"));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument(
        u"day"_s,
        QCoreApplication::translate(
            "Program", "Day folder or package to open, or logger files to import; paths or file:// addresses."),
        u"[day | files...]"_s);
    parser.addOptions(
        {{u"page"_s,
          QCoreApplication::translate(
              "Program", "Page to show: prepare, pull, check, compare, credit, road, report, logbook or bench."),
          u"page"_s},
         {u"pull"_s, QCoreApplication::translate("Program", "Pull to select."), u"id"_s},
         {u"beside"_s, QCoreApplication::translate("Program", "Check: hold this pull beside it."), u"id"_s},
         {u"do"_s,
          QCoreApplication::translate("Program",
                                      "Run this command once the day is there, such as check.time; may be repeated."),
          u"command"_s},
         {u"import"_s,
          QCoreApplication::translate("Program", "Open the import dialog with this file; may be repeated."), u"file"_s},
         {u"connect"_s,
          QCoreApplication::translate("Program",
                                      "Listen to this address in place of the kept connections; may be repeated."),
          u"address"_s},
         {u"arm"_s, QCoreApplication::translate("Program", "Record the first pull that comes.")},
         {u"dark"_s, QCoreApplication::translate("Program", "Dark colours.")},
         {u"size"_s, QCoreApplication::translate("Program", "Window size, such as 1280x800."), u"size"_s},
         {u"picture"_s, QCoreApplication::translate("Program", "Write a picture of the window and end."), u"file"_s},
         {u"after"_s, QCoreApplication::translate("Program", "With --picture: wait so long before, seconds."),
          u"seconds"_s},
         {u"stay"_s, QCoreApplication::translate("Program", "With --picture: keep the window up.")}});
}

void sayWho() {
    QCoreApplication::setApplicationName(u"hillrun"_s);
    QCoreApplication::setOrganizationName(u"hillrun"_s);
    QCoreApplication::setApplicationVersion(QStringLiteral(HILLRUN_VERSION));
}

/// Help and version are wanted on machines without a display too. Ends the program when one of them was asked for.
void answerWithoutDisplay(int argc, char** argv) {
    const auto asks = [](std::string_view word) {
        return word == "--help" || word == "-h" || word == "--help-all" || word == "--version" || word == "-v";
    };
    if (std::none_of(argv + 1, argv + argc, asks))
        return;
    const QCoreApplication application(argc, argv);
    sayWho();
    hillrun::speak(hillrun::systemLanguage());
    QCommandLineParser parser;
    describe(parser);
    parser.process(application);
}

} // namespace

int main(int argc, char** argv) {
    std::signal(SIGXFSZ, SIG_IGN); // a file that may not grow is a write error, not the end of the program
    answerWithoutDisplay(argc, argv);
    hillrun::GuardedApplication application(argc, argv);
    sayWho();
    QApplication::setStyle(u"Fusion"_s);

    QCommandLineParser parser;
    describe(parser);
    if (!parser.parse(QApplication::arguments())) {
        std::fprintf(stderr, "hillrun: %s. Try --help.\n", qPrintable(parser.errorText()));
        return 2;
    }

    hillrun::DesktopDialogs dialogs;
    hillrun::SettingsStore settings;
    hillrun::CellService cell;
    hillrun::DesktopTonePlayer tones;
    hillrun::MainWindow window(dialogs, settings, cell, tones);
    application.guard(window, dialogs);
    if (parser.isSet(u"dark"_s))
        window.setDark(true);
    if (parser.isSet(u"picture"_s) && !parser.isSet(u"dark"_s))
        window.setDark(false);
    const QStringList size = parser.value(u"size"_s).split(u'x');
    if (size.size() == 2)
        window.resize(size[0].toInt(), size[1].toInt());
    if (QAction* page = window.findChild<QAction*>(u"page."_s + parser.value(u"page"_s)))
        page->trigger();
    const QStringList named = parser.positionalArguments();
    if (named.isEmpty() && !parser.isSet(u"page"_s))
        window.showPage("prepare"); // with what can be opened
    const bool readsDay = !named.isEmpty() && window.openAny(named);
    window.show();
    std::vector<hillrun::LinkAddress> links;
    for (const QString& text : parser.values(u"connect"_s)) {
        const auto address = hillrun::linkAddressFrom(text);
        if (!address) {
            qCritical("hillrun: no address: %s (such as tcp://127.0.0.1:5020)", qPrintable(text));
            return 2;
        }
        links.push_back(*address);
    }
    if (!links.empty())
        cell.setLinks(links);
    PictureJob job{parser.value(u"picture"_s), parser.isSet(u"stay"_s)};
    if (parser.isSet(u"after"_s))
        job.after_s = parser.value(u"after"_s).toDouble();
    auto ready = [&window, &parser, job] {
        if (parser.isSet(u"pull"_s))
            window.selection().setPull(parser.value(u"pull"_s).toStdString());
        window.selection().setBeside(parser.value(u"beside"_s).toStdString());
        for (const QString& command : parser.values(u"do"_s))
            if (QAction* action = window.findChild<QAction*>(command))
                action->trigger();
        window.importFiles(parser.values(u"import"_s));
        if (parser.isSet(u"arm"_s))
            window.flow().arm();
        if (!job.file.isEmpty())
            takePictureLater(window, job);
    };
    if (!readsDay)
        QTimer::singleShot(0, &window, [&window, &parser, ready] {
            ready();
            if (!parser.isSet(u"picture"_s) && parser.positionalArguments().isEmpty())
                window.offerKept();
        });
    else {
        QObject::connect(&window.document(), &hillrun::DayDocument::analysisReady, &window, ready,
                         Qt::SingleShotConnection);
        if (!job.file.isEmpty())
            endWhenRefused(window, job);
    }
    return QApplication::exec();
}
