// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "cell/cell_service.h"
#include "core/plan/progress.h"
#include "core/slip/pull_slip.h"

#include <QObject>

namespace hillrun {

/// Leads through the day: knows which build is fitted and what comes next, arms the recorder, takes recorded pulls into
/// the day and has their slips written. Without widgets.
class PullFlow : public QObject {
    Q_OBJECT
public:
    PullFlow(DayDocument& document, CellService& service, QObject* parent = nullptr);

    [[nodiscard]] PlanProgress progress() const { return planProgress(m_document.day()); }
    /// The build that the next pull will be made with; empty when nobody knows.
    [[nodiscard]] std::string fitted() const;
    [[nodiscard]] bool armed() const { return m_armed; }
    /// The last slip; nothing before the first pull or once it was answered by the next arm.
    [[nodiscard]] const std::optional<PullSlip>& slip() const { return m_slip; }
    [[nodiscard]] bool slipAnswered() const { return m_slipAnswered; }
    [[nodiscard]] QString settling() const;
    /// Recordings since the start that were too short for a pull; their journals stay.
    [[nodiscard]] int shortOnes() const { return m_shortOnes; }
    /// By the cell's clock when it has one.
    [[nodiscard]] double clock_s() const;
    [[nodiscard]] std::optional<double> lastPullEnded_s() const { return m_lastEnded_s; }

    /// Weather typed in by hand; used while no station is fresh, and over the station when it is to count.
    void setWeather(const WeatherReading& reading);
    void setWeatherByHand(bool byHand);
    [[nodiscard]] bool weatherByHand() const { return m_weatherByHand; }
    [[nodiscard]] const WeatherReading& weather() const { return m_weather; }
    [[nodiscard]] std::optional<double> weatherAge_s() const;
    /// What the next pull is corrected with: the station's, else the typed one.
    [[nodiscard]] std::optional<Atmosphere> air() const;

    void arm();
    void disarm();
    void startByHand();
    void endByHand();
    /// Notes that another build is on, or the same one fitted again, with what was really done.
    void changeBuild(const std::string& to, const QString& note, bool refitted = false);
    void keep();
    void setAside(const QString& reason);

Q_SIGNALS:
    void changed();
    void slipReady();
    /// A pull is in the day but could not be written; its journal stays.
    void notSaved(const QString& why);
    /// A pull ended whose day is no longer open; it is offered when that day is opened again.
    void belongsElsewhere(const QString& pull);

private:
    void take(const RecordedPull& recorded);
    void writeSlip();
    void redate(const DatedPull& dated);
    void save();
    [[nodiscard]] PullRequest nextRequest() const;
    [[nodiscard]] std::string nextPullId() const;
    [[nodiscard]] std::string nowText() const;

    DayDocument& m_document;
    CellService& m_service;
    bool m_armed = false;
    std::filesystem::path m_armedFor; ///< the day
    std::string m_chosen;             ///< build chosen before any pull or change says which is fitted
    std::optional<PullSlip> m_slip;
    int m_lastNumber = 0;            ///< of the last pull recorded, undone or not
    std::filesystem::path m_lastFor; ///< its day
    int m_shortOnes = 0;
    std::string m_slipDue; ///< pull whose slip waits for the analysis
    bool m_slipAnswered = true;
    std::optional<double> m_lastEnded_s;
    WeatherReading m_weather;
    bool m_weatherByHand = false;
    std::optional<double> m_weatherTyped_s;
};

} // namespace hillrun
