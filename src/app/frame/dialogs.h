// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <filesystem>
#include <functional>
#include <optional>
#include <QPrinter>
#include <QString>
#include <QStringList>

class QWidget;

namespace hillrun {

class Look;

inline std::filesystem::path toPath(const QString& text) { return text.toStdString(); }

enum class UnsavedChoice { Save, Discard, Cancel };

/// The time spent at each speed on a course, or why there is none.
struct CourseSpeeds {
    SpeedWeights weights;
    Statement whyNot;
};
using SpeedsOnCourse = std::function<CourseSpeeds(const Course& course)>;

/// A setting to be run in steps, and its values.
struct SweepAnswer {
    QString setting;
    std::vector<std::string> values;
};

/// Which build is on the dyno now, and what was really done.
struct BuildChangeAnswer {
    std::string to;
    QString note;
    bool refitted = false; ///< the same build was taken off and fitted again
};

/// Every question the window asks and every message it shows; tests answer through a version of their own.
class Dialogs {
public:
    virtual ~Dialogs() = default;
    virtual std::optional<QString> askDayFolder(QWidget* parent) = 0;
    virtual std::optional<QString> askDayZip(QWidget* parent) = 0;
    virtual QStringList askLoggerFiles(QWidget* parent) = 0;
    /// A picture or PDF of a printed sheet.
    virtual std::optional<QString> askSheet(QWidget* parent) = 0;
    /// Where to write; `filter` such as "PDF (*.pdf)".
    virtual std::optional<QString> askTarget(QWidget* parent, const QString& title, const QString& suggested,
                                             const QString& filter) = 0;
    /// Why a pull is set aside; one of the usual reasons or words of one's own.
    virtual std::optional<QString> askReason(QWidget* parent, const QString& pull) = 0;
    virtual std::optional<QString> askText(QWidget* parent, const QString& title, const QString& label,
                                           const QString& suggested) = 0;
    virtual QStringList askAttachments(QWidget* parent) = 0;
    virtual std::optional<SweepAnswer> askSweep(QWidget* parent) = 0;
    /// `to` is what the plan wants next.
    virtual std::optional<BuildChangeAnswer> askBuildChange(QWidget* parent, const TestDay& day,
                                                            const std::string& from, const std::string& to) = 0;
    /// What the builds are wanted for; `range_rpm`: the speeds that the pulls share, or will. `onCourse` gives the time
    /// at each speed on a course by its name, null without curves to drive.
    virtual std::optional<WantedUse> askUse(QWidget* parent, const TestDay& day, const RpmRange& range_rpm,
                                            const SpeedsOnCourse& onCourse, Look& look) = 0;
    virtual UnsavedChoice askUnsaved(QWidget* parent, const QString& day) = 0;
    /// A file to read; `filter` such as "Settings (*.json)".
    virtual std::optional<QString> askFile(QWidget* parent, const QString& title, const QString& filter) = 0;
    /// The system's print dialog; false when nothing is to be printed.
    virtual bool askPrinter(QWidget* parent, QPrinter& printer) = 0;
    virtual void showError(QWidget* parent, const QString& title, const QString& message) = 0;
};

/// The real ones.
class DesktopDialogs : public Dialogs {
public:
    std::optional<QString> askDayFolder(QWidget* parent) override;
    std::optional<QString> askDayZip(QWidget* parent) override;
    QStringList askLoggerFiles(QWidget* parent) override;
    std::optional<QString> askSheet(QWidget* parent) override;
    std::optional<QString> askTarget(QWidget* parent, const QString& title, const QString& suggested,
                                     const QString& filter) override;
    std::optional<QString> askReason(QWidget* parent, const QString& pull) override;
    std::optional<QString> askText(QWidget* parent, const QString& title, const QString& label,
                                   const QString& suggested) override;
    QStringList askAttachments(QWidget* parent) override;
    std::optional<SweepAnswer> askSweep(QWidget* parent) override;
    std::optional<BuildChangeAnswer> askBuildChange(QWidget* parent, const TestDay& day, const std::string& from,
                                                    const std::string& to) override;
    std::optional<WantedUse> askUse(QWidget* parent, const TestDay& day, const RpmRange& range_rpm,
                                    const SpeedsOnCourse& onCourse, Look& look) override;
    UnsavedChoice askUnsaved(QWidget* parent, const QString& day) override;
    std::optional<QString> askFile(QWidget* parent, const QString& title, const QString& filter) override;
    bool askPrinter(QWidget* parent, QPrinter& printer) override;
    void showError(QWidget* parent, const QString& title, const QString& message) override;
};

} // namespace hillrun
