// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/cell_service.h"

#include <QTimer>

namespace hillrun {

/// Listens to one address for a few seconds and says in words what came.
class LinkTester : public QObject {
    Q_OBJECT
public:
    explicit LinkTester(const LinkAddress& address, QObject* parent = nullptr);

Q_SIGNALS:
    void done(bool good, const QString& words);

private:
    void look(bool last);
    LinkAddress m_address;
    CellService m_service;
    QTimer m_looks;
    int m_looked = 0;
};

/// What a link's state amounts to, for the tester and for tooltips.
QString linkWords(const LinkStatus& status, const LiveSnapshot& snapshot);

} // namespace hillrun
