// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/logbook_link.h"

#include <list>
#include <QAbstractListModel>

namespace hillrun {

/// What stands in the list for a day's date and name.
QString dateText(const FoundDay& day);
QString nameText(const FoundDay& day);

/// The days that were found. They are read a page at a time where the list is looked at, and only some pages are
/// held, so that a list of any length takes the same memory.
class FoundDays : public QAbstractListModel {
    Q_OBJECT
public:
    /// How much is read at once, and how many such pages are held.
    struct Pages {
        int days = 100;
        size_t held = 20;
    };
    explicit FoundDays(LogbookLink& link, QObject* parent = nullptr) : FoundDays(link, Pages(), parent) {}
    FoundDays(LogbookLink& link, Pages pages, QObject* parent = nullptr);
    void search(const DayQuery& query);
    [[nodiscard]] long total() const { return m_total; }
    /// Null while it is being read; `dataChanged` tells when it is there.
    [[nodiscard]] const FoundDay* at(const QModelIndex& index) const;
    [[nodiscard]] size_t pagesHeld() const { return m_pages.size(); }

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;

Q_SIGNALS:
    void found(); ///< what was searched for is there

private:
    struct Page {
        int number;
        std::vector<FoundDay> days;
    };
    void fetchWanted();
    void fetch(int page);
    void takePage(int page, std::vector<FoundDay> days);

    LogbookLink& m_link;
    const Pages m_size;
    DayQuery m_query;
    mutable std::list<Page> m_pages;     ///< the one last looked at first
    mutable std::optional<int> m_wanted; ///< looked at and not there; the last one counts
    long m_total = 0;
    quint64 m_search = 0; ///< answers to an earlier one are dropped
    mutable bool m_fetching = false;
};

} // namespace hillrun
