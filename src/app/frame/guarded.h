// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/dialogs.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"

namespace hillrun {

/// Runs something that may throw a DataError and shows its message under that title. True when it went well.
template <class Work> bool guarded(Dialogs& dialogs, QWidget* window, const QString& title, const Work& work) {
    try {
        work();
        return true;
    } catch (const DataError& error) {
        dialogs.showError(window, title, errorText(error));
        return false;
    }
}

} // namespace hillrun
