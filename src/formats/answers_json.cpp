// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/answers_json.h"

#include "core/compare/quantity.h"
#include "core/units/log_percent.h"
#include "core/weather/altitude.h"
#include "formats/credit_json.h"
#include "formats/json_writer.h"

#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "words/voice.h"

#include <array>
#include <cmath>

namespace hillrun {
namespace {

/// JSON is written in English, beside its codes.
const Voice& english() {
    static const Voice kEnglish = Voice::forFiles();
    return kEnglish;
}

std::string validityNote(const AirFactor& factor) {
    std::string out;
    for (const Statement& note : factor.validityNotes)
        out += (out.empty() ? "" : "; ") + english().say(note);
    return out;
}

std::vector<std::string> basisTexts(const Curve& curve) {
    std::vector<std::string> out;
    for (const Statement& basis : curve.source().basis)
        out.push_back(english().say(basis));
    return out;
}

Json scaled(const std::vector<double>& values, double factor) {
    Json out = Json::array();
    for (const double value : values)
        out.push_back(numberOrNull(value * factor));
    return out;
}

Json kilowatts(const std::vector<double>& values_w) { return scaled(values_w, 0.001); }

Json edgesJson(const Edges& edges) { return {{"low", kilowatts(edges.low)}, {"high", kilowatts(edges.high)}}; }

Json peakJson(const Peak& peak, double factor) {
    return {{"value", numberOrNull(peak.value * factor)}, {"rpm", numberOrNull(peak.rpm)}};
}

Json peakDifferenceJson(const PeakDifference& peak, double factor) {
    return {{"delta", numberOrNull(peak.delta * factor)},
            {"low", numberOrNull(peak.low * factor)},
            {"high", numberOrNull(peak.high * factor)}};
}

Json bandJson(const BandResult& band) {
    return {{"from_rpm", band.range_rpm.low},
            {"to_rpm", band.range_rpm.high},
            {"delta_power_kw", numberOrNull(band.delta_w / 1000.0)},
            {"delta_torque_nm", numberOrNull(band.deltaTorque_nm)},
            {"low", numberOrNull(band.low_w / 1000.0)},
            {"high", numberOrNull(band.high_w / 1000.0)},
            {"p", numberOrNull(band.p)}};
}

/// For the difference that matters, else for this one as large as it now looks; null when nothing is open.
Json settleJson(const Comparison& c) {
    if (!c.toSettle || !(c.toSettle->matters || c.toSettle->seen))
        return nullptr;
    const PullsToSettle& one = c.toSettle->matters ? *c.toSettle->matters : *c.toSettle->seen;
    Json out;
    out["for"] = c.toSettle->matters ? "what_matters" : "as_it_looks";
    out["difference_kw"] = numberOrNull(one.difference_w / 1000.0);
    out["pulls_per_set"] = one.pullsPerSet ? Json(*one.pullsPerSet) : Json(nullptr); // null: 30 would not do
    out["pulls_per_set_as_measured"] = one.asMeasured ? Json(*one.asMeasured) : Json(nullptr);
    out["minutes"] = one.pullsPerSet ? numberOrNull(one.minutes) : Json(nullptr);
    out["return_to_base_added"] = one.returnAdded;
    return out;
}

Json comparisonJson(const Comparison& c) {
    Json out;
    out["from"] = c.from;
    out["to"] = c.to;
    out["rpm"] = c.rpm;
    out["delta_power_kw"] = kilowatts(c.delta_w);
    out["delta_torque_nm"] = scaled(c.deltaTorque_nm, 1.0);
    out["pointwise95"] = edgesJson(c.pointwise95_w);
    out["simultaneous95"] = edgesJson(c.simultaneous95_w);
    out["family95"] = edgesJson(c.family95_w);
    out["protected_from_drift"] = c.protectedFromDrift;
    out["drift_that_would_explain_pct"] =
        c.driftThatWouldExplain_pct ? numberOrNull(*c.driftThatWouldExplain_pct) : Json(nullptr);
    out["refit_that_would_undo_pct"] = optionalJson(refitThatUndoes_pct(c));
    out["regions"] = regionsJson(c.regions);
    out["bands"] = Json::array();
    for (const BandResult& band : c.bands)
        out["bands"].push_back(bandJson(band));
    out["peak_power"] = peakDifferenceJson(c.peakPower_w, 0.001);
    out["peak_torque"] = peakDifferenceJson(c.peakTorque_nm, 1.0);
    out["peak_power_shift_rpm"] = peakDifferenceJson(c.peakPowerShift_rpm, 1.0);
    out["crossovers_rpm"] = c.crossovers_rpm;
    out["changed"] = Json::array();
    for (const Change& change : c.changed)
        out["changed"].push_back({{"part", change.part},
                                  {"from", english().say(valuePhrase(change.from))},
                                  {"to", english().say(valuePhrase(change.to))}});
    out["like_for_like"] = Json::array();
    for (const LikeForLike& row : c.likeForLike)
        out["like_for_like"].push_back({{"channel", row.channel},
                                        {"difference", numberOrNull(row.difference)},
                                        {"tolerance", row.tolerance},
                                        {"verdict", likeVerdictName(row.verdict)}});
    out["verdict"] = verdictName(c.verdict);
    out["to_settle"] = settleJson(c);
    out["summary"] = english().say(summary(c, {}));
    return out;
}

const char* allowanceName(DriftAllowance allowance) {
    constexpr std::array names{"steady", "cautious", "jumps"};
    return names.at(static_cast<size_t>(allowance));
}

Json driftJson(const DayAnalysis& analysis) {
    Json out;
    const Drift drift = analysis.model ? analysis.model->drift : Drift{};
    const bool known = drift.identified;
    out["identified"] = known;
    out["per_hour_pct"] = known ? numberOrNull(100.0 * std::expm1(drift.perHour)) : Json(nullptr);
    out["low"] = known ? numberOrNull(100.0 * std::expm1(drift.perHourLow)) : Json(nullptr);
    out["high"] = known ? numberOrNull(100.0 * std::expm1(drift.perHourHigh)) : Json(nullptr);
    out["over_day_pct"] = known ? numberOrNull(100.0 * std::expm1(drift.overDay)) : Json(nullptr);
    out["allowance"] = allowanceName(analysis.settings.drift.allowance);
    const auto& bound = analysis.settings.drift.declaredBound_pct;
    out["declared_bound_pct"] = bound ? Json(*bound) : Json(nullptr);
    std::vector<Statement> notes;
    for (const DayDoubt& doubt : analysis.doubts)
        notes.push_back(doubt.text);
    notes.insert(notes.end(), analysis.notes.begin(), analysis.notes.end());
    out["note"] = english().say(notes);
    return out;
}

Json noiseJson(const DayAnalysis& analysis) {
    if (!analysis.model || analysis.model->degreesOfFreedom <= 0)
        return nullptr;
    const NoiseOfBuilds& noise = analysis.model->noise;
    Json builds = Json::array();
    for (size_t b = 0; b < noise.builds.size(); ++b)
        builds.push_back({{"build", analysis.builds[b].id},
                          {"variance_ratio", noise.builds[b].ratio},
                          {"degrees_of_freedom", noise.builds[b].degreesOfFreedom}});
    return {{"unequal", noise.unequal}, {"p", noise.smallestP}, {"builds", std::move(builds)}};
}

Json refitJson(const DayAnalysis& analysis) {
    if (!analysis.model || !analysis.model->input.refit.known())
        return nullptr;
    const RefitSpread& refit = analysis.model->input.refit;
    return {{"sd_pct", percentOfLog(std::sqrt(refit.meanSquare()))},
            {"from", refit.freedom > 0.0 ? "cell" : "entered"},
            {"degrees_of_freedom", refit.freedom > 0.0 ? Json(refit.freedom) : Json(nullptr)}};
}

Json earlierRepeatsJson(const DayAnalysis& analysis) {
    if (!analysis.model || !analysis.model->input.history.known())
        return nullptr;
    const DayModel& model = *analysis.model;
    return {{"sd_pct", percentOfLog(std::sqrt(model.input.history.levelVariance))},
            {"degrees_of_freedom", model.historyFreedom},
            {"contradicted", model.unlikeHistory}};
}

Json buildsJson(const DayAnalysis& analysis) {
    Json out = Json::array();
    for (const BuildResult& build : analysis.builds) {
        Json leftOut = Json::array();
        for (const PullResult& pull : analysis.pulls)
            if (pull.build == build.id && !pull.used)
                leftOut.push_back({{"id", pull.id}, {"why", english().say(pull.whyLeftOut)}});
        out.push_back({{"id", build.id},
                       {"pulls_used", build.pullsUsed},
                       {"given", build.given.empty() ? Json(nullptr) : Json(english().say(build.given))},
                       {"pulls_left_out", leftOut},
                       {"power_kw", kilowatts(build.power_w)},
                       {"torque_nm", scaled(build.torque_nm, 1.0)},
                       {"peak_power", peakJson(build.peakPower_w, 0.001)},
                       {"peak_torque", peakJson(build.peakTorque_nm, 1.0)}});
    }
    return out;
}

const char* flagName(FlagKind kind) {
    constexpr std::array names{"rough", "level", "shape", "disagree"};
    return names.at(static_cast<size_t>(kind));
}

Json endSpeedsJson(const std::vector<EndSpeeds>& all) {
    Json out = Json::array();
    for (const EndSpeeds& found : all) {
        Json one = {{"build", found.build}, {"steps_rpm", found.steps_rpm}, {"stretches", Json::array()}};
        for (const EndStretch& stretch : found.stretches)
            one["stretches"].push_back({{"from_rpm", stretch.rpm.low},
                                        {"to_rpm", stretch.rpm.high},
                                        {"percent", percentOfLog(stretch.change)},
                                        {"low_pct", numberOrNull(percentOfLog(stretch.change - stretch.half))},
                                        {"high_pct", numberOrNull(percentOfLog(stretch.change + stretch.half))},
                                        {"pulls", stretch.pulls}});
        one["stopped_paying_rpm"] = found.stopped_rpm ? Json(*found.stopped_rpm) : Json(nullptr);
        one["summary"] = Voice::forFiles().say(endSpeedPhrase(found));
        out.push_back(std::move(one));
    }
    return out;
}

Json flagsJson(const DayAnalysis& analysis) {
    Json out = Json::array();
    for (const PullResult& pull : analysis.pulls)
        for (const PullFlag& flag : pull.flags)
            out.push_back({{"pull", pull.id},
                           {"kind", flagName(flag.kind)},
                           {"rpm", flag.rpm > 0.0 ? Json(flag.rpm) : Json(nullptr)},
                           {"size_pct", 100.0 * flag.size}});
    return out;
}

} // namespace

Json weatherAnswer(Standard standard, const HumidAir& air, const AirFactor& factor) {
    const StandardInfo& info = standardInfo(standard);
    Json reference = nullptr;
    if (info.referencePressure_pa > 0.0)
        reference = {{"temperature_c", info.referenceTemperature_c},
                     {info.referenceIsDry ? "dry_pressure_kpa" : "pressure_kpa", info.referencePressure_pa / 1000.0}};
    Json out{{"standard", info.name},
             {"factor", factor.factor},
             {"within_validity", factor.withinValidity},
             {"validity_note", validityNote(factor)},
             {"dry_pressure_kpa", air.dryPressure_pa / 1000.0},
             {"vapour_pressure_kpa", air.vapourPressure_pa / 1000.0},
             {"air_density_kg_m3", air.density_kg_m3},
             {"density_altitude_m", air.densityAltitude_m},
             {"reference", reference}};
    if (!factor.school.empty())
        out["boost_correction"] = english().say(factor.school);
    return out;
}

namespace {

EngineForAir engineOfCase(ObjectReader& in) {
    EngineForAir engine;
    engine.ignition = static_cast<Ignition>(in.choice("ignition", {"spark", "compression"}));
    engine.aspiration = static_cast<Aspiration>(in.choice("aspiration", {"natural", "turbocharged", "supercharged"}));
    engine.mechanicalEfficiency = in.number("mechanical_efficiency").value_or(0.85);
    engine.fuel_mg_per_litre_cycle = in.number("fuel_mg_per_litre_cycle");
    engine.boostPressureRatio = in.number("boost_pressure_ratio");
    engine.chargeCooling = static_cast<ChargeCooling>(in.choice("charge_cooling", {"none", "air", "liquid"}));
    engine.boostSchool =
        static_cast<BoostSchool>(in.choice("boost_correction", {"standard", "full", "held", "temperature_only"}));
    engine.boostHeldAbsolute = in.flag("boost_held_absolute", false);
    return engine;
}

Json fieldJson(const Field& field) {
    Json out;
    out["use"] = useJson(field.use);
    out["builds"] = Json::array();
    for (const FieldBuild& build : field.builds)
        out["builds"].push_back({{"id", build.id},
                                 {"score_pct", numberOrNull(percentOfLog(build.gain))},
                                 {"low_pct", numberOrNull(percentOfLog(build.low))},
                                 {"high_pct", numberOrNull(percentOfLog(build.high))},
                                 {"may_be_best", build.mayBeBest},
                                 {"costs_at_most_pct", numberOrNull(percentOfLog(build.costsAtMost))},
                                 {"chance_best", numberOrNull(build.chanceBest)},
                                 {"chance_within_quarter_pct", numberOrNull(build.chanceNearBest)},
                                 {"shrunk_pct", numberOrNull(percentOfLog(build.shrunk))}});
    out["leads"] = Json::array();
    for (const LeadStretch& lead : field.leads)
        out["leads"].push_back(
            {{"from_rpm", lead.range_rpm.low}, {"to_rpm", lead.range_rpm.high}, {"builds", lead.builds}});
    out["protected_from_drift"] = field.protectedFromDrift;
    out["summary"] = english().say(fieldSummary(field));
    return out;
}
} // namespace

WeatherFound findWeather(const Json& weather) {
    ObjectReader in(weather, "");
    const Standard standard = standardNamed(in.requiredText("standard"));
    Atmosphere air;
    const auto temperature = in.number("temperature_c");
    auto pressure = in.number("pressure_kpa");
    const auto setting = in.number("altimeter_setting_kpa");
    const auto altitude = in.number("altitude_m");
    if (!pressure && setting && altitude)
        pressure = stationPressure_pa(*setting * 1000.0, *altitude) / 1000.0;
    if (!temperature || !pressure)
        throw DataError(Problem::MissingKey, {}, in.place(temperature ? "pressure_kpa" : "temperature_c"));
    air.temperature_c = *temperature;
    air.pressure_pa = *pressure * 1000.0;
    int humidities = 0;
    for (const auto& [key, kind] :
         {std::pair{"humidity_pct", HumidityKind::RelativeHumidity_pct},
          std::pair{"dew_point_c", HumidityKind::DewPoint_c}, std::pair{"wet_bulb_c", HumidityKind::WetBulb_c},
          std::pair{"vapour_pressure_kpa", HumidityKind::VapourPressure_kpa}}) {
        if (const auto value = in.number(key)) {
            air.humidity = {kind, *value};
            ++humidities;
        }
    }
    if (humidities == 0)
        throw DataError(Problem::MissingKey, {}, in.place("humidity_pct"));
    if (humidities > 1)
        throw DataError(Problem::BadValue, {std::string("humidity"), Statement{"not_allowed.one_humidity"}}, {});
    const HumidAir humid = humidAir(air);
    const EngineForAir engine = engineOfCase(in);
    AirFactor factor = airFactor(standard, humid, engine);
    const auto friction = in.number("friction_power_kw");
    const auto power = in.number("power_kw");
    if (friction && power && standard == Standard::SaeJ1349 && engine.ignition == Ignition::Spark)
        factor.factor = frictionFactor(humid, *power * 1000.0, *friction * 1000.0);
    return {standard, humid, factor};
}

Json weatherCase(const Json& weather) {
    const WeatherFound found = findWeather(weather);
    return weatherAnswer(found.standard, found.air, found.factor);
}

namespace {

Json eventsJson(const std::vector<Event>& found) {
    Json out = Json::array();
    for (const Event& event : found)
        out.push_back({{"kind", eventKindInfo(event.kind).name},
                       {"from_rpm", event.range_rpm.low},
                       {"to_rpm", event.range_rpm.high},
                       {"from_s", event.from_s},
                       {"to_s", event.to_s},
                       {"size", event.size},
                       {"why", english().say(event.why)}});
    return out;
}

Json plainEdges(const Edges& edges) { return {{"low", scaled(edges.low, 1.0)}, {"high", scaled(edges.high, 1.0)}}; }

/// In the quantity's own unit; what stands there in kW gives way.
void putQuantity(Json& out, const QuantityPair& pair) {
    out["delta"] = scaled(pair.delta, 1.0);
    out["pointwise95"] = plainEdges(pair.pointwise95);
    out["simultaneous95"] = plainEdges(pair.simultaneous95);
    out["family95"] = plainEdges(pair.family95);
    out["regions"] = regionsJson(pair.regions);
    out["bands"] = Json::array();
    for (const QuantityBand& band : pair.bands)
        out["bands"].push_back({{"from_rpm", band.range_rpm.low},
                                {"to_rpm", band.range_rpm.high},
                                {"delta", numberOrNull(band.delta)},
                                {"low", numberOrNull(band.low)},
                                {"high", numberOrNull(band.high)},
                                {"p", numberOrNull(band.p)}});
    if (!pair.notes.empty())
        out["note"] = Voice::forFiles().say(pair.notes);
}

void addQuantity(Json& out, const QuantityAnswer& answer) {
    out["quantity"] = answer.kind.id;
    out["unit"] = answer.kind.unit;
    for (Json& build : out["builds"])
        for (const auto& [id, values] : answer.builds)
            if (build["id"] == id)
                build["value"] = scaled(values, 1.0);
    for (Json& comparison : out["comparisons"])
        if (const QuantityPair* pair = answer.find(comparison["from"], comparison["to"]))
            putQuantity(comparison, *pair);
}

} // namespace

Json reduceAnswer(const Curve& curve, const std::vector<Event>& events) {
    Json trimmed = Json::array();
    for (const Trim& trim : curve.sweep().trims)
        trimmed.push_back(
            {{"from_s", trim.from_s}, {"to_s", trim.to_s}, {"why", english().say(trimReasonPhrase(trim.reason))}});
    return {{"rpm", curve.rpm},
            {"torque_nm", scaled(curve.torque_nm, 1.0)},
            {"power_kw", kilowatts(curve.power_w)},
            {"factor", curve.air.factor},
            {"power_at", english().say(placeShort(curve.place))},
            {"boost_correction", curve.air.school.empty() ? Json(nullptr) : Json(english().say(curve.air.school))},
            {"basis", basisTexts(curve)},
            {"ratio", curve.source().ratio ? Json(*curve.source().ratio) : Json(nullptr)},
            {"roughness_pct", curve.roughness_pct},
            {"window_rpm", {curve.sweep().window_rpm.low, curve.sweep().window_rpm.high}},
            {"trimmed", trimmed},
            {"events", eventsJson(events)},
            {"peak_power", peakJson(curve.peakPower_w, 0.001)},
            {"peak_torque", peakJson(curve.peakTorque_nm, 1.0)}};
}

Json regionsJson(const std::vector<Region>& regions) {
    Json out = Json::array();
    for (const Region& region : regions)
        out.push_back(
            {{"from_rpm", region.range_rpm.low}, {"to_rpm", region.range_rpm.high}, {"kind", regionName(region.kind)}});
    return out;
}

Json analyseAnswer(const DayAnalysis& analysis) {
    Json out;
    out["standard"] = standardInfo(analysis.settings.reduce.standard).name;
    out["power_at"] = english().say(placeShort(analysis.place));
    if (!analysis.school.empty())
        out["boost_correction"] = english().say(analysis.school);
    out["grid_rpm"] = analysis.rpm;
    const bool measured = analysis.model && analysis.model->degreesOfFreedom > 0;
    out["repeatability"] = {{"pull_gain_pct", measured ? numberOrNull(100.0 * analysis.model->levelSd) : Json(nullptr)},
                            {"pooled_sd_kw", kilowatts(analysis.pooledSd_w)},
                            {"degrees_of_freedom", analysis.model ? analysis.model->degreesOfFreedom : 0}};
    out["drift"] = driftJson(analysis);
    out["noise"] = noiseJson(analysis);
    out["refit"] = refitJson(analysis);
    out["earlier_repeats"] = earlierRepeatsJson(analysis);
    out["builds"] = buildsJson(analysis);
    out["comparisons"] = Json::array();
    for (const Comparison& comparison : analysis.comparisons)
        out["comparisons"].push_back(comparisonJson(comparison));
    if (analysis.quantity)
        addQuantity(out, *analysis.quantity);
    if (analysis.model)
        out["use"] = useJson(useOfDay(analysis));
    if (analysis.field)
        out["field"] = fieldJson(*analysis.field);
    out["flags"] = flagsJson(analysis);
    if (!analysis.endSpeeds.empty())
        out["end_speeds"] = endSpeedsJson(analysis.endSpeeds);
    out["events"] = Json::object();
    for (const PullResult& pull : analysis.pulls)
        out["events"][pull.id] = eventsJson(pull.events);
    return out;
}

} // namespace hillrun
