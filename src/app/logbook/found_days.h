// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/logbook_link.h"

#include <QAbstractListModel>

namespace hillrun {

/// The days that were found, read a hundred at a time as the list is scrolled.
class FoundDays : public QAbstractListModel {
    Q_OBJECT
public:
    explicit FoundDays(LogbookLink& link, QObject* parent = nullptr) : QAbstractListModel(parent), m_link(link) {}
    void search(const DayQuery& query);
    [[nodiscard]] long total() const { return m_total; }
    [[nodiscard]] const FoundDay* at(const QModelIndex& index) const;

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] bool canFetchMore(const QModelIndex& parent) const override;
    void fetchMore(const QModelIndex& parent) override;

Q_SIGNALS:
    void found(); ///< what was searched for is there

private:
    LogbookLink& m_link;
    DayQuery m_query;
    std::vector<FoundDay> m_days;
    long m_total = 0;
    quint64 m_search = 0; ///< answers to an earlier one are dropped
    bool m_fetching = false;
};

} // namespace hillrun
