// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/import_reader.h"

#include "core/errors/data_error.h"

namespace hillrun {

ImportReader::~ImportReader() {
    if (m_thread.joinable())
        m_thread.join();
}

void ImportReader::run(std::function<ReadFiles()> work) {
    if (m_thread.joinable())
        m_thread.join();
    const quint64 number = ++m_number;
    m_thread = std::thread([this, number, work = std::move(work)] {
        auto files = std::make_shared<ReadFiles>(work());
        QMetaObject::invokeMethod(
            this,
            [this, number, files] {
                if (number == m_number)
                    Q_EMIT done(*files);
            },
            Qt::QueuedConnection);
    });
}

ReadFiles readForImport(const std::vector<std::filesystem::path>& paths, const TestDay& day) {
    ReadFiles out;
    for (const auto& path : paths) {
        try {
            for (ImportFile& file : openForImport(path, day))
                out.files.push_back(std::move(file));
        } catch (const DataError& error) {
            out.problems << QString::fromUtf8(error.what());
        } catch (const std::bad_alloc&) {
            out.problems << ImportReader::tr("%1 needs more memory than there is.")
                                .arg(QString::fromStdString(path.filename().string()));
        }
    }
    return out;
}

} // namespace hillrun
