// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/day_model.h"

#include <Eigen/Dense>
#include <memory>
#include <mutex>

namespace hillrun {

/// What the draws depend on: nothing of the levels and little of the trims, so that a changed trim finds them again.
struct DrawKey {
    int degreesOfFreedom = 0;
    int copies = 0; ///< independent copies, one for each independent comparison of the day
    std::vector<double> rpm;
    std::vector<char> window;
    std::vector<char> core;
    std::vector<int> weight; ///< degrees of freedom at each rpm point
    NoiseCorrelation correlation;
    bool operator==(const DrawKey&) const = default;
};

/// Simulated shape errors in units of their own estimated standard deviation: a Gaussian process minus its mean over
/// the core, over the root of a variance estimated from `degreesOfFreedom` further copies by the same smoother.
struct Draws {
    int count = 0;
    std::vector<size_t> points;         ///< rpm points of the window, rows of `shape`
    std::vector<Eigen::MatrixXf> shape; ///< for each copy: points x draws
    Eigen::MatrixXf levelNormal;        ///< copies x draws, standard normal
    Eigen::VectorXf levelScale;         ///< for each draw 1/sqrt(chi2/nu), common to all copies
};

/// Keeps the last few sets of draws. Owned by whoever analyses; safe to share between threads.
class DrawCache {
public:
    std::shared_ptr<const Draws> get(const DrawKey& key);

private:
    std::mutex m_mutex;
    std::vector<std::pair<DrawKey, std::shared_ptr<const Draws>>> m_entries;
};

/// 10000 draws with a fixed seed from a portable generator: the same digits on every machine.
Draws makeDraws(const DrawKey& key);

DrawKey drawKey(const DayModel& model, int copies);

} // namespace hillrun
