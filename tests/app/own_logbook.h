// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/log_days.h"
#include "support.h"

#include <QByteArray>

namespace hillrun::test {

/// A logbook of its own for one test.
class OwnLogbook {
public:
    OwnLogbook() { qputenv("HILLRUN_LOGBOOK", QByteArray::fromStdString(file().string())); }
    ~OwnLogbook() { qunsetenv("HILLRUN_LOGBOOK"); }
    OwnLogbook(const OwnLogbook&) = delete;
    OwnLogbook& operator=(const OwnLogbook&) = delete;
    [[nodiscard]] std::filesystem::path file() const { return m_folder.path() / "book.sqlite"; }
    void add(const std::filesystem::path& day, const std::string& date = {}) const {
        LogbookEntry entry = entryOf(day);
        if (!date.empty()) {
            entry.record.date = date;
            entry.record.id = date + entry.record.id;
            entry.path += date;
        }
        Logbook(logbookAddress(file().string())).put(entry);
    }
    [[nodiscard]] long count() const { return Logbook(logbookAddress(file().string())).count({}); }

private:
    TemporaryFolder m_folder;
};

} // namespace hillrun::test
