// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/live_state.h"

#include <QObject>
#include <QThread>

namespace hillrun {

class CellWorker;

/// The window's side of the cell: its questions go to the worker's thread, its answers come back as signals. The
/// destructor stops the thread and waits. It listens only; nothing here commands a device.
class CellService : public QObject {
    Q_OBJECT
public:
    explicit CellService(QObject* parent = nullptr);
    ~CellService() override;

    void setLinks(const std::vector<LinkAddress>& addresses);
    /// Records the next pull, and the one after it, until disarmed; `arm` again changes what is known of the next.
    void arm(const PullRequest& request);
    void disarm();
    void startByHand();
    void endByHand();
    /// The last known state; never null.
    [[nodiscard]] LiveSnapshotPtr now() const { return m_now; }
    [[nodiscard]] bool hasLinks() const { return m_hasLinks; }
    [[nodiscard]] bool pulling() const; ///< a recording runs

Q_SIGNALS:
    void changed(); ///< about 30 times a second while a link is set
    void linksSet();
    void pullingChanged();
    void pullStarted();
    void pullDropped(); ///< what began was no pull
    void pullRecorded(const hillrun::RecordedPull& pull);
    void pullDated(const hillrun::DatedPull& pull); ///< when a recorded pull really began

private:
    QThread m_thread;
    CellWorker* m_worker = nullptr;
    LiveSnapshotPtr m_now;
    bool m_hasLinks = false;
};

} // namespace hillrun
