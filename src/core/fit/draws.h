// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

#include <Eigen/Dense>
#include <functional>
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

/// Draws in a set.
inline constexpr Eigen::Index kDrawCount = 10000;
/// Draws worked on together, so that they stay in the processor's cache.
inline constexpr Eigen::Index kDrawBlock = 250;

/// Simulated shape errors in units of their own estimated standard deviation: a Gaussian process minus its mean over
/// the core, over the root of a variance estimated from `degreesOfFreedom` further copies by the same smoother.
struct Draws {
    int count = 0;
    std::vector<size_t> points;         ///< rpm points of the window, rows of `shape`
    std::vector<Eigen::MatrixXf> shape; ///< for each copy: points x draws
    Eigen::MatrixXf levelNormal;        ///< copies x draws, standard normal
    Eigen::VectorXf levelScale;         ///< for each draw 1/sqrt(chi2/nu), common to all copies
};

/// Does work(0) .. work(count - 1), in any order or side by side; each piece writes only to its own place.
using ForEach = std::function<void(size_t count, const std::function<void(size_t)>& work)>;
void oneAfterAnother(size_t count, const std::function<void(size_t)>& work);

/// Keeps the last sets of draws, and knows how independent pieces are worked. Owned by whoever analyses.
class DrawCache {
public:
    explicit DrawCache(ForEach forEach = oneAfterAnother) : m_forEach(std::move(forEach)) {}
    [[nodiscard]] const ForEach& forEach() const { return m_forEach; }
    std::shared_ptr<const Draws> get(const DrawKey& key);
    /// Numbers that hang on `key` alone; `make` is asked for those that are not kept.
    std::vector<double> numbers(const std::vector<double>& key, const std::function<std::vector<double>()>& make);

private:
    ForEach m_forEach;
    std::mutex m_mutex;
    std::vector<std::pair<DrawKey, std::shared_ptr<const Draws>>> m_entries;
    std::vector<std::pair<std::vector<double>, std::vector<double>>> m_numbers;
};

/// 10000 draws in blocks, each with a fixed seed of its own for a portable generator: the same digits on every machine
/// and with any number of threads.
Draws makeDraws(const DrawKey& key, const ForEach& forEach = oneAfterAnother);

/// The value below which 95 % of the draws lie (one of them).
double upper95(std::vector<float> values);

DrawKey drawKey(const DayModel& model, int copies);

} // namespace hillrun
