// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <filesystem>
#include <functional>
#include <memory>
#include <QObject>
#include <QString>
#include <QTimer>
#include <QUndoStack>

namespace hillrun {

class AnalysisWorker;

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

    /// Takes a day over as read from `path` (empty: not saved yet).
    void show(TestDay day, const std::filesystem::path& path);
    void close();
    /// One undoable edit. `change` gets a copy of the day; an edit that changes nothing is dropped.
    void edit(const QString& what, const std::function<void(TestDay&)>& change);
    /// What the user wants to see; not an edit of the day.
    void setSettings(const AnalysisSettings& settings);

    /// Writes to where the day came from, or to `target`; the day then lives there. Throws DataError.
    void save();
    void saveAs(const std::filesystem::path& target);

    /// Edits not saved yet, kept so that a crash costs nothing. One file a day, removed on saving.
    [[nodiscard]] static std::filesystem::path autosaveFile(const std::filesystem::path& dayPath);
    /// A later state of this day left by a crash; nothing when there is none.
    [[nodiscard]] static std::optional<TestDay> findAutosave(const std::filesystem::path& dayPath, const TestDay& day);
    void dropAutosave() const;

    // Edits
    void setAside(const std::vector<std::string>& pulls, const QString& reason);
    void takeBack(const std::vector<std::string>& pulls);
    void setWindow(const std::string& pull, const std::optional<RpmRange>& window);
    /// The torque of a pull was written down in another unit: times `factor`, on top of the rows.
    void correctUnit(const std::string& pull, double factor, const QString& words);

Q_SIGNALS:
    void dayChanged();
    void settingsChanged();
    void analysisReady();
    void busyChanged(bool busy);

private:
    friend class DayEdit;
    void setDay(const TestDay& day);
    void ask();
    void take(quint64 number, const std::shared_ptr<const DayAnalysis>& analysis);
    void autosave();

    TestDay m_day;
    std::filesystem::path m_path;
    bool m_open = false;
    AnalysisSettings m_settings;
    std::shared_ptr<const DayAnalysis> m_analysis;
    QUndoStack m_undo;
    std::unique_ptr<AnalysisWorker> m_worker;
    QTimer* m_autosaveTimer = nullptr;
    quint64 m_asked = 0;
    quint64 m_answered = 0;
};

} // namespace hillrun
