// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/found_days.h"

#include "app/look/words.h"

using namespace Qt::StringLiterals;

namespace hillrun {

FoundDays::FoundDays(LogbookLink& link, Pages pages, QObject* parent)
    : QAbstractListModel(parent), m_link(link), m_size(pages) {
    connect(&m_link, &LogbookLink::failed, this, [this] { m_fetching = false; }); // who looks next asks again
}

void FoundDays::search(const DayQuery& query) {
    m_query = query;
    m_query.limit = m_size.days;
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
            m_pages.clear();
            m_wanted.reset();
            m_pages.push_front({0, std::move(answer.days)});
            m_total = answer.total;
            m_fetching = false;
            endResetModel();
            Q_EMIT found();
        });
}

const FoundDay* FoundDays::at(const QModelIndex& index) const {
    if (!index.isValid() || index.row() >= m_total)
        return nullptr;
    const int number = index.row() / m_size.days;
    const auto page =
        std::find_if(m_pages.begin(), m_pages.end(), [number](const Page& one) { return one.number == number; });
    if (page == m_pages.end()) {
        m_wanted = number;
        if (!std::exchange(m_fetching, true)) // from the event loop: whoever asks is painting
            QMetaObject::invokeMethod(
                const_cast<FoundDays*>(this), [self = const_cast<FoundDays*>(this)] { self->fetchWanted(); },
                Qt::QueuedConnection);
        return nullptr;
    }
    m_pages.splice(m_pages.begin(), m_pages, page);
    const auto row = static_cast<size_t>(index.row() % m_size.days);
    return row < page->days.size() ? &page->days[row] : nullptr;
}

/// Nothing is wanted any more when another search came meanwhile.
void FoundDays::fetchWanted() {
    m_fetching = m_wanted.has_value();
    if (m_wanted)
        fetch(*m_wanted);
}

/// One page at a time, so that a list that is dragged along does not ask for all that it passes.
void FoundDays::fetch(int page) {
    DayQuery asked = m_query;
    asked.offset = page * m_size.days;
    m_link.ask(
        this, [asked](Logbook& logbook) { return logbook.find(asked); },
        [this, page, number = m_search](std::vector<FoundDay> days) {
            if (number == m_search)
                takePage(page, std::move(days));
        });
}

void FoundDays::takePage(int page, std::vector<FoundDay> days) {
    std::erase_if(m_pages, [page](const Page& one) { return one.number == page; });
    m_pages.push_front({page, std::move(days)});
    if (m_pages.size() > m_size.held)
        m_pages.pop_back();
    if (m_wanted == page)
        m_wanted.reset();
    Q_EMIT dataChanged(index(page * m_size.days), index(std::min((page + 1) * m_size.days, rowCount()) - 1));
    fetchWanted();
}

int FoundDays::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(m_total); }

QString dateText(const FoundDay& day) { return day.date.empty() ? QObject::tr("undated") : qs(day.date); }

QString nameText(const FoundDay& day) { return day.name.empty() ? QObject::tr("Untitled day") : qs(day.name); }

QVariant FoundDays::data(const QModelIndex& index, int role) const {
    if (role != Qt::DisplayRole && role != Qt::AccessibleTextRole && role != Qt::ToolTipRole)
        return {};
    const FoundDay* day = at(index);
    if (!day)
        return role == Qt::AccessibleTextRole ? QVariant(tr("being read")) : QVariant();
    if (role == Qt::DisplayRole)
        return nameText(*day);
    const QString answer = qs(answerText(*day, currentVoice()));
    if (role == Qt::AccessibleTextRole)
        return QStringList{dateText(*day), nameText(*day), qs(day->article), answer}.join(u", "_s);
    return QString(answer + u'\n' + qs(day->path));
}

} // namespace hillrun
