// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/action_registry.h"
#include "app/look/elided_label.h"
#include "app/look/theme.h"

#include <QComboBox>
#include <QLabel>
#include <QMenu>
#include <QToolButton>

namespace hillrun {

/// Day, air standard, smoothing, units, search.
class TopBar : public QWidget {
    Q_OBJECT
public:
    TopBar(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, QMenu* dayMenu,
           QWidget* parent = nullptr);
    void setTitle(const QString& title, bool modified);
    void setBusy(bool busy);
    void setProgress(double share);

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    QComboBox* makeChoice(const QString& name, const QString& label, const QString& tip);
    void fillChoices();
    void showSettings();
    void showBoost();
    void fitLabels();
    void refreshIcons();

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    QToolButton* m_menuButton = nullptr;
    QToolButton* m_darkButton = nullptr;
    QToolButton* m_searchButton = nullptr;
    ElidedLabel* m_title = nullptr;
    QLabel* m_busy = nullptr;
    QWidget* m_choices = nullptr;
    std::vector<std::pair<QLabel*, QComboBox*>> m_labels; ///< of the choices
    QComboBox* m_boost = nullptr;
    QComboBox* m_standard = nullptr;
    QComboBox* m_smoothing = nullptr;
    QComboBox* m_allowance = nullptr;
    QComboBox* m_units = nullptr;
};

} // namespace hillrun
