// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/road/built_in_courses.h"
#include "core/road/road_run.h"

#include <string>
#include <vector>

namespace hillrun {

/// The day's vehicle as it is driven, what was taken for what is not noted.
struct VehicleTaken {
    RoadVehicle vehicle;
    std::vector<Statement> taken;
    Statement whyNot; ///< it cannot be driven
};
/// `place`: where the day's powers are given; behind hubs and wheels no driveline takes its share.
VehicleTaken takeVehicle(const TestDay& day, const PowerPlace& place);

/// Between two speeds, as the vehicle first got from the one to the other.
struct SpeedTime {
    double from_kmh = 0.0;
    double to_kmh = 0.0;
    double seconds = 0.0;
};

/// A place of a standing run, as it was passed.
struct Passing {
    double distance_m = 0.0;
    double seconds = 0.0;
    double speed_ms = 0.0;
};

/// A build driven along a course.
struct RoadBuild {
    std::string id;
    RoadRun run;
    std::vector<SpeedTime> times;  ///< as far as reached; none of a rolling course
    std::vector<Passing> passings; ///< 100, 400 and 1 000 m of a level road without corners
    std::optional<TopSpeed> top;   ///< on level road in the course's air; nothing when it does not move
    std::vector<SpeedShare> use;
};

/// How much longer or shorter a build takes. A difference is what is trusted; the time itself is a model's.
struct RoadDifference {
    std::string from;
    std::string to;
    double delta_s = 0.0; ///< negative: quicker
    double low_s = 0.0;   ///< 95 %; NaN without repeats
    double high_s = 0.0;
    double base_s = 0.0;           ///< time of `from`
    bool mayClaim = false;         ///< drift is covered
    std::vector<double> byPiece_s; ///< where it is won, piece by piece
    [[nodiscard]] bool proven() const { return mayClaim && (low_s > 0.0 || high_s < 0.0); }
};

/// From the day's curves to the torque that a course sees.
struct CourseTorque {
    RpmRange range_rpm;     ///< the speeds that all pulls share: no curve is driven beyond
    double airFactor = 1.0; ///< from the standard's air to the course's
    EngineCurve loss_nm;    ///< as the day's coast-downs measured it on the way to the wheels; empty: none is taken off
    /// Less than two points when the curve has none in the range.
    [[nodiscard]] EngineCurve of(const std::vector<double>& rpm, const std::vector<double>& torque_nm) const;
};

/// Course times of the pulls as one number each, on the scale of log power: minus the log of the time over how much the
/// time answers to power. So drift, repeats and refitting count as they do for power.
struct CourseFigure {
    Eigen::VectorXd ofPull; ///< NaN for a pull that does not arrive
    double answer = 0.0;    ///< -d ln(time) / d ln(power); 0: the time does not answer, nothing is of a pull
    /// Seconds more than `base_s` that a difference on that scale is worth.
    [[nodiscard]] double seconds(double difference, double base_s) const;
};

/// The whole course, and the way up to places along it.
struct CourseTimes {
    CourseFigure whole;
    std::vector<double> until_m; ///< rising; none of a course between two speeds
    std::vector<CourseFigure> until;
};
/// `base`: a curve that arrives, about which the time is taken to answer to power evenly. Nothing when the whole time
/// does not answer.
std::optional<CourseTimes> courseTimes(const DayModel& model, const CourseTorque& torque, const RoadVehicle& vehicle,
                                       const Course& course, double airDensity_kg_m3, const EngineCurve& base);

/// What the day's curves are worth on a course.
struct DayRoad {
    Course course; ///< every corner with the speed that bounds it
    double airDensity_kg_m3 = 0.0;
    RoadVehicle vehicle;
    CourseTorque torque;
    std::vector<Statement> taken;
    std::vector<RoadBuild> builds;
    std::optional<CourseTimes> times;        ///< of its pulls
    std::vector<RoadDifference> differences; ///< the day's comparisons
    std::vector<RoadDifference> others;      ///< every other pair, and each the other way round
    Statement whyNot;                        ///< nothing could be driven
    Statement whyNoDifference;               ///< builds arrived, and their times cannot be compared
    [[nodiscard]] const RoadBuild* build(const std::string& id) const; ///< one that arrived
    /// Why there is no difference: nothing could be driven, a build did not arrive, or times cannot be compared; empty
    /// when none of these is so.
    [[nodiscard]] Statement whyNothing() const;
    [[nodiscard]] const RoadDifference* find(const std::string& from, const std::string& to) const;
};

/// The course with a speed for each corner of which only the radius is known: v^2 = grip * g * radius.
Course withCornerSpeeds(Course course, double tyreGrip);

/// The share of time at each speed of a build, or of the first one that arrives, as a use; empty when none does.
SpeedWeights useOnCourse(const DayRoad& road, const std::string& build = {});

DayRoad dayRoad(const TestDay& day, const DayAnalysis& analysis, const Course& course);

/// Length of the way that a run drove.
double wayOf(const DayRoad& road, const RoadRun& run);

/// "On the Larkfell hill B is 0.21 s (0.08 to 0.34) quicker of 48.6, won ..."
std::vector<Statement> roadSummary(const DayRoad& road, const RoadDifference& difference);
/// A course's name as people say it.
Statement courseName(const Course& course);
/// A corner's name; nothing for a piece without one.
std::optional<Statement> cornerName(const Course& course, size_t piece);
/// The course that the day keeps; nothing when it keeps none.
std::optional<Course> courseOfDay(const TestDay& day);

} // namespace hillrun
