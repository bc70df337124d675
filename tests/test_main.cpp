// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#define CATCH_CONFIG_RUNNER
#include <catch2/catch.hpp>

/// The window's tests put their own start around this (an application object, a home of their own).
int runTests(int argc, char** argv) { return Catch::Session().run(argc, argv); }

__attribute__((weak)) int testMain(int argc, char** argv) { return runTests(argc, argv); }

int main(int argc, char** argv) { return testMain(argc, argv); }
