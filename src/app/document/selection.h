// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/schools.h"
#include "core/units/units.h"

#include <optional>
#include <QObject>
#include <string>

namespace hillrun {

/// What the user looks at, shared by all pages and the day strip.
class Selection : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;

    [[nodiscard]] const std::string& pull() const { return m_pull; }
    /// A second pull held beside the selected one; empty for none.
    [[nodiscard]] const std::string& beside() const { return m_beside; }
    [[nodiscard]] const std::string& from() const { return m_from; }
    [[nodiscard]] const std::string& to() const { return m_to; }
    [[nodiscard]] std::optional<double> cursor() const { return m_cursor; }
    [[nodiscard]] Quantity quantity() const { return m_quantity; }
    /// Another curve that is looked at in its place, by its id; empty for power and torque.
    [[nodiscard]] const std::string& curve() const { return m_curve; }
    [[nodiscard]] CurveSchool school() const { return m_school; }
    [[nodiscard]] DisplayUnits units() const { return m_units; }

    void setPull(const std::string& pull);
    void setBeside(const std::string& pull);
    void setPair(std::string from, std::string to); ///< by value: may be called with its own
    void swapPair() { setPair(m_to, m_from); }
    void setCursor(std::optional<double> rpm);
    void setQuantity(Quantity quantity); ///< in place of any other curve
    void setCurve(const std::string& id);
    void setSchool(CurveSchool school);
    void setUnits(DisplayUnits units);

Q_SIGNALS:
    void pullChanged(); ///< the selected pull, or the one held beside it
    void pairChanged();
    void cursorChanged();
    void viewChanged(); ///< quantity, curve, school or units

private:
    std::string m_pull;
    std::string m_beside;
    std::string m_from;
    std::string m_to;
    std::optional<double> m_cursor;
    Quantity m_quantity = Quantity::Power;
    std::string m_curve;
    CurveSchool m_school = CurveSchool::Mean;
    DisplayUnits m_units;
};

} // namespace hillrun
