// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "support.h"

#include "app/shell/guarded_application.h"

#include <QStandardPaths>

int runTests(int argc, char** argv);

/// An application object, and a home of its own so that no setting of the user's is read or written.
int testMain(int argc, char** argv) {
    const hillrun::test::TemporaryFolder home;
    qputenv("HOME", home.path().c_str());
    qputenv("XDG_CONFIG_HOME", (home.path() / "config").c_str());
    qputenv("XDG_DATA_HOME", (home.path() / "data").c_str());
    qputenv("XDG_STATE_HOME", (home.path() / "state").c_str());
    qputenv("XDG_RUNTIME_DIR", home.path().c_str());
    hillrun::GuardedApplication application(argc, argv); // as the program has it
    QApplication::setApplicationName(QStringLiteral("hillrun"));
    QApplication::setOrganizationName(QStringLiteral("hillrun-test"));
    QApplication::setStyle(QStringLiteral("Fusion"));
    return runTests(argc, argv);
}
