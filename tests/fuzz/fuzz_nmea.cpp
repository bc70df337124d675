// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any line as an NMEA sentence: an answer, never an exception; and a sentence that we close ourselves has a good
// checksum.

#include "formats/nmea.h"

#include <cstdint>
#include <cstdlib>

using namespace hillrun;

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const std::string_view line(reinterpret_cast<const char*>(data), size);
    (void)parseNmea(line);
    for (const char c : line)
        if (c < ' ' || c > '~' || c == '*' || c == '$' || c == '!')
            return 0; // these have a meaning of their own in a sentence
    if (!line.empty() && parseNmea(nmeaSentence(line)).kind == NmeaKind::BadChecksum)
        std::abort();
    return 0;
}
