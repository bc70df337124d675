// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/day_reader.h"
#include "app/look/words.h"

#include <exception>

namespace hillrun {

DayReader::~DayReader() {
    if (m_thread.joinable())
        m_thread.join();
}

void DayReader::read(const std::filesystem::path& path, bool takeOver) {
    if (m_thread.joinable())
        m_thread.join();
    const quint64 number = ++m_number;
    m_thread = std::thread([this, path, number, takeOver] {
        OpenedDay day;
        QString problem;
        try {
            day = openDay(path, BadPulls::Keep);
        } catch (const std::exception& error) {
            problem = errorText(error);
        }
        QMetaObject::invokeMethod(
            this,
            [this, path, number, day, problem, takeOver] {
                if (number != m_number)
                    return; // cancelled, or another day was asked for
                if (problem.isEmpty())
                    Q_EMIT opened(path, day, takeOver);
                else
                    Q_EMIT failed(path, problem);
            },
            Qt::QueuedConnection);
    });
}

} // namespace hillrun
