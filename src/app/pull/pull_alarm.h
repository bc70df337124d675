// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/page.h"
#include "app/frame/tone_player.h"
#include "app/pull/alarm_panel.h"

#include <QObject>

namespace hillrun {

/// Turns the window over when the pull that runs passes a limit, and sounds the chosen tone, until the throttle is
/// closed or somebody says that he has seen it. A limit that is passed after that turns it over again.
class PullAlarm : public QObject {
    Q_OBJECT
public:
    explicit PullAlarm(const Workplace& at);

private:
    void follow();
    void answer();
    void quiet();

    CellService& m_cell;
    SettingsStore& m_settings;
    TonePlayer& m_tones;
    PageHost& m_host;
    QPointer<AlarmPanel> m_panel;
    size_t m_seen = 0;   ///< limits passed that somebody has seen
    size_t m_raised = 0; ///< that the window was turned over for
};

} // namespace hillrun
