// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/settings.h"
#include "core/compare/analyse.h"
#include "core/units/units.h"

#include <array>
#include <filesystem>

namespace hillrun {

// What can be chosen for units and smoothing; the place in the list is what is kept.
inline constexpr std::array<DisplayUnits, 3> kUnitChoices{{{PowerUnit::Kilowatt, TorqueUnit::NewtonMetre},
                                                           {PowerUnit::Horsepower, TorqueUnit::PoundFoot},
                                                           {PowerUnit::MetricHorsepower, TorqueUnit::NewtonMetre}}};
inline constexpr std::array kSmoothingChoices_rpm{50.0, 100.0, 150.0, 200.0, 300.0};
/// "kW · N·m"
QString unitChoiceText(const DisplayUnits& units);
QStringList driftChoices();  ///< a word each `DriftAllowance`, in its order
QStringList schoolChoices(); ///< a word each `CurveSchool`, in its order

/// What can be chosen once for all days, as it is kept.
struct Preferences {
    QString language; ///< desktop, or a code such as de
    QString theme;    ///< desktop, light or dark
    int units = 0;    ///< the row of the units' choice
    QString standard; ///< its stable name
    double smoothing_rpm = 100.0;
    int drift = 0;  ///< DriftAllowance
    int school = 0; ///< CurveSchool: which curve stands for a build
    QString daysFolder;
    QString logbook; ///< its address; empty: a file of this bench
    QString paper;   ///< a4 or letter
    QString workshop;
    QString address;   ///< a line each
    QString logo;      ///< path of a picture
    QString tone;      ///< when a limit is passed: toneName
    QStringList links; ///< connections as they are kept (kept_links.h)
    bool operator==(const Preferences&) const = default;
};

/// Each preference once: the member, its name in a settings file, where it is kept.
template <class Some, class Visit> void eachPreference(Some& p, const Visit& visit) {
    visit(p.language, "language", settings::kLanguage);
    visit(p.theme, "theme", settings::kTheme);
    visit(p.units, "units", settings::kUnits);
    visit(p.standard, "standard", settings::kStandard);
    visit(p.smoothing_rpm, "smoothing_rpm", settings::kSmoothing);
    visit(p.drift, "drift", settings::kDrift);
    visit(p.school, "school", settings::kSchool);
    visit(p.daysFolder, "days_folder", settings::kDaysFolder);
    visit(p.logbook, "logbook", settings::kLogbook);
    visit(p.paper, "paper", settings::kPaper);
    visit(p.workshop, "workshop", settings::kWorkshop);
    visit(p.address, "address", settings::kAddress);
    visit(p.logo, "logo", settings::kLogo);
    visit(p.tone, "tone", settings::kTone);
    visit(p.links, "connections", settings::kLinks);
}

Preferences readPreferences(const SettingsStore& store);
void keepPreferences(SettingsStore& store, const Preferences& preferences);

/// Writes them as a file that another bench can read. Throws DataError.
void exportPreferences(const Preferences& preferences, const std::filesystem::path& target);
/// Reads such a file; what it does not say, or says out of range, stays as in `now`. Throws DataError when it is none.
Preferences importPreferences(const std::filesystem::path& file, const Preferences& now);

/// The settings of the analysis that they ask for; what this version does not know stays as in `now`.
AnalysisSettings analysisSettings(const Preferences& preferences, AnalysisSettings now);

} // namespace hillrun
