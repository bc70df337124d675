// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <QString>
#include <QStringList>

class QWidget;

namespace hillrun {

enum class UnsavedChoice { Save, Discard, Cancel };

/// Every question the window asks and every message it shows; tests answer through a version of their own.
class Dialogs {
public:
    virtual ~Dialogs() = default;
    virtual std::optional<QString> askDayFolder(QWidget* parent) = 0;
    virtual std::optional<QString> askDayZip(QWidget* parent) = 0;
    virtual QStringList askLoggerFiles(QWidget* parent) = 0;
    /// Where to write; `filter` such as "PDF (*.pdf)".
    virtual std::optional<QString> askTarget(QWidget* parent, const QString& title, const QString& suggested,
                                             const QString& filter) = 0;
    /// Why a pull is set aside; one of the usual reasons or words of one's own.
    virtual std::optional<QString> askReason(QWidget* parent, const QString& pull) = 0;
    virtual UnsavedChoice askUnsaved(QWidget* parent, const QString& day) = 0;
    virtual void showError(QWidget* parent, const QString& title, const QString& message) = 0;
};

/// The real ones.
class DesktopDialogs : public Dialogs {
public:
    std::optional<QString> askDayFolder(QWidget* parent) override;
    std::optional<QString> askDayZip(QWidget* parent) override;
    QStringList askLoggerFiles(QWidget* parent) override;
    std::optional<QString> askTarget(QWidget* parent, const QString& title, const QString& suggested,
                                     const QString& filter) override;
    std::optional<QString> askReason(QWidget* parent, const QString& pull) override;
    UnsavedChoice askUnsaved(QWidget* parent, const QString& day) override;
    void showError(QWidget* parent, const QString& title, const QString& message) override;
};

} // namespace hillrun
