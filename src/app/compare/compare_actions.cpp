// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/compare_actions.h"

#include "app/compare/compare_page.h"

#include <QCoreApplication>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class CompareActions {
    Q_DECLARE_TR_FUNCTIONS(CompareActions)
public:
    static void declare(const Workplace& at);
};

PageView* makeComparePage(const Workplace& at, QWidget* parent) {
    return new ComparePage(at.document, at.selection, at.look, at.otherDays, at.actions, parent);
}

void CompareActions::declare(const Workplace& at) {
    at.actions.add({.id = "compare.swap",
                    .text = tr("Swap"),
                    .keys = {u"X"_s},
                    .tip = tr("Swap the two builds"),
                    .scope = {"compare"},
                    .rule = [](const WindowState& s) { return s.pairShown; }},
                   &at.actions, [at] { at.selection.swapPair(); });
    const auto page = [at]() -> ComparePage& { return pageOf<ComparePage>(at.host, "compare"); };
    at.actions.add({.id = "compare.field",
                    .text = tr("Field"),
                    .keys = {u"F"_s},
                    .tip = tr("All builds held against each other, or the pair alone"),
                    .scope = {"compare"},
                    .rule = [](const WindowState& s) { return s.pairShown; }},
                   &at.actions, [page] { page().showField(!page().fieldShown()); });
    at.actions.add({.id = "compare.earlier",
                    .text = tr("Other days"),
                    .keys = {u"E"_s},
                    .tip = tr("A build of an earlier day held against one of today's, or the pair alone"),
                    .scope = {"compare"},
                    .rule = [](const WindowState& s) { return s.dayOpen; }},
                   &at.actions, [page] { page().showEarlier(!page().earlierShown()); });
    at.actions.add({.id = "compare.remove_earlier",
                    .text = tr("Take it away"),
                    .tip = tr("The build of another day that is shown"),
                    .scope = {"compare"},
                    .edits = true,
                    .rule = [](const WindowState& s) { return s.dayOpen; }},
                   &at.actions, [page] { page().earlier().removeShown(); });
    at.actions
        .add({.id = "compare.over_power",
              .text = tr("Over power"),
              .keys = {u"O"_s},
              .tip = tr("Another curve stands above power, in place of above its difference"),
              .scope = {"compare"},
              .rule = [](const WindowState& s) { return s.pairShown; }},
             &at.actions, [] {})
        ->setCheckable(true);
    at.actions.add({.id = "compare.small_boards",
                    .text = tr("Small boards"),
                    .keys = {u"M"_s},
                    .tip = tr("In the field: one board for all builds, or a small one for each"),
                    .scope = {"compare"},
                    .rule = [](const WindowState& s) { return s.pairShown; }},
                   &at.actions, [page] { page().toggleSmallBoards(); });
    at.actions.add({.id = "compare.whole_use",
                    .text = tr("Use the whole range"),
                    .tip = tr("The builds are wanted for all that every pull covers"),
                    .scope = {"compare"},
                    .edits = true,
                    .rule = [](const WindowState& s) { return s.pairShown; }},
                   &at.actions, [page] { page().field().nameUse(std::nullopt); });
    at.actions.add({.id = "compare.remove_band",
                    .text = tr("Take the band out"),
                    .keys = {QKeySequence(Qt::Key_Delete)},
                    .tip = tr("The selected band of the table of bands"),
                    .scope = {"compare", "bandTable"},
                    .edits = true},
                   &at.actions, [at] { pageOf<ComparePage>(at.host, "compare").pair().removeSelectedBand(); });
    at.actions.note({{u"["_s, u"]"_s}, tr("On a board, at the cursor: a band begins or ends there"), {"compare"}});
    at.actions.note({{QKeySequence(Qt::Key_Up), QKeySequence(Qt::Key_Down)},
                     tr("On a board: the build to look at"),
                     {"compare", "board"}});
    at.actions.note(
        {{QKeySequence(Qt::Key_Up), QKeySequence(Qt::Key_Down), QKeySequence(Qt::Key_Home), QKeySequence(Qt::Key_End)},
         tr("On the ribbon ladder: the build to look at"),
         {"compare", "fieldLadder"}});
    at.actions.note({{QKeySequence(Qt::Key_Return)},
                     tr("On the ribbon ladder: that build and the base as a pair"),
                     {"compare", "fieldLadder"}});
}

} // namespace

PageSpec compareSpec() {
    return {.id = "compare",
            .title = CompareActions::tr("Compare"),
            .tip = CompareActions::tr("What the change gives"),
            .keys = {u"Ctrl+4"_s, u"Alt+M"_s},
            .make = makeComparePage,
            .declare = CompareActions::declare};
}

} // namespace hillrun
