// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/dialogs.h"

#include "app/frame/change_dialog.h"
#include "app/frame/use_dialog.h"
#include "app/look/words.h"
#include "core/day/set_aside.h"

#include <QFileDialog>
#include <QInputDialog>
#include <QLineEdit>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPushButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

std::optional<QString> unlessEmpty(const QString& text) { return text.isEmpty() ? std::nullopt : std::optional(text); }

QString tr(const char* text) { return QObject::tr(text); }

} // namespace

std::optional<QString> DesktopDialogs::askDayFolder(QWidget* parent) {
    return unlessEmpty(QFileDialog::getExistingDirectory(parent, tr("Open a day folder")));
}

std::optional<QString> DesktopDialogs::askDayZip(QWidget* parent) {
    return unlessEmpty(
        QFileDialog::getOpenFileName(parent, tr("Open a day package"), {}, tr("Day package (*.zip day.json)")));
}

QStringList DesktopDialogs::askLoggerFiles(QWidget* parent) {
    return QFileDialog::getOpenFileNames(
        parent, tr("Import logger files"), {},
        tr("Logs and tables (*.csv *.txt *.log *.tsv *.dat *.asc *.prn *.xlsx *.ods *.json "
           "*.jsonl *.gz *.bz2 *.xz *.zst *.zip);;All files (*)"));
}

std::optional<QString> DesktopDialogs::askSheet(QWidget* parent) {
    return unlessEmpty(QFileDialog::getOpenFileName(parent, tr("A picture of a sheet"), {},
                                                    tr("Pictures and PDF (*.png *.jpg *.jpeg *.pdf)")));
}

std::optional<QString> DesktopDialogs::askTarget(QWidget* parent, const QString& title, const QString& suggested,
                                                 const QString& filter) {
    return unlessEmpty(QFileDialog::getSaveFileName(parent, title, suggested, filter));
}

std::optional<QString> DesktopDialogs::askReason(QWidget* parent, const QString& pull) {
    QInputDialog dialog(parent);
    dialog.setWindowTitle(tr("Set aside %1").arg(pull));
    dialog.setLabelText(tr("Why? The pull stays in the day; only the sums leave it out."));
    QStringList reasons;
    for (const char* code : usualReasons())
        reasons << phrase(std::string("reason.") + code);
    dialog.setComboBoxItems(reasons);
    dialog.setComboBoxEditable(true);
    if (dialog.exec() != QDialog::Accepted)
        return std::nullopt;
    return dialog.textValue();
}

std::optional<QString> DesktopDialogs::askText(QWidget* parent, const QString& title, const QString& label,
                                               const QString& suggested) {
    bool accepted = false;
    const QString text = QInputDialog::getText(parent, title, label, QLineEdit::Normal, suggested, &accepted);
    return accepted ? std::optional(text) : std::nullopt;
}

QStringList DesktopDialogs::askAttachments(QWidget* parent) {
    return QFileDialog::getOpenFileNames(parent, tr("Attach photos, sound or sheets"));
}

std::optional<SweepAnswer> DesktopDialogs::askSweep(QWidget* parent) {
    const auto setting = askText(parent, tr("Sweep a setting"), tr("Which setting or part is run in steps?"), {});
    if (!setting || setting->trimmed().isEmpty())
        return std::nullopt;
    const auto values =
        askText(parent, tr("Sweep a setting"), tr("Its values, apart from the base's, with commas between them"), {});
    if (!values)
        return std::nullopt;
    SweepAnswer out{setting->trimmed(), {}};
    for (const QString& value : values->split(u',', Qt::SkipEmptyParts))
        if (!value.trimmed().isEmpty())
            out.values.push_back(value.trimmed().toStdString());
    return out;
}

std::optional<BuildChangeAnswer> DesktopDialogs::askBuildChange(QWidget* parent, const TestDay& day,
                                                                const std::string& from, const std::string& to) {
    ChangeDialog dialog(day, from, to, parent);
    if (dialog.exec() != QDialog::Accepted)
        return std::nullopt;
    return BuildChangeAnswer{dialog.to(), dialog.note(), dialog.refitted()};
}

std::optional<WantedUse> DesktopDialogs::askUse(QWidget* parent, const TestDay& day, const RpmRange& range_rpm,
                                                const SpeedsOnCourse& onCourse, Look& look) {
    UseDialog dialog(day, range_rpm, onCourse, look, parent);
    return dialog.exec() == QDialog::Accepted ? std::optional(dialog.use()) : std::nullopt;
}

UnsavedChoice DesktopDialogs::askUnsaved(QWidget* parent, const QString& day) {
    QMessageBox box(parent);
    box.setWindowTitle(tr("Edits that are not saved"));
    box.setIcon(QMessageBox::Question);
    box.setTextFormat(Qt::PlainText);
    box.setText(tr("Save the edits of \u201C%1\u201D?").arg(day));
    const auto* save = box.addButton(tr("Save"), QMessageBox::AcceptRole);
    const auto* discard = box.addButton(tr("Leave them out"), QMessageBox::DestructiveRole);
    box.addButton(tr("Go back"), QMessageBox::RejectRole);
    box.exec();
    if (box.clickedButton() == save)
        return UnsavedChoice::Save;
    return box.clickedButton() == discard ? UnsavedChoice::Discard : UnsavedChoice::Cancel;
}

std::optional<QString> DesktopDialogs::askFile(QWidget* parent, const QString& title, const QString& filter) {
    return unlessEmpty(QFileDialog::getOpenFileName(parent, title, {}, filter));
}

bool DesktopDialogs::askPrinter(QWidget* parent, QPrinter& printer) {
    QPrintDialog dialog(&printer, parent);
    return dialog.exec() == QDialog::Accepted;
}

void DesktopDialogs::showError(QWidget* parent, const QString& title, const QString& message) {
    QMessageBox box(parent);
    box.setWindowTitle(tr("Hill Run"));
    box.setIcon(QMessageBox::Warning);
    box.setTextFormat(Qt::PlainText);
    box.setText(title);
    box.setInformativeText(message);
    box.exec();
}

} // namespace hillrun
