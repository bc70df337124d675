// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QString>
#include <QStringList>

namespace hillrun {

enum class DaySort { Newest, Oldest, Name, Article, Power };

/// What days are looked for; all of it must fit.
struct DayQuery {
    QStringList words; ///< each begins a word of the day: see `searchWords`
    QString article;   ///< part of its name, as all texts here in the letters of `searchWords`
    QString part;      ///< of a part's or setting's name and value
    QString operatorName;
    QString since; ///< "2026-05-16", or the beginning of such a date
    QString until;
    std::optional<double> over_kw;
    std::optional<double> under_kw;
    DaySort sort = DaySort::Newest;
    int limit = 0; ///< 0: all
    int offset = 0;
};

/// A text as it is searched: its words in small letters without accents, of any script, one blank between them.
QString searchText(const QString& text);
QStringList searchWords(const QString& text);

/// What somebody types: words, and "over 70 kW" or "under 95 hp" in the program's languages or as "> 70".
DayQuery queryFrom(const QString& typed);

} // namespace hillrun
