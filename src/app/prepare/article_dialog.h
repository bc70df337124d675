// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "core/day/test_day.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>

namespace hillrun {

/// Edits name, cell and article of a day: what is on the dyno, and on which.
class ArticleDialog : public QDialog {
    Q_OBJECT
public:
    ArticleDialog(const TestDay& day, QWidget* parent);
    /// The day with what was typed.
    [[nodiscard]] TestDay edited() const;

private:
    QWidget* makeDay();
    QWidget* makeEngine();
    QWidget* makeVehicle();
    QWidget* makeAir();
    void fill(const TestDay& day);
    void fillEngine(const EngineCard& engine);
    void fillVehicle(const Vehicle& vehicle);
    void takeEngine(EngineCard& engine) const;
    void takeVehicle(Vehicle& vehicle) const;
    QLineEdit* line(const QString& name, const QString& label);
    QComboBox* choice(const QString& name, const QString& label, const QStringList& items);
    NumberField* number(const QString& name, const QString& label, double low, double high, int decimals,
                        const QString& unit);

    TestDay m_day;
    QLineEdit *m_name, *m_operator, *m_note, *m_cellName, *m_article, *m_fuelName, *m_fuelBatch, *m_gears, *m_friction;
    QComboBox *m_kind, *m_measuredAt, *m_sweep, *m_aspiration, *m_ignition, *m_strokes, *m_fuel, *m_cooling, *m_school,
        *m_loss, *m_lossTo;
    QCheckBox *m_nitrous, *m_boostHeld;
    NumberField *m_altitude, *m_rollerLimit, *m_rollerInertia, *m_displacement, *m_cylinders, *m_strokeLength,
        *m_redLine, *m_limiter, *m_power, *m_octane, *m_mass, *m_tyre, *m_finalDrive, *m_speedLimit, *m_tyreLimit,
        *m_rollerRadius, *m_engineInertia, *m_drivelineInertia, *m_efficiency, *m_fuelFigure, *m_boostRatio,
        *m_lossPercent;
};

/// Names of the choices, as they are shown.
const QStringList& cellKindTitles();
const QStringList& placeTitles();
const QStringList& fuelTitles();
const QStringList& aspirationTitles();

/// "2500:3.1, 4500:7.0" as rpm and kW; false when some of it is not understood.
bool readFriction(const QString& text, std::vector<FrictionPoint>& out);
/// "3.4 2.05 1.36", first gear first; false when a word is no ratio.
bool readGears(const QString& text, std::vector<double>& out);

} // namespace hillrun
