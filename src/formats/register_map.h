// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// One figure that a device keeps in a 16 bit register: value = raw * scale + offset, in the channel's unit.
struct RegisterEntry {
    std::string channel; ///< a channel of the pull file, or weather_temperature, weather_pressure, weather_humidity
    std::string unit;
    bool input = true; ///< input register; false: holding register
    int address = 0;
    double scale = 1.0;
    double offset = 0.0;
    bool isSigned = false;
    bool operator==(const RegisterEntry&) const = default;

    [[nodiscard]] double value(std::uint16_t raw) const {
        return (isSigned ? static_cast<double>(static_cast<std::int16_t>(raw)) : static_cast<double>(raw)) * scale +
               offset;
    }
    /// The nearest register to a value, kept inside what 16 bits hold.
    [[nodiscard]] std::uint16_t raw(double figure) const;
};

struct RegisterMap {
    std::string name;
    int unitId = 1;
    std::vector<RegisterEntry> registers;
    bool operator==(const RegisterMap&) const = default;
};

/// Reads a register map (docs/formats.md, "Register map"). Throws DataError.
RegisterMap readRegisterMap(std::string_view text, const std::string& file);
std::string writeRegisterMap(const RegisterMap& map);

/// The map of Hill Run's own simulated cell; also the fallback when a link names no file.
RegisterMap simcellRegisters();

} // namespace hillrun
