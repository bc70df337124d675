// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun-cli: everything that the window does with data, without a display.
// Exit status: 0 done; 1 the data does not allow it; 2 wrong use.

#include "cli/commands.h"
#include "cli/own_words.h"

#include <csignal>
#include <fmt/format.h>

namespace hillrun::cli {
namespace {

/// Help is put into words before the line is parsed: `--language` is looked for first.
Language languageAsked(int argc, char** argv) {
    for (int i = 1; i < argc; ++i) {
        const std::string_view word = argv[i];
        std::optional<Language> asked;
        if (word == "--language" && i + 1 < argc)
            asked = languageNamed(argv[i + 1]);
        else if (word.starts_with("--language="))
            asked = languageNamed(word.substr(word.find('=') + 1));
        if (asked)
            return *asked;
    }
    return systemLanguage();
}

} // namespace

} // namespace hillrun::cli

int main(int argc, char** argv) {
    using hillrun::said;
    hillrun::setCurrentVoice(hillrun::Voice::of(hillrun::cli::languageAsked(argc, argv)).withPlainBlanks());
    std::signal(SIGXFSZ, SIG_IGN); // a file that may not grow is a write error, not the end of the program
    CLI::App app{said("cli.about")};
    std::string language;
    app.add_option("--language", language, said("cli.language"))->check(CLI::IsMember({"en", "de", "fr"}));
    app.fallthrough(); // --language may stand behind the command
    app.require_subcommand(1);
    app.set_version_flag("--version", "hillrun-cli " HILLRUN_VERSION);
    hillrun::cli::addWeather(app);
    hillrun::cli::addReduce(app);
    hillrun::cli::addAnalyse(app);
    hillrun::cli::addCredit(app);
    hillrun::cli::addRoad(app);
    hillrun::cli::addImport(app);
    hillrun::cli::addExport(app);
    hillrun::cli::addPlan(app);
    hillrun::cli::addVerify(app);
#ifdef HILLRUN_LOGBOOK
    hillrun::cli::addLogbook(app);
#endif
    hillrun::cli::nameParts(app);
    app.footer(said("cli.examples_analyse_data_demo"));
    try {
        app.parse(argc, argv);
        return 0;
    } catch (const hillrun::cli::Ended& ended) {
        return ended.status;
    } catch (const CLI::ParseError& error) {
        if (error.get_exit_code() == 0)
            return app.exit(error); // help or version
        fmt::print(stderr, "hillrun-cli: {}\n", hillrun::cli::wrongUse(error, app));
        return 2;
    } catch (const hillrun::cli::WrongUse& error) {
        fmt::print(stderr, "hillrun-cli: {}\n", error.what());
        return 2;
    } catch (const std::exception& error) { // bad data; out of memory, a broken pipe
        fmt::print(stderr, "hillrun-cli: {}\n", said(error));
        return 1;
    }
}
