// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/outbox.h"

#include "formats/budget.h"
#include "formats/file_io.h"
#include "formats/json_writer.h"
#include "formats/record_json.h"
#include "logbook/log_days.h"

#include <algorithm>

namespace hillrun {
namespace {

namespace fs = std::filesystem;

struct Waiting {
    std::string address;
    LogbookEntry entry;
};

Waiting readWaiting(const fs::path& file) {
    ObjectReader in(parseJson(readFileText(file, budget::kJson), file.string()), file.string());
    Waiting out;
    out.address = in.requiredText("logbook");
    out.entry.summary = in.text("summary");
    out.entry.host = in.text("host");
    out.entry.path = in.text("path");
    out.entry.stamp = in.text("stamp");
    out.entry.record = recordFromJson(in.requiredText("record"), file.string());
    return out;
}

/// A day's file for one logbook; ids may hold what no file name does.
std::string fileNameOf(const LogbookAddress& address, const std::string& id) {
    return sha256Hex(address.text() + "\n" + id).substr(0, 32) + ".json";
}

} // namespace

void Outbox::keep(const LogbookAddress& address, const LogbookEntry& entry) {
    makeFolders(m_folder);
    const Json out{{"logbook", address.text()}, {"summary", entry.summary}, {"host", entry.host},
                   {"path", entry.path},        {"stamp", entry.stamp},     {"record", recordToJson(entry.record)}};
    writeFileSafely(m_folder / fileNameOf(address, entry.record.id), dumpJson(out));
}

std::vector<fs::path> Outbox::filesFor(const LogbookAddress& address) const {
    std::vector<std::pair<fs::file_time_type, fs::path>> found;
    std::error_code error;
    for (fs::directory_iterator it(m_folder, error), end; !error && it != end; it.increment(error)) {
        if (it->path().extension() != ".json")
            continue;
        try {
            if (readWaiting(it->path()).address == address.text())
                found.emplace_back(it->last_write_time(error), it->path());
        } catch (const DataError&) { // not one of ours, or half: the day folder has the day, `rebuild` finds it
        }
    }
    std::sort(found.begin(), found.end());
    std::vector<fs::path> out;
    for (auto& [time, path] : found)
        out.push_back(std::move(path));
    return out;
}

size_t Outbox::waiting(const LogbookAddress& address) const { return filesFor(address).size(); }

Outbox::Sent Outbox::send(Logbook& logbook) {
    Sent out;
    for (const fs::path& file : filesFor(logbook.address())) {
        const Waiting waiting = readWaiting(file);
        try {
            const PutResult result = logbook.put(waiting.entry, std::nullopt, packageOf);
            if (result.kind == PutKind::Conflict && result.other)
                out.conflicts.push_back(*result.other);
            else
                ++out.taken;
        } catch (const DataError& error) {
            if (error.problem() == Problem::LogbookUnreachable)
                throw;
            out.refused.emplace_back(waiting.entry.record.id, error);
            continue;
        }
        std::error_code error;
        fs::remove(file, error);
    }
    return out;
}

fs::path outboxFolder() { return stateFolder() / "outbox"; }

} // namespace hillrun
