// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/own_words.h"

#include "words/current_voice.h"

#include <fmt/format.h>
#include <fmt/ranges.h>

namespace hillrun::cli {
namespace {

void nameGroups(CLI::App& app) {
    for (CLI::Option* option : app.get_options())
        if (option->get_group() == "Options")
            option->group(said("cli.options"));
    for (CLI::App* command : app.get_subcommands({})) {
        command->group(said("cli.commands"));
        command->set_help_flag("-h,--help", said("cli.help_flag"));
        nameGroups(*command);
    }
}

} // namespace

void nameParts(CLI::App& app) {
    const auto formatter = app.get_formatter();
    formatter->label("Usage", said("cli.usage"));
    formatter->label("OPTIONS", said("cli.usage_options"));
    formatter->label("SUBCOMMAND", said("cli.usage_command"));
    formatter->label("Positionals", said("cli.positionals"));
    formatter->label("REQUIRED", said("cli.required"));
    app.set_help_flag("-h,--help", said("cli.help_flag"));
    app.get_version_ptr()->description(said("cli.version_flag"));
    nameGroups(app);
}

std::string wrongUse(const CLI::ParseError& error, const CLI::App& app) {
    const std::string detail = error.what();
    if (dynamic_cast<const CLI::ExtrasError*>(&error)) // their names are not always those of their kinds
        return said("cli.not_known_here", {fmt::format("{}", fmt::join(app.remaining(true), " "))});
    const std::string required = " is required";
    const bool missing = dynamic_cast<const CLI::RequiredError*>(&error) != nullptr;
    if (missing && detail.starts_with("A subcommand"))
        return said("cli.command_missing");
    if (missing && detail.ends_with(required))
        return said("cli.is_missing", {detail.substr(0, detail.size() - required.size())});
    return said("cli.does_not_fit", {detail});
}

} // namespace hillrun::cli
