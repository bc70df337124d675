// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/dialogs.h"
#include "app/frame/notice_bar.h"
#include "formats/kept_days.h"

#include <deque>
#include <functional>

namespace hillrun {

/// A pull that a crash, a full disk or a lost link left in a journal.
struct LeftPull {
    Pull pull;
    std::filesystem::path journal;
    std::string end; ///< what the recorder said at its end; empty: it was cut short
};
/// Those of a day that are not in it yet and that nobody is recording. Journals of pulls that are in the day with all
/// their rows are removed.
std::vector<LeftPull> leftPulls(const std::filesystem::path& dayPath, const TestDay& day);

/// Everything that wants a decision once a day is open, one question after the other in the notice bar: edits and pulls
/// that a crash left, pulls whose file does not fit or cannot be read, pulls with the same rows, days that were never
/// saved. Nothing is thrown away without somebody's word.
class DayOffers : public QObject {
    Q_OBJECT
public:
    DayOffers(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, NoticeBar& notice);

    /// Asks about the day that was just opened, then about days that were never saved.
    void ask();
    /// Also brings up recordings that were too short for a pull.
    void askAboutEverything();
    void stop(); ///< another day comes

Q_SIGNALS:
    void tookIn();                               ///< pulls came into the day
    void wantsDay(const hillrun::KeptDay& kept); ///< a kept day is to be opened in place of the open one
    void wantsSave();                            ///< what was taken in is to be saved

private:
    using Question = std::function<bool()>; ///< false: there was nothing to ask
    void next();
    bool askAboutLeft(bool alsoShort);
    bool askAboutBadPull(const std::string& id);
    bool askAboutSameRows(const std::vector<std::string>& group);
    bool askAboutKept(const KeptDay& kept);
    void takeIn(const std::optional<KeptDay>& kept, const std::vector<LeftPull>& left);
    void offerAsItIs(const Pull& pull);
    void offerRepair(const Pull& pull);
    void setAside(const std::string& id, const QString& reason);
    NoticeBar::Answer answer(const QString& text, const std::function<void()>& run);
    [[nodiscard]] std::optional<KeptDay> keptOfThisDay() const;

    QWidget* m_window;
    Dialogs& m_dialogs;
    DayDocument& m_document;
    Selection& m_selection;
    NoticeBar& m_notice;
    std::deque<Question> m_questions;
};

} // namespace hillrun
