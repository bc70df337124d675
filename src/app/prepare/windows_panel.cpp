// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/windows_panel.h"

#include "app/look/plain_text.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/channels/channels.h"

#include <algorithm>
#include <QPushButton>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr const char* kWindowChannels[] = {"coolant_temperature", "oil_temperature", "intake_air_temperature",
                                           "tyre_temperature", "exhaust_gas_temperature"};

} // namespace

WindowsPanel::WindowsPanel(DayDocument& document, QWidget* parent) : QWidget(parent), m_document(document) {
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    const Panel panel = makePanel(tr("Windows at the start"), this);
    auto* add = new QPushButton(tr("Add"), panel.frame);
    add->setObjectName(u"addWindowButton"_s);
    add->setToolTip(tr("A temperature that must be inside a window before a pull; 5 to 8 degrees wide is usual"));
    connect(add, &QPushButton::clicked, this, &WindowsPanel::addWindow);
    panel.head->addWidget(add);
    m_windows = new QWidget(panel.frame);
    m_grid = new QGridLayout(m_windows);
    m_grid->setContentsMargins(0, 0, 0, 0);
    m_grid->setVerticalSpacing(px(4));
    m_grid->setHorizontalSpacing(px(6));
    panel.column->addWidget(m_windows);
    panel.column->addStretch(1);
    whole->addWidget(panel.frame);
    connect(&m_document, &DayDocument::dayChanged, this, &WindowsPanel::refresh);
    refresh();
}

void WindowsPanel::addWindow() {
    const TestDay& day = m_document.day();
    for (const char* channel : kWindowChannels) {
        if (std::any_of(day.controlWindows.begin(), day.controlWindows.end(),
                        [&](const ControlWindow& w) { return w.channel == channel; }))
            continue;
        m_document.edit(tr("Add a window"), [&](TestDay& edited) {
            ControlWindow window;
            window.channel = channel;
            window.low = 80.0;
            window.high = 88.0;
            window.unit = "C";
            edited.controlWindows.push_back(window);
        });
        return;
    }
}

void WindowsPanel::addRow(size_t i, const ControlWindow& window) {
    const int row = static_cast<int>(i);
    auto* name = new PlainLabel(channelText(window.channel), m_windows);
    auto* low = new NumberField(u"windowLow%1"_s.arg(i), tr("Low end"), -50, 1200, 0, u"°C"_s, m_windows);
    auto* high = new NumberField(u"windowHigh%1"_s.arg(i), tr("High end"), -50, 1200, 0, u"°C"_s, m_windows);
    auto* gone = new QPushButton(u"\u00D7"_s, m_windows);
    gone->setObjectName(u"removeWindow%1"_s.arg(i));
    gone->setAccessibleName(tr("Remove this window"));
    gone->setToolTip(tr("Remove this window"));
    gone->setFixedWidth(px(40));
    low->show(window.low);
    high->show(window.high);
    connect(low, &NumberField::edited, this, [this, i](std::optional<double> value) {
        m_document.edit(
            tr("Change a window"), [&](TestDay& day) { day.controlWindows[i].low = value; }, u"window low %1"_s.arg(i));
    });
    connect(high, &NumberField::edited, this, [this, i](std::optional<double> value) {
        m_document.edit(
            tr("Change a window"), [&](TestDay& day) { day.controlWindows[i].high = value; },
            u"window high %1"_s.arg(i));
    });
    connect(gone, &QPushButton::clicked, this, [this, i] {
        m_document.edit(tr("Remove a window"), [&](TestDay& day) {
            day.controlWindows.erase(day.controlWindows.begin() + static_cast<long>(i));
        });
    });
    m_fields.emplace_back(low, high);
    m_grid->addWidget(name, row, 0);
    m_grid->addWidget(low, row, 1);
    m_grid->addWidget(high, row, 2);
    m_grid->addWidget(gone, row, 3);
}

/// The rows are made anew only when other channels are watched, so that nobody loses the field he is in.
void WindowsPanel::refresh() {
    const auto& windows = m_document.day().controlWindows;
    std::vector<std::string> channels;
    for (const ControlWindow& window : windows)
        channels.push_back(window.channel);
    if (channels == m_shown && m_grid->count() > 0) {
        for (size_t i = 0; i < m_fields.size(); ++i) {
            m_fields[i].first->show(windows[i].low);
            m_fields[i].second->show(windows[i].high);
        }
        return;
    }
    m_shown = channels;
    m_fields.clear();
    while (QLayoutItem* item = m_grid->takeAt(0)) {
        if (item->widget()) {
            item->widget()->hide();
            item->widget()->deleteLater();
        }
        delete item;
    }
    for (size_t i = 0; i < windows.size(); ++i)
        addRow(i, windows[i]);
    if (windows.empty()) {
        auto* none =
            new PlainLabel(tr("None yet. Coolant and oil inside 5 to 8 degrees make pulls comparable."), m_windows);
        none->setWordWrap(true);
        none->setProperty("quiet", true);
        m_grid->addWidget(none, 0, 0);
    }
    m_grid->setColumnStretch(0, 1);
}

} // namespace hillrun
