// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any bytes as a telemetry stream: never an exception, and the same frames however the bytes were cut up on the way.

#include "formats/telemetry.h"
#include "words/voice.h"

#include <cstdint>
#include <cstdlib>

using namespace hillrun;

namespace {

struct Counted {
    long frames = 0;
    long bad = 0;
    size_t headers = 0;
    bool operator==(const Counted&) const = default;
};

Counted feed(std::string_view bytes, size_t piece) {
    Counted out;
    TelemetrySink sink;
    size_t columns = 0;
    sink.header = [&](const std::vector<Column>& names) {
        ++out.headers;
        columns = names.size();
    };
    sink.frame = [&](double, std::span<const double> values) {
        if (values.size() != columns)
            std::abort();
    };
    sink.comment = [](const std::string&) {};
    sink.problem = [](const Statement& statement) {
        const std::string why = Voice().say(statement);
        if (why.empty())
            std::abort();
    };
    TelemetryParser parser(sink);
    for (size_t at = 0; at < bytes.size(); at += piece)
        parser.feed(bytes.substr(at, piece));
    out.frames = parser.frames();
    out.bad = parser.badLines();
    return out;
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    const Counted whole = feed(bytes, bytes.empty() ? 1 : bytes.size());
    if (!(feed(bytes, 1) == whole) || !(feed(bytes, 7) == whole))
        std::abort();
    return 0;
}
