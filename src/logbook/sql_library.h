// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <memory>

class QCoreApplication;

namespace hillrun {

/// What the database drivers are found by, for a program without a window; holds while a logbook is used.
class SqlLibrary {
public:
    SqlLibrary();
    ~SqlLibrary();
    SqlLibrary(const SqlLibrary&) = delete;
    SqlLibrary& operator=(const SqlLibrary&) = delete;

private:
    std::unique_ptr<QCoreApplication> m_library;
};

} // namespace hillrun
