// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/day_store.h"

#include <filesystem>
#include <QObject>
#include <QString>
#include <thread>

namespace hillrun {

/// Reads a day on another thread. Asking again, or `cancel`, drops what is under way; the destructor waits.
class DayReader : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    ~DayReader() override;
    void read(const std::filesystem::path& path, bool takeOver = false);
    void cancel() { ++m_number; }

Q_SIGNALS:
    /// `takeOver`: as it was asked for.
    void opened(const std::filesystem::path& path, const hillrun::OpenedDay& day, bool takeOver);
    void failed(const std::filesystem::path& path, const QString& message);

private:
    std::thread m_thread;
    quint64 m_number = 0;
};

} // namespace hillrun
