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

QString keysText(const QList<QKeySequence>& keys) {
    return QKeySequence::listToString(keys, QKeySequence::NativeText).replace(u"; "_s, u", "_s);
}

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
    const auto where = [&actions](const ActionScope& scope) { // what it is called on the rail
        const QAction* page = scope.page.empty() ? nullptr : actions.find("page." + std::string(scope.page));
        return page ? page->text() + u": "_s : QString();
    };
    for (const QAction* action : actions.all())
        if (!action->shortcuts().isEmpty())
            add(keysText(action->shortcuts()),
                where(actions.scope(action->objectName().toStdString())) + action->text().remove(u'&'));
    for (const WidgetKeys& keys : actions.widgetKeys())
        add(keysText(keys.keys), where(keys.scope) + keys.what);
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
