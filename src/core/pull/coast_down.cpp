// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/coast_down.h"

#include "core/pull/differentiate.h"
#include "core/pull/robust.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <Eigen/Dense>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kShortest_s = 2.0;
constexpr double kClosed_pct = 10.0;
constexpr double kUncoupled = 0.15; ///< change of the engine's ratio to the rollers

bool closed(const PullSignals& s, size_t row) { return s.throttle_pct.empty() || s.throttle_pct[row] < kClosed_pct; }

bool coupled(const PullSignals& s, size_t row) {
    if (!s.ratio || !(s.driven_rad_s[row] > 1.0))
        return false;
    return std::abs(angularSpeed(s.speed_rpm[row]) / s.driven_rad_s[row] / *s.ratio - 1.0) < kUncoupled;
}

CoastDown none(const char* why) { return {{}, {}, {why}}; }

} // namespace

CoastDown findCoastDown(const ChannelTable& raw, const PullSignals& s, const Sweep& sweep, const Dyno& dyno) {
    if (s.driven_rad_s.empty() || !s.drivenScaleKnown)
        return none("coast.no_speed");
    const double inertia = dyno.cell.rollerInertia_kgm2.value_or(0.0) + drivelineInertia_kgm2(dyno, s.drivenIsRoller);
    if (!(inertia > 0.0))
        return none("coast.no_inertia");
    size_t first = sweep.last;
    while (first < s.rows() && !(closed(s, first) && !coupled(s, first)))
        ++first;
    size_t last = first;
    while (last + 1 < s.rows() && closed(s, last + 1) && !coupled(s, last + 1) && s.driven_rad_s[last + 1] > 2.0)
        ++last;
    if (last >= s.rows() || s.time_s[last] - s.time_s[first] < kShortest_s)
        return none(s.time_s.back() - s.time_s[sweep.last] < kShortest_s ? "coast.none" : "coast.coupled");
    const std::span time(s.time_s);
    const std::span driven(s.driven_rad_s);
    const Derivative rate =
        differentiate(time.subspan(first, last - first + 1), driven.subspan(first, last - first + 1), 0, last - first);
    const Column* retarder = raw.find("retarder_torque");
    CoastDown out;
    for (size_t i = first; i <= last; ++i) {
        const double brake_nm = retarder ? retarder->values[i] : 0.0;
        const double loss_nm = -inertia * rate.perSecond[i - first] - (std::isfinite(brake_nm) ? brake_nm : 0.0);
        if (!std::isfinite(loss_nm))
            continue;
        out.driven_rad_s.push_back(s.driven_rad_s[i]);
        out.torque_nm.push_back(loss_nm);
    }
    if (out.torque_nm.size() < 20 || !(median(out.torque_nm) > 0.0))
        return none("coast.no_slowing");
    return out;
}

std::optional<LossCurve> fitLoss(std::span<const CoastDown> coastDowns) {
    LossCurve out;
    Eigen::Index rows = 0;
    for (const CoastDown& coast : coastDowns)
        if (coast.usable()) {
            rows += static_cast<Eigen::Index>(coast.torque_nm.size());
            ++out.pulls;
        }
    if (rows < 20)
        return std::nullopt;
    Eigen::MatrixXd x(rows, 3);
    Eigen::VectorXd y(rows);
    Eigen::Index row = 0;
    for (const CoastDown& coast : coastDowns)
        for (size_t i = 0; coast.usable() && i < coast.torque_nm.size(); ++i, ++row) {
            const double w = coast.driven_rad_s[i];
            x.row(row) << 1.0, w, w * w;
            y(row) = coast.torque_nm[i];
        }
    const Eigen::VectorXd c = x.colPivHouseholderQr().solve(y);
    out.constant_nm = c(0);
    out.linear_nm_s = c(1);
    out.quadratic_nm_s2 = c(2);
    out.rms_nm = (y - x * c).norm() / std::sqrt(static_cast<double>(rows));
    out.slowest_rad_s = x.col(1).minCoeff();
    out.fastest_rad_s = x.col(1).maxCoeff();
    return out;
}

} // namespace hillrun
