// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/tone.h"

#include <memory>
#include <optional>
#include <QObject>

namespace hillrun {

/// Sounds a tone until it is told to stop. Every question of sound comes through here, so that tests hear it.
class TonePlayer : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    /// In place of what sounds; until it is stopped, or for so long.
    virtual void play(Tone tone, std::optional<double> seconds) = 0;
    virtual void stop() = 0;

Q_SIGNALS:
    /// Nothing is heard; why, in the words of whoever refused.
    void silent(const QString& why);
};

/// By the desktop's sound server. Its library is looked for when the first tone is wanted. Nobody ever waits for the
/// server: one that hangs costs the tone, not the window.
class DesktopTonePlayer : public TonePlayer {
    Q_OBJECT
public:
    using TonePlayer::TonePlayer;
    ~DesktopTonePlayer() override;
    void play(Tone tone, std::optional<double> seconds) override;
    void stop() override;

private:
    struct Sounding; ///< one tone, shared with its thread
    static void sound(Tone tone, std::optional<double> seconds, const std::shared_ptr<Sounding>& sounding);
    std::shared_ptr<Sounding> m_sounding;
};

} // namespace hillrun
