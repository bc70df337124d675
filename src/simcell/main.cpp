// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun-simcell: the stand-in for a test cell and a weather station. Makes whole days from a small description, or
// serves a live cell on loopback.

#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "simcell/serve.h"
#include "simcell/simulate.h"
#include "words/voice.h"

#include <CLI/CLI.hpp>
#include <fmt/format.h>
#include <QCoreApplication>

namespace {

struct Options {
    std::string spec;
    std::string out;
    unsigned seed = 1;
    std::optional<int> tcp, nmea, modbus;
    hillrun::sim::ServeOptions serve;
};

void addOptions(CLI::App& app, Options& o) {
    app.add_option("--make-day", o.spec, "description of the day (JSON, docs/formats.md)");
    app.add_option("--out", o.out, "day folder or .zip to write");
    app.add_option("--seed", o.seed, "start of the random numbers; the same seed makes the same day")
        ->capture_default_str();
    app.footer("Examples:\n  hillrun-simcell --make-day data/demo/flat-twin.json --out day-1 --seed 11\n"
               "  hillrun-simcell serve --day data/demo/flat-twin.json --tcp 5020 --nmea-tcp 5021 --auto\n"
               "Console of a served cell, on standard input: start, build B, pull, fault breakup 6900 14, help");
    CLI::App* serve = app.add_subcommand("serve", "a live cell on loopback, worked from standard input");
    serve->add_option("--day", o.spec, "description of the cell (JSON, docs/formats.md)")->required();
    serve->add_option("--tcp", o.tcp, "telemetry on this port; 0 takes a free one")->check(CLI::Range(0, 65535));
    serve->add_flag("--pty", o.serve.pty, "telemetry on a pseudo-terminal, as from a serial port");
    serve->add_option("--modbus-tcp", o.modbus, "slow channels and weather as registers")->check(CLI::Range(1, 65535));
    serve->add_option("--nmea-tcp", o.nmea, "weather as NMEA 0183 sentences; 0 takes a free port")
        ->check(CLI::Range(0, 65535));
    serve->add_option("--speed", o.serve.speed, "simulated seconds a second")->check(CLI::Range(0.1, 100.0));
    serve->add_option("--seed", o.seed, "start of the random numbers")->capture_default_str();
    serve->add_flag("--auto", o.serve.followPlan, "follow the order of the description without being told");
}

std::optional<quint16> portOf(const std::optional<int>& port) {
    return port ? std::optional(static_cast<quint16>(*port)) : std::nullopt;
}

int serve(const Options& o, int argc, char** argv) {
    QCoreApplication application(argc, argv);
    hillrun::sim::ServeOptions options = o.serve;
    options.tcp = portOf(o.tcp);
    options.nmeaTcp = portOf(o.nmea);
    options.modbusTcp = portOf(o.modbus);
    hillrun::sim::CellServer server(hillrun::sim::readCellSpec(hillrun::readFileText(o.spec), o.spec), o.seed, options);
    return server.open() ? QCoreApplication::exec() : 1;
}

int makeDay(const Options& o) {
    const auto cell = hillrun::sim::readCellSpec(hillrun::readFileText(o.spec), o.spec);
    const auto day = hillrun::sim::simulateDay(cell, o.seed);
    hillrun::saveDay(day, o.out);
    fmt::print("{}: {} pulls of {} builds\n", o.out, day.pulls.size(), day.builds.size());
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    CLI::App app{"hillrun-simcell: a simulated test cell for Hill Run. Everything it makes is invented."};
    app.set_version_flag("--version", "hillrun-simcell " HILLRUN_VERSION);
    Options options;
    addOptions(app, options);
    try {
        app.parse(argc, argv);
        if (app.get_subcommands().empty() && (options.spec.empty() || options.out.empty()))
            throw CLI::RequiredError("--make-day and --out, or serve");
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : 2;
    }
    try {
        return app.got_subcommand("serve") ? serve(options, argc, argv) : makeDay(options);
    } catch (const hillrun::DataError& error) {
        fmt::print(stderr, "hillrun-simcell: {}\n", hillrun::Voice::forFiles().say(error));
        return 1;
    }
}
