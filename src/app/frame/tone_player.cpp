// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/tone_player.h"

#include <atomic>
#include <limits>
#include <mutex>
#include <pulse/simple.h>
#include <QLibrary>
#include <thread>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kChunk = kToneRate_hz / 20;

/// The few calls that are needed of the sound server's library.
struct SoundServer {
    decltype(&pa_simple_new) open = nullptr;
    decltype(&pa_simple_write) write = nullptr;
    decltype(&pa_simple_flush) flush = nullptr;
    decltype(&pa_simple_free) close = nullptr;
    [[nodiscard]] bool there() const { return open && write && flush && close; }
};

SoundServer findSoundServer() {
    QLibrary library(u"pulse-simple"_s, 0); // stays loaded
    SoundServer out;
    out.open = reinterpret_cast<decltype(out.open)>(library.resolve("pa_simple_new"));
    out.write = reinterpret_cast<decltype(out.write)>(library.resolve("pa_simple_write"));
    out.flush = reinterpret_cast<decltype(out.flush)>(library.resolve("pa_simple_flush"));
    out.close = reinterpret_cast<decltype(out.close)>(library.resolve("pa_simple_free"));
    return out;
}

/// What is written is soon heard: a tone that is stopped must not go on for the length of a large buffer.
pa_simple* openSound(const SoundServer& server) {
    const pa_sample_spec format{PA_SAMPLE_S16NE, kToneRate_hz, 1};
    constexpr auto kBytes = static_cast<uint32_t>(2 * kChunk * sizeof(std::int16_t));
    const pa_buffer_attr room{kBytes, kBytes, static_cast<uint32_t>(-1), static_cast<uint32_t>(-1),
                              static_cast<uint32_t>(-1)};
    return server.open(nullptr, "Hill Run", PA_STREAM_PLAYBACK, nullptr, "limit", &format, nullptr, &room, nullptr);
}

} // namespace

struct DesktopTonePlayer::Sounding {
    std::atomic<bool> stopped = false;
    std::mutex guard;
    DesktopTonePlayer* player = nullptr; ///< null once it is gone or plays something else

    void tell(const QString& why) {
        const std::lock_guard lock(guard);
        if (player)
            QMetaObject::invokeMethod(
                player, [own = player, why] { Q_EMIT own->silent(why); }, Qt::QueuedConnection);
    }
    void leave() {
        stopped = true;
        const std::lock_guard lock(guard);
        player = nullptr;
    }
};

DesktopTonePlayer::~DesktopTonePlayer() { stop(); }

void DesktopTonePlayer::play(Tone tone, std::optional<double> seconds) {
    stop();
    if (tone == Tone::None)
        return;
    m_sounding = std::make_shared<Sounding>();
    m_sounding->player = this;
    std::thread([tone, seconds, sounding = m_sounding] { sound(tone, seconds, sounding); }).detach();
}

void DesktopTonePlayer::stop() {
    if (m_sounding)
        m_sounding->leave();
    m_sounding.reset();
}

void DesktopTonePlayer::sound(Tone tone, std::optional<double> seconds, const std::shared_ptr<Sounding>& sounding) {
    static const SoundServer server = findSoundServer();
    pa_simple* stream = server.there() ? openSound(server) : nullptr;
    if (!stream)
        return sounding->tell(server.there() ? tr("The desktop's sound server does not answer.")
                                             : tr("The library of the sound server is missing: install libpulse0."));
    const double last = seconds ? *seconds * kToneRate_hz : std::numeric_limits<double>::infinity();
    for (size_t at = 0; !sounding->stopped && static_cast<double>(at) < last; at += kChunk) {
        const auto samples = toneSamples(tone, at, kChunk);
        if (server.write(stream, samples.data(), samples.size() * sizeof(std::int16_t), nullptr) < 0) {
            sounding->tell(tr("The desktop's sound server does not answer."));
            break;
        }
    }
    server.flush(stream, nullptr);
    server.close(stream);
}

} // namespace hillrun
