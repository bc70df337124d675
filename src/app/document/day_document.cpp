// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/day_document.h"

#include "app/document/analysis_worker.h"
#include "formats/day_json.h"
#include "formats/day_store.h"

#include <QCryptographicHash>
#include <QDir>
#include <QStandardPaths>
#include <QTimer>
#include <QUndoCommand>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {

/// An edit as the day before and after. Raw tables are shared, so both are small.
class DayEdit : public QUndoCommand {
public:
    DayEdit(DayDocument& document, const QString& what, TestDay before, TestDay after)
        : QUndoCommand(what), m_document(document), m_before(std::move(before)), m_after(std::move(after)) {}
    void undo() override { m_document.setDay(m_before); }
    void redo() override { m_document.setDay(m_after); }

private:
    DayDocument& m_document;
    TestDay m_before;
    TestDay m_after;
};

DayDocument::DayDocument(QObject* parent) : QObject(parent) {
    m_worker = std::make_unique<AnalysisWorker>([this](quint64 number, std::shared_ptr<const DayAnalysis> result) {
        QMetaObject::invokeMethod(
            this, [this, number, result] { take(number, result); }, Qt::QueuedConnection);
    });
    m_autosaveTimer = new QTimer(this);
    m_autosaveTimer->setSingleShot(true);
    m_autosaveTimer->setInterval(400);
    connect(m_autosaveTimer, &QTimer::timeout, this, &DayDocument::autosave);
}

DayDocument::~DayDocument() {
    m_worker.reset(); // before anything that its results would reach
}

void DayDocument::show(TestDay day, const fs::path& path) {
    m_undo.clear();
    m_open = true;
    m_path = path;
    m_analysis.reset();
    m_settings.bands.clear(); // they belong to the day before
    m_settings.pairs.clear();
    setDay(day);
}

void DayDocument::close() {
    m_undo.clear();
    m_open = false;
    m_day = {};
    m_path.clear();
    m_analysis.reset();
    ++m_asked; // answers still on their way are stale
    m_answered = m_asked;
    Q_EMIT dayChanged();
    Q_EMIT analysisReady();
    Q_EMIT busyChanged(false);
}

void DayDocument::edit(const QString& what, const std::function<void(TestDay&)>& change) {
    TestDay after = m_day;
    change(after);
    if (after == m_day)
        return;
    m_undo.push(new DayEdit(*this, what, m_day, after));
    m_autosaveTimer->start();
}

void DayDocument::setSettings(const AnalysisSettings& settings) {
    if (settings == m_settings)
        return;
    m_settings = settings;
    Q_EMIT settingsChanged();
    ask();
}

void DayDocument::setDay(const TestDay& day) {
    m_day = day;
    Q_EMIT dayChanged();
    ask();
    if (m_undo.count() > 0)
        m_autosaveTimer->start();
}

void DayDocument::ask() {
    if (!m_open)
        return;
    ++m_asked;
    Q_EMIT busyChanged(true);
    m_worker->ask(m_asked, m_day, m_settings);
}

void DayDocument::take(quint64 number, const std::shared_ptr<const DayAnalysis>& analysis) {
    if (number != m_asked)
        return; // a newer question waits
    m_answered = number;
    m_analysis = analysis;
    Q_EMIT analysisReady();
    Q_EMIT busyChanged(false);
}

void DayDocument::save() { saveAs(m_path); }

void DayDocument::saveAs(const fs::path& target) {
    saveDay(m_day, target, m_path.empty() ? std::nullopt : std::optional(m_path));
    dropAutosave();
    m_path = target;
    m_undo.setClean();
    m_autosaveTimer->stop();
}

fs::path DayDocument::autosaveFile(const fs::path& dayPath) {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppLocalDataLocation) + u"/autosave"_s;
    QDir().mkpath(folder);
    const auto absolute = QByteArray::fromStdString(fs::absolute(dayPath).string());
    const auto name = QCryptographicHash::hash(absolute, QCryptographicHash::Sha1).toHex();
    return fs::path(folder.toStdString()) / (name.toStdString() + ".json");
}

void DayDocument::autosave() {
    if (!m_open || m_path.empty() || m_undo.isClean()) {
        if (m_open && !m_path.empty())
            dropAutosave();
        return;
    }
    try {
        writeFileSafely(autosaveFile(m_path), dayToJson(m_day));
    } catch (const DataError& error) {
        qWarning("edits could not be kept: %s", error.what()); // the day itself is untouched; saving will say it again
    }
}

void DayDocument::dropAutosave() const {
    if (m_path.empty())
        return;
    std::error_code error;
    fs::remove(autosaveFile(m_path), error);
}

std::optional<TestDay> DayDocument::findAutosave(const fs::path& dayPath, const TestDay& day) {
    const fs::path file = autosaveFile(dayPath);
    if (!fs::exists(file))
        return std::nullopt;
    try {
        TestDay kept = dayFromJson(readFileText(file), file.string());
        for (Pull& pull : kept.pulls) {
            const Pull* known = hillrun::findPull(day, pull.id);
            pull.raw = known ? known->raw : nullptr;
            pull.problem = known ? known->problem : std::string();
        }
        if (kept == day)
            return std::nullopt;
        return kept;
    } catch (const DataError&) { // half a file from a full disk: there is nothing in it to save
        return std::nullopt;
    }
}

void DayDocument::setAside(const std::vector<std::string>& pulls, const QString& reason) {
    edit(tr("Set aside %1").arg(QString::fromStdString(pulls.size() == 1 ? pulls.front() : "pulls")),
         [&](TestDay& day) {
             for (const std::string& id : pulls) {
                 if (Pull* pull = findPull(day, id)) {
                     pull->use = false;
                     pull->reason = reason.toStdString();
                 }
             }
         });
}

void DayDocument::takeBack(const std::vector<std::string>& pulls) {
    edit(tr("Take back %1").arg(QString::fromStdString(pulls.size() == 1 ? pulls.front() : "pulls")),
         [&](TestDay& day) {
             for (const std::string& id : pulls) {
                 if (Pull* pull = findPull(day, id)) {
                     pull->use = true;
                     pull->reason.clear();
                 }
             }
         });
}

void DayDocument::setWindow(const std::string& id, const std::optional<RpmRange>& window) {
    edit(window ? tr("Trim %1").arg(QString::fromStdString(id))
                : tr("Undo the trim of %1").arg(QString::fromStdString(id)),
         [&](TestDay& day) {
             if (Pull* pull = findPull(day, id))
                 pull->window_rpm = window;
         });
}

void DayDocument::correctUnit(const std::string& id, double factor, const QString& words) {
    edit(tr("%1: %2").arg(QString::fromStdString(id), words), [&](TestDay& day) {
        if (Pull* pull = findPull(day, id))
            pull->torqueFactor = pull->torqueFactor.value_or(1.0) * factor;
    });
}

} // namespace hillrun
