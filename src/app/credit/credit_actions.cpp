// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/credit_actions.h"

#include "app/credit/credit_page.h"

#include <QCoreApplication>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

/// Where its texts stand in the catalogue.
class CreditActions {
    Q_DECLARE_TR_FUNCTIONS(CreditActions)
public:
    static void declare(const Workplace& at);
};

PageView* makeCreditPage(const Workplace& at, QWidget* parent) {
    return new CreditPage(at.document, at.selection, at.look, at.otherDays, at.actions, parent);
}

void CreditActions::declare(const Workplace& at) {
    const auto add = [&](const char* id, CreditView view, const QString& key, const QString& tip) {
        at.actions.add({.id = id,
                        .text = viewText(view),
                        .keys = {key},
                        .tip = tip,
                        .scope = {"credit"},
                        .rule = [](const WindowState& s) { return s.analysed; }},
                       &at.actions, [at, view] { pageOf<CreditPage>(at.host, "credit").setView(view); });
    };
    add("credit.as_run", CreditView::AsRun, u"1"_s, tr("Each step between two builds that were run"));
    add("credit.alone", CreditView::Alone, u"2"_s, tr("Each part on the base alone"));
    add("credit.on_top", CreditView::OnTop, u"3"_s, tr("Each part on all the others"));
    add("credit.fair_share", CreditView::FairShare, u"4"_s,
        tr("Each part's mean step over all orders of fitting them: these add up to the whole"));
    at.actions.add(
        {.id = "credit.interaction",
         .text = tr("Together, along rpm"),
         .keys = {u"5"_s},
         .tip = tr("What the chosen part and others give together beyond each by itself, along rpm; once more "
                   "for the next, then back"),
         .scope = {"credit"},
         .rule = [](const WindowState& s) { return s.analysed; }},
        &at.actions, [at] { pageOf<CreditPage>(at.host, "credit").stepInteraction(); });
    at.actions.add({.id = "credit.over_days",
                    .text = tr("Over days"),
                    .keys = {u"6"_s},
                    .tip = tr("This article's builds of all days as one ladder, or the day's own parts"),
                    .scope = {"credit"},
                    .rule = [](const WindowState& s) { return s.dayOpen; }},
                   &at.actions, [at] {
                       auto& page = pageOf<CreditPage>(at.host, "credit");
                       page.showOverDays(!page.overDaysShown());
                   });
    const QString walk = tr("The part to look at");
    for (const char* widget : {"creditPicture", "partTable"})
        at.actions.note({{QKeySequence(Qt::Key_Up), QKeySequence(Qt::Key_Down)}, walk, {"credit", widget}});
}

} // namespace

PageSpec creditSpec() {
    return {.id = "credit",
            .title = CreditActions::tr("Credit"),
            .tip = CreditActions::tr("What each part gives"),
            .keys = {u"Ctrl+5"_s, u"Alt+D"_s},
            .make = makeCreditPage,
            .declare = CreditActions::declare};
}

} // namespace hillrun
