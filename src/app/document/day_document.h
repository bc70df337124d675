// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "formats/day_lock.h"
#include "formats/day_store.h"

#include <filesystem>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <QObject>
#include <QString>
#include <QUndoStack>

namespace hillrun {

class AnalysisWorker;
class KeepWorker;

/// Whether the open day may be written where it lives.
enum class DayAccess {
    NoPlace,     ///< it was never saved
    Writable,    ///< this window is the one that writes it
    InUse,       ///< another window or program writes it: nothing can be edited here
    NotWritable, ///< its folder may not be written: edits can be saved elsewhere
};

/// The open day with its edits. Works the day out on another thread and hands out an immutable analysis; pages read
/// that and send edits, each of which can be undone.
class DayDocument : public QObject {
    Q_OBJECT
public:
    explicit DayDocument(QObject* parent = nullptr);
    ~DayDocument() override;

    [[nodiscard]] bool isOpen() const { return m_open; }
    [[nodiscard]] const TestDay& day() const { return m_day; }
    [[nodiscard]] const std::filesystem::path& path() const { return m_path; }
    [[nodiscard]] const AnalysisSettings& settings() const { return m_settings; }
    /// The latest result; null until the first is there.
    [[nodiscard]] std::shared_ptr<const DayAnalysis> analysis() const { return m_analysis; }
    [[nodiscard]] bool isBusy() const { return m_asked != m_answered; }
    QUndoStack& undoStack() { return m_undo; }
    [[nodiscard]] const QUndoStack& undoStack() const { return m_undo; }

    /// Takes a day over as read from `path` (empty: not saved yet); `stamp` is what `openDay` gave. Becomes the one
    /// that writes it unless somebody else is; `takeOver` takes the writing from whoever it is.
    void show(TestDay day, const std::filesystem::path& path, const std::string& stamp = {}, bool takeOver = false);
    void close();
    [[nodiscard]] DayAccess access() const { return m_access; }
    [[nodiscard]] bool mayEdit() const { return m_access != DayAccess::InUse; }
    /// Who has the day, or why it cannot be written.
    [[nodiscard]] const QString& accessWords() const { return m_accessWords; }
    /// One undoable edit. `change` gets a copy of the day; an edit that changes nothing is dropped. False when the day
    /// is in use elsewhere (`editRefused`). Edits that name the same thing in `together` and follow each other within
    /// two seconds are undone at once.
    bool edit(const QString& what, const std::function<void(TestDay&)>& change, const QString& together = {});
    /// What the user wants to see; not an edit of the day.
    void setSettings(const AnalysisSettings& settings);
    /// Whether what each part gives is worked out with every answer: while somebody looks at it.
    void wantCredit(bool on);
    /// Another curve beside power and torque that somebody looks at ("boost"); empty: none.
    void wantQuantity(const std::string& id);

    /// Writes to where the day came from, or to `target`; the day then lives there. Returns what could not be taken
    /// along. Throws DataError (CannotWrite, PlaceGone, DayInUse, DayTakenOver, ChangedOnDisk, AnotherDayThere).
    std::vector<Statement> save();
    std::vector<Statement> saveAs(const std::filesystem::path& target);

    // Every edit that is not saved is kept at once (`kept_days.h`), until it is saved or dismissed.
    void dismissEdits(); ///< nobody wants them
    void waitUntilKept();

    // Edits
    void setAside(const std::vector<std::string>& pulls, const QString& reason);
    void takeBack(const std::vector<std::string>& pulls);
    void setWindow(const std::string& pull, const std::optional<RpmRange>& window);
    /// Another air pressure for pulls whose barometer was read wrong.
    void setPressure(const std::vector<std::string>& pulls, double pressure_kpa);
    /// Works the day out as if the pull were trimmed so, while an edge is dragged; no edit. Each answer comes by
    /// `analysisReady`, the newest try after the last answer, until `setWindow` (or any other edit) ends it.
    void tryWindow(const std::string& pull, const RpmRange& window);
    /// The torque of a pull was written down in another unit: times `factor`, on top of the rows.
    void correctUnit(const std::string& pull, double factor, const QString& words);

Q_SIGNALS:
    void dayChanged();
    void settingsChanged();
    void analysisReady();
    void busyChanged(bool busy);
    void progressed(double share); ///< of the answer under way, 0 to 1
    void accessChanged();
    void editRefused();
    void notKept(const QString& why); ///< the state folder cannot take the edits

private:
    friend class DayEdit;
    void setState(TestDay state);
    void ask();
    void askTried();
    void take(quint64 number, const std::shared_ptr<const DayAnalysis>& analysis);
    void keep();
    void noteTakenOver();
    void setAccess(DayAccess access, const QString& words);
    void takeStored(const TestDay& saved);
    void nameStored(TestDay& day) const;
    void noteStored(const TestDay& day);
    SavedDay writeTo(const std::filesystem::path& target);

    TestDay m_state; ///< as the undo stack knows it
    TestDay m_day;   ///< the same, with the places of its rows as they are now
    std::filesystem::path m_path;
    bool m_open = false;
    bool m_dismissed = false; ///< nobody wants the edits that are not saved
    AnalysisSettings m_settings;
    std::shared_ptr<const DayAnalysis> m_analysis;
    QUndoStack m_undo;
    std::unique_ptr<AnalysisWorker> m_worker;
    std::unique_ptr<KeepWorker> m_keeper;
    FileLock m_lock;
    DayAccess m_access = DayAccess::NoPlace;
    QString m_accessWords;
    std::string m_stamp; ///< of the day on disk as this window knows it
    /// Where rows lie on disk. Undo brings back older states of the day, but never an older place of its rows.
    struct StoredRows {
        std::shared_ptr<const ChannelTable> rows;
        std::string file;
        std::string sha256;
    };
    std::map<const ChannelTable*, StoredRows> m_stored;
    struct TriedWindow {
        std::string pull;
        RpmRange window;
    };
    std::optional<TriedWindow> m_tried; ///< waits for the answer that is under way
    bool m_trying = false;              ///< what was asked last is no state of the day
    quint64 m_asked = 0;
    quint64 m_answered = 0;
};

} // namespace hillrun
