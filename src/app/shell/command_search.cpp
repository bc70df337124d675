// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/command_search.h"

#include <QKeyEvent>
#include <QVBoxLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

CommandSearch::CommandSearch(const ActionRegistry& actions, QWidget* parent) : QDialog(parent), m_actions(actions) {
    setObjectName(u"commandSearch"_s);
    setWindowTitle(tr("Search commands"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(460, 360);
    auto* column = new QVBoxLayout(this);
    m_words = new QLineEdit(this);
    m_words->setObjectName(u"commandWords"_s);
    m_words->setPlaceholderText(tr("What do you want to do?"));
    m_words->installEventFilter(this);
    m_list = new QListWidget(this);
    m_list->setObjectName(u"commandList"_s);
    m_list->setFocusPolicy(Qt::NoFocus);
    column->addWidget(m_words);
    column->addWidget(m_list, 1);
    connect(m_words, &QLineEdit::textChanged, this, &CommandSearch::refill);
    connect(m_words, &QLineEdit::returnPressed, this, &CommandSearch::runCurrent);
    connect(m_list, &QListWidget::itemClicked, this, &CommandSearch::runCurrent);
    refill({});
}

void CommandSearch::refill(const QString& words) {
    m_list->clear();
    const QStringList wanted = words.split(u' ', Qt::SkipEmptyParts);
    for (QAction* action : m_actions.all()) {
        if (action->objectName() == "view.search"_L1)
            continue;
        const QString text = action->text().remove(u'&');
        const QString all = text + u' ' + action->toolTip();
        const bool fits = std::all_of(wanted.begin(), wanted.end(),
                                      [&](const QString& word) { return all.contains(word, Qt::CaseInsensitive); });
        if (!fits)
            continue;
        const QString keys = action->shortcut().toString(QKeySequence::NativeText);
        auto* item = new QListWidgetItem(keys.isEmpty() ? text : u"%1    %2"_s.arg(text, keys), m_list);
        item->setData(Qt::UserRole, action->objectName());
        if (!action->isEnabled())
            item->setFlags(Qt::NoItemFlags);
    }
    for (int row = 0; row < m_list->count(); ++row) {
        if (m_list->item(row)->flags().testFlag(Qt::ItemIsEnabled)) {
            m_list->setCurrentRow(row);
            break;
        }
    }
}

void CommandSearch::runCurrent() {
    const QListWidgetItem* item = m_list->currentItem();
    if (!item)
        return;
    QAction* action = m_actions.get(item->data(Qt::UserRole).toString().toLatin1().constData());
    accept();
    action->trigger();
}

bool CommandSearch::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_words && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Down || key == Qt::Key_Up) {
            const int row = m_list->currentRow() + (key == Qt::Key_Down ? 1 : -1);
            if (row >= 0 && row < m_list->count())
                m_list->setCurrentRow(row);
            return true;
        }
    }
    return QDialog::eventFilter(watched, event);
}

} // namespace hillrun
