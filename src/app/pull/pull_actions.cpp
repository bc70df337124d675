// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/pull_actions.h"

#include "app/files/day_files.h"
#include "app/frame/kept_links.h"
#include "app/look/words.h"
#include "app/pull/limits_dialog.h"
#include "app/pull/links_dialog.h"
#include "app/pull/pull_alarm.h"
#include "app/pull/pull_page.h"

#include <QApplication>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class PullActions {
    Q_DECLARE_TR_FUNCTIONS(PullActions)
public:
    static void declare(const Workplace& at);
    static void declareRecorder(const Workplace& at);
    static void followFlow(const Workplace& at);
};

QWidget* windowOf(const Workplace& at) { return at.actions.window(); }

/// A pull is recorded into a day that has a place.
void givePlace(const Workplace& at) {
    if (at.document.path().empty())
        at.files.saveAs();
}

void toggleArm(const Workplace& at) {
    if (at.flow.armed())
        return at.flow.disarm();
    givePlace(at);
    at.flow.arm();
}

void toggleByHand(const Workplace& at) {
    if (at.cell.pulling())
        return at.flow.endByHand();
    givePlace(at);
    at.flow.startByHand();
}

void askChange(const Workplace& at) {
    const PlanProgress plan = at.flow.progress();
    const auto answer = at.dialogs.askBuildChange(windowOf(at), at.document.day(), at.flow.fitted(),
                                                  plan.needsChange ? plan.build : at.flow.fitted());
    if (answer)
        at.flow.changeBuild(answer->to, answer->note, answer->refitted);
}

void askSetAside(const Workplace& at) {
    if (!at.flow.slip())
        return;
    if (const auto reason = at.dialogs.askReason(windowOf(at), qs(at.flow.slip()->pull)))
        at.flow.setAside(*reason);
}

void editLinks(const Workplace& at) {
    QWidget* over = QApplication::activeModalWidget(); // the settings may ask for it
    auto* dialog = new LinksDialog(keptLinks(at.settings), over ? over : windowOf(at));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    QObject::connect(dialog, &QDialog::accepted, &at.actions, [at, dialog] {
        keepLinks(at.settings, dialog->links());
        useKeptLinks(at.settings, at.cell);
    });
    dialog->open();
}

void editLimits(const Workplace& at) {
    QWidget* over = QApplication::activeModalWidget(); // the settings may ask for it
    auto* dialog = new LimitsDialog(at.document.day().article, over ? over : windowOf(at));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    QObject::connect(dialog, &QDialog::accepted, &at.actions, [at, dialog] {
        at.document.edit(PullActions::tr("Change the limits"),
                         [&](TestDay& day) { day.article.limits = dialog->limits(); });
    });
    dialog->open();
}

void beginDay(const Workplace& at) {
    at.files.newDay();
    if (at.document.isOpen())
        at.host.showPage("pull");
}

PageView* makePullPage(const Workplace& at, QWidget* parent) {
    return new PullPage(at.document, at.selection, at.look, at.actions, at.cell, at.flow, parent);
}

bool canRecord(const WindowState& s) { return s.dayOpen && s.buildKnown && s.linked; }

/// What a recorded pull brings about, whichever page is shown.
void PullActions::followFlow(const Workplace& at) {
    QObject::connect(&at.flow, &PullFlow::slipReady, &at.actions, [at] { at.selection.setPull(at.flow.slip()->pull); });
    QObject::connect(&at.flow, &PullFlow::notSaved, &at.actions, [at](const QString& why) {
        at.dialogs.showError(windowOf(at), tr("The pull is kept in memory and in its journal, but could not be saved"),
                             why);
    });
    QObject::connect(&at.flow, &PullFlow::belongsElsewhere, &at.actions, [at](const QString& pull) {
        at.dialogs.showError(windowOf(at), tr("%1 belongs to a day that is no longer open").arg(pull),
                             tr("It is kept, and offered when that day is opened again."));
    });
}

void PullActions::declareRecorder(const Workplace& at) {
    ActionRegistry& actions = at.actions;
    actions.add({.id = "pull.arm",
                 .text = tr("Arm"),
                 .keys = {u"A"_s},
                 .tip = tr("Record the next pull by itself, or stop doing so"),
                 .scope = {"pull"},
                 .edits = true,
                 .rule = canRecord,
                 .textNow = [at] { return at.flow.armed() ? tr("Disarm") : tr("Arm"); }},
                &actions, [at] { toggleArm(at); });
    actions.add({.id = "pull.by_hand",
                 .text = tr("Start by hand"),
                 .keys = {u"M"_s},
                 .tip = tr("Begin or end a recording by hand"),
                 .scope = {"pull"},
                 .edits = true,
                 .rule = canRecord,
                 .textNow = [at] { return at.cell.pulling() ? tr("End by hand") : tr("Start by hand"); }},
                &actions, [at] { toggleByHand(at); });
}

void PullActions::declare(const Workplace& at) {
    ActionRegistry& actions = at.actions;
    actions.add({.id = "pull.begin_day",
                 .text = tr("Begin a day here"),
                 .tip = tr("A new day among your days, to pull into at once"),
                 .scope = {"pull"},
                 .rule = [](const WindowState& s) { return !s.dayOpen; }},
                &actions, [at] { beginDay(at); });
    declareRecorder(at);
    actions.add({.id = "pull.change",
                 .text = tr("Change build"),
                 .keys = {u"B"_s},
                 .tip = tr("Another build is fitted: note what was done"),
                 .scope = {"pull"},
                 .edits = true,
                 .rule = [](const WindowState& s) { return s.dayOpen && s.buildKnown && !s.pulling; }},
                &actions, [at] { askChange(at); });
    actions.add({.id = "pull.keep",
                 .text = tr("Keep"),
                 .keys = {u"K"_s},
                 .tip = tr("The pull is good"),
                 .scope = {"pull"},
                 .rule = [](const WindowState& s) { return s.slipShown && s.slipOpen; }},
                &actions, [at] { at.flow.keep(); });
    actions.add({.id = "pull.set_aside",
                 .text = tr("Set aside"),
                 .keys = {u"S"_s},
                 .tip = tr("Leave the pull of the slip out, with a reason"),
                 .scope = {"pull"},
                 .edits = true,
                 .rule = [](const WindowState& s) { return s.slipShown; }},
                &actions, [at] { askSetAside(at); });
    actions.add({.id = "pull.links",
                 .text = tr("Connections \u2026"),
                 .keys = {u"Ctrl+L"_s},
                 .tip = tr("The cell and the weather station")},
                &actions, [at] { editLinks(at); });
    actions.add({.id = "pull.limits",
                 .text = tr("Limits \u2026"),
                 .keys = {u"Ctrl+Shift+L"_s},
                 .tip = tr("What is watched while a pull runs"),
                 .edits = true,
                 .rule = [](const WindowState& s) { return s.dayOpen; }},
                &actions, [at] { editLimits(at); });
    actions.note({{QKeySequence(Qt::Key_Space), QKeySequence(Qt::Key_Return)},
                  tr("When a limit is passed: it was seen"),
                  {"pull", "alarmPanel"}});
    new PullAlarm(at);
    followFlow(at);
}

} // namespace

PageSpec pullSpec() {
    return {.id = "pull",
            .title = PullActions::tr("Pull"),
            .tip = PullActions::tr("Run the pulls, live"),
            .keys = {u"Ctrl+2"_s, u"Alt+U"_s},
            .make = makePullPage,
            .declare = PullActions::declare};
}

} // namespace hillrun
