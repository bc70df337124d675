// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/links_dialog.h"

#include "app/look/main_button.h"
#include "app/look/scale.h"

#include <QDialogButtonBox>
#include <QFormLayout>

using namespace Qt::StringLiterals;

namespace hillrun {

LinksDialog::LinksDialog(std::vector<NamedLink> links, QWidget* parent) : QDialog(parent), m_links(std::move(links)) {
    setObjectName(u"linksDialog"_s);
    setWindowTitle(tr("Connections"));
    resize(720, 440);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(px(16), px(16), px(16), px(16));
    auto* row = new QHBoxLayout;
    row->setSpacing(px(16));
    auto* left = new QVBoxLayout;
    m_list = new QListWidget(this);
    m_list->setObjectName(u"linkList"_s);
    m_list->setAccessibleName(tr("Connections"));
    auto* add = new QPushButton(tr("Add"), this);
    add->setObjectName(u"addLinkButton"_s);
    m_remove = new QPushButton(tr("Remove"), this);
    m_remove->setObjectName(u"removeLinkButton"_s);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add);
    buttons->addWidget(m_remove);
    buttons->addStretch(1);
    left->addWidget(m_list, 1);
    left->addLayout(buttons);
    row->addLayout(left, 2);
    row->addWidget(makeForm(), 3);
    column->addLayout(row, 1);
    auto* box = new QDialogButtonBox(this);
    makeMain(box->addButton(tr("Use these"), QDialogButtonBox::AcceptRole));
    box->addButton(tr("Go back"), QDialogButtonBox::RejectRole);
    column->addWidget(box);
    connect(box, &QDialogButtonBox::accepted, this, [this] {
        if (!numbersReadable(*this))
            return;
        takeForm();
        accept();
    });
    connect(box, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(m_list, &QListWidget::currentRowChanged, this, &LinksDialog::showLink);
    connect(add, &QPushButton::clicked, this, [this] {
        LinkAddress address;
        address.host = u"127.0.0.1"_s;
        address.port = 5020;
        m_links.push_back({tr("Cell"), address, true});
        fillList();
        m_list->setCurrentRow(static_cast<int>(m_links.size()) - 1);
        m_name->setFocus();
        m_name->selectAll();
    });
    connect(m_remove, &QPushButton::clicked, this, [this] {
        const int at = m_list->currentRow();
        if (at < 0)
            return;
        m_links.erase(m_links.begin() + at);
        fillList();
        m_list->setCurrentRow(std::min(at, static_cast<int>(m_links.size()) - 1));
    });
    fillList();
    m_list->setCurrentRow(m_links.empty() ? -1 : 0);
    showLink(m_list->currentRow());
}

QWidget* LinksDialog::makeForm() {
    m_form = new QWidget(this);
    auto* form = new QFormLayout(m_form);
    form->setContentsMargins(0, 0, 0, 0);
    m_name = new QLineEdit(m_form);
    m_name->setObjectName(u"linkName"_s);
    m_kind = new QComboBox(m_form);
    m_kind->setObjectName(u"linkKind"_s);
    m_kind->addItems({tr("Telemetry over TCP"), tr("Telemetry over a serial port"), tr("Weather, NMEA over TCP"),
                      tr("Weather, NMEA over a serial port"), tr("Registers, Modbus TCP")});
    m_host = new QLineEdit(m_form);
    m_host->setObjectName(u"linkHost"_s);
    m_port = new NumberField(u"linkPort"_s, tr("Port"), 1, 65535, 0, {}, m_form);
    m_device = new QLineEdit(m_form);
    m_device->setObjectName(u"linkDevice"_s);
    m_device->setPlaceholderText(u"/dev/ttyUSB0"_s);
    m_baud = new NumberField(u"linkBaud"_s, tr("Speed of the line"), 300, 4000000, 0, u"baud"_s, m_form);
    m_map = new QLineEdit(m_form);
    m_map->setObjectName(u"linkMap"_s);
    m_map->setPlaceholderText(tr("register map; empty: the simulated cell's"));
    m_inUse = new QCheckBox(tr("in use"), m_form);
    m_inUse->setObjectName(u"linkInUse"_s);
    m_test = new QPushButton(tr("Test"), m_form);
    m_test->setObjectName(u"linkTest"_s);
    m_test->setToolTip(tr("Listens for a few seconds and says what came"));
    m_result = quietLabel(u"linkResult"_s, m_form);
    m_result->setMinimumHeight(px(64));
    m_result->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    form->addRow(tr("Name"), m_name);
    form->addRow(tr("Kind"), m_kind);
    form->addRow(tr("Host"), m_host);
    form->addRow(tr("Port"), m_port);
    form->addRow(tr("Serial port"), m_device);
    form->addRow(tr("Line speed"), m_baud);
    form->addRow(tr("Map"), m_map);
    form->addRow(QString(), m_inUse);
    form->addRow(QString(), m_test);
    form->addRow(m_result);
    for (QLineEdit* edit : {m_name, m_host, m_device, m_map})
        connect(edit, &QLineEdit::textEdited, this, &LinksDialog::takeForm);
    for (NumberField* field : {m_port, m_baud})
        connect(field, &NumberField::edited, this, &LinksDialog::takeForm);
    connect(m_kind, &QComboBox::activated, this, [this] {
        takeForm();
        showLink(m_list->currentRow());
    });
    connect(m_inUse, &QCheckBox::clicked, this, &LinksDialog::takeForm);
    connect(m_test, &QPushButton::clicked, this, &LinksDialog::test);
    return m_form;
}

void LinksDialog::fillList() {
    m_filling = true;
    m_list->clear();
    for (const NamedLink& link : m_links)
        m_list->addItem(link.inUse ? link.name : tr("%1 (not in use)").arg(link.name));
    m_filling = false;
}

void LinksDialog::showLink(int row) {
    if (m_filling)
        return;
    const bool some = row >= 0 && row < static_cast<int>(m_links.size());
    m_form->setEnabled(some);
    m_remove->setEnabled(some);
    m_result->setText(some ? QString() : tr("Add the cell's telemetry and the weather station."));
    setWarning(m_result, false);
    if (!some)
        return;
    m_filling = true;
    const NamedLink& link = m_links[static_cast<size_t>(row)];
    m_name->setText(link.name);
    m_kind->setCurrentIndex(static_cast<int>(link.address.kind));
    m_host->setText(link.address.host);
    m_port->show(link.address.port > 0 ? std::optional<double>(link.address.port) : std::nullopt);
    m_device->setText(link.address.device);
    m_baud->show(link.address.baud);
    m_map->setText(link.address.registerFile);
    m_inUse->setChecked(link.inUse);
    const bool serial = link.address.isSerial();
    m_host->setEnabled(!serial);
    m_port->setEnabled(!serial);
    m_device->setEnabled(serial);
    m_baud->setEnabled(serial);
    m_map->setEnabled(link.address.kind == LinkKind::ModbusTcp);
    m_filling = false;
}

LinkAddress LinksDialog::formAddress() const {
    LinkAddress out;
    out.kind = static_cast<LinkKind>(m_kind->currentIndex());
    out.host = m_host->text().trimmed();
    out.port = static_cast<int>(m_port->number().value_or(0.0));
    out.device = m_device->text().trimmed();
    out.baud = static_cast<int>(m_baud->number().value_or(115200.0));
    out.registerFile = m_map->text().trimmed();
    return out;
}

void LinksDialog::takeForm() {
    const int row = m_list->currentRow();
    if (m_filling || row < 0)
        return;
    m_port->finish(); // what is typed counts before the field is left
    m_baud->finish();
    NamedLink& link = m_links[static_cast<size_t>(row)];
    link = {m_name->text().trimmed(), formAddress(), m_inUse->isChecked()};
    m_list->item(row)->setText(link.inUse ? link.name : tr("%1 (not in use)").arg(link.name));
}

void LinksDialog::test() {
    takeForm();
    setWarning(m_result, false);
    if (!linkAddressFrom(formAddress().text())) {
        setWarning(m_result, true);
        m_result->setText(tr("The address is not complete."));
        return;
    }
    m_result->setText(tr("Listening \u2026"));
    m_test->setEnabled(false);
    m_tester = std::make_unique<LinkTester>(formAddress());
    connect(m_tester.get(), &LinkTester::done, this, [this](bool good, const QString& words) {
        setWarning(m_result, !good);
        m_result->setText(words);
        m_test->setEnabled(true);
        m_tester.release()->deleteLater();
    });
}

} // namespace hillrun
