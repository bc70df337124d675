// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "core/day/test_day.h"

#include <QComboBox>

namespace hillrun {

/// Asks what was done to a curve before it came here.
class GivenRow : public QWidget {
    Q_OBJECT
public:
    explicit GivenRow(QWidget* parent = nullptr);
    void show(const GivenCurve& given); ///< without a signal
    using QWidget::show;
    /// What is asked for here, into `given`.
    void putInto(GivenCurve& given) const;
    /// Where it was measured; nothing: where the day's cell measures.
    [[nodiscard]] std::optional<MeasuredAt> measuredAt() const;

Q_SIGNALS:
    void edited();

private:
    QComboBox* m_correctedTo = nullptr;
    NumberField* m_smoothing = nullptr;
    QComboBox* m_measuredAt = nullptr;
};

/// The ids of the day's builds, then letters that are free.
QStringList buildChoices(const TestDay& day);
/// A choice among them; the text is the build's id.
QComboBox* makeBuildBox(const TestDay& day, const std::string& chosen, QWidget* parent);

} // namespace hillrun
