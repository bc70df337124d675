// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/cell_check_json.h"

#include "core/day/test_day.h"
#include "formats/json_writer.h"
#include "formats/weather_json.h"

namespace hillrun {
namespace {

constexpr size_t kMostHung = 40; ///< as many as Bench has lines for

double aboveZero(ObjectReader& in, const char* key, std::optional<double> value) {
    if (!value)
        throw DataError(Problem::MissingKey, {}, in.place(key));
    if (!(*value > 0.0))
        throw DataError(Problem::BadValue, {significant(*value, 6), Statement{"not_allowed.not_above_zero"}},
                        in.place(key));
    return *value;
}

void notNegative(ObjectReader& in, const char* key, std::optional<double> value) {
    if (value && !(*value >= 0.0))
        throw DataError(Problem::BadValue, {significant(*value, 6), Statement{"not_allowed.negative"}}, in.place(key));
}

std::string dateOf(ObjectReader& in) {
    std::string out = in.text("date");
    if (!out.empty() && (out.size() != 10 || !secondsOf(out + "T00:00:00Z")))
        throw DataError(Problem::BadValue, {out, Statement{"not_allowed.date"}}, in.place("date"));
    return out;
}

void checkAir(const Atmosphere& air, const Place& place) {
    try {
        humidAir(air);
    } catch (const DataError& error) {
        throw DataError(error.problem(), error.details(), place);
    }
}

Atmosphere airOf(ObjectReader& in, const char* key, std::string& unknownKeys) {
    if (const auto air = weatherFromJson(in.object(key), unknownKeys)) {
        checkAir(*air, in.place(key));
        return *air;
    }
    throw DataError(Problem::MissingKey, {}, in.place(key));
}

Json airJson(const Atmosphere& air, const std::string& unknownKeys) {
    Json out = weatherToJson(air);
    addUnknown(out, unknownKeys);
    return out;
}

} // namespace

LoadCellCheck loadCellCheckFromJson(ObjectReader in) {
    LoadCellCheck out;
    out.date = dateOf(in);
    out.arm_m = aboveZero(in, "arm_m", in.number("arm_m"));
    out.armWithin_mm = in.number("arm_within_mm");
    out.massWithin_pct = in.number("mass_within_pct");
    out.gravity_ms2 = in.number("gravity_ms2");
    notNegative(in, "arm_within_mm", out.armWithin_mm);
    notNegative(in, "mass_within_pct", out.massWithin_pct);
    if (out.gravity_ms2)
        aboveZero(in, "gravity_ms2", out.gravity_ms2);
    auto hung = in.objects("hung");
    if (hung.size() > kMostHung)
        throw DataError(Problem::BadValue, {std::to_string(hung.size()), Statement{"not_allowed.most_readings"}},
                        in.place("hung"));
    for (ObjectReader& one : hung) {
        const auto mass_kg = one.number("mass_kg");
        const auto read_nm = one.number("read_nm");
        notNegative(one, "mass_kg", mass_kg);
        if (!mass_kg || !read_nm)
            throw DataError(Problem::MissingKey, {}, one.place(mass_kg ? "read_nm" : "mass_kg"));
        out.hung.push_back({*mass_kg, *read_nm});
    }
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json loadCellCheckToJson(const LoadCellCheck& check) {
    Json out{{"date", check.date}, {"arm_m", check.arm_m}};
    putKnown(out, "arm_within_mm", check.armWithin_mm);
    putKnown(out, "mass_within_pct", check.massWithin_pct);
    putKnown(out, "gravity_ms2", check.gravity_ms2);
    out["hung"] = Json::array();
    for (const HungMass& one : check.hung)
        out["hung"].push_back({{"mass_kg", one.mass_kg}, {"read_nm", one.read_nm}});
    addUnknown(out, check.unknownKeys);
    return out;
}

StationCheck stationCheckFromJson(ObjectReader in) {
    StationCheck out;
    out.date = dateOf(in);
    out.station = airOf(in, "station", out.unknownStationKeys);
    out.reference = airOf(in, "reference", out.unknownReferenceKeys);
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json stationCheckToJson(const StationCheck& check) {
    Json out{{"date", check.date},
             {"station", airJson(check.station, check.unknownStationKeys)},
             {"reference", airJson(check.reference, check.unknownReferenceKeys)}};
    addUnknown(out, check.unknownKeys);
    return out;
}

} // namespace hillrun
