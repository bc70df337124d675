// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/logbook_link.h"

#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "logbook/log_days.h"
#include "logbook/outbox.h"

using namespace std::chrono_literals;

namespace hillrun {
namespace {

constexpr auto kSoon = 2s;     ///< a day is saved often while it is being run
constexpr auto kAskAgain = 5s; ///< a logbook that could not be opened

LogbookAddress addressFrom(const std::string& text) {
    return text.empty() || qEnvironmentVariableIsSet("HILLRUN_LOGBOOK") ? defaultLogbook() : logbookAddress(text);
}

} // namespace

LogbookLink::LogbookLink() {
    m_worker.moveToThread(&m_thread);
    m_thread.setObjectName(QStringLiteral("logbook"));
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoon);
    connect(&m_soon, &QTimer::timeout, this, &LogbookLink::enterPending);
}

LogbookLink::~LogbookLink() {
    m_closing = true;
    enterPending();
    if (!m_thread.isRunning())
        return;
    QMetaObject::invokeMethod(&m_worker, [this] { // after all that was asked for
        m_logbook.reset();
        m_worker.moveToThread(thread());
        m_thread.quit();
    });
    m_thread.wait();
}

void LogbookLink::setAddress(const std::string& address) {
    if (address == m_wanted)
        return;
    m_wanted = address;
    if (!m_thread.isRunning()) {
        m_address = address;
        return;
    }
    QMetaObject::invokeMethod(&m_worker, [this, address] { // after what was asked of the other one
        m_address = address;
        m_logbook.reset();
        m_refused = nullptr;
        Q_EMIT changed();
    });
}

Logbook& LogbookLink::opened() {
    const auto now = std::chrono::steady_clock::now();
    if (!m_logbook && m_refused && now - m_refusedAt < kAskAgain)
        std::rethrow_exception(m_refused);
    if (!m_logbook) {
        try {
            m_logbook = std::make_unique<Logbook>(addressFrom(m_address));
            m_refused = nullptr;
        } catch (...) {
            m_refused = std::current_exception();
            m_refusedAt = std::chrono::steady_clock::now();
            throw;
        }
        const Outbox::Sent sent = Outbox(outboxFolder()).send(*m_logbook);
        for (const FoundDay& day : sent.conflicts)
            Q_EMIT conflict(qs(day.host + ": " + day.path));
        for (const auto& [id, error] : sent.refused)
            Q_EMIT failed(qs(id) + u": "_s + errorText(error));
        if (sent.taken > 0)
            Q_EMIT changed();
    }
    return *m_logbook;
}

void LogbookLink::post(Work work) {
    if (!m_thread.isRunning())
        m_thread.start(QThread::LowPriority);
    QMetaObject::invokeMethod(&m_worker, [this, work = std::move(work)] {
        if (m_closing && !m_logbook)
            return; // nobody waits for a server that is away
        try {
            work(opened());
        } catch (const std::exception& error) {
            m_logbook.reset(); // the next question tries anew
            Q_EMIT failed(errorText(error));
        }
    });
}

void LogbookLink::enter(const std::filesystem::path& path, std::optional<LogbookEntry> worked) {
    m_pending[path.string()] = std::move(worked);
    m_soon.start();
}

void LogbookLink::enterPending() {
    m_soon.stop();
    for (const auto& [path, worked] : std::exchange(m_pending, {})) {
        if (!m_thread.isRunning())
            m_thread.start(QThread::LowPriority);
        QMetaObject::invokeMethod(&m_worker, [this, path = path, worked = worked] { enterNow(path, worked); });
    }
}

void LogbookLink::enterNow(const std::string& path, const std::optional<LogbookEntry>& worked) {
    try {
        const LogbookEntry entry = worked && worked->stamp == dayStamp(path) ? *worked : entryOf(path);
        try {
            const PutResult result = opened().put(entry, std::nullopt, packageOf);
            if (result.kind == PutKind::Conflict && result.other)
                Q_EMIT conflict(qs(result.other->host + ": " + result.other->path));
            if (result.kind == PutKind::Added || result.kind == PutKind::Updated)
                Q_EMIT changed();
        } catch (const DataError& error) {
            m_logbook.reset();
            const LogbookAddress address = addressFrom(m_address);
            if (error.problem() != Problem::LogbookUnreachable || !address.onServer)
                throw;
            Outbox(outboxFolder()).keep(address, entry);
            Q_EMIT waiting(errorText(error));
        }
    } catch (const DataError& error) {
        if (error.problem() != Problem::NothingToCompare) // a day without pulls waits for its first
            Q_EMIT failed(errorText(error));
    } catch (const std::exception& error) {
        Q_EMIT failed(errorText(error));
    }
}

} // namespace hillrun
