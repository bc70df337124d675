// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/logbook.h"

#include <atomic>
#include <chrono>
#include <exception>
#include <functional>
#include <map>
#include <memory>
#include <QObject>
#include <QPointer>
#include <QThread>
#include <QTimer>

namespace hillrun {

/// The logbook as the window uses it: on a thread of its own, opened when it is first asked for. Whatever was asked for
/// is done in that order, also when the window closes, unless the logbook cannot be opened.
class LogbookLink : public QObject {
    Q_OBJECT
public:
    LogbookLink();
    ~LogbookLink() override;
    /// An address as people write it; empty: this bench's own. HILLRUN_LOGBOOK goes before it.
    void setAddress(const std::string& address);

    /// Does `work(logbook)` on the logbook's thread and gives what it returns to `done`, here, unless `asker` is gone.
    template <class Work, class Done> void ask(QObject* asker, Work work, Done done) {
        post([this, work, done, guard = QPointer<QObject>(asker)](Logbook& logbook) {
            auto answer = std::make_shared<decltype(work(logbook))>(work(logbook));
            QMetaObject::invokeMethod(this, [guard, done, answer] {
                if (guard)
                    done(std::move(*answer));
            });
        });
    }
    /// A saved day enters the logbook, soon: a day that is saved again meanwhile enters once. `worked`: what is known
    /// of it already; else it is worked out.
    void enter(const std::filesystem::path& path, std::optional<LogbookEntry> worked = std::nullopt);

Q_SIGNALS:
    void changed();                      ///< days entered, or were forgotten
    void conflict(const QString& words); ///< a day is there from elsewhere and stayed as it is
    void failed(const QString& words);   ///< what was asked for could not be done
    void waiting(const QString& words);  ///< the server is away; the day follows later

private:
    using Work = std::function<void(Logbook&)>;
    void post(Work work);
    void enterPending();
    void enterNow(const std::string& path, const std::optional<LogbookEntry>& worked);
    Logbook& opened(); ///< on the logbook's thread

    std::string m_wanted;
    std::string m_address; ///< on the logbook's thread
    QThread m_thread;
    QObject m_worker;                                             ///< lives there
    std::unique_ptr<Logbook> m_logbook;                           ///< there
    std::map<std::string, std::optional<LogbookEntry>> m_pending; ///< by path
    std::atomic<bool> m_closing = false;
    /// Why it could not be opened a moment ago: typing on does not ask a server that is away letter by letter.
    std::exception_ptr m_refused;                      ///< there
    std::chrono::steady_clock::time_point m_refusedAt; ///< there
    QTimer m_soon;
};

} // namespace hillrun
