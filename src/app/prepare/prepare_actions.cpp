// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/prepare_actions.h"

#include "app/files/day_files.h"
#include "app/prepare/prepare_page.h"

#include <QCoreApplication>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class PrepareActions {
    Q_DECLARE_TR_FUNCTIONS(PrepareActions)
public:
    static void declare(const Workplace& at);
    static void declareOrder(const Workplace& at);
};

PreparePage& page(const Workplace& at) { return pageOf<PreparePage>(at.host, "prepare"); }

PageView* makePreparePage(const Workplace& at, QWidget* parent) {
    auto* out = new PreparePage(at.document, at.look, at.actions, at.dialogs, at.otherDays, parent);
    StartPanel& start = out->start();
    QObject::connect(&start, &StartPanel::dayChosen, out, [at](const QString& path, bool demo) {
        const std::filesystem::path place(path.toStdString());
        if (demo)
            at.files.openDemo(place);
        else
            at.files.open(place);
    });
    const auto offer = [at, &start] {
        if (!at.document.isOpen())
            start.setRecent(at.files.recent());
    };
    QObject::connect(&at.document, &DayDocument::dayChanged, &start, offer);
    offer();
    return out;
}

/// What can be done to the planned pull that is selected.
void PrepareActions::declareOrder(const Workplace& at) {
    const auto add = [&](const char* id, const QString& text, const QKeySequence& key, void (*run)(OrderStrip&)) {
        at.actions.add({.id = id, .text = text, .keys = {key}, .scope = {"prepare", "orderStrip"}, .edits = true},
                       &at.actions, [at, run] { run(page(at).order()); });
    };
    add("prepare.pull_earlier", tr("Planned pull: earlier"), QKeySequence(u"Ctrl+Left"_s),
        [](OrderStrip& strip) { strip.moveCurrent(-1); });
    add("prepare.pull_later", tr("Planned pull: later"), QKeySequence(u"Ctrl+Right"_s),
        [](OrderStrip& strip) { strip.moveCurrent(1); });
    add("prepare.pull_double", tr("Planned pull: another one like it"), QKeySequence(Qt::Key_Insert),
        [](OrderStrip& strip) { strip.doubleCurrent(); });
    add("prepare.pull_remove", tr("Planned pull: take it out"), QKeySequence(Qt::Key_Delete),
        [](OrderStrip& strip) { strip.removeCurrent(); });
}

void PrepareActions::declare(const Workplace& at) {
    at.actions.add({.id = "prepare.article",
                    .text = tr("Day, cell and article \u2026"),
                    .tip = tr("What is on the dyno, and on which"),
                    .edits = true,
                    .rule = [](const WindowState& s) { return s.dayOpen; }},
                   &at.actions, [at] { page(at).editArticle(); });
    declareOrder(at);
    at.actions.note({{QKeySequence(Qt::Key_Left), QKeySequence(Qt::Key_Right)},
                     tr("On the order of the pulls: the one before or after"),
                     {"prepare", "orderStrip"}});
}

} // namespace

PageSpec prepareSpec() {
    return {.id = "prepare",
            .title = PrepareActions::tr("Prepare"),
            .tip = PrepareActions::tr("Plan the day"),
            .keys = {u"Ctrl+1"_s, u"Alt+P"_s},
            .make = makePreparePage,
            .declare = PrepareActions::declare};
}

} // namespace hillrun
