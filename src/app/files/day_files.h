// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/day_reader.h"
#include "app/document/selection.h"
#include "app/files/day_offers.h"
#include "app/frame/dialogs.h"
#include "app/frame/notice_bar.h"
#include "app/frame/settings.h"

#include <QMenu>

namespace hillrun {

/// Everything that brings a day from the disk and back: new, open, save, export, recent days, and who may write. Asks
/// through the dialogs, tells through the notice bar.
class DayFiles : public QObject {
    Q_OBJECT
public:
    DayFiles(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, SettingsStore& settings,
             NoticeBar& notice);

    void newDay();
    bool open(const std::filesystem::path& path); ///< false when the open day is not to be left
    /// A day that ships with the program: a copy among one's own days where it may not be written.
    void openDemo(const std::filesystem::path& path);
    /// A package that a logbook keeps of another bench's day, as a copy among one's own days. One that was copied
    /// before and edited since is not passed by: it is asked which is meant. `host`: that bench.
    void openCopy(const std::string& id, const std::string& host, std::string package);
    [[nodiscard]] QStringList recent() const { return m_settings.get(settings::kRecent); }
    /// The first of these that is a day; false when none is.
    bool openDayAmong(const QStringList& paths);
    /// Days and recordings that were kept, and what else wants a decision.
    void offerKept() { m_offers.askAboutEverything(); }
    void offerWhatIsDoubtful() { m_offers.ask(); }
    bool mayLeaveDay(); ///< asks about edits that are not saved
    bool save();
    bool saveAs();
    void exportTo(const QString& title, const QString& ending, const QString& filter,
                  const std::function<void(const std::filesystem::path&)>& write);
    void fillRecentMenu(QMenu& menu);

Q_SIGNALS:
    void begun();  ///< a new day is there to be prepared
    void tookIn(); ///< what was kept came in
    void stored(); ///< the day has a place on disk
    void saved();  ///< it stands there as it is here

private:
    void take(const std::filesystem::path& path, const OpenedDay& opened, bool takeOver);
    void openCopyAt(const std::filesystem::path& path, const std::string& host);
    void reload(bool takeOver);
    void openKept(const KeptDay& kept);
    void tellInUse();
    void askAboutChangedDay();
    void tellDifferences();
    [[nodiscard]] std::filesystem::path daysFolder() const;
    void givePlace();
    bool saveBeside();
    bool saveTo(const std::filesystem::path& target);
    void tellSaved(const QString& words, const std::vector<Statement>& leftBehind);
    void addRecent(const std::filesystem::path& path);

    QWidget* m_window;
    Dialogs& m_dialogs;
    DayDocument& m_document;
    Selection& m_selection;
    SettingsStore& m_settings;
    NoticeBar& m_notice;
    DayReader m_reader;
    QString m_sayWhenOpen; ///< of the day that is being read
    DayOffers m_offers;
};

} // namespace hillrun
