// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/look/accessible.h"
#include "app/look/theme.h"

#include <QWidget>
#include <vector>

namespace hillrun {

/// Where things stand on the strip; worked out without painting.
struct StripFlag {
    size_t pull = 0;
    size_t build = 0;
    int set = 0;
    bool firstOfSet = false;
    double x = 0.0;      ///< left edge, pixels
    double height = 0.0; ///< pixels above the base line
    bool used = true;
    bool flagged = false;
    double factor = 0.0; ///< of the air; 0 when not known
};
struct StripLayout {
    std::vector<StripFlag> flags;
    struct Gap {
        double from = 0.0;
        double to = 0.0;
        int minutes = 0;
    };
    std::vector<Gap> gaps; ///< between sets
    struct Planned {
        double x = 0.0;
        size_t build = 0;
        std::string letter; ///< only at the first of a set
    };
    std::vector<Planned> planned; ///< pulls that the plan still wants
    double now = 0.0;             ///< where they begin; 0 without any
    double flagWidth = 14.0;
};

/// Places each pull by its time; flags keep at least their width from each other.
StripLayout layoutStrip(const TestDay& day, const DayAnalysis* analysis, double width, double tallest);

/// The test day as a timeline: each pull a flag in its build's colour, as high as its band mean stands against the
/// base's; gaps carry their minutes; the thin line is the air factor.
class DayStrip : public QWidget, public SpokenItems {
    Q_OBJECT
public:
    DayStrip(DayDocument& document, Selection& selection, Look& look, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {600, 96}; }
    /// Middle of a pull's flag, for tests and for tooltips.
    [[nodiscard]] QPoint centreOf(const std::string& pull) const;
    [[nodiscard]] int spokenCount() const override;
    [[nodiscard]] QString spokenItem(int index) const override;
    [[nodiscard]] QRect spokenRect(int index) const override;
    [[nodiscard]] bool spokenChosen(int index) const override;
    void chooseSpoken(int index) override;

Q_SIGNALS:
    void pullActivated(const QString& pull); ///< double click: look at it in Check

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

private:
    [[nodiscard]] StripLayout currentLayout() const;
    [[nodiscard]] const StripFlag* flagAt(const StripLayout& layout, QPointF position) const;
    [[nodiscard]] QString tooltipOf(const StripFlag& flag) const;
    void paintFlags(QPainter& painter, const StripLayout& layout);
    void paintPlanned(QPainter& painter, const StripLayout& layout);
    void paintAir(QPainter& painter, const StripLayout& layout);

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
};

} // namespace hillrun
