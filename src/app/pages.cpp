// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pages.h"

#include "app/check/check_actions.h"
#include "app/compare/compare_actions.h"
#include "app/credit/credit_actions.h"
#include "app/logbook/logbook_page.h"
#include "app/prepare/prepare_actions.h"
#include "app/pull/pull_actions.h"
#include "app/report/report_actions.h"
#include "app/road/road_page.h"
#include "app/workbench/bench_page.h"

namespace hillrun {

std::vector<PageSpec> everyPage() {
    return {prepareSpec(), pullSpec(),   checkSpec(),   compareSpec(), creditSpec(),
            roadSpec(),    reportSpec(), logbookSpec(), benchSpec()};
}

} // namespace hillrun
