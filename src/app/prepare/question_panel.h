// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/other_days.h"
#include "app/look/fields.h"

#include <QAction>
#include <QPushButton>

namespace hillrun {

/// "Can this plan see it?": what matters, how well a pull repeats, as entered or as this cell's earlier days did, and
/// what the planned pulls would tell of today's builds and of earlier ones.
class QuestionPanel : public QWidget {
    Q_OBJECT
public:
    /// `earlier`: the action that looks for a build of another day.
    QuestionPanel(DayDocument& document, OtherDays& otherDays, QAction* earlier, QWidget* parent = nullptr);

protected:
    void showEvent(QShowEvent* event) override;

private:
    /// Of one pull, log scale.
    struct Repeatability {
        double sd = 0.005; ///< half a per cent to start with (common practice)
        double freedom = 0.0;
        int days = 0; ///< of the cell; 0: not measured
    };
    void connectFields();
    void refresh();
    void refreshEarlier();
    [[nodiscard]] Repeatability repeatability() const;
    [[nodiscard]] QString refitDetails() const;
    [[nodiscard]] QString details(const Repeatability& known, const std::string& build, double matters_pct) const;

    DayDocument& m_document;
    OtherDays& m_otherDays;
    NumberField* m_matters = nullptr;
    NumberField* m_repeatability = nullptr;
    QPushButton* m_measured = nullptr;
    QLabel* m_answer = nullptr;
    QLabel* m_details = nullptr;
    QLabel* m_earlier = nullptr;
};

} // namespace hillrun
