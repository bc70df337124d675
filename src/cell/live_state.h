// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/byte_link.h"
#include "cell/pull_recorder.h"
#include "core/pull/channel_watch.h"
#include "core/pull/limit_watch.h"
#include "core/weather/weather_reading.h"

#include <filesystem>
#include <QString>

namespace hillrun {

/// How one link stands.
struct LinkStatus {
    LinkAddress address;
    LinkState state = LinkState::Connecting;
    QString words;         ///< why it is lost
    double silent_s = 0.0; ///< since it last said something; large when it never did
    long heard = 0;        ///< frames, sentences or answers that could be used
    long bad = 0;          ///< those that could not
    QString lastBad;       ///< why the last of them could not
};

/// A channel as it is now.
struct LiveValue {
    std::string channel;
    std::string unit;
    double value = 0.0;
    ChannelState state = ChannelState::Good;
    double age_s = 0.0;
};

/// The cell at one moment, for whoever shows it. Immutable once made.
struct LiveSnapshot {
    std::vector<LinkStatus> links;
    std::vector<LiveValue> values;
    WeatherReading weather;
    double weatherAge_s = 1e9;
    QString weatherFrom;
    RecorderState recorder = RecorderState::Off;
    std::vector<double> traceSpeed_rpm; ///< of the pull being made, thinned
    std::vector<double> traceTorque_nm;
    double pullSeconds = 0.0;
    std::vector<LimitCrossing> passed; ///< limits that the pull being made has passed, in that order
    Statement journalProblem;          ///< why the disk refuses; the pull is kept in memory
    bool stale = true;                 ///< no frame for half a second
    double framesPerSecond = 0.0;
    double cellClock_s = 0.0; ///< seconds since 1970 by the cell's own clock; 0: it has none
    std::string cellOffset;   ///< its offset from UTC as it writes it
    std::string cellBuild;    ///< build that the cell says is fitted; empty: it says nothing

    [[nodiscard]] const LiveValue* find(std::string_view channel) const {
        for (const LiveValue& value : values)
            if (value.channel == channel)
                return &value;
        return nullptr;
    }
};
using LiveSnapshotPtr = std::shared_ptr<const LiveSnapshot>;

/// What is known of the next pull before it is made, and where its journal goes.
struct PullRequest {
    std::filesystem::path dayPath;
    Pull pull;
    SweepDirection sweep = SweepDirection::Up;
    std::vector<WatchLimit> limits; ///< watched while it runs
    bool stationWeather = true;     ///< take the weather of the station over that of `pull` when it is fresh
};

/// When a pull really began, told by the logger after the pull was made.
struct DatedPull {
    std::filesystem::path dayPath;
    std::string pull;
    std::string startedBefore; ///< as this computer dated it
    double start_s = 0.0;      ///< on the line of frames
    std::string started;
};

/// A pull that was made. Its journal stays on disk until it is told to go.
struct RecordedPull {
    std::filesystem::path dayPath; ///< of the day it was made for
    Pull pull;                     ///< with its raw rows
    PullEnd end = PullEnd::ThrottleClosed;
    std::filesystem::path journal;
    Statement journalProblem;
};

} // namespace hillrun
