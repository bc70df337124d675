// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "cell/live_state.h"
#include "cell/modbus_link.h"
#include "formats/pull_journal.h"
#include "formats/stream_clock.h"
#include "formats/telemetry.h"

#include <chrono>
#include <map>
#include <memory>

namespace hillrun {

/// Lives in its own thread: owns the links, checks what they say, records pulls and writes the journal. Everything it
/// knows goes out as snapshots.
class CellWorker : public QObject {
    Q_OBJECT
public:
    CellWorker();
    ~CellWorker() override;

    void setLinks(const std::vector<LinkAddress>& addresses);
    void arm(const PullRequest& request);
    void disarm();
    void startByHand();
    void endByHand();

Q_SIGNALS:
    void snapshot(const hillrun::LiveSnapshotPtr& snapshot);
    void pullStarted();
    void pullDropped();
    void pullRecorded(const hillrun::RecordedPull& pull);
    /// The logger's clock line came after this pull: when it really began.
    void pullDated(const hillrun::DatedPull& pull);

private:
    using Clock = std::chrono::steady_clock;
    /// One open link with what it said.
    struct OpenLink {
        LinkStatus status;
        std::unique_ptr<ByteLink> bytes;
        std::unique_ptr<ModbusLink> modbus;
        std::unique_ptr<TelemetryParser> telemetry;
        StreamClock clock;
        QByteArray halfLine;
        std::optional<Clock::time_point> lastHeard;
    };
    struct Latest {
        std::string unit;
        double value = 0.0;
        Clock::time_point at;
    };

    void openTelemetry(OpenLink& link);
    void openNmea(OpenLink& link);
    void openModbus(OpenLink& link);
    void stateOf(OpenLink& link, LinkState state, const QString& words);
    void heard(OpenLink& link);
    void refused(OpenLink& link, const QString& why);
    void takeHeader(const std::vector<Column>& columns);
    void takeRow(OpenLink& link, double stream_s, std::span<const double> values);
    void takeFrame(double time_s, std::span<const double> values);
    void takeComment(const OpenLink& link, const std::string& text);
    void takeClock(const OpenLink& link, const QStringList& words);
    void takeWeather(const WeatherReading& reading, const QString& from);
    void takeRegisters(OpenLink& link, const ModbusLink::Readings& readings);
    void beginPull(double startTime_s);
    void endPull(Recording recording);
    void dropPull();
    [[nodiscard]] std::string oddities(const Recording& recording) const;
    [[nodiscard]] double arrival_s() const;
    void takeSlow(const std::string& channel, const Latest& latest);
    void tellPassed(size_t before);
    void watchSilence();
    void tell();
    [[nodiscard]] std::string startedText(double streamTime_s) const;

    std::vector<std::unique_ptr<OpenLink>> m_links;
    PullRecorder m_recorder;
    PullJournal m_journal;
    PullRequest m_request;
    Pull m_pull;                     ///< being made
    std::filesystem::path m_pullDay; ///< the day it is made for
    std::unique_ptr<ChannelWatch> m_watch;
    LimitWatch m_limits; ///< of the pull being made
    std::vector<Column> m_columns;
    std::vector<double> m_lastFrame;
    int m_speedColumn = -1, m_torqueColumn = -1, m_powerColumn = -1;
    double m_lastTime_s = 0.0;
    std::optional<Clock::time_point> m_lastFrameAt;
    std::map<std::string, Latest> m_slow; ///< from registers
    WeatherReading m_weather;
    std::optional<Clock::time_point> m_weatherAt;
    QString m_weatherFrom;
    std::vector<double> m_traceSpeed, m_traceTorque;
    double m_clockAt_s = 0.0, m_clockStream_s = 0.0; ///< cell clock and the time on the line of frames it belongs to
    std::string m_clockOffset;
    std::string m_cellBuild;
    double m_pullStart_s = 0.0; ///< on the line of frames
    bool m_pullDatedByCell = false;
    std::vector<DatedPull> m_undated; ///< pulls of this connection that were dated by this computer
    ClockFaults m_faults;             ///< of all links
    ClockFaults m_faultsBefore;       ///< when the pull began
    Clock::time_point m_begun = Clock::now();
    long m_framesCounted = 0;
    Clock::time_point m_countedFrom;
    double m_framesPerSecond = 0.0;
    QTimer m_tell;
    QTimer m_flush;
};

} // namespace hillrun
