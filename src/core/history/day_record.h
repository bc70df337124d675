// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/day/test_day.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A pull as it counts among days: its corrected power on a grid of whole steps.
struct PullRecord {
    std::string build;
    double time_h = 0.0; ///< after the day's first pull
    int set = 0;
    double low_rpm = 0.0;
    std::vector<float> power_w;
    [[nodiscard]] double high_rpm(double step_rpm) const {
        return low_rpm + step_rpm * (static_cast<double>(power_w.size()) - 1.0);
    }
    bool operator==(const PullRecord&) const = default;
};

/// How far a check found an instrument off.
struct CheckRecord {
    std::string date; ///< ISO 8601
    double off_pct = 0.0;
    bool operator==(const CheckRecord&) const = default;
};

struct BuildRecord {
    std::string id;
    std::string name;
    NamedValues parts;
    NamedValues settings;
    std::string note;
    std::string sameAs;
    bool reference = false;
    std::optional<double> peakPower_w; ///< where it was measured, corrected
    std::optional<double> peakTorque_nm;
    bool operator==(const BuildRecord&) const = default;
};

/// A build that was not recorded: the mean of its curves off paper, and what is known of them.
struct PaperCurve {
    PullRecord curve;
    Statement what;
    bool operator==(const PaperCurve&) const = default;
};

/// What is known of one day for finding it again and for comparing it with others.
struct DayRecord {
    std::string id;
    std::string name;
    std::string date;
    std::string article;
    std::optional<double> displacement_cc;
    std::optional<int> strokes;
    std::string cell;
    std::string cellKind;
    std::string measuredAt;
    std::string standard;
    std::string operatorName;
    std::string note;
    std::vector<Statement> summary; ///< the answer of the day's first comparison
    double step_rpm = 50.0;
    std::vector<BuildRecord> builds;
    std::vector<PullRecord> pulls;  ///< those in use, in order of time
    std::vector<PaperCurve> papers; ///< of builds without such
    bool outsideAir = false;        ///< the air of some of these pulls is not what the standard is made for
    std::optional<double> levelSd;  ///< of one pull; nothing where none is repeated
    double freedom = 0.0;
    std::vector<float> shapeVariance; ///< along rpm from `varianceLow_rpm`
    double varianceLow_rpm = 0.0;
    NoiseCorrelation correlation;
    bool protectedFromDrift = false; ///< a build was run again later
    std::optional<double> temperature_c;
    std::optional<double> pressure_kpa;  ///< means over its pulls
    std::optional<CheckRecord> loadCell; ///< torque shown too high by so much
    std::optional<CheckRecord> station;  ///< corrected power comes out too high by so much

    [[nodiscard]] std::optional<double> peakPower_w() const; ///< of all builds
};

/// The day's name among all days: its own, else its date and the checksum of its first pull. Empty without either.
std::string dayId(const TestDay& day);

/// What the logbook keeps of a day that was worked out.
DayRecord recordOf(const TestDay& day, const DayAnalysis& analysis);

} // namespace hillrun
