// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/logbook_link.h"
#include "core/history/cell_history.h"
#include "core/history/earlier_repeats.h"
#include "core/history/over_days.h"

namespace hillrun {

/// What all other days of this dyno tell of one to come.
struct TaughtByCell {
    std::optional<CellFigure> repeatability; ///< of one pull
    std::optional<CellFigure> refit;
    std::vector<double> likelyRefits; ///< see CellHistory
    EarlierRepeats repeats;           ///< for a day with too few of its own
    int days = 0;
    [[nodiscard]] RefitSd refitSd() const; ///< as a plan takes it; not known while too few days tell
};

/// An answer out of the logbook: what the cell has taught, and the open day together with earlier ones.
struct OtherDaysAnswer {
    TaughtByCell cell;
    OverDays over;
};

/// Asks the logbook about the open day, while a page shows what it answers. What was answered stays until the next
/// answer is there, but never for another day.
class OtherDays : public QObject {
    Q_OBJECT
public:
    OtherDays(DayDocument& document, LogbookLink& link);
    [[nodiscard]] const OtherDaysAnswer& answer() const { return m_answer; }
    [[nodiscard]] bool isBusy() const { return m_asked != m_answered; }
    /// Called by a page that shows it: asks when something has changed since.
    void bringUpToDate();
    /// Puts a build of another day beside today's, or takes it away; an edit of the day.
    void addEarlier(const BuildOfDay& build);
    void removeEarlier(const BuildOfDay& build);

Q_SIGNALS:
    void earlierAdded();
    void outdated(); ///< pages that are seen bring it up to date
    void changed();  ///< the answer, or whether one is on its way

private:
    void markOutdated();

    DayDocument& m_document;
    LogbookLink& m_link;
    OtherDaysAnswer m_answer;
    std::string m_dayAsked; ///< the day that the answer is about
    bool m_outdated = true;
    quint64 m_asked = 0;
    quint64 m_answered = 0;
    std::shared_ptr<std::atomic<quint64>> m_latest = std::make_shared<std::atomic<quint64>>(0); ///< m_asked, for the
                                                                                                ///< logbook's thread
};

} // namespace hillrun
