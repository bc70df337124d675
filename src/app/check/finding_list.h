// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/findings.h"
#include "app/document/doubt_answers.h"
#include "app/look/theme.h"

#include <QScrollArea>
#include <QVBoxLayout>

namespace hillrun {

/// The findings of one pull, each with the buttons that do something about it.
class FindingList : public QScrollArea {
    Q_OBJECT
public:
    explicit FindingList(Look& look, QWidget* parent = nullptr);
    /// `offers`: whether the pull may be trimmed and set aside (it is in use).
    void show(std::vector<Finding> findings, bool offers);
    using QWidget::show;
    /// Everything that is written there, for screen readers and tests.
    [[nodiscard]] QString text() const;

Q_SIGNALS:
    void placeWanted(double rpm);
    void trimWanted(const hillrun::RpmRange& window);
    void setAsideWanted(const QString& reason);
    void unitWanted(double factor, const QString& words);
    void answerWanted(const hillrun::DoubtAnswer& answer);

private:
    void addRow(const Finding& finding, bool offers);
    void addOffers(const Finding& finding, QVBoxLayout* row);

    Look& m_look;
    std::vector<Finding> m_findings;
    QWidget* m_inside = nullptr;
};

} // namespace hillrun
