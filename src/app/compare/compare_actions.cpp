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

PageView* make(const Workplace& at, QWidget* parent) {
    return new ComparePage(at.document, at.selection, at.look, at.actions, parent);
}

void CompareActions::declare(const Workplace& at) {
    at.actions.add({.id = "compare.swap",
                    .text = tr("Swap"),
                    .keys = {u"X"_s},
                    .tip = tr("Swap the two builds"),
                    .scope = {"compare"},
                    .rule = [](const WindowState& s) { return s.pairShown; }},
                   &at.actions, [at] { at.selection.swapPair(); });
    at.actions.add({.id = "compare.remove_band",
                    .text = tr("Take the band out"),
                    .keys = {QKeySequence(Qt::Key_Delete)},
                    .tip = tr("The selected band of the table of bands"),
                    .scope = {"compare", "bandTable"},
                    .edits = true},
                   &at.actions, [at] { pageOf<ComparePage>(at.host, "compare").removeSelectedBand(); });
    at.actions.note({{u"["_s, u"]"_s}, tr("On a board, at the cursor: a band begins or ends there"), {"compare"}});
    at.actions.note({{QKeySequence(Qt::Key_Up), QKeySequence(Qt::Key_Down)},
                     tr("On a board: the build to look at"),
                     {"compare", "board"}});
}

} // namespace

PageSpec compareSpec() {
    return {.id = "compare",
            .title = CompareActions::tr("Compare"),
            .tip = CompareActions::tr("What the change gives"),
            .keys = {u"Ctrl+4"_s, u"Alt+M"_s},
            .make = make,
            .declare = CompareActions::declare};
}

} // namespace hillrun
