// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/pull_alarm.h"

#include "app/frame/settings.h"

namespace hillrun {

PullAlarm::PullAlarm(const Workplace& at)
    : QObject(&at.actions), m_cell(at.cell), m_settings(at.settings), m_tones(at.tones), m_host(at.host),
      m_panel(new AlarmPanel(at.actions.window())) {
    connect(&m_cell, &CellService::changed, this, &PullAlarm::follow);
    connect(m_panel, &AlarmPanel::seen, this, &PullAlarm::answer);
    connect(this, &QObject::destroyed, m_panel, &QObject::deleteLater); // a window that changes its language
}

void PullAlarm::follow() {
    const LiveSnapshotPtr live = m_cell.now();
    const size_t passed = live->passed.size();
    if (passed == 0) { // the pull is over, or passes none
        quiet();
        m_seen = 0;
        return;
    }
    if (live->recorder != RecorderState::Running && m_raised > 0)
        m_tones.stop(); // the throttle is closed; what it was stays to be read while the pull ends
    if (passed <= m_seen)
        return;
    if (m_raised == 0 && live->recorder == RecorderState::Running) {
        m_host.showPage("pull");
        m_tones.play(toneNamed(m_settings.get(settings::kTone)), std::nullopt);
    }
    m_raised = passed;
    m_panel->raiseFor(live->passed);
}

void PullAlarm::answer() {
    m_seen = m_cell.now()->passed.size();
    quiet();
}

void PullAlarm::quiet() {
    if (m_raised > 0)
        m_tones.stop();
    m_raised = 0;
    if (m_panel)
        m_panel->putAway();
}

} // namespace hillrun
