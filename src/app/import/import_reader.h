// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/import_files.h"

#include <atomic>
#include <functional>
#include <QObject>
#include <QStringList>
#include <thread>

namespace hillrun {

/// Files in which nobody waits for the reading.
inline constexpr size_t kReadAtOnce = size_t{4} << 20;

struct ReadFiles {
    std::vector<ImportFile> files;
    QStringList problems; ///< of files that could not even be opened
};

/// Reads strangers' files on another thread. Asking again, `cancel` and the destructor stop what is under way.
class ImportReader : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    ~ImportReader() override;
    void run(std::function<ReadFiles(const ReadWatch&)> work);
    void cancel() { ++m_number; }

Q_SIGNALS:
    void done(const hillrun::ReadFiles& files);
    void progressed(int percent); ///< of the file that is being read

private:
    std::thread m_thread;
    std::atomic<quint64> m_number = 0; ///< of what is wanted; another one is stopped
};

/// Opens all of them; throws nothing.
ReadFiles readForImport(const std::vector<std::filesystem::path>& paths, const TestDay& day,
                        const ReadWatch& watch = {});

} // namespace hillrun
