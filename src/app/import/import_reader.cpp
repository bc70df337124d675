// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_reader.h"

#include "app/look/words.h"
#include "core/errors/data_error.h"

#include <utility>

namespace hillrun {

ImportReader::~ImportReader() {
    cancel();
    if (m_thread.joinable())
        m_thread.join();
}

void ImportReader::run(std::function<ReadFiles(const ReadWatch&)> work) {
    const quint64 number = ++m_number;
    if (m_thread.joinable())
        m_thread.join(); // it has been told to stop
    m_thread = std::thread([this, number, work = std::move(work)] {
        int last = -1;
        const ReadWatch watch = [&](double share) {
            const int percent = static_cast<int>(100.0 * share);
            if (percent != std::exchange(last, percent))
                QMetaObject::invokeMethod(
                    this,
                    [this, number, percent] {
                        if (number == m_number)
                            Q_EMIT progressed(percent);
                    },
                    Qt::QueuedConnection);
            return number == m_number;
        };
        try {
            auto files = std::make_shared<ReadFiles>(work(watch));
            QMetaObject::invokeMethod(
                this,
                [this, number, files] {
                    if (number == m_number)
                        Q_EMIT done(*files);
                },
                Qt::QueuedConnection);
        } catch (const ReadStopped&) { // nobody waits for it
        }
    });
}

ReadFiles readForImport(const std::vector<std::filesystem::path>& paths, const TestDay& day, const ReadWatch& watch) {
    ReadFiles out;
    for (const auto& path : paths) {
        try {
            for (ImportFile& file : openForImport(path, day, nullptr, watch))
                out.files.push_back(std::move(file));
        } catch (const DataError& error) {
            out.problems << errorText(error);
        } catch (const std::bad_alloc&) {
            out.problems << ImportReader::tr("%1 needs more memory than there is.")
                                .arg(QString::fromStdString(path.filename().string()));
        }
    }
    return out;
}

} // namespace hillrun
