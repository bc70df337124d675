// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>
#include <string_view>
#include <utility>

namespace hillrun {

/// A header cell as name and unit: "Boost [kPa]", "Boost (psi)", "Boost, psi", "Boost/kPa", "Boost in kPa",
/// "boost_kpa".
std::pair<std::string, std::string> nameAndUnitOf(std::string_view header);

} // namespace hillrun
