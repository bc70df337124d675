// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <QApplication>

class QSocketNotifier;

namespace hillrun {

class Dialogs;
class MainWindow;

/// The application with two promises. Whatever a library throws in a slot, on any thread, ends here: a message, and the
/// window lives. And a session that ends by logout, SIGTERM, SIGINT or SIGHUP keeps everything unsaved first.
class GuardedApplication : public QApplication {
    Q_OBJECT
public:
    GuardedApplication(int& argc, char** argv);
    ~GuardedApplication() override;
    void guard(MainWindow& window, Dialogs& dialogs);
    bool notify(QObject* receiver, QEvent* event) override;

private:
    void tell(const QString& what);
    void endSession();

    MainWindow* m_window = nullptr;
    Dialogs* m_dialogs = nullptr;
    QSocketNotifier* m_signals = nullptr;
    bool m_telling = false;
};

} // namespace hillrun
