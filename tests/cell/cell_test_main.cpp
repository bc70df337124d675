// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "support.h"

#include <QCoreApplication>

int runTests(int argc, char** argv);

/// An application object: links and processes need its event loop.
int testMain(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    return runTests(argc, argv);
}
