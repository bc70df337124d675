// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/found_days.h"

#include "app/look/words.h"

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kAtOnce = 100;

} // namespace

void FoundDays::search(const DayQuery& query) {
    m_query = query;
    m_query.limit = kAtOnce;
    m_query.offset = 0;
    const quint64 number = ++m_search;
    m_fetching = true;
    struct Answer {
        std::vector<FoundDay> days;
        long total = 0;
    };
    m_link.ask(
        this,
        [asked = m_query](Logbook& logbook) {
            return Answer{logbook.find(asked), logbook.count(asked)};
        },
        [this, number](Answer answer) {
            if (number != m_search)
                return;
            beginResetModel();
            m_days = std::move(answer.days);
            m_total = answer.total;
            m_fetching = false;
            endResetModel();
            Q_EMIT found();
        });
}

const FoundDay* FoundDays::at(const QModelIndex& index) const {
    const auto row = static_cast<size_t>(index.row());
    return index.isValid() && row < m_days.size() ? &m_days[row] : nullptr;
}

int FoundDays::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_days.size());
}

QVariant FoundDays::data(const QModelIndex& index, int role) const {
    const FoundDay* day = at(index);
    if (!day)
        return {};
    if (role == Qt::DisplayRole)
        return qs(day->name);
    if (role == Qt::AccessibleTextRole)
        return QStringList{qs(day->date), qs(day->name), qs(day->article), qs(day->summary)}.join(u", "_s);
    if (role == Qt::ToolTipRole)
        return qs(day->summary + "\n" + day->path);
    return {};
}

bool FoundDays::canFetchMore(const QModelIndex& parent) const {
    return !parent.isValid() && !m_fetching && static_cast<long>(m_days.size()) < m_total;
}

void FoundDays::fetchMore(const QModelIndex& parent) {
    if (!canFetchMore(parent))
        return;
    m_fetching = true;
    DayQuery more = m_query;
    more.offset = static_cast<int>(m_days.size());
    m_link.ask(
        this, [more](Logbook& logbook) { return logbook.find(more); },
        [this, number = m_search](std::vector<FoundDay> days) {
            if (number != m_search)
                return;
            m_fetching = false;
            if (days.empty()) { // somebody forgot days meanwhile
                m_total = static_cast<long>(m_days.size());
                return;
            }
            const int first = static_cast<int>(m_days.size());
            beginInsertRows({}, first, first + static_cast<int>(days.size()) - 1);
            std::move(days.begin(), days.end(), std::back_inserter(m_days));
            endInsertRows();
        });
}

} // namespace hillrun
