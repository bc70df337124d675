// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/selection.h"

namespace hillrun {

void Selection::setPull(const std::string& pull) {
    if (pull == m_pull)
        return;
    m_pull = pull;
    Q_EMIT pullChanged();
}

void Selection::setBeside(const std::string& pull) {
    if (pull == m_beside)
        return;
    m_beside = pull;
    Q_EMIT pullChanged();
}

void Selection::setPair(std::string from, std::string to) {
    if (from == m_from && to == m_to)
        return;
    m_from = std::move(from);
    m_to = std::move(to);
    Q_EMIT pairChanged();
}

void Selection::setCursor(std::optional<double> rpm) {
    if (rpm == m_cursor)
        return;
    m_cursor = rpm;
    Q_EMIT cursorChanged();
}

void Selection::setQuantity(Quantity quantity) {
    if (quantity == m_quantity && m_curve.empty())
        return;
    m_quantity = quantity;
    m_curve.clear();
    Q_EMIT viewChanged();
}

void Selection::setCurve(const std::string& id) {
    if (id == m_curve)
        return;
    m_curve = id;
    Q_EMIT viewChanged();
}

void Selection::setSchool(CurveSchool school) {
    if (school == m_school)
        return;
    m_school = school;
    Q_EMIT viewChanged();
}

void Selection::setUnits(DisplayUnits units) {
    if (units == m_units)
        return;
    m_units = units;
    Q_EMIT viewChanged();
}

} // namespace hillrun
