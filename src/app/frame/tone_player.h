// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/tone.h"

#include <atomic>
#include <QObject>
#include <thread>

namespace hillrun {

/// Sounds a tone until it is told to stop. Every question of sound comes through here, so that tests hear it.
class TonePlayer : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    virtual void play(Tone tone) = 0;
    virtual void stop() = 0;

Q_SIGNALS:
    /// Nothing is heard; why, in the words of whoever refused.
    void silent(const QString& why);
};

/// By the desktop's sound server. Its library is looked for when the first tone is wanted.
class DesktopTonePlayer : public TonePlayer {
    Q_OBJECT
public:
    using TonePlayer::TonePlayer;
    ~DesktopTonePlayer() override;
    void play(Tone tone) override;
    void stop() override;

private:
    void sound(Tone tone, std::stop_token stop);
    std::jthread m_thread;
};

} // namespace hillrun
