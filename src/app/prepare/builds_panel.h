// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/dialogs.h"
#include "app/look/theme.h"
#include "app/prepare/build_model.h"

#include <QComboBox>
#include <QPushButton>
#include <QStyledItemDelegate>
#include <QTableView>

namespace hillrun {

/// Paints a cell of the matrix: what differs from the base stands out.
class BuildDelegate : public QStyledItemDelegate {
    Q_OBJECT
public:
    BuildDelegate(Look& look, QObject* parent) : QStyledItemDelegate(parent), m_look(look) {}
    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    void setModelData(QWidget* editor, QAbstractItemModel* model, const QModelIndex& index) const override;

Q_SIGNALS:
    /// The model did not take this text.
    void refused(const QModelIndex& index, const QString& text) const;

private:
    Look& m_look;
};

/// The matrix of builds with what adds and removes builds, parts, settings and attachments.
class BuildsPanel : public QWidget {
    Q_OBJECT
public:
    BuildsPanel(DayDocument& document, Look& look, Dialogs& dialogs, QWidget* parent = nullptr);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void addRow(bool part);
    void attach();
    void refresh();
    void fitTable();
    void editAgain(const QModelIndex& index, const QString& text);
    DayDocument& m_document;
    Dialogs& m_dialogs;
    BuildModel* m_model = nullptr;
    QTableView* m_table = nullptr;
    QPushButton* m_removeBuild = nullptr;
    QPushButton* m_removeRow = nullptr;
    QPushButton* m_attach = nullptr;
    QComboBox* m_role = nullptr;
};

} // namespace hillrun
