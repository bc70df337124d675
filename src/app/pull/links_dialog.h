// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/kept_links.h"
#include "app/look/fields.h"
#include "cell/link_tester.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>

namespace hillrun {

/// Edits the connections by name; a test says in words what was received.
class LinksDialog : public QDialog {
    Q_OBJECT
public:
    LinksDialog(std::vector<NamedLink> links, QWidget* parent);
    [[nodiscard]] const std::vector<NamedLink>& links() const { return m_links; }

private:
    QWidget* makeForm();
    void showLink(int row);
    void takeForm();
    void fillList();
    void test();
    [[nodiscard]] LinkAddress formAddress() const;

    std::vector<NamedLink> m_links;
    QListWidget* m_list = nullptr;
    QWidget* m_form = nullptr;
    QLineEdit *m_name = nullptr, *m_host = nullptr, *m_device = nullptr, *m_map = nullptr;
    QComboBox* m_kind = nullptr;
    NumberField *m_port = nullptr, *m_baud = nullptr;
    QCheckBox* m_inUse = nullptr;
    QPushButton *m_test = nullptr, *m_remove = nullptr;
    QLabel* m_result = nullptr;
    std::unique_ptr<LinkTester> m_tester;
    bool m_filling = false;
};

} // namespace hillrun
