// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/help_dialogs.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"

#include <QCoreApplication>
#include <QDialogButtonBox>
#include <QHeaderView>
#include <QPushButton>
#include <QTableWidget>
#include <QTimer>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Keys that belong to a widget that has the focus, and are no commands of the window.
struct LocalKey {
    const char* keys;
    const char* what;
};

constexpr LocalKey kLocalKeys[] = {
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "Left, Right"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet", "On a board: move the cursor. On the day strip: the pull before or after")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "Up, Down"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet",
                       "On Compare's boards: the build to look at. In a number: one more or less")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "[ and ]"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet",
                       "At the cursor: on Check the pull begins and ends there, on Compare a band")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "Delete"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet", "On a band: take it out. On the order of the pulls: take one out")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "Ctrl+Left, Ctrl+Right, Insert"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet", "On the order of the pulls: move one, double one")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "S, J, [, ]"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet", "In the picture of a file: split, join, trim its pulls")},
    {QT_TRANSLATE_NOOP("hillrun::KeySheet", "Escape"),
     QT_TRANSLATE_NOOP("hillrun::KeySheet", "In a number: take the typing back. Elsewhere: close the window on top")},
};

QDialogButtonBox* closeButton(QDialog* dialog) {
    auto* out = new QDialogButtonBox(dialog);
    out->addButton(QDialog::tr("Close"), QDialogButtonBox::RejectRole);
    QObject::connect(out, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
    return out;
}

} // namespace

KeySheet::KeySheet(const ActionRegistry& actions, QWidget* parent) : QDialog(parent) {
    setObjectName(u"keySheet"_s);
    setWindowTitle(tr("Keys"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(QSize(px(560), px(600)).boundedTo(parent->size() - QSize(16, 16)));
    auto* table = new QTableWidget(this);
    table->setObjectName(u"keyTable"_s);
    table->setAccessibleName(tr("Keys and what they do"));
    table->setColumnCount(2);
    table->setHorizontalHeaderLabels({tr("keys"), tr("what they do")});
    table->verticalHeader()->hide();
    table->setShowGrid(false);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setWordWrap(true);
    table->horizontalHeader()->setStretchLastSection(true);
    const auto add = [table](const QString& keys, const QString& what) {
        const int row = table->rowCount();
        table->insertRow(row);
        table->setItem(row, 0, new QTableWidgetItem(keys));
        table->setItem(row, 1, new QTableWidgetItem(what));
    };
    for (const QAction* action : actions.all())
        if (!action->shortcuts().isEmpty())
            add(QKeySequence::listToString(action->shortcuts(), QKeySequence::NativeText).replace(u"; "_s, u", "_s),
                action->text().remove(u'&'));
    for (const LocalKey& key : kLocalKeys)
        add(tr(key.keys), tr(key.what));
    table->resizeColumnToContents(0);
    QTimer::singleShot(0, table, &QTableView::resizeRowsToContents); // once the columns have their widths
    auto* column = new QVBoxLayout(this);
    column->addWidget(table, 1);
    column->addWidget(closeButton(this));
}

AboutDialog::AboutDialog(QWidget* parent) : QDialog(parent) {
    setObjectName(u"aboutDialog"_s);
    setWindowTitle(tr("About Hill Run"));
    setAttribute(Qt::WA_DeleteOnClose);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(20), px(20), px(20), px(16));
    column->setSpacing(px(10));
    auto* name = new PlainLabel(tr("Hill Run %1").arg(QCoreApplication::applicationVersion()), this);
    name->setObjectName(u"aboutName"_s);
    name->setStyleSheet(scaledSheet(u"font-size: 22px; font-weight: bold;"_s));
    column->addWidget(name);
    for (const QString& text :
         {tr("What did this part do, and can I believe it? Pulls of a dyno, corrected, averaged, compared."),
          tr("Copyright 2026 The Hill Run developers. Free software under the GNU General Public License, version 3 "
             "only; it comes without any warranty."),
          tr("It stands on Qt (LGPL 3), QCustomPlot (GPL 3), Eigen (MPL 2), Boost (Boost licence), fmt (MIT), cairo "
             "(LGPL 2.1), libarchive (BSD), pugixml (MIT), poppler (GPL 2 or 3), fast_float and JSON for Modern C++ "
             "(MIT). The type is B612 (Open Font License)."),
          tr("Hill Run records and advises. It is no safety device and never drives a brake: guards, extraction, "
             "extinguisher, the cell's own rules, local codes and licensed practice go first.")}) {
        auto* line = new PlainLabel(text, this);
        line->setWordWrap(true);
        line->setMinimumWidth(px(460));
        column->addWidget(line);
    }
    column->addWidget(closeButton(this));
}

} // namespace hillrun
