// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/register_map.h"

#include "formats/json_reader.h"

#include <algorithm>
#include <cmath>

namespace hillrun {

std::uint16_t RegisterEntry::raw(double figure) const {
    const double steps = std::round((figure - offset) / scale);
    if (isSigned)
        return static_cast<std::uint16_t>(static_cast<std::int16_t>(std::clamp(steps, -32768.0, 32767.0)));
    return static_cast<std::uint16_t>(std::clamp(steps, 0.0, 65535.0));
}

RegisterMap readRegisterMap(std::string_view text, const std::string& file) {
    ObjectReader in(parseJson(text, file), file);
    if (in.text("format") != "hill-run-registers")
        throw DataError(Problem::BadValue, {in.text("format"), Statement{"not_allowed.registers_format"}},
                        in.place("format"));
    if (const int version = in.integer("version").value_or(1); version > 1)
        throw DataError(Problem::NewerVersion, {std::to_string(version), std::string("1")}, in.place("version"));
    RegisterMap out;
    out.name = in.text("name");
    out.unitId = in.integer("unit_id").value_or(1);
    if (out.unitId < 0 || out.unitId > 247)
        throw DataError(Problem::BadValue, {std::to_string(out.unitId), Statement{"not_allowed.unit_id"}},
                        in.place("unit_id"));
    for (ObjectReader& entry : in.objects("registers")) {
        RegisterEntry one;
        one.channel = entry.requiredText("channel");
        one.unit = entry.text("unit");
        one.input = entry.choice("kind", {"input", "holding"}) == 0;
        const auto address = entry.integer("address");
        if (!address || *address < 0 || *address > 65535)
            throw DataError(Problem::BadValue, {std::string("address"), Statement{"not_allowed.address"}},
                            entry.place("address"));
        one.address = *address;
        one.scale = entry.number("scale").value_or(1.0);
        if (!(std::abs(one.scale) > 0.0))
            throw DataError(Problem::BadValue, {std::string("scale"), Statement{"not_allowed.zero"}},
                            entry.place("scale"));
        one.offset = entry.number("offset").value_or(0.0);
        one.isSigned = entry.flag("signed", false);
        out.registers.push_back(std::move(one));
    }
    if (out.registers.empty())
        throw DataError(Problem::MissingKey, {}, in.place("registers"));
    return out;
}

std::string writeRegisterMap(const RegisterMap& map) {
    Json out{{"format", "hill-run-registers"}, {"version", 1}, {"name", map.name}, {"unit_id", map.unitId}};
    for (const RegisterEntry& entry : map.registers)
        out["registers"].push_back({{"channel", entry.channel},
                                    {"unit", entry.unit},
                                    {"kind", entry.input ? "input" : "holding"},
                                    {std::string("address"), entry.address},
                                    {std::string("scale"), entry.scale},
                                    {"offset", entry.offset},
                                    {"signed", entry.isSigned}});
    return dumpJson(out, 2) + "\n";
}

RegisterMap simcellRegisters() {
    return {"Simulated cell",
            1,
            {{"coolant_temperature", "C", true, 0, 0.1, 0.0, true},
             {"oil_temperature", "C", true, 1, 0.1, 0.0, true},
             {"intake_air_temperature", "C", true, 2, 0.1, 0.0, true},
             {"exhaust_gas_temperature", "C", true, 3, 1.0, 0.0, false},
             {"oil_pressure", "kPa", true, 4, 1.0, 0.0, false},
             {"weather_temperature", "C", true, 10, 0.01, 0.0, true},
             {"weather_pressure", "kPa", true, 11, 0.01, 0.0, false},
             {"weather_humidity", "%", true, 12, 0.1, 0.0, false}}};
}

} // namespace hillrun
