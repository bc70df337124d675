// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun-cli: everything that the window does with data, without a display.
// Exit status: 0 done; 1 the data does not allow it; 2 wrong use.

#include "cli/commands.h"

#include <csignal>
#include <fmt/format.h>

int main(int argc, char** argv) {
    std::signal(SIGXFSZ, SIG_IGN); // a file that may not grow is a write error, not the end of the program
    CLI::App app{"hillrun-cli: what did this part do, and can I believe it?"};
    app.require_subcommand(1);
    app.set_version_flag("--version", "hillrun-cli " HILLRUN_VERSION);
    hillrun::cli::addWeather(app);
    hillrun::cli::addReduce(app);
    hillrun::cli::addAnalyse(app);
    hillrun::cli::addImport(app);
    hillrun::cli::addExport(app);
    hillrun::cli::addPlan(app);
    hillrun::cli::addVerify(app);
    app.footer(
        "Examples:\n"
        "  hillrun-cli analyse data/demo/day-1-flat-twin --json\n"
        "  hillrun-cli analyse DAY --from A --to B --band 4500:7500 --matters-kw 0.5 --json\n"
        "  hillrun-cli export DAY --to sheet.pdf\n"
        "  hillrun-cli weather --standard iso-1585 --temperature-c 21 --pressure-kpa 98.4 --humidity-pct 55 --json\n"
        "Exit status: 0 done; 1 the data does not allow it; 2 wrong use.");
    try {
        app.parse(argc, argv);
        return 0;
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : 2;
    } catch (const hillrun::cli::WrongUse& error) {
        fmt::print(stderr, "hillrun-cli: {}\n", error.what());
        return 2;
    } catch (const hillrun::DataError& error) {
        fmt::print(stderr, "hillrun-cli: {}\n", error.what());
        return 1;
    } catch (const std::exception& error) { // out of memory, a broken pipe
        fmt::print(stderr, "hillrun-cli: {}\n", error.what());
        return 1;
    }
}
