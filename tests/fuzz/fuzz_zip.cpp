// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a day package: refused with a DataError, or read; what was read is packed again and reads the same.

#include "core/errors/data_error.h"
#include "formats/day_store.h"

#include <algorithm>
#include <cstdint>
#include <cstdlib>
#include <fstream>
#include <unistd.h>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {
bool isAscii(const std::string& name) {
    return std::all_of(name.begin(), name.end(), [](unsigned char c) { return c < 0x80; });
}
} // namespace

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    static const fs::path folder =
        fs::path(fs::exists("/dev/shm") ? "/dev/shm" : "/tmp") / ("fuzz-zip-" + std::to_string(::getpid()));
    fs::create_directories(folder);
    const fs::path zip = folder / "in.zip";
    std::ofstream(zip, std::ios::binary).write(reinterpret_cast<const char*>(data), static_cast<std::streamsize>(size));
    try {
        const auto files = readZip(zip);
        writeZip(folder / "out.zip", files);
        // Names outside ASCII come back composed (the archive library's way), so only the others are held to the
        // letter.
        for (const auto& [name, text] : files.contains("day.json") ? readZip(folder / "out.zip") : files)
            if (isAscii(name) && (!files.contains(name) || files.at(name) != text))
                std::abort();
        (void)readDay(zip, BadPulls::Keep);
    } catch (const DataError&) {
    }
    return 0;
}
