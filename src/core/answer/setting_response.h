// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <Eigen/Dense>
#include <optional>
#include <vector>

// How one number of a pull answers to one setting that was run in steps: a straight line plus an integrated Wiener
// process whose roughness is not known (a smoothing spline seen as a prior, Wahba 1978), with a straight drift of the
// day where a step was run again. Formulas: docs/method.md.

namespace hillrun {

/// The settings and times of some pulls, one entry a pull.
struct SettingDesign {
    Eigen::VectorXd x;       ///< setting, 0 to 1 over the tested range
    Eigen::VectorXd hours;   ///< clock time
    bool driftTaken = false; ///< a straight drift is part of the fit
};

/// Points along the tested range, both ends among them.
inline constexpr Eigen::Index kSettingPoints = 51;

/// What is known of the response, along the tested range.
struct SettingCurve {
    Eigen::VectorXd mean;            ///< kSettingPoints
    Eigen::MatrixXd draws;           ///< possible responses, kSettingPoints x draws
    std::vector<double> roughness;   ///< that were weighed
    std::vector<double> ofRoughness; ///< their weights, summing to one
    double degreesOfFreedom = 0.0;
};

/// Works several numbers of the same pulls; what hangs on the settings alone is worked once.
class SettingResponse {
public:
    /// Nothing when the pulls leave no degree of freedom. `draws`: the most that will be asked for.
    static std::optional<SettingResponse> of(const SettingDesign& design, Eigen::Index draws);
    /// `y`: one number a pull, all finite; `draws`: at most those it was made for. The same digits on every machine.
    [[nodiscard]] SettingCurve respond(const Eigen::VectorXd& y, Eigen::Index draws) const;
    /// The mean response if the roughness were the nth of those weighed.
    [[nodiscard]] Eigen::VectorXd meanWith(size_t roughness, const Eigen::VectorXd& y) const {
        return m_nodes.at(roughness).smooth * y;
    }

private:
    struct Node {
        double rho = 0.0;
        double logPrior = 0.0;     ///< log of |V|^-1/2 |X'V^-1 X|^-1/2
        Eigen::MatrixXd precision; ///< P: y'Py is what the line and the process leave
        Eigen::MatrixXd smooth;    ///< points x pulls: the mean response
        Eigen::MatrixXd root;      ///< points x points: root of its covariance over s^2
    };
    SettingResponse() = default;

    Eigen::MatrixXd m_normal; ///< standard normals, points x draws
    Eigen::VectorXd m_chi2;   ///< for each draw, with the degrees of freedom
    std::vector<Node> m_nodes;
    double m_degreesOfFreedom = 0.0;
};

/// The best setting as the draws have it, in shares of the tested range.
struct BestSetting {
    double named = 0.0; ///< where the mean is highest
    double low = 0.0;   ///< 95 %
    double high = 0.0;
    double atLowEnd = 0.0; ///< share of the draws that are highest there: at or beyond it
    double atHighEnd = 0.0;
};
BestSetting bestSetting(const SettingCurve& curve);

/// Whether the steps differ at all: slope and curvature together at 5 % (F test). Where they do not, the setting may be
/// best anywhere, whatever the draws favour.
bool settingMatters(const SettingDesign& design, const Eigen::VectorXd& y);

/// What each point gives away against the best at most, 95 %, log scale.
Eigen::VectorXd costsAtMost(const SettingCurve& curve);

} // namespace hillrun
