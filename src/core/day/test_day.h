// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/day/cell_check.h"
#include "core/day/credit_notes.h"
#include "core/day/laid_log.h"
#include "core/day/part_role.h"
#include "core/day/plan.h"
#include "core/day/vehicle.h"
#include "core/day/watch_limit.h"
#include "core/statement/statement.h"
#include "core/units/rpm_range.h"
#include "core/weather/standards.h"

#include <map>
#include <memory>
#include <optional>
#include <string>
#include <utility>
#include <vector>

// One test day as it was recorded and noted. Plain values; raw tables are shared and never changed. A missing optional
// value means "not known". `unknownKeys` is the JSON text of keys this version does not know, written back as it came.

namespace hillrun {

enum class CellKind { EngineBrake, HubBrake, ChassisBrake, ChassisInertia };
enum class MeasuredAt { Crank, Hub, Wheel };
enum class SweepDirection { Up, Down, Steps };

struct Cell {
    std::string name;
    CellKind kind = CellKind::EngineBrake;
    MeasuredAt measuredAt = MeasuredAt::Crank;
    SweepDirection sweep = SweepDirection::Up;
    std::optional<double> rollerInertia_kgm2;
    std::optional<double> rollerRadius_m;
    std::optional<double> rollerLimit_kmh;
    std::optional<double> altitude_m;           ///< tells a sea-level pressure from the station's own
    std::optional<LoadCellCheck> loadCellCheck; ///< the last one
    std::optional<StationCheck> stationCheck;
    std::string unknownKeys;
    bool operator==(const Cell&) const = default;
};

struct EngineCard {
    std::optional<int> strokes;
    std::optional<double> displacement_cc;
    std::optional<int> cylinders;
    std::optional<double> stroke_mm;
    Aspiration aspiration = Aspiration::Natural;
    Ignition ignition = Ignition::Spark;
    std::optional<double> mechanicalEfficiency;
    std::optional<double> fuel_mg_per_litre_cycle;
    std::optional<double> boostPressureRatio;
    ChargeCooling chargeCooling = ChargeCooling::None;
    std::optional<double> redLine_rpm;
    std::optional<double> limiter_rpm;
    std::optional<double> inertia_kgm2;  ///< crank, flywheel and clutch, at engine speed
    std::vector<FrictionPoint> friction; ///< measured friction power, rising rpm
    bool boostHeldAbsolute = false;      ///< the controller holds the absolute manifold pressure
    std::string unknownKeys;
    bool operator==(const EngineCard&) const = default;
};

enum class FuelKind { Petrol, Diesel, Alcohol, Gas, Other };

struct Fuel {
    FuelKind kind = FuelKind::Petrol;
    std::string name;
    std::optional<double> octane;
    std::string batch;
    std::string unknownKeys;
    bool operator==(const Fuel&) const = default;
};

struct Article {
    std::string name;
    EngineCard engine;
    Vehicle vehicle;
    Fuel fuel;
    bool nitrous = false;
    std::optional<double> statedPower_kw;
    std::optional<std::vector<WatchLimit>> limits; ///< nothing: the usual ones
    std::string unknownKeys;
    bool operator==(const Article&) const = default;
};

using NamedValues = std::vector<std::pair<std::string, std::string>>; ///< in the order they were written

struct Build {
    std::string id{};
    std::string name{};
    NamedValues parts{};
    NamedValues settings{};
    std::optional<double> cost{};
    std::string currency{};
    std::optional<double> mass_kg{};
    std::string note{};
    std::string unknownKeys{};
    std::vector<std::string> attachments{}; ///< files of the day folder ("attachments/port.jpg")
    std::string sameAs{};                   ///< "DAY_ID:BUILD", a build of another day; empty: told by its parts
    bool reference = false;                 ///< the cell's control chart follows it
    bool operator==(const Build&) const = default;
};

struct ControlWindow {
    std::string channel;
    std::string at = "start";
    std::optional<double> low;
    std::optional<double> high;
    std::string unit;
    std::string unknownKeys;
    bool operator==(const ControlWindow&) const = default;
};

/// What a pull's file holds: rows over time, or a curve by engine speed that came as a table or was read off a picture.
enum class PullGrade { Recorded, CurveOnly, Traced };

/// What was done to a curve before it came here; of a pull that was not recorded.
struct GivenCurve {
    std::optional<Standard> corrected{};   ///< nothing: not known
    std::optional<double> smoothing_rpm{}; ///< nothing: not known
    std::optional<double> reading_pct{};   ///< how well it could be read off, 95 %; of a traced curve
    std::string picture{};                 ///< the attachment that it was read off; empty: none
    std::string unknownKeys{};
    bool operator==(const GivenCurve&) const = default;
};

struct Pull {
    std::string id;
    std::string build;
    std::string file;
    std::string sha256;  ///< of the file's bytes, lower-case hex; empty: not stored yet, or by an older program
    std::string started; ///< ISO 8601 as written; empty when not known
    std::optional<Atmosphere> weather;
    std::optional<int> gear;
    std::optional<double> ratio;
    std::optional<RpmRange> window_rpm;   ///< set by hand
    std::optional<MeasuredAt> measuredAt; ///< when it was measured elsewhere than the day's cell measures
    std::optional<double> torqueFactor;   ///< its torque was written down in a wrong unit: times this
    PullGrade grade = PullGrade::Recorded;
    GivenCurve given;
    bool use = true;
    bool refitted = false;  ///< its build was taken off and fitted again before it: a new set begins
    std::string reason;     ///< why it is set aside, as somebody wrote it
    std::string reasonCode; ///< or one that the program knows: "throttle_short"; its words: "reason." with the code
    std::string note;
    std::string unknownKeys;
    std::string unknownWeatherKeys;
    std::vector<LaidLog> logs; ///< laid on it by `setLogs`
    /// Its rows, with the channels of its logs among them; null when they could not be read. Set by `setOwnRows`.
    std::shared_ptr<const ChannelTable> raw;
    std::shared_ptr<const ChannelTable> own; ///< its file's rows alone where `raw` holds more, else null
    Statement problem;                       ///< why it could not be read
    bool operator==(const Pull&) const = default;
};

/// Why a pull is set aside: the known reason, else what somebody wrote, else that nothing was noted.
Statement reasonPhrase(const Pull& pull);
/// A part's or setting's value of a change; "not noted" when it is empty.
Statement valuePhrase(const std::string& value);
/// The rows of the pull's own file, without its logs'.
const std::shared_ptr<const ChannelTable>& ownRows(const Pull& pull);
void setOwnRows(Pull& pull, std::shared_ptr<const ChannelTable> rows);
void setLogs(Pull& pull, std::vector<LaidLog> logs);
/// Where a channel of the pull comes from when it is one of its logs'; nothing for its own.
std::optional<JoinedColumn> joinedColumn(const Pull& pull, const std::string& channel);

/// Everything of a pull that lies in a file of rows, its own first: visit(file, sha256, rows, problem).
template <class PullOrConst, class Visit> void forEachStored(PullOrConst& pull, const Visit& visit) {
    visit(pull.file, pull.sha256, ownRows(pull), pull.problem);
    for (auto& log : pull.logs)
        visit(log.file, log.sha256, log.rows, log.problem);
}

enum class LossMethod { None, CoastDown, Percent };

/// A file of the day folder besides the pulls.
struct Attachment {
    std::string file;   ///< "attachments/port.jpg"
    std::string sha256; ///< of its bytes
    /// Its bytes as long as it lies in no folder; null for what is on disk.
    std::shared_ptr<const std::string> bytes{};
    bool operator==(const Attachment&) const = default;
};

/// Whether figures are carried from where they were measured towards the engine. Always an estimate.
struct LossSettings {
    LossMethod method = LossMethod::None;
    double percent = 15.0;             ///< of the engine's power, lost on the way (Percent)
    MeasuredAt to = MeasuredAt::Crank; ///< crank or hub
    std::string unknownKeys;
    bool operator==(const LossSettings&) const = default;
};

struct TestDay {
    std::string id; ///< its name among all days; empty: told by its date and pulls, see dayId()
    std::string name;
    std::string date;
    std::string operatorName;
    std::string note;
    Cell cell;
    Article article;
    std::vector<Build> builds;
    std::vector<ControlWindow> controlWindows;
    std::vector<Pull> pulls;
    Plan plan;
    CreditNotes credit;
    std::vector<CautionTick> cautions;
    std::vector<BuildChange> changes;
    BoostSchool boostSchool = BoostSchool::StandardsRule;
    LossSettings loss;
    std::map<std::string, PartRole> partRoles; ///< of parts and settings by name, where the guess was corrected
    std::vector<RpmRange> bands;               ///< asked for, besides the whole range and its thirds
    std::vector<Attachment> attachments;
    std::string unknownKeys;
    bool operator==(const TestDay&) const = default;
};

/// Pulls whose rows are the same to the digit, each group in the day's order; a file that was copied or imported twice.
std::vector<std::vector<std::string>> pullsWithSameRows(const TestDay& day);
/// What the air formulas need of this day: its article and the school chosen for boosted engines.
EngineForAir engineForAir(const TestDay& day);
const Build* findBuild(const TestDay& day, const std::string& id);
/// Its number in the day's list, which decides colour and dash everywhere; 0 for an unknown id.
size_t buildNumber(const TestDay& day, const std::string& id);
const Pull* findPull(const TestDay& day, const std::string& id);
Pull* findPull(TestDay& day, const std::string& id);

/// The air pressure at the pull as it was noted.
std::optional<double> stationPressure_kpa(const Pull& pull);
/// What a gauge pressure in its file counts from: the same, else the standard atmosphere (ISO 2533).
double gaugeReference_kpa(const Pull& pull);

/// Seconds since 1970 UTC of an ISO 8601 time with date ("2026-05-16T09:12:00+01:00"); nothing when it is not one.
std::optional<double> secondsOf(const std::string& isoTime);
/// The inverse, in UTC ("2026-05-16T08:12:00Z"), whole seconds.
std::string isoTimeOf(double seconds);

/// When each pull was made, in hours after the first; by number when some time is not known (then `clockKnown` is
/// false, five minutes a pull, common practice).
struct DayClock {
    std::vector<double> hours;
    bool clockKnown = true;
    std::vector<size_t> order; ///< pulls in time order
};
DayClock dayClock(const TestDay& day);
/// For each pull the number of its set: an unbroken run, in time order, of pulls with one build fitted.
std::vector<int> setNumbers(const TestDay& day, const DayClock& clock);

/// A part or setting in which two builds differ.
struct Change {
    std::string part;
    std::string from;
    std::string to;
    bool operator==(const Change&) const = default;
};
/// What differs between two builds, parts first. A value that one build does not name is empty.
std::vector<Change> changesBetween(const Build& from, const Build& to);
/// What a part or setting of this name does on this day: as it was corrected, else guessed from the name.
PartRole roleOf(const TestDay& day, const std::string& part);

const char* cellKindName(CellKind kind);     ///< "engine_brake"
const char* measuredAtName(MeasuredAt at);   ///< "crank"
const char* sweepName(SweepDirection sweep); ///< "up"
const char* pullGradeName(PullGrade grade);  ///< "curve_only"

} // namespace hillrun
