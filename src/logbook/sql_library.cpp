// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/sql_library.h"

#include <QCoreApplication>

namespace hillrun {
namespace {

// The library keeps references to both.
int count = 1;
char name[] = "hillrun";
char* arguments[] = {name, nullptr};

} // namespace

SqlLibrary::SqlLibrary() : m_library(std::make_unique<QCoreApplication>(count, arguments)) {}

SqlLibrary::~SqlLibrary() = default;

} // namespace hillrun
