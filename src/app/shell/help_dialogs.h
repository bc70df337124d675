// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/action_registry.h"

#include <QDialog>

namespace hillrun {

/// A sheet of keys, made from the registry; it opens, and is closed with Escape.
class KeySheet : public QDialog {
    Q_OBJECT
public:
    KeySheet(const ActionRegistry& actions, QWidget* parent);
};

/// Version, licence, what it stands on, and what it does not do.
class AboutDialog : public QDialog {
    Q_OBJECT
public:
    explicit AboutDialog(QWidget* parent);
};

} // namespace hillrun
