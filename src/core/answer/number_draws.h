// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/contrast.h"

#include <vector>

namespace hillrun {

/// Errors of the builds' numbers in units of their estimated sd, draws x builds. Needs degrees of freedom.
/// Drawn in blocks, each with a fixed seed of its own: the same digits with any number of threads.
Eigen::MatrixXf drawErrors(const NumbersOfBuilds& numbers, const ForEach& forEach = oneAfterAnother);

/// The same, made when they are first asked for and then shared by several families of one day.
class ErrorDraws {
public:
    explicit ErrorDraws(const NumbersOfBuilds& numbers) : m_numbers(numbers) {}
    [[nodiscard]] const NumbersOfBuilds& numbers() const { return m_numbers; }
    const Eigen::MatrixXf& get(const ForEach& forEach);

private:
    const NumbersOfBuilds& m_numbers;
    Eigen::MatrixXf m_errors;
};

/// 95 % point of the largest |t| of several contrasts of the builds' numbers at once (multivariate t). They hang on the
/// design alone and are kept.
double familyCritical(ErrorDraws& draws, const std::vector<Eigen::VectorXd>& contrasts, DrawCache& cache);

/// A matrix M with M M' = C, also of a C that is not of full rank.
Eigen::MatrixXd rootOf(const Eigen::MatrixXd& covariance);

} // namespace hillrun
