// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a whole day: day.json, a line "----", a pull file, and so on for more pulls (pulls/p01.csv ...). Refused
// with a DataError, or opened, saved elsewhere and opened again with the same rows and every checksum fitting. What
// cannot be read is also given to repair.

#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "formats/day_verify.h"
#include "formats/pull_repair.h"

#include <cstdint>
#include <cstdlib>
#include <fmt/format.h>
#include <fstream>
#include <unistd.h>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

void lay(const fs::path& folder, std::string_view bytes) {
    fs::remove_all(folder);
    fs::create_directories(folder / "pulls");
    for (int part = 0;; ++part) {
        const size_t end = bytes.find("\n----\n");
        const fs::path file = part == 0 ? folder / "day.json" : folder / "pulls" / fmt::format("p{:02}.csv", part);
        std::ofstream(file, std::ios::binary) << bytes.substr(0, end);
        if (end == std::string_view::npos || part == 4)
            return;
        bytes.remove_prefix(end + 6);
    }
}

void openSaveOpen(const fs::path& in, const fs::path& out) {
    const TestDay day = readDay(in, BadPulls::Keep);
    fs::remove_all(out);
    const SavedDay saved = saveDay(day, out, in);
    const TestDay again = readDay(out, BadPulls::Keep);
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        if (!day.pulls[i].raw)
            continue;
        if (!again.pulls[i].raw || !sameRows(*day.pulls[i].raw, *again.pulls[i].raw))
            std::abort();
    }
    for (const VerifiedFile& file : verifyDay(out).files)
        if (file.state == FileState::Differs && findPull(day, file.pull)->raw)
            std::abort();
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    static const fs::path folder =
        fs::path(fs::exists("/dev/shm") ? "/dev/shm" : "/tmp") / ("fuzz-day-" + std::to_string(::getpid()));
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    lay(folder / "in", bytes);
    try {
        openSaveOpen(folder / "in", folder / "out");
    } catch (const DataError&) {
    }
    try {
        const RepairedPull repaired = repairPullText(bytes, "pull.csv", 100.0);
        double last = -1e300;
        for (const double time : repaired.table.find("time")->values) {
            if (!(time >= last))
                std::abort();
            last = time;
        }
    } catch (const DataError&) {
    }
    return 0;
}
