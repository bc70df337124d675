// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/guarded_application.h"

#include "app/look/words.h"
#include "app/shell/main_window.h"

#include <csignal>
#include <fcntl.h>
#include <QSocketNotifier>
#include <QThread>
#include <unistd.h>

namespace hillrun {
namespace {

int signalPipe[2] = {-1, -1}; // a signal handler can reach nothing else

void onSignal(int) {
    const char byte = 1;
    if (::write(signalPipe[1], &byte, 1) < 0)
        return; // it is full: somebody is told already
}

} // namespace

GuardedApplication::GuardedApplication(int& argc, char** argv) : QApplication(argc, argv) {
    connect(
        this, &QGuiApplication::commitDataRequest, this,
        [this] {
            if (m_window)
                m_window->keepForLater();
        },
        Qt::DirectConnection);
    if (::pipe2(signalPipe, O_CLOEXEC | O_NONBLOCK) != 0)
        return;
    m_signals = new QSocketNotifier(signalPipe[0], QSocketNotifier::Read, this);
    connect(m_signals, &QSocketNotifier::activated, this, &GuardedApplication::endSession);
    for (const int signal : {SIGTERM, SIGINT, SIGHUP})
        if (std::signal(signal, onSignal) == SIG_IGN) // started with nohup, say
            std::signal(signal, SIG_IGN);
}

GuardedApplication::~GuardedApplication() {
    for (const int signal : {SIGTERM, SIGINT, SIGHUP})
        std::signal(signal, SIG_DFL);
    delete m_signals;
    for (int& end : signalPipe) {
        if (end >= 0)
            ::close(end);
        end = -1;
    }
}

void GuardedApplication::guard(MainWindow& window, Dialogs& dialogs) {
    m_window = &window;
    m_dialogs = &dialogs;
    connect(&window, &QObject::destroyed, this, [this] { m_window = nullptr; });
}

void GuardedApplication::endSession() {
    char bytes[16];
    while (::read(signalPipe[0], bytes, sizeof bytes) > 0) {
    }
    if (m_window)
        m_window->keepForLater();
    exit(0);
}

bool GuardedApplication::notify(QObject* receiver, QEvent* event) {
    try {
        return QApplication::notify(receiver, event);
    } catch (const std::exception& error) {
        const QString what = errorText(error);
        if (QThread::currentThread() == thread())
            tell(what);
        else
            QMetaObject::invokeMethod(
                this, [this, what] { tell(what); }, Qt::QueuedConnection);
        return true;
    }
}

void GuardedApplication::tell(const QString& what) {
    qWarning("hillrun: %s", qPrintable(what));
    if (m_telling || !m_dialogs)
        return; // one message at a time
    m_telling = true;
    m_dialogs->showError(m_window, tr("That did not work; the day is as it was"), what);
    m_telling = false;
}

} // namespace hillrun
