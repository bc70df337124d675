// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"
#include "english.h"

#include <cstdlib>
#include <filesystem>
#include <string>
#include <unistd.h>

namespace hillrun::test {

inline std::filesystem::path dataFolder() {
    const char* folder = std::getenv("HILLRUN_DATA");
    return folder ? folder : "data";
}
inline std::filesystem::path demoDay() { return dataFolder() / "demo" / "day-1-flat-twin"; }
inline std::filesystem::path tractorDay() { return dataFolder() / "demo" / "day-3-hill-tractor"; }
inline std::filesystem::path latticeDay() { return dataFolder() / "demo" / "day-6-pipe-and-map"; }
inline std::filesystem::path timingDay() { return dataFolder() / "demo" / "day-7-two-stroke-timing"; }
inline std::filesystem::path runnerDay() { return dataFolder() / "demo" / "day-5-inlet-runners"; }
inline std::filesystem::path rollerDay() { return dataFolder() / "demo" / "day-4-buggy-rollers"; }
inline std::filesystem::path boostDay() { return dataFolder() / "demo" / "day-2-boost-buggy"; }

/// A folder of its own for one test, gone afterwards.
class TemporaryFolder {
public:
    TemporaryFolder() {
        std::string pattern = (std::filesystem::temp_directory_path() / "hillrun-XXXXXX").string();
        m_path = ::mkdtemp(pattern.data());
    }
    ~TemporaryFolder() {
        std::error_code ignored;
        std::filesystem::remove_all(m_path, ignored);
    }
    TemporaryFolder(const TemporaryFolder&) = delete;
    TemporaryFolder& operator=(const TemporaryFolder&) = delete;
    [[nodiscard]] const std::filesystem::path& path() const { return m_path; }

private:
    std::filesystem::path m_path;
};

/// What is thrown, in the words the user reads; "nothing" when nothing is.
template <class Work> std::string messageOf(const Work& work) {
    try {
        work();
    } catch (const DataError& error) {
        return inEnglish(error);
    }
    return "nothing";
}

} // namespace hillrun::test
