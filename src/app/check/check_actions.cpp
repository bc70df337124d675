// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/check_actions.h"

#include "app/check/check_page.h"

#include <QCoreApplication>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class CheckActions {
    Q_DECLARE_TR_FUNCTIONS(CheckActions)
public:
    static void declare(const Workplace& at);
    static void declareViews(const Workplace& at);
};

CheckPage& page(const Workplace& at) { return pageOf<CheckPage>(at.host, "check"); }

PageView* makeCheckPage(const Workplace& at, QWidget* parent) {
    return new CheckPage(at.document, at.selection, at.look, at.actions, at.dialogs, parent);
}

bool pullSelected(const WindowState& s) { return s.pullSelected; }

void CheckActions::declareViews(const Workplace& at) {
    const auto add = [&](const char* id, const QString& text, const QString& key, const QString& tip,
                         void (*run)(CheckPage&)) {
        at.actions.add({.id = id, .text = text, .keys = {key}, .tip = tip, .scope = {"check"}, .rule = pullSelected},
                       &at.actions, [at, run] { run(page(at)); });
    };
    add("check.channels", tr("Channels"), u"C"_s, tr("The control channels below the curves"),
        [](CheckPage& check) { check.showLower(CheckPage::Lower::Channels); });
    add("check.time", tr("Time"), u"T"_s, tr("The pull over time below the curves, or its channels"),
        [](CheckPage& check) { check.toggleTimeView(); });
    add("check.numbers", tr("Numbers"), u"N"_s, tr("Numbers of all pulls shown, at the cursor"),
        [](CheckPage& check) { check.showLower(CheckPage::Lower::Numbers); });
    add("check.raw", tr("Raw"), u"R"_s, tr("The rows as recorded, or the smoothed curve"),
        [](CheckPage& check) { check.toggleRaw(); });
    add("check.beside", tr("Hold beside"), u"H"_s, tr("Keep this pull beside the next one you select, or let go of it"),
        [](CheckPage& check) { check.toggleBeside(); });
}

void CheckActions::declare(const Workplace& at) {
    at.actions.add({.id = "check.use",
                    .text = tr("Set aside"),
                    .keys = {u"S"_s},
                    .tip = tr("Leave this pull out with a reason, or take it back"),
                    .scope = {"check"},
                    .edits = true,
                    .rule = pullSelected},
                   &at.actions, [at] { page(at).toggleUse(); });
    declareViews(at);
    at.actions.add({.id = "check.reset_trim",
                    .text = tr("Undo trim"),
                    .tip = tr("Let the program find the range again"),
                    .scope = {"check"},
                    .edits = true,
                    .rule = [](const WindowState& s) { return s.pullSelected && s.pullTrimmed; }},
                   &at.actions, [at] { page(at).resetTrim(); });
    at.actions.add(
        {.id = "check.refitted",
         .text = tr("Fitted again"),
         .keys = {u"F"_s},
         .tip = tr("Before this pull its build was taken off and fitted again: a new set begins with it. Once "
                   "more takes it back"),
         .scope = {"check"},
         .edits = true,
         .rule = pullSelected},
        &at.actions, [at] { page(at).toggleRefitted(); });
    at.actions.note({{u"["_s, u"]"_s}, tr("On a board, at the cursor: the pull begins or ends there"), {"check"}});
}

} // namespace

PageSpec checkSpec() {
    return {.id = "check",
            .title = CheckActions::tr("Check"),
            .tip = CheckActions::tr("Look at each pull"),
            .keys = {u"Ctrl+3"_s, u"Alt+C"_s},
            .make = makeCheckPage,
            .declare = CheckActions::declare};
}

} // namespace hillrun
