// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun-simcell: the stand-in for a test cell. Makes whole days from a small description.

#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "simcell/simulate.h"

#include <CLI/CLI.hpp>
#include <fmt/format.h>

int main(int argc, char** argv) {
    CLI::App app{"hillrun-simcell: a simulated test cell for Hill Run. Everything it makes is invented."};
    std::string spec;
    std::string out;
    unsigned seed = 1;
    app.add_option("--make-day", spec, "description of the day (JSON, docs/formats.md)")->required();
    app.add_option("--out", out, "day folder or .zip to write")->required();
    app.add_option("--seed", seed, "start of the random numbers; the same seed makes the same day")
        ->capture_default_str();
    app.footer("Example:\n  hillrun-simcell --make-day data/demo/flat-twin.json --out data/demo/day-1 --seed 11");
    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : 2;
    }
    try {
        const auto cell = hillrun::sim::readCellSpec(hillrun::readFileText(spec), spec);
        const auto day = hillrun::sim::simulateDay(cell, seed);
        hillrun::saveDay(day, out);
        fmt::print("{}: {} pulls of {} builds\n", out, day.pulls.size(), day.builds.size());
        return 0;
    } catch (const hillrun::DataError& error) {
        fmt::print(stderr, "hillrun-simcell: {}\n", error.what());
        return 1;
    }
}
