// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/errors/data_error.h"
#include "engine/day_engine.h"

#include "words/current_voice.h"

#include <CLI/CLI.hpp>
#include <functional>
#include <stdexcept>

namespace hillrun::cli {

/// What the user typed cannot be meant: exit status 2.
struct WrongUse : std::runtime_error {
    using std::runtime_error::runtime_error;
};

/// The answer stands on standard output, and says no.
struct Ended {
    int status = 1;
};

/// Each adds one command; its callback runs the command and throws DataError or WrongUse.
void addWeather(CLI::App& app);
void addReduce(CLI::App& app);
void addAnalyse(CLI::App& app);
void addImport(CLI::App& app);
void addCredit(CLI::App& app);
void addRoad(CLI::App& app);
void addExport(CLI::App& app);
void addPlan(CLI::App& app);
void addVerify(CLI::App& app);
void addLogbook(CLI::App& app); ///< where it is built with the logbook

/// Options that several commands share.
struct AirOptions {
    std::string standard = "sae-j1349";
    double smoothing_rpm = 100.0;
    double grid_rpm = 50.0;
    void addTo(CLI::App& command, bool withGrid);
    [[nodiscard]] ReduceSettings settings() const; ///< throws WrongUse
};

/// How a day is answered.
struct AnswerOptions {
    AirOptions air;
    std::string use;
    std::string allowance = "cautious";
    std::optional<double> bound, mattersKw, mattersPct, refit;
    void addTo(CLI::App& command);
    [[nodiscard]] AnalysisSettings settings() const; ///< throws WrongUse
    /// What was decided, in place of what the day says. What the builds are wanted for: "2500:4500", "at:5500:150",
    /// "gear:3", "weights:use.csv", "course:larkfell-hill". Throws WrongUse; DataError for a file of weights, a gear
    /// that the article has not, a course that nobody can drive.
    void takePlan(TestDay& day) const;

private:
    [[nodiscard]] WantedUse useOfCourse(const TestDay& day) const;
};
/// What is wrong with the day's pulls, on standard error.
void warnOf(const TestDay& day);
/// For a reader who cannot ask back no pull or no shared range is an error.
std::shared_ptr<const DayAnalysis> analyseOrThrow(const TestDay& day, const AnalysisSettings& settings,
                                                  DayEngine& engine);

/// "2500:4500" as two numbers; nothing when it is not that.
std::optional<std::pair<double, double>> pairIn(std::string_view text);
} // namespace hillrun::cli
