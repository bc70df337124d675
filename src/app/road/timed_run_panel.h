// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "core/road/timed_run.h"

#include <QComboBox>

namespace hillrun {

/// A run that was timed on the road, typed in, and the one number of the vehicle that shall be fitted to it.
class TimedRunPanel : public QWidget {
    Q_OBJECT
public:
    explicit TimedRunPanel(QWidget* parent = nullptr);
    /// What came of it.
    void say(const QString& words);

Q_SIGNALS:
    void wanted(FittedNumber what, const TimedRun& timed);

private:
    NumberField *m_time = nullptr, *m_endSpeed = nullptr;
    QComboBox* m_what = nullptr;
    QLabel* m_said = nullptr;
};

} // namespace hillrun
