// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/cell_service.h"

#include "cell/cell_worker.h"

using namespace Qt::StringLiterals;

namespace hillrun {

CellService::CellService(QObject* parent) : QObject(parent), m_now(std::make_shared<LiveSnapshot>()) {
    qRegisterMetaType<LiveSnapshotPtr>();
    qRegisterMetaType<RecordedPull>();
    qRegisterMetaType<DatedPull>();
    qRegisterMetaType<LinkState>();
    m_worker = new CellWorker;
    m_worker->moveToThread(&m_thread);
    connect(&m_thread, &QThread::finished, m_worker, &QObject::deleteLater);
    connect(m_worker, &CellWorker::snapshot, this, [this](const LiveSnapshotPtr& snapshot) {
        const bool before = pulling();
        m_now = snapshot;
        Q_EMIT changed();
        if (pulling() != before)
            Q_EMIT pullingChanged();
    });
    connect(m_worker, &CellWorker::pullStarted, this, &CellService::pullStarted);
    connect(m_worker, &CellWorker::pullDropped, this, &CellService::pullDropped);
    connect(m_worker, &CellWorker::pullRecorded, this, &CellService::pullRecorded);
    connect(m_worker, &CellWorker::pullDated, this, &CellService::pullDated);
    m_thread.setObjectName(u"cell"_s);
    m_thread.start();
}

CellService::~CellService() {
    m_thread.quit();
    m_thread.wait();
}

void CellService::setLinks(const std::vector<LinkAddress>& addresses) {
    m_hasLinks = !addresses.empty();
    QMetaObject::invokeMethod(m_worker, [worker = m_worker, addresses] { worker->setLinks(addresses); });
    Q_EMIT linksSet();
}

bool CellService::pulling() const {
    return m_now->recorder == RecorderState::Running || m_now->recorder == RecorderState::Ending;
}

void CellService::arm(const PullRequest& request) {
    QMetaObject::invokeMethod(m_worker, [worker = m_worker, request] { worker->arm(request); });
}

void CellService::disarm() {
    QMetaObject::invokeMethod(m_worker, [worker = m_worker] { worker->disarm(); });
}

void CellService::startByHand() {
    QMetaObject::invokeMethod(m_worker, [worker = m_worker] { worker->startByHand(); });
}

void CellService::endByHand() {
    QMetaObject::invokeMethod(m_worker, [worker = m_worker] { worker->endByHand(); });
}

} // namespace hillrun
